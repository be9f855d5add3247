"""Has it settled? The window from which the steady figures are taken, and what is still to come after it."""

from __future__ import annotations

import math
from dataclasses import dataclass, replace

import numpy as np

from vividowl.core.quantities.errors import OutOfRange
from vividowl.core.quantities.uncertainty import COVERAGE_FACTOR, combined, standard_from_half_width
from vividowl.core.quantities.words import say
from vividowl.core.response.terms import Response
from vividowl.core.trace.felt_power import restless
from vividowl.core.trace.heading import Heading, find_heading
from vividowl.core.trace.load import LoadPhase, under_load
from vividowl.core.trace.trace import Mask, Series, Trace, sensor_step

REMAINING_SETTLED_K = 1.0  # [K] still to come; from memory (docs/handbook/temperature.md)
SLOPE_SETTLED_K_PER_S = 0.1 / 60.0  # [K/s] 0.1 K/min; from memory (docs/handbook/temperature.md)
TAIL_SHARE = 0.2  # of the load from which figures are taken; from memory
RESTLESS_TAIL_SHARE = 0.5  # the same where the load goes up and down by itself; from memory
WINDOW_LEAST_S = 45.0  # [s] of it; from memory
LOAD_LEAST_S = 30.0  # [s] a shorter load has no end that could be told; from memory
LONGEST_WAIT_S = 3 * 3600.0  # [s] that are proposed to wait for; from memory
FINAL_U_LEAST_K = 0.7  # [K] of a final value, whatever a fit says of itself; standard uncertainty; from memory
SLOPE_SHARE = 0.4  # of the load over which the slope is read; from memory
POWER_SETTLED_SHARE = 0.03  # by which the power may drift there; from memory
# [s] read at the end; [K] to come beyond which a free fit is not believed; trust in the ladder's own u; from memory
LAST_S, FREE_MOST_K, LADDER_U_SHARE = 12.0, 60.0, 0.8


@dataclass(frozen=True, kw_only=True)
class SettledWindow:
    """from_s, to_s: window in the log [s]; settled: by the rule; remaining_rise_k: change still to come [K];
    final_c: where it would end [degC]; minutes_needed: more minutes of load until settled, 0 when it has;
    chosen: the window was set by hand; uncertainty_k: expanded uncertainty of final_c [K]; slope_k_per_s: of the die at
    the end of the load.

    remaining_rise_k, final_c, minutes_needed and uncertainty_k are None when nothing tells where it is heading.
    """

    from_s: float
    to_s: float
    settled: bool
    remaining_rise_k: float | None
    final_c: float | None
    minutes_needed: float | None
    chosen: bool = False
    uncertainty_k: float | None = None
    slope_k_per_s: float = 0.0


def find_settled_window(
    trace: Trace, load: LoadPhase, *, response: Response | None, held_at_end: bool, stuck: bool = False
) -> SettledWindow:
    """Find the steady part: the last fifth of the load, of a load that goes up and down by itself the last half.

    trace: the log
    load: its loaded part
    response: terms fitted freely to the same log, None when not known
    held_at_end: the die is pinned at its limit, so that it stays there while the power still falls [flag]
    stuck: the die sensor never moves, so nothing follows from it [flag]
    returns: SettledWindow; nothing else known of it when less than 30 s of load are left after the boost
    formula: settled when the fitted remaining rise is below 1 K and the slope over the window below 0.1 K/min; the
        sample in which the load ends belongs to nobody
    source: common practice, no source
    """
    begin, end = load.boost_end_s, load.end_s
    before_last = trace.time_s[trace.time_s < end]
    to_s = float(before_last[-1]) if len(before_last) > 1 else end
    working = under_load(trace, load)
    die = trace.channels[trace.die_role]
    inside = working & (trace.time_s >= begin) & (trace.time_s <= to_s) & np.isfinite(die)
    time, values = trace.time_s[inside], die[inside]
    if stuck or len(time) < 6 or time[-1] - time[0] < LOAD_LEAST_S:
        return SettledWindow(
            from_s=max(begin, end - WINDOW_LEAST_S),
            to_s=to_s,
            settled=False,
            remaining_rise_k=None,
            final_c=None,
            minutes_needed=None,
        )
    length = float(end - begin)
    goes_by_itself = restless(trace, load, working)
    share = RESTLESS_TAIL_SHARE if goes_by_itself else TAIL_SHARE
    from_s = max(begin, end - max(min(WINDOW_LEAST_S, 0.5 * length), share * length))
    # Lines far apart or lost: the window reaches back until it holds a few.
    from_s = min(from_s, float(time[max(0, len(time) - 4)]))
    part = time >= end - SLOPE_SHARE * length
    slope, slope_u = _slope(time[part], values[part])
    window = SettledWindow(
        from_s=from_s,
        to_s=to_s,
        settled=False,
        remaining_rise_k=None,
        final_c=None,
        minutes_needed=None,
        slope_k_per_s=0.0 if goes_by_itself else slope,
    )
    mean = float(values[time >= from_s].mean())
    own_u = standard_from_half_width(0.5 * sensor_step(values))
    flat = abs(slope) - slope_u < SLOPE_SETTLED_K_PER_S
    if held_at_end:
        # Pinned from the first minute on, while the power it is allowed still falls as the cooler fills.
        flat = flat and _power_is_even(trace, inside, end - SLOPE_SHARE * length)
        u = combined(own_u, FINAL_U_LEAST_K)
        return replace(
            window,
            settled=flat,
            remaining_rise_k=0.0,
            final_c=mean,
            minutes_needed=0.0 if flat else 1.0,
            uncertainty_k=COVERAGE_FACTOR * u,
        )
    heading = find_heading(trace, load, (from_s, to_s))
    if heading is None:
        settled = flat and abs(slope) * length < REMAINING_SETTLED_K
        u95 = COVERAGE_FACTOR * combined(own_u, FINAL_U_LEAST_K)
        return (
            replace(window, settled=True, remaining_rise_k=0.0, final_c=mean, minutes_needed=0.0, uncertainty_k=u95)
            if settled
            else window
        )
    if heading.erratic:
        return window
    remaining, final_u = _both_ways(trace, window, response=response, heading=heading, mean_c=mean)
    settled = abs(remaining) < REMAINING_SETTLED_K and (flat or goes_by_itself)
    return replace(
        window,
        settled=settled,
        remaining_rise_k=remaining,
        final_c=mean + remaining,
        minutes_needed=0.0 if settled else _minutes_needed(heading),
        uncertainty_k=COVERAGE_FACTOR * combined(final_u, own_u, FINAL_U_LEAST_K),
    )


def choose_window(window: SettledWindow, trace: Trace, from_s: float, to_s: float) -> SettledWindow:
    """Take the figures from another window, set by hand; whether the run has settled stays what the fit says.

    window: the window found
    trace: the log
    from_s: start of the window [s]
    to_s: end of the window [s], 10 s after the start or later
    raises: OutOfRange
    source: common practice, no source
    """
    first, last = float(trace.time_s[0]), float(trace.time_s[-1])
    if not (math.isfinite(from_s) and math.isfinite(to_s) and first <= from_s <= to_s - 10.0 and to_s <= last):
        raise OutOfRange(
            say("settling-window-to-s-not-inside", from_s=from_s, to_s=to_s, first=first, last=last), field="window"
        )
    return replace(window, from_s=from_s, to_s=to_s, chosen=True)


def last_part(window: SettledWindow, load: LoadPhase) -> float:
    """Share of the load that the window is.

    load: the loaded part
    returns: share [1], 0 to 1
    """
    length = load.end_s - load.onset_s
    return min(1.0, (load.end_s - window.from_s) / length) if length > 0 else 1.0


def _slope(time: Series, values: Series) -> tuple[float, float]:
    """Slope and its standard error [K/s]."""
    if len(time) < 4:
        return 0.0, 0.0
    (slope, _), residuals, *_ = np.polyfit(time - time[0], values, 1, full=True)
    spread = float(((time - time.mean()) ** 2).sum())
    left = float(residuals[0]) if len(residuals) else 0.0
    return float(slope), math.sqrt(left / (len(time) - 2) / spread) if spread > 0 else 0.0


def _power_is_even(trace: Trace, inside: Mask, from_s: float) -> bool:
    """Whether the power of the last part goes nowhere; without power that is not known, and the die has to do."""
    power = trace.power
    if power is None:
        return True
    late = inside & (trace.time_s >= from_s) & np.isfinite(power)
    if late.sum() < 4:
        return True
    slope, slope_u = _slope(trace.time_s[late], power[late])
    span = float(np.ptp(trace.time_s[late]))
    return (abs(slope) - slope_u) * span < POWER_SETTLED_SHARE * float(power[late].mean())


def _both_ways(
    trace: Trace, window: SettledWindow, *, response: Response | None, heading: Heading, mean_c: float
) -> tuple[float, float]:
    """What is to come after the window [K] and its standard uncertainty: the mean of the fixed ladder, which knows what
    is usual, and of the freely fitted terms, which know this log. Where they part, the answer is as wide."""
    ladder = heading.final_c - mean_c
    power = trace.power
    late = (trace.time_s >= window.from_s) & (trace.time_s <= window.to_s)
    if response is None or power is None or not np.isfinite(power[late]).any():
        return ladder, heading.final_u_k
    die = trace.channels[trace.die_role]
    last = late & (trace.time_s >= window.to_s - LAST_S) & np.isfinite(die)
    if not last.any():
        return ladder, heading.final_u_k
    free = float(die[last].mean()) - mean_c + float(response.remaining_k(float(np.nanmean(power[late]))))
    if not abs(free) < FREE_MOST_K:
        return ladder, heading.final_u_k
    return 0.5 * (ladder + free), combined(LADDER_U_SHARE * heading.final_u_k, 0.5 * abs(ladder - free))


def _minutes_needed(heading: Heading) -> float:
    """Minutes of load until the rule holds, one at the least."""
    waits = np.geomspace(15.0, LONGEST_WAIT_S, 240)
    left = np.abs(heading.remaining_k(waits))
    slopes = np.abs(np.gradient(left, waits))
    good = np.flatnonzero((left < REMAINING_SETTLED_K) & (slopes < SLOPE_SETTLED_K_PER_S))
    return max(1.0, float(waits[good[0]] if len(good) else LONGEST_WAIT_S) / 60.0)
