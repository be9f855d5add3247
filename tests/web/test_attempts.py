"""A failed service: not handed over but looked into; another attempt from the start, and both side by side."""

import uuid
from dataclasses import replace
from datetime import UTC, datetime, timedelta

import pytest
from tests.logs import COOL, HOT, log_bytes

MILD = replace(HOT, interface=0.3, sink=0.5)
BAD = replace(MILD, interface=0.75)
DRY = replace(MILD, interface=0.7, sustained_power=36)
GOOD = replace(MILD, interface=0.1)


def job_with(ada, after, *, before=MILD, kind="paste_soft", promise=False, seed=1):
    job = ada.new_job()["id"]
    ada.save_run(job, "before")
    ada.upload(job, "before", log_bytes(before, seed=seed))
    if promise:
        choose(ada, job)
    fit(ada, job, kind)
    measure(ada, job, after, seed + 1)
    return job


def choose(ada, job):
    plan = ada.call("GET", f"/api/jobs/{job}/plan")
    option = next(o for o in plan["options"] if "repaste" in o["actions"] and not o["gates"])
    ada.call("POST", f"/api/jobs/{job}/plan/choice", {"version": plan["version"], "key": option["key"]})


def fit(ada, job, kind):
    item = {"target": "cpu_die", "kind": kind, "product": "", "lot": "", "amount": None, "amount_unit": ""}
    ada.call("POST", f"/api/jobs/{job}/fit/items", item, status=201)
    version = ada.call("GET", f"/api/jobs/{job}")["version"]
    body = {"version": version, "cleaned": ["fins", "contact"], "fit_note": f"{kind} on", "done": True}
    ada.call("PUT", f"/api/jobs/{job}/fit", body)


def measure(ada, job, device, seed):
    ada.save_run(job, "after")
    ada.upload(job, "after", log_bytes(device, seed=seed))


def attempts(ada, job):
    return ada.call("GET", f"/api/jobs/{job}/attempts")


def save(ada, job, number, **fields):
    now = next(a for a in attempts(ada, job)["attempts"] if a["number"] == number)
    body = {"version": now["version"], **fields}
    return ada.call("PUT", f"/api/jobs/{job}/attempts/{number}", body)["attempts"][number - 1]


def hand_over(ada, job, **more):
    version = ada.call("GET", f"/api/jobs/{job}")["version"]
    body = {"version": version, "price_cents": None, "next_service_on": None, "handover_note": "", "handed_over": True}
    return ada.call("PUT", f"/api/jobs/{job}/hand-over", body, **more)


def test_a_service_that_made_it_worse_is_looked_into_and_not_handed_over(ada):
    job = job_with(ada, BAD)
    view = ada.call("GET", f"/api/jobs/{job}")
    assert (view["stage"], view["failed"], view["next_step"]) == (
        "verdict",
        True,
        "Marrow 15: find out why it is no better",
    )
    refused = hand_over(ada, job, status=409)
    assert refused["reason"] == "failed"
    assert "worse than before" in refused["detail"]
    (only,) = attempts(ada, job)["attempts"]
    assert only["failure"] == "worse"
    assert [c["cause"] for c in only["causes"][:2]] == ["seat", "too_little"]
    assert sum(c["share"] for c in only["causes"]) == pytest.approx(1.0)
    assert any("faster than 3 s" in words for words in only["causes"][0]["speaks"])
    assert only["causes"][0]["check"].startswith("Count its screws")


def test_one_that_kept_nothing_of_its_promise_has_failed_too(ada):
    job = job_with(ada, DRY, before=DRY, promise=True)
    (only,) = attempts(ada, job)["attempts"]
    assert (only["verdict"], only["failure"]) == ("no_difference_shown", "no_better")
    assert only["resistance_k_per_w"] > only["promised_high_k_per_w"]
    assert ada.call("GET", f"/api/jobs/{job}")["failed"]


def test_one_that_is_good_has_not(ada):
    job = job_with(ada, GOOD)
    (only,) = attempts(ada, job)["attempts"]
    assert (only["failure"], only["causes"]) == ("none", [])
    hand_over(ada, job)


def test_no_difference_without_a_promise_is_no_failure(ada):
    job = job_with(ada, MILD)
    assert not ada.call("GET", f"/api/jobs/{job}")["failed"]


def test_a_check_settles_it_and_the_shop_remembers_what_it_found(ada):
    job = job_with(ada, BAD)
    found = save(ada, job, 1, checks={"too_little": "found"}, print_score=2, words="bald at the left corner")
    assert (found["causes"][0]["cause"], found["causes"][0]["share"]) == ("too_little", 1.0)
    assert (found["print_score"], found["words"]) == (2, "bald at the left corner")
    # On the next job it counts with the usual order.
    other = job_with(ada, BAD, seed=31)
    assert attempts(ada, other)["counted"] == 1
    shares = {c["cause"]: c["share"] for c in attempts(ada, other)["attempts"][0]["causes"]}
    assert shares["too_little"] > 0.35


def test_it_may_stay_as_it_is_with_a_reason(ada):
    job = job_with(ada, BAD)
    save(ada, job, 1, left_words="owner wants it back today, told her")
    assert not ada.call("GET", f"/api/jobs/{job}")["failed"]
    hand_over(ada, job)


def test_two_people_at_one_attempt_do_not_overwrite_each_other(ada):
    job = job_with(ada, BAD)
    save(ada, job, 1, checks={"seat": "ruled_out"})
    body = {"version": 0, "checks": {"seat": "found"}}
    assert ada.problem("PUT", f"/api/jobs/{job}/attempts/1", body, status=409)["reason"] == "stale"


def test_another_attempt_begins_with_nothing_and_keeps_the_first_beside_it(ada):
    job = job_with(ada, BAD)
    begun = ada.call("POST", f"/api/jobs/{job}/attempts", status=201)
    assert [a["current"] for a in begun["attempts"]] == [False, True]
    view = ada.call("GET", f"/api/jobs/{job}")
    assert (view["attempt"], view["fit_done"], view["cleaned"], view["stage"]) == (2, False, [], "plan")
    assert ada.call("GET", f"/api/jobs/{job}/fit/items")["items"] == []
    assert ada.call("GET", f"/api/jobs/{job}/runs/after")["trace"] is None
    fit(ada, job, "paste_stiff")
    measure(ada, job, GOOD, 3)
    first, second = attempts(ada, job)["attempts"]
    assert (first["failure"], second["failure"]) == ("worse", "none")
    assert [i["kind"] for i in first["items"]] == ["paste_soft"]
    assert first["headline"].startswith("Worse")
    assert second["headline"].startswith("Improved")
    # The log of the first attempt stands among all runs, in its own state.
    found = ada.call("GET", f"/api/jobs/{job}/all-runs")
    names = {r["name"]: r for r in found["runs"]}
    assert names["After, attempt 1"]["logs"]
    assert [s["attempt"] for s in found["states"]] == [1, 1, 2]
    hand_over(ada, job)


def test_it_is_taken_back_while_nothing_was_done(ada):
    job = job_with(ada, BAD)
    before = ada.call("GET", f"/api/jobs/{job}/verdict")["headline"]
    ada.call("POST", f"/api/jobs/{job}/attempts", status=201)
    assert "not closed" in ada.problem("POST", f"/api/jobs/{job}/attempts", status=409)["detail"]
    back = ada.call("DELETE", f"/api/jobs/{job}/attempts")
    assert [a["number"] for a in back["attempts"]] == [1]
    view = ada.call("GET", f"/api/jobs/{job}")
    assert (view["attempt"], view["fit_done"], view["fit_note"]) == (1, True, "paste_soft on")
    assert ada.call("GET", f"/api/jobs/{job}/verdict")["headline"] == before
    assert view["failed"]
    ada.call("POST", f"/api/jobs/{job}/attempts", status=201)
    fit(ada, job, "paste_stiff")
    assert ada.problem("DELETE", f"/api/jobs/{job}/attempts", status=409)["reason"] == "attempt_begun"
    assert ada.call("GET", f"/api/jobs/{job}")["attempt"] == 2


def test_attempts_are_of_the_shop(ada, stranger):
    job = job_with(ada, BAD)
    for method, path, body in (
        ("GET", f"/api/jobs/{job}/attempts", None),
        ("POST", f"/api/jobs/{job}/attempts", None),
        ("DELETE", f"/api/jobs/{job}/attempts", None),
        ("PUT", f"/api/jobs/{job}/attempts/1", {"version": 0}),
    ):
        stranger.problem(method, path, body, status=404)


class Tablet:
    """Tells the bench of a job what it does."""

    def __init__(self, ada, job, name="tablet one"):
        self.ada, self.job, self.name, self.turn = ada, job, name, 0

    def tell(self, kind, *, at=None, **data):
        self.turn += 1
        now = datetime.now(UTC)
        event = {
            "id": str(uuid.uuid4()),
            "kind": kind,
            "data": data,
            "turn": self.turn,
            "made_at": (at or now).isoformat(),
        }
        body = {"device": self.name, "sent_at": now.isoformat(), "events": [event]}
        return self.ada.call("POST", f"/api/jobs/{self.job}/bench/events", body)["taken"][0]


def listed_job(ada):
    job = ada.new_job()["id"]
    ada.save_run(job, "before")
    ada.upload(job, "before", log_bytes(MILD, seed=1))
    choose(ada, job)
    ada.call("POST", f"/api/jobs/{job}/bench/list", {"with_model": False})
    tablet = Tablet(ada, job)
    checks = ("boot", "fans", "keyboard", "pad", "wireless", "display", "temperatures")
    for step in ada.call("GET", f"/api/jobs/{job}/bench")["steps"]:
        told = (
            tablet.tell("power_on", results=dict.fromkeys(checks, "fine"))
            if step["shows"] == "power"
            else tablet.tell("step_done", step=step["id"])
        )
        if told["refusal"] is not None:
            assert told["refusal"]["reason"] == "waiting"
            waits = [w for w in ada.call("GET", f"/api/jobs/{job}/bench")["waits"] if w["ended"] is None]
            for wait in waits:
                assert tablet.tell("wait_ended", wait=wait["id"], reason="dry already, looked")["refusal"] is None
            assert tablet.tell("step_done", step=step["id"])["refusal"] is None
    assert tablet.tell("closed")["refusal"] is None
    measure(ada, job, BAD, 2)
    return job, tablet


def test_with_a_list_the_next_attempt_has_a_list_of_its_own(ada):
    job, tablet = listed_job(ada)
    earlier = datetime.now(UTC) - timedelta(seconds=30)
    ada.call("POST", f"/api/jobs/{job}/attempts", status=201)
    bench = ada.call("GET", f"/api/jobs/{job}/bench")
    assert bench["closed"] is None
    assert all(s["outcome"] is None for s in bench["steps"])
    # A tablet that was away tells of the first attempt only now: that is not done to the second.
    late = tablet.tell("step_done", at=earlier, step=bench["steps"][0]["id"])
    assert late["refusal"]["reason"] == "earlier_attempt"
    assert ada.call("GET", f"/api/jobs/{job}/attempts")["attempts"][0]["failure"] == "worse"
    # Taken back like anything else at the bench, and done again.
    assert tablet.tell("undo")["refusal"] is None
    view = ada.call("GET", f"/api/jobs/{job}")
    assert (view["attempt"], view["fit_done"], view["failed"]) == (1, True, True)
    assert tablet.tell("redo")["refusal"] is None
    assert ada.call("GET", f"/api/jobs/{job}")["attempt"] == 2
    ada.call("DELETE", f"/api/jobs/{job}/attempts")
    assert ada.call("GET", f"/api/jobs/{job}")["attempt"] == 1


def test_a_step_done_bars_taking_the_attempt_back(ada):
    job, tablet = listed_job(ada)
    ada.call("POST", f"/api/jobs/{job}/attempts", status=201)
    step = ada.call("GET", f"/api/jobs/{job}/bench")["steps"][0]["id"]
    assert tablet.tell("step_done", step=step)["refusal"] is None
    assert ada.problem("DELETE", f"/api/jobs/{job}/attempts", status=409)["reason"] == "attempt_begun"
    first, second = attempts(ada, job)["attempts"]
    assert first["causes"][0]["speaks"]
    assert second["failure"] == "none"


def test_the_print_of_the_first_attempt_is_seen_when_it_is_opened_again(ada):
    job, tablet = listed_job(ada)
    ada.call("POST", f"/api/jobs/{job}/attempts", status=201)
    assert tablet.tell("found", part="contact", seen="dry_patch")["refusal"] is None
    first = attempts(ada, job)["attempts"][0]
    assert first["causes"][0]["cause"] == "too_little"
    assert "The print has a bald patch." in first["causes"][0]["speaks"]


def test_an_old_log_compared_stays_worse_after_a_good_second_attempt(ada):
    job = job_with(ada, BAD)
    ada.call("POST", f"/api/jobs/{job}/attempts", status=201)
    fit(ada, job, "paste_stiff")
    measure(ada, job, COOL, 7)
    first, second = attempts(ada, job)["attempts"]
    assert first["resistance_k_per_w"] > second["resistance_k_per_w"] + first["resistance_u95_k_per_w"]
