"""Settings of the shop."""

from __future__ import annotations

import uuid
from typing import Annotated

from pydantic import Field, StringConstraints, field_validator

from vividowl.web.fields import Flag, In, Name, Number, Out, Short, Whole


class TolerancesIn(In):
    die_sensor_k: Number
    room_k: Number
    run_to_run_k: Number
    power_share: Number
    clock_share: Number
    noise_db: Number
    noise_room_db_per_k: Number
    result_share: Number


class TolerancesOut(Out):
    die_sensor_k: float
    room_k: float
    run_to_run_k: float
    power_share: float
    clock_share: float
    noise_db: float
    noise_room_db_per_k: float
    result_share: float


class HabitsIn(In):
    hourly_rate_cents: Whole
    tax_percent: Number
    application_school: Short | None = None
    life_school: Short = "usual"
    hands_min: Annotated[dict[str, Number], Field(max_length=40, default_factory=dict)]
    tighten_percent: Whole = 50
    usual_load: Short = ""
    usual_fan: Short = ""
    work_warranty_months: Whole | None = None
    language: Short = "en"
    customer_address: Short = ""
    link_months: Whole = 24
    zone: Short = "UTC"


class HabitsOut(Out):
    hourly_rate_cents: int
    tax_percent: float
    application_school: str | None
    life_school: str
    hands_min: dict[str, float]
    tighten_percent: int
    usual_load: str
    usual_fan: str
    work_warranty_months: int | None
    language: str
    customer_address: str
    link_months: int
    zone: str

    @field_validator("zone", mode="before")
    @classmethod
    def _key(cls, zone: object) -> str:
        return str(zone)


class ShopIn(In):
    version: Whole
    reference_room_c: Number
    tolerances: TolerancesIn
    habits: HabitsIn


class TaskOut(Out):
    name: str
    words: str
    hands_min: float
    wait_min: float
    learnt_min: float | None
    learnt_jobs: int


class PredictedOut(Out):
    """How often the intervals of the shop's plans held what After measured."""

    jobs: int
    inside: int
    share: float | None
    low: float | None
    high: float | None


class OwnScatterOut(Out):
    """What repeats in this shop scatter by, and what taking it lets show."""

    half_width_k: float
    logs: int
    runs: int
    shown_k: float
    shown_usual_k: float


class ShopOut(Out):
    version: int
    name: str
    currency: str
    reference_room_c: float
    tolerances: TolerancesOut
    usual: TolerancesOut
    habits: HabitsOut
    tasks: list[TaskOut]
    predicted: PredictedOut
    own_scatter: OwnScatterOut | None


class PersonRowOut(Out):
    """Someone who signs in. me: the one who asks."""

    id: uuid.UUID
    login: str
    name: str
    role: str
    active: bool
    me: bool


class PeopleOut(Out):
    people: list[PersonRowOut]


class PersonIn(In):
    login: Short
    name: Name
    role: Short
    password: Annotated[str, StringConstraints(max_length=200)]


class ActiveIn(In):
    active: Flag
