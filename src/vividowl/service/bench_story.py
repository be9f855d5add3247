"""What the customer's record says of the bench: how it was worked, and what did not go as planned, as what it is."""

from __future__ import annotations

from dataclasses import dataclass

from vividowl.core.bench_state import BenchState, place_words
from vividowl.core.interlocks import BY_RULE
from vividowl.core.mishaps import mishap
from vividowl.core.seen import PART_WORDS, SIGHTS


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
    if state.power:
        boot = state.power[-1].boot_s
        fine = "all fine" if state.power[-1].fine else "not all fine"
        out.append(f"First power-on before the last screws: {fine}{f', booted in {boot:g} s' if boot else ''}.")
    pair = {
        what: next((p.photo for p in reversed(state.photos) if p.what == what), None) for what in ("before", "after")
    }
    return BenchStory(tuple(out), pair["before"], pair["after"])


def _told(text: str, checked: str) -> str:
    return f"{text} Checked: {checked}." if checked else text
