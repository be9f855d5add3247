"""What the core says when it refuses. One handler at the edge turns these into problem details."""

from __future__ import annotations

import math
from collections.abc import Iterable
from functools import partial

from vividowl.core.quantities.words import Words, listed, remedy_of, say


class CoreError(ValueError):
    """A rule of the core refused its input: ``message`` says why, ``field`` names the argument, ``remedy`` what to do,
    where it is not the message's own.
    As a text it is a code with its values; sentences are made at the edge."""

    def __init__(self, message: Words, *, field: str = "", remedy: Words | None = None) -> None:
        super().__init__(message)
        self.message = message
        self.field = field
        self.remedy = remedy_of(message) if remedy is None else remedy

    def __reduce__(self) -> tuple[object, ...]:
        """Exceptions with named arguments do not travel between processes by themselves."""
        return partial(type(self), self.message, field=self.field, remedy=self.remedy), ()


class OutOfRange(CoreError):  # noqa: N818 - reads as what it says
    """A value lies outside what its quantity can be."""


class NotEnoughData(CoreError):  # noqa: N818
    """There is too little to compute from: the answer is "not known"."""


def figure(value: float) -> str:
    """Write a number as people read it: no exponent, no trailing zeros, a real minus sign."""
    text = f"{value:.6g}"
    return text.replace("-", "−")


def require_range(name: str, value: float, unit: Words, allowed: tuple[float, float], *, hint: Words = "") -> float:
    """Return ``value`` or raise :class:`OutOfRange` saying what came, what is allowed and what to do."""
    low, high = allowed
    if math.isfinite(value) and low <= value <= high:
        return value
    finite = value if math.isfinite(value) else None
    if math.isinf(high):
        message = say("errors-below", name=name, value=finite, unit=unit, low=low)
    else:
        message = say("errors-outside", name=name, value=finite, unit=unit, low=low, high=high)
    raise OutOfRange(message, field=name, remedy=hint or say("errors-check-value-and-its-unit"))


def require_one_of(name: str, value: str, allowed: Iterable[str]) -> str:
    """Return ``value`` or raise :class:`CoreError` saying what came and what may be chosen."""
    choices = tuple(allowed)
    if value not in choices:
        raise CoreError(say("errors-one-of", name=name, value=value, allowed=listed(choices)), field=name)
    return value
