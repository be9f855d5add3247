"""What keeps a job from closing: an open plug, a missing screw, the battery, a breach without its check."""

from __future__ import annotations

from dataclasses import dataclass
from datetime import datetime
from enum import StrEnum

from vividowl.core.bench.fasteners import PLUG
from vividowl.core.bench.interlocks import BY_RULE
from vividowl.core.bench.log.state import BenchState, place_words
from vividowl.core.bench.log.whole import bars_power
from vividowl.core.bench.mishaps import mishap
from vividowl.core.bench.seen import PART_WORDS, SIGHTS, STOPPING
from vividowl.core.bench.waits import WAITS


class BlockerCode(StrEnum):
    """What kind of thing keeps a job from closing."""

    NOT_BEGUN = "not_begun"
    STOPPED = "stopped"
    UNSAFE = "unsafe"
    PLUG = "plug"
    SCREW = "screw"
    LEFTOVER = "leftover"
    BATTERY = "battery"
    POWER = "power"
    BREACH = "breach"
    MISHAP = "mishap"
    STEP = "step"
    WAIT = "wait"


@dataclass(frozen=True)
class Blocker:
    """What keeps a job from closing. text and remedy in words; stage where it is settled; of: the place, step, breach,
    wait or fact."""

    code: BlockerCode
    text: str
    remedy: str
    stage: str
    of: str = ""


def blockers(s: BenchState, at: datetime) -> tuple[Blocker, ...]:
    """All that keeps a job from closing now.

    s: the state
    at: the moment
    returns: Blocker, gravest first
    source: handbook/bench.md: common practice, no source
    """
    if s.begun is None:
        return (Blocker(BlockerCode.NOT_BEGUN, "The list has not begun.", "Begin it in Open.", "open"),)
    out = [
        Blocker(BlockerCode.STOPPED, f"{PART_WORDS[f.part]}: {SIGHTS[f.part][f.seen].words.lower()}.", SIGHTS[f.part][f.seen].follows,
                "clean", f.id)
        for f in s.found.values() if (f.part, f.seen) in STOPPING
    ]  # fmt: skip
    out += [Blocker(BlockerCode.UNSAFE, r.reason, r.remedy, "close", r.rule) for r in bars_power(s.device, s.facts)]
    for key in sorted(s.out, key=lambda k: (s.places[k].kind, s.places[k].holds, k)):
        place = s.places[key]
        if place.kind == PLUG:
            out.append(
                Blocker(BlockerCode.PLUG, f"The {place_words(place, s.places)} is open.", "Plug it in.", "close", key)
            )
        elif key not in s.explained:
            words = place_words(place, s.places)
            out.append(
                Blocker(
                    BlockerCode.SCREW,
                    f"The {words} is missing.",
                    "Put it in, or explain why it stays out.",
                    "close",
                    key,
                )
            )
    if s.leftover and not s.leftover_words:
        over = "One screw is" if s.leftover == 1 else f"{s.leftover} screws are"
        out.append(
            Blocker(
                BlockerCode.LEFTOVER,
                f"{over} left over in the tray.",
                "Find its place, or explain where it comes from.",
                "close",
            )
        )
    if s.device.opens and s.device.has_battery and "battery_on" not in s.facts:
        out.append(
            Blocker(
                BlockerCode.BATTERY,
                "The battery is not marked as connected.",
                "Battery on, last of all plugs.",
                "close",
                "battery_on",
            )
        )
    told = any(b.rule == "power_before_last_screws" and b.checked for b in s.breaches.values())
    if s.device.opens and "power_on_ok" not in s.facts and not told:
        out.append(
            Blocker(
                BlockerCode.POWER,
                "The first power-on is not done.",
                "Switch on and look at each check.",
                "close",
                "power_on_ok",
            )
        )
    out += [Blocker(BlockerCode.BREACH, f"To check after a breach: {BY_RULE[b.rule].reason}", BY_RULE[b.rule].check, "close", b.id)
            for b in s.breaches.values() if not b.checked]  # fmt: skip
    out += [Blocker(BlockerCode.MISHAP, f"To check after a mishap: {mishap(m.what).words}.", mishap(m.what).check, "close", m.id)
            for m in s.mishaps.values() if mishap(m.what).check and not m.checked]  # fmt: skip
    out += [Blocker(BlockerCode.STEP, f"Step {i + 1} is open: {x.text}", "Do it, or skip it with a reason.", x.stage, x.id)
            for i, x in enumerate(s.steps) if x.id not in s.outcomes]  # fmt: skip
    out += [Blocker(BlockerCode.WAIT, f"{WAITS[w.wait].words} until {w.due:%H:%M} UTC.", "Wait, or end it early with a reason.",
                    "close", w.id) for w in s.waits.values() if w.runs(at)]  # fmt: skip
    return tuple(out)
