"""What several runs of a job say together: effects of factors told apart, and how far an interface has run in."""

from __future__ import annotations

import uuid
from collections.abc import Mapping, Sequence
from dataclasses import dataclass
from enum import StrEnum

from vividowl.core.quantities.errors import CoreError
from vividowl.core.quantities.words import say
from vividowl.core.runs.burn_in import BurnIn, burn_in
from vividowl.core.runs.design import Proposed
from vividowl.core.runs.factors import Factors, factor_effects
from vividowl.service.errors import Refused
from vividowl.service.runs.all_runs import all_runs
from vividowl.service.runs.ranked import RESISTANCE, By, factor_of, observed, stated
from vividowl.service.runs.tables import plans_for
from vividowl.service.workshop import Actor, Workshop
from vividowl.words import sentence


@dataclass(frozen=True)
class FactoredRuns:
    """effects; runs: keys of the runs of each combination of levels; plans of runs with what is still to do;
    without: how many runs lack a factor or the figure."""

    effects: Factors
    runs: Mapping[tuple[str, ...], tuple[str, ...]]
    plans: tuple[tuple[Proposed, tuple[tuple[str, ...], ...]], ...]
    without: int


def factored_runs(
    workshop: Workshop, actor: Actor, job_id: uuid.UUID, factors: Sequence[By], value: str
) -> FactoredRuns:
    """What each of several changes brought."""
    found = all_runs(workshop, actor, job_id)
    runs = [o for o in observed(found, value) if all(factor_of(by, o.row) for by in factors)]
    cells = [tuple(factor_of(by, o.row) for by in factors) for o in runs]
    try:
        names = [sentence(say(f"factor-{by.value}")) for by in factors]
        effects = factor_effects(names, cells, [o.value for o in runs], stated(runs))
    except CoreError as error:
        raise Refused("invalid", error.message, field="factors", remedy=error.remedy) from error
    keys: dict[tuple[str, ...], tuple[str, ...]] = {}
    for cell, o in zip(cells, runs, strict=True):
        keys[cell] = (*keys.get(cell, ()), o.row.run.key)
    return FactoredRuns(effects, keys, plans_for(effects), len(found.runs) - len(runs))


class Since(StrEnum):
    """What a burn-in is counted in."""

    CYCLES = "heat_cycles"
    HOURS = "hours"


@dataclass(frozen=True)
class BurnInRuns:
    """points: x [x], value and standard uncertainty [K/W] of each run, with its key; found: what they say."""

    points: tuple[tuple[float, float, float | None, str], ...]
    found: BurnIn


def burn_in_runs(workshop: Workshop, actor: Actor, job_id: uuid.UUID, since: Since) -> BurnInRuns:
    """How far the latest interface has run in, by the runs in its states; the first after fitting counts as nought."""
    found = all_runs(workshop, actor, job_id)
    lies = found.states[-1].fitted
    points = []
    for o in observed(found, RESISTANCE):
        state = o.row.state
        if state is None or state.fitted != lies or not lies:
            continue
        x: float | None = getattr(state, since.value)
        points.append((x if x is not None else 0.0, o.value, o.u, o.row.run.key))
    points.sort(key=lambda p: p[0])
    u = [p[2] for p in points if p[2] is not None]
    try:
        told = burn_in([p[0] for p in points], [p[1] for p in points], u if len(u) == len(points) else ())
    except CoreError as error:
        raise Refused(
            "invalid", error.message, field="x", remedy=error.remedy or say("burn-in-run-more"), reason="too_few"
        ) from error
    return BurnInRuns(tuple(points), told)
