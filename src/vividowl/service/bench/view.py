"""The bench of a job as the pages see it: steps with their rules, the map with its orders, what is open."""

from __future__ import annotations

import uuid
from collections.abc import Mapping, Sequence
from dataclasses import dataclass
from datetime import datetime

from vividowl.core.bench.fasteners import (
    SCREW,
    SCREW_GROUPS,
    Pass,
    Place,
    ScrewClass,
    classes_of,
    letter_of,
    loosening_order,
    tightening_order,
    tightening_passes,
)
from vividowl.core.bench.first_power import Cause, likely_causes
from vividowl.core.bench.interlocks import CANCELS, MAKES, NEVER_SKIPPED, Interlock, rules_for
from vividowl.core.bench.log.close import Blocker, blockers
from vividowl.core.bench.log.log import BenchLog
from vividowl.core.bench.log.made import acts_of_place
from vividowl.core.bench.log.state import BenchState, place_words
from vividowl.core.bench.steps.fitting import pads_of
from vividowl.core.bench.steps.vocabulary import BenchStep, is_alone, is_held
from vividowl.core.bench.times import StepTime
from vividowl.core.quantities.words import Words
from vividowl.service.bench.plan import plan_key
from vividowl.service.bench.store import keep_log, load_log
from vividowl.service.bench.times import times_of
from vividowl.service.clock import server_now
from vividowl.service.models.models import model_for
from vividowl.service.plan.found import plan_row
from vividowl.service.workshop import Actor, Workshop
from vividowl.store.bench import BenchEventRow
from vividowl.store.models import Job
from vividowl.store.scope import Scope

REFUSED_SHOWN = 5


@dataclass(frozen=True, kw_only=True)
class StepView:
    """A step with the facts it takes away and makes, the rules that guard it, whether it is held rather than tapped,
    may be skipped and is told alone, the pads of the map that it lays, and the minutes it took."""

    step: BenchStep
    cancels: tuple[str, ...]
    makes: tuple[str, ...]
    held: bool
    skippable: bool
    alone: bool
    pads: tuple[str, ...]
    guards: tuple[Interlock, ...]
    time: StepTime | None


@dataclass(frozen=True, kw_only=True)
class PlaceView:
    """A place with its letter, its words, and the rules for taking it out or putting it in."""

    place: Place
    letter: str
    shape: str
    words: Words
    guards_out: tuple[Interlock, ...]
    guards_in: tuple[Interlock, ...]


@dataclass(frozen=True, kw_only=True)
class Orders:
    """Order of the screws of one part, by id."""

    holds: str
    words: Words
    loosen: tuple[str, ...]
    tighten: tuple[str, ...]
    by_number: bool


@dataclass(frozen=True, kw_only=True)
class BenchView:
    """All that the pages of the bench show. number: of the latest event; last: the event that undo would take back;
    plan_changed: the option taken now is not the one that the list was made for; learnt model: id and number of
    places, None when the shop keeps none."""

    job: Job
    log: BenchLog
    number: int
    now: datetime
    steps: tuple[StepView, ...]
    places: tuple[PlaceView, ...]
    classes: tuple[ScrewClass, ...]
    orders: tuple[Orders, ...]
    passes: tuple[Pass, ...]
    blockers: tuple[Blocker, ...]
    causes: tuple[Cause, ...]
    plan_changed: bool
    chosen: Mapping[str, object] | None
    model_id: uuid.UUID | None
    model_places: int
    refused: tuple[BenchEventRow, ...]

    @property
    def state(self) -> BenchState:
        """The state that the events make."""
        return self.log.state


def get_bench(workshop: Workshop, actor: Actor, job_id: uuid.UUID) -> BenchView:
    """The bench of a job."""
    with workshop.scope(actor) as scope:
        job = scope.get(Job, job_id)
        kept = load_log(workshop, scope, job.id)
        if kept.number:
            keep_log(workshop, job.id, kept)
        return _view(scope, job, kept.log, kept.number)


def _view(scope: Scope, job: Job, log: BenchLog, number: int) -> BenchView:
    state, now = log.state, server_now()
    places = tuple(state.places.values())
    classes = classes_of(places)
    times = times_of(scope, job.id, state)
    model, plan = model_for(scope, job), plan_row(scope, job.id)
    return BenchView(
        job=job,
        log=log,
        number=number,
        now=now,
        steps=tuple(_step(s, state, times, places) for s in state.steps),
        places=tuple(_place(p, state, classes) for p in places),
        classes=classes,
        orders=_orders(places),
        passes=tightening_passes(state.device.tighten_percent),
        blockers=blockers(state, now),
        causes=_causes(state),
        plan_changed=state.begun is not None and state.closed is None and state.plan != plan_key(scope, job),
        chosen=plan.chosen if plan is not None else None,
        model_id=model.id if model is not None else None,
        model_places=len(model.data.get("places", ())) if model is not None else 0,
        refused=_refused(scope, job.id),
    )


def _step(step: BenchStep, state: BenchState, times: Mapping[str, StepTime], places: Sequence[Place]) -> StepView:
    return StepView(
        step=step,
        cancels=_cancels(step.acts),
        makes=tuple(dict.fromkeys(f for a in step.acts for f in MAKES.get(a, ()))),
        held=is_held(step.acts, state.device),
        skippable=not NEVER_SKIPPED & set(step.acts),
        alone=is_alone(step.acts),
        pads=pads_of(step.id, places),
        guards=rules_for(step.acts, state.device),
        time=times.get(step.id),
    )


def _cancels(acts: Sequence[str]) -> tuple[str, ...]:
    return tuple(dict.fromkeys(c for a in acts for c in CANCELS[a] if c not in acts))


def _place(place: Place, state: BenchState, classes: Sequence[ScrewClass]) -> PlaceView:
    letter = letter_of(place, classes)
    shape = next((c.shape for c in classes if c.letter == letter), "")
    return PlaceView(
        place=place,
        letter=letter,
        shape=shape,
        words=place_words(place, state.places),
        guards_out=rules_for(acts_of_place(place, state, out=True), state.device),
        guards_in=rules_for(acts_of_place(place, state, out=False), state.device) if place.id in state.out else (),
    )


def _orders(places: Sequence[Place]) -> tuple[Orders, ...]:
    out = []
    for holds, words in SCREW_GROUPS.items():
        screws = [p for p in places if p.kind == SCREW and p.holds == holds]
        if screws:
            numbers = [p.number for p in screws]
            by_number = None not in numbers and len(set(numbers)) == len(numbers)
            out.append(
                Orders(
                    holds=holds,
                    words=words,
                    loosen=loosening_order(screws),
                    tighten=tightening_order(screws),
                    by_number=by_number,
                )
            )
    return tuple(out)


def _causes(state: BenchState) -> tuple[Cause, ...]:
    if not state.power or state.power[-1].fine or "power_on_ok" in state.facts:
        return ()
    rules = [b.rule for b in state.breaches.values()]
    return likely_causes(
        state.power[-1].results,
        tuple(state.places.values()),
        open_places=tuple(state.out),
        unplugged_in=state.was_out,
        breaches=rules,
    )


def _refused(scope: Scope, job_id: uuid.UUID) -> tuple[BenchEventRow, ...]:
    query = scope.select(BenchEventRow).where(BenchEventRow.job_id == job_id, BenchEventRow.refusal.is_not(None))
    return tuple(scope.session.scalars(query.order_by(BenchEventRow.number.desc()).limit(REFUSED_SHOWN)).unique())
