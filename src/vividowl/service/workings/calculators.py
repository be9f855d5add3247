"""The calculators by name, without a job, for the page and for the command line."""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from typing import Any

from vividowl.core.bench.steps.procedures import PROCEDURES, Procedure, plating_procedure
from vividowl.core.materials.pieces import Box
from vividowl.core.plan.inspection import bath_of
from vividowl.core.plan.spots import Inspection
from vividowl.core.quantities.errors import CoreError
from vividowl.core.quantities.words import listed, say
from vividowl.formats.cut_sheet import CutDrawing, CutPiece
from vividowl.service.errors import Refused
from vividowl.service.shelf.cutting import CUT_FORMATS, draw
from vividowl.service.workings.bench import BENCH
from vividowl.service.workings.calculator import REQUIRED, Input, UnclearComma, Working, how_it_is_read
from vividowl.service.workings.heat import HEAT
from vividowl.service.workings.material import MATERIAL, nested
from vividowl.service.workings.numbers import NUMBERS
from vividowl.service.workings.sound import SOUND
from vividowl.words import sentence

GROUPS: Mapping[str, tuple[Working, ...]] = {
    "material": MATERIAL,
    "heat": HEAT,
    "sound": SOUND,
    "numbers": NUMBERS,
    "bench": BENCH,
}
WORKINGS: Mapping[str, Working] = {w.name: w for group in GROUPS.values() for w in group}


def work(name: str, given: Mapping[str, str]) -> dict[str, Any]:
    """Work one out from its inputs as text. Refused says what, what is allowed, and what to do."""
    working, values = _values(name, given)
    try:
        return working.compute(**values)
    except CoreError as error:
        raise Refused("invalid", error.message, field=error.field, remedy=error.remedy) from error


def _values(name: str, given: Mapping[str, str]) -> tuple[Working, dict[str, Any]]:
    working = WORKINGS.get(name)
    if working is None:
        raise Refused("invalid", say("workings-no-such", name=name, names=listed(WORKINGS)), field="name")
    keys = [i.key for i in working.inputs]
    for key in given:
        if key not in keys:
            raise Refused("invalid", say("workings-no-key", name=name, key=key, keys=listed(keys)), field=key)
    return working, {one.key: _value(name, one, given.get(one.key, "").strip()) for one in working.inputs}


def _value(name: str, one: Input, text: str) -> Any:  # noqa: ANN401
    if not text:
        if one.default is REQUIRED:
            raise Refused(
                "invalid",
                say("workings-needs", name=name, key=one.key, as_what=how_it_is_read(one.read)),
                field=one.key,
            )
        return one.default
    if one.choices and text not in one.choices:
        raise Refused(
            "invalid", say("workings-not-known-as", text=text, key=one.key, names=listed(one.choices)), field=one.key
        )
    try:
        return one.read(text)
    except ValueError as error:
        raise Refused(
            "invalid",
            say("workings-not-read", key=one.key, text=text, as_what=how_it_is_read(one.read)),
            field=one.key,
            remedy=say("workings-comma") if isinstance(error, UnclearComma) else say("workings-decimal"),
        ) from error


def step_lists() -> list[Procedure]:
    """Step lists of phase change, alloy, delidding and plating."""
    bath = bath_of(Inspection(plating=True))
    return [*PROCEDURES.values(), *([plating_procedure(bath)] if bath is not None else [])]


def cut_drawings(given: Mapping[str, str]) -> Sequence[tuple[CutDrawing, Box | None]]:
    """The sheets of a cut worked out without a job, each with the largest rectangle that stays."""
    _, values = _values("cut", given)
    try:
        sheets, pieces, found = nested(**values)
    except CoreError as error:
        raise Refused("invalid", error.message, field=error.field, remedy=error.remedy) from error
    out = []
    for rest in found.remainders:
        sheet = sheets[rest.sheet]
        cut = tuple(CutPiece(pieces[p.piece].name, p.box.rect) for p in found.placements if p.sheet == rest.sheet)
        out.append(
            (
                CutDrawing(name=sheet.name, width_mm=sheet.width_mm, length_mm=sheet.length_mm, taken=(), pieces=cut),
                rest.largest,
            )
        )
    return out


def cut_export(given: Mapping[str, str], form: str) -> bytes:
    """Such a cut as SVG, DXF or PDF at 1:1."""
    if form not in CUT_FORMATS:
        raise Refused("invalid", say("workings-no-format", form=form, names=listed(CUT_FORMATS)), field="form")
    return draw(sentence(say("workings-cut-sheet")), [drawing for drawing, _ in cut_drawings(given)], form)
