"""The way from two logs to the customer's record."""

import io
import json
import subprocess
import sys
import zipfile
from datetime import UTC, datetime
from pathlib import Path

import jsonschema_rs
import pytest
from babel.dates import format_date
from pypdf import PdfReader
from sqlalchemy import delete, text, update
from tests.logs import COOL, HOT, log_bytes

from vividowl.formats.data_file import check_data_file
from vividowl.store.models import Shop
from vividowl.store.records import RecordVersion
from vividowl.web.description import KEPT
from vividowl.web.record.schema import schema

PUBLISHED = Path(__file__).parents[2] / "docs/record.schema.json"


def test_from_intake_to_pdf(ada):
    job = ada.served_job()
    verdict = ada.call("GET", f"/api/jobs/{job}/verdict")
    assert verdict["verdict"] == "improved"
    assert verdict["headline"].startswith("Improved: 38 K less at 45 W with the fan as before, throttled 9")
    assert verdict["culprit"] == "interface"
    by = {e["quantity"]: e for e in verdict["effects"]}
    assert set(by) == {
        "die_temperature",
        "rise",
        "power",
        "resistance",
        "resistance_same_fan",
        "sustained_capacity",
        "clock",
        "throttle_share",
        "fan_speed",
        "noise",
    }
    # Invented devices in closed form: 0.75 + 0.72 + 0.12 K/W before at full fan.
    assert by["resistance"]["before"] == pytest.approx(1.59, abs=0.05)
    assert by["noise"]["shown"] == "not_known"
    row = ada.call("GET", f"/api/jobs/{job}")
    assert (row["stage"], row["verdict"]) == ("handover", "improved")
    body = {
        "version": row["version"],
        "price_cents": 8900,
        "next_service_on": "2027-03-01",
        "handover_note": "Thanks",
        "handed_over": True,
    }
    record = ada.call("PUT", f"/api/jobs/{job}/hand-over", body)
    assert record["job"]["stage"] == "done"
    pdf = ada.call("GET", f"/api/jobs/{job}/record.pdf")
    assert pdf.mimetype == "application/pdf"
    assert pdf.data.startswith(b"%PDF-")
    assert ada.call("GET", "/api/bench")["total"] == 0
    refused = ada.problem("POST", f"/api/jobs/{job}/runs/after/noise", {"level_db": 40}, status=409)
    assert refused["reason"] == "handed_over"


def test_the_data_file_holds_what_was_measured_byte_for_byte_and_is_signed(ada, tmp_path):
    job = ada.served_job()
    path = tmp_path / "record.zip"
    path.write_bytes(ada.call("GET", f"/api/jobs/{job}/record.zip").data)
    found = check_data_file(path)
    assert found.untouched
    assert found.manifest["shop"] == ada.call("GET", "/api/session")["person"]["shop_name"]
    with zipfile.ZipFile(path) as zipped:
        logs = [zipped.read(name) for name in sorted(zipped.namelist()) if name.startswith("logs/")]
        assert logs == [log_bytes(COOL, seed=2, room_c=25.5), log_bytes(HOT, seed=1)]
        shown = ada.call("GET", f"/api/jobs/{job}/record")
        assert {**json.loads(zipped.read("record.json")), "versions": []} == shown
        assert zipped.read("record.pdf").startswith(b"%PDF-")
    # Anyone may ask whose key it is; the next record of the shop is signed with the same one.
    told = ada.call("GET", f"/api/keys/{found.fingerprint}")
    assert (told["state"], told["shop"]) == ("signs", found.manifest["shop"])
    assert ada.call("GET", f"/api/keys/{'0' * 64}") == {"state": "unknown", "shop": None, "since": None}
    ada.problem("GET", "/api/keys/guess", status=422)
    path.write_bytes(ada.call("GET", f"/api/jobs/{job}/record.zip").data)
    assert check_data_file(path).fingerprint == found.fingerprint


def close(ada, job, *, status=200, **change):
    """Hand a job over, or change what was."""
    version = ada.call("GET", f"/api/jobs/{job}")["version"]
    body = {"version": version, "price_cents": 8900, "handed_over": True, **change}
    if status != 200:
        return ada.problem("PUT", f"/api/jobs/{job}/hand-over", body, status=status)
    return ada.call("PUT", f"/api/jobs/{job}/hand-over", body)


def test_a_hand_over_can_be_taken_back_and_the_next_one_says_why(ada):
    job = ada.served_job()
    close(ada, job)
    back = close(ada, job, handed_over=False)
    assert (back["job"]["stage"], back["version"]) == ("handover", None)
    refused = close(ada, job, status=422)
    assert (refused["reason"], refused["errors"][0]["field"]) == ("why", "why")
    assert "Version 1 of this record was handed over" in refused["detail"]
    again = close(ada, job, why="Taken back by mistake.")
    assert [(v["number"], v["why"]) for v in again["versions"]] == [(2, "Taken back by mistake."), (1, "")]


def test_what_is_put_right_later_is_a_version_of_its_own_and_the_old_one_stays_verifiable(ada, workshop, tmp_path):
    job = ada.served_job()
    first = close(ada, job, handover_note="Keep the vents free.")
    assert (first["version"]["number"], first["version"]["made_by"]) == (1, "Ada")
    refused = close(ada, job, price_cents=9900, handover_note="Keep the vents free.", status=422)
    assert refused["errors"][0]["field"] == "why"
    assert ada.call("GET", f"/api/jobs/{job}/record")["job"]["price_cents"] == 8900
    # What is sent again unchanged is no new version, and needs no reason.
    assert len(close(ada, job, handover_note="Keep the vents free.")["versions"]) == 1
    second = close(ada, job, price_cents=9900, handover_note="Keep the vents free.", why="The pads were forgotten.")
    assert (second["version"]["number"], second["job"]["price_cents"]) == (2, 9900)
    assert [v["number"] for v in second["versions"]] == [2, 1]

    def downloaded(query):
        path = tmp_path / f"record{query[-1:]}.zip"
        path.write_bytes(ada.call("GET", f"/api/jobs/{job}/record.zip{query}").data)
        with zipfile.ZipFile(path) as zipped:
            return path, json.loads(zipped.read("record.json")), zipped.read("record.pdf")

    old_path, old, old_pdf = downloaded("?version=1")
    new_path, new, new_pdf = downloaded("")
    assert (old["job"]["price_cents"], new["job"]["price_cents"]) == (8900, 9900)
    assert (old["version"]["number"], new["version"]["number"]) == (1, 2)
    assert new["version"]["why"] == "The pads were forgotten."
    assert old_pdf == ada.call("GET", f"/api/jobs/{job}/record.pdf?version=1").data != new_pdf
    for path, number in ((old_path, 1), (new_path, 2)):
        found = check_data_file(path)
        assert (found.untouched, found.repacked, found.manifest["record_version"]) == (True, False, number)
    # The old one is the same to the last byte whenever it is asked for, whatever the shop is called by then.
    before = old_path.read_bytes()
    with workshop.database.session() as session:
        session.execute(update(Shop).values(name="Another Name"))
    assert downloaded("?version=1")[0].read_bytes() == before
    assert ada.call("GET", f"/api/jobs/{job}/record")["shop_name"] == first["shop_name"]
    assert ada.problem("GET", f"/api/jobs/{job}/record?version=3", status=404)["detail"].startswith("There is no such")


def test_a_job_closed_before_versions_were_kept_gets_its_first_when_it_is_asked_for(ada, workshop):
    job = ada.served_job()
    close(ada, job)
    with workshop.database.session() as session:
        session.execute(delete(RecordVersion))
    again = ada.call("GET", f"/api/jobs/{job}/record")
    assert [v["number"] for v in again["versions"]] == [1]
    assert "draft" not in ada.call("GET", f"/api/jobs/{job}/record.pdf").headers["Content-Disposition"]
    ada.call("POST", f"/api/jobs/{job}/links", status=201)


def test_a_draft_says_that_it_is_one(ada, tmp_path):
    job = ada.served_job()
    assert ada.call("GET", f"/api/jobs/{job}/record")["version"] is None
    path = tmp_path / "draft.zip"
    answer = ada.call("GET", f"/api/jobs/{job}/record.zip")
    path.write_bytes(answer.data)
    assert "draft" in answer.headers["Content-Disposition"]
    assert check_data_file(path).manifest["record_version"] is None


def test_without_an_after_there_is_no_verdict_and_no_hand_over(ada):
    job = ada.new_job()["id"]
    ada.upload(job, "before", log_bytes(HOT))
    assert ada.problem("GET", f"/api/jobs/{job}/verdict", status=409)["reason"] == "not_yet"
    body = {"version": 1, "handed_over": True}
    assert "proves nothing yet" in ada.problem("PUT", f"/api/jobs/{job}/hand-over", body, status=409)["detail"]
    assert ada.call("GET", f"/api/jobs/{job}/record")["verdict"] is None
    assert ada.call("GET", f"/api/jobs/{job}/record.pdf").data.startswith(b"%PDF-")


def test_another_fan_setting_forbids_the_verdict_and_the_bench_says_what_to_do(ada):
    job = ada.served_job()
    ada.save_run(job, "after", fan_setting="fixed, full", room_c=25.5)
    verdict = ada.call("GET", f"/api/jobs/{job}/verdict")
    assert verdict["verdict"] == "cannot_be_compared"
    assert "fan setting was “automatic” before and “fixed, full” after" in verdict["reasons"][0]
    row = ada.call("GET", f"/api/jobs/{job}")
    assert (row["stage"], "repeat one" in row["next_step"]) == ("verdict", True)


def test_phase_change_is_not_judged_in_its_first_minutes(ada):
    job = ada.served_job()
    ada.call("POST", f"/api/jobs/{job}/fit/items", {"target": "cpu_die", "kind": "phase_change_sheet"}, status=201)
    assert "heat cycles" in ada.call("GET", f"/api/jobs/{job}/verdict")["notes"][0]


def test_the_next_date_is_proposed_with_its_reason(ada):
    job = ada.new_job(surroundings="pets")["id"]
    record = ada.call("GET", f"/api/jobs/{job}/record")
    assert "dust" in record["proposed_service_reason"]


@pytest.mark.parametrize("change", [{"price_cents": -1}, {"price_cents": 10**9}, {"next_service_on": "31.02.2027"}])
def test_impossible_prices_and_dates_are_refused(ada, change):
    job = ada.served_job()
    ada.problem("PUT", f"/api/jobs/{job}/hand-over", {"version": 2, "handed_over": False, **change}, status=422)


def test_the_openapi_document_and_the_client_types_are_up_to_date():
    written = subprocess.run(
        [sys.executable, "-m", "vividowl.web.describe"], capture_output=True, text=True, check=True
    )
    assert KEPT.read_text() == written.stdout, f"write {KEPT.name} anew: vividowl.web.describe, then npm run api in ui"


def test_the_page_is_served_for_every_address_outside_the_api(nobody):
    for path in ("/", "/jobs/new", "/jobs/123/before"):
        with nobody.client.get(path) as answer:
            assert (answer.status_code, answer.mimetype) == (200, "text/html")
    assert nobody.client.get("/assets/none.js").status_code == 404
    # Out of the folder leads nowhere, whether there is a file or not.
    for path in ("/../pyproject.toml", "/../none.toml"):
        assert nobody.client.get(path).status_code == 404


@pytest.mark.parametrize(
    ("language", "says"), [("de", "Jetzt läuft es unter derselben Last"), ("es", "Ahora, con la misma carga")]
)
def test_a_record_leaves_the_house_in_the_language_of_its_customer(ada, monkeypatch, tmp_path, language, says):
    def hole(words):
        raise AssertionError(f"{words} has no {language}")

    monkeypatch.setattr(sys.modules["vividowl.words.sentence"], "in_english", hole)
    job = ada.served_job(language=language, place="desk", surroundings="pets")
    item = {"target": "cpu_die", "kind": "phase_change_sheet", "amount": 1, "amount_unit": "pieces"}
    ada.call("POST", f"/api/jobs/{job}/fit/items", item, status=201)
    record = close(ada, job)
    assert (record["language"], record["plain"]["now"].startswith(says)) == (language, True)
    text = text_of(ada.call("GET", f"/api/jobs/{job}/record.pdf").data)
    assert says in text
    assert {"de": "kalt", "es": "en frío"}[language] in text
    path = tmp_path / "record.zip"
    path.write_bytes(ada.call("GET", f"/api/jobs/{job}/record.zip").data)
    with zipfile.ZipFile(path) as zipped:
        assert json.loads(zipped.read("record.json"))["plain"] == record["plain"]


def text_of(pdf):
    return " ".join("".join(page.extract_text() for page in PdfReader(io.BytesIO(pdf)).pages).split())


def test_what_leaves_the_house_fits_its_published_schema(ada, tmp_path):
    """record.json against docs/record.schema.json, by a validator of JSON Schema (draft 2020-12) that is not ours."""
    assert PUBLISHED.read_text() == f"{schema()}\n", "run python -m vividowl.web.record.schema"
    published = json.loads(PUBLISHED.read_text())
    jsonschema_rs.meta.validate(published)
    job = ada.served_job()
    close(ada, job)
    path = tmp_path / "record.zip"
    path.write_bytes(ada.call("GET", f"/api/jobs/{job}/record.zip").data)
    with zipfile.ZipFile(path) as zipped:
        record = json.loads(zipped.read("record.json"))
    jsonschema_rs.validate(published, record)
    for broken in ({**record, "lead": 3}, {n: v for n, v in record.items() if n != "job"}):
        assert not jsonschema_rs.is_valid(published, broken)


def test_a_record_that_was_not_kept_says_that_it_is_written_anew_and_when_it_was_handed_over(ada, workshop):
    job = ada.served_job(language="de")
    # What is kept at the hand-over is what was said then.
    assert close(ada, job)["version"]["anew"] == ""
    with workshop.database.session() as session:
        session.execute(text("ALTER TABLE record_version DISABLE TRIGGER USER"))
        session.execute(text("DELETE FROM record_version"))
        session.execute(text("ALTER TABLE record_version ENABLE TRIGGER USER"))
        session.execute(text("UPDATE job SET handed_over_at = '2026-03-02 09:00Z'"))
    found = ada.call("GET", f"/api/jobs/{job}/record")
    today = format_date(datetime.now(UTC).date(), "long", "de")
    assert found["version"]["anew"].startswith(f"Am {today} aus den Messungen neu erstellt, mit Version ")
    assert "der am 2. März 2026 übergeben wurde" in found["version"]["anew"]
    assert found["job"]["handed_over_at"].startswith("2026-03-02")
    assert found["versions"][0]["anew"] == found["version"]["anew"]
    pdf = PdfReader(io.BytesIO(ada.call("GET", f"/api/jobs/{job}/record.pdf").data))
    assert "neu erstellt" in pdf.pages[0].extract_text().replace("\n", " ")
