"""Plan: what was found, the options, and what was taken."""

from __future__ import annotations

import uuid
from datetime import datetime
from typing import Annotated

from pydantic import Field

from vividowl.core.job.gates import Gate
from vividowl.core.materials.application import Drop
from vividowl.core.plan.opening import Opening
from vividowl.core.plan.options import Goal
from vividowl.core.plan.prediction import Interval
from vividowl.service.jobs.beside import Answered
from vividowl.service.plan.views import OutcomeView
from vividowl.web.fields import In, Out, Short, Whole
from vividowl.web.plan.found import FoundIn, FoundOut


class PlanIn(In):
    version: Whole
    goal: Goal
    found: FoundIn


class ChoiceIn(In):
    version: Whole
    key: Annotated[str, Field(max_length=140)] | None


class NoteIn(In):
    name: Short
    given: Annotated[dict[str, Annotated[str, Field(max_length=400)]], Field(max_length=20)]


class PartOut(Out):
    target: str
    kind: str
    words: str
    product_id: uuid.UUID | None
    product: str
    amount: float | None
    unit: str
    volume_ul: float | None
    width_mm: float | None
    length_mm: float | None
    count: int
    spare: int
    together: bool
    school: str | None
    school_reason: str
    drop: Drop | None
    lacks: str
    stock: str
    lot_id: uuid.UUID | None
    lot: str
    left: float | None
    price_cents: int | None


class StepOut(Out):
    text: str
    why: str
    wait_min: float
    gear: str


class ProcedureOut(Out):
    name: str
    words: str
    caution: str
    wait_min: float
    steps: list[StepOut]


class SkinOut(Out):
    """low_c and high_c: ends of the 95 % interval; battery_c: over the battery's nearest edge, at its upper end."""

    skin_c: float
    low_c: float
    high_c: float
    limit_c: float
    allowed: bool
    battery_c: float | None


class OptionOut(Out):
    key: str
    words: str
    actions: list[str]
    kind: str | None
    product_id: uuid.UUID | None
    resistance: Interval
    die_c: Interval
    gain_k: Interval
    watts: Interval | None
    gain_w: Interval | None
    noise_db: Interval | None
    noise_floor: bool
    reason: str
    as_good: bool
    gates: list[Gate]
    blocked: bool
    parts: list[PartOut]
    stock: str
    parts_cents: int | None
    work_cents: int
    tax_cents: int | None
    total_cents: int | None
    hands_min: float
    wait_min: float
    life_months: int
    life_reason: str
    procedures: list[ProcedureOut]
    chip_drop_k: float | None
    skin: SkinOut | None


class ChosenOut(Out):
    key: str
    words: str
    held: bool
    resistance: Interval
    die_c: Interval
    watts: Interval | None
    total_cents: int | None
    by: str
    at: datetime


class WorkedOut(Out):
    """Something worked out apart and put into the job."""

    id: uuid.UUID
    name: str
    title: str
    given: dict[str, str]
    lines: list[str]
    by: str
    at: datetime


class GapAdviceOut(Out):
    target: str
    gap_mm: float
    tolerance_mm: float
    stack_mm: list[float]
    putty: bool
    open: bool
    reason: str


class OpeningOut(Out):
    answer: Opening
    reasons: list[str]


class PlanOut(Out):
    version: int
    goal: Goal
    found: FoundOut
    missing: str
    options: list[OptionOut]
    held: bool
    fanless: bool
    before_die_c: float | None
    before_watts: float | None
    measurable_k: float | None
    measurable_w: float | None
    measurable_db: float
    limit_c: float | None
    reference_words: str
    gaps: list[GapAdviceOut]
    heights: str
    shim_drop_k: float | None
    shim_reason: str
    shim_place_mm: list[float]
    chosen: ChosenOut | None
    outcome: OutcomeView | None
    notes: list[WorkedOut]
    opening: OpeningOut | None
    # What the last visit of the device told, while nobody has looked.
    remembered: str
    currency: str
    answer: Answered | None
