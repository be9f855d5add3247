"""How a figure changes from visit to visit, and when it will have gone too far."""

from __future__ import annotations

from collections.abc import Callable, Sequence
from dataclasses import dataclass
from itertools import pairwise

from vividowl.core.quantities.errors import NotEnoughData, OutOfRange
from vividowl.core.quantities.words import Words, say
from vividowl.core.runs.groups import Method
from vividowl.core.runs.line import Line, fit_line

MONTHS_MOST = 1200.0  # further nothing is said; a limit of the product
_HALVINGS = 60


@dataclass(frozen=True)
class Drift:
    """slope [y/month] with u95, None where nothing tells it; now: value of the line at the last visit [y] with now_u95;
    shown: whether it drifts at all; to_limit, earliest, latest: months from the last visit until the limit [month],
    None where no drift towards it is shown or it lies beyond a century; reason: why, or nothing."""

    slope: float
    u95: float | None
    now: float
    now_u95: float | None
    shown: bool
    to_limit: float | None
    earliest: float | None
    latest: float | None
    method: Method
    reason: Words = ""


def drift(
    months: Sequence[float], values: Sequence[float], standard: Sequence[float] = (), limit: float | None = None
) -> Drift:
    """Drift over visits, and when it meets a limit.

    months: when (n,) [month], never backwards
    values: what was found (n,) [y]
    standard: standard uncertainty of each (n,) [y], or empty
    limit: value that it shall not pass [y], or None
    returns: Drift
    raises: NotEnoughData with fewer than two different months, OutOfRange where they go backwards
    formula: a straight line; the limit is met where the line, and the band of 95 % about it, reach it
    range: nothing is said where the slope does not exceed its own uncertainty
    source: JCGM 100:2008, H.3; the band after Fieller
    """
    for at, (one, other) in enumerate(pairwise(months)):
        if other < one:
            raise OutOfRange(
                say("drift-months-go-back", number=at + 2, one=one, other=other),
                field="months",
                remedy=say("drift-put-in-order"),
            )
    if len(set(months)) < 2:
        raise NotEnoughData(say("drift-one-month"), field="months", remedy=say("drift-another-visit"))
    line = fit_line(months, values, standard)
    last = months[-1]
    now, now_u95, u95 = line.at(last), line.u95_at(last), line.slope_u95
    shown = u95 is not None and abs(line.slope) > u95
    basis = (line.slope, u95, now, now_u95, shown)
    if not shown:
        bent = bool(standard) and line.method is Method.POOLED
        none = say("drift-not-straight") if bent else say("drift-none-shown")
        why = say("drift-scatter-not-known") if u95 is None else none
        return Drift(*basis, None, None, None, line.method, why)
    if limit is None:
        return Drift(*basis, None, None, None, line.method)
    if (limit - now) * line.slope < 0:
        past = (limit - line.at(months[0])) * line.slope >= 0
        why = say("drift-past-limit") if past else say("drift-away-from-limit")
        met = 0.0 if past else None
        return Drift(*basis, met, met, met, line.method, why)
    found = (limit - now) / line.slope
    if found > MONTHS_MOST:
        return Drift(*basis, None, None, None, line.method, say("drift-far-away"))
    return Drift(*basis, found, *_band(line, limit, last), line.method)


def _band(line: Line, limit: float, last: float) -> tuple[float | None, float | None]:
    """Months until the near and the far edge of the band reach the limit; None beyond what is said."""
    way = 1.0 if line.slope > 0 else -1.0

    def edge(side: float) -> Callable[[float], float]:
        def left(ahead: float) -> float:
            return way * (limit - line.at(last + ahead)) - side * (line.u95_at(last + ahead) or 0.0)

        return left

    return _root(edge(1.0)), _root(edge(-1.0))


def _root(left: Callable[[float], float]) -> float | None:
    """Where what is left is used up, from 0 on; None when it is not within what is said."""
    if left(0.0) <= 0.0:
        return 0.0
    low, high = 0.0, 1.0
    while left(high) > 0.0:
        low, high = high, 2.0 * high
        if low > MONTHS_MOST:
            return None
    for _ in range(_HALVINGS):
        middle = 0.5 * (low + high)
        low, high = (middle, high) if left(middle) > 0.0 else (low, middle)
    return high
