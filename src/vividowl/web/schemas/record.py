"""Fit, verdict, hand-over and record."""

from __future__ import annotations

import uuid
from datetime import date
from typing import Annotated, Literal

from pydantic import Field, StringConstraints

from vividowl.web.schemas.base import (
    NO_NUL,
    Cleaned,
    Day,
    Flag,
    In,
    InterfaceKind,
    Long,
    Name,
    Number,
    Out,
    Target,
    Whole,
)
from vividowl.web.schemas.jobs import JobOut
from vividowl.web.schemas.runs import LadderOut, ReadingOut


class FitIn(In):
    version: Whole
    cleaned: list[Cleaned] = Field(default=[])
    fit_note: Long = ""
    done: Flag


class FitItemIn(In):
    target: Target
    kind: InterfaceKind
    product: Name | Literal[""] = ""
    lot: Annotated[str, StringConstraints(max_length=60, pattern=NO_NUL, strip_whitespace=True)] = ""
    amount: Number | None = None
    amount_unit: Literal["", "g", "mL", "mm", "pieces"] = ""
    lot_id: uuid.UUID | None = None


class FitItemOut(Out):
    id: uuid.UUID
    target: str
    kind: str
    product: str
    lot: str
    amount: float | None
    amount_unit: str
    amount_is: str
    lot_id: uuid.UUID | None


class FitItemsOut(Out):
    items: list[FitItemOut]


class EffectOut(Out):
    quantity: str
    words: str
    unit: str
    before: float | None
    after: float | None
    before_u95: float | None
    after_u95: float | None
    difference: float | None
    u95: float | None
    shown: str
    working: str


class ConditionOut(Out):
    condition: str
    words: str
    before: str | None
    after: str | None
    bearing: str
    text: str


class VerdictOut(Out):
    verdict: str
    headline: str
    assumes: list[str]
    hidden_gain_k: float | None
    showable_k: float | None
    reasons: list[str]
    notes: list[str]
    exhaust: str | None
    exhaust_explained: bool | None
    effects: list[EffectOut]
    conditions: list[ConditionOut]
    before_ladder: LadderOut | None
    after_ladder: LadderOut | None
    culprit: str | None
    before_reading: ReadingOut
    after_reading: ReadingOut


class HandOverIn(In):
    version: Whole
    price_cents: Annotated[Whole, Field(ge=0, le=10_000_000)] | None = None
    next_service_on: Day | None = None
    handover_note: Long = ""
    handed_over: Flag


class RecordOut(Out):
    job: JobOut
    shop_name: str
    currency: str
    items: list[FitItemOut]
    bench: list[str]
    before_photo: str | None
    after_photo: str | None
    verdict: VerdictOut | None
    planned_cents: int | None
    proposed_service_on: date
    proposed_service_reason: str
    held_again_on: date | None
