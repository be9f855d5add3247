"""How many runs a wanted difference needs."""

from __future__ import annotations

import math
from dataclasses import dataclass

from vividowl.core.quantities.errors import OutOfRange, require_range
from vividowl.core.quantities.uncertainty import COVERAGE_FACTOR
from vividowl.core.quantities.words import say

RUNS_MOST = 10_000  # a side; a limit of the product


@dataclass(frozen=True)
class Repeats:
    """runs_each: runs on each side [1]; u95: expanded uncertainty of the difference that they leave [same as sd]."""

    runs_each: int
    u95: float


def repeats_needed(sd: float, want: float, k: float = COVERAGE_FACTOR) -> Repeats:
    """Runs on each side so that a wanted difference shows.

    sd: standard deviation from run to run [any], > 0
    want: least difference that shall show [same], > 0
    k: coverage factor [1]
    returns: Repeats
    raises: OutOfRange, also where it would take more than 10 000 runs
    formula: U = k s sqrt(2 / n) <= D
    range: takes the scatter as known; few runs do not know it themselves
    source: handbook/runs.md: JCGM 100:2008, 5.1.2 and 6.2.1, for two means of n runs
    """
    require_range("sd", sd, "", 1e-12, 1e12, say("repeats-from-runs-under-same-conditions"))
    require_range("want", want, "", 1e-12, 1e12)
    require_range("k", k, "", 1.0, 10.0)
    # A hair less, so that a whole number is not lost to rounding.
    runs = max(1, math.ceil(2.0 * (k * sd / want) ** 2 * (1.0 - 1e-12)))
    if runs > RUNS_MOST:
        raise OutOfRange(
            say("repeats-too-many", runs=runs, most=RUNS_MOST), field="want", remedy=say("repeats-ask-for-less")
        )
    return Repeats(runs, k * sd * math.sqrt(2.0 / runs))
