"""What goes in and out of the models."""

from __future__ import annotations

import uuid

from vividowl.web.bench.schemas import ScrewClassOut
from vividowl.web.bench.told import Told
from vividowl.web.fields import In, Out, Whole


class ModelPlaceOut(Out):
    id: str
    kind: str
    x: float
    y: float
    holds: str
    length_mm: float | None
    drive: str
    head: str
    number: int | None
    note: str
    gap_mm: float | None
    thickness_mm: float | None
    letter: str
    shape: str


class ModelStepOut(Out):
    after: str
    stage: str
    text: str
    why: str


class ModelGapOut(Out):
    target: str
    reading_mm: float
    count: int
    width_mm: float
    length_mm: float


class LearntFoundOut(Out):
    part: str
    seen: str
    times: int


class LearntMinutesOut(Out):
    task: str
    words: str
    hands_min: float
    jobs: int


class ModelOut(Out):
    id: uuid.UUID
    version: int
    maker: str
    model: str
    kind: str
    outline: uuid.UUID | None
    source: str
    jobs: int
    places: list[ModelPlaceOut]
    classes: list[ScrewClassOut]
    steps: list[ModelStepOut]
    cpu_die_width_mm: float | None
    cpu_die_length_mm: float | None
    gpu_die_width_mm: float | None
    gpu_die_length_mm: float | None
    gaps: list[ModelGapOut]
    torque_notes: str
    notes: str
    learnt_jobs: int
    found: list[LearntFoundOut]
    minutes: list[LearntMinutesOut]
    before_rise_k: float | None
    after_rise_k: float | None
    interface_k_per_w: float | None
    total_k_per_w: float | None
    reference: str


class ModelsOut(Out):
    models: list[ModelOut]


class ModelNotesIn(In):
    version: Whole
    torque_notes: Told
    notes: Told


class SpreadOut(Out):
    """n cases: median, and the quartiles between which half of them lie."""

    n: int
    median: float
    low: float
    high: float


class LastingOut(Out):
    """n services that were looked at again, gone of them half lost; months to lose half of the gain, null where that is
    not reached yet."""

    n: int
    gone: int
    median_months: float | None
    low_months: float | None
    high_months: float | None


class KnownOut(Out):
    words: str
    kind: str
    jobs: int
    gain_k_per_w: SpreadOut | None
    minutes: SpreadOut | None
    promised: int
    kept: int
    lasts: LastingOut | None
    looked_again: int


class WhatIsKnownOut(Out):
    """least: cases below which nothing is told."""

    models: list[KnownOut]
    materials: list[KnownOut]
    least: int
