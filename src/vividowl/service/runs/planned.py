"""Runs that are still to be made: sets that separate several changes, and how often each has to be repeated."""

from __future__ import annotations

import uuid
from collections.abc import Mapping, Sequence
from dataclasses import dataclass
from statistics import median

from vividowl.core.quantities.errors import CoreError
from vividowl.core.quantities.words import say
from vividowl.core.runs.design import Design, Plan, Proposed, proposed_runs
from vividowl.core.runs.repeats import Repeats, repeats_needed
from vividowl.service.errors import Refused
from vividowl.service.runs.all_runs import all_runs
from vividowl.service.runs.observed import observed
from vividowl.service.runs.ranked import By, factor_of
from vividowl.service.workshop import Actor, Workshop
from vividowl.words import sentence

CELLS_MOST = 64  # runs of a full set; a limit of the product


@dataclass(frozen=True)
class PlannedRuns:
    """A set of runs; in_hand: those of them that were run already."""

    proposed: Proposed
    in_hand: tuple[tuple[str, ...], ...]


@dataclass(frozen=True)
class RunPlans:
    """plans: the shortest first; repeats: for the difference that is wanted, None where no scatter is known or none is
    wanted; one_run_sd: standard deviation of one run that it is reckoned with [any]."""

    names: tuple[str, ...]
    plans: tuple[PlannedRuns, ...]
    repeats: Repeats | None
    one_run_sd: float | None


def run_plans(
    workshop: Workshop,
    actor: Actor,
    job_id: uuid.UUID,
    *,
    named: Sequence[tuple[By, Sequence[str]]],
    value: str,
    want: float | None,
) -> RunPlans:
    """Sets of runs for changes that are named before any of them is run. named: changes with the levels of each,
    the first as it is now; want: least difference of the figure that shall show."""
    factors: Mapping[By, Sequence[str]] = dict(named)
    if len(factors) < len(named):
        raise Refused("invalid", say("planned-twice"), field="factors")
    cells = 1
    for by, levels in factors.items():
        if len(set(levels)) < 2:
            raise Refused("invalid", say("planned-one-level", factor=say(f"factor-{by.value}")), field="factors")
        cells *= len(set(levels))
    if cells > CELLS_MOST:
        raise Refused("invalid", say("planned-too-many", cells=cells, most=CELLS_MOST), field="factors")
    found = all_runs(workshop, actor, job_id)
    names = tuple(sentence(say(f"factor-{by.value}")) for by in factors)
    design = Design(names, tuple(tuple(dict.fromkeys(levels)) for levels in factors.values()))
    run = {tuple(factor_of(by, row).casefold() for by in factors) for row in found.runs if row.logs}
    plans = []
    for plan in Plan:
        try:
            proposed = proposed_runs(design, plan)
        except CoreError:
            continue
        there = tuple(cell for cell in proposed.runs if tuple(level.casefold() for level in cell) in run)
        plans.append(PlannedRuns(proposed, there))
    spreads = [o.u for o in observed(found, value) if o.u is not None]
    sd = median(spreads) if spreads else None
    try:
        repeats = repeats_needed(sd, want) if sd is not None and want is not None else None
    except CoreError as error:
        raise Refused("invalid", error.message, field="want", remedy=error.remedy) from error
    return RunPlans(names, tuple(sorted(plans, key=lambda p: len(p.proposed.runs))), repeats, sd)
