"""All runs of a job: a row a log, with state and conditions; further runs beside Before and After; any two compared."""

from __future__ import annotations

import uuid
from collections.abc import Mapping
from dataclasses import dataclass
from typing import Any

from sqlalchemy import select
from sqlalchemy.orm import defer

from vividowl.core.job.device import RunSide, StateCause
from vividowl.core.quantities.uncertainty import Tolerances
from vividowl.core.quantities.words import say
from vividowl.service.clock import server_now
from vividowl.service.errors import Refused
from vividowl.service.measure.comparing import Compared, compare_runs, judged_by, kept
from vividowl.service.measure.refusing import refuse_after_without_before
from vividowl.service.measure.runs import RECIPE_FIELDS, finish
from vividowl.service.runs.states import next_state, put_in_state, states_of, states_there
from vividowl.service.workshop import Actor, Workshop, open_job
from vividowl.store.devices import DeviceState
from vividowl.store.measuring import Run, TraceFile
from vividowl.store.models import Job
from vividowl.store.scope import Scope
from vividowl.words import sentence

RUNS_MOST = 400  # of a job; a limit of the product


@dataclass(frozen=True)
class LogRow:
    """A log of a run: what it is called, what was read from it, and whether it is a repeat of the run's first."""

    trace: TraceFile
    repeat: bool


@dataclass(frozen=True)
class RunRow:
    """A run with its state, its logs and its noise [dB], None where nobody read one."""

    run: Run
    state: DeviceState | None
    logs: tuple[LogRow, ...]
    noise_db: float | None


@dataclass(frozen=True)
class AllRuns:
    """States of the visit in their order, and its runs: Before, After, then the others as they were run;
    reference_room_c: what temperatures are brought to; tolerances: of the job."""

    states: tuple[DeviceState, ...]
    runs: tuple[RunRow, ...]
    reference_room_c: float
    tolerances: Tolerances


def all_runs(workshop: Workshop, actor: Actor, job_id: uuid.UUID) -> AllRuns:
    """All runs of a job."""
    with workshop.scope(actor) as scope:
        job = scope.get(Job, job_id)
        return _all(scope, job)


def _all(scope: Scope, job: Job) -> AllRuns:
    runs = scope.session.scalars(
        scope.select(Run).where(Run.job_id == job.id, Run.removed_at.is_(None)).order_by(Run.created_at, Run.id)
    ).all()
    order = {RunSide.BEFORE: 0, RunSide.AFTER: 1}
    runs = sorted(runs, key=lambda r: order.get(r.side, 2))
    ids = [r.id for r in runs]
    logs: dict[uuid.UUID, list[TraceFile]] = {}
    # What a list of many runs does not show stays where it is.
    query = (
        scope.select(TraceFile)
        .where(TraceFile.run_id.in_(ids), TraceFile.removed_at.is_(None))
        .options(defer(TraceFile.channels), defer(TraceFile.notices))
    )
    for trace in scope.session.scalars(query.order_by(TraceFile.is_repeat, TraceFile.uploaded_at, TraceFile.id)):
        logs.setdefault(trace.run_id, []).append(trace)
    tolerances, reference_room_c = judged_by(scope, job)
    states = {s.id: s for s in states_there(scope, job)}
    return AllRuns(
        tuple(states.values()),
        tuple(
            RunRow(
                run,
                states.get(run.state_id) if run.state_id else None,
                tuple(LogRow(t, at > 0) for at, t in enumerate(logs.get(run.id, ()))),
                (run.glance or {}).get("noise_db"),
            )
            for run in runs
        ),
        reference_room_c,
        tolerances,
    )


def add_run(
    workshop: Workshop,
    actor: Actor,
    job_id: uuid.UUID,
    *,
    name: str,
    state_id: uuid.UUID | None,
    conditions: Mapping[str, Any],
    like: str | None,
) -> AllRuns:
    """A further run beside Before and After. like: the run whose conditions it takes where none are given."""
    with workshop.scope(actor) as scope:
        job = open_job(scope, job_id)
        there = scope.session.scalars(select(Run.id).where(Run.shop_id == scope.shop_id, Run.job_id == job.id)).all()
        if len(there) >= RUNS_MOST:
            raise Refused("conflict", say("all-runs-too-many", most=RUNS_MOST))
        model = scope.run(job.id, like) if like is not None else None
        run = Run(job_id=job.id, side=RunSide.OTHER, name=name)
        for field in (*RECIPE_FIELDS, "room_c"):
            given = conditions.get(field)
            setattr(run, field, given if given not in (None, "") else getattr(model, field) if model else given)
        for field in ("load_recipe", "fan_setting", "power_profile", "placement", "start", "firmware", "tuning"):
            if getattr(run, field) is None:
                setattr(run, field, "")
        if state_id is not None:
            state = scope.get(DeviceState, state_id)
            _own(job, state.job_id)
            run.state_id = state.id
        scope.add(run)
        put_in_state(scope, job, run)
        scope.session.flush()
        return _all(scope, job)


def change_run(
    workshop: Workshop, actor: Actor, job_id: uuid.UUID, key: str, *, name: str, state_id: uuid.UUID
) -> AllRuns:
    """Another name or another state for a run."""
    with workshop.scope(actor) as scope:
        job = open_job(scope, job_id)
        run = scope.run(job.id, key, lock=True)
        if run is None:
            raise Refused("missing", say("all-runs-no-such-run"))
        state = scope.get(DeviceState, state_id)
        _own(job, state.job_id)
        run.name, run.state_id = name, state.id
        scope.session.flush()
        return _all(scope, job)


def _own(job: Job, job_id: uuid.UUID) -> None:
    if job_id != job.id:
        raise Refused("missing", say("all-runs-no-such-state"), field="state_id")


def set_run_removed(
    workshop: Workshop, actor: Actor, job_id: uuid.UUID, *, run_id: uuid.UUID, removed: bool
) -> AllRuns:
    """Take a further run off the list or bring it back; Before and After stay."""
    with workshop.scope(actor) as scope:
        job = open_job(scope, job_id)
        run = scope.get(Run, run_id, lock=True)
        if run.job_id != job.id or run.side is not RunSide.OTHER:
            raise Refused("missing", say("all-runs-no-such-run"))
        run.removed_at = server_now() if removed else None
        scope.session.flush()
        return _all(scope, job)


def make_reference(workshop: Workshop, actor: Actor, job_id: uuid.UUID, *, run_id: uuid.UUID, side: RunSide) -> AllRuns:
    """Make a further run the Before or the After of the job. What was that until now becomes a further run; one that
    holds no log is taken off."""
    with workshop.scope(actor) as scope:
        job = open_job(scope, job_id)
        run = scope.get(Run, run_id, lock=True)
        if run.job_id != job.id or run.side is not RunSide.OTHER or run.removed_at is not None:
            raise Refused("missing", say("all-runs-no-such-run"))
        if not kept(scope, TraceFile, run):
            raise Refused("conflict", say("all-runs-has-no-log", name=run.name))
        if side is RunSide.AFTER:
            refuse_after_without_before(scope, job, side)
        old = scope.run(job.id, side, lock=True)
        if old is not None:
            old.side, old.name = RunSide.OTHER, sentence(say("all-runs-earlier", side=side.value))
            if not kept(scope, TraceFile, old):
                old.removed_at = server_now()
            scope.session.flush()
        run.side, run.name = side, ""
        finish(workshop, scope, job, run)
        return _all(scope, job)


def add_state(
    workshop: Workshop, actor: Actor, job_id: uuid.UUID, *, cause: StateCause, changed: Mapping[str, Any]
) -> AllRuns:
    """The next state of the device, as somebody tells it: another firmware, a tuning step, heat cycles, or words."""
    with workshop.scope(actor) as scope:
        job = open_job(scope, job_id)
        told = {k: v for k, v in changed.items() if v not in (None, "")}
        if cause is StateCause.ATTEMPT:
            # Another attempt begins with a fresh interface.
            told |= {"attempt": states_of(scope, job)[-1].attempt + 1, "heat_cycles": None, "hours": None}
        next_state(scope, job, cause, told)
        scope.session.flush()
        return _all(scope, job)


def compare_two(workshop: Workshop, actor: Actor, job_id: uuid.UUID, *, first: str, second: str) -> Compared:
    """Any two runs of a job, the first as before and the second as after."""
    with workshop.scope(actor) as scope:
        job = scope.get(Job, job_id)
        runs = [scope.run(job.id, key) for key in (first, second)]
        if first == second:
            raise Refused("invalid", say("all-runs-same-twice"), field="second")
        found = compare_runs(workshop, scope, job, before=runs[0], after=runs[1])
        if found is None:
            bare = next(run for run in runs if not kept(scope, TraceFile, run))
            name = bare.name if bare is not None else ""
            raise Refused("missing", say("all-runs-has-no-log", name=name or None))
        return found
