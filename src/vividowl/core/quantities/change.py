"""Percent arithmetic for scores and durations, where hand arithmetic slips."""

from __future__ import annotations

from dataclasses import dataclass

from vividowl.core.quantities.errors import CoreError, OutOfRange
from vividowl.core.quantities.words import say

TEMPERATURE_SCALE_UNITS = frozenset({"c", "°c", "degc", "f", "°f", "degf"})


@dataclass(frozen=True)
class Change:
    """change: after minus before, in the unit given; change_percent: share of the value before [%]."""

    change: float
    change_percent: float


@dataclass(frozen=True)
class DurationChange:
    """saved_s [s]; less_time_percent [%] of the old duration; more_throughput_percent [%] of the old rate."""

    saved_s: float
    less_time_percent: float
    more_throughput_percent: float


def relative_change(before: float, after: float, unit: str = "") -> Change:
    """Change of a quantity that has a true zero.

    before: value before [any], not 0
    after: value after [any]
    unit: unit [text]; degrees Celsius and Fahrenheit are refused
    raises: CoreError for a temperature scale, OutOfRange for zero before
    range: a quantity with a true zero: never degrees Celsius or Fahrenheit
    formula: (after - before) / before
    source: definition
    """
    if unit.strip().lower() in TEMPERATURE_SCALE_UNITS:
        raise CoreError(say("change-percentage-degrees-has-no-meaning"), field="unit")
    if before == 0:
        raise OutOfRange(say("change-value-before-share-nothing-not"), field="before")
    return Change(after - before, 100.0 * (after - before) / before)


def duration_change(before_s: float, after_s: float) -> DurationChange:
    """Time saved by a shorter run of the same work.

    before_s: duration before [s], > 0
    after_s: duration after [s], > 0
    raises: OutOfRange
    formula: less time (b - a)/b; more throughput b/a - 1
    source: definition
    """
    for name, value in (("before_s", before_s), ("after_s", after_s)):
        if not value > 0:
            raise OutOfRange(say("change-duration-s-must-be-above", value=value), field=name)
    return DurationChange(
        before_s - after_s,
        100.0 * (before_s - after_s) / before_s,
        100.0 * (before_s / after_s - 1.0),
    )
