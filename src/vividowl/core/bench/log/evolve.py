"""What an event changes. Total: nothing is refused or judged here, and a log of last year opens for ever."""

from __future__ import annotations

from collections.abc import Callable, Mapping, Sequence
from dataclasses import replace
from datetime import timedelta

from vividowl.core.bench.fasteners import PLUG, Place
from vividowl.core.bench.interlocks import ACTS, Device, after
from vividowl.core.bench.log.events import BenchEvent, for_every_kind
from vividowl.core.bench.log.state import (
    BenchState,
    Breach,
    FoundState,
    Mishappened,
    Note,
    Outcome,
    PhotoUse,
    PowerOn,
    Wait,
)
from vividowl.core.bench.log.stored import read
from vividowl.core.bench.steps.vocabulary import BenchStep


def evolve(s: BenchState, event: BenchEvent) -> BenchState:
    """The state after one event other than undo and redo.

    s: the state before
    event: what happened; one of a kind that this program does not know changes nothing
    """
    change = _CHANGES.get(event.kind)
    if change is None:
        return s
    s = change(s, event)
    return replace(s, steps=_listed(event.made["steps"], s.steps)) if "steps" in event.made else s


def _listed(rows: Sequence[object], before: Sequence[BenchStep]) -> tuple[BenchStep, ...]:
    """A list from what stands for it: an id of the list before, or a step in full."""
    known = {step.id: step for step in before}
    found = (read(BenchStep, row) if isinstance(row, Mapping) else known.get(str(row)) for row in rows)
    return tuple(step for step in found if step is not None)


def _words(e: BenchEvent, name: str = "words") -> str:
    return str(e.data.get(name) or "").strip()


def _begun(s: BenchState, e: BenchEvent) -> BenchState:
    places = {p.id: p for p in (read(Place, row) for row in e.data["places"])}
    return _planned(replace(s, begun=e.at, places=places, outline=e.data.get("outline") or ""), e)


def _planned(s: BenchState, e: BenchEvent) -> BenchState:
    steps = tuple(read(BenchStep, row) for row in e.data["steps"])
    return replace(s, steps=steps, device=read(Device, e.data["device"]), plan=e.data.get("plan") or "")


def _replanned(s: BenchState, e: BenchEvent) -> BenchState:
    again = e.made.get("again", ())
    return _planned(replace(s, outcomes={k: v for k, v in s.outcomes.items() if k not in again}), e)


def _attempt(s: BenchState, e: BenchEvent) -> BenchState:
    """Everything from the beginning, on the map that is known; what stayed out is out."""
    fresh = BenchState(
        begun=e.at,
        places=s.places,
        out=s.out,
        explained=s.explained,
        outline=s.outline,
        attempt=e.data["number"],
        photos=tuple(p for p in s.photos if p.what in ("before", "map")),
    )
    return _planned(fresh, e)


def _acted(s: BenchState, e: BenchEvent, acts: Sequence[str], step: str) -> BenchState:
    """Some acts are done, and rules that they broke are told."""
    told = {
        f"{e.id}:{rule}": Breach(id=f"{e.id}:{rule}", rule=rule, step=step, words=_words(e, "breach"), at=e.at, by=e.by)
        for rule in e.made.get("broken", ())
    }
    facts = after([a for a in acts if a in ACTS], s.facts)
    return replace(s, facts=facts, breaches={**s.breaches, **told} if told else s.breaches)


def _waits(s: BenchState, e: BenchEvent, step: str) -> BenchState:
    if "wait" not in e.made:
        return s
    wait = Wait(id=e.id, wait=e.made["wait"], step=step, began=e.at, due=e.at + timedelta(minutes=e.made["minutes"]))
    return replace(s, waits={**s.waits, e.id: wait})


def _done(s: BenchState, e: BenchEvent) -> BenchState:
    return _finished(s, e, e.data["step"])


def _finished(s: BenchState, e: BenchEvent, name: str) -> BenchState:
    found = next(((i, x) for i, x in enumerate(s.steps) if x.id == name), None)
    if found is None:
        return s
    i, step = found
    s = _acted(s, e, step.acts, step.id)
    gone = (set(step.takes_out) & set(s.places)) - s.out
    back = (set(step.puts_in) & set(s.places) & s.out) - set(s.explained)
    outcome = Outcome(how="done", at=e.at, by=e.by, words=e.data.get("words") or "", value=e.data.get("value"))
    s = replace(
        s,
        out=(s.out | gone) - back,
        was_out={**s.was_out, **dict.fromkeys(gone, i + 1)},
        outcomes={**s.outcomes, step.id: outcome},
    )
    plugs = {p.id for p in s.places.values() if p.kind == PLUG and p.holds == "battery"}
    if "battery_off" in step.acts:
        s = replace(s, out=s.out | plugs, was_out={**s.was_out, **dict.fromkeys(plugs, i + 1)})
    elif "battery_on" in step.acts:
        s = replace(s, out=s.out - plugs)
    return _waits(s, e, step.id)


def _skipped(s: BenchState, e: BenchEvent) -> BenchState:
    outcome = Outcome(how="skipped", at=e.at, by=e.by, words=_words(e, "reason"))
    return replace(s, outcomes={**s.outcomes, e.data["step"]: outcome})


def _gone_back(s: BenchState, e: BenchEvent) -> BenchState:
    at = next((i for i, x in enumerate(s.steps) if x.id == e.data["step"]), len(s.steps))
    again = {step.id for step in s.steps[at:]}
    return replace(s, outcomes={k: v for k, v in s.outcomes.items() if k not in again})


def put(step: BenchStep, behind: str | None, steps: Sequence[BenchStep]) -> tuple[BenchStep, ...]:
    """Steps with one more behind the one named, or at the beginning.

    step: to put in
    behind: id of a step, or None [text]
    steps: the list without it (n,)
    """
    at = next((i + 1 for i, x in enumerate(steps) if x.id == behind), 0)
    return (*steps[:at], step, *steps[at:])


def _added(s: BenchState, e: BenchEvent) -> BenchState:
    step = replace(read(BenchStep, e.data["step"]), own=True)
    return replace(s, steps=put(step, e.data.get("after"), s.steps))


def _moved(s: BenchState, e: BenchEvent) -> BenchState:
    step = next((x for x in s.steps if x.id == e.data["step"]), None)
    if step is None:
        return s
    return replace(s, steps=put(step, e.data.get("after"), [x for x in s.steps if x is not step]))


def _placed(s: BenchState, e: BenchEvent) -> BenchState:
    place = read(Place, e.data["place"])
    return replace(s, places={**s.places, place.id: place})


def _place_removed(s: BenchState, e: BenchEvent) -> BenchState:
    return replace(s, places={k: v for k, v in s.places.items() if k != e.data["place"]})


def _place_out(s: BenchState, e: BenchEvent) -> BenchState:
    place = e.data["place"]
    s = _acted(s, e, e.made.get("acts", ()), "")
    number = next((i + 1 for i, x in enumerate(s.steps) if place in x.takes_out), len(s.outcomes) + 1)
    return replace(s, out=s.out | {place}, was_out={**s.was_out, place: number})


def _place_in(s: BenchState, e: BenchEvent) -> BenchState:
    place = e.data["place"]
    s = _acted(s, e, e.made.get("acts", ()), "")
    return replace(s, out=s.out - {place}, explained={k: v for k, v in s.explained.items() if k != place})


def _leftover(s: BenchState, e: BenchEvent) -> BenchState:
    return replace(s, leftover=e.data["count"], leftover_words=_words(e) if e.data["count"] else "")


def _explained(s: BenchState, e: BenchEvent) -> BenchState:
    return replace(s, explained={**s.explained, e.data["place"]: _words(e)})


def _found(s: BenchState, e: BenchEvent) -> BenchState:
    got = FoundState(
        id=e.id,
        part=e.data["part"],
        seen=e.data["seen"],
        words=e.data.get("words") or "",
        photo=e.data.get("photo") or "",
        at=e.at,
    )
    return replace(s, found={**s.found, got.part: got})


def _wait_started(s: BenchState, e: BenchEvent) -> BenchState:
    return _waits(s, e, e.data.get("step") or "")


def _wait_ended(s: BenchState, e: BenchEvent) -> BenchState:
    wait = s.waits.get(e.data["wait"])
    if wait is None:
        return s
    return replace(s, waits={**s.waits, wait.id: replace(wait, ended=e.at, reason=_words(e, "reason"))})


def _mishap(s: BenchState, e: BenchEvent) -> BenchState:
    step, place = e.data.get("step") or "", e.data.get("place") or ""
    got = Mishappened(id=e.id, what=e.data["what"], step=step, words=_words(e), place=place, at=e.at, by=e.by)
    return _waits(replace(s, mishaps={**s.mishaps, got.id: got}), e, step)


def _checked(s: BenchState, e: BenchEvent) -> BenchState:
    key = e.data["of"]
    if key in s.breaches:
        return replace(s, breaches={**s.breaches, key: replace(s.breaches[key], checked=_words(e))})
    if key in s.mishaps:
        return replace(s, mishaps={**s.mishaps, key: replace(s.mishaps[key], checked=_words(e))})
    return s


def _power_on(s: BenchState, e: BenchEvent) -> BenchState:
    results = e.made.get("results", e.data["results"])
    fine = "fails" not in results.values()
    s = replace(s, power=(*s.power, PowerOn(results, e.data.get("boot_s"), fine, e.at)))
    step = e.made.get("step", "")
    return _finished(s, e, step) if fine and step else _acted(s, e, e.made.get("acts", ()), step)


def _photo(s: BenchState, e: BenchEvent) -> BenchState:
    use = PhotoUse(e.data["photo"], e.data.get("step") or "", e.data["what"], e.at)
    return replace(s, photos=(*s.photos, use), outline=use.photo if use.what == "map" else s.outline)


def _outline(s: BenchState, e: BenchEvent) -> BenchState:
    return replace(s, outline=e.data.get("photo") or "")


def _note(s: BenchState, e: BenchEvent) -> BenchState:
    return replace(s, notes=(*s.notes, Note(_words(e), e.data.get("step") or "", e.at, e.by)))


def _closed(s: BenchState, e: BenchEvent) -> BenchState:
    return replace(s, closed=e.at)


_CHANGES: Mapping[str, Callable[[BenchState, BenchEvent], BenchState]] = for_every_kind(
    {
        "begun": _begun,
        "replanned": _replanned,
        "attempt": _attempt,
        "step_done": _done,
        "step_skipped": _skipped,
        "gone_back": _gone_back,
        "step_added": _added,
        "step_moved": _moved,
        "place_added": _placed,
        "place_changed": _placed,
        "place_removed": _place_removed,
        "place_out": _place_out,
        "place_in": _place_in,
        "outline": _outline,
        "leftover": _leftover,
        "explained": _explained,
        "found": _found,
        "wait_started": _wait_started,
        "wait_ended": _wait_ended,
        "mishap": _mishap,
        "checked": _checked,
        "power_on": _power_on,
        "photo": _photo,
        "note": _note,
        "closed": _closed,
    },
    besides=("undo", "redo"),
)
