"""Whether a service failed, kept with its After run, so that lists of jobs need not compare anything."""

from __future__ import annotations

from collections.abc import Mapping

from vividowl.core.attempts.promise import STOPS, Failure, Kept, failure_of, promise_kept
from vividowl.core.plan.prediction import Interval
from vividowl.core.verdict.verdicts import Verdict
from vividowl.service.plan.found import plan_row
from vividowl.store.deciding import Plan
from vividowl.store.devices import Attempt
from vividowl.store.models import Job
from vividowl.store.scope import Scope


def kept_of(plan: Plan | None) -> Kept:
    """What became of the promise of a plan."""
    if plan is None or not plan.chosen or not plan.outcome:
        return Kept.UNKNOWN
    promised = Interval(**plan.chosen["resistance"])
    return promise_kept(promised, plan.outcome["resistance"], plan.outcome["resistance_u95"])


def note_failure(scope: Scope, job: Job) -> None:
    """Keep with the After run whether the service failed, and whether it was left so on purpose."""
    run = scope.run(job.id, "after")
    if run is None:
        return
    word = run.glance.get("verdict")
    failure = failure_of(Verdict(word) if word else None, kept_of(plan_row(scope, job.id)))
    row = scope.one(Attempt, Attempt.job_id == job.id, Attempt.number == job.attempt)
    left = row is not None and bool(row.left_words)
    run.glance = {**run.glance, "failure": failure.value, "left": left}


def has_failed(glance: Mapping[str, object]) -> bool:
    """Whether the way on is to find out why, by the glance of an After run."""
    return glance.get("failure", Failure.NONE) in STOPS and not glance.get("left")
