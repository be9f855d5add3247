"""What the shelf can give for a part: which lot, what share of a sheet, and whether all of it is there."""

from __future__ import annotations

from collections.abc import Iterable, Sequence
from dataclasses import dataclass
from datetime import date
from enum import StrEnum

from vividowl.core.materials.dose import left_in_tube
from vividowl.core.plan.price import share_cents
from vividowl.core.quantities.errors import OutOfRange


class Stock(StrEnum):
    """Whether the shelf holds something."""

    HELD = "held"
    SHORT = "short"
    NOT_KNOWN = "not known"
    NOT_NEEDED = "not needed"


@dataclass(frozen=True, kw_only=True)
class UsableLot:
    """A lot that may be used. remaining: in the unit of its product; expires_on: None when it does not."""

    code: str
    remaining: float
    opened_on: date | None
    expires_on: date | None


def lot_for(lots: Sequence[UsableLot], amount: float) -> tuple[int, float] | None:
    """The lot that an amount is taken from: one that is open comes first, then the one that expires first.

    lots: those that may be used (n,)
    amount: what is needed [units], above 0
    returns: its place in lots and what it holds afterwards [units]; None when none holds enough
    source: first expired, first out; common practice, no source
    """
    order = sorted(
        range(len(lots)),
        key=lambda i: (lots[i].opened_on is None, lots[i].expires_on or date.max, lots[i].code),
    )
    for place in order:
        try:
            return place, left_in_tube(lots[place].remaining, amount).left_g
        except OutOfRange:
            continue
    return None


def sheet_cents(price_cents: int, sheet_mm: tuple[float, float], pieces_mm: tuple[float, float], count: int) -> int:
    """Price of pieces by the share of the sheet that they cover.

    price_cents: of a sheet [cents], 0 to 1e8
    sheet_mm: its width and length [mm], above 0
    pieces_mm: width and length of a piece [mm]
    count: pieces [1]
    returns: whole cents, of one sheet at most
    raises: OutOfRange
    formula: price w l n / (W L)
    source: geometry
    """
    covered = pieces_mm[0] * pieces_mm[1] * count / (sheet_mm[0] * sheet_mm[1])
    return share_cents(price_cents, min(1.0, covered))


def sum_cents(prices: Iterable[int | None]) -> int | None:
    """Price of several parts.

    prices: of each [cents], None where one is not known
    returns: their sum [cents]; None as soon as one is not known, since a sum without it would be too low
    """
    known = list(prices)
    return None if None in known else sum(p for p in known if p is not None)


def stock_of(states: Iterable[Stock]) -> Stock:
    """Whether the shelf holds all of several parts.

    states: of each part
    returns: short before not known before held; not needed where there is no part
    """
    found = set(states)
    worst = next((s for s in (Stock.SHORT, Stock.NOT_KNOWN) if s in found), Stock.HELD)
    return worst if found else Stock.NOT_NEEDED
