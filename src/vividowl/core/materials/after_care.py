"""What the customer should do with a serviced device, so that the service lasts."""

from __future__ import annotations

from collections.abc import Collection

from vividowl.core.quantities.words import Words, say

DUSTY = ("dusty", "pets", "smoke")
# Heat cycles after which a phase-change interface has settled. Common practice, no source.
HEAT_CYCLES = 10


# Hazards that an owner lives with once they were accepted, by the gate that asked for it.
LIVED_WITH = ("skin_limit", "after_on_lap", "cover_battery_warm", "alloy_carried", "alloy_on_copper")


def after_care(
    fan: str, surroundings: str, *, runs_in: bool, accepted: Collection[str] = (), skin_high_c: float | None = None
) -> tuple[Words, ...]:
    """What to do, in short sentences.

    fan: yes, no or unknown [text]
    surroundings: where it is used: normal, dusty, pets, smoke or unknown [text]
    runs_in: whether the fitted layer still has heat cycles to come [flag]
    accepted: gates of the work that was done which somebody accepted (m,) [text]
    skin_high_c: upper end of what a coupled cover gets [degC], None without one
    returns: sentences (n,), what can hurt somebody first
    source: common practice, no source
    """
    rules = ["skin_limit" if r == "after_on_lap" else r for r in LIVED_WITH if r in accepted]
    out = [say(f"after-care-{rule.replace('_', '-')}", skin_high_c=skin_high_c) for rule in dict.fromkeys(rules)]
    out.append(say("after-care-case") if fan == "no" else say("after-care-vents"))
    if surroundings in DUSTY and fan != "no":
        out.append(say("after-care-dust", surroundings=surroundings))
    if runs_in:
        out.append(say("after-care-runs-in"))
    out.append(say("after-care-come-back"))
    return tuple(out)
