"""A power limit that processor and graphics share: what one takes, the other gives up."""

from __future__ import annotations

import numpy as np

from vividowl.core.trace.load import LoadPhase
from vividowl.core.trace.roles import Role
from vividowl.core.trace.trace import Trace, smooth

SMOOTHED_S = 5.0  # [s]; from memory
AFTER_BOOST_S = 30.0  # [s]; from memory
LEAST_S = 60.0  # [s] of load that a limit needs to show; from memory
STEADY_SHARE = 0.02  # of the sum, its scatter; from memory
MOVED_LEAST = 4.0  # how much more each chip moves than their sum; from memory
MOVED_LEAST_W = 2.0  # [W] standard deviation of a chip; from memory


def shared_limit(trace: Trace, load: LoadPhase) -> float | None:
    """The limit of both chips together that a log shows.

    trace: the log
    load: its loaded part
    returns: limit [W], None when the log does not show one
    formula: the sum of both powers stays within 2 % of its median while each of them moves, one against the other, by
        four times as much
    range: a load that never moves power from chip to chip shows no shared limit though there may be one
    source: common practice, no source
    """
    cpu, gpu = trace.get(Role.CPU_POWER), trace.get(Role.GPU_POWER)
    inside = (trace.time_s >= load.boost_end_s + AFTER_BOOST_S) & (trace.time_s < load.end_s)
    if cpu is None or gpu is None:
        return None
    inside &= np.isfinite(cpu) & np.isfinite(gpu)
    if inside.sum() * trace.interval_s < LEAST_S:
        return None
    width = max(1, round(SMOOTHED_S / max(trace.interval_s, 0.05)))
    parts = [smooth(p[inside], width) for p in (cpu, gpu)]
    whole = parts[0] + parts[1]
    limit, scatter = float(np.median(whole)), float(np.std(whole))
    moved = min(float(np.std(p)) for p in parts)
    steady = scatter <= STEADY_SHARE * limit
    return limit if steady and moved >= max(MOVED_LEAST * scatter, MOVED_LEAST_W) else None
