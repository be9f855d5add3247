"""How many runs a wanted difference needs."""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass
from statistics import NormalDist

from vividowl.core.quantities.errors import OutOfRange, require_range
from vividowl.core.quantities.uncertainty import COVERAGE_FACTOR, Tolerances
from vividowl.core.quantities.words import say

FREEDOM_LEAST = 8  # degrees of freedom from which a shop's own repeats are asked; from memory
OWN_LEAST_SHARE = 0.5  # of the usual run to run that repeats of one sitting may save; from memory
UPPER_BOUND = 0.8  # level of the bound of their scatter; from memory
NINE_IN_TEN = 0.9  # how often a wanted difference shall be shown, where nobody says otherwise
RUNS_MOST = 10_000  # a side; a limit of the product


@dataclass(frozen=True)
class Repeats:
    """runs_each: runs on each side [1]; u95: expanded uncertainty of the difference that they leave [same as sd];
    power: how often the wanted difference is then shown [1]."""

    runs_each: int
    u95: float
    power: float


@dataclass(frozen=True, kw_only=True)
class OwnScatter:
    """What repeats of one recipe in this shop scatter by: half_width_k [K] to put in place of the usual run to run;
    logs and runs that tell it [1]; shown_k: least difference that it lets show [K], shown_usual_k: that of the usual
    one."""

    half_width_k: float
    logs: int
    runs: int
    shown_k: float
    shown_usual_k: float


def own_scatter(rises_k: Sequence[Sequence[float]], usual: Tolerances) -> OwnScatter | None:
    """What the repeats of a shop say of its run to run.

    rises_k: rise over the room of the logs of each run (m, n) [K]
    usual: the usual half-widths
    returns: OwnScatter, None below eight degrees of freedom
    formula: pooled s = sqrt(sum (x - mean)^2 / sum (n - 1)), its upper bound of 80 % by chi^2; a = sqrt(3) s;
        U = 2 sqrt(2) sqrt(a^2 / 3 + a_room^2 / 3)
    range: repeats of one sitting do not show what changes from day to day, so half of the usual is the least
    source: JCGM 100:2008, 4.2 and 4.3.7; the bounds are from memory
    """
    from scipy.special import chdtri  # here, since the import alone takes part of a second of the start

    several = [run for run in rises_k if len(run) > 1]
    freedom = sum(len(run) - 1 for run in several)
    if freedom < FREEDOM_LEAST:
        return None
    squares = sum(sum((x - sum(run) / len(run)) ** 2 for x in run) for run in several)
    bound = math.sqrt(squares / float(chdtri(freedom, UPPER_BOUND)))
    half_width_k = max(OWN_LEAST_SHARE * usual.run_to_run_k, math.sqrt(3.0) * bound)

    def shows(a_k: float) -> float:
        return COVERAGE_FACTOR * math.sqrt(2.0) * math.hypot(a_k, usual.room_k) / math.sqrt(3.0)

    return OwnScatter(
        half_width_k=half_width_k,
        logs=sum(map(len, several)),
        runs=len(several),
        shown_k=shows(half_width_k),
        shown_usual_k=shows(usual.run_to_run_k),
    )


def repeats_needed(sd: float, want: float, k: float = COVERAGE_FACTOR, power: float = NINE_IN_TEN) -> Repeats:
    """Runs on each side so that a wanted difference shows as often as asked.

    sd: standard deviation from run to run [any], > 0
    want: least difference that shall show [same], > 0
    k: coverage factor [1]
    power: how often a true difference of that size shall be shown [1], 0.5 to 0.999
    raises: OutOfRange, also where it would take more than 10 000 runs
    formula: (k + z) s sqrt(2 / n) <= D with z the normal quantile of the power; at a power of one half U = D
    range: takes the scatter as known; few runs do not know it themselves
    source: handbook/runs.md: JCGM 100:2008, 5.1.2 and 6.2.1, for two means of n runs; the power
        after the textbook
    """
    require_range("sd", sd, "", (1e-12, 1e12), hint=say("repeats-from-runs-under-same-conditions"))
    require_range("want", want, "", (1e-12, 1e12))
    require_range("k", k, "", (1.0, 10.0))
    reach = k + NormalDist().inv_cdf(require_range("power", power, "", (0.5, 0.999)))
    # A hair less, so that a whole number is not lost to rounding.
    runs = max(1, math.ceil(2.0 * (reach * sd / want) ** 2 * (1.0 - 1e-12)))
    if runs > RUNS_MOST:
        raise OutOfRange(say("repeats-too-many", runs=runs, most=RUNS_MOST), field="want")
    left = sd * math.sqrt(2.0 / runs)
    return Repeats(runs, k * left, NormalDist().cdf(want / left - k))
