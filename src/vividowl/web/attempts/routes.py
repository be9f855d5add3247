"""Attempts of a job: all of them, what checks showed, the next one, and back."""

from __future__ import annotations

from vividowl.service.attempts import attempts as case
from vividowl.service.attempts.beginning import begin_attempt, take_attempt_back
from vividowl.web.access import access, actor, workshop
from vividowl.web.attempts.present import attempts_out
from vividowl.web.attempts.schemas import AttemptIn, AttemptsOut
from vividowl.web.blueprint import blueprint
from vividowl.web.idempotency import idempotent
from vividowl.web.jobs.routes import JobPath

api = blueprint("attempts", __name__, url_prefix="/api/jobs/<uuid:job_id>/attempts")


class AttemptPath(JobPath):
    number: int


@api.get("", responses={200: AttemptsOut}, operation_id="getAttempts")
@access("member")
def get_attempts(path: JobPath) -> AttemptsOut:
    """All attempts of a job, with the causes of those that failed."""
    return attempts_out(case.get_attempts(workshop(), actor(), path.job_id))


@api.put("/<int:number>", responses={200: AttemptsOut}, operation_id="saveAttempt")
@access("member")
def save_attempt(path: AttemptPath, body: AttemptIn) -> AttemptsOut:
    """Keep what checks showed, scores and words of an attempt."""
    fields = body.model_dump(exclude={"version"}, mode="json")
    found = case.save_attempt(workshop(), actor(), path.job_id, number=path.number, version=body.version, fields=fields)
    return attempts_out(found)


@api.post("", responses={201: AttemptsOut}, operation_id="beginAttempt")
@access("member")
@idempotent
def begin(path: JobPath) -> tuple[AttemptsOut, int]:
    """Begin the next attempt, from Open on with a fresh list."""
    return attempts_out(begin_attempt(workshop(), actor(), path.job_id)), 201


@api.delete("", responses={200: AttemptsOut}, operation_id="takeAttemptBack")
@access("member")
def take_back(path: JobPath) -> AttemptsOut:
    """Go back to the attempt before, while nothing was done in this one."""
    return attempts_out(take_attempt_back(workshop(), actor(), path.job_id))
