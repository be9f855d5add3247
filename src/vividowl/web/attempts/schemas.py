"""Attempts of a job."""

from __future__ import annotations

from datetime import datetime
from typing import Annotated

from pydantic import Field, StringConstraints

from vividowl.core.attempts.causes import Cause, CheckResult
from vividowl.service.attempts.side_by_side import Row
from vividowl.web.fields import NO_NUL, In, Out, Whole
from vividowl.web.jobs.schemas import FitItemOut

Words = Annotated[str, StringConstraints(max_length=400, pattern=NO_NUL, strip_whitespace=True)]
Score = Annotated[Whole, Field(ge=1, le=5)]


class AttemptCauseOut(Out):
    """share: of ten such failures how many; speaks, against: signs in words; opens: its check opens the device."""

    cause: str
    words: str
    share: float
    speaks: list[str]
    against: list[str]
    check: str
    remedy: str
    answer: str
    opens: bool


class AttemptOut(Out):
    number: int
    version: int
    current: bool
    ended_at: datetime | None
    items: list[FitItemOut]
    cleaned: list[str]
    verdict: str | None
    headline: str | None
    failure: str
    promised_low_k_per_w: float | None
    promised_high_k_per_w: float | None
    resistance_k_per_w: float | None
    resistance_u95_k_per_w: float | None
    interface_k_per_w: float | None
    noise_db: float | None
    causes: list[AttemptCauseOut]
    surface_score: int | None
    print_score: int | None
    words: str
    left_words: str


class AttemptsOut(Out):
    """counted: failed attempts of the shop whose cause was found; closed: the one on the bench is closed."""

    attempts: list[AttemptOut]
    rows: list[Row]
    counted: int
    closed: bool


class AttemptIn(In):
    version: Whole
    checks: dict[Cause, CheckResult] = Field(default_factory=dict)
    surface_score: Score | None = None
    print_score: Score | None = None
    words: Words = ""
    left_words: Words = ""
