"""Devices and their visits: which one comes in, two put together, one taken apart, and what its visits say."""

from datetime import timedelta

import pytest
from tests.logs import COOL, HOT, log_bytes
from tests.web.test_all_runs import further

from vividowl.service.clock import server_now


def visit(ada, device=None, *, before=HOT, after=COOL, seed=1, days_ago=0, **fields):
    """A visit with both runs; its job as it was taken in."""
    known = {"device_id": device} if device else {}
    on = str(server_now().date() - timedelta(days=days_ago)) if days_ago else None
    job = ada.new_job(done_on=on, **known, **fields)
    ada.save_run(job["id"], "before")
    ada.upload(job["id"], "before", log_bytes(before, seed=seed))
    if after is not None:
        ada.save_run(job["id"], "after")
        ada.upload(job["id"], "after", log_bytes(after, seed=seed + 1))
    return job


def test_two_equal_laptops_of_one_customer_are_two_devices_until_somebody_says_otherwise(ada):
    first, second = ada.new_job(), ada.new_job()
    assert first["device_id"] != second["device_id"]
    page = ada.call("GET", "/api/devices")
    assert page["total"] == 2
    (group,) = page["may_be_one"]
    assert {d["id"] for d in group["devices"]} == {first["device_id"], second["device_id"]}
    path = f"/api/devices/{first['device_id']}/merge"
    whole = ada.call("POST", path, {"other": second["device_id"]}, status=201)
    assert [v["number"] for v in whole["visits"]] == [first["number"], second["number"]]
    page = ada.call("GET", "/api/devices")
    assert (page["total"], page["may_be_one"]) == (1, [])
    # Taken back, each has its own visit again.
    (change,) = whole["changes"]
    ada.call("POST", f"/api/devices/changes/{change['id']}/undo", {}, status=201)
    assert ada.call("GET", "/api/devices")["total"] == 2
    again = ada.problem("POST", f"/api/devices/changes/{change['id']}/undo", {}, status=409)
    assert "taken back already" in again["detail"]


def test_a_visit_that_was_another_device_is_taken_apart(ada):
    first = ada.new_job(serial="A-1")
    second = ada.new_job(device_id=first["device_id"], serial="A-1")
    alone = ada.call("POST", f"/api/devices/{first['device_id']}/split", {"job": second["id"]}, status=201)
    assert [v["number"] for v in alone["visits"]] == [second["number"]]
    assert alone["serial"] == ""
    left = ada.problem("POST", f"/api/devices/{first['device_id']}/split", {"job": first["id"]}, status=409)
    assert "only visit" in left["detail"]


def test_a_serial_number_that_is_known_is_asked_about(ada):
    first = ada.new_job(serial="SN 77", model="Marrow 15")
    asked = ada.problem(
        "POST",
        "/api/jobs",
        {"customer_name": "Noor", "kind": "laptop", "model": "Marrow 15", "serial": "sn 77"},
        status=409,
    )
    assert asked["reason"] == "serial_known"
    assert "that has been here" in asked["detail"]
    same = ada.new_job(serial="SN 77", device_id=first["device_id"])
    assert same["device_id"] == first["device_id"]
    other = ada.new_job(serial="SN 77", another_device=True)
    assert other["device_id"] != first["device_id"]
    both = ada.problem(
        "POST", f"/api/devices/{ada.new_job(serial='X')['device_id']}/merge", {"other": other["device_id"]}, status=409
    )
    assert "two devices" in both["detail"]


def test_a_device_that_lost_much_since_its_service_is_not_fine(ada):
    first = visit(ada, days_ago=400, seed=1)
    visit(ada, device=first["device_id"], after=None, seed=5)
    second = ada.call("GET", f"/api/devices/{first['device_id']}")["visits"][1]["job_id"]
    # The reading itself says so, too, whatever others of its kind do.
    assert "from 40 % on a device is not fine" in ada.call("GET", f"/api/jobs/{second}/runs/before")["findings"][0]
    found = ada.call("GET", f"/api/devices/{first['device_id']}")
    assert [v["after"] is None for v in found["visits"]] == [False, True]
    assert found["advice"] == "redo"
    # As simulated: 1.59 K/W at 4200 rpm is 1.73 at the 2930 rpm of the After run, which had 0.80 K/W: 117 %.
    assert found["lost_percent"] == pytest.approx(117, abs=12)
    assert "is not fine" in found["reasons"][0]
    assert found["drift"]["slope_k_per_w_month"] > 0
    assert found["limit_k_per_w"] > 0
    assert 12 < found["visits"][1]["months"] < 14


def test_the_room_of_a_further_run_does_not_decide_a_devices_limit(ada):
    first = visit(ada, days_ago=400, seed=1)
    visit(ada, device=first["device_id"], after=None, seed=5)
    second = ada.call("GET", f"/api/devices/{first['device_id']}")["visits"][1]["job_id"]
    limit = ada.call("GET", f"/api/devices/{first['device_id']}")["limit_k_per_w"]
    further(ada, second, name="in the sun", log=HOT, seed=9, like="before", room_c=38.0)
    assert ada.call("GET", f"/api/devices/{first['device_id']}")["limit_k_per_w"] == limit
    ada.save_run(second, "before", room_c=30.0)
    assert ada.call("GET", f"/api/devices/{first['device_id']}")["limit_k_per_w"] < limit


def test_a_device_without_a_later_visit_is_not_judged(ada):
    found = ada.call("GET", f"/api/devices/{visit(ada)['device_id']}")
    assert (found["advice"], found["drift"]) == ("unknown", None)
    assert "No visit since the last service" in found["reasons"][0]
    bare = ada.call("GET", f"/api/devices/{ada.new_job()['device_id']}")
    assert "No visit has an After reading" in bare["reasons"][0]


def test_a_technician_puts_no_devices_together_and_no_shop_sees_those_of_another(ada, stranger):
    first, second = ada.new_job(), ada.new_job()
    stranger.problem("GET", f"/api/devices/{first['device_id']}", status=404)
    stranger.problem("POST", f"/api/devices/{first['device_id']}/merge", {"other": second["device_id"]}, status=404)
    assert stranger.call("GET", "/api/devices")["total"] == 0


def test_a_visit_on_other_terms_tells_no_loss(ada):
    first = visit(ada, days_ago=400, seed=1)
    second = visit(ada, device=first["device_id"], after=None, seed=5)
    ada.save_run(second["id"], "before", fan_setting="quiet")
    found = ada.call("GET", f"/api/devices/{first['device_id']}")
    assert (found["advice"], found["lost_percent"]) == ("unknown", None)
    assert "other terms" in found["reasons"][0]
    assert "since the last service" not in " ".join(
        ada.call("GET", f"/api/jobs/{second['id']}/runs/before")["findings"]
    )


def test_what_was_found_and_fitted_the_last_time_is_laid_before_the_next_plan(ada):
    first = visit(ada, serial="A-1", days_ago=200)
    found = {
        "cpu_die_width_mm": 14.0,
        "cpu_die_length_mm": 11.0,
        "cold_plate": "copper",
        "aluminium_near": "no",
        "dust": "felt",
    }
    found["parts_exposed"] = "no"
    version = ada.call("GET", f"/api/jobs/{first['id']}/plan")["version"]
    ada.call("PUT", f"/api/jobs/{first['id']}/plan", {"version": version, "goal": "cooler", "found": found})
    alloy = {"target": "cpu_die", "kind": "gallium_alloy", "product": "Quicksheen"}
    ada.call("POST", f"/api/jobs/{first['id']}/fit/items", alloy, status=201)
    again = visit(ada, first["device_id"], after=None, seed=30, serial="A-1")
    plan = ada.call("GET", f"/api/jobs/{again['id']}/plan")
    seen = plan["found"]
    assert (seen["cpu_die_width_mm"], seen["cold_plate"], seen["old_interface"]) == (14.0, "copper", "alloy")
    # Dust is of its day, and bare parts round the die are looked at each time before alloy goes there.
    assert (seen["dust"], seen["parts_exposed"]) == ("unknown", "unknown")
    assert f"From the last visit, job {first['number']}" in plan["remembered"]
    assert "on the dies Quicksheen" in plan["remembered"]
    stranger = visit(ada, after=None, seed=40, serial="B-2")
    assert ada.call("GET", f"/api/jobs/{stranger['id']}/plan")["remembered"] == ""
