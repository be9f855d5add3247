"""Events of earlier versions brought up to today's, where they are read.

Version 1 stored what was told, and what the rules made of it was worked out anew at each look. What those rules knew
stands here for good: a wait, a check or an interlock that comes later must not change what happened before it.
"""

from __future__ import annotations

from collections.abc import Mapping

from vividowl.core.bench.interlocks import Device
from vividowl.core.bench.log.events import BenchEvent, command_of
from vividowl.core.bench.log.made import Rules, event_of
from vividowl.core.bench.log.state import BenchState

_WAITS_1_MIN = {
    "coat": 15,
    "fridge": 30,
    "alcohol": 5,
    "glue": 10,
    "baseline": 15,
    "burn_in": 40,
    "cool_down": 5,
    "solvent_hot": 10,
    "solvent": 1440,
    "activator": 20,
    "plating": 240,
    "alloy_spill": 30,
    "other": 10,
}
_CHECKS_1 = ("boot", "fans", "keyboard", "pad", "wireless", "display", "temperatures")
_BOOT_MOST_1_S = 40.0
_WAIT_AFTER_1 = {"spill_alloy": "alloy_spill"}


def _minutes(kind: str, minutes: float | None) -> float:
    return minutes if minutes is not None else _WAITS_1_MIN[kind]


def _results(results: Mapping[str, str], boot_s: float | None, _: Device) -> dict[str, str]:
    out = {name: results.get(name, "unchecked") for name in _CHECKS_1}
    return {**out, "boot": "fails"} if boot_s is not None and boot_s > _BOOT_MOST_1_S else out


_RULES_1 = Rules(1, _minutes, _results, lambda what: _WAIT_AFTER_1.get(what, ""))


def bring_up(s: BenchState, event: BenchEvent) -> BenchEvent:
    """A stored event as one of today.

    s: the state before it
    event: of any version
    returns: BenchEvent, the same when it is of today
    """
    if event.version >= 2 or event.kind in ("undo", "redo"):
        return event
    return event_of(s, command_of(event), _RULES_1)
