"""Logs of the bench between rows and rules: loaded from where a copy left off, and what the job's row shows of them."""

from __future__ import annotations

import uuid
from collections.abc import Sequence
from datetime import datetime
from typing import Any

from vividowl.core.bench.log.close import blockers
from vividowl.core.bench.log.events import BenchEvent
from vividowl.core.bench.log.log import grown, replay
from vividowl.core.bench.log.state import BenchState, Wait
from vividowl.core.bench.waits import WAITS
from vividowl.core.quantities.words import say
from vividowl.service.workshop import KeptLog, Workshop
from vividowl.store.bench import BenchEventRow
from vividowl.store.models import Job
from vividowl.store.scope import Scope
from vividowl.words import sentence, told

LOGS_MOST = 48


def rows_of(scope: Scope, job_id: uuid.UUID, after: int = 0) -> Sequence[BenchEventRow]:
    """Events of a job in order, from behind a number on."""
    query = scope.select(BenchEventRow).where(BenchEventRow.job_id == job_id, BenchEventRow.number > after)
    return scope.session.scalars(query.order_by(BenchEventRow.number)).unique().all()


def event_of(row: BenchEventRow, by: str | None = None) -> BenchEvent:
    """A stored event as the core knows it."""
    name = by if by is not None else row.member.name
    return BenchEvent(
        id=str(row.id), kind=row.kind, data=row.data, at=row.at, by=name, made=row.made, version=row.version
    )


def load_log(workshop: Workshop, scope: Scope, job_id: uuid.UUID) -> KeptLog:
    """The log of a job, from where the copy of it left off. Only what was committed is kept for the next time."""
    kept = workshop.bench_logs.get(job_id, KeptLog())
    rows = rows_of(scope, job_id, kept.number)
    if not rows:
        return kept
    events = [event_of(r) for r in rows if r.refusal is None]
    log = kept.log
    if kept.number == 0:
        log = replay(events)
    else:
        for event in events:
            log = grown(log, event)
    turns = dict(kept.turns)
    for row in rows:
        turns[row.device] = max(row.turn, turns.get(row.device, 0))
    return KeptLog(rows[-1].number, log, turns)


def keep_log(workshop: Workshop, job_id: uuid.UUID, log: KeptLog) -> None:
    """Keep a log that is committed for the next time."""
    kept = workshop.bench_logs
    kept.pop(job_id, None)
    kept[job_id] = log
    while len(kept) > LOGS_MOST:
        try:
            kept.pop(next(iter(kept)), None)
        except (StopIteration, RuntimeError):  # another thread was faster
            break


def waits_to_show(state: BenchState) -> list[Wait]:
    """Waits that count, and those that are over but nobody went on since."""
    last = max((o.at for o in state.outcomes.values()), default=None)
    return [w for w in state.waits.values() if w.ended is None and (last is None or w.due > last or w.began == last)]


def note_glance(job: Job, state: BenchState, at: datetime) -> None:
    """What the list of jobs shows of the bench."""
    waits = [wait_glance(w, state) for w in waits_to_show(state)]
    if state.begun is None:
        job.bench = {"waits": waits} if waits else {}
        return
    step = state.next_step
    number = next((i + 1 for i, s in enumerate(state.steps) if s is step), len(state.steps))
    job.bench = told(
        {
            "begun": True,
            "closed": state.closed is not None,
            "stage": step.stage if step is not None else "close",
            "step": number,
            "steps": len(state.steps),
            "text": step.text if step is not None else say("store-count-and-close"),
            "out": len(state.out),
            "open": len(blockers(state, at)),
            "waits": waits,
        }
    )


def wait_glance(wait: Wait, state: BenchState) -> dict[str, Any]:
    """A wait as the list of jobs shows it."""
    step = next((s.text for s in state.steps if s.id == wait.step), "")
    return {
        "id": wait.id,
        "wait": wait.wait,
        "words": sentence(WAITS[wait.wait].words),
        "step": sentence(step),
        "began": wait.began.isoformat(),
        "due": wait.due.isoformat(),
    }
