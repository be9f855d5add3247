"""One throw-away PostgreSQL cluster a process; an empty, migrated database for each test that asks for one."""

import copy
import fcntl
import logging
import os
import shutil
import subprocess
import tempfile
from pathlib import Path

import hypothesis
import pytest
import structlog
from argon2 import PasswordHasher
from sqlalchemy import text
from xdist.scheduler import LoadFileScheduling

from vividowl.appliance.account import prepare_folder
from vividowl.appliance.cluster import Cluster
from vividowl.service.measure import logs
from vividowl.service.shop import accounts
from vividowl.service.workshop import Workshop
from vividowl.store.base import Base
from vividowl.store.database import Database
from vividowl.store.files import FileStore

structlog.configure(wrapper_class=structlog.make_filtering_bound_logger(logging.ERROR))

# A machine under load is slow, and no property of the code.
hypothesis.settings.register_profile("house", deadline=None)
hypothesis.settings.load_profile("house")


@pytest.fixture(scope="session", autouse=True)
def _quick_hashes():
    """argon2 as in the product, but light: hundreds of tests sign in."""
    usual, accounts._hasher = accounts._hasher, PasswordHasher(time_cost=1, memory_cost=8, parallelism=1)
    yield
    accounts._hasher = usual


@pytest.fixture(scope="session", autouse=True)
def _logs_read_once():
    """The same log under the same conditions is read once a process, as hundreds of tests take one of a few in. What
    was made of it is copied, so that no test sees another's."""
    usual, kept = logs.read_apart, {}

    def read(task, path, *given, name):
        *others, columns = given
        key = (task.__qualname__, path.read_bytes(), repr(others), name)
        if key not in kept:
            found = usual(task, path, *given, name=name)
            kept[key] = found, columns.read_bytes() if columns.exists() else None
        found, written = kept[key]
        if written is not None:
            columns.touch(0o600)
            columns.write_bytes(written)
        return copy.deepcopy(found)

    logs.read_apart = read
    yield
    logs.read_apart = usual


RUN = "VIVIDOWL_TEST_RUN"
TESTS = Path(__file__).parent


def pytest_configure(config):
    """A folder for all processes of this run, which the database's own account can enter."""
    if not hasattr(config, "workerinput"):
        folder = Path(tempfile.mkdtemp(prefix="vividowl-"))
        folder.chmod(0o755)
        os.environ[RUN] = str(folder)


def pytest_unconfigure(config):
    """Its end, when the processes have left."""
    if not hasattr(config, "workerinput"):
        shutil.rmtree(os.environ.pop(RUN), ignore_errors=True)


@pytest.fixture(scope="session")
def run_folder():
    """What the processes of this run have in common."""
    return Path(os.environ[RUN])


@pytest.fixture(scope="session")
def process():
    """Name of this process."""
    return os.environ.get("PYTEST_XDIST_WORKER", "alone")


@pytest.fixture(scope="session")
def seeded(run_folder):
    """Lays a database server as it is when it has just been made into a folder: copied, since making one takes longer
    than most tests. What makes it is tested where two starts meet."""
    made = Cluster(run_folder / "made", throwaway=True)
    with (run_folder / "made.lock").open("w") as lock:
        fcntl.flock(lock, fcntl.LOCK_EX)
        if not made.data.exists():
            prepare_folder(made.base)
            made._init()

    def seed(base):
        base.parent.mkdir(parents=True, exist_ok=True)
        subprocess.run(["cp", "-a", str(made.base), str(base)], check=True)
        return base

    return seed


@pytest.fixture(scope="session")
def cluster(run_folder, process, seeded):
    """The cluster of this process."""
    made = Cluster(seeded(run_folder / process), throwaway=True)
    made.start()
    yield made
    made.leave()


@pytest.fixture(scope="session")
def database(cluster):
    """A migrated database, shared by all tests of this run."""
    opened = Database(cluster.url)
    opened.migrate()
    yield opened
    opened.close()


@pytest.fixture(scope="session")
def emptied(database):
    """What empties all tables, in one go. Row by row: an eighth of the time that TRUNCATE takes on tables with a few
    rows. Rows that stand are let go of for this once."""
    with database.engine.begin() as connection:
        guarded = connection.scalars(
            text("SELECT DISTINCT tgrelid::regclass::text FROM pg_trigger WHERE NOT tgisinternal")
        ).all()
    return ";".join(
        (
            *(f"ALTER TABLE {table} DISABLE TRIGGER USER" for table in guarded),
            *(f"DELETE FROM {table.name}" for table in reversed(Base.metadata.sorted_tables)),
            *(f"ALTER TABLE {table} ENABLE TRIGGER USER" for table in guarded),
        )
    )


@pytest.fixture
def workshop(database, emptied, tmp_path):
    """Empty tables and an empty file store."""
    with database.engine.begin() as connection:
        connection.exec_driver_sql(emptied)
    return Workshop(database=database, files=FileStore(tmp_path / "files"), later=lambda task: task())


@pytest.fixture(autouse=True)
def _no_foreign_database(monkeypatch):
    """Settings of the machine's own database clients must not leak in."""
    for name in [n for n in os.environ if n.startswith("PG")]:
        monkeypatch.delenv(name)


def pytest_collection_modifyitems(items):
    """One file of browser tests first, since it loads the demo; the others when it is there."""
    first = next((item.path for item in items if item.path.parent.name == "browser"), None)
    turn = {"core": 1, "browser": 2}
    items.sort(key=lambda item: 0 if item.path == first else turn.get(item.path.relative_to(TESTS).parts[0], 3))


@pytest.hookimpl(optionalhook=True)
def pytest_xdist_make_scheduler(config, log):
    """What shares a costly fixture runs in one process: tests are dealt by file."""
    return LoadFileScheduling(config, log)
