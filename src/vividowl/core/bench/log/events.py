"""Events of the bench: what each kind carries, and what is refused before it is looked at any further."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass, field
from datetime import datetime
from typing import Any

from vividowl.core.bench.interlocks import RULES_NOW
from vividowl.core.quantities.errors import CoreError
from vividowl.core.quantities.words import Words, listed, say


class BenchRefused(CoreError):  # noqa: N818 - reads as what it says
    """An event cannot be. reason: in one word for a program; rule: of the interlock that it would break."""

    def __init__(self, message: Words, *, reason: str, remedy: Words = "", rule: str = "", field: str = "") -> None:
        super().__init__(message, field=field, remedy=remedy)
        self.reason = reason
        self.rule = rule


# Of what is stored: 1 carried what was told and nothing else, 2 carries what the rules of its day made of it, too.
VERSION = RULES_NOW


@dataclass(frozen=True)
class BenchCommand:
    """What somebody tells. id: RFC 9562 identifier, given where it happened; at: when, by the server's clock; by:
    who."""

    id: str
    kind: str
    data: Mapping[str, Any]
    at: datetime
    by: str = ""


@dataclass(frozen=True)
class BenchEvent:
    """What happened: a command that the rules of its day let pass, with what they made of it. No rule judges it again.

    made: steps (the list, where it is another one then: an id, or a step in full), broken (rules), wait and minutes
    (that began), acts (of a place or a power-on), step (of the power-on), results (all checks), again (steps that are
    to be done once more)."""

    id: str
    kind: str
    data: Mapping[str, Any]
    at: datetime
    by: str = ""
    made: Mapping[str, Any] = field(default_factory=dict)
    version: int = VERSION


def command_of(event: BenchEvent) -> BenchCommand:
    """What was told when an event happened.

    event: of any version
    returns: BenchCommand
    source: the definition
    """
    return BenchCommand(event.id, event.kind, event.data, event.at, event.by)


# Signs of what is told, signs of a name, entries of a list; limits of the product.
TEXT_MOST, NAME_MOST, LIST_MOST = 400, 80, 600
_WORDS_LEAST = 4
TEXT, NAME, NUMBER, WHOLE, TABLE, ROWS = "text", "name", "number", "whole", "table", "list"

# By kind: field, its type, and whether it must be there.
FIELDS: Mapping[str, Mapping[str, tuple[str, bool]]] = {
    "begun": {
        "steps": (ROWS, True),
        "places": (ROWS, True),
        "device": (TABLE, True),
        "outline": (NAME, False),
        "plan": (NAME, False),
    },
    "replanned": {"steps": (ROWS, True), "device": (TABLE, True), "plan": (NAME, False)},
    "attempt": {
        "number": (WHOLE, True),
        "steps": (ROWS, True),
        "device": (TABLE, True),
        "plan": (NAME, False),
    },
    "step_done": {"step": (NAME, True), "breach": (TEXT, False), "words": (TEXT, False), "value": (NUMBER, False)},
    "step_skipped": {"step": (NAME, True), "reason": (TEXT, True)},
    "gone_back": {"step": (NAME, True)},
    "step_added": {"step": (TABLE, True), "after": (NAME, False)},
    "step_moved": {"step": (NAME, True), "after": (NAME, False)},
    "place_added": {"place": (TABLE, True)},
    "place_changed": {"place": (TABLE, True)},
    "place_removed": {"place": (NAME, True)},
    "place_out": {"place": (NAME, True), "breach": (TEXT, False)},
    "place_in": {"place": (NAME, True), "breach": (TEXT, False), "letter": (NAME, False)},
    "outline": {"photo": (NAME, False)},
    "leftover": {"count": (WHOLE, True), "words": (TEXT, False)},
    "explained": {"place": (NAME, True), "words": (TEXT, True)},
    "found": {"part": (NAME, True), "seen": (NAME, True), "words": (TEXT, False), "photo": (NAME, False)},
    "wait_started": {"wait": (NAME, True), "minutes": (NUMBER, False), "step": (NAME, False)},
    "wait_ended": {"wait": (NAME, True), "reason": (TEXT, False)},
    "mishap": {"what": (NAME, True), "words": (TEXT, False), "step": (NAME, False), "place": (NAME, False)},
    "checked": {"of": (NAME, True), "words": (TEXT, True)},
    "power_on": {"results": (TABLE, True), "boot_s": (NUMBER, False), "breach": (TEXT, False)},
    "photo": {"photo": (NAME, True), "step": (NAME, False), "what": (NAME, True)},
    "note": {"words": (TEXT, True), "step": (NAME, False)},
    "closed": {},
    "undo": {"event": (NAME, False)},
    "redo": {"event": (NAME, False)},
}
KINDS = tuple(FIELDS)
PHOTO_USES = ("before", "after", "step", "map", "found")


def _fits(value: object, kind: str) -> bool:
    if kind in (TEXT, NAME):
        return isinstance(value, str) and len(value) <= (TEXT_MOST if kind == TEXT else NAME_MOST) and "\0" not in value
    if kind == NUMBER:
        return isinstance(value, (int, float)) and not isinstance(value, bool)
    if kind == WHOLE:
        return isinstance(value, int) and not isinstance(value, bool)
    if kind == ROWS:
        return isinstance(value, (list, tuple)) and len(value) <= LIST_MOST
    return isinstance(value, Mapping)


def check_event(kind: str, data: Mapping[str, Any]) -> None:
    """Refuse an event whose kind or fields are not known, missing or of another type.

    kind: a name of KINDS [text]
    data: its fields
    returns: nothing
    raises: BenchRefused naming the field
    source: the table above
    """
    if kind not in FIELDS:
        raise BenchRefused(
            say("events-no-event-bench", kind=kind[:40]),
            reason="unknown",
            field="kind",
            remedy=say("allowed", names=listed(KINDS)),
        )
    fields = FIELDS[kind]
    for name in data:
        if name not in fields:
            raise BenchRefused(
                say("events-does-not-belong-to-event", name=name[:40], kind=kind),
                reason="unknown",
                field=name,
                remedy=say("allowed", names=listed(fields)) if fields else say("events-nothing-allowed"),
            )
    for name, (wanted, needed) in fields.items():
        value = data.get(name)
        if value is None:
            if needed:
                raise BenchRefused(
                    say("events-event-lacks", kind=kind, name=name),
                    reason="incomplete",
                    field=name,
                    remedy=say("events-give-as", wanted=say(f"events-type-{wanted}", most=None)),
                )
        elif not _fits(value, wanted):
            most = {TEXT: TEXT_MOST, NAME: NAME_MOST, ROWS: LIST_MOST}.get(wanted)
            right = say(f"events-type-{wanted}", most=most)
            raise BenchRefused(
                say("events-event-no", name=name, kind=kind, right=right),
                reason="invalid",
                field=name,
                remedy=say("events-give-as", wanted=right),
            )


def said(words: object, what: Words, example: Words) -> str:
    """Words that say something.

    words: what was typed, or nothing
    what: what they shall say [text]
    example: of such words [text]
    returns: the words without blanks around [text]
    raises: BenchRefused when they say nothing
    source: the definition
    """
    text = str(words or "").strip()
    if len(text) < _WORDS_LEAST:
        raise BenchRefused(
            say("events-says-nothing", what=what),
            reason="incomplete",
            field="words",
            remedy=say("events-for-instance", example=example),
        )
    return text
