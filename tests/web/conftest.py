"""The application over its API, as a browser would call it."""

import json
import re
from types import SimpleNamespace

import pytest
from tests.logs import COOL, HOT, log_bytes

from vividowl.service.shop import accounts
from vividowl.settings import Settings
from vividowl.store.models import Shop
from vividowl.web.app import create_app
from vividowl.web.session.routes import limiter

PASSWORD = "four words to remember"


class Caller:
    """A signed-in browser without a screen: carries cookie and token."""

    def __init__(self, app):
        self.app = app
        self.client = app.test_client()
        self.token = ""
        self.refresh()

    def refresh(self):
        self.token = self.client.get("/api/session").get_json()["csrf_token"]

    def call(self, method, path, body=None, *, status=None, headers=None, data=None):
        """Call; the answer must have the status asked for, 2xx otherwise."""
        given = {"X-CSRFToken": self.token, **(headers or {})}
        answer = self.client.open(path, method=method, json=body if data is None else None, data=data, headers=given)
        wanted = [status] if status else range(200, 300)
        assert answer.status_code in wanted, answer.get_data(as_text=True)
        return answer.get_json(silent=True) if answer.mimetype.endswith("json") else answer

    def sign_in(self, login):
        self.call("POST", "/api/session", {"login": login, "password": PASSWORD})
        self.refresh()
        return self

    def problem(self, method, path, body=None, *, status, **more):
        """A refusal as problem details; never a traceback."""
        found = self.call(method, path, body, status=status, **more)
        assert found["status"] == status
        assert found["detail"]
        assert not re.search(r"Traceback|File \"|line \d+, in", json.dumps(found))
        return found

    def new_job(self, **fields):
        body = {
            "customer_name": "Wen Abernathy",
            "kind": "laptop",
            "model": "Marrow 15",
            "maker": "Ondervale",
            "backup_done": "yes",
            "warranty": "over",
            "seal": "none",
            "limit_c": 95,
            **fields,
        }
        return self.call("POST", "/api/jobs", body, status=201)

    def save_run(self, job, side, **fields):
        base = f"/api/jobs/{job}/runs/{side}"
        version = self.call("GET", base)["version"]
        body = {
            "version": version,
            "room_c": 24.0,
            "load_recipe": "even load",
            "duration_min": 10,
            "fan_setting": "automatic",
            "power_profile": "performance",
            "placement": "stand",
            "start": "cold",
            **fields,
        }
        return self.call("PUT", base, body)

    def upload(self, job, side, data, *, name="log.csv", status=201, query=""):
        return self.call("POST", f"/api/jobs/{job}/runs/{side}/log?name={name}{query}", data=data, status=status)

    def served_job(self, **fields):
        """A job with both runs."""
        job = self.new_job(**fields)["id"]
        self.save_run(job, "before")
        self.upload(job, "before", log_bytes(HOT, seed=1))
        fit = {"version": 1, "cleaned": ["fins", "contact"], "fit_note": "chalk", "done": True}
        self.call("PUT", f"/api/jobs/{job}/fit", fit)
        self.save_run(job, "after", room_c=25.5)
        self.upload(job, "after", log_bytes(COOL, seed=2, room_c=25.5))
        return job


SETTINGS = Settings(secret_key="test key", set_up_code="the code", demo_sign_in=True, testing=True, cookie_secure=False)


@pytest.fixture(scope="session")
def made_app():
    """The application, made once a process: its hundred addresses take longer to compile than most tests to run."""
    return create_app(SimpleNamespace(database=None), SETTINGS)


@pytest.fixture
def app(made_app, workshop):
    """The application on an empty database."""
    made_app.extensions["workshop"] = workshop
    # The limiter is one for all applications of a process; the one made last has switched it on or off.
    limiter.enabled = made_app.config["RATELIMIT_ENABLED"]
    return made_app


@pytest.fixture
def shop(workshop):
    """A shop with owner ada and technician tom."""
    owner = accounts.found_shop(workshop, shop_name="One", name="Ada", login="ada", password=PASSWORD)
    accounts.add_member(workshop, owner.shop_id, login="tom", name="Tom", role="technician", password=PASSWORD)
    return owner


@pytest.fixture
def ada(app, shop):
    """The owner, signed in."""
    return Caller(app).sign_in("ada")


@pytest.fixture
def stranger(app, workshop, shop):
    """The owner of another shop, signed in."""
    with workshop.database.session() as session:
        other = Shop(name="Two")
        session.add(other)
        session.flush()
        shop_id = other.id
    accounts.add_member(workshop, shop_id, login="eve", name="Eve", role="owner", password=PASSWORD)
    return Caller(app).sign_in("eve")


@pytest.fixture
def nobody(app):
    """A browser that is not signed in."""
    return Caller(app)
