"""Has it settled? The window from which the steady figures are taken, by fit and not by a fixed cut."""

from __future__ import annotations

from dataclasses import dataclass

import numpy as np

from vividowl.core.approach import fit_approach
from vividowl.core.errors import NotEnoughData
from vividowl.core.load import LoadPhase, under_load
from vividowl.core.trace import Series, Trace, smooth

REMAINING_SETTLED_K = 1.0
SLOPE_SETTLED_K_PER_S = 0.1 / 60.0
WINDOW_LEAST_S = 60.0
SLOW_PART_FROM = 0.4
POWER_SETTLED_SHARE = 0.02


@dataclass(frozen=True)
class SettledWindow:
    """from_s, to_s: window in the log [s]; settled: by the rule; remaining_rise_k: fitted change still to come [K];
    final_c: where it would end [degC]; minutes_needed: more minutes of load until settled, 0 when it has.

    remaining_rise_k, final_c and minutes_needed are None when no approach could be fitted: not known.
    """

    from_s: float
    to_s: float
    settled: bool
    remaining_rise_k: float | None
    final_c: float | None
    minutes_needed: float | None


def find_settled_window(trace: Trace, load: LoadPhase) -> SettledWindow:
    """Find the steady part at the end of the load.

    trace: the log
    load: its loaded part
    returns: SettledWindow; the last fifth of the load (a minute at the least) when it has not settled
    raises: NotEnoughData when less than 30 s of load are left after the boost
    formula: settled when the fitted remaining rise is below 1 K and the slope over the window below 0.1 K/min
    source: common practice, no source
    """
    begin, end = load.boost_end_s, load.end_s
    inside = under_load(trace, load) & (trace.time_s >= begin)
    die = trace.channels[trace.die_role]
    time, values = trace.time_s[inside], die[inside]
    known = np.isfinite(values)
    time, values = time[known], values[known]
    power = trace.power[inside][known] if trace.power is not None else None
    if len(time) < 6 or time[-1] - time[0] < 30.0:
        raise NotEnoughData(
            f"Only {max(0.0, end - begin):.0f} s of load after the boost; a steady value needs more.",
            field="log",
            remedy="Run the load for 10 minutes or longer.",
        )
    length = float(time[-1] - time[0])
    # The early part belongs to die, base and heatsink, whose faster rise a single slow term must not chase.
    slow_from = begin + max(10.0, SLOW_PART_FROM * length) if length > 120.0 else begin
    part = time >= slow_from
    tail_s = max(WINDOW_LEAST_S, 0.2 * length)
    tail = time >= end - tail_s
    slope = float(np.polyfit(time[tail] - time[tail][0], values[tail], 1)[0]) if tail.sum() > 2 else 0.0
    fit = fit_approach(time[part] - slow_from, values[part])
    run = float(time[-1]) - slow_from
    trusted = fit.tau_s < 5.0 * length and fit.end_se < 10.0
    if not trusted:
        # Either flat already, with nothing left to fit, or far from its end.
        flat = abs(slope) < SLOPE_SETTLED_K_PER_S and abs(slope) * length < REMAINING_SETTLED_K
        if not flat:
            return SettledWindow(max(begin, end - tail_s), end, False, None, None, None)
        level = float(values[tail].mean())
        from_s = _steady_from(time, values, power, level, tail_s, trace.interval_s)
        from_s = min(max(begin, from_s), end - min(WINDOW_LEAST_S, 0.5 * length))
        return SettledWindow(from_s, end, True, 0.0, level, 0.0)
    remaining = fit.remaining_at(run)
    settled = abs(remaining) < REMAINING_SETTLED_K and abs(slope) < SLOPE_SETTLED_K_PER_S
    needed = 0.0
    if not settled:
        # Both rules must hold: remaining below 1 K, and slope = remaining / tau below 0.1 K/min.
        goal = min(REMAINING_SETTLED_K, SLOPE_SETTLED_K_PER_S * fit.tau_s)
        needed = max(1.0, (fit.time_until(goal) - run) / 60.0)
    from_s = _steady_from(time, values, power, fit.end, tail_s, trace.interval_s) if settled else end - tail_s
    from_s = min(max(begin, from_s), end - min(WINDOW_LEAST_S, 0.5 * length))
    return SettledWindow(from_s, end, settled, remaining, fit.end, needed)


def _steady_from(
    time: Series, die: Series, power: Series | None, final_c: float, tail_s: float, interval_s: float
) -> float:
    """From when on die and power both stay near where they end. A die pinned at its limit is flat from the first
    minute, while the power it is allowed still falls as the cooler fills with heat."""
    from_s = _within(time, die, final_c, REMAINING_SETTLED_K, 15.0, interval_s)
    if power is None:
        return from_s
    final = float(np.nanmedian(power[time >= time[-1] - tail_s]))
    by_power = _within(time, power, final, POWER_SETTLED_SHARE * final, 30.0, interval_s)
    return max(from_s, min(by_power, float(time[-1]) - tail_s))


def _within(time: Series, values: Series, final: float, band: float, over_s: float, interval_s: float) -> float:
    """From when on the smoothed values stay within a band around where they end."""
    steady = smooth(values, max(1, round(over_s / max(interval_s, 0.05))))
    outside = np.flatnonzero(np.abs(steady - final) > band)
    return float(time[min(outside[-1] + 1, len(time) - 1)]) if len(outside) else float(time[0])
