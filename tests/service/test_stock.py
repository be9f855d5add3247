"""Stock under pressure: the last gram, undo, cuts and what they leave."""

import threading
import uuid
from datetime import date, timedelta

import pytest
from sqlalchemy import text
from sqlalchemy.exc import DBAPIError
from tests.said import refuses, said_by
from tests.service.test_use_cases import FIELDS, owner  # noqa: F401 - a fixture

from vividowl.service.errors import Refused
from vividowl.service.jobs import fit, intake
from vividowl.service.shelf import cutting, shelf
from vividowl.service.shelf.stock import move
from vividowl.store.deciding import StockMove

PASTE = {
    "kind": "paste_stiff",
    "name": "Grey Heron 11",
    "unit": "g",
    "own": {},
    "price_cents": 900,
    "low_at": 1.0,
    "sheet_width_mm": None,
    "sheet_length_mm": None,
    "thickness_mm": None,
}
PADS = {
    "kind": "pad",
    "name": "Moss pad 1.0",
    "unit": "sheet",
    "own": {},
    "price_cents": 1200,
    "low_at": None,
    "sheet_width_mm": 80.0,
    "sheet_length_mm": 80.0,
    "thickness_mm": 1.0,
}
DAY = date(2026, 1, 10)


def lot(code="A", held=1.0, expires_on=None):
    return {"code": code, "held": held, "received_on": DAY, "opened_on": None, "expires_on": expires_on}


def item(lot_id, amount=0.6):
    return {
        "target": "cpu_die",
        "kind": "paste_stiff",
        "product": "",
        "lot": "",
        "amount": amount,
        "amount_unit": "g",
        "lot_id": lot_id,
    }


def rows(count=4, width=20.0, length=20.0, together=False):
    return [
        {
            "label": "memory",
            "target": "memory",
            "width_mm": width,
            "length_mm": length,
            "count": count,
            "together": together,
        }
    ]


@pytest.fixture
def job(workshop, owner):  # noqa: F811
    return intake.create_job(workshop, owner, FIELDS).job.id


@pytest.fixture
def paste(workshop, owner):  # noqa: F811
    """A tube of one gram."""
    product = shelf.save_product(workshop, owner, product_id=None, version=0, fields=PASTE).products[0].product
    return shelf.add_lot(workshop, owner, product.id, lot()).products[0].lots[0].lot


@pytest.fixture
def pads(workshop, owner):  # noqa: F811
    """One sheet of pads."""
    product = shelf.save_product(workshop, owner, product_id=None, version=0, fields=PADS).products[0].product
    shelf.add_lot(workshop, owner, product.id, lot(held=1.0))
    return product


def on_shelf(workshop, owner):  # noqa: F811
    return shelf.get_shelf(workshop, owner).products[0]


def test_two_tablets_booking_the_last_gram_get_one_success_and_one_clear_refusal(workshop, owner, job, paste):  # noqa: F811
    gate, told = threading.Barrier(2), []

    def use():
        gate.wait()
        try:
            fit.add_item(workshop, owner, job, item(paste.id, 0.6))
            told.append("booked")
        except Refused as refused:
            told.append(said_by(refused))

    threads = [threading.Thread(target=use) for _ in range(2)]
    for t in threads:
        t.start()
    for t in threads:
        t.join()
    assert sorted(told) == ["Grey Heron 11, lot A, holds 0.4 g; 0.6 g are asked for.", "booked"]
    assert on_shelf(workshop, owner).remaining == pytest.approx(0.4)
    assert len(fit.get_items(workshop, owner, job)) == 1


def test_a_use_is_undone_with_the_item_and_booked_again_when_it_comes_back(workshop, owner, job, paste):  # noqa: F811
    (kept,) = fit.add_item(workshop, owner, job, item(paste.id, 0.6))
    assert (kept.product, kept.lot) == ("Grey Heron 11", "A")
    fit.set_item_removed(workshop, owner, job, item_id=kept.id, removed=True)
    fit.set_item_removed(workshop, owner, job, item_id=kept.id, removed=True)  # twice is once
    assert on_shelf(workshop, owner).remaining == pytest.approx(1.0)
    fit.set_item_removed(workshop, owner, job, item_id=kept.id, removed=False)
    moves = shelf.get_moves(workshop, owner, paste.id)
    assert [m.amount for m in moves] == [-0.6, 0.6, -0.6, 1.0]
    number = intake.get_job(workshop, owner, job).job.number
    assert [m.reason for m in moves[:2]] == [f"used on job {number}", f"taken back from job {number}"]
    assert moves[0].remaining == pytest.approx(0.4)


def test_what_was_used_meanwhile_cannot_come_back(workshop, owner, job, paste):  # noqa: F811
    (kept,) = fit.add_item(workshop, owner, job, item(paste.id, 0.6))
    fit.set_item_removed(workshop, owner, job, item_id=kept.id, removed=True)
    fit.add_item(workshop, owner, job, item(paste.id, 0.9))
    with refuses(Refused, match=r"holds 0\.1 g; 0\.6 g are asked for"):
        fit.set_item_removed(workshop, owner, job, item_id=kept.id, removed=False)
    assert len(fit.get_items(workshop, owner, job)) == 1


@pytest.mark.parametrize(
    ("change", "says"),
    [
        ({"amount": None, "amount_unit": ""}, "is counted in g"),
        ({"amount_unit": "mL"}, "is counted in g"),
        ({"kind": "paste_soft"}, "not what was chosen"),
    ],
)
def test_a_booking_keeps_unit_and_kind(workshop, owner, job, paste, change, says):  # noqa: F811
    with refuses(Refused, match=says):
        fit.add_item(workshop, owner, job, {**item(paste.id), **change})
    assert fit.get_items(workshop, owner, job) == []
    assert on_shelf(workshop, owner).remaining == 1.0


def test_paste_across_a_gap_is_stopped_whatever_the_plan_says(workshop, owner, job, paste):  # noqa: F811
    with refuses(Refused, match="cannot bridge one"):
        fit.add_item(workshop, owner, job, {**item(paste.id), "target": "memory"})


def test_alloy_is_stopped_until_the_metal_is_known(workshop, owner, job):  # noqa: F811
    alloy = {**item(None, None), "kind": "gallium_alloy", "amount_unit": ""}
    with refuses(Refused, match="is not known yet"):
        fit.add_item(workshop, owner, job, alloy)


# ---- low, expired, weighed ----


def save_lot(workshop, owner, lot_id, fields):  # noqa: F811
    """As the page does: with the version that it shows."""
    lots = [v.lot for p in shelf.get_shelf(workshop, owner).products for v in p.lots]
    version = next(x.version for x in lots if x.id == lot_id)
    return shelf.save_lot(workshop, owner, lot_id, {"version": version, **fields})


def test_low_and_expired_are_told(workshop, owner, paste):  # noqa: F811
    assert on_shelf(workshop, owner).warnings == ()
    save_lot(workshop, owner, paste.id, {"opened_on": None, "expires_on": None, "remaining": 0.5, "reason": ""})
    assert on_shelf(workshop, owner).warnings == ("Low: 0.5 g left, wanted: 1 g.",)
    old = {"opened_on": DAY, "expires_on": DAY + timedelta(days=1), "remaining": None, "reason": ""}
    save_lot(workshop, owner, paste.id, old)
    view = on_shelf(workshop, owner)
    assert "Lot A has expired." in view.warnings
    assert view.remaining == 0.0


def test_dates_that_contradict_each_other_are_refused(workshop, owner, paste):  # noqa: F811
    early = {"opened_on": DAY - timedelta(days=1), "expires_on": None, "remaining": None, "reason": ""}
    with refuses(Refused, match="Opened on 9 January 2026, but received on 10 January 2026"):
        save_lot(workshop, owner, paste.id, early)


def test_a_product_of_two_names_or_without_a_sheet_size_is_refused(workshop, owner, paste):  # noqa: F811
    with refuses(Refused, match="There is a product “Grey Heron 11”"):
        shelf.save_product(workshop, owner, product_id=None, version=0, fields=PASTE)
    with refuses(Refused, match="A sheet has no size"):
        shelf.save_product(workshop, owner, product_id=None, version=0, fields={**PADS, "sheet_width_mm": None})


# ---- cuts ----


def test_a_cut_takes_a_sheet_leaves_an_offcut_and_is_noted(workshop, owner, job, pads):  # noqa: F811
    seen = cutting.preview(workshop, owner, product_id=pads.id, rows=rows(), kerf_mm=0.2)
    assert seen.fits
    assert on_shelf(workshop, owner).remaining == 1.0  # a preview books nothing
    done = cutting.book(workshop, owner, job, product_id=pads.id, rows=rows(), kerf_mm=0.2)
    shelf_now = on_shelf(workshop, owner)
    (offcut,) = shelf_now.offcuts
    assert shelf_now.remaining == 0.0
    assert (offcut.number, len(offcut.taken)) == (1, 4)
    (noted,) = fit.get_items(workshop, owner, job)
    assert (noted.amount, noted.amount_unit, noted.product) == (4.0, "pieces", "Moss pad 1.0")
    with refuses(Refused, match="belong to a cut sheet"):
        fit.set_item_removed(workshop, owner, job, item_id=noted.id, removed=True)
    assert cutting.undo(workshop, owner, done.stored.job_id, done.stored.id) == []
    back = on_shelf(workshop, owner)
    assert (back.remaining, back.offcuts, fit.get_items(workshop, owner, job)) == (1.0, (), [])


def test_the_next_cut_uses_the_offcut_and_the_first_cannot_be_undone_alone(workshop, owner, job, pads):  # noqa: F811
    first = cutting.book(workshop, owner, job, product_id=pads.id, rows=rows(), kerf_mm=0.2)
    second = cutting.book(workshop, owner, job, product_id=pads.id, rows=rows(count=2), kerf_mm=0.2)
    (drawing,) = second.drawings
    assert drawing.name == "Offcut 1"
    assert len(drawing.taken) == 4
    assert [o.number for o in on_shelf(workshop, owner).offcuts] == [2]
    with refuses(Refused, match="Offcut 1, which this cut left, has been cut since"):
        cutting.undo(workshop, owner, first.stored.job_id, first.stored.id)
    cutting.undo(workshop, owner, second.stored.job_id, second.stored.id)
    assert [o.number for o in on_shelf(workshop, owner).offcuts] == [1]
    cutting.undo(workshop, owner, first.stored.job_id, first.stored.id)
    assert on_shelf(workshop, owner).remaining == 1.0


def test_pieces_without_room_book_nothing(workshop, owner, job, pads):  # noqa: F811
    with refuses(Refused, match="9 of 25 pieces find no room"):
        cutting.book(workshop, owner, job, product_id=pads.id, rows=rows(count=25), kerf_mm=0.0)
    assert on_shelf(workshop, owner).remaining == 1.0
    assert cutting.get_cuts(workshop, owner, job) == []


def test_two_tablets_cutting_the_last_sheet_do_not_both_get_it(workshop, owner, job, pads):  # noqa: F811
    gate, told = threading.Barrier(2), []

    def cut():
        gate.wait()
        try:
            cutting.book(
                workshop, owner, job, product_id=pads.id, rows=rows(count=1, width=70.0, length=70.0), kerf_mm=0.0
            )
            told.append("cut")
        except Refused as refused:
            told.append(said_by(refused))

    threads = [threading.Thread(target=cut) for _ in range(2)]
    for t in threads:
        t.start()
    for t in threads:
        t.join()
    assert "cut" in told
    assert len([w for w in told if w == "cut"]) == 1
    assert on_shelf(workshop, owner).remaining == 0.0


def test_whatever_is_booked_and_taken_back_the_ledger_adds_up(workshop, owner, job, paste):  # noqa: F811
    """Property over a seeded sequence: what is left is what came in and every move since, and never below nought."""
    import random

    chance, items, refusals = random.Random(7), [], set()
    for _ in range(30):
        try:
            if items and chance.random() < 0.4:
                kept = chance.choice(items)
                fit.set_item_removed(workshop, owner, job, item_id=kept, removed=chance.random() < 0.6)
            else:
                items.append(fit.add_item(workshop, owner, job, item(paste.id, chance.choice([0.1, 0.25, 0.4])))[-1].id)
        except Refused as refused:
            refusals.add(refused.reason)
        moves = shelf.get_moves(workshop, owner, paste.id)
        left = on_shelf(workshop, owner).remaining
        assert left == pytest.approx(sum(m.amount for m in moves))
        assert moves[0].remaining == pytest.approx(left)
        fitted = sum(i.amount for i in fit.get_items(workshop, owner, job))
        assert fitted == pytest.approx(1.0 - left)
        assert left >= 0
    assert refusals == {"short"}


def test_a_handed_over_job_books_nothing(workshop, owner, job, paste, pads):  # noqa: F811
    from vividowl.service.plan import planning
    from vividowl.store.models import Job

    with workshop.scope(owner) as scope:
        row = scope.get(Job, job)
        row.handed_over_at = row.created_at
    for act in (
        lambda: fit.add_item(workshop, owner, job, item(paste.id)),
        lambda: cutting.book(workshop, owner, job, product_id=pads.id, rows=rows(), kerf_mm=0.2),
        lambda: planning.save_inspection(workshop, owner, job, version=0, goal="cooler", found={}),
        lambda: planning.add_note(workshop, owner, job, name="levels", given={"levels_db": "60"}),
    ):
        with refuses(Refused, match="handed over and is closed"):
            act()
    assert {p.remaining for p in shelf.get_shelf(workshop, owner).products} == {1.0}


def test_a_lot_that_was_taken_off_the_shelf_is_not_booked(workshop, owner, job, paste):  # noqa: F811
    shelf.set_lot_removed(workshop, owner, paste.id, True)
    with refuses(Refused, match="was taken off the shelf"):
        fit.add_item(workshop, owner, job, item(paste.id))
    shelf.set_lot_removed(workshop, owner, paste.id, False)
    assert len(fit.add_item(workshop, owner, job, item(paste.id))) == 1


def test_an_expired_sheet_is_not_cut_and_an_offcut_can_be_thrown_away(workshop, owner, job, pads):  # noqa: F811
    done = cutting.book(workshop, owner, job, product_id=pads.id, rows=rows(), kerf_mm=0.2)
    (offcut,) = on_shelf(workshop, owner).offcuts
    shelf.set_offcut_removed(workshop, owner, offcut.id, True)
    with refuses(Refused, match=r"No sheet and no offcut of Moss pad 1\.0"):
        cutting.preview(workshop, owner, product_id=pads.id, rows=rows(), kerf_mm=0.2)
    shelf.set_offcut_removed(workshop, owner, offcut.id, False)
    assert cutting.preview(workshop, owner, product_id=pads.id, rows=rows(), kerf_mm=0.2).drawings[0].name == "Offcut 1"
    cutting.undo(workshop, owner, done.stored.job_id, done.stored.id)
    lot_id = on_shelf(workshop, owner).lots[0].lot.id
    old = {"opened_on": None, "expires_on": DAY, "remaining": None, "reason": ""}
    save_lot(workshop, owner, lot_id, old)
    with refuses(Refused, match="is on the shelf"):
        cutting.book(workshop, owner, job, product_id=pads.id, rows=rows(), kerf_mm=0.2)


def test_a_strip_is_booked_as_one_row_of_pieces(workshop, owner, job, pads):  # noqa: F811
    done = cutting.book(workshop, owner, job, product_id=pads.id, rows=rows(width=18.0, together=True), kerf_mm=0.2)
    boxes = [p.rect for p in done.drawings[0].pieces]
    assert len({y for _, y, _, _ in boxes}) == 1 or len({x for x, _, _, _ in boxes}) == 1


def test_the_unit_of_a_product_with_lots_stays(workshop, owner, paste):  # noqa: F811
    product = on_shelf(workshop, owner).product
    with refuses(Refused, match="is counted in g and has lots"):
        shelf.save_product(
            workshop, owner, product_id=product.id, version=product.version, fields={**PASTE, "unit": "mL"}
        )
    with refuses(Refused, match="changed meanwhile"):
        shelf.save_product(workshop, owner, product_id=product.id, version=product.version + 1, fields=PASTE)


def test_what_was_weighed_is_not_laid_over_what_a_colleague_took(workshop, owner):  # noqa: F811
    product = shelf.save_product(workshop, owner, product_id=None, version=0, fields=PASTE).products[0].product
    row = shelf.add_lot(workshop, owner, product.id, lot()).products[0].lots[0].lot
    seen = row.version
    with workshop.scope(owner) as scope:
        move(scope, owner, lot_id=row.id, amount=-0.2, reason="used on job 7")
    weighed = {"version": seen, "opened_on": None, "expires_on": None, "remaining": 0.9, "reason": "weighed"}
    with refuses(Refused, match="Lot A was changed meanwhile"):
        shelf.save_lot(workshop, owner, row.id, weighed)
    assert shelf.get_shelf(workshop, owner).products[0].lots[0].lot.remaining == pytest.approx(0.8)


def test_a_cut_sheet_belongs_to_the_job_of_its_address(workshop, owner):  # noqa: F811
    with pytest.raises((Refused, LookupError)):
        cutting.cut_file(workshop, owner, uuid.uuid4(), cut_id=uuid.uuid4(), form="svg")


def test_moves_stand_in_the_database_whatever_the_code_does(workshop, owner, pads):  # noqa: F811
    for attempt in ("UPDATE stock_move SET amount = 0", "DELETE FROM stock_move"):
        with pytest.raises(DBAPIError, match="never changed or deleted"), workshop.database.session() as session:
            session.execute(text(attempt))
    with workshop.scope(owner) as scope:
        assert scope.session.scalars(scope.select(StockMove)).unique().all()
