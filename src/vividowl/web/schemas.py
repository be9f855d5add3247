"""What goes in and out, with units in the names. Unknown keys are refused."""

from __future__ import annotations

import uuid
from datetime import date, datetime
from typing import Annotated, Literal

from pydantic import BaseModel, ConfigDict, Field, StringConstraints

_NO_NUL = r"^[^\x00]*$"


Name = Annotated[str, StringConstraints(max_length=120, min_length=1, pattern=_NO_NUL, strip_whitespace=True)]
Short = Annotated[str, StringConstraints(max_length=80, pattern=_NO_NUL, strip_whitespace=True)]
Medium = Annotated[str, StringConstraints(max_length=200, pattern=_NO_NUL, strip_whitespace=True)]
Long = Annotated[str, StringConstraints(max_length=2000, pattern=_NO_NUL, strip_whitespace=True)]
Number = Annotated[float, Field(allow_inf_nan=False)]
Kind = Literal["laptop", "console", "handheld", "other"]
Side = Literal["before", "after"]
Target = Literal["cpu_die", "gpu_die", "memory", "regulators", "inductors", "cover", "other"]
InterfaceKind = Literal["paste_soft", "paste_stiff", "phase_change_sheet", "phase_change_paste", "gallium_alloy",
                        "pad", "putty", "heat_glue", "copper_shim"]  # fmt: skip
Cleaned = Literal["fins", "fan", "contact", "vents", "old_interface", "pads_checked"]


class In(BaseModel):
    """Comes in: strict about names."""

    model_config = ConfigDict(extra="forbid")


class Out(BaseModel):
    """Goes out: read off rows and values."""

    model_config = ConfigDict(from_attributes=True, json_schema_serialization_defaults_required=True)


# --- session -----------------------------------------------------------------------------------------------


class SignInIn(In):
    login: Short
    password: Annotated[str, StringConstraints(max_length=200)]


class SetUpIn(In):
    code: Short
    shop_name: Name
    name: Name
    login: Short
    password: Annotated[str, StringConstraints(max_length=200)]


class PersonOut(Out):
    name: str
    role: str
    shop_name: str
    demo: bool
    currency: str


class SessionOut(Out):
    person: PersonOut | None
    demo_available: bool
    set_up_needed: bool
    csrf_token: str


# --- shop --------------------------------------------------------------------------------------------------


class TolerancesIn(In):
    die_sensor_k: Number
    probe_k: Number
    room_k: Number
    run_to_run_k: Number
    power_share: Number
    clock_share: Number
    noise_db: Number
    noise_room_db_per_k: Number
    result_share: Number


class TolerancesOut(Out):
    die_sensor_k: float
    probe_k: float
    room_k: float
    run_to_run_k: float
    power_share: float
    clock_share: float
    noise_db: float
    noise_room_db_per_k: float
    result_share: float


class ShopIn(In):
    reference_room_c: Number
    tolerances: TolerancesIn


class ShopOut(Out):
    name: str
    reference_room_c: float
    tolerances: TolerancesOut
    usual: TolerancesOut


# --- jobs --------------------------------------------------------------------------------------------------


class IntakeIn(In):
    customer_name: Name
    customer_contact: Medium = ""
    kind: Kind
    maker: Short = ""
    model: Name
    symptom: Long = ""
    age_months: int | None = None
    months_since_service: int | None = None
    surroundings: Literal["normal", "dusty", "pets", "smoke", "unknown"] = "unknown"
    lives: Medium = ""
    warranty: Literal["running", "over", "unknown"] = "unknown"
    seal: Literal["intact", "broken", "none", "unknown"] = "unknown"
    backup_done: Literal["yes", "no", "unknown"] = "unknown"
    battery_swollen: bool = False
    liquid_damage: bool = False
    factory_interface: Short = ""
    power_limit_cpu_w: Number | None = None
    power_limit_gpu_w: Number | None = None
    limit_c: Number | None = None


class IntakeUpdateIn(IntakeIn):
    version: int


class AcknowledgeIn(In):
    rule: Short
    words: Annotated[str, StringConstraints(max_length=400, pattern=_NO_NUL)]


class GateOut(Out):
    rule: str
    severity: str
    reason: str
    remedy: str
    acknowledged_by: str | None
    acknowledged_at: datetime | None
    words: str | None


class GlanceOut(Out):
    """What the owl shows of one side."""

    measured: bool = False
    rise_k: float | None = None
    noise_db: float | None = None
    held_share: float | None = None


class JobOut(Out):
    id: uuid.UUID
    number: int
    version: int
    customer_name: str
    customer_contact: str
    kind: str
    maker: str
    model: str
    symptom: str
    age_months: int | None
    months_since_service: int | None
    surroundings: str
    lives: str
    warranty: str
    seal: str
    backup_done: str
    battery_swollen: bool
    liquid_damage: bool
    factory_interface: str
    power_limit_cpu_w: float | None
    power_limit_gpu_w: float | None
    limit_c: float | None
    cleaned: list[str]
    fit_note: str
    fit_done: bool
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
    gates: list[GateOut]
    glance_before: GlanceOut
    glance_after: GlanceOut
    verdict: str | None


class JobPage(Out):
    jobs: list[JobOut]
    total: int


class SuggestionsOut(Out):
    suggestions: list[str]


# --- runs --------------------------------------------------------------------------------------------------


class RunIn(In):
    version: int
    room_c: Number | None = None
    load_recipe: Medium = ""
    duration_min: Number | None = None
    fan_setting: Short = ""
    power_profile: Short = ""
    placement: Annotated[str, StringConstraints(max_length=120, pattern=_NO_NUL, strip_whitespace=True)] = ""
    start: Literal["", "cold", "warm"] = ""
    firmware: Short = ""
    tuning: Annotated[str, StringConstraints(max_length=120, pattern=_NO_NUL, strip_whitespace=True)] = ""
    fan_blades: Annotated[int, Field(ge=0, le=10_000)] | None = None
    result_score: Number | None = None
    result_duration_s: Number | None = None
    result_frame_rate: Number | None = None


class WindowIn(In):
    from_s: Number | None
    to_s: Number | None


class NoiseIn(In):
    level_db: Number
    background_db: Number | None = None
    place: Short = ""
    distance_m: Number | None = None


class SpotIn(In):
    spot: Literal["exhaust", "skin", "heatsink"]
    reading_c: Number
    place: Short = ""


class MappingIn(In):
    """Header to role; null takes the role away."""

    roles: dict[str, str | None]


class NoiseOut(Out):
    id: uuid.UUID
    level_db: float
    background_db: float | None
    place: str
    distance_m: float | None


class SpotOut(Out):
    id: uuid.UUID
    spot: str
    reading_c: float
    place: str


class NoiseFigureOut(Out):
    level_db: float
    upper_bound: bool
    readings: int


class ChannelOut(Out):
    header: str
    role: str | None
    unit: str
    confidence: float
    numeric: bool


class TraceOut(Out):
    id: uuid.UUID
    file_name: str
    sha256: str
    size_bytes: int
    samples: int
    interval_s: float
    duration_s: float
    channels: list[ChannelOut]
    notices: list[str]
    uploaded_at: datetime


class StatisticsOut(Out):
    mean: float
    maximum: float
    p95: float
    standard_error: float


class SpanOut(Out):
    from_s: float
    to_s: float


class PhaseOut(Out):
    chip: str
    from_s: float
    to_s: float


class TermOut(Out):
    resistance: float
    tau_s: float
    resistance_u: float
    tau_u_s: float


class ReadingOut(Out):
    die_role: str
    onset_s: float
    boost_end_s: float
    end_s: float
    load_seen: bool
    from_s: float
    to_s: float
    settled: bool
    remaining_rise_k: float | None
    final_c: float | None
    minutes_needed: float | None
    chosen: bool
    phases: list[PhaseOut]
    cool_from_s: float | None
    cool_to_s: float | None
    throttle_share: float | None
    throttle_spans: list[SpanOut]
    network: list[TermOut]
    stats: dict[str, StatisticsOut]
    power_w: StatisticsOut | None


class RungOut(Out):
    name: str
    drop_k: float
    resistance: float | None
    source: str


class LadderOut(Out):
    room_c: float
    die_c: float
    power: float | None
    rungs: list[RungOut]


class RepeatOut(Out):
    id: uuid.UUID
    file_name: str
    die_c: float
    power: float | None
    settled: bool


class ToneOut(Out):
    frequency_hz: float
    prominence_db: float
    prominent: bool


class BandOut(Out):
    centre_hz: float
    level_db: float


class SoundOut(Out):
    id: uuid.UUID
    file_name: str
    duration_s: float
    reference_db: float | None
    calibrated: bool
    laeq_db: float | None
    lafmax_db: float | None
    l10_db: float | None
    l90_db: float | None
    tones: list[ToneOut]
    bands: list[BandOut]
    fan_rpm: float | None
    blade_pass_hz: float | None
    whines_hz: list[float]
    faults: list[str]


class AirOut(Out):
    exhaust_rise_k: float
    power: float
    flow: float


class RunOut(Out):
    side: str
    version: int
    prefilled: bool
    room_c: float | None
    load_recipe: str
    duration_min: float | None
    fan_setting: str
    power_profile: str
    placement: str
    start: str
    firmware: str
    tuning: str
    trace: TraceOut | None
    noise: list[NoiseOut]
    spots: list[SpotOut]
    noise_figure: NoiseFigureOut | None
    reading: ReadingOut | None
    findings: list[str]
    ladder: LadderOut | None
    culprit: str | None
    trouble: str | None
    fan_blades: int | None
    result_score: float | None
    result_duration_s: float | None
    result_frame_rate: float | None
    repeats: list[RepeatOut]
    sounds: list[SoundOut]
    air: AirOut | None


class ViewOut(Out):
    time_s: list[float]
    values: list[float]
    words: str
    unit: str


# --- fit, verdict, record -----------------------------------------------------------------------------------


class FitIn(In):
    version: int
    cleaned: list[Cleaned] = []
    fit_note: Long = ""
    done: bool


class FitItemIn(In):
    target: Target
    kind: InterfaceKind
    product: Name | Literal[""] = ""
    lot: Annotated[str, StringConstraints(max_length=60, pattern=_NO_NUL, strip_whitespace=True)] = ""
    amount: Number | None = None
    amount_unit: Literal["", "g", "mL", "mm", "pieces"] = ""


class FitItemOut(Out):
    id: uuid.UUID
    target: str
    kind: str
    product: str
    lot: str
    amount: float | None
    amount_unit: str


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
    version: int
    price_cents: Annotated[int, Field(ge=0, le=10_000_000)] | None = None
    next_service_on: date | None = None
    handover_note: Long = ""
    handed_over: bool


class RecordOut(Out):
    job: JobOut
    shop_name: str
    currency: str
    items: list[FitItemOut]
    verdict: VerdictOut | None
    proposed_service_on: date
    proposed_service_reason: str
