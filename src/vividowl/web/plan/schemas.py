"""Plan: what was found, the options, and what was taken."""

from __future__ import annotations

import uuid
from datetime import datetime
from typing import Annotated, Literal

from pydantic import Field

from vividowl.web.fields import Flag, In, Number, Out, Short, Whole

Goal = Literal["cooler", "quieter", "faster", "cheaper", "longest_rest"]


class GapSpotIn(In):
    target: Short
    how: Short
    reading_mm: Number
    tolerance_mm: Number = 0.05
    width_mm: Number
    length_mm: Number
    count: Whole = 1
    together: Flag = False


class ShimSpotIn(In):
    package_width_mm: Number
    package_length_mm: Number
    die_width_mm: Number
    die_length_mm: Number
    shim_width_mm: Number
    shim_length_mm: Number
    shim_mm: Number
    pad_mm: Number
    pad_conductivity: Number
    power_w: Number
    offset_x_mm: Number = 0.0
    offset_y_mm: Number = 0.0
    neighbours_mm: Number | None = None
    bond: Short = "glue"


class BathSpotIn(In):
    method: Short
    area_cm2: Number
    target_um: Number = 20.0
    temperature_c: Number = 70.0
    rate_um_h: Number | None = None
    current_density_a_dm2: Number | None = None


class CoverSpotIn(In):
    material: Short
    thickness_mm: Number
    width_mm: Number
    length_mm: Number
    pad_width_mm: Number
    pad_length_mm: Number
    pad_conductivity: Number
    gap_mm: Number | None = None
    gap_tolerance_mm: Number = 0.1
    battery_mm: Number | None = None


class FoundIn(In):
    cpu_die_width_mm: Number | None = None
    cpu_die_length_mm: Number | None = None
    gpu_die_width_mm: Number | None = None
    gpu_die_length_mm: Number | None = None
    old_interface: Short = "unknown"
    dust: Short = "unknown"
    fan_state: Short = "unknown"
    pads_state: Short = "unknown"
    gap_filler: Short = "pads"
    cold_plate: Short = "unknown"
    aluminium_near: Short = "unknown"
    parts_exposed: Short = "unknown"
    insulation: Short = "none"
    carried: Flag = False
    place: Short = "desk"
    gaps: Annotated[list[GapSpotIn], Field(max_length=20, default_factory=list)]
    shim: ShimSpotIn | None = None
    cover: CoverSpotIn | None = None
    undervolt_mv: Number = 0.0
    cap_w: Number | None = None
    opens_mains: Flag = False
    plating: Flag = False
    bath: BathSpotIn | None = None


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


class GapSpotOut(Out):
    target: str
    how: str
    reading_mm: float
    tolerance_mm: float
    width_mm: float
    length_mm: float
    count: int
    together: bool


class ShimSpotOut(Out):
    package_width_mm: float
    package_length_mm: float
    die_width_mm: float
    die_length_mm: float
    shim_width_mm: float
    shim_length_mm: float
    shim_mm: float
    pad_mm: float
    pad_conductivity: float
    power_w: float
    offset_x_mm: float
    offset_y_mm: float
    neighbours_mm: float | None
    bond: str


class BathSpotOut(Out):
    method: str
    area_cm2: float
    target_um: float
    temperature_c: float
    rate_um_h: float | None
    current_density_a_dm2: float | None


class CoverSpotOut(Out):
    material: str
    thickness_mm: float
    width_mm: float
    length_mm: float
    pad_width_mm: float
    pad_length_mm: float
    pad_conductivity: float
    gap_mm: float | None
    gap_tolerance_mm: float
    battery_mm: float | None


class FoundOut(Out):
    cpu_die_width_mm: float | None
    cpu_die_length_mm: float | None
    gpu_die_width_mm: float | None
    gpu_die_length_mm: float | None
    old_interface: str
    dust: str
    fan_state: str
    pads_state: str
    gap_filler: str
    cold_plate: str
    aluminium_near: str
    parts_exposed: str
    insulation: str
    carried: bool
    place: str
    gaps: list[GapSpotOut]
    shim: ShimSpotOut | None
    cover: CoverSpotOut | None
    undervolt_mv: float
    cap_w: float | None
    opens_mains: bool
    plating: bool
    bath: BathSpotOut | None


class IntervalOut(Out):
    """Median with the ends of an 80 % interval."""

    low: float
    median: float
    high: float


class PlanGateOut(Out):
    rule: str
    severity: str
    reason: str
    remedy: str


class DropOut(Out):
    school: str
    strokes: int
    stroke_mm: float
    diameter_mm: float


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
    together: bool
    school: str | None
    school_reason: str
    drop: DropOut | None
    lacks: str
    stock: str
    lot_id: uuid.UUID | None
    lot: str
    left: float | None
    price_cents: float | None


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
    resistance: IntervalOut
    die_c: IntervalOut
    gain_k: IntervalOut
    watts: IntervalOut | None
    gain_w: IntervalOut | None
    noise_db: IntervalOut | None
    noise_floor: bool
    reason: str
    as_good: bool
    gates: list[PlanGateOut]
    blocked: bool
    parts: list[PartOut]
    stock: str
    parts_cents: int
    work_cents: int
    tax_cents: int
    total_cents: int
    priced: bool
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
    resistance: IntervalOut
    die_c: IntervalOut
    watts: IntervalOut | None
    total_cents: int
    by: str
    at: datetime


class OutcomeOut(Out):
    """After over the prediction, at the fan speed of Before."""

    resistance: float
    resistance_u95: float
    die_c: float | None
    watts: float | None
    inside: bool


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
    chosen: ChosenOut | None
    outcome: OutcomeOut | None
    notes: list[WorkedOut]
    currency: str
