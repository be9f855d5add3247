"""What inspection found so far, and what follows from it for each option: gaps, shim, cover, gates."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass

from vividowl.core.conduction import layer_resistance
from vividowl.core.errors import CoreError, require_range
from vividowl.core.pads import (
    Gap,
    Heights,
    PadChoice,
    PadForce,
    choose_for_heights,
    choose_pad,
    gap_from_crushed_pad,
    gap_from_imprint,
    pad_force,
)
from vividowl.core.plan_gates import PlanFacts
from vividowl.core.prediction import Action
from vividowl.core.shim import ShimFit, ShimGain, shim_fit, shim_gain
from vividowl.core.skin import PLACEMENTS, Skin, cover_resistance, heat_into_cover, skin_temperature
from vividowl.core.unknowns import DUST, OLD_FILM

YES_NO = ("yes", "no", "unknown")
GAP_TARGETS = ("memory", "regulators", "inductors", "other")
GAP_WAYS = ("measured", "imprint", "old_pad")
LAP_PLACES = ("lap", "hand")
UM_PER_MM = 1000.0


@dataclass(frozen=True)
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


@dataclass(frozen=True)
class GapAdvice:
    """What a gap asks for: pad, or putty with the reason."""

    spot: GapSpot
    gap: Gap
    pad: PadChoice
    force: PadForce
    putty: bool
    reason: str


@dataclass(frozen=True)
class ShimSpot:
    """A small chip with a thick pad [mm], its heat [W], and the shim that shall replace the pad [mm]."""

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


@dataclass(frozen=True)
class CoverSpot:
    """A bottom cover [mm] and the pad between it and the heatsink [mm, W/(m K)]."""

    material: str
    thickness_mm: float
    width_mm: float
    length_mm: float
    pad_width_mm: float
    pad_length_mm: float
    pad_mm: float
    pad_conductivity: float


@dataclass(frozen=True)
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

    @property
    def die_mm2(self) -> float | None:
        """Area of both dies that share the cooler, of the processor alone when only that was measured [mm2]."""
        known = [w * h for w, h in (d for d in (self.cpu_die_mm, self.gpu_die_mm) if d is not None)]
        return sum(known) if known else None


# Words that a finding may have.
CHOICES = {
    "old_interface": ("unknown", *OLD_FILM), "dust": ("unknown", *DUST), "fan_state": ("unknown", "free", "drags"),
    "pads_state": ("unknown", "sound", "bad"), "gap_filler": ("pads", "putty"),
    "cold_plate": ("unknown", "copper", "nickel", "aluminium"), "aluminium_near": YES_NO, "parts_exposed": YES_NO,
    "insulation": ("none", "coat", "tape", "lacquer"), "place": tuple(PLACEMENTS),
}  # fmt: skip


def check_inspection(found: Inspection) -> Inspection:
    """Refuse what cannot be.

    found: what was found
    returns: the same
    raises: CoreError, OutOfRange naming the field
    source: common practice, no source
    """
    for name, allowed in CHOICES.items():
        if getattr(found, name) not in allowed:
            raise CoreError(f"“{getattr(found, name)}” is not known here; allowed: {', '.join(allowed)}.", field=name)
    for name in ("cpu_die_mm", "gpu_die_mm"):
        for side, value in zip(("width", "length"), getattr(found, name) or (), strict=False):
            _named(f"{name.removesuffix('_mm')}_{side}_mm", value, 1.0, 60.0, "Measure the die with plastic calipers.")
    for i, spot in enumerate(found.gaps):
        if spot.target not in GAP_TARGETS or spot.how not in GAP_WAYS:
            raise CoreError(f"Gap {i + 1} lies on “{spot.target}”, read by “{spot.how}”.", field=f"gaps.{i}.target",
                            remedy=f"Allowed: {', '.join(GAP_TARGETS)}; {', '.join(GAP_WAYS)}.")  # fmt: skip
        for name in ("width_mm", "length_mm"):
            _named(f"gaps.{i}.{name}", getattr(spot, name), 1.0, 200.0, "Measure the part.")
        require_range(f"gaps.{i}.count", spot.count, "", 1, 40, "How many such parts.")
        gap_advice(spot)
    _named("undervolt_mv", found.undervolt_mv, 0.0, 200.0, "40 to 150 mV is seen; makers often cap at 80.")
    return found


def _named(name: str, value: float, low: float, high: float, hint: str) -> None:
    unit = name.rsplit("_", 1)[-1].replace("mv", "mV")
    require_range(name, value, unit, low, high, hint)


def gap_of(spot: GapSpot) -> Gap:
    """The gap that a reading means.

    spot: the parts and how they were read
    returns: Gap
    raises: OutOfRange
    source: common practice, no source
    """
    if spot.how == "imprint":
        return gap_from_imprint(spot.reading_mm)
    if spot.how == "old_pad":
        return gap_from_crushed_pad(spot.reading_mm)
    return Gap(spot.reading_mm, spot.tolerance_mm, "measured")


def gap_advice(spot: GapSpot) -> GapAdvice:
    """Pad or putty for parts of one height.

    spot: the parts and how they were read
    returns: GapAdvice
    raises: OutOfRange for a gap that no stack can fill
    source: common practice, no source
    """
    gap = gap_of(spot)
    pad = choose_pad(gap.gap_mm, gap.tolerance_mm)
    force = pad_force(max(-1.0, min(0.95, pad.compression_max)), spot.width_mm * spot.length_mm * spot.count)
    if pad.fits and not force.lifts:
        pressed = f"{100 * pad.compression_min:.0f} to {100 * pad.compression_max:.0f} %"
        return GapAdvice(spot, gap, pad, force, False, f"Pressed by {pressed} over the gap's tolerance.")
    if not pad.fits:
        reason = (
            f"No pad stays between 10 and 30 % over {gap.gap_mm:.2f} ± {gap.tolerance_mm:.2f} mm; the nearest, "
            f"{pad.thickness_mm:g} mm, is pressed by {100 * pad.compression_min:.0f} to "
            f"{100 * pad.compression_max:.0f} %. Use putty."
        )
    else:
        reason = force.reason
    return GapAdvice(spot, gap, pad, force, True, reason)


def shim_of(found: Inspection) -> tuple[ShimGain, ShimFit] | None:
    """What the shim buys and whether it fits, None without one.

    found: what was found
    returns: ShimGain and ShimFit, or None
    raises: OutOfRange
    source: Fourier's law; geometry
    """
    s = found.shim
    if s is None:
        return None
    gain = shim_gain(s.shim_width_mm, s.shim_length_mm, s.power_w, 1000 * s.pad_mm, s.pad_conductivity,
                     1000 * s.shim_mm)  # fmt: skip
    fit = shim_fit(s.shim_width_mm, s.shim_length_mm, s.package_width_mm, s.package_length_mm, s.die_width_mm,
                   s.die_length_mm, s.offset_x_mm, s.offset_y_mm, s.neighbours_mm)  # fmt: skip
    return gain, fit


def cover_paths(found: Inspection) -> tuple[float, float] | None:
    """Resistance of the pad and of the cover to the room, None without a cover.

    found: what was found
    returns: pad and cover [K/W], or None
    raises: OutOfRange, CoreError
    source: Fourier's law; annular fin
    """
    c = found.cover
    if c is None:
        return None
    patch = require_range("pad_width_mm", c.pad_width_mm, "mm", 2.0, 400.0) * require_range(
        "pad_length_mm", c.pad_length_mm, "mm", 2.0, 400.0)  # fmt: skip
    pad = layer_resistance(c.pad_mm * UM_PER_MM, c.pad_conductivity, patch)
    return pad, cover_resistance(c.material, c.thickness_mm, c.width_mm * c.length_mm, patch, found.place)


def cover_skin(found: Inspection, power: float, behind: float, room_c: float) -> Skin | None:
    """How warm the coupled cover gets, None without a cover.

    found: what was found
    power: heat of the device [W]
    behind: resistance from the heatsink to the room without the cover [K/W]
    room_c: room [degC]
    returns: Skin or None
    raises: OutOfRange, CoreError
    source: two parallel paths and an annular fin, textbook; limits ISO 13732-1 and IEC 62368-1 from memory
    """
    paths, c = cover_paths(found), found.cover
    if paths is None or c is None:
        return None
    heat = heat_into_cover(power, behind, *paths)
    return skin_temperature(heat, room_c, c.material, c.thickness_mm, c.width_mm * c.length_mm,
                            c.pad_width_mm * c.pad_length_mm, found.place)  # fmt: skip


def facts_of(
    found: Inspection, actions: Sequence[Action], kind: str | None, *, swollen: bool, sealed: bool, skin: Skin | None,
    paste_over_gap: bool = False,
) -> PlanFacts:  # fmt: skip
    """Facts of one option, for its gates.

    found: what was found
    actions: what the option does
    kind: interface that goes on the die, None for none [text]
    swollen: the battery is [flag]
    sealed: warranty running or a seal intact [flag]
    skin: predicted for a coupled cover, None when not known
    paste_over_gap: paste is planned on memory, regulators or inductors [flag]
    returns: PlanFacts
    source: common practice, no source
    """
    opened = bool(set(actions) - {Action.TUNE})
    pads = Action.PADS in actions and found.gap_filler == "pads"
    lifts = next((a.force.reason for a in map(gap_advice, found.gaps) if a.force.lifts), "") if pads else ""
    shim = shim_of(found) if Action.SHIM in actions else None
    return PlanFacts(
        alloy=kind == "gallium_alloy", cold_plate=found.cold_plate,
        aluminium_near={"yes": True, "no": False}.get(found.aluminium_near),
        parts_exposed={"yes": True, "no": False}.get(found.parts_exposed), insulation=found.insulation,
        carried=found.carried or found.place in LAP_PLACES, pad_lifts=lifts, paste_over_gap=paste_over_gap,
        shim_misfit=shim[1].reason if shim is not None and not shim[1].fits else "",
        cover=Action.COVER in actions, skin_c=skin.skin_c if skin else None,
        skin_limit_c=skin.limit_c if skin else None, lap_use=found.place in LAP_PLACES,
        opens_mains=found.opens_mains and opened, swollen=swollen and opened, plating=found.plating and opened,
        sealed=sealed and opened,
    )  # fmt: skip


def heights_of(found: Inspection) -> Heights | None:
    """Whether one pad can serve all measured parts of one target, None with fewer than two heights.

    found: what was found
    returns: the first target whose heights no single pad serves, else the last looked at, or None
    raises: OutOfRange
    source: common practice, no source
    """
    last = None
    for target in GAP_TARGETS:
        gaps = [gap_of(g) for g in found.gaps if g.target == target]
        if len(gaps) < 2:
            continue
        last = choose_for_heights(gaps)
        if last.putty:
            return last
    return last
