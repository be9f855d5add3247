"""Links that customers open without an account."""

import io
import re
from datetime import UTC, date, datetime, timedelta
from urllib.parse import unquote

import icalendar
import zxingcpp
from PIL import Image, ImageDraw
from pypdf import PdfReader
from sqlalchemy import update

from vividowl.store.records import CustomerLink


def handed_over(ada):
    job = ada.served_job(customer_contact="wen@example.org")
    version = ada.call("GET", f"/api/jobs/{job}")["version"]
    ada.call("PUT", f"/api/jobs/{job}/hand-over", {"version": version, "price_cents": 8900, "handed_over": True})
    return job


def linked(ada, job):
    """A link and the token in it."""
    link = ada.call("POST", f"/api/jobs/{job}/links", status=201)
    return link, link["address"].rsplit("/", 1)[1]


def test_a_link_opens_one_record_without_an_account_and_is_counted(ada, nobody):
    job = handed_over(ada)
    link, token = linked(ada, job)
    assert link["drawing"].startswith("data:image/svg+xml")
    assert not link["outside"]
    found = nobody.call("GET", f"/api/open/{token}")
    shown = ada.call("GET", f"/api/jobs/{job}/record")
    assert found["record"]["plain"] == shown["plain"]
    assert found["record"]["job"]["number"] == shown["job"]["number"]
    assert shown["job"]["customer_contact"]
    assert found["record"]["job"]["customer_contact"] == ""
    assert nobody.call("GET", f"/api/open/{token}/record.pdf").data.startswith(b"%PDF-")
    assert nobody.call("GET", f"/api/open/{token}/record.zip").data.startswith(b"PK")
    for which in ("before", "earlier_after"):
        assert nobody.problem("GET", f"/api/open/{token}/photos/{which}", status=404)["reason"] == "unknown"
    assert nobody.problem("GET", f"/api/open/{token}/photos/symptom", status=422)
    nobody.call("GET", f"/api/open/{token}")
    # Two views; what is taken along beside is none.
    assert ada.call("GET", f"/api/jobs/{job}/links")["links"][0]["views"] == 2


def test_what_is_put_right_shows_under_the_same_link(ada, nobody):
    job = handed_over(ada)
    _, token = linked(ada, job)
    version = ada.call("GET", f"/api/jobs/{job}")["version"]
    body = {"version": version, "price_cents": 9900, "handed_over": True, "why": "Pads forgotten"}
    ada.call("PUT", f"/api/jobs/{job}/hand-over", body)
    record = nobody.call("GET", f"/api/open/{token}")["record"]
    assert (record["version"]["number"], record["job"]["price_cents"]) == (2, 9900)


def test_a_withdrawn_and_an_old_link_say_so(ada, nobody, workshop):
    job = handed_over(ada)
    link, token = linked(ada, job)
    gone = ada.call("DELETE", f"/api/links/{link['id']}")
    assert gone["withdrawn_at"] is not None
    for what in ("", "/record.pdf", "/record.zip", "/photos/after"):
        assert nobody.problem("GET", f"/api/open/{token}{what}", status=410)["reason"] == "withdrawn"
    old, token = linked(ada, job)
    with workshop.database.session() as session:
        past = datetime.now(UTC) - timedelta(days=1)
        session.execute(update(CustomerLink).values(made_at=past - timedelta(days=9), expires_at=past))
    assert nobody.problem("GET", f"/api/open/{token}", status=410)["reason"] == "over"
    assert old["expires_at"] > old["made_at"]


def test_a_link_that_was_made_up_leads_nowhere(ada, nobody):
    _, token = linked(ada, handed_over(ada))
    last, first = "AA" if token[-2:] != "AA" else "BB", "A" if token[0] != "A" else "B"
    for guess in ("guess", token[:-2] + last, first + token[1:], token.split(".")[0], token + ".x", "é"):
        answer = nobody.client.get(f"/api/open/{guess}")
        assert answer.status_code in (404, 422), guess
        assert "record" not in answer.get_json()


def test_another_shop_neither_sees_nor_withdraws_a_link(ada, stranger):
    job = handed_over(ada)
    link, _ = linked(ada, job)
    stranger.problem("GET", f"/api/jobs/{job}/links", status=404)
    stranger.problem("POST", f"/api/jobs/{job}/links", status=404)
    stranger.problem("DELETE", f"/api/links/{link['id']}", status=404)
    assert ada.call("GET", f"/api/jobs/{job}/links")["links"][0]["withdrawn_at"] is None


def test_there_is_no_link_to_what_was_not_handed_over(ada):
    job = ada.served_job()
    assert ada.problem("POST", f"/api/jobs/{job}/links", status=409)["reason"] == "not_yet"


def test_where_customers_reach_the_shop_a_hand_over_makes_a_link_and_draws_it_on_the_paper(ada, nobody):
    shop = ada.call("GET", "/api/shop")
    habits = {**shop["habits"], "customer_address": "https://records.example.org/"}
    kept = {name: shop[name] for name in ("version", "reference_room_c")}
    ada.call("PUT", "/api/shop", {**kept, "tolerances": shop["tolerances"], "habits": habits})
    job = handed_over(ada)
    (link,) = ada.call("GET", f"/api/jobs/{job}/links")["links"]
    assert link["address"].startswith("https://records.example.org/r/")
    assert link["outside"]
    assert nobody.call("GET", f"/api/open/{link['address'].rsplit('/', 1)[1]}")["record"]["job"]["id"] == job
    drawn = ada.call("GET", f"/api/jobs/{job}/record.pdf").data
    assert "scan the code" in text_of(drawn)
    # It opens nothing any more where it was withdrawn; the next version is drawn with another.
    ada.call("DELETE", f"/api/links/{link['id']}")
    old = link["address"]
    version = ada.call("GET", f"/api/jobs/{job}")["version"]
    ada.call(
        "PUT",
        f"/api/jobs/{job}/hand-over",
        {"version": version, "handed_over": True, "price_cents": None, "why": "No price"},
    )
    found = ada.call("GET", f"/api/jobs/{job}/links")["links"]
    assert [k["address"] == old for k in found] == [False, True]
    habits = {**habits, "customer_address": "javascript:alert(1)"}
    version = ada.call("GET", "/api/shop")["version"]
    body = {**kept, "version": version, "tolerances": shop["tolerances"], "habits": habits}
    assert ada.problem("PUT", "/api/shop", body, status=422)["errors"][0]["field"] == "customer_address"


def text_of(pdf):
    return " ".join("".join(page.extract_text() for page in PdfReader(io.BytesIO(pdf)).pages).split())


def test_the_pages_of_customers_keep_robots_out_and_tell_no_one_where_they_were_opened(ada, nobody):
    _, token = linked(ada, handed_over(ada))
    for path in (f"/r/{token}", "/r/guess", "/check"):
        with nobody.client.get(path) as answer:
            assert answer.status_code == 200
            assert answer.headers["X-Robots-Tag"] == "noindex, nofollow"
            assert answer.headers["Referrer-Policy"] == "no-referrer"
    assert "Disallow: /" in nobody.client.get("/robots.txt").get_data(as_text=True)


def test_a_key_is_renewed_and_one_that_was_stolen_is_withdrawn(ada, nobody, stranger):
    job = handed_over(ada)
    (first,) = ada.call("GET", "/api/keys")["keys"]
    renewed = ada.call("POST", "/api/keys", status=201)["keys"]
    assert [k["state"] for k in renewed] == ["signs", "retired"]
    assert nobody.call("GET", f"/api/keys/{first['fingerprint']}")["state"] == "retired"
    # The record that the first one signed is the same as before, and still checked by it.
    assert first["fingerprint"].encode() in ada.call("GET", f"/api/jobs/{job}/record.zip").data
    stranger.problem("DELETE", f"/api/keys/{first['fingerprint']}", status=404)
    gone = ada.call("DELETE", f"/api/keys/{first['fingerprint']}")["keys"]
    assert [k["state"] for k in gone] == ["signs", "withdrawn"]
    assert nobody.call("GET", f"/api/keys/{first['fingerprint']}")["state"] == "withdrawn"
    # Without one in use, the next record makes its own.
    ada.call("DELETE", f"/api/keys/{renewed[0]['fingerprint']}")
    version = ada.call("GET", f"/api/jobs/{job}")["version"]
    ada.call(
        "PUT",
        f"/api/jobs/{job}/hand-over",
        {"version": version, "handed_over": True, "price_cents": None, "why": "New key"},
    )
    assert [k["state"] for k in ada.call("GET", "/api/keys")["keys"]] == ["signs", "withdrawn", "withdrawn"]


def test_the_dates_of_a_record_come_as_a_calendar_file(ada, nobody):
    job = ada.served_job()
    item = {"target": "cpu_die", "kind": "phase_change_sheet"}
    ada.call("POST", f"/api/jobs/{job}/fit/items", item, status=201)
    assert len(dates_of(ada, f"/api/jobs/{job}/dates.ics")) == 0  # nothing is sure of a draft
    version = ada.call("GET", f"/api/jobs/{job}")["version"]
    body = {"version": version, "next_service_on": "2027-05-30", "handed_over": True}
    ada.call("PUT", f"/api/jobs/{job}/hand-over", body)
    _, token = linked(ada, job)
    for caller, path in ((ada, f"/api/jobs/{job}/dates.ics"), (nobody, f"/api/open/{token}/dates.ics")):
        cycles, service = dates_of(caller, path)
        assert cycles["RRULE"]["COUNT"] == [10]
        assert service.decoded("DTSTART") == date(2027, 5, 30)


def dates_of(caller, path):
    answer = caller.call("GET", path)
    assert answer.mimetype == "text/calendar"
    return icalendar.Calendar.from_ical(answer.data).walk("VEVENT")


def test_the_code_to_scan_holds_the_address_of_the_link(ada):
    """Read by a decoder of ISO/IEC 18004 that is not the library that drew it."""
    link, _ = linked(ada, handed_over(ada))
    svg = unquote(link["drawing"].partition(",")[2])
    side, scale = (int(re.search(found, svg)[1]) for found in (r"width='(\d+)'", r"scale\((\d+)\)"))
    picture = Image.new("L", (side, side), 255)
    draw = ImageDraw.Draw(picture)
    x = y = 0.0
    # Dark modules are strokes one module high: from where, then by turns how long, and how far the next lies.
    for kind, told in re.findall(r"([Mmh])([-0-9. ]+)", re.search(r"class='qrline'[^>]* d='([^']+)'", svg)[1]):
        by = [float(number) for number in re.findall(r"-?[0-9.]+", told)]
        if kind == "h":
            draw.rectangle((x * scale, (y - 0.5) * scale, (x + by[0]) * scale - 1, (y + 0.5) * scale - 1), fill=0)
            x += by[0]
        else:
            x, y = (by[0], by[1]) if kind == "M" else (x + by[0], y + by[1])
    (read,) = zxingcpp.read_barcodes(picture)
    assert read.text == link["address"]
