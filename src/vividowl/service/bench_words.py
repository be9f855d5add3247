"""Words of the bench that do not change: what can be seen, what can go wrong, what is checked, how long waits are."""

from __future__ import annotations

from vividowl.core.bench_steps import ASKS
from vividowl.core.fasteners import DRIVES, HEADS, PLUG_PARTS, SCREW_GROUPS
from vividowl.core.first_power import CHECKS, LOOKED_AT
from vividowl.core.interlocks import BY_RULE, PLUGS_OPEN
from vividowl.core.mishaps import MISHAPS, Mishap
from vividowl.core.seen import PART_WORDS, SIGHTS, Sight
from vividowl.core.waits import WAITS, WaitKind

__all__ = [
    "ASKS",
    "BY_RULE",
    "CHECKS",
    "DRIVES",
    "HEADS",
    "LOOKED_AT",
    "MISHAPS",
    "PART_WORDS",
    "PLUGS_OPEN",
    "PLUG_PARTS",
    "SCREW_GROUPS",
    "SIGHTS",
    "WAITS",
    "Mishap",
    "Sight",
    "WaitKind",
]
