"""To forget a customer: what says who it was goes, what the shop measured and did stays."""

from __future__ import annotations

import uuid
from collections.abc import Sequence

from sqlalchemy import delete, func, or_, select, update

from vividowl.core.quantities.words import listed, say
from vividowl.service.clock import server_now
from vividowl.service.customers.kept import CustomerView, view_of
from vividowl.service.errors import Refused
from vividowl.service.workshop import Actor, Workshop
from vividowl.store.bench import Photo
from vividowl.store.counter import ConditionPhoto, CounterSheet, Quote
from vividowl.store.marks import forget
from vividowl.store.measuring import FrameFile, Run, SoundFile, TraceFile
from vividowl.store.models import Customer, IdempotentReply
from vividowl.store.records import CustomerLink, RecordVersion
from vividowl.store.scope import Scope
from vividowl.words import sentence


def erase(workshop: Workshop, actor: Actor, customer_id: uuid.UUID, name: str) -> CustomerView:
    """Forget who a customer was. name: theirs, typed once more, since it cannot be undone.

    What stays: devices without their serial numbers, measurements, materials, prices, and what was told at the bench.
    """
    with workshop.scope(actor) as scope:
        customer = scope.get(Customer, customer_id, lock=True)
        view = view_of(scope, customer)
        _refuse(view, name)
        known = {customer.name.casefold(), customer.contact.casefold()} - {""}
        photos = _forget(scope, view)
        _forget_replies(scope, view, known)
        customer.name = sentence(say("customers-erased-name", sign=customer.id.hex[:6]))
        customer.contact, customer.erased_at = "", server_now()
        scope.session.flush()
        gone = _unspoken(scope, photos)
    for sha256 in gone:
        for size in ("large", "small"):
            workshop.files.photo(actor.shop_id, sha256, size).unlink(missing_ok=True)
    return view


def _refuse(view: CustomerView, name: str) -> None:
    if view.customer.erased_at is not None:
        raise Refused("conflict", say("customers-erased-already"), reason="erased")
    if view.open_jobs:
        raise Refused(
            "conflict",
            say("customers-jobs-are-open", count=len(view.open_jobs), numbers=listed(view.open_jobs, "and")),
            reason="open",
        )
    if name.strip() != view.customer.name:
        raise Refused("invalid", say("customers-name-differs", name=view.customer.name), field="name", reason="name")


def _forget(scope: Scope, view: CustomerView) -> list[str]:
    """Clear what says who it was. Gives the SHA-256 of photos that were taken of the device when it came."""
    jobs = [job.id for job in view.jobs]
    for device in view.devices:
        forget(device)
    for job in view.jobs:
        forget(job)
        if job.past is not None:
            job.past = {"line": job.past["line"]}
    shown = select(ConditionPhoto.photo_id).where(ConditionPhoto.job_id.in_(jobs))
    photos = scope.session.scalars(scope.select(Photo).where(Photo.id.in_(shown))).all()
    for table in (ConditionPhoto, CounterSheet, Quote, CustomerLink, RecordVersion):
        scope.session.execute(delete(table).where(table.shop_id == scope.shop_id, table.job_id.in_(jobs)))
    for photo in photos:
        scope.session.delete(photo)
    runs = select(Run.id).where(Run.shop_id == scope.shop_id, Run.job_id.in_(jobs))
    for files in (TraceFile, SoundFile, FrameFile):
        ending = func.substring(files.file_name, r"\.[A-Za-z0-9]{1,8}$")
        plain = func.concat("file", func.coalesce(ending, ""))
        scope.session.execute(update(files).where(files.run_id.in_(runs)).values(file_name=plain))
    return [photo.sha256 for photo in photos]


def _forget_replies(scope: Scope, view: CustomerView, known: set[str]) -> None:
    """Answers that are kept for a broken line repeat what was typed."""
    told = [str(job.id) for job in view.jobs] + [str(view.customer.id)]
    body = func.lower(IdempotentReply.body)
    names = [func.strpos(body, text) > 0 for text in (*told, *sorted(known))]
    query = delete(IdempotentReply).where(IdempotentReply.shop_id == scope.shop_id, or_(*names))
    scope.session.execute(query.execution_options(synchronize_session=False))


def _unspoken(scope: Scope, photos: Sequence[str]) -> list[str]:
    """Those of the photos that nothing speaks of any more."""
    still = {photo.sha256 for photo in scope.session.scalars(scope.select(Photo).where(Photo.sha256.in_(photos)))}
    return [sha256 for sha256 in photos if sha256 not in still]
