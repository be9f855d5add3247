"""How much interface material a contact takes, and whether a syringe's label can be right."""

from __future__ import annotations

import math
from dataclasses import dataclass

from vividowl.core.quantities.errors import OutOfRange, require_range
from vividowl.core.quantities.words import say

SYRINGE_TOLERANCE_SHARE = 0.2  # between printed mass and volume; from memory
# [g/mL] lighter is no paste; heavier is no metal that is sold for it; from memory
DENSITY_LOW, DENSITY_HIGH = 0.7, 20.0


@dataclass(frozen=True)
class Dose:
    """volume_ul [uL]; mass_g [g]; bead_diameter_mm: diameter of a ball of that volume [mm]."""

    volume_ul: float
    mass_g: float
    bead_diameter_mm: float


@dataclass(frozen=True)
class SyringeCheck:
    """consistent: whether mass, volume and density agree within a fifth; implied_density_g_ml [g/mL]."""

    consistent: bool
    implied_density_g_ml: float


def dose(
    width_mm: float, length_mm: float, *, film_um: float, waste: float, density_g_ml: float, faces: int = 1
) -> Dose:
    """Material for a contact.

    width_mm: width of the contact [mm], 1 to 200
    length_mm: length of the contact [mm], 1 to 200
    film_um: thickness of the film on each face [um], 1 to 3000
    waste: share that is lost or pressed out [1], 0 to 3
    density_g_ml: density [g/mL], 0.7 to 20
    faces: coated faces [1], 1 or 2
    raises: OutOfRange
    formula: V = A film faces (1 + waste); m = rho V; d = (6 V / pi)^(1/3)
    source: geometry
    """
    require_range("width_mm", width_mm, "mm", (1.0, 200.0), hint=say("application-measure-die-with-plastic-calipers"))
    require_range("length_mm", length_mm, "mm", (1.0, 200.0), hint=say("application-measure-die-with-plastic-calipers"))
    require_range("film_um", film_um, "µm", (1.0, 3000.0), hint=say("dose-paste-film-has-to-m"))
    require_range("waste", waste, "", (0.0, 3.0), hint=say("dose-give-share-for"))
    _require_density(density_g_ml)
    require_range("faces", faces, "", (1, 2), hint=say("dose-one-face-or-both"))
    volume = width_mm * length_mm * film_um * 1e-3 * faces * (1.0 + waste)
    return Dose(volume, volume * density_g_ml * 1e-3, (6.0 * volume / math.pi) ** (1.0 / 3.0))


@dataclass(frozen=True)
class Left:
    """left_g: what the tube holds afterwards [g]; doses: how many such doses are in it now [1]."""

    left_g: float
    doses: int


def left_in_tube(held_g: float, used_g: float) -> Left:
    """What a tube still holds after a dose.

    held_g: what it holds now [g], 0 to 10000
    used_g: the dose [g], above 0 to 10000
    raises: OutOfRange, also when the tube holds less than the dose
    formula: difference; whole doses
    source: conservation of mass
    """
    require_range("held_g", held_g, "g", (0.0, 10000.0))
    require_range("used_g", used_g, "g", (1e-6, 10000.0))
    if used_g > held_g + 1e-9:
        raise OutOfRange(say("dose-dose-g-tube-holds-g", used_g=used_g, held_g=held_g), field="used_g")
    return Left(max(0.0, held_g - used_g), math.floor(held_g / used_g + 1e-9))


def check_syringe(volume_ml: float, mass_g: float, density_g_ml: float) -> SyringeCheck:
    """Whether what a syringe's label says of volume and mass fits its density.

    volume_ml: volume on the label [mL], 0.01 to 1000
    mass_g: mass on the label [g], 0.01 to 10000
    density_g_ml: density of the material [g/mL], 0.7 to 20
    raises: OutOfRange
    formula: m / V against rho, within 20 %, which covers the rounding of small labels
    source: definition of density; the margin is from memory
    """
    require_range("volume_ml", volume_ml, "mL", (0.01, 1000.0))
    require_range("mass_g", mass_g, "g", (0.01, 10000.0))
    _require_density(density_g_ml)
    implied = mass_g / volume_ml
    return SyringeCheck(abs(implied / density_g_ml - 1.0) <= SYRINGE_TOLERANCE_SHARE, implied)


def _require_density(density_g_ml: float) -> None:
    require_range(
        "density_g_ml",
        density_g_ml,
        "g/mL",
        (DENSITY_LOW, DENSITY_HIGH),
        hint=say("dose-pastes-have-to-g-ml"),
    )
