"""What is seen at the bench: parts, their states, and what follows for the plan."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass, field

from vividowl.core.quantities.errors import require_one_of
from vividowl.core.quantities.words import Words, say


@dataclass(frozen=True, kw_only=True)
class Sight:
    """A state of a part. words; tells: how to know it; follows: what it means, empty for nothing; changes: fields of
    the inspection that it sets; sound: nothing is wrong with it."""

    words: Words
    tells: Words
    follows: Words = ""
    changes: Mapping[str, str] = field(default_factory=dict)
    sound: bool = False


def _sight(name: str, changes: Mapping[str, str] | None = None, *, sound: bool = False, follows: bool = True) -> Sight:
    then = say(f"sight-{name}.follows") if follows else ""
    return Sight(
        words=say(f"sight-{name}"), tells=say(f"sight-{name}.tells"), follows=then, changes=changes or {}, sound=sound
    )


# By part and state. The drawing of each has the name part-state. Common practice, no source.
SIGHTS: Mapping[str, Mapping[str, Sight]] = {
    "fins": {
        "clear": _sight("fins-clear", {"dust": "none"}, sound=True, follows=False),
        "dusty": _sight("fins-dusty", {"dust": "light"}),
        "felt": _sight("fins-felt", {"dust": "felt"}),
        "bent": _sight("fins-bent"),
    },
    "fan": {
        "free": _sight("fan-free", {"fan_state": "free"}, sound=True, follows=False),
        "drags": _sight("fan-drags", {"fan_state": "drags"}),
        "wobbles": _sight("fan-wobbles", {"fan_state": "drags"}),
    },
    "contact": {
        "full": _sight("contact-full", {"old_interface": "sound"}, sound=True, follows=False),
        "one_sided": _sight("contact-one_sided", {"old_interface": "not_touching"}),
        "dry_patch": _sight("contact-dry_patch", {"old_interface": "dry"}),
        "pumped_out": _sight("contact-pumped_out", {"old_interface": "pumped_out"}),
        "chalk": _sight("contact-chalk", {"old_interface": "dry"}),
        "still_liquid": _sight("contact-still_liquid", {"old_interface": "still_liquid"}),
        "alloyed": _sight("contact-alloyed", {"old_interface": "alloy", "cold_plate": "copper"}),
    },
    "plate": {
        "copper": _sight("plate-copper", {"cold_plate": "copper"}, sound=True, follows=False),
        "nickel": _sight("plate-nickel", {"cold_plate": "nickel"}, sound=True, follows=False),
        "aluminium": _sight("plate-aluminium", {"cold_plate": "aluminium"}),
    },
    "surroundings": {
        "no_aluminium": _sight("surroundings-no_aluminium", {"aluminium_near": "no"}, sound=True, follows=False),
        "aluminium": _sight("surroundings-aluminium", {"aluminium_near": "yes"}),
        "parts_bare": _sight("surroundings-parts_bare", {"parts_exposed": "yes", "insulation": "none"}),
        "coat_whole": _sight(
            "surroundings-coat_whole", {"parts_exposed": "yes", "insulation": "coat"}, sound=True, follows=False
        ),
        "parts_none": _sight("surroundings-parts_none", {"parts_exposed": "no"}, sound=True, follows=False),
    },
    "pads": {
        "sound": _sight("pads-sound", {"pads_state": "sound"}, sound=True),
        "oily": _sight("pads-oily", {"pads_state": "bad"}),
        "torn": _sight("pads-torn", {"pads_state": "bad"}),
    },
    "corrosion": {
        "none": _sight("corrosion-none", sound=True, follows=False),
        "traces": _sight("corrosion-traces"),
        "eaten": _sight("corrosion-eaten"),
    },
    "battery": {
        "flat": _sight("battery-flat", sound=True, follows=False),
        "swollen": _sight("battery-swollen"),
        "leaking": _sight("battery-leaking"),
    },
}
PART_WORDS: Mapping[str, Words] = {part: say(f"part-{part}") for part in SIGHTS}
ALUMINIUM = (("plate", "aluminium"), ("surroundings", "aluminium"))
STOPPING = (("battery", "swollen"), ("battery", "leaking"))


def sight(part: str, seen: str) -> Sight:
    """What a state of a part means.

    part: a name of SIGHTS [text]
    raises: CoreError naming what is allowed
    source: common practice, no source
    """
    require_one_of("part", part, SIGHTS)
    require_one_of("seen", seen, SIGHTS[part])
    return SIGHTS[part][seen]
