"""How far the latest interface of a device has run in, over its visits, and what is still to be done for it."""

from __future__ import annotations

import uuid
from collections.abc import Sequence
from dataclasses import dataclass
from datetime import datetime, timedelta
from enum import StrEnum

from vividowl.core.bench.waits import WAITS
from vividowl.core.job.device import StateCause
from vividowl.core.materials.kinds import CATALOGUE, Trait
from vividowl.core.quantities.errors import CoreError
from vividowl.core.quantities.words import say
from vividowl.core.runs.burn_in import BurnIn, burn_in
from vividowl.service.bench.store import load_log
from vividowl.service.errors import Refused
from vividowl.service.runs.all_runs import AllRuns, all_runs
from vividowl.service.runs.observed import RESISTANCE, Observed, observed
from vividowl.service.workshop import Actor, Workshop
from vividowl.store.devices import DeviceState
from vividowl.store.models import Job

VISITS_MOST = 6  # that are looked back to for the fitting; a limit of the product
SECONDS_A_DAY = 86_400.0


class Since(StrEnum):
    """What a burn-in is counted in since the fitting."""

    CYCLES = "heat_cycles"
    HOURS = "hours"
    DAYS = "days"


@dataclass(frozen=True)
class BurnInRuns:
    """points: x [x], value and standard uncertainty [K/W] of each run, with its key; found: what they say; without:
    runs since the fitting whose count nobody noted."""

    points: tuple[tuple[float, float, float | None, str], ...]
    found: BurnIn
    without: int


def burn_in_runs(workshop: Workshop, actor: Actor, job_id: uuid.UUID, since: Since) -> BurnInRuns:
    """How far the latest interface has run in, by all runs since it was fitted, those of earlier visits too."""
    points, without = [], 0
    visits = _since_fitting(workshop, actor, job_id)
    fitted_at = _fitted_at(visits)
    for at, (found, lies) in enumerate(visits):
        for o in observed(found, RESISTANCE):
            state = o.row.state
            if state is None or not lies or state.fitted != lies:
                continue
            x = _count(o, state, since, fitted_at)
            # Right after the fitting nothing has been counted yet; in a later visit nobody has noted it.
            if x is None and at == 0 and since is not Since.DAYS and state.heat_cycles is None and state.hours is None:
                x = 0.0
            if x is None:
                without += 1
            else:
                points.append((x, o.value, o.u, o.row.run.key))
    points.sort(key=lambda p: p[0])
    u = [p[2] for p in points if p[2] is not None]
    try:
        told = burn_in([p[0] for p in points], [p[1] for p in points], u if len(u) == len(points) else ())
    except CoreError as error:
        raise Refused(
            "invalid", error.message, field="x", remedy=error.remedy or say("burn-in-run-more"), reason="too_few"
        ) from error
    return BurnInRuns(tuple(points), told, without)


@dataclass(frozen=True)
class StillToRunIn:
    """What an interface still needs. more: heat cycles, None where the runs do not tell how many; wait_min: they take
    [min] or None; due: when they are over, if one begins now."""

    more: int | None
    wait_min: float | None
    due: datetime | None


def still_to_run_in(workshop: Workshop, actor: Actor, job_id: uuid.UUID, now: datetime) -> StillToRunIn | None:
    """What the latest interface of a job still needs; None where it needs nothing, or runs in by itself unseen."""
    found = all_runs(workshop, actor, job_id)
    last = found.states[-1]
    if not any(CATALOGUE[i["kind"]].has(Trait.BURN_IN) for i in last.fitted if i["kind"] in CATALOGUE):
        return None
    try:
        told = burn_in_runs(workshop, actor, job_id, Since.CYCLES).found
    except Refused:
        # Fewer runs than tell: a cycle and a run of it come next, where none was counted here or on the bench.
        done = last.heat_cycles is not None or _cycled_on_the_bench(workshop, actor, job_id)
        return None if done else StillToRunIn(None, None, None)
    if told.settled is not False:
        return None
    if told.more_needed is None:
        return StillToRunIn(None, None, None)
    more = max(1, -int(-told.more_needed // 1))
    wait_min = more * WAITS["burn_in"].minutes
    return StillToRunIn(more, wait_min, now + timedelta(minutes=wait_min))


def _cycled_on_the_bench(workshop: Workshop, actor: Actor, job_id: uuid.UUID) -> bool:
    """Whether the list of the bench has the burn-in behind it."""
    with workshop.scope(actor) as scope:
        outcome = load_log(workshop, scope, job_id).log.state.outcomes.get("burn_in")
        return outcome is not None and outcome.how == "done"


def _since_fitting(workshop: Workshop, actor: Actor, job_id: uuid.UUID) -> list[tuple[AllRuns, list[dict[str, str]]]]:
    """The visits since the latest interface was fitted, that of the fitting first, each with what lies on the dies."""
    with workshop.scope(actor) as scope:
        job = scope.get(Job, job_id)
        query = scope.select(Job).where(Job.device_id == job.device_id, Job.created_at <= job.created_at)
        jobs: Sequence[Job] = (
            scope.session.scalars(query.order_by(Job.created_at.desc()).limit(VISITS_MOST)).unique().all()
        )
    out: list[tuple[AllRuns, list[dict[str, str]]]] = []
    lies: list[dict[str, str]] = []
    for visit in jobs:
        found = all_runs(workshop, actor, visit.id)
        lies = lies or list(found.states[-1].fitted)
        if list(found.states[-1].fitted) != lies:
            break
        out.append((found, lies))
        if any(s.cause in (StateCause.FITTED, StateCause.ATTEMPT) for s in found.states):
            break
    return out[::-1]


def _fitted_at(visits: Sequence[tuple[AllRuns, list[dict[str, str]]]]) -> datetime | None:
    """When the interface was fitted, None where no visit tells."""
    causes = (StateCause.FITTED, StateCause.ATTEMPT)
    moments = [s.began_at for found, lies in visits[:1] for s in found.states if s.cause in causes and s.fitted == lies]
    return moments[-1] if moments else None


def _count(o: Observed, state: DeviceState, since: Since, fitted_at: datetime | None) -> float | None:
    """How far an interface had run in when a run was made."""
    if since is not Since.DAYS:
        found: float | None = getattr(state, since.value)
        return found
    if fitted_at is None:
        return None
    return max(0.0, (o.row.logs[0].trace.uploaded_at - fitted_at).total_seconds() / SECONDS_A_DAY)
