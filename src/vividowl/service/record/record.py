"""The record of a job: all that it says, gathered from where it is kept."""

from __future__ import annotations

import uuid
from collections.abc import Sequence
from dataclasses import dataclass
from datetime import date

from vividowl.core.materials.after_care import HEAT_CYCLES, after_care
from vividowl.core.materials.kinds import CATALOGUE, Trait
from vividowl.core.materials.life import NextService, add_months, next_service
from vividowl.core.quantities.words import Words, listed, say
from vividowl.core.reading.reading import Reading
from vividowl.core.trace.trace import Series
from vividowl.core.verdict.plain import Plain, plain_words
from vividowl.formats.log.columns import min_max_view
from vividowl.formats.words import CLEANED, VERDICTS, item_words
from vividowl.service.attempts.attempts import attempts_view
from vividowl.service.attempts.side_by_side import Row, side_by_side
from vividowl.service.bench.store import load_log
from vividowl.service.bench.story import BenchStory, story_of
from vividowl.service.clock import day_of, server_now, today_of
from vividowl.service.jobs.fit import items_of
from vividowl.service.jobs.intake import LEFT_ALONE, JobView, view_of
from vividowl.service.measure.comparing import Compared, compare_job
from vividowl.service.measure.readings import load_trace
from vividowl.service.measure.references import months_until_held
from vividowl.service.models.known import own_services
from vividowl.service.plan.found import inspection_of, plan_row
from vividowl.service.plan.planning import chosen_skin
from vividowl.service.shelf.materials import item_material
from vividowl.service.shop.habits import habits_of
from vividowl.service.workshop import Workshop
from vividowl.store.deciding import Plan
from vividowl.store.measuring import TraceFile
from vividowl.store.models import FitItem, Job, Shop
from vividowl.store.scope import Scope

CHART_POINTS = 600


@dataclass(frozen=True)
class Line:
    """Temperature of the die: time_s from load onset and value_c (n,), thinned for drawing."""

    time_s: list[float]
    value_c: list[float]


@dataclass(frozen=True)
class Lines:
    """Both sides of the comparison."""

    before: Line
    after: Line


@dataclass(frozen=True, kw_only=True)
class Record:
    """All that the customer's record says; plain: the comparison in the customer's words; warranty_until: how long the
    shop answers for its work, None where it has not said; heat_cycles: still to come until
    what was measured is final."""

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
    lines: Lines | None
    lead: Words
    done: tuple[Words, ...]
    heat_cycles: int


def _proposal(workshop: Workshop, scope: Scope, job: Job, *, items: Sequence[FitItem], today: date) -> NextService:
    fitted = list({m: None for m in (item_material(scope, i) for i in items) if m is not None})
    plan = plan_row(scope, job.id)
    cold_plate = inspection_of(plan.inspection if plan else {}, job).cold_plate
    school = habits_of(scope.shop()).life_school
    left, own = months_until_held(workshop, scope, job), own_services(scope, {m.kind for m in fitted})
    return next_service(
        today, job.surroundings, interfaces=fitted, school=school, cold_plate=cold_plate, months_left=left, own=own
    )


def record_of(workshop: Workshop, scope: Scope, job: Job) -> Record:
    """The record of a job as it is now."""
    items, plan = items_of(scope, job.id), plan_row(scope, job.id)
    planned = plan.chosen["total_cents"] if plan is not None and plan.chosen else None
    proposal = _proposal(workshop, scope, job, items=items, today=today_of(scope.shop()))
    compared = compare_job(workshop, scope, job)
    state = load_log(workshop, scope, job.id).log.state
    burns_in = any(CATALOGUE[i.kind].has(Trait.BURN_IN) for i in items if i.kind in CATALOGUE)
    cycled = state.outcomes.get("burn_in")
    runs_in = burns_in and (cycled is None or cycled.how != "done")
    months = habits_of(scope.shop()).work_warranty_months
    done_on = day_of(scope.shop(), job.handed_over_at or server_now())
    view, skin = view_of(scope, job), chosen_skin(job, plan)
    accepted = [g.rule for g in view.gates if g.acknowledged_by is not None]
    return Record(
        view=view,
        shop=scope.shop(),
        items=items,
        compared=compared,
        proposal=proposal,
        planned_cents=planned,
        bench=story_of(state),
        attempts=side_by_side(attempts_view(workshop, scope, job).attempts) if job.attempt > 1 else (),
        plain=plain_words(compared.comparison) if compared else None,
        after_care=after_care(
            job.fan,
            job.surroundings,
            runs_in=runs_in,
            accepted=accepted,
            skin_high_c=skin.high_c if skin is not None else None,
        ),
        warranty_until=add_months(done_on, months) if months and items else None,
        promise=_promise(plan),
        lines=_lines(workshop, scope.shop_id, compared) if compared else None,
        lead=_lead(job, compared, plan is not None and plan.chosen is not None and plan.chosen["key"] == LEFT_ALONE),
        done=_done(job, items),
        heat_cycles=HEAT_CYCLES if runs_in else 0,
    )


def _lead(job: Job, compared: Compared | None, left_alone: bool) -> Words:
    """The device, and what was found, in one line."""
    device = f"{job.maker} {job.model}".strip()
    if compared is None and left_alone:
        return say("record-pdf-left-alone", device=device)
    if compared is None:
        return say("record-pdf-not-measured-on-both-sides")
    return say("record-pdf-lead", device=device, verdict=VERDICTS[compared.comparison.verdict.value])


def _done(job: Job, items: Sequence[FitItem]) -> tuple[Words, ...]:
    """What was cleaned, and what was put where."""
    cleaned = [say("record-pdf-cleaned", cleaned=listed(CLEANED.get(c, c) for c in job.cleaned))] if job.cleaned else []
    return (
        *cleaned,
        *(
            item_words(
                i.target, i.kind, product=i.product, lot=i.lot, amount=i.amount, unit=i.amount_unit, known=i.amount_is
            )
            for i in items
        ),
    )


def _line(workshop: Workshop, shop_id: uuid.UUID, trace: TraceFile, reading: Reading) -> Line:
    only = [c if c["role"] == reading.die_role.value else {**c, "role": None} for c in trace.channels]
    read = load_trace(workshop.files.columns(shop_id, trace.sha256), only)
    values: Series = read.channels[reading.die_role]
    view = min_max_view(
        read.time_s - reading.load.onset_s, values, points=CHART_POINTS, from_s=-60.0, to_s=float("inf")
    )
    return Line(view.time_s.tolist(), view.values.tolist())


def _lines(workshop: Workshop, shop_id: uuid.UUID, compared: Compared) -> Lines:
    return Lines(
        _line(workshop, shop_id, compared.before_trace, compared.before_reading),
        _line(workshop, shop_id, compared.after_trace, compared.after_reading),
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
