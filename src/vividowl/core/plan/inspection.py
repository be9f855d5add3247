"""What inspection found so far, and what follows from it for each option: gaps, shim, cover, gates."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass

from vividowl.core.heat.conduction import layer_resistance
from vividowl.core.heat.skin import (
    BULGE_MOST_MM,
    PLACEMENTS,
    Skin,
    cover_bulge_mm,
    cover_resistance,
    heat_into_cover,
    skin_temperature,
)
from vividowl.core.materials.pads import (
    MIN_COMPRESSION,
    PAD_THICKNESSES_MM,
    STACK_MOST,
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
from vividowl.core.materials.plating import Bath, PlatingMethod, plating_time
from vividowl.core.materials.shim import ShimFit, ShimGain, ShimHeight, shim_fit, shim_gain, shim_height
from vividowl.core.plan.gates import PlanFacts
from vividowl.core.plan.prediction import Action
from vividowl.core.plan.unknowns import DUST, OLD_FILM
from vividowl.core.quantities.errors import CoreError, OutOfRange, require_range

YES_NO = ("yes", "no", "unknown")
GAP_TARGETS = ("memory", "regulators", "inductors", "other")
GAP_WAYS = ("measured", "imprint", "old_pad")
LAP_PLACES = ("lap", "hand")
PADS_MOST_MM = STACK_MOST * PAD_THICKNESSES_MM[-1] * (1.0 - MIN_COMPRESSION)
PUTTY_MOST_MM = 8.0  # a thicker bead slumps out of the gap; from memory
COVER_GAP_MM = 1.0  # newer thin shells, handbook section 6: common practice, no source
PLATE_CM2 = 20.0  # both sides of a cold plate of 30 x 30 mm, where nobody has measured
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
    """What a gap asks for: pad, or putty with the reason. pad and force: None where no stack fills the gap; open: not
    even
    putty bridges it, so that this row is measured again and the others stand."""

    spot: GapSpot
    gap: Gap
    pad: PadChoice | None
    force: PadForce | None
    putty: bool
    reason: str
    open: bool = False


@dataclass(frozen=True)
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


@dataclass(frozen=True)
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


@dataclass(frozen=True)
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
    bath: BathSpot | None = None

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
    if found.cover is not None:
        check_cover(found.cover)
    shim_of(found)
    bath_of(found)
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


def gap_advice(spot: GapSpot, row: int | None = None) -> GapAdvice:
    """Pad or putty for parts of one height, or that nothing bridges them.

    spot: the parts and how they were read
    row: its number in the list [1], which the reason names then, None for none
    returns: GapAdvice
    raises: OutOfRange for a reading that none can be
    source: common practice, no source; how wide a gap putty holds is from memory
    """
    gap = gap_of(spot)
    name = "" if row is None else f"Row {row}, {spot.target}: "
    try:
        pad = choose_pad(gap.gap_mm, gap.tolerance_mm)
    except OutOfRange as error:
        if gap.gap_mm > PUTTY_MOST_MM:
            said = (
                f"{name}nothing bridges {gap.gap_mm:g} mm: pads reach {PADS_MOST_MM:g} mm, putty {PUTTY_MOST_MM:g} mm."
            )
            return GapAdvice(spot, gap, None, None, False, said, True)
        return GapAdvice(spot, gap, None, None, True, f"{name}{error} Use putty.")
    force = pad_force(max(-1.0, min(0.95, pad.compression_max)), spot.width_mm * spot.length_mm * spot.count)
    if pad.fits and not force.lifts:
        pressed = f"{100 * pad.compression_min:.0f} to {100 * pad.compression_max:.0f} %"
        return GapAdvice(spot, gap, pad, force, False, f"{name}Pressed by {pressed} over the gap's tolerance.")
    if not pad.fits:
        reason = (
            f"No pad stays between 10 and 30 % over {gap.gap_mm:.2f} ± {gap.tolerance_mm:.2f} mm; the nearest, "
            f"{pad.thickness_mm:g} mm, is pressed by {100 * pad.compression_min:.0f} to "
            f"{100 * pad.compression_max:.0f} %. Use putty."
        )
    else:
        reason = force.reason
    return GapAdvice(spot, gap, pad, force, True, f"{name}{reason}")


def gap_rows(found: Inspection) -> tuple[GapAdvice, ...]:
    """Advice for every row of gaps; one that nothing bridges bars no other.

    found: what was found
    returns: GapAdvice (n,)
    raises: OutOfRange
    source: common practice, no source
    """
    return tuple(gap_advice(g, i + 1) for i, g in enumerate(found.gaps))


def shim_of(found: Inspection) -> tuple[ShimGain, ShimFit, ShimHeight] | None:
    """What the shim buys and whether it fits in plan and in height, None without one.

    found: what was found
    returns: ShimGain, ShimFit and ShimHeight, or None
    raises: OutOfRange
    source: Fourier's law; geometry
    """
    s = found.shim
    if s is None:
        return None
    height = shim_height(s.shim_mm, gap_from_crushed_pad(s.pad_mm), s.bond)
    gain = shim_gain(s.shim_width_mm, s.shim_length_mm, s.power_w, UM_PER_MM * s.pad_mm, s.pad_conductivity,
                     UM_PER_MM * s.shim_mm, UM_PER_MM * height.film_mm, s.bond)  # fmt: skip
    fit = shim_fit(s.shim_width_mm, s.shim_length_mm, s.package_width_mm, s.package_length_mm, s.die_width_mm,
                   s.die_length_mm, s.offset_x_mm, s.offset_y_mm, s.neighbours_mm)  # fmt: skip
    return gain, fit, height


def bath_of(found: Inspection) -> Bath | None:
    """The bath that a plate is to get, with its own rate where one is known, None without plating.

    found: what was found
    returns: Bath or None
    raises: OutOfRange, CoreError
    formula: t = d / v; I = i A
    source: Faraday's law; the usual electroless rate is common practice, no source; a coupon beats both
    """
    if not found.plating:
        return None
    b = found.bath or BathSpot(PlatingMethod.ELECTROLESS, PLATE_CM2)
    if b.method not in tuple(PlatingMethod):
        raise CoreError(f"“{b.method}” is no way of plating; allowed: {', '.join(PlatingMethod)}.", field="bath.method")
    method = PlatingMethod(b.method)
    require_range("bath.area_cm2", b.area_cm2, "cm²", 0.5, 500.0, "Both sides of what the bath wets.")
    _named("bath.temperature_c", b.temperature_c, 20.0, 98.0, "As the maker of the bath says.")
    time = plating_time(method, b.target_um, b.current_density_a_dm2,
                        None if b.rate_um_h is not None else b.temperature_c, b.rate_um_h)  # fmt: skip
    amps = None if method is PlatingMethod.ELECTROLESS else (b.current_density_a_dm2 or 0.0) * b.area_cm2 / 100.0
    words = "electroless bath" if method is PlatingMethod.ELECTROLESS else "nickel bath with anode and current source"
    return Bath(words, b.area_cm2, b.target_um, b.temperature_c, time.rate_um_h, time.hours, amps)


def check_cover(c: CoverSpot) -> CoverSpot:
    """Refuse a cover or a pad on it that cannot be.

    c: the cover
    returns: the same
    raises: CoreError, OutOfRange naming the field
    source: common practice, no source
    """
    for name in ("pad_width_mm", "pad_length_mm"):
        _named(name, getattr(c, name), 2.0, 400.0, "Measure the pad.")
    if c.gap_mm is not None:
        _named("cover.gap_mm", c.gap_mm, 0.1, 5.0, "Press a ball of putty between heatsink and cover.")
        _named(
            "cover.gap_tolerance_mm", c.gap_tolerance_mm, 0.0, 2.0, "As far as the putty differs from place to place."
        )
    if c.battery_mm is not None:
        _named("cover.battery_mm", c.battery_mm, -300.0, 300.0, "From the pad's edge to the battery's outline.")
    return c


def cover_pad(found: Inspection) -> tuple[PadChoice, str] | None:
    """The pad that the gap to the cover asks for, and why it presses too hard, empty when it does not; None while the
    gap is not measured.

    found: what was found
    returns: PadChoice and words, or None
    raises: OutOfRange, CoreError
    source: linear spring and clamped plate, textbook; limits from memory
    """
    c = found.cover
    if c is None or c.gap_mm is None:
        return None
    pad = choose_pad(c.gap_mm, c.gap_tolerance_mm)
    if not pad.fits:
        return pad, (
            f"No pad stays between 10 and 30 % over {c.gap_mm:.2f} ± {c.gap_tolerance_mm:.2f} mm: it presses the "
            "cover out or does not touch. Use putty, or measure the gap again."
        )
    force = pad_force(max(0.0, pad.compression_max), c.patch_mm2).force_n
    proud = max(0.0, pad.thickness_mm - c.gap_mm + c.gap_tolerance_mm)
    bulge = cover_bulge_mm(force, proud, c.material, c.thickness_mm, min(c.width_mm, c.length_mm))
    if bulge <= BULGE_MOST_MM:
        return pad, ""
    return pad, (f"A pad of {pad.thickness_mm:g} mm in this gap pushes the cover out by {bulge:.1f} mm; "
                 f"{BULGE_MOST_MM:g} mm is the most.")  # fmt: skip


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
    return pad, cover_resistance(c.material, c.thickness_mm, c.width_mm * c.length_mm, c.patch_mm2, found.place)


def cover_skin(found: Inspection, power: float, behind: float, room_c: float, power_u: float = 0.0) -> Skin | None:
    """How warm the coupled cover gets, None without a cover.

    found: what was found
    power: heat of the device [W]
    behind: resistance from the heatsink to the room without the cover [K/W]
    room_c: room [degC]
    power_u: standard uncertainty of the heat [W]
    returns: Skin or None
    raises: OutOfRange, CoreError
    source: two parallel paths and an annular fin, textbook; limits ISO 13732-1 and IEC 62368-1 from memory
    """
    paths, c = cover_paths(found), found.cover
    if paths is None or c is None:
        return None
    share = heat_into_cover(1.0, behind, *paths)
    return skin_temperature(share * power, room_c, c.material, c.thickness_mm, c.width_mm * c.length_mm, c.patch_mm2,
                            found.place, power_u=share * power_u, battery_mm=c.battery_mm)  # fmt: skip


def facts_of(
    found: Inspection, actions: Sequence[Action], kind: str | None, *, swollen: bool, sealed: bool, skin: Skin | None,
    battery: bool, paste_over_gap: bool = False,
) -> PlanFacts:  # fmt: skip
    """Facts of one option, for its gates.

    found: what was found
    actions: what the option does
    kind: interface that goes on the die, None for none [text]
    swollen: the battery is [flag]
    sealed: warranty running or a seal intact [flag]
    skin: predicted for a coupled cover, None when not known
    battery: the device has one [flag]
    paste_over_gap: paste is planned on memory, regulators or inductors [flag]
    returns: PlanFacts
    source: common practice, no source
    """
    opened = bool(set(actions) - {Action.TUNE})
    pads = Action.PADS in actions and found.gap_filler == "pads"
    rows = gap_rows(found) if Action.PADS in actions else ()
    lifts = next((a.force.reason for a in rows if a.force is not None and a.force.lifts), "") if pads else ""
    pressed = cover_pad(found) if Action.COVER in actions else None
    shim = shim_of(found) if Action.SHIM in actions else None
    return PlanFacts(
        alloy=kind == "gallium_alloy", cold_plate=found.cold_plate,
        aluminium_near={"yes": True, "no": False}.get(found.aluminium_near),
        parts_exposed={"yes": True, "no": False}.get(found.parts_exposed), insulation=found.insulation,
        carried=found.carried or found.place in LAP_PLACES, pad_lifts=lifts, paste_over_gap=paste_over_gap,
        shim_misfit=shim[1].reason if shim is not None and not shim[1].fits else "",
        shim_height=shim[2].reason if shim is not None and not shim[2].fits else "",
        gap_open=" ".join(a.reason for a in rows if a.open),
        cover=Action.COVER in actions, skin=skin, lap_use=found.place in LAP_PLACES,
        cover_force=pressed[1] if pressed else "", cover_gap=pressed is not None, battery=battery,
        battery_mm=found.cover.battery_mm if found.cover else None,
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
        gaps = [a.gap for a in map(gap_advice, found.gaps) if a.spot.target == target and a.pad is not None]
        if len(gaps) < 2:
            continue
        last = choose_for_heights(gaps)
        if last.putty:
            return last
    return last
