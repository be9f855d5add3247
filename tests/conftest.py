"""One throw-away PostgreSQL cluster a run; an empty, migrated database for each test that asks for one."""

import logging
import os
import shutil
import tempfile
from pathlib import Path

import pytest
import structlog
from argon2 import PasswordHasher
from sqlalchemy import text
from xdist.scheduler import LoadScopeScheduling

from vividowl.host.cluster import Cluster
from vividowl.service.shop import accounts
from vividowl.service.workshop import Workshop
from vividowl.store.base import Base
from vividowl.store.database import Database
from vividowl.store.files import FileStore

structlog.configure(wrapper_class=structlog.make_filtering_bound_logger(logging.ERROR))


@pytest.fixture(scope="session", autouse=True)
def _quick_hashes():
    """argon2 as in the product, but light: hundreds of tests sign in."""
    usual, accounts._hasher = accounts._hasher, PasswordHasher(time_cost=1, memory_cost=8, parallelism=1)
    yield
    accounts._hasher = usual


@pytest.fixture(scope="session")
def cluster():
    """The cluster of this run."""
    folder = Path(tempfile.mkdtemp(prefix="vividowl-"))
    folder.chmod(0o755)
    made = Cluster(folder / "pg", throwaway=True)
    made.start()
    yield made
    made.stop()
    shutil.rmtree(folder, ignore_errors=True)


@pytest.fixture(scope="session")
def database(cluster):
    """A migrated database, shared by all tests of this run."""
    opened = Database(cluster.url)
    opened.migrate()
    yield opened
    opened.close()


@pytest.fixture
def workshop(database, tmp_path):
    """Empty tables and an empty file store."""
    names = ", ".join(table.name for table in Base.metadata.sorted_tables)
    with database.engine.begin() as connection:
        connection.execute(text(f"TRUNCATE {names} CASCADE"))
    return Workshop(database, FileStore(tmp_path / "files"))


@pytest.fixture(autouse=True)
def _no_foreign_database(monkeypatch):
    """Settings of the machine's own database clients must not leak in."""
    for name in [n for n in os.environ if n.startswith("PG")]:
        monkeypatch.delenv(name)


class BySite(LoadScopeScheduling):
    """What shares a costly fixture runs in one process: the browser's tests together, all others by file."""

    def _split_scope(self, nodeid):
        file = nodeid.split("::")[0]
        return "browser" if "/browser/" in file else file


@pytest.hookimpl(optionalhook=True)
def pytest_xdist_make_scheduler(config, log):
    """How tests are dealt to the processes."""
    return BySite(config, log)
