"""A calculator: what goes in, how its text is read, and what is shown of it."""

from __future__ import annotations

import math
import re
from collections.abc import Callable
from dataclasses import dataclass
from typing import Any

from vividowl.core.quantities.words import Words, listed, say

REQUIRED = object()


class UnclearComma(ValueError):  # noqa: N818 - reads as what it says
    """A comma that may part two numbers, or one number from its decimals."""


def number(text: str) -> float:
    """A number with decimal point or comma and a real or a keyboard minus."""
    plain = text.replace("\u2212", "-").replace(" ", "")
    if "," in plain and "." not in plain:
        plain = plain.replace(",", ".")
    return finite(float(plain))


def finite(value: float) -> float:
    """The value, unless it is none."""
    if not math.isfinite(value):
        raise ValueError
    return value


def count(text: str) -> int:
    """A whole number."""
    value = number(text)
    if value != int(value):
        raise ValueError
    return int(value)


def numbers(text: str) -> list[float]:
    """Several numbers. A comma parts them where there is a decimal point or a blank behind it, and is a decimal comma
    where a semicolon or a blank parts them; 45,2,50 is two readings or three, and a person says which."""
    plain = text.strip().replace("\u2212", "-")
    tight = re.search(r"\d,[-+]?\d", plain)
    if tight and "." not in plain:
        if ";" in plain or re.search(r"[^,\s]\s+[^,\s]", plain):
            return [finite(float(part.replace(",", "."))) for part in re.split(r"[;\s]+|,\s+", plain) if part]
        digits = {len(part.strip("+- ")) for part in plain.split(",")}
        if len(digits) > 1 or digits == {1}:
            raise UnclearComma
    return [finite(float(part)) for part in re.split(r"[,;\s]+", plain) if part]


def clock(text: str) -> float:
    """Seconds, or minutes and seconds as 14:40, or with hours."""
    parts = text.strip().split(":")
    if len(parts) > 3:
        raise ValueError
    if len(parts) == 1:
        return number(text)
    values = [finite(float(p)) for p in parts]
    if any(v < 0 or v >= 60 for v in values[1:]):
        raise ValueError
    seconds = 0.0
    for value in values:
        seconds = 60.0 * seconds + value
    return seconds


def sizes(text: str) -> list[tuple[float, float]]:
    """Rectangles as 15.5x15.5,20.5x10.5; 3*12x10 stands for three of one size."""
    out: list[tuple[float, float]] = []
    for part in re.split(r"[,;\s]+", text.strip()):
        times, star, size = part.partition("*")
        width, cross, length = (size if star else part).lower().replace("×", "x").partition("x")
        if not cross:
            raise ValueError
        repeat = int(times) if star else 1
        if not 1 <= repeat <= 200:
            raise ValueError
        out += [(finite(float(width)), finite(float(length)))] * repeat
    return out


@dataclass(frozen=True, kw_only=True)
class Input:
    """A key with how its text is read; REQUIRED as default when it must be given. example: what the page shows at
    first; choices: the words that are allowed; low, high: what the rules take, of the unit; above: more than low
    itself; worded_limit: what they take depends on another input, and a message says how."""

    key: str
    read: Callable[[str], Any] = number
    default: Any = REQUIRED
    example: str = ""
    choices: tuple[str, ...] = ()
    unit: str = ""
    low: float | None = None
    high: float | None = None
    above: bool = False
    worded_limit: bool = False


@dataclass(frozen=True)
class Working:
    """A calculator: its inputs, and the computation from inputs to results by name. holds: a message says when it
    does."""

    name: str
    inputs: tuple[Input, ...]
    compute: Callable[..., dict[str, Any]]
    holds: bool = False

    @property
    def title(self) -> Words:
        """What it is called."""
        return say(f"working-{self.name}")

    @property
    def words(self) -> Words:
        """What it is for."""
        return say(f"working-{self.name}.words")

    @property
    def formula(self) -> Words:
        """What is worked out."""
        return say(f"working-{self.name}.formula")

    @property
    def source(self) -> Words:
        """Where it comes from."""
        return say(f"working-{self.name}.source")

    @property
    def limits(self) -> Words:
        """What may go in, and when the rules hold."""
        each = [say("working-limit", words=self.label(i), allowed=a) for i in self.inputs if (a := self.allowed(i))]
        return listed([*each, *([say(f"working-{self.name}.holds")] if self.holds else [])], "semicolon")

    def label(self, one: Input) -> Words:
        """How an input is called."""
        return say(f"working-{self.name}.{one.key}")

    def allowed(self, one: Input) -> Words:
        """What an input may be, nothing where the rules take all of it."""
        if one.worded_limit:
            return say(f"working-{self.name}.{one.key}_allowed")
        if one.low is None:
            return ""
        return say("working-span", low=one.low, high=one.high, unit=one.unit, above=one.above)

    def unit(self, one: Input) -> str:
        """The unit of an input as it is written."""
        return "m:ss" if one.read is clock else one.unit


def how_it_is_read(read: Callable[[str], Any]) -> Words:
    """What a text has to be."""
    return say(f"reads-{read.__name__}")
