"""What the customer should do with a serviced device, so that the service lasts."""

from __future__ import annotations

from vividowl.core.quantities.words import Words, say

DUSTY = ("dusty", "pets", "smoke")
# Heat cycles after which a phase-change interface has settled. Common practice, no source.
HEAT_CYCLES = 10


def after_care(fan: str, surroundings: str, *, runs_in: bool) -> tuple[Words, ...]:
    """What to do, in short sentences.

    fan: yes, no or unknown [text]
    surroundings: where it is used: normal, dusty, pets, smoke or unknown [text]
    runs_in: whether the fitted layer still has heat cycles to come [flag]
    returns: sentences (n,)
    source: common practice, no source
    """
    out = [say("after-care-case") if fan == "no" else say("after-care-vents")]
    if surroundings in DUSTY and fan != "no":
        out.append(say("after-care-dust", surroundings=surroundings))
    if runs_in:
        out.append(say("after-care-runs-in"))
    out.append(say("after-care-come-back"))
    return tuple(out)
