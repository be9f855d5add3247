"""Waits of the bench that can be used for another job."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass

from vividowl.core.quantities.errors import CoreError, require_range


@dataclass(frozen=True)
class WaitKind:
    """words; minutes: the usual wait; least_min and most_min: what makes sense [min]; single: the one thing of the shop
    that it occupies, empty for none."""

    words: str
    minutes: float
    least_min: float
    most_min: float
    single: str = ""


# handbook/waits.md; common practice, no source.
WAITS: Mapping[str, WaitKind] = {
    "coat": WaitKind("Coat dries", 15, 10, 60), "fridge": WaitKind("Sheet chills in the fridge", 30, 3, 240),
    "alcohol": WaitKind("Alcohol dries", 5, 1, 60), "glue": WaitKind("Glue sets", 10, 5, 720),
    "baseline": WaitKind("Baseline runs", 15, 10, 60, "test outlet"),
    "burn_in": WaitKind("Burn-in runs", 40, 30, 1440, "test outlet"),
    "cool_down": WaitKind("It cools down", 5, 1.5, 60), "solvent_hot": WaitKind("Solvent leaves, hot", 10, 10, 60, "oven"),
    "solvent": WaitKind("Solvent leaves, open to the air", 1440, 720, 2880),
    "activator": WaitKind("Activator works", 20, 5, 60), "plating": WaitKind("Nickel grows", 240, 5, 960), "alloy_spill": WaitKind("Patience after a spill", 30, 10, 240),
    "other": WaitKind("Wait", 10, 0.1, 2880),
}  # fmt: skip


def wait_minutes(kind: str, minutes: float | None = None) -> float:
    """How long a wait shall be: the usual length, or the one asked for if it makes sense.

    kind: a name of WAITS [text]
    minutes: asked for [min], None for the usual
    returns: minutes [min]
    raises: CoreError for an unknown kind, OutOfRange
    source: common practice, no source
    """
    if kind not in WAITS:
        raise CoreError(f"“{kind}” is no wait; allowed: {', '.join(WAITS)}.", field="wait")
    found = WAITS[kind]
    if minutes is None:
        return found.minutes
    return require_range(
        "minutes", minutes, "min", found.least_min, found.most_min, f"{found.words}: as the maker says."
    )
