"""The history of a device: its visits with what was found, left and fitted, and what it lost since."""

from __future__ import annotations

import uuid
from collections.abc import Mapping, Sequence
from dataclasses import dataclass, replace
from datetime import date

from sqlalchemy import Select, or_, select
from sqlalchemy.orm import selectinload

from vividowl.core.job.device import REFERENCES, RunSide
from vividowl.core.quantities.errors import CoreError
from vividowl.core.quantities.units import DAYS_A_MONTH
from vividowl.core.quantities.words import Words, say
from vividowl.core.reading.limits import SensorEnd, hot_in
from vividowl.core.reading.measured import BEHIND_INTERFACE_SHARE, SPEED_TOLD_SHARE, Measured, at_speed_of
from vividowl.core.runs.since_service import SinceService, same_terms, since_service
from vividowl.core.trace.roles import Role
from vividowl.service.clock import done_day
from vividowl.service.measure.comparing import sensor_limits_of
from vividowl.service.workshop import Actor, Workshop
from vividowl.store.devices import Device, DeviceChange
from vividowl.store.measuring import Run, TraceFile
from vividowl.store.models import Customer, FitItem, Job
from vividowl.store.scope import Scope


@dataclass(frozen=True, kw_only=True)
class Figure:
    """A resistance [K/W] with its standard uncertainty, whether it had settled, the terms that it was run on, its fan
    speed [rpm], and what stood above its limit."""

    resistance: float
    u: float
    settled: bool
    terms: tuple[str, ...]
    fan_rpm: float | None
    hot: tuple[SensorEnd, ...] = ()


@dataclass(frozen=True, kw_only=True)
class Visit:
    """A job of the device: its day, what was found and left, and what was fitted."""

    job: Job
    on: date
    months: float
    before: Figure | None
    after: Figure | None
    power_w: float | None
    fitted: tuple[FitItem, ...]


@dataclass(frozen=True, kw_only=True)
class History:
    """A device with its visits, the first on top. since: what it lost since its last service, None where not known;
    limit_k_per_w: what it may not pass in its own room at its own power; reasons: for the advice, or why there is none;
    changes: what was put together or taken apart and may be taken back."""

    device: Device
    customer: Customer
    visits: tuple[Visit, ...]
    since: SinceService | None
    limit_k_per_w: float | None
    reasons: tuple[Words, ...]
    changes: tuple[DeviceChange, ...]


def jobs_of(scope: Scope, device_id: uuid.UUID) -> Select[Job]:
    """Visits of a device with their runs."""
    return scope.select(Job).options(selectinload(Job.runs)).where(Job.device_id == device_id)


def get_device(workshop: Workshop, actor: Actor, device_id: uuid.UUID) -> History:
    """One device with all its visits."""
    with workshop.scope(actor) as scope:
        return history_of(scope, scope.get(Device, device_id))


def history_of(scope: Scope, device: Device) -> History:
    shop = scope.shop()
    jobs = sorted(
        scope.session.scalars(jobs_of(scope, device.id)).unique(), key=lambda j: (done_day(shop, j), j.number)
    )
    ids = [j.id for j in jobs]
    figures: dict[tuple[uuid.UUID, str], tuple[TraceFile, Run]] = {}
    query = (
        select(Run, TraceFile)
        .join(TraceFile, TraceFile.run_id == Run.id)
        .where(Run.shop_id == scope.shop_id, Run.job_id.in_(ids), Run.removed_at.is_(None))
        .where(TraceFile.removed_at.is_(None), ~TraceFile.is_repeat)
    )
    for run, trace in scope.session.execute(query):
        figures[run.job_id, run.side] = (trace, run)
    items: dict[uuid.UUID, list[FitItem]] = {}
    fitted = scope.select(FitItem).where(FitItem.job_id.in_(ids), FitItem.removed_at.is_(None))
    latest = {j.id: j.attempt for j in jobs}
    for item in scope.session.scalars(fitted.order_by(FitItem.created_at)):
        if item.attempt == latest[item.job_id]:
            items.setdefault(item.job_id, []).append(item)
    first = done_day(shop, jobs[0]) if jobs else None
    visits = tuple(
        Visit(
            job=job,
            on=done_day(shop, job),
            months=(done_day(shop, job) - first).days / DAYS_A_MONTH if first is not None else 0.0,
            before=_figure(job, *figures.get((job.id, "before"), (None, None))),
            after=_figure(job, *figures.get((job.id, "after"), (None, None))),
            power_w=_power((figures.get((job.id, "after")) or figures.get((job.id, "before")) or (None,))[0]),
            fitted=tuple(items.get(job.id, ())),
        )
        for job in jobs
    )
    changes = scope.session.scalars(
        scope.select(DeviceChange)
        .where(
            or_(DeviceChange.to_device_id == device.id, DeviceChange.from_device_id == device.id),
            DeviceChange.undone_at.is_(None),
        )
        .order_by(DeviceChange.at.desc())
    ).all()
    customer = scope.get(Customer, device.customer_id)
    rooms = _rooms(scope, ids)
    return _judged(device, customer, visits=visits, changes=tuple(changes), rooms=rooms)


def _rooms(scope: Scope, ids: Sequence[uuid.UUID]) -> Mapping[uuid.UUID, float]:
    """Room of each visit [degC], where it was noted; of Before, else of After."""
    query = scope.select(Run).where(
        Run.job_id.in_(ids), Run.room_c.is_not(None), Run.removed_at.is_(None), Run.side.in_(REFERENCES)
    )
    noted = {(run.job_id, run.side): run.room_c for run in scope.session.scalars(query)}
    return {
        job: room
        for side in reversed(REFERENCES)
        for (job, of), room in noted.items()
        if of == side and room is not None
    }


def _figure(job: Job, trace: TraceFile | None, run: Run | None) -> Figure | None:
    f = (trace.figures or {}) if trace is not None else {}
    if f.get("resistance_K_per_W") is None or run is None:
        return None
    terms = (run.load_recipe, run.fan_setting, run.power_profile, run.placement)
    means = {Role(name): mean for name, mean in f.get("means", {}).items()}
    limits = sensor_limits_of(job) | ({Role(f["die"]): job.limit_c} if job.limit_c is not None else {})
    return Figure(
        resistance=f["resistance_K_per_W"],
        u=f["resistance_u_K_per_W"],
        settled=bool(f["settled"]),
        terms=terms,
        fan_rpm=means.get(Role.FAN_SPEED),
        hot=hot_in(means, limits),
    )


def _brought(then: Figure, now: Figure) -> Figure | None:
    """A later figure at the fan speed of an earlier one; None where the two cannot be judged against each other."""
    found = at_speed_of(Measured(value=now.resistance, scatter=now.u), now.fan_rpm, then.resistance, then.fan_rpm)
    if found is None or not same_terms(then.terms, now.terms):
        return None
    return replace(now, resistance=found.value, u=found.moving, fan_rpm=then.fan_rpm)


def _power(trace: TraceFile | None) -> float | None:
    return (trace.figures or {}).get("power_W") if trace is not None else None


def _judged(
    device: Device,
    customer: Customer,
    *,
    visits: tuple[Visit, ...],
    changes: tuple[DeviceChange, ...],
    rooms: Mapping[uuid.UUID, float],
) -> History:
    """What the visits say: since the last service the resistance grows from its After to the Befores that follow."""
    limit = _limit(device, visits, rooms)

    def unknown(why: Words) -> History:
        return History(
            device=device,
            customer=customer,
            visits=visits,
            since=None,
            limit_k_per_w=limit,
            reasons=(why,),
            changes=changes,
        )

    served = [i for i, v in enumerate(visits) if v.after is not None]
    if not served:
        return unknown(say("history-no-after"))
    # The last service that a later visit looked at; else the last one.
    last = next((i for i in reversed(served) if any(v.before for v in visits[i + 1 :])), served[-1])
    points = [(v.months, v.after if i == 0 else v.before) for i, v in enumerate(visits[last:])]
    told = [(months, figure) for months, figure in points if figure is not None]
    known = len(told)
    base = told[0][1]
    told = [(months, at) for months, figure in told if (at := _brought(base, figure)) is not None]
    if len(told) < 2 <= known:
        return unknown(say("history-unlike"))
    try:
        since = since_service(
            [months for months, _ in told],
            [figure.resistance for _, figure in told],
            [figure.u for _, figure in told],
            limit,
        )
    except CoreError as error:
        return unknown(error.message)
    rpm = base.fan_rpm
    # The table shows each as it was read; what was lost is reckoned at one speed.
    moved = rpm and any(f.fan_rpm and abs(f.fan_rpm / rpm - 1.0) > SPEED_TOLD_SHARE for _, f in points if f is not None)
    speed = (say("history-one-speed", rpm=rpm, air=BEHIND_INTERFACE_SHARE),) if moved else ()
    return History(
        device=device,
        customer=customer,
        visits=visits,
        since=since,
        limit_k_per_w=limit,
        reasons=(*since.reasons, *speed),
        changes=changes,
    )


def _limit(device: Device, visits: Sequence[Visit], rooms: Mapping[uuid.UUID, float]) -> float | None:
    """Resistance at which the device meets its limit in its own room at the power of its last visit [K/W]."""
    last = next((v for v in reversed(visits) if v.power_w and v.job.id in rooms), None)
    if device.limit_c is None or last is None or not last.power_w:
        return None
    return (device.limit_c - rooms[last.job.id]) / last.power_w


def since_last_service(scope: Scope, job: Job, run: Run, trace: TraceFile) -> SinceService | None:
    """A log of a visit against what the last service of the same device left; None where either is not known."""
    now = _figure(job, trace, run)
    query = (
        select(TraceFile, Job, Run)
        .join(Run, Run.id == TraceFile.run_id)
        .join(Job, Job.id == Run.job_id)
        .where(
            TraceFile.shop_id == scope.shop_id,
            Job.device_id == job.device_id,
            Job.id != job.id,
            Job.created_at < job.created_at,
            Run.side == RunSide.AFTER,
            TraceFile.removed_at.is_(None),
            ~TraceFile.is_repeat,
        )
        .order_by(Job.created_at.desc())
        .limit(1)
    )
    found = scope.session.execute(query).unique().first()
    then = _figure(found[1], found[0], found[2]) if found is not None else None
    at = _brought(then, now) if then is not None and now is not None else None
    if at is None or then is None or found is None:
        return None
    months = (done_day(scope.shop(), job) - done_day(scope.shop(), found[1])).days / DAYS_A_MONTH
    if months <= 0:
        return None
    return since_service([0.0, months], [then.resistance, at.resistance], [then.u, at.u])
