"""Shelf: products, lots, offcuts, values with provenance, cut sheets."""

from __future__ import annotations

import uuid
from datetime import date, datetime
from typing import Annotated, Literal

from pydantic import Field, StringConstraints

from vividowl.core.job.device import Target
from vividowl.core.materials.pieces import Box
from vividowl.service.shelf.materials import Lesson, ValueView
from vividowl.web.fields import NO_NUL, Day, Flag, In, Medium, Number, Out, Short, Whole

Code = Annotated[str, StringConstraints(min_length=1, max_length=60, pattern=NO_NUL, strip_whitespace=True)]
ProductName = Annotated[str, StringConstraints(min_length=1, max_length=80, pattern=NO_NUL, strip_whitespace=True)]


class OwnValueIn(In):
    value: Number
    source: Short
    note: Medium = ""


Own = Annotated[dict[str, OwnValueIn], Field(max_length=20, default_factory=dict)]


class ProductIn(In):
    version: Whole = 0
    kind: Short
    name: ProductName
    unit: Short
    own: Own
    price_cents: Whole | None = None
    low_at: Number | None = None
    sheet_width_mm: Number | None = None
    sheet_length_mm: Number | None = None
    thickness_mm: Number | None = None


class LotIn(In):
    code: Code
    held: Number
    received_on: Day
    opened_on: Day | None = None
    expires_on: Day | None = None


class LotUpdateIn(In):
    version: Whole
    opened_on: Day | None = None
    expires_on: Day | None = None
    remaining: Number | None = None
    reason: Annotated[str, StringConstraints(max_length=120, pattern=NO_NUL, strip_whitespace=True)] = ""


class KindIn(In):
    own: Own


class LotOut(Out):
    id: uuid.UUID
    code: str
    held: float
    remaining: float
    version: int
    received_on: date
    opened_on: date | None
    expires_on: date | None
    expired: bool
    expires_soon: bool


class OffcutOut(Out):
    id: uuid.UUID
    number: int
    lot: str
    width_mm: float
    length_mm: float
    taken: list[Box]
    largest: Box


class ProductOut(Out):
    id: uuid.UUID
    version: int
    kind: str
    name: str
    unit: str
    price_cents: int | None
    low_at: float | None
    sheet_width_mm: float | None
    sheet_length_mm: float | None
    thickness_mm: float | None
    remaining: float
    low: bool
    warnings: list[str]
    own_names: list[str]
    values: list[ValueView]
    lots: list[LotOut]
    offcuts: list[OffcutOut]


class KindOut(Out):
    kind: str
    words: str
    for_die: bool
    own_names: list[str]
    values: list[ValueView]


class ShelfOut(Out):
    products: list[ProductOut]
    kinds: list[KindOut]
    lessons: list[Lesson]
    currency: str


class ImportedOut(Out):
    products: int
    lots: int
    shelf: ShelfOut


class MoveOut(Out):
    id: uuid.UUID
    amount: float
    remaining: float
    reason: str
    by: str
    at: datetime


class MovesOut(Out):
    moves: list[MoveOut]


class CutRowIn(In):
    label: Annotated[str, StringConstraints(min_length=1, max_length=40, pattern=NO_NUL, strip_whitespace=True)]
    target: Target
    width_mm: Number
    length_mm: Number
    count: Annotated[Whole, Field(ge=1, le=100)] = 1
    together: Flag = False


class CutIn(In):
    product_id: uuid.UUID
    kerf_mm: Number = 0.2
    rows: Annotated[list[CutRowIn], Field(min_length=1, max_length=40)]


class CutPieceOut(Out):
    label: str
    box: Box


class DrawingOut(Out):
    name: str
    width_mm: float
    length_mm: float
    taken: list[Box]
    pieces: list[CutPieceOut]
    kept: Box | None


class CutOut(Out):
    id: uuid.UUID | None
    product: str
    at: datetime | None
    fits: bool
    waste_share: float
    unplaced: list[str]
    drawings: list[DrawingOut]


class CutsOut(Out):
    cuts: list[CutOut]


CutForm = Literal["svg", "dxf", "pdf"]
