"""The server's clock, the only one of the use cases: what counts, whatever a tablet thinks."""

from __future__ import annotations

from datetime import date, datetime
from typing import Protocol
from zoneinfo import ZoneInfo

from vividowl.store.base import now
from vividowl.store.models import Job, Shop


def server_now() -> datetime:
    """The present moment, UTC; another while rows are added as of that."""
    return now()


class Placed(Protocol):
    """A shop, or its ways: where it is."""

    @property
    def zone(self) -> ZoneInfo:
        """Of the IANA list."""


def day_of(shop: Placed, moment: datetime) -> date:
    """The day that a moment falls on where the shop is."""
    return moment.astimezone(shop.zone).date()


def today_of(shop: Placed) -> date:
    """The present day where the shop is."""
    return day_of(shop, server_now())


def done_day(shop: Shop, job: Job) -> date:
    """The day of a job's work: as a list said it, else the one on which the job was written down."""
    return job.done_on or day_of(shop, job.created_at)
