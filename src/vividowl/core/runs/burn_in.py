"""How a fresh interface runs in: where it ends, what is still to come, and how much more it needs."""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass
from itertools import pairwise

import numpy as np
from numpy.typing import NDArray

from vividowl.core.quantities.errors import NotEnoughData, OutOfRange
from vividowl.core.quantities.uncertainty import coverage_factor
from vividowl.core.quantities.words import Words, say
from vividowl.core.runs.groups import CONTRADICTED_AT, Method

Values = NDArray[np.float64]
RUNS_LEAST = 4  # three numbers are fitted; one more tells whether they fit
# Time constants that are tried, as shares of the stretch that was run; and as many in between. Numerics.
TAU_LEAST, TAU_MOST, TAUS = 0.05, 10.0, 160
ENDS = 801  # values of the end that are tried for its interval; numerics
CHANGE_SHOWN_AT = 0.025  # chance by luck, in each of two tests, below which a change from run to run is believed
# Chance by luck below which runs are believed to go on otherwise than one exponential does, and how much of what was
# run is asked for then; from memory.
BENDS_AT, MORE_SHARE = 0.05, 0.5
# A straight way that brings so many times what one run can show within as many runs again is open, where the approach
# itself is quick against what was run; by trial on two time constants and power laws.
WAY_OPEN, TAU_OPEN = 1.5, 0.25
END_UNKNOWN_SPANS = 1.5  # interval of the end over the whole change so far, from which it is not known; from memory


@dataclass(frozen=True, kw_only=True)
class BurnIn:
    """settled: what is still to come is less than one run can show, None where nothing tells; final [y] with final_u95,
    None where the runs do not say where it ends; rest: still to come at the last run [y], as what it will fall by;
    more_needed: how much further [x] until the rest is below what one run can show, 0 when settled; one_run_u95: what
    one run can show [y]; tau: constant of the approach [x], None where nothing changes; method, reason: as others."""

    settled: bool | None
    final: float | None
    final_u95: float | None
    rest: float | None
    more_needed: float | None
    one_run_u95: float | None
    tau: float | None
    method: Method
    reason: Words = ""


def burn_in(x: Sequence[float], values: Sequence[float], standard: Sequence[float] = ()) -> BurnIn:
    """Judge whether a figure has run in.

    x: heat cycles, hours or days since fitting (n,) [x], never falling
    values: what was found (n,) [y], corrected for the room
    standard: standard uncertainty of each (n,) [y], or empty
    raises: NotEnoughData with fewer than four runs or all at one x, OutOfRange where x falls
    formula: y = end + A exp(-x / tau); settled when A exp(-x_n / tau) < U of one run; the interval of the end is that
        of the profile of the squares, since it is seldom even
    range: a change that is not told from scatter counts as none; an end further away than the runs tell is not known,
        nor one where a straight way on beside the exponential is shown at 5 %
    source: handbook/runs.md: first-order approach, common practice; profile interval after Bates and Watts 1988
    """
    for at, (one, other) in enumerate(pairwise(x)):
        if other < one:
            raise OutOfRange(say("burn-in-count-falls", number=at + 2, one=one, other=other), field="x")
    if len(values) < RUNS_LEAST:
        raise NotEnoughData(say("burn-in-too-few", runs=len(values), least=RUNS_LEAST), field="values")
    if len(set(x)) < 2:
        raise NotEnoughData(say("burn-in-one-count"), field="x")
    fit = _Fit(np.asarray(x, dtype=float), np.asarray(values, dtype=float), np.asarray(standard, dtype=float))
    if fit.method is Method.NONE:
        return BurnIn(
            settled=None,
            final=None,
            final_u95=None,
            rest=None,
            more_needed=None,
            one_run_u95=None,
            tau=None,
            method=fit.method,
            reason=say("groups-repeats-equal"),
        )
    one_run = fit.one_run_u95
    if fit.bends:
        # What does not approach as one exponential does may go on for long, or turn.
        more = MORE_SHARE * float(x[-1] - x[0])
        return BurnIn(
            settled=False,
            final=None,
            final_u95=None,
            rest=None,
            more_needed=more,
            one_run_u95=one_run,
            tau=None,
            method=fit.method,
            reason=say("burn-in-shape", more=more),
        )
    if not fit.changes:
        return BurnIn(
            settled=True,
            final=fit.mean,
            final_u95=fit.mean_u95,
            rest=0.0,
            more_needed=0.0,
            one_run_u95=one_run,
            tau=None,
            method=fit.method,
            reason=say("burn-in-no-change"),
        )
    low, high = fit.interval()
    u95 = max(fit.end - low, high - fit.end)
    if not math.isfinite(u95) or u95 > END_UNKNOWN_SPANS * fit.span:
        return BurnIn(
            settled=False,
            final=None,
            final_u95=None,
            rest=None,
            more_needed=None,
            one_run_u95=one_run,
            tau=None,
            method=fit.method,
            reason=say("burn-in-end-not-known"),
        )
    more = 0.0 if abs(fit.rest) < one_run else fit.tau * math.log(abs(fit.rest) / one_run)
    return BurnIn(
        settled=more == 0.0,
        final=fit.end,
        final_u95=u95,
        rest=fit.rest,
        more_needed=more,
        one_run_u95=one_run,
        tau=fit.tau,
        method=fit.method,
    )


class _Fit:
    """The approach fitted over a raster of time constants, each with its end and size by least squares."""

    def __init__(self, x: Values, y: Values, standard: Values) -> None:
        n = len(y)
        self._stated = bool(len(standard))
        weights = 1.0 / standard**2 if self._stated else np.ones(n)
        self._solve(x, y, weights)
        if self._stated and n > RUNS_LEAST - 1 and self._contradicted(n - 3):
            self._stated, weights = False, np.ones(n)
            self._solve(x, y, weights)
        self.freedom = math.inf if self._stated else float(n - 3)
        self._variance = 1.0 if self._stated else self.squares / (n - 3)
        # What rounding leaves is no scatter.
        none = not self._stated and self.squares <= 1e-20 * float(y @ y)
        self.method = Method.NONE if none else Method.STATED if self._stated else Method.POOLED
        self._factor = coverage_factor(self.freedom)
        own = float(np.mean(standard)) if self._stated else math.sqrt(self._variance)
        self.one_run_u95 = self._factor * own
        self.mean = float(np.average(y, weights=weights))
        self.mean_u95 = self._mean_u95(y, weights)

    def _solve(self, x: Values, y: Values, weights: Values) -> None:
        from scipy.optimize import minimize_scalar  # here, since the import alone takes part of a second of the start

        self._x, self._y, self._weights = x - x[0], y, weights
        raster = np.geomspace(TAU_LEAST, TAU_MOST, TAUS) * self._x[-1]
        squares = self._by_tau(raster)[2]
        at = int(np.argmin(squares))
        around = np.log(raster[[max(at - 1, 0), min(at + 1, TAUS - 1)]])
        found = minimize_scalar(lambda log_tau: self._by_tau(np.exp([log_tau]))[2][0], bounds=around, method="bounded")
        best = raster[at] if squares[at] < found.fun else math.exp(float(found.x))
        taus = np.array([best])
        ends, sizes, least = self._by_tau(taus)
        self.tau, self.end, self._size, self.squares = float(best), float(ends[0]), float(sizes[0]), float(least[0])
        self.rest = self._size * math.exp(-self._x[-1] / self.tau)
        self.span = abs(self._size)
        self._e = np.exp(-self._x[None, :] / np.append(raster, best)[:, None])
        mean = float(y @ weights) / float(weights.sum())
        self.flat_squares = float(((y - mean) ** 2) @ weights)
        far = self._x - float(self._x @ weights) / float(weights.sum())
        slope = float((weights * far) @ (y - mean)) / float((weights * far) @ far)
        self.line_squares = float(((y - mean - slope * far) ** 2) @ weights)

    def _by_tau(self, taus: Values) -> tuple[Values, Values, Values]:
        """End, size and the squares left, for each time constant."""
        w, y, whole = self._weights, self._y, float(self._weights.sum())
        e = np.exp(-self._x[None, :] / taus[:, None])
        e_mean, y_mean = e @ w / whole, float(y @ w) / whole
        centred = e - e_mean[:, None]
        sizes = (centred @ (w * (y - y_mean))) / np.maximum((centred**2) @ w, 1e-300)
        left = (y - y_mean)[None, :] - sizes[:, None] * centred
        return y_mean - sizes * e_mean, sizes, (left**2) @ w

    def _contradicted(self, freedom: int) -> bool:
        from scipy.special import chdtrc  # here, since the import alone takes part of a second of the start

        return bool(chdtrc(freedom, self.squares) < CONTRADICTED_AT)

    def _mean_u95(self, y: Values, weights: Values) -> float:
        if self._stated:
            return self._factor / math.sqrt(float(weights.sum()))
        return coverage_factor(len(y) - 1.0) * float(np.std(y, ddof=1)) / math.sqrt(len(y))

    @property
    def changes(self) -> bool:
        """Whether an approach, or with few runs a straight line, explains more than luck would."""
        left = self.line_squares
        return self._explains(2, self.squares, len(self._y) - 3) or self._explains(1, left, len(self._y) - 2)

    @property
    def bends(self) -> bool:
        """Whether a straight way on beside the exponential explains more than luck would: two time constants, a power
        law and a film that pumps out all leave one."""
        from scipy.special import chdtrc, fdtrc  # here, since the import alone takes part of a second of the start

        n, w = len(self._y), self._weights
        if n < RUNS_LEAST + 1:
            return False
        root, left, ways = np.sqrt(w), [], []
        for e in self._e:
            columns = np.stack((np.ones(n), e, self._x / self._x[-1]), axis=1) * root[:, None]
            found = np.linalg.lstsq(columns, root * self._y, rcond=None)[0]
            left.append(float(((root * self._y - columns @ found) ** 2).sum()))
            ways.append(abs(float(found[2])))
        best = min(left)
        if (
            ways[int(np.argmin(left))] > WAY_OPEN * self.one_run_u95
            and self.changes
            and self.tau < TAU_OPEN * self._x[-1]
        ):
            return True  # as much again would come within as many runs again
        gain, freedom = max(0.0, self.squares - best), n - 4
        if self._stated:
            return bool(chdtrc(1, gain) < BENDS_AT)
        return bool(fdtrc(1, freedom, gain / max(best / freedom, 1e-300)) < BENDS_AT)

    def _explains(self, numbers: int, squares: float, freedom: int) -> bool:
        from scipy.special import chdtrc, fdtrc  # here, since the import alone takes part of a second of the start

        gain = max(0.0, self.flat_squares - squares)
        if self._stated:
            return bool(chdtrc(numbers, gain) < CHANGE_SHOWN_AT)
        return bool(fdtrc(numbers, freedom, gain / numbers / max(squares / freedom, 1e-300)) < CHANGE_SHOWN_AT)

    def interval(self) -> tuple[float, float]:
        """Ends of 95 %: where the least squares for a fixed end rise by k^2 variances; infinite beyond the raster."""
        wide = 4.0 * self.span + 4.0 * self.one_run_u95
        ends = self.end + np.linspace(-wide, wide, ENDS)
        w = self._weights
        sey = self._e @ (w * self._y)
        se, see = self._e @ w, (self._e**2) @ w
        # For each end and time constant the best size, and what it leaves.
        gap = sey[None, :] - ends[:, None] * se[None, :]
        left = ((self._y[None, :] - ends[:, None]) ** 2) @ w
        squares = left[:, None] - gap**2 / see[None, :]
        inside = squares.min(axis=1) <= self.squares + self._factor**2 * self._variance
        if inside[0] or inside[-1]:
            return (-math.inf if inside[0] else self.end), (math.inf if inside[-1] else self.end)
        held = ends[inside]
        step = float(ends[1] - ends[0])
        return float(held.min()) - step / 2, float(held.max()) + step / 2
