"""The plan of a job. Values as they are shown. No decisions here."""

from __future__ import annotations

import uuid
from datetime import datetime
from typing import Any

from vividowl.core.plan.prediction import Interval
from vividowl.core.quantities.words import listed, say
from vividowl.service.plan.planning import Beside
from vividowl.service.plan.views import OptionView, PlanView
from vividowl.service.workings.calculators import WORKINGS
from vividowl.service.workings.results import written
from vividowl.web.plan.found import FoundOut
from vividowl.web.plan.schemas import (
    ChosenOut,
    GapAdviceOut,
    OpeningOut,
    OptionOut,
    PartOut,
    PlanOut,
    ProcedureOut,
    SkinOut,
    WorkedOut,
)
from vividowl.words import sentence, sentences

_OPTION_OWN = (
    "key",
    "words",
    "kind",
    "product_id",
    "reason",
    "as_good",
    "blocked",
    "stock",
    "hands_min",
    "wait_min",
    "life_months",
    "life_reason",
    "chip_drop_k",
)


def _interval(found: Interval | None) -> Interval | None:
    return found if found is not None else None


def option_out(view: OptionView) -> OptionOut:
    """An option."""
    p = view.prediction
    own = {n: getattr(view, n) for n in _OPTION_OWN}
    return OptionOut(
        **own,
        resistance=p.resistance,
        die_c=p.die_c,
        gain_k=p.gain_k,
        watts=_interval(p.watts),
        gain_w=_interval(p.gain_w),
        noise_db=_interval(p.noise_db),
        actions=list(view.actions),
        noise_floor=p.noise_floor,
        gates=list(view.gates),
        parts=[PartOut.model_validate(x) for x in view.parts],
        parts_cents=view.price.parts_cents,
        work_cents=view.price.work_cents,
        tax_cents=view.price.tax_cents,
        total_cents=view.price.total_cents,
        procedures=[ProcedureOut.model_validate(x) for x in view.procedures],
        skin=SkinOut.model_validate(view.skin) if view.skin else None,
    )


def note_out(note: dict[str, Any]) -> WorkedOut:
    """Something worked out, in lines."""
    working = WORKINGS.get(note["name"])
    lines = [
        sentence(say("note-line", words=words, text=text, unit=unit))
        for _, words, text, unit in written(note["result"])
    ]
    return WorkedOut(
        id=uuid.UUID(note["id"]),
        name=note["name"],
        title=sentence(working.title) if working else note["name"],
        given=note["given"],
        lines=lines,
        by=note["by"],
        at=datetime.fromisoformat(note["at"]),
    )


def _found(view: PlanView) -> FoundOut:
    found = view.inspection
    own = {n: getattr(found, n) for n in FoundOut.model_fields if hasattr(found, n)}
    own["gaps"] = list(found.gaps)
    own["shim"] = found.shim or None
    own["cover"] = found.cover or None
    own["bath"] = found.bath or None
    for die, size in (("cpu", found.cpu_die_mm), ("gpu", found.gpu_die_mm)):
        own[f"{die}_die_width_mm"], own[f"{die}_die_length_mm"] = size or (None, None)
    return FoundOut(**own)


def _opening(view: PlanView) -> OpeningOut | None:
    advice = view.opening
    return OpeningOut(answer=advice.answer, reasons=sentences(advice.reasons)) if advice else None


def plan_out(view: PlanView, beside: Beside) -> PlanOut:
    """A plan."""
    plan, chosen = view.plan, view.plan.chosen
    own = {
        n: getattr(view, n)
        for n in (
            "missing",
            "held",
            "fanless",
            "before_die_c",
            "before_watts",
            "measurable_k",
            "measurable_w",
            "measurable_db",
            "limit_c",
            "reference_words",
        )
    }
    return PlanOut(
        **own,
        version=plan.version or 0,
        goal=plan.goal,
        found=_found(view),
        options=[option_out(o) for o in view.options],
        gaps=[
            GapAdviceOut(
                target=g.spot.target,
                gap_mm=g.gap.gap_mm,
                tolerance_mm=g.gap.tolerance_mm,
                stack_mm=list(g.pad.stack_mm) if g.pad is not None else [],
                putty=g.putty,
                open=g.open,
                reason=sentence(g.reason),
            )
            for g in view.gaps
        ],
        heights=sentence(view.heights.reason if view.heights else ""),
        shim_drop_k=view.shim[0].drop_k if view.shim else None,
        shim_place_mm=[view.shim[1].place_x_mm, view.shim[1].place_y_mm] if view.shim else [],
        shim_reason=sentence(listed((view.shim[1].reason, view.shim[2].reason), "space")) if view.shim else "",
        chosen=ChosenOut(
            key=chosen["key"],
            words=chosen["words"],
            held=chosen["held"],
            resistance=Interval(**chosen["resistance"]),
            die_c=Interval(**chosen["die_c"]),
            watts=Interval(**chosen["watts"]) if chosen["watts"] else None,
            total_cents=chosen["total_cents"],
            by=beside.chosen_by,
            at=plan.chosen_at,
        )
        if chosen and plan.chosen_at
        else None,
        outcome=view.outcome or None,
        notes=[note_out(n) for n in plan.notes],
        opening=_opening(view),
        remembered=sentence(view.remembered),
        currency=beside.currency,
        answer=beside.answer or None,
    )
