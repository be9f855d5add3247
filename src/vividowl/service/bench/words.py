"""Words of the bench that do not change: what can be seen, what can go wrong, what is checked, how long waits are."""

from __future__ import annotations

from vividowl.core.bench.fasteners import DRIVES, HEADS, PAD_PARTS, PLUG_PARTS, SCREW_GROUPS
from vividowl.core.bench.first_power import CHECKS, LOOKED_AT, checks_of
from vividowl.core.bench.interlocks import ALUMINIUM_SEEN, BY_RULE, CANCELS, MAKES, PLUGS_OPEN
from vividowl.core.bench.mishaps import MISHAPS, Mishap, recovery
from vividowl.core.bench.seen import ALUMINIUM, PART_WORDS, SIGHTS, Sight
from vividowl.core.bench.steps.vocabulary import ASKS
from vividowl.core.bench.waits import WAITS, WaitKind

__all__ = [
    "ALUMINIUM",
    "ALUMINIUM_SEEN",
    "ASKS",
    "BY_RULE",
    "CANCELS",
    "CHECKS",
    "DRIVES",
    "HEADS",
    "LOOKED_AT",
    "MAKES",
    "MISHAPS",
    "PAD_PARTS",
    "PART_WORDS",
    "PLUGS_OPEN",
    "PLUG_PARTS",
    "SCREW_GROUPS",
    "SIGHTS",
    "WAITS",
    "Mishap",
    "Sight",
    "WaitKind",
    "checks_of",
    "recovery",
]
