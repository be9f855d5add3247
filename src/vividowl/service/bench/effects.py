"""What an event of the bench changes beside its log: the plan, the shelf, the job; and how undo changes it back."""

from __future__ import annotations

import uuid
from collections.abc import Mapping
from typing import Any

from sqlalchemy import select

from vividowl.core.bench.log.events import BenchEvent
from vividowl.core.bench.log.state import BenchState
from vividowl.core.bench.seen import STOPPING, sight
from vividowl.core.bench.steps.fitting import apply_id
from vividowl.core.job.gates import Severity
from vividowl.core.materials.kinds import CATALOGUE, Kind, Trait
from vividowl.core.plan.inspection import check_inspection
from vividowl.core.quantities.errors import CoreError
from vividowl.core.quantities.words import listed, say
from vividowl.service.attempts.turning import bring_back, put_aside
from vividowl.service.bench.plan import chosen_option
from vividowl.service.clock import server_now
from vividowl.service.errors import Refused
from vividowl.service.jobs.fit import items_of, note_item, set_item
from vividowl.service.plan.found import inspection_of, plan_row
from vividowl.service.plan.planning import item_gates, stored_inspection
from vividowl.service.runs.states import fitted
from vividowl.service.workshop import Actor, Workshop
from vividowl.store.deciding import Plan
from vividowl.store.models import Acknowledgement, FitItem, Job
from vividowl.store.scope import Scope
from vividowl.words import sentence

CLEANED_BY_STEP: Mapping[str, tuple[str, ...]] = {
    "dust_out": ("fins", "fan", "vents"),
    "cleaned": ("contact", "old_interface"),
}


def make_effect(
    workshop: Workshop, scope: Scope, actor: Actor, *, job: Job, event: BenchEvent, state: BenchState
) -> dict[str, Any]:
    """Change what follows from an event that was accepted; returns what undo needs and what is told."""
    if event.kind == "found":
        return _seen(scope, job, str(event.data["part"]), str(event.data["seen"]))
    if event.kind == "closed":
        job.fit_done = True
        fitted(scope, job, items_of(scope, job.id))
        return {"closed": True}
    if event.kind == "attempt":
        return put_aside(scope, job)
    if event.kind == "step_done":
        effect: dict[str, Any] = {}
        new = [c for c in CLEANED_BY_STEP.get(event.data["step"], ()) if c not in job.cleaned]
        if new:
            job.cleaned = [*job.cleaned, *new]
            effect["cleaned"] = new
        step = next(s for s in state.steps if s.id == event.data["step"])
        if step.part is not None:
            effect |= _book(
                workshop, scope, actor, job=job, step=step.id, index=step.part, weighed_g=event.data.get("value")
            )
        return effect
    return {}


def refuse_alloy(scope: Scope, job: Job, event: BenchEvent, state: BenchState) -> None:
    """Refuse a step that lays alloy while a gate of alloy stands against it, by what is known now."""
    if event.kind != "step_done":
        return
    step = next(s for s in state.steps if s.id == event.data["step"])
    if "alloy_applied" not in step.acts:
        return
    gates = item_gates(job, plan_row(scope, job.id), Kind.ALLOY, "cpu_die")
    accepted = set(scope.session.scalars(select(Acknowledgement.rule).where(Acknowledgement.job_id == job.id)).all())
    open_ = next(
        (
            g
            for g in gates
            if g.severity is Severity.STOP or (g.severity is Severity.ACKNOWLEDGE and g.rule not in accepted)
        ),
        None,
    )
    if open_ is not None:
        raise Refused(
            "conflict",
            open_.reason,
            field="step",
            reason="gate_open",
            remedy=say("effects-note-in-plan-then-go", remedy=open_.remedy),
        )


def _seen(scope: Scope, job: Job, part: str, seen: str) -> dict[str, Any]:
    effect: dict[str, Any] = {}
    if (part, seen) in STOPPING and not job.battery_swollen:
        job.battery_swollen = True
        effect["stopped"] = True
    if part == "pads" and "pads_checked" not in job.cleaned:
        job.cleaned = [*job.cleaned, "pads_checked"]
        effect["cleaned"] = ["pads_checked"]
    changes = sight(part, seen).changes
    if changes:
        plan = plan_row(scope, job.id, lock=True) or scope.add(Plan(job_id=job.id, inspection={}, notes=[]))
        before = stored_inspection(inspection_of(plan.inspection, job))
        effect["was"] = {name: before[name] for name in changes}
        effect["is"] = dict(changes)
        _write(plan, job, changes)
    return effect


def _write(plan: Plan, job: Job, changes: Mapping[str, Any]) -> None:
    found = {**stored_inspection(inspection_of(plan.inspection, job)), **changes}
    plan.inspection = stored_inspection(check_inspection(inspection_of(found, job)))


def _book(
    workshop: Workshop, scope: Scope, actor: Actor, *, job: Job, step: str, index: int, weighed_g: float | None
) -> dict[str, Any]:
    """Note the part that a step used, from its lot. The step stands even when the shelf says no: it was done."""
    option, _ = chosen_option(workshop, scope, job)
    part = option.parts[index] if option is not None and index < len(option.parts) else None
    if part is None or step != apply_id(part.target, part.kind, index):
        return {"told": say("effects-plan-has-changed-since-list")}
    already = scope.one(
        FitItem,
        FitItem.job_id == job.id,
        FitItem.attempt == job.attempt,
        FitItem.removed_at.is_(None),
        FitItem.target == part.target,
        FitItem.kind == part.kind,
    )
    if already is not None:
        return {}
    counted = part.amount is not None and part.unit in ("g", "mL", "piece")
    cut = part.unit == "piece" and CATALOGUE[part.kind].has(Trait.CUT)
    amount = part.amount
    if weighed_g is not None and part.unit == "g":
        amount = weighed_g
    fields = {
        "target": part.target,
        "kind": part.kind,
        "product": part.product,
        "lot": "",
        "amount": float(f"{amount:.4g}") if amount is not None and counted else None,
        "amount_is": "weighed" if amount is not part.amount else "planned",
        "amount_unit": {"piece": "pieces"}.get(part.unit, part.unit) if counted else "",
        "lot_id": None if cut else part.lot_id,
    }
    try:
        with scope.session.begin_nested():
            item = note_item(scope, actor, job, fields)
    except (Refused, CoreError) as error:
        said = error.detail if isinstance(error, Refused) else error.message
        return {"told": say("effects-not-noted-as-fitted-note", said=said)}
    if cut:
        return {"item": str(item.id), "told": say("effects-noted-book-its-cut-in", words=part.product or part.words)}
    return {"item": str(item.id)}


def take_back(scope: Scope, actor: Actor, job: Job, effect: Mapping[str, Any]) -> dict[str, Any]:
    """Change back what an event had changed. What somebody changed by hand since stays as it is."""
    told: dict[str, Any] = {}
    if effect.get("attempt"):
        bring_back(scope, job, effect)
    if effect.get("closed"):
        job.fit_done = False
    if effect.get("stopped"):
        job.battery_swollen = False
    if effect.get("cleaned"):
        job.cleaned = [c for c in job.cleaned if c not in effect["cleaned"]]
    if effect.get("was"):
        plan = plan_row(scope, job.id, lock=True)
        if plan is not None:
            now = stored_inspection(inspection_of(plan.inspection, job))
            back = {k: v for k, v in effect["was"].items() if now[k] == effect["is"][k]}
            if back:
                _write(plan, job, back)
    if effect.get("item"):
        item = scope.get(FitItem, uuid.UUID(effect["item"]))
        if item.removed_at is None:
            try:
                with scope.session.begin_nested():
                    set_item(scope, actor, job, item=item, removed_at=server_now())
            except Refused as error:
                told["told"] = sentence(listed((error.detail, error.remedy), "space"))
    return told
