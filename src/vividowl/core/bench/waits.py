"""Waits of the bench that can be used for another job."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass

from vividowl.core.quantities.errors import require_one_of, require_range
from vividowl.core.quantities.words import Words, say


@dataclass(frozen=True, kw_only=True)
class WaitKind:
    """words; minutes: the usual wait; least_min and most_min: what makes sense [min]; single: the one thing of the shop
    that it occupies, empty for none; before_power: it is over before the cooler, the battery plug or any power; early:
    reasons for ending it early that make sense for it; then: the kind that follows at once, empty for none."""

    words: Words
    minutes: float
    least_min: float
    most_min: float
    single: Words = ""
    before_power: bool = False
    early: tuple[Words, ...] = ()
    then: str = ""


def _wait(
    name: str,
    minutes: float,
    least_min: float,
    most_min: float,
    *,
    early: int,
    single: Words = "",
    before_power: bool = False,
    then: str = "",
) -> WaitKind:
    reasons = tuple(say(f"wait-{name}.early-{n}") for n in range(1, early + 1))
    return WaitKind(
        words=say(f"wait-{name}"),
        minutes=minutes,
        least_min=least_min,
        most_min=most_min,
        single=single,
        before_power=before_power,
        early=reasons,
        then=then,
    )


# handbook/waits.md; common practice, no source.
WAITS: Mapping[str, WaitKind] = {
    "coat": _wait("coat", 15, 10, 2880, early=2, before_power=True),
    "fridge": _wait("fridge", 30, 3, 240, early=3),
    "alcohol": _wait("alcohol", 5, 1, 60, early=2, before_power=True),
    "glue": _wait("glue", 10, 5, 720, early=2, before_power=True),
    "baseline": _wait("baseline", 15, 10, 60, early=2, single=say("waits-test-outlet")),
    "burn_in": _wait("burn_in", 40, 30, 1440, early=2, single=say("waits-test-outlet")),
    # One log with three load states tells two chips on one cooler apart (docs/handbook/temperature.md).
    "load_cpu": _wait("load_cpu", 10, 5, 60, early=1, single=say("waits-test-outlet"), then="load_gpu"),
    "load_gpu": _wait("load_gpu", 10, 5, 60, early=1, single=say("waits-test-outlet"), then="load_both"),
    "load_both": _wait("load_both", 10, 5, 60, early=1, single=say("waits-test-outlet")),
    "cool_down": _wait("cool_down", 5, 1.5, 60, early=1),
    "solvent_hot": _wait("solvent_hot", 10, 10, 60, early=1, single=say("waits-oven"), before_power=True),
    "solvent": _wait("solvent", 1440, 720, 2880, early=2, before_power=True),
    "activator": _wait("activator", 20, 5, 60, early=1),
    "plating": _wait("plating", 240, 5, 960, early=2),
    "alloy_spill": _wait("alloy_spill", 30, 10, 240, early=1, before_power=True),
    "other": _wait("other", 10, 0.1, 2880, early=1),
}
# Over before the cooler goes on, the battery plug, or any power: what is wet, soft or burns.
BEFORE_POWER = tuple(name for name, kind in WAITS.items() if kind.before_power)


def wait_minutes(kind: str, minutes: float | None = None) -> float:
    """How long a wait shall be: the usual length, or the one asked for if it makes sense.

    kind: a name of WAITS [text]
    minutes: asked for [min], None for the usual
    returns: minutes [min]
    raises: CoreError for an unknown kind, OutOfRange
    source: common practice, no source
    """
    require_one_of("wait", kind, WAITS)
    found = WAITS[kind]
    if minutes is None:
        return found.minutes
    return require_range(
        "minutes", minutes, "min", (found.least_min, found.most_min), hint=say("waits-as-maker-says", words=found.words)
    )
