"""The real application behind a real server, driven by Debian's Chromium."""

import fcntl
import os
import shutil
import threading
import zlib
from contextlib import contextmanager

import pytest
from playwright.sync_api import expect
from sqlalchemy import select, text
from tests.logs import COOL, HOT, log_bytes

from vividowl.app.serving import make_server, port_of
from vividowl.appliance.cluster import Cluster
from vividowl.service.workshop import Workshop
from vividowl.settings import Settings
from vividowl.store.database import Database
from vividowl.store.files import FileStore
from vividowl.store.models import Job
from vividowl.web.app import create_app
from vividowl.web.record.routes import EDGE
from vividowl_demo.shop import load_demo


@pytest.fixture(scope="session")
def demo_cluster(run_folder, seeded):
    """A server with the demo shop, and its files. The process that comes first loads it; all others wait for that."""
    cluster, files = Cluster(run_folder / "demo", throwaway=True), run_folder / "demo-files"
    with (run_folder / "demo.lock").open("w") as lock:
        fcntl.flock(lock, fcntl.LOCK_EX)
        if not files.exists():
            seeded(cluster.base)
        cluster.start()
        if not files.exists():
            loading = Database(cluster.url)
            loading.migrate()
            load_demo(Workshop(database=loading, files=FileStore(files)), EDGE)
            loading.close()
    yield cluster, files
    cluster.leave()


@pytest.fixture(scope="module")
def demo_shop(demo_cluster, run_folder, process, request, tmp_path_factory):
    """A copy of the demo shop for each file of tests, so that none finds a shelf that another one has cut."""
    cluster, files = demo_cluster
    name = f"{process}_{request.module.__name__.rpartition('.')[2]}"
    beside = Database(cluster.url.replace("/vividowl", "/postgres"))
    # A template is copied by one at a time.
    with (run_folder / "demo.lock").open("w") as lock:
        fcntl.flock(lock, fcntl.LOCK_EX)
        with beside.engine.connect().execution_options(isolation_level="AUTOCOMMIT") as admin:
            admin.execute(text(f"CREATE DATABASE {name} TEMPLATE vividowl"))
    beside.close()
    own = Database(cluster.url.replace("/vividowl", f"/{name}"))
    yield Workshop(database=own, files=FileStore(shutil.copytree(files, tmp_path_factory.mktemp("demo") / "files")))
    own.close()


@pytest.fixture(scope="module")
def site(demo_shop):
    """Address of a server with the demo shop."""
    app = create_app(demo_shop, Settings(secret_key="browser test key", demo_sign_in=True))
    server = make_server(app, 0)
    thread = threading.Thread(target=server.serve, daemon=True)
    thread.start()
    yield f"http://127.0.0.1:{port_of(server)}"
    demo_shop.database.feed.close()
    server.stop()
    thread.join(timeout=5)


@pytest.fixture(scope="session")
def browser_type_launch_args(browser_type_launch_args):
    """Debian's Chromium, kept from looking anything up outside."""
    return {
        **browser_type_launch_args,
        "executable_path": os.environ.get("CHROMIUM") or shutil.which("chromium-headless-shell"),
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


@pytest.fixture(scope="module")
def browser_context_args(browser_context_args, site):
    """A screen of 1280 by 800."""
    return {
        **browser_context_args,
        "base_url": site,
        "viewport": {"width": 1280, "height": 800},
        "locale": "en-GB",
        "timezone_id": "UTC",
        "reduced_motion": "reduce",
        # What a worker answers is no request of the page any more; tests of the worker let it in.
        "service_workers": "block",
    }


def pass_on(page, ms):
    """Time passes on the page's own clock, which a busy machine lets run late."""
    page.evaluate("ms => new Promise(done => setTimeout(done, ms))", ms)


def tread(page, key="Enter", *, together=False):
    """The foot goes down, when what was taken back is: held for a second where the step asks for it or it tells several
    together, and not again within 600 ms."""
    expect(page.locator("[data-pedal]")).not_to_have_attribute("aria-disabled", "true")
    held = page.locator("[data-pedal]").get_attribute("data-hold") == "must"
    page.keyboard.down(key)
    if held or together:
        pass_on(page, 1080)
    page.keyboard.up(key)
    pass_on(page, 720)


# A machine under load takes longer than a person would wait.
expect.set_options(timeout=15_000)


@pytest.fixture
def watched():
    """Holds that the console of a page stays clean; a refusal by the server is no fault of the page."""

    @contextmanager
    def watch(page):
        faults = []

        def said(message):
            if message.type == "error" and "Failed to load resource" not in message.text:
                faults.append(message.text)

        def broke(error):
            faults.append(str(error))

        page.on("pageerror", broke)
        page.on("console", said)
        yield
        page.remove_listener("pageerror", broke)
        page.remove_listener("console", said)
        assert faults == []

    return watch


@pytest.fixture
def page(page, watched):
    """A page of its own."""
    with watched(page):
        yield page


@pytest.fixture
def job_address(demo_shop):
    """Address of a demo job by its number, and a stage."""

    def find(number, stage):
        with demo_shop.database.session() as session:
            return f"/jobs/{session.scalars(select(Job.id).where(Job.number == number)).one()}/{stage}"

    return find


@pytest.fixture
def logs(request, tmp_path):
    """Two real log files, hot and cool, that no other test has: the same file on two jobs is asked about."""
    seed = zlib.crc32(request.node.name.encode())
    paths = tmp_path / "hot.csv", tmp_path / "cool.csv"
    paths[0].write_bytes(log_bytes(HOT, seed=seed))
    paths[1].write_bytes(log_bytes(COOL, seed=seed + 1, room_c=25.0))
    return paths
