"""The counter: evidence, signatures, ticket, quotes."""

import io
from datetime import UTC, datetime, timedelta

import pytest
from PIL import Image
from pypdf import PdfReader
from sqlalchemy import update
from tests.logs import HOT, log_bytes

from vividowl.store.counter import Quote

STROKES = [[[0.1, 0.1], [0.4, 0.2], [0.6, 0.1]], [[0.2, 0.25], [0.7, 0.2]]]


def photo():
    out = io.BytesIO()
    Image.new("RGB", (64, 48), "grey").save(out, "JPEG")
    return out.getvalue()


def text_of(pdf):
    return " ".join("".join(page.extract_text() for page in PdfReader(io.BytesIO(pdf)).pages).split())


def save(caller, job, **fields):
    version = caller.call("GET", f"/api/jobs/{job}/counter")["version"]
    return caller.call("PUT", f"/api/jobs/{job}/counter", {"version": version, **fields})


def signed(caller, job, what="consent", *, status=201, **fields):
    sheet = caller.call("GET", f"/api/jobs/{job}/counter")
    words = sheet["consent_words" if what == "consent" else "pick_up_words"]
    body = {
        "version": sheet["version"],
        "what": what,
        "name": "Wen Abernathy",
        "words": words,
        "strokes": STROKES,
        **fields,
    }
    if status != 201:
        return caller.problem("POST", f"/api/jobs/{job}/counter/signatures", body, status=status)
    return caller.call("POST", f"/api/jobs/{job}/counter/signatures", body, status=201)


def test_what_is_signed_stands_as_it_was_signed(ada):
    job = ada.new_job(serial="M15-7", symptom="Loud")["id"]
    sheet = save(ada, job, accessories="charger, sleeve", limit_cents=12000, passcode="typed_by_owner")
    assert "Along with it came: charger, sleeve." in sheet["consent_words"]
    kept = signed(ada, job)["consent"]
    assert (kept["name"], kept["by"], kept["words"]) == ("Wen Abernathy", "Ada", sheet["consent_words"])
    assert kept["strokes"] == STROKES
    later = save(ada, job, accessories="charger")
    assert later["consent"] == kept
    assert later["consent_words"] != kept["words"]
    assert signed(ada, job, status=409)["reason"] == "signed"
    text = text_of(ada.call("GET", f"/api/jobs/{job}/ticket.pdf").data)
    for said in ("Ticket 1", "M15-7", "“Loud”"[1:-1], "Along with it came: charger, sleeve.", "Wen Abernathy"):
        assert said in text


@pytest.mark.parametrize("strokes", [[], [[]], [[[0.5, 0.5]]], [[[0.5, 0.5], [0.5, 0.51]]]])
def test_a_signature_of_no_strokes_is_none(ada, strokes):
    job = ada.new_job()["id"]
    refused = signed(ada, job, strokes=strokes, status=422)
    assert refused["errors"][0]["field"] == "strokes"
    assert "Nothing is drawn" in refused["detail"]
    assert ada.call("GET", f"/api/jobs/{job}/counter")["consent"] is None
    ada.problem("POST", f"/api/jobs/{job}/counter/signatures", {"version": 1, "strokes": [[["a"]]]}, status=422)


def test_nobody_signs_words_that_they_have_not_read(ada):
    job = ada.new_job()["id"]
    shown = ada.call("GET", f"/api/jobs/{job}/counter")["consent_words"]
    assert signed(ada, job, words=[*shown, "And more."], status=409)["reason"] == "stale"
    assert signed(ada, job, words=shown)["consent"]["words"] == shown


def test_photos_of_the_condition_carry_marks_and_come_on_the_ticket(ada, stranger):
    job = ada.new_job()["id"]
    photo_id = "6f0cf0d8-6f60-4b0e-9f0c-6f0cf0d86f60"
    ada.call("POST", f"/api/jobs/{job}/photos/{photo_id}", data=photo(), status=201)
    (kept,) = ada.call(
        "POST", f"/api/jobs/{job}/counter/conditions", {"photo_id": photo_id, "place": "lid"}, status=201
    )["conditions"]
    path = f"/api/jobs/{job}/counter/conditions/{kept['id']}"
    change = {"place": "edges", "marks": [{"x": 0.2, "y": 0.9, "words": "deep scratch"}], "note": "left corner bent"}
    (changed,) = ada.call("PUT", path, change)["conditions"]
    assert (changed["place"], changed["marks"][0]["words"]) == ("edges", "deep scratch")
    text = text_of(ada.call("GET", f"/api/jobs/{job}/ticket.pdf").data)
    assert all(said in text for said in ("Edges", "left corner bent", "1: deep scratch"))
    stranger.problem("PUT", path, change, status=404)
    other = ada.new_job(serial="M15-OTHER")["id"]
    ada.problem("PUT", path.replace(job, other), change, status=404)
    taken = {"photo_id": photo_id, "place": "lid"}
    ada.problem("POST", f"/api/jobs/{other}/counter/conditions", taken, status=404)
    ada.problem("PUT", path, {**change, "marks": [{"x": 1.2, "y": 0.5}]}, status=422)
    assert ada.call("PUT", path, {**change, "removed": True})["conditions"] == []
    assert len(ada.call("PUT", path, change)["conditions"]) == 1


def test_a_pick_up_is_acknowledged_once_the_job_is_handed_over(ada):
    job = ada.served_job()
    assert signed(ada, job, "picked_up", status=409)["reason"] == "not_yet"
    version = ada.call("GET", f"/api/jobs/{job}")["version"]
    ada.call("PUT", f"/api/jobs/{job}/hand-over", {"version": version, "price_cents": 8900, "handed_over": True})
    words = signed(ada, job, "picked_up")["picked_up"]["words"]
    assert "The price is €89.00." in words
    assert "I have been given the record of the service." in words
    assert "Pick-up 1" in text_of(ada.call("GET", f"/api/jobs/{job}/pick-up.pdf").data)


def planned(ada, **fields):
    """A job with a plan, and the keys of its options that are not barred."""
    job = ada.new_job(**fields)["id"]
    ada.save_run(job, "before")
    ada.upload(job, "before", log_bytes(HOT))
    return job, [o["key"] for o in ada.call("GET", f"/api/jobs/{job}/plan")["options"] if not o["blocked"]]


def test_a_quote_is_accepted_by_its_link_and_the_job_knows(ada, nobody):
    job, keys = planned(ada)
    offer = {"keys": keys[:2], "days": 14, "words": "Ready by Friday"}
    sheet = ada.call("POST", f"/api/jobs/{job}/quotes", offer, status=201)
    (quote,) = sheet["quotes"]
    token = quote["address"].rsplit("/", 1)[1]
    seen = nobody.call("GET", f"/api/quotes/{token}")
    assert [o["key"] for o in seen["options"]] == keys[:2]
    assert (seen["state"], seen["words"]) == ("open", "Ready by Friday")
    assert nobody.problem("POST", f"/api/quotes/{token}/answer", {"key": "none such"}, status=404)["reason"] == "option"
    done = nobody.call("POST", f"/api/quotes/{token}/answer", {"key": keys[1], "words": "Please"})
    assert (done["state"], done["answer"]) == ("accepted", keys[1])
    again = nobody.problem("POST", f"/api/quotes/{token}/answer", {"key": ""}, status=409)
    assert again["reason"] == "answered"
    (kept,) = ada.call("GET", f"/api/jobs/{job}/counter")["quotes"]
    assert (kept["state"], kept["answer"], kept["answer_words"]) == ("accepted", keys[1], "Please")
    # Where one decides and where one looks for what is next it is told, until a newer quote asks anew.
    told = ada.call("GET", f"/api/jobs/{job}/plan")["answer"]
    assert (told["key"], told["words"], told["title"]) == (keys[1], "Please", seen["options"][1]["title"])
    (row,) = ada.call("GET", "/api/bench")["jobs"]
    assert row["next_step"] == f"Marrow 15: the customer accepted “{told['title']}”"
    ada.call("POST", f"/api/jobs/{job}/quotes", offer, status=201)
    assert ada.call("GET", f"/api/jobs/{job}/plan")["answer"] is None


def test_a_newer_quote_takes_the_place_of_the_one_before_and_an_old_one_is_over(ada, nobody, workshop):
    job, keys = planned(ada)
    tokens = []
    for _ in range(2):
        sheet = ada.call("POST", f"/api/jobs/{job}/quotes", {"keys": keys[:1]}, status=201)
        tokens.append(sheet["quotes"][0]["address"].rsplit("/", 1)[1])
    assert [q["state"] for q in sheet["quotes"]] == ["open", "withdrawn"]
    assert [q["number"] for q in sheet["quotes"]] == [2, 1]
    old = nobody.problem("POST", f"/api/quotes/{tokens[0]}/answer", {"key": keys[0]}, status=410)
    assert old["reason"] == "withdrawn"
    with workshop.database.session() as session:
        session.execute(update(Quote).values(good_until=(datetime.now(UTC) - timedelta(days=1)).date()))
    assert nobody.problem("POST", f"/api/quotes/{tokens[1]}/answer", {"key": keys[0]}, status=410)["reason"] == "over"
    nobody.problem("GET", "/api/quotes/guess", status=404)


def test_a_quote_is_withdrawn_through_its_own_job_alone(ada, stranger):
    job, keys = planned(ada)
    (quote,) = ada.call("POST", f"/api/jobs/{job}/quotes", {"keys": keys[:1]}, status=201)["quotes"]
    other = ada.new_job(serial="M15-OTHER")["id"]
    ada.problem("DELETE", f"/api/jobs/{other}/quotes/{quote['id']}", status=404)
    stranger.problem("DELETE", f"/api/jobs/{job}/quotes/{quote['id']}", status=404)
    assert ada.call("GET", f"/api/jobs/{job}/counter")["quotes"][0]["state"] == "open"
    ada.call("DELETE", f"/api/jobs/{job}/quotes/{quote['id']}")
    assert ada.call("GET", f"/api/jobs/{job}/counter")["quotes"][0]["state"] == "withdrawn"


def test_a_quote_that_was_declined_is_told_where_one_decides(ada, nobody):
    job, keys = planned(ada)
    sheet = ada.call("POST", f"/api/jobs/{job}/quotes", {"keys": keys[:1]}, status=201)
    token = sheet["quotes"][0]["address"].rsplit("/", 1)[1]
    nobody.call("POST", f"/api/quotes/{token}/answer", {"key": ""})
    assert ada.call("GET", f"/api/jobs/{job}/plan")["answer"]["key"] == ""
    assert "was declined" in ada.call("GET", f"/api/jobs/{job}")["next_step"]


def test_a_quote_offers_only_what_the_plan_has(ada, stranger):
    job, keys = planned(ada)
    assert ada.problem("POST", f"/api/jobs/{job}/quotes", {"keys": []}, status=404)["errors"][0]["field"] == "keys"
    ada.problem("POST", f"/api/jobs/{job}/quotes", {"keys": [*keys, "none such"]}, status=404)
    stranger.problem("POST", f"/api/jobs/{job}/quotes", {"keys": keys[:1]}, status=404)


def test_a_quote_is_written_in_the_language_of_the_customer(ada, nobody):
    job, keys = planned(ada, language="es")
    some = [k for k in keys if k != "leave"][:1]
    sheet = ada.call("POST", f"/api/jobs/{job}/quotes", {"keys": some}, status=201)
    token = sheet["quotes"][0]["address"].rsplit("/", 1)[1]
    seen = nobody.call("GET", f"/api/quotes/{token}")
    assert seen["language"] == "es"
    assert "minutos" in seen["options"][0]["takes"]
    assert sheet["consent_words"][0].startswith("Dejo ")
