"""How evenly the work goes: the spread of the clock, the frame rate and its slow one per cent."""

from __future__ import annotations

import math
from dataclasses import dataclass

import numpy as np

from vividowl.core.quantities.errors import NotEnoughData
from vividowl.core.quantities.words import say
from vividowl.core.trace.roles import Role
from vividowl.core.trace.trace import Mask, Series, Trace

SLOW_SHARE = 0.01  # of the frames that are the slow one per cent (definition)
FRAMES_LEAST = 1000  # [1] frames below which one per cent is too few to be told; from memory
FRAME_LONGEST_S = 10.0  # [s] a longer one is a menu, a loading screen or another log; from memory
FRAME_SHORTEST_S = 1e-4  # [s] no screen is drawn faster; from memory
FRAME_A_LINE_FACTOR = 1.6  # a line a frame: the lines lie no further apart than so many frame times; from memory
SPREAD_LOW, SPREAD_HIGH = 5.0, 95.0  # percentiles between which the clock's spread lies (definition)
SPREAD_LINES_LEAST = 30  # [1] lines below which a spread is not told; from memory


@dataclass(frozen=True)
class Frames:
    """Frames of a run. count; seconds that they took [s]; rate: mean [1/s]; slow_rate: of the slow one per cent [1/s],
    None where too few frames, or means over many, were logged."""

    count: int
    seconds: float
    rate: float
    slow_rate: float | None


@dataclass(frozen=True)
class Pace:
    """clock [MHz]: its middle; clock_spread [MHz]: what nine tenths of its lines lie within; None where not logged."""

    clock_mhz: float | None = None
    clock_spread_mhz: float | None = None
    frames: Frames | None = None


def frames_of(frame_times: Series) -> Frames:
    """Frame rate and its slow one per cent from the time that each frame took.

    frame_times: time of each frame (n,) [s]; what is no number, and what is no frame, does not count
    raises: NotEnoughData without a frame
    formula: rate = n / sum(t); slow rate = 1 / mean(the longest n / 100)
    range: frames of 0.1 ms to 10 s; the slow one per cent from 1000 frames on
    source: common practice, no source; another school takes the 99th percentile of the frame times, which is kinder
    """
    times = frame_times[np.isfinite(frame_times)]
    times = times[(times >= FRAME_SHORTEST_S) & (times <= FRAME_LONGEST_S)]
    if len(times) < 2:
        raise NotEnoughData(say("pace-no-frame-times", n=len(times)), field="log")
    seconds = float(times.sum())
    slow: float | None = None
    if len(times) >= FRAMES_LEAST:
        longest = np.sort(times)[-math.floor(SLOW_SHARE * len(times)) :]
        slow = float(1.0 / longest.mean())
    return Frames(len(times), seconds, len(times) / seconds, slow)


def pace_of(trace: Trace, inside: Mask) -> Pace:
    """How evenly a load ran.

    trace: the log
    inside: the lines that count (n,) [flag], those of the steady part
    returns: Pace; what was not logged is None
    formula: spread = P95 - P5 of the clock; frames as in frames_of where a line is a frame, else the mean rate alone
    source: handbook/runs.md, common practice, no source; percentiles from memory
    """
    role = Role.CPU_CLOCK if trace.die_role is Role.CPU_TEMPERATURE else Role.GPU_CLOCK
    clock, spread = trace.get(role), None
    middle: float | None = None
    if clock is not None:
        known = clock[inside & np.isfinite(clock)]
        if len(known) >= SPREAD_LINES_LEAST:
            low, middle_, high = np.percentile(known, [SPREAD_LOW, 50.0, SPREAD_HIGH])
            middle, spread = float(middle_), float(high - low)
    return Pace(middle, spread, _frames(trace, inside))


def _frames(trace: Trace, inside: Mask) -> Frames | None:
    times = trace.get(Role.FRAME_TIME)
    if times is not None:
        known = times[inside & np.isfinite(times) & (times > 0)] * 1e-3
        if len(known) < 2:
            return None
        if trace.interval_s <= FRAME_A_LINE_FACTOR * float(np.median(known)):
            return frames_of(known)
        # A line a second, with the mean frame time of it: each line stands for as long.
        seconds = trace.interval_s * len(known)
        return Frames(round(float((trace.interval_s / known).sum())), seconds, float(np.mean(1.0 / known)), None)
    rates = trace.get(Role.FRAME_RATE)
    if rates is None:
        return None
    known = rates[inside & np.isfinite(rates) & (rates >= 0)]
    if len(known) < 2:
        return None
    seconds = trace.interval_s * len(known)
    return Frames(round(float(known.mean()) * seconds), seconds, float(known.mean()), None)
