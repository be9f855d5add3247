"""A pad between chip and cover: whether it may be, which one, and what the skin becomes."""

from __future__ import annotations

from vividowl.core.heat.conduction import layer_resistance
from vividowl.core.heat.skin import (
    BULGE_MOST_MM,
    Skin,
    cover_bulge_mm,
    cover_resistance,
    heat_into_cover,
    skin_temperature,
)
from vividowl.core.materials.pads import (
    PadChoice,
    choose_pad,
    pad_force,
)
from vividowl.core.plan.spots import (
    COVER_GAP_MM,
    UM_PER_MM,
    CoverSpot,
    Inspection,
    named,
)
from vividowl.core.quantities.words import Words, say


def check_cover(c: CoverSpot) -> CoverSpot:
    """Refuse a cover or a pad on it that cannot be.

    c: the cover
    returns: the same
    raises: CoreError, OutOfRange naming the field
    source: common practice, no source
    """
    for name in ("pad_width_mm", "pad_length_mm"):
        named(name, getattr(c, name), low=2.0, high=400.0, hint=say("cover-measure-pad"))
    if c.gap_mm is not None:
        named("cover.gap_mm", c.gap_mm, low=0.1, high=5.0, hint=say("cover-press-ball-putty-between-heatsink"))
        named(
            "cover.gap_tolerance_mm", c.gap_tolerance_mm, low=0.0, high=2.0, hint=say("cover-as-far-as-putty-differs")
        )
    if c.battery_mm is not None:
        named("cover.battery_mm", c.battery_mm, low=-300.0, high=300.0, hint=say("cover-from-pad-s-edge-to"))
    return c


def cover_pad(found: Inspection) -> tuple[PadChoice, Words] | None:
    """The pad that the gap to the cover asks for, and why it presses too hard, empty when it does not; None while the
    gap is not measured.

    found: what was found
    raises: OutOfRange, CoreError
    source: linear spring and clamped plate, textbook; limits from memory
    """
    c = found.cover
    if c is None or c.gap_mm is None:
        return None
    pad = choose_pad(c.gap_mm, c.gap_tolerance_mm)
    if not pad.fits:
        return pad, (say("cover-no-pad-stays-between-and", gap_mm=c.gap_mm, gap_tolerance_mm=c.gap_tolerance_mm))
    force = pad_force(max(0.0, pad.compression_max), c.patch_mm2).force_n
    proud = max(0.0, pad.thickness_mm - c.gap_mm + c.gap_tolerance_mm)
    bulge = cover_bulge_mm(
        force, proud, material=c.material, thickness_mm=c.thickness_mm, short_mm=min(c.width_mm, c.length_mm)
    )
    if bulge <= BULGE_MOST_MM:
        return pad, ""
    return pad, (
        say("cover-pad-mm-in-this-gap", thickness_mm=pad.thickness_mm, bulge=bulge, bulge_most_mm=BULGE_MOST_MM)
    )


def cover_paths(found: Inspection) -> tuple[float, float] | None:
    """Resistance of the pad and of the cover to the room, None without a cover.

    found: what was found
    returns: pad and cover [K/W], or None
    raises: OutOfRange, CoreError
    source: Fourier's law; annular fin; about 1 mm where the gap is not measured yet, common practice, no source
    """
    c = found.cover
    if c is None:
        return None
    check_cover(c)
    pad = layer_resistance((c.gap_mm or COVER_GAP_MM) * UM_PER_MM, c.pad_conductivity, c.patch_mm2)
    return pad, cover_resistance(
        c.material, c.thickness_mm, cover_mm2=c.width_mm * c.length_mm, patch_mm2=c.patch_mm2, placement=found.place
    )


def cover_skin(found: Inspection, power: float, *, behind: float, room_c: float, power_u: float = 0.0) -> Skin | None:
    """How warm the coupled cover gets, None without a cover.

    found: what was found
    power: heat of the device [W]
    behind: resistance from the heatsink to the room without the cover [K/W]
    room_c: room [degC]
    power_u: standard uncertainty of the heat [W]
    raises: OutOfRange, CoreError
    source: two parallel paths and an annular fin, textbook; limits ISO 13732-1 and IEC 62368-1 from memory
    """
    paths, c = cover_paths(found), found.cover
    if paths is None or c is None:
        return None
    share = heat_into_cover(1.0, behind, *paths)
    return skin_temperature(
        share * power,
        room_c,
        material=c.material,
        thickness_mm=c.thickness_mm,
        cover_mm2=c.width_mm * c.length_mm,
        patch_mm2=c.patch_mm2,
        placement=found.place,
        power_u=share * power_u,
        battery_mm=c.battery_mm,
    )
