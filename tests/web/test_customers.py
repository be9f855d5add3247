"""What is kept of a customer: all of it as a file, and erased without the shop's figures going with it."""

import io
import json
import zipfile

import pytest
from sqlalchemy import text
from tests.web.conftest import Caller
from tests.web.test_counter import photo, save, signed

from vividowl.service.customers.kept import OF_NO_CUSTOMER
from vividowl.store.base import Base

WHO = {"customer_name": "Wen Abernathy", "customer_contact": "wen@post.example", "serial": "OV-4711"}
TOLD = {"symptom": "Wen says it is loud", "lives": "at Wen's desk"}


@pytest.fixture
def job(ada):
    """A job with all that a customer leaves behind: evidence, signatures, a photo, a note, a record with its link."""
    made = ada.served_job(**WHO, **TOLD)
    save(ada, made, accessories="Wen's charger")
    signed(ada, made)
    ada.call("POST", f"/api/jobs/{made}/photos/{PHOTO}", data=photo(), status=201)
    ada.call("POST", f"/api/jobs/{made}/counter/conditions", {"photo_id": PHOTO, "place": "lid"}, status=201)
    version = ada.call("GET", f"/api/jobs/{made}")["version"]
    body = {"version": version, "price_cents": 8900, "handover_note": "Greetings to Wen", "handed_over": True}
    ada.call("PUT", f"/api/jobs/{made}/hand-over", body)
    ada.call("POST", f"/api/jobs/{made}/links", status=201)
    return made


PHOTO = "0d9f6a52-94a7-4a55-9d4e-0b3d8a3d5f11"


def customer_of(ada, find="abernathy"):
    (found,) = ada.call("GET", f"/api/customers?find={find}")["customers"]
    return found


def data_of(ada, customer):
    with (
        ada.call("GET", f"/api/customers/{customer['id']}/data.zip") as answer,
        zipfile.ZipFile(io.BytesIO(answer.data)) as zipped,
    ):
        return {name: zipped.read(name) for name in zipped.namelist()}


def everything_in(workshop):
    """All texts of the database, as one."""
    with workshop.database.session() as session:
        rows = [
            str(row)
            for table in Base.metadata.sorted_tables
            for row in session.execute(text(f"SELECT row_to_json(t)::text FROM {table.name} t")).scalars()
        ]
    return "\n".join(rows)


def test_customers_are_found_by_name_and_contact(ada, job):
    ada.new_job(customer_name="Bo Rask", customer_contact="+49 30 5550 1")
    assert {c["name"] for c in ada.call("GET", "/api/customers")["customers"]} == {"Bo Rask", "Wen Abernathy"}
    assert customer_of(ada, "5550")["name"] == "Bo Rask"
    assert customer_of(ada, "post.example")["jobs"] == 1
    assert ada.call("GET", "/api/customers?find=nobody")["customers"] == []


def test_all_that_is_kept_comes_as_a_file(ada, job, workshop):
    other = ada.new_job(customer_name="Bo Rask", customer_contact="bo@post.example")
    customer = customer_of(ada)
    files = data_of(ada, customer)
    told = json.loads(files["customer.json"])
    tables = told["tables"]
    assert (told["shop"], tables["customer"][0]["contact"]) == ("One", "wen@post.example")
    assert tables["job"][0]["symptom"] == TOLD["symptom"]
    assert tables["device"][0]["serial"] == "OV-4711"
    assert [run["side"] for run in tables["run"]] == ["before", "after"]
    assert tables["counter_sheet"][0]["consent"]["strokes"]
    # People of the shop by their names, and nobody else's customer.
    assert tables["record_version"][0]["made_by"] == "Ada"
    assert other["customer_name"] not in files["customer.json"].decode()
    number = tables["job"][0]["number"]
    logs = [name for name in files if name.startswith(f"{number}/logs/")]
    assert len(logs) == 2
    assert files[f"{number}/record-v1.pdf"].startswith(b"%PDF-")
    assert json.loads(files[f"{number}/record-v1.json"])["job"]["customer_name"] == "Wen Abernathy"
    assert files[f"{number}/photos/{PHOTO}.jpg"][:2] == b"\xff\xd8"


def test_every_table_is_a_customers_or_said_to_be_nobodys(ada, job):
    tables = set(json.loads(data_of(ada, customer_of(ada))["customer.json"])["tables"])
    assert tables | OF_NO_CUSTOMER == {table.name for table in Base.metadata.sorted_tables}
    assert not tables & OF_NO_CUSTOMER


def test_erased_is_who_it_was_and_the_figures_stay(ada, job, workshop, nobody):
    before = ada.call("GET", f"/api/jobs/{job}/verdict")
    link = ada.call("GET", f"/api/jobs/{job}/links")["links"][0]["address"].rsplit("/", 1)[1]
    customer = customer_of(ada)
    gone = ada.call("POST", f"/api/customers/{customer['id']}/erase", {"name": "Wen Abernathy"})
    assert gone["erased_at"]
    assert gone["name"].startswith("Erased customer ")
    left = everything_in(workshop).lower()
    for told in ("abernathy", "wen@", "wen says", "wen's", "greetings", "ov-4711"):
        assert told not in left
    assert not list(workshop.files.root.rglob("*.jpg"))
    # What was measured and done is there as it was.
    after = ada.call("GET", f"/api/jobs/{job}/verdict")
    assert (after["verdict"], after["effects"]) == (before["verdict"], before["effects"])
    row = ada.call("GET", f"/api/jobs/{job}")
    assert (row["model"], row["price_cents"], row["cleaned"]) == ("Marrow 15", 8900, ["fins", "contact"])
    assert ada.call("GET", "/api/jobs?all=true&find=abernathy")["jobs"] == []
    assert nobody.problem("GET", f"/api/open/{link}", status=404)["detail"]
    # No record is made anew of a job that is nobody's.
    assert ada.call("GET", f"/api/jobs/{job}/record")["versions"] == []
    assert data_of(ada, customer)["customer.json"]
    assert ada.problem("POST", f"/api/jobs/{job}/links", status=409)["reason"] == "erased"


def test_nobody_is_erased_by_a_slip(ada, job):
    customer = customer_of(ada)
    address = f"/api/customers/{customer['id']}/erase"
    assert ada.problem("POST", address, {"name": "Wen"}, status=422)["errors"][0]["field"] == "name"
    open_job = ada.new_job(**{**WHO, "serial": ""})
    refused = ada.problem("POST", address, {"name": "Wen Abernathy"}, status=409)
    assert refused["detail"] == f"Job {open_job['number']} is still open."
    assert customer_of(ada)["erased_at"] is None


def test_a_device_that_has_passed_on_tells_neither_of_the_other(ada, job):
    first = ada.call("GET", f"/api/jobs/{job}")
    again = ada.new_job(customer_name="Bo Rask", device_id=first["device_id"], serial="OV-4711")
    told = data_of(ada, customer_of(ada, "rask"))["customer.json"].decode()
    assert "Bo Rask" in told
    assert not any(who in told for who in ("Abernathy", "Wen"))
    wen = customer_of(ada)
    assert "Rask" not in data_of(ada, wen)["customer.json"].decode()
    ada.call("POST", f"/api/customers/{wen['id']}/erase", {"name": "Wen Abernathy"})
    kept = ada.call("GET", f"/api/jobs/{again['id']}")
    assert (kept["customer_name"], kept["serial"]) == ("Bo Rask", "OV-4711")


def test_once_is_enough(ada, job):
    customer = customer_of(ada)
    gone = ada.call("POST", f"/api/customers/{customer['id']}/erase", {"name": "Wen Abernathy"})
    refused = ada.problem("POST", f"/api/customers/{customer['id']}/erase", {"name": gone["name"]}, status=409)
    assert refused["reason"] == "erased"


def test_only_the_owner_and_only_this_shop(app, ada, job, stranger):
    customer = customer_of(ada)
    assert stranger.call("GET", "/api/customers")["customers"] == []
    tom = Caller(app).sign_in("tom")
    for path in ("", "/data.zip"):
        assert stranger.problem("GET", f"/api/customers/{customer['id']}{path}", status=404)["detail"]
        assert tom.problem("GET", f"/api/customers/{customer['id']}{path}", status=403)["detail"]
    for who, status in ((stranger, 404), (tom, 403)):
        who.problem("POST", f"/api/customers/{customer['id']}/erase", {"name": "Wen Abernathy"}, status=status)
    assert customer_of(ada)["erased_at"] is None
