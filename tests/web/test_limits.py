"""Guessing is slowed down, and every answer keeps to its schema."""

import pytest
from tests.web.conftest import Caller

from vividowl.web.app import Settings, create_app
from vividowl.web.description import kept


def test_an_eleventh_guess_within_a_minute_has_to_wait(workshop, shop):
    caller = Caller(create_app(workshop, Settings("key", cookie_secure=False)))
    for _ in range(10):
        caller.problem("POST", "/api/session", {"login": "ada", "password": "guess"}, status=403)
    refused = caller.problem("POST", "/api/session", {"login": "ada", "password": "guess"}, status=429)
    assert "Wait a minute" in refused["remedy"]


def test_every_write_describes_its_refusals():
    paths = kept()["paths"]
    for path, methods in paths.items():
        for method, operation in methods.items():
            assert operation["operationId"], path
            if method != "get":
                assert "422" in operation["responses"], f"{method} {path}"


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
