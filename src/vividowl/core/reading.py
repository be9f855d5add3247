"""One log read whole: time structure, steady figures, throttling, response, and the findings in words."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass

import numpy as np

from vividowl.core.errors import CoreError
from vividowl.core.load import LoadPhase, find_load, under_load
from vividowl.core.network import Response, fit_response
from vividowl.core.roles import ROLE_KINDS, Role
from vividowl.core.settling import SettledWindow, find_settled_window
from vividowl.core.throttling import Throttling, find_throttling
from vividowl.core.trace import Series, Trace
from vividowl.core.uncertainty import standard_error

INTERFACE_SHARE_POOR = 1.0 / 3.0


@dataclass(frozen=True)
class Statistics:
    """mean, maximum, p95 and standard error of the mean over the settled window, in the channel's unit."""

    mean: float
    maximum: float
    p95: float
    standard_error: float


@dataclass(frozen=True)
class Reading:
    """What a log says. stats and power are over the settled window; response is None when not known,
    response_reason then says why."""

    samples: int
    duration_s: float
    interval_s: float
    die_role: Role
    load: LoadPhase
    window: SettledWindow
    throttling: Throttling
    stats: Mapping[Role, Statistics]
    power: Statistics | None
    response: Response | None
    response_reason: str

    @property
    def die(self) -> Statistics:
        """Statistics of the deciding die temperature [degC]."""
        return self.stats[self.die_role]

    @property
    def clock(self) -> Statistics | None:
        """Statistics of the clock that belongs to the deciding die [MHz]."""
        role = Role.CPU_CLOCK if self.die_role is Role.CPU_TEMPERATURE else Role.GPU_CLOCK
        return self.stats.get(role)


def statistics(values: Series) -> Statistics | None:
    """Statistics of a series, None when nothing in it is finite.

    values: series (n,) [any]
    returns: Statistics or None
    source: JCGM 100:2008, 4.2
    """
    known = values[np.isfinite(values)]
    if len(known) < 2:
        return None
    return Statistics(float(known.mean()), float(known.max()), float(np.percentile(known, 95)), standard_error(known))


def read_trace(trace: Trace, room_c: float | None, limit_c: float | None = None) -> Reading:
    """Read a log: load, settled window, throttling, statistics and response.

    trace: the log
    room_c: room temperature [degC], None when not noted: then no response is computed
    limit_c: temperature limit of the device [degC], None when not known
    returns: Reading
    raises: NotEnoughData without a die temperature or with too little load
    source: as the parts
    """
    load = find_load(trace)
    window = find_settled_window(trace, load)
    inside = under_load(trace, load) & (trace.time_s >= window.from_s) & (trace.time_s <= window.to_s)
    found = {role: statistics(values[inside]) for role, values in trace.channels.items()}
    power = trace.power
    response, reason = None, "The room temperature is not noted."
    if room_c is not None:
        try:
            response, reason = fit_response(trace, load, room_c), ""
        except CoreError as error:
            reason = str(error)
    return Reading(
        len(trace.time_s),
        trace.duration_s,
        trace.interval_s,
        trace.die_role,
        load,
        window,
        find_throttling(trace, load, limit_c),
        {role: value for role, value in found.items() if value is not None},
        statistics(power[inside]) if power is not None else None,
        response,
        reason,
    )


def clock_words(seconds: float) -> str:
    """Write a time in a log as minutes and seconds.

    seconds: time [s], >= 0
    returns: m:ss or h:mm:ss [text]
    source: ISO 8601 order
    """
    whole = round(seconds)
    hours, minutes, rest = whole // 3600, whole // 60 % 60, whole % 60
    return f"{hours}:{minutes:02d}:{rest:02d}" if hours else f"{minutes}:{rest:02d}"


def findings(reading: Reading, room_c: float | None) -> tuple[str, ...]:
    """Say in words what the log says.

    reading: the reading
    room_c: room temperature [degC] or None
    returns: sentences (n,) [text]
    source: common practice, no source
    """
    load, window, out = reading.load, reading.window, []
    if load.seen:
        text = f"Load starts at {clock_words(load.onset_s)}"
        if load.boost_end_s > load.onset_s:
            text += f", boost ends at {clock_words(load.boost_end_s)}"
    else:
        text = "The log shows no idle before the load, so all of it is taken as loaded"
    if window.settled:
        to_go = f" ({abs(window.remaining_rise_k):.1f} K to go)" if window.remaining_rise_k is not None else ""
        text += f"; settled from {clock_words(window.from_s)}{to_go}."
    elif window.minutes_needed is not None and window.final_c is not None:
        more = max(1, round(window.minutes_needed))
        text += (
            f"; not settled: {more} more minute{'s' if more > 1 else ''} would settle it, near {window.final_c:.0f} °C."
        )
    else:
        text += "; not settled, and where it would end is not known."
    out.append(text)
    name = ROLE_KINDS[reading.die_role].words.capitalize()
    text = f"{name} {reading.die.mean:.1f} °C"
    if room_c is not None:
        text += f", {reading.die.mean - room_c:.1f} K over the room"
    if reading.power is not None:
        text += f", at {reading.power.mean:.1f} W"
    out.append(text + ".")
    held = reading.throttling
    if held.share is None:
        out.append("Whether heat holds it back is not known: neither power, clock nor a throttle flag was logged.")
    elif held.share < 0.005:
        out.append("Heat does not hold it back.")
    else:
        first = f", first after {clock_words(held.first_s)}" if held.first_s is not None else ""
        out.append(f"Held back by heat {100 * held.share:.0f} % of the loaded time{first}.")
    if reading.response is not None and reading.response.total > 0:
        share = reading.response.interface / reading.response.total
        judged = "the interface is poor" if share >= INTERFACE_SHARE_POOR else "the interface is not the main brake"
        out.append(f"{100 * share:.0f} % of the rise comes within seconds of the load: {judged}.")
    elif reading.response_reason:
        out.append(reading.response_reason)
    return tuple(out)
