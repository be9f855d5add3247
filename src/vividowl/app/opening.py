"""The database and the files that the settings name."""

from __future__ import annotations

from vividowl.service.kept_files import kept_files
from vividowl.service.workshop import Workshop
from vividowl.settings import Settings
from vividowl.store.counting import forget_attempts
from vividowl.store.database import Database
from vividowl.store.files import FileStore


class Unsettled(ValueError):  # noqa: N818 - reads as what it says
    """A setting is missing that nothing can be done without."""


def open_workshop(settings: Settings, *, migrate: bool = False) -> Workshop:
    """Open both. migrate: bring the tables to this version first; two that do so at once wait for each other."""
    if not settings.database_url or settings.files is None:
        raise Unsettled("VIVIDOWL_DATABASE_URL and VIVIDOWL_FILES are needed.")
    database = Database(settings.database_url, connections=settings.connections)
    workshop = Workshop(database=database, files=FileStore(settings.files))
    if migrate:
        with database.alone():
            database.migrate()
    return workshop


def tidy(workshop: Workshop) -> None:
    """Take away what an earlier process left half-done. Nobody else may be serving."""
    workshop.files.clean_incoming()
    workshop.files.sweep(kept_files(workshop))
    forget_attempts(workshop.database)
