"""What the core says when it refuses. One handler at the edge turns these into problem details."""

from __future__ import annotations

import math


class CoreError(ValueError):
    """A rule of the core refused its input. ``field`` names the argument, ``remedy`` what to do."""

    def __init__(self, message: str, *, field: str = "", remedy: str = "") -> None:
        super().__init__(message)
        self.field = field
        self.remedy = remedy

    def __reduce__(self) -> tuple[object, ...]:
        """Exceptions with named arguments do not travel between processes by themselves."""
        return _again, (type(self), str(self), self.field, self.remedy)


def _again(kind: type[CoreError], message: str, field: str, remedy: str) -> CoreError:
    return kind(message, field=field, remedy=remedy)


class OutOfRange(CoreError):  # noqa: N818 - reads as what it says
    """A value lies outside what its quantity can be."""


class NotEnoughData(CoreError):  # noqa: N818
    """There is too little to compute from: the answer is "not known"."""


def figure(value: float) -> str:
    """Write a number as people read it: no exponent, no trailing zeros, a real minus sign."""
    text = f"{value:.6g}"
    return text.replace("-", "−")


def require_range(
    name: str, value: float, unit: str, low: float = -math.inf, high: float = math.inf, hint: str = ""
) -> float:
    """Return ``value`` or raise :class:`OutOfRange` saying what came, what is allowed and what to do."""
    if math.isfinite(value) and low <= value <= high:
        return value
    label = name.replace("_", " ").capitalize()
    got = figure(value) if math.isfinite(value) else "not a number"
    if math.isinf(high):
        allowed = f"allowed is {figure(low)} {unit} or more".replace("  ", " ")
    else:
        allowed = f"allowed are {figure(low)} to {figure(high)} {unit}"
    remedy = hint or "Check the value and its unit."
    raise OutOfRange(f"{label} is {got} {unit}, {allowed}.".replace(" ,", ","), field=name, remedy=remedy)
