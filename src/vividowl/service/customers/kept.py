"""All that is kept of one customer: what it is, and as a file to take along."""

from __future__ import annotations

import json
import uuid
import zipfile
from collections.abc import Mapping, Sequence
from dataclasses import dataclass
from datetime import date, datetime
from enum import Enum
from pathlib import Path
from typing import Any, BinaryIO

from sqlalchemy import ColumnElement, Table, func, select

from vividowl.service.clock import server_now
from vividowl.service.workshop import Actor, Workshop
from vividowl.store.base import Base
from vividowl.store.bench import Photo
from vividowl.store.devices import Device
from vividowl.store.finding import day_done
from vividowl.store.measuring import FrameFile, Run, SoundFile, TraceFile
from vividowl.store.models import Customer, Job, Member, Shop
from vividowl.store.records import RecordVersion
from vividowl.store.scope import Scope

FORMAT, VERSION = "vivid-owl-customer", 1
JSON_NAME = "customer.json"
# Customers that are found at a time.
FOUND_MOST = 20
# Files of the file store by the table that speaks of them.
_FILES: tuple[tuple[type[TraceFile | SoundFile | FrameFile], str], ...] = (
    (TraceFile, "logs"),
    (SoundFile, "recordings"),
    (FrameFile, "frame-times"),
)
# Columns that rows are told in the order of, where a table has them.
_IN_ORDER = ("created_at", "made_at", "at", "uploaded_at", "number", "position", "id")
# What the shop keeps that is of no customer, or of all of them.
OF_NO_CUSTOMER = frozenset(
    {
        "shop",
        "attempts_counted",
        "progress",
        "member",
        "sign_in",
        "shop_key",
        "product",
        "lot",
        "offcut",
        "device_model",
        "log_mapping",
        "idempotent_reply",
        "past_import",
    }
)


@dataclass(frozen=True)
class CustomerFound:
    """A customer with how many jobs there are, and the day of the last."""

    customer: Customer
    jobs: int
    last_on: date | None


@dataclass(frozen=True)
class CustomerView:
    """A customer with devices and jobs; open_jobs: numbers of those that are not handed over."""

    customer: Customer
    devices: Sequence[Device]
    jobs: Sequence[Job]
    shop: Shop

    @property
    def open_jobs(self) -> tuple[int, ...]:
        """Numbers of the jobs that are still here."""
        return tuple(job.number for job in self.jobs if job.handed_over_at is None)


def find_customers(workshop: Workshop, actor: Actor, find: str) -> list[CustomerFound]:
    """Customers by parts of their name or contact, the latest first."""
    with workshop.scope(actor) as scope:
        last = func.max(day_done(scope.shop()))
        query = (
            select(Customer, func.count(Job.id), last)
            .outerjoin(Job, Job.customer_id == Customer.id)
            .where(Customer.shop_id == scope.shop_id)
            .group_by(Customer.id)
            .order_by(last.desc().nulls_last(), Customer.name)
            .limit(FOUND_MOST)
        )
        for word in find.lower().split():
            told = func.lower(Customer.name.concat(" ").concat(Customer.contact))
            query = query.where(func.strpos(told, word) > 0)
        return [CustomerFound(c, jobs, on) for c, jobs, on in scope.session.execute(query).unique()]


def view_of(scope: Scope, customer: Customer) -> CustomerView:
    """A customer with what is theirs: a device that has passed on is another's now, its visits of then stay theirs."""
    devices = scope.session.scalars(scope.select(Device).where(Device.customer_id == customer.id)).unique().all()
    query = scope.select(Job).where(Job.customer_id == customer.id).order_by(Job.created_at, Job.number)
    jobs = scope.session.scalars(query).unique().all()
    return CustomerView(customer, devices, jobs, scope.shop())


def get_customer(workshop: Workshop, actor: Actor, customer_id: uuid.UUID) -> CustomerView:
    """A customer by their id."""
    with workshop.scope(actor) as scope:
        return view_of(scope, scope.get(Customer, customer_id))


def tables_of(scope: Scope, view: CustomerView) -> dict[str, list[dict[str, Any]]]:
    """All rows that belong to a customer, by their table, as they are kept; people of the shop by their names."""
    jobs, devices = [job.id for job in view.jobs], [device.id for device in view.devices]
    runs = list(scope.session.scalars(select(Run.id).where(Run.shop_id == scope.shop_id, Run.job_id.in_(jobs))))
    names = {m.id: m.name for m in scope.session.scalars(scope.select(Member))}
    out = {}
    for table in Base.metadata.sorted_tables:
        where = _belongs(table, view.customer.id, devices=devices, jobs=jobs, runs=runs)
        if where is not None:
            order = [table.c[name] for name in _IN_ORDER if name in table.c]
            rows = scope.session.execute(
                select(*_told(table)).where(table.c.shop_id == scope.shop_id, where).order_by(*order)
            )
            out[table.name] = [_plain(row, names) for row in rows.mappings()]
    return out


def _belongs(
    table: Table,
    customer: uuid.UUID,
    *,
    devices: Sequence[uuid.UUID],
    jobs: Sequence[uuid.UUID],
    runs: Sequence[uuid.UUID],
) -> ColumnElement[bool] | None:
    """Which rows of a table are a customer's; None where a table has none."""
    own = {"customer": ("id", [customer]), "device": ("id", devices), "job": ("id", jobs)}
    own["device_change"] = ("to_device_id", devices)
    if table.name in own:
        column, ids = own[table.name]
        return table.c[column].in_(ids)
    if "run_id" in table.c:
        return table.c.run_id.in_(runs)
    return table.c.job_id.in_(jobs) if "job_id" in table.c else None


def _told(table: Table) -> list[ColumnElement[Any]]:
    """Columns that say something: neither the shop, nor what is found by, nor what lies beside as files."""
    left = {"shop_id", "known_by"}
    return [column for column in table.c if column.name not in left and column.type.python_type is not bytes]


def _plain(row: Mapping[Any, Any], names: Mapping[uuid.UUID, str]) -> dict[str, Any]:
    return {str(name): _value(value, names) for name, value in row.items()}


def _value(value: Any, names: Mapping[uuid.UUID, str]) -> Any:  # noqa: ANN401 - of any column
    if isinstance(value, uuid.UUID):
        return names.get(value, str(value))
    if isinstance(value, date | datetime):
        return value.isoformat()
    return value.value if isinstance(value, Enum) else value


def customer_file(workshop: Workshop, actor: Actor, customer_id: uuid.UUID) -> tuple[BinaryIO, str]:
    """All that is kept of a customer as a zip: what is written as JSON, files and photos byte for byte, and records as
    they were handed over."""
    workshop.require_space()
    with workshop.files.aside("zip") as half:
        with workshop.scope(actor) as scope:
            view = view_of(scope, scope.get(Customer, customer_id))
            told = {
                "format": FORMAT,
                "version": VERSION,
                "shop": scope.shop().name,
                "made_at": server_now().isoformat(timespec="seconds"),
                "tables": tables_of(scope, view),
            }
            with zipfile.ZipFile(half, "w", zipfile.ZIP_DEFLATED) as zipped:
                zipped.writestr(JSON_NAME, json.dumps(told, ensure_ascii=False, indent=1))
                _add_files(workshop, scope, view, zipped)
                _add_records(scope, view, zipped)
        return half.open("rb"), f"customer-{customer_id.hex[:8]}.zip"


def _add_files(workshop: Workshop, scope: Scope, view: CustomerView, zipped: zipfile.ZipFile) -> None:
    numbers = {job.id: job.number for job in view.jobs}
    for table, folder in _FILES:
        query = select(table.sha256, table.file_name, Run.job_id).join(Run, Run.id == table.run_id)
        query = query.where(table.shop_id == scope.shop_id, Run.job_id.in_(numbers))
        for sha256, file_name, job_id in scope.session.execute(query):
            name = f"{numbers[job_id]}/{folder}/{sha256[:8]}-{file_name}"
            _add(zipped, workshop.files.original(scope.shop_id, sha256), name)
    for photo in scope.session.scalars(scope.select(Photo).where(Photo.job_id.in_(numbers))):
        if photo.job_id is not None:
            name = f"{numbers[photo.job_id]}/photos/{photo.id}.jpg"
            _add(zipped, workshop.files.photo(scope.shop_id, photo.sha256, "large"), name)


def _add(zipped: zipfile.ZipFile, path: Path, name: str) -> None:
    # The same file may have been given twice.
    if path.exists() and name not in zipped.NameToInfo:
        zipped.write(path, name)


def _add_records(scope: Scope, view: CustomerView, zipped: zipfile.ZipFile) -> None:
    for job in view.jobs:
        for version in scope.session.scalars(scope.select(RecordVersion).where(RecordVersion.job_id == job.id)):
            for ending, data in (("json", version.record), ("pdf", version.pdf)):
                zipped.writestr(f"{job.number}/record-v{version.number}.{ending}", data)
