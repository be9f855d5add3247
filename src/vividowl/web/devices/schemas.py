"""Devices with their visits."""

from __future__ import annotations

import uuid
from datetime import date, datetime

from vividowl.web.fields import In, Out
from vividowl.web.jobs.schemas import DeviceFields


class DeviceRowOut(Out):
    id: uuid.UUID
    kind: str
    maker: str
    model: str
    serial: str
    tag: str
    customer: str
    visits: int
    last_on: date | None


class MayBeOneOut(Out):
    devices: list[DeviceRowOut]


class DevicePage(Out):
    devices: list[DeviceRowOut]
    total: int
    may_be_one: list[MayBeOneOut]


class FigureOut(Out):
    resistance_k_per_w: float
    u95_k_per_w: float
    settled: bool
    # What stood above its limit.
    hot: list[str]


class FittedItemOut(Out):
    target: str
    kind: str
    product: str
    lot: str


class VisitOut(Out):
    job_id: uuid.UUID
    number: int
    on: date
    months: float
    symptom: str
    handed_over: bool
    verdict: str | None
    before: FigureOut | None
    after: FigureOut | None
    fitted: list[FittedItemOut]


class DriftOut(Out):
    slope_k_per_w_month: float
    u95_k_per_w_month: float | None
    shown: bool
    months_to_limit: float | None
    months_to_limit_low: float | None
    months_to_limit_high: float | None
    reason: str


class ChangeOut(Out):
    id: uuid.UUID
    at: datetime
    visits: int
    here: bool


class DeviceOut(Out, DeviceFields):
    id: uuid.UUID
    version: int
    customer: str
    customer_contact: str
    visits: list[VisitOut]
    drift: DriftOut | None
    limit_k_per_w: float | None
    lost_percent: float | None
    advice: str
    reasons: list[str]
    changes: list[ChangeOut]


class MergeIn(In):
    other: uuid.UUID


class SplitIn(In):
    job: uuid.UUID
