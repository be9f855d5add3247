"""The description of the interface held against the interface itself: what it says is what comes, whatever is sent."""

import contextlib
from collections import Counter

import schemathesis
from hypothesis import HealthCheck, Phase, given, settings
from hypothesis.errors import Flaky
from schemathesis.checks import not_a_server_error
from schemathesis.specs.openapi.checks import (
    content_type_conformance,
    response_schema_conformance,
    status_code_conformance,
    unsupported_method,
)
from tests.logs import HOT, log_bytes
from tests.web.conftest import PASSWORD, Caller

from vividowl.service.shop import accounts
from vividowl.web.description import PROBLEMS, kept

CHECKS = [not_a_server_error, status_code_conformance, content_type_conformance, response_schema_conformance]
# A stream never ends, and signing in and out would end the session that the others need.
APART = {"streamBench", "signOut", "signIn", "setUp", "signInDemo", "withdrawSession"}


class Contract:
    """A shop with a job that has been through the bench, and every operation of its interface."""

    def __init__(self, app, workshop):
        self.app = app
        owner = accounts.found_shop(workshop, shop_name="One", name="Ada", login="ada", password=PASSWORD)
        self.owner = owner
        self.ada = Caller(app).sign_in("ada")
        self.job = self.ada.new_job()["id"]
        self.ada.save_run(self.job, "before")
        self.ada.upload(self.job, "before", log_bytes(HOT, seed=1))
        plan = self.ada.call("GET", f"/api/jobs/{self.job}/plan")["version"]
        self.ada.call("POST", f"/api/jobs/{self.job}/plan/choice", {"version": plan, "key": "clean"})
        self.ada.call("POST", f"/api/jobs/{self.job}/bench/list", {"with_model": True})
        body = {"version": 0, "kind": "paste_stiff", "name": "Grey Heron 11", "unit": "g"}
        product = self.ada.call("POST", "/api/shelf/products", body, status=201)["products"][0]["id"]
        lot = {"code": "A", "held": 3.5, "received_on": "2026-01-05"}
        found = self.ada.call("POST", f"/api/shelf/products/{product}/lots", lot, status=201)
        self.known = {
            "job_id": self.job,
            "product_id": product,
            "lot_id": found["products"][0]["lots"][0]["id"],
            "side": "before",
            "name": "dose",
            "kind": "paste_stiff",
            "form": "svg",
        }
        self.schema = schemathesis.openapi.from_dict(kept())
        self.statuses = Counter()

    @property
    def operations(self):
        """Operations by their id."""
        found = [r.ok() for r in self.schema.get_all_operations()]
        return {o.definition.raw["operationId"]: o for o in found if o.definition.raw["operationId"] not in APART}

    def hold(self, name, examples, *, deep=False):
        """Send an operation so many requests and hold each answer against the description."""
        operation = self.operations[name]

        @settings(
            max_examples=examples,
            deadline=None,
            derandomize=not deep,
            database=None,
            phases=[Phase.explicit, Phase.generate],
            suppress_health_check=list(HealthCheck),
        )
        @given(case=operation.as_strategy())
        def run(case):
            # Half of them about things that are there: an unknown id tells little.
            for key in list(case.path_parameters or {}):
                if key in self.known and (self.sent % 2 == 0 or key == "side"):
                    case.path_parameters[key] = self.known[key]
            self.sent += 1
            response = case.call(
                app=self.app,
                # The harness does not unpack what it asks for packed.
                headers={"X-CSRFToken": self.ada.token, "Accept-Encoding": "identity"},
                cookies={"vividowl": self.ada.client.get_cookie("vividowl").value},
            )
            self.statuses[response.status_code] += 1
            may = set(PROBLEMS) - ({413, 415, 507} if case.method == "GET" else set())
            assert response.status_code < 400 or response.status_code in may
            case.validate_response(response, checks=CHECKS)

        self.sent = 0
        run()

    def walk(self, examples):
        """Sequences of operations: what one answers is what the next one asks about."""
        contract = self
        token = self.ada.token
        cookie = self.ada.client.get_cookie("vividowl").value

        class Walk(self.schema.as_state_machine()):
            """Requests whose answers lead to the next ones."""

            def get_call_kwargs(self, case):
                return {"app": contract.app, "headers": {"X-CSRFToken": token}, "cookies": {"vividowl": cookie}}

            def validate_response(self, response, case, **_more):
                contract.statuses[response.status_code] += 1
                case.validate_response(response, checks=CHECKS)

        # The shop keeps what earlier walks left in it, so that a fault is told as it came and not made smaller.
        found = settings(
            max_examples=examples,
            stateful_step_count=8,
            deadline=None,
            derandomize=True,
            database=None,
            phases=[Phase.generate],
            suppress_health_check=list(HealthCheck),
        )
        with contextlib.suppress(Flaky):
            Walk.run(settings=found)


__all__ = ["CHECKS", "Contract", "unsupported_method"]
