"""Intake: customer, device, symptom, gates; and the job as the pages see it."""

from __future__ import annotations

import uuid
from collections.abc import Mapping, Sequence
from dataclasses import dataclass
from datetime import datetime
from typing import Any

from sqlalchemy.exc import IntegrityError

from vividowl.core.job.device import REFERENCES, RunSide
from vividowl.core.job.gates import Gate, Severity, intake_gates, worst_first
from vividowl.core.job.stages import JobFacts, Next, Position, Stage, position_of
from vividowl.core.quantities.errors import require_range
from vividowl.core.quantities.words import Words, say
from vividowl.core.verdict.verdicts import Verdict
from vividowl.service.attempts.failing import has_failed
from vividowl.service.devices.known import DEVICE_FIELDS, device_for
from vividowl.service.errors import Refused
from vividowl.service.jobs.beside import Answered, answers_of, visits_of
from vividowl.service.languages import require_language
from vividowl.service.plan.found import plan_row
from vividowl.service.plan.planning import chosen_gates
from vividowl.service.workshop import Actor, Workshop, check_version
from vividowl.store.base import changed_elsewhere
from vividowl.store.deciding import Plan
from vividowl.store.devices import Device
from vividowl.store.finding import Wanted, find_jobs
from vividowl.store.marks import asked, blank
from vividowl.store.models import Acknowledgement, Job
from vividowl.store.scope import Scope

LEFT_ALONE = "leave"
INTAKE_FIELDS = asked(Job)
# What a device comes in with while nobody said otherwise.
BLANK: Mapping[str, Any] = {
    **blank(Job, INTAKE_FIELDS),
    **blank(Device, DEVICE_FIELDS),
    "customer_contact": "",
    "device_id": None,
    "another_device": False,
}


@dataclass(frozen=True, kw_only=True)
class GateView:
    """A tripped gate and who acknowledged it when. stage: intake or plan, where it comes from."""

    rule: str
    severity: str
    reason: Words
    remedy: Words
    acknowledged_by: str | None
    acknowledged_at: datetime | None
    words: str | None
    stage: str


@dataclass(frozen=True, kw_only=True)
class JobView:
    """A job with what follows from it: gates, the stage it is at, what its next step is."""

    job: Job
    stage: Stage
    next_step: Words
    reachable: tuple[Stage, ...]
    done: tuple[Stage, ...]
    gates: tuple[GateView, ...]
    glance_before: dict[str, Any]
    glance_after: dict[str, Any]
    verdict: str | None
    failed: bool
    visit: int
    visits: int


def gates_of(job: Job) -> tuple[Gate, ...]:
    """Gates that the intake of a job trips."""
    return intake_gates(
        kind=job.kind,
        battery_swollen=job.battery_swollen,
        liquid_damage=job.liquid_damage,
        backup_done=job.backup_done,
        warranty=job.warranty,
        seal=job.seal,
    )


def view_of(scope: Scope, job: Job) -> JobView:
    """The job as the pages see it."""
    rows = scope.session.scalars(scope.select(Acknowledgement).where(Acknowledgement.job_id == job.id)).unique().all()
    visit, answer = visits_of(scope, [job]).get(job.id, (1, 1)), answers_of(scope, [job.id]).get(job.id)
    return _view(job, rows, plan=plan_row(scope, job.id), visit=visit, answer=answer)


def views_of(scope: Scope, jobs: Sequence[Job]) -> list[JobView]:
    """Several jobs, with four questions to the database in all."""
    ids = [job.id for job in jobs]
    accepted: dict[uuid.UUID, list[Acknowledgement]] = {}
    for row in scope.session.scalars(scope.select(Acknowledgement).where(Acknowledgement.job_id.in_(ids))).unique():
        accepted.setdefault(row.job_id, []).append(row)
    plans = {p.job_id: p for p in scope.session.scalars(scope.select(Plan).where(Plan.job_id.in_(ids))).unique()}
    visits, answers = visits_of(scope, jobs), answers_of(scope, ids)
    return [
        _view(
            job,
            accepted.get(job.id, []),
            plan=plans.get(job.id),
            visit=visits.get(job.id, (1, 1)),
            answer=answers.get(job.id),
        )
        for job in jobs
    ]


def _view(
    job: Job, rows: Sequence[Acknowledgement], *, plan: Plan | None, visit: tuple[int, int], answer: Answered | None
) -> JobView:
    by_rule = {a.rule: a for a in rows}
    # One that was closed when it came from a list has nothing to settle.
    own = () if job.import_id is not None and job.handed_over_at is not None else gates_of(job)
    at_intake = {g.rule for g in own}
    gates = tuple(
        GateView(
            rule=g.rule,
            severity=g.severity.value,
            reason=g.reason,
            remedy=g.remedy,
            acknowledged_by=by_rule[g.rule].member.name if g.rule in by_rule else None,
            acknowledged_at=by_rule[g.rule].at if g.rule in by_rule else None,
            words=by_rule[g.rule].words if g.rule in by_rule else None,
            stage="intake" if g.rule in at_intake else "plan",
        )
        for g in worst_first([*own, *chosen_gates(job, plan)])
    )
    chosen = plan.chosen["key"] if plan is not None and plan.chosen else None
    runs = {r.side: r for r in job.runs}
    blank = {"rise_k": None, "noise_db": None, "held_share": None, "measured": False}
    before, after = (runs[s].glance or blank if s in runs else blank for s in REFERENCES)
    verdict = runs[RunSide.AFTER].glance.get("verdict") if RunSide.AFTER in runs else None
    facts = _facts(
        job,
        gates,
        before=bool(before["measured"]),
        after=bool(after["measured"]),
        verdict=verdict,
        chosen=chosen,
        failed=has_failed(after),
    )
    at = position_of(facts)
    return JobView(
        job=job,
        stage=at.stage,
        next_step=_words(at, job, gates=gates, verdict=verdict, answer=answer),
        reachable=at.reachable,
        done=at.done,
        gates=gates,
        glance_before=before,
        glance_after=after,
        verdict=verdict,
        failed=facts.failed,
        visit=visit[0],
        visits=visit[1],
    )


def _facts(
    job: Job,
    gates: Sequence[GateView],
    *,
    before: bool,
    after: bool,
    verdict: str | None,
    chosen: str | None,
    failed: bool,
) -> JobFacts:
    waits = [g for g in gates if g.severity == Severity.ACKNOWLEDGE and g.acknowledged_by is None]
    stops = [g for g in gates if g.severity == Severity.STOP]
    begun = job.bench.get("begun")
    return JobFacts(
        stopped=any(g.stage == "intake" for g in stops),
        handed_over=job.handed_over_at is not None,
        bench=Stage(job.bench["stage"]) if begun else None,
        bench_closed=bool(begun and job.bench["closed"]),
        before=before,
        after=after,
        decided=chosen is not None,
        left_alone=chosen == LEFT_ALONE,
        fit_done=job.fit_done,
        cleaned=bool(job.cleaned),
        plan_barred=bool(stops) or any(g.stage == "plan" for g in waits),
        waits=bool(waits),
        comparable=verdict != Verdict.CANNOT_BE_COMPARED,
        failed=failed,
    )


def _words(at: Position, job: Job, *, gates: Sequence[GateView], verdict: str | None, answer: Answered | None) -> Words:
    """What is next, in words."""
    if at.next is Next.NOTHING_STOPPED:
        return say("next-stopped", model=job.model, reason=gates[0].reason)
    if at.next is Next.STEP:
        return say("next-step", model=job.model, number=job.bench["step"], text=job.bench["text"])
    if at.next is Next.HAND_OVER:
        return say("next-hand_over", model=job.model, verdict=verdict)
    if at.next is Next.DECIDE and answer is not None:
        return say("next-answered", model=job.model, title=answer.title or None)
    return say(f"next-{at.next.value}", model=job.model)


def _write_intake(scope: Scope, job: Job, fields: dict[str, Any]) -> None:
    for name in ("age_months", "months_since_service"):
        if fields[name] is not None:
            require_range(name, fields[name], "months", (0, 600))
    require_language(fields["language"])
    for name in INTAKE_FIELDS:
        setattr(job, name, fields[name])
    job.customer = scope.customer(fields["customer_name"], fields["customer_contact"])
    job.customer_id = job.customer.id
    job.device = device_for(scope, job, fields)
    job.device_id = job.device.id


def create_job(workshop: Workshop, actor: Actor, fields: dict[str, Any]) -> JobView:
    """Take a device in. fields: what is not given is as in BLANK."""
    with workshop.scope(actor) as scope:
        job = Job(number=scope.next_job_number(), created_by=actor.member_id, shop_id=actor.shop_id)
        _write_intake(scope, job, {**BLANK, **fields})
        scope.add(job)
        scope.session.refresh(job)
        return view_of(scope, job)


def _noted(job: Job) -> dict[str, Any]:
    """What was noted at intake so far."""
    own = {name: getattr(job, name) for name in INTAKE_FIELDS}
    device = {name: getattr(job.device, name) for name in DEVICE_FIELDS}
    customer = {"customer_name": job.customer.name, "customer_contact": job.customer.contact}
    return {**own, **device, **customer, "device_id": job.device_id, "another_device": False}


def update_intake(
    workshop: Workshop, actor: Actor, job_id: uuid.UUID, *, version: int, fields: dict[str, Any]
) -> JobView:
    """Change what was noted at intake: what is not given stays. Allowed while stopped: that is how a stop is
    cleared."""
    with workshop.scope(actor) as scope:
        job = scope.get(Job, job_id, lock=True)
        if job.handed_over_at is not None:
            raise Refused("conflict", say("intake-job-was-handed-over-and", number=job.number), reason="handed_over")
        check_version(job.version, version, say("intake-intake"))
        was = _noted(job)
        _write_intake(scope, job, {**was, **fields})
        if _noted(job) != was:
            changed_elsewhere(scope.session, job)
        scope.session.flush()
        return view_of(scope, job)


def get_job(workshop: Workshop, actor: Actor, job_id: uuid.UUID) -> JobView:
    """One job."""
    with workshop.scope(actor) as scope:
        return view_of(scope, scope.get(Job, job_id))


def list_jobs(
    workshop: Workshop, actor: Actor, wanted: Wanted, *, limit: int, offset: int
) -> tuple[list[JobView], int]:
    """A page of the jobs that are wanted, and how many there are."""
    with workshop.scope(actor) as scope:
        rows, total = find_jobs(scope, wanted, limit=limit, offset=offset)
        return views_of(scope, rows), total


def acknowledge(workshop: Workshop, actor: Actor, job_id: uuid.UUID, *, rule: str, words: str) -> JobView:
    """Accept a gate by name, in words. A stop cannot be accepted away."""
    with workshop.scope(actor) as scope:
        job = scope.get(Job, job_id, lock=True)
        tripped = [*gates_of(job), *chosen_gates(job, plan_row(scope, job.id))]
        gate = next((g for g in tripped if g.rule == rule), None)
        if gate is None:
            raise Refused("missing", say("intake-gate-not-open-on-this", rule=rule))
        if gate.severity is not Severity.ACKNOWLEDGE:
            raise Refused("conflict", say("intake-this-not-to-be-accepted", reason=gate.reason), remedy=gate.remedy)
        if len(words.strip()) < 4:
            raise Refused("invalid", say("intake-acknowledgement-says-nothing"), field="words")
        try:
            scope.add(Acknowledgement(job_id=job.id, rule=rule, words=words.strip(), member_id=actor.member_id))
        except IntegrityError as error:
            raise Refused("conflict", say("intake-this-gate-acknowledged-already")) from error
        return view_of(scope, job)


def require_settled(view: JobView, *, field: str = "") -> None:
    """Refuse to go on while a gate stops the job or waits to be accepted; whatever opens or closes a device asks."""
    stop = next((g for g in view.gates if g.severity == Severity.STOP), None)
    if stop is not None:
        raise Refused("conflict", stop.reason, field=field, remedy=stop.remedy, reason="gate_open", stage=stop.stage)
    waiting = next((g for g in view.gates if g.severity == Severity.ACKNOWLEDGE and g.acknowledged_by is None), None)
    if waiting is not None:
        where = say(f"stage-{waiting.stage}")
        raise Refused(
            "conflict",
            say("intake-not-settled-in", where=where, reason=waiting.reason, remedy=waiting.remedy),
            field=field,
            reason="gate_open",
            stage=waiting.stage,
        )
