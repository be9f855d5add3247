"""When the load began, when the boost was over, when the load ended."""

from __future__ import annotations

from dataclasses import dataclass

import numpy as np

from vividowl.core.trace.roles import Role
from vividowl.core.trace.trace import Mask, Series, Trace, bridged, smooth

LEAD_MOST_S = 300.0  # [s] before the load that are read; from memory
BOOST_LONGEST_S = 120.0  # [s]; from memory
BOOST_EXCESS = 0.06  # share above the sustained power; from memory
BOOST_SHARPNESS = 0.7  # share of the fall that comes at once; from memory
# After a boost the power does not come back to it, but for a moment; where it does, the load goes up and down by
# itself.
BOOST_BACK_SHARE = 0.06
BOOST_EVEN_SHARE = 0.5  # of the fall by which a boost itself may scatter; from memory
STEP_SHARE = 0.2  # of the signal that is a load; from memory
DIP_BELOW = 0.6  # of the median that is a pause; from memory
DIP_RECOVERY_S = 30.0  # [s] after a pause that are left out; from memory
PAUSE_MOST_S = 60.0  # [s] without a value that are bridged before the load is looked for; from memory
# A stretch shorter than this, and short beside the longest, is no part of the load when a pause parts it from the rest.
STRAY_S = 40.0
STRAY_SHARE = 0.3  # of the longest stretch; from memory


@dataclass(frozen=True, kw_only=True)
class LoadPhase:
    """onset_s, boost_end_s, end_s: times in the log [s]; boost_end_s equals onset_s when no boost was seen.

    seen: False when the log shows no step, and the whole of it is taken as loaded.
    signal: what the load was told from, in words.
    """

    onset_s: float
    boost_end_s: float
    end_s: float
    seen: bool
    signal: str


def _activity(trace: Trace) -> tuple[Series, str]:
    """The signal that tells load from idle best: power, then utilisation, then the die itself. A cell that was left
    empty is neither load nor idle: it is bridged."""
    power = trace.power
    if power is not None:
        return bridged(trace.time_s, power, PAUSE_MOST_S), "power"
    loads = [s for s in map(trace.get, (Role.CPU_UTILISATION, Role.GPU_UTILISATION)) if s is not None]
    if loads:
        return bridged(trace.time_s, np.fmax.reduce(loads), PAUSE_MOST_S), "utilisation"
    return bridged(trace.time_s, trace.channels[trace.die_role], PAUSE_MOST_S), "die temperature"


def find_load(trace: Trace) -> LoadPhase:
    """Find the loaded part of a log.

    trace: the log
    raises: NotEnoughData when the log has no die temperature
    range: one main load; several load phases are taken from the first to the last
    formula: the signal crosses half way between idle and the usual load and stays there
    source: common practice, no source
    """
    raw, name = _activity(trace)
    time = trace.time_s
    start, end = float(time[0]), float(time[-1])
    values = smooth(raw, max(1, round(3.0 / max(trace.interval_s, 0.05))))
    # Idle may be a blink in a long log, so the lowest ten seconds count; one lost sample does not.
    low = float(np.nanmin(smooth(raw, max(1, round(10.0 / max(trace.interval_s, 0.05))))))
    high = float(np.nanpercentile(values, 90))
    if not high - low > STEP_SHARE * abs(high):
        return LoadPhase(onset_s=start, boost_end_s=start, end_s=end, seen=False, signal=name)
    # With several loads of different height the usual one counts, not the highest.
    usual = float(np.nanmedian(values[values > low + 0.25 * (high - low)]))
    half = low + 0.5 * (min(usual, high) - low)
    above = values > half
    if not above.any():
        return LoadPhase(onset_s=start, boost_end_s=start, end_s=end, seen=False, signal=name)
    span = _main_stretch(time, np.asarray(above, dtype=np.bool_))
    first, last = span
    # The running mean moves the crossings by up to half its width: go on to the raw ones.
    raw_above = np.flatnonzero(raw[first : last + 1] > half)
    if len(raw_above):
        first, last = first + int(raw_above[0]), first + int(raw_above[-1])
    onset, finish = float(time[first]), float(time[last])
    return LoadPhase(
        onset_s=onset, boost_end_s=_boost_end(trace, onset, finish), end_s=finish, seen=first > 0, signal=name
    )


def _main_stretch(time: Series, above: Mask) -> tuple[int, int]:
    """First and last sample of the load. Both ends have to persist: a burst in the idle before it or in the cool-down
    is no part of it, the passes of a loop are."""
    edges = np.flatnonzero(np.diff(np.concatenate(([0], above.astype(int), [0]))))
    stretches = [(int(a), int(b) - 1) for a, b in edges.reshape(-1, 2)]
    lengths = [float(time[b] - time[a]) for a, b in stretches]
    short = min(STRAY_S, STRAY_SHARE * max(lengths))
    low, high = 0, len(stretches) - 1
    while low < high and lengths[low] < min(short, float(time[stretches[low + 1][0]] - time[stretches[low][1]])):
        low += 1
    while high > low and lengths[high] < short:
        high -= 1
    return stretches[low][0], stretches[high][1]


def _boost_end(trace: Trace, onset_s: float, end_s: float) -> float:
    """The sharpest lasting step down within two minutes of the onset, or the onset when there is none."""
    power = trace.power
    if power is None or end_s - onset_s < 45.0:
        return onset_s
    step = max(trace.interval_s, 0.05)
    within = (trace.time_s >= onset_s) & (trace.time_s <= min(onset_s + BOOST_LONGEST_S + 30.0, end_s))
    time, values = trace.time_s[within], power[within]
    known = np.isfinite(values)
    time, values = time[known], values[known]
    near, wide = max(2, round(4.0 / step)), max(3, round(12.0 / step))
    if len(values) < 3 * wide:
        return onset_s

    def drop(width: int) -> Series:
        """Mean of the samples before each one less mean of those from it on."""
        total = np.concatenate(([0.0], np.cumsum(values)))
        i = np.arange(len(values))
        low, high = np.maximum(0, i - width), np.minimum(len(values), i + width)
        before = (total[i] - total[low]) / np.maximum(1, i - low)
        return np.asarray(before - (total[high] - total[i]) / np.maximum(1, high - i))

    sharp, lasting = drop(near), drop(wide)
    first = max(2, round(4.0 / step))
    allowed = (np.arange(len(values)) >= first) & (time <= onset_s + BOOST_LONGEST_S)
    allowed[-wide:] = False
    level = float(np.median(values))
    # A slow decline as the cooler fills is no boost's end, and a dip that comes back is none either.
    good = allowed & (lasting > BOOST_EXCESS * level) & (sharp > BOOST_SHARPNESS * lasting)
    after = np.array([np.median(values[i : i + 3 * wide]) for i in np.flatnonzero(good)])
    before = np.array([np.mean(values[max(0, i - near) : i]) for i in np.flatnonzero(good)])
    found = np.flatnonzero(good)[after < before - 0.5 * lasting[good]] if good.any() else np.array([], dtype=int)
    if not len(found):
        return onset_s
    at = int(found[np.argmax(sharp[found])])
    return float(time[at]) if _stays_down(trace, onset_s, float(time[at]), end_s) else onset_s


def _stays_down(trace: Trace, onset_s: float, at_s: float, end_s: float) -> bool:
    """Whether the power was even before a step down and does not come back to it after: a boost, and no game."""
    assert trace.power is not None  # noqa: S101 - the step was found in it
    first = trace.power[(trace.time_s > onset_s) & (trace.time_s < at_s)]
    rest = trace.power[(trace.time_s > at_s) & (trace.time_s < end_s)]
    first, rest = first[np.isfinite(first)], rest[np.isfinite(rest)]
    if not len(first) or not len(rest):
        return False
    high, low = float(np.median(first)), float(np.median(rest))
    drop = high - low
    even = float(np.subtract(*np.percentile(first, (85, 15)))) < BOOST_EVEN_SHARE * drop
    return even and float(np.mean(rest > low + 0.5 * drop)) < BOOST_BACK_SHARE


def find_pauses(trace: Trace, load: LoadPhase) -> tuple[tuple[float, float], ...]:
    """Pauses between the passes of a looping benchmark.

    trace: the log
    load: its loaded part
    returns: start and end of each pause in the log [s] (n, 2)
    range: up to 60 s; what lasts longer is another load
    formula: power (else utilisation) below 60 % of its median under load, with load on both sides
    source: common practice, no source
    """
    paused = _paused(trace, load)
    edges = np.flatnonzero(np.diff(np.concatenate(([0], paused.astype(int), [0]))))
    last = len(paused) - 1
    spans = [(float(trace.time_s[a]), float(trace.time_s[min(b, last)])) for a, b in edges.reshape(-1, 2)]
    edge_s = 2.5 * trace.interval_s
    inner = [(a, b) for a, b in spans if a > load.onset_s + edge_s and b < load.end_s - edge_s]
    return tuple((a, b) for a, b in inner if b - a <= PAUSE_MOST_S)


def _paused(trace: Trace, load: LoadPhase) -> Mask:
    inside = (trace.time_s >= load.onset_s) & (trace.time_s <= load.end_s)
    signal, name = _activity(trace)
    if name == "die temperature":
        return np.zeros(len(inside), dtype=np.bool_)
    return inside & np.asarray(signal < DIP_BELOW * float(np.nanmedian(signal[inside])), dtype=np.bool_)


def under_load(trace: Trace, load: LoadPhase) -> Mask:
    """Samples in which the device really works: without the pauses between the passes of a looping benchmark.

    trace: the log
    load: its loaded part
    returns: mask (n,) [flag]; a pause and the half minute after it, in which the die catches up, are out
    formula: power (else utilisation) below 60 % of its median under load is a pause
    source: common practice, no source
    """
    inside = (trace.time_s >= load.onset_s) & (trace.time_s <= load.end_s)
    pause = _paused(trace, load)
    if not pause.any():
        return inside
    index = np.arange(len(pause))
    last = np.maximum.accumulate(np.where(pause, index, -1))
    since = np.where(last >= 0, trace.time_s - trace.time_s[np.maximum(last, 0)], np.inf)
    kept = inside & (since > DIP_RECOVERY_S)
    # Passes shorter than the recovery leave nothing: then the whole load has to do.
    return kept if kept.sum() >= 0.3 * inside.sum() else inside
