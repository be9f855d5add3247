"""Cells that people read as numbers although they are written as text: thousands signs, units, flags."""

from __future__ import annotations

import re

import polars as pl

from vividowl.core.trace.roles import unit_of

FLAGS = {"yes": 1.0, "no": 0.0, "true": 1.0, "false": 0.0, "on": 1.0, "off": 0.0}
EMPTY_WORDS = ["", "-", "--", "---", "—", "–", "N/A", "n/a", "NA", "NaN", "nan", "null", "none", "None", "?", "#N/A"]
LOOKED_AT = 200
MOST_LIKELY = 0.8
_GROUPED = {
    ".": re.compile(r"^[+-]?\d{1,3}(?:[,'\u00a0\u202f ]\d{3})+(?:\.\d+)?$"),
    ",": re.compile(r"^[+-]?\d{1,3}(?:[.'\u00a0\u202f ]\d{3})+(?:,\d+)?$"),
}
_WITH_UNIT = re.compile(r"^([+-]?[\d.,'\u00a0\u202f]+)\s*(°?[A-Za-z%][A-Za-z/%]{0,5})$")


def _plain(cell: str, decimal: str) -> bool:
    sign = re.escape(decimal)
    return bool(re.match(rf"^[+-]?\d+(?:{sign}\d+)?(?:[eE][+-]?\d+)?$", cell)) or bool(_GROUPED[decimal].match(cell))


def read_cells(column: pl.Series, decimal: str) -> tuple[pl.Series, str] | None:
    """A column of text as numbers and the unit its cells carry, "" for none; None when it is no column of numbers."""
    head = [c for c in (s.strip() for s in column.drop_nulls().head(LOOKED_AT * 5).to_list()) if c not in EMPTY_WORDS]
    head = head[:LOOKED_AT]
    if not head:
        return None
    if {c.lower() for c in head} <= set(FLAGS):
        flags = column.str.strip_chars().str.to_lowercase()
        return flags.replace_strict(FLAGS, default=None, return_dtype=pl.Float64), "Yes/No"
    units = [m.group(2) for c in head if (m := _WITH_UNIT.match(c)) and _plain(m.group(1), decimal)]
    numbers = sum(_plain(c, decimal) for c in head)
    if numbers + len(units) < MOST_LIKELY * len(head):
        return None
    text = column.str.strip_chars()
    if units:
        text = text.str.replace(r"\s*°?[A-Za-z%][A-Za-z/%]{0,5}$", "")
    grouping = r"[,'\s\x{00a0}\x{202f}]" if decimal == "." else r"[.'\s\x{00a0}\x{202f}]"
    text = text.str.replace_all(grouping, "")
    if decimal == ",":
        text = text.str.replace(",", ".", literal=True)
    unit = unit_of("", max(set(units), key=units.count)) if units else ""
    return text.cast(pl.Float64, strict=False), unit
