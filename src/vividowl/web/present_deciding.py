"""From plan, shelf and workings to what goes out."""

from __future__ import annotations

import uuid
from collections.abc import Sequence
from datetime import datetime
from typing import Any

from vividowl.service.plan.choices import OptionView, PlanView
from vividowl.service.shelf.cutting import CutDrawing, CutView
from vividowl.service.shelf.shelf import ProductView, ShelfView
from vividowl.service.workings.calculator import REQUIRED, Working, written
from vividowl.service.workings.calculators import WORKINGS
from vividowl.web import schemas as s

_INTERVALS = ("resistance", "die_c", "gain_k", "watts", "gain_w", "noise_db")
_OPTION_OWN = ("key", "words", "kind", "product_id", "reason", "as_good", "blocked", "stock", "priced", "hands_min",
               "wait_min", "life_months", "life_reason", "chip_drop_k")  # fmt: skip


def _interval(found: Any) -> s.IntervalOut | None:  # noqa: ANN401
    return s.IntervalOut.model_validate(found) if found is not None else None


def option_out(view: OptionView) -> s.OptionOut:
    """An option."""
    p = view.prediction
    own: dict[str, Any] = {n: getattr(view, n) for n in _OPTION_OWN}
    intervals: dict[str, Any] = {n: _interval(getattr(p, n)) for n in _INTERVALS}
    return s.OptionOut(
        **own,
        **intervals,
        actions=list(view.actions),
        noise_floor=p.noise_floor,
        gates=[s.PlanGateOut.model_validate(g) for g in view.gates],
        parts=[s.PartOut.model_validate(x) for x in view.parts],
        parts_cents=view.price.parts_cents,
        work_cents=view.price.work_cents,
        tax_cents=view.price.tax_cents,
        total_cents=view.price.total_cents,
        procedures=[s.ProcedureOut.model_validate(x) for x in view.procedures],
        skin=s.SkinOut.model_validate(view.skin) if view.skin else None,
    )


def note_out(note: dict[str, Any]) -> s.WorkedOut:
    """Something worked out, in lines."""
    working = WORKINGS.get(note["name"])
    lines = [f"{words}: {text} {unit}".strip() for _, words, text, unit in written(note["result"])]
    return s.WorkedOut(
        id=uuid.UUID(note["id"]), name=note["name"], title=working.title if working else note["name"],
        given=note["given"], lines=lines, by=note["by"], at=datetime.fromisoformat(note["at"]),
    )  # fmt: skip


def _found(view: PlanView) -> s.FoundOut:
    found = view.inspection
    own: dict[str, Any] = {n: getattr(found, n) for n in s.FoundOut.model_fields if hasattr(found, n)}
    own["gaps"] = [s.GapSpotOut.model_validate(g) for g in found.gaps]
    own["shim"] = s.ShimSpotOut.model_validate(found.shim) if found.shim else None
    own["cover"] = s.CoverSpotOut.model_validate(found.cover) if found.cover else None
    own["bath"] = s.BathSpotOut.model_validate(found.bath) if found.bath else None
    for die, size in (("cpu", found.cpu_die_mm), ("gpu", found.gpu_die_mm)):
        own[f"{die}_die_width_mm"], own[f"{die}_die_length_mm"] = size or (None, None)
    return s.FoundOut(**own)


def plan_out(view: PlanView, chosen_by: str, currency: str) -> s.PlanOut:
    """A plan."""
    plan, chosen = view.plan, view.plan.chosen
    own = {n: getattr(view, n) for n in ("missing", "held", "fanless", "before_die_c", "before_watts", "measurable_k",
                                         "measurable_w", "measurable_db", "limit_c", "reference_words")}  # fmt: skip
    return s.PlanOut(
        **own,
        version=plan.version or 0,
        goal=plan.goal,  # type: ignore[arg-type]  # a constraint of the table
        found=_found(view),
        options=[option_out(o) for o in view.options],
        gaps=[
            s.GapAdviceOut(target=g.spot.target, gap_mm=g.gap.gap_mm, tolerance_mm=g.gap.tolerance_mm,
                           stack_mm=list(g.pad.stack_mm) if g.pad is not None else [], putty=g.putty, open=g.open,
                           reason=g.reason)
            for g in view.gaps
        ],
        heights=view.heights.reason if view.heights else "",
        shim_drop_k=view.shim[0].drop_k if view.shim else None,
        shim_reason=" ".join((view.shim[1].reason, view.shim[2].reason)) if view.shim else "",
        chosen=s.ChosenOut(
            key=chosen["key"], words=chosen["words"], held=chosen["held"],
            resistance=s.IntervalOut(**chosen["resistance"]), die_c=s.IntervalOut(**chosen["die_c"]),
            watts=s.IntervalOut(**chosen["watts"]) if chosen["watts"] else None, total_cents=chosen["total_cents"],
            by=chosen_by, at=plan.chosen_at,
        ) if chosen and plan.chosen_at else None,
        outcome=s.OutcomeOut.model_validate(view.outcome) if view.outcome else None,
        notes=[note_out(n) for n in plan.notes],
        currency=currency,
    )  # fmt: skip


_PRODUCT_OWN = ("id", "version", "kind", "name", "unit", "price_cents", "low_at", "sheet_width_mm",
                "sheet_length_mm", "thickness_mm")  # fmt: skip


def product_out(view: ProductView) -> s.ProductOut:
    """A product."""
    p = view.product
    own = {n: getattr(p, n) for n in _PRODUCT_OWN}
    return s.ProductOut(
        **own,
        remaining=view.remaining,
        low=view.low,
        warnings=list(view.warnings),
        own_names=sorted(p.own),
        values=[s.ValueOut.model_validate(v) for v in view.values],
        lots=[
            s.LotOut(
                **{
                    n: getattr(x.lot, n)
                    for n in ("id", "code", "held", "remaining", "version", "received_on", "opened_on", "expires_on")
                },
                expired=x.expired,
                expires_soon=x.expires_soon,
            )
            for x in view.lots
        ],
        offcuts=[
            s.OffcutOut(
                id=o.id,
                number=o.number,
                lot=o.lot.code,
                width_mm=o.width_mm,
                length_mm=o.length_mm,
                taken=[_box(b) for b in o.taken],
                largest=_box(o.largest),
            )
            for o in view.offcuts
        ],
    )


def shelf_out(view: ShelfView) -> s.ShelfOut:
    """The whole shelf."""
    return s.ShelfOut(
        products=[product_out(p) for p in view.products],
        kinds=[
            s.KindOut(kind=k.kind, words=k.words, for_die=k.for_die,
                      own_names=[v.name for v in k.values if v.source != "from memory"],
                      values=[s.ValueOut.model_validate(v) for v in k.values])
            for k in view.kinds
        ],
        lessons=[s.LessonOut.model_validate(x) for x in view.lessons],
        currency=view.currency,
    )  # fmt: skip


def _box(rect: Sequence[float]) -> s.BoxOut:
    return s.BoxOut(**dict(zip(("x_mm", "y_mm", "width_mm", "length_mm"), rect, strict=True)))


def drawing_out(drawing: CutDrawing, kept: Sequence[float] | None = None) -> s.DrawingOut:
    """A sheet with its pieces."""
    return s.DrawingOut(
        name=drawing.name, width_mm=drawing.width_mm, length_mm=drawing.length_mm, kept=_box(kept) if kept else None,
        taken=[_box(b) for b in drawing.taken],
        pieces=[s.CutPieceOut(label=p.label, box=_box(p.rect)) for p in drawing.pieces],
    )  # fmt: skip


def cut_out(view: CutView) -> s.CutOut:
    """A cut sheet."""
    stored = view.stored
    return s.CutOut(
        id=stored.id if stored else None,
        product=stored.product.name if stored else "",
        at=stored.at if stored else None,
        fits=view.fits,
        waste_share=view.waste_share,
        unplaced=list(view.unplaced),
        drawings=[drawing_out(d, kept) for d, kept in zip(view.drawings, view.kept, strict=True)],
    )  # fmt: skip


def working_out(working: Working) -> s.WorkingOut:
    """A calculator."""
    own = {n: getattr(working, n) for n in ("name", "title", "words", "group", "formula", "limits", "source")}
    return s.WorkingOut(
        **own,
        inputs=[
            s.InputOut(key=i.key, words=i.words or i.key, unit=i.unit, needed=i.default is REQUIRED,
                       example=i.example or ("" if i.default in (REQUIRED, None) else str(i.default)),
                       choices=list(i.choices))
            for i in working.inputs
        ],
    )  # fmt: skip


def results_out(result: dict[str, Any]) -> list[s.ResultOut]:
    """Results as they are shown."""
    return [s.ResultOut(key=k, words=w, text=t, unit=u) for k, w, t, u in written(result)]
