"""What goes wrong at the bench, and the short list that gets one out of it."""

from __future__ import annotations

from collections.abc import Mapping, Sequence, Set
from dataclasses import dataclass

from vividowl.core.bench.fasteners import SCREW, Place
from vividowl.core.bench.interlocks import Device
from vividowl.core.quantities.errors import require_one_of
from vividowl.core.quantities.words import Words, say


@dataclass(frozen=True, kw_only=True)
class Mishap:
    """words; steps to recover, in order; last_resort: a step more, only on an outer screw while nothing has power,
    empty for none; wait: a kind of wait that belongs to it, empty for none; no_power: the device gets no power before
    the check; check: what is confirmed before the job closes, empty for nothing."""

    words: Words
    steps: tuple[Words, ...]
    last_resort: Words = ""
    wait: str = ""
    no_power: bool = False
    check: Words = ""


def _mishap(
    name: str, steps: int, *, wait: str = "", no_power: bool = False, check: bool = False, last_resort: bool = False
) -> Mishap:
    recovery = tuple(say(f"mishap-{name}.step-{n}") for n in range(1, steps + 1))
    return Mishap(
        words=say(f"mishap-{name}"),
        steps=recovery,
        last_resort=say(f"mishap-{name}.last-resort") if last_resort else "",
        wait=wait,
        no_power=no_power,
        check=say(f"mishap-{name}.check") if check else "",
    )


# Common practice, no source.
MISHAPS: Mapping[str, Mishap] = {
    "spill_paste": _mishap("spill_paste", 4),
    "spill_alloy": _mishap("spill_alloy", 5, wait="alloy_spill", no_power=True, check=True),
    "broken_clip": _mishap("broken_clip", 3),
    "torn_ribbon": _mishap("torn_ribbon", 4, check=True),
    "stripped_screw": _mishap("stripped_screw", 4, last_resort=True),
    "lost_screw": _mishap("lost_screw", 4, no_power=True, check=True),
    "touched_film": _mishap("touched_film", 2),
    "too_much_paste": _mishap("too_much_paste", 3),
    "other": _mishap("other", 1),
}


def mishap(name: str) -> Mishap:
    """What to do about a mishap.

    name: a name of MISHAPS [text]
    raises: CoreError naming what is allowed
    source: common practice, no source
    """
    require_one_of("what", name, MISHAPS)
    return MISHAPS[name]


def recovery(
    name: str, place: Place | None, *, acts: Sequence[str], facts: Set[str], device: Device
) -> tuple[Words, ...]:
    """The short list that gets one out of a mishap, as far as it is safe now.

    name: a name of MISHAPS [text]
    place: where it happened, None when nobody said
    acts: of the step at which it happened (m,) [text]
    facts: what holds now [text]
    returns: steps in order (n,); a wheel, which throws sparks and metal, only at an outer screw while nothing has power
    raises: CoreError naming what is allowed
    source: common practice, no source
    """
    found = mishap(name)
    dead = "battery_off" in facts if device.has_battery else "unplugged" in facts
    at_cover = bool({"cover_screws_out", "cover_screws_in"} & set(acts))
    outer = at_cover if place is None else place.kind == SCREW and place.holds == "cover"
    return (*found.steps, found.last_resort) if found.last_resort and outer and dead else found.steps
