"""The server's clock: the only one that counts for waits, whatever a tablet thinks."""

from __future__ import annotations

from datetime import UTC, datetime


def server_now() -> datetime:
    """The present moment, UTC."""
    return datetime.now(UTC)
