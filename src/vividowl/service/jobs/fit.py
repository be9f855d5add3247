"""Fit: what was cleaned, and what was put where."""

from __future__ import annotations

import uuid
from collections.abc import Mapping, Sequence
from datetime import datetime
from typing import Any

from sqlalchemy import select

from vividowl.core.job.gates import Severity
from vividowl.core.materials.kinds import CATALOGUE
from vividowl.core.quantities.errors import require_range
from vividowl.core.quantities.words import say
from vividowl.service.clock import server_now
from vividowl.service.errors import Refused
from vividowl.service.jobs.intake import JobView, require_settled, view_of
from vividowl.service.plan.found import plan_row
from vividowl.service.plan.planning import item_gates
from vividowl.service.runs.states import fitted
from vividowl.service.shelf.cutting import cuts_of
from vividowl.service.shelf.stock import move
from vividowl.service.workshop import Actor, Workshop, check_version, open_job
from vividowl.store.deciding import Lot
from vividowl.store.models import FitItem, Job
from vividowl.store.scope import Scope


def items_of(scope: Scope, job_id: uuid.UUID, attempt: int | None = None) -> Sequence[FitItem]:
    """What is fitted on a job, in order; in the attempt that is on the bench, or in another one."""
    which = attempt if attempt is not None else select(Job.attempt).where(Job.id == job_id).scalar_subquery()
    query = scope.select(FitItem).where(
        FitItem.job_id == job_id, FitItem.attempt == which, FitItem.removed_at.is_(None)
    )
    return scope.session.scalars(query.order_by(FitItem.created_at)).all()


def get_items(workshop: Workshop, actor: Actor, job_id: uuid.UUID) -> Sequence[FitItem]:
    """What is fitted on a job."""
    with workshop.scope(actor) as scope:
        scope.get(Job, job_id)
        return items_of(scope, job_id)


def save_fit(
    workshop: Workshop,
    actor: Actor,
    job_id: uuid.UUID,
    version: int,
    *,
    done: bool,
    cleaned: list[str] | None = None,
    fit_note: str | None = None,
) -> JobView:
    """Save what was cleaned, and a note: what is not given stays. done closes the step, for which open gates must be
    acknowledged."""
    with workshop.scope(actor) as scope:
        job = open_job(scope, job_id)
        check_version(job.version, version, say("fit-fit"))
        cleaned = list(job.cleaned) if cleaned is None else cleaned
        fit_note = job.fit_note if fit_note is None else fit_note
        view = view_of(scope, job)
        if done:
            require_settled(view, field="done")
        if done and job.bench.get("begun") and not job.bench["closed"]:
            raise Refused(
                "conflict",
                say("fit-bench-list-has-open-items", bench=job.bench["open"]),
                field="done",
                reason="bench_open",
            )
        if not done and job.bench.get("closed"):
            raise Refused("conflict", say("fit-bench-list-closed"), field="done", reason="bench_closed")
        if done and not cleaned and not items_of(scope, job.id):
            raise Refused("invalid", say("fit-nothing-noted-as-cleaned-or"), field="cleaned")
        job.cleaned, job.fit_note, job.fit_done = cleaned, fit_note, done
        if done:
            fitted(scope, job, items_of(scope, job.id))
        scope.session.flush()
        return view_of(scope, job)


def add_item(workshop: Workshop, actor: Actor, job_id: uuid.UUID, fields: Mapping[str, Any]) -> Sequence[FitItem]:
    """Note an interface that was fitted."""
    if fields["amount"] is not None:
        require_range("amount", fields["amount"], fields["amount_unit"], (1e-6, 1e5))
        if not fields["amount_unit"]:
            raise Refused("invalid", say("fit-amount-has-no-unit"), field="amount_unit")
    with workshop.scope(actor) as scope:
        job = open_job(scope, job_id)
        note_item(scope, actor, job, fields)
        return items_of(scope, job.id)


def note_item(scope: Scope, actor: Actor, job: Job, fields: Mapping[str, Any]) -> FitItem:
    """Note an interface on a job that is open for writing, and book it."""
    stops = [
        g
        for g in item_gates(job, plan_row(scope, job.id), fields["kind"], fields["target"])
        if g.severity is Severity.STOP
    ]
    if stops:
        raise Refused("conflict", stops[0].reason, field="kind", remedy=stops[0].remedy, reason="stopped")
    item = scope.add(FitItem(job_id=job.id, attempt=job.attempt, **fields))
    if item.lot_id is not None:
        _book(scope, actor, job, item=item, sign=-1.0)
    return item


def _book(scope: Scope, actor: Actor, job: Job, *, item: FitItem, sign: float) -> None:
    """Take an item's amount from its lot, or put it back; the item takes product and lot from there."""
    if item.lot_id is None:
        return
    lot = scope.get(Lot, item.lot_id)
    product = lot.product
    wanted = "pieces" if product.unit in ("piece", "sheet") else product.unit
    if item.amount is None or item.amount_unit != wanted:
        raise Refused("invalid", say("fit-counted-in", name=product.name, wanted=wanted), field="amount")
    if product.kind != item.kind:
        raise Refused(
            "invalid",
            say("fit-not-what-was-chosen", name=product.name, words=CATALOGUE[product.kind].words),
            field="kind",
        )
    item.product, item.lot = product.name, lot.code
    words = say("fit-used-on-job", number=job.number) if sign < 0 else say("fit-taken-back-from-job", number=job.number)
    move(scope, actor, lot_id=lot.id, amount=sign * item.amount, reason=words, job_id=job.id)


def set_item_removed(
    workshop: Workshop, actor: Actor, job_id: uuid.UUID, *, item_id: uuid.UUID, removed: bool
) -> Sequence[FitItem]:
    """Remove an item or bring it back."""
    with workshop.scope(actor) as scope:
        job = open_job(scope, job_id)
        item = scope.get(FitItem, item_id)
        if item.job_id != job.id:
            raise Refused("missing", say("fit-there-no-such-item-on"))
        if removed == (item.removed_at is not None):
            return items_of(scope, job.id)
        set_item(scope, actor, job, item=item, removed_at=server_now() if removed else None)
        return items_of(scope, job.id)


def set_item(scope: Scope, actor: Actor, job: Job, *, item: FitItem, removed_at: datetime | None) -> None:
    """Take an item off the list or bring it back; the shelf follows."""
    cut = next((c for c in cuts_of(scope, job.id) if str(item.id) in {p["item_id"] for p in c.pieces}), None)
    if cut is not None:
        raise Refused("conflict", say("fit-these-pieces-belong-to-cut"))
    _book(scope, actor, job, item=item, sign=1.0 if removed_at is not None else -1.0)
    item.removed_at = removed_at
    scope.session.flush()
