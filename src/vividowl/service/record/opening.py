"""What a link of a customer shows, to whoever holds it."""

from __future__ import annotations

import json
import uuid
from dataclasses import dataclass
from datetime import datetime

from vividowl.core.quantities.words import say
from vividowl.service.clock import server_now
from vividowl.service.errors import Refused
from vividowl.service.record.versions import file_of, name_of, versions_of
from vividowl.service.workshop import Workshop
from vividowl.store.bench import Photo
from vividowl.store.models import Job
from vividowl.store.records import CustomerLink, RecordVersion, count_view, link_of
from vividowl.store.scope import Scope


@dataclass(frozen=True)
class Opened:
    """What a link shows: the latest version of a record as it was written, and which it is."""

    record: bytes
    number: int
    expires_at: datetime
    language: str


def require_open(link: CustomerLink | None) -> CustomerLink:
    """Refuse a link that was never given, was withdrawn, or is over."""
    if link is None:
        raise Refused("missing", say("links-unknown"), reason="unknown")
    if link.withdrawn_at is not None:
        raise Refused("gone", say("links-withdrawn"), reason="withdrawn")
    if link.expires_at <= server_now():
        raise Refused("gone", say("links-over"), reason="over")
    return link


def _opened(scope: Scope, link: CustomerLink) -> tuple[Job, RecordVersion]:
    job = scope.get(Job, link.job_id)
    kept = versions_of(scope, job.id)
    if not kept:
        raise Refused("missing", say("links-unknown"), reason="unknown")
    return job, kept[0]


def open_link(workshop: Workshop, link_id: uuid.UUID, *, count: bool) -> Opened:
    """What a link shows. count: whether this is a view."""
    with workshop.database.session() as session:
        link = require_open(link_of(session, link_id))
        job, row = _opened(Scope(session, link.shop_id), link)
        if count:
            count_view(session, link.id)
        return Opened(row.record, row.number, link.expires_at, job.language)


def linked_file(workshop: Workshop, link_id: uuid.UUID, what: str) -> tuple[bytes, str]:
    """The PDF or the data file (pdf, zip) that a link leads to, and a name for it."""
    with workshop.database.session() as session:
        link = require_open(link_of(session, link_id))
        scope = Scope(session, link.shop_id)
        job, row = _opened(scope, link)
        return row.pdf if what == "pdf" else file_of(workshop, scope, row), f"{name_of(job, row)}.{what}"


def linked_photo(workshop: Workshop, link_id: uuid.UUID, which: str) -> bytes:
    """The photo before or after that stands on the record."""
    with workshop.database.session() as session:
        link = require_open(link_of(session, link_id))
        scope = Scope(session, link.shop_id)
        _, row = _opened(scope, link)
        photo_id = json.loads(row.record).get(f"{which}_photo")
        if photo_id is None:
            raise Refused("missing", say("links-no-photo"), reason="unknown")
        photo = scope.get(Photo, uuid.UUID(photo_id))
        return workshop.files.photo(scope.shop_id, photo.sha256, "large").read_bytes()
