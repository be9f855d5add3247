"""What the rules make of a command beside what it says: rules broken, waits that begin, the list that follows."""

from __future__ import annotations

from collections.abc import Callable, Mapping, Sequence
from dataclasses import dataclass, replace
from typing import Any

from vividowl.core.bench.fasteners import PAD, PLUG, SCREW, Place
from vividowl.core.bench.first_power import check_power
from vividowl.core.bench.interlocks import RULES_NOW, Device, all_breached
from vividowl.core.bench.log.events import BenchCommand, BenchEvent
from vividowl.core.bench.log.evolve import evolve
from vividowl.core.bench.log.state import BenchState
from vividowl.core.bench.log.stored import written
from vividowl.core.bench.log.whole import put_back, whole
from vividowl.core.bench.mishaps import mishap
from vividowl.core.bench.steps.cleaning import crust_steps, wipe_step
from vividowl.core.bench.steps.make_list import follow_map
from vividowl.core.bench.steps.vocabulary import BenchStep
from vividowl.core.bench.waits import wait_minutes

_LAID = {"applied", "applied_gpu"}


@dataclass(frozen=True)
class Rules:
    """What the rules of a day are made of. known: version of the events that they are of; minutes of a wait by its kind
    and what was asked for; results of a first power-on, by what was looked at and the time to boot; wait_after: a
    mishap."""

    known: int
    minutes: Callable[[str, float | None], float]
    results: Callable[[Mapping[str, str], float | None, Device], Mapping[str, str]]
    wait_after: Callable[[str], str]


TODAY = Rules(RULES_NOW, wait_minutes, check_power, lambda what: mishap(what).wait)


def event_of(s: BenchState, command: BenchCommand, rules: Rules = TODAY) -> BenchEvent:
    """The event that a command becomes, once it may.

    s: the state before
    command: what somebody tells, of a kind other than undo and redo
    rules: of the day
    raises: CoreError for a wait, mishap or check that is not known
    source: handbook/order-of-work.md, handbook/bench.md, handbook/waits.md: common practice, no source
    """
    made = _told(s, command, rules)
    event = BenchEvent(id=command.id, kind=command.kind, data=command.data, at=command.at, by=command.by, made=made)
    plain = evolve(s, event)
    steps = _list_after(s, plain, command, rules)
    if steps == plain.steps:
        return event
    have = {step.id: step for step in plain.steps}
    rows = [step.id if have.get(step.id) == step else written(step) for step in steps]
    return replace(event, made={**made, "steps": rows})


def _told(s: BenchState, command: BenchCommand, rules: Rules) -> dict[str, Any]:
    """What the rules make of a command, without the list."""
    kind, data = command.kind, command.data
    if kind == "step_done":
        step = next((x for x in s.steps if x.id == data["step"]), None)
        return {**_broken(s, step.acts, data, rules), **_wait_of(step, rules)} if step is not None else {}
    if kind in ("place_out", "place_in"):
        place = s.places.get(data["place"])
        acts = acts_of_place(place, s, out=kind == "place_out") if place is not None else ()
        return {"acts": list(acts), **_broken(s, acts, data, rules)}
    if kind == "power_on":
        return _power(s, data, rules)
    if kind == "wait_started":
        return _wait(data["wait"], data.get("minutes"), rules)
    if kind == "mishap":
        wait = rules.wait_after(data["what"])
        return _wait(wait, None, rules) if wait else {}
    if kind == "replanned":
        again = _again(s, data["steps"])
        return {"again": again} if again else {}
    return {}


def _wait(kind: str, minutes: float | None, rules: Rules) -> dict[str, Any]:
    return {"wait": kind, "minutes": rules.minutes(kind, minutes)}


def _wait_of(step: BenchStep, rules: Rules) -> dict[str, Any]:
    return _wait(step.wait, step.wait_min or None, rules) if step.wait else {}


def _broken(s: BenchState, acts: Sequence[str], data: Mapping[str, Any], rules: Rules) -> dict[str, Any]:
    if not data.get("breach"):
        return {}
    broken = [r.rule for r in all_breached(acts, s.now_facts, s.device, rules.known)]
    return {"broken": broken} if broken else {}


def _power(s: BenchState, data: Mapping[str, Any], rules: Rules) -> dict[str, Any]:
    results = rules.results(data["results"], data.get("boot_s"), s.device)
    step = next((x for x in s.steps if x.shows == "power" and x.id not in s.outcomes), None)
    fine = "fails" not in results.values()
    acts = ("powered",) if not fine else step.acts if step is not None else ("power_on_ok",)
    made = {"results": dict(results), "step": step.id if step is not None else "", "acts": list(acts)}
    return {**made, **_broken(s, acts, data, rules), **(_wait_of(step, rules) if fine and step is not None else {})}


def _again(s: BenchState, rows: Sequence[Mapping[str, Any]]) -> list[str]:
    """Steps that are to be done once more: what lies on a die is not what the new plan puts there, or a hand goes
    inside again though the device has been closed or under power since."""
    ids = [str(row["id"]) for row in rows]
    return list(dict.fromkeys([*_laid_otherwise(s, rows, ids), *_opened_again(s, rows, ids)]))


def _laid_otherwise(s: BenchState, rows: Sequence[Mapping[str, Any]], ids: Sequence[str]) -> list[str]:
    gone = [
        x
        for x in s.steps
        if x.id in s.outcomes and s.outcomes[x.id].how == "done" and x.id not in ids and _LAID & set(x.acts)
    ]
    if not gone or "cooler_off" not in s.facts:
        return []
    first = next((i for i, row in enumerate(rows) if "cleaned" in row.get("acts", ())), len(ids))
    return [i for i in ids[first:] if i in s.outcomes]


# What opens a device and what closes it again, as far as a hand that only lays something inside needs it.
_OPENS = {"power_off", "cover_screws_out", "cover_off", "battery_off"}
_SHUTS = {"battery_on", "power_on_ok", "cover_screws_in"}


def _opened_again(s: BenchState, rows: Sequence[Mapping[str, Any]], ids: Sequence[str]) -> list[str]:
    left = (i for i, row in enumerate(rows) if row["id"] not in s.outcomes and "inside" in row.get("acts", ()))
    hand = next(left, None)
    if hand is None or not {"battery_on", "powered", "power_on_ok", "cover_screws_in"} & s.facts:
        return []
    opens = [i for i, row in zip(ids[:hand], rows, strict=False) if _OPENS & set(row.get("acts", ()))]
    shuts = [i for i, row in zip(ids[hand:], rows[hand:], strict=True) if _SHUTS & set(row.get("acts", ()))]
    return [i for i in (*opens, *shuts) if i in s.outcomes]


def acts_of_place(place: Place, s: BenchState, *, out: bool) -> tuple[str, ...]:
    """What taking a place out or putting it in means for the rules.

    place: the screw, plug or pad
    s: the state before
    out: it comes out [flag]
    source: common practice, no source
    """
    if place.kind == PAD:
        return ()
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


def _list_after(s: BenchState, plain: BenchState, command: BenchCommand, rules: Rules) -> tuple[BenchStep, ...]:
    if command.kind == "replanned":
        plain = put_back(replace(plain, steps=_kept(s, plain)))
    elif command.kind in ("place_added", "place_changed", "place_removed"):
        plain = replace(plain, steps=follow_map(plain.steps, plain.outcomes, list(plain.places.values()), plain.device))
    elif command.kind == "found" and (command.data["part"], command.data["seen"]) == ("contact", "alloyed"):
        plain = replace(plain, steps=_scraped(plain))
    moved = plain.steps is not s.steps or plain.facts != s.facts or plain.outcomes is not s.outcomes
    return whole(plain, rules.known).steps if moved else plain.steps


def _kept(s: BenchState, plain: BenchState) -> tuple[BenchStep, ...]:
    """The new list with what a person added, behind what it stood behind, and with what was done."""
    fresh = list(plain.steps)
    ids = {x.id for x in fresh}
    for i, step in enumerate(s.steps):
        if step.id not in ids and (step.own or step.id in plain.outcomes):
            before = {x.id for x in s.steps[:i]}
            at = max((j for j, x in enumerate(fresh) if x.id in before), default=-1)
            fresh.insert(at + 1, step)
            ids.add(step.id)
    return tuple(fresh)


def _scraped(s: BenchState) -> tuple[BenchStep, ...]:
    """Alloy found on the plate: it is scraped before anything else is cleaned, and the faces are wiped its way."""
    cleaning = ("dust_out", "fan_flick", "cleaned")
    left = [x for x in s.steps if x.id not in s.outcomes]
    if not any(x.id == "cleaned" for x in left):
        return s.steps
    first = next(x.id for x in left if x.id in cleaning)
    have = {x.id for x in s.steps}
    out: list[BenchStep] = []
    for step in s.steps:
        if step.id == first:
            out += [x for x in crust_steps() if x.id not in have]
        out.append(wipe_step(old_alloy=True) if step.id == "cleaned" else step)
    return tuple(out)
