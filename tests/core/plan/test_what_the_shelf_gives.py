"""What the shelf can give for a part."""

from datetime import date

import pytest

from vividowl.core.plan.stock import Stock, UsableLot, lot_for, sheet_cents, stock_of, sum_cents


def lot(code, remaining, opened=None, expires=None):
    return UsableLot(code=code, remaining=remaining, opened_on=opened, expires_on=expires)


@pytest.mark.parametrize(
    ("lots", "taken"),
    [
        ((lot("new", 4.0, expires=date(2027, 1, 1)), lot("open", 1.0, date(2026, 1, 1), date(2028, 1, 1))), "open"),
        ((lot("late", 4.0, expires=date(2028, 1, 1)), lot("soon", 4.0, expires=date(2027, 1, 1))), "soon"),
        ((lot("never", 4.0), lot("soon", 4.0, expires=date(2027, 1, 1))), "soon"),
        ((lot("open", 0.05, date(2026, 1, 1)), lot("full", 4.0)), "full"),
        ((lot("b", 4.0), lot("a", 4.0)), "a"),
    ],
)
def test_first_the_open_then_what_expires_first_of_what_holds_enough(lots, taken):
    place, left = lot_for(lots, 0.08)
    assert lots[place].code == taken
    assert left == pytest.approx(lots[place].remaining - 0.08)


def test_no_lot_holds_it():
    assert lot_for((), 0.08) is None
    assert lot_for((lot("a", 0.05),), 0.08) is None


def test_pieces_cost_their_share_of_the_sheet_and_never_more_than_one():
    # A quarter of a sheet of 80 x 80 mm at 9.00.
    assert sheet_cents(900, (80.0, 80.0), (40.0, 40.0), 1) == 225
    assert sheet_cents(900, (80.0, 80.0), (40.0, 40.0), 9) == 900


def test_a_price_that_is_not_known_makes_no_sum():
    assert sum_cents([100, 25]) == 125
    assert sum_cents([]) == 0
    assert sum_cents([100, None]) is None


@pytest.mark.parametrize(
    ("states", "all_of_it"),
    [
        ((), Stock.NOT_NEEDED),
        ((Stock.HELD,), Stock.HELD),
        ((Stock.HELD, Stock.NOT_KNOWN), Stock.NOT_KNOWN),
        ((Stock.NOT_KNOWN, Stock.SHORT, Stock.HELD), Stock.SHORT),
    ],
)
def test_what_is_missing_leads(states, all_of_it):
    assert stock_of(states) is all_of_it
