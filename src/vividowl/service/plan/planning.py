"""Plan: what was found and is wanted is kept, an option is taken or put back, and After is laid over it."""

from __future__ import annotations

import uuid
from collections.abc import Mapping
from dataclasses import asdict, dataclass
from typing import Any

from vividowl.core.heat.skin import Skin
from vividowl.core.job.device import RunSide
from vividowl.core.job.gates import Gate, Severity
from vividowl.core.materials.kinds import DIE_KINDS
from vividowl.core.plan.cover import cover_paths, cover_skin
from vividowl.core.plan.facts import facts_of
from vividowl.core.plan.gates import plan_gates
from vividowl.core.plan.inspection import check_inspection
from vividowl.core.plan.options import Goal
from vividowl.core.plan.prediction import Action
from vividowl.core.plan.spots import Inspection
from vividowl.core.quantities.words import say
from vividowl.service.clock import server_now
from vividowl.service.errors import Refused
from vividowl.service.jobs.beside import Answered, answers_of
from vividowl.service.jobs.device import has_battery
from vividowl.service.plan.choices import plan_view
from vividowl.service.plan.found import inspection_of, plan_row
from vividowl.service.plan.outcomes import outcome_of
from vividowl.service.plan.views import OptionView, PlanView
from vividowl.service.workings.calculators import work
from vividowl.service.workshop import Actor, Workshop, check_version, open_job
from vividowl.store.deciding import Plan
from vividowl.store.models import Job, Member
from vividowl.store.scope import Scope
from vividowl.words import sentence


def get_plan(workshop: Workshop, actor: Actor, job_id: uuid.UUID) -> PlanView:
    """The plan of a job."""
    with workshop.scope(actor) as scope:
        return plan_view(workshop, scope, scope.get(Job, job_id))


@dataclass(frozen=True)
class Beside:
    """What is told beside a plan: who took the option, empty when nobody did; the shop's currency; what the customer
    answered to the latest quote, None while there is no answer."""

    chosen_by: str
    currency: str
    answer: Answered | None


def beside(workshop: Workshop, actor: Actor, job_id: uuid.UUID, view: PlanView) -> Beside:
    """What is told beside the plan of a job."""
    with workshop.scope(actor) as scope:
        by = scope.get(Member, view.plan.chosen_by).name if view.plan.chosen_by else ""
        return Beside(by, scope.shop().currency, answers_of(scope, [job_id]).get(job_id))


def stored_inspection(found: Inspection) -> dict[str, Any]:
    """Findings as they are stored."""
    return asdict(found)


def save_inspection(
    workshop: Workshop, actor: Actor, job_id: uuid.UUID, *, version: int, goal: str, found: Mapping[str, Any]
) -> PlanView:
    """Keep what was found and what is wanted; the options follow. What was chosen stays as it was taken."""
    with workshop.scope(actor) as scope:
        job = open_job(scope, job_id)
        plan = _plan_for_writing(scope, job, version)
        inspection = check_inspection(inspection_of({**stored_inspection(Inspection()), **found}, job))
        # What cannot be computed is refused here, before it is kept.
        cover_paths(inspection)
        plan.inspection, plan.goal = stored_inspection(inspection), Goal(goal)
        scope.session.flush()
        return plan_view(workshop, scope, job)


def _plan_for_writing(scope: Scope, job: Job, version: int) -> Plan:
    plan = plan_row(scope, job.id, lock=True)
    check_version(plan.version if plan else 0, version, say("planning-plan"))
    return plan or scope.add(Plan(job_id=job.id, inspection={}, notes=[]))


def choose(workshop: Workshop, actor: Actor, job_id: uuid.UUID, *, version: int, key: str | None) -> PlanView:
    """Take an option, or put the decision back. A stop cannot be taken."""
    with workshop.scope(actor) as scope:
        job = open_job(scope, job_id)
        plan = _plan_for_writing(scope, job, version)
        if key is None:
            plan.chosen = plan.chosen_by = plan.chosen_at = plan.outcome = None
        else:
            view = plan_view(workshop, scope, job)
            option = next((o for o in view.options if o.key == key), None)
            if option is None:
                raise Refused(
                    "missing",
                    say("planning-this-option-not-there-any"),
                    field="key",
                    remedy=say("planning-look-at-options-again-shelf"),
                )
            stop = next((g for g in option.gates if g.severity is Severity.STOP), None)
            if stop is not None:
                raise Refused("conflict", stop.reason, field="key", remedy=stop.remedy, reason="stopped")
            plan.chosen = _snapshot(option, view)
            plan.chosen_by, plan.chosen_at = actor.member_id, server_now()
            if not plan.inspection:
                plan.inspection = stored_inspection(view.inspection)
        job.updated_at = server_now()
        scope.session.flush()
        note_outcome(workshop, scope, job)
        return plan_view(workshop, scope, job)


def _snapshot(option: OptionView, view: PlanView) -> dict[str, Any]:
    """The option as it was taken: a later look at the shelf must not change what was promised."""
    p = option.prediction
    return {
        "key": option.key,
        "words": sentence(option.words),
        "actions": list(option.actions),
        "kind": option.kind,
        "resistance": asdict(p.resistance),
        "interface": asdict(p.interface),
        "die_c": asdict(p.die_c),
        "gain_k": asdict(p.gain_k),
        "watts": asdict(p.watts) if p.watts else None,
        "noise_db": asdict(p.noise_db) if p.noise_db else None,
        "held": view.held,
        "total_cents": option.price.total_cents,
        "hands_min": option.hands_min,
        "wait_min": option.wait_min,
        "life_months": option.life_months,
        "cover_watts": option.cover_watts,
        "cover_watts_u": option.cover_watts_u,
        "cover_behind": option.cover_behind,
        "room_c": view.room_c,
    }


def note_outcome(workshop: Workshop, scope: Scope, job: Job) -> None:
    """Lay the After reading over the prediction that was taken, both at the fan speed of Before."""
    plan = plan_row(scope, job.id)
    if plan is not None:
        plan.outcome = outcome_of(workshop, scope, job, plan.chosen) if plan.chosen else None
        scope.session.flush()


NOTES_MOST = 40


def add_note(workshop: Workshop, actor: Actor, job_id: uuid.UUID, *, name: str, given: Mapping[str, str]) -> PlanView:
    """Put something that was worked out apart into the job: worked out again, so that what is kept is true."""
    result = work(name, given)
    with workshop.scope(actor) as scope:
        job = open_job(scope, job_id)
        plan = plan_row(scope, job.id, lock=True) or scope.add(Plan(job_id=job.id, inspection={}, notes=[]))
        if len(plan.notes) >= NOTES_MOST:
            raise Refused("conflict", say("planning-job-has-notes-already", notes_most=NOTES_MOST))
        note = {
            "id": str(uuid.uuid4()),
            "name": name,
            "given": dict(given),
            "by": actor.name,
            "result": {k: v for k, v in result.items() if k != "placements"},
            "at": server_now().isoformat(),
        }
        plan.notes = [*plan.notes, note]
        scope.session.flush()
        return plan_view(workshop, scope, job)


def remove_note(workshop: Workshop, actor: Actor, job_id: uuid.UUID, note_id: uuid.UUID) -> PlanView:
    """Take such a note off the job."""
    with workshop.scope(actor) as scope:
        job = open_job(scope, job_id)
        plan = plan_row(scope, job.id, lock=True)
        if plan is None or str(note_id) not in {n["id"] for n in plan.notes}:
            raise Refused("missing", say("planning-there-no-such-note-on"))
        plan.notes = [n for n in plan.notes if n["id"] != str(note_id)]
        scope.session.flush()
        return plan_view(workshop, scope, job)


def chosen_skin(job: Job, plan: Plan | None) -> Skin | None:
    """How warm the cover gets that the option taken couples, None for another option."""
    if plan is None or plan.chosen is None or plan.chosen["cover_watts"] is None:
        return None
    chosen = plan.chosen
    # Judged anew: the same watts are another matter on a lap than on the dock that was named first.
    return cover_skin(
        inspection_of(plan.inspection, job),
        chosen["cover_watts"],
        behind=chosen["cover_behind"],
        room_c=chosen["room_c"],
        power_u=chosen.get("cover_watts_u", 0.0),
    )


def chosen_gates(job: Job, plan: Plan | None) -> tuple[Gate, ...]:
    """Gates of the option that was taken, with what is known now."""
    if plan is None or plan.chosen is None:
        return ()
    chosen = plan.chosen
    found = inspection_of(plan.inspection, job)
    after = next((r for r in job.runs if r.side == RunSide.AFTER), None)
    facts = facts_of(
        found,
        [Action(a) for a in chosen["actions"]],
        chosen["kind"],
        swollen=job.battery_swollen,
        sealed=job.warranty == "running" or job.seal == "intact",
        skin=chosen_skin(job, plan),
        battery=has_battery(job),
        after_place=after.placement if after is not None else "",
    )
    return plan_gates(facts)


def item_gates(job: Job, plan: Plan | None, kind: str, target: str) -> tuple[Gate, ...]:
    """Gates of one thing that is about to be fitted, whatever the plan says."""
    found = inspection_of(plan.inspection if plan else {}, job)
    over_gap = target in ("memory", "regulators", "inductors") and kind in DIE_KINDS
    return plan_gates(
        facts_of(
            found,
            [Action.REPASTE],
            kind,
            swollen=False,
            sealed=False,
            skin=None,
            battery=has_battery(job),
            paste_over_gap=over_gap,
        )
    )
