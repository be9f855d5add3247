"""Intake, gates, fit, lists."""

import uuid

import pytest


def test_a_device_is_taken_in_and_stands_on_the_bench(ada):
    job = ada.new_job(symptom="Loud", age_months=40)
    assert (job["number"], job["stage"], job["next_step"]) == (1, "before", "Take the Before reading of Marrow 15")
    (row,) = ada.call("GET", "/api/bench")["jobs"]
    assert row["id"] == job["id"]


@pytest.mark.parametrize(
    ("change", "field", "says"),
    [
        ({"model": "  "}, "model", "needed"),
        ({"customer_name": ""}, "customer_name", "needed"),
        ({"kind": "toaster"}, "kind", "laptop"),
        ({"age_months": -3}, "age_months", "allowed are 0 to 600 months"),
        ({"limit_c": 400}, "limit_c", "allowed are 40 to 150 °C"),
        ({"power_limit_cpu_w": 0}, "power_limit_cpu_w", "allowed are 1 to 2000 W"),
        ({"symptom": "a\x00b"}, "symptom", "cannot be stored"),
        ({"colour": "red"}, "colour", "no such field"),
        ({"symptom": "x" * 2001}, "symptom", "too long"),
    ],
)
def test_what_an_intake_cannot_be(ada, change, field, says):
    body = {"customer_name": "W", "kind": "laptop", "model": "M", **change}
    found = ada.problem("POST", "/api/jobs", body, status=422)
    assert found["errors"][0]["field"] == field
    assert says in found["errors"][0]["message"]
    assert ada.call("GET", "/api/bench")["total"] == 0


def test_two_people_do_not_write_over_each_other(ada):
    job = ada.new_job()
    body = {"customer_name": "Wen", "kind": "laptop", "model": "Marrow 15", "version": job["version"]}
    changed = ada.call("PUT", f"/api/jobs/{job['id']}", {**body, "symptom": "first"})
    stale = ada.problem("PUT", f"/api/jobs/{job['id']}", {**body, "symptom": "second"}, status=409)
    assert stale["reason"] == "stale"
    assert ada.call("GET", f"/api/jobs/{job['id']}")["symptom"] == changed["symptom"] == "first"


def test_the_same_write_twice_is_done_once(ada):
    body = {"customer_name": "Wen", "kind": "laptop", "model": "Marrow 15"}
    key = {"Idempotency-Key": str(uuid.uuid4())}
    first = ada.call("POST", "/api/jobs", body, headers=key, status=201)
    second = ada.call("POST", "/api/jobs", body, headers=key, status=201)
    assert first["id"] == second["id"]
    assert ada.call("GET", "/api/bench")["total"] == 1
    other = ada.problem("POST", "/api/jobs", {**body, "model": "Other"}, headers=key, status=422)
    assert "another write" in other["detail"]


def test_a_refused_write_does_not_use_its_key_up(ada):
    job, key = ada.new_job()["id"], {"Idempotency-Key": "k1"}
    ada.problem("POST", f"/api/jobs/{job}/runs/before/noise", {"level_db": -4}, headers=key, status=422)
    ada.call("POST", f"/api/jobs/{job}/runs/before/noise", {"level_db": 44}, headers=key, status=201)


def test_a_swollen_battery_stops_the_job_until_it_is_cleared(ada):
    job = ada.new_job(battery_swollen=True)
    assert job["stage"] == "stopped"
    assert job["reachable"] == ["intake"]
    gate = job["gates"][0]
    assert (gate["rule"], gate["severity"]) == ("swollen_battery", "stop")
    path = f"/api/jobs/{job['id']}"
    words = {"rule": "swollen_battery", "words": "never mind"}
    assert "not to be accepted away" in ada.problem("POST", f"{path}/acknowledgements", words, status=409)["detail"]
    assert ada.problem("POST", f"{path}/runs/before/noise", {"level_db": 40}, status=409)["reason"] == "stopped"
    # What is left out of a change stays: a stop is cleared by saying so.
    assert ada.call("PUT", path, {"version": 1, "tag": "R-7"})["stage"] == "stopped"
    assert ada.call("PUT", path, {"version": 2, "battery_swollen": False})["stage"] == "before"


def test_only_what_is_given_changes_and_every_change_counts(ada):
    job = ada.new_job(maker="Ondervale", serial="S-1", symptom="Loud")
    path = f"/api/jobs/{job['id']}"
    # The maker stands on the device, the customer in a row of its own: a change of either is one of the intake.
    assert ada.call("PUT", path, {"version": 1, "maker": "Tern"})["version"] == 2
    assert ada.problem("PUT", path, {"version": 1, "maker": "Gannet"}, status=409)["reason"] == "stale"
    now = ada.call("PUT", path, {"version": 2, "customer_contact": "030 1"})
    assert (now["version"], now["maker"], now["serial"], now["symptom"]) == (3, "Tern", "S-1", "Loud")
    assert ada.call("PUT", path, {"version": 3, "maker": ""})["maker"] == ""
    assert ada.call("PUT", path, {"version": 4, "maker": ""})["version"] == 4
    ada.problem("PUT", path, {"version": 4, "model": ""}, status=422)


def test_conditions_fit_and_hand_over_keep_what_is_not_given(ada):
    job = ada.new_job()["id"]
    ada.save_run(job, "before", room_c=22, load_recipe="Canyon loop")
    run = ada.call("PUT", f"/api/jobs/{job}/runs/before", {"version": 1, "placement": "stand"})
    assert (run["room_c"], run["load_recipe"], run["placement"]) == (22, "Canyon loop", "stand")
    path, version = f"/api/jobs/{job}", ada.call("GET", f"/api/jobs/{job}")["version"]
    fit = ada.call("PUT", f"{path}/fit", {"version": version, "cleaned": ["fins"], "fit_note": "felt", "done": False})
    kept = ada.call("PUT", f"{path}/fit", {"version": fit["version"], "cleaned": ["fan"], "done": False})
    assert (kept["cleaned"], kept["fit_note"]) == (["fan"], "felt")
    body = {"version": kept["version"], "handed_over": False}
    ada.call("PUT", f"{path}/hand-over", {**body, "price_cents": 8900})
    version = ada.call("GET", path)["version"]
    again = {"version": version, "handed_over": False, "handover_note": "Bring it back warm"}
    last = ada.call("PUT", f"{path}/hand-over", again)["job"]
    assert (last["price_cents"], last["handover_note"]) == (8900, "Bring it back warm")


def test_a_gate_is_acknowledged_by_name_in_words_and_only_once(ada):
    job = ada.new_job(warranty="running")["id"]
    fit = {"version": 1, "cleaned": ["fins"], "fit_note": "", "done": True}
    refused = ada.problem("PUT", f"/api/jobs/{job}/fit", fit, status=409)
    assert refused["reason"] == "gate_open"
    path = f"/api/jobs/{job}/acknowledgements"
    assert (
        "says nothing" in ada.problem("POST", path, {"rule": "warranty_and_seal", "words": " "}, status=422)["detail"]
    )
    words = {"rule": "warranty_and_seal", "words": "Owner accepts the loss"}
    (gate,) = ada.call("POST", path, words, status=201)["gates"]
    assert (gate["acknowledged_by"], gate["words"]) == ("Ada", "Owner accepts the loss")
    ada.problem("POST", path, words, status=409)
    assert ada.call("PUT", f"/api/jobs/{job}/fit", fit)["fit_done"]


def test_fitted_items_can_be_taken_off_and_brought_back(ada):
    job = ada.new_job()["id"]
    path = f"/api/jobs/{job}/fit/items"
    body = {
        "target": "cpu_die",
        "kind": "paste_stiff",
        "product": "Grey Heron 11",
        "lot": "GH",
        "amount": 0.08,
        "amount_unit": "g",
    }
    (item,) = ada.call("POST", path, body, status=201)["items"]
    assert ada.call("DELETE", f"{path}/{item['id']}")["items"] == []
    assert ada.call("POST", f"{path}/{item['id']}/restore")["items"] == [item]


@pytest.mark.parametrize(
    ("change", "says"),
    [
        ({"amount": -1, "amount_unit": "g"}, "Amount is −1 g"),
        ({"amount": 2, "amount_unit": ""}, "no unit"),
        ({"kind": "toothpaste"}, "paste_soft"),
    ],
)
def test_what_cannot_be_fitted(ada, change, says):
    job = ada.new_job()["id"]
    body = {"target": "cpu_die", "kind": "pad", **change}
    found = ada.problem("POST", f"/api/jobs/{job}/fit/items", body, status=422)
    assert says in found["errors"][0]["message"]


def test_an_empty_fit_cannot_be_closed(ada):
    job = ada.new_job()["id"]
    body = {"version": 1, "cleaned": [], "fit_note": "", "done": True}
    assert "Nothing is noted" in ada.problem("PUT", f"/api/jobs/{job}/fit", body, status=422)["detail"]


def test_suggestions_come_from_earlier_jobs_and_models_from_their_maker(ada):
    ada.new_job()
    ada.new_job(maker="Tessalay", model="Quill 14")
    url = "/api/suggestions?field="
    assert ada.call("GET", f"{url}maker")["suggestions"] == ["Ondervale", "Tessalay"]
    assert ada.call("GET", f"{url}model&within=Tessalay")["suggestions"] == ["Quill 14"]
    assert "Allowed" in ada.problem("GET", f"{url}password", status=422)["remedy"]


def test_lists_are_paged_and_searched(ada):
    for i in range(5):
        ada.new_job(
            customer_name=f"Customer {'abcde'[i] * 3}", customer_contact=f"0151 77{i} 12", symptom=f"Hisses {i}x"
        )
    page = ada.call("GET", "/api/jobs?limit=2&offset=2")
    assert (page["total"], len(page["jobs"])) == (5, 2)
    for words in ("customer%20ddd", "ddd%20cust", "DDD", "0151773", "hisses%203x%20marrow"):
        found = ada.call("GET", f"/api/jobs?find={words}")["jobs"]
        assert [j["customer_name"] for j in found] == ["Customer ddd"], words
    job = ada.call("GET", "/api/jobs?find=ddd")["jobs"][0]
    item = {"target": "cpu_die", "kind": "paste_stiff", "product": "Grey Heron 11", "lot": "GH-77", "amount": 0.1}
    ada.call("POST", f"/api/jobs/{job['id']}/fit/items", {**item, "amount_unit": "g"}, status=201)
    for words in ("find=gh-77", "find=heron&material=paste_stiff", "material=paste_stiff", "stage=before&find=ddd"):
        assert [j["id"] for j in ada.call("GET", f"/api/jobs?{words}")["jobs"]] == [job["id"]], words
    for words in ("material=paste_soft", "kind=console", "until=2020-01-01", "state=closed", "stage=fit"):
        assert ada.call("GET", f"/api/jobs?{words}")["total"] == 0, words
    assert [j["number"] for j in ada.call("GET", "/api/jobs?order=oldest")["jobs"]] == [1, 2, 3, 4, 5]
    assert ada.call("GET", "/api/jobs?find=5")["jobs"][0]["number"] == 5
    ada.problem("GET", "/api/jobs?limit=5000", status=422)


def test_unknown_addresses_are_told_so(ada):
    assert "nothing at /api/nowhere" in ada.problem("GET", "/api/nowhere", status=404)["detail"]
    ada.problem("GET", f"/api/jobs/{uuid.uuid4()}", status=404)


def test_broken_json_and_oversized_bodies_are_refused(ada):
    head = {"Content-Type": "application/json"}
    ada.problem("POST", "/api/jobs", data=b"{not json", headers=head, status=422)
    ada.problem("POST", "/api/jobs", data=b'{"symptom": "' + b"x" * 2_000_000 + b'"}', headers=head, status=413)


def test_a_fault_shows_no_traceback(app, ada, monkeypatch):
    def broken(*_args, **_kwargs):
        raise RuntimeError("secret inside")

    monkeypatch.setattr("vividowl.service.jobs.today.list_jobs", broken)
    found = ada.problem("GET", "/api/bench", status=500)
    assert "secret inside" not in str(found)
    assert "Something went wrong" in found["detail"]


def test_an_intake_tells_what_it_would_trip_before_it_is_saved(ada):
    asked = "kind=laptop&backup_done=no&warranty=running&battery_swollen=true"
    found = ada.call("GET", f"/api/intake/gates?{asked}")["gates"]
    assert [(g["rule"], g["severity"]) for g in found] == [
        ("swollen_battery", "stop"),
        ("warranty_and_seal", "acknowledge"),
        ("backup", "acknowledge"),
    ]
    assert all(g["remedy"] for g in found)
    ada.problem("GET", "/api/intake/gates?kind=toaster", status=422)
