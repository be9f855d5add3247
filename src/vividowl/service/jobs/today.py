"""Bench: today's devices in the order they need a hand."""

from __future__ import annotations

import uuid
from collections.abc import Mapping
from dataclasses import dataclass, replace
from datetime import date, datetime, timedelta
from typing import Any

from vividowl.core.bench.waits import WAITS
from vividowl.core.job.stages import HANDS_FIRST
from vividowl.core.quantities.errors import require_range
from vividowl.core.quantities.words import say
from vividowl.service.clock import server_now, today_of
from vividowl.service.errors import Refused
from vividowl.service.jobs.intake import JobView, list_jobs
from vividowl.service.workshop import Actor, Workshop
from vividowl.store.bench import QuietWait
from vividowl.store.feed import News, tell
from vividowl.store.finding import Wanted
from vividowl.store.models import Job

# A shop with more open jobs than this looks for one by name.
OPEN_MOST = 2000
# For how long an alarm may be put off [min].
QUIET_MOST_MIN = 240.0
__all__ = ["News", "RunningWait", "bench", "quiet", "waits"]


def shop_today(workshop: Workshop, actor: Actor) -> date:
    """The present day where the shop is."""
    with workshop.scope(actor) as scope:
        return today_of(scope.shop())


def bench(workshop: Workshop, actor: Actor, *, limit: int, offset: int) -> tuple[list[JobView], int]:
    """A page of the open jobs, in the order they need a hand. The order is of all of them: where a job is follows from
    its gates, plan and runs, so that the database alone cannot tell it."""
    views, total = list_jobs(workshop, actor, Wanted(handed_over=False), limit=OPEN_MOST, offset=0)
    in_order = sorted(views, key=lambda view: (HANDS_FIRST.index(view.stage), view.job.number))
    return in_order[offset : offset + limit], total


def at_stage(
    workshop: Workshop, actor: Actor, wanted: Wanted, stage: str, *, limit: int, offset: int
) -> tuple[list[JobView], int]:
    """A page of the open jobs that stand at a stage."""
    found = _all_at_stage(workshop, actor, wanted, stage)
    return found[offset : offset + limit], len(found)


def _all_at_stage(workshop: Workshop, actor: Actor, wanted: Wanted, stage: str) -> list[JobView]:
    """Where a job is, the database alone cannot tell."""
    views, _ = list_jobs(workshop, actor, replace(wanted, handed_over=False), limit=OPEN_MOST, offset=0)
    return [view for view in views if view.stage == stage]


def only_at_stage(workshop: Workshop, actor: Actor, wanted: Wanted, stage: str) -> Wanted:
    """What is wanted, narrowed to the open jobs that stand at a stage."""
    return replace(wanted, jobs=frozenset(view.job.id for view in _all_at_stage(workshop, actor, wanted, stage)))


@dataclass(frozen=True, kw_only=True)
class RunningWait:
    """A clock of the bench: the job it belongs to, its kind and words, the step, when it began and is due; seen, or put
    off until then, on whichever tablet; then: the kind of wait that follows at once, empty for none."""

    job_id: uuid.UUID
    number: int
    model: str
    id: str
    wait: str
    words: str
    step: str
    began: datetime
    due: datetime
    seen: bool
    put_off_until: datetime | None
    then: str


def waits(workshop: Workshop, actor: Actor) -> tuple[list[RunningWait], datetime]:
    """The clocks of all open jobs, next due first, and the present moment they are to be read against."""
    with workshop.scope(actor) as scope:
        query = scope.select(Job).where(Job.handed_over_at.is_(None), Job.bench["waits"].as_string() != "[]")
        jobs = scope.session.scalars(query).unique().all()
        rows = scope.session.scalars(scope.select(QuietWait).where(QuietWait.job_id.in_([job.id for job in jobs])))
        quiet = {(row.job_id, row.wait_id): row for row in rows}
        found = [
            _wait(job, wait, quiet.get((job.id, wait["id"]))) for job in jobs for wait in job.bench.get("waits", ())
        ]
    return sorted(found, key=lambda w: w.due), server_now()


def quiet(workshop: Workshop, actor: Actor, job_id: uuid.UUID, *, wait_id: str, minutes: float | None) -> None:
    """Let the alarm of a wait be quiet on every tablet: for some minutes, or, None, since somebody has seen it."""
    if minutes is not None:
        require_range("minutes", minutes, "min", (0, QUIET_MOST_MIN))
    with workshop.scope(actor) as scope:
        job = scope.get(Job, job_id, lock=True)
        if all(wait["id"] != wait_id for wait in job.bench.get("waits", ())):
            raise Refused("missing", say("today-no-such-wait"), reason="unknown")
        row = scope.one(QuietWait, QuietWait.job_id == job.id, QuietWait.wait_id == wait_id)
        row = row or scope.add(QuietWait(job_id=job.id, wait_id=wait_id))
        row.until = server_now() + timedelta(minutes=minutes) if minutes is not None else None
        # No event of the bench: only the clocks are looked at anew.
        tell(scope.session, scope.shop_id, job.id, 0)


def _wait(job: Job, wait: Mapping[str, Any], quiet: QuietWait | None) -> RunningWait:
    return RunningWait(
        job_id=job.id,
        number=job.number,
        model=job.model,
        id=wait["id"],
        wait=wait["wait"],
        words=wait["words"],
        step=wait["step"],
        began=datetime.fromisoformat(wait["began"]),
        due=datetime.fromisoformat(wait["due"]),
        seen=quiet is not None and quiet.until is None,
        put_off_until=quiet.until if quiet is not None else None,
        then=WAITS[wait["wait"]].then,
    )
