"""Everything out: as a workbook, and as CSV with JSON."""

import csv
import io
import json
import zipfile
from datetime import UTC, date, datetime, timedelta, timezone
from pathlib import Path

import jsonschema_rs
import polars as pl
import pytest
import python_calamine
from tests.web.conftest import Caller

from vividowl.formats.sheets.tables_out import CellKind, Column, Table, write_workbook
from vividowl.service.out.everything import schema
from vividowl.service.out.tables import TABLES

PUBLISHED = Path(__file__).parents[2] / "docs/everything.schema.json"
FORMULA = '=HYPERLINK("http://away.example/","look")'


def _got(caller, path):
    """The bytes of a download, let go of."""
    with caller.call("GET", f"/api/jobs/{path}") as answer:
        return answer.data


def _unzipped(data):
    with zipfile.ZipFile(io.BytesIO(data)) as zipped:
        return {name: zipped.read(name) for name in zipped.namelist()}


def _book(data):
    """By another library than the one that wrote it."""
    book = python_calamine.CalamineWorkbook.from_filelike(io.BytesIO(data))
    return {name: book.get_sheet_by_name(name).to_python() for name in book.sheet_names}


def _objects(rows):
    return [dict(zip(rows[0], row, strict=True)) for row in rows[1:]]


@pytest.fixture
def measured(ada):
    """A job with both sides measured and handed over, and an open one whose words look like a formula."""
    job = ada.served_job()
    row = ada.call("GET", f"/api/jobs/{job}")
    body = {"version": row["version"], "price_cents": 8950, "handed_over": True, "handover_note": "=1+1"}
    ada.call("PUT", f"/api/jobs/{job}/hand-over", body)
    ada.new_job(symptom=FORMULA, customer_name="@SUM(A1)", kind="console", model="Gale")
    return job


def test_workbook_is_typed_and_its_heads_stay(ada, measured):
    with ada.call("GET", "/api/jobs/out.xlsx?all=true") as answer:
        assert answer.headers["Content-Disposition"].startswith("attachment; filename=jobs-")
        data = answer.data
    sheets = _book(data)
    assert list(sheets) == [name for name, _, _ in TABLES]
    first, second = _objects(sheets["jobs"])
    assert (first["model"], first["price"], first["verdict"]) == ("Marrow 15", 89.5, "improved")
    assert isinstance(first["taken_in_at"], datetime)
    assert first["rise_before_K"] - first["rise_after_K"] > 10
    # Text stays text, as it was typed.
    assert (second["symptom"], second["customer"], first["note"]) == (FORMULA, "@SUM(A1)", "=1+1")
    runs = _objects(sheets["runs"])
    assert [(r["job"], r["side"]) for r in runs] == [(first["job"], "before"), (first["job"], "after")]
    # Invented devices in closed form: 0.75 + 0.72 + 0.12 K/W before at full fan.
    assert runs[0]["resistance_K_per_W"] == pytest.approx(1.59, abs=0.05)
    with zipfile.ZipFile(io.BytesIO(data)) as zipped:
        for number in range(1, len(TABLES) + 1):
            sheet = zipped.read(f"xl/worksheets/sheet{number}.xml").decode()
            assert 'state="frozen"' in sheet
            assert "<f>" not in sheet
            assert "<hyperlink" not in sheet


def test_csv_defuses_what_a_spreadsheet_would_run(ada):
    ada.new_job(symptom=FORMULA, customer_name="@SUM(A1)")
    files = _unzipped(_got(ada, "out.zip?all=true"))
    (row,) = csv.DictReader(io.StringIO(files["jobs.csv"].decode()))
    assert (row["symptom"], row["customer"]) == ("'" + FORMULA, "'@SUM(A1)")
    # A figure below nought is a figure.
    moves = pl.read_csv(files["stock_moves.csv"])
    assert moves.columns == [c.name for c in TABLES[2][2]]


def test_json_holds_to_its_published_schema(ada, measured):
    assert PUBLISHED.read_text() == schema()
    files = _unzipped(_got(ada, "out.zip?all=true"))
    assert files["everything.schema.json"].decode() == schema()
    told = json.loads(files["everything.json"])
    jsonschema_rs.validator_for(json.loads(schema()), validate_formats=True).validate(told)
    assert [job["customer"] for job in told["jobs"]] == ["Wen Abernathy", "@SUM(A1)"]
    assert len(told["runs"]) == 2
    broken = {**told, "jobs": [{**told["jobs"][0], "price": "89.50"}]}
    assert not jsonschema_rs.is_valid(json.loads(schema()), broken)


def test_what_was_predicted_and_what_came_of_it(ada):
    job = ada.served_job()
    plan = ada.call("GET", f"/api/jobs/{job}/plan")
    option = next(o for o in plan["options"] if o["key"] != "leave" and not o["blocked"])
    ada.call("POST", f"/api/jobs/{job}/plan/choice", {"version": plan["version"], "key": option["key"]})
    (row,) = _objects(_book(_got(ada, "out.xlsx?all=true"))["predictions"])
    assert row["predicted_resistance_low_K_per_W"] < row["predicted_resistance_high_K_per_W"]
    between = row["predicted_resistance_low_K_per_W"] <= row["measured_resistance_K_per_W"]
    assert row["inside"] == (between and row["measured_resistance_K_per_W"] <= row["predicted_resistance_high_K_per_W"])


def test_filters_of_the_page_apply(ada, measured):
    for asked, models in (
        ("state=open", ["Gale"]),
        ("state=closed", ["Marrow 15"]),
        ("kind=console&all=true", ["Gale"]),
        ("find=abernathy&all=true", ["Marrow 15"]),
        ("verdict=improved&all=true", ["Marrow 15"]),
        ("stage=before", ["Gale"]),
        ("since=2030-01-01&all=true", []),
    ):
        sheets = _book(_got(ada, f"out.xlsx?{asked}"))
        jobs = _objects(sheets["jobs"])
        assert [job["model"] for job in jobs] == models, asked
        assert {run["job"] for run in _objects(sheets["runs"])} <= {job["job"] for job in jobs}


def test_no_other_shop_gets_them_and_of_this_one_the_owner_alone(app, ada, measured, stranger):
    assert _objects(_book(_got(stranger, "out.xlsx?all=true"))["jobs"]) == []
    tom = Caller(app).sign_in("tom")
    for ending in ("xlsx", "zip"):
        assert tom.problem("GET", f"/api/jobs/out.{ending}", status=403)["remedy"]


def test_nothing_is_left_behind(ada, workshop):
    assert _got(ada, "out.zip?all=true")
    assert _got(ada, "out.xlsx?all=true")
    assert list((workshop.files.root / "incoming").iterdir()) == []


def test_a_table_too_long_for_one_sheet_goes_on_in_the_next(tmp_path):
    columns = (Column("n", CellKind.WHOLE, ""), Column("on", CellKind.DAY, ""), Column("good", CellKind.YES_NO, ""))
    rows = [(n, date(2026, 1, 1), n % 2 == 0) for n in range(7)]
    write_workbook(tmp_path / "a.xlsx", [Table("jobs", "", columns, rows)], sheet_rows=4)
    sheets = _book((tmp_path / "a.xlsx").read_bytes())
    assert list(sheets) == ["jobs", "jobs 2", "jobs 3"]
    assert [tuple(r) for rows in sheets.values() for r in rows[1:]] == [(float(n), on, good) for n, on, good in rows]


def test_moments_are_told_in_utc(tmp_path):
    columns = (Column("at", CellKind.MOMENT, ""), Column("why", CellKind.TEXT, ""))
    # As a database tells it that lives elsewhere.
    at = datetime(2026, 3, 29, 1, 30, tzinfo=UTC).astimezone(timezone(timedelta(hours=5, minutes=45)))
    write_workbook(tmp_path / "a.xlsx", [Table("moves", "", columns, [(at, "x" * 40_000)])])
    (_, (told, why)) = _book((tmp_path / "a.xlsx").read_bytes())["moves"]
    assert told.isoformat() == "2026-03-29T01:30:00"
    assert len(why) == 32_767
