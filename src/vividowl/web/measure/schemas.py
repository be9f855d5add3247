"""Before and After: conditions, logs, recordings, readings."""

from __future__ import annotations

import uuid
from datetime import datetime
from typing import Annotated

from pydantic import Field, StringConstraints

from vividowl.core.job.device import Spot, Start
from vividowl.core.reading.reading import Statistics
from vividowl.core.response.ladder import Ladder
from vividowl.core.response.terms import Term
from vividowl.core.sound.spectrum import Band
from vividowl.core.trace.phases import Phase
from vividowl.service.measure.air import AirBalance
from vividowl.service.measure.headline import Headline
from vividowl.service.measure.runs import RepeatView
from vividowl.web.fields import NO_NUL, In, Medium, Number, Out, Short, Whole


class RunIn(In):
    """What was changed: what is left out stays as it is."""

    version: Whole
    room_c: Number | None = None
    load_recipe: Medium = ""
    duration_min: Number | None = None
    fan_setting: Short = ""
    power_profile: Short = ""
    placement: Annotated[str, StringConstraints(max_length=120, pattern=NO_NUL, strip_whitespace=True)] = ""
    start: Start = Start.NOT_NOTED
    firmware: Short = ""
    tuning: Annotated[str, StringConstraints(max_length=120, pattern=NO_NUL, strip_whitespace=True)] = ""
    fan_blades: Annotated[Whole, Field(ge=0, le=10_000)] | None = None
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
    spot: Spot
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


class SpanOut(Out):
    from_s: float
    to_s: float


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
    uncertainty_k: float | None
    chosen: bool
    phases: list[Phase]
    cool_from_s: float | None
    cool_to_s: float | None
    throttle_share: float | None
    throttle_spans: list[SpanOut]
    network: list[Term]
    stats: dict[str, Statistics]
    power_w: Statistics | None


class ToneOut(Out):
    frequency_hz: float
    prominence_db: float
    prominent: bool


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
    bands: list[Band]
    fan_rpm: float | None
    blade_pass_hz: float | None
    whines_hz: list[float]
    beside_hz: list[float]
    faults: list[str]
    is_background: bool


class FramesOut(Out):
    id: uuid.UUID
    file_name: str
    frames: int
    duration_s: float
    rate_per_s: float
    slow_rate_per_s: float | None


class RunOut(Out):
    side: str
    version: int
    prefilled: bool
    places_offered: list[str]
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
    # That nothing is wrong, where that is known.
    lead: str
    ladder: Ladder | None
    culprit: str | None
    trouble: str | None
    fan_blades: int | None
    result_score: float | None
    result_duration_s: float | None
    result_frame_rate: float | None
    repeats: list[RepeatView]
    sounds: list[SoundOut]
    air: AirBalance | None
    frames: list[FramesOut]
    headline: Headline


class ViewOut(Out):
    time_s: list[float]
    values: list[float]
    words: str
    unit: str
