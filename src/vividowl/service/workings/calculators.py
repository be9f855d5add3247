"""The calculators by name, without a job, for the page and for the command line."""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from dataclasses import asdict
from typing import Any

from vividowl.core.bench.steps.procedures import PROCEDURES, Procedure, plating_procedure
from vividowl.core.heat.air import fan_laws
from vividowl.core.heat.skin import COVERS, PLACEMENTS
from vividowl.core.materials.application import School
from vividowl.core.materials.dose import check_syringe, dose, left_in_tube
from vividowl.core.materials.kinds import CATALOGUE, Kind
from vividowl.core.materials.life import LifeSchool
from vividowl.core.materials.pads import (
    MAX_COMPRESSION,
    MIN_COMPRESSION,
)
from vividowl.core.materials.pieces import Box
from vividowl.core.materials.plating import PlatingMethod
from vividowl.core.materials.shim import BONDS
from vividowl.core.plan.inspection import bath_of
from vividowl.core.plan.spots import Inspection
from vividowl.core.quantities.change import duration_change, relative_change
from vividowl.core.quantities.errors import CoreError
from vividowl.core.sound.levels import background_correction
from vividowl.formats.cut_sheet import CutDrawing, CutPiece
from vividowl.service.errors import Refused
from vividowl.service.shelf.cutting import CUT_FORMATS, draw
from vividowl.service.workings.answers import (
    _airflow,
    _bath,
    _capacity,
    _cut,
    _drop,
    _fahrenheit,
    _force,
    _gap,
    _heights,
    _imprint,
    _levels,
    _life,
    _nested,
    _piece,
    _plating,
    _price,
    _resistance,
    _rise,
    _school,
    _shim,
    _skin,
)
from vividowl.service.workings.calculator import (
    KIND_WORDS,
    REQUIRED,
    Input,
    Working,
    clock,
    count,
    number,
    numbers,
    sizes,
)

MATERIAL, HEAT, SOUND, NUMBERS, BENCH = "Material", "Heat", "Sound and air", "Numbers", "Bench"


_WIDTH = Input("width_mm", words="Width", unit="mm", example="15")
_LENGTH = Input("length_mm", words="Length", unit="mm", example="13")
_ROOM = Input("room_c", number, 25.0, "Room", "°C", "24")
_REFERENCE = Input("reference_room_c", number, 25.0, "Reference room", "°C", "25")
_POWER = Input("power_w", words="Heat", unit="W", example="60")
CALIPERS = "1 to 200 mm a side"

WORKINGS: Mapping[str, Working] = {
    w.name: w
    for w in (
        Working("dose", "Dose", "how much paste or alloy a contact takes", MATERIAL,
                (_WIDTH, _LENGTH, Input("film_um", words="Film", unit="µm", example="30"),
                 Input("waste", words="Waste, as a share", example="0.3"),
                 Input("density_g_ml", words="Density", unit="g/mL", example="2.5"),
                 Input("faces", count, 1, "Coated faces", "", "1")),
                lambda **g: asdict(dose(**g)), "V = A · film · faces · (1 + waste),  m = ρV,  d = (6V/π)^⅓",
                f"{CALIPERS}; film 1 to 3000 µm; density 0.7 to 20 g/mL", "Geometry"),
        Working("syringe", "Syringe", "whether mass and volume on a syringe fit its density", MATERIAL,
                (Input("volume_ml", words="Volume on the label", unit="mL", example="0.2"),
                 Input("mass_g", words="Mass on the label", unit="g", example="2.1"),
                 Input("density_g_ml", words="Density", unit="g/mL", example="6.4")),
                lambda **g: asdict(check_syringe(**g)), "m / V against ρ, within a fifth",
                "0.01 to 1000 mL and 0.01 to 10,000 g", "Definition of density; the margin is from memory"),
        Working("left", "What is left", "what a tube holds after a dose", MATERIAL,
                (Input("held_g", words="It holds", unit="g", example="1"),
                 Input("used_g", words="One dose", unit="g", example="0.12")),
                lambda **g: asdict(left_in_tube(**g)), "held − used; whole doses in it", "never below nought",
                "Conservation of mass"),
        Working("school", "How it goes on", "bead, line, cross or film", MATERIAL,
                (_WIDTH, _LENGTH,
                 Input("paste", str, Kind.PASTE_SOFT, "Paste", choices=(Kind.PASTE_SOFT, Kind.PASTE_STIFF)),
                 Input("bare_die", str, "yes", "Bare die", choices=("yes", "no"))),
                _school, "line from 1.6 times as long as wide; film for stiff paste or bare dies; cross under lids",
                CALIPERS, "Common practice, no source"),
        Working("drop", "Size of the drop", "what the nozzle lays for a volume", MATERIAL,
                (Input("school", str, words="Put on as", example="line", choices=tuple(School)),
                 Input("volume_ul", words="Volume", unit="µL", example="10"), _WIDTH, _LENGTH),
                _drop, "bead d = (6V/π)^⅓; strokes of 0.8 of side or diagonal, d = √(4V/(π n L))", CALIPERS,
                "Geometry; the share of the side is common practice, no source"),
        Working("imprint", "Gap from an imprint", "gap from a pressed putty ball or from the old pad", MATERIAL,
                (Input("how", str, words="Read from", example="putty_ball", choices=("putty_ball", "old_pad")),
                 Input("reading_mm", words="Thickness", unit="mm", example="0.8")),
                _imprint, "the imprint is the gap; an old pad comes back by 0 to 10 %", "0.1 to 12 mm",
                "Common practice, no source; tolerances from memory"),
        Working("gap", "Pad for a gap", "pad thickness for a gap over its tolerance", MATERIAL,
                (Input("gap_mm", words="Gap", unit="mm", example="0.8"),
                 Input("tolerance_mm", words="It may be off by", unit="mm", example="0.05"),
                 Input("min_compression", number, MIN_COMPRESSION, "Least compression, as a share", "", "0.1"),
                 Input("max_compression", number, MAX_COMPRESSION, "Largest compression", "", "0.3")),
                _gap, "c = 1 − gap / t at gap ± tolerance; a stack of two at most",
                "gap from 0.1 mm to what a stack fills", "Common practice, no source"),
        Working("heights", "Several heights", "one pad for parts of several heights, or putty", MATERIAL,
                (Input("gaps_mm", numbers, words="Gaps, in mm", example="0.8 0.85 1.4"),
                 Input("tolerance_mm", number, 0.05, "Each may be off by", "mm", "0.05")),
                _heights, "the pad must stay in its window from the widest to the narrowest gap", "1 to 200 gaps",
                "Common practice, no source"),
        Working("force", "Pads against the die", "whether pads lift the cooler", MATERIAL,
                (Input("compression", words="Compression, as a share", example="0.25"),
                 Input("area_mm2", words="Area of all pads", unit="mm²", example="960"),
                 Input("clamp_n", number, 150.0, "Clamping force", "N", "150")),
                _force, "F = A · p₃₀ · c / 0.3, p₃₀ = 100 kPa", "compression up to 0.95",
                "Linear spring, textbook; stiffness and force from memory"),
        Working("piece", "Piece for a die", "a piece that surely covers a die", MATERIAL,
                (_WIDTH, _LENGTH, Input("margin_mm", number, 0.2, "Margin on each side", "mm", "0.2"),
                 Input("step_mm", number, 0.5, "Rounded up to", "mm", "0.5")),
                _piece, "ceil((side + 2 margin) / step) · step", CALIPERS, "Common practice, no source"),
        Working("cut", "Cutting", "pieces nested on sheets, least lost", MATERIAL,
                (Input("sheet", sizes, words="Sheet, or several, in mm", example="80x80"),
                 Input("pieces", sizes, words="Pieces, in mm", example="15.5x15.5,20.5x10.5,4*12x10"),
                 Input("kerf_mm", number, 0.2, "The blade takes", "mm", "0.2"),
                 Input("available", count, None, "Sheets there are", "", "")),
                _cut, "best of several orders and rules of the maximal-rectangles heuristic",
                "1 to 200 pieces, 1 to 50 sheets, each side 0.5 to 2000 mm",
                "J. Jylänki (2010), A thousand ways to pack the bin; rectpack library"),
        Working("resistance", "Layer", "what a layer costs in kelvins", HEAT,
                (Input("thickness_um", words="Thickness", unit="µm", example="30"),
                 Input("conductivity", words="Conductivity", unit="W/(m·K)", example="8.5"),
                 Input("area_mm2", words="Area", unit="mm²", example="195"), _POWER),
                _resistance, "R = t / (kA),  ΔT = P R", "contacts and spreading are left out",
                "Fourier's law for a plane wall"),
        Working("shim", "Copper shim", "a shim instead of a thick pad", HEAT,
                (_WIDTH, _LENGTH, Input("power_w", words="Heat of the chip", unit="W", example="8"),
                 Input("pad_um", words="Pad, as pressed", unit="µm", example="2000"),
                 Input("pad_conductivity", words="Of the pad", unit="W/(m·K)", example="3"),
                 Input("shim_um", words="Shim", unit="µm", example="1000"),
                 Input("bond", str, "paste", "On the heatsink", choices=tuple(BONDS))),
                _shim, "R = t/(kA), with a paste film of 48 µm on the chip and paste or glue on the heatsink",
                "spreading is left out; one too thick for the pressed pad is refused", "Fourier's law, series chain"),
        Working("skin", "Warm cover", "how warm a coupled cover gets", HEAT,
                (Input("power_w", words="Heat into the cover", unit="W", example="4"), _ROOM,
                 Input("material", str, "aluminium", "Cover", choices=tuple(COVERS)),
                 Input("thickness_mm", number, 1.0, "Thickness", "mm", "1"),
                 Input("width_mm", number, 300.0, "Width of the cover", "mm", "300"),
                 Input("length_mm", number, 200.0, "Length of the cover", "mm", "200"),
                 Input("pad_mm2", number, 2400.0, "Area of the pad", "mm²", "2400"),
                 Input("placement", str, "desk", "Used on", choices=tuple(PLACEMENTS)),
                 Input("contact_s", number, None, "Touched for", "s", "")),
                _skin, "T = T_room + P R; R of a round plate as patch and annular fin",
                "natural convection from one side; the maker's own limits come first",
                "Annular fin, textbook; ISO 13732-1 and IEC 62368-1 limits from memory"),
        Working("rise", "Rise over room", "what a reading is in another room", HEAT,
                (Input("reading_c", words="Reading", unit="°C", example="95"), _ROOM, _REFERENCE), _rise,
                "ΔT = T − T_room,  T_ref = T + (T_ref room − T_room)",
                "holds while power and fan speed do not follow the temperature", "Definition"),
        Working("capacity", "Watts it can hold", "sustained watts at the limit", HEAT,
                (Input("reading_c", words="Die", unit="°C", example="95"), _ROOM,
                 Input("power_w", words="Heat", unit="W", example="48"),
                 Input("limit_c", words="Limit", unit="°C", example="95"), _REFERENCE),
                _capacity, "R = (T − T_room)/P,  P_sus = (T_limit − T_ref room)/R", "the reading must have settled",
                "Definition; JESD51-1 for the resistance"),
        Working("airflow", "Air flow", "air that carries a power away", SOUND,
                (Input("power_w", words="Heat", unit="W", example="100"),
                 Input("rise_k", words="Exhaust over room", unit="K", example="20"),
                 Input("air_c", number, 25.0, "Air", "°C", "25")), _airflow, "Q = P / (ρ c_p ΔT)",
                "air −40 to 150 °C", "First law for a steady stream"),
        Working("levels", "Levels", "mean and sum of sound levels by energy", SOUND,
                (Input("levels_db", numbers, words="Levels, in dB", example="60 50"),), _levels,
                "L = 10 lg Σ 10^(L/10), and the same over n", "0 to 200 dB", "Energy addition of levels, ISO 3744"),
        Working("background", "Background", "a level without the room's own noise", SOUND,
                (Input("level_db", words="Level", unit="dB", example="48"),
                 Input("background_db", words="Background", unit="dB", example="42")),
                lambda **g: asdict(background_correction(**g)), "K₁ = −10 lg(1 − 10^(−0.1 ΔL))",
                "below 6 dB over the background it is only an upper bound", "ISO 3744"),
        Working("fan", "Fan laws", "what a change of level says of fan, flow and exhaust", SOUND,
                (Input("level_change_db", words="Level after less before", unit="dB", example="-5.6"),),
                lambda **g: asdict(fan_laws(**g)), "N₂/N₁ = 10^(ΔL/50); flow as N; exhaust rise as 1/flow",
                "−60 to 60 dB", "Fan affinity laws; the exponent is common practice, no source"),
        Working("change", "Change", "change of a score, with its percentage", NUMBERS,
                (Input("before", words="Before", example="10748"), Input("after", words="After", example="11116"),
                 Input("unit", str, "", "Unit")),
                lambda **g: asdict(relative_change(**g)), "(after − before) / before",
                "never of degrees Celsius or Fahrenheit: their zero means nothing", "Arithmetic"),
        Working("duration", "Duration", "time saved and throughput gained", NUMBERS,
                (Input("before", clock, words="Before", unit="m:ss", example="19:21"),
                 Input("after", clock, words="After", unit="m:ss", example="17:22")),
                lambda before, after: asdict(duration_change(before, after)),
                "less time = 1 − after/before; more throughput = before/after − 1", "above nought", "Arithmetic"),
        Working("fahrenheit", "Fahrenheit", "a reading with the 32, a difference without it", NUMBERS,
                (Input("reading_f", number, None, "A reading", "°F", "140"),
                 Input("difference_f", number, None, "A difference", "°F", "26")),
                _fahrenheit, "(F − 32)/1.8 for a reading, F/1.8 for a difference", "from absolute zero on",
                "Definition of the degree Fahrenheit"),
        Working("plating", "Plating", "how long a layer of nickel takes", BENCH,
                (Input("method", str, words="Method", example="electroless", choices=tuple(PlatingMethod)),
                 Input("target_um", words="Thickness", unit="µm", example="20"),
                 Input("current_density_a_dm2", number, None, "Current density", "A/dm²", ""),
                 Input("temperature_c", number, None, "Bath", "°C", "70")),
                _plating, "v = i M / (z F ρ), or 2.5 µm/h without current",
                "advice: buy a plated part, or send it to a plating shop; acids and nickel salts are hazardous",
                "Faraday's law with CODATA constants; the electroless rate is common practice, no source"),
        Working("bath", "Bath log", "what a bath put on, for the record; put it into a job", BENCH,
                (Input("bath", str, words="Bath, its name and age", example="Nickel A, third part"),
                 Input("method", str, words="Method", example="electroless", choices=tuple(PlatingMethod)),
                 Input("minutes", words="Time in the bath", unit="min", example="240"),
                 Input("current_density_a_dm2", number, None, "Current density", "A/dm²", ""),
                 Input("temperature_c", number, None, "Bath", "°C", "70"),
                 Input("measured_um", number, None, "Thickness found", "µm", "")),
                _bath, "d = v t, with the rate of the plating above", "a bath that falls below nine tenths is tired",
                "Faraday's law, or common practice, no source; the limit is from memory"),
        Working("life", "Life", "months until an interface is due for a look", BENCH,
                (Input("kind", str, words="Interface", example=Kind.PASTE_STIFF, choices=tuple(CATALOGUE)),
                 Input("school", str, "usual", "School", choices=tuple(LifeSchool)),
                 Input("cold_plate", str, "unknown", "Cold plate", choices=("unknown", "copper", "nickel"))),
                _life, "by kind, school and plate; dust and drift may come sooner", "known kinds only",
                "Common practice, no source"),
        Working("price", "Price", "parts, hands and tax", BENCH,
                (Input("parts", words="Parts", example="4.5"),
                 Input("hands_min", words="Hands", unit="min", example="65"),
                 Input("hourly_rate", words="Rate of an hour", example="60"),
                 Input("tax_percent", number, 0.0, "Tax", "%", "19")),
                _price, "parts + hands · rate, then tax on the sum", "tax 0 to 40 %", "Arithmetic"),
    )
}  # fmt: skip


def work(name: str, given: Mapping[str, str]) -> dict[str, Any]:
    """Work one out from its inputs as text. Refused says what, what is allowed, and what to do."""
    working, values = _values(name, given)
    try:
        return working.compute(**values)
    except CoreError as error:
        raise Refused("invalid", str(error), field=error.field, remedy=error.remedy) from error


def _values(name: str, given: Mapping[str, str]) -> tuple[Working, dict[str, Any]]:
    working = WORKINGS.get(name)
    if working is None:
        raise Refused("invalid", f"There is no working “{name}”.", field="name",
                      remedy=f"There are: {', '.join(WORKINGS)}.")  # fmt: skip
    keys = [i.key for i in working.inputs]
    for key in given:
        if key not in keys:
            raise Refused("invalid", f"{name} has no “{key}”.", field=key, remedy=f"Its keys are: {', '.join(keys)}.")
    return working, {one.key: _value(name, one, given.get(one.key, "").strip()) for one in working.inputs}


def _value(name: str, one: Input, text: str) -> Any:  # noqa: ANN401
    if not text:
        if one.default is REQUIRED:
            raise Refused("invalid", f"{name} needs {one.key}.", field=one.key,
                          remedy=f"Give {one.key}= and {KIND_WORDS[one.read]}.")  # fmt: skip
        return one.default
    if one.choices and text not in one.choices:
        raise Refused("invalid", f"“{text}” is not known here as {one.key}.", field=one.key,
                      remedy=f"Allowed: {', '.join(one.choices)}.")  # fmt: skip
    try:
        return one.read(text)
    except ValueError as error:
        raise Refused("invalid", f"{one.key} is “{text}”, which is not {KIND_WORDS[one.read]}.", field=one.key,
                      remedy="Decimal point or comma, without the unit.") from error  # fmt: skip


def step_lists() -> list[Procedure]:
    """Step lists of phase change, alloy, delidding and plating."""
    bath = bath_of(Inspection(plating=True))
    return [*PROCEDURES.values(), *([plating_procedure(bath)] if bath is not None else [])]


def cut_drawings(given: Mapping[str, str]) -> Sequence[tuple[CutDrawing, Box | None]]:
    """The sheets of a cut worked out without a job, each with the largest rectangle that stays."""
    _, values = _values("cut", given)
    try:
        sheets, pieces, found = _nested(**values)
    except CoreError as error:
        raise Refused("invalid", str(error), field=error.field, remedy=error.remedy) from error
    out = []
    for rest in found.remainders:
        sheet = sheets[rest.sheet]
        cut = tuple(
            CutPiece(pieces[p.piece].name, p.box.rect) for p in found.placements if p.sheet == rest.sheet
        )  # fmt: skip
        out.append((CutDrawing(sheet.name, sheet.width_mm, sheet.length_mm, (), cut), rest.largest))
    return out


def cut_export(given: Mapping[str, str], form: str) -> bytes:
    """Such a cut as SVG, DXF or PDF at 1:1."""
    if form not in CUT_FORMATS:
        raise Refused("invalid", f"“{form}” is no format of a cut sheet.", field="form",
                      remedy=f"Allowed: {', '.join(CUT_FORMATS)}.")  # fmt: skip
    return draw("Cut sheet", [drawing for drawing, _ in cut_drawings(given)], form)
