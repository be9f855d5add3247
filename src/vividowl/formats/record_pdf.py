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

from vividowl.core.materials.kinds import CATALOGUE, Kind
from vividowl.core.quantities.words import Words, listed, say
from vividowl.core.reading.reading import clock_words
from vividowl.core.response.ladder import Ladder
from vividowl.core.verdict.comparison import Comparison
from vividowl.core.verdict.parts import Effect
from vividowl.formats.drawing import chart_svg, ladder_svg, owl_svg
from vividowl.formats.words import CLEANED, TARGETS, day, money, number
from vividowl.words import told

HERE = Path(__file__).parent
SHOWN: dict[str, Words] = {
    "better": say("record-pdf-better"),
    "worse": say("record-pdf-worse"),
    "changed": say("record-pdf-changed"),
    "not_shown": say("record-pdf-no-difference"),
    "not_known": say("record-pdf-not-known"),
}


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
    exhaust: Words
    notes: tuple[Words, ...]
    lines: tuple[ChartLine, ChartLine] | None
    glances: tuple[Mapping[str, Any], Mapping[str, Any]]
    cleaned: tuple[str, ...]
    items: tuple[tuple[str, str, str, str, float | None, str, str], ...]
    fit_note: str
    bench: tuple[Words, ...]
    attempts: tuple[tuple[Words, ...], ...]
    gates: tuple[tuple[str, str], ...]
    price_cents: int | None
    currency: str
    next_service_on: date | None
    note: str


def item_words(target: str, kind: str, product: str, lot: str, amount: float | None, unit: str, known: str) -> Words:
    """One fitted item as a sentence."""
    return say(
        "record-pdf-item",
        target=TARGETS.get(target, target),
        kind=CATALOGUE[Kind(kind)].words if kind in CATALOGUE else kind,
        product=product or None,
        lot=lot or None,
        amount=amount,
        unit=unit,
        known=known,
    )


def shown_effect(effect: Effect) -> bool:
    """Whether anything is known of it."""
    return any(v is not None for v in (effect.before, effect.after, effect.difference))


def _effect(effect: Effect) -> dict[str, Words]:
    unit = effect.unit

    def side(value: float | None) -> Words:
        if value is None and effect.difference is not None:
            return "–"  # only the change is known
        if value is not None and effect.quantity == "duration":
            return clock_words(value)
        return number(value, unit)

    change: Words = say("record-pdf-not-known")
    if effect.difference is not None:
        unit_change = "K" if unit == "°C" else unit
        change = say(
            "record-pdf-change",
            change=number(effect.difference, unit_change, signed=True),
            u95=number(effect.u95, unit_change),
        )
    return {
        "words": effect.words,
        "unit": unit,
        "before": side(effect.before),
        "after": side(effect.after),
        "change": change,
        "shown": SHOWN[effect.shown.value],
    }


def _content(sheet: RecordSheet) -> dict[str, Any]:
    comparison = sheet.comparison
    reasons: list[Words] = [*(comparison.reasons if comparison else ()), *sheet.notes]
    if sheet.symptom:
        reasons.insert(0, say("record-pdf-came-in-with", symptom=sheet.symptom))
    return {
        "title": say("record-pdf-record", number=sheet.number),
        "shop": sheet.shop,
        "subtitle": say(
            "record-pdf-record-2", number=sheet.number, device=sheet.device, customer=sheet.customer, day=day(sheet.day)
        ),
        "headline": say("record-pdf-headline", headline=comparison.headline)
        if comparison
        else say("record-pdf-not-measured-on-both-sides"),
        "reasons": reasons,
        "has_comparison": comparison is not None,
        "exhaust": sheet.exhaust,
        "effects": [_effect(e) for e in comparison.effects if shown_effect(e)] if comparison else [],
        "conditions": [
            {
                "words": c.words,
                "before": c.before or say("record-pdf-not-noted"),
                "after": c.after or say("record-pdf-not-noted"),
                "bearing": c.bearing.value,
            }
            for c in comparison.conditions
            if c.before or c.after
        ]
        if comparison
        else [],
        "cleaned": listed(CLEANED.get(c, c) for c in sheet.cleaned),
        "items": [item_words(*i) for i in sheet.items],
        "fit_note": sheet.fit_note,
        "bench": list(sheet.bench),
        "attempts": [list(row) for row in sheet.attempts],
        "gates": [f"{reason} {words}" for reason, words in sheet.gates],
        "price": money(sheet.price_cents, sheet.currency),
        "next_service": day(sheet.next_service_on),
        "note": sheet.note,
        "footer": say(
            "record-pdf-footer",
            demo=sheet.demo,
            shop=sheet.shop,
            number=sheet.number,
            draft=not sheet.handed_over,
        ),
    }


def make_pdf(sheet: RecordSheet) -> bytes:
    """Set the record. Works without a network: fonts ship, nothing is fetched."""
    verdict = sheet.comparison.verdict.value if sheet.comparison else None
    with tempfile.TemporaryDirectory() as folder:
        root = Path(folder)
        (root / "record.json").write_text(json.dumps(told(_content(sheet))))
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
