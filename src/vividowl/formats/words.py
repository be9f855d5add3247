"""Words of the trade for stored names, and numbers as people read them."""

from __future__ import annotations

from datetime import date

from babel.numbers import format_currency

from vividowl.core.quantities.words import Words, say
from vividowl.core.verdict.verdicts import Verdict

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
    return sign + text


def money(cents: int | None, currency: str) -> Words:
    """A price."""
    return format_currency(cents / 100, currency, locale="en_GB") if cents is not None else say("words-not-set")


def day(value: date | None) -> Words:
    """A date as it is written out."""
    return f"{value.day} {value:%B %Y}" if value is not None else say("words-not-set")
