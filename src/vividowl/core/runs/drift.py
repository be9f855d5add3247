"""How a figure changes from visit to visit, and when it will have gone too far."""

from __future__ import annotations

import math
from collections.abc import Callable, Sequence
from dataclasses import dataclass, replace
from itertools import pairwise
from typing import Protocol

import numpy as np
from numpy.typing import NDArray

from vividowl.core.quantities.errors import NotEnoughData, OutOfRange
from vividowl.core.quantities.uncertainty import coverage_factor
from vividowl.core.quantities.words import Words, say
from vividowl.core.runs.groups import CONTRADICTED_AT, Method
from vividowl.core.runs.line import Line, fit_line

MONTHS_MOST = 1200.0  # further nothing is said; a limit of the product
_HALVINGS = 60
# Chance by luck below which visits are believed to lie on a bend, and how many it takes; from memory.
BENT_AT, BEND_LEAST = 0.1, 5
# Correlation of neighbours from which visits hang together, what a line of few points takes of it (times 1/n), the most
# that is believed, and how many visits it takes; by trial.
TOGETHER_FROM, TOGETHER_BIAS, TOGETHER_MOST, TOGETHER_LEAST = 0.1, 3.5, 0.8, 6


@dataclass(frozen=True, kw_only=True)
class Drift:
    """slope [y/month] with u95, None where nothing tells it; now: value of the line at the last visit [y] with now_u95;
    shown: whether it drifts at all; to_limit, earliest, latest: months from the last visit until the limit [month],
    None where no drift towards it is shown or it lies beyond a century; reason: why, or nothing."""

    slope: float
    u95: float | None
    now: float
    now_u95: float | None
    shown: bool
    method: Method
    to_limit: float | None = None
    earliest: float | None = None
    latest: float | None = None
    reason: Words = ""


def drift(
    months: Sequence[float], values: Sequence[float], standard: Sequence[float] = (), limit: float | None = None
) -> Drift:
    """Drift over visits, and when it meets a limit.

    months: when (n,) [month], never backwards
    values: what was found (n,) [y]
    standard: standard uncertainty of each (n,) [y], or empty
    limit: value that it shall not pass [y], or None
    raises: NotEnoughData with fewer than two different months, OutOfRange where they go backwards
    formula: a straight line; the limit is met where the line, and the band of 95 % about it, reach it
    range: nothing is said where the slope does not exceed its own uncertainty; a bend that is shown at 10 % is followed
        by a parabola; visits that hang together widen all of it
    source: JCGM 100:2008, H.3; the band after Fieller
    """
    for at, (one, other) in enumerate(pairwise(months)):
        if other < one:
            raise OutOfRange(say("drift-months-go-back", number=at + 2, one=one, other=other), field="months")
    if len(set(months)) < 2:
        raise NotEnoughData(say("drift-one-month"), field="months")
    line = fit_line(months, values, standard)
    wider = _wider(line, months, values)
    bent = _bent(line, months, values, standard)
    curve: _Curve = bent or _Widened(line, wider)
    last = months[-1]
    now, now_u95 = curve.at(last), curve.u95_at(last)
    u95 = None if line.slope_u95 is None else wider * line.slope_u95
    shown = u95 is not None and abs(line.slope) > u95
    basis = Drift(slope=line.slope, u95=u95, now=now, now_u95=now_u95, shown=shown, method=line.method)
    if bent is not None and shown:
        return _on_a_bend(bent, basis, limit, last)
    if not shown:
        crooked = bool(standard) and line.method is Method.POOLED
        none = say("drift-not-straight") if crooked else say("drift-none-shown")
        why = say("drift-scatter-not-known") if u95 is None else none
        return replace(basis, reason=why)
    if limit is None:
        return basis
    if (limit - now) * line.slope < 0:
        past = (limit - line.at(months[0])) * line.slope >= 0
        why = say("drift-past-limit") if past else say("drift-away-from-limit")
        met = 0.0 if past else None
        return replace(basis, to_limit=met, earliest=met, latest=met, reason=why)
    found = (limit - now) / line.slope
    if found > MONTHS_MOST:
        return replace(basis, reason=say("drift-far-away"))
    earliest, latest = _band(curve, line.slope, limit, last)
    return replace(basis, to_limit=found, earliest=earliest, latest=latest)


class _Curve(Protocol):
    """What a figure follows: its value and the expanded uncertainty of it."""

    def at(self, x: float) -> float:
        """Value there."""

    def u95_at(self, x: float) -> float | None:
        """Its expanded uncertainty."""


@dataclass(frozen=True)
class _Widened:
    line: Line
    wider: float

    def at(self, x: float) -> float:
        return self.line.at(x)

    def u95_at(self, x: float) -> float | None:
        u95 = self.line.u95_at(x)
        return None if u95 is None else self.wider * u95


@dataclass(frozen=True)
class _Bent:
    """A line that bends. numbers: of 1, t, t^2 from the middle (3,); spread: their covariance (3, 3)."""

    middle: float
    numbers: NDArray[np.float64]
    spread: NDArray[np.float64]
    factor: float

    def _row(self, x: float) -> NDArray[np.float64]:
        far = x - self.middle
        return np.array([1.0, far, far * far])

    def at(self, x: float) -> float:
        return float(self._row(x) @ self.numbers)

    def u95_at(self, x: float) -> float:
        row = self._row(x)
        return self.factor * math.sqrt(max(0.0, float(row @ self.spread @ row)))

    def slope_at(self, x: float) -> float:
        return float(self.numbers[1] + 2.0 * self.numbers[2] * (x - self.middle))


def _bent(line: Line, months: Sequence[float], values: Sequence[float], standard: Sequence[float]) -> _Bent | None:
    """The visits on a bend, None where a straight line does."""
    from scipy.special import chdtrc, fdtrc  # here, since the import alone takes part of a second of the start

    n = len(values)
    if n < BEND_LEAST or len(set(months)) < BEND_LEAST - 1 or line.method is Method.NONE:
        return None
    # What contradicts a straight line may be the bend itself, so what is stated is asked of the bend.
    stated = bool(standard)
    u = np.asarray(standard, dtype=float) if stated else np.ones(n)
    far, y = np.asarray(months, dtype=float) - line.middle, np.asarray(values, dtype=float)
    columns = np.stack((np.ones(n), far, far**2), axis=1) / u[:, None]
    numbers = np.linalg.lstsq(columns, y / u, rcond=None)[0]
    squares = float(((y / u - columns @ numbers) ** 2).sum())
    straight = float((((y - np.array([line.at(m) for m in months])) / u) ** 2).sum())
    gain, freedom = max(0.0, straight - squares), n - 3
    stated = stated and bool(chdtrc(freedom, squares) >= CONTRADICTED_AT)
    chance = chdtrc(1, gain) if stated else fdtrc(1, freedom, gain / max(squares / freedom, 1e-300))
    if chance >= BENT_AT:
        return None
    variance = 1.0 if stated else squares / freedom
    spread = variance * np.linalg.inv(columns.T @ columns)
    return _Bent(line.middle, numbers, spread, coverage_factor(math.inf if stated else float(freedom)))


def _on_a_bend(
    bent: _Bent,
    basis: Drift,
    limit: float | None,
    last: float,
) -> Drift:
    """A drift that quickens or slows down: when it meets its limit follows the bend."""
    reason, slope = say("drift-bends", quicker=bool(bent.slope_at(last) * bent.numbers[2] > 0.0)), bent.slope_at(last)
    if limit is None or (limit - bent.at(last)) * slope <= 0:
        return replace(basis, reason=reason)

    def left(ahead: float) -> float:
        return (limit - bent.at(last + ahead)) * (1.0 if slope > 0 else -1.0)

    found = _root(left)
    earliest, latest = _band(bent, slope, limit, last)
    return replace(basis, to_limit=found, earliest=earliest, latest=latest, reason=reason)


def _wider(line: Line, months: Sequence[float], values: Sequence[float]) -> float:
    """By how much more the figures of a line are uncertain where visits hang together: each is nearer to the one before
    than luck would set it."""
    n = len(values)
    if n < TOGETHER_LEAST or line.method is Method.STATED:
        return 1.0
    left = [v - line.at(m) for m, v in zip(months, values, strict=True)]
    squares = math.fsum(e * e for e in left)
    if squares <= 0.0:
        return 1.0
    # What a fitted line takes away of the correlation is put back; small values of it are luck.
    r = math.fsum(a * b for a, b in pairwise(left)) / squares + TOGETHER_BIAS / n
    r = min(TOGETHER_MOST, r)
    return math.sqrt((1.0 + r) / (1.0 - r)) if r > TOGETHER_FROM else 1.0


def _band(curve: _Curve, slope: float, limit: float, last: float) -> tuple[float | None, float | None]:
    """Months until the near and the far edge of the band reach the limit; None beyond what is said."""
    way = 1.0 if slope > 0 else -1.0

    def edge(side: float) -> Callable[[float], float]:
        def left(ahead: float) -> float:
            return way * (limit - curve.at(last + ahead)) - side * (curve.u95_at(last + ahead) or 0.0)

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
