"""What a run showed at earlier ends of its load, so that two of unlike length can be judged at equal times."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass, field

import numpy as np

from vividowl.core.trace.felt_power import FeltPower
from vividowl.core.trace.load import LoadPhase
from vividowl.core.trace.roles import JUDGED_ROLES, Role
from vividowl.core.trace.trace import Mask, Series, Trace

STEP_RATIO = 1.06  # between the edges of blocks (numerics)
FIRST_S = 45.0  # [s] of the first block (numerics)


@dataclass(frozen=True, kw_only=True)
class Course:
    """after_s: length of the load [s] (m,), rising to the whole; die_c, felt_w, fan_rpm: means over the last part of
    that length [degC], [W], [rpm] (m,), NaN where nothing was logged; others_c: of the other temperatures [degC]."""

    after_s: Series
    die_c: Series
    felt_w: Series
    fan_rpm: Series
    others_c: Mapping[Role, Series] = field(default_factory=dict)

    def at(self, after_s: float) -> tuple[float, float, float]:
        """Die [degC], power that it felt [W] and fan [rpm] after so long a load; NaN where not known."""
        if not len(self.after_s):
            return (float("nan"),) * 3
        return tuple(float(np.interp(after_s, self.after_s, v)) for v in (self.die_c, self.felt_w, self.fan_rpm))  # type: ignore[return-value]

    def other_at(self, role: Role, after_s: float) -> float:
        """Another temperature after so long a load [degC]; NaN where not known."""
        values = self.others_c.get(role)
        return float("nan") if values is None or not len(values) else float(np.interp(after_s, self.after_s, values))


def course_of(trace: Trace, load: LoadPhase, *, working: Mask, felt: FeltPower | None, share: float) -> Course:
    """Means over the last part of the load, had it ended earlier.

    trace: the log
    load: its loaded part
    working: samples in which it works (n,) [flag]
    felt: the power that the die answers to, or None
    share: last part of the load that counts [1]
    """
    length = load.end_s - load.onset_s
    steps = [length]
    while steps[-1] / STEP_RATIO > FIRST_S:
        steps.append(steps[-1] / STEP_RATIO)
    after = np.array(steps[::-1])
    fan = trace.get(Role.FAN_SPEED)
    none = np.full(len(trace.time_s), np.nan)
    others = [r for r in JUDGED_ROLES if r is not trace.die_role and trace.has(r)]
    columns = (
        trace.channels[trace.die_role],
        felt.course if felt is not None else none,
        fan if fan is not None else none,
        *(trace.channels[r] for r in others),
    )
    since = trace.time_s - load.onset_s
    first = np.searchsorted(since, np.maximum(after * (1.0 - share), 0.0), side="left")
    last = np.searchsorted(since, after, side="left")
    means = []
    for values in columns:
        known = working & np.isfinite(values)
        total = np.concatenate(([0.0], np.cumsum(np.where(known, values, 0.0))))
        count = np.concatenate(([0], np.cumsum(known)))
        with np.errstate(invalid="ignore", divide="ignore"):
            means.append((total[last] - total[first]) / (count[last] - count[first]))
    told = np.isfinite(means[0])
    kept = [m[told] for m in means]
    return Course(
        after_s=after[told],
        die_c=kept[0],
        felt_w=kept[1],
        fan_rpm=kept[2],
        others_c=dict(zip(others, kept[3:], strict=True)),
    )
