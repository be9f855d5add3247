"""Sums of exponentials fitted by variable projection: the time constants are searched, the weights are solved for."""

from __future__ import annotations

import math
from collections.abc import Callable, Sequence
from dataclasses import dataclass

import numpy as np

from vividowl.core.trace.trace import Series

LOG_STEP = 1e-6  # of the logarithm of a time constant, for a difference quotient (numerics)


@dataclass(frozen=True, kw_only=True)
class Fit:
    """taus and weights (k,) with their covariance ((2k + m)^2, weights first); residuals (n,); cost: their square sum;
    others (m,): weights of the columns that do not depend on a tau."""

    taus: Series
    weights: Series
    others: Series
    covariance: Series
    residuals: Series
    cost: float


def fit_exponentials(
    columns: Callable[[Series], Series],
    y: Series,
    *,
    guess: Sequence[float] | Series,
    others: Series | None = None,
    weight: Series | None = None,
    bounds: tuple[float, float] = (1e-6, 1e6),
    tolerance: float = 1e-8,
    slowest: tuple[float, float] | None = None,
) -> Fit:
    """Fit a sum of terms that depend on a time constant each, by variable projection.

    columns: gives the responses (n, k) of k terms [any] for their time constants (k,) [s]
    y: values (n,) [any]
    guess: time constants to start from (k,) [s]
    others: columns (n, m) that enter linearly, such as a constant [any]
    weight: square root of the weight of each value (n,) [1], None for equal ones
    bounds: least and largest time constant [s]
    tolerance: relative change at which the search stops [1]
    slowest: what is known beforehand of the largest time constant: its usual value [s] and how strongly a factor of e
        away from it weighs [same as y]; None when nothing is
    formula: min over tau of |W (y - A(tau) w)|, w by linear least squares
    source: Golub and Pereyra 1973; checked on NIST StRD Lanczos3
    """
    from scipy.optimize import leastsq  # here, since the import alone takes a second of the start

    w = np.ones(len(y)) if weight is None else weight
    fixed = np.empty((len(y), 0)) if others is None else others
    target = y * w
    k = len(guess)

    kept: dict[bytes, tuple[Series, Series, Series, Series]] = {}
    ahead: dict[bytes, Series] = {}

    def solve(log_taus: Series) -> tuple[Series, Series, Series, Series]:
        """Columns, an orthonormal basis of them, weights and residuals; kept for the Jacobian that asks next."""
        key = log_taus.tobytes()
        if key not in kept:
            kept.clear()
            ahead.clear()
            # One call for the columns and for those a small step ahead costs little more than one for the first alone.
            both = columns(np.exp(np.concatenate([log_taus, log_taus + LOG_STEP]))) * w[:, None]
            ahead[key] = both[:, k:]
            a = np.column_stack([both[:, :k], fixed * w[:, None]])
            q, r = np.linalg.qr(a)
            size = np.abs(np.diag(r))
            r[np.diag_indices_from(r)] += np.where(size < 1e-13 * max(float(size.max()), 1e-300), 1e-9, 0.0)
            projected = q.T @ target
            kept[key] = (a, q, np.linalg.solve(r, projected), target - q @ projected)
        return kept[key]

    def slopes(log_taus: Series, solution: Series) -> Series:
        """Derivative of the fitted curve to each log tau (n, k)."""
        a = solve(log_taus)[0][:, :k]
        return np.asarray((ahead[log_taus.tobytes()] - a) * (solution[:k] / LOG_STEP))

    def jacobian_of(log_taus: Series) -> Series:
        # The part of the slope that the weights cannot take up: Kaufman's simplification of 1975.
        _, q, solution, _ = solve(log_taus)
        slope = slopes(log_taus, solution)
        return np.asarray(q @ (q.T @ slope) - slope)

    low, high = math.log(bounds[0]), math.log(bounds[1])
    start = np.clip(np.log(np.asarray(guess, dtype=np.float64)), low + 1e-3, high - 1e-3)

    # The search runs over the whole line; a logistic curve keeps log tau between the bounds.
    def bounded(z: Series) -> Series:
        return low + (high - low) / (1.0 + np.exp(-np.clip(z, -40.0, 40.0)))

    def stretch(p: Series) -> Series:
        return (p - low) * (high - p) / (high - low)

    def misfit(z: Series) -> Series:
        p = bounded(z)
        known = [] if slowest is None else [(float(p.max()) - math.log(slowest[0])) * slowest[1]]
        return np.append(solve(p)[3], known)

    def slope_of_misfit(z: Series) -> Series:
        p = bounded(z)
        known = [] if slowest is None else [np.where(p == p.max(), slowest[1], 0.0)]
        return np.vstack([jacobian_of(p), *known]) * stretch(p)

    z, *_ = leastsq(
        misfit,
        -np.log((high - low) / (start - low) - 1.0),
        Dfun=slope_of_misfit,
        ftol=tolerance,
        xtol=tolerance,
        maxfev=80,
        full_output=True,
    )
    best = bounded(z)
    a, _, solution, residuals = solve(best)
    jacobian = np.column_stack([a, slopes(best, solution)])
    freedom = max(1, len(y) - jacobian.shape[1])
    cost = float(residuals @ residuals)
    # A term that the log does not show at all has a column of noughts: its uncertainty is large, no division by them.
    norm = np.sqrt(np.einsum("ij,ij->j", jacobian, jacobian))
    norm = np.maximum(norm, 1e-12 * float(norm.max()) + 1e-100)
    inverse = np.linalg.pinv((jacobian / norm).T @ (jacobian / norm), rcond=1e-14) / np.outer(norm, norm)
    order = np.argsort(best)
    m = fixed.shape[1]
    index = np.concatenate([order, k + np.arange(m), k + m + order])
    covariance = (inverse * cost / freedom)[np.ix_(index, index)]
    return Fit(
        taus=np.exp(best[order]),
        weights=solution[:k][order],
        others=solution[k:],
        covariance=covariance,
        residuals=residuals,
        cost=cost,
    )
