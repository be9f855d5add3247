"""Fit: what was cleaned, and what was put where."""

from __future__ import annotations

import uuid
from collections.abc import Mapping, Sequence
from datetime import UTC, datetime
from typing import Any

from vividowl.core.errors import require_range
from vividowl.core.gates import Severity
from vividowl.service.errors import Refused
from vividowl.service.intake import JobView, view_of
from vividowl.service.workshop import Actor, Workshop, check_version, open_job
from vividowl.store.models import FitItem, Job
from vividowl.store.scope import Scope


def items_of(scope: Scope, job_id: uuid.UUID) -> Sequence[FitItem]:
    """What is fitted on a job, in order."""
    query = scope.select(FitItem).where(FitItem.job_id == job_id, FitItem.removed_at.is_(None))
    return scope.session.scalars(query.order_by(FitItem.created_at)).all()


def get_items(workshop: Workshop, actor: Actor, job_id: uuid.UUID) -> Sequence[FitItem]:
    """What is fitted on a job."""
    with workshop.scope(actor) as scope:
        scope.get(Job, job_id)
        return items_of(scope, job_id)


def save_fit(
    workshop: Workshop, actor: Actor, job_id: uuid.UUID, version: int, *, cleaned: list[str], note: str, done: bool
) -> JobView:
    """Save what was cleaned; done closes the step, for which open gates must be acknowledged."""
    with workshop.scope(actor) as scope:
        job = open_job(scope, job_id)
        check_version(job.version, version, "The fit")
        view = view_of(scope, job)
        waiting = [g for g in view.gates if g.severity == Severity.ACKNOWLEDGE and g.acknowledged_by is None]
        if done and waiting:
            raise Refused("conflict", f"Not settled at intake: {waiting[0].reason}", field="done",
                          remedy=f"{waiting[0].remedy} Then acknowledge it in Intake.", reason="gate_open")  # fmt: skip
        if done and not cleaned and not items_of(scope, job.id):
            raise Refused("invalid", "Nothing is noted as cleaned or fitted.", field="cleaned",
                          remedy="Tick what was cleaned, or add what was fitted.")  # fmt: skip
        job.cleaned, job.fit_note, job.fit_done = cleaned, note, done
        job.version += 1
        scope.session.flush()
        return view_of(scope, job)


def add_item(workshop: Workshop, actor: Actor, job_id: uuid.UUID, fields: Mapping[str, Any]) -> Sequence[FitItem]:
    """Note an interface that was fitted."""
    if fields["amount"] is not None:
        require_range("amount", fields["amount"], fields["amount_unit"], 1e-6, 1e5)
        if not fields["amount_unit"]:
            raise Refused(
                "invalid", "The amount has no unit.", field="amount_unit", remedy="Choose g, mL, mm or pieces."
            )
    with workshop.scope(actor) as scope:
        job = open_job(scope, job_id)
        scope.add(FitItem(job_id=job.id, **fields))
        return items_of(scope, job.id)


def set_item_removed(
    workshop: Workshop, actor: Actor, job_id: uuid.UUID, item_id: uuid.UUID, removed: bool
) -> Sequence[FitItem]:
    """Remove an item or bring it back."""
    with workshop.scope(actor) as scope:
        job = open_job(scope, job_id)
        item = scope.get(FitItem, item_id)
        if item.job_id != job.id:
            raise Refused("missing", "There is no such item on this job.", remedy="Reload the page.")
        item.removed_at = datetime.now(UTC) if removed else None
        scope.session.flush()
        return items_of(scope, job.id)
