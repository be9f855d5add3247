"""Minutes that steps took, from the events of the bench: by step for the page, by task for price and planning."""

from __future__ import annotations

import uuid
from collections.abc import Mapping
from dataclasses import dataclass
from datetime import datetime, timedelta
from statistics import median

from sqlalchemy import select

from vividowl.core.bench.log.state import BenchState
from vividowl.core.bench.times import Span, StepTime, step_times
from vividowl.store.bench import BenchEventRow
from vividowl.store.models import Job
from vividowl.store.scope import Scope

LEARN_FROM_JOBS = 3
RECENT_JOBS = 40


@dataclass(frozen=True)
class TaskTime:
    """hands_min: median minutes of hands of a task over some jobs."""

    hands_min: float
    jobs: int


def _minutes(moment: datetime, start: datetime) -> float:
    return (moment - start).total_seconds() / 60.0


def times_of(scope: Scope, job_id: uuid.UUID, state: BenchState) -> dict[str, StepTime]:
    """Minutes of each step that is done or skipped."""
    if state.begun is None:
        return {}
    start = state.begun
    order = sorted(state.outcomes.items(), key=lambda item: item[1].at)
    moments = [max(0.0, _minutes(o.at, start)) for _, o in order]
    waits = [Span(_minutes(w.began, start), _minutes(w.ended or w.due, start)) for w in state.waits.values()]
    elsewhere = _elsewhere(scope, job_id, start, order[-1][1].at) if order else []
    found = step_times(0.0, moments, waits, [_minutes(m, start) for m in elsewhere])
    return {name: time for (name, _), time in zip(order, found, strict=True)}


def _elsewhere(scope: Scope, job_id: uuid.UUID, start: datetime, end: datetime) -> list[datetime]:
    """When the hands of this job touched another one meanwhile."""
    hands = select(BenchEventRow.member_id).where(
        BenchEventRow.shop_id == scope.shop_id, BenchEventRow.job_id == job_id, BenchEventRow.kind == "step_done"
    )
    query = select(BenchEventRow.at).where(
        BenchEventRow.shop_id == scope.shop_id,
        BenchEventRow.job_id != job_id,
        BenchEventRow.member_id.in_(hands),
        BenchEventRow.kind.in_(("step_done", "place_out", "place_in")),
        BenchEventRow.at.between(start + timedelta(seconds=1), end),
    )
    return list(scope.session.scalars(query))


def task_minutes(scope: Scope, job_id: uuid.UUID, state: BenchState) -> dict[str, float]:
    """Minutes of hands by task of one job, only of tasks whose every step is known and done."""
    times = times_of(scope, job_id, state)
    sums: dict[str, float] = {}
    broken: set[str] = set()
    for step in state.steps:
        if not step.task:
            continue
        outcome, time = state.outcomes.get(step.id), times.get(step.id)
        if outcome is None or time is None or time.hands_min is None:
            broken.add(step.task)
        else:
            sums[step.task] = sums.get(step.task, 0.0) + time.hands_min
    return {task: round(value, 2) for task, value in sums.items() if task not in broken}


def learnt_minutes(scope: Scope) -> Mapping[str, TaskTime]:
    """Median minutes of hands by task over the latest jobs that were closed at the bench, from three jobs on."""
    query = (
        select(Job.bench["minutes"])
        .where(Job.shop_id == scope.shop_id, Job.bench["minutes"].is_not(None))
        .order_by(Job.updated_at.desc())
        .limit(RECENT_JOBS)
    )
    found: dict[str, list[float]] = {}
    for minutes in scope.session.scalars(query):
        for task, value in (minutes or {}).items():
            found.setdefault(task, []).append(value)
    return {task: TaskTime(median(v), len(v)) for task, v in sorted(found.items()) if len(v) >= LEARN_FROM_JOBS}
