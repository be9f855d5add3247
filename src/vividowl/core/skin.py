"""A cover that carries heat: how warm its outside gets, and what may be touched for how long."""

from __future__ import annotations

import math
from collections.abc import Mapping
from dataclasses import dataclass

from vividowl.core.conduction import in_parallel, in_series
from vividowl.core.errors import CoreError, require_range
from vividowl.core.units import require_room_c

# Conductivity of covers [W/(m K)], textbook values near 25 degC; whether it feels like metal or plastic to the touch.
COVERS: Mapping[str, tuple[float, str]] = {
    "aluminium": (160.0, "metal"), "magnesium": (75.0, "metal"), "steel": (16.0, "metal"),
    "plastic": (0.25, "plastic"), "carbon": (5.0, "plastic"), "glass": (1.0, "glass"),
}  # fmt: skip
# Heat transfer from the outside of a bottom cover [W/(m2 K)]: natural convection below a warm plate, about 3, and
# radiation of a painted cover, above 5, where it sees the room; a desk a few millimetres away or a lap keep most of it.
# From memory, the free one against the textbook's plate.
PLACEMENTS: Mapping[str, float] = {"stand": 8.0, "dock": 8.0, "desk": 3.5, "lap": 2.5, "hand": 6.0}
# How long it is touched there [s]: a lap or a hand for hours, a docked machine when it is picked up.
USUAL_CONTACT_S: Mapping[str, float] = {
    "stand": 60.0,
    "dock": 60.0,
    "desk": 60.0,
    "lap": 8 * 3600.0,
    "hand": 8 * 3600.0,
}
# ISO 13732-1 burn thresholds, from memory: whatever the material from one minute on.
BURN_1_MIN_C, BURN_10_MIN_C, BURN_8_H_C = 51.0, 48.0, 43.0
# IEC 62368-1 touch temperatures for 10 s to 1 min, from memory; glass between the two that the handbook names.
TOUCH_C: Mapping[str, float] = {"metal": 51.0, "glass": 56.0, "plastic": 60.0}


@dataclass(frozen=True)
class Skin:
    """skin_c: hottest place of the outside [degC]; limit_c: for that contact [degC]; allowed; resistance: of the cover
    to the room [K/W]."""

    skin_c: float
    limit_c: float
    allowed: bool
    resistance: float


def touch_limit(material: str, contact_s: float) -> float:
    """Highest temperature of a surface for a time of contact.

    material: of the cover, a name of COVERS [text]
    contact_s: time of contact [s], 1 to 86400
    returns: limit [degC]
    raises: CoreError, OutOfRange
    formula: below a minute by material; one minute 51 degC; up to ten minutes 48 degC; longer 43 degC
    source: IEC 62368-1 touch temperatures and ISO 13732-1 burn thresholds, both from memory
    """
    feel = _cover(material)[1]
    require_range("contact_s", contact_s, "s", 1.0, 86400.0, "60 s for a touch, 28800 s for a day on the lap.")
    if contact_s < 60.0:
        return TOUCH_C[feel]
    if contact_s <= 60.0:
        return BURN_1_MIN_C
    # Between the times that the standard names the value of the longer one is taken.
    return BURN_10_MIN_C if contact_s <= 600.0 else BURN_8_H_C


def cover_resistance(
    material: str, thickness_mm: float, cover_mm2: float, patch_mm2: float, placement: str
) -> float:  # fmt: skip
    """Resistance from a patch in the middle of a cover to the room.

    material: of the cover, a name of COVERS [text]
    thickness_mm: of the cover [mm], 0.3 to 10
    cover_mm2: area of the whole cover [mm2], 100 to 500000
    patch_mm2: area of the pad that heats it [mm2], 10 to the cover
    placement: a name of PLACEMENTS [text]
    returns: resistance [K/W]
    raises: CoreError, OutOfRange
    formula: round plate of the same areas: patch h A plus annular fin with an insulated rim,
        q/theta = 2 pi r k t m [K1(mr) I1(mR) - I1(mr) K1(mR)] / [K0(mr) I1(mR) + I0(mr) K1(mR)], m^2 = h/(k t)
    source: annular fin of uniform thickness, any textbook of heat transfer; h by placement is from memory
    """
    from scipy.special import iv, kv

    k, _ = _cover(material)
    h = _placement(placement)
    require_range("thickness_mm", thickness_mm, "mm", 0.3, 10.0)
    require_range("cover_mm2", cover_mm2, "mm²", 100.0, 500_000.0, "Width times length of the cover.")
    require_range("patch_mm2", patch_mm2, "mm²", 10.0, cover_mm2, "The pad cannot be larger than the cover.")
    t = thickness_mm * 1e-3
    inner, outer = math.sqrt(patch_mm2 * 1e-6 / math.pi), math.sqrt(cover_mm2 * 1e-6 / math.pi)
    m = math.sqrt(h / (k * t))
    a, b = m * inner, min(m * outer, 600.0)  # beyond that the rim is too far away to matter, and I1 would overflow
    if a > 500.0 or b - a < 1e-9:
        fin = 0.0
    else:
        over = kv(1, a) * iv(1, b) - iv(1, a) * kv(1, b)
        under = kv(0, a) * iv(1, b) + iv(0, a) * kv(1, b)
        fin = 2.0 * math.pi * inner * k * t * m * float(over / under)
    return 1.0 / (h * math.pi * inner**2 + fin)


def skin_temperature(
    power: float, room_c: float, material: str, thickness_mm: float, cover_mm2: float, patch_mm2: float,
    placement: str, contact_s: float | None = None,
) -> Skin:  # fmt: skip
    """How warm a cover gets that takes a given heat, and whether it may be touched.

    power: heat into the cover [W], 0 to 500
    room_c: room [degC], -10 to 60
    material: of the cover, a name of COVERS [text]
    thickness_mm: of the cover [mm], 0.3 to 10
    cover_mm2: area of the cover [mm2]
    patch_mm2: area of the pad that heats it [mm2]
    placement: a name of PLACEMENTS [text]
    contact_s: time of contact [s], None for what is usual at that placement
    returns: Skin
    raises: CoreError, OutOfRange
    formula: T = T_room + P R
    source: annular fin, textbook; limits ISO 13732-1 and IEC 62368-1 from memory; the maker's limits come first
    """
    require_range("power", power, "W", 0.0, 500.0, "Only the heat that goes into the cover.")
    require_room_c(room_c)
    resistance = cover_resistance(material, thickness_mm, cover_mm2, patch_mm2, placement)
    limit = touch_limit(material, contact_s if contact_s is not None else USUAL_CONTACT_S[placement])
    skin_c = room_c + power * resistance
    return Skin(skin_c, limit, skin_c <= limit, resistance)


def heat_into_cover(power: float, behind: float, pad: float, cover: float) -> float:
    """Heat that leaves through a coupled cover beside the way it had before.

    power: heat of the chip [W], >= 0
    behind: resistance from the heatsink to the room without the cover [K/W], > 0
    pad: resistance of the pad between heatsink and cover [K/W], > 0
    cover: resistance of the cover to the room [K/W], > 0
    returns: heat into the cover [W]
    raises: OutOfRange
    formula: P R_behind / (R_behind + R_pad + R_cover)
    source: two parallel paths, textbook
    """
    require_range("power", power, "W", 0.0, 2000.0)
    for name, value in (("behind", behind), ("pad", pad), ("cover", cover)):
        require_range(name, value, "K/W", 1e-6, 1e6)
    way = in_series([pad, cover])
    return power * in_parallel([behind, way]) / way


def _cover(material: str) -> tuple[float, str]:
    if material not in COVERS:
        raise CoreError(f"“{material}” is no cover known here; allowed: {', '.join(COVERS)}.", field="material",
                        remedy="Choose the nearest; a painted metal counts as the metal.")  # fmt: skip
    return COVERS[material]


def _placement(placement: str) -> float:
    if placement not in PLACEMENTS:
        raise CoreError(f"“{placement}” is no placement known here; allowed: {', '.join(PLACEMENTS)}.",
                        field="placement", remedy="Choose where it is used.")  # fmt: skip
    return PLACEMENTS[placement]
