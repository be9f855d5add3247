"""The options for a device side by side: predicted, gated, priced, and held against the shelf."""

from __future__ import annotations

import math
import uuid
from collections.abc import Mapping, Sequence
from dataclasses import dataclass, fields, replace
from typing import Any, TypeVar

from vividowl.core.bench.model_sheet import sheet_from
from vividowl.core.bench.steps.procedures import Procedure, plating_procedure, procedures_for
from vividowl.core.heat.skin import Skin
from vividowl.core.job.gates import Gate, Severity
from vividowl.core.materials.kinds import DIE_KINDS, Material
from vividowl.core.materials.life import interface_months, next_service
from vividowl.core.materials.pads import Heights, PadChoice
from vividowl.core.materials.shim import ShimFit, ShimGain, ShimHeight
from vividowl.core.plan.gates import plan_gates
from vividowl.core.plan.inspection import (
    BathSpot,
    CoverSpot,
    GapAdvice,
    GapSpot,
    Inspection,
    ShimSpot,
    bath_of,
    cover_pad,
    cover_paths,
    cover_skin,
    facts_of,
    gap_rows,
    heights_of,
    shim_of,
)
from vividowl.core.plan.options import LEAVE, Candidate, Goal, Ranked, Situation, make_options, rank
from vividowl.core.plan.prediction import Action, Option, Prediction, measurable_k, predict
from vividowl.core.plan.price import Price, price_of, tasks_of
from vividowl.core.plan.unknowns import Known, interface_of
from vividowl.core.quantities.uncertainty import COVERAGE_FACTOR, combined, standard_from_half_width
from vividowl.core.reading.measured import Measured, difference_u95, resistance
from vividowl.core.reading.reading import Reading
from vividowl.core.response.reference import Source as ReferenceSource
from vividowl.core.sound.levels import energy_mean
from vividowl.core.trace.roles import Role
from vividowl.service.measure.comparing import judged_by, kept, power_limit_of
from vividowl.service.measure.readings import noise_of, reading_of
from vividowl.service.measure.references import reference_for
from vividowl.service.plan.parts import Part, parts_of
from vividowl.service.shelf.materials import kind_material, product_material
from vividowl.service.shelf.shelf import ProductView, open_offcuts, product_view, today
from vividowl.service.shop.habits import Habits, habits_of, minutes_of
from vividowl.service.workshop import Workshop
from vividowl.store.bench import DeviceModel
from vividowl.store.deciding import Plan, Product
from vividowl.store.models import Job, NoiseReading, Run, TraceFile
from vividowl.store.scope import Scope

HELD_SHARE = 0.02
Z_80 = 1.2816  # half the width of an 80 % interval in standard deviations of a normal distribution
NEW_MONTHS = 6
# The page shows whole kelvins and watts, and follows while one types: four thousand draws move no figure of it.
DRAWS = 4000
DIE_PRODUCTS_MOST = 8
KIND_TASKS = {"gallium_alloy": "alloy", "phase_change_sheet": "phase_change_sheet",
              "phase_change_paste": "phase_change_paste"}  # fmt: skip
ACTION_TASKS = {Action.CLEAN: "clean", Action.SHIM: "shim", Action.COVER: "cover", Action.FAN: "fan",
                Action.TUNE: "tune"}  # fmt: skip


@dataclass(frozen=True)
class OptionView:
    """An option at its place, with all that is shown of it."""

    key: str
    words: str
    actions: tuple[str, ...]
    kind: str | None
    product_id: uuid.UUID | None
    prediction: Prediction
    reason: str
    as_good: bool
    gates: tuple[Gate, ...]
    blocked: bool
    parts: tuple[Part, ...]
    stock: str
    price: Price
    priced: bool
    hands_min: float
    wait_min: float
    life_months: int
    life_reason: str
    procedures: tuple[Procedure, ...]
    chip_drop_k: float | None
    skin: Skin | None
    cover_watts: float | None
    cover_watts_u: float
    cover_behind: float | None
    cover_pad: PadChoice | None


@dataclass(frozen=True)
class OutcomeView:
    """After over the prediction that was taken, at the fan speed of Before: resistance with its uncertainty [K/W]; as
    the die temperature that the work of Before would reach [degC], and as watts at the limit [W]; inside: whether it
    lies in the interval."""

    resistance: float
    resistance_u95: float
    die_c: float | None
    watts: float | None
    inside: bool


@dataclass(frozen=True)
class PlanView:
    """The plan of a job. missing: why nothing can be predicted, empty when it can."""

    plan: Plan
    inspection: Inspection
    missing: str
    options: tuple[OptionView, ...]
    held: bool
    fanless: bool
    before_die_c: float | None
    before_watts: float | None
    measurable_k: float | None
    measurable_w: float | None
    measurable_db: float
    limit_c: float | None
    reference_words: str
    gaps: tuple[GapAdvice, ...]
    heights: Heights | None
    shim: tuple[ShimGain, ShimFit, ShimHeight] | None
    outcome: OutcomeView | None
    room_c: float | None = None


def _outcome(plan: Plan, known: Known | None, reference_room_c: float) -> OutcomeView | None:
    found = plan.outcome
    if found is None:
        return None
    r = float(found["resistance"])
    die = known.room_c + known.power * r if known else None
    watts = (known.limit_c - reference_room_c) / r if known and known.limit_c is not None and r > 0 else None
    if watts is not None and known is not None and known.power_limit is not None:
        watts = min(watts, known.power_limit)
    return OutcomeView(r, float(found["resistance_u95"]), die, watts, bool(found["inside"]))


def inspection_of(found: Mapping[str, Any], job: Job) -> Inspection:
    """Stored findings as what inspection found; where nothing is stored, what the intake says of the place."""
    lives = job.lives.lower()
    place = next(
        (p for p in ("lap", "dock", "stand", "hand") if p in lives), "hand" if job.kind == "handheld" else "desk"
    )
    if not found:
        return Inspection(place=place, carried=job.kind == "handheld")
    known = {f.name: found[f.name] for f in fields(Inspection) if f.name in found}
    for name in ("cpu_die_mm", "gpu_die_mm"):
        if known.get(name) is not None:
            known[name] = (float(known[name][0]), float(known[name][1]))
    known["gaps"] = tuple(GapSpot(**row) for row in found.get("gaps", ()))
    known["shim"] = _spot(ShimSpot, found.get("shim"))
    known["cover"] = _spot(CoverSpot, found.get("cover"))
    known["bath"] = _spot(BathSpot, found.get("bath"))
    return Inspection(**known)


Spot = TypeVar("Spot", ShimSpot, CoverSpot, BathSpot)


def _spot(table: type[Spot], found: Mapping[str, Any] | None) -> Spot | None:
    """A stored group of findings; a field that is asked no more is left out."""
    return table(**{f.name: found[f.name] for f in fields(table) if f.name in found}) if found else None


def with_model(scope: Scope, job: Job, found: Inspection) -> Inspection:
    """What the shop keeps of the model, where nobody has looked at this device yet: its dies and gaps."""
    row = scope.one(DeviceModel, DeviceModel.maker == job.maker.strip(), DeviceModel.model == job.model.strip())
    if row is None:
        return found
    sheet = sheet_from(row.data)
    return replace(found, cpu_die_mm=sheet.cpu_die_mm, gpu_die_mm=sheet.gpu_die_mm, gaps=sheet.gaps)


def plan_row(scope: Scope, job_id: uuid.UUID, *, lock: bool = False) -> Plan | None:
    """The stored plan of a job, or None."""
    query = scope.select(Plan).where(Plan.job_id == job_id)
    if lock:
        query = query.with_for_update(of=Plan)
    return scope.session.scalars(query.execution_options(populate_existing=True)).first()


@dataclass(frozen=True)
class _Before:
    """The Before reading as the prediction needs it."""

    run: Run
    reading: Reading
    resistance: Measured
    level_db: float | None
    room_db: float | None


def _before(workshop: Workshop, scope: Scope, job: Job) -> _Before | str:
    """The Before reading, or what it lacks."""
    run = scope.run(job.id, "before")
    traces = kept(scope, TraceFile, run)
    if run is None or not traces:
        return "There is no Before log yet. Take it first: what a service buys follows from where the heat stops now."
    reading = reading_of(workshop, scope.shop_id, traces[0], run, job.limit_c)
    if run.room_c is None:
        return "The room temperature of the Before run is not noted. Note it in Before."
    if reading.power is None:
        return (
            "The Before log has no power channel, so watts and kelvins cannot be told apart. Log power, then come back."
        )
    tolerances, _ = judged_by(scope, job)
    found = resistance(reading, run.room_c, tolerances)
    if found is None or not found.value > 0:
        return "The Before log does not say where it settles. Log it longer, as its page says."
    rows = kept(scope, NoiseReading, run)
    noise, rooms = noise_of(rows), [r.background_db for r in rows if r.background_db is not None]
    return _Before(run, reading, found, noise.level_db if noise is not None else None,
                   energy_mean(rooms) if rooms else None)  # fmt: skip


def _known(workshop: Workshop, scope: Scope, job: Job, before: _Before, found: Inspection) -> tuple[Known, str]:
    """What is known, and in words what it is judged against."""
    reading, response = before.reading, before.reading.response
    assert reading.power is not None  # noqa: S101 - _before has looked
    reference = reference_for(workshop, scope, job)
    own = reference is not None and reference.source is not ReferenceSource.CLASS_TYPICAL
    healthy = reference if own and reference is not None and reference.interface is not None else None
    held = (reading.throttling.share or 0.0) > HELD_SHARE
    limit = job.limit_c if job.limit_c is not None else reading.throttling.limit_c
    months = job.months_since_service if job.months_since_service is not None else job.age_months
    split = interface_of(response)
    # Where it would end is advice, and a plan is advice: what is to come of a short run belongs to what is repaired.
    ends_at = before.resistance.value + (reading.window.remaining_rise_k or 0.0) / reading.power.mean
    known = Known(
        ends_at, before.resistance.own, reading.power.mean, before.run.room_c or 0.0,
        split[0] if split else None, split[1] if split else 0.0,
        limit, held, _fanless(before), job.kind, months, job.surroundings, found.die_mm2, found.old_interface,
        found.dust, healthy.interface if healthy else None, healthy.total if healthy else None,
        power_limit_of(job, [reading]), _sealed_new(job), _fan_floor(before), _noise_floor(before),
    )  # fmt: skip
    return known, str(healthy.source) if healthy else "class-typical, from memory"


def _sealed_new(job: Job) -> bool:
    """Whether nobody but the maker can have had it open, and it is too young for dust."""
    age = job.age_months
    return job.seal == "intact" and job.months_since_service is None and age is not None and age <= NEW_MONTHS


def _fan_floor(before: _Before) -> float | None:
    """Lowest speed that the fan was seen at over that of the load."""
    fan = before.reading.stats.get(Role.FAN_SPEED)
    if fan is None or before.reading.idle_fan_rpm is None or not fan.mean > 0:
        return None
    return min(1.0, max(0.05, before.reading.idle_fan_rpm / fan.mean))


def _noise_floor(before: _Before) -> float | None:
    """The room's level over that of the run, by a meter that read both [dB]."""
    return before.room_db - before.level_db if before.room_db is not None and before.level_db is not None else None


def _fanless(before: _Before) -> bool:
    return Role.FAN_SPEED not in before.reading.stats and "no fan" in before.run.fan_setting.lower()


@dataclass(frozen=True)
class _Stocked:
    """A material that may go on the die: its name, values, and the product when there is one."""

    name: str
    material: Material
    product: ProductView | None


def _die_materials(scope: Scope) -> list[_Stocked]:
    """What the shelf has for a die, usable products first, and the typical value of a kind it has none of."""
    query = (
        scope.select(Product).where(Product.removed_at.is_(None), Product.kind.in_(DIE_KINDS)).order_by(Product.name)
    )
    views = [product_view(scope, p, today()) for p in scope.session.scalars(query).unique()]
    views.sort(key=lambda v: (not any(lot.usable for lot in v.lots), DIE_KINDS.index(v.product.kind)))
    out = [_Stocked(v.product.name, product_material(scope, v.product), v) for v in views[:DIE_PRODUCTS_MOST]]
    kinds = {s.material.kind for s in out}
    for kind in DIE_KINDS:
        if kind not in kinds:
            found = kind_material(scope, kind)
            out.append(_Stocked(found.words, found, None))
    return out


def _gap_products(scope: Scope) -> list[ProductView]:
    query = scope.select(Product).where(Product.removed_at.is_(None), Product.kind.in_(("pad", "putty", "copper_shim")))
    offcuts = open_offcuts(scope)
    return [product_view(scope, p, today(), [o for o in offcuts if o.lot.product_id == p.id])
            for p in scope.session.scalars(query.order_by(Product.name)).unique()]  # fmt: skip


def plan_view(workshop: Workshop, scope: Scope, job: Job) -> PlanView:
    """The plan as the page sees it, computed anew from what is known now."""
    plan = plan_row(scope, job.id) or Plan(version=0, findings={}, goal="cooler", chosen=None, outcome=None, notes=[])
    found = inspection_of(plan.findings, job)
    if not plan.findings:
        found = with_model(scope, job, found)
    gaps = gap_rows(found)
    heights, shim = heights_of(found), shim_of(found)
    before = _before(workshop, scope, job)
    if isinstance(before, str):
        return PlanView(plan, found, before, (), False, False, None, None, None, None, 0.0, job.limit_c, "", gaps,
                        heights, shim, _outcome(plan, None, 0.0))  # fmt: skip
    known, reference_words = _known(workshop, scope, job, before, found)
    tolerances, reference_room_c = judged_by(scope, job)
    materials = {s.name: s for s in _die_materials(scope)}
    paths = cover_paths(found)
    options = make_options(Situation(
        {name: s.material for name, s in materials.items()}, bool(found.gaps), found.pads_state == "bad",
        found.gap_filler == "putty", found.shim is not None, sum(paths) if paths else None, found.undervolt_mv,
        found.cap_w, found.fan_state == "drags",
    ))  # fmt: skip
    predictions = predict(known, options, job.number, samples=DRAWS, reference_room_c=reference_room_c)
    habits, gap_products = replace(habits_of(scope.shop()), hands_min=minutes_of(scope)), _gap_products(scope)
    by_material = {id(s.material): s for s in materials.values()}
    views = [
        _option_view(job, found, known, option, p, by_material.get(id(option.material)), gap_products, habits, gaps)
        for option, p in zip(options, predictions, strict=True)
    ]
    difference = difference_u95(before.resistance, before.resistance)
    least_k = measurable_k(difference, known.power)
    watts = predictions[0].watts
    least_w = watts.median * difference / known.resistance if watts else None
    least_db = COVERAGE_FACTOR * combined(*2 * [standard_from_half_width(tolerances.noise_db)])
    ranked = rank(
        [Candidate(o, v.prediction, v.blocked, sum(g.severity is Severity.ACKNOWLEDGE for g in v.gates),
                   v.price.total_cents, v.life_months) for o, v in zip(options, views, strict=True)],
        Goal(plan.goal), measurable_k=least_k, measurable_w=least_w or 0.0, measurable_db=least_db, held=known.held,
        pumped_out=found.old_interface == "pumped_out",
    )  # fmt: skip
    return PlanView(
        plan, found, "", tuple(_at_place(views[r.index], r) for r in ranked), known.held, known.fanless,
        before.reading.die.mean, watts.median if watts else None, least_k, least_w, least_db, known.limit_c,
        reference_words, gaps, heights, shim, _outcome(plan, known, reference_room_c), known.room_c,
    )  # fmt: skip


def _at_place(view: OptionView, ranked: Ranked) -> OptionView:
    return replace(view, reason=ranked.reason, as_good=ranked.as_good)


def _option_view(
    job: Job, found: Inspection, known: Known, option: Option, prediction: Prediction, stocked: _Stocked | None,
    gap_products: Sequence[ProductView], habits: Habits, gaps: Sequence[GapAdvice],
) -> OptionView:  # fmt: skip
    actions, kind = option.actions, option.material.kind if option.material else None
    skin = watts = way_before = None
    watts_u = 0.0
    if Action.COVER in actions:
        way_before = max(0.01, known.resistance - prediction.interface.median)
        watts, watts_u = _cover_watts(known, prediction)
        skin = cover_skin(found, watts, way_before, known.room_c, watts_u)
    gates = plan_gates(facts_of(
        found, actions, kind, swollen=job.battery_swollen,
        sealed=job.warranty == "running" or job.seal == "intact", skin=skin, battery=has_battery(job),
    ))  # fmt: skip
    parts = parts_of(option, found, stocked.product if stocked else None, option.material, gap_products, gaps,
                     habits.application_school)  # fmt: skip
    names = _tasks(actions, kind, found)
    hands, wait = tasks_of(names, habits.hands_min)
    cents = [part.price_cents for part in parts]
    price = price_of(sum(c for c in cents if c is not None), hands, habits.hourly_rate_cents, habits.tax_percent)
    if option.key == LEAVE:
        price = price_of(0, 0, 0, 0)
    fitted = tuple(dict.fromkeys([*([kind] if kind else []), *(p.kind for p in parts)]))
    life = next_service(today(), job.surroundings, fitted, habits.life_school, found.cold_plate)
    own = min((interface_months(k, habits.life_school, found.cold_plate) for k in fitted), default=life.months)
    shim = shim_of(found) if Action.SHIM in actions else None
    pressed = cover_pad(found) if Action.COVER in actions else None
    bath = bath_of(found) if Action.REPASTE in actions else None
    procedures = [*procedures_for(fitted), *([plating_procedure(bath)] if bath is not None else [])]
    return OptionView(
        option.key, option.words, tuple(a.value for a in actions), kind, stocked.product.product.id if stocked
        and stocked.product else None, prediction, "", False, gates, any(g.severity is Severity.STOP for g in gates),
        parts, _stock_words(parts), price, all(c is not None for c in cents), hands, wait,
        own if option.key != LEAVE else life.months, life.reason, tuple(procedures), shim[0].drop_k if shim else None,
        skin, watts, watts_u, way_before, pressed[0] if pressed is not None else None,
    )  # fmt: skip


def _cover_watts(known: Known, prediction: Prediction) -> tuple[float, float]:
    """Watts that a coupled cover is judged for, and their standard uncertainty: what the device then runs at, not what
    heat held it to before, but never more than it draws."""
    if not known.held or prediction.watts is None:
        return known.power, 0.0
    most = known.power_limit if known.power_limit is not None else math.inf
    spread = (min(most, prediction.watts.high) - min(most, prediction.watts.low)) / (2.0 * Z_80)
    return min(most, max(known.power, prediction.watts.median)), spread


def has_battery(job: Job) -> bool:
    """Whether the device has one."""
    return job.kind in ("laptop", "handheld")


def _tasks(actions: Sequence[Action], kind: str | None, found: Inspection) -> list[str]:
    names = [ACTION_TASKS[a] for a in actions if a in ACTION_TASKS]
    if Action.REPASTE in actions:
        names.append(KIND_TASKS.get(kind or "", "repaste"))
    if Action.PADS in actions:
        names.append("putty" if found.gap_filler == "putty" else "pads")
    if set(actions) - {Action.TUNE}:
        names.insert(0, "open_close")
    return [*names, "measure"] if names else []


def _stock_words(parts: Sequence[Part]) -> str:
    """Whether the shelf holds it, in one word: held, short, not known or not needed."""
    states = {part.stock for part in parts}
    for word in ("short", "not known"):
        if word in states:
            return word
    return "held" if states else "not needed"
