"""What may happen at the bench: a command becomes an event, or is refused by the rules of today."""

from __future__ import annotations

from collections.abc import Callable, Iterable, Mapping
from dataclasses import replace

from vividowl.core.bench.fasteners import PLACES_MOST, PLUG, SCREW, Place, classes_of, letter_of
from vividowl.core.bench.first_power import check_power
from vividowl.core.bench.interlocks import BY_RULE, NEVER_SKIPPED
from vividowl.core.bench.log.close import blockers
from vividowl.core.bench.log.events import PHOTO_USES, BenchCommand, BenchEvent, BenchRefused, check_event, said
from vividowl.core.bench.log.evolve import put
from vividowl.core.bench.log.guard import broken_in, guard
from vividowl.core.bench.log.made import acts_of_place, event_of
from vividowl.core.bench.log.state import BenchState, place_words
from vividowl.core.bench.log.stored import device_from, place_from, step_from
from vividowl.core.bench.mishaps import mishap
from vividowl.core.bench.seen import sight
from vividowl.core.bench.steps.vocabulary import BenchStep, measured
from vividowl.core.bench.waits import WAITS, wait_minutes

STEPS_MOST = 600
# Clocks of the Before run count before the list does; of the After run when it is closed.
_BEFORE_BEGIN = ("begun", "wait_started", "wait_ended", "photo", "note")
_AFTER_CLOSE = ("wait_started", "wait_ended", "photo", "note")


def decide(s: BenchState, command: BenchCommand) -> BenchEvent:
    """The event that a command becomes, if the rules of today let it pass.

    s: the state before
    command: what somebody tells, of a kind other than undo and redo
    returns: BenchEvent
    raises: BenchRefused, CoreError, OutOfRange when it cannot be
    source: handbook/order-of-work.md, handbook/bench.md, handbook/waits.md: common practice, no source
    """
    check(s, command)
    return event_of(s, command)


def check(s: BenchState, command: BenchCommand) -> None:
    """Refuse a command that cannot be.

    s: the state before
    command: what somebody tells, of a kind other than undo and redo
    returns: nothing
    raises: BenchRefused, CoreError, OutOfRange
    source: handbook/order-of-work.md, handbook/bench.md, handbook/waits.md: common practice, no source
    """
    check_event(command.kind, command.data)
    if s.begun is None and command.kind not in _BEFORE_BEGIN:
        raise BenchRefused("The list of this job has not begun.", reason="not_begun", remedy="Begin it in Open.")
    if s.closed is not None and command.kind not in _AFTER_CLOSE:
        raise BenchRefused("The bench work of this job is closed.", reason="closed",
                           remedy="Take the closing back to go on.")  # fmt: skip
    _CHECKS[command.kind](s, command)


def _begun(s: BenchState, c: BenchCommand) -> None:
    if s.begun is not None:
        raise BenchRefused("The list of this job has begun already.", reason="done_already", remedy="Go on with it.")
    for row in c.data["places"]:
        place_from(row)
    _replanned(s, c)


def _replanned(_: BenchState, c: BenchCommand) -> None:
    device_from(c.data["device"])
    _check_list(step_from(row) for row in c.data["steps"])


def _check_list(steps: Iterable[BenchStep]) -> None:
    out = tuple(steps)
    if len({s.id for s in out}) != len(out) or len(out) > STEPS_MOST:
        raise BenchRefused(
            f"A list has up to {STEPS_MOST} steps, each with its own id.", reason="invalid", field="steps"
        )


def _step(s: BenchState, name: str) -> tuple[int, BenchStep]:
    found = next(((i, x) for i, x in enumerate(s.steps) if x.id == name), None)
    if found is None:
        raise BenchRefused(f"There is no step “{name}” in this list.", reason="missing", field="step",
                           remedy="Load the newer list.")  # fmt: skip
    return found


def _pending(s: BenchState, name: str) -> BenchStep:
    i, step = _step(s, name)
    if step.id in s.outcomes:
        raise BenchRefused(f"Step {i + 1} is {s.outcomes[step.id].how} already.", reason="done_already", field="step",
                           remedy="Go on with the next one, or take the last step back.")  # fmt: skip
    return step


def _done(s: BenchState, c: BenchCommand) -> None:
    step = _pending(s, c.data["step"])
    if step.shows == "power":
        raise BenchRefused(
            "The first power-on is gone through check by check.", reason="incomplete",
            remedy="Look at each: boot, fans, keyboard, pad, wireless, display, temperatures.")  # fmt: skip
    _finished(s, c, step)


def _finished(s: BenchState, c: BenchCommand, step: BenchStep) -> None:
    running = next((w for w in s.waits.values() if w.wait in step.after_waits and w.runs(c.at)), None)
    if running is not None:
        raise BenchRefused(f"{WAITS[running.wait].words} until {running.due:%H:%M} UTC.", reason="waiting",
                           field="step", remedy="Do something else, or end the wait early with a reason.")  # fmt: skip
    value = c.data.get("value")
    if value is not None:
        measured(step.asks, value)
    guard(s, c, step.acts)


def _skipped(s: BenchState, c: BenchCommand) -> None:
    step = _pending(s, c.data["step"])
    if NEVER_SKIPPED & set(step.acts):
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
    said(c.data["reason"], "The reason", "this model has no such part.")


def _gone_back(s: BenchState, c: BenchCommand) -> None:
    _step(s, c.data["step"])


def _added(s: BenchState, c: BenchCommand) -> None:
    step = replace(step_from(c.data["step"]), own=True)
    if step.acts:
        raise BenchRefused("A step that a person adds marks nothing for the rules.", reason="invalid", field="acts",
                           remedy="Leave its acts empty; what it does stands in its words.")  # fmt: skip
    if any(x.id == step.id for x in s.steps):
        raise BenchRefused("A step with this id is in the list already.", reason="done_already", field="step")
    if c.data.get("after"):
        _step(s, c.data["after"])
    _check_list((*s.steps, step))


def _moved(s: BenchState, c: BenchCommand) -> None:
    step = _pending(s, c.data["step"])
    if c.data.get("after") == step.id:
        raise BenchRefused("A step does not follow itself.", reason="invalid", field="after")
    if c.data.get("after"):
        _step(s, c.data["after"])
    moved = put(step, c.data.get("after"), [x for x in s.steps if x is not step])
    worse = broken_in(s, moved) - broken_in(s, s.steps)
    if worse:
        rule = BY_RULE[sorted(r for _, r in worse)[0]]
        raise BenchRefused(f"In this order a rule is broken: {rule.reason}", reason="interlock", rule=rule.rule,
                           remedy=rule.remedy)  # fmt: skip


def _place(s: BenchState, name: str) -> Place:
    if name not in s.places:
        raise BenchRefused("There is no such place on the map.", reason="missing", field="place",
                           remedy="Load the newer map.")  # fmt: skip
    return s.places[name]


def _place_added(s: BenchState, c: BenchCommand) -> None:
    place = place_from(c.data["place"])
    if place.id in s.places:
        raise BenchRefused("This place is on the map already.", reason="done_already", field="place")
    if len(s.places) >= PLACES_MOST:
        raise BenchRefused(f"A map holds up to {PLACES_MOST} places.", reason="invalid", field="place")


def _place_changed(s: BenchState, c: BenchCommand) -> None:
    place = place_from(c.data["place"])
    old = _place(s, place.id)
    if place.id in s.out and (old.kind, old.holds) != (place.kind, place.holds):
        raise BenchRefused(f"The {place_words(old, s.places)} is out; what it is cannot be changed now.", reason="out",
                           field="place", remedy="Put it back first.")  # fmt: skip


def _place_removed(s: BenchState, c: BenchCommand) -> None:
    place = _place(s, c.data["place"])
    if place.id in s.out:
        raise BenchRefused(f"The {place_words(place, s.places)} is out; it cannot be wiped off the map.", reason="out",
                           field="place", remedy="Put it back, or explain why it stays out.")  # fmt: skip


def _place_out(s: BenchState, c: BenchCommand) -> None:
    place = _place(s, c.data["place"])
    if place.id in s.out:
        raise BenchRefused(f"The {place_words(place, s.places)} is out already.", reason="done_already", field="place")
    guard(s, c, acts_of_place(place, s, out=True))


def _place_in(s: BenchState, c: BenchCommand) -> None:
    place = _place(s, c.data["place"])
    if place.id not in s.out:
        raise BenchRefused(f"The {place_words(place, s.places)} is in already.", reason="done_already", field="place",
                           remedy="One in the tray too many? Note it as left over.")  # fmt: skip
    letter, taken = letter_of(place, classes_of(list(s.places.values()))), c.data.get("letter")
    if taken and place.kind == SCREW and taken != letter:
        raise BenchRefused(f"This place takes a screw {letter}, not {taken}: the wrong length dents the board.",
                           reason="wrong_screw", field="letter", remedy=f"Take one from tray {letter}.")  # fmt: skip
    guard(s, c, acts_of_place(place, s, out=False))


def _leftover(_: BenchState, c: BenchCommand) -> None:
    count = c.data["count"]
    if not 0 <= count <= PLACES_MOST:
        raise BenchRefused(
            f"{count} screws are left over? Allowed are 0 to {PLACES_MOST}.", reason="invalid", field="count"
        )


def _explained(s: BenchState, c: BenchCommand) -> None:
    place = _place(s, c.data["place"])
    said(c.data["words"], "The reason", "thread torn, told the owner.")
    if place.kind == PLUG:
        raise BenchRefused(f"The {place_words(place, s.places)} is unplugged; a plug is not explained away.",
                           reason="plug_open", field="place", remedy="Plug it in.")  # fmt: skip
    if place.id not in s.out:
        raise BenchRefused(f"The {place_words(place, s.places)} is in; there is nothing to explain.",
                           reason="done_already", field="place")  # fmt: skip


def _found(_: BenchState, c: BenchCommand) -> None:
    sight(c.data["part"], c.data["seen"])


def _wait_started(_: BenchState, c: BenchCommand) -> None:
    wait_minutes(c.data["wait"], c.data.get("minutes"))


def _wait_ended(s: BenchState, c: BenchCommand) -> None:
    wait = s.waits.get(c.data["wait"])
    if wait is None:
        raise BenchRefused("There is no such wait.", reason="missing", field="wait")
    if wait.ended is not None:
        raise BenchRefused("This wait is ended already.", reason="done_already", field="wait")
    if wait.due > c.at:
        said(c.data.get("reason"), "The reason for ending it early", "surface is dry, looked with the loupe.")


def _mishap(_: BenchState, c: BenchCommand) -> None:
    mishap(c.data["what"])


def _checked(s: BenchState, c: BenchCommand) -> None:
    said(c.data["words"], "The check", "looked with the loupe, nothing bridged.")
    if c.data["of"] not in s.breaches and c.data["of"] not in s.mishaps:
        raise BenchRefused("There is nothing of this kind to check.", reason="missing", field="of")


def _power_on(s: BenchState, c: BenchCommand) -> None:
    results = check_power(c.data["results"], c.data.get("boot_s"))
    barred = next((m for m in s.mishaps.values() if mishap(m.what).no_power and not m.checked), None)
    if barred is not None:
        what = mishap(barred.what)
        raise BenchRefused(f"{what.words}: no power before the check.", reason="interlock", rule="mishap",
                           remedy=what.check or what.steps[0])  # fmt: skip
    if "fails" in results.values():
        return guard(s, c, ("powered",))
    step = next((x for x in s.steps if x.shows == "power" and x.id not in s.outcomes), None)
    return _finished(s, c, step) if step is not None else guard(s, c, ("power_on_ok",))


def _photo(_: BenchState, c: BenchCommand) -> None:
    if c.data["what"] not in PHOTO_USES:
        raise BenchRefused(f"A photo is for {', '.join(PHOTO_USES)}.", reason="invalid", field="what")


def _note(_: BenchState, c: BenchCommand) -> None:
    said(c.data["words"], "The note", "clip at the left corner is weak.")


def _closed(s: BenchState, c: BenchCommand) -> None:
    open_ = blockers(s, c.at)
    if open_:
        raise BenchRefused(f"It does not close yet: {open_[0].text}", reason="open", remedy=open_[0].remedy)


_CHECKS: Mapping[str, Callable[[BenchState, BenchCommand], None]] = {
    "begun": _begun, "replanned": _replanned, "step_done": _done, "step_skipped": _skipped, "gone_back": _gone_back,
    "step_added": _added, "step_moved": _moved, "place_added": _place_added, "place_changed": _place_changed,
    "place_removed": _place_removed, "place_out": _place_out, "place_in": _place_in, "outline": lambda _s, _c: None,
    "leftover": _leftover, "explained": _explained, "found": _found, "wait_started": _wait_started,
    "wait_ended": _wait_ended, "mishap": _mishap, "checked": _checked, "power_on": _power_on, "photo": _photo,
    "note": _note, "closed": _closed,
}  # fmt: skip
