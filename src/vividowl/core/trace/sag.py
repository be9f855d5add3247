"""What a load gives up between its first and its tenth minute."""

from __future__ import annotations

from dataclasses import dataclass

import numpy as np

from vividowl.core.trace.load import LoadPhase, under_load
from vividowl.core.trace.roles import Role
from vividowl.core.trace.trace import Mask, Series, Trace

TOLD_SHARE = 0.03  # of the power at minute 1 that a sag is told from; from memory
EARLY_S, LATE_S, ROUND_S = 60.0, 600.0, 20.0  # [s] from the onset; the width of each mean; as people quote it


@dataclass(frozen=True)
class Minute:
    """power [W], clock_mhz, die_c around one moment; None where nothing was logged or the load did not last."""

    power: float | None = None
    clock_mhz: float | None = None
    die_c: float | None = None

    def less(self, other: Minute) -> Minute:
        """What has changed since another moment.

        other: the earlier one
        returns: differences; None where either is not known
        """

        def change(now: float | None, then: float | None) -> float | None:
            return None if now is None or then is None else now - then

        return Minute(
            change(self.power, other.power),
            change(self.clock_mhz, other.clock_mhz),
            change(self.die_c, other.die_c),
        )


@dataclass(frozen=True)
class Sag:
    """minute_1, minute_10 of the load, and the later less the earlier."""

    minute_1: Minute
    minute_10: Minute
    difference: Minute

    @property
    def told(self) -> bool:
        """Whether it gives up enough power, or gains it, to be worth a word."""
        first, change = self.minute_1.power, self.difference.power
        return first is not None and change is not None and abs(change) > TOLD_SHARE * first


def sag_of(trace: Trace, load: LoadPhase) -> Sag:
    """Watts, clock and temperature at minute 1 and minute 10 of a load.

    trace: the log
    load: its loaded part
    returns: Sag; all not known where the log does not show when the load began
    formula: means over 20 s around the moment, as far as they lie within the load; pauses of a loop do not count
    range: the load has to last until the moment itself
    source: handbook/runs.md: common practice, no source
    """
    clock = Role.CPU_CLOCK if trace.die_role is Role.CPU_TEMPERATURE else Role.GPU_CLOCK
    working = under_load(trace, load)

    def minute(at_s: float) -> Minute:
        at = load.onset_s + at_s
        if not load.seen or load.end_s < at - 0.5 * trace.interval_s:
            return Minute()
        near = working & (np.abs(trace.time_s - at) <= ROUND_S / 2.0)
        return Minute(_mean(trace.power, near), _mean(trace.get(clock), near), _mean(trace.get(trace.die_role), near))

    early, late = minute(EARLY_S), minute(LATE_S)
    return Sag(early, late, late.less(early))


def _mean(values: Series | None, near: Mask) -> float | None:
    if values is None:
        return None
    known = values[near & np.isfinite(values)]
    return float(known.mean()) if len(known) else None
