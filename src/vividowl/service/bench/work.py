"""Bench: a list is begun or made anew, and events are taken in, each once and in order."""

from __future__ import annotations

import uuid
from collections.abc import Mapping
from dataclasses import replace
from datetime import datetime
from typing import Any

from vividowl.core.bench.log.events import KINDS, BenchCommand, BenchRefused
from vividowl.core.bench.log.log import append
from vividowl.core.bench.steps.make_list import device_of, in_order, make_steps
from vividowl.core.quantities.words import say
from vividowl.service.bench.effects import make_effect
from vividowl.service.bench.plan import plan_key, work_of
from vividowl.service.bench.store import load_log
from vividowl.service.bench.taking import SERVER, _finish
from vividowl.service.clock import server_now
from vividowl.service.errors import Refused
from vividowl.service.jobs.device import is_fanless
from vividowl.service.jobs.intake import LEFT_ALONE, require_settled, view_of
from vividowl.service.models.models import model_for, sheet_of
from vividowl.service.shop.habits import habits_of
from vividowl.service.workshop import Actor, Workshop, open_job
from vividowl.store.bench import BenchEventRow
from vividowl.store.models import Job
from vividowl.store.scope import Scope
from vividowl.words import told


def begin(workshop: Workshop, actor: Actor, job_id: uuid.UUID, *, with_model: bool, at: datetime | None = None) -> None:
    """Begin the list of a job, from its plan and what is known of its model."""
    with workshop.scope(actor) as scope:
        job = open_job(scope, job_id)
        view = view_of(scope, job)
        require_settled(view)
        key = plan_key(scope, job)
        if key == LEFT_ALONE:
            raise Refused("conflict", say("work-was-decided-to-leave-device"), reason="left_alone")
        if not key and view.glance_before["measured"]:
            raise Refused("conflict", say("work-nothing-decided-yet"), reason="undecided")
        row = model_for(scope, job) if with_model else None
        sheet = sheet_of(row) if row is not None else None
        work, fanless = work_of(workshop, scope, job), is_fanless(job)
        percent = habits_of(scope.shop()).tighten_percent
        places = sheet.places if sheet is not None else ()
        steps = make_steps(
            job.kind,
            work,
            places=places,
            school_percent=percent,
            own=sheet.steps if sheet is not None else (),
            anchors=sheet.anchors if sheet is not None else (),
            fanless=fanless,
        )
        if sheet is not None:
            steps = in_order(steps, sheet.order, device_of(job.kind, work, percent, fanless=fanless))
        outline = str(row.outline_photo) if row is not None and row.outline_photo is not None else ""
        _record(
            workshop,
            scope,
            actor,
            job=job,
            kind="begun",
            data={
                "steps": [told(s) for s in steps],
                "places": [told(p) for p in places],
                "outline": outline,
                "plan": key,
                "device": told(device_of(job.kind, work, percent, fanless=fanless)),
            },
            at=at,
        )


def renew(workshop: Workshop, actor: Actor, job_id: uuid.UUID) -> None:
    """Make the list anew from the plan as it is now. What was done stays done; own steps stay."""
    with workshop.scope(actor) as scope:
        job = open_job(scope, job_id)
        state = load_log(workshop, scope, job.id).log.state
        # A device that is open is closed again by any list, and a cooler that is off comes back over a covered die.
        work = replace(work_of(workshop, scope, job), opened=state.opened, lifted=state.lifted)
        fanless, percent = is_fanless(job), habits_of(scope.shop()).tighten_percent
        steps = make_steps(job.kind, work, places=tuple(state.places.values()), school_percent=percent, fanless=fanless)
        _record(
            workshop,
            scope,
            actor,
            job=job,
            kind="replanned",
            data={
                "steps": [told(s) for s in steps],
                "plan": plan_key(scope, job),
                "device": told(device_of(job.kind, work, percent, fanless=fanless)),
            },
        )


def begin_again(workshop: Workshop, scope: Scope, actor: Actor, job: Job) -> None:
    """Begin the list of the next attempt, from the plan as it is now and the map that is known."""
    state = load_log(workshop, scope, job.id).log.state
    work, fanless, percent = work_of(workshop, scope, job), is_fanless(job), habits_of(scope.shop()).tighten_percent
    steps = make_steps(job.kind, work, places=tuple(state.places.values()), school_percent=percent, fanless=fanless)
    _record(
        workshop,
        scope,
        actor,
        job=job,
        kind="attempt",
        data={
            "number": state.attempt + 1,
            "steps": [told(s) for s in steps],
            "plan": plan_key(scope, job),
            "device": told(device_of(job.kind, work, percent, fanless=fanless)),
        },
    )


def _record(
    workshop: Workshop,
    scope: Scope,
    actor: Actor,
    *,
    job: Job,
    kind: str,
    data: Mapping[str, Any],
    at: datetime | None = None,
) -> None:
    """Add an event that the server itself makes."""
    moment = at or server_now()
    kept = load_log(workshop, scope, job.id)
    log, number = kept.log, kept.number
    event_id = uuid.uuid4()
    try:
        log, event = append(log, BenchCommand(id=str(event_id), kind=kind, data=data, at=moment, by=actor.name))
    except BenchRefused as error:
        raise Refused("conflict", error.message, remedy=error.remedy, reason=error.reason) from error
    effect = make_effect(workshop, scope, actor, job=job, event=event, state=log.state) if KINDS[kind].effect else {}
    turn = kept.turns.get(SERVER, 0) + 1
    scope.add(
        BenchEventRow(
            id=event_id,
            job_id=job.id,
            number=number + 1,
            kind=kind,
            data=dict(data),
            at=moment,
            made=told(event.made),
            version=event.version,
            device=SERVER,
            turn=turn,
            member_id=actor.member_id,
            effect=effect,
        )
    )
    _finish(workshop, scope, job, log=log, number=number + 1, at=moment)
