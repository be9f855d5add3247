"""A list taken in as a whole, or taken back as a whole."""

from __future__ import annotations

import uuid
from collections.abc import Sequence
from datetime import UTC, date, datetime, time
from typing import Any

from sqlalchemy import delete, func, insert, select
from sqlalchemy.dialects.postgresql import insert as insert_or_leave

from vividowl.core.job.device import DeviceKind
from vividowl.core.job.past_rows import PastJob
from vividowl.core.quantities.words import say
from vividowl.service.clock import server_now
from vividowl.service.errors import Refused
from vividowl.service.past.imports import draft_of, drop_file
from vividowl.service.past.reading import RowState, RowView, list_view
from vividowl.service.shop.habits import habits_of
from vividowl.service.workshop import Actor, Workshop, check_version
from vividowl.store.base import Base
from vividowl.store.counter import CounterSheet
from vividowl.store.counting import end_progress, tell_progress
from vividowl.store.devices import Device, DeviceChange
from vividowl.store.models import Customer, Job
from vividowl.store.past import ImportState, PastImport
from vividowl.store.scope import Scope
from vividowl.words import sentence

# Rows that are written at a time.
AT_A_TIME = 1000
# A past job is of a day and of no hour: it counts as of noon, UTC.
NOON = time(12, tzinfo=UTC)


def take_in(workshop: Workshop, actor: Actor, import_id: uuid.UUID, version: int) -> PastImport:
    """Take in all rows of a list that are new: all of them or, where it breaks off, none. The file itself is let go of
    then: what its rows said is kept with their jobs."""
    try:
        row = _take_in(workshop, actor, import_id, version)
    finally:
        end_progress(workshop.database, import_id)
    drop_file(workshop, actor, row.sha256)
    return row


def _take_in(workshop: Workshop, actor: Actor, import_id: uuid.UUID, version: int) -> PastImport:
    with workshop.scope(actor) as scope:
        # One list after the other: the second sees what the first has brought.
        if not scope.alone_at("take-in"):
            raise Refused("conflict", say("past-one-at-a-time"), reason="taking_in")
        row = draft_of(scope, import_id, lock=True)
        check_version(row.version, version, say("past-list"))
        view = list_view(workshop, scope, row)
        new = sorted((r for r in view.rows if r.state is RowState.NEW), key=lambda r: (r.job.day or date.max, r.line))
        if not new:
            raise Refused("conflict", say("past-nothing-new"), reason="nothing_new")
        tell_progress(workshop.database, import_id, 0, len(new))
        first = _numbers(workshop, actor, len(new))
        customers = _customers(scope, new)
        devices = _devices(scope, new, customers)
        language = habits_of(scope.shop()).language
        for at in range(0, len(new), AT_A_TIME):
            part = list(enumerate(new[at : at + AT_A_TIME], first + at))
            rows = [
                _job_row(
                    scope, actor, import_id=row.id, number=number, row=one, whose=devices[one.line], language=language
                )
                for number, one in part
            ]
            scope.session.execute(insert(Job), rows)
            tell_progress(workshop.database, import_id, at + len(rows), len(new))
        row.state, row.taken_at, row.counts = ImportState.TAKEN, server_now(), view.counts
        row.said = {**row.said, "roles": [c.role.value if c.role else None for c in view.columns]}
        scope.session.flush()
        return row


def _numbers(workshop: Workshop, actor: Actor, count: int) -> int:
    """Draw so many numbers in a row, and give the first. At once, so that nobody who takes a device in meanwhile waits
    for the list; where the list breaks off, its numbers are left out."""
    with workshop.database.apart() as session:
        shop = Scope(session, actor.shop_id).locked_shop()
        shop.last_job_number += count
        return shop.last_job_number - count + 1


def _name_of(job: PastJob) -> tuple[str, str]:
    return job.customer or job.contact[:120] or sentence(say("past-customer-unknown")), job.contact


def _customers(scope: Scope, rows: Sequence[RowView]) -> dict[tuple[str, str], uuid.UUID]:
    wanted = {_name_of(row.job): uuid.uuid4() for row in rows}
    values = [
        {"id": own, "shop_id": scope.shop_id, "name": name, "contact": contact}
        for (name, contact), own in wanted.items()
    ]
    for at in range(0, len(values), AT_A_TIME):
        scope.session.execute(insert_or_leave(Customer).values(values[at : at + AT_A_TIME]).on_conflict_do_nothing())
    found = scope.session.execute(
        select(Customer.name, Customer.contact, Customer.id).where(Customer.shop_id == scope.shop_id)
    )
    return {(name, contact): own for name, contact, own in found}


def _devices(
    scope: Scope, rows: Sequence[RowView], customers: dict[tuple[str, str], uuid.UUID]
) -> dict[int, tuple[uuid.UUID, uuid.UUID]]:
    """Device and customer of each row, by its line: one serial number is one device, and any other row another one."""
    serials = select(func.lower(Device.serial), Device.id).where(Device.shop_id == scope.shop_id, Device.serial != "")
    known: dict[str, uuid.UUID] = dict(scope.session.execute(serials).all())
    made, out = [], {}
    for row in rows:
        job, customer = row.job, customers[_name_of(row.job)]
        own = known.get(job.serial.casefold()) if job.serial else None
        if own is None:
            own = uuid.uuid4()
            if job.serial:
                known[job.serial.casefold()] = own
            made.append(
                {
                    "id": own,
                    "shop_id": scope.shop_id,
                    "customer_id": customer,
                    "kind": DeviceKind(job.kind),
                    "maker": job.maker,
                    "model": job.model or job.maker,
                    "serial": job.serial,
                    "created_at": datetime.combine(job.day or date.max, NOON),
                }
            )
        out[row.line] = own, customer
    for at in range(0, len(made), AT_A_TIME):
        scope.session.execute(insert(Device), made[at : at + AT_A_TIME])
    return out


def _job_row(
    scope: Scope,
    actor: Actor,
    *,
    import_id: uuid.UUID,
    number: int,
    row: RowView,
    whose: tuple[uuid.UUID, uuid.UUID],
    language: str,
) -> dict[str, Any]:
    job = row.job
    at = datetime.combine(job.day or date.max, NOON)
    done = [job.work, sentence(say("past-material", material=job.material)) if job.material else "", job.note]
    return {
        "id": uuid.uuid4(),
        "shop_id": scope.shop_id,
        "number": number,
        "device_id": whose[0],
        "customer_id": whose[1],
        "symptom": job.symptom,
        "fit_note": "\n".join(text for text in done if text),
        "price_cents": job.price_cents,
        "done_on": job.day,
        "handed_over_at": at,
        "created_at": at,
        "updated_at": at,
        "created_by": actor.member_id,
        "language": language,
        "import_id": import_id,
        "past": {"line": row.line, "sign": job.sign, "cells": [list(cell) for cell in row.cells.items()]},
    }


def take_back(workshop: Workshop, actor: Actor, import_id: uuid.UUID, version: int) -> tuple[PastImport, list[int]]:
    """Take a whole list back. Jobs that somebody has worked on since stay; gives their numbers."""
    with workshop.scope(actor) as scope:
        row = scope.get(PastImport, import_id, lock=True)
        check_version(row.version, version, say("past-list"))
        if row.state is not ImportState.TAKEN:
            raise Refused("conflict", say("past-not-taken", name=row.file_name), reason=row.state.value)
        ours = select(Job.id).where(Job.shop_id == scope.shop_id, Job.import_id == row.id)
        worked_on = _worked_on(scope, row.id)
        gone = ours.where(Job.id.not_in(worked_on))
        numbers = scope.session.scalars(select(Job.number).where(Job.id.in_(worked_on)).order_by(Job.number)).all()
        pairs = scope.session.execute(select(Job.device_id, Job.customer_id).where(Job.id.in_(gone))).all()
        scope.session.execute(delete(Job).where(Job.id.in_(gone)).execution_options(synchronize_session=False))
        _let_go(scope, {p[0] for p in pairs}, {p[1] for p in pairs})
        row.state, row.undone_at = ImportState.UNDONE, server_now()
        scope.session.flush()
        return row, list(numbers)


def _worked_on(scope: Scope, import_id: uuid.UUID) -> set[uuid.UUID]:
    """Jobs of a list that were changed since, or that anything else belongs to. An untouched sheet of the counter is
    made by looking at it."""
    ours = select(Job.id).where(Job.shop_id == scope.shop_id, Job.import_id == import_id)
    found = set(scope.session.scalars(ours.where(Job.version > 1)))
    for table in Base.metadata.sorted_tables:
        if "job_id" not in table.c:
            continue
        query = select(table.c.job_id).where(table.c.job_id.in_(ours))
        if table.name == CounterSheet.__tablename__:
            query = query.where(table.c.version > 1)
        found.update(scope.session.scalars(query))
    return found


def _let_go(scope: Scope, devices: set[uuid.UUID], customers: set[uuid.UUID]) -> None:
    """Take away devices and customers that nothing belongs to any more."""
    for at in range(0, len(devices), AT_A_TIME):
        part = list(devices)[at : at + AT_A_TIME]
        used = select(Job.device_id).where(Job.device_id.in_(part))
        # What was put together or taken apart keeps its devices.
        joined = select(DeviceChange.from_device_id).union(select(DeviceChange.to_device_id))
        query = delete(Device).where(Device.id.in_(part), Device.id.not_in(used), Device.id.not_in(joined))
        scope.session.execute(_gone(query))
    for at in range(0, len(customers), AT_A_TIME):
        part = list(customers)[at : at + AT_A_TIME]
        jobs = select(Job.customer_id).where(Job.customer_id.in_(part))
        owned = select(Device.customer_id).where(Device.customer_id.in_(part))
        query = delete(Customer).where(Customer.id.in_(part), Customer.id.not_in(jobs), Customer.id.not_in(owned))
        scope.session.execute(_gone(query))


def _gone(query: Any) -> Any:  # noqa: ANN401 - a DELETE of any table
    return query.execution_options(synchronize_session=False)
