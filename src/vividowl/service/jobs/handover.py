"""Hand over: price, next date, and the record that the customer gets."""

from __future__ import annotations

import uuid
from collections.abc import Sequence
from dataclasses import asdict, dataclass
from datetime import date
from typing import Any

from vividowl.core.materials.after_care import after_care
from vividowl.core.materials.kinds import CATALOGUE, Trait
from vividowl.core.materials.life import NextService, add_months, next_service
from vividowl.core.quantities.errors import require_range
from vividowl.core.quantities.words import Words, say
from vividowl.core.trace.trace import Series
from vividowl.core.verdict.plain import Plain, plain_words
from vividowl.formats.log.columns import min_max_view
from vividowl.formats.record_pdf import ChartLine, RecordSheet, make_pdf
from vividowl.service.attempts.attempts import attempts_view
from vividowl.service.attempts.failing import has_failed
from vividowl.service.attempts.side_by_side import Row, side_by_side
from vividowl.service.bench.photos import photo_bytes
from vividowl.service.bench.store import load_log
from vividowl.service.bench.story import BenchStory, story_of
from vividowl.service.clock import server_now, server_today
from vividowl.service.errors import Refused
from vividowl.service.jobs.fit import items_of
from vividowl.service.jobs.intake import LEFT_ALONE, JobView, view_of
from vividowl.service.measure.comparing import Compared, compare_job, judged_by
from vividowl.service.measure.readings import load_trace
from vividowl.service.measure.references import months_until_held
from vividowl.service.models.known import own_services
from vividowl.service.plan.found import inspection_of, plan_row
from vividowl.service.shelf.materials import item_material
from vividowl.service.shop.habits import habits_of
from vividowl.service.workshop import Actor, Workshop, check_version
from vividowl.store.deciding import Plan
from vividowl.store.measuring import TraceFile
from vividowl.store.models import FitItem, Job, Shop
from vividowl.store.scope import Scope
from vividowl.words import sentence

CHART_POINTS = 600


@dataclass(frozen=True)
class Record:
    """All that the customer's record says; plain: the comparison in the customer's words; warranty_until: how long the
    shop answers for its work, None where it has not said."""

    view: JobView
    shop: Shop
    items: Sequence[FitItem]
    compared: Compared | None
    proposal: NextService
    planned_cents: int | None
    bench: BenchStory
    attempts: tuple[Row, ...]
    plain: Plain | None
    after_care: tuple[Words, ...]
    warranty_until: date | None
    promise: Words


def _proposal(workshop: Workshop, scope: Scope, job: Job, items: Sequence[FitItem], today: date) -> NextService:
    fitted = list({m: None for m in (item_material(scope, i) for i in items) if m is not None})
    plan = plan_row(scope, job.id)
    cold_plate = inspection_of(plan.inspection if plan else {}, job).cold_plate
    school = habits_of(scope.shop()).life_school
    left, own = months_until_held(workshop, scope, job), own_services(scope, {m.kind for m in fitted})
    return next_service(today, job.surroundings, fitted, school, cold_plate, left, own)


def _record(workshop: Workshop, scope: Scope, job: Job) -> Record:
    items, plan = items_of(scope, job.id), plan_row(scope, job.id)
    planned = plan.chosen["total_cents"] if plan is not None and plan.chosen else None
    proposal = _proposal(workshop, scope, job, items, server_today())
    compared = compare_job(workshop, scope, job)
    state = load_log(workshop, scope, job.id).log.state
    runs_in = any(CATALOGUE[i.kind].has(Trait.BURN_IN) for i in items if i.kind in CATALOGUE)
    cycled = state.outcomes.get("burn_in")
    months = habits_of(scope.shop()).work_warranty_months
    done_on = (job.handed_over_at or server_now()).date()
    return Record(
        view_of(scope, job),
        scope.shop(),
        items,
        compared,
        proposal,
        planned,
        story_of(state),
        side_by_side(attempts_view(workshop, scope, job).attempts) if job.attempt > 1 else (),
        plain_words(compared.comparison) if compared else None,
        after_care(job.fan, job.surroundings, runs_in=runs_in and (cycled is None or cycled.how != "done")),
        add_months(done_on, months) if months and items else None,
        _promise(plan),
    )


def _promise(plan: Plan | None) -> Words:
    """What the plan promised, and how it came out."""
    if plan is None or not plan.chosen or not plan.outcome:
        return ""
    promised, outcome = plan.chosen["resistance"], plan.outcome
    return say(
        "record-promise",
        words=plan.chosen["words"],
        low=promised["low"],
        high=promised["high"],
        measured=outcome["resistance"],
        u95=outcome["resistance_u95"],
        inside=bool(outcome["inside"]),
    )


def get_record(workshop: Workshop, actor: Actor, job_id: uuid.UUID) -> Record:
    """The record of a job."""
    with workshop.scope(actor) as scope:
        return _record(workshop, scope, scope.get(Job, job_id))


def hand_over(
    workshop: Workshop,
    actor: Actor,
    job_id: uuid.UUID,
    version: int,
    *,
    price_cents: int | None,
    next_service_on: date | None,
    note: str,
    handed_over: bool,
) -> Record:
    """Save price and date; hand the device over, or take the hand-over back."""
    if price_cents is not None:
        require_range("price", price_cents / 100, "", 0, 100000, say("handover-type-price-with-point-or"))
    with workshop.scope(actor) as scope:
        job = scope.get(Job, job_id, lock=True)
        check_version(job.version, version, say("handover-hand-over"))
        if handed_over and job.battery_swollen:
            raise Refused(
                "conflict", say("handover-job-stopped-battery-swollen"), remedy="See Intake.", reason="stopped"
            )
        plan = plan_row(scope, job.id)
        left_alone = plan is not None and plan.chosen is not None and plan.chosen["key"] == LEFT_ALONE
        if handed_over and not left_alone and compare_job(workshop, scope, job) is None:
            raise Refused(
                "conflict",
                say("handover-there-no-after-log-so"),
                field="handed_over",
                remedy=say("handover-take-after-reading-first"),
                reason="not_yet",
            )
        after = scope.run(job.id, "after")
        if handed_over and job.handed_over_at is None and after is not None and has_failed(after.glance):
            raise Refused(
                "conflict",
                say("handover-service-failed", failure=after.glance["failure"]),
                field="handed_over",
                remedy=say("handover-find-out-why"),
                reason="failed",
            )
        job.price_cents, job.next_service_on, job.handover_note = price_cents, next_service_on, note
        if handed_over and job.handed_over_at is None:
            job.handed_over_at = server_now()
            tolerances, reference_room_c = judged_by(scope, job)
            limits = {name: getattr(job.device, name) for name in ("limit_c", "power_limit_cpu_w", "power_limit_gpu_w")}
            job.judged_by = {
                "tolerances": asdict(tolerances),
                "reference_room_c": reference_room_c,
                "limits": limits,
            }
        elif not handed_over:
            job.handed_over_at = job.judged_by = None
        scope.session.flush()
        return _record(workshop, scope, job)


def _line(workshop: Workshop, shop_id: uuid.UUID, trace: TraceFile, reading: Any) -> ChartLine:  # noqa: ANN401
    only = [c if c["role"] == reading.die_role.value else {**c, "role": None} for c in trace.channels]
    read = load_trace(workshop.files.columns(shop_id, trace.sha256), only)
    values: Series = read.channels[reading.die_role]
    view = min_max_view(read.time_s - reading.load.onset_s, values, CHART_POINTS, -60.0, float("inf"))
    return ChartLine(view.time_s.tolist(), view.values.tolist())


def record_pdf(workshop: Workshop, actor: Actor, job_id: uuid.UUID) -> tuple[bytes, str]:
    """The record as a PDF, and a name for the file."""
    record = get_record(workshop, actor, job_id)
    job, compared = record.view.job, record.compared
    pair = (record.bench.before_photo, record.bench.after_photo)
    photos = tuple(photo_bytes(workshop, actor, uuid.UUID(photo), "large") for photo in pair if photo)
    lines = None
    if compared is not None:
        lines = (
            _line(workshop, actor.shop_id, compared.before_trace, compared.before_reading),
            _line(workshop, actor.shop_id, compared.after_trace, compared.after_reading),
        )
    sheet = RecordSheet(
        shop=record.shop.name,
        demo=record.shop.demo,
        number=job.number,
        customer=job.customer.name,
        device=f"{job.maker} {job.model}".strip(),
        symptom=job.symptom,
        day=(job.handed_over_at or server_now()).date(),
        handed_over=job.handed_over_at is not None,
        comparison=compared.comparison if compared else None,
        ladders=(compared.before_ladder, compared.after_ladder) if compared else (None, None),
        culprit=compared.culprit if compared else None,
        exhaust=compared.exhaust.text if compared and compared.exhaust else "",
        notes=compared.notes if compared else (),
        lines=lines,
        glances=(record.view.glance_before, record.view.glance_after),
        cleaned=tuple(job.cleaned),
        items=tuple((i.target, i.kind, i.product, i.lot, i.amount, i.amount_unit, i.amount_is) for i in record.items),
        fit_note=job.fit_note,
        bench=record.bench.lines,
        attempts=tuple((row.words, *row.cells) for row in record.attempts),
        gates=tuple(
            (sentence(g.reason), f"{g.words} ({g.acknowledged_by}, {g.acknowledged_at:%Y-%m-%d})")
            for g in record.view.gates
            if g.acknowledged_by and g.acknowledged_at
        ),
        price_cents=job.price_cents,
        currency=record.shop.currency,
        next_service_on=job.next_service_on,
        next_service_reason=record.proposal.reason if job.next_service_on == record.proposal.on else "",
        note=job.handover_note,
        plain=record.plain,
        after_care=record.after_care,
        warranty_until=record.warranty_until,
        photos=photos if all(pair) else (),
        promise=record.promise,
    )
    return make_pdf(sheet), f"record-{job.number}.pdf"
