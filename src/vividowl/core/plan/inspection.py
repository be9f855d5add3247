"""What inspection found so far, and what follows from it for each option: gaps, shim, cover, gates."""

from __future__ import annotations

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
from vividowl.core.plan.cover import check_cover
from vividowl.core.plan.spots import (
    CHOICES,
    GAP_TARGETS,
    GAP_WAYS,
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
from vividowl.core.quantities.errors import CoreError, OutOfRange, require_one_of, require_range
from vividowl.core.quantities.words import Words, listed, say


def check_inspection(found: Inspection) -> Inspection:
    """Refuse what cannot be.

    found: what was found
    returns: the same
    raises: CoreError, OutOfRange naming the field
    source: common practice, no source
    """
    for name, allowed in CHOICES.items():
        require_one_of(name, getattr(found, name), allowed)
    for name in ("cpu_die_mm", "gpu_die_mm"):
        for side, value in zip(("width", "length"), getattr(found, name) or (), strict=False):
            named(
                f"{name.removesuffix('_mm')}_{side}_mm",
                value,
                low=1.0,
                high=60.0,
                hint=say("inspection-measure-die-with-plastic-calipers"),
            )
    for i, spot in enumerate(found.gaps):
        if spot.target not in GAP_TARGETS or spot.how not in GAP_WAYS:
            raise CoreError(
                say(
                    "inspection-gap-lies-on-read-by",
                    i=i + 1,
                    target=spot.target,
                    how=spot.how,
                    targets=listed(GAP_TARGETS),
                    ways=listed(GAP_WAYS),
                ),
                field=f"gaps.{i}.target",
            )
        for name in ("width_mm", "length_mm"):
            named(f"gaps.{i}.{name}", getattr(spot, name), low=1.0, high=200.0, hint=say("inspection-measure-part"))
        require_range(f"gaps.{i}.count", spot.count, "", (1, 40), hint=say("inspection-how-many-such-parts"))
        gap_advice(spot)
    if found.cover is not None:
        check_cover(found.cover)
    shim_of(found)
    bath_of(found)
    named("undervolt_mv", found.undervolt_mv, low=0.0, high=200.0, hint=say("inspection-to-mv-seen-makers-often"))
    return found


def gap_of(spot: GapSpot) -> Gap:
    """The gap that a reading means.

    spot: the parts and how they were read
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
    raises: OutOfRange for a reading that none can be
    source: common practice, no source; how wide a gap putty holds is from memory
    """
    gap = gap_of(spot)
    name = "" if row is None else say("inspection-row", row=row, target=spot.target)
    try:
        pad = choose_pad(gap.gap_mm, gap.tolerance_mm)
    except OutOfRange as error:
        if gap.gap_mm > PUTTY_MOST_MM:
            said = say(
                "inspection-nothing-bridges-mm-pads-reach",
                gap_mm=gap.gap_mm,
                pads_most_mm=PADS_MOST_MM,
                putty_most_mm=PUTTY_MOST_MM,
            )
            return GapAdvice(
                spot=spot, gap=gap, pad=None, force=None, putty=False, reason=_named(name, said), open=True
            )
        return GapAdvice(
            spot=spot,
            gap=gap,
            pad=None,
            force=None,
            putty=True,
            reason=_named(name, say("inspection-use-putty", reason=error.message)),
        )
    force = pad_force(max(-1.0, min(0.95, pad.compression_max)), spot.width_mm * spot.length_mm * spot.count)
    if pad.fits and not force.lifts:
        pressed = say(
            "inspection-to", compression_min=100 * pad.compression_min, compression_max=100 * pad.compression_max
        )
        return GapAdvice(
            spot=spot,
            gap=gap,
            pad=pad,
            force=force,
            putty=False,
            reason=_named(name, say("inspection-pressed-by-over-gap-s", pressed=pressed)),
        )
    if not pad.fits:
        reason: Words = say(
            "inspection-no-pad-stays-between-and",
            gap_mm=gap.gap_mm,
            tolerance_mm=gap.tolerance_mm,
            thickness_mm=pad.thickness_mm,
            compression_min=100 * pad.compression_min,
            compression_max=100 * pad.compression_max,
        )
    else:
        reason = force.reason
    return GapAdvice(spot=spot, gap=gap, pad=pad, force=force, putty=True, reason=_named(name, reason))


def _named(name: Words, said: Words) -> Words:
    return listed((name, said), "space") if name else said


def gap_rows(found: Inspection) -> tuple[GapAdvice, ...]:
    """Advice for every row of gaps; one that nothing bridges bars no other.

    found: what was found
    raises: OutOfRange
    source: common practice, no source
    """
    return tuple(gap_advice(g, i + 1) for i, g in enumerate(found.gaps))


def shim_of(found: Inspection) -> tuple[ShimGain, ShimFit, ShimHeight] | None:
    """What the shim buys and whether it fits in plan and in height, None without one.

    found: what was found
    raises: OutOfRange
    source: Fourier's law; geometry
    """
    s = found.shim
    if s is None:
        return None
    height = shim_height(s.shim_mm, gap_from_crushed_pad(s.pad_mm), s.bond)
    gain = shim_gain(
        s.shim_width_mm,
        s.shim_length_mm,
        power=s.power_w,
        pad_um=UM_PER_MM * s.pad_mm,
        pad_conductivity=s.pad_conductivity,
        shim_um=UM_PER_MM * s.shim_mm,
        film_um=UM_PER_MM * height.film_mm,
        bond=s.bond,
    )
    fit = shim_fit(
        s.shim_width_mm,
        s.shim_length_mm,
        package_width_mm=s.package_width_mm,
        package_length_mm=s.package_length_mm,
        die_width_mm=s.die_width_mm,
        die_length_mm=s.die_length_mm,
        offset_x_mm=s.offset_x_mm,
        offset_y_mm=s.offset_y_mm,
        neighbours_mm=s.neighbours_mm,
    )
    return gain, fit, height


def bath_of(found: Inspection) -> Bath | None:
    """The bath that a plate is to get, with its own rate where one is known, None without plating.

    found: what was found
    raises: OutOfRange, CoreError
    formula: t = d / v; I = i A
    source: Faraday's law; the usual electroless rate is common practice, no source; a coupon beats both
    """
    if not found.plating:
        return None
    b = found.bath or BathSpot(method=PlatingMethod.ELECTROLESS, area_cm2=PLATE_CM2)
    require_one_of("bath.method", b.method, PlatingMethod)
    method = PlatingMethod(b.method)
    require_range("bath.area_cm2", b.area_cm2, "cm²", (0.5, 500.0), hint=say("inspection-both-sides-what-bath-wets"))
    named("bath.temperature_c", b.temperature_c, low=20.0, high=98.0, hint=say("inspection-as-maker-bath-says"))
    time = plating_time(
        method,
        b.target_um,
        current_density_a_dm2=b.current_density_a_dm2,
        temperature_c=None if b.rate_um_h is not None else b.temperature_c,
        own_rate_um_h=b.rate_um_h,
    )
    amps = None if method is PlatingMethod.ELECTROLESS else (b.current_density_a_dm2 or 0.0) * b.area_cm2 / 100.0
    words = (
        say("inspection-electroless-bath")
        if method is PlatingMethod.ELECTROLESS
        else say("inspection-nickel-bath-with-anode-and")
    )
    return Bath(
        words=words,
        area_cm2=b.area_cm2,
        target_um=b.target_um,
        temperature_c=b.temperature_c,
        rate_um_h=time.rate_um_h,
        hours=time.hours,
        amps=amps,
    )


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
