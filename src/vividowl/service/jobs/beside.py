"""What a list tells of its jobs that lies in other tables: which visit each is, and what its customer has answered."""

from __future__ import annotations

import uuid
from collections.abc import Iterable, Sequence
from dataclasses import dataclass
from datetime import datetime
from typing import Any

from sqlalchemy import select

from vividowl.store.counter import Quote
from vividowl.store.models import Job
from vividowl.store.scope import Scope


def visits_of(scope: Scope, jobs: Sequence[Job]) -> dict[uuid.UUID, tuple[int, int]]:
    """Which visit of its device each job is, and of how many."""
    query = (
        select(Job.id, Job.device_id)
        .where(Job.shop_id == scope.shop_id, Job.device_id.in_({job.device_id for job in jobs}))
        .order_by(Job.created_at, Job.number)
    )
    of_device: dict[uuid.UUID, list[uuid.UUID]] = {}
    for job_id, device_id in scope.session.execute(query):
        of_device.setdefault(device_id, []).append(job_id)
    return {job_id: (at + 1, len(ids)) for ids in of_device.values() for at, job_id in enumerate(ids)}


@dataclass(frozen=True, kw_only=True)
class Answered:
    """What a customer answered to the latest quote. key: of the option taken, empty where they declined; title: that
    option in the words of the quote; words: what they added."""

    number: int
    key: str
    title: str
    price_cents: int | None
    words: str
    at: datetime


def answers_of(scope: Scope, job_ids: Iterable[uuid.UUID]) -> dict[uuid.UUID, Answered]:
    """By job what its customer answered. A newer quote that nobody has answered yet takes the place of an answer."""
    query = scope.select(Quote).where(Quote.job_id.in_(list(job_ids))).order_by(Quote.number)
    latest = {quote.job_id: quote for quote in scope.session.scalars(query)}
    return {job_id: _answered(quote, quote.answered_at) for job_id, quote in latest.items() if quote.answered_at}


def _answered(quote: Quote, at: datetime) -> Answered:
    key = quote.answer or ""
    options: list[dict[str, Any]] = quote.content["options"]
    taken = next((option for option in options if option["key"] == key), {})
    return Answered(
        number=quote.number,
        key=key,
        title=taken.get("title", ""),
        price_cents=taken.get("price_cents"),
        words=quote.words,
        at=at,
    )
