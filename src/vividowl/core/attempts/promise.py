"""Whether a service kept what its plan promised, and whether it failed."""

from __future__ import annotations

from enum import StrEnum

from vividowl.core.plan.prediction import Interval
from vividowl.core.verdict.verdicts import Verdict


class Kept(StrEnum):
    """What became of a promise."""

    KEPT = "kept"
    BETTER = "better"
    MISSED = "missed"
    UNKNOWN = "unknown"


class Failure(StrEnum):
    """How a service failed: worse than before, no better although a gain was promised, or less than was promised."""

    NONE = "none"
    WORSE = "worse"
    NO_BETTER = "no_better"
    LESS = "less"


# After these the way on is to find out why; with less than promised it is offered.
STOPS = (Failure.WORSE, Failure.NO_BETTER)


def promise_kept(promised: Interval, measured: float, u95: float) -> Kept:
    """Lay a measured resistance over the promised interval; missed or better only where the uncertainty allows it.

    promised: interval of the plan [K/W]
    measured: resistance after [K/W], > 0
    u95: its expanded uncertainty [K/W], >= 0
    """
    if measured - u95 > promised.high:
        return Kept.MISSED
    return Kept.BETTER if measured + u95 < promised.low else Kept.KEPT


def failure_of(verdict: Verdict | None, kept: Kept) -> Failure:
    """Whether a service failed.

    verdict: of Before and After, None while one of them is not measured
    kept: what became of the promise; unknown without a plan
    returns: Failure; none where nothing can be compared, since then the run is repeated first
    source: handbook/runs.md: common practice, no source
    """
    if verdict in (Verdict.WORSE, Verdict.WORSE_IF_SAME):
        return Failure.WORSE
    if kept is not Kept.MISSED or verdict is None or verdict is Verdict.CANNOT_BE_COMPARED:
        return Failure.NONE
    return Failure.NO_BETTER if verdict is Verdict.NO_DIFFERENCE_SHOWN else Failure.LESS
