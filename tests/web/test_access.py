"""Deny by default, sign-in, tokens, headers."""

import uuid

import pytest
from tests.said import refuses
from tests.web.conftest import PASSWORD, SETTINGS, Caller

from vividowl.service.errors import Refused
from vividowl.service.shop import accounts
from vividowl.settings import Settings
from vividowl.store.models import Member, Shop
from vividowl.web.access import RULES
from vividowl.web.app import create_app

PUBLIC = {
    "session.get_session",
    "session.sign_in",
    "session.sign_in_demo",
    "session.sign_out",
    "tablets.pair",
    "session.set_up",
    "keys.get_key",
    "links.open_link",
    "links.open_file",
    "links.open_dates",
    "links.open_photo",
    "robots",
    "check",
    "linked",
    "quoted",
    "counter.open_quote",
    "counter.answer_quote",
    "health",
    "home",
    "site",
}


def test_every_route_declares_its_rule_and_only_the_known_ones_are_public(app):
    seen = set()
    for rule in app.url_map.iter_rules():
        declared = getattr(app.view_functions[rule.endpoint], "access_rule", None)
        assert declared in RULES, f"{rule.rule} declares no access rule"
        if declared in ("customer", "public"):
            seen.add(rule.endpoint)
    assert seen == PUBLIC


def test_every_closed_route_turns_a_stranger_away(app, nobody, shop):
    tried = 0
    for rule in app.url_map.iter_rules():
        if getattr(app.view_functions[rule.endpoint], "access_rule", None) in ("customer", "public"):
            continue
        values = {a: {"side": "before", "what": "noise", "number": 1}.get(a, str(uuid.uuid4())) for a in rule.arguments}
        path = app.url_map.bind("localhost").build(
            rule.endpoint, values, method=next(iter(rule.methods - {"HEAD", "OPTIONS"}))
        )
        for method in rule.methods - {"HEAD", "OPTIONS"}:
            nobody.problem(method, path, {} if method != "GET" else None, status=401)
            tried += 1
    assert tried > 20


def test_a_route_without_a_rule_answers_no_one(workshop, shop):
    app = create_app(workshop, SETTINGS)
    app.add_url_rule("/api/forgotten", "forgotten", lambda: "secret")
    caller = Caller(app).sign_in("ada")
    assert "closed" in caller.problem("GET", "/api/forgotten", status=403)["detail"]


def test_signing_in_and_out(nobody, shop):
    assert nobody.call("GET", "/api/session")["person"] is None
    person = nobody.sign_in("ada").call("GET", "/api/session")["person"]
    assert (person["name"], person["role"], person["shop_name"], person["demo"]) == ("Ada", "owner", "One", False)
    nobody.call("DELETE", "/api/session")
    assert nobody.call("GET", "/api/session")["person"] is None


@pytest.mark.parametrize(("login", "password"), [("ada", "wrong password"), ("nobody", PASSWORD), ("", "")])
def test_a_wrong_pair_is_refused_alike(nobody, shop, login, password):
    found = nobody.problem("POST", "/api/session", {"login": login, "password": password}, status=403)
    assert found["detail"] == "Login and password do not fit."


def test_a_write_without_the_token_is_refused(ada):
    found = ada.problem("POST", "/api/jobs", {}, status=403, headers={"X-CSRFToken": ""})
    assert found["reason"] == "csrf"


def test_a_new_password_ends_open_sessions(ada, workshop):
    accounts.set_password(workshop, "ada", "another set of words")
    ada.problem("GET", "/api/bench", status=401)


def test_passwords_are_kept_as_argon2_and_short_ones_refused(workshop, shop):
    with workshop.database.session() as session:
        kept = session.get(Member, shop.member_id).password_hash
    assert kept.startswith("$argon2id$")
    with refuses(Refused, match="has 5 characters, at least 10"):
        accounts.set_password(workshop, "ada", "short")


def test_the_first_owner_needs_the_code(app):
    caller = Caller(app)
    assert caller.call("GET", "/api/session")["set_up_needed"]
    body = {"code": "guess", "shop_name": "S", "name": "N", "login": "new", "password": PASSWORD}
    assert caller.problem("POST", "/api/set-up", body, status=403)["errors"][0]["field"] == "code"
    assert caller.call("POST", "/api/set-up", {**body, "code": "the code"})["person"]["role"] == "owner"
    caller.refresh()
    again = caller.problem("POST", "/api/set-up", {**body, "code": "the code", "login": "other"}, status=409)
    assert "a shop already" in again["detail"]


def test_the_demo_signs_in_on_loopback_only(app, workshop):
    accounts.found_shop(workshop, shop_name="Demo", name="Imke", login="imke", password=None, demo=True)
    caller = Caller(app)
    assert caller.call("GET", "/api/session")["demo_available"]
    through_proxy = {"X-Forwarded-For": "203.0.113.7"}
    assert not caller.call("GET", "/api/session", headers=through_proxy)["demo_available"]
    caller.problem("POST", "/api/session/demo", status=403, headers=through_proxy)
    far = caller.client.post(
        "/api/session/demo", headers={"X-CSRFToken": caller.token}, environ_overrides={"REMOTE_ADDR": "203.0.113.7"}
    )
    assert far.status_code == 403
    assert caller.call("POST", "/api/session/demo")["person"]["demo"]


def test_a_member_without_a_password_cannot_sign_in(app, workshop):
    accounts.found_shop(workshop, shop_name="Demo", name="Imke", login="imke", password=None, demo=True)
    Caller(app).problem("POST", "/api/session", {"login": "imke", "password": ""}, status=403)


def test_an_unknown_host_is_not_served(app):
    assert app.test_client().get("/api/session", headers={"Host": "evil.example"}).status_code == 400


def test_another_shops_job_does_not_exist(ada, app, workshop):
    job = ada.new_job()["id"]
    with workshop.database.session() as session:
        other = Shop(name="Two")
        session.add(other)
        session.flush()
        shop_id = other.id
    accounts.add_member(workshop, shop_id, login="bo", name="Bo", role="owner", password=PASSWORD)
    bo = Caller(app).sign_in("bo")
    for path in ("", "/record", "/record.pdf", "/verdict", "/runs/before", "/fit/items", "/plan", "/cuts"):
        bo.problem("GET", f"/api/jobs/{job}{path}", status=404)
    assert bo.call("GET", "/api/bench")["total"] == 0


def test_answers_are_hardened(nobody):
    answer = nobody.app.test_client().get("/api/session")
    assert "default-src 'self'" in answer.headers["Content-Security-Policy"]
    assert answer.headers["X-Content-Type-Options"] == "nosniff"
    assert "HttpOnly" in answer.headers["Set-Cookie"]


def test_cookies_are_secure_by_default(workshop):

    answer = create_app(workshop, Settings(secret_key="key")).test_client().get("/api/session")
    assert "Secure" in answer.headers["Set-Cookie"]
