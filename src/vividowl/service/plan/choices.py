"""The options for a device side by side: predicted, gated, priced, and held against the shelf."""

from __future__ import annotations

import math
from collections.abc import Mapping, Sequence
from dataclasses import replace

from vividowl.core.bench.steps.procedures import plating_procedure, procedures_for
from vividowl.core.job.gates import Severity
from vividowl.core.materials.kinds import CATALOGUE, Kind, Material
from vividowl.core.materials.life import interface_months, next_service
from vividowl.core.plan.cover import cover_pad, cover_paths, cover_skin
from vividowl.core.plan.facts import facts_of
from vividowl.core.plan.gates import plan_gates
from vividowl.core.plan.inspection import bath_of, gap_rows, heights_of, shim_of
from vividowl.core.plan.options import LEAVE, Candidate, Goal, Ranked, Situation, make_options, rank
from vividowl.core.plan.prediction import Action, Option, Prediction, measurable_k, predict
from vividowl.core.plan.price import price_of, tasks_of
from vividowl.core.plan.spots import GapAdvice, Inspection
from vividowl.core.plan.stock import stock_of, sum_cents
from vividowl.core.plan.unknowns import Known
from vividowl.core.quantities.uncertainty import COVERAGE_FACTOR, combined, standard_from_half_width
from vividowl.core.quantities.words import Words, listed, say
from vividowl.core.reading.limits import sensors_in
from vividowl.core.reading.measured import difference_u95
from vividowl.core.runs.since_service import Advice, SinceService
from vividowl.core.trace.roles import Role
from vividowl.service.clock import today_of
from vividowl.service.devices.history import since_last_service
from vividowl.service.jobs.device import has_battery
from vividowl.service.measure.comparing import judged_by, kept, sensor_limits_of
from vividowl.service.measure.lead import lead_of
from vividowl.service.measure.sounds import at_two_speeds, kept_sounds
from vividowl.service.plan.found import inspection_of, plan_row, with_last_visit, with_model
from vividowl.service.plan.known import Z_80, BeforeKnown, advice_for, before_of, known_of
from vividowl.service.plan.parts import parts_of
from vividowl.service.plan.stocked import Stocked, die_materials, gap_products
from vividowl.service.plan.views import OptionView, OutcomeView, PlanView
from vividowl.service.shelf.materials import kind_material
from vividowl.service.shelf.shelf import ProductView
from vividowl.service.shop.habits import Habits, habits_of
from vividowl.service.workshop import Workshop
from vividowl.store.deciding import Plan
from vividowl.store.measuring import TraceFile
from vividowl.store.models import Job
from vividowl.store.scope import Scope

# The page shows whole kelvins and watts, and follows while one types: four thousand draws move no figure of it.
DRAWS = 4000
UNDER_PADS = (Role.MEMORY_TEMPERATURE, Role.REGULATOR_TEMPERATURE)
ACTION_TASKS = {
    Action.CLEAN: "clean",
    Action.SHIM: "shim",
    Action.COVER: "cover",
    Action.FAN: "fan",
    Action.TUNE: "tune",
}


def _outcome(plan: Plan, known: Known | None, reference_room_c: float) -> OutcomeView | None:
    found = plan.outcome
    if found is None:
        return None
    r = float(found["resistance"])
    die = known.room_c + known.power * r if known else None
    watts = (known.limit_c - reference_room_c) / r if known and known.limit_c is not None and r > 0 else None
    if watts is not None and known is not None and known.power_limit is not None:
        watts = min(watts, known.power_limit)
    return OutcomeView(
        resistance=r,
        resistance_u95=float(found["resistance_u95"]),
        die_c=die,
        watts=watts,
        inside=bool(found["inside"]),
    )


def _sounds_worn(scope: Scope, before: BeforeKnown) -> bool:
    """Whether two recordings before tell a tone that moves with the fan and is not its blades'."""
    both = at_two_speeds(kept_sounds(scope, before.run), before.run.fan_blades)
    return both is not None and bool(both.found.beside_hz)


def plan_view(workshop: Workshop, scope: Scope, job: Job) -> PlanView:
    """The plan as the page sees it, computed anew from what is known now."""
    plan = plan_row(scope, job.id) or Plan(version=0, inspection={}, goal="cooler", chosen=None, outcome=None, notes=[])
    found = inspection_of(plan.inspection, job)
    remembered: Words = ""
    if not plan.inspection:
        found, remembered = with_last_visit(scope, job, with_model(scope, job, found))
    gaps = gap_rows(found)
    heights, shim = heights_of(found), shim_of(found)
    before = before_of(workshop, scope, job)
    if not isinstance(before, BeforeKnown):
        return PlanView(
            plan=plan,
            inspection=found,
            missing=before,
            options=(),
            held=False,
            fanless=False,
            before_die_c=None,
            before_watts=None,
            measurable_k=None,
            measurable_w=None,
            measurable_db=0.0,
            limit_c=job.limit_c,
            reference_words="",
            gaps=gaps,
            heights=heights,
            shim=shim,
            outcome=_outcome(plan, None, 0.0),
            opening=advice_for(workshop, scope, job, before),
            remembered=remembered,
        )
    known, reference_words = known_of(workshop, scope, job, before=before, found=found)
    tolerances, reference_room_c = judged_by(scope, job)
    materials = {s.name: s for s in die_materials(scope)}
    paths = cover_paths(found)
    under_pads = _hot_under_pads(job, before)
    options = make_options(
        Situation(
            die_materials={name: s.material for name, s in materials.items()},
            pads=bool(found.gaps),
            pads_due=found.pads_state == "bad" or bool(under_pads),
            putty=found.gap_filler == "putty",
            shim=found.shim is not None,
            cover_path=sum(paths) if paths else None,
            undervolt_mv=found.undervolt_mv,
            cap_w=found.cap_w,
            fan_drags=found.fan_state == "drags",
            fan_heard=found.fan_state == "unknown" and _sounds_worn(scope, before),
        )
    )
    predictions = predict(known, options, job.number, samples=DRAWS, reference_room_c=reference_room_c)
    habits, for_gaps = habits_of(scope.shop()), gap_products(scope)
    by_material = {id(s.material): s for s in materials.values()}
    by_kind = {kind: kind_material(scope, kind) for kind in CATALOGUE}
    views = [
        _option_view(
            job,
            found,
            known=known,
            option=option,
            prediction=p,
            stocked=by_material.get(id(option.material)),
            gap_products=for_gaps,
            habits=habits,
            gaps=gaps,
            by_kind=by_kind,
        )
        for option, p in zip(options, predictions, strict=True)
    ]
    difference = difference_u95(before.resistance, before.resistance)
    least_k = measurable_k(difference, known.power)
    watts = predictions[0].watts
    least_w = watts.median * difference / known.resistance if watts else None
    least_db = COVERAGE_FACTOR * combined(*2 * [standard_from_half_width(tolerances.noise_db)])
    ranked = rank(
        [
            Candidate(
                option=o,
                prediction=v.prediction,
                blocked=v.blocked,
                to_acknowledge=sum(g.severity is Severity.ACKNOWLEDGE for g in v.gates),
                total_cents=v.price.total_cents,
                life_months=v.life_months,
                unseen=found.dust == "unknown",
            )
            for o, v in zip(options, views, strict=True)
        ],
        Goal(plan.goal),
        measurable_k=least_k,
        measurable_w=least_w or 0.0,
        measurable_db=least_db,
        held=known.held,
        pumped_out=found.old_interface == "pumped_out",
        renew=listed([w for w in (comes_back(scope, job), *under_pads) if w], "space"),
        renews=Action.PADS if under_pads else Action.REPASTE,
    )
    if options[ranked[0].index].key == LEAVE:
        fine = lead_of(workshop, scope, job, run=before.run, reading=before.reading, since=_since(scope, job))
        ranked = (replace(ranked[0], reason=listed([w for w in (fine, ranked[0].reason) if w], "space")), *ranked[1:])
    return PlanView(
        plan=plan,
        inspection=found,
        missing="",
        options=tuple(_at_place(views[r.index], r) for r in ranked),
        held=known.held,
        fanless=known.fanless,
        before_die_c=before.reading.die.mean,
        before_watts=watts.median if watts else None,
        measurable_k=least_k,
        measurable_w=least_w,
        measurable_db=least_db,
        limit_c=known.limit_c,
        reference_words=reference_words,
        gaps=gaps,
        heights=heights,
        shim=shim,
        outcome=_outcome(plan, known, reference_room_c),
        room_c=known.room_c,
        opening=advice_for(workshop, scope, job, before),
        remembered=remembered,
    )


def _hot_under_pads(job: Job, before: BeforeKnown) -> list[Words]:
    """What is above its limit and hands its heat on through a pad or putty, which is renewed with the cooler off."""
    hot = sensors_in(before.reading, sensor_limits_of(job))
    return [
        say("options-hot", sensor=say(f"sensor-{s.role}"), end=s.end_c, over=s.over_limit_k, limit=s.limit_c)
        for s in hot
        if s.role in UNDER_PADS and s.over_limit_k is not None
    ]


def _since(scope: Scope, job: Job) -> SinceService | None:
    """What Before says of the device's last service here, None where it is not known."""
    run = scope.run(job.id, "before")
    traces = kept(scope, TraceFile, run)
    return since_last_service(scope, job, run, traces[0]) if run is not None and traces else None


def comes_back(scope: Scope, job: Job) -> Words:
    """Why a device that this shop serviced is renewed, nothing where it did not lose that much since."""
    since = _since(scope, job)
    if since is None or since.advice is not Advice.REDO:
        return ""
    warranty, months = habits_of(scope.shop()).work_warranty_months, since.months
    answered = warranty is not None and months <= warranty
    return say("options-renew", answered=answered, percent=100.0 * since.lost_share, months=months)


def _at_place(view: OptionView, ranked: Ranked) -> OptionView:
    return replace(view, reason=ranked.reason, as_good=ranked.as_good)


def _option_view(
    job: Job,
    found: Inspection,
    *,
    known: Known,
    option: Option,
    prediction: Prediction,
    stocked: Stocked | None,
    gap_products: Sequence[ProductView],
    habits: Habits,
    gaps: Sequence[GapAdvice],
    by_kind: Mapping[str, Material],
) -> OptionView:
    actions, kind = option.actions, option.material.kind if option.material else None
    skin = watts = way_before = None
    watts_u = 0.0
    if Action.COVER in actions:
        way_before = max(0.01, known.resistance - prediction.interface.median)
        watts, watts_u = _cover_watts(known, prediction)
        skin = cover_skin(found, watts, behind=way_before, room_c=known.room_c, power_u=watts_u)
    gates = plan_gates(
        facts_of(
            found,
            actions,
            kind,
            swollen=job.battery_swollen,
            sealed=job.warranty == "running" or job.seal == "intact",
            skin=skin,
            battery=has_battery(job),
            material=option.material,
            hottest_c=known.limit_c if known.held and known.limit_c is not None else prediction.die_c.high,
        )
    )
    parts = parts_of(
        option,
        found,
        product=stocked.product if stocked else None,
        material=option.material,
        gap_products=gap_products,
        gaps=gaps,
        school=habits.application_school,
    )
    names = _tasks(actions, kind, found)
    hands, wait = tasks_of(names, habits.hands_min)
    parts_cents = sum_cents(p.price_cents for p in parts)
    price = price_of(parts_cents, hands, habits.hourly_rate_cents, habits.tax_percent)
    if option.key == LEAVE:
        price = price_of(0, 0, 0, 0)
    fitted = tuple(dict.fromkeys([*([kind] if kind else []), *(p.kind for p in parts)]))
    lasts = [option.material if option.material is not None and k == kind else by_kind[k] for k in fitted]
    life = next_service(
        today_of(habits), job.surroundings, interfaces=lasts, school=habits.life_school, cold_plate=found.cold_plate
    )
    own = min((interface_months(m, habits.life_school, found.cold_plate) for m in lasts), default=life.months)
    shim = shim_of(found) if Action.SHIM in actions else None
    pressed = cover_pad(found) if Action.COVER in actions else None
    bath = bath_of(found) if Action.REPASTE in actions else None
    procedures = [*procedures_for(fitted), *([plating_procedure(bath)] if bath is not None else [])]
    return OptionView(
        key=option.key,
        words=option.words,
        actions=tuple(a.value for a in actions),
        kind=kind,
        product_id=stocked.product.product.id if stocked and stocked.product else None,
        prediction=prediction,
        reason="",
        as_good=False,
        gates=gates,
        blocked=any(g.severity is Severity.STOP for g in gates),
        parts=parts,
        stock=stock_of(p.stock for p in parts),
        price=price,
        hands_min=hands,
        wait_min=wait,
        life_months=own if option.key != LEAVE else life.months,
        life_reason=life.reason,
        procedures=tuple(procedures),
        chip_drop_k=shim[0].drop_k if shim else None,
        skin=skin,
        cover_watts=watts,
        cover_watts_u=watts_u,
        cover_behind=way_before,
        cover_pad=pressed[0] if pressed is not None else None,
    )


def _cover_watts(known: Known, prediction: Prediction) -> tuple[float, float]:
    """Watts that a coupled cover is judged for, and their standard uncertainty: what the device then runs at, not what
    heat held it to before, but never more than it draws."""
    if not known.held or prediction.watts is None:
        return known.power, 0.0
    most = known.power_limit if known.power_limit is not None else math.inf
    spread = (min(most, prediction.watts.high) - min(most, prediction.watts.low)) / (2.0 * Z_80)
    return min(most, max(known.power, prediction.watts.median)), spread


def _tasks(actions: Sequence[Action], kind: str | None, found: Inspection) -> list[str]:
    names = [ACTION_TASKS[a] for a in actions if a in ACTION_TASKS]
    if Action.REPASTE in actions:
        names.append(CATALOGUE[kind].task if kind else "repaste")
    if Action.PADS in actions:
        names.append(CATALOGUE[Kind.PUTTY if found.gap_filler == "putty" else Kind.PAD].task)
    if set(actions) - {Action.TUNE}:
        names.insert(0, "open_close")
    return [*names, "measure"] if names else []
