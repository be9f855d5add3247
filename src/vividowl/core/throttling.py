"""Held back by heat: at the limit while power or clock is given up at unchanged utilisation, or flagged."""

from __future__ import annotations

from dataclasses import dataclass

import numpy as np

from vividowl.core.load import LoadPhase
from vividowl.core.roles import Role
from vividowl.core.trace import Mask, Series, Trace, smooth

NEAR_LIMIT_K = 2.0
GIVEN_UP_SHARE = 0.03
UTILISATION_KEPT = 0.85
EPISODE_LEAST_S = 3.0
BOOST_END_LOOK_S = 30.0
REFERENCE_LEAST_S = 5.0
SMOOTHED_S = 10.0


@dataclass(frozen=True)
class Throttling:
    """share: of loaded time 0 to 1, None when neither power, clock nor flag was logged; episodes: number;
    first_s: time from load onset to the first [s]; limit_c: plateau it is held at [degC], None when not held;
    spans_s: start and end of each episode in the log [s]; told_by: flag, power or clock;
    given_up_w, given_up_mhz: mean over the episodes of what it gave before less what it gave then, None if not known.
    """

    share: float | None
    episodes: int
    first_s: float | None
    limit_c: float | None
    spans_s: tuple[tuple[float, float], ...]
    told_by: str
    given_up_w: float | None = None
    given_up_mhz: float | None = None


def _reference(time: Series, signal: Series, near: Mask, boost_end_s: float, onset_s: float) -> Series:
    """What the device gives while heat does not hold it back: one level in the boost, one after it (n,)."""
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
    after = level(~near & (time > boost_end_s + 2.0))
    return np.where(boost, first, after if after is not None else first)


def find_throttling(trace: Trace, load: LoadPhase, limit_c: float | None = None) -> Throttling:
    """Share of the loaded time in which the device was held back by heat.

    trace: the log
    load: its loaded part
    limit_c: the device's limit [degC] if known, else the plateau of the die stands in
    returns: Throttling
    formula: within 2 K of plateau or limit, power (else clock) more than 3 % below what was given before,
        utilisation unchanged; or flagged
    source: common practice, no source
    """
    inside = (trace.time_s >= load.onset_s) & (trace.time_s <= load.end_s)
    time = trace.time_s[inside]
    die_role = trace.die_role
    die = smooth(trace.channels[die_role][inside], max(1, round(3.0 / max(trace.interval_s, 0.05))))
    if len(time) < 3 or not np.isfinite(die).any():
        return Throttling(None, 0, None, None, (), "")
    plateau = float(np.nanpercentile(die, 98))
    near = np.asarray(die >= (limit_c if limit_c is not None else plateau) - NEAR_LIMIT_K, dtype=np.bool_)
    width = max(1, round(SMOOTHED_S / max(trace.interval_s, 0.05)))
    power = trace.power
    clock = trace.get(Role.CPU_CLOCK if die_role is Role.CPU_TEMPERATURE else Role.GPU_CLOCK)
    lacks: dict[str, Series] = {}
    signals: dict[str, Series] = {}
    for name, signal in (("power", power), ("clock", clock)):
        if signal is not None and np.isfinite(signal[inside]).any():
            signals[name] = smooth(signal[inside], width)
            lacks[name] = _reference(time, signals[name], near, load.boost_end_s, load.onset_s) - signals[name]
    flag = trace.get(Role.THROTTLE_FLAG)
    if flag is not None:
        held, told_by = np.asarray(np.nan_to_num(flag[inside]) > 0.5, dtype=np.bool_), "flag"
    elif signals:
        told_by = next(iter(signals))
        held = near & np.asarray(lacks[told_by] > GIVEN_UP_SHARE * (signals[told_by] + lacks[told_by]), dtype=np.bool_)
        use = trace.get(Role.CPU_UTILISATION if die_role is Role.CPU_TEMPERATURE else Role.GPU_UTILISATION)
        if use is not None and np.isfinite(use[inside]).any():
            kept = smooth(use[inside], width)
            held &= ~(kept < UTILISATION_KEPT * float(np.nanmedian(kept)))
    else:
        return Throttling(None, 0, None, None, (), "")
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
    loaded = float(time[-1] - time[0]) or 1.0
    within = np.zeros(len(time), dtype=bool)
    for a, b in spans:
        within |= (time >= a) & (time <= b)

    def given_up(name: str) -> float | None:
        lack = lacks.get(name)
        return max(0.0, float(np.nanmean(lack[within]))) if lack is not None and within.any() else None

    return Throttling(
        min(1.0, sum(b - a for a, b in spans) / loaded),
        len(spans),
        spans[0][0] - load.onset_s if spans else None,
        plateau if spans else None,
        spans,
        told_by if spans else "",
        given_up("power"),
        given_up("clock"),
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
