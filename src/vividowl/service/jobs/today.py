"""Bench: today's devices in the order they need a hand."""

from __future__ import annotations

import uuid
from collections.abc import Mapping
from dataclasses import dataclass
from datetime import datetime
from typing import Any

from vividowl.service.clock import server_now
from vividowl.service.jobs.intake import JobView, list_jobs
from vividowl.service.workshop import Actor, Workshop
from vividowl.store.feed import News
from vividowl.store.models import Job

__all__ = ["News", "RunningWait", "bench", "waits"]

# What is nearly done goes first, since a finished device leaves the bench; a stopped one needs a decision.
_ORDER = ("stopped", "verdict", "handover", "close", "fit", "clean", "open", "after", "plan", "before", "intake")


def bench(workshop: Workshop, actor: Actor, *, limit: int, offset: int) -> tuple[list[JobView], int]:
    """A page of the open jobs, in the order they need a hand."""
    views, total = list_jobs(workshop, actor, limit=limit, offset=offset, open_only=True)
    return sorted(views, key=lambda view: (_ORDER.index(view.stage), view.job.number)), total


@dataclass(frozen=True)
class RunningWait:
    """A clock of the bench: the job it belongs to, its kind and words, the step, when it began and is due."""

    job_id: uuid.UUID
    number: int
    model: str
    id: str
    wait: str
    words: str
    step: str
    began: datetime
    due: datetime


def waits(workshop: Workshop, actor: Actor) -> tuple[list[RunningWait], datetime]:
    """The clocks of all open jobs, next due first, and the present moment they are to be read against."""
    with workshop.scope(actor) as scope:
        query = scope.select(Job).where(Job.handed_over_at.is_(None), Job.bench["waits"].as_string() != "[]")
        jobs = scope.session.scalars(query).unique().all()
        found = [_wait(job, wait) for job in jobs for wait in job.bench.get("waits", ())]
    return sorted(found, key=lambda w: w.due), server_now()


def _wait(job: Job, wait: Mapping[str, Any]) -> RunningWait:
    return RunningWait(job.id, job.number, job.model, wait["id"], wait["wait"], wait["words"], wait["step"],
                       datetime.fromisoformat(wait["began"]), datetime.fromisoformat(wait["due"]))  # fmt: skip
