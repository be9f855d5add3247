"""Pieces, sheets and where a piece lies on one."""

from __future__ import annotations

from dataclasses import dataclass

from vividowl.core.materials.kinds import Kind

UNIT = 100  # lengths are packed in whole hundredths of a millimetre, so that nothing hangs on rounding


@dataclass(frozen=True)
class Box:
    """A rectangle at a place [mm]: x and y of its corner, width along x, length along y."""

    x_mm: float
    y_mm: float
    width_mm: float
    length_mm: float

    @property
    def area_mm2(self) -> float:
        """Area [mm2]."""
        return self.width_mm * self.length_mm

    @property
    def rect(self) -> tuple[float, float, float, float]:
        """As x, y, width and length [mm]."""
        return (self.x_mm, self.y_mm, self.width_mm, self.length_mm)


@dataclass(frozen=True)
class Piece:
    """A piece to cut [mm]. together: pieces of one such name come from one strip, side by side."""

    name: str
    width_mm: float
    length_mm: float
    together: str = ""


@dataclass(frozen=True, kw_only=True)
class Sheet:
    """A sheet or an offcut [mm]. taken: what was cut out of it before; offcut: whether it is one."""

    name: str
    width_mm: float
    length_mm: float
    taken: tuple[Box, ...] = ()
    offcut: bool = False

    @property
    def free_mm2(self) -> float:
        """Area that is left [mm2]."""
        return self.width_mm * self.length_mm - sum(box.area_mm2 for box in self.taken)


@dataclass(frozen=True)
class Placement:
    """Piece number `piece` on sheet number `sheet`, its box, and whether it was turned."""

    piece: int
    sheet: int
    box: Box
    rotated: bool


@dataclass(frozen=True)
class Remainder:
    """What is left of a sheet: largest: the biggest rectangle in it, None when nothing worth keeping is left;
    taken: all that was cut out of it, kerf included."""

    sheet: int
    largest: Box | None
    taken: tuple[Box, ...]


@dataclass(frozen=True, kw_only=True)
class Nesting:
    """placements; unplaced: numbers of pieces for which there was no room; remainders of the sheets in use;
    lost_mm2: neither piece nor kept rectangle [mm2]; waste_share: of the area of the sheets in use that becomes no
    piece [1]; tries: how many arrangements were compared."""

    placements: tuple[Placement, ...]
    unplaced: tuple[int, ...]
    remainders: tuple[Remainder, ...]
    lost_mm2: float
    waste_share: float
    tries: int

    @property
    def fits(self) -> bool:
        """Whether every piece has its place."""
        return not self.unplaced


def spare_pieces(kind: str, target: str, count: float | None, unit: str) -> int:
    """How many of some pieces are spare: on a die lies one piece of a sheet, and what was cut beside it is kept.

    kind: of interface [text]
    target: where it goes [text]
    count: how many there are, None when not known [1]
    unit: that they are counted in [text]
    returns: spare pieces [1]
    source: handbook/materials.md: spare piece at hand; common practice, no source
    """
    if kind != Kind.SHEET or target not in ("cpu_die", "gpu_die") or unit not in ("piece", "pieces") or not count:
        return 0
    return max(0, round(count) - 1)
