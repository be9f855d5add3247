"""What several runs of a job say together: effects of factors told apart."""

from __future__ import annotations

import uuid
from collections.abc import Mapping, Sequence
from dataclasses import dataclass

from vividowl.core.quantities.errors import CoreError
from vividowl.core.quantities.words import say
from vividowl.core.runs.design import Proposed
from vividowl.core.runs.factors import Factors, factor_effects
from vividowl.service.errors import Refused
from vividowl.service.runs.all_runs import all_runs
from vividowl.service.runs.observed import at_one_speed, observed, stated
from vividowl.service.runs.ranked import By, factor_of
from vividowl.service.runs.tables import plans_for
from vividowl.service.workshop import Actor, Workshop
from vividowl.words import sentence


@dataclass(frozen=True, kw_only=True)
class FactoredRuns:
    """effects; runs: keys of the runs of each combination of levels; plans of runs with what is still to do;
    without: how many runs lack a factor or the figure; fan_rpm: speed that all were brought to [rpm], None where none
    was."""

    effects: Factors
    runs: Mapping[tuple[str, ...], tuple[str, ...]]
    plans: tuple[tuple[Proposed, tuple[tuple[str, ...], ...]], ...]
    without: int
    fan_rpm: float | None


def factored_runs(
    workshop: Workshop, actor: Actor, job_id: uuid.UUID, *, factors: Sequence[By], value: str
) -> FactoredRuns:
    """What each of several changes brought."""
    found = all_runs(workshop, actor, job_id)
    runs = [o for o in observed(found, value) if all(factor_of(by, o.row) for by in factors)]
    runs, fan_rpm = at_one_speed(runs, value) if By.FAN not in factors else (runs, None)
    cells = [tuple(factor_of(by, o.row) for by in factors) for o in runs]
    try:
        names = [sentence(say(f"factor-{by.value}")) for by in factors]
        effects = factor_effects(names, cells, values=[o.value for o in runs], standard=stated(runs))
    except CoreError as error:
        raise Refused("invalid", error.message, field="factors", remedy=error.remedy) from error
    keys: dict[tuple[str, ...], tuple[str, ...]] = {}
    for cell, o in zip(cells, runs, strict=True):
        keys[cell] = (*keys.get(cell, ()), o.row.run.key)
    return FactoredRuns(
        effects=effects, runs=keys, plans=plans_for(effects), without=len(found.runs) - len(runs), fan_rpm=fan_rpm
    )
