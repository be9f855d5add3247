"""Whether a log is a repeat of another one, or a run of its own."""

from __future__ import annotations

from vividowl.core.quantities.words import Words, say
from vividowl.core.reading.reading import Reading
from vividowl.core.trace.roles import ROLE_KINDS, Role
from vividowl.core.trace.throttling import HELD_SHARE

# What a room of some kelvins more does to an automatic fan stays below this.
FAN_APART_SHARE = 0.25  # of the larger fan speed, from which two runs had another fan setting; from memory
POWER_APART_SHARE = 0.15  # of the larger power, from which two runs had another load; from memory


def why_no_repeat(first: Reading, other: Reading) -> Words | None:
    """Why a log is no repeat of another one, and what it is instead; None where it may be one.

    first: the log that would be repeated
    other: the log that is offered as its repeat
    returns: words or None; what was not logged on one side does not part them
    formula: powers are laid against each other only while heat holds neither run back
    source: handbook/runs.md: common practice, no source
    """
    if first.die_role is not other.die_role:
        return say(
            "repeat-other-sensor", first=ROLE_KINDS[first.die_role].words, other=ROLE_KINDS[other.die_role].words
        )
    held = max(first.throttling.share or 0.0, other.throttling.share or 0.0) > HELD_SHARE
    power = None if held or first.power is None or other.power is None else (first.power.mean, other.power.mean)
    if power is not None and _apart(*power) > POWER_APART_SHARE:
        return say("repeat-other-load", first=power[0], other=power[1])
    fans = first.stats.get(Role.FAN_SPEED), other.stats.get(Role.FAN_SPEED)
    if fans[0] is not None and fans[1] is not None and _apart(fans[0].mean, fans[1].mean) > FAN_APART_SHARE:
        return say("repeat-other-fan", first=fans[0].mean, other=fans[1].mean)
    return None


def _apart(one: float, other: float) -> float:
    """Difference as a share of the larger."""
    larger = max(abs(one), abs(other))
    return abs(one - other) / larger if larger > 0.0 else 0.0
