"""What a tablet tells, and what became of it."""

from __future__ import annotations

import json
import uuid
from typing import Annotated, Any

from pydantic import Field, StringConstraints, field_validator

from vividowl.core.quantities.words import say
from vividowl.web.fields import NO_NUL, Flag, In, Moment, Out, Short, Whole
from vividowl.words import sentence

DATA_MOST = 8000
Told = Annotated[str, StringConstraints(max_length=2000, pattern=NO_NUL)]


class BeginIn(In):
    with_model: Flag = True


class EventIn(In):
    """One thing that happened on a tablet. turn counts its events of this job from 1."""

    id: uuid.UUID
    kind: Short
    data: dict[str, Any]
    turn: Annotated[Whole, Field(ge=1, le=1_000_000)]
    made_at: Moment

    @field_validator("data")
    @classmethod
    def storable(cls, data: dict[str, Any]) -> dict[str, Any]:
        """What cannot be stored is refused whole: an event that is refused by the rules is kept all the same."""
        try:
            text = json.dumps(data, allow_nan=False)
        except ValueError:
            raise ValueError(sentence(say("told-number-in-not-finite"))) from None
        if len(text) > DATA_MOST or "\\u0000" in text:
            raise ValueError(sentence(say("told-holds-more-than-characters-or", data_most=DATA_MOST)))
        return data


class EventsIn(In):
    """sent_at: the tablet's clock as it sends, by which the server tells how long ago things happened."""

    device: Annotated[str, StringConstraints(min_length=1, max_length=60, pattern=NO_NUL)]
    sent_at: Moment
    events: Annotated[list[EventIn], Field(min_length=1, max_length=200)]


class RefusalOut(Out):
    reason: str
    detail: str
    remedy: str
    rule: str
    field: str
    next_turn: int | None = None


class TakenOut(Out):
    id: uuid.UUID
    number: int | None
    again: bool
    refusal: RefusalOut | None
    told: str


class BatchOut(Out):
    taken: list[TakenOut]
    number: int
    clock_off_s: float | None
