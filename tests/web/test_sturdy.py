"""What used to be a traceback is a refusal that says what, where, what is allowed, and what to do."""

import errno
import json
from contextlib import ExitStack
from dataclasses import replace

import pytest
from tests.logs import HOT, log_bytes

from vividowl.service import workshop as workshop_module
from vividowl.store.database import Database


@pytest.fixture
def job(ada):
    made = ada.new_job()["id"]
    ada.save_run(made, "before")
    return made


def lot(code="A-1"):
    return {"code": code, "held": 3.5, "received_on": "2026-01-05"}


def product(ada, name="Grey Heron 11"):
    body = {"version": 0, "kind": "paste_stiff", "name": name, "unit": "g"}
    return ada.call("POST", "/api/shelf/products", body, status=201)["products"][0]["id"]


@pytest.mark.parametrize(
    "path", ["/" + "a" * 300, "/assets/" + "b" * 300, "/jobs/" + "c/" * 400, "/a%00b", "/a%0Ab", "/api/" + "d" * 300]
)
def test_a_path_that_no_file_can_have_leads_nowhere(nobody, path):
    assert nobody.client.get(path).status_code == 404


def test_half_a_character_in_json_is_refused(ada):
    body = json.dumps({"customer_name": "\ud800", "kind": "laptop", "model": "x"})
    found = ada.problem(
        "POST", "/api/jobs", data=body.encode(), headers={"Content-Type": "application/json"}, status=422
    )
    assert found["detail"]


@pytest.mark.parametrize("path", ["/api/jobs", "/api/models/import", "/api/workings/dose", "/api/session"])
def test_json_in_json_in_json_is_refused(ada, path):
    body = b'{"a":' * 50_000 + b"1" + b"}" * 50_000
    found = ada.problem("POST", path, data=body, headers={"Content-Type": "application/json"}, status=422)
    assert found["detail"]


def test_deep_json_in_a_query_is_refused(ada):
    assert ada.client.get("/api/workings/cut/sheet.svg?given=" + "%5B" * 2500).status_code == 422


def test_the_same_lot_twice_is_refused_in_words(ada):
    here = product(ada)
    ada.call("POST", f"/api/shelf/products/{here}/lots", lot(), status=201)
    found = ada.problem("POST", f"/api/shelf/products/{here}/lots", lot(), status=409)
    assert found["detail"]


def test_a_file_name_with_line_ends_is_kept_in_one_line_and_comes_back(ada, job):
    ada.upload(job, "before", log_bytes(HOT, seed=3), name="two%0Alines%0D.csv")
    with ada.client.get(f"/api/jobs/{job}/runs/before/log/file") as answer:
        assert answer.status_code == 200
        assert "two lines" in answer.headers["Content-Disposition"]


@pytest.mark.parametrize("channel", ["c²", "c", "c99999999999999999999", "c-1", "fan%00"])
def test_a_channel_that_is_none_is_not_there(ada, job, channel):
    ada.upload(job, "before", log_bytes(HOT, seed=4))
    answer = ada.client.get(f"/api/jobs/{job}/runs/before/chart?channel={channel}")
    assert answer.status_code in (404, 422)


def test_control_characters_do_not_break_the_record_or_a_cut_sheet(ada, job):
    given = {"sheet_mm": "60x40", "pieces_mm": "10x10"}
    listed = {w["name"]: w for w in ada.call("GET", "/api/workings")["workings"]}
    keys = {i["key"]: i["example"] for i in listed["cut"]["inputs"]}
    for form in ("pdf", "svg", "dxf"):
        text = {k: v + ("\x07\x1b" if k == "label" else "") for k, v in keys.items()}
        query = json.dumps(text).replace("#", "%23").replace("&", "%26").replace("+", "%2B")
        assert ada.client.get(f"/api/workings/cut/sheet.{form}?given={query}").status_code in (200, 422), given
    view = ada.call("GET", f"/api/jobs/{job}")
    body = {
        **{k: view[k] for k in ("kind", "model", "maker", "version", "backup_done", "warranty", "seal", "limit_c")},
        "customer_name": "Bel\x07l",
        "symptom": "hot \x1b[31m and \x0b loud",
    }
    ada.call("PUT", f"/api/jobs/{job}", body)
    assert ada.client.get(f"/api/jobs/{job}/record.pdf").data.startswith(b"%PDF")


HEAD = (
    "kind,product,unit,price_cents,low_at,sheet_width_mm,sheet_length_mm,thickness_mm,lot,received_on,opened_on,"
    "expires_on,held,remaining"
)


@pytest.mark.parametrize(
    "line",
    [
        "paste_stiff,Grey\0Heron,g,900,1,,,,A,2026-01-05,,,3.5,3.5",
        "paste_stiff," + "x" * 131_073 + ",g,900,1,,,,A,2026-01-05,,,3.5,3.5",
        "paste_stiff,Grey Heron,g,inf,1,,,,A,2026-01-05,,,3.5,3.5",
        "paste_stiff,Grey Heron,g,900,1,,,,A,2026-01-05,,,inf,3.5",
        "paste_stiff,Grey Heron,g,900,nan,,,,A,2026-01-05,,,3.5,3.5",
        "paste_stiff,Grey Heron,g,1e300,1,,,,A,2026-01-05,,,3.5,3.5",
        'paste_stiff,"Grey Heron,g,900,1,,,,A,2026-01-05,,,3.5,3.5',
    ],
)
def test_a_shelf_file_that_cannot_be_is_refused_whole(ada, line):
    data = f"{HEAD}\n{line}\n".encode()
    found = ada.problem("POST", "/api/shelf/import", data=data, headers={"Content-Type": "text/csv"}, status=422)
    assert found["remedy"]
    assert ada.call("GET", "/api/shelf")["products"] == []


@pytest.mark.parametrize("value", ["inf", "-inf", "nan", "1e400", "9" * 400])
def test_a_calculator_takes_no_number_that_is_none(ada, value):
    listed = {w["name"]: w for w in ada.call("GET", "/api/workings")["workings"]}
    for working in listed.values():
        for one in working["inputs"]:
            given = {i["key"]: i["example"] for i in working["inputs"] if i["example"]} | {one["key"]: value}
            answer = ada.client.post(
                f"/api/workings/{working['name']}", json={"given": given}, headers={"X-CSRFToken": ada.token}
            )
            assert answer.status_code in (200, 422), (working["name"], one["key"], answer.get_data(as_text=True))


def test_a_full_disk_says_so_and_stores_nothing(ada, job, workshop, monkeypatch):
    def full(*_args, **_more):
        raise OSError(errno.ENOSPC, "No space left on device")

    monkeypatch.setattr("vividowl.store.files.os.link", full)
    found = ada.problem("POST", f"/api/jobs/{job}/runs/before/log?name=a.csv", data=log_bytes(HOT, seed=5), status=507)
    assert found["reason"] == "disk_full"
    assert not [p for p in workshop.files.root.rglob("*") if p.is_file()]
    ada.problem("GET", f"/api/jobs/{job}/runs/before/log/file", status=404)


def test_a_nearly_full_disk_is_told_and_refuses_in_time(ada, job, monkeypatch):
    assert ada.call("GET", "/api/health") == {
        "status": "ok",
        "live": True,
        "ready": True,
        "database": "ok",
        "space": ada.call("GET", "/api/session")["space"],
    }
    monkeypatch.setattr(workshop_module, "SPACE_REFUSE", 1.1)
    assert ada.call("GET", "/api/session")["space"] == "full"
    found = ada.problem("POST", f"/api/jobs/{job}/runs/before/log?name=a.csv", data=log_bytes(HOT, seed=6), status=507)
    assert "is free. Nothing was stored" in found["detail"]
    monkeypatch.setattr(workshop_module, "SPACE_REFUSE", 0.0)
    monkeypatch.setattr(workshop_module, "SPACE_WARN", 1.1)
    assert ada.call("GET", "/api/session")["space"] == "low"
    ada.upload(job, "before", log_bytes(HOT, seed=6))


def test_a_method_that_is_not_done_names_those_that_are(ada):
    answer = ada.client.open("/api/shop", method="PATCH", headers={"X-CSRFToken": ada.token})
    assert answer.status_code == 405
    assert {"GET", "PUT"} <= set(answer.headers["Allow"].split(", "))


def test_who_finds_no_free_connection_is_told_when_to_come_again(ada, app, workshop, cluster):
    few = Database(cluster.url, connections=1, wait_most_s=0.2)
    app.extensions["workshop"] = replace(workshop, database=few)
    try:
        with ExitStack() as held:
            for _ in range(3):
                held.enter_context(few.engine.connect())
            answer = ada.client.get("/api/jobs", headers={"X-CSRFToken": ada.token})
        assert (answer.status_code, int(answer.headers["Retry-After"]) > 0) == (503, True)
        assert answer.get_json()["remedy"] == "Try again in a moment."
        assert ada.call("GET", "/api/jobs")["jobs"] == []
    finally:
        app.extensions["workshop"] = workshop
        few.close()
