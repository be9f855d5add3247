"""Jobs by what they are known by, and by what they are."""

from __future__ import annotations

import uuid
from collections.abc import Sequence
from dataclasses import dataclass
from datetime import date, datetime, time, timedelta
from typing import Any

from sqlalchemy import ColumnElement, Select, func, select
from sqlalchemy.orm import selectinload

from vividowl.store.devices import Device
from vividowl.store.measuring import Run
from vividowl.store.models import FitItem, Job, Shop
from vividowl.store.scope import Scope

# Beyond this a list says “more than”: nobody turns to the page, and counting on would take longer than the page.
COUNTED_MOST = 1000
TRIGRAM = 3


@dataclass(frozen=True, kw_only=True)
class Wanted:
    """What is looked for; what is empty or None is not asked. find: words, each of which must occur; handed_over: True
    for closed jobs, False for open ones; kind, verdict, material: stored names; since and until: days taken in, both
    included; jobs: none but these; order: changed, newest or oldest."""

    find: str = ""
    handed_over: bool | None = None
    kind: str = ""
    verdict: str = ""
    material: str = ""
    since: date | None = None
    until: date | None = None
    jobs: frozenset[uuid.UUID] | None = None
    order: str = "changed"


def _like(word: str) -> str:
    return "%" + word.replace("\\", "\\\\").replace("%", "\\%").replace("_", "\\_") + "%"


def day_done(shop: Shop) -> ColumnElement[date]:
    """The day of a job's work in a query: as a list said it, else the one where the shop is."""
    return func.coalesce(Job.done_on, func.date(func.timezone(shop.zone.key, Job.created_at)))


def jobs_where(scope: Scope, wanted: Wanted) -> Select[Job]:
    """Jobs of the shop that are wanted, in no order."""
    query: Select[Job] = scope.select(Job)
    for word in wanted.find.lower().split():
        # Fewer than three letters make no trigram: looking at the rows in their order is then the shorter way.
        short = len(word) < TRIGRAM
        query = query.where(func.strpos(Job.known_by, word) > 0 if short else Job.known_by.like(_like(word)))
    if wanted.handed_over is not None:
        query = query.where(Job.handed_over_at.is_not(None) if wanted.handed_over else Job.handed_over_at.is_(None))
    if wanted.kind:
        devices = scope.select(Device).with_only_columns(Device.id).where(Device.kind == wanted.kind)
        query = query.where(Job.device_id.in_(devices))
    if wanted.verdict:
        after = scope.select(Run).with_only_columns(Run.job_id).where(Run.side == "after", Run.removed_at.is_(None))
        query = query.where(Job.id.in_(after.where(Run.glance["verdict"].as_string() == wanted.verdict)))
    if wanted.material:
        fitted = scope.select(FitItem).with_only_columns(FitItem.job_id)
        query = query.where(Job.id.in_(fitted.where(FitItem.kind == wanted.material, FitItem.removed_at.is_(None))))
    if wanted.since is not None:
        query = query.where(Job.created_at >= datetime.combine(wanted.since, time(), scope.shop().zone))
    if wanted.jobs is not None:
        query = query.where(Job.id.in_(wanted.jobs))
    if wanted.until is not None:
        next_day = wanted.until + timedelta(days=1)
        query = query.where(Job.created_at < datetime.combine(next_day, time(), scope.shop().zone))
    return query


def find_jobs(scope: Scope, wanted: Wanted, *, limit: int, offset: int) -> tuple[Sequence[Job], int]:
    """A page of jobs, and how many there are, counted up to one more than COUNTED_MOST."""
    query = jobs_where(scope, wanted)
    counted = query.with_only_columns(Job.id).order_by(None).limit(COUNTED_MOST + 1).subquery()
    total = scope.session.scalar(select(func.count()).select_from(counted)) or 0
    orders: dict[str, ColumnElement[Any]] = {
        "changed": Job.updated_at.desc(),
        "newest": Job.number.desc(),
        "oldest": Job.number.asc(),
    }
    page = query.options(selectinload(Job.runs)).order_by(orders[wanted.order]).limit(limit).offset(offset)
    return scope.session.scalars(page).unique().all(), total
