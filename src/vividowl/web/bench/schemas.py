"""The bench: events in, steps, map, waits and what is open out; photos; models."""

from __future__ import annotations

import uuid
from datetime import datetime
from typing import Any

from vividowl.core.bench.fasteners import Pass
from vividowl.core.bench.first_power import Cause
from vividowl.core.bench.log.close import Blocker
from vividowl.core.bench.log.state import BenchState, Note, Outcome, PhotoUse, PowerOn
from vividowl.service.bench.view import Orders
from vividowl.service.jobs.today import RunningWait
from vividowl.web.fields import In, Number, Out, Short


class GuardOut(Out):
    """hard: no story lifts it."""

    rule: str
    hard: bool
    needs: list[str]
    bars: list[str]
    reason: str
    remedy: str


class AskOut(Out):
    """What a step asks to be measured."""

    words: str
    unit: str
    low: float
    high: float


class BenchStepOut(Out):
    id: str
    stage: str
    text: str
    why: str
    tool: str
    material: str
    caution: str
    acts: list[str]
    cancels: list[str]
    makes: list[str]
    held: bool
    skippable: bool
    alone: bool
    # Pads of the map that it lays.
    pads: list[str]
    asks: AskOut | None
    takes_out: list[str]
    puts_in: list[str]
    wait: str
    wait_min: float
    after_waits: list[str]
    shows: str
    photo: bool
    own: bool
    guards: list[GuardOut]
    outcome: Outcome | None
    hands_min: float | None
    waited_min: float | None


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


class PlaceOut(ModelPlaceOut):
    words: str
    is_out: bool
    was_out: int | None
    explained: str
    guards_out: list[GuardOut]
    guards_in: list[GuardOut]


class ScrewClassOut(Out):
    letter: str
    shape: str
    words: str
    length_mm: float | None
    drive: str
    head: str
    count: int


class WaitOut(Out):
    id: str
    wait: str
    words: str
    step: str
    began: datetime
    due: datetime
    ended: datetime | None
    reason: str


class BreachOut(Out):
    id: str
    rule: str
    reason: str
    step: str
    words: str
    at: datetime
    by: str
    check: str
    checked: str


class MishapOut(Out):
    id: str
    what: str
    title: str
    recovery: list[str]
    step: str
    words: str
    at: datetime
    by: str
    check: str
    checked: str


class SeenOut(Out):
    id: str
    part: str
    seen: str
    part_words: str
    seen_words: str
    follows: str
    sound: bool
    words: str
    photo: str
    at: datetime


class BenchEventOut(Out):
    """An event that counts, or that was taken back: what was told, what the rules made of it, and in words."""

    id: str
    kind: str
    data: dict[str, Any]
    made: dict[str, Any]
    at: datetime
    by: str
    words: str


class RefusedOut(Out):
    id: uuid.UUID
    kind: str
    at: datetime
    by: str
    detail: str
    remedy: str


class TakenOptionOut(Out):
    """What the plan promises now, by which a finding shows what it changed."""

    key: str
    words: str


class BenchOut(Out):
    job_id: uuid.UUID
    number: int
    now: datetime
    begun: datetime | None
    closed: datetime | None
    has_battery: bool
    checks: list[str]
    facts: list[str]
    steps: list[BenchStepOut]
    places: list[PlaceOut]
    classes: list[ScrewClassOut]
    orders: list[Orders]
    passes: list[Pass]
    outline: str
    leftover: int
    leftover_words: str
    waits: list[WaitOut]
    breaches: list[BreachOut]
    mishaps: list[MishapOut]
    found: list[SeenOut]
    photos: list[PhotoUse]
    power: list[PowerOn]
    causes: list[Cause]
    notes: list[Note]
    blockers: list[Blocker]
    # The state before the recent events: with them a page goes back and forth by itself.
    base: BenchState
    recent: list[BenchEventOut]
    undone: list[BenchEventOut]
    refused: list[RefusedOut]
    plan_changed: bool
    chosen: TakenOptionOut | None
    model_id: uuid.UUID | None
    model_places: int
    hands_min: float | None
    waited_min: float


class QuietIn(In):
    """minutes: for how long its alarm is put off; none: somebody has seen it."""

    wait_id: Short
    minutes: Number | None = None


class RunningWaitsOut(Out):
    waits: list[RunningWait]
    now: datetime


class PhotoOut(Out):
    id: uuid.UUID
    width_px: int
    height_px: int
    size_bytes: int
