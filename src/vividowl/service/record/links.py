"""Links by which a customer opens the record of a job without an account: scoped to one, with an end, withdrawable."""

from __future__ import annotations

import uuid
from collections.abc import Sequence
from datetime import datetime

from vividowl.core.materials.life import add_months
from vividowl.core.quantities.words import say
from vividowl.service.clock import day_of, server_now
from vividowl.service.errors import Refused
from vividowl.service.shop.habits import habits_of
from vividowl.service.workshop import Actor, Workshop
from vividowl.store.models import Job
from vividowl.store.records import CustomerLink, RecordVersion
from vividowl.store.scope import Scope

LINKS_MOST = 20


def make_link(workshop: Workshop, actor: Actor, job_id: uuid.UUID) -> CustomerLink:
    """A link to the record of a job that is handed over."""
    with workshop.scope(actor) as scope:
        job = scope.get(Job, job_id, lock=True)
        kept = scope.one(RecordVersion, RecordVersion.job_id == job.id) is not None
        if job.customer.erased_at is not None:
            raise Refused("conflict", say("links-erased", number=job.number), reason="erased")
        if job.import_id is not None and not kept:
            raise Refused("conflict", say("links-from-a-list", number=job.number), reason="from_list")
        if job.handed_over_at is None or not kept:
            raise Refused("conflict", say("links-no-record-yet", number=job.number), reason="not_yet")
        return new_link(scope, actor, job)


def new_link(scope: Scope, actor: Actor, job: Job) -> CustomerLink:
    """A link to what is kept of a job, good for as long as the shop says."""
    kept = _of_job(scope, job.id)
    if sum(link.withdrawn_at is None for link in kept) >= LINKS_MOST:
        raise Refused("conflict", say("links-too-many", most=LINKS_MOST))
    at = server_now()
    until = add_months(day_of(scope.shop(), at), habits_of(scope.shop()).link_months)
    expires = datetime(until.year, until.month, until.day, 23, 59, 59, tzinfo=scope.shop().zone)
    return scope.add(CustomerLink(job_id=job.id, made_at=at, made_by=actor.member_id, expires_at=expires))


def _of_job(scope: Scope, job_id: uuid.UUID) -> Sequence[CustomerLink]:
    query = scope.select(CustomerLink).where(CustomerLink.job_id == job_id).order_by(CustomerLink.made_at.desc())
    return scope.session.scalars(query).all()


def links(workshop: Workshop, actor: Actor, job_id: uuid.UUID) -> Sequence[CustomerLink]:
    """Links to a job, the latest first."""
    with workshop.scope(actor) as scope:
        return _of_job(scope, scope.get(Job, job_id).id)


def withdraw_link(workshop: Workshop, actor: Actor, link_id: uuid.UUID) -> CustomerLink:
    """Withdraw a link: it opens nothing from now on."""
    with workshop.scope(actor) as scope:
        link = scope.get(CustomerLink, link_id, lock=True)
        link.withdrawn_at = link.withdrawn_at or server_now()
        return link


def live_link(scope: Scope, job_id: uuid.UUID) -> CustomerLink | None:
    """The latest link to a job that opens something."""
    at = server_now()
    return next((k for k in _of_job(scope, job_id) if k.withdrawn_at is None and k.expires_at > at), None)
