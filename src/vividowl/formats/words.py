"""Words of the trade for stored names, and numbers as people read them."""

from __future__ import annotations

from datetime import date

from babel.numbers import format_currency

from vividowl.core.materials.kinds import CATALOGUE

TARGETS = {
    "cpu_die": "processor die", "gpu_die": "graphics die", "memory": "memory", "regulators": "regulators",
    "inductors": "inductors", "cover": "bottom cover", "other": "other",
}  # fmt: skip
KINDS = {kind: found.words for kind, found in CATALOGUE.items()}
CLEANED = {
    "fins": "fins", "fan": "fan", "contact": "contact surfaces", "vents": "vents and filters", "old_interface":
    "old interface removed", "pads_checked": "pads checked",
}  # fmt: skip
VERDICTS = {
    "improved": "Improved", "worse": "Worse", "improved_if_same": "Improved, if all else was the same",
    "worse_if_same": "Worse, if all else was the same", "no_difference_shown": "No difference shown",
    "cannot_be_compared": "Cannot be compared",
}  # fmt: skip


def number(value: float | None, unit: str, signed: bool = False) -> str:
    """A figure with as many digits as its unit deserves, a dash when not known."""
    if value is None:
        return "not known"
    digits = {"K/W": 2, "MHz": 0, "rpm": 0, "% of load": 0}.get(unit, 1)
    text = f"{abs(value):.{digits}f}"
    sign = "−" if value < 0 and float(text) != 0 else "+" if signed else ""
    return sign + text


def money(cents: int | None, currency: str) -> str:
    """A price."""
    return format_currency(cents / 100, currency, locale="en_GB") if cents is not None else "not set"


def day(value: date | None) -> str:
    """A date as it is written out."""
    return f"{value.day} {value:%B %Y}" if value is not None else "not set"


# How an amount is known: what nobody weighed does not read like what somebody did.
AMOUNT_IS = {"planned": " planned", "weighed": " weighed"}
