"""Engine, sessions and migrations."""

from __future__ import annotations

from collections.abc import Callable, Iterator
from contextlib import contextmanager
from contextvars import ContextVar
from pathlib import Path

from alembic import command
from alembic.config import Config
from alembic.runtime.migration import MigrationContext
from alembic.script import ScriptDirectory
from sqlalchemy import Engine, create_engine, text
from sqlalchemy.exc import SQLAlchemyError
from sqlalchemy.orm import Session, sessionmaker

from vividowl.store import bench, counter, counting, deciding, keys, past, records  # noqa: F401 - tables of the metadata
from vividowl.store.base import count_versions
from vividowl.store.feed import Feed

_TOGETHER: ContextVar[Session | None] = ContextVar("together", default=None)
MIGRATIONS = Path(__file__).parent / "migrations"


# Connections that are kept, and three times as many at the most; how long one is waited for, and how long the server
# is [s]: whoever asks is told to come again before a browser gives up. Limits of the product.
CONNECTIONS, WAIT_MOST_S, CONNECT_MOST_S = 10, 10.0, 5

# One number for the lock under which tables are migrated; any that nobody else uses.
MIGRATING = 4_911_230


class UnknownRevision(RuntimeError):  # noqa: N818 - reads as what it says
    """The tables are of a version that this program does not know: a newer one made them."""


class Database:
    """A PostgreSQL database: sessions that commit as a whole or not at all."""

    def __init__(self, url: str, *, connections: int = CONNECTIONS, wait_most_s: float = WAIT_MOST_S) -> None:
        self.engine: Engine = create_engine(
            url,
            pool_size=connections,
            max_overflow=2 * connections,
            pool_pre_ping=True,
            pool_timeout=wait_most_s,
            # Moments come back in UTC, whatever zone the machine is in.
            connect_args={"options": "-c timezone=UTC", "connect_timeout": CONNECT_MOST_S},
        )
        self.feed = Feed(self.engine.url.set(drivername="postgresql").render_as_string(hide_password=False))
        self._sessions = sessionmaker(self.engine, expire_on_commit=False)
        count_versions(self._sessions)

    @contextmanager
    def session(self) -> Iterator[Session]:
        """One transaction; within another that is held together it is a savepoint of it."""
        outer = _TOGETHER.get()
        if outer is not None:
            with outer.begin_nested():
                yield outer
            return
        with self._sessions.begin() as session:
            yield session

    @contextmanager
    def together(self) -> Iterator[Session]:
        """One transaction that all sessions opened within it, in the same thread, belong to."""
        with self._sessions.begin() as session:
            held = _TOGETHER.set(session)
            try:
                yield session
            finally:
                _TOGETHER.reset(held)

    @contextmanager
    def apart(self) -> Iterator[Session]:
        """A transaction of its own, also within one that is held together: what it locks it lets go of at its end."""
        with self._sessions.begin() as session:
            yield session

    def config(self) -> Config:
        """Alembic's settings for this database; a connection is handed over, since a URL may hold a percent sign."""
        config = Config()
        config.set_main_option("script_location", str(MIGRATIONS))
        return config

    def migrate(self, revision: str = "head") -> None:
        """Bring the tables to a revision, forwards or backwards."""
        config = self.config()
        known = self.revisions()
        with self.engine.begin() as connection:
            # Two that start at once wait for each other here; the second finds it done.
            connection.execute(text("SELECT pg_advisory_xact_lock(:lock)"), {"lock": MIGRATING})
            config.attributes["connection"] = connection
            here = MigrationContext.configure(connection).get_current_revision()
            if here is not None and here not in known:
                raise UnknownRevision(f"revision {here}")
            if (
                revision != "head"
                and here in known
                and (revision == "base" or known.index(revision) < known.index(here))
            ):
                command.downgrade(config, revision)
            else:
                command.upgrade(config, revision)

    @contextmanager
    def alone(self) -> Iterator[None]:
        """Nobody else saves or migrates meanwhile."""
        with self.engine.connect() as connection:
            connection.execute(text("SELECT pg_advisory_lock(:lock)"), {"lock": MIGRATING + 1})
            try:
                yield
            finally:
                connection.rollback()
                connection.execute(text("SELECT pg_advisory_unlock(:lock)"), {"lock": MIGRATING + 1})

    @contextmanager
    def serving(self, alone: Callable[[], None]) -> Iterator[None]:
        """As long as the block lasts others know that this process serves. alone: done first by who comes when nobody
        does, and who comes meanwhile waits for it."""
        with self.engine.connect().execution_options(isolation_level="AUTOCOMMIT") as line:
            number = {"lock": MIGRATING + 2}
            if line.scalar(text("SELECT pg_try_advisory_lock(:lock)"), number):
                try:
                    alone()
                finally:
                    line.execute(text("SELECT pg_advisory_unlock(:lock)"), number)
            line.execute(text("SELECT pg_advisory_lock_shared(:lock)"), number)
            try:
                yield
            finally:
                line.invalidate()  # which lets go of the lock

    def revisions(self) -> list[str]:
        """All revisions that this program knows, the first one first."""
        return [s.revision for s in ScriptDirectory.from_config(self.config()).walk_revisions()][::-1]

    def revision(self) -> str | None:
        """The revision the tables are at."""
        with self.engine.connect() as connection:
            return MigrationContext.configure(connection).get_current_revision()

    def answers(self) -> bool:
        """Whether it answers now."""
        try:
            with self.engine.connect() as connection:
                connection.execute(text("SELECT 1"))
        except SQLAlchemyError:
            return False
        return True

    def close(self) -> None:
        """Let go of all connections."""
        self.feed.close()
        self.engine.dispose()
