"""Dates of a job for a calendar: the next service, heat cycles still to come, and when it is picked up."""

from __future__ import annotations

import json
import uuid
from collections.abc import Mapping
from datetime import date, datetime, timedelta
from typing import Any

from vividowl.core.materials.after_care import HEAT_CYCLES
from vividowl.core.quantities.words import say
from vividowl.formats.calendar_file import Dated, calendar_file
from vividowl.service.clock import day_of, server_now
from vividowl.service.record.opening import require_open
from vividowl.service.record.versions import name_of, version_row, versions_of
from vividowl.service.workshop import Actor, Workshop
from vividowl.store.models import Job, Shop
from vividowl.store.records import RecordVersion, link_of
from vividowl.store.scope import Scope
from vividowl.words import sentence, spoken

SERVICE_TOLD_DAYS = 7


def job_dates(workshop: Workshop, actor: Actor, job_id: uuid.UUID) -> tuple[bytes, str]:
    """The calendar file of a job, and a name for it."""
    with workshop.scope(actor) as scope:
        job = scope.get(Job, job_id)
        return _file(scope, job, version_row(scope, job, None))


def linked_dates(workshop: Workshop, link_id: uuid.UUID) -> tuple[bytes, str]:
    """The same, for whoever holds a link to its record."""
    with workshop.database.session() as session:
        link = require_open(link_of(session, link_id))
        scope = Scope(session, link.shop_id)
        kept = versions_of(scope, link.job_id)
        return _file(scope, scope.get(Job, link.job_id), kept[0] if kept else None)


def _file(scope: Scope, job: Job, row: RecordVersion | None) -> tuple[bytes, str]:
    with spoken(job.language):
        told = json.loads(row.record) if row is not None else {}
        events = _events(job, scope.shop(), told)
        return calendar_file(events, server_now(), row.number - 1 if row else 0), f"{name_of(job, row)}.ics"


def _events(job: Job, shop: Shop, record: Mapping[str, Any]) -> list[Dated]:
    device = f"{job.maker} {job.model}".strip()
    out = []
    if record.get("heat_cycles"):
        after = day_of(shop, datetime.fromisoformat(record["job"]["handed_over_at"])) + timedelta(days=1)
        words = sentence(say("calendar-cycles", device=device))
        more = sentence(say("calendar-cycles-how", cycles=HEAT_CYCLES))
        out.append(Dated(uid=f"cycles-{job.id}@vivid-owl", on=after, words=words, more=more, again=HEAT_CYCLES))
    due = record.get("job", {}).get("next_service_on")
    if due:
        words = sentence(say("calendar-service", device=device, shop=shop.name))
        reason = record["proposed_service_reason"] if due == record["proposed_service_on"] else ""
        uid = f"service-{job.id}@vivid-owl"
        out.append(Dated(uid=uid, on=date.fromisoformat(due), words=words, more=reason, ahead=SERVICE_TOLD_DAYS))
    return out
