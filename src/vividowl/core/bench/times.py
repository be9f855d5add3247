"""Minutes of hands and of waiting by step, from the moments at which steps were done."""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass

from vividowl.core.quantities.errors import require_range
from vividowl.core.quantities.words import say

# A longer gap without a touch is no work at this device: the person was away. From memory.
AWAY_MIN = 30.0
# Steps told closer together than this were done before and told in a row: their moments say nothing of their minutes.
# From memory.
IN_A_ROW_MIN = 10.0 / 60.0


@dataclass(frozen=True)
class Span:
    """A stretch of time, in minutes from any start: from and to [min]."""

    from_min: float
    to_min: float


@dataclass(frozen=True)
class StepTime:
    """hands_min: None when the person was away meanwhile or told steps in a row; wait_min: of it spent in
    running waits [min]."""

    hands_min: float | None
    wait_min: float


def step_times(
    began_min: float, done_min: Sequence[float], waits: Sequence[Span], elsewhere: Sequence[float] = ()
) -> tuple[StepTime, ...]:
    """Time that each step took, from the one before it.

    began_min: when the list began [min]
    done_min: when each step was done, ascending (n,) [min]
    waits: waits that ran, each cut where it was ended
    elsewhere: moments at which the same hands did something on another job (m,) [min]
    raises: OutOfRange when a step is done before the one before it
    formula: hands = gap − part of the gap covered by waits; not known when more than 30 min remain or the hands were
        seen on another job in the part that no wait covers, nor for steps told within 10 s of each other
    source: the definition; the 30 min and the 10 s from memory
    """
    out: list[StepTime] = []
    last = began_min
    moments = [began_min, *done_min, math.inf]
    for at, moment in enumerate(done_min, 1):
        require_range("done_min", moment, "min", (last, math.inf), hint=say("times-steps-done-one-after-other"))
        covered = _union([(max(last, w.from_min), min(moment, w.to_min)) for w in waits])
        waited = sum(b - a for a, b in covered)
        hands = moment - last - waited
        away = any(last < e < moment and not any(a <= e <= b for a, b in covered) for e in elsewhere)
        in_a_row = min(moment - last, moments[at + 1] - moment) < IN_A_ROW_MIN
        out.append(StepTime(None if hands > AWAY_MIN or away or in_a_row else hands, waited))
        last = moment
    return tuple(out)


def _union(spans: Sequence[tuple[float, float]]) -> list[tuple[float, float]]:
    out: list[tuple[float, float]] = []
    for a, b in sorted(s for s in spans if s[1] > s[0]):
        if out and a <= out[-1][1]:
            out[-1] = (out[-1][0], max(out[-1][1], b))
        else:
            out.append((a, b))
    return out
