"""Load phases of a log by chip: processor only, graphics only, both."""

from __future__ import annotations

from dataclasses import dataclass
from enum import StrEnum
from itertools import pairwise

import numpy as np

from vividowl.core.trace.roles import Role
from vividowl.core.trace.trace import Mask, Series, Trace, bridged, smooth

PHASE_LEAST_S = 60.0  # [s] a shorter one is not told; from memory
PAUSE_MOST_S = 20.0  # [s] a shorter one parts no phase; from memory
LOADED_LEAST_W = 3.0  # [W] of a chip that works; from memory
LOADED_SHARE = 0.12  # of the larger chip's power; from memory
STEP_SHARE = 0.3  # of the signal that is a load; from memory
USUAL_FROM, LOADED_FROM = 0.25, 0.5  # of the way from idle to full: what is usual, what is loaded; from memory


class Chip(StrEnum):
    """Which chips work in a phase."""

    PROCESSOR = "processor"
    GRAPHICS = "graphics"
    BOTH = "both"


@dataclass(frozen=True)
class Phase:
    """chip: which chips are loaded; from_s, to_s: in the log [s]."""

    chip: Chip
    from_s: float
    to_s: float


def _loaded(trace: Trace, role: Role, use_role: Role, most_power: float) -> Mask:
    """Where a chip works, by its power, else by its utilisation."""
    by_power = trace.get(role)
    signal = by_power if by_power is not None else trace.get(use_role)
    if signal is None:
        return np.zeros(len(trace.time_s), dtype=bool)
    values = smooth(bridged(trace.time_s, signal, PAUSE_MOST_S), max(1, round(5.0 / max(trace.interval_s, 0.05))))
    low, high = float(np.nanpercentile(values, 1)), float(np.nanpercentile(values, 99))
    least = max(LOADED_LEAST_W, LOADED_SHARE * most_power) if by_power is not None else 20.0
    if not (high - low > STEP_SHARE * high and high > least):
        # Never idle or never loaded: loaded throughout when it takes a fair part of the power.
        always = by_power is not None and low > least
        return np.full(len(values), always)
    # Against the usual load, not the highest: a chip that heat holds far below its boost is at work all the same.
    usual = float(np.nanmedian(values[values > low + USUAL_FROM * (high - low)]))
    on = np.asarray(values > low + LOADED_FROM * (usual - low), dtype=np.bool_)
    return _without_short(trace.time_s, on, PAUSE_MOST_S, value=False)


def _without_short(time: Series, on: Mask, shortest_s: float, *, value: bool) -> Mask:
    """Turn stretches of ``value`` that are shorter than a time, and not at the rim, into the other."""
    out = on.copy()
    edges = np.flatnonzero(np.diff(on.astype(int)))
    for a, b in pairwise(edges):
        if on[a + 1] == value and time[b] - time[a] < shortest_s:
            out[a + 1 : b + 1] = not value
    return out


def find_phases(trace: Trace) -> tuple[Phase, ...]:
    """Tell the load phases of a log apart.

    trace: the log
    returns: phases in order of time (n,), each a minute or longer; empty when neither chip shows a load
    range: pauses up to 20 s, as between the passes of a benchmark, do not end a phase
    formula: a chip is loaded above half way from its idle to its usual load
    source: common practice, no source
    """
    powers = [p for p in (trace.get(Role.CPU_POWER), trace.get(Role.GPU_POWER)) if p is not None]
    most = max((float(np.nanpercentile(p, 99)) for p in powers), default=0.0)
    cpu = _loaded(trace, Role.CPU_POWER, Role.CPU_UTILISATION, most)
    gpu = _loaded(trace, Role.GPU_POWER, Role.GPU_UTILISATION, most)
    code = cpu.astype(int) + 2 * gpu.astype(int)
    edges = np.concatenate(([0], np.flatnonzero(np.diff(code)) + 1, [len(code)]))
    kinds = {1: Chip.PROCESSOR, 2: Chip.GRAPHICS, 3: Chip.BOTH}
    time = trace.time_s
    return tuple(
        Phase(kinds[int(code[a])], float(time[a]), float(time[b - 1]))
        for a, b in pairwise(edges)
        if code[a] and time[b - 1] - time[a] >= PHASE_LEAST_S
    )
