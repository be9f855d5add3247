"""From one attempt to the next and back: what the first left behind is put aside, and nothing of it is lost."""

from __future__ import annotations

from collections.abc import Mapping
from typing import Any

from vividowl.core.job.device import RunSide
from vividowl.core.quantities.words import say
from vividowl.service.clock import server_now
from vividowl.service.errors import Refused
from vividowl.service.jobs.fit import items_of
from vividowl.service.plan.found import plan_row
from vividowl.store.devices import Attempt
from vividowl.store.measuring import Run, TraceFile
from vividowl.store.models import Job
from vividowl.store.scope import Scope
from vividowl.words import sentence


def attempt_row(scope: Scope, job: Job, number: int) -> Attempt:
    """The row of an attempt, made when there is none yet."""
    found = scope.one(Attempt, Attempt.job_id == job.id, Attempt.number == number)
    return found or scope.add(Attempt(job_id=job.id, number=number, checks={}, cleaned=[]))


def put_aside(scope: Scope, job: Job) -> dict[str, Any]:
    """Put aside what the attempt on the bench left behind; the next one begins with nothing. Returns undo's need."""
    row, plan = attempt_row(scope, job, job.attempt), plan_row(scope, job.id)
    row.cleaned, row.fit_note, row.ended_at = list(job.cleaned), job.fit_note, server_now()
    if plan is not None:
        row.promised, row.outcome = plan.chosen, plan.outcome
        plan.outcome = None
    after = scope.run(job.id, RunSide.AFTER, lock=True)
    if after is not None:
        after.side = RunSide.OTHER
        after.name = after.name or sentence(say("attempts-after-run", number=job.attempt))
        row.after_run_id = after.id
    job.attempt += 1
    job.cleaned, job.fit_note, job.fit_done = [], "", False
    scope.session.flush()
    scope.session.expire(job, ["runs"])
    return {"attempt": job.attempt}


def bring_back(scope: Scope, job: Job, effect: Mapping[str, Any]) -> None:
    """Take an attempt back in which nothing has been done yet."""
    if job.attempt != effect["attempt"]:
        return
    row = attempt_row(scope, job, job.attempt - 1)
    after = scope.run(job.id, RunSide.AFTER, lock=True)
    measured = after is not None and scope.session.scalar(
        scope.select(TraceFile).where(TraceFile.run_id == after.id, TraceFile.removed_at.is_(None)).limit(1)
    )
    if measured or items_of(scope, job.id) or job.cleaned:
        raise something_done(job)
    if after is not None:
        after.side, after.name = RunSide.OTHER, sentence(say("attempts-conditions-only", number=job.attempt))
        after.removed_at = server_now()
        scope.session.flush()
    if row.after_run_id is not None:
        scope.get(Run, row.after_run_id).side = RunSide.AFTER
    plan = plan_row(scope, job.id)
    if plan is not None:
        plan.outcome = row.outcome
    job.attempt, job.cleaned, job.fit_note, job.fit_done = row.number, list(row.cleaned), row.fit_note, True
    row.ended_at = row.after_run_id = row.promised = row.outcome = None
    row.cleaned, row.fit_note = [], ""
    scope.session.flush()
    scope.session.expire(job, ["runs"])


def require_closed(job: Job) -> None:
    """Refuse another attempt while this one is open."""
    if not job.fit_done:
        raise Refused("conflict", say("decide-attempt-not-closed", number=job.attempt), reason="open")


def something_done(job: Job) -> Refused:
    """An attempt cannot be taken back any more."""
    return Refused(
        "conflict",
        say("attempts-something-done", number=job.attempt),
        remedy=say("attempts-take-off-first"),
        reason="attempt_begun",
    )
