"""Calculators of change, time and degrees."""

from __future__ import annotations

from typing import Any

from vividowl.core.quantities.change import duration_change, relative_change
from vividowl.core.quantities.uncertainty import COVERAGE_FACTOR
from vividowl.core.quantities.units import c_from_f, k_from_f_difference
from vividowl.core.quantities.words import say
from vividowl.core.runs.repeats import NINE_IN_TEN, repeats_needed
from vividowl.service.errors import Refused
from vividowl.service.workings.calculator import Input, Working, clock
from vividowl.words import told


def _fahrenheit(*, reading_f: float | None, difference_f: float | None) -> dict[str, Any]:
    if reading_f is None and difference_f is None:
        raise Refused("invalid", say("numbers-neither-reading-nor-difference-was"), field="reading_f")
    out: dict[str, Any] = {}
    if reading_f is not None:
        out["c"] = c_from_f(reading_f)
    if difference_f is not None:
        out["k"] = k_from_f_difference(difference_f)
    return out


NUMBERS = (
    Working(
        "change",
        (
            Input(key="before", example="8420"),
            Input(key="after", example="8790"),
            Input(key="unit", read=str, default=""),
        ),
        lambda **g: told(relative_change(**g)),
        holds=True,
    ),
    Working(
        "duration",
        (
            Input(key="before", read=clock, example="14:40", low=0.0, above=True),
            Input(key="after", read=clock, example="13:05", low=0.0, above=True),
        ),
        lambda before, after: told(duration_change(before, after)),
    ),
    Working(
        "fahrenheit",
        (
            Input(key="reading_f", default=None, example="140", unit="°F", low=-459.67),
            Input(key="difference_f", default=None, example="26", unit="°F"),
        ),
        _fahrenheit,
    ),
    Working(
        "repeats",
        (
            Input(key="sd", example="0.5"),
            Input(key="want", example="1"),
            Input(key="k", default=COVERAGE_FACTOR, example="2"),
            Input(key="power", default=NINE_IN_TEN, example="0.9", low=0.5, high=0.999),
        ),
        lambda **g: told(repeats_needed(**g)),
        holds=True,
    ),
)
