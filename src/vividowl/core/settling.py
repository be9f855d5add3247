"""Has it settled? The window from which the steady figures are taken, by fit and not by a fixed cut."""

from __future__ import annotations

import math
from dataclasses import dataclass, replace

import numpy as np

from vividowl.core.approach import fit_approach
from vividowl.core.errors import OutOfRange
from vividowl.core.load import LoadPhase, under_load
from vividowl.core.network import Response
from vividowl.core.trace import Series, Trace, smooth

REMAINING_SETTLED_K = 1.0
SLOPE_SETTLED_K_PER_S = 0.1 / 60.0
FLAT_K_PER_S = 0.06 / 60.0
WINDOW_LEAST_S = 60.0
LOAD_LEAST_S = 30.0
SLOW_PART_FROM = 0.4
POWER_SETTLED_SHARE = 0.02
LONGEST_WAIT_S = 3 * 3600.0
# With pauses between passes only the parts that outlast them tell where it is heading.
OUTLASTS_PAUSE_S = 60.0
LOOK_AHEAD = 1.5
SMALL_RISE_K = 3.0


@dataclass(frozen=True)
class SettledWindow:
    """from_s, to_s: window in the log [s]; settled: by the rule; remaining_rise_k: fitted change still to come [K];
    final_c: where it would end [degC]; minutes_needed: more minutes of load until settled, 0 when it has;
    chosen: the window was set by hand.

    remaining_rise_k, final_c and minutes_needed are None when no approach could be fitted: not known.
    """

    from_s: float
    to_s: float
    settled: bool
    remaining_rise_k: float | None
    final_c: float | None
    minutes_needed: float | None
    chosen: bool = False


@dataclass(frozen=True)
class _Outlook:
    """remaining_k: change to come [K]; final_c; needed_s: time until settled [s]."""

    remaining_k: float
    final_c: float
    needed_s: float


def find_settled_window(
    trace: Trace, load: LoadPhase, response: Response | None, held_at_end: bool, stuck: bool = False
) -> SettledWindow:
    """Find the steady part at the end of the load.

    trace: the log
    load: its loaded part
    response: fitted response to the power, None when not known: then the die's own curve is extrapolated
    held_at_end: the die is pinned at its limit, so that the power no longer tells where it is heading [flag]
    stuck: the die sensor never moves, so nothing follows from it [flag]
    returns: SettledWindow; the last fifth of the load (a minute at the least) when it has not settled, nothing else
        known of it when less than 30 s of load are left after the boost
    formula: settled when the fitted remaining rise is below 1 K and the slope over the window below 0.1 K/min
    source: common practice, no source
    """
    begin, end = load.boost_end_s, load.end_s
    working = under_load(trace, load)
    inside = working & (trace.time_s >= begin) & np.isfinite(trace.channels[trace.die_role])
    time, values = trace.time_s[inside], trace.channels[trace.die_role][inside]
    power = trace.power[inside] if trace.power is not None else None
    if stuck or len(time) < 6 or time[-1] - time[0] < LOAD_LEAST_S:
        return SettledWindow(max(begin, end - WINDOW_LEAST_S), end, False, None, None, None)
    length = float(time[-1] - time[0])
    tail_s = max(WINDOW_LEAST_S, 0.2 * length)
    tail = time >= end - tail_s
    slope, slope_u = _slope(time[tail], values[tail])
    by_response = (
        _by_response(trace, load, response, time, values, power, tail_s)
        if response is not None and power is not None and not held_at_end
        else None
    )
    by_approach = _by_approach(time, values, begin, length)
    # At a flat end a drifting room looks like one more slow term; there the die's own curve tells more, and a small
    # rise to come has to show in both.
    climbing = abs(slope) > FLAT_K_PER_S
    outlook = (by_response or by_approach) if climbing else (by_approach or by_response)
    if by_response is not None and by_approach is not None and abs(by_response.remaining_k) < SMALL_RISE_K:
        outlook = min(by_response, by_approach, key=lambda o: abs(o.remaining_k))
    last_from = max(begin, end - tail_s)
    if outlook is not None:
        # Nothing slower than the record itself can be told from it: its last slope bounds what is to come.
        bound = (abs(slope) + 2.0 * slope_u) * LOOK_AHEAD * length
        excess = outlook.remaining_k - float(np.clip(outlook.remaining_k, -bound, bound))
        outlook = replace(outlook, remaining_k=outlook.remaining_k - excess, final_c=outlook.final_c - excess)
    else:
        # Either flat already, with nothing left to fit, or far from its end.
        if not (abs(slope) < SLOPE_SETTLED_K_PER_S and abs(slope) * length < REMAINING_SETTLED_K):
            return SettledWindow(last_from, end, False, None, None, None)
        outlook = _Outlook(0.0, float(values[tail].mean()), 0.0)
    steady = abs(slope) - slope_u < SLOPE_SETTLED_K_PER_S
    if not (steady and abs(outlook.remaining_k) < REMAINING_SETTLED_K):
        needed = max(1.0, outlook.needed_s / 60.0)
        return SettledWindow(last_from, end, False, outlook.remaining_k, outlook.final_c, needed)
    from_s = _steady_from(time, values, power, outlook.final_c, tail_s, trace.interval_s)
    from_s = min(max(begin, from_s), end - min(WINDOW_LEAST_S, 0.5 * length))
    return SettledWindow(from_s, end, True, outlook.remaining_k, outlook.final_c, 0.0)


def choose_window(window: SettledWindow, trace: Trace, from_s: float, to_s: float) -> SettledWindow:
    """Take the figures from another window, set by hand; whether the run has settled stays what the fit says.

    window: the window found
    trace: the log
    from_s: start of the window [s]
    to_s: end of the window [s], 10 s after the start or later
    returns: SettledWindow
    raises: OutOfRange
    source: common practice, no source
    """
    first, last = float(trace.time_s[0]), float(trace.time_s[-1])
    if not (math.isfinite(from_s) and math.isfinite(to_s) and first <= from_s <= to_s - 10.0 and to_s <= last):
        raise OutOfRange(
            f"The window {from_s:.0f} to {to_s:.0f} s is not inside the log or shorter than 10 s; allowed are "
            f"{first:.0f} to {last:.0f} s.",
            field="window",
            remedy="Drag it over the steady part of the load.",
        )
    return replace(window, from_s=from_s, to_s=to_s, chosen=True)


def _slope(time: Series, values: Series) -> tuple[float, float]:
    """Slope and its standard error [K/s]."""
    if len(time) < 4:
        return 0.0, 0.0
    (slope, _), residuals, *_ = np.polyfit(time - time[0], values, 1, full=True)
    spread = float(((time - time.mean()) ** 2).sum())
    left = float(residuals[0]) if len(residuals) else 0.0
    return float(slope), math.sqrt(left / (len(time) - 2) / spread) if spread > 0 else 0.0


def _by_response(
    trace: Trace, load: LoadPhase, response: Response, time: Series, values: Series, power: Series, tail_s: float
) -> _Outlook | None:
    """Where the die is heading, from the response to the measured power."""
    late = (trace.time_s >= load.end_s - tail_s) & (trace.time_s <= load.end_s)
    tail = time >= load.end_s - tail_s
    if not tail.any() or not np.isfinite(power[tail]).any() or trace.power is None:
        return None
    held, mean = float(np.nanmedian(power[tail])), float(np.nanmean(trace.power[late]))
    pauses = mean < 0.98 * held
    watts, slower = (mean, OUTLASTS_PAUSE_S) if pauses else (held, 0.0)
    remaining = float(response.remaining_k(watts, 0.0, slower))
    now = values[time >= load.end_s - max(10.0, 5.0 * trace.interval_s)]
    final = float(now.mean() if len(now) else values[-1]) + remaining
    if not abs(remaining) < 60.0:
        return None
    waits = np.geomspace(15.0, LONGEST_WAIT_S, 240)
    left = np.abs(response.remaining_k(watts, waits, slower))
    slopes = np.abs(np.gradient(left, waits))
    good = np.flatnonzero((left < REMAINING_SETTLED_K) & (slopes < SLOPE_SETTLED_K_PER_S))
    return _Outlook(remaining, final, float(waits[good[0]]) if len(good) else LONGEST_WAIT_S)


def _by_approach(time: Series, values: Series, begin: float, length: float) -> _Outlook | None:
    """Where the die is heading, from its own curve. None when no exponential can be trusted."""
    # The early part belongs to die, base and heatsink, whose faster rise a single slow term must not chase.
    slow_from = begin + max(10.0, SLOW_PART_FROM * length) if length > 120.0 else begin
    part = time >= slow_from
    fit = fit_approach(time[part] - slow_from, values[part])
    if not (fit.tau_s < 5.0 * length and fit.end_se < 10.0):
        return None
    run = float(time[-1]) - slow_from
    # Both rules must hold: remaining below 1 K, and slope = remaining / tau below 0.1 K/min.
    goal = min(REMAINING_SETTLED_K, SLOPE_SETTLED_K_PER_S * fit.tau_s)
    return _Outlook(fit.remaining_at(run), fit.end, max(0.0, fit.time_until(goal) - run))


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
