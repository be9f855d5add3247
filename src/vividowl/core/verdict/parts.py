"""One side of a comparison, and one effect between two of them."""

from __future__ import annotations

import math
from collections.abc import Mapping, Sequence
from dataclasses import dataclass, field
from enum import StrEnum

from vividowl.core.quantities.uncertainty import COVERAGE_FACTOR, combined
from vividowl.core.quantities.words import Words, listed, say
from vividowl.core.reading.measured import (
    Measured,
    difference_u95,
    pool,
)
from vividowl.core.reading.reading import Reading
from vividowl.core.sound.levels import NoiseFigure
from vividowl.core.verdict.conditions import Conditions


class Shown(StrEnum):
    """What one effect shows."""

    BETTER = "better"
    WORSE = "worse"
    CHANGED = "changed"
    NOT_SHOWN = "not_shown"
    NOT_KNOWN = "not_known"


@dataclass(frozen=True, kw_only=True)
class Recorded:
    """level_db: A-weighted level of a recording over full scale [dB]; room_out: whether the room alone was recorded too
    and lies far enough below to be taken out; room_db: level of that recording, floor_db: of what the microphone itself
    hisses [dB], or None; marked_place: whether the phone lay at the place that is marked for both sides; fan_rpm: speed
    of the fan that was heard, its shaft beside its blades [rpm], or None."""

    level_db: float
    room_out: bool
    room_db: float | None = None
    floor_db: float | None = None
    marked_place: bool = False
    fan_rpm: float | None = None


@dataclass(frozen=True, kw_only=True)
class Side:
    """One run: conditions, reading of the log, noise by hand, level of a recording, and results of benchmarks by
    name: score [1], duration [s], frame_rate [1/s]."""

    conditions: Conditions
    reading: Reading
    noise: NoiseFigure | None = None
    recording: Recorded | None = None
    results: Mapping[str, float] = field(default_factory=dict)


@dataclass(frozen=True, kw_only=True)
class Effect:
    """quantity and unit; before, after and their expanded uncertainties; difference with its U95; what it shows;
    working: formula and numbers in words; repeatable_u95: the part of U95 that more runs average out."""

    quantity: str
    words: Words
    unit: Words
    before: float | None
    after: float | None
    before_u95: float | None
    after_u95: float | None
    difference: float | None
    u95: float | None
    shown: Shown
    working: Words
    repeatable_u95: float | None = None

    def u95_after(self, more_runs: int) -> float | None:
        """U95 of the difference with so many more runs on each side."""
        if self.u95 is None or self.repeatable_u95 is None:
            return None
        stays = max(0.0, self.u95**2 - self.repeatable_u95**2)
        return math.sqrt(stays + self.repeatable_u95**2 / (1 + more_runs))


def effect_between(
    quantity: str,
    words: Words,
    *,
    unit: Words,
    runs: Sequence[Sequence[Measured | None]],
    lower_is_better: bool | None,
    working: Words,
) -> Effect:
    """One quantity from before to after with its expanded uncertainty, and what it shows.

    quantity: name [text]
    words: as people say it [text]
    runs: values of both sides, None where a run has none
    lower_is_better: None where neither is [flag]
    working: how it was worked out [text]
    source: GUM (JCGM 100), coverage factor 2
    """
    (before, after), repeats = pool(runs)
    if repeats:
        working = listed((working, say("parts-scatter-from-repeats")), "semicolon")
    if before is None or after is None:
        return Effect(
            quantity=quantity,
            words=words,
            unit=unit,
            before=before.value if before else None,
            after=after.value if after else None,
            before_u95=before.u95 if before else None,
            after_u95=after.u95 if after else None,
            difference=None,
            u95=None,
            shown=Shown.NOT_KNOWN,
            working=working,
        )
    difference, u95 = after.value - before.value, difference_u95(before, after)
    shown = Shown.NOT_SHOWN
    if abs(difference) > u95:
        shown = Shown.CHANGED
        if lower_is_better is not None:
            shown = Shown.BETTER if (difference < 0) == lower_is_better else Shown.WORSE
    repeatable = min(u95, COVERAGE_FACTOR * combined(before.scatter, after.scatter))
    return Effect(
        quantity=quantity,
        words=words,
        unit=unit,
        before=before.value,
        after=after.value,
        before_u95=before.u95,
        after_u95=after.u95,
        difference=difference,
        u95=u95,
        shown=shown,
        working=working,
        repeatable_u95=repeatable,
    )


def pair_text(name: str, unit: str, runs: Sequence[Sequence[Measured | None]], digits: int = 1) -> Words:
    """Means of both sides as text.

    name: of the quantity [text]
    runs: values of both sides, None where a run has none
    digits: after the point [1]
    """
    before, after = (v.value if v else None for v in pool(runs)[0])
    return say("parts-before-after", name=name, unit=unit, before=before, after=after, digits=digits)
