"""What inspection found so far, and what follows from it for each option: gaps, shim, cover, gates."""

from __future__ import annotations

from collections.abc import Sequence

from vividowl.core.heat.skin import (
    Skin,
)
from vividowl.core.materials.kinds import Kind, Material
from vividowl.core.materials.pads import (
    Gap,
    Heights,
    choose_for_heights,
    choose_pad,
    gap_from_crushed_pad,
    gap_from_imprint,
    pad_force,
)
from vividowl.core.materials.plating import Bath, PlatingMethod, plating_time
from vividowl.core.materials.shim import ShimFit, ShimGain, ShimHeight, shim_fit, shim_gain, shim_height
from vividowl.core.plan.cover import check_cover, cover_pad
from vividowl.core.plan.gates import PlanFacts
from vividowl.core.plan.prediction import Action
from vividowl.core.plan.spots import (
    CHOICES,
    GAP_TARGETS,
    GAP_WAYS,
    LAP_PLACES,
    PADS_MOST_MM,
    PLATE_CM2,
    PUTTY_MOST_MM,
    UM_PER_MM,
    BathSpot,
    GapAdvice,
    GapSpot,
    Inspection,
    named,
)
from vividowl.core.quantities.errors import CoreError, OutOfRange, require_range


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
            named(f"{name.removesuffix('_mm')}_{side}_mm", value, 1.0, 60.0, "Measure the die with plastic calipers.")
    for i, spot in enumerate(found.gaps):
        if spot.target not in GAP_TARGETS or spot.how not in GAP_WAYS:
            raise CoreError(f"Gap {i + 1} lies on “{spot.target}”, read by “{spot.how}”.", field=f"gaps.{i}.target",
                            remedy=f"Allowed: {', '.join(GAP_TARGETS)}; {', '.join(GAP_WAYS)}.")  # fmt: skip
        for name in ("width_mm", "length_mm"):
            named(f"gaps.{i}.{name}", getattr(spot, name), 1.0, 200.0, "Measure the part.")
        require_range(f"gaps.{i}.count", spot.count, "", 1, 40, "How many such parts.")
        gap_advice(spot)
    if found.cover is not None:
        check_cover(found.cover)
    shim_of(found)
    bath_of(found)
    named("undervolt_mv", found.undervolt_mv, 0.0, 200.0, "40 to 150 mV is seen; makers often cap at 80.")
    return found


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
    named("bath.temperature_c", b.temperature_c, 20.0, 98.0, "As the maker of the bath says.")
    time = plating_time(method, b.target_um, b.current_density_a_dm2,
                        None if b.rate_um_h is not None else b.temperature_c, b.rate_um_h)  # fmt: skip
    amps = None if method is PlatingMethod.ELECTROLESS else (b.current_density_a_dm2 or 0.0) * b.area_cm2 / 100.0
    words = "electroless bath" if method is PlatingMethod.ELECTROLESS else "nickel bath with anode and current source"
    return Bath(words, b.area_cm2, b.target_um, b.temperature_c, time.rate_um_h, time.hours, amps)


def _rated(material: Material | None, hottest_c: float | None) -> str:
    if material is None or hottest_c is None or hottest_c <= material.service_c:
        return ""
    return (f"{material.words[0].upper()}{material.words[1:]} is rated to {material.service_c:.0f} °C, the die reaches "
            f"{hottest_c:.0f} °C.")  # fmt: skip


def facts_of(
    found: Inspection, actions: Sequence[Action], kind: str | None, *, swollen: bool, sealed: bool, skin: Skin | None,
    battery: bool, paste_over_gap: bool = False, material: Material | None = None,
    hottest_c: float | None = None,
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
    material: that interface with its service temperature, None when it is not known
    hottest_c: die at its limit, or as hot as it is predicted to be [degC], None when it is not known
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
        alloy=kind == Kind.ALLOY, cold_plate=found.cold_plate,
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
        sealed=sealed and opened, rated=_rated(material, hottest_c),
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
