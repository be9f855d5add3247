"""Past jobs from a list."""

from __future__ import annotations

import uuid
from datetime import date, datetime

from pydantic import Field

from vividowl.core.job.past_columns import PastRole
from vividowl.core.job.past_rows import DayOrder
from vividowl.service.past.imports import LIST_COLUMNS_MOST
from vividowl.service.past.reading import ColumnView
from vividowl.web.fields import In, Kind, Medium, Out, Whole


class PastRoleOut(Out):
    """What a column may be, and how that is called."""

    role: str
    words: str


class PastRowOut(Out):
    """A row of the list and what would become of it."""

    line: int
    state: str
    why: list[str]
    day: date | None
    number: str
    customer: str
    contact: str
    kind: str
    device: str
    serial: str
    symptom: str
    work: str
    price_cents: int | None
    before_c: float | None
    after_c: float | None


class PastCountsOut(Out):
    """Rows by what would become of them."""

    new: int = 0
    twice: int = 0
    known: int = 0
    faulty: int = 0


class PastImportOut(Out):
    """A list that was brought."""

    id: uuid.UUID
    version: int
    file_name: str
    state: str
    made_at: datetime
    taken_at: datetime | None
    undone_at: datetime | None
    counts: PastCountsOut | None


class PastImportsOut(Out):
    lists: list[PastImportOut]


class PastListOut(PastImportOut):
    """A list as it would come in: its columns and a page of its rows."""

    columns: list[ColumnView]
    rows: list[PastRowOut]
    rows_total: int
    sheet: str
    sheets: list[str]
    day_order: str
    day_order_said: bool
    needs_order: bool
    kind: str
    notices: list[str]
    roles: list[PastRoleOut]


class PastTakenBackOut(PastImportOut):
    """A list that was taken back, and the jobs that stay since somebody has worked on them."""

    stay: list[int]


class PastCellOut(Out):
    """A cell by its heading."""

    name: str
    text: str


class PastToldOut(Out):
    """What the row of a list said: the list, its line, its cells by heading."""

    file_name: str
    line: int
    cells: list[PastCellOut]


class PastTellIn(In):
    """What the columns of a list are. roles: for each column, null for what is left out; none at all to guess."""

    version: Whole
    roles: list[PastRole | None] | None = Field(default=None, max_length=LIST_COLUMNS_MOST)
    sheet: Medium = ""
    day_order: DayOrder = DayOrder.UNKNOWN
    kind: Kind


class PastVersionIn(In):
    version: Whole


class PastProgressOut(Out):
    """Rows that are written, of all that will be; nought of nought while nothing is."""

    done: int
    total: int
