"""What the customer's record says of the bench: how it was worked, and what did not go as planned, as what it is."""

from __future__ import annotations

from dataclasses import dataclass

from vividowl.core.bench.first_power import CHECKS
from vividowl.core.bench.interlocks import BY_RULE
from vividowl.core.bench.log.state import BenchState, place_words
from vividowl.core.bench.mishaps import mishap
from vividowl.core.bench.seen import PART_WORDS, SIGHTS
from vividowl.core.bench.steps.vocabulary import ASKS
from vividowl.core.quantities.errors import figure

# What can be seen with the cooler on.
_WITH_IT_ON = ("fins", "fan", "corrosion", "battery")


@dataclass(frozen=True)
class BenchStory:
    """lines in words; a pair of photos by id, None when there is none."""

    lines: tuple[str, ...] = ()
    before_photo: str | None = None
    after_photo: str | None = None


def story_of(state: BenchState) -> BenchStory:
    """The story of a bench."""
    if state.begun is None:
        return BenchStory()
    out = []
    seen = [f"{PART_WORDS[f.part].lower()} {SIGHTS[f.part][f.seen].words.lower()}" for f in state.found.values()]
    if seen:
        out.append(f"Seen on opening: {', '.join(seen)}.")
    unseen = [
        w.lower() for p, w in PART_WORDS.items() if p not in state.found and (state.device.lifts or p in _WITH_IT_ON)
    ]
    if state.device.opens and unseen:
        out.append(f"Not looked at, or not noted: {', '.join(unseen)}.")
    done = sum(o.how == "done" for o in state.outcomes.values())
    out.append(f"Worked by a list of {len(state.steps)} steps, {done} done." if state.closed
               else f"Bench work not closed: {done} of {len(state.steps)} steps done.")  # fmt: skip
    skipped = [(s, state.outcomes[s.id].words) for s in state.steps if s.id in state.outcomes
               and state.outcomes[s.id].how == "skipped"]  # fmt: skip
    out += [f"Skipped: {s.text} ({words})." for s, words in skipped]
    out += [_told(f"Out of order: {BY_RULE[b.rule].reason} “{b.words}” ({b.by}).", b.checked)
            for b in state.breaches.values()]  # fmt: skip
    out += [_told(f"{mishap(m.what).words}{f': “{m.words}”' if m.words else ''} ({m.by}).", m.checked)
            for m in state.mishaps.values()]  # fmt: skip
    out += [
        f"Stays out: {place_words(state.places[p], state.places)} ({words})." for p, words in state.explained.items()
    ]
    out += _counted(state)
    out += _measured(state)
    if state.power:
        out.append(_power(state))
    pair = {
        what: next((p.photo for p in reversed(state.photos) if p.what == what), None) for what in ("before", "after")
    }
    return BenchStory(tuple(out), pair["before"], pair["after"])


def _counted(state: BenchState) -> list[str]:
    """Whether what came out went back: only what somebody mapped can be counted."""
    if not state.device.opens:
        return []
    if not state.mapped:
        return ["Screws not mapped: nobody counted them."]
    places = len(state.places)
    return [f"{places - len(state.out)} of {places} mapped screws and plugs are back."]


def _measured(state: BenchState) -> list[str]:
    """What was weighed or measured, and what is only planned."""
    out, planned = [], []
    for step in state.steps:
        outcome = state.outcomes.get(step.id)
        if not step.asks or outcome is None or outcome.how != "done":
            continue
        words, unit, _, _ = ASKS[step.asks]
        what = step.material or step.text
        if outcome.value is not None:
            out.append(f"{words}: {figure(outcome.value)} {unit} ({what}).")
        else:
            planned.append(what)
    return [*out, *([f"Planned, not weighed: {'; '.join(planned)}."] if planned else [])]


def _power(state: BenchState) -> str:
    """The first power-on: what was seen, what failed, what nobody looked at."""
    last = state.power[-1]
    by: dict[str, list[str]] = {}
    for name, result in last.results.items():
        by.setdefault(result, []).append(CHECKS[name].words.lower())
    said = [f"{len(by.get('fine', []))} checks fine"]
    said += [f"fails: {', '.join(by['fails'])}"] if "fails" in by else []
    said += [f"not checked: {', '.join(by['unchecked'])}"] if "unchecked" in by else []
    said += [f"no such part: {', '.join(by['none'])}"] if "none" in by else []
    boot = f"; booted in {last.boot_s:g} s" if last.boot_s else ""
    return f"First power-on before the last screws: {'; '.join(said)}{boot}."


def _told(text: str, checked: str) -> str:
    return f"{text} Checked: {checked}." if checked else text
