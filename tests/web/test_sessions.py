"""Sessions live on the server: ending, listing, withdrawing; guesses, and pages of another address."""

import pytest
from tests.web.conftest import PASSWORD, Caller

from vividowl.service.shop import accounts
from vividowl.settings import Settings
from vividowl.web.app import create_app


def test_signing_out_ends_the_session_for_every_copy_of_its_cookie(ada, app):
    thief = app.test_client()
    thief.set_cookie("vividowl", ada.client.get_cookie("vividowl").value)
    assert thief.get("/api/jobs").status_code == 200
    ada.call("DELETE", "/api/session")
    assert thief.get("/api/jobs").status_code == 401


def test_one_sees_where_one_is_signed_in_and_ends_it_from_elsewhere(ada, app):
    tablet = Caller(app).sign_in("ada")
    seen = ada.call("GET", "/api/sessions")["sessions"]
    assert [s["here"] for s in seen].count(True) == 1
    (other,) = [s["id"] for s in seen if not s["here"]]
    assert len(ada.call("DELETE", f"/api/sessions/{other}")["sessions"]) == 1
    assert tablet.client.get("/api/jobs").status_code == 401
    assert ada.client.get("/api/jobs").status_code == 200


def test_nobody_ends_the_session_of_somebody_else(ada, app):
    stranger = Caller(app).sign_in("tom")
    (theirs,) = [s["id"] for s in stranger.call("GET", "/api/sessions")["sessions"]]
    ada.problem("DELETE", f"/api/sessions/{theirs}", status=404)
    assert stranger.client.get("/api/jobs").status_code == 200


def test_a_new_password_ends_all_sessions(ada, workshop):
    accounts.set_password(workshop, "ada", "another five words to remember")
    assert ada.client.get("/api/jobs").status_code == 401


@pytest.mark.parametrize(
    "headers",
    [{"Origin": "http://elsewhere.example"}, {"Origin": "null"}, {"Sec-Fetch-Site": "cross-site"}],
)
def test_a_page_of_another_address_changes_nothing_whatever_token_it_has(ada, headers):
    assert ada.problem("POST", "/api/jobs", {}, status=403, headers=headers)["reason"] == "origin"
    assert ada.call("GET", "/api/jobs", headers=headers)["jobs"] == []
    ada.problem("POST", "/api/jobs", {}, status=422, headers={"Origin": "http://localhost"})


def test_a_strangers_guesses_do_not_lock_the_right_password_out(ada, workshop):
    strict = create_app(workshop, Settings(secret_key="test key", cookie_secure=False))

    def sign_in(password, address):
        caller = strict.test_client()
        token = caller.get("/api/session").get_json()["csrf_token"]
        return caller.post(
            "/api/session",
            json={"login": "ada", "password": password},
            headers={"X-CSRFToken": token},
            environ_base={"REMOTE_ADDR": address},
        )

    answers = [sign_in("a guess of a stranger", "10.0.0.9") for _ in range(12)]
    assert [a.status_code for a in answers] == [403] * 10 + [429] * 2
    assert 0 < int(answers[-1].headers["Retry-After"]) <= 61
    assert "Wait a minute" in answers[-1].get_json()["remedy"]
    assert sign_in(PASSWORD, "10.0.0.5").status_code == 200
