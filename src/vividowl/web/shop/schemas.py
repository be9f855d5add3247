"""Settings of the shop."""

from __future__ import annotations

from typing import Annotated

from pydantic import Field, StringConstraints

from vividowl.core.quantities.uncertainty import Tolerances
from vividowl.core.runs.repeats import OwnScatter
from vividowl.service.shop.habits import Habits
from vividowl.service.shop.people import Person
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


class ShopOut(Out):
    version: int
    name: str
    currency: str
    reference_room_c: float
    tolerances: Tolerances
    usual: Tolerances
    habits: Habits
    tasks: list[TaskOut]
    predicted: PredictedOut
    own_scatter: OwnScatter | None


class PeopleOut(Out):
    people: list[Person]


class PersonIn(In):
    login: Short
    name: Name
    role: Short
    password: Annotated[str, StringConstraints(max_length=200)]


class ActiveIn(In):
    active: Flag
