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
from vividowl.core.quantities.words import Words, say


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


@dataclass(frozen=True, kw_only=True)
class Blocker:
    """What keeps a job from closing. text and remedy in words; stage where it is settled; of: the place, step, breach,
    wait or fact."""

    code: BlockerCode
    text: Words
    remedy: Words
    stage: str
    of: str = ""


def blockers(s: BenchState, at: datetime) -> tuple[Blocker, ...]:
    """All that keeps a job from closing now.

    at: the moment
    returns: Blocker, gravest first
    source: handbook/bench.md: common practice, no source
    """
    if s.begun is None:
        return (
            Blocker(
                code=BlockerCode.NOT_BEGUN,
                text=say("close-list-has-not-begun"),
                remedy=say("close-begin-in-open"),
                stage="open",
            ),
        )
    out = [
        Blocker(
            code=BlockerCode.STOPPED,
            text=say("close-seen", part=PART_WORDS[f.part], seen=SIGHTS[f.part][f.seen].words),
            remedy=SIGHTS[f.part][f.seen].follows,
            stage="clean",
            of=f.id,
        )
        for f in s.found.values()
        if (f.part, f.seen) in STOPPING
    ]
    out += [
        Blocker(code=BlockerCode.UNSAFE, text=r.reason, remedy=r.remedy, stage="close", of=r.rule)
        for r in bars_power(s.device, s.facts)
    ]
    for key in sorted(s.out, key=lambda k: (s.places[k].kind, s.places[k].holds, k)):
        place = s.places[key]
        if place.kind == PLUG:
            out.append(
                Blocker(
                    code=BlockerCode.PLUG,
                    text=say("close-open", places=place_words(place, s.places)),
                    remedy=say("close-plug-in"),
                    stage="close",
                    of=key,
                )
            )
        elif key not in s.explained:
            words = place_words(place, s.places)
            out.append(
                Blocker(
                    code=BlockerCode.SCREW,
                    text=say("close-missing", words=words),
                    remedy=say("close-put-in-or-explain-why"),
                    stage="close",
                    of=key,
                )
            )
    if s.leftover and not s.leftover_words:
        out.append(
            Blocker(
                code=BlockerCode.LEFTOVER,
                text=say("close-left-over-in-tray", count=s.leftover),
                remedy=say("close-find-its-place-or-explain"),
                stage="close",
            )
        )
    if s.device.opens and s.device.has_battery and "battery_on" not in s.facts:
        out.append(
            Blocker(
                code=BlockerCode.BATTERY,
                text=say("close-battery-not-marked-as-connected"),
                remedy=say("close-battery-on-last-all-plugs"),
                stage="close",
                of="battery_on",
            )
        )
    told = any(b.rule == "power_before_last_screws" and b.checked for b in s.breaches.values())
    if s.device.opens and "power_on_ok" not in s.facts and not told:
        out.append(
            Blocker(
                code=BlockerCode.POWER,
                text=say("close-first-power-on-not-done"),
                remedy=say("close-switch-on-and-look-at"),
                stage="close",
                of="power_on_ok",
            )
        )
    out += [
        Blocker(
            code=BlockerCode.BREACH,
            text=say("close-to-check-after-breach", reason=BY_RULE[b.rule].reason),
            remedy=BY_RULE[b.rule].check,
            stage="close",
            of=b.id,
        )
        for b in s.breaches.values()
        if not b.checked
    ]
    out += [
        Blocker(
            code=BlockerCode.MISHAP,
            text=say("close-to-check-after-mishap", words=mishap(m.what).words),
            remedy=mishap(m.what).check,
            stage="close",
            of=m.id,
        )
        for m in s.mishaps.values()
        if mishap(m.what).check and not m.checked
    ]
    out += [
        Blocker(
            code=BlockerCode.STEP,
            text=say("close-step-open", i=i + 1, text=x.text),
            remedy=say("close-do-or-skip-with-reason"),
            stage=x.stage,
            of=x.id,
        )
        for i, x in enumerate(s.steps)
        if x.id not in s.outcomes
    ]
    out += [
        Blocker(
            code=BlockerCode.WAIT,
            text=say("close-waits", words=WAITS[w.wait].words, minutes=w.minutes_left(at)),
            remedy=say("close-wait-or-end-early-with"),
            stage="close",
            of=w.id,
        )
        for w in s.waits.values()
        if w.runs(at)
    ]
    return tuple(out)
