"""The server's clock, the only one of the use cases: what counts, whatever a tablet thinks."""

from __future__ import annotations

from datetime import date, datetime

from vividowl.store.base import now


def server_now() -> datetime:
    """The present moment, UTC; another while rows are added as of that."""
    return now()


def server_today() -> date:
    """The day by UTC, as all dates of the shop."""
    return server_now().date()
