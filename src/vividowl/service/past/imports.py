"""Lists of past jobs: brought, told what their columns are, taken in as a whole, taken back as a whole."""

from __future__ import annotations

import uuid
from collections.abc import Mapping, Sequence
from dataclasses import dataclass
from datetime import UTC, date, datetime, time
from typing import Any, BinaryIO

from sqlalchemy import delete, func, insert, select
from sqlalchemy.dialects.postgresql import insert as insert_or_leave

from vividowl.core.job.device import DeviceKind
from vividowl.core.job.past_columns import PastRole
from vividowl.core.job.past_rows import DayOrder, PastJob
from vividowl.core.quantities.words import say
from vividowl.formats.past_table import BYTES_MOST, COLUMNS_MOST
from vividowl.service.clock import server_now
from vividowl.service.errors import Refused
from vividowl.service.kept_files import kept_files
from vividowl.service.measure.refusing import size_refusals
from vividowl.service.names import plain_name
from vividowl.service.past.reading import ListView, RowState, RowView, list_view, read_list
from vividowl.service.shop.habits import habits_of
from vividowl.service.workshop import Actor, Workshop, check_version
from vividowl.store.base import Base
from vividowl.store.counter import CounterSheet
from vividowl.store.devices import Device, DeviceChange
from vividowl.store.models import Customer, Job
from vividowl.store.past import ImportState, PastImport
from vividowl.store.scope import Scope
from vividowl.words import sentence

# What a list may have, for those who hand one over.
LIST_BYTES_MOST, LIST_COLUMNS_MOST = BYTES_MOST, COLUMNS_MOST
# Rows that are written at a time.
AT_A_TIME = 1000
# A past job is of a day and of no hour: it counts as of noon, UTC.
NOON = time(12, tzinfo=UTC)
# Jobs that are named where they stay although their list is taken back.
NAMED_MOST = 8


def bring(workshop: Workshop, actor: Actor, stream: BinaryIO, *, expected: int | None, file_name: str) -> ListView:
    """Keep a list and look at it; nothing is taken in yet."""
    name = plain_name(file_name)
    workshop.require_space()
    with (
        size_refusals(name, "file", say("past-table-split")),
        workshop.files.receive(stream, expected, BYTES_MOST) as received,
    ):
        read_list(received.path, name)
        with workshop.scope(actor) as scope, workshop.files.keeping(actor.shop_id, received):
            row = scope.add(
                PastImport(
                    file_name=name,
                    sha256=received.sha256,
                    size_bytes=received.size_bytes,
                    said={},
                    made_by=actor.member_id,
                )
            )
            return list_view(workshop, scope, row)


def lists(workshop: Workshop, actor: Actor) -> Sequence[PastImport]:
    """Lists of the shop, the latest first."""
    with workshop.scope(actor) as scope:
        return scope.session.scalars(scope.select(PastImport).order_by(PastImport.made_at.desc())).all()


def look(workshop: Workshop, actor: Actor, import_id: uuid.UUID) -> ListView:
    """A list as it would come in."""
    with workshop.scope(actor) as scope:
        return list_view(workshop, scope, _draft(scope, import_id))


def _draft(scope: Scope, import_id: uuid.UUID, *, lock: bool = False) -> PastImport:
    row = scope.get(PastImport, import_id, lock=lock)
    if row.state is not ImportState.DRAFT:
        raise Refused(
            "conflict",
            say("past-taken-already", name=row.file_name),
            remedy=say("past-take-back-first"),
            reason=row.state.value,
        )
    return row


def tell(
    workshop: Workshop,
    actor: Actor,
    import_id: uuid.UUID,
    version: int,
    *,
    roles: Sequence[str | None] | None,
    sheet: str,
    order: str,
    kind: str,
) -> ListView:
    """Say what the columns of a list are. roles: for each column, None to let it be guessed again."""
    with workshop.scope(actor) as scope:
        row = _draft(scope, import_id, lock=True)
        check_version(row.version, version, say("past-list"))
        said: dict[str, Any] = {"sheet": sheet, "day_order": DayOrder(order).value, "kind": DeviceKind(kind).value}
        same_sheet = sheet == row.said.get("sheet", "")
        if roles is not None and same_sheet:
            named = [role for role in roles if role]
            twice = next((role for role in named if named.count(role) > 1), None)
            if twice is not None:
                raise Refused(
                    "invalid",
                    say("past-role-twice", role=say(f"past-role-{PastRole(twice).value}")),
                    field="roles",
                    remedy=say("past-role-once"),
                )
            table = read_list(workshop.files.original(scope.shop_id, row.sha256), row.file_name, sheet)
            if len(roles) != len(table.headings):
                raise Refused(
                    "invalid",
                    say("past-columns-differ", given=len(roles), columns=len(table.headings)),
                    field="roles",
                    remedy=say("intake-reload-job"),
                )
            said["roles"] = list(roles)
        row.said = said
        scope.session.flush()
        return list_view(workshop, scope, row)


def discard(workshop: Workshop, actor: Actor, import_id: uuid.UUID) -> None:
    """Put a list that was not taken in aside for good."""
    with workshop.scope(actor) as scope:
        row = _draft(scope, import_id, lock=True)
        scope.session.delete(row)
    _drop_file(workshop, actor, row.sha256)


def take_in(workshop: Workshop, actor: Actor, import_id: uuid.UUID, version: int) -> PastImport:
    """Take in all rows of a list that are new: all of them or, where it breaks off, none. The file itself is let go of
    then: what its rows said is kept with their jobs."""
    with workshop.scope(actor) as scope:
        row = _draft(scope, import_id, lock=True)
        check_version(row.version, version, say("past-list"))
        # One list after the other: the second sees what the first has brought.
        shop = scope.locked_shop()
        view = list_view(workshop, scope, row)
        new = sorted((r for r in view.rows if r.state is RowState.NEW), key=lambda r: (r.job.day or date.max, r.line))
        if not new:
            raise Refused("conflict", say("past-nothing-new"), remedy=say("past-correct-list"), reason="nothing_new")
        first = shop.last_job_number + 1
        shop.last_job_number += len(new)
        customers = _customers(scope, new)
        devices = _devices(scope, new, customers)
        language = habits_of(shop).language
        for at in range(0, len(new), AT_A_TIME):
            part = list(enumerate(new[at : at + AT_A_TIME], first + at))
            rows = [_job_row(scope, actor, row.id, number, one, devices[one.line], language) for number, one in part]
            scope.session.execute(insert(Job), rows)
        row.state, row.taken_at, row.counts = ImportState.TAKEN, server_now(), view.counts
        row.said = {**row.said, "roles": [c.role.value if c.role else None for c in view.columns]}
        scope.session.flush()
    _drop_file(workshop, actor, row.sha256)
    return row


def _drop_file(workshop: Workshop, actor: Actor, sha256: str) -> None:
    """Let go of the file of a list, unless another speaks of it: it names everyone who stands in it."""
    if sha256 not in kept_files(workshop).get(actor.shop_id, ()):
        workshop.files.original(actor.shop_id, sha256).unlink(missing_ok=True)


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
        "past": {"line": row.line, "sign": job.sign, "cells": dict(row.cells)},
    }


@dataclass(frozen=True)
class Told:
    """What the row of a list said that a job was brought in from; no cells once its customer was erased."""

    file_name: str
    line: int
    cells: Mapping[str, str]


def told_of(workshop: Workshop, actor: Actor, job_id: uuid.UUID) -> Told:
    """What the list said of a job."""
    with workshop.scope(actor) as scope:
        job = scope.get(Job, job_id)
        if job.import_id is None or job.past is None:
            raise Refused("missing", say("past-of-no-list", number=job.number))
        row = scope.get(PastImport, job.import_id)
        return Told(row.file_name, job.past["line"], job.past.get("cells", {}))


def take_back(workshop: Workshop, actor: Actor, import_id: uuid.UUID, version: int) -> tuple[PastImport, list[int]]:
    """Take a whole list back. Jobs that somebody has worked on since stay; gives their numbers."""
    with workshop.scope(actor) as scope:
        row = scope.get(PastImport, import_id, lock=True)
        check_version(row.version, version, say("past-list"))
        if row.state is not ImportState.TAKEN:
            raise Refused(
                "conflict",
                say("past-not-taken", name=row.file_name),
                remedy=say("intake-reload-job"),
                reason=row.state.value,
            )
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
