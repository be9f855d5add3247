"""A cover that carries heat: how warm its outside gets, and what may be touched for how long."""

from __future__ import annotations

import math
from collections.abc import Mapping
from dataclasses import dataclass

from vividowl.core.heat.conduction import in_parallel, in_series
from vividowl.core.quantities.errors import require_one_of, require_range
from vividowl.core.quantities.units import require_room_c
from vividowl.core.quantities.words import say

# Conductivity of covers [W/(m K)], textbook values near 25 degC; whether it feels like metal or plastic to the touch.
COVERS: Mapping[str, tuple[float, str]] = {
    "aluminium": (160.0, "metal"),
    "magnesium": (75.0, "metal"),
    "steel": (16.0, "metal"),
    "plastic": (0.25, "plastic"),
    "carbon": (5.0, "plastic"),
    "glass": (1.0, "glass"),
}
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
# Standard uncertainty of the heat transfer as a share of it: table, lap and draught differ so much. From memory.
HEAT_TRANSFER_U = 0.2
# Bare metal that is brushed for 1 to 10 s: above this no cover that a hand can reach is offered (IEC 62368-1, from
# memory).
NEVER_ABOVE_C = 60.0
# A battery ages twice as fast for every ten kelvins; above this it is told. From memory.
BATTERY_WARN_C = 45.0
# ISO 13732-1 burn thresholds, from memory: whatever the material from one minute on.
BURN_1_MIN_C, BURN_10_MIN_C, BURN_8_H_C = 51.0, 48.0, 43.0
# IEC 62368-1 touch temperatures for 10 s to 1 min, from memory; glass between the two that the handbook names.
TOUCH_C: Mapping[str, float] = {"metal": 51.0, "glass": 56.0, "plastic": 60.0}


@dataclass(frozen=True, kw_only=True)
class Skin:
    """skin_c: hottest place of the outside [degC] with low_c and high_c, the ends of a 95 % interval; limit_c: for that
    contact [degC]; allowed: even the upper end is below it; resistance: of the cover to the room [K/W]; battery_c:
    cover
    over the nearest edge of the battery, at the upper end [degC], None when its place is not known."""

    skin_c: float
    low_c: float
    high_c: float
    limit_c: float
    allowed: bool
    resistance: float
    battery_c: float | None = None


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
    require_range("contact_s", contact_s, "s", (1.0, 86400.0), hint=say("skin-s-for-touch-s-for"))
    if contact_s < 60.0:
        return TOUCH_C[feel]
    if contact_s <= 60.0:
        return BURN_1_MIN_C
    # Between the times that the standard names the value of the longer one is taken.
    return BURN_10_MIN_C if contact_s <= 600.0 else BURN_8_H_C


def cover_resistance(
    material: str, thickness_mm: float, *, cover_mm2: float, patch_mm2: float, placement: str
) -> float:
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
    require_range("thickness_mm", thickness_mm, "mm", (0.3, 10.0))
    require_range("cover_mm2", cover_mm2, "mm²", (100.0, 500_000.0), hint=say("skin-width-times-length-cover"))
    require_range("patch_mm2", patch_mm2, "mm²", (10.0, cover_mm2), hint=say("skin-pad-cannot-be-larger-than"))
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
    power: float,
    room_c: float,
    *,
    material: str,
    thickness_mm: float,
    cover_mm2: float,
    patch_mm2: float,
    placement: str,
    contact_s: float | None = None,
    power_u: float = 0.0,
    battery_mm: float | None = None,
) -> Skin:
    """How warm a cover gets that takes a given heat, and whether it may be touched.

    power: heat into the cover [W], 0 to 500
    room_c: room [degC], -10 to 60
    material: of the cover, a name of COVERS [text]
    thickness_mm: of the cover [mm], 0.3 to 10
    cover_mm2: area of the cover [mm2]
    patch_mm2: area of the pad that heats it [mm2]
    placement: a name of PLACEMENTS [text]
    contact_s: time of contact [s], None for what is usual at that placement
    power_u: standard uncertainty of that heat [W]
    battery_mm: from the pad's edge to the battery's outline [mm], 0 or less when they overlap, None when not measured
    raises: CoreError, OutOfRange
    formula: T = T_room + P R; U95 = 2 (T - T_room) sqrt((u_P/P)^2 + u_h^2); at the battery
        theta = theta_0 [K0(mr) I1(mR) + I0(mr) K1(mR)] / [K0(ma) I1(mR) + I0(ma) K1(mR)]
    source: annular fin, textbook; JCGM 100:2008 for the interval; limits ISO 13732-1 and IEC 62368-1 from memory; the
        maker's limits come first
    """
    require_range("power", power, "W", (0.0, 500.0), hint=say("skin-only-heat-that-goes-into"))
    require_room_c(room_c)
    resistance = cover_resistance(material, thickness_mm, cover_mm2=cover_mm2, patch_mm2=patch_mm2, placement=placement)
    limit = touch_limit(material, contact_s if contact_s is not None else USUAL_CONTACT_S[placement])
    rise = power * resistance
    spread = 2.0 * rise * math.hypot(power_u / power if power > 0 else 0.0, HEAT_TRANSFER_U)
    high = room_c + rise + spread
    battery = None
    if battery_mm is not None:
        left = _share_at(
            material,
            thickness_mm,
            cover_mm2=cover_mm2,
            patch_mm2=patch_mm2,
            placement=placement,
            beside_mm=max(0.0, battery_mm),
        )
        battery = room_c + (rise + spread) * left
    return Skin(
        skin_c=room_c + rise,
        low_c=room_c + rise - spread,
        high_c=high,
        limit_c=limit,
        allowed=high <= limit,
        resistance=resistance,
        battery_c=battery,
    )


def _share_at(
    material: str, thickness_mm: float, *, cover_mm2: float, patch_mm2: float, placement: str, beside_mm: float
) -> float:
    """Share of the rise at the pad that is left at a distance from its edge."""
    from scipy.special import iv, kv

    k, h = _cover(material)[0], _placement(placement)
    inner, outer = math.sqrt(patch_mm2 * 1e-6 / math.pi), math.sqrt(cover_mm2 * 1e-6 / math.pi)
    there = min(inner + beside_mm * 1e-3, outer)
    m = math.sqrt(h / (k * thickness_mm * 1e-3))
    if m * outer > 600.0 or outer - inner < 1e-9:
        return math.exp(-m * (there - inner))

    def theta(r: float) -> float:
        return float(kv(0, m * r) * iv(1, m * outer) + iv(0, m * r) * kv(1, m * outer))

    return theta(there) / theta(inner)


# Young's modulus of covers [GPa], textbook values.
YOUNG_GPA: Mapping[str, float] = {
    "aluminium": 70.0,
    "magnesium": 45.0,
    "steel": 200.0,
    "plastic": 2.4,
    "carbon": 50.0,
    "glass": 70.0,
}
POISSON = 0.3  # usual for plastics and metals; from memory
# Coefficient of a long plate with a clamped rim under a force in its middle; from memory.
BEND = 0.0072
BULGE_MOST_MM = 0.5  # a cover that stands out more is seen and rocks on the table; from memory


def cover_bulge_mm(force_n: float, proud_mm: float, *, material: str, thickness_mm: float, short_mm: float) -> float:
    """How far a pad presses a cover out in its middle, where the two springs, pad and cover, come to rest.

    force_n: of the pad were the cover stiff [N], 0 to 5000
    proud_mm: by how much the pad is thicker than the gap [mm], 0 to 10
    material: of the cover, a name of COVERS [text]
    thickness_mm: of the cover [mm], 0.3 to 10
    short_mm: its shorter side between the screws [mm], 10 to 600
    returns: deflection [mm]
    raises: CoreError, OutOfRange
    formula: w = proud c / (c + proud / F), c = 0.0072 a^2 / D, D = E t^3 / (12 (1 - nu^2))
    source: thin plate with a clamped rim, textbook; the coefficient from memory
    """
    _cover(material)
    require_range("force_n", force_n, "N", (0.0, 5000.0))
    require_range("proud_mm", proud_mm, "mm", (0.0, 10.0))
    require_range("thickness_mm", thickness_mm, "mm", (0.3, 10.0))
    require_range("short_mm", short_mm, "mm", (10.0, 600.0))
    stiffness = YOUNG_GPA[material] * 1e9 * (thickness_mm * 1e-3) ** 3 / (12.0 * (1.0 - POISSON**2))
    if force_n <= 0 or proud_mm <= 0:
        return 0.0
    gives = 1e3 * BEND * (short_mm * 1e-3) ** 2 / stiffness  # [mm/N]
    return proud_mm * gives / (gives + proud_mm / force_n)


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
    require_range("power", power, "W", (0.0, 2000.0))
    for name, value in (("behind", behind), ("pad", pad), ("cover", cover)):
        require_range(name, value, "K/W", (1e-6, 1e6))
    way = in_series([pad, cover])
    return power * in_parallel([behind, way]) / way


def _cover(material: str) -> tuple[float, str]:
    require_one_of("material", material, COVERS)
    return COVERS[material]


def _placement(placement: str) -> float:
    require_one_of("placement", placement, PLACEMENTS)
    return PLACEMENTS[placement]
