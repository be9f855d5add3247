"""The approach to steady state: one exponential, fitted by variable projection, judged for what is still to come."""

from __future__ import annotations

import math
from dataclasses import dataclass

import numpy as np

from vividowl.core.quantities.errors import NotEnoughData
from vividowl.core.quantities.words import say
from vividowl.core.response.exponentials import fit_exponentials
from vividowl.core.trace.trace import Series

POINTS_MOST = 800  # that a fit sees; more cost time and tell nothing more


@dataclass(frozen=True, kw_only=True)
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
    raises: NotEnoughData
    formula: y = end - span exp(-t/tau); from_zero sets span = end
    range: time constants from a tenth of the sample step to thirty times the record
    source: JESD51-1 for the thermal meaning; checked on NIST StRD Misra1a and BoxBOD
    """
    keep = np.isfinite(time_s) & np.isfinite(y)
    t, v = thin_out(np.asarray(time_s[keep], dtype=np.float64), np.asarray(y[keep], dtype=np.float64))
    if len(t) < 6 or float(t[-1] - t[0]) <= 0:
        raise NotEnoughData(say("approach-points-too-few-to-tell", t=len(t)), field="log")

    length, step = float(t[-1]), float(np.median(np.diff(t)))
    low, high = max(step / 10.0, 1e-6), 30.0 * length
    others = np.empty((len(t), 0)) if from_zero else np.ones((len(t), 1))

    def columns(taus: Series) -> Series:
        return np.asarray((1.0 if from_zero else 0.0) - np.exp(-t[:, None] / taus))

    def misfit(tau: float) -> float:
        a = np.column_stack([columns(np.array([tau])), others])
        left = v - a @ np.linalg.lstsq(a, v, rcond=None)[0]
        return float(left @ left)

    start = min(np.geomspace(low, high, 14), key=misfit)
    fit = fit_exponentials(
        columns, v, guess=[float(start)], others=others, bounds=(low / 10.0, 1e3 * high), tolerance=1e-14
    )
    error = np.sqrt(np.maximum(0.0, np.diag(fit.covariance)))
    span, tau = float(fit.weights[0]), float(fit.taus[0])
    end, end_se = (span, float(error[0])) if from_zero else (float(fit.others[0]), float(error[1]))
    return Approach(
        end=end,
        span=span,
        tau_s=tau,
        end_se=end_se,
        span_se=float(error[0]),
        tau_se_s=tau * float(error[-1]),
        residual=math.sqrt(fit.cost / len(t)),
    )
