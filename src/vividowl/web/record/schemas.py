"""Fit, verdict, hand-over and record."""

from __future__ import annotations

from datetime import date

from vividowl.web.attempts.schemas import AttemptRowOut
from vividowl.web.fields import (
    Out,
)
from vividowl.web.jobs.schemas import FitItemOut, JobOut
from vividowl.web.measure.schemas import LadderOut, ReadingOut


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


class PhraseOut(Out):
    """A piece of the headline. side: before or after for a figure of one side, assumed for what nobody noted."""

    text: str
    side: str


class VerdictOut(Out):
    verdict: str
    headline: str
    phrases: list[PhraseOut]
    assumes: list[str]
    hidden_gain_k: float | None
    showable_k: float | None
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


class PlainOut(Out):
    """What it did before, what it does now, and what that means, for someone who knows nothing of it."""

    before: str
    now: str
    means: list[str]


class RecordOut(Out):
    job: JobOut
    shop_name: str
    currency: str
    items: list[FitItemOut]
    bench: list[str]
    attempts: list[AttemptRowOut]
    before_photo: str | None
    after_photo: str | None
    verdict: VerdictOut | None
    planned_cents: int | None
    proposed_service_on: date
    proposed_service_reason: str
    held_again_on: date | None
    plain: PlainOut | None
    after_care: list[str]
    warranty_until: date | None
    promise: str
