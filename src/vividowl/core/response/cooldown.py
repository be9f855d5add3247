"""The curve after the load: power is near nothing, so the cooler shows itself undisturbed."""

from __future__ import annotations

from dataclasses import dataclass, replace

import numpy as np

from vividowl.core.quantities.uncertainty import effective_sample_size
from vividowl.core.response.exponentials import fit_exponentials
from vividowl.core.response.network import BOUND_LOW_STEPS, EVIDENCE_LEAST
from vividowl.core.response.terms import DOUBT_FROM_S, DOUBT_TO_S, FAST_BELOW_S, Response, Term
from vividowl.core.trace.load import LoadPhase
from vividowl.core.trace.trace import Series, Trace

COOLING_LEAST_S = 20.0  # [s] a shorter cool-down tells no interface; from memory
COOLING_MOST_S = 900.0  # [s] later the room's own drift is read; from memory
DROP_LEAST_K = 3.0  # [K] a smaller fall is lost in whole kelvins; from memory
STEP_MOST_S = 2.0  # [s] between lines; the interface is over sooner; from memory
# Against devices of an independent simulator the fast part came out within 3 %, two standard deviations 5 %.
MODEL_SHARE = 0.03
EVEN_SHARE = 0.15  # by which the load may sag before its end; from memory
# [s] and share of the drop: work that comes back so soon spoils the cool-down; from memory
SOON_S, SOON_SHARE = 15.0, 0.08


@dataclass(frozen=True, kw_only=True)
class CoolDown:
    """from_s, to_s: in the log [s]; drop_k: how far the die fell while it was logged [K]; power_drop: watts that
    ceased [W] or None; terms: what fell how fast, as resistances [K/W] where the power is known, else empty;
    fast_drop_k: the part of it faster than 3 s [K]."""

    from_s: float
    to_s: float
    drop_k: float
    power_drop: float | None
    terms: tuple[Term, ...]
    fast_drop_k: float

    @property
    def interface(self) -> float | None:
        """Resistance of the part faster than 3 s [K/W], None when there is none or the power is not known."""
        return self.fast_drop_k / self.power_drop if self.power_drop and self.fast_drop_k > 0 else None

    @property
    def interface_u(self) -> float | None:
        """Standard uncertainty of it [K/W]."""
        if self.interface is None:
            return None
        fast = [t.resistance_u for t in self.terms if t.tau_s <= FAST_BELOW_S]
        return float(np.hypot(MODEL_SHARE * self.interface, np.linalg.norm(fast)))


def fit_cool_down(trace: Trace, load: LoadPhase) -> CoolDown | None:
    """Read the curve after the load. None when less than 20 s of it were logged or the die hardly fell.

    trace: the log
    load: its loaded part
    range: fast part only; the slow parts need a cool-down of minutes and a fan that keeps its speed
    formula: T(t) = T_inf + sum a_i exp(-t/tau_i), R_i = a_i / (P_load - P_idle) after a settled load
    source: JESD51-1, cooling curve
    """
    die, step = trace.channels[trace.die_role], trace.interval_s
    after = (trace.time_s >= load.end_s) & (trace.time_s <= load.end_s + COOLING_MOST_S) & np.isfinite(die)
    before = (trace.time_s <= load.end_s) & (trace.time_s > load.end_s - max(10.0, 4 * step)) & np.isfinite(die)
    if after.sum() < 8 or not before.any() or trace.time_s[after][-1] - load.end_s < COOLING_LEAST_S:
        return None
    start = float(die[before].mean())
    time, fall = trace.time_s[after] - load.end_s, start - die[after]
    drop = float(fall[-5:].mean())
    if drop < DROP_LEAST_K:
        return None
    # The load ends somewhere before the first sample that shows it: that sample belongs to neither side.
    time, fall = time[2:] - 0.5 * step, fall[2:]
    length = float(time[-1])
    best, best_score = None, np.inf
    for k in (1, 2, 3):
        if len(time) < 4 * k:
            break
        fit = fit_exponentials(
            lambda taus: 1.0 - np.exp(-time[:, None] / taus),
            fall,
            guess=np.geomspace(max(step, 1.0), 0.5 * length, k),
            bounds=(BOUND_LOW_STEPS * step, 3.0 * length),
            tolerance=1e-6,
        )
        score = len(time) * np.log(fit.cost) + 2 * k * np.log(len(time))
        if best is not None and ((fit.weights <= 0).any() or not score < best_score - EVIDENCE_LEAST):
            break
        best, best_score = fit, score
    assert best is not None  # noqa: S101 - at least eight samples
    watts = _power_drop(trace, load)
    k = len(best.taus)
    u: Series = np.sqrt(np.maximum(0.0, np.diag(best.covariance)) * len(time) / effective_sample_size(best.residuals))
    terms = (
        tuple(
            Term(
                float(best.weights[i]) / watts, float(best.taus[i]), float(u[i]) / watts, float(best.taus[i] * u[k + i])
            )
            for i in range(k)
        )
        if watts
        else ()
    )
    fast = float(best.weights[best.taus <= FAST_BELOW_S].sum())
    return CoolDown(
        from_s=load.end_s,
        to_s=float(trace.time_s[after][-1]),
        drop_k=drop,
        power_drop=watts,
        terms=terms,
        fast_drop_k=fast,
    )


def with_cool_down(response: Response, cooling: CoolDown | None, interval_s: float) -> Response:
    """The response with its interface part by the cool-down, where that was logged finely enough.

    response: fitted to the load
    cooling: the curve after it or None
    interval_s: one sample each [s]
    returns: Response, the same when the cool-down does not tell
    source: JESD51-1, cooling curve; common practice, no source: it is the cleaner one
    """
    if cooling is None or cooling.interface is None or cooling.interface_u is None or interval_s > STEP_MOST_S:
        return response
    doubt = sum(t.resistance for t in cooling.terms if DOUBT_FROM_S < t.tau_s <= DOUBT_TO_S)
    return replace(
        response, cooling_interface=cooling.interface, interface_u=cooling.interface_u, cooling_doubt=max(0.0, doubt)
    )


def _power_drop(trace: Trace, load: LoadPhase) -> float | None:
    power = trace.power
    if power is None:
        return None
    late = (trace.time_s > load.end_s - 30.0) & (trace.time_s <= load.end_s)
    idle = trace.time_s > load.end_s + 3.0 * trace.interval_s
    if not (np.isfinite(power[late]).any() and np.isfinite(power[idle]).any()):
        return None
    # A load that faded before it ended, or a pause just before it, leaves no clean step.
    last = power[late][np.isfinite(power[late])]
    if float(last[:-1].min(initial=np.inf)) < (1.0 - EVEN_SHARE) * float(np.median(last)):
        return None
    still = float(np.nanmean(power[idle]))
    drop = float(last.mean()) - still
    soon = power[idle & (trace.time_s <= load.end_s + SOON_S)]
    if float(np.nanmax(soon, initial=still)) - still > SOON_SHARE * drop:
        return None
    return drop if drop > 1.0 else None
