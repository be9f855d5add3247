"""Held back by heat: the die pinned at its plateau while power or clock is given up at unchanged demand, or flagged."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass
from enum import StrEnum

import numpy as np

from vividowl.core.trace.load import LoadPhase
from vividowl.core.trace.roles import DIE_ROLES, Role
from vividowl.core.trace.trace import Mask, Series, Trace, sensor_step, smooth

NEAR_LIMIT_K = 2.5  # [K] below a known limit that are still at it; from memory
GIVEN_UP_SHARE = 0.03  # of clock or power; from memory
UTILISATION_KEPT = 0.85  # of the demand, so that it is heat that takes the clock; from memory
EPISODE_LEAST_S = 3.0  # [s]; from memory
BOOST_END_LOOK_S = 30.0  # [s] after a boost in which a fall is its end; from memory
REFERENCE_LEAST_S = 5.0  # [s] of clock or power that is not held back; from memory
SMOOTHED_S = 10.0  # [s]; from memory
PINNED_S = 30.0  # [s] at the plateau; common practice, no source (docs/handbook/temperature.md)
PINNED_K = 1.0  # [K] or one step of the sensor; common practice, no source (docs/handbook/temperature.md)
# The plateau is where the die is most of the later part, and hardly ever above.
LATER_FROM = 0.4
PLATEAU_BAND_K = 1.5  # [K] around the plateau; from memory
ABOVE_MOST = 0.08  # share of the later part; from memory
PLATEAU_LEAST = 0.12  # share of the later part; from memory
# Work that goes up and down by itself gives and takes this much more before it counts as given up.
RESTLESS_FACTOR = 1.0
# Work that goes up and down by itself by so much shows a limit only where the die stays at it three fifths of the time,
# six times as much as just below, and is held for a tenth of the load; from memory, looked at on two simulated devices.
RESTLESS_LEAST, SCENES_PERCENT, RESTLESS_HELD_LEAST = 0.02, 5.0, 0.1
# Share of the time at the plateau, and that over the share just below it; as above, from memory.
SHARP_LEAST, SHARP_RATIO = 0.6, 6.0
# A die that stood above its plateau for so long is at rest there and at no limit; from memory.
ABOVE_LIMIT_S = 10.0
# What is still given up after the boost was over and the governor had come to rest shows a limit; from memory.
AFTER_BOOST_S = 30.0
DEMAND_TOLD = 0.5  # correlation of use and clock from which the demand moves the clock; from memory
# More than this share of the load held back is told; less may be one line of a logger. From memory.
HELD_SHARE = 0.02


_Spans = tuple[tuple[float, float], ...]


class Unknown(StrEnum):
    """Why it is not known whether heat held a device back."""

    NOT_LOGGED = "not_logged"
    LIMIT = "limit"


@dataclass(frozen=True, kw_only=True)
class Throttling:
    """share: of loaded time 0 to 1, None when neither power, clock nor flag was logged, or when a die that stays could
    as well be at rest; episodes: number;
    first_s: time from load onset to the first [s]; limit_c: plateau it is held at [degC], None when not held;
    spans_s: start and end of each episode in the log [s]; told_by: flag, power or clock;
    given_up_w, given_up_mhz: mean over the episodes of what it gave before less what it gave then, None if not known;
    unknown: why the share is not known.
    """

    share: float | None
    episodes: int
    first_s: float | None
    limit_c: float | None
    spans_s: _Spans
    told_by: str
    given_up_w: float | None = None
    given_up_mhz: float | None = None
    unknown: Unknown | None = None


@dataclass(frozen=True, kw_only=True)
class _Pinned:
    """at: samples at the plateau (n,); near: samples no cooler than it; plateau_c; stood_above: whether the die stood
    above it for a while; sharp: whether it stays there far more than just below."""

    at: Mask
    near: Mask
    plateau_c: float
    stood_above: bool
    sharp: bool


def _pinned(time: Series, die: Series, limit_c: float | None) -> _Pinned | None:
    """Where a die is pinned at its plateau, or at the limit where that is known. None when it never is."""
    step_s = float(np.median(np.diff(time)))
    calm = smooth(die, max(1, round(SMOOTHED_S / max(step_s, 0.05))))
    band = max(PINNED_K, sensor_step(die))
    later = calm[time >= time[0] + LATER_FROM * (time[-1] - time[0])]
    later = later[np.isfinite(later)]
    if len(later) < 5:
        return None
    # The sensor that the governor minds is not always the one that was logged; the plateau itself tells, near the
    # limit.
    if limit_c is not None and float(np.percentile(later, 90)) < limit_c - NEAR_LIMIT_K:
        return None
    levels = np.arange(np.floor(later.min()), np.ceil(later.max()) + 0.25, 0.25)
    often = np.array([np.mean(np.abs(later - level) <= 0.5 * band) for level in levels])
    above = np.array([np.mean(later > level + PLATEAU_BAND_K) for level in levels])
    fit = np.where((above < ABOVE_MOST) & (often >= PLATEAU_LEAST), often, -1.0)
    if fit.max() < 0.0:
        return None
    plateau = float(levels[int(np.argmax(fit))])
    above_s = float(np.sum(calm > plateau + max(PLATEAU_BAND_K, band))) * step_s
    near = np.asarray(calm >= plateau - max(PLATEAU_BAND_K, band), dtype=np.bool_)
    width = max(2, round(PINNED_S / max(step_s, 0.05)))
    flat = _range_within(calm, width) <= band
    return _Pinned(
        at=near & _spread(flat, width),
        near=near,
        plateau_c=plateau,
        stood_above=above_s > ABOVE_LIMIT_S,
        sharp=_sharp(later, plateau, band),
    )


def _sharp(later: Series, plateau_c: float, band_k: float) -> bool:
    """Whether a die stays at its plateau far more than just below, as at a limit that is come to again and again."""

    def share(level_c: float) -> float:
        return float(np.mean(np.abs(later - level_c) <= 0.5 * band_k))

    there, below = share(plateau_c), sum(share(plateau_c - k * band_k) for k in (1.5, 2.5, 3.5)) / 3.0
    return there >= SHARP_LEAST and there >= SHARP_RATIO * below


def _range_within(values: Series, width: int) -> Series:
    """Highest less lowest value of the window that begins at each sample (n,)."""
    windows = np.lib.stride_tricks.sliding_window_view(np.concatenate((values, np.full(width - 1, values[-1]))), width)
    every = max(1, width // 16)  # a smoothed series needs no closer look
    seen = windows[:, ::every]
    return np.asarray(np.fmax.reduce(seen, axis=1) - np.fmin.reduce(seen, axis=1), dtype=np.float64)


def _spread(begins: Mask, width: int) -> Mask:
    """Samples that lie in a window of which the first sample is marked (n,)."""
    count = np.concatenate(([0], np.cumsum(begins)))
    at = np.arange(len(begins))
    return np.asarray(count[at + 1] - count[np.maximum(0, at - width + 1)] > 0, dtype=np.bool_)


def _wanted(
    time: Series, signal: Series, *, use: Series | None, near: Mask, boost_end_s: float, onset_s: float
) -> tuple[Series, float]:
    """What the device would give if heat did not hold it back (n,), and by how much it goes up and down by itself, as a
    share: one level in the boost, one after it; where the demand is told by the utilisation, by that."""
    boost = time <= boost_end_s
    step = float(np.median(np.diff(time))) if len(time) > 1 else 1.0
    least = max(3, round(REFERENCE_LEAST_S / max(step, 0.05)))

    def level(where: Mask) -> float | None:
        known = signal[where & np.isfinite(signal)]
        return float(np.percentile(known, 90)) if len(known) >= least else None

    first = level(~near & (boost if boost_end_s > onset_s else time < onset_s + 60.0))
    if first is None:
        # At the limit from the first seconds on: those seconds are all that shows what it would like to give.
        first = float(np.nanmax(signal[:least])) if np.isfinite(signal[:least]).any() else float("nan")
    free = ~near & (time > boost_end_s + 2.0) & np.isfinite(signal)
    after = level(free)
    wanted = np.where(boost, first, after if after is not None else first)
    if after is None or free.sum() < 4 * least:
        return wanted, 0.0
    restless = float(np.std(signal[free])) / max(1e-9, float(np.mean(signal[free])))
    if use is not None and float(np.ptp(use[free])) > 10.0:
        together = np.isfinite(use) & free
        if float(np.corrcoef(use[together], signal[together])[0, 1]) > DEMAND_TOLD:
            slope, base = np.polyfit(use[together], signal[together], 1)
            left = float(np.std(signal[together] - slope * use[together] - base)) / max(1e-9, after)
            return np.minimum(wanted, slope * use + base), left
    return wanted, restless


def _later(time: Series, signal: Series, load: LoadPhase) -> tuple[Mask, int]:
    """Samples after any boost, whose end is a setting of its own (n,), and how many of them tell a level."""
    step_s = float(np.median(np.diff(time))) if len(time) > 1 else 1.0
    later = np.asarray((time > load.boost_end_s + AFTER_BOOST_S) & np.isfinite(signal), dtype=np.bool_)
    return later, max(3, round(REFERENCE_LEAST_S / max(step_s, 0.05)))


def _was_free(time: Series, signal: Series, near: Mask, load: LoadPhase) -> bool:
    """Whether the die was seen cooler than its plateau after the boost."""
    later, least = _later(time, signal, load)
    return int((later & ~near).sum()) >= least


def _gives_up_more(time: Series, signal: Series, at: Mask, load: LoadPhase) -> bool:
    """Whether a device gives up more and more while its die stays, as only a limit makes it do."""
    later, least = _later(time, signal, load)
    stays = signal[later & at]
    part = len(stays) // 5
    if part < least:
        return False
    first = float(np.mean(stays[:part]))
    return first - float(np.mean(stays[-part:])) > GIVEN_UP_SHARE * first


def _of_a_limit(
    time: Series, signal: Series, *, spans: _Spans, pins: Sequence[_Pinned], load: LoadPhase, restless: bool
) -> _Spans | None:
    """Of the spans those that a limit explains where none is known, None where it is not known whether any does."""
    if restless:
        # Scenes that come and go make a die linger anywhere, and a power limit gives less then, too.
        if sum(b - a for a, b in spans) < RESTLESS_HELD_LEAST * float(time[-1] - time[0]):
            return ()
        if not any(p.sharp for p in pins):
            return None
    at = np.logical_or.reduce([p.at for p in pins])
    if _gives_up_more(time, signal, at, load):
        return spans
    # A die that stood above its plateau is at rest there; one that never did, and never gave more, tells neither.
    if all(p.stood_above for p in pins):
        return ()
    near = np.logical_or.reduce([p.near for p in pins])
    return spans if _was_free(time, signal, near, load) else None


def find_throttling(trace: Trace, load: LoadPhase, limit_c: float | None = None) -> Throttling:
    """Share of the loaded time in which the device was held back by heat.

    trace: the log
    load: its loaded part
    limit_c: known temperature limit [degC], else the plateau is taken
    raises: NotEnoughData when there is no die temperature
    formula: flag where logged; else a die pinned (its smoothed spread over 30 s within 1 K or one step of its sensor)
        at its plateau, and power (else clock) more than 3 % below what it gave when it was cooler, at unchanged
        utilisation
    source: common practice, no source
    """
    inside = (trace.time_s >= load.onset_s) & (trace.time_s < load.end_s)
    time = trace.time_s[inside]
    if len(time) < 3 or not np.isfinite(trace.channels[trace.die_role][inside]).any():
        return Throttling(
            share=None, episodes=0, first_s=None, limit_c=None, spans_s=(), told_by="", unknown=Unknown.NOT_LOGGED
        )
    dies = [trace.die_role, *(r for r in DIE_ROLES if r is not trace.die_role and trace.has(r))]
    pins = [
        found
        for role in dies
        if (found := _pinned(time, trace.channels[role][inside], limit_c if role is trace.die_role else None))
    ]
    at = np.logical_or.reduce([p.at for p in pins]) if pins else np.zeros(len(time), dtype=np.bool_)
    near = np.logical_or.reduce([p.near for p in pins]) if pins else np.zeros(len(time), dtype=np.bool_)
    width = max(1, round(SMOOTHED_S / max(trace.interval_s, 0.05)))
    clock = trace.get(Role.CPU_CLOCK if trace.die_role is Role.CPU_TEMPERATURE else Role.GPU_CLOCK)
    use = trace.get(Role.CPU_UTILISATION if trace.die_role is Role.CPU_TEMPERATURE else Role.GPU_UTILISATION)
    used = smooth(use[inside], width) if use is not None and np.isfinite(use[inside]).any() else None
    lacks: dict[str, Series] = {}
    signals: dict[str, Series] = {}
    restless: dict[str, float] = {}
    for name, signal in (("power", trace.power), ("clock", clock)):
        if signal is not None and np.isfinite(signal[inside]).any():
            signals[name] = smooth(signal[inside], width)
            wanted, restless[name] = _wanted(
                time, signals[name], use=used, near=near, boost_end_s=load.boost_end_s, onset_s=load.onset_s
            )
            lacks[name] = wanted - signals[name]
    flag = trace.get(Role.THROTTLE_FLAG)
    if flag is not None:
        held, told_by = np.asarray(np.nan_to_num(flag[inside]) > 0.5, dtype=np.bool_), "flag"
    elif signals:
        told_by = next(iter(signals))
        least = GIVEN_UP_SHARE + RESTLESS_FACTOR * restless[told_by]
        held = at & np.asarray(lacks[told_by] > least * (signals[told_by] + lacks[told_by]), dtype=np.bool_)
        if used is not None:
            held &= ~(used < UTILISATION_KEPT * float(np.nanmedian(used)))
    else:
        return Throttling(
            share=None, episodes=0, first_s=None, limit_c=None, spans_s=(), told_by="", unknown=Unknown.NOT_LOGGED
        )
    spans = _spans(time, held)
    if flag is None:
        # The step down at the end of a boost is no throttling, though the die is still near its peak.
        spans = tuple(
            (a, b)
            for a, b in spans
            if not (
                abs(a - load.boost_end_s) < SMOOTHED_S and b - a < BOOST_END_LOOK_S and load.boost_end_s > load.onset_s
            )
        )
    if spans and flag is None and limit_c is None:
        scenes = restless[told_by] > RESTLESS_LEAST or (used is not None and float(np.nanstd(used)) > SCENES_PERCENT)
        explained = _of_a_limit(time, signals[told_by], spans=spans, pins=pins, load=load, restless=scenes)
        if explained is None:
            return Throttling(
                share=None, episodes=0, first_s=None, limit_c=None, spans_s=(), told_by="", unknown=Unknown.LIMIT
            )
        spans = explained
    loaded = float(time[-1] - time[0]) or 1.0
    within = np.zeros(len(time), dtype=bool)
    for a, b in spans:
        within |= (time >= a) & (time <= b)

    def given_up(name: str) -> float | None:
        lack = lacks.get(name)
        return max(0.0, float(np.nanmean(lack[within]))) if lack is not None and within.any() else None

    held_die = trace.channels[trace.die_role][inside][within]
    return Throttling(
        share=min(1.0, sum(b - a for a, b in spans) / loaded),
        episodes=len(spans),
        first_s=spans[0][0] - load.onset_s if spans else None,
        limit_c=float(np.nanmedian(held_die)) if spans and np.isfinite(held_die).any() else None,
        spans_s=spans,
        told_by=told_by if spans else "",
        given_up_w=given_up("power"),
        given_up_mhz=given_up("clock"),
    )


def _spans(time: Series, held: Mask) -> _Spans:
    """Episodes of at least three seconds; pauses shorter than that do not end one."""
    edges = np.flatnonzero(np.diff(np.concatenate(([0], held.astype(int), [0]))))
    spans: list[tuple[float, float]] = []
    last = len(time) - 1
    for begin, stop in zip(edges[::2], edges[1::2], strict=True):
        a, b = float(time[begin]), float(time[min(stop, last)])
        if spans and a - spans[-1][1] < EPISODE_LEAST_S:
            spans[-1] = (spans[-1][0], b)
        else:
            spans.append((a, b))
    return tuple((a, b) for a, b in spans if b - a >= EPISODE_LEAST_S)
