"""What the core has to say: a code and its values. The sentence is made at the edge, from the message files."""

from __future__ import annotations

from collections.abc import Iterable
from dataclasses import dataclass
from datetime import date
from typing import TypeAlias


@dataclass(frozen=True)
class Message:
    """A message by its code, with the values of its variables. It has no words of its own."""

    code: str
    values: tuple[tuple[str, Value], ...] = ()

    def __str__(self) -> str:
        """Its code and values, for those who look for a fault: no sentence for a reader."""
        return f"{self.code}({', '.join(f'{n}={v}' for n, v in self.values)})" if self.values else self.code

    def value(self, name: str) -> Value:
        """One of its values.

        name: of the variable [text]
        returns: what it was made with, None when it has no such variable
        """
        return dict(self.values).get(name)


@dataclass(frozen=True)
class Several:
    """Words one after another. by: comma, and, or, semicolon, space, or none for nothing between them."""

    items: tuple[Value, ...]
    by: str = "comma"

    def __bool__(self) -> bool:
        """Nothing is said where there is nothing to say."""
        return bool(self.items)

    def __str__(self) -> str:
        """The items, for those who look for a fault."""
        return " | ".join(str(i) for i in self.items)


# A plain text is a name, or what somebody typed: it stays as it is in every language.
Words: TypeAlias = str | Message | Several
Value: TypeAlias = Words | float | bool | date | None


def say(code: str, /, **values: Value) -> Message:
    """A message by its code.

    code: of a message in the message files [text]
    values: its variables; a number stays a number, the message says how it is written
    """
    return Message(code, tuple(values.items()))


def remedy_of(words: Words) -> Words:
    """What to do about it: an attribute of the same message, so that a refusal and its remedy are one thing.

    words: of a refusal
    returns: its remedy; nothing where the words are no message, an empty sentence where the message has none
    source: decision 53
    """
    if not isinstance(words, Message) or "." in words.code:
        return ""  # an attribute has none of its own
    return Message(f"{words.code}.remedy", words.values)


def listed(items: Iterable[Value], by: str = "comma") -> Several:
    """Words one after another.

    items: words or numbers (n,)
    by: comma, and, or, semicolon, space, or none for nothing between them [text]
    """
    return Several(tuple(items), by)
