"""Guessing is slowed down, and every answer keeps to its schema."""

import threading
import time
from collections import Counter
from concurrent.futures import ThreadPoolExecutor
from types import SimpleNamespace

import pytest
from argon2.exceptions import VerifyMismatchError
from tests.web.conftest import Caller

from vividowl.service.errors import Refused
from vividowl.service.shop import accounts
from vividowl.settings import Settings
from vividowl.web.app import create_app
from vividowl.web.description import kept


def test_an_eleventh_guess_within_a_minute_has_to_wait(workshop, shop):
    caller = Caller(create_app(workshop, Settings(secret_key="key", cookie_secure=False)))
    for _ in range(10):
        caller.problem("POST", "/api/session", {"login": "ada", "password": "guess"}, status=403)
    refused = caller.problem("POST", "/api/session", {"login": "ada", "password": "guess"}, status=429)
    assert "Wait a minute" in refused["remedy"]


def test_sixty_who_sign_in_at_once_leave_the_database_to_the_others(workshop, shop, monkeypatch):
    held, hashing = threading.Event(), []

    def slow(_kept, _password):
        hashing.append(workshop.database.engine.pool.checkedout())
        held.wait(20)
        raise VerifyMismatchError

    monkeypatch.setattr(accounts, "_hasher", SimpleNamespace(verify=slow, check_needs_rehash=lambda _: False))

    def guess(_):
        try:
            accounts.sign_in(workshop, "ada", "guess")
        except Refused as error:
            return error.kind

    with ThreadPoolExecutor(60) as many:
        asked = many.map(guess, range(60))
        while len(hashing) < 2:
            time.sleep(0.01)
        time.sleep(0.5)
        assert workshop.database.engine.pool.checkedout() == 0
        held.set()
        told = Counter(asked)
    # Two at a time, sixteen wait for them, and the others are told at once.
    assert told["busy"] == 60 - 18
    assert told["forbidden"] == 18


def test_every_write_describes_its_refusals():
    paths = kept()["paths"]
    for path, methods in paths.items():
        for method, operation in methods.items():
            assert operation["operationId"], path
            if method != "get":
                assert "default" in operation["responses"], f"{method} {path}"


def test_every_field_with_a_unit_says_so_in_its_name():
    told = ("temperature", "power", "duration", "distance", "level", "noise")
    endings = (
        "_c",
        "_k",
        "_w",
        "_s",
        "_m",
        "_db",
        "_min",
        "_month",
        "_months",
        "_cents",
        "_u95",
        "_bytes",
        "_unit",
        "_share",
    )
    allowed = {"power_profile", "noise", "noise_figure", "power", "noise_floor"}
    schemas = kept()["components"]["schemas"]
    for name, schema in schemas.items():
        for field in schema.get("properties", {}):
            if any(word in field for word in told) and field not in allowed:
                assert field.endswith(endings), f"{name}.{field}"


@pytest.mark.parametrize("path", ["/api/bench", "/api/jobs?all=true"])
def test_lists_are_pages(ada, path):
    ada.new_job()
    page = ada.call("GET", path)
    assert set(page) == {"jobs", "total"}


def test_an_idempotency_key_may_not_be_a_novel(ada):
    refused = ada.problem(
        "POST",
        "/api/jobs",
        {"customer_name": "W", "kind": "laptop", "model": "M"},
        status=422,
        headers={"Idempotency-Key": "k" * 81},
    )
    assert "longer than 80" in refused["detail"]
