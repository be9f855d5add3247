"""What the application writes down of itself: into a file that never grows large, and never into somebody's way."""

from __future__ import annotations

import logging
import os
from logging.handlers import RotatingFileHandler
from pathlib import Path

import structlog

BYTES_MOST, KEPT = 4 * 2**20, 3


class _Closed(RotatingFileHandler):
    """A log that only its owner reads."""

    def _open(self):  # type: ignore[no-untyped-def]  # noqa: ANN202 - as the library has it
        stream = super()._open()
        os.chmod(self.baseFilename, 0o600)
        return stream


def keep_journal(path: Path, level: int = logging.WARNING) -> None:
    """Write warnings and errors to a file, of which a few older ones are kept. A terminal that is gone, or a full disk,
    stops no answer."""
    path.parent.mkdir(parents=True, exist_ok=True)
    logging.raiseExceptions = False
    handler = _Closed(path, maxBytes=BYTES_MOST, backupCount=KEPT, encoding="utf-8", delay=True)
    handler.setFormatter(logging.Formatter("%(message)s"))
    root = logging.getLogger()
    root.handlers, root.level = [handler], level
    structlog.configure(
        processors=[
            structlog.stdlib.filter_by_level,
            structlog.processors.TimeStamper(fmt="iso", utc=True),
            structlog.processors.add_log_level,
            structlog.processors.format_exc_info,
            structlog.processors.KeyValueRenderer(key_order=["timestamp", "level", "event"]),
        ],
        wrapper_class=structlog.stdlib.BoundLogger,
        logger_factory=structlog.stdlib.LoggerFactory(),
        cache_logger_on_first_use=False,
    )
