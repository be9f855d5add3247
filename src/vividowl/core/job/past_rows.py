"""A row of an old list of jobs as a job: days, prices and temperatures as people write them, refused where unclear."""

from __future__ import annotations

import hashlib
import math
import re
from collections.abc import Iterable, Sequence
from dataclasses import dataclass, field
from datetime import date, datetime, timedelta
from enum import StrEnum
from typing import Any

from vividowl.core.job.past_columns import SERIAL_LEAST, SERIAL_MOST, Cell, PastRole, kind_in
from vividowl.core.quantities.words import Words, say

# The day that a spreadsheet counts from: 1900 date system, ECMA-376 part 1, 18.17.4.1, from memory.
_DAY_NOUGHT = date(1899, 12, 30)
# No workshop list goes further back [a]. Our choice.
YEAR_LEAST = 1980
# A year of two digits is of this century [a]. Our choice: a list with days to come is refused anyway.
_CENTURY = 2000
# A die that was read off a device [degC], and a noise level [dB]: what lies outside is a slip of the pen. Our choice.
TEMPERATURES_C, LEVELS_DB = (0.0, 130.0), (10.0, 100.0)
# The highest price [1/100 of the currency]. Our choice.
PRICE_MOST_CENTS = 10_000_000
# Letters that a text may have [1]: what the fields of a job hold.
_LETTERS_MOST = {
    PastRole.NUMBER: 40,
    PastRole.CUSTOMER: 120,
    PastRole.CONTACT: 200,
    PastRole.KIND: 80,
    PastRole.MAKER: 80,
    PastRole.MODEL: 120,
    PastRole.SERIAL: 80,
    PastRole.SYMPTOM: 2000,
    PastRole.WORK: 1200,
    PastRole.MATERIAL: 200,
    PastRole.NOTE: 500,
}
# Months as they begin in English, German and Spanish; common practice, no source.
_MONTHS = (
    *("jan|ene", "feb", "mar|mär", "apr|abr", "may|mai", "jun"),
    *("jul", "aug|ago", "sep", "oct|okt", "nov", "dec|dez|dic"),
)
_NUMBERS = re.compile(r"^(\d{1,4})\s*([./-])\s*(\d{1,2})\s*\2\s*(\d{1,4})\b")
_WRITTEN = re.compile(r"^(\d{1,2})\.?\s*(?:de\s+)?([a-zä]{3,})\.?\s*(?:de\s+)?(\d{4})$")
_AMOUNT = re.compile(r"^[^\d-]*(-?)\s*(\d[\d.,' ]*)[^\d]*$")
_READING = re.compile(r"^(-?\d+(?:[.,]\d+)?)\s*°?\s*(c|f|db|dba|db\(a\))?$")
_CONTROL = re.compile(r"[\x00-\x08\x0b\x0c\x0e-\x1f\x7f]")


class DayOrder(StrEnum):
    """What comes first in days like 03/04/2024."""

    DAY_FIRST = "day_first"
    MONTH_FIRST = "month_first"
    UNKNOWN = "unknown"


@dataclass(frozen=True, kw_only=True)
class PastJob:
    """A job as an old list tells it; what it does not tell is empty or None. before_c, after_c: temperatures [degC],
    noise_before_db, noise_after_db: levels [dB], as they are told, under whatever conditions; faults: why it cannot be
    taken in; remarks: what was left out of it."""

    number: str = ""
    day: date | None = None
    customer: str = ""
    contact: str = ""
    kind: str = "other"
    maker: str = ""
    model: str = ""
    serial: str = ""
    symptom: str = ""
    work: str = ""
    material: str = ""
    price_cents: int | None = None
    before_c: float | None = None
    after_c: float | None = None
    noise_before_db: float | None = None
    noise_after_db: float | None = None
    note: str = ""
    faults: tuple[Words, ...] = field(default=(), compare=False)
    remarks: tuple[Words, ...] = field(default=(), compare=False)

    @property
    def sign(self) -> str:
        """What tells it from others [text]: two rows that say the same have the same. SHA-256, hexadecimal."""
        own = (self.number, self.day, self.customer, self.contact, self.maker, self.model, self.serial)
        rest = (self.symptom, self.work, self.material, self.price_cents, self.note)
        told = "\x1f".join(" ".join(str(value).casefold().split()) for value in (*own, *rest))
        return hashlib.sha256(told.encode()).hexdigest()


class _Unclear(ValueError):  # noqa: N818 - reads as what it says
    def __init__(self, words: Words) -> None:
        super().__init__(words)
        self.words = words


def _two_numbers(cell: Cell) -> tuple[int, int] | None:
    """Day and month of a cell in whichever order, None where the order is no question."""
    found = _NUMBERS.match(cell.strip()) if isinstance(cell, str) else None
    if found is None or found[2] == "." or len(found[1]) == 4:
        return None
    return int(found[1]), int(found[3])


def reads_both_ways(cell: Cell) -> bool:
    """Whether a day may be another one, by what comes first in it.

    cell: of a column of days
    """
    found = _two_numbers(cell)
    return found is not None and found[0] != found[1] and max(found) <= 12


def day_order(cells: Iterable[Cell]) -> DayOrder:
    """What comes first in the days of a column, where they tell it: no month is the thirteenth.

    cells: of the column (n,)
    returns: DayOrder; unknown where no day tells it, or some tell one and some the other
    """
    first = second = False
    for a, b in filter(None, map(_two_numbers, cells)):
        first, second = first or a > 12, second or b > 12
    if first == second:
        return DayOrder.UNKNOWN
    return DayOrder.DAY_FIRST if first else DayOrder.MONTH_FIRST


def _day(cell: Cell, order: DayOrder, today: date) -> date:
    found = _written_day(cell, order)
    if found.year < YEAR_LEAST or found > today:
        raise _Unclear(say("past-day-outside", day=found, least=YEAR_LEAST))
    return found


def _written_day(cell: Cell, order: DayOrder) -> date:
    if isinstance(cell, datetime):
        return cell.date()
    if isinstance(cell, date):
        return cell
    if isinstance(cell, float):
        if SERIAL_LEAST <= cell < SERIAL_MOST:
            return _DAY_NOUGHT + timedelta(days=math.floor(cell))
        raise _Unclear(say("past-no-day", text=f"{cell:g}"))
    text = str(cell or "").strip().casefold()
    try:
        if found := _NUMBERS.match(text):
            return _numbered_day(found, order, text)
        if found := _WRITTEN.match(text):
            month = next((n for n, names in enumerate(_MONTHS, 1) if found[2].startswith(tuple(names.split("|")))), 0)
            return date(int(found[3]), month, int(found[1]))
    except ValueError as error:
        if isinstance(error, _Unclear):
            raise
    raise _Unclear(say("past-no-day", text=text[:40]))


def _numbered_day(found: re.Match[str], order: DayOrder, text: str) -> date:
    a, mark, b, c = int(found[1]), found[2], int(found[3]), int(found[4])
    if len(found[1]) == 4:
        return date(a, b, c)
    year = c + _CENTURY if len(found[4]) <= 2 else c
    if mark == "." or order is DayOrder.DAY_FIRST or a > 12:
        return date(year, b, a)
    if order is DayOrder.MONTH_FIRST or b > 12:
        return date(year, a, b)
    if a == b:
        return date(year, a, b)
    raise _Unclear(say("past-day-or-month", text=text[:40]))


def _cents(cell: Cell) -> int:
    if isinstance(cell, float):
        cents = round(cell * 100)
    else:
        found = _AMOUNT.match(str(cell).strip())
        if found is None:
            raise _Unclear(say("past-no-price", text=str(cell)[:40]))
        cents = round(float(_decimal(found[2])) * 100) * (-1 if found[1] else 1)
    if not 0 <= cents <= PRICE_MOST_CENTS:
        raise _Unclear(say("past-price-outside", most=PRICE_MOST_CENTS / 100))
    return cents


def _decimal(text: str) -> str:
    """Digits with a point before the decimals: the last mark parts them, but not where three digits follow."""
    plain = re.sub(r"[' ]", "", text).rstrip(".,")
    at = max(plain.rfind("."), plain.rfind(","))
    if at < 0:
        return plain
    whole, rest = re.sub(r"[.,]", "", plain[:at]), plain[at + 1 :]
    return whole + rest if len(rest) == 3 else f"{whole}.{rest}"


def _reading(cell: Cell, unit: Words, bounds: tuple[float, float]) -> float:
    found = _READING.match(f"{cell:g}" if isinstance(cell, float) else str(cell).strip().casefold())
    if found is None:
        raise _Unclear(say("past-no-number", text=str(cell)[:40]))
    value = float(found[1].replace(",", "."))
    value = (value - 32.0) / 1.8 if found[2] == "f" else value
    if not bounds[0] <= value <= bounds[1]:
        raise _Unclear(say("past-number-outside", value=round(value, 1), low=bounds[0], high=bounds[1], unit=unit))
    return round(value, 1)


def _text(cell: Cell, role: PastRole) -> str:
    if isinstance(cell, date):
        text = cell.isoformat()
    elif isinstance(cell, float):
        text = f"{cell:.15g}"
    else:
        text = _CONTROL.sub(" ", str(cell or "")).strip()
    if text.startswith("="):
        raise _Unclear(say("past-a-formula", text=text[:40]))
    if len(text) > _LETTERS_MOST[role]:
        raise _Unclear(say("past-too-long", letters=len(text), most=_LETTERS_MOST[role]))
    return text


# What has to be clear before a row is a job: without its day it has no place.
_NEEDED = (PastRole.DAY, PastRole.MAKER, PastRole.MODEL)
_READINGS = {
    PastRole.BEFORE_C: ("°C", TEMPERATURES_C),
    PastRole.AFTER_C: ("°C", TEMPERATURES_C),
    PastRole.NOISE_BEFORE_DB: ("dB", LEVELS_DB),
    PastRole.NOISE_AFTER_DB: ("dB", LEVELS_DB),
}


def _value(cell: Cell, role: PastRole, order: DayOrder, today: date) -> Any:  # noqa: ANN401 - as its role is
    if role is PastRole.DAY:
        return _day(cell, order, today)
    if role is PastRole.PRICE:
        return _cents(cell)
    if role in _READINGS:
        return _reading(cell, *_READINGS[role])
    return _text(cell, role)


def past_job(
    cells: Sequence[Cell], roles: Sequence[PastRole | None], *, order: DayOrder, kind: str, today: date
) -> PastJob:
    """A row as a job.

    cells: of the row (c,)
    roles: what each column is, None for what is left out (c,)
    order: what comes first in its days
    kind: of device, where the row does not name it [text]
    today: no job is later than it
    returns: PastJob; one with faults is not taken in, what is remarked is left out of it
    source: common practice, no source
    """
    found: dict[str, Any] = {"kind": kind}
    unclear: dict[PastRole, Words] = {}
    for cell, role in zip(cells, roles, strict=True):
        if role is None or cell is None or (isinstance(cell, str) and not cell.strip()):
            continue
        try:
            found[role.value if role is not PastRole.PRICE else "price_cents"] = _value(cell, role, order, today)
        except _Unclear as error:
            unclear[role] = say("past-fault", column=say(f"past-role-{role.value}"), why=error.words)
    if PastRole.KIND in roles:
        found["kind"] = kind_in(found["kind"]) or kind
    faults = [unclear.pop(role) for role in _NEEDED if role in unclear]
    if not faults and "day" not in found:
        faults.append(say("past-no-day-told"))
    if not faults and not found.get("model") and not found.get("maker"):
        faults.append(say("past-no-device-told"))
    remarks = tuple(say("past-left-out", what=words) for words in unclear.values())
    return PastJob(**found, faults=tuple(faults), remarks=remarks)
