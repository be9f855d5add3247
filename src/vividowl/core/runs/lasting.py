"""How long a gain lasts: time to lose half of it, with devices that still hold counted as such."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass
from typing import Any

import numpy as np
import numpy.typing as npt

from vividowl.core.quantities.errors import NotEnoughData, require_range
from vividowl.core.quantities.uncertainty import COVERAGE_FACTOR, combined
from vividowl.core.quantities.words import say

TOLD_FROM = 3  # [1] cases below which nothing is told of many; common practice, no source
HALF = 0.5  # of the gain that is gone (definition)
CONFIDENCE = 0.95  # of the interval (definition)


@dataclass(frozen=True)
class Held:
    """One device after one service. months: until half of the gain was gone, or as long as it was seen to hold; gone:
    whether half was gone."""

    months: float
    gone: bool


@dataclass(frozen=True, kw_only=True)
class Lasting:
    """n: services that were looked at again; gone: of them half lost; median_months with low and high: time to lose
    half of the gain [month], None where it is not reached yet."""

    n: int
    gone: int
    median_months: float | None
    low_months: float | None
    high_months: float | None


@dataclass(frozen=True)
class Spread:
    """n values: median, and the quartiles between which half of them lie."""

    n: int
    median: float
    low: float
    high: float


def held_of(
    before: tuple[float, float], after: tuple[float, float], later: tuple[float, float], months: float
) -> Held | None:
    """What a later look says of a gain.

    before: resistance and its standard uncertainty before the service [K/W]
    after: the same after it [K/W]
    later: the same as it came in again [K/W]
    months: from the service to then [month], > 0
    returns: Held; None where no gain was shown that could be lost
    raises: OutOfRange
    formula: lost = (R_later - R_after) / (R_before - R_after); half gone at months * 0.5 / lost, a straight loss
    source: handbook/runs.md: common practice, no source
    """
    require_range("months", months, "months", (1e-6, 600.0))
    gain = before[0] - after[0]
    if gain <= COVERAGE_FACTOR * combined(before[1], after[1]):
        return None
    lost = (later[0] - after[0]) / gain
    return Held(months * HALF / lost, True) if lost >= HALF else Held(months, False)


def lasting(held: Sequence[Held]) -> Lasting | None:
    """Time to lose half of the gain over several services.

    held: what was seen of each (n,)
    returns: Lasting; None below three, of which nothing is told
    formula: product-limit estimate of those that still hold; the median is where it falls to one half, its interval
        where the log-log limits of 95 % do
    source: Kaplan and Meier 1958; log-log limits as in Kalbfleisch and Prentice, textbook
    """
    if len(held) < TOLD_FROM:
        return None
    from scipy.stats import CensoredData, ecdf  # here, since the import alone takes seconds of every start

    data: Any = CensoredData(
        uncensored=[h.months for h in held if h.gone], right=[h.months for h in held if not h.gone]
    )
    holds = ecdf(data).sf
    limits: Any = holds.confidence_interval(confidence_level=CONFIDENCE, method="log-log")

    def falls(shares: npt.ArrayLike) -> float | None:
        below = np.flatnonzero(np.asarray(shares, dtype=np.float64) <= HALF)
        return float(holds.quantiles[below[0]]) if len(below) else None

    return Lasting(
        n=len(held),
        gone=sum(h.gone for h in held),
        median_months=falls(holds.probabilities),
        low_months=falls(limits.low.probabilities),
        high_months=falls(limits.high.probabilities),
    )


def spread_of(values: Sequence[float]) -> Spread | None:
    """Median and quartiles of a few values.

    values: of one quantity (n,) [any]
    returns: Spread; None below three, of which nothing is told
    raises: NotEnoughData for a value that is no number
    source: textbook statistics; quantiles by linear interpolation
    """
    if len(values) < TOLD_FROM:
        return None
    array = np.asarray(values, dtype=np.float64)
    if not np.isfinite(array).all():
        raise NotEnoughData(say("groups-no-number", name=say("lasting-values")), field="values")
    low, median, high = (float(v) for v in np.quantile(array, [0.25, 0.5, 0.75]))
    return Spread(len(values), median, low, high)
