"""The counter: what goes in and out."""

from __future__ import annotations

import uuid
from datetime import date, datetime
from typing import Annotated, Any, Literal

from pydantic import Field, StringConstraints

from vividowl.core.job.evidence import POINTS_MOST, STROKES_MOST, ConditionPlace, Passcode
from vividowl.web.fields import NO_NUL, Flag, In, Moment, Number, Out, Short, Whole

Text = Annotated[str, StringConstraints(max_length=1000, pattern=NO_NUL)]
Stroke = Annotated[list[Annotated[list[Number], Field(min_length=2, max_length=2)]], Field(max_length=POINTS_MOST)]
Share = Annotated[float, Field(ge=0, le=1)]


class CounterIn(In):
    version: Whole
    accessories: Text = ""
    passcode: Passcode = Passcode.NOT_ASKED
    limit_cents: Annotated[Whole, Field(ge=0, le=10_000_000)] | None = None
    limits: Text = ""
    pick_up_at: Moment | None = None


class SignatureIn(In):
    """words: as they were shown to who signs; strokes: points x, y, both as shares of the pad's width."""

    version: Whole
    what: Literal["consent", "picked_up"]
    name: Annotated[str, StringConstraints(max_length=120, pattern=NO_NUL)]
    words: Annotated[list[Annotated[str, StringConstraints(max_length=4000)]], Field(max_length=20)]
    strokes: Annotated[list[Stroke], Field(max_length=STROKES_MOST)]


class ConditionIn(In):
    photo_id: uuid.UUID
    place: ConditionPlace


class MarkIn(In):
    """A place on a photo, as shares of its width and height."""

    x: Share
    y: Share
    words: Short = ""


class ConditionChangeIn(In):
    place: ConditionPlace
    marks: Annotated[list[MarkIn], Field(max_length=100)] = Field(default=[])
    note: Annotated[str, StringConstraints(max_length=400, pattern=NO_NUL)] = ""
    removed: Flag = False


class QuoteIn(In):
    keys: Annotated[list[Annotated[str, StringConstraints(max_length=200, pattern=NO_NUL)]], Field(max_length=12)]
    days: Whole = 14
    words: Text = ""


class AnswerIn(In):
    """key: of the option that is accepted; empty for none of them."""

    key: Annotated[str, StringConstraints(max_length=200, pattern=NO_NUL)]
    words: Text = ""


class MarkOut(Out):
    x: float
    y: float
    words: str


class ConditionPhotoOut(Out):
    id: uuid.UUID
    photo_id: uuid.UUID
    place: str
    marks: list[MarkOut]
    note: str


class SignedOut(Out):
    """Word for word what was signed, by whom and when, and the strokes."""

    words: list[str]
    name: str
    at: datetime
    by: str
    strokes: list[list[list[float]]]


class OfferOut(Out):
    key: str
    title: str
    expected: str
    takes: str
    price_cents: int | None


class QuoteOut(Out):
    """state: open, accepted, declined, withdrawn or over. address, drawing: where it is answered."""

    id: uuid.UUID
    number: int
    made_at: datetime
    good_until: date
    options: list[OfferOut]
    words: str
    state: str
    answer: str | None
    answer_words: str
    answered_at: datetime | None
    address: str
    drawing: str


class CounterOut(Out):
    version: int
    accessories: str
    passcode: str
    limit_cents: int | None
    limits: str
    pick_up_at: datetime | None
    conditions: list[ConditionPhotoOut]
    consent_words: list[str]
    consent: SignedOut | None
    pick_up_words: list[str]
    picked_up: SignedOut | None
    quotes: list[QuoteOut]


class OfferedOut(Out):
    """A quote as whoever holds its link sees it."""

    shop_name: str
    number: int
    device: str
    customer_name: str
    currency: str
    language: str
    good_until: date
    options: list[OfferOut]
    words: str
    state: str
    answer: str | None
    answered_at: datetime | None


def plain(signed: dict[str, Any] | None) -> SignedOut | None:
    """What was signed."""
    return SignedOut.model_validate(signed) if signed else None
