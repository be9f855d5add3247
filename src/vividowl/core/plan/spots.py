"""What inspection writes down: gaps, shim, cover, bath, and the words that are allowed for the rest."""

from __future__ import annotations

import re
from dataclasses import dataclass

from vividowl.core.heat.skin import (
    PLACEMENTS,
)
from vividowl.core.materials.pads import (
    MIN_COMPRESSION,
    PAD_THICKNESSES_MM,
    STACK_MOST,
    Gap,
    PadChoice,
    PadForce,
)
from vividowl.core.plan.unknowns import DUST, OLD_FILM
from vividowl.core.quantities.errors import require_range
from vividowl.core.quantities.words import Words

YES_NO = ("yes", "no", "unknown")
GAP_TARGETS = ("memory", "regulators", "inductors", "other")
GAP_WAYS = ("measured", "imprint", "old_pad")
LAP_PLACES = ("lap", "hand")
# How people write that it lay on somebody or in bedding, as whole words.
_LAP_WORDS = frozenset({"lap", "laps", "knee", "knees", "hand", "hands", "handheld", "bed", "sofa", "couch", "blanket"})


def is_on_lap(place: str) -> bool:
    """Whether a place that somebody typed is one where the cover lies on skin or in bedding.

    place: as it was typed, empty when nobody did [text]
    source: common practice, no source
    """
    return bool(_LAP_WORDS & set(re.findall(r"[a-z]+", place.casefold())))


PADS_MOST_MM = STACK_MOST * PAD_THICKNESSES_MM[-1] * (1.0 - MIN_COMPRESSION)
PUTTY_MOST_MM = 8.0  # a thicker bead slumps out of the gap; from memory
COVER_GAP_MM = 1.0  # newer thin shells, handbook/materials.md: common practice, no source
PLATE_CM2 = 20.0  # both sides of a cold plate of 30 x 30 mm, where nobody has measured
UM_PER_MM = 1000.0  # (definition)


@dataclass(frozen=True, kw_only=True)
class GapSpot:
    """Parts of one height under the cooler. how: measured, imprint (of a putty ball) or old_pad (its crushed
    thickness); reading_mm; tolerance_mm for a measured one; count parts of width by length [mm]; together: cut as one
    strip."""

    target: str
    how: str
    reading_mm: float
    tolerance_mm: float
    width_mm: float
    length_mm: float
    count: int = 1
    together: bool = False


@dataclass(frozen=True, kw_only=True)
class GapAdvice:
    """What a gap asks for: pad, or putty with the reason. pad and force: None where no stack fills the gap; open: not
    even
    putty bridges it, so that this row is measured again and the others stand."""

    spot: GapSpot
    gap: Gap
    pad: PadChoice | None
    force: PadForce | None
    putty: bool
    reason: Words
    open: bool = False


@dataclass(frozen=True, kw_only=True)
class ShimSpot:
    """A small chip with a thick pad [mm], its heat [W], and the shim that shall replace the pad [mm]. pad_mm: of the
    old
    pad, measured where the chip has pressed it; bond: glue or paste on the heatsink's face."""

    package_width_mm: float
    package_length_mm: float
    die_width_mm: float
    die_length_mm: float
    shim_width_mm: float
    shim_length_mm: float
    shim_mm: float
    pad_mm: float
    pad_conductivity: float
    power_w: float
    offset_x_mm: float = 0.0
    offset_y_mm: float = 0.0
    neighbours_mm: float | None = None
    bond: str = "glue"


@dataclass(frozen=True, kw_only=True)
class CoverSpot:
    """A bottom cover [mm] and the pad between it and the heatsink [mm, W/(m K)]. gap_mm: between heatsink and closed
    cover, from which the pad is chosen, None when not measured; battery_mm: from the pad's edge to the battery's
    outline, 0 or less where they overlap, None when not measured."""

    material: str
    thickness_mm: float
    width_mm: float
    length_mm: float
    pad_width_mm: float
    pad_length_mm: float
    pad_conductivity: float
    gap_mm: float | None = None
    gap_tolerance_mm: float = 0.1
    battery_mm: float | None = None

    @property
    def patch_mm2(self) -> float:
        """Area of the pad [mm2]."""
        return self.pad_width_mm * self.pad_length_mm


@dataclass(frozen=True, kw_only=True)
class BathSpot:
    """How a cold plate is plated. method: electroless or electrolytic; area_cm2: wetted [cm2]; target_um [um];
    temperature_c: of the bath [degC]; rate_um_h: of this bath by its sheet or a coupon [um/h], None for the usual;
    current_density_a_dm2: electrolytic [A/dm2]."""

    method: str
    area_cm2: float
    target_um: float = 20.0
    temperature_c: float = 70.0
    rate_um_h: float | None = None
    current_density_a_dm2: float | None = None


@dataclass(frozen=True, kw_only=True)
class Inspection:
    """What is known of the device before the decision; "unknown" and None mean that nobody looked or measured."""

    cpu_die_mm: tuple[float, float] | None = None
    gpu_die_mm: tuple[float, float] | None = None
    old_interface: str = "unknown"
    dust: str = "unknown"
    fan_state: str = "unknown"
    pads_state: str = "unknown"
    gap_filler: str = "pads"
    cold_plate: str = "unknown"
    aluminium_near: str = "unknown"
    parts_exposed: str = "unknown"
    insulation: str = "none"
    carried: bool = False
    place: str = "desk"
    gaps: tuple[GapSpot, ...] = ()
    shim: ShimSpot | None = None
    cover: CoverSpot | None = None
    undervolt_mv: float = 0.0
    cap_w: float | None = None
    opens_mains: bool = False
    plating: bool = False
    bath: BathSpot | None = None

    @property
    def die_mm2(self) -> float | None:
        """Area of both dies that share the cooler, of the processor alone when only that was measured [mm2]."""
        known = [w * h for w, h in (d for d in (self.cpu_die_mm, self.gpu_die_mm) if d is not None)]
        return sum(known) if known else None


# Words that a finding may have.
CHOICES = {
    "old_interface": ("unknown", *OLD_FILM),
    "dust": ("unknown", *DUST),
    "fan_state": ("unknown", "free", "drags"),
    "pads_state": ("unknown", "sound", "bad"),
    "gap_filler": ("pads", "putty"),
    "cold_plate": ("unknown", "copper", "nickel", "aluminium"),
    "aluminium_near": YES_NO,
    "parts_exposed": YES_NO,
    "insulation": ("none", "coat", "tape", "lacquer"),
    "place": tuple(PLACEMENTS),
}


def named(name: str, value: float, *, low: float, high: float, hint: Words) -> None:
    """Refuse a measure that is out of its range, its unit read off its name.

    name: field with its unit at the end [text]
    value: measured [unit of the name]
    low: least [unit of the name]
    high: most [unit of the name]
    hint: what to do [text]
    returns: nothing
    raises: OutOfRange
    """
    unit = name.rsplit("_", 1)[-1].replace("mv", "mV")
    require_range(name, value, unit, (low, high), hint=hint)
