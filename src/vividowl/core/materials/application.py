"""How paste goes on: the schools, the one that die and paste ask for, and the size of the drop."""

from __future__ import annotations

import math
from dataclasses import dataclass
from enum import StrEnum

from vividowl.core.quantities.errors import require_range
from vividowl.core.quantities.words import Words, say

LONG_DIE_ASPECT = 1.6  # length over width from which a line is laid; common practice, no source
SMALL_DIE_MM2 = 90.0  # [mm2] a bead alone covers it; from memory
STROKE_SHARE = 0.8  # of the die's reach that a stroke takes; from memory
# ISO/IEC 7810 ID-1, the size of a bank card, by which a screen is matched to true size.
CARD_WIDTH_MM, CARD_HEIGHT_MM = 85.60, 53.98


class School(StrEnum):
    """The ways of putting paste on."""

    BEAD = "bead"
    LINE = "line"
    CROSS = "cross"
    FILM = "film"


SCHOOL_WORDS: dict[School, Words] = {
    School.BEAD: say("application-bead-in-middle"),
    School.LINE: say("application-line-along-die"),
    School.CROSS: say("application-cross"),
    School.FILM: say("application-film-spread-with-card-or"),
}


@dataclass(frozen=True)
class Advice:
    """school to use; reason in words."""

    school: School
    reason: Words


@dataclass(frozen=True)
class Drop:
    """What the nozzle lays: strokes of length stroke_mm and diameter_mm each; a bead has none but a diameter."""

    school: School
    strokes: int
    stroke_mm: float
    diameter_mm: float


def choose_school(
    width_mm: float, length_mm: float, *, stiff: bool, bare_die: bool = True, default: School | None = None
) -> Advice:
    """The school for a die and a paste.

    width_mm: width of the die [mm], 1 to 200
    length_mm: length of the die [mm], 1 to 200
    stiff: whether the paste hardly flows [flag]
    bare_die: bare silicon rather than a lid [flag]
    default: the shop's own choice, which wins [school or None]
    raises: OutOfRange
    formula: line from an aspect of 1.6; film for stiff paste or small bare dies; else film on bare dies, bead on lids
    source: common practice, no source; where schools differ the surer one is taken
    """
    for name, value in (("width_mm", width_mm), ("length_mm", length_mm)):
        require_range(name, value, "mm", (1.0, 200.0), hint=say("application-measure-die-with-plastic-calipers"))
    if default is not None:
        return Advice(default, say("application-your-shop-s-own-way", default=SCHOOL_WORDS[default]))
    aspect = max(width_mm, length_mm) / min(width_mm, length_mm)
    if stiff and not bare_die:
        return Advice(School.CROSS, say("application-stiff-paste-flows-little-under"))
    if stiff or width_mm * length_mm < SMALL_DIE_MM2:
        why = say("application-stiff-paste-flows-little") if stiff else say("application-small-bare-die-leaves-no")
        return Advice(School.FILM, say("application-spread-more-than-enough-beats", why=why))
    if aspect >= LONG_DIE_ASPECT:
        return Advice(School.LINE, say("application-die-times-as-long-as", aspect=aspect))
    if bare_die:
        return Advice(School.FILM, say("application-on-bare-die-spread-film"))
    return Advice(School.BEAD, say("application-soft-paste-under-lid-spreads"))


def drop_of(school: School, volume_ul: float, width_mm: float, length_mm: float) -> Drop:
    """Size of what the nozzle lays for a volume.

    school: how it goes on
    volume_ul: volume [uL], above 0 to 100000
    width_mm: width of the die [mm], 1 to 200
    length_mm: length of the die [mm], 1 to 200
    raises: OutOfRange
    formula: bead d = (6V/pi)^(1/3); strokes of 0.8 of side or diagonal, d = sqrt(4V/(pi n L))
    source: geometry; the share of the side is common practice, no source
    """
    require_range("volume_ul", volume_ul, "µL", (1e-3, 100_000.0))
    for name, value in (("width_mm", width_mm), ("length_mm", length_mm)):
        require_range(name, value, "mm", (1.0, 200.0), hint=say("application-measure-die-with-plastic-calipers"))
    if school in (School.BEAD, School.FILM):
        return Drop(school, 0, 0.0, (6.0 * volume_ul / math.pi) ** (1.0 / 3.0))
    strokes = 1 if school is School.LINE else 2
    reach = max(width_mm, length_mm) if strokes == 1 else math.hypot(width_mm, length_mm)
    stroke = STROKE_SHARE * reach
    return Drop(school, strokes, stroke, math.sqrt(4.0 * volume_ul / (math.pi * strokes * stroke)))
