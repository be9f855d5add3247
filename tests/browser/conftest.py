"""The real application behind a real server, driven by Debian's Chromium."""

import os
import shutil
import threading
import zlib

import pytest
from sqlalchemy import text
from tests.logs import COOL, HOT, log_bytes

from vividowl.demo.shop import load_demo
from vividowl.host.serving import make_server, port_of
from vividowl.service.workshop import Workshop
from vividowl.store.database import Database
from vividowl.store.files import FileStore
from vividowl.web.app import Settings, create_app


@pytest.fixture(scope="session")
def site(cluster, database, tmp_path_factory):
    """Address of a server with the demo shop, in a database of its own."""
    with database.engine.connect().execution_options(isolation_level="AUTOCOMMIT") as admin:
        admin.execute(text("CREATE DATABASE site"))
    own = Database(cluster.url.replace("/vividowl", "/site"))
    own.migrate()
    workshop = Workshop(own, FileStore(tmp_path_factory.mktemp("files")))
    load_demo(workshop)
    app = create_app(workshop, Settings("browser test key", demo_sign_in=True))
    server = make_server(app, 0)
    thread = threading.Thread(target=server.serve, daemon=True)
    thread.start()
    yield f"http://127.0.0.1:{port_of(server)}"
    own.feed.close()
    server.stop()
    thread.join(timeout=5)
    own.close()


@pytest.fixture(scope="session")
def browser_type_launch_args(browser_type_launch_args):
    """Debian's Chromium, kept from looking anything up outside."""
    return {
        **browser_type_launch_args,
        "executable_path": os.environ.get("CHROMIUM") or shutil.which("chromium"),
        "args": [
            "--host-resolver-rules=MAP * ~NOTFOUND, EXCLUDE 127.0.0.1",
            "--disable-gpu",
            "--disable-quic",
            "--no-first-run",
            "--disable-background-networking",
            "--disable-component-update",
            "--disable-sync",
            "--disable-dev-shm-usage",
        ],
    }


@pytest.fixture(scope="session")
def browser_context_args(browser_context_args, site):
    """A screen of 1280 by 800."""
    return {
        **browser_context_args,
        "base_url": site,
        "viewport": {"width": 1280, "height": 800},
        "locale": "en-GB",
        "timezone_id": "UTC",
        "reduced_motion": "reduce",
    }


@pytest.fixture
def page(page):
    """A page whose console must stay clean; a refusal by the server is no fault of the page."""
    faults = []
    page.on("pageerror", lambda error: faults.append(str(error)))
    page.on(
        "console",
        lambda m: faults.append(m.text) if m.type == "error" and "Failed to load resource" not in m.text else None,
    )
    yield page
    assert faults == []


@pytest.fixture
def job_address(page):
    """Address of a demo job by its model, and a stage."""

    def find(number, stage):
        page.goto("/")
        page.get_by_text("Next for your hands").wait_for()
        jobs = page.evaluate("async () => (await (await fetch('/api/jobs?all=true&limit=100')).json()).jobs")
        return f"/jobs/{next(j['id'] for j in jobs if j['number'] == number)}/{stage}"

    return find


@pytest.fixture
def logs(request, tmp_path):
    """Two real log files, hot and cool, that no other test has: the same file on two jobs is asked about."""
    seed = zlib.crc32(request.node.name.encode())
    paths = tmp_path / "hot.csv", tmp_path / "cool.csv"
    paths[0].write_bytes(log_bytes(HOT, seed=seed))
    paths[1].write_bytes(log_bytes(COOL, seed=seed + 1, room_c=25.0))
    return paths
