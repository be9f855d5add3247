"""The power that a die answers to: not that of the moment but that of the last seconds and minutes, weighted as a
cooler remembers it. In a game, a loop or a boost the two differ."""

from __future__ import annotations

from dataclasses import dataclass, field

import numpy as np

from vividowl.core.quantities.uncertainty import standard_error
from vividowl.core.trace.load import LoadPhase
from vividowl.core.trace.trace import Mask, Series, Trace, bridged, scan

TAUS_S = np.array([2.0, 15.0, 60.0, 240.0, 800.0])
# How much of the rise goes with each time constant: usual, in coolers that answer soon, in those that answer late. What
# the three differ by is what is not known. From memory.
SHARES = np.array([[0.30, 0.20, 0.25, 0.17, 0.08], [0.45, 0.25, 0.18, 0.09, 0.03], [0.18, 0.15, 0.25, 0.27, 0.15]])
GAP_MOST_S = 120.0  # [s] that are bridged; from memory
BLOCK_S = 30.0  # [s] over which a load is averaged; from memory
RESTLESS_SHARE = 0.05  # of the power by which those averages may scatter in an even load; from memory


@dataclass(frozen=True)
class FeltPower:
    """watts: mean over the window [W]; memory_u: what the memory of the cooler leaves open of it, as a
    standard uncertainty [W]; left_k: standard
    error of what the die does beside it [K]; course: over the whole log [W] (n,)."""

    watts: float
    memory_u: float
    left_k: float
    course: Series = field(repr=False, compare=False)


def restless(trace: Trace, load: LoadPhase, working: Mask) -> bool:
    """Whether the load goes up and down by itself, as a game does: half-minute means of the power differ by 5 %.

    trace: the log
    load: its loaded part
    working: samples in which it works (n,) [flag]
    returns: True when it does [flag]; False without power
    source: common practice, no source
    """
    power = trace.power
    if power is None:
        return False
    late = working & np.isfinite(power) & (trace.time_s > load.boost_end_s + 0.3 * (load.end_s - load.boost_end_s))
    if late.sum() < 4:
        return False
    block = ((trace.time_s[late] - load.onset_s) // BLOCK_S).astype(int)
    count = np.bincount(block)
    means = np.bincount(block, power[late])[count > 0] / count[count > 0]
    if len(means) < 3:
        return False
    # A slow decline, as of a device held at its limit, is no restlessness.
    line = np.polyval(np.polyfit(np.arange(len(means)), means, 1), np.arange(len(means)))
    return float(np.std(means - line)) > RESTLESS_SHARE * float(np.mean(means))


def felt_power(trace: Trace, load: LoadPhase, window: Mask) -> FeltPower | None:
    """The power that the die in a window answers to.

    trace: the log
    load: its loaded part
    window: samples that count (n,) [flag]
    returns: FeltPower, None without power
    formula: P_0 + sum s_i y_i / sum s_i (1 - e^(-t/tau_i)), tau_i dy_i/dt = P - P_0 - y_i from the onset on: a weighted
        mean of the power so far, equal to it when it is even
    source: superposition in a linear network, textbook; the shares are from memory
    """
    power = trace.power
    if power is None or not np.isfinite(power[window]).any():
        return None
    heat = bridged(trace.time_s, power, GAP_MOST_S)
    known = np.isfinite(heat)
    heat = np.interp(trace.time_s, trace.time_s[known], heat[known])
    idle = trace.time_s < load.onset_s
    base = float(np.median(heat[idle])) if idle.any() else 0.0
    over = np.where(idle, 0.0, heat - base)
    step = np.diff(trace.time_s, prepend=trace.time_s[0])
    keep = np.exp(-step[:, None] / TAUS_S)
    # Between two lines the power is taken as the mean of both.
    between = 0.5 * (over + np.concatenate(([over[0]], over[:-1])))
    taken = scan(keep, (1.0 - keep) * between[:, None])
    since = np.maximum(0.0, trace.time_s - load.onset_s)
    reach = 1.0 - np.exp(-since[:, None] / TAUS_S)
    inside = window & (since > 0)
    if not inside.any():
        return None
    whole = [base + (taken * s).sum(axis=1) / np.maximum(1e-12, (reach * s).sum(axis=1)) for s in SHARES]
    courses = [c[inside] for c in whole]
    watts, *others = (float(c.mean()) for c in courses)
    die = trace.channels[trace.die_role][inside]
    both = np.isfinite(die)
    left = 0.0
    if both.sum() >= 4:
        cold = trace.channels[trace.die_role][idle]
        start = float(np.nanmedian(cold)) if np.isfinite(cold).any() else float(np.nanmin(die))
        per_watt = max(0.0, (float(die[both].mean()) - start) / max(1e-9, watts - base)) if watts > base else 0.0
        left = standard_error(die[both] - per_watt * (courses[0][both] - watts))
    return FeltPower(watts, max(abs(o - watts) for o in others), left, whole[0])
