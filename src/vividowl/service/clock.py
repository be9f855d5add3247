"""The server's clock, the only one of the use cases: what counts, whatever a tablet thinks."""

from __future__ import annotations

from datetime import UTC, date, datetime


def server_now() -> datetime:
    """The present moment, UTC."""
    return datetime.now(UTC)


def server_today() -> date:
    """The day by UTC, as all dates of the shop."""
    return server_now().date()
