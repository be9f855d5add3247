"""A list that always leads back to a whole device: what a skip, an own step or a new plan left out is put in again."""

from __future__ import annotations

from dataclasses import replace

from vividowl.core.bench.fasteners import PLUG, SCREW
from vividowl.core.bench.interlocks import ALLOY_UNSEEN, BARE, BARE_GPU, RULES_NOW, Device, Interlock, after, rules_for
from vividowl.core.bench.log.state import BenchState, place_words
from vividowl.core.bench.steps.cleaning import face_steps
from vividowl.core.bench.steps.closing import seat_step
from vividowl.core.bench.steps.faces import covered_step, inspect_step, stopgap_step
from vividowl.core.bench.steps.vocabulary import BenchStep
from vividowl.core.quantities.words import listed, say

# Rules whose breach would end with a bare die, a cooler off, or unseen alloy under power.
_LIFT = "lift_first"
_DEADLY = frozenset(
    {
        "interface_first",
        "interface_first_gpu",
        "inspect_alloy",
        "cooler_before_power",
        "interface_before_power",
        "interface_before_power_gpu",
    }
)
_ROUNDS = 8


def whole(s: BenchState, known: int = RULES_NOW) -> BenchState:
    """The state with its list made to end in a whole device: cooler on, every die covered, alloy inspected.

    known: version of the events that the rules are of [1]
    returns: BenchState, the same when nothing is missing
    source: handbook/bench.md: common practice, no source
    """
    if s.begun is None or s.closed is not None:
        return s
    for _ in range(_ROUNDS):
        found = _first_trouble(s, known)
        if found is None:
            break
        at, facts = found
        fresh = _what_lacks(s, facts, s.steps[at] if at < len(s.steps) else None, known)
        if not fresh:
            break
        s = replace(s, steps=(*s.steps[:at], *fresh, *s.steps[at:]))
    return s


def _first_trouble(s: BenchState, known: int) -> tuple[int, frozenset[str]] | None:
    """Where in the steps still to do a deadly rule would first be broken, and what holds there."""
    facts = s.facts
    for i, step in enumerate(s.steps):
        if step.id in s.outcomes:
            continue
        held = facts
        for act in step.acts:
            for rule in rules_for((act,), s.device, known):
                if (rule.rule in _DEADLY or rule.rule == _LIFT) and (
                    not set(rule.needs) <= held or set(rule.bars) & held
                ):
                    return i, facts
            held = after((act,), held)
        facts = held
    bad = {"cooler_off", BARE, ALLOY_UNSEEN} | ({BARE_GPU} if s.device.two_dies else set())
    return (len(s.steps), facts) if bad & facts else None


def _what_lacks(s: BenchState, facts: frozenset[str], then: BenchStep | None, known: int) -> list[BenchStep]:
    """Steps that are missing before a step, or at the end of the list."""
    dies = [(BARE, "applied", say("whole-every-die-cooler-left"))]
    if s.device.two_dies:
        dies = [(BARE, "applied", say("whole-processor-die")), (BARE_GPU, "applied_gpu", say("whole-graphics-die"))]
    bare = [d for d in dies if d[0] in facts or d[1] not in facts]
    seats = then is not None and "cooler_on" in then.acts
    looks = then is not None and "covered" in then.acts
    out: list[BenchStep] = []
    lifts_for = then is not None and any(_LIFT in {r.rule for r in rules_for((a,), s.device, known)} for a in then.acts)
    if lifts_for and "cooler_off" not in facts:
        return [_named(_lift_again(), s, [])]
    if "cooler_off" not in facts and (any(b in facts for b, _, _ in dies) or ALLOY_UNSEEN in facts):
        lift = _lift_again()
        out.append(lift)
        facts = after(lift.acts, facts)
        bare = dies
    if bare and "cleaned" not in facts:
        out += face_steps(old_alloy=ALLOY_UNSEEN in facts or "alloy_applied" in s.facts)
        bare = dies
    out += [stopgap_step(f"again_{fact}", fact, words) for _, fact, words in bare]
    if ALLOY_UNSEEN in facts:
        out.append(inspect_step("again_inspect"))
    if out and not looks:
        out.append(covered_step("again_covered"))
    if not seats and not looks and (out or "cooler_off" in facts):
        seat = seat_step(s.device, list(s.places.values()), "again_cooler_on")
        # The rules of the first version knew no wait before the cooler.
        out.append(seat if known > 1 else replace(seat, after_waits=()))
    return [_named(step, s, out[:i]) for i, step in enumerate(out)]


def _lift_again() -> BenchStep:
    return BenchStep(
        id="again_cooler_off",
        stage="open",
        text=say("whole-lift-cooler-once-more"),
        why=say("whole-lies-over-face-that-not"),
        tool=say("whole-bit-that-fits"),
        material="",
        caution=say("whole-screws-in-order-little-each"),
        acts=("cooler_off",),
        photo=True,
        task="open_close",
    )


def put_back(s: BenchState) -> BenchState:
    """The state with a step for what is out and what no step of a new list brings back.

    returns: BenchState, the same when all comes back
    source: handbook/bench.md: common practice, no source
    """
    out = set(s.out) - set(s.explained)
    for step in s.steps:
        if step.id not in s.outcomes:
            out = (out | (set(step.takes_out) & set(s.places))) - set(step.puts_in)
    battery = {p for p in out if s.places[p].kind == PLUG and s.places[p].holds == "battery"}
    if battery and any("battery_on" in x.acts and x.id not in s.outcomes for x in s.steps):
        battery, out = set(), out - battery
    back = [p for p in s.places if p in out]
    if not back:
        return s
    words = listed(place_words(s.places[p], s.places) for p in back)
    acts = ["plug_on"] if any(s.places[p].kind == PLUG and p not in battery for p in back) else []
    acts += ["inner_screws_in"] if any(s.places[p].kind == SCREW and s.places[p].holds != "cover" for p in back) else []
    acts += ["battery_on"] if battery else []
    step = BenchStep(
        id="again_back",
        stage="close",
        text=say("whole-put-back", words=words),
        why=say("whole-list-as-now-does-not"),
        tool="",
        material="",
        caution="",
        acts=tuple(acts),
        takes_out=(),
        puts_in=tuple(back),
        shows="map",
        task="open_close",
    )
    last = ("battery_on", "power_on_ok", "cover_screws_in")
    at = next((i for i, x in enumerate(s.steps) if x.id not in s.outcomes and set(last) & set(x.acts)), len(s.steps))
    return replace(s, steps=(*s.steps[:at], _named(step, s, []), *s.steps[at:]))


def _named(step: BenchStep, s: BenchState, earlier: list[BenchStep]) -> BenchStep:
    """The step under an id of its own."""
    taken = {x.id for x in (*s.steps, *earlier)}
    base = step.id if step.id.startswith("again_") else f"again_{step.id}"
    number = next(n for n in range(1, 1000) if f"{base}_{n}" not in taken)
    return replace(step, id=f"{base}_{number}")


def bars_power(device: Device, facts: frozenset[str]) -> tuple[Interlock, ...]:
    """What makes power deadly now: a cooler off, a bare die, unseen alloy.

    facts: what holds now [text]
    returns: rules (n,)
    source: handbook/bench.md: common practice, no source
    """
    rules = {r.rule: r for r in rules_for(("battery_on", "power_on_ok"), device) if r.rule in _DEADLY}
    return tuple(r for r in rules.values() if set(r.bars) & facts)
