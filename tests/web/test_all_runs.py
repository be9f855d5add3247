"""All runs of a job: states, further runs, any two compared, a ranking."""

from concurrent.futures import ThreadPoolExecutor
from dataclasses import replace

import pytest
from tests.logs import COOL, HOT, log_bytes
from tests.web.conftest import Caller


def further(ada, job, *, name, log, seed, like="after", **conditions):
    """A further run with its log; its key."""
    found = ada.call("POST", f"/api/jobs/{job}/all-runs", {"name": name, "like": like, **conditions}, status=201)
    key = next(r["key"] for r in found["runs"] if r["name"] == name)
    ada.upload(job, key, log_bytes(log, seed=seed))
    return key


def test_before_and_after_are_the_references_of_the_first_and_the_latest_state(ada):
    job = ada.served_job()
    found = ada.call("GET", f"/api/jobs/{job}/all-runs")
    assert [(r["side"], r["key"]) for r in found["runs"]] == [("before", "before"), ("after", "after")]
    assert [s["cause"] for s in found["states"]] == ["found", "fitted"]
    assert [r["state_id"] for r in found["runs"]] == [s["id"] for s in found["states"]]
    (log,) = found["runs"][0]["logs"]
    assert log["resistance_k_per_w"] == pytest.approx(0.75 + 0.72 + 0.12, abs=0.05)  # as simulated
    (told, _) = ada.call("GET", f"/api/jobs/{job}/all-runs/figure?name=cpu_temperature")["values"]
    assert told == {"log": log["id"], "value": log["die_c"]}


def test_a_further_run_takes_the_conditions_of_another_and_has_its_own_log_and_figures(ada):
    job = ada.served_job()
    key = further(ada, job, name="fan at full", log=COOL, seed=9, fan_setting="full", room_c=22.0)
    row = next(r for r in ada.call("GET", f"/api/jobs/{job}/all-runs")["runs"] if r["key"] == key)
    after = ada.call("GET", f"/api/jobs/{job}/runs/after")
    assert (row["side"], row["fan_setting"], row["room_c"]) == ("other", "full", 22.0)
    assert row["load_recipe"] == after["load_recipe"]
    assert row["logs"][0]["rise_k"] is not None
    # It can be opened, measured and charted like Before and After.
    assert (
        ada.call("GET", f"/api/jobs/{job}/runs/{key}")["reading"]["stats"]["cpu_temperature"]["mean"]
        == row["logs"][0]["die_c"]
    )
    # Before and After stay what they are.
    assert ada.call("GET", f"/api/jobs/{job}/verdict")["verdict"].startswith("improved")


def test_a_log_dropped_under_all_runs_becomes_the_after_and_back(ada):
    job = ada.served_job()
    same = log_bytes(COOL, seed=41)
    path = f"/api/jobs/{job}"
    found = ada.call("POST", f"{path}/all-runs", {"name": "dropped first", "like": "after"}, status=201)
    run = next(r for r in found["runs"] if r["name"] == "dropped first")
    ada.upload(job, run["key"], same)
    refused = ada.problem("POST", f"{path}/runs/after/log?name=log.csv", data=same, status=409)
    assert refused["reason"] == "same_file_other_run"
    assert "the run “dropped first”" in refused["detail"]
    assert "Make that run the After in All runs" in refused["remedy"]
    was = ada.call("GET", f"{path}/runs/after")["trace"]["sha256"]
    found = ada.call("POST", f"{path}/all-runs/{run['id']}/reference", {"side": "after"})
    assert [r["name"] for r in found["runs"] if r["side"] == "other"] == ["Earlier After"]
    assert ada.call("GET", f"{path}/runs/after")["trace"]["sha256"] != was
    assert ada.call("GET", f"{path}/verdict")["verdict"].startswith("improved")
    earlier = next(r for r in found["runs"] if r["side"] == "other")
    ada.call("POST", f"{path}/all-runs/{earlier['id']}/reference", {"side": "after"})
    assert ada.call("GET", f"{path}/runs/after")["trace"]["sha256"] == was
    ada.problem("POST", f"{path}/all-runs/{earlier['id']}/reference", {"side": "after"}, status=404)


def test_a_run_that_was_taken_off_keeps_its_file_from_no_other(ada):
    job = ada.served_job()
    same = log_bytes(COOL, seed=42)
    found = ada.call("POST", f"/api/jobs/{job}/all-runs", {"name": "a mistake"}, status=201)
    run = next(r for r in found["runs"] if r["name"] == "a mistake")
    ada.upload(job, run["key"], same)
    ada.call("DELETE", f"/api/jobs/{job}/all-runs/{run['id']}")
    assert ada.upload(job, "after", same)["trace"] is not None


def test_states_follow_each_other_and_keep_what_has_not_changed(ada):
    job = ada.served_job()
    body = {"cause": "firmware", "firmware": "1.12"}
    found = ada.call("POST", f"/api/jobs/{job}/states", body, status=201)
    assert [(s["position"], s["cause"], s["firmware"]) for s in found["states"]] == [
        (1, "found", ""),
        (2, "fitted", ""),
        (3, "firmware", "1.12"),
    ]
    assert found["states"][2]["clean"] == "yes"
    key = further(ada, job, name="new firmware", log=COOL, seed=11)
    found = ada.call("GET", f"/api/jobs/{job}/all-runs")
    assert next(r for r in found["runs"] if r["key"] == key)["state_id"] == found["states"][2]["id"]
    moved = ada.call(
        "PUT", f"/api/jobs/{job}/all-runs/{key}", {"name": "old firmware", "state_id": found["states"][1]["id"]}
    )
    assert next(r for r in moved["runs"] if r["key"] == key)["name"] == "old firmware"


def test_any_two_runs_are_compared_with_their_conditions(ada):
    job = ada.served_job()
    same = further(ada, job, name="again", log=COOL, seed=12)
    other = further(ada, job, name="fan at full", log=COOL, seed=13, fan_setting="full")
    path = f"/api/jobs/{job}/compare?first=after&second="
    assert ada.call("GET", path + same)["verdict"] == "no_difference_shown"
    forbidden = ada.call("GET", path + other)
    assert forbidden["verdict"] == "cannot_be_compared"
    assert any("fan setting" in reason for reason in forbidden["reasons"])
    assert "not compared with itself" in ada.problem("GET", path + "after", status=422)["detail"]
    bare = ada.call("POST", f"/api/jobs/{job}/all-runs", {"name": "no log"}, status=201)["runs"][-1]["key"]
    assert "“no log” has no log yet" in ada.problem("GET", path + bare, status=404)["detail"]


def test_materials_are_ranked_with_ties_and_what_else_differed_is_told(ada):
    job = ada.served_job()
    for name, interface in (("sheet", 0.16), ("alloy", 0.15)):
        body = {"cause": "attempt", "words": name}
        ada.call("POST", f"/api/jobs/{job}/states", body, status=201)
        for k in range(2):
            further(ada, job, name=f"{name} {k}", log=replace(COOL, interface=interface), seed=20 + k, placement=name)
    ranked = ada.call("GET", f"/api/jobs/{job}/rank?by=state&value=resistance_K_per_W")
    assert [g["place"] for g in ranked["groups"]][-1] > 1
    assert ranked["groups"][-1]["group"] == "1"
    assert ranked["unlike"] == ["placement"]
    found = ada.call("GET", f"/api/jobs/{job}/all-runs")
    assert "state" in found["factors"]
    assert {"resistance_K_per_W", "rise_K", "cpu_temperature"} <= set(found["figures"])
    one = ada.problem("GET", f"/api/jobs/{job}/rank?by=firmware&value=rise_K", status=422)
    assert "No run says what it is to be ranked by" in one["detail"]


def test_ranking_and_verdict_say_the_same_of_the_same_pair_whatever_the_fan_did(ada):
    job = ada.served_job()
    ranked = ada.call("GET", f"/api/jobs/{job}/rank?by=state&value=resistance_K_per_W")
    pair = {e["quantity"]: e for e in ada.call("GET", f"/api/jobs/{job}/compare?first=before&second=after")["effects"]}
    assert ranked["fan_rpm"] == pytest.approx(pair["fan_speed"]["before"])
    means = {g["group"]: g["mean"] for g in ranked["groups"]}
    assert means["2"] - means["1"] == pytest.approx(pair["resistance_same_fan"]["difference"], abs=0.001)
    # Where the fan is what is ranked by, nothing takes it out.
    further(ada, job, name="fan fixed", log=replace(COOL, interface=0.2), seed=16, fan_setting="fixed 3000")
    assert ada.call("GET", f"/api/jobs/{job}/rank?by=fan&value=rise_K")["fan_rpm"] is None


def test_a_further_run_is_taken_off_and_brought_back_and_before_stays(ada):
    job = ada.served_job()
    key = further(ada, job, name="spare", log=COOL, seed=15)
    path = f"/api/jobs/{job}/all-runs/{key}"
    assert len(ada.call("DELETE", path)["runs"]) == 2
    assert len(ada.call("POST", path + "/restore", {})["runs"]) == 3
    before = ada.call("GET", f"/api/jobs/{job}/all-runs")["runs"][0]["id"]
    ada.problem("DELETE", f"/api/jobs/{job}/all-runs/{before}", status=404)


def test_runs_and_states_of_another_job_are_not_there(ada, stranger):
    job, other = ada.served_job(), ada.new_job(customer_name="Noor")["id"]
    key = further(ada, job, name="mine", log=HOT, seed=30)
    state = ada.call("GET", f"/api/jobs/{job}/all-runs")["states"][0]["id"]
    ada.problem("GET", f"/api/jobs/{other}/runs/{key}", status=404)
    ada.problem("POST", f"/api/jobs/{other}/all-runs", {"name": "x", "state_id": state}, status=404)
    stranger.problem("GET", f"/api/jobs/{job}/all-runs", status=404)


def test_looking_makes_no_state_and_many_who_write_first_at_once_make_one(app, ada, workshop):
    job = ada.new_job()["id"]
    assert ada.call("GET", f"/api/jobs/{job}/all-runs")["states"] == []
    callers = [Caller(app).sign_in("ada") for _ in range(6)]
    with ThreadPoolExecutor(6) as many:
        list(many.map(lambda c: c.call("POST", f"/api/jobs/{job}/all-runs", {"name": c.token[:8]}), callers))
    found = ada.call("GET", f"/api/jobs/{job}/all-runs")
    assert [s["cause"] for s in found["states"]] == ["found"]
    assert {r["state_id"] for r in found["runs"]} == {found["states"][0]["id"]}
    assert len(found["runs"]) == 6
