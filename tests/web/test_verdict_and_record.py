"""The way from two logs to the customer's record."""

import json
import subprocess
import sys
import zipfile

import pytest
from tests.logs import COOL, HOT, log_bytes

from vividowl.formats.data_file import check_data_file
from vividowl.web.description import KEPT


def test_from_intake_to_pdf(ada):
    job = ada.served_job()
    verdict = ada.call("GET", f"/api/jobs/{job}/verdict")
    assert verdict["verdict"] == "improved"
    assert verdict["headline"].startswith("Improved: same load, 45 → 58 W, clock +9 %, throttled 9")
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
        assert json.loads(zipped.read("record.json")) == ada.call("GET", f"/api/jobs/{job}/record")
        assert zipped.read("record.pdf").startswith(b"%PDF-")
    # Anyone may ask whose key it is; the next record of the shop is signed with the same one.
    told = ada.call("GET", f"/api/keys/{found.fingerprint}")
    assert (told["state"], told["shop"]) == ("signs", found.manifest["shop"])
    assert ada.call("GET", f"/api/keys/{'0' * 64}") == {"state": "unknown", "shop": None, "since": None}
    ada.problem("GET", "/api/keys/guess", status=422)
    path.write_bytes(ada.call("GET", f"/api/jobs/{job}/record.zip").data)
    assert check_data_file(path).fingerprint == found.fingerprint


def test_a_hand_over_can_be_taken_back(ada):
    job = ada.served_job()
    version = ada.call("GET", f"/api/jobs/{job}")["version"]
    ada.call("PUT", f"/api/jobs/{job}/hand-over", {"version": version, "handed_over": True})
    back = ada.call("PUT", f"/api/jobs/{job}/hand-over", {"version": version + 1, "handed_over": False})
    assert back["job"]["stage"] == "handover"


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
    with nobody.client.get("/../pyproject.toml") as answer:
        assert answer.mimetype == "text/html"
