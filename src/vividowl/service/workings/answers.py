"""What each calculator answers: the core's rules with values of the edge."""

from __future__ import annotations

from dataclasses import asdict
from typing import Any

from vividowl.core.heat.air import CFM_PER_M3_S, air_flow
from vividowl.core.heat.conduction import layer_resistance
from vividowl.core.heat.skin import skin_temperature
from vividowl.core.heat.temperature import at_reference_room, rise_over_room, sustained_capacity, thermal_resistance
from vividowl.core.materials.application import School, choose_school, drop_of
from vividowl.core.materials.kinds import CATALOGUE, Trait, material
from vividowl.core.materials.life import LifeSchool, interface_months
from vividowl.core.materials.nesting import nest, with_margin
from vividowl.core.materials.pads import (
    Gap,
    choose_for_heights,
    choose_pad,
    gap_from_crushed_pad,
    gap_from_imprint,
    pad_force,
)
from vividowl.core.materials.pieces import Piece, Sheet
from vividowl.core.materials.plating import PlatingMethod, plating_time
from vividowl.core.materials.shim import shim_gain, shim_height
from vividowl.core.plan.price import price_of
from vividowl.core.quantities.errors import require_range
from vividowl.core.quantities.units import c_from_f, k_from_f_difference
from vividowl.core.sound.levels import energy_mean, energy_sum
from vividowl.service.errors import Refused

SHEETS_AT_MOST = 50


def _gap(**given: Any) -> dict[str, Any]:  # noqa: ANN401
    found = choose_pad(**given)
    return {**asdict(found), "stack_mm": list(found.stack_mm)}


def _heights(*, gaps_mm: list[float], tolerance_mm: float) -> dict[str, Any]:
    found = choose_for_heights([Gap(g, tolerance_mm, "measured") for g in gaps_mm])
    thickness = found.choice.thickness_mm if found.choice else None
    return {"putty": found.putty, "thickness_mm": thickness, "reason": found.reason}


def _force(*, compression: float, area_mm2: float, clamp_n: float) -> dict[str, Any]:
    found = pad_force(compression, area_mm2, clamp_n=clamp_n)
    return {"force_n": found.force_n, "clamp_percent": 100 * found.share, "lifts": found.lifts, "reason": found.reason}


def _nested(sheet: list[tuple[float, float]], pieces: list[tuple[float, float]], kerf_mm: float, available: int | None
            ) -> tuple[list[Sheet], list[Piece], Any]:  # fmt: skip
    """One size of sheet, as many as there are or as are needed; several sizes are exactly these sheets."""
    if available is not None:
        require_range("available", available, "", 1, SHEETS_AT_MOST, "How many sheets there are.")
    times = (available or min(SHEETS_AT_MOST, len(pieces))) if len(sheet) == 1 else 1
    sheets = [Sheet(f"Sheet {i + 1}", w, h) for i, (w, h) in enumerate(sheet * times)]
    named = [Piece(f"{w:g} × {h:g}", w, h) for w, h in pieces]
    return sheets, named, nest(named, sheets, kerf_mm)


def _cut(*, sheet: list[tuple[float, float]], pieces: list[tuple[float, float]], kerf_mm: float, available: int | None
         ) -> dict[str, Any]:  # fmt: skip
    sheets, _, found = _nested(sheet, pieces, kerf_mm, available)
    used = sorted({p.sheet for p in found.placements})
    area = sum(sheets[i].free_mm2 for i in used)
    kept = sum(r.largest.area_mm2 for r in found.remainders if r.largest)
    return {
        "fits": found.fits, "sheets": len(used), "waste_share": found.waste_share,
        "offcut_share": kept / area if area else 0.0,
        "placements": [
            {"piece": p.piece, "x_mm": p.box.x_mm, "y_mm": p.box.y_mm, "rotated": p.rotated,
             "sheet": used.index(p.sheet), "width_mm": p.box.width_mm, "length_mm": p.box.length_mm}
            for p in found.placements
        ],
    }  # fmt: skip


def _piece(*, width_mm: float, length_mm: float, margin_mm: float, step_mm: float) -> dict[str, Any]:
    return {"piece_mm": tuple(with_margin(width_mm, length_mm, margin_mm, step_mm))}


def _resistance(*, thickness_um: float, conductivity: float, area_mm2: float, power_w: float) -> dict[str, Any]:
    require_range("power_w", power_w, "W", 0.0, 2000.0, "The heat that crosses the layer.")
    found = layer_resistance(thickness_um, conductivity, area_mm2)
    return {"resistance_K_per_W": found, "drop_K": found * power_w}


def _shim(*, width_mm: float, length_mm: float, power_w: float, pad_um: float, pad_conductivity: float, shim_um: float,
          bond: str) -> dict[str, Any]:  # fmt: skip
    height = shim_height(shim_um / 1000.0, gap_from_crushed_pad(pad_um / 1000.0), bond)
    if not height.fits:
        raise Refused(
            "invalid", height.reason, field="shim_um", remedy=f"Up to {1000 * height.limit_mm:.0f} µm goes in."
        )
    found = shim_gain(width_mm, length_mm, power_w, pad_um, pad_conductivity, shim_um, bond=bond)
    return {"pad_K_per_W": found.pad_resistance, "shim_K_per_W": found.shim_resistance, "drop_K": found.drop_k}


def _skin(*, power_w: float, room_c: float, material: str, thickness_mm: float, width_mm: float, length_mm: float,
          pad_mm2: float, placement: str, contact_s: float | None) -> dict[str, Any]:  # fmt: skip
    for name, value in (("width_mm", width_mm), ("length_mm", length_mm)):
        require_range(name, value, "mm", 10.0, 1000.0, "Measure the cover.")
    found = skin_temperature(
        power_w, room_c, material, thickness_mm, width_mm * length_mm, pad_mm2, placement, contact_s
    )
    return {"skin_c": found.skin_c, "limit_c": found.limit_c, "allowed": found.allowed,
            "cover_K_per_W": found.resistance}  # fmt: skip


def _rise(*, reading_c: float, room_c: float, reference_room_c: float) -> dict[str, Any]:
    return {"rise_k": rise_over_room(reading_c, room_c),
            "at_reference_c": at_reference_room(reading_c, room_c, reference_room_c)}  # fmt: skip


def _capacity(*, reading_c: float, room_c: float, power_w: float, limit_c: float, reference_room_c: float
              ) -> dict[str, Any]:  # fmt: skip
    found = thermal_resistance(rise_over_room(reading_c, room_c), power_w)
    return {"resistance_K_per_W": found, "capacity_w": sustained_capacity(limit_c, found, reference_room_c)}


def _fahrenheit(*, reading_f: float | None, difference_f: float | None) -> dict[str, Any]:
    if reading_f is None and difference_f is None:
        raise Refused("invalid", "Neither a reading nor a difference was given.", field="reading_f",
                      remedy="A reading converts with the 32, a difference without it: say which it is.")  # fmt: skip
    out: dict[str, Any] = {}
    if reading_f is not None:
        out["c"] = c_from_f(reading_f)
    if difference_f is not None:
        out["k"] = k_from_f_difference(difference_f)
    return out


def _airflow(*, power_w: float, rise_k: float, air_c: float) -> dict[str, Any]:
    flow = air_flow(power_w, rise_k, air_c)
    return {"flow_L_s": 1000.0 * flow, "flow_cfm": CFM_PER_M3_S * flow}


def _levels(*, levels_db: list[float]) -> dict[str, Any]:
    return {"mean_db": energy_mean(levels_db), "sum_db": energy_sum(levels_db)}


def _plating(*, method: str, target_um: float, current_density_a_dm2: float | None, temperature_c: float | None
             ) -> dict[str, Any]:  # fmt: skip
    return asdict(plating_time(PlatingMethod(method), target_um, current_density_a_dm2, temperature_c))


def _school(*, width_mm: float, length_mm: float, paste: str, bare_die: str) -> dict[str, Any]:
    found = choose_school(width_mm, length_mm, CATALOGUE[paste].has(Trait.STIFF), bare_die == "yes")
    return {"school": found.school.value, "reason": found.reason}


def _drop(*, school: str, volume_ul: float, width_mm: float, length_mm: float) -> dict[str, Any]:
    found = drop_of(School(school), volume_ul, width_mm, length_mm)
    return {"strokes": found.strokes, "stroke_mm": found.stroke_mm, "diameter_mm": found.diameter_mm}


def _imprint(*, how: str, reading_mm: float) -> dict[str, Any]:
    found = gap_from_imprint(reading_mm) if how == "putty_ball" else gap_from_crushed_pad(reading_mm)
    return {"gap_mm": found.gap_mm, "tolerance_mm": found.tolerance_mm}


def _bath(*, bath: str, method: str, minutes: float, current_density_a_dm2: float | None, temperature_c: float | None,
          measured_um: float | None) -> dict[str, Any]:  # fmt: skip
    """An entry of the bath log: what it should have put on, and how much of that it did."""
    require_range("minutes", minutes, "min", 1.0, 6000.0)
    rate = plating_time(PlatingMethod(method), 1.0, current_density_a_dm2, temperature_c).rate_um_h
    expected = rate * minutes / 60.0
    if measured_um is not None:
        require_range("measured_um", measured_um, "µm", 0.0, 500.0, "Weigh the part, or measure a witness strip.")
    return {"bath": bath, "expected_um": expected,
            "of_expected_percent": None if measured_um is None else 100.0 * measured_um / expected}  # fmt: skip


def _life(*, kind: str, school: str, cold_plate: str) -> dict[str, Any]:
    return {"months": interface_months(material(kind), LifeSchool(school), cold_plate)}


def _price(*, parts: float, hands_min: float, hourly_rate: float, tax_percent: float) -> dict[str, Any]:
    found = price_of(100 * parts, hands_min, 100 * hourly_rate, tax_percent)
    return {"parts": found.parts_cents / 100, "work": found.work_cents / 100, "tax": found.tax_cents / 100,
            "total": found.total_cents / 100}  # fmt: skip
