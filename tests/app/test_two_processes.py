"""Two processes of the application on one database and one folder of files serve the same shop."""

import http.cookiejar
import json
import os
import signal
import subprocess
import sys
import threading
import time
import urllib.error
import urllib.request
import uuid
from datetime import UTC, datetime

import pytest
from sqlalchemy import text
from sqlalchemy.engine import make_url
from tests.logs import HOT, log_bytes

from vividowl.appliance.postgres import free_port
from vividowl.service.shop import accounts
from vividowl.service.workshop import Workshop
from vividowl.store.database import Database
from vividowl.store.files import FileStore

PASSWORD = "four words to remember"


class Browser:
    """A browser without a screen. Cookies go to every process, as behind one name."""

    def __init__(self, port):
        self.opener = urllib.request.build_opener(urllib.request.HTTPCookieProcessor(http.cookiejar.CookieJar()))
        self.port, self.token = port, ""

    def call(self, method, path, body=None, *, port=None, kind="application/json"):
        """Status and answer."""
        data = body if isinstance(body, bytes) else None if body is None else json.dumps(body).encode()
        request = urllib.request.Request(
            f"http://127.0.0.1:{port or self.port}/api/{path}",
            data,
            {"X-CSRFToken": self.token, "Content-Type": kind},
            method=method,
        )
        try:
            with self.opener.open(request, timeout=120) as answer:
                return answer.status, json.load(answer)
        except urllib.error.HTTPError as error:
            return error.code, json.load(error)

    def sign_in(self, login="ada", password=PASSWORD, *, port=None):
        self.token = self.call("GET", "session", port=port)[1]["csrf_token"]
        status, found = self.call("POST", "session", {"login": login, "password": password}, port=port)
        self.token = found.get("csrf_token", self.token)
        return status


def up(port):
    for _ in range(1800):
        try:
            with urllib.request.urlopen(f"http://127.0.0.1:{port}/api/health", timeout=5) as answer:
                return json.load(answer)["ready"]
        except OSError:
            time.sleep(0.1)
    raise AssertionError(f"nothing answers at {port}")


def begun(settings, **more):
    """A process of the application, as the environment says."""
    named = {f"VIVIDOWL_{name.upper()}": str(value) for name, value in {**settings, **more}.items()}
    return subprocess.Popen(
        [sys.executable, "-m", "vividowl.app"],
        env={**os.environ, **named},
        stdout=subprocess.PIPE,
        stderr=subprocess.PIPE,
        text=True,
    )


def ended(*processes):
    for one in processes:
        one.send_signal(signal.SIGTERM)
    return [(one.wait(120), *one.communicate()) for one in processes]


@pytest.fixture(scope="module")
def settings(cluster, tmp_path_factory):
    """An empty database of its own, without tables, and an empty folder."""
    own = Database(cluster.url)
    with own.engine.connect().execution_options(isolation_level="AUTOCOMMIT") as line:
        line.execute(text("CREATE DATABASE two_processes"))
    url = make_url(cluster.url).set(database="two_processes")
    yield {
        "database_url": url.set(drivername="postgresql").render_as_string(hide_password=False),
        "files": tmp_path_factory.mktemp("files"),
        "secret_key": "the same for both",
        "cookie_secure": 0,
        "threads": 8,
    }
    with own.engine.connect().execution_options(isolation_level="AUTOCOMMIT") as line:
        line.execute(text("DROP DATABASE two_processes WITH (FORCE)"))
    own.close()


@pytest.fixture(scope="module")
def ports(settings):
    """Both start at once on the empty database; one brings the tables, the other waits for it."""
    first, second = free_port(0), free_port(0)
    both = begun(settings, port=first), begun(settings, port=second)
    assert up(first)
    assert up(second)
    database = Database(settings["database_url"].replace("postgresql:", "postgresql+psycopg:"))
    accounts.found_shop(
        Workshop(database=database, files=FileStore(settings["files"])),
        shop_name="Two",
        name="Ada",
        login="ada",
        password=PASSWORD,
    )
    database.close()
    yield first, second
    assert [code for code, _, _ in ended(*both)] == [0, 0]


@pytest.fixture
def ada(ports):
    browser = Browser(ports[0])
    assert browser.sign_in() == 200
    return browser


def new_job(ada, port):
    body = {"customer_name": "Wen", "kind": "laptop", "model": "Marrow 15", "maker": "Ondervale", "backup_done": "yes"}
    status, job = ada.call("POST", "jobs", body, port=port)
    assert status == 201, job
    return job["id"]


def test_who_signed_in_at_one_is_signed_in_at_the_other(ada, ports):
    assert ada.call("GET", "session", port=ports[1])[1]["person"]["name"] == "Ada"
    assert ada.call("DELETE", "session", port=ports[1])[0] in (200, 204)
    assert ada.call("GET", "session", port=ports[0])[1]["person"] is None


def test_a_log_taken_in_by_one_is_read_and_judged_by_the_other(ada, ports):
    job = new_job(ada, ports[0])
    log = log_bytes(HOT, seed=1)
    status, taken = ada.call(
        "POST", f"jobs/{job}/runs/before/log?name=log.csv", log, port=ports[1], kind="application/octet-stream"
    )
    assert status == 201, taken
    status, run = ada.call("GET", f"jobs/{job}/runs/before", port=ports[0])
    assert status == 200
    assert run["trace"]["file_name"] == "log.csv"
    assert run["reading"] is not None
    assert ada.call("GET", f"jobs/{job}/runs/before", port=ports[1])[1] == run


def test_what_is_told_to_one_is_heard_at_the_other(ada, ports):
    job = new_job(ada, ports[0])
    request = urllib.request.Request(f"http://127.0.0.1:{ports[1]}/api/bench/stream")
    heard, ready = [], threading.Event()

    def listen():
        with ada.opener.open(request, timeout=120) as stream:
            for line in stream:
                ready.set()
                if job.encode() in line:
                    heard.append(line)
                    return

    listener = threading.Thread(target=listen, daemon=True)
    listener.start()
    assert ready.wait(60)
    now = datetime.now(UTC).isoformat()
    event = {"id": str(uuid.uuid4()), "kind": "note", "data": {"words": "hello"}, "turn": 1, "made_at": now}
    body = {"device": "tablet", "sent_at": now, "events": [event]}
    status, told = ada.call("POST", f"jobs/{job}/bench/events", body, port=ports[0])
    assert (status, told["taken"][0]["refusal"]) == (200, None)
    listener.join(60)
    assert heard


def test_attempts_at_both_count_as_one(ports):
    guesses = Browser(ports[0])
    found = [guesses.sign_in("otto", "wrong words altogether", port=ports[n % 2]) for n in range(12)]
    assert found[:9].count(429) == 0
    assert found[-1] == 429


def test_workers_share_one_port(settings):
    port = free_port(0)
    served = begun(settings, port=port, workers=2)
    assert up(port)
    assert all(up(port) for _ in range(8))
    ((code, out, _),) = ended(served)
    assert code == 0
    assert f"http://127.0.0.1:{port}/" in out


def test_what_is_missing_is_named(settings):
    ((code, _, said),) = [(p.wait(120), *p.communicate()) for p in [begun({"secret_key": "key"})]]
    assert (code, said.strip()) == (2, "vividowl: VIVIDOWL_DATABASE_URL and VIVIDOWL_FILES are needed.")
    ((code, _, said),) = [(p.wait(120), *p.communicate()) for p in [begun({"workers": "many", "database_url": "x"})]]
    assert code == 2
    assert "VIVIDOWL_WORKERS: " in said
    assert "VIVIDOWL_SECRET_KEY: Field required." in said
