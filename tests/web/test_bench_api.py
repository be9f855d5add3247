"""The bench over HTTP: events, photos, news and models; what is refused, and that nothing leaves its shop."""

import io
import json
import threading
import uuid
from datetime import UTC, datetime

import pytest
from PIL import Image
from tests.logs import HOT, log_bytes

from vividowl.web.bench import routes as bench_api


def now():
    return datetime.now(UTC).isoformat()


def event(kind, turn, **data):
    return {"id": str(uuid.uuid4()), "kind": kind, "data": data, "turn": turn, "made_at": now()}


def batch(*events):
    return {"device": "tablet-a", "sent_at": now(), "events": list(events)}


@pytest.fixture
def job(ada):
    """A job with a plan, its list begun."""
    made = ada.new_job()["id"]
    ada.save_run(made, "before")
    ada.upload(made, "before", log_bytes(HOT, seed=1))
    ada.call("POST", f"/api/jobs/{made}/plan/choice", {"version": 0, "key": "clean"})
    ada.call("POST", f"/api/jobs/{made}/bench/list", {"with_model": True})
    return made


def photo_bytes():
    out = io.BytesIO()
    Image.new("RGB", (64, 48), "grey").save(out, "JPEG")
    return out.getvalue()


def test_a_step_is_taken_and_shown_with_its_rules(ada, job):
    answer = ada.call("POST", f"/api/jobs/{job}/bench/events", batch(event("step_done", 1, step="power_off")))
    assert answer["taken"][0]["refusal"] is None
    assert answer["clock_off_s"] is None
    view = ada.call("GET", f"/api/jobs/{job}/bench")
    first, second = view["steps"][:2]
    assert (first["outcome"]["how"], first["outcome"]["by"]) == ("done", "Ada")
    assert [g["rule"] for g in second["guards"]] == ["power_first"]
    assert view["recent"][-1]["words"] == "step 1"
    # A page goes back by itself: from the state before, with what the rules made of each event.
    assert view["base"]["outcomes"] == {}
    assert view["recent"][-1]["data"] == {"step": "power_off"}
    assert view["blockers"]


def test_events_out_of_order_and_twice_are_answered_clearly(ada, job):
    one, two = event("note", 1, words="first"), event("note", 2, words="second")
    url = f"/api/jobs/{job}/bench/events"
    (early,) = ada.call("POST", url, batch(two))["taken"]
    assert early["refusal"]["detail"] == "Event 2 of this tablet came, 1 is next."
    ada.call("POST", url, batch(one, two))
    assert [t["again"] for t in ada.call("POST", url, batch(one, two))["taken"]] == [True, True]
    assert len(ada.call("GET", f"/api/jobs/{job}/bench")["notes"]) == 2


@pytest.mark.parametrize(
    ("change", "field"),
    [
        ({"events": []}, "events"),
        ({"device": ""}, "device"),
        ({"sent_at": "2026-03-02T10:00:00"}, "sent_at"),  # no time zone
        ({"colour": "red"}, "colour"),
        ({"events": [{**event("note", 1, words="x"), "id": "not a uuid"}]}, "events.0.id"),
        ({"events": [event("note", 0, words="x")]}, "events.0.turn"),
        ({"events": [event("note", 1, words="a\0b")]}, "events.0.data"),
        ({"events": [event("note", 1, words="x" * 9000)]}, "events.0.data"),
    ],
)
def test_a_batch_of_wrong_shape_is_refused_by_field(ada, job, change, field):
    refused = ada.problem(
        "POST", f"/api/jobs/{job}/bench/events", {**batch(event("note", 1, words="x")), **change}, status=422
    )
    assert field in [e["field"] for e in refused["errors"]]


def test_numbers_that_are_none_are_refused(ada, job):
    text = json.dumps(batch(event("wait_started", 1, wait="coat", minutes=float("nan"))))
    refused = ada.problem(
        "POST", f"/api/jobs/{job}/bench/events", status=422, data=text, headers={"Content-Type": "application/json"}
    )
    assert refused["errors"][0]["field"] == "events.0.data"


def test_the_list_itself_comes_from_the_server_only(ada, job):
    (taken,) = ada.call("POST", f"/api/jobs/{job}/bench/events", batch(event("begun", 1)))["taken"]
    assert taken["refusal"]["detail"] == "A list is begun and made anew by the server."
    (taken,) = ada.call("POST", f"/api/jobs/{job}/bench/events", batch(event("dance", 2)))["taken"]
    assert "“dance” is no event of the bench" in taken["refusal"]["detail"]


def test_a_photo_comes_scaled_and_is_shown_to_its_shop_alone(ada, stranger, job):
    photo = uuid.uuid4()
    url = f"/api/jobs/{job}/photos/{photo}"
    made = ada.call("POST", url, data=photo_bytes(), status=201)
    assert (made["width_px"], made["height_px"]) == (64, 48)
    shown = ada.call("GET", f"/api/photos/{photo}?size=small")
    assert shown.mimetype == "image/jpeg"
    assert "private" in shown.headers["Cache-Control"]
    stranger.problem("GET", f"/api/photos/{photo}", status=404)
    stranger.problem("POST", f"/api/jobs/{job}/photos/{uuid.uuid4()}", data=photo_bytes(), status=404)


def test_a_photo_of_60_mb_a_film_and_words_are_refused(ada, job):
    url = f"/api/jobs/{job}/photos/{uuid.uuid4()}"
    large = ada.problem("POST", url, data=b"\xff" * (60 * 2**20), status=413)
    assert "photos 30 MB" in large["detail"]
    for data in (b"\0\0\0\x18ftypmp42" + b"\0" * 900, b"just words"):
        refused = ada.problem("POST", url, data=data, status=422)
        assert refused["reason"] == "not_photo"
        assert "JPEG, PNG or WebP" in refused["remedy"]


def test_nothing_of_the_bench_leaves_its_shop(ada, stranger, job):
    model = ada.call("PUT", f"/api/jobs/{job}/model")["id"]
    for method, path, body in (
        ("GET", f"/api/jobs/{job}/bench", None),
        ("POST", f"/api/jobs/{job}/bench/list", {"with_model": True}),
        ("PUT", f"/api/jobs/{job}/bench/list", None),
        ("POST", f"/api/jobs/{job}/bench/events", batch(event("note", 1, words="from outside"))),
        ("PUT", f"/api/jobs/{job}/model", None),
        ("GET", f"/api/models/{model}", None),
        ("GET", f"/api/models/{model}/file", None),
        ("DELETE", f"/api/models/{model}", None),
    ):
        stranger.problem(method, path, body, status=404)
    assert stranger.call("GET", "/api/bench/waits")["waits"] == []
    assert stranger.call("GET", "/api/models")["models"] == []


def test_an_alarm_that_one_tablet_has_seen_is_quiet_on_all(ada, stranger, workshop, job):
    sent = event("wait_started", 1, wait="alcohol", minutes=3)
    ada.call("POST", f"/api/jobs/{job}/bench/events", batch(sent))
    (wait,) = ada.call("GET", "/api/bench/waits")["waits"]
    assert (wait["seen"], wait["put_off_until"]) == (False, None)
    path = f"/api/jobs/{job}/bench/quiet"
    (put_off,) = ada.call("POST", path, {"wait_id": wait["id"], "minutes": 5}, status=201)["waits"]
    assert not put_off["seen"]
    assert put_off["put_off_until"] > wait["began"]
    (seen,) = ada.call("POST", path, {"wait_id": wait["id"]}, status=201)["waits"]
    assert (seen["seen"], seen["put_off_until"]) == (True, None)
    stranger.problem("POST", path, {"wait_id": wait["id"]}, status=404)
    assert ada.problem("POST", path, {"wait_id": "none"}, status=404)["reason"] == "unknown"
    ada.problem("POST", path, {"wait_id": wait["id"], "minutes": 1e9}, status=422)


def test_an_event_id_of_another_job_does_not_pass_for_this_one(ada, job):
    sent = event("note", 1, words="here")
    ada.call("POST", f"/api/jobs/{job}/bench/events", batch(sent))
    other = ada.new_job()["id"]
    ada.call("POST", f"/api/jobs/{other}/bench/list", {"with_model": False})
    refused = ada.problem("POST", f"/api/jobs/{other}/bench/events", batch(sent), status=409)
    assert refused["reason"] == "taken"


def test_news_are_heard_within_two_seconds_and_an_ear_that_left_is_forgotten(ada, shop, workshop, job):
    heard, begun = [], threading.Event()
    feed = workshop.database.feed

    def listen():
        for line in bench_api._news(workshop, shop.shop_id):
            heard.append(line)
            begun.set()
            if b"event: bench" in line and b'"job"' in line:  # one without says that the line was down before
                return

    thread = threading.Thread(target=listen)
    thread.start()
    assert begun.wait(5)
    ada.call("POST", f"/api/jobs/{job}/bench/events", batch(event("step_done", 1, step="power_off")))
    thread.join(2)  # the promise: within two seconds
    assert not thread.is_alive()
    assert json.loads(heard[-1].split(b"data: ")[1])["job"] == job
    assert feed._ears == {}


def test_words_of_the_bench_are_whole(ada):
    words = ada.call("GET", "/api/bench/words")
    assert {s["part"] for s in words["sights"]} >= {"fins", "fan", "contact", "pads", "corrosion", "battery"}
    assert {c["name"] for c in words["checks"]} >= {"boot", "temperatures", "keyboard", "picture", "controls"}
    assert all(w["early"] for w in words["waits"])


def test_a_model_is_changed_exported_and_imported(ada, nobody, shop, job):
    made = ada.call("PUT", f"/api/jobs/{job}/model")
    body = {"version": made["version"], "torque_notes": "snug", "notes": "weak clip at the left"}
    assert ada.call("PUT", f"/api/models/{made['id']}", body)["notes"] == "weak clip at the left"
    ada.problem("PUT", f"/api/models/{made['id']}", body, status=409)
    told = json.loads(ada.call("GET", f"/api/models/{made['id']}/file").get_data(as_text=True))
    assert told["format"] == "vividowl-model"
    assert ada.problem("POST", "/api/models/import", data=json.dumps(told), status=409)["reason"] == "kept"
    again = ada.call("POST", "/api/models/import?replace=true", data=json.dumps(told), status=201)
    assert again["torque_notes"] == "snug"
    ada.problem("POST", "/api/models/import", data=b"\xff\xfe", status=422)
    nobody.sign_in("tom").problem("DELETE", f"/api/models/{made['id']}", status=403)
    ada.call("DELETE", f"/api/models/{made['id']}", status=204)
