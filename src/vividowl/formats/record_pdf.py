"""The customer's record as a PDF, set by typst with the fonts that ship."""

from __future__ import annotations

import json
import shutil
import tempfile
from collections.abc import Mapping, Sequence
from dataclasses import dataclass
from datetime import date
from pathlib import Path
from typing import Any

import typst

from vividowl.core.reading.reading import clock_words
from vividowl.core.response.ladder import Ladder
from vividowl.core.verdict.comparison import Comparison
from vividowl.core.verdict.parts import Effect
from vividowl.formats.drawing import chart_svg, ladder_svg, owl_svg
from vividowl.formats.words import AMOUNT_IS, CLEANED, KINDS, TARGETS, day, money, number

HERE = Path(__file__).parent
SHOWN = {
    "better": "better", "worse": "worse", "changed": "changed", "not_shown": "no difference", "not_known": "not known",
}  # fmt: skip


@dataclass(frozen=True)
class ChartLine:
    """time_s from load onset and value_c (n,); window_s: the settled window."""

    time_s: Sequence[float]
    value_c: Sequence[float]
    window_s: tuple[float, float]


@dataclass(frozen=True)
class RecordSheet:
    """All that stands on the record."""

    shop: str
    demo: bool
    number: int
    customer: str
    device: str
    symptom: str
    day: date
    handed_over: bool
    comparison: Comparison | None
    ladders: tuple[Ladder | None, Ladder | None]
    culprit: str | None
    exhaust: str
    notes: tuple[str, ...]
    lines: tuple[ChartLine, ChartLine] | None
    glances: tuple[Mapping[str, Any], Mapping[str, Any]]
    cleaned: tuple[str, ...]
    items: tuple[tuple[str, str, str, str, float | None, str, str], ...]
    fit_note: str
    bench: tuple[str, ...]
    gates: tuple[tuple[str, str], ...]
    price_cents: int | None
    currency: str
    next_service_on: date | None
    note: str


def item_words(target: str, kind: str, product: str, lot: str, amount: float | None, unit: str, known: str) -> str:
    """One fitted item as a sentence."""
    text = f"{TARGETS.get(target, target).capitalize()}: {KINDS.get(kind, kind)}"
    if product:
        text += f", {product}"
    if lot:
        text += f", lot {lot}"
    if amount is not None:
        text += f", {amount:g} {unit}{AMOUNT_IS.get(known, '')}"
    return text + "."


def shown_effect(effect: Effect) -> bool:
    """Whether anything is known of it."""
    return any(v is not None for v in (effect.before, effect.after, effect.difference))


def _effect(effect: Effect) -> dict[str, str]:
    unit = effect.unit

    def side(value: float | None) -> str:
        if value is None and effect.difference is not None:
            return "–"  # only the change is known
        if value is not None and effect.quantity == "duration":
            return clock_words(value)
        return number(value, unit)

    change = "not known"
    if effect.difference is not None:
        unit_change = "K" if unit == "°C" else unit
        change = f"{number(effect.difference, unit_change, signed=True)} ± {number(effect.u95, unit_change)}"
    return {
        "words": effect.words, "unit": unit, "before": side(effect.before), "after": side(effect.after),
        "change": change, "shown": SHOWN[effect.shown.value],
    }  # fmt: skip


def _content(sheet: RecordSheet) -> dict[str, Any]:
    comparison = sheet.comparison
    reasons = [*(comparison.reasons if comparison else ()), *sheet.notes]
    if sheet.symptom:
        reasons.insert(0, f"It came in with: “{sheet.symptom}”")
    return {
        "title": f"Record {sheet.number}", "shop": sheet.shop,
        "subtitle": f"Record {sheet.number} · {sheet.device} · {sheet.customer} · {day(sheet.day)}",
        "headline": comparison.headline + "." if comparison else "Not measured on both sides yet.",
        "reasons": reasons, "has_comparison": comparison is not None, "exhaust": sheet.exhaust,
        "effects": [_effect(e) for e in comparison.effects if shown_effect(e)]
        if comparison else [],
        "conditions": [
            {"words": c.words, "before": c.before or "not noted", "after": c.after or "not noted",
             "bearing": c.bearing.value}
            for c in comparison.conditions if c.before or c.after
        ] if comparison else [],
        "cleaned": ", ".join(CLEANED.get(c, c) for c in sheet.cleaned), "items": [item_words(*i) for i in sheet.items],
        "fit_note": sheet.fit_note, "bench": list(sheet.bench),
        "gates": [f"{reason} {words}" for reason, words in sheet.gates],
        "price": money(sheet.price_cents, sheet.currency), "next_service": day(sheet.next_service_on),
        "note": sheet.note,
        "footer": ("Invented demo data. " if sheet.demo else "") + f"{sheet.shop}, record {sheet.number}"
        + ("" if sheet.handed_over else ", draft"),
    }  # fmt: skip


def make_pdf(sheet: RecordSheet) -> bytes:
    """Set the record. Works without a network: fonts ship, nothing is fetched."""
    verdict = sheet.comparison.verdict.value if sheet.comparison else None
    with tempfile.TemporaryDirectory() as folder:
        root = Path(folder)
        (root / "record.json").write_text(json.dumps(_content(sheet)))
        (root / "owl.svg").write_text(owl_svg(sheet.glances[0], sheet.glances[1], verdict))
        (root / "ladder.svg").write_text(ladder_svg(*sheet.ladders, sheet.culprit))
        if sheet.lines is not None:
            pair = [(line.time_s, line.value_c, line.window_s) for line in sheet.lines]
            (root / "chart.svg").write_text(chart_svg(pair[0], pair[1]))
        shutil.copy(HERE / "record.typ", root / "record.typ")
        return bytes(
            typst.compile(
                str(root / "record.typ"), root=str(root), font_paths=[str(HERE / "fonts")], ignore_system_fonts=True
            )
        )
