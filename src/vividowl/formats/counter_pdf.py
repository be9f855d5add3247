"""The ticket and the pick-up sheet as a PDF, set by typst with the fonts that ship."""

from __future__ import annotations

import json
import shutil
import tempfile
from collections.abc import Sequence
from dataclasses import dataclass
from pathlib import Path

import segno
import typst

from vividowl.core.quantities.words import Words, say
from vividowl.words import locale, told

HERE = Path(__file__).parent
# Width and height of what a signature is drawn on.
PAD = (300.0, 100.0)


@dataclass(frozen=True)
class ConditionShown:
    """A photo of the condition with what is marked on it."""

    place: Words
    lines: tuple[Words, ...]
    photo: bytes


@dataclass(frozen=True, kw_only=True)
class CounterPaper:
    """What stands on the paper. facts: names and values; address: what its code opens; strokes: of the signature, as
    shares of the pad's width; signed: by whom and when, empty where nobody did."""

    title: Words
    shop: str
    day: Words
    facts: tuple[tuple[Words, Words], ...]
    conditions: tuple[ConditionShown, ...]
    words_title: Words
    words: tuple[str, ...]
    address: str
    strokes: Sequence[Sequence[Sequence[float]]]
    signed: Words


def signature_svg(strokes: Sequence[Sequence[Sequence[float]]]) -> str:
    """A signature as it was drawn (SVG 1.1, path data)."""
    paths = "".join(
        "M" + " L".join(f"{p[0] * PAD[0]:.1f} {p[1] * PAD[0]:.1f}" for p in stroke) for stroke in strokes if stroke
    )
    return (
        f'<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 {PAD[0]:g} {PAD[1]:g}">'
        f'<path d="{paths}" fill="none" stroke="#22252b" stroke-width="2" stroke-linecap="round" '
        'stroke-linejoin="round"/></svg>'
    )


def make_counter_pdf(paper: CounterPaper) -> bytes:
    """Set it. Works without a network."""
    content = {
        "language": locale().language,
        "title": paper.title,
        "shop": paper.shop,
        "day": paper.day,
        "facts": [list(fact) for fact in paper.facts],
        "condition-title": say("ticket-condition"),
        "conditions": [{"place": c.place, "lines": list(c.lines)} for c in paper.conditions],
        "words-title": paper.words_title,
        "words": list(paper.words),
        "scan": say("ticket-scan"),
        "signed": paper.signed,
        "not-signed": say("ticket-not-signed"),
        "foot": say("ticket-foot", shop=paper.shop),
    }
    with tempfile.TemporaryDirectory() as folder:
        root = Path(folder)
        (root / "sheet.json").write_text(json.dumps(told(content)))
        segno.make(paper.address, error="m").save(str(root / "code.svg"), border=0)
        (root / "signature.svg").write_text(signature_svg(paper.strokes))
        for place, condition in enumerate(paper.conditions):
            (root / f"photo-{place}.jpg").write_bytes(condition.photo)
        shutil.copy(HERE / "counter.typ", root / "counter.typ")
        return bytes(
            typst.compile(
                str(root / "counter.typ"),
                root=str(root),
                font_paths=[str(HERE / "fonts")],
                ignore_system_fonts=True,
            )
        )
