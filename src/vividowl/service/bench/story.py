"""What the customer's record says of the bench: how it was worked, and what did not go as planned, as what it is."""

from __future__ import annotations

from dataclasses import dataclass

from vividowl.core.bench.first_power import CHECKS
from vividowl.core.bench.interlocks import BY_RULE
from vividowl.core.bench.log.state import BenchState, place_words
from vividowl.core.bench.mishaps import mishap
from vividowl.core.bench.seen import PART_WORDS, SIGHTS
from vividowl.core.bench.steps.vocabulary import ASKS
from vividowl.core.quantities.words import Words, listed, say

# What can be seen with the cooler on.
_WITH_IT_ON = ("fins", "fan", "corrosion", "battery")


@dataclass(frozen=True, kw_only=True)
class BenchStory:
    """lines in words; photos by id, None when there is none: the last pair, and the one that was taken before it."""

    lines: tuple[Words, ...] = ()
    before_photo: str | None = None
    after_photo: str | None = None
    earlier_before_photo: str | None = None
    earlier_after_photo: str | None = None


def story_of(state: BenchState) -> BenchStory:
    """The story of a bench."""
    if state.begun is None:
        return BenchStory()
    out: list[Words] = []
    seen = [
        say("story-sight", part=PART_WORDS[f.part], seen=SIGHTS[f.part][f.seen].words) for f in state.found.values()
    ]
    if seen:
        out.append(say("story-seen-on-opening", seen=listed(seen)))
    unseen = [
        say("low", words=w)
        for p, w in PART_WORDS.items()
        if p not in state.found and (state.device.lifts or p in _WITH_IT_ON)
    ]
    if state.device.opens and unseen:
        out.append(say("story-not-looked-at-or-not", unseen=listed(unseen)))
    done = sum(o.how == "done" for o in state.outcomes.values())
    out.append(
        say("story-worked-by-list-steps-done", steps=len(state.steps), done=done)
        if state.closed
        else say("story-bench-work-not-closed-steps", done=done, steps=len(state.steps))
    )
    skipped = [
        (number, s, state.outcomes[s.id].words)
        for number, s in enumerate(state.steps, 1)
        if s.id in state.outcomes and state.outcomes[s.id].how == "skipped"
    ]
    out += [
        say("story-skipped", stage=say(f"stage-{s.stage}"), number=number, words=words) for number, s, words in skipped
    ]
    out += [
        _told(say("story-out-order", reason=BY_RULE[b.rule].reason, words=b.words, by=b.by), b.checked)
        for b in state.breaches.values()
    ]
    out += [
        _told(say("story-mishap", what=mishap(m.what).words, words=m.words or None, by=m.by), m.checked)
        for m in state.mishaps.values()
    ]
    out += [
        say("story-stays-out", places=place_words(state.places[p], state.places), words=words)
        for p, words in state.explained.items()
    ]
    out += _counted(state)
    out += _measured(state)
    if state.power:
        out.append(_power(state))
    return BenchStory(lines=tuple(out), **_pairs(state))


def _pairs(state: BenchState) -> dict[str, str | None]:
    """The last photo before and after; then those before them, which pair up in the order in which they were taken."""
    before, after = ([p.photo for p in state.photos if p.what == what] for what in ("before", "after"))
    found: dict[str, str | None] = {
        "before_photo": before[-1] if before else None,
        "after_photo": after[-1] if after else None,
    }
    if len(before) > 1 and len(after) > 1:
        found |= {"earlier_before_photo": before[-2], "earlier_after_photo": after[-2]}
    return found


def _counted(state: BenchState) -> list[Words]:
    """Whether what came out went back: only what somebody mapped can be counted."""
    if not state.device.opens:
        return []
    if not state.mapped:
        return [say("story-screws-not-mapped-nobody-counted")]
    places = len(state.places)
    return [say("story-mapped-screws-and-plugs-back", out=places - len(state.out), places=places)]


def _measured(state: BenchState) -> list[Words]:
    """What was weighed or measured, and what is only planned."""
    out: list[Words] = []
    planned: list[Words] = []
    for step in state.steps:
        outcome = state.outcomes.get(step.id)
        if not step.asks or outcome is None or outcome.how != "done":
            continue
        words, unit, _, _ = ASKS[step.asks]
        what = step.material or say(f"stage-{step.stage}")
        if outcome.value is not None:
            out.append(say("story-measured", words=words, value=outcome.value, unit=unit, what=what))
        else:
            planned.append(what)
    return [*out, *([say("story-planned-not-weighed", planned=listed(planned, by="semicolon"))] if planned else [])]


def _power(state: BenchState) -> Words:
    """The first power-on: what was seen, what failed, what nobody looked at."""
    last = state.power[-1]
    by: dict[str, list[Words]] = {}
    # A list of an older program asked every device for everything.
    for name, result in last.results.items():
        if not CHECKS[name].fits(state.device):
            continue
        by.setdefault(result, []).append(say("low", words=CHECKS[name].words))
    said = [say("story-checks-fine", get=len(by.get("fine", [])))]
    said += [say("story-fails", by=listed(by["fails"]))] if "fails" in by else []
    said += [say("story-not-checked", by=listed(by["unchecked"]))] if "unchecked" in by else []
    said += [say("story-no-such-part", by=listed(by["none"]))] if "none" in by else []
    return say("story-first-power-on-before-last", said=listed(said, "semicolon"), boot_s=last.boot_s or None)


def _told(text: Words, checked: str) -> Words:
    return say("story-checked", text=text, checked=checked) if checked else text
