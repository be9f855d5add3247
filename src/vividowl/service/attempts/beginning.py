"""The next attempt of a visit: begun from Open with a fresh list, and taken back while nothing was done in it."""

from __future__ import annotations

import uuid

from vividowl.core.quantities.words import say
from vividowl.service.attempts.attempts import AttemptsView, attempts_view, get_attempts
from vividowl.service.attempts.turning import bring_back, put_aside, require_closed, something_done
from vividowl.service.bench.store import load_log
from vividowl.service.bench.taking import SERVER, Sent, take_events
from vividowl.service.bench.work import begin_again
from vividowl.service.clock import server_now
from vividowl.service.errors import Refused
from vividowl.service.jobs.intake import require_settled, view_of
from vividowl.service.workshop import Actor, Workshop, open_job


def begin_attempt(workshop: Workshop, actor: Actor, job_id: uuid.UUID) -> AttemptsView:
    """Begin the next attempt: what lies on the device is opened again, with a list of its own."""
    with workshop.scope(actor) as scope:
        job = open_job(scope, job_id)
        require_settled(view_of(scope, job))
        require_closed(job)
        if load_log(workshop, scope, job.id).log.state.begun is None:
            put_aside(scope, job)
        else:
            begin_again(workshop, scope, actor, job)
        return attempts_view(workshop, scope, job)


def take_attempt_back(workshop: Workshop, actor: Actor, job_id: uuid.UUID) -> AttemptsView:
    """Go back to the attempt before, while nothing was done in this one."""
    with workshop.scope(actor) as scope:
        job = open_job(scope, job_id)
        if job.attempt == 1:
            raise Refused("conflict", say("attempts-first"), reason="nothing")
        kept = load_log(workshop, scope, job.id)
        active, now = kept.log.active, server_now()
        listed = bool(active) and active[-1].kind == "attempt"
        if active and not listed:
            raise something_done(job)
        if not listed:
            bring_back(scope, job, {"attempt": job.attempt})
    if listed:
        undo = Sent(
            id=uuid.uuid4(), kind="undo", data={"event": active[-1].id}, turn=kept.turns.get(SERVER, 0) + 1, made_at=now
        )
        refusal = take_events(workshop, actor, job_id, device=SERVER, sent=[undo], sent_at=now).taken[0].refusal
        if refusal is not None:
            raise Refused("conflict", refusal["detail"], remedy=refusal["remedy"], reason=refusal["reason"])
    return get_attempts(workshop, actor, job_id)
