"""Jobs, from intake to the bench."""

from __future__ import annotations

import uuid
from datetime import date, datetime
from typing import Annotated, Literal

from pydantic import BaseModel, Field, StringConstraints

from vividowl.core.job.device import Answer, Cleaned, DeviceKind, Seal, Surroundings, Target, Warranty, WhereUsed
from vividowl.service.jobs.intake import GateView
from vividowl.web.fields import (
    NO_NUL,
    Day,
    Flag,
    In,
    InterfaceKind,
    Kind,
    Long,
    Medium,
    Name,
    Number,
    Out,
    Short,
    Whole,
)

# By role; which sensors may have one is said by the use case.
SensorLimits = Annotated[dict[Annotated[str, StringConstraints(max_length=40)], Number], Field(max_length=20)]


class DeviceFields(BaseModel):
    """What a device is."""

    kind: Kind
    maker: Short = ""
    model: Name
    fan: Answer = Answer.UNKNOWN
    factory_interface: Short = ""
    power_limit_cpu_w: Number | None = None
    power_limit_gpu_w: Number | None = None
    power_limit_both_w: Number | None = None
    limit_c: Number | None = None
    sensor_limits: SensorLimits = Field(default_factory=dict)
    serial: Short = ""
    tag: Short = ""
    lidded: Answer = Answer.UNKNOWN


class IntakeFields(DeviceFields):
    """What is noted when a device comes in, of the visit and of the device."""

    customer_name: Name
    customer_contact: Medium = ""
    symptom: Long = ""
    age_months: Whole | None = None
    months_since_service: Whole | None = None
    surroundings: Surroundings = Surroundings.UNKNOWN
    lives: Medium = ""
    place: WhereUsed = WhereUsed.UNKNOWN
    warranty: Warranty = Warranty.UNKNOWN
    seal: Seal = Seal.UNKNOWN
    backup_done: Answer = Answer.UNKNOWN
    battery_swollen: Flag = False
    liquid_damage: Flag = False
    done_on: Day | None = None
    # What the customer reads: the record, the quote, the ticket.
    language: Annotated[str, StringConstraints(pattern=r"^[a-z]{2}$")] = "en"


class IntakeIn(In, IntakeFields):
    device_id: uuid.UUID | None = None
    another_device: Flag = False


class IntakeUpdateIn(IntakeIn):
    """What was changed: what is left out stays as it is."""

    version: Whole
    customer_name: Name = ""
    kind: Kind = DeviceKind.OTHER
    model: Name = ""


class IntakeGatesQuery(In):
    """The part of an intake that can trip a gate."""

    kind: Kind
    backup_done: Answer = Answer.UNKNOWN
    warranty: Warranty = Warranty.UNKNOWN
    seal: Seal = Seal.UNKNOWN
    battery_swollen: bool = False
    liquid_damage: bool = False


class IntakeGateOut(Out):
    rule: str
    severity: str
    reason: str
    remedy: str


class IntakeGatesOut(Out):
    gates: list[IntakeGateOut]


class AcknowledgeIn(In):
    rule: Short
    words: Annotated[str, StringConstraints(max_length=400, pattern=NO_NUL)]


class GlanceOut(Out):
    """What the owl shows of one side."""

    measured: bool = False
    rise_k: float | None = None
    noise_db: float | None = None
    held_share: float | None = None


class JobOut(Out, IntakeFields):
    id: uuid.UUID
    number: int
    version: int
    device_id: uuid.UUID
    cleaned: list[str]
    fit_note: str
    fit_done: bool
    attempt: int
    price_cents: int | None
    next_service_on: date | None
    handover_note: str
    handed_over_at: datetime | None
    created_at: datetime
    updated_at: datetime
    stage: str
    next_step: str
    reachable: list[str]
    done: list[str]
    gates: list[GateView]
    glance_before: GlanceOut
    glance_after: GlanceOut
    verdict: str | None
    failed: bool
    # Whether it was brought in from a list of past jobs.
    from_list: bool
    # Which visit of its device it is, and of how many.
    visit: int
    visits: int


class JobPage(Out):
    jobs: list[JobOut]
    total: int


class SuggestionsOut(Out):
    suggestions: list[str]


class FitIn(In):
    """What was changed: what is left out stays as it is."""

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
    # Records that were kept before it was told apart do not say it.
    spare: int = 0
    lot_id: uuid.UUID | None


class FitItemsOut(Out):
    items: list[FitItemOut]


class HandOverIn(In):
    """What was changed: what is left out stays as it is."""

    version: Whole
    price_cents: Annotated[Whole, Field(ge=0, le=10_000_000)] | None = None
    next_service_on: Day | None = None
    handover_note: Long = ""
    handed_over: Flag
    # What is put right in a record that was handed over.
    why: Annotated[str, StringConstraints(max_length=400, pattern=NO_NUL)] = ""
