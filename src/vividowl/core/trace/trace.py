"""A sensor log in the core: time and the channels that have a role, in the units of their roles."""

from __future__ import annotations

import math
from collections.abc import Mapping
from dataclasses import dataclass, field

import numpy as np
from numpy.typing import NDArray

from vividowl.core.quantities.errors import NotEnoughData
from vividowl.core.quantities.words import say
from vividowl.core.trace.roles import DIE_ROLES, Role

Series = NDArray[np.float64]
Mask = NDArray[np.bool_]
SAMPLES_LEAST = 10  # of a log; a limit of the product
BRIDGED_S = 10.0  # [s] without a value of one chip's power; from memory


@dataclass(frozen=True)
class Trace:
    """time_s: (n,) rising from 0; channels: role to (n,) in the unit of ROLE_KINDS, NaN where nothing was logged;
    core_spread_k: hottest core less coolest (n,) [K], None without single cores.

    NaN policy: statistics skip NaN; a channel with nothing finite counts as absent.
    """

    time_s: Series
    channels: Mapping[Role, Series] = field(default_factory=dict)
    core_spread_k: Series | None = None

    def __post_init__(self) -> None:
        if len(self.time_s) < SAMPLES_LEAST:
            raise NotEnoughData(
                say("trace-log-has-samples-at-least", time_s=len(self.time_s), samples_least=SAMPLES_LEAST), field="log"
            )

    def has(self, role: Role) -> bool:
        """Whether the channel was logged at all."""
        return role in self.channels and bool(np.isfinite(self.channels[role]).any())

    def get(self, role: Role) -> Series | None:
        """The channel, or None."""
        return self.channels[role] if self.has(role) else None

    def until(self, time_s: float) -> Trace:
        """The log up to a time [s]."""
        kept = self.time_s <= time_s
        spread = None if self.core_spread_k is None else self.core_spread_k[kept]
        return Trace(self.time_s[kept], {role: values[kept] for role, values in self.channels.items()}, spread)

    @property
    def duration_s(self) -> float:
        """Length of the log [s]."""
        return float(self.time_s[-1] - self.time_s[0])

    @property
    def interval_s(self) -> float:
        """Typical step between samples [s]: the median, so that gaps do not count."""
        return float(np.median(np.diff(self.time_s)))

    @property
    def die_role(self) -> Role:
        """The die temperature that decides: processor first, then graphics, then hot spot."""
        for role in DIE_ROLES:
            if self.has(role):
                return role
        raise NotEnoughData(say("trace-log-has-no-die-temperature"), field="channels")

    @property
    def power(self) -> Series | None:
        """Heat into the shared cooler [W]: processor and graphics together, else the total, else None. NaN where a part
        is not known; loggers that write the chips in turn are bridged over up to ten seconds."""
        parts = [self.channels[r] for r in (Role.CPU_POWER, Role.GPU_POWER) if self.has(r)]
        if not parts:
            return self.get(Role.TOTAL_POWER)
        if len(parts) == 1:
            return parts[0]
        return np.asarray(sum(bridged(self.time_s, part, BRIDGED_S) for part in parts), dtype=np.float64)


def smooth(values: Series, width: int) -> Series:
    """Centred running mean that is short at the ends, skipping NaN.

    values: series (n,) [any]
    width: window [1], samples
    returns: smoothed series (n,) [same]
    source: moving average
    """
    width = max(1, min(width, len(values)))
    known = np.isfinite(values)
    # Running sums, so that a wide window costs no more than a narrow one; taken off the middle to keep them small.
    middle = float(np.mean(values[known])) if known.any() else 0.0
    index = np.arange(len(values))
    low, high = np.maximum(0, index - width // 2), np.minimum(len(values), index + (width - 1) // 2 + 1)

    def within(x: Series) -> Series:
        total = np.concatenate(([0.0], np.cumsum(x)))
        return np.asarray(total[high] - total[low])

    total, count = within(np.where(known, values - middle, 0.0)), within(known.astype(np.float64))
    with np.errstate(invalid="ignore", divide="ignore"):
        return np.where(count > 0, middle + total / count, np.nan)


def bridged(time_s: Series, values: Series, most_s: float) -> Series:
    """Fill gaps by a straight line where they are short; longer ones stay unknown.

    time_s: times (n,) [s]
    values: series (n,) [any], NaN where nothing was logged
    most_s: longest gap that is bridged [s]
    returns: series (n,) [same]
    source: linear interpolation
    """
    known = np.isfinite(values)
    if known.all() or known.sum() < 2:
        return values
    at = np.flatnonzero(known)
    after = np.clip(np.searchsorted(at, np.arange(len(values))), 0, len(at) - 1)
    before = np.clip(after - 1, 0, len(at) - 1)
    near = (time_s[at[after]] - time_s[at[before]] <= most_s) & (at[before] < np.arange(len(values)))
    near &= at[after] > np.arange(len(values))
    return np.where(known, values, np.where(near, np.interp(time_s, time_s[known], values[known]), np.nan))


def sensor_step(values: Series) -> float:
    """The step in which a sensor counts: the smallest usual difference between unlike neighbours.

    values: series (n,) [any]
    returns: step [same], 0 when nothing moves
    source: common practice, no source
    """
    known = values[np.isfinite(values)]
    moves = np.abs(np.diff(known))
    moves = moves[moves > 1e-6]
    return float(np.percentile(moves, 10)) if len(moves) else 0.0


def scan(keep: Series, gain: Series) -> Series:
    """Run a first-order recursion by doubling: a few passes over the arrays in place of a loop.

    keep: share kept from the step before (n, k) [1], 0 to 1
    gain: what is added (n, k) [any]
    returns: x with x[i] = keep[i] x[i-1] + gain[i] (n, k) [same as gain]
    source: parallel prefix, Hillis and Steele 1986
    """
    out, most = gain.copy(), min(1.0, float(keep.max(initial=0.0)))
    # What lies so far back that less than 1e-14 of it is kept need not be looked at.
    far = len(out) if most >= 1.0 else min(len(out), int(-33.0 / math.log(max(most, 1e-300))) + 1)
    keep, reach = keep.copy(), 1
    while reach < far:
        out[reach:] += keep[reach:] * out[:-reach]
        if 2 * reach < far:
            keep[reach:] *= keep[:-reach]
        reach *= 2
    return out
