"""A list as its rows would come in: what each column is, what each row would become, what speaks against it."""

from __future__ import annotations

from collections import Counter
from collections.abc import Mapping, Sequence
from dataclasses import dataclass
from datetime import date, datetime
from enum import StrEnum
from pathlib import Path
from typing import Any

from sqlalchemy import func, select

from vividowl.core.job.device import DeviceKind
from vividowl.core.job.past_columns import Cell, PastRole, guess_roles
from vividowl.core.job.past_rows import DayOrder, PastJob, day_order, past_job, reads_both_ways
from vividowl.core.quantities.words import Words, say
from vividowl.formats.apart import read_apart
from vividowl.formats.errors import FormatError
from vividowl.formats.sheets.past_table import PastTable, read_past_table
from vividowl.service.clock import today_of
from vividowl.service.errors import refused_file
from vividowl.service.workshop import Workshop
from vividowl.store.devices import Device
from vividowl.store.finding import day_done
from vividowl.store.models import Job
from vividowl.store.past import PastImport
from vividowl.store.scope import Scope

# Cells of a column that are shown beside what it is.
EXAMPLES = 3


class RowState(StrEnum):
    """What would become of a row: a new job; nothing, since it stands in the list twice, is in the shop already, or
    cannot be read."""

    NEW = "new"
    TWICE = "twice"
    KNOWN = "known"
    FAULTY = "faulty"


@dataclass(frozen=True, kw_only=True)
class RowView:
    """A row: its line in the file, the job it would be, and in words why it would not."""

    line: int
    job: PastJob
    state: RowState
    why: tuple[Words, ...]
    cells: Mapping[str, str]


@dataclass(frozen=True)
class ColumnView:
    """A column: its heading, what it is taken for, and a few of its cells."""

    heading: str
    role: PastRole | None
    examples: tuple[str, ...]


@dataclass(frozen=True, kw_only=True)
class ListView:
    """A list, read. order_said: whether a person said what comes first in its days, or the days themselves did.
    needs_order: whether they can be read both ways and nobody has said which it is."""

    row: PastImport
    columns: tuple[ColumnView, ...]
    rows: tuple[RowView, ...]
    sheet: str
    sheets: tuple[str, ...]
    order: DayOrder
    order_said: bool
    needs_order: bool
    kind: DeviceKind
    notices: tuple[Words, ...]

    @property
    def counts(self) -> dict[str, int]:
        """Rows by their state."""
        found = Counter(row.state.value for row in self.rows)
        return {state.value: found[state.value] for state in RowState}


def read_list(path: Path, name: str, sheet: str = "") -> PastTable:
    """The file as a table; refused in words where it is none."""
    try:
        return read_apart(read_past_table, path, name, sheet, name=name)
    except FormatError as error:
        raise refused_file(error, "file", "unreadable") from error


def list_view(workshop: Workshop, scope: Scope, row: PastImport) -> ListView:
    """A list as it would come in, by what was said of it."""
    said = row.said
    table = read_list(workshop.files.original(scope.shop_id, row.sha256), row.file_name, said.get("sheet", ""))
    roles = roles_of(table, said)
    days = [cells[roles.index(PastRole.DAY)] for cells in table.rows] if PastRole.DAY in roles else []
    told = DayOrder(said.get("day_order", DayOrder.UNKNOWN))
    order = day_order(days) if told is DayOrder.UNKNOWN else told
    kind = DeviceKind(said.get("kind", DeviceKind.OTHER))
    rows = _rows(scope, table, roles=roles, order=order, kind=kind)
    unclear = order is DayOrder.UNKNOWN and any(map(reads_both_ways, days))
    return ListView(
        row=row,
        columns=tuple(
            ColumnView(heading, role, _examples([cells[at] for cells in table.rows]))
            for at, (heading, role) in enumerate(zip(table.headings, roles, strict=True))
        ),
        rows=rows,
        sheet=table.sheet,
        sheets=table.sheets,
        order=order,
        order_said=told is not DayOrder.UNKNOWN,
        needs_order=unclear,
        kind=kind,
        notices=table.notices,
    )


def roles_of(table: PastTable, said: Mapping[str, Any]) -> tuple[PastRole | None, ...]:
    """What each column is: as a person said it, else as it looks."""
    given = said.get("roles")
    if given is None or len(given) != len(table.headings):
        return guess_roles(table.headings, table.rows)
    return tuple(PastRole(role) if role else None for role in given)


def _examples(cells: Sequence[Cell]) -> tuple[str, ...]:
    told = dict.fromkeys(text for text in map(_shown, cells) if text)
    return tuple(list(told)[:EXAMPLES])


def _shown(cell: Cell) -> str:
    if cell is None:
        return ""
    if isinstance(cell, datetime):
        return cell.isoformat(sep=" ", timespec="minutes")
    return f"{cell:.15g}" if isinstance(cell, float) else str(cell)


def _rows(
    scope: Scope, table: PastTable, *, roles: Sequence[PastRole | None], order: DayOrder, kind: DeviceKind
) -> tuple[RowView, ...]:
    today = today_of(scope.shop())
    jobs = [past_job(cells, roles, order=order, kind=kind.value, today=today) for cells in table.rows]
    by_sign, by_serial = _known(scope, {job.serial.casefold() for job in jobs if job.serial})
    seen: dict[str, int] = {}
    out = []
    for line, job, cells in zip(table.lines, jobs, table.rows, strict=True):
        state, why = RowState.NEW, job.faults or job.remarks
        number = by_sign.get(job.sign) or by_serial.get((job.serial.casefold(), job.day))
        if job.faults:
            state = RowState.FAULTY
        elif job.sign in seen:
            state, why = RowState.TWICE, (say("past-row-twice", line=seen[job.sign]),)
        elif number is not None:
            state, why = RowState.KNOWN, (say("past-row-known", number=number),)
        seen.setdefault(job.sign, line)
        told = {
            heading or f"{at + 1}": _shown(cell)
            for at, (heading, cell) in enumerate(zip(table.headings, cells, strict=True))
        }
        out.append(
            RowView(line=line, job=job, state=state, why=why, cells={name: text for name, text in told.items() if text})
        )
    return tuple(out)


def _known(scope: Scope, serials: set[str]) -> tuple[dict[str, int], dict[tuple[str, date | None], int]]:
    """Numbers of the jobs that are in the shop already: by their sign in a list, and by serial number and day."""
    sign = Job.past["sign"].as_string()
    signs = select(sign, Job.number).where(Job.shop_id == scope.shop_id, Job.import_id.is_not(None))
    by_sign: dict[str, int] = dict(scope.session.execute(signs).all())
    devices = (
        select(func.lower(Device.serial), day_done(scope.shop()), Job.number)
        .join(Device, Device.id == Job.device_id)
        .where(Job.shop_id == scope.shop_id, func.lower(Device.serial).in_(serials))
    )
    by_serial = {(serial, on): number for serial, on, number in scope.session.execute(devices)} if serials else {}
    return by_sign, by_serial
