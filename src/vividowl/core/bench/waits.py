"""Waits of the bench that can be used for another job."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass

from vividowl.core.quantities.errors import CoreError, require_range
from vividowl.core.quantities.words import Words, listed, say


@dataclass(frozen=True)
class WaitKind:
    """words; minutes: the usual wait; least_min and most_min: what makes sense [min]; single: the one thing of the shop
    that it occupies, empty for none."""

    words: Words
    minutes: float
    least_min: float
    most_min: float
    single: Words = ""


# handbook/waits.md; common practice, no source.
WAITS: Mapping[str, WaitKind] = {
    "coat": WaitKind(say("wait-coat"), 15, 10, 60),
    "fridge": WaitKind(say("wait-fridge"), 30, 3, 240),
    "alcohol": WaitKind(say("wait-alcohol"), 5, 1, 60),
    "glue": WaitKind(say("wait-glue"), 10, 5, 720),
    "baseline": WaitKind(say("wait-baseline"), 15, 10, 60, say("waits-test-outlet")),
    "burn_in": WaitKind(say("wait-burn_in"), 40, 30, 1440, say("waits-test-outlet")),
    "cool_down": WaitKind(say("wait-cool_down"), 5, 1.5, 60),
    "solvent_hot": WaitKind(say("wait-solvent_hot"), 10, 10, 60, "oven"),
    "solvent": WaitKind(say("wait-solvent"), 1440, 720, 2880),
    "activator": WaitKind(say("wait-activator"), 20, 5, 60),
    "plating": WaitKind(say("wait-plating"), 240, 5, 960),
    "alloy_spill": WaitKind(say("wait-alloy_spill"), 30, 10, 240),
    "other": WaitKind(say("wait-other"), 10, 0.1, 2880),
}


def wait_minutes(kind: str, minutes: float | None = None) -> float:
    """How long a wait shall be: the usual length, or the one asked for if it makes sense.

    kind: a name of WAITS [text]
    minutes: asked for [min], None for the usual
    returns: minutes [min]
    raises: CoreError for an unknown kind, OutOfRange
    source: common practice, no source
    """
    if kind not in WAITS:
        raise CoreError(say("waits-no-wait-allowed", kind=kind, waits=listed(WAITS)), field="wait")
    found = WAITS[kind]
    if minutes is None:
        return found.minutes
    return require_range(
        "minutes", minutes, "min", found.least_min, found.most_min, say("waits-as-maker-says", words=found.words)
    )
