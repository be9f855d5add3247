"""Settings of the shop: who may change them, what is allowed, and that verdicts follow."""

from dataclasses import replace
from datetime import datetime, timedelta
from zoneinfo import ZoneInfo

import pytest
from sqlalchemy import text
from tests.web.conftest import PASSWORD, Caller

from vividowl.core.quantities.uncertainty import TOLERANCE_LIMITS, Tolerances


def wanted(ada, **changes):
    found = ada.call("GET", "/api/shop")
    return {
        "version": found["version"],
        "reference_room_c": changes.pop("reference_room_c", found["reference_room_c"]),
        "habits": found["habits"],
        "tolerances": {**found["tolerances"], **changes},
    }


def test_a_new_shop_has_the_usual_tolerances_and_all_can_be_set(ada):
    found = ada.call("GET", "/api/shop")
    assert found["tolerances"] == found["usual"]
    assert set(found["usual"]) == set(TOLERANCE_LIMITS) == set(Tolerances.__dataclass_fields__)
    saved = ada.call("PUT", "/api/shop", wanted(ada, run_to_run_k=0.4, reference_room_c=22))
    assert (saved["tolerances"]["run_to_run_k"], saved["reference_room_c"]) == (0.4, 22)
    assert ada.call("GET", "/api/shop") == saved


@pytest.mark.parametrize(
    ("change", "field", "says"),
    [
        ({"room_k": -1}, "room_k", "Room thermometer is −1 K, allowed are 0 to 5 K"),
        ({"power_share": 2}, "power_share", "allowed are 0 to 0.5 of the value"),
        ({"reference_room_c": 240}, "room_c", "allowed are −10 to 60 °C"),
    ],
)
def test_absurd_ones_are_refused_and_nothing_changes(ada, change, field, says):
    before = ada.call("GET", "/api/shop")
    found = ada.problem("PUT", "/api/shop", wanted(ada, **change), status=422)
    assert (found["errors"][0]["field"], says in found["errors"][0]["message"]) == (field, True)
    assert ada.call("GET", "/api/shop") == before


def test_a_zone_is_of_the_list_and_jobs_are_found_by_its_days(ada):
    job = ada.new_job(done_on=None)["id"]
    body = wanted(ada)
    refused = ada.problem("PUT", "/api/shop", {**body, "habits": {**body["habits"], "zone": "Here"}}, status=422)
    assert "Name one of the IANA list" in refused["errors"][0]["remedy"]
    ada.call("PUT", "/api/shop", {**body, "habits": {**body["habits"], "zone": "Pacific/Kiritimati"}})
    assert ada.call("GET", "/api/session")["person"]["zone"] == "Pacific/Kiritimati"
    today = datetime.now(ZoneInfo("Pacific/Kiritimati")).date()
    for since, found in ((today, [job]), (today + timedelta(days=1), [])):
        assert [j["id"] for j in ada.call("GET", f"/api/jobs?since={since}")["jobs"]] == found


def test_a_technician_may_look_and_not_touch(app, ada):
    tom = Caller(app).sign_in("tom")
    assert tom.call("GET", "/api/shop")["name"] == "One"
    assert "Only an owner" in tom.problem("PUT", "/api/shop", wanted(ada), status=403)["detail"]


def test_the_verdict_of_an_open_job_follows_and_the_owl_with_it(ada):
    job = ada.served_job()
    before = ada.call("GET", f"/api/jobs/{job}/verdict")

    def u95(verdict):
        return next(e["u95"] for e in verdict["effects"] if e["quantity"] == "die_temperature")

    ada.call("PUT", "/api/shop", wanted(ada, run_to_run_k=10, room_k=5, power_share=0.5))
    after = ada.call("GET", f"/api/jobs/{job}/verdict")
    assert u95(after) > 3 * u95(before)
    assert ada.call("GET", f"/api/jobs/{job}")["verdict"] == after["verdict"]


def test_a_record_that_was_handed_over_keeps_what_it_was_judged_by(ada):
    job = ada.served_job()
    version = ada.call("GET", f"/api/jobs/{job}")["version"]
    given = ada.call("PUT", f"/api/jobs/{job}/hand-over", {"version": version, "handed_over": True})["verdict"]
    ada.call("PUT", "/api/shop", wanted(ada, run_to_run_k=10, reference_room_c=35))
    assert ada.call("GET", f"/api/jobs/{job}/record")["verdict"] == given
    # Taken back it is open again, and the present settings count.
    back = ada.call("PUT", f"/api/jobs/{job}/hand-over", {"version": version + 1, "handed_over": False})["verdict"]
    assert back["effects"] != given["effects"]


def test_settings_do_not_write_over_a_colleagues(ada):
    body = wanted(ada, room_k=1.5)
    ada.call("PUT", "/api/shop", body)
    assert ada.problem("PUT", "/api/shop", body, status=409)["reason"] == "stale"


def test_an_owner_lets_people_in_and_shuts_them_out_but_not_themselves(ada, app):
    body = {"name": "Joris", "login": "joris", "role": "technician", "password": PASSWORD}
    found = ada.call("POST", "/api/shop/people", body, status=201)["people"]
    assert {p["login"]: p["me"] for p in found}["joris"] is False
    assert ada.problem("POST", "/api/shop/people", body, status=409)["errors"][0]["field"] == "login"
    joris = Caller(app).sign_in("joris")
    joris.problem("GET", "/api/shop/people", status=403)
    ids = {p["login"]: p["id"] for p in found}
    ada.call("PUT", f"/api/shop/people/{ids['joris']}", {"active": False})
    joris.problem("GET", "/api/jobs", status=401)
    me = next(p["id"] for p in found if p["me"])
    assert "yourself out" in ada.problem("PUT", f"/api/shop/people/{me}", {"active": False}, status=409)["detail"]


def test_settings_are_saved_before_open_jobs_are_judged_anew(app, ada, workshop):
    ada.served_job()
    waiting = []
    later = replace(workshop, later=waiting.append)
    app.extensions["workshop"] = later
    try:
        saved = ada.call("PUT", "/api/shop", wanted(ada, run_to_run_k=10))
        # Nobody holds the shop while its jobs are judged: it can be saved again.
        again = ada.call("PUT", "/api/shop", {**wanted(ada, run_to_run_k=9), "version": saved["version"]})
    finally:
        app.extensions["workshop"] = workshop
    assert again["tolerances"]["run_to_run_k"] == 9
    assert len(waiting) == 2
    with workshop.database.session() as session:
        session.execute(text("""UPDATE run SET glance = glance || '{"verdict": "worse"}' WHERE side = 'after'"""))
    waiting[1]()
    assert ada.call("GET", "/api/jobs")["jobs"][0]["verdict"] == "improved"
