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
        raise Refused(
            "invalid",
            say("numbers-neither-reading-nor-difference-was"),
            field="reading_f",
            remedy=say("numbers-reading-converts-with-difference-without"),
        )
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
            Input(key="before", example="10748"),
            Input(key="after", example="11116"),
            Input(key="unit", read=str, default=""),
        ),
        lambda **g: told(relative_change(**g)),
        (relative_change,),
    ),
    Working(
        "duration",
        (
            Input(key="before", read=clock, example="19:21", of="before_s"),
            Input(key="after", read=clock, example="17:22", of="after_s"),
        ),
        lambda before, after: told(duration_change(before, after)),
        (duration_change,),
    ),
    Working(
        "fahrenheit",
        (Input(key="reading_f", default=None, example="140"), Input(key="difference_f", default=None, example="26")),
        _fahrenheit,
        (
            c_from_f,
            k_from_f_difference,
        ),
    ),
    Working(
        "repeats",
        (
            Input(key="sd", example="0.5", unit=""),
            Input(key="want", example="1", unit=""),
            Input(key="k", default=COVERAGE_FACTOR, example="2"),
            Input(key="power", default=NINE_IN_TEN, example="0.9"),
        ),
        lambda **g: told(repeats_needed(**g)),
        (repeats_needed,),
    ),
)
