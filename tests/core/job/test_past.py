"""Old lists of jobs: headings and days as people write them. Common practice, no source, where none is named."""

from datetime import UTC, date, datetime

import pytest
from hypothesis import given
from hypothesis import strategies as st

from vividowl.core.job.past_columns import PastRole, guess_roles, heading_line, kind_in, role_of_heading
from vividowl.core.job.past_rows import DayOrder, day_order, past_job, reads_both_ways
from vividowl.words import sentences

TODAY = date(2026, 11, 30)
R = PastRole


def row(*, order=DayOrder.DAY_FIRST, kind="other", **cells):
    cells = {"day": date(2024, 5, 3), "model": "Marrow 17", **cells}
    return past_job(list(cells.values()), [R(role) for role in cells], order=order, kind=kind, today=TODAY)


def words(job):
    return sentences([*job.faults, *job.remarks])


@pytest.mark.parametrize(
    ("headings", "roles"),
    [
        (
            ["Job no.", "Date", "Customer", "Phone", "Type", "Brand", "Model", "S/N", "Issue", "Work done", "Price"],
            [R.NUMBER, R.DAY, R.CUSTOMER, R.CONTACT, R.KIND, R.MAKER, R.MODEL, R.SERIAL, R.SYMPTOM, R.WORK, R.PRICE],
        ),
        (
            ["Auftrag", "Datum", "Kunde", "Telefon", "Geräteart", "Hersteller", "Gerät", "Seriennummer", "Fehler"],
            [R.NUMBER, R.DAY, R.CUSTOMER, R.CONTACT, R.KIND, R.MAKER, R.MODEL, R.SERIAL, R.SYMPTOM],
        ),
        (
            ["Pedido", "Fecha", "Cliente", "Correo", "Tipo", "Marca", "Modelo", "Número de serie", "Avería", "Importe"],
            [R.NUMBER, R.DAY, R.CUSTOMER, R.CONTACT, R.KIND, R.MAKER, R.MODEL, R.SERIAL, R.SYMPTOM, R.PRICE],
        ),
        (
            ["Temp before (°C)", "Temp after (°C)", "Noise before", "Noise after", "Paste", "Comment"],
            [R.BEFORE_C, R.AFTER_C, R.NOISE_BEFORE_DB, R.NOISE_AFTER_DB, R.MATERIAL, R.NOTE],
        ),
        (["Vorher °C", "Nachher °C", "Pegel vorher"], [R.BEFORE_C, R.AFTER_C, R.NOISE_BEFORE_DB]),
        (["Date", "Date paid", "Shelf", ""], [R.DAY, R.PRICE, None, None]),
    ],
)
def test_columns_by_their_headings(headings, roles):
    assert list(guess_roles(headings, [])) == roles


def test_one_role_stands_once():
    assert guess_roles(["Model", "Device"], []) == (R.MODEL, None)
    assert role_of_heading("Colour") is None


def test_columns_by_what_stands_in_them():
    rows = [
        ["2024-05-03", "ann@post.example", "Laptop", "€ 89.00", "Marrow"],
        ["2024-05-04", "+49 30 5550 123", "Console", "€ 79.00", "Gale"],
        [date(2024, 5, 5), "bo@post.example", "handheld", "99 EUR", "Puffin"],
    ]
    assert guess_roles([""] * 5, rows) == (R.DAY, R.CONTACT, R.KIND, R.PRICE, None)


def test_headings_are_found_below_a_title_and_below_groups():
    body = ["2024-05-03", "Ann", "Marrow", 89.0]
    assert heading_line([["Jobs of 2024", None, None, None], ["Date", "Customer", "Model", "Price"], body]) == 1
    groups = ["Visit", "Who", "Device", "Price"]
    assert heading_line([groups, ["Date", "Customer", "Model", "Price"], body]) == 1
    assert heading_line([body, body]) is None
    # Names that nobody knows are names still, above figures; words above words may be a row.
    assert heading_line([["When", "Who"], ["2024-05-03", "Ann"]]) == 0
    assert heading_line([["Ann", "Gale"], ["Bo", "Marrow"]]) is None
    assert heading_line([]) is None


def test_kinds_in_three_languages():
    told = {"Gaming Laptop": "laptop", "Konsole": "console", "portátil": "laptop", "Handgerät": "handheld", "PC": None}
    assert {text: kind_in(text) for text in told} == told


@pytest.mark.parametrize(
    ("cell", "day"),
    [
        ("2024-05-03", date(2024, 5, 3)),
        ("2024-05-03 14:22", date(2024, 5, 3)),
        ("3.5.2024", date(2024, 5, 3)),
        ("03.05.24", date(2024, 5, 3)),
        ("3/5/2024", date(2024, 5, 3)),
        ("3 May 2024", date(2024, 5, 3)),
        ("3. März 2024", date(2024, 3, 3)),
        ("3 de enero de 2024", date(2024, 1, 3)),
        (datetime(2024, 5, 3, 9, tzinfo=UTC), date(2024, 5, 3)),
        # ECMA-376 part 1, 18.17.4.1, 1900 date system: 1 January 2008 is 39448, from memory.
        (39448.0, date(2008, 1, 1)),
        (39448.75, date(2008, 1, 1)),
    ],
)
def test_days_as_they_are_written(cell, day):
    job = row(day=cell)
    assert (job.day, job.faults) == (day, ())


@pytest.mark.parametrize("cell", ["soon", "31.02.2024", "2024-13-01", 17.0, 1e12, "0/0/2024", "3 Foo 2024", "=TODAY()"])
def test_what_is_no_day_is_said(cell):
    (told,) = words(row(day=cell))
    assert told.startswith("Date: “")
    assert told.endswith("is no date.")


def test_a_day_to_come_and_one_before_all_computers_are_none():
    assert "in the future" in words(row(day="2026-12-01"))[0]
    assert "before 1980" in words(row(day="1.1.1900"))[0]


def test_day_or_month_first_is_never_guessed():
    assert "day first or month first" in words(row(day="3/4/2024", order=DayOrder.UNKNOWN))[0]
    assert row(day="3/4/2024", order=DayOrder.MONTH_FIRST).day == date(2024, 3, 4)
    assert row(day="13/4/2024", order=DayOrder.UNKNOWN).day == date(2024, 4, 13)
    assert row(day="4/4/2024", order=DayOrder.UNKNOWN).day == date(2024, 4, 4)
    assert day_order(["3/4/2024", "13/4/2024"]) is DayOrder.DAY_FIRST
    assert day_order(["3/4/2024", "3/14/2024"]) is DayOrder.MONTH_FIRST
    assert day_order(["13/4/2024", "3/14/2024"]) is day_order(["3/4/2024", "2024-05-13", "13.4.2024"])
    assert day_order(["3/4/2024"]) is DayOrder.UNKNOWN
    assert reads_both_ways("3/4/2024")
    assert not any(map(reads_both_ways, ["3.4.2024", "13/4/2024", "4/4/2024", "2024-03-04", 39448.0, None]))


@given(st.dates(date(1980, 1, 1), TODAY), st.sampled_from(DayOrder))
def test_property_a_written_day_is_that_day_or_is_asked_about(day, order):
    assert row(day=day.isoformat(), order=order).day == day
    month_first = order is DayOrder.MONTH_FIRST
    text = f"{day.month}/{day.day}/{day.year}" if month_first else f"{day.day}/{day.month}/{day.year}"
    job = row(day=text, order=order)
    assert job.day == day or (order is DayOrder.UNKNOWN and "day first or month first" in words(job)[0])


@pytest.mark.parametrize(
    ("cell", "cents"),
    [
        (89.0, 8900),
        (89.995, 9000),
        ("89", 8900),
        ("€ 89,00", 8900),
        ("89.50 EUR", 8950),
        ("1.234,50 €", 123450),
        ("1,234.50", 123450),
        ("1.234", 123400),
        ("1'234.5", 123450),
        ("0", 0),
    ],
)
def test_prices_as_they_are_written(cell, cents):
    assert row(price=cell).price_cents == cents


@pytest.mark.parametrize("cell", ["free", "-5", "1e9", "12 / 15"])
def test_what_is_no_price_is_left_out_and_said(cell):
    job = row(price=cell)
    assert (job.price_cents, job.faults) == (None, ())
    assert words(job)[0].startswith("Price: ")
    assert "kept with the job" in words(job)[0]


def test_temperatures_and_levels():
    job = row(before_c="92 °C", after_c="158 °F", noise_before_db="51,5 dB(A)", noise_after_db=44.0)
    assert (job.before_c, job.after_c, job.noise_before_db, job.noise_after_db) == (92.0, 70.0, 51.5, 44.0)
    job = row(before_c="hot", after_c=300.0)
    assert (job.before_c, job.after_c) == (None, None)
    assert ["no number" in words(job)[0], "outside 0 to 130 °C" in words(job)[1]] == [True, True]


def test_a_formula_is_no_value_and_a_long_text_is_said():
    job = row(note="=cmd()", customer="x" * 200)
    assert (job.note, job.customer) == ("", "")
    assert ["is a formula" in words(job)[0], "200 letters" in words(job)[1]] == [True, True]


def test_a_row_needs_a_day_and_a_device():
    assert words(row(day=None)) == ["No date, so there is no telling when it was."]
    assert words(row(model=" ")) == ["Neither model nor maker."]
    assert row(model=None, maker="Ondervale").faults == ()


def test_kind_where_the_row_names_it_and_where_not():
    assert row().kind == "other"
    assert row(kind="laptop").kind == "laptop"
    cells = [date(2024, 5, 3), "Marrow 17", "a console"]
    assert (
        past_job(cells, [R.DAY, R.MODEL, R.KIND], order=DayOrder.UNKNOWN, kind="laptop", today=TODAY).kind == "console"
    )
    cells[2] = "tower"
    assert (
        past_job(cells, [R.DAY, R.MODEL, R.KIND], order=DayOrder.UNKNOWN, kind="laptop", today=TODAY).kind == "laptop"
    )


def test_two_rows_that_say_the_same_have_the_same_sign():
    assert row(customer="Ann  Ode").sign == row(customer="ann ode").sign
    assert row(customer="Ann Ode").sign != row(customer="Ann Odd").sign
    assert row(price=89.0).sign != row(price=90.0).sign
