"""Held back by heat: at the limit while power or clock is given up at unchanged utilisation, or flagged."""

from __future__ import annotations

from dataclasses import dataclass

import numpy as np

from vividowl.core.load import LoadPhase
from vividowl.core.roles import Role
from vividowl.core.trace import Mask, Series, Trace, smooth

NEAR_LIMIT_K = 2.0
GIVEN_UP_SHARE = 0.05
UTILISATION_KEPT = 0.85
EPISODE_LEAST_S = 3.0
# Where the makers' own limits usually lie: common practice, no source.
TYPICAL_LIMIT_FROM_C = {Role.CPU_TEMPERATURE: 93.0, Role.GPU_TEMPERATURE: 85.0, Role.GPU_HOTSPOT: 98.0}


@dataclass(frozen=True)
class Throttling:
    """share: of loaded time 0 to 1, None when neither power, clock nor flag was logged; episodes: number;
    first_s: time from load onset to the first [s]; limit_c: plateau it is held at [degC], None when not held;
    spans_s: start and end of each episode in the log [s]; told_by: flag, power or clock."""

    share: float | None
    episodes: int
    first_s: float | None
    limit_c: float | None
    spans_s: tuple[tuple[float, float], ...]
    told_by: str


def _given_up(signal: Series, near: Mask, first_near: int, at_true_limit: bool) -> Mask:
    """Where the signal lies below what the device gave before the heat held it back."""
    before = signal[: max(3, first_near)] if at_true_limit else signal
    reference = float(np.nanpercentile(before, 90 if at_true_limit else 95))
    return near & np.asarray(signal < (1.0 - GIVEN_UP_SHARE) * reference, dtype=np.bool_)


def find_throttling(trace: Trace, load: LoadPhase, limit_c: float | None = None) -> Throttling:
    """Share of the loaded time in which the device was held back by heat.

    trace: the log
    load: its loaded part
    limit_c: the device's limit [degC] if known
    returns: Throttling
    formula: within 2 K of plateau or limit, power or clock more than 5 % below what was given before,
        utilisation unchanged
    source: common practice, no source
    """
    inside = (trace.time_s >= load.onset_s) & (trace.time_s <= load.end_s)
    time = trace.time_s[inside]
    width = max(1, round(3.0 / max(trace.interval_s, 0.05)))
    die_role = trace.die_role
    die = smooth(trace.channels[die_role][inside], width)
    plateau = float(np.nanpercentile(die, 98))
    held = np.zeros(len(time), dtype=bool)
    told_by = ""
    flag = trace.get(Role.THROTTLE_FLAG)
    if flag is not None:
        held, told_by = np.nan_to_num(flag[inside]) > 0.5, "flag"
    else:
        limit = limit_c if limit_c is not None else plateau
        near = die >= limit - NEAR_LIMIT_K
        at_true_limit = limit_c is not None or plateau >= TYPICAL_LIMIT_FROM_C[die_role]
        signals = [
            (n, s)
            for n, s in (
                ("power", trace.power),
                (
                    "clock",
                    trace.get(Role.CPU_CLOCK) if die_role is Role.CPU_TEMPERATURE else trace.get(Role.GPU_CLOCK),
                ),
            )
            if s is not None
        ]
        if not signals:
            return Throttling(None, 0, None, None, (), "")
        if near.any():
            start = int(np.flatnonzero(near)[0])
            for name, signal in signals:
                values = signal[inside]
                if not at_true_limit:
                    # Without a known limit the boost must not pass for what the device can hold.
                    values = np.where(time > load.boost_end_s, values, np.nan)
                    if not np.isfinite(values).any():
                        continue
                low = _given_up(smooth(values, width), near, start, at_true_limit)
                if low.any():
                    held, told_by = held | low, told_by or name
        use = trace.get(Role.CPU_UTILISATION if die_role is Role.CPU_TEMPERATURE else Role.GPU_UTILISATION)
        if use is not None:
            kept = smooth(use[inside], width)
            held &= ~(kept < UTILISATION_KEPT * float(np.nanmedian(kept)))
    spans = _spans(time, held)
    loaded = float(time[-1] - time[0]) or 1.0
    share = min(1.0, sum(b - a for a, b in spans) / loaded)
    return Throttling(
        share,
        len(spans),
        spans[0][0] - load.onset_s if spans else None,
        plateau if spans else None,
        spans,
        told_by,
    )


def _spans(time: Series, held: Mask) -> tuple[tuple[float, float], ...]:
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
