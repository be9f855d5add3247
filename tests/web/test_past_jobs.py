"""Past jobs from a list: looked at, taken in with their own days, taken back as a whole."""

import io
import threading
from concurrent.futures import ThreadPoolExecutor

import pytest
import xlsxwriter
from sqlalchemy import func, select
from tests.said import refuses
from tests.web.conftest import Caller

from vividowl.service.errors import Refused
from vividowl.service.past import imports, taking
from vividowl.store.devices import Device
from vividowl.store.models import Customer, Job
from vividowl.store.past import PastImport

HEAD = "Nr;Date;Customer;Phone;Type;Device;Serial;Problem;Work;Paste;Price;Temp before;Temp after"
ROWS = (
    "77;2024-05-03;Ann Ode;+49 30 5550 1;Laptop;Marrow 17;OV-1;hot;cleaned;Grey Heron;89,00;92;71",
    "78;2024-06-11;Bo Rask;bo@post.example;Console;Gale;;loud;cleaned;;79,00;;",
    "79;2025-05-20;Ann Ode;+49 30 5550 1;Laptop;Marrow 17;OV-1;hot again;repasted;Grey Heron;95,00;90;70",
)


def as_list(*rows, head=HEAD):
    return "\r\n".join([head, *rows]).encode()


def bring(ada, data, name="old.csv"):
    return ada.call("POST", f"/api/past-jobs?name={name}", data=data, status=201)


def look(ada, found, query=""):
    return ada.call("GET", f"/api/past-jobs/{found['id']}{query}")


def tell(ada, found, **said):
    kept = {n: found[n] for n in ("version", "sheet", "day_order", "kind")}
    roles = [column["role"] for column in found["columns"]]
    return ada.call("PUT", f"/api/past-jobs/{found['id']}", {**kept, "roles": roles, **said})


def take_in(ada, found, **more):
    return ada.call("POST", f"/api/past-jobs/{found['id']}/take-in", {"version": found["version"]}, **more)


def take_back(ada, found):
    return ada.call("POST", f"/api/past-jobs/{found['id']}/take-back", {"version": found["version"]})


def jobs(ada, query="order=oldest"):
    return ada.call("GET", f"/api/jobs?all=true&{query}")["jobs"]


def rows_of(workshop, table):
    with workshop.database.session() as session:
        return session.scalar(select(func.count()).select_from(table))


def test_a_dry_run_changes_nothing(ada, workshop):
    found = bring(ada, as_list(*ROWS))
    assert found["counts"] == {"new": 3, "twice": 0, "known": 0, "faulty": 0}
    assert [c["role"] for c in found["columns"]] == [
        *("number", "day", "customer", "contact", "kind", "model", "serial"),
        *("symptom", "work", "material", "price", "before_c", "after_c"),
    ]
    assert found["columns"][10]["examples"] == ["89,00", "79,00", "95,00"]
    first = found["rows"][0]
    assert (first["line"], first["day"], first["device"], first["price_cents"]) == (2, "2024-05-03", "Marrow 17", 8900)
    assert (first["before_c"], first["after_c"], first["kind"]) == (92.0, 71.0, "laptop")
    assert jobs(ada) == []
    assert rows_of(workshop, Customer) == 0


def test_taken_in_with_their_own_days_and_found_by_what_they_say(ada):
    here = ada.new_job()["number"]
    taken = take_in(ada, bring(ada, as_list(*reversed(ROWS))))
    assert (taken["state"], taken["counts"]["new"]) == ("taken", 3)
    made = [job for job in jobs(ada) if job["number"] != here]
    # Numbers follow the days, not the lines.
    assert [(job["number"] - here, job["done_on"]) for job in made] == [
        (1, "2024-05-03"),
        (2, "2024-06-11"),
        (3, "2025-05-20"),
    ]
    assert {job["stage"] for job in made} == {"done"}
    assert made[0]["handed_over_at"].startswith("2024-05-03T12:00")
    assert made[0]["fit_note"] == "cleaned\nMaterial: Grey Heron"
    # One serial number is one device.
    assert made[0]["device_id"] == made[2]["device_id"] != made[1]["device_id"]
    assert (made[2]["visit"], made[2]["visits"]) == (2, 2)
    assert [job["number"] for job in jobs(ada, "find=rask")] == [here + 2]
    assert [job["number"] for job in jobs(ada, "until=2024-12-31&order=oldest")] == [here + 1, here + 2]
    assert ada.new_job()["number"] == here + 4


def test_what_the_list_said_is_kept_and_no_record_is_signed_of_it(ada):
    take_in(ada, bring(ada, as_list(ROWS[0].replace("89,00", "free"))))
    (job,) = jobs(ada)
    assert job["price_cents"] is None
    told = ada.call("GET", f"/api/jobs/{job['id']}/past")
    cells = {cell["name"]: cell["text"] for cell in told["cells"]}
    assert (told["line"], cells["Price"], cells["Temp before"]) == (2, "free", "92")
    # In the order of the list.
    assert list(cells) == HEAD.split(";")
    assert job["gates"] == []
    record = ada.call("GET", f"/api/jobs/{job['id']}/record")
    assert record["versions"] == []
    assert ada.problem("GET", f"/api/jobs/{ada.new_job()['id']}/past", status=404)["detail"]


def test_a_device_that_is_here_already_is_the_same_one(ada):
    here = ada.new_job(serial="ov-1")
    take_in(ada, bring(ada, as_list(ROWS[0])))
    (past,) = [job for job in jobs(ada) if job["number"] != here["number"]]
    assert past["device_id"] == here["device_id"]


def test_the_same_row_twice_and_what_is_in_the_shop_already(ada):
    found = bring(ada, as_list(ROWS[0], ROWS[1], ROWS[0].replace("Ann Ode", "ann  ode")))
    assert found["counts"] == {"new": 2, "twice": 1, "known": 0, "faulty": 0}
    assert found["rows"][2]["why"] == ["Says the same as line 2."]
    take_in(ada, found)
    again = bring(ada, as_list(*ROWS))
    assert again["counts"] == {"new": 1, "twice": 0, "known": 2, "faulty": 0}
    first = jobs(ada)[0]["number"]
    assert again["rows"][0]["why"] == [f"As job {first}."]
    # The same device on the same day is the same visit, whatever else is written.
    third = bring(ada, as_list(ROWS[0].replace("cleaned", "cleaned well")))
    assert third["counts"]["known"] == 1
    assert take_in(ada, again)["counts"]["new"] == 1
    assert len(jobs(ada)) == 3


def test_what_cannot_be_read_stays_out_and_is_said_row_by_row(ada):
    bad = ROWS[0].replace("2024-05-03", "soon"), ROWS[1].replace("Gale", ""), ROWS[2].replace("95,00", "=1+1")
    found = bring(ada, as_list(*bad))
    assert found["counts"] == {"new": 1, "twice": 0, "known": 0, "faulty": 2}
    assert look(ada, found, "?state=faulty")["rows_total"] == 2
    whys = [row["why"][0] for row in found["rows"]]
    assert whys[0] == "Date: “soon” is no date."
    assert whys[1] == "Neither model nor maker."
    assert whys[2].startswith("Price: “=1+1” is no price. Left out")
    take_in(ada, found)
    assert len(jobs(ada)) == 1


def test_columns_are_told_and_days_that_read_both_ways_are_asked_about(ada):
    found = bring(ada, as_list("3/4/2024;x;Gale", "5/6/2024;y;Gale", head="When;Who;What"))
    assert [c["role"] for c in found["columns"]] == ["day", None, None]
    assert found["counts"]["faulty"] == 2
    found = tell(ada, found, roles=["day", "customer", "model"], kind="console")
    assert found["needs_order"]
    assert "day first or month first" in found["rows"][0]["why"][0]
    found = tell(ada, found, day_order="day_first")
    assert [row["day"] for row in found["rows"]] == ["2024-04-03", "2024-06-05"]
    assert {row["kind"] for row in found["rows"]} == {"console"}
    found = tell(ada, found, day_order="month_first")
    assert [row["day"] for row in found["rows"]] == ["2024-03-04", "2024-05-06"]
    # What was told is there after a reload.
    assert look(ada, found)["rows"] == found["rows"]
    refused = {n: found[n] for n in ("version", "sheet", "day_order", "kind")} | {"roles": ["day", "day", None]}
    assert "two columns" in ada.problem("PUT", f"/api/past-jobs/{found['id']}", refused, status=422)["detail"]


def test_an_order_that_the_days_told_is_not_taken_over_to_another_column(ada):
    rows = ("25/4/2024;3/4/2024;Ann;Gale", "26/4/2024;5/6/2024;Bo;Gale")
    found = bring(ada, as_list(*rows, head="When;Paid;Who;What"))
    found = tell(ada, found, roles=["day", None, "customer", "model"], day_order="unknown")
    assert (found["day_order"], found["day_order_said"], found["needs_order"]) == ("day_first", False, False)
    found = tell(ada, found, roles=[None, "day", "customer", "model"], day_order="unknown")
    assert (found["day_order"], found["day_order_said"], found["needs_order"]) == ("unknown", False, True)
    assert found["counts"]["faulty"] == 2
    found = tell(ada, found, day_order="month_first")
    assert (found["day_order_said"], found["rows"][0]["day"]) == (True, "2024-03-04")


def test_what_is_said_of_a_workbook_counts_from_the_first_word_on(ada):
    out = io.BytesIO()
    with xlsxwriter.Workbook(out, {"in_memory": True}) as book:
        for name in ("2023", "2024"):
            sheet = book.add_worksheet(name)
            for at, row in enumerate((["When", "Who", "What"], ["2024-05-03", "Ann", f"Gale {name}"])):
                sheet.write_row(at, 0, row)
    found = bring(ada, out.getvalue(), "old.xlsx")
    found = tell(ada, found, roles=["day", "customer", "model"])
    assert [c["role"] for c in found["columns"]] == ["day", "customer", "model"]
    assert found["rows"][0]["device"] == "Gale 2023"
    found = tell(ada, found, sheet="2024", roles=None)
    assert (found["sheet"], [c["role"] for c in found["columns"]]) == ("2024", ["day", None, None])
    found = tell(ada, found, roles=["day", None, "model"])
    assert found["rows"][0]["device"] == "Gale 2024"


def test_a_whole_list_is_taken_back(ada, workshop):
    here = ada.new_job(customer_name="Ann Ode", customer_contact="+49 30 5550 1")
    before = rows_of(workshop, Customer)
    taken = take_in(ada, bring(ada, as_list(*ROWS)))
    gone = take_back(ada, taken)
    assert (gone["state"], gone["stay"]) == ("undone", [])
    assert [job["id"] for job in jobs(ada)] == [here["id"]]
    assert rows_of(workshop, Customer) == before
    assert rows_of(workshop, Device) == 1
    # It can be brought and taken in again.
    assert take_in(ada, bring(ada, as_list(*ROWS)))["counts"]["new"] == 3
    assert (
        "not taken in"
        in ada.problem("POST", f"/api/past-jobs/{taken['id']}/take-back", {"version": gone["version"]}, status=409)[
            "detail"
        ]
    )


def test_what_was_worked_on_since_stays_when_its_list_goes(ada):
    taken = take_in(ada, bring(ada, as_list(*ROWS)))
    first, second, _ = jobs(ada)
    # To look is no work: neither the record nor the counter holds a job back.
    for page in ("record", "counter", "record.pdf"):
        ada.call("GET", f"/api/jobs/{second['id']}/{page}")
    assert "comes from a list" in ada.problem("POST", f"/api/jobs/{first['id']}/links", {}, status=409)["detail"]
    # It is opened again, to be gone on with.
    ada.call("PUT", f"/api/jobs/{first['id']}/hand-over", {"version": first["version"], "handed_over": False})
    assert take_back(ada, taken)["stay"] == [first["number"]]
    assert [job["number"] for job in jobs(ada)] == [first["number"]]


def test_what_breaks_off_in_the_middle_leaves_nothing(ada, workshop, monkeypatch):
    found = bring(ada, as_list(*ROWS))

    def breaks(*given, number, **more):
        if number % 2 == 0:
            raise ValueError("the machine stops here")
        return usual(*given, number=number, **more)

    usual = taking._job_row
    monkeypatch.setattr(taking, "_job_row", breaks)
    assert take_in(ada, found, status=500)["detail"]
    assert jobs(ada) == []
    assert (rows_of(workshop, Customer), rows_of(workshop, Job)) == (0, 0)
    monkeypatch.undo()
    # The list is there still; numbers that were drawn are not given twice.
    assert take_in(ada, found)["counts"]["new"] == 3
    assert jobs(ada)[0]["number"] == 4


def test_nobody_waits_for_a_list_and_only_one_is_taken_in_at_a_time(app, ada, workshop, monkeypatch):
    monkeypatch.setattr(taking, "AT_A_TIME", 1)
    first, second = bring(ada, as_list(*ROWS)), bring(ada, as_list(ROWS[1].replace("78", "99")), "other.csv")
    reached, go_on, usual = threading.Event(), threading.Event(), taking._job_row

    def slow(*given, number, **more):
        if number == 2:
            reached.set()
            assert go_on.wait(20)
        return usual(*given, number=number, **more)

    monkeypatch.setattr(taking, "_job_row", slow)
    beside = Caller(app).sign_in("ada")
    with ThreadPoolExecutor(1) as one:
        taken = one.submit(take_in, ada, first)
        assert reached.wait(20)
        try:
            assert beside.call("GET", f"/api/past-jobs/{first['id']}/progress") == {"done": 1, "total": 3}
            # A device comes in meanwhile, with a number behind the list's, and settings are saved.
            assert beside.new_job(customer_name="Cy Blum")["number"] == 4
            assert workshop.database.engine.pool.checkedout() < 5
            refused = beside.problem(
                "POST", f"/api/past-jobs/{second['id']}/take-in", {"version": second["version"]}, status=409
            )
            assert refused["reason"] == "taking_in"
        finally:
            go_on.set()
        assert taken.result(30)["counts"]["new"] == 3
    assert beside.call("GET", f"/api/past-jobs/{first['id']}/progress") == {"done": 0, "total": 0}


def test_a_list_that_arrives_in_part_is_not_kept(workshop, shop):
    data = as_list(*ROWS)
    with refuses(Refused, match="Nothing was stored"):
        imports.bring(workshop, shop, io.BytesIO(data), expected=len(data) + 9, file_name="a.csv")
    assert rows_of(workshop, PastImport) == 0
    assert list(workshop.files.root.rglob("*.log")) == list((workshop.files.root / "incoming").iterdir())


def test_its_file_goes_when_it_is_taken_in_or_put_aside(ada, workshop):
    def kept():
        return list(workshop.files.root.rglob("*.log"))

    found, other = bring(ada, as_list(*ROWS)), bring(ada, as_list(ROWS[0]))
    assert len(kept()) == 2
    take_in(ada, found)
    ada.call("DELETE", f"/api/past-jobs/{other['id']}", status=204)
    assert kept() == []
    assert [row["state"] for row in ada.call("GET", "/api/past-jobs")["lists"]] == ["taken"]


def test_nothing_new_is_not_taken_in_and_nothing_twice(ada):
    found = bring(ada, as_list(ROWS[0].replace("2024-05-03", "soon")))
    refused = ada.problem("POST", f"/api/past-jobs/{found['id']}/take-in", {"version": found["version"]}, status=409)
    assert refused["reason"] == "nothing_new"
    found = bring(ada, as_list(*ROWS))
    taken = take_in(ada, found, headers={"Idempotency-Key": "k"})
    assert take_in(ada, found, headers={"Idempotency-Key": "k"}) == taken
    assert take_in(ada, found, status=409)["reason"] == "taken"
    assert len(jobs(ada)) == 3


@pytest.mark.parametrize("data", [b"", b"no list at all", b"PK\x03\x04broken", b"\x00\x01\x02" * 99])
def test_what_is_no_list_is_refused_and_not_kept(ada, workshop, data):
    assert ada.problem("POST", "/api/past-jobs?name=x.csv", data=data, status=422)["remedy"]
    assert rows_of(workshop, PastImport) == 0


def test_only_the_owner_and_only_this_shop(app, ada, stranger):
    found = bring(ada, as_list(*ROWS))
    assert stranger.problem("GET", f"/api/past-jobs/{found['id']}", status=404)["detail"]
    body = {"version": found["version"]}
    assert stranger.problem("POST", f"/api/past-jobs/{found['id']}/take-in", body, status=404)["detail"]
    assert stranger.call("GET", "/api/past-jobs")["lists"] == []
    tom = Caller(app).sign_in("tom")
    assert tom.problem("GET", "/api/past-jobs", status=403)["detail"]
