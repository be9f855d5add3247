"""What each kind of event does to the state of a job at the bench, and when it is refused."""

from __future__ import annotations

from collections.abc import Callable, Collection, Iterable, Mapping, Sequence
from dataclasses import fields, replace
from datetime import timedelta
from typing import Any, TypeVar

from vividowl.core.bench.fasteners import PLACES_MOST, PLUG, SCREW, Place, check_place, classes_of, letter_of
from vividowl.core.bench.first_power import check_power
from vividowl.core.bench.interlocks import BY_RULE, NEVER_SKIPPED, PLUGS_OPEN, Device, after, all_breached, breached
from vividowl.core.bench.log.close import blockers
from vividowl.core.bench.log.events import NAME_MOST, PHOTO_USES, TEXT_MOST, BenchEvent, BenchRefused, check_event, said
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
    place_words,
    plugs_open,
)
from vividowl.core.bench.log.whole import put_back, whole
from vividowl.core.bench.mishaps import mishap
from vividowl.core.bench.seen import sight
from vividowl.core.bench.steps.cleaning import face_steps
from vividowl.core.bench.steps.make_list import follow_map
from vividowl.core.bench.steps.vocabulary import BenchStep, check_step, measured
from vividowl.core.bench.waits import WAITS, wait_minutes
from vividowl.core.quantities.errors import CoreError

STEPS_MOST = 600
# Traits that stand in old logs and that no rule asks for any more.
_RETIRED_TRAITS = ("alloy", "interface")
Row = TypeVar("Row", BenchStep, Place, Device)
_TYPES: Mapping[str, tuple[type, ...]] = {"str": (str,), "float": (int, float), "int": (int,), "bool": (bool,)}


def _typed(table: type[Row], data: Mapping[str, Any], needed: Collection[str], what: str) -> Row:
    """A row from stored fields, each of the type that it says."""
    known = {f.name: str(f.type) for f in fields(table)}
    odd = [str(k)[:40] for k in data if k not in known]
    lacks = [k for k in needed if k not in data]
    if odd or lacks:
        problem = f"knows no “{odd[0]}”" if odd else f"lacks “{lacks[0]}”"
        raise CoreError(f"A {what} {problem}.", field=odd[0] if odd else lacks[0], remedy=f"Known: {', '.join(known)}.")
    out: dict[str, Any] = {}
    for name, value in data.items():
        wanted = known[name]
        if wanted.startswith("tuple"):
            if not isinstance(value, (list, tuple)) or not all(
                isinstance(v, str) and len(v) <= NAME_MOST for v in value
            ):
                raise CoreError(f"“{name}” of a {what} is no list of names.", field=name)
            out[name] = tuple(value)
            continue
        allowed = _TYPES[wanted.removesuffix(" | None")]
        right = isinstance(value, allowed) and (wanted.startswith("bool") or not isinstance(value, bool))
        if not right and not (value is None and wanted.endswith("None")):
            raise CoreError(
                f"“{name}” of a {what} is not of the right kind.", field=name, remedy=f"Give it as {wanted}."
            )
        if isinstance(value, str) and (len(value) > TEXT_MOST or "\0" in value):
            raise CoreError(f"“{name}” of a {what} is longer than {TEXT_MOST} characters.", field=name)
        out[name] = value
    return table(**out)


def step_from(data: Mapping[str, Any]) -> BenchStep:
    """A step from its stored fields.

    data: fields by name
    returns: BenchStep
    raises: CoreError for unknown fields, wrong types, or what check_step refuses
    source: the definition
    """
    return check_step(_typed(BenchStep, data, ("id", "stage", "text"), "step"))


def place_from(data: Mapping[str, Any]) -> Place:
    """A place from its stored fields.

    data: fields by name
    returns: Place
    raises: CoreError, OutOfRange
    source: the definition
    """
    return check_place(_typed(Place, data, ("id", "kind", "x", "y", "holds"), "place"))


def device_from(data: Mapping[str, Any]) -> Device:
    """A device's traits from their stored fields.

    data: fields by name
    returns: Device
    raises: CoreError
    source: the definition
    """
    return _typed(Device, {k: v for k, v in data.items() if k not in _RETIRED_TRAITS}, (), "device")


# --- what each kind of event does ---


def _begun(s: BenchState, e: BenchEvent) -> BenchState:
    if s.begun is not None:
        raise BenchRefused("The list of this job has begun already.", reason="done_already", remedy="Go on with it.")
    places = {p.id: p for p in map(place_from, e.data["places"])}
    return replace(s, begun=e.at, device=device_from(e.data["device"]), steps=_unique(map(step_from, e.data["steps"])),
                   places=places, outline=e.data.get("outline") or "", plan=e.data.get("plan") or "")  # fmt: skip


def _unique(steps: Iterable[BenchStep]) -> tuple[BenchStep, ...]:
    out = tuple(steps)
    if len({s.id for s in out}) != len(out) or len(out) > STEPS_MOST:
        raise BenchRefused(
            f"A list has up to {STEPS_MOST} steps, each with its own id.", reason="invalid", field="steps"
        )
    return out


def _replanned(s: BenchState, e: BenchEvent) -> BenchState:
    fresh = list(_unique(map(step_from, e.data["steps"])))
    ids = {step.id for step in fresh}
    outcomes = dict(s.outcomes)
    gone = [x for x in s.steps if x.id in outcomes and outcomes[x.id].how == "done" and x.id not in ids
            and {"applied", "applied_gpu"} & set(x.acts)]  # fmt: skip
    if gone and "cooler_off" in s.facts:
        # What lies on a die now is not what the new plan puts there: it comes off again first.
        again = next((i for i, x in enumerate(fresh) if "cleaned" in x.acts), len(fresh))
        for step in fresh[again:]:
            outcomes.pop(step.id, None)
    for i, step in enumerate(s.steps):
        # What a person added stays behind the step it stood behind; what was done is not forgotten.
        if step.id not in ids and (step.own or step.id in outcomes):
            before = {x.id for x in s.steps[:i]}
            at = max((j for j, x in enumerate(fresh) if x.id in before), default=-1)
            fresh.insert(at + 1, step)
            ids.add(step.id)
    return put_back(replace(s, steps=tuple(fresh), outcomes=outcomes, device=device_from(e.data["device"]),
                            plan=e.data.get("plan") or ""))  # fmt: skip


def _step(s: BenchState, name: str) -> tuple[int, BenchStep]:
    found = next(((i, x) for i, x in enumerate(s.steps) if x.id == name), None)
    if found is None:
        raise BenchRefused(f"There is no step “{name}” in this list.", reason="missing", field="step",
                           remedy="Load the newer list.")  # fmt: skip
    return found


def _pending(s: BenchState, name: str) -> tuple[int, BenchStep]:
    i, step = _step(s, name)
    if step.id in s.outcomes:
        raise BenchRefused(f"Step {i + 1} is {s.outcomes[step.id].how} already.", reason="done_already", field="step",
                           remedy="Go on with the next one, or take the last step back.")  # fmt: skip
    return i, step


def _guarded(s: BenchState, e: BenchEvent, acts: Sequence[str], step: str) -> BenchState:
    """Do some acts; a broken rule needs to be told as what it is."""
    rule = breached(acts, s.now_facts, s.device)
    if rule is not None and not (e.accepted and not e.data.get("breach")):
        hard = next((r for r in all_breached(acts, s.now_facts, s.device) if r.hard), None)
        if hard is not None and not e.accepted:
            raise BenchRefused(hard.reason, reason="interlock", rule=hard.rule, remedy=hard.remedy)
        if not e.data.get("breach"):
            raise BenchRefused(rule.reason, reason="interlock", rule=rule.rule, remedy=rule.remedy)
        words = said(e.data["breach"], "What happened", "lifted the cooler before I saw the battery plug.")
        for broken in all_breached(acts, s.now_facts, s.device):
            key = f"{e.id}:{broken.rule}"
            s = replace(s, breaches={**s.breaches, key: Breach(key, broken.rule, step, words, e.at, e.by)})
    return replace(s, facts=after(acts, s.facts))


def _done(s: BenchState, e: BenchEvent) -> BenchState:
    i, step = _pending(s, e.data["step"])
    if step.shows == "power":
        raise BenchRefused(
            "The first power-on is gone through check by check.", reason="incomplete",
            remedy="Look at each: boot, fans, keyboard, pad, wireless, display, temperatures.")  # fmt: skip
    return _finish(s, e, i, step)


def _finish(s: BenchState, e: BenchEvent, i: int, step: BenchStep) -> BenchState:
    running = next((w for w in s.waits.values() if w.wait in step.after_waits and w.runs(e.at)), None)
    if running is not None and not e.accepted:
        raise BenchRefused(f"{WAITS[running.wait].words} until {running.due:%H:%M} UTC.", reason="waiting",
                           field="step", remedy="Do something else, or end the wait early with a reason.")  # fmt: skip
    value = e.data.get("value")
    if value is not None:
        measured(step.asks, value)
    s = _guarded(s, e, step.acts, step.id)
    known = set(s.places)
    gone = (set(step.takes_out) & known) - s.out
    back = (set(step.puts_in) & known & s.out) - set(s.explained)
    s = replace(
        s, out=(s.out | gone) - back, was_out={**s.was_out, **dict.fromkeys(gone, i + 1)},
        outcomes={**s.outcomes, step.id: Outcome("done", e.at, e.by, e.data.get("words") or "", value)},
    )  # fmt: skip
    if "battery_off" in step.acts or "battery_on" in step.acts:
        s = _battery_places(s, off="battery_off" in step.acts, number=i + 1)
    if step.wait:
        s = _start(s, e, e.id, step.wait, step.wait_min or None, step.id)
    return s


def _battery_places(s: BenchState, *, off: bool, number: int) -> BenchState:
    plugs = {p.id for p in s.places.values() if p.kind == PLUG and p.holds == "battery"}
    if off:
        return replace(s, out=s.out | plugs, was_out={**s.was_out, **dict.fromkeys(plugs, number)})
    return replace(s, out=s.out - plugs)


def _skipped(s: BenchState, e: BenchEvent) -> BenchState:
    _, step = _pending(s, e.data["step"])
    if NEVER_SKIPPED & set(step.acts) and not e.accepted:
        off = "cooler_off" in step.acts
        raise BenchRefused(
            "This plan lifts the cooler; the step is not skipped."
            if off
            else "This step stands between a die and the power; it is not skipped.",
            reason="never_skipped",
            field="step",
            remedy="Off already: mark it as done. Not to be lifted: take another option in Plan and make the list anew."
            if off
            else "Do it; is it done already, mark it as done. Not needed: take another option in Plan and make the "
            "list anew.",
        )
    words = said(e.data["reason"], "The reason", "this model has no such part.")
    return replace(s, outcomes={**s.outcomes, step.id: Outcome("skipped", e.at, e.by, words)})


def _gone_back(s: BenchState, e: BenchEvent) -> BenchState:
    i, _ = _step(s, e.data["step"])
    again = {step.id for step in s.steps[i:]}
    return replace(s, outcomes={k: v for k, v in s.outcomes.items() if k not in again})


def _after(s: BenchState, step: str | None, steps: Sequence[BenchStep]) -> int:
    if not step:
        return 0
    _step(s, step)
    return next(i for i, x in enumerate(steps) if x.id == step) + 1


def _added(s: BenchState, e: BenchEvent) -> BenchState:
    step = replace(step_from(e.data["step"]), own=True)
    if step.acts and not e.accepted:
        raise BenchRefused("A step that a person adds marks nothing for the rules.", reason="invalid", field="acts",
                           remedy="Leave its acts empty; what it does stands in its words.")  # fmt: skip
    if any(x.id == step.id for x in s.steps):
        raise BenchRefused("A step with this id is in the list already.", reason="done_already", field="step")
    at = _after(s, e.data.get("after"), s.steps)
    return replace(s, steps=_unique((*s.steps[:at], step, *s.steps[at:])))


def _moved(s: BenchState, e: BenchEvent) -> BenchState:
    _, step = _pending(s, e.data["step"])
    if e.data.get("after") == step.id:
        raise BenchRefused("A step does not follow itself.", reason="invalid", field="after")
    rest = [x for x in s.steps if x.id != step.id]
    at = _after(s, e.data.get("after"), rest)
    moved = (*rest[:at], step, *rest[at:])
    worse = _broken_in(s, moved) - _broken_in(s, s.steps)
    if worse:
        rule = BY_RULE[sorted(r for _, r in worse)[0]]
        raise BenchRefused(f"In this order a rule is broken: {rule.reason}", reason="interlock", rule=rule.rule,
                           remedy=rule.remedy)  # fmt: skip
    return replace(s, steps=moved)


def _broken_in(s: BenchState, steps: Sequence[BenchStep]) -> set[tuple[str, str]]:
    """Rules that the steps still to do would break in this order."""
    facts, out, broken = s.facts, set(s.out), set[tuple[str, str]]()
    for step in steps:
        if step.id in s.outcomes:
            continue
        now = facts | {PLUGS_OPEN} if plugs_open(s.places, frozenset(out)) else facts
        broken.update((step.id, rule.rule) for rule in all_breached(step.acts, now, s.device))
        facts = after(step.acts, facts)
        out = (out | (set(step.takes_out) & set(s.places))) - set(step.puts_in)
    return broken


def _place(s: BenchState, name: str) -> Place:
    if name not in s.places:
        raise BenchRefused("There is no such place on the map.", reason="missing", field="place",
                           remedy="Load the newer map.")  # fmt: skip
    return s.places[name]


def _place_added(s: BenchState, e: BenchEvent) -> BenchState:
    place = place_from(e.data["place"])
    if place.id in s.places:
        raise BenchRefused("This place is on the map already.", reason="done_already", field="place")
    if len(s.places) >= PLACES_MOST:
        raise BenchRefused(f"A map holds up to {PLACES_MOST} places.", reason="invalid", field="place")
    return _relisted(replace(s, places={**s.places, place.id: place}))


def _place_changed(s: BenchState, e: BenchEvent) -> BenchState:
    place = place_from(e.data["place"])
    old = _place(s, place.id)
    if place.id in s.out and (old.kind, old.holds) != (place.kind, place.holds):
        raise BenchRefused(f"The {place_words(old, s.places)} is out; what it is cannot be changed now.", reason="out",
                           field="place", remedy="Put it back first.")  # fmt: skip
    return _relisted(replace(s, places={**s.places, place.id: place}))


def _place_removed(s: BenchState, e: BenchEvent) -> BenchState:
    place = _place(s, e.data["place"])
    if place.id in s.out:
        raise BenchRefused(f"The {place_words(place, s.places)} is out; it cannot be wiped off the map.", reason="out",
                           field="place", remedy="Put it back, or explain why it stays out.")  # fmt: skip
    return _relisted(replace(s, places={k: v for k, v in s.places.items() if k != place.id}))


def _relisted(s: BenchState) -> BenchState:
    """Steps that deal with places follow the map."""
    return replace(s, steps=follow_map(s.steps, s.outcomes, list(s.places.values()), s.device))


def acts_of_place(place: Place, s: BenchState, *, out: bool) -> tuple[str, ...]:
    """What taking a place out or putting it in means for the rules.

    place: the screw or plug
    s: the state before
    out: it comes out [flag]
    returns: acts [text]
    source: common practice, no source
    """
    if place.kind == PLUG:
        if place.holds == "battery":
            return ("battery_off",) if out else ("battery_on",)
        return ("plug_off",) if out else ("plug_on",)
    if place.holds != "cover":
        return ("inner_screws_out",) if out else ("inner_screws_in",)
    if out:
        return ("cover_screws_out",)
    others = [p for p in s.out if p != place.id and s.places[p].kind == SCREW and s.places[p].holds == "cover"]
    return () if [p for p in others if p not in s.explained] else ("cover_screws_in",)


def _place_out(s: BenchState, e: BenchEvent) -> BenchState:
    place = _place(s, e.data["place"])
    if place.id in s.out:
        raise BenchRefused(f"The {place_words(place, s.places)} is out already.", reason="done_already", field="place")
    s = _guarded(s, e, acts_of_place(place, s, out=True), "")
    number = next((i + 1 for i, x in enumerate(s.steps) if place.id in x.takes_out), len(s.outcomes) + 1)
    return replace(s, out=s.out | {place.id}, was_out={**s.was_out, place.id: number})


def _place_in(s: BenchState, e: BenchEvent) -> BenchState:
    place = _place(s, e.data["place"])
    if place.id not in s.out:
        raise BenchRefused(f"The {place_words(place, s.places)} is in already.", reason="done_already", field="place",
                           remedy="One in the tray too many? Note it as left over.")  # fmt: skip
    letter, taken = letter_of(place, classes_of(list(s.places.values()))), e.data.get("letter")
    if taken and place.kind == SCREW and taken != letter:
        raise BenchRefused(f"This place takes a screw {letter}, not {taken}: the wrong length dents the board.",
                           reason="wrong_screw", field="letter", remedy=f"Take one from tray {letter}.")  # fmt: skip
    s = _guarded(s, e, acts_of_place(place, s, out=False), "")
    return replace(s, out=s.out - {place.id}, explained={k: v for k, v in s.explained.items() if k != place.id})


def _leftover(s: BenchState, e: BenchEvent) -> BenchState:
    count = e.data["count"]
    if not 0 <= count <= PLACES_MOST:
        raise BenchRefused(
            f"{count} screws are left over? Allowed are 0 to {PLACES_MOST}.", reason="invalid", field="count"
        )
    return replace(s, leftover=count, leftover_words=(e.data.get("words") or "").strip() if count else "")


def _explained(s: BenchState, e: BenchEvent) -> BenchState:
    place = _place(s, e.data["place"])
    words = said(e.data["words"], "The reason", "thread torn, told the owner.")
    if place.kind == PLUG:
        raise BenchRefused(f"The {place_words(place, s.places)} is unplugged; a plug is not explained away.",
                           reason="plug_open", field="place", remedy="Plug it in.")  # fmt: skip
    if place.id not in s.out:
        raise BenchRefused(f"The {place_words(place, s.places)} is in; there is nothing to explain.",
                           reason="done_already", field="place")  # fmt: skip
    return replace(s, explained={**s.explained, place.id: words})


def _found(s: BenchState, e: BenchEvent) -> BenchState:
    sight(e.data["part"], e.data["seen"])
    got = FoundState(e.id, e.data["part"], e.data["seen"], e.data.get("words") or "", e.data.get("photo") or "", e.at)
    return _alloy_seen(replace(s, found={**s.found, got.part: got}), got)


def _alloy_seen(s: BenchState, found: FoundState) -> BenchState:
    """Alloy found on the plate: what is still to be cleaned is cleaned its way."""
    at = next((i for i, x in enumerate(s.steps) if x.id == "cleaned" and x.id not in s.outcomes), None)
    if (found.part, found.seen) != ("contact", "alloyed") or at is None:
        return s
    fresh = [x for x in face_steps(old_alloy=True) if x.id == "cleaned" or x.id not in {y.id for y in s.steps}]
    return replace(s, steps=(*s.steps[:at], *fresh, *s.steps[at + 1 :]))


def _start(s: BenchState, e: BenchEvent, key: str, wait: str, minutes: float | None, step: str) -> BenchState:
    due = e.at + timedelta(minutes=wait_minutes(wait, minutes))
    return replace(s, waits={**s.waits, key: Wait(key, wait, step, e.at, due)})


def _wait_started(s: BenchState, e: BenchEvent) -> BenchState:
    return _start(s, e, e.id, e.data["wait"], e.data.get("minutes"), e.data.get("step") or "")


def _wait_ended(s: BenchState, e: BenchEvent) -> BenchState:
    wait = s.waits.get(e.data["wait"])
    if wait is None:
        raise BenchRefused("There is no such wait.", reason="missing", field="wait")
    if wait.ended is not None:
        raise BenchRefused("This wait is ended already.", reason="done_already", field="wait")
    words = (e.data.get("reason") or "").strip()
    if wait.due > e.at:
        words = said(words, "The reason for ending it early", "surface is dry, looked with the loupe.")
    return replace(s, waits={**s.waits, wait.id: replace(wait, ended=e.at, reason=words)})


def _mishap(s: BenchState, e: BenchEvent) -> BenchState:
    what = mishap(e.data["what"])
    got = Mishappened(e.id, e.data["what"], e.data.get("step") or "", (e.data.get("words") or "").strip(),
                      e.data.get("place") or "", e.at, e.by)  # fmt: skip
    s = replace(s, mishaps={**s.mishaps, got.id: got})
    return _start(s, e, e.id, what.wait, None, got.step) if what.wait else s


def _checked(s: BenchState, e: BenchEvent) -> BenchState:
    key, words = e.data["of"], said(e.data["words"], "The check", "looked with the loupe, nothing bridged.")
    if key in s.breaches:
        return replace(s, breaches={**s.breaches, key: replace(s.breaches[key], checked=words)})
    if key in s.mishaps:
        return replace(s, mishaps={**s.mishaps, key: replace(s.mishaps[key], checked=words)})
    raise BenchRefused("There is nothing of this kind to check.", reason="missing", field="of")


def _power_on(s: BenchState, e: BenchEvent) -> BenchState:
    results = check_power(e.data["results"], e.data.get("boot_s"))
    barred = next((m for m in s.mishaps.values() if mishap(m.what).no_power and not m.checked), None)
    if barred is not None and not e.accepted:
        what = mishap(barred.what)
        raise BenchRefused(f"{what.words}: no power before the check.", reason="interlock", rule="mishap",
                           remedy=what.check or what.steps[0])  # fmt: skip
    fine = "fails" not in results.values()
    s = replace(s, power=(*s.power, PowerOn(results, e.data.get("boot_s"), fine, e.at)))
    found = next(((i, x) for i, x in enumerate(s.steps) if x.shows == "power" and x.id not in s.outcomes), None)
    if not fine:
        return _guarded(s, e, ("powered",), found[1].id if found else "")
    return _finish(s, e, *found) if found else _guarded(s, e, ("power_on_ok",), "")


def _photo(s: BenchState, e: BenchEvent) -> BenchState:
    if e.data["what"] not in PHOTO_USES:
        raise BenchRefused(f"A photo is for {', '.join(PHOTO_USES)}.", reason="invalid", field="what")
    use = PhotoUse(e.data["photo"], e.data.get("step") or "", e.data["what"], e.at)
    return replace(s, photos=(*s.photos, use), outline=use.photo if use.what == "map" else s.outline)


def _outline(s: BenchState, e: BenchEvent) -> BenchState:
    return replace(s, outline=e.data.get("photo") or "")


def _note(s: BenchState, e: BenchEvent) -> BenchState:
    words = said(e.data["words"], "The note", "clip at the left corner is weak.")
    return replace(s, notes=(*s.notes, Note(words, e.data.get("step") or "", e.at, e.by)))


def _closed(s: BenchState, e: BenchEvent) -> BenchState:
    open_ = blockers(s, e.at)
    if open_ and not e.accepted:
        raise BenchRefused(f"It does not close yet: {open_[0].text}", reason="open", remedy=open_[0].remedy)
    return replace(s, closed=e.at)


_DO: Mapping[str, Callable[[BenchState, BenchEvent], BenchState]] = {
    "begun": _begun, "replanned": _replanned, "step_done": _done, "step_skipped": _skipped, "gone_back": _gone_back,
    "step_added": _added, "step_moved": _moved, "place_added": _place_added, "place_changed": _place_changed,
    "place_removed": _place_removed, "place_out": _place_out, "place_in": _place_in, "outline": _outline,
    "leftover": _leftover, "explained": _explained, "found": _found, "wait_started": _wait_started,
    "wait_ended": _wait_ended, "mishap": _mishap, "checked": _checked, "power_on": _power_on, "photo": _photo,
    "note": _note, "closed": _closed,
}  # fmt: skip
# Clocks of the Before run count before the list does; of the After run when it is closed.
_BEFORE_BEGIN = ("begun", "wait_started", "wait_ended", "photo", "note")
_AFTER_CLOSE = ("wait_started", "wait_ended", "photo", "note")


def apply_event(s: BenchState, event: BenchEvent) -> BenchState:
    """The state after one event other than undo and redo.

    s: the state before
    event: what happened
    returns: BenchState
    raises: BenchRefused, CoreError, OutOfRange when it cannot be; the state before then stands
    source: handbook sections 2, 7 and 8: common practice, no source
    """
    check_event(event.kind, event.data)
    if s.begun is None and event.kind not in _BEFORE_BEGIN:
        raise BenchRefused("The list of this job has not begun.", reason="not_begun", remedy="Begin it in Open.")
    if s.closed is not None and event.kind not in _AFTER_CLOSE:
        raise BenchRefused("The bench work of this job is closed.", reason="closed",
                           remedy="Take the closing back to go on.")  # fmt: skip
    after_it = _DO[event.kind](s, event)
    touched = after_it.steps is not s.steps or after_it.facts != s.facts or after_it.outcomes is not s.outcomes
    return whole(after_it) if touched else after_it
