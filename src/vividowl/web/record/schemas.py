"""Fit, verdict, hand-over and record."""

from __future__ import annotations

import uuid
from datetime import date, datetime
from typing import Annotated

from pydantic import Field

from vividowl.core.response.ladder import Ladder
from vividowl.core.verdict.headline import Phrase
from vividowl.core.verdict.plain import Plain
from vividowl.service.attempts.side_by_side import Row
from vividowl.service.record.record import Lines
from vividowl.service.record.versions import VersionTold
from vividowl.web.fields import In, Out
from vividowl.web.jobs.schemas import FitItemOut, GlanceOut
from vividowl.web.measure.schemas import ReadingOut


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
    bearing_words: str
    text: str


class AssumptionOut(Out):
    """What an answer rests on. standing: checked, noted, doubtful or unknown; carries: it could be what is claimed."""

    name: str
    words: str
    standing: str
    standing_words: str
    why: str
    remedy: str
    carries: bool


class SensorOut(Out):
    """A temperature by itself. limit_noted: by the shop, else the usual one from memory; difference_k: at equal work,
    fan and room; tells: it says something beside the die."""

    role: str
    words: str
    short_words: str
    limit_c: float | None
    limit_noted: bool
    before_c: float
    after_c: float
    difference_k: float | None
    u95_k: float | None
    over_limit_k: float | None
    shown: str
    tells: bool


class VerdictOut(Out):
    verdict: str
    headline: str
    phrases: list[Phrase]
    assumes: list[str]
    rests_on: list[AssumptionOut] = Field(default_factory=list)
    sensors: list[SensorOut] = Field(default_factory=list)
    hidden_gain_k: float | None
    showable_k: float | None
    reasons: list[str]
    notes: list[str]
    exhaust: str | None
    exhaust_explained: bool | None
    effects: list[EffectOut]
    conditions: list[ConditionOut]
    before_ladder: Ladder | None
    after_ladder: Ladder | None
    culprit: str | None
    before_reading: ReadingOut
    after_reading: ReadingOut


class RecordQuery(In):
    """Which version; the latest unless one is asked for."""

    version: Annotated[int, Field(ge=1, le=100_000)] | None = None


class AgreedOut(Out):
    """A hazard that somebody accepted by name."""

    rule: str
    reason: str
    acknowledged_by: str
    acknowledged_at: datetime
    words: str


class RecordJobOut(Out):
    """What a record says of its job. No more leaves the house."""

    id: uuid.UUID
    number: int
    customer_name: str
    customer_contact: str
    kind: str
    maker: str
    model: str
    serial: str
    symptom: str
    fit_note: str
    price_cents: int | None
    next_service_on: date | None
    handover_note: str
    handed_over_at: datetime | None
    updated_at: datetime
    stage: str
    gates: list[AgreedOut]
    glance_before: GlanceOut
    glance_after: GlanceOut
    verdict: str | None


class RecordOut(Out):
    """version: None for a draft, of a job that is not handed over; versions: all that there are, the latest first."""

    version: VersionTold | None
    versions: list[VersionTold] = Field(default=[])
    language: str
    job: RecordJobOut
    shop_name: str
    currency: str
    lead: str
    done: list[str]
    items: list[FitItemOut]
    bench: list[str]
    attempts: list[Row]
    before_photo: str | None
    after_photo: str | None
    # A second pair, where one was taken; records kept before there could be one know nothing of it.
    earlier_before_photo: str | None = None
    earlier_after_photo: str | None = None
    verdict: VerdictOut | None
    planned_cents: int | None
    proposed_service_on: date
    proposed_service_reason: str
    held_again_on: date | None
    plain: Plain | None
    after_care: list[str]
    warranty_until: date | None
    heat_cycles: int
    promise: str
    chart: Lines | None
