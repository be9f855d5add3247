"""Devices with their visits: the list, two put together, one taken apart, and back."""

from __future__ import annotations

import uuid
from collections.abc import Sequence
from dataclasses import dataclass
from datetime import date

from sqlalchemy import func, or_, select, tuple_

from vividowl.core.quantities.words import say
from vividowl.service.clock import server_now
from vividowl.service.devices.history import History, history_of, jobs_of
from vividowl.service.devices.known import DEVICE_FIELDS
from vividowl.service.errors import Refused
from vividowl.service.workshop import Actor, Workshop
from vividowl.store.devices import Device, DeviceChange
from vividowl.store.models import Customer, Job
from vividowl.store.scope import Scope

CANDIDATES_MOST = 20  # groups of devices that may be one; a limit of the page


@dataclass(frozen=True)
class DeviceRow:
    """A device in the list: visits, and the day of the last."""

    device: Device
    customer: str
    visits: int
    last_on: date | None


@dataclass(frozen=True)
class MayBeOne:
    """Devices of one customer that nothing tells apart: same maker and model, no different serial numbers."""

    devices: tuple[DeviceRow, ...]


def list_devices(
    workshop: Workshop, actor: Actor, *, limit: int, offset: int, find: str = ""
) -> tuple[list[DeviceRow], int, list[MayBeOne]]:
    """A page of devices, the one seen last on top; with those that may be one, on the first page."""
    with workshop.scope(actor) as scope:
        rows, total = _rows(scope, find, limit, offset)
        return rows, total, _may_be_one(scope) if offset == 0 and not find else []


def _rows(scope: Scope, find: str, limit: int, offset: int) -> tuple[list[DeviceRow], int]:
    visits, last = func.count(Job.id), func.max(func.coalesce(Job.done_on, func.date(Job.created_at)))
    query = (
        select(Device, Customer.name, visits, last)
        .join(Customer, Customer.id == Device.customer_id)
        .join(Job, Job.device_id == Device.id)
        .where(Device.shop_id == scope.shop_id)
        .group_by(Device.id, Customer.name)
    )
    if find:
        pattern = "%" + find.replace("\\", "\\\\").replace("%", "\\%").replace("_", "\\_") + "%"
        columns = (Device.maker, Device.model, Device.serial, Device.tag, Customer.name)
        query = query.where(or_(*(column.ilike(pattern) for column in columns)))
    total = scope.session.scalar(select(func.count()).select_from(query.subquery())) or 0
    found = scope.session.execute(query.order_by(last.desc(), Device.id).limit(limit).offset(offset))
    return [DeviceRow(device, name, count, on) for device, name, count, on in found], total


def _may_be_one(scope: Scope) -> list[MayBeOne]:
    """Groups that nothing tells apart. Those that carry different serial numbers are told apart."""
    group = (Device.customer_id, Device.maker, Device.model)
    visited = select(Job.device_id).where(Job.shop_id == scope.shop_id)
    query = (
        select(*group)
        .where(Device.shop_id == scope.shop_id, Device.id.in_(visited))
        .group_by(*group)
        .having(
            func.count() > 1,
            func.count(func.nullif(Device.serial, "").distinct()) <= 1,
            func.count(func.nullif(Device.tag, "").distinct()) <= 1,
        )
        .order_by(*group)
        .limit(CANDIDATES_MOST)
    )
    rows = scope.session.execute(
        select(Device, Customer.name, func.count(Job.id), func.max(func.date(Job.created_at)))
        .join(Customer, Customer.id == Device.customer_id)
        .join(Job, Job.device_id == Device.id)
        .where(Device.shop_id == scope.shop_id, tuple_(*group).in_(query))
        .group_by(Device.id, Customer.name)
        .order_by(Customer.name, Device.model, func.max(Job.created_at))
    )
    groups: dict[tuple[uuid.UUID, str, str], list[DeviceRow]] = {}
    for device, name, visits, last_on in rows:
        key = (device.customer_id, device.maker, device.model)
        groups.setdefault(key, []).append(DeviceRow(device, name, visits, last_on))
    return [MayBeOne(tuple(group)) for group in groups.values()]


def merge(workshop: Workshop, actor: Actor, device_id: uuid.UUID, other_id: uuid.UUID) -> History:
    """Put two devices together: all visits of the other become visits of this one."""
    if device_id == other_id:
        raise Refused("invalid", say("devices-with-itself"), field="other")
    with workshop.scope(actor) as scope:
        device, other = (scope.get(Device, i, lock=True) for i in (device_id, other_id))
        if device.serial and other.serial and device.serial.casefold() != other.serial.casefold():
            raise Refused("conflict", say("devices-two-serials", one=device.serial, other=other.serial), field="other")
        _move(
            scope,
            actor,
            source=other,
            target=device,
            jobs=scope.session.scalars(jobs_of(scope, other.id)).unique().all(),
        )
        for name in DEVICE_FIELDS:
            if getattr(device, name) in (None, "", "unknown"):
                setattr(device, name, getattr(other, name))
        scope.session.flush()
        return history_of(scope, device)


def split(workshop: Workshop, actor: Actor, device_id: uuid.UUID, job_id: uuid.UUID) -> History:
    """Take a visit out: it was another device."""
    with workshop.scope(actor) as scope:
        device, job = scope.get(Device, device_id, lock=True), scope.get(Job, job_id)
        if job.device_id != device.id:
            raise Refused("missing", say("devices-no-such-visit"))
        if len(scope.session.scalars(jobs_of(scope, device.id)).unique().all()) < 2:
            raise Refused("conflict", say("devices-only-visit"))
        same = {name: getattr(device, name) for name in DEVICE_FIELDS if name not in ("serial", "tag")}
        fresh = scope.add(Device(customer_id=job.customer_id, serial="", tag="", **same))
        _move(scope, actor, source=device, target=fresh, jobs=[job])
        return history_of(scope, fresh)


def take_back(workshop: Workshop, actor: Actor, change_id: uuid.UUID) -> History:
    """Give visits back that were put together or taken apart; what was moved again since stays where it is."""
    with workshop.scope(actor) as scope:
        change = scope.get(DeviceChange, change_id, lock=True)
        if change.undone_at is not None:
            raise Refused("conflict", say("devices-taken-back-already"))
        for job in scope.session.scalars(jobs_of(scope, change.to_device_id)).unique():
            if str(job.id) in change.moved:
                job.device_id = change.from_device_id
        change.undone_at = server_now()
        scope.session.flush()
        scope.session.expire_all()
        return history_of(scope, scope.get(Device, change.from_device_id))


def _move(scope: Scope, actor: Actor, *, source: Device, target: Device, jobs: Sequence[Job]) -> None:
    for job in jobs:
        job.device_id = target.id
    scope.add(
        DeviceChange(
            from_device_id=source.id,
            to_device_id=target.id,
            moved=[str(job.id) for job in jobs],
            by=actor.member_id,
        )
    )
    scope.session.flush()
    scope.session.expire_all()
