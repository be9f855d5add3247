"""Calculators of materials: doses, drops, gaps, pads, pieces."""

from __future__ import annotations

from typing import Any

from vividowl.core.materials.application import School, choose_school, drop_of
from vividowl.core.materials.dose import check_syringe, dose, left_in_tube
from vividowl.core.materials.kinds import CATALOGUE, Kind, Trait
from vividowl.core.materials.nesting import nest, with_margin
from vividowl.core.materials.pads import (
    MAX_COMPRESSION,
    MIN_COMPRESSION,
    Gap,
    choose_for_heights,
    choose_pad,
    gap_from_crushed_pad,
    gap_from_imprint,
    pad_force,
)
from vividowl.core.materials.pieces import Piece, Sheet
from vividowl.core.quantities.errors import require_range
from vividowl.core.quantities.words import say
from vividowl.service.workings.calculator import Input, Working, count, numbers, sizes
from vividowl.words import sentence, told

SHEETS_AT_MOST = 50


def _gap(**given: Any) -> dict[str, Any]:  # noqa: ANN401
    found = choose_pad(**given)
    return {**told(found), "stack_mm": list(found.stack_mm)}


def _heights(*, gaps_mm: list[float], tolerance_mm: float) -> dict[str, Any]:
    found = choose_for_heights([Gap(g, tolerance_mm, "measured") for g in gaps_mm])
    thickness = found.choice.thickness_mm if found.choice else None
    return {"putty": found.putty, "thickness_mm": thickness, "reason": found.reason}


def _force(*, compression: float, area_mm2: float, clamp_n: float) -> dict[str, Any]:
    found = pad_force(compression, area_mm2, clamp_n=clamp_n)
    return {"force_n": found.force_n, "clamp_percent": 100 * found.share, "lifts": found.lifts, "reason": found.reason}


def nested(
    sheet: list[tuple[float, float]], pieces: list[tuple[float, float]], kerf_mm: float, available: int | None
) -> tuple[list[Sheet], list[Piece], Any]:
    """One size of sheet, as many as there are or as are needed; several sizes are exactly these sheets."""
    if available is not None:
        require_range("available", available, "", (1, SHEETS_AT_MOST), hint=say("material-how-many-sheets-there"))
    times = (available or min(SHEETS_AT_MOST, len(pieces))) if len(sheet) == 1 else 1
    sheets = [
        Sheet(name=sentence(say("material-sheet", i=i + 1)), width_mm=w, length_mm=h)
        for i, (w, h) in enumerate(sheet * times)
    ]
    named = [Piece(f"{w:g} × {h:g}", w, h) for w, h in pieces]
    return sheets, named, nest(named, sheets, kerf_mm)


def _cut(
    *, sheet: list[tuple[float, float]], pieces: list[tuple[float, float]], kerf_mm: float, available: int | None
) -> dict[str, Any]:
    sheets, _, found = nested(sheet, pieces, kerf_mm, available)
    used = sorted({p.sheet for p in found.placements})
    area = sum(sheets[i].free_mm2 for i in used)
    kept = sum(r.largest.area_mm2 for r in found.remainders if r.largest)
    return {
        "fits": found.fits,
        "sheets": len(used),
        "waste_share": found.waste_share,
        "offcut_share": kept / area if area else 0.0,
        "placements": [
            {
                "piece": p.piece,
                "x_mm": p.box.x_mm,
                "y_mm": p.box.y_mm,
                "rotated": p.rotated,
                "sheet": used.index(p.sheet),
                "width_mm": p.box.width_mm,
                "length_mm": p.box.length_mm,
            }
            for p in found.placements
        ],
    }


def _piece(*, width_mm: float, length_mm: float, margin_mm: float, step_mm: float) -> dict[str, Any]:
    return {"piece_mm": tuple(with_margin(width_mm, length_mm, margin_mm, step_mm))}


def _school(*, width_mm: float, length_mm: float, paste: str, bare_die: str) -> dict[str, Any]:
    found = choose_school(width_mm, length_mm, stiff=CATALOGUE[paste].has(Trait.STIFF), bare_die=bare_die == "yes")
    return {"school": found.school.value, "reason": found.reason}


def _drop(*, school: str, volume_ul: float, width_mm: float, length_mm: float) -> dict[str, Any]:
    found = drop_of(School(school), volume_ul, width_mm, length_mm)
    return {"strokes": found.strokes, "stroke_mm": found.stroke_mm, "diameter_mm": found.diameter_mm}


def _imprint(*, how: str, reading_mm: float) -> dict[str, Any]:
    found = gap_from_imprint(reading_mm) if how == "putty_ball" else gap_from_crushed_pad(reading_mm)
    return {"gap_mm": found.gap_mm, "tolerance_mm": found.tolerance_mm}


MATERIAL = (
    Working(
        "dose",
        (
            Input(key="width_mm", example="15", unit="mm", low=1.0, high=200.0),
            Input(key="length_mm", example="13", unit="mm", low=1.0, high=200.0),
            Input(key="film_um", example="30", unit="µm", low=1.0, high=3000.0),
            Input(key="waste", example="0.3", low=0.0, high=3.0),
            Input(key="density_g_ml", example="2.5", unit="g/mL", low=0.7, high=20.0),
            Input(key="faces", read=count, default=1, example="1", low=1.0, high=2.0),
        ),
        lambda **g: told(dose(**g)),
    ),
    Working(
        "syringe",
        (
            Input(key="volume_ml", example="0.2", unit="mL", low=0.01, high=1000.0),
            Input(key="mass_g", example="2.1", unit="g", low=0.01, high=10000.0),
            Input(key="density_g_ml", example="6.4", unit="g/mL", low=0.7, high=20.0),
        ),
        lambda **g: told(check_syringe(**g)),
    ),
    Working(
        "left",
        (
            Input(key="held_g", example="1", unit="g", low=0.0, high=10000.0),
            Input(key="used_g", example="0.12", unit="g", low=0.0, high=10000.0, above=True),
        ),
        lambda **g: told(left_in_tube(**g)),
    ),
    Working(
        "school",
        (
            Input(key="width_mm", example="15", unit="mm", low=1.0, high=200.0),
            Input(key="length_mm", example="13", unit="mm", low=1.0, high=200.0),
            Input(key="paste", read=str, default=Kind.PASTE_SOFT, choices=(Kind.PASTE_SOFT, Kind.PASTE_STIFF)),
            Input(key="bare_die", read=str, default="yes", choices=("yes", "no")),
        ),
        _school,
    ),
    Working(
        "drop",
        (
            Input(key="school", read=str, example="line", choices=tuple(School)),
            Input(key="volume_ul", example="10", unit="µL", low=0.0, high=100000.0, above=True),
            Input(key="width_mm", example="15", unit="mm", low=1.0, high=200.0),
            Input(key="length_mm", example="13", unit="mm", low=1.0, high=200.0),
        ),
        _drop,
    ),
    Working(
        "imprint",
        (
            Input(key="how", read=str, example="putty_ball", choices=("putty_ball", "old_pad")),
            Input(key="reading_mm", example="0.8", unit="mm", low=0.1, high=12.0),
        ),
        _imprint,
    ),
    Working(
        "gap",
        (
            Input(key="gap_mm", example="0.8", unit="mm", low=0.1),
            Input(key="tolerance_mm", example="0.05", unit="mm", worded_limit=True),
            Input(key="min_compression", default=MIN_COMPRESSION, example="0.1", low=0.0, high=0.9),
            Input(key="max_compression", default=MAX_COMPRESSION, example="0.3", worded_limit=True),
        ),
        _gap,
    ),
    Working(
        "heights",
        (
            Input(key="gaps_mm", read=numbers, example="0.8 0.85 1.4", unit="mm", low=0.1),
            Input(key="tolerance_mm", default=0.05, example="0.05", unit="mm", worded_limit=True),
        ),
        _heights,
    ),
    Working(
        "force",
        (
            Input(key="compression", example="0.25", low=-1.0, high=0.95),
            Input(key="area_mm2", example="960", unit="mm²", low=1.0, high=100000.0),
            Input(key="clamp_n", default=150.0, example="150", unit="N", low=1.0, high=2000.0),
        ),
        _force,
    ),
    Working(
        "piece",
        (
            Input(key="width_mm", example="15", unit="mm", low=1.0, high=200.0),
            Input(key="length_mm", example="13", unit="mm", low=1.0, high=200.0),
            Input(key="margin_mm", default=0.2, example="0.2", unit="mm", low=0.0, high=5.0),
            Input(key="step_mm", default=0.5, example="0.5", unit="mm", low=0.1, high=5.0),
        ),
        _piece,
    ),
    Working(
        "cut",
        (
            Input(key="sheet", read=sizes, example="80x80", unit="mm"),
            Input(key="pieces", read=sizes, example="15.5x15.5,20.5x10.5,4*12x10", unit="mm"),
            Input(key="kerf_mm", default=0.2, example="0.2", unit="mm", low=0.0, high=5.0),
            Input(key="available", read=count, default=None),
        ),
        _cut,
    ),
)
