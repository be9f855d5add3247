"""What a shop sets for itself: its reference room and how far its instruments may be off."""

from __future__ import annotations

import uuid
from collections.abc import Mapping
from dataclasses import asdict, dataclass
from functools import partial
from typing import Any

from sqlalchemy import update

from vividowl.core.plan.price import TASKS
from vividowl.core.quantities.uncertainty import Tolerances, checked_tolerances
from vividowl.core.quantities.units import require_room_c
from vividowl.core.quantities.words import Words, say
from vividowl.core.runs.repeats import OwnScatter, own_scatter
from vividowl.service.bench.times import TaskTime, learnt_minutes
from vividowl.service.measure.anew import make_anew
from vividowl.service.measure.comparing import tolerances_of
from vividowl.service.plan.outcomes import Record, record_of
from vividowl.service.shop.habits import Habits, habits_of, keep_habits
from vividowl.service.workshop import Actor, Workshop, check_version
from vividowl.store.measuring import Run, TraceFile
from vividowl.store.models import Job
from vividowl.store.scope import Scope


@dataclass(frozen=True, kw_only=True)
class ShopSettings:
    """version of what is kept; name; reference_room_c [degC]; tolerances in force and the usual ones; habits: rates
    and ways; tasks: name,
    words, usual minutes of hands and of waiting; record: how often predictions were right; learnt: minutes that
    the benches have shown, by task; own: what its repeats scatter by, None while there are few."""

    version: int
    name: str
    reference_room_c: float
    tolerances: Tolerances
    usual: Tolerances
    currency: str
    habits: Habits
    tasks: tuple[tuple[str, Words, float, float], ...]
    record: Record
    learnt: Mapping[str, TaskTime]
    own: OwnScatter | None


def _own_scatter(scope: Scope) -> OwnScatter | None:
    """What repeats in this shop scatter by."""
    rises: dict[uuid.UUID, list[float]] = {}
    of_trace = TraceFile.figures["rise_K"].as_float()
    repeated = scope.select(TraceFile).with_only_columns(TraceFile.run_id).where(TraceFile.is_repeat)
    query = scope.select(TraceFile).with_only_columns(TraceFile.run_id, of_trace)
    query = query.where(TraceFile.run_id.in_(repeated), TraceFile.removed_at.is_(None), of_trace.is_not(None))
    for run_id, rise_k in scope.session.execute(query):
        rises.setdefault(run_id, []).append(rise_k)
    return own_scatter(list(rises.values()), Tolerances())


def _settings(scope: Scope) -> ShopSettings:
    shop = scope.shop()
    tasks = tuple((n, t.words, t.hands_min, t.wait_min) for n, t in TASKS.items())
    return ShopSettings(
        version=shop.version,
        name=shop.name,
        reference_room_c=shop.reference_room_c,
        tolerances=tolerances_of(scope),
        usual=Tolerances(),
        currency=shop.currency,
        habits=habits_of(shop),
        tasks=tasks,
        record=record_of(scope),
        learnt=learnt_minutes(scope),
        own=_own_scatter(scope),
    )


def get_settings(workshop: Workshop, actor: Actor) -> ShopSettings:
    """The settings of the actor's shop."""
    with workshop.scope(actor) as scope:
        return _settings(scope)


def customer_address(workshop: Workshop, actor: Actor) -> str:
    """Where customers reach the application from outside; empty where they do not."""
    with workshop.scope(actor) as scope:
        return habits_of(scope.shop()).customer_address


def save_settings(
    workshop: Workshop,
    actor: Actor,
    *,
    version: int,
    reference_room_c: float,
    tolerances: Mapping[str, float],
    habits: Mapping[str, Any],
) -> ShopSettings:
    """Save them. Only what differs from the usual is kept; verdicts of jobs still open follow."""
    require_room_c(reference_room_c)
    wanted = asdict(checked_tolerances(tolerances))
    usual = asdict(Tolerances())
    with workshop.scope(actor) as scope:
        shop = scope.locked_shop()
        check_version(shop.version, version, say("settings-what-set-here"))
        shop.reference_room_c = reference_room_c
        shop.tolerances = {name: value for name, value in wanted.items() if value != usual[name]}
        keep_habits(scope, habits)
        # Kept with them, so that it is gone on with when this process ends first.
        still_open = scope.select(Job).with_only_columns(Job.id).where(Job.handed_over_at.is_(None))
        of_open_jobs = update(Run).where(Run.shop_id == scope.shop_id, Run.job_id.in_(still_open))
        scope.session.execute(of_open_jobs.values(rules_version=0))
    workshop.later(partial(make_anew, workshop))
    return get_settings(workshop, actor)
