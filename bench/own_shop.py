"""A shop on a database of its own, for a measurement; nothing of it stays."""

from __future__ import annotations

import logging
import shutil
import sys
import tempfile
from collections.abc import Iterator
from contextlib import contextmanager
from dataclasses import dataclass
from pathlib import Path

import structlog

sys.path.insert(0, str(Path(__file__).parents[1]))
from tests.web.conftest import PASSWORD, Caller

from vividowl.appliance.cluster import Cluster
from vividowl.service.shop import accounts
from vividowl.service.workshop import Actor, Workshop
from vividowl.settings import Settings
from vividowl.store.database import Database
from vividowl.store.files import FileStore
from vividowl.web.app import create_app


@dataclass(frozen=True)
class OwnShop:
    """The shop, its owner, and where its rows and files lie."""

    workshop: Workshop
    owner: Actor
    url: str
    folder: Path

    def signed_in(self) -> Caller:
        """A browser without a screen, in which the owner is signed in."""
        return Caller(create_app(self.workshop, Settings(secret_key="bench", cookie_secure=False))).sign_in("ada")  # noqa: S106


@contextmanager
def own_shop() -> Iterator[OwnShop]:
    """Found it, and throw it away afterwards. It signs in as ada, with the password of the tests."""
    structlog.configure(wrapper_class=structlog.make_filtering_bound_logger(logging.ERROR))
    folder = Path(tempfile.mkdtemp(prefix="vividowl-bench-"))
    folder.chmod(0o755)
    cluster = Cluster(folder / "pg", throwaway=True)
    cluster.start()
    database = Database(cluster.url)
    try:
        database.migrate()
        workshop = Workshop(database=database, files=FileStore(folder / "files"))
        found = accounts.found_shop(workshop, shop_name="One", name="Ada", login="ada", password=PASSWORD)
        yield OwnShop(workshop, found.actor, cluster.url, folder)
    finally:
        database.close()
        cluster.stop()
        shutil.rmtree(folder, ignore_errors=True)
