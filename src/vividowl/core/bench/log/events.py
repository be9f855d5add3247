"""Events of the bench: what each kind carries, and what is refused before it is looked at any further."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass, field
from datetime import datetime
from enum import StrEnum
from typing import Any, TypeVar

from vividowl.core.bench.interlocks import RULES_NOW
from vividowl.core.quantities.errors import CoreError
from vividowl.core.quantities.words import Words, listed, say

_F = TypeVar("_F")


class BenchRefused(CoreError):  # noqa: N818 - reads as what it says
    """An event cannot be. reason: in one word for a program; rule: of the interlock that it would break."""

    def __init__(
        self, message: Words, *, reason: str, remedy: Words | None = None, rule: str = "", field: str = ""
    ) -> None:
        super().__init__(message, field=field, remedy=remedy)
        self.reason = reason
        self.rule = rule


# Of what is stored: 1 carried what was told and nothing else, 2 carries what the rules of its day made of it, too.
VERSION = RULES_NOW


@dataclass(frozen=True, kw_only=True)
class BenchCommand:
    """What somebody tells. id: RFC 9562 identifier, given where it happened; at: when, by the server's clock; by:
    who."""

    id: str
    kind: str
    data: Mapping[str, Any]
    at: datetime
    by: str = ""


@dataclass(frozen=True, kw_only=True)
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
    """
    return BenchCommand(id=event.id, kind=event.kind, data=event.data, at=event.at, by=event.by)


# Signs of what is told, signs of a name, entries of a list; limits of the product.
TEXT_MOST, NAME_MOST, LIST_MOST = 400, 80, 600
_WORDS_LEAST = 4
TEXT, NAME, NUMBER, WHOLE, TABLE, ROWS = "text", "name", "number", "whole", "table", "list"


class When(StrEnum):
    """Beside while the work of a job goes on: before its list has begun, while it is stopped for its battery, after it
    was closed."""

    BEFORE_BEGIN = "before_begin"
    WHILE_STOPPED = "while_stopped"
    AFTER_CLOSE = "after_close"


class By(StrEnum):
    """Who makes it."""

    TABLET = "tablet"
    SERVER = "server"


@dataclass(frozen=True, kw_only=True)
class EventKind:
    """All that holds of a kind of event; none of it has a usual value, so that nothing is left out in silence.

    fields: by name its type and whether it must be there; also: when it may happen beside while the work goes on; by:
    who makes it; effect: whether it changes something beside the log, which undo takes back.
    """

    fields: Mapping[str, tuple[str, bool]]
    also: tuple[When, ...]
    by: By
    effect: bool


KINDS: Mapping[str, EventKind] = {
    "begun": EventKind(
        fields={
            "steps": (ROWS, True),
            "places": (ROWS, True),
            "device": (TABLE, True),
            "outline": (NAME, False),
            "plan": (NAME, False),
        },
        also=(When.BEFORE_BEGIN,),
        by=By.SERVER,
        effect=False,
    ),
    "replanned": EventKind(
        fields={"steps": (ROWS, True), "device": (TABLE, True), "plan": (NAME, False)},
        also=(),
        by=By.SERVER,
        effect=False,
    ),
    "attempt": EventKind(
        fields={"number": (WHOLE, True), "steps": (ROWS, True), "device": (TABLE, True), "plan": (NAME, False)},
        also=(When.AFTER_CLOSE,),
        by=By.SERVER,
        effect=True,
    ),
    "step_done": EventKind(
        fields={"step": (NAME, True), "breach": (TEXT, False), "words": (TEXT, False), "value": (NUMBER, False)},
        also=(),
        by=By.TABLET,
        effect=True,
    ),
    "step_skipped": EventKind(
        fields={"step": (NAME, True), "reason": (TEXT, True)}, also=(), by=By.TABLET, effect=False
    ),
    "gone_back": EventKind(fields={"step": (NAME, True)}, also=(), by=By.TABLET, effect=False),
    "step_added": EventKind(
        fields={"step": (TABLE, True), "after": (NAME, False)}, also=(), by=By.TABLET, effect=False
    ),
    "step_moved": EventKind(fields={"step": (NAME, True), "after": (NAME, False)}, also=(), by=By.TABLET, effect=False),
    "place_added": EventKind(fields={"place": (TABLE, True)}, also=(), by=By.TABLET, effect=False),
    "place_changed": EventKind(fields={"place": (TABLE, True)}, also=(), by=By.TABLET, effect=False),
    "place_removed": EventKind(fields={"place": (NAME, True)}, also=(), by=By.TABLET, effect=False),
    "place_out": EventKind(
        fields={"place": (NAME, True), "breach": (TEXT, False)}, also=(), by=By.TABLET, effect=False
    ),
    "place_in": EventKind(
        fields={"place": (NAME, True), "breach": (TEXT, False), "letter": (NAME, False)},
        also=(),
        by=By.TABLET,
        effect=False,
    ),
    "outline": EventKind(fields={"photo": (NAME, False)}, also=(), by=By.TABLET, effect=False),
    "leftover": EventKind(fields={"count": (WHOLE, True), "words": (TEXT, False)}, also=(), by=By.TABLET, effect=False),
    "explained": EventKind(fields={"place": (NAME, True), "words": (TEXT, True)}, also=(), by=By.TABLET, effect=False),
    "found": EventKind(
        fields={"part": (NAME, True), "seen": (NAME, True), "words": (TEXT, False), "photo": (NAME, False)},
        also=(When.WHILE_STOPPED,),
        by=By.TABLET,
        effect=True,
    ),
    "wait_started": EventKind(
        fields={"wait": (NAME, True), "minutes": (NUMBER, False), "step": (NAME, False)},
        also=(When.BEFORE_BEGIN, When.AFTER_CLOSE),
        by=By.TABLET,
        effect=False,
    ),
    "wait_ended": EventKind(
        fields={"wait": (NAME, True), "reason": (TEXT, False)},
        also=(When.BEFORE_BEGIN, When.WHILE_STOPPED, When.AFTER_CLOSE),
        by=By.TABLET,
        effect=False,
    ),
    "mishap": EventKind(
        fields={"what": (NAME, True), "words": (TEXT, False), "step": (NAME, False), "place": (NAME, False)},
        also=(When.WHILE_STOPPED,),
        by=By.TABLET,
        effect=False,
    ),
    "checked": EventKind(
        fields={"of": (NAME, True), "words": (TEXT, True)}, also=(When.WHILE_STOPPED,), by=By.TABLET, effect=False
    ),
    "power_on": EventKind(
        fields={"results": (TABLE, True), "boot_s": (NUMBER, False), "breach": (TEXT, False)},
        also=(),
        by=By.TABLET,
        effect=False,
    ),
    "photo": EventKind(
        fields={"photo": (NAME, True), "step": (NAME, False), "what": (NAME, True)},
        also=(When.BEFORE_BEGIN, When.WHILE_STOPPED, When.AFTER_CLOSE),
        by=By.TABLET,
        effect=False,
    ),
    "note": EventKind(
        fields={"words": (TEXT, True), "step": (NAME, False)},
        also=(When.BEFORE_BEGIN, When.WHILE_STOPPED, When.AFTER_CLOSE),
        by=By.TABLET,
        effect=False,
    ),
    "closed": EventKind(fields={}, also=(), by=By.TABLET, effect=True),
    "undo": EventKind(fields={"event": (NAME, False)}, also=(When.WHILE_STOPPED,), by=By.TABLET, effect=True),
    "redo": EventKind(fields={"event": (NAME, False)}, also=(When.WHILE_STOPPED,), by=By.TABLET, effect=True),
}


def for_every_kind(functions: Mapping[str, _F], *, besides: tuple[str, ...] = ()) -> Mapping[str, _F]:
    """A function of each kind of event, looked through at import.

    functions: by kind
    besides: kinds that need none
    raises: TypeError naming the kinds that lack one, or have one too many
    """
    odd = sorted(set(KINDS) - set(besides) ^ set(functions))
    if odd:
        raise TypeError(f"events of the bench with a function missing or too many: {', '.join(odd)}")
    return functions


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
    """
    if kind not in KINDS:
        raise BenchRefused(
            say("events-no-event-bench", kind=kind[:40], names=listed(KINDS)), reason="unknown", field="kind"
        )
    fields = KINDS[kind].fields
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
                    say("events-event-lacks", kind=kind, name=name, wanted=say(f"events-type-{wanted}", most=None)),
                    reason="incomplete",
                    field=name,
                )
        elif not _fits(value, wanted):
            most = {TEXT: TEXT_MOST, NAME: NAME_MOST, ROWS: LIST_MOST}.get(wanted)
            right = say(f"events-type-{wanted}", most=most)
            raise BenchRefused(
                say("events-event-no", name=name, kind=kind, right=right, wanted=right), reason="invalid", field=name
            )


def said(words: object, what: Words, example: Words) -> str:
    """Words that say something.

    words: what was typed, or nothing
    what: what they shall say [text]
    example: of such words [text]
    returns: the words without blanks around [text]
    raises: BenchRefused when they say nothing
    """
    text = str(words or "").strip()
    if len(text) < _WORDS_LEAST:
        raise BenchRefused(say("events-says-nothing", what=what, example=example), reason="incomplete", field="words")
    return text
