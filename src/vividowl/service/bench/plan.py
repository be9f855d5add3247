"""From a plan to work at the bench: parts with their doses in words, insulation, accepted hazards."""

from __future__ import annotations

from vividowl.core.bench.steps.vocabulary import PlannedPart, Work, dose_words
from vividowl.core.materials.application import SCHOOL_WORDS, School
from vividowl.core.materials.kinds import CATALOGUE, Kind
from vividowl.core.plan.inspection import bath_of, shim_of
from vividowl.core.plan.options import tuning_words
from vividowl.core.plan.spots import Inspection
from vividowl.core.quantities.words import Words, say
from vividowl.service.plan.choices import plan_view
from vividowl.service.plan.found import plan_row
from vividowl.service.plan.parts import Part
from vividowl.service.plan.views import OptionView
from vividowl.service.shelf.stock import counted
from vividowl.service.workshop import Workshop
from vividowl.store.models import Acknowledgement, Job
from vividowl.store.scope import Scope


def chosen_option(workshop: Workshop, scope: Scope, job: Job) -> tuple[OptionView | None, Inspection]:
    """The option that was taken, as it is now, and what inspection found."""
    view = plan_view(workshop, scope, job)
    key = view.plan.chosen["key"] if view.plan.chosen else None
    return next((o for o in view.options if o.key == key), None), view.inspection


def _dose(part: Part) -> Words:
    if part.amount is None:
        return part.lacks
    if part.unit == "piece":
        sized = bool(part.width_mm and part.length_mm)
        return say(
            "amount-pieces",
            count=part.count - part.spare,
            sized=sized,
            width_mm=part.width_mm,
            length_mm=part.length_mm,
            spare=part.spare,
        )
    if part.unit == "g":
        return dose_words(part.amount, part.volume_ul)
    return counted(float(f"{part.amount:.2g}"), part.unit)


def work_of(workshop: Workshop, scope: Scope, job: Job) -> Work:
    """What is done to the device by the option that was taken; cleaning alone when none was."""
    option, found = chosen_option(workshop, scope, job)
    sealed = job.warranty == "running" or job.seal == "intact"
    rows = scope.session.scalars(scope.select(Acknowledgement).where(Acknowledgement.job_id == job.id)).unique()
    accepted = {a.rule: a.words for a in rows}
    if option is None:
        return Work(sealed=sealed)
    shim = shim_of(found)
    parts = tuple(
        PlannedPart(
            target=p.target,
            kind=p.kind,
            words=say("part-with-lot", words=p.product or CATALOGUE[p.kind].words, lot=p.lot or None),
            dose=_dose(p),
            school=SCHOOL_WORDS[School(p.school)] if p.school else "",
            index=i,
            bond=found.shim.bond if p.kind == Kind.SHIM and found.shim is not None else "",
            shift=shim[1].shift if p.kind == Kind.SHIM and shim is not None else "",
            insulate=p.kind == Kind.SHIM and shim is not None and shim[1].insulate,
        )
        for i, p in enumerate(option.parts)
    )
    gates = tuple(
        say("gate-accepted", reason=g.reason, words=accepted[g.rule]) for g in option.gates if g.rule in accepted
    )
    actions, lifts = set(option.actions), any(p.target != "cover" for p in parts)
    return Work(
        parts=parts,
        clean="clean" in actions,
        new_fan="fan" in actions,
        tuning=tuning_words(found.undervolt_mv, found.cap_w) if "tune" in actions else "",
        insulation=found.insulation,
        insulated_now=found.parts_exposed != "no",
        gates=gates,
        old_alloy=found.old_interface == "alloy",
        bath=bath_of(found) if lifts else None,
        sealed=sealed,
    )


def plan_key(scope: Scope, job: Job) -> str:
    """The key of the option that was taken, empty for none."""
    plan = plan_row(scope, job.id)
    return str(plan.chosen["key"]) if plan is not None and plan.chosen else ""
