"""The approach to steady state: one exponential, fitted by variable projection, judged for what is still to come."""

from __future__ import annotations

import math
from dataclasses import dataclass

import numpy as np

from vividowl.core.errors import NotEnoughData
from vividowl.core.trace import Series

POINTS_MOST = 800


@dataclass(frozen=True)
class Approach:
    """end: value it ends at [same as y]; span: end less start of the fitted part; tau_s: time constant [s];
    end_se, span_se, tau_se_s: standard errors; residual: root mean square of what is left [same]."""

    end: float
    span: float
    tau_s: float
    end_se: float
    span_se: float
    tau_se_s: float
    residual: float

    def remaining_at(self, time_s: float) -> float:
        """Fitted change still to come after a time, signed [same as y]."""
        return self.span * math.exp(-time_s / self.tau_s)

    def time_until(self, remaining: float) -> float:
        """Time from the start of the fitted part until no more than ``remaining`` is left [s]."""
        return self.tau_s * math.log(max(1.0, abs(self.span) / remaining))


def thin_out(time_s: Series, y: Series, points: int = POINTS_MOST) -> tuple[Series, Series]:
    """Average a series into at most ``points`` blocks, so that a long log fits as fast as a short one.

    time_s: times (n,) [s]
    y: values (n,) [any]
    points: most points wanted [1]
    returns: block means of time and values (m,), m <= points
    source: block averaging
    """
    block = -(-len(y) // points)
    if block <= 1:
        return time_s, y
    whole = len(y) // block * block
    return time_s[:whole].reshape(-1, block).mean(axis=1), y[:whole].reshape(-1, block).mean(axis=1)


def fit_approach(time_s: Series, y: Series, *, from_zero: bool = False) -> Approach:
    """Fit an exponential approach to steady state.

    time_s: times since the start of the fitted part (n,) [s], >= 0, n >= 6
    y: values (n,) [any], finite
    from_zero: force the curve through 0 at time 0 [flag]
    returns: Approach
    raises: NotEnoughData
    formula: y = end - span exp(-t/tau); from_zero sets span = end
    range: time constants from a tenth of the sample step to thirty times the record
    source: JESD51-1 for the thermal meaning; checked on NIST StRD Misra1a and BoxBOD
    """
    from scipy.optimize import least_squares  # here, since the import alone takes a second of the start

    keep = np.isfinite(time_s) & np.isfinite(y)
    t, v = thin_out(np.asarray(time_s[keep], dtype=np.float64), np.asarray(y[keep], dtype=np.float64))
    if len(t) < 6 or float(t[-1] - t[0]) <= 0:
        raise NotEnoughData(
            f"{len(t)} points are too few to tell whether it has settled.",
            field="log",
            remedy="Log for longer.",
        )

    def project(log_tau: float) -> tuple[Series, float]:
        decay = np.exp(-t / math.exp(log_tau))
        basis = (1.0 - decay)[:, None] if from_zero else np.column_stack((np.ones_like(t), -decay))
        coefficients, *_ = np.linalg.lstsq(basis, v, rcond=None)
        residual = v - basis @ coefficients
        return coefficients, float(residual @ residual)

    length = float(t[-1])
    step = float(np.median(np.diff(t)))
    grid = np.linspace(math.log(max(step / 10.0, 1e-6)), math.log(30.0 * length), 40)
    costs = [project(float(g))[1] for g in grid]
    start = float(grid[int(np.argmin(costs))])
    first, _ = project(start)
    scale = max(float(np.max(np.abs(v))), 1e-12)

    low, high = math.log(step) - 8.0, math.log(length) + 12.0

    def time_constant(log_tau: float) -> float:
        # A flat record tells nothing about tau; the search must not run off to where exp() ends.
        return math.exp(min(high, max(low, log_tau)))

    def residuals(p: Series) -> Series:
        end, span, tau = p[0], (p[0] if from_zero else p[-2]), time_constant(float(p[-1]))
        return np.asarray((v - (end - span * np.exp(-t / tau))) / scale)

    guess = np.append(first, start)
    solution = least_squares(residuals, guess, method="lm" if len(t) > 3 else "trf", xtol=1e-14, ftol=1e-14)
    p = solution.x
    freedom = max(1, len(t) - len(p))
    cost = 2.0 * solution.cost * scale**2
    jacobian = np.asarray(solution.jac, dtype=np.float64) * scale
    covariance = np.linalg.pinv(jacobian.T @ jacobian) * cost / freedom
    error = np.sqrt(np.maximum(0.0, np.diag(covariance)))
    tau = time_constant(float(p[-1]))
    end, span = float(p[0]), float(p[0] if from_zero else p[-2])
    return Approach(
        end, span, tau, float(error[0]), float(error[0] if from_zero else error[-2]), tau * float(error[-1]),
        math.sqrt(cost / len(t)),
    )  # fmt: skip
