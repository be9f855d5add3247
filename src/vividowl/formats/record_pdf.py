"""The customer's record as a PDF, set by typst with the fonts that ship."""

from __future__ import annotations

import json
import re
import shutil
import tempfile
from collections.abc import Mapping, Sequence
from dataclasses import dataclass
from datetime import date
from pathlib import Path
from typing import Any, Literal, Protocol

import segno
import typst

from vividowl.core.quantities.words import Words, listed, say
from vividowl.core.reading.reading import clock_words
from vividowl.core.response.ladder import Ladder
from vividowl.core.verdict.comparison import Comparison
from vividowl.core.verdict.parts import Effect
from vividowl.core.verdict.plain import Plain
from vividowl.core.verdict.sensors import SensorVerdict
from vividowl.formats.drawing import chart_svg, ladder_svg, owl_svg
from vividowl.formats.words import day, money, number
from vividowl.words import locale, told

HERE = Path(__file__).parent
# Signs that no font draws: control characters, as JSON writes them; line feed and tab stay.
_CONTROL = re.compile(r"(?<!\\)((?:\\\\)*)\\u00(?:[01][0-9a-f]|7f|[89][0-9a-f])")
# For keeping (ISO 19005-2, every text as Unicode); tags for screen readers are written with it.
PDF_STANDARD: Literal["a-2u"] = "a-2u"
TITLES: dict[str, Words] = {
    "before": say("record-pdf-before"),
    "after": say("record-pdf-after"),
    "change-u": say("record-pdf-change-u"),
    "shown": say("record-pdf-shown"),
    "details": say("record-pdf-details"),
    "measured": say("record-pdf-measured"),
    "u-is": say("record-pdf-u-is"),
    "conditions": say("record-pdf-conditions"),
    "done": say("record-pdf-done"),
    "do": say("record-pdf-do"),
    "bench": say("record-pdf-bench"),
    "attempts": say("record-pdf-attempts"),
    "attempt": say("record-pdf-attempt"),
    "page-of": say("record-pdf-page-of"),
    "owl": say("record-pdf-owl"),
    "ladder": say("record-pdf-ladder"),
    "chart": say("record-pdf-chart"),
}
SHOWN: dict[str, Words] = {
    "better": say("record-pdf-better"),
    "worse": say("record-pdf-worse"),
    "changed": say("record-pdf-changed"),
    "not_shown": say("record-pdf-no-difference"),
    "not_known": say("record-pdf-not-known"),
}


class Line(Protocol):
    """A curve: time_s from load onset and value_c (n,)."""

    @property
    def time_s(self) -> Sequence[float]:
        """From load onset (n,) [s]."""

    @property
    def value_c(self) -> Sequence[float]:
        """Temperature (n,) [degC]."""


@dataclass(frozen=True, kw_only=True)
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
    lines: tuple[Line, Line] | None
    glances: tuple[Mapping[str, Any], Mapping[str, Any]]
    lead: Words
    done: tuple[Words, ...]
    fit_note: str
    bench: tuple[Words, ...]
    attempts: tuple[tuple[Words, ...], ...]
    gates: tuple[tuple[str, str], ...]
    price_cents: int | None
    currency: str
    next_service_on: date | None
    next_service_reason: Words
    note: str
    plain: Plain | None
    after_care: tuple[Words, ...]
    warranty_until: date | None
    photos: tuple[bytes, ...]  # pairs: before, after, before, after
    promise: Words
    link: str = ""
    anew: str = ""


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


def _page_one(sheet: RecordSheet) -> dict[str, Any]:
    """For someone who knows nothing of it."""
    plain = sheet.plain
    return {
        "language": locale().language,
        "title": say("record-pdf-record", number=sheet.number),
        "shop": sheet.shop,
        "subtitle": listed(
            [
                say(
                    "record-pdf-record-2",
                    number=sheet.number,
                    device=sheet.device,
                    customer=sheet.customer,
                    day=day(sheet.day),
                ),
                *([sheet.anew] if sheet.anew else []),
            ],
            "semicolon",
        ),
        "lead": sheet.lead,
        "symptom": say("record-pdf-came-in-with", symptom=sheet.symptom) if sheet.symptom else "",
        "plain": [
            [say("record-pdf-before"), plain.before],
            [say("record-pdf-now"), plain.now],
            [say("record-pdf-means"), listed(plain.means, "space")],
        ]
        if plain
        else [],
        "photos": len(sheet.photos),
        "done": list(sheet.done),
        "after_care": list(sheet.after_care),
        "facts": [
            *(
                [[say("record-pdf-price"), money(sheet.price_cents, sheet.currency), ""]]
                if sheet.price_cents is not None or not sheet.handed_over
                else []
            ),
            *(
                [[say("record-pdf-warranty"), say("record-pdf-until", day=day(sheet.warranty_until)), ""]]
                if sheet.warranty_until
                else []
            ),
            [say("record-pdf-next-service"), day(sheet.next_service_on), sheet.next_service_reason],
        ],
        "note": sheet.note,
        "link": bool(sheet.link),
        "link-words": say("record-pdf-link"),
        "footer": say(
            "record-pdf-footer",
            demo=sheet.demo,
            shop=sheet.shop,
            number=sheet.number,
            draft=not sheet.handed_over,
        ),
    }


def _sensor(sensor: SensorVerdict) -> dict[str, Words]:
    """A temperature beside the deciding die, as a line of the table."""
    change: Words = say("record-pdf-not-known")
    if sensor.difference_k is not None:
        change = say(
            "record-pdf-change",
            change=number(sensor.difference_k, "K", signed=True),
            u95=number(sensor.u95_k, "K"),
        )
    return {
        "words": say("record-pdf-sensor", words=sensor.words),
        "unit": say("record-pdf-limit", limit=sensor.limit_c),
        "before": number(sensor.before_c, "°C"),
        "after": number(sensor.after_c, "°C"),
        "change": change,
        "shown": SHOWN[sensor.shown.value],
    }


def _page_two(sheet: RecordSheet) -> dict[str, Any]:
    """For the curious: what was measured, how, and what went otherwise than planned."""
    comparison = sheet.comparison
    return {
        "headline": say("record-pdf-headline", headline=comparison.headline) if comparison else "",
        "reasons": [*(comparison.reasons if comparison else ()), *sheet.notes],
        "has_comparison": comparison is not None,
        "exhaust": sheet.exhaust,
        "effects": [
            *(_effect(e) for e in comparison.effects if shown_effect(e)),
            *(_sensor(s) for s in comparison.sensors[1:]),
        ]
        if comparison
        else [],
        "conditions": [
            {
                "words": c.words,
                "before": c.before or say("record-pdf-not-noted"),
                "after": c.after or say("record-pdf-not-noted"),
                "bearing": say(f"bearing-{c.bearing.value}"),
            }
            for c in comparison.conditions
            if c.before or c.after
        ]
        if comparison
        else [],
        "fit_note": sheet.fit_note,
        "promise": sheet.promise,
        "bench": list(sheet.bench),
        "attempts": [list(row) for row in sheet.attempts],
        "gates": [say("record-pdf-agreed", reason=reason, words=words) for reason, words in sheet.gates],
        "words": TITLES,
    }


def make_pdf(sheet: RecordSheet) -> bytes:
    """Set the record. Works without a network: fonts ship, nothing is fetched."""
    verdict = sheet.comparison.verdict.value if sheet.comparison else None
    with tempfile.TemporaryDirectory() as folder:
        root = Path(folder)
        text = json.dumps(told({**_page_one(sheet), **_page_two(sheet)}), ensure_ascii=True)
        (root / "record.json").write_text(_CONTROL.sub(r"\1", text))
        (root / "owl.svg").write_text(owl_svg(sheet.glances[0], sheet.glances[1], verdict))
        (root / "ladder.svg").write_text(ladder_svg(*sheet.ladders, sheet.culprit))
        if sheet.lines is not None:
            before, after = ((line.time_s, line.value_c) for line in sheet.lines)
            (root / "chart.svg").write_text(chart_svg(before, after))
        if sheet.link:
            segno.make(sheet.link, error="m").save(str(root / "link.svg"), border=0)
        for place, photo in enumerate(sheet.photos):
            (root / f"photo-{place}.jpg").write_bytes(photo)
        shutil.copy(HERE / "record.typ", root / "record.typ")
        try:
            return _set(root, PDF_STANDARD)
        except typst.TypstError:
            # A sign that no font here has cannot be kept for ever: the record comes all the same, without the promise.
            return _set(root, None)


def _set(root: Path, standard: Literal["a-2u"] | None) -> bytes:
    return bytes(
        typst.compile(
            str(root / "record.typ"),
            root=str(root),
            font_paths=[str(HERE / "fonts")],
            ignore_system_fonts=True,
            pdf_standards=standard,
        )
    )
