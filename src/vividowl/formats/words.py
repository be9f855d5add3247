"""Words of the trade for stored names, and numbers as people read them."""

from __future__ import annotations

from datetime import date

from babel.dates import format_date
from babel.numbers import format_currency

from vividowl.core.materials.kinds import CATALOGUE, Kind
from vividowl.core.materials.pieces import spare_pieces
from vividowl.core.quantities.words import Words, say
from vividowl.core.verdict.verdicts import Verdict
from vividowl.words import locale

TARGETS = {t: say(f"target-{t}") for t in ("cpu_die", "gpu_die", "memory", "regulators", "inductors", "cover", "other")}
CLEANED = {c: say(f"cleaned-{c}") for c in ("fins", "fan", "contact", "vents", "old_interface", "pads_checked")}
VERDICTS = {v.value: say(f"verdict-{v.value}") for v in Verdict}


def number(value: float | None, unit: Words, signed: bool = False) -> Words:
    """A figure with as many digits as its unit deserves, a dash when not known."""
    if value is None:
        return say("record-pdf-not-known")
    digits = {"K/W": 2, "MHz": 0, "rpm": 0, say("effects-load"): 0}.get(unit, 1)
    text = f"{abs(value):.{digits}f}"
    sign = "−" if value < 0 and float(text) != 0 else "+" if signed else ""
    return sign + text.replace(".", locale().number_symbols["latn"]["decimal"])


def money(cents: int | None, currency: str) -> Words:
    """A price."""
    return format_currency(cents / 100, currency, locale=locale()) if cents is not None else say("words-not-set")


def day(value: date | None) -> Words:
    """A date as it is written out."""
    return format_date(value, "long", locale=locale()) if value is not None else say("words-not-set")


def item_words(target: str, kind: str, *, product: str, lot: str, amount: float | None, unit: str, known: str) -> Words:
    """One fitted item as a sentence."""
    spare = spare_pieces(kind, target, amount, unit)
    amount = None if amount is None else amount - spare
    return say(
        "record-pdf-item",
        target=TARGETS.get(target, target),
        kind=CATALOGUE[Kind(kind)].words if kind in CATALOGUE else kind,
        product=product or None,
        lot=lot or None,
        amount=amount,
        unit=say("record-pdf-pieces", amount=amount) if unit == "pieces" else unit,
        known=known,
        spare=spare,
    )
