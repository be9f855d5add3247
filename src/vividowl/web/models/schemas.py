"""What goes in and out of the models."""

from __future__ import annotations

import uuid

from vividowl.core.runs.lasting import Lasting, Spread
from vividowl.web.bench.schemas import ModelPlaceOut, ScrewClassOut
from vividowl.web.bench.told import Told
from vividowl.web.fields import In, Out, Whole


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


class KnownOut(Out):
    words: str
    kind: str
    jobs: int
    gain_k_per_w: Spread | None
    minutes: Spread | None
    promised: int
    kept: int
    lasts: Lasting | None
    looked_again: int


class WhatIsKnownOut(Out):
    """least: cases below which nothing is told."""

    models: list[KnownOut]
    materials: list[KnownOut]
    least: int
