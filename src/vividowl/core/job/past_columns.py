"""Which column of an old list of jobs is what: by its heading, then by what stands in it, always open to correction."""

from __future__ import annotations

import re
from collections.abc import Callable, Sequence
from datetime import date, datetime
from enum import StrEnum
from typing import TypeAlias

# What stands in a cell: text, a number, a day or a moment, nothing.
Cell: TypeAlias = "str | float | date | datetime | None"

# The first day of the numbers that a spreadsheet counts its days by, [1] from 30 December 1899: the 1900 date system,
# ECMA-376 part 1, 18.17.4.1, from memory. Between the two lie the years 1980 to 2064.
SERIAL_LEAST, SERIAL_MOST = 29_221.0, 60_267.0
# Share of the filled cells of a column that must look like a thing before it is taken for it [1]. Our choice.
CONTENT_SHARE_LEAST = 0.8
# Cells of a column that are looked at for it [1]. Our choice.
SAMPLE_MOST = 200


class PastRole(StrEnum):
    """What a column of an old list holds."""

    NUMBER = "number"
    DAY = "day"
    CUSTOMER = "customer"
    CONTACT = "contact"
    KIND = "kind"
    MAKER = "maker"
    MODEL = "model"
    SERIAL = "serial"
    SYMPTOM = "symptom"
    WORK = "work"
    MATERIAL = "material"
    PRICE = "price"
    BEFORE_C = "before_c"
    AFTER_C = "after_c"
    NOISE_BEFORE_DB = "noise_before_db"
    NOISE_AFTER_DB = "noise_after_db"
    NOTE = "note"


_BEFORE, _AFTER = r"(before|vorher|vor|antes|in)", r"(after|nachher|nach|despues|después|out)"
_HEAT = r"(temp\w*|°? ?c|degrees|grad|grados)"
_NOISE = r"(noise|sound|loud\w*|db ?a?|larm|lärm|lautst\w+|pegel|ruido)"
# Headings as people write them in English, German and Spanish; common practice, no source. The more particular first.
_HEADINGS: tuple[tuple[PastRole, str], ...] = (
    (PastRole.NOISE_BEFORE_DB, rf"\b{_NOISE}\b.*\b{_BEFORE}\b|\b{_BEFORE}\b.*\b{_NOISE}\b"),
    (PastRole.NOISE_AFTER_DB, rf"\b{_NOISE}\b.*\b{_AFTER}\b|\b{_AFTER}\b.*\b{_NOISE}\b"),
    (PastRole.BEFORE_C, rf"\b{_HEAT}\b.*\b{_BEFORE}\b|\b{_BEFORE}\b.*\b{_HEAT}(?!\w)|^(before|vorher|antes)$"),
    (PastRole.AFTER_C, rf"\b{_HEAT}\b.*\b{_AFTER}\b|\b{_AFTER}\b.*\b{_HEAT}(?!\w)|^(after|nachher|despu[eé]s)$"),
    (PastRole.SERIAL, r"\bserial|\bs ?n\b|serien|\b(de )?serie\b|\bimei\b"),
    (PastRole.CONTACT, r"phone|\btel\b|\bmobile\b|mail|contact|telefon|handy|kontakt|tel[eé]fono|correo|m[oó]vil"),
    (PastRole.CUSTOMER, r"customer|client|owner|kund|auftraggeber|besitzer|cliente|due[nñ]o|^name$|^nombre$"),
    (PastRole.KIND, r"\b(kind|type|category|art|typ|ger[aä]teart|ger[aä]tetyp|tipo|clase)\b"),
    (PastRole.MAKER, r"maker|brand|manufacturer|\bmake\b|hersteller|marke|marca|fabricante"),
    (PastRole.MATERIAL, r"paste|\bpads?\b|material|compound|w[aä]rmeleit|pasta|t[eé]rmic"),
    (PastRole.SYMPTOM, r"symptom|problem|complaint|fault|issue|fehler|beschwerde|s[ií]ntoma|aver[ií]a"),
    (PastRole.WORK, r"\bwork\b|\bdone\b|repair\b|service\b|action|arbeit|gemacht|trabajo|reparaci[oó]n|hecho"),
    (PastRole.PRICE, r"price|total|amount|paid|\bcost\b|preis|betrag|bezahlt|precio|importe|pagado"),
    (PastRole.DAY, r"\bdate\b|\bday\b|datum|\btag\b|fecha|\bd[ií]a\b|completed|finished|erledigt|received"),
    (PastRole.MODEL, r"model|device|modell|ger[aä]t|modelo|equipo|dispositivo|\bunit\b|machine"),
    (PastRole.NOTE, r"note|comment|remark|notiz|bemerkung|anmerkung|\bnota|observac"),
    (PastRole.NUMBER, r"\b(job|ticket|order|no|nr|number|id|auftrag|n[uú]mero|pedido|orden)\b|^#$|^№$"),
)
# Words for kinds of device in the same languages; common practice, no source.
KIND_WORDS: tuple[tuple[str, str], ...] = (
    ("laptop", r"\b(laptop|notebook|ultrabook|port[aá]til)\b"),
    ("handheld", r"\b(handheld|hand ?held|de mano|handger[aä]t)\b"),
    ("console", r"\b(console|konsole|consola)\b"),
)
# Columns that a row names before it is a row of headings [1]. Our choice.
_NAMES_LEAST = 2
_FIGURE = re.compile(r"\d")
_CONTACT = re.compile(r"^\S+@\S+\.\S+$|^\+?[\d ()/.-]{6,}$")
_DAY = re.compile(r"^(\d{4}-\d{1,2}-\d{1,2}|\d{1,2}[./-]\d{1,2}[./-]\d{2,4})\b")
_MONEY = re.compile(r"^([€$£¥]|[A-Z]{3}\b)\s?-?\d[\d.,]*$|^-?\d[\d.,]*\s?([€$£¥]|[A-Z]{3}\b)$")


def _plain(text: str) -> str:
    return " ".join(re.sub(r"[_:;.,/()\[\]-]+", " ", text.casefold()).split())


def role_of_heading(text: str) -> PastRole | None:
    """What a column is by its heading.

    text: the heading as it stands in the list [text]
    returns: PastRole, None where the heading says nothing
    source: common practice, no source
    """
    plain = _plain(text)
    return next((role for role, pattern in _HEADINGS if plain and re.search(pattern, plain)), None)


def kind_in(text: str) -> str | None:
    """The kind of device that a text names.

    text: of a cell [text]
    returns: laptop, handheld or console; None where it names none of them
    source: common practice, no source
    """
    return next((kind for kind, pattern in KIND_WORDS if re.search(pattern, text.casefold())), None)


def _is_day(cell: Cell) -> bool:
    return isinstance(cell, date) or (isinstance(cell, str) and _DAY.match(cell) is not None)


def _is(pattern: re.Pattern[str]) -> Callable[[Cell], bool]:
    return lambda cell: isinstance(cell, str) and pattern.search(cell.strip()) is not None


_CONTENTS: tuple[tuple[PastRole, Callable[[Cell], bool]], ...] = (
    (PastRole.DAY, _is_day),
    (PastRole.KIND, lambda cell: isinstance(cell, str) and kind_in(cell) is not None),
    (PastRole.CONTACT, lambda cell: _is(_CONTACT)(cell) and not _is_day(cell)),
    (PastRole.PRICE, _is(_MONEY)),
)


def guess_roles(headings: Sequence[str], rows: Sequence[Sequence[Cell]]) -> tuple[PastRole | None, ...]:
    """What each column is. One role stands once: the first column that fits has it.

    headings: of the columns (c,), empty where there is none
    rows: cells of the list (n, c); only its first ones are looked at
    returns: a role for each column, None where nothing tells it (c,)
    source: common practice, no source
    """
    found: list[PastRole | None] = []
    for heading in headings:
        role = role_of_heading(heading)
        found.append(role if role not in found else None)
    for role, fits in _CONTENTS:
        if role in found:
            continue
        for at, known in enumerate(found):
            cells = [row[at] for row in rows[:SAMPLE_MOST] if row[at] not in (None, "")]
            if known is None and cells and sum(map(fits, cells)) >= CONTENT_SHARE_LEAST * len(cells):
                found[at] = role
                break
    return tuple(found)


def heading_line(rows: Sequence[Sequence[Cell]]) -> int | None:
    """Which of the first rows holds the headings: the one that names most, and of two that touch the lower.

    rows: first rows of the list (n, c)
    returns: its place from 0 [1], None where none looks like headings
    source: common practice, no source
    """
    best, most = None, _NAMES_LEAST - 1
    for at, row in enumerate(rows):
        texts = [cell for cell in row if isinstance(cell, str) and cell.strip()]
        if len(texts) < len([cell for cell in row if cell not in (None, "")]):
            continue  # a number or a day is no heading
        named = len({role for role in map(role_of_heading, texts) if role is not None})
        # Of two rows of headings the lower is the more particular: groups stand above their columns.
        if named > most or (best == at - 1 and named == most and row != rows[best]):
            best, most = at, named
    return best if best is not None else _unknown_headings(rows)


def _unknown_headings(rows: Sequence[Sequence[Cell]]) -> int | None:
    """The first row, where it is of words alone and a column below one of them is of figures."""
    head, *below = rows or [()]
    names = [cell for cell in head if isinstance(cell, str) and cell and not _FIGURE.search(cell)]
    if len(head) < _NAMES_LEAST or len(names) < len(head):
        return None
    figures = (all(_FIGURE.search(str(row[at] or "")) for row in below) for at in range(len(head)))
    return 0 if below and any(figures) else None
