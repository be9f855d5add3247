"""A copper shim instead of a thick pad on a small chip: what it buys and whether it fits."""

from __future__ import annotations

import math
from dataclasses import dataclass

from vividowl.core.heat.conduction import in_series, layer_resistance
from vividowl.core.materials.pads import Gap
from vividowl.core.quantities.errors import OutOfRange, require_one_of, require_range
from vividowl.core.quantities.words import Words, listed, say

COPPER_CONDUCTIVITY = 390.0  # [W/(m K)] near 25 degC, textbook
EDGE_MM = 1.0  # caliper's and hand's tolerance on a shim's place; from memory
# Thicknesses in which copper is sold [mm], and the film that each face needs at least [mm]; from memory.
STOCK_MM = (0.1, 0.2, 0.3, 0.4, 0.5, 0.6, 0.8, 1.0, 1.2, 1.5, 2.0, 2.5, 3.0)
FILM_MM = 0.05  # [mm] of paste on each face; common practice, no source
# More than this on one face is no film any more: it creeps out, or sets with a void. From memory.
FILM_MOST_MM = 0.3
# What holds the shim to the heatsink: conductivity [W/(m K)] and film [mm], from memory. The chip's face is always
# paste.
BONDS = {"glue": (1.0, 0.1), "paste": (8.5, FILM_MM)}
PASTE_CONDUCTIVITY = BONDS["paste"][0]


@dataclass(frozen=True)
class ShimGain:
    """pad_resistance, shim_resistance: before and after [K/W]; drop_k: by how much the chip cools at its power [K]."""

    pad_resistance: float
    shim_resistance: float
    drop_k: float


@dataclass(frozen=True, kw_only=True)
class ShimFit:
    """fits; reason in words; uncovered_mm: die left bare [mm]; place_x_mm and place_y_mm: where its middle lies from
    the package's, across and along [mm]; shift: that place in words, empty when it may lie in the middle; insulate:
    bare parts stand so near that they are covered first."""

    fits: bool
    reason: Words
    uncovered_mm: float
    place_x_mm: float = 0.0
    place_y_mm: float = 0.0
    shift: Words = ""
    insulate: bool = False


@dataclass(frozen=True)
class _Shift:
    """Where a shim's middle lies from the package's along one axis [mm], and from where to where it covers the die."""

    axis: str
    place: float
    low: float
    high: float

    @property
    def needed(self) -> bool:
        """Whether the middle does not do."""
        return not self.low - 1e-9 <= 0.0 <= self.high + 1e-9

    @property
    def words(self) -> Words:
        """By how much, and which way."""
        near, far = sorted((abs(self.low), abs(self.high)))
        way = f"{self.axis}-{'plus' if self.place > 0 else 'minus'}"
        return say("shim-shift", mm=abs(self.place), near=near, far=far, way=way)


@dataclass(frozen=True, kw_only=True)
class ShimHeight:
    """fits; limit_mm: thickest copper that leaves room for two films [mm]; stock_mm: next stock size down from it, None
    when no stock is that thin; film_mm: of paste on the chip at the middle of the gap [mm]; reason in words."""

    fits: bool
    limit_mm: float
    stock_mm: float | None
    film_mm: float
    reason: Words


def shim_height(shim_mm: float, gap: Gap, bond: str = "glue") -> ShimHeight:
    """Whether a shim goes into the gap that the pad has kept open, over the gap's whole tolerance.

    shim_mm: thickness of the shim [mm], 0.05 to 5
    gap: between chip and heatsink, from the pressed pad
    bond: paste or glue, what holds it to the heatsink [text]
    returns: ShimHeight; one that is too thin fits, and its reason says what the film gets
    raises: OutOfRange, CoreError for an unknown bond
    formula: limit = gap - tolerance - two films; the next stock size down; film on the chip = gap - shim - bond
    source: geometry; films and stock sizes from memory
    """
    require_range("shim_mm", shim_mm, "mm", (0.05, 5.0), hint=say("shim-measure-copper-with-calipers"))
    bond_mm = _bond(bond)[1]
    limit = gap.gap_mm - gap.tolerance_mm - FILM_MM - bond_mm
    stock = max((t for t in STOCK_MM if t <= limit + 1e-9), default=None)
    film = max(FILM_MM, gap.gap_mm - shim_mm - bond_mm)
    asked = say("shim-gap", gap_mm=gap.gap_mm, tolerance_mm=gap.tolerance_mm)
    if shim_mm > limit + 1e-9:
        down = (
            say("shim-take-mm-next-size-down", stock=stock)
            if stock is not None
            else say("shim-no-copper-thin-enough-take")
        )
        return ShimHeight(
            fits=False,
            limit_mm=limit,
            stock_mm=stock,
            film_mm=film,
            reason=say(
                "shim-mm-copper-holds-cooler-off", shim_mm=shim_mm, asked=asked, limit=max(0.0, limit), down=down
            ),
        )
    if film > FILM_MOST_MM:
        more = (
            say("shim-take-mm", stock=stock) if stock is not None and stock > shim_mm + 1e-9 else say("shim-take-putty")
        )
        return ShimHeight(
            fits=True,
            limit_mm=limit,
            stock_mm=stock,
            film_mm=film,
            reason=say(
                "shim-mm-in-gap-leaves-mm",
                shim_mm=shim_mm,
                asked=asked,
                film=film,
                film_most_mm=FILM_MOST_MM,
                more=more,
            ),
        )
    return ShimHeight(
        fits=True,
        limit_mm=limit,
        stock_mm=stock,
        film_mm=film,
        reason=say("shim-mm-goes-into-gap-with", shim_mm=shim_mm, asked=asked, film=film),
    )


def _bond(bond: str) -> tuple[float, float]:
    require_one_of("bond", bond, BONDS)
    return BONDS[bond]


def shim_gain(
    width_mm: float,
    length_mm: float,
    *,
    power: float,
    pad_um: float,
    pad_conductivity: float,
    shim_um: float,
    film_um: float = 48.0,
    bond: str = "paste",
) -> ShimGain:
    """A pad against a copper shim with paste on the chip's face, and paste or glue on the heatsink's.

    width_mm: width of the contact [mm], 1 to 200
    length_mm: length of the contact [mm], 1 to 200
    power: heat of the chip [W], 0 to 2000
    pad_um: thickness of the pad as pressed [um]
    pad_conductivity: of the pad [W/(m K)]
    shim_um: thickness of the shim [um]
    film_um: film of paste on the chip [um]
    bond: paste or glue, what holds it to the heatsink [text]
    raises: OutOfRange, CoreError for an unknown bond
    formula: R_pad = t/(kA); R_shim = t/(kA) + film/(k_paste A) + bond/(k_bond A); drop = P (R_pad - R_shim)
    source: Fourier's law, series chain; contacts and spreading left out
    """
    for name, value in (("width_mm", width_mm), ("length_mm", length_mm)):
        require_range(name, value, "mm", (1.0, 200.0), hint=say("shim-measure-package-with-calipers"))
    require_range("power", power, "W", (0.0, 2000.0))
    area = width_mm * length_mm
    pad = layer_resistance(pad_um, pad_conductivity, area)
    conductivity, bond_mm = _bond(bond)
    shim = in_series(
        [
            layer_resistance(film_um, PASTE_CONDUCTIVITY, area),
            layer_resistance(shim_um, COPPER_CONDUCTIVITY, area),
            layer_resistance(1000.0 * bond_mm, conductivity, area),
        ]
    )
    return ShimGain(pad, shim, power * (pad - shim))


def shim_fit(
    shim_width_mm: float,
    shim_length_mm: float,
    *,
    package_width_mm: float,
    package_length_mm: float,
    die_width_mm: float,
    die_length_mm: float,
    offset_x_mm: float = 0.0,
    offset_y_mm: float = 0.0,
    neighbours_mm: float | None = None,
) -> ShimFit:
    """Whether a shim stays on its package and covers the die, which may sit off-centre.

    shim_width_mm: width of the shim [mm], 1 to 200
    shim_length_mm: length of the shim [mm], 1 to 200
    package_width_mm: width of the package [mm], 1 to 200
    package_length_mm: length of the package [mm], 1 to 200
    die_width_mm: width of the die [mm], 1 to the package
    die_length_mm: length of the die [mm], 1 to the package
    offset_x_mm: die's centre from the package's along the width [mm]
    offset_y_mm: the same along the length [mm]
    neighbours_mm: bare parts beside the package start so far from its edge [mm], None when not known
    raises: OutOfRange
    formula: the shim sits over the die and must stay within the package; what of the die it leaves bare is named, and
        neighbours are measured from where it lies, not from the package's middle; along an axis it covers the die from
        offset + (die - shim)/2 to offset - (die - shim)/2, as far as the package lets it
    source: geometry; smaller than the package is common practice, no source
    """
    for name, value in (
        ("shim_width_mm", shim_width_mm),
        ("shim_length_mm", shim_length_mm),
        ("package_width_mm", package_width_mm),
        ("package_length_mm", package_length_mm),
        ("die_width_mm", die_width_mm),
        ("die_length_mm", die_length_mm),
    ):
        require_range(name, value, "mm", (1.0, 200.0), hint=say("shim-measure-with-plastic-calipers"))
    uncovered, over, nearest = 0.0, 0.0, math.inf
    shifts: list[_Shift] = []
    for shim, package, die, offset, name in (
        (shim_width_mm, package_width_mm, die_width_mm, offset_x_mm, "offset_x_mm"),
        (shim_length_mm, package_length_mm, die_length_mm, offset_y_mm, "offset_y_mm"),
    ):
        if abs(offset) + die / 2.0 > package / 2.0 + 1e-9:
            raise OutOfRange(say("shim-die-mm-mm-off-middle", die=die, offset=offset, package=package), field=name)
        over = max(over, shim - package)
        # Over the die's middle, as far as the package allows.
        room = max(0.0, (package - shim) / 2.0)
        place = max(-room, min(room, offset))
        bare = max(offset + die / 2.0 - (place + shim / 2.0), (place - shim / 2.0) - (offset - die / 2.0), 0.0)
        uncovered = max(uncovered, bare)
        slack = (shim - die) / 2.0
        shifts.append(_Shift(name[-4], place, max(-room, offset - slack), min(room, offset + slack)))
        if neighbours_mm is not None:
            nearest = min(nearest, neighbours_mm + package / 2.0 - (abs(place) + shim / 2.0))
    at = (shifts[0].place, shifts[1].place)
    if over > 0:
        wide = say(
            "shim-shim-mm-wider-than-package",
            over=over,
            package_width_mm=package_width_mm,
            package_length_mm=package_length_mm,
        )
        return ShimFit(fits=False, reason=wide, uncovered_mm=uncovered, place_x_mm=at[0], place_y_mm=at[1])
    if uncovered > 1e-9:
        return ShimFit(
            fits=False,
            reason=say("shim-leaves-mm-die-bare", uncovered=uncovered),
            uncovered_mm=uncovered,
            place_x_mm=at[0],
            place_y_mm=at[1],
        )
    moved = listed((s.words for s in shifts if s.needed), "and")
    shift: Words = say("shim-shifted", shift=moved) if any(s.needed for s in shifts) else ""
    reason = say("shim-covers-only-shifted", shift=moved) if shift else say("shim-stays-on-package-and-covers")
    if nearest >= EDGE_MM:
        return ShimFit(fits=True, reason=reason, uncovered_mm=0.0, place_x_mm=at[0], place_y_mm=at[1], shift=shift)
    near = say("shim-fits-but-bare-parts-stand", nearest=max(0.0, nearest))
    return ShimFit(
        fits=True,
        reason=listed((reason, near), "space") if shift else near,
        uncovered_mm=0.0,
        place_x_mm=at[0],
        place_y_mm=at[1],
        shift=shift,
        insulate=True,
    )
