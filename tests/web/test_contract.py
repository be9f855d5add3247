"""The interface does what its description says. A few requests an operation here; bench/contract.py sends hundreds."""

import pytest
from tests.contract import APART, Contract

from vividowl.settings import Settings
from vividowl.web.app import create_app
from vividowl.web.description import kept

EXAMPLES = 2
NAMES = sorted(
    o["operationId"] for path in kept()["paths"].values() for o in path.values() if o["operationId"] not in APART
)


@pytest.fixture
def contract(app, workshop):
    """A shop with a job."""
    return Contract(app, workshop)


# The harness leaves a file that it was sent open, not the application.
@pytest.mark.filterwarnings("ignore::ResourceWarning", "ignore::pytest.PytestUnraisableExceptionWarning")
def test_whatever_is_sent_the_answer_is_one_that_is_described(contract):
    assert sorted(contract.operations) == NAMES
    for name in NAMES:
        contract.hold(name, EXAMPLES)
    assert contract.statuses[200] > 20
    assert contract.statuses[422] > 20


@pytest.mark.parametrize(
    ("path", "body"),
    [
        ("/api/jobs", {"customer_name": "Wen", "kind": "laptop", "model": "x", "battery_swollen": 0}),
        ("/api/jobs", {"customer_name": "Wen", "kind": "laptop", "model": "x", "limit_c": "95"}),
        ("/api/jobs", {"customer_name": "Wen", "kind": "laptop", "model": "x", "limit_c": True}),
        ("/api/shelf/products/{id}/lots", {"code": "A", "held": 1.0, "received_on": 0}),
    ],
)
def test_what_is_sent_is_what_it_says(ada, path, body):
    made = ada.call(
        "POST", "/api/shelf/products", {"version": 0, "kind": "putty", "name": "Ridgeback", "unit": "g"}, status=201
    )["products"][0]["id"]
    assert ada.problem("POST", path.format(id=made), body, status=422)["errors"]


# Whoever holds a link or a record may ask.
PUBLIC = (
    "getSession",
    "getKey",
    "openLink",
    "openLinkedFile",
    "openLinkedDates",
    "openLinkedPhoto",
    "openQuote",
)


def test_an_interface_that_is_not_signed_in_says_so_everywhere(workshop):
    nobody = create_app(workshop, Settings(secret_key="key", testing=True, cookie_secure=False)).test_client()
    for path, methods in kept()["paths"].items():
        for method, operation in methods.items():
            if operation["operationId"] in (*APART, *PUBLIC) or method != "get":
                continue
            address = path
            for name in [p["name"] for p in operation.get("parameters", []) if p["in"] == "path"]:
                address = address.replace("{" + name + "}", "0198c1f0-0000-7000-8000-000000000000")
            assert nobody.get(address).status_code in (401, 404), path
