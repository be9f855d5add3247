"""What may happen at the bench: a command becomes an event, or is refused by the rules of today."""

from __future__ import annotations

from collections.abc import Callable, Iterable, Mapping
from dataclasses import replace

from vividowl.core.bench.first_power import check_power
from vividowl.core.bench.interlocks import BY_RULE, NEVER_SKIPPED
from vividowl.core.bench.log.close import blockers
from vividowl.core.bench.log.events import (
    KINDS,
    PHOTO_USES,
    BenchCommand,
    BenchEvent,
    BenchRefused,
    When,
    check_event,
    for_every_kind,
    said,
)
from vividowl.core.bench.log.evolve import put
from vividowl.core.bench.log.guard import broken_in, guard, refuse_while_waiting
from vividowl.core.bench.log.made import event_of
from vividowl.core.bench.log.on_the_map import ON_THE_MAP
from vividowl.core.bench.log.state import BenchState
from vividowl.core.bench.log.stored import device_from, place_from, step_from
from vividowl.core.bench.mishaps import mishap
from vividowl.core.bench.seen import sight
from vividowl.core.bench.steps.vocabulary import BenchStep, measured
from vividowl.core.bench.waits import WAITS, wait_minutes
from vividowl.core.quantities.words import listed, say

STEPS_MOST = 600  # in one list; a limit of the product


def decide(s: BenchState, command: BenchCommand) -> BenchEvent:
    """The event that a command becomes, if the rules of today let it pass.

    s: the state before
    command: what somebody tells, of a kind other than undo and redo
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
    also = KINDS[command.kind].also
    if s.begun is None and When.BEFORE_BEGIN not in also:
        raise BenchRefused(say("decide-list-this-job-has-not"), reason="not_begun")
    if s.closed is not None and When.AFTER_CLOSE not in also:
        raise BenchRefused(say("decide-bench-work-this-job-closed"), reason="closed")
    _CHECKS[command.kind](s, command)


def _begun(s: BenchState, c: BenchCommand) -> None:
    if s.begun is not None:
        raise BenchRefused(say("decide-list-this-job-has-begun"), reason="done_already")
    for row in c.data["places"]:
        place_from(row)
    _replanned(s, c)


def _replanned(_: BenchState, c: BenchCommand) -> None:
    device_from(c.data["device"])
    _check_list(step_from(row) for row in c.data["steps"])


def _attempt(s: BenchState, c: BenchCommand) -> None:
    if s.closed is None:
        raise BenchRefused(say("decide-attempt-not-closed", number=s.attempt), reason="open")
    if c.data["number"] != s.attempt + 1:
        raise BenchRefused(
            say("decide-attempt-number", number=c.data["number"], next=s.attempt + 1), reason="invalid", field="number"
        )
    _replanned(s, c)


def _check_list(steps: Iterable[BenchStep]) -> None:
    out = tuple(steps)
    if len({s.id for s in out}) != len(out) or len(out) > STEPS_MOST:
        raise BenchRefused(say("decide-list-has-up-to-steps", steps_most=STEPS_MOST), reason="invalid", field="steps")


def _step(s: BenchState, name: str) -> tuple[int, BenchStep]:
    found = next(((i, x) for i, x in enumerate(s.steps) if x.id == name), None)
    if found is None:
        raise BenchRefused(say("decide-there-no-step-in-this", name=name), reason="missing", field="step")
    return found


def _pending(s: BenchState, name: str) -> BenchStep:
    i, step = _step(s, name)
    if step.id in s.outcomes:
        raise BenchRefused(
            say("decide-step-already", i=i + 1, how=s.outcomes[step.id].how), reason="done_already", field="step"
        )
    return step


def _done(s: BenchState, c: BenchCommand) -> None:
    step = _pending(s, c.data["step"])
    if step.shows == "power":
        raise BenchRefused(say("decide-first-power-on-gone-through"), reason="incomplete")
    _finished(s, c, step)


def _finished(s: BenchState, c: BenchCommand, step: BenchStep) -> None:
    refuse_while_waiting(s, c, step.after_waits)
    value = c.data.get("value")
    if value is not None:
        measured(step.asks, value)
    guard(s, c, step.acts)


def _skipped(s: BenchState, c: BenchCommand) -> None:
    step = _pending(s, c.data["step"])
    if NEVER_SKIPPED & set(step.acts):
        off = "cooler_off" in step.acts
        raise BenchRefused(
            say("decide-this-plan-lifts-cooler-step") if off else say("decide-this-step-stands-between-die"),
            reason="never_skipped",
            field="step",
            remedy=say("decide-off-already-mark-as-done") if off else say("decide-do-done-already-mark-as"),
        )
    said(c.data["reason"], say("decide-reason"), say("decide-this-model-has-no-such"))


def _gone_back(s: BenchState, c: BenchCommand) -> None:
    _step(s, c.data["step"])


def _added(s: BenchState, c: BenchCommand) -> None:
    step = replace(step_from(c.data["step"]), own=True)
    if step.acts:
        raise BenchRefused(say("decide-step-that-person-adds-marks"), reason="invalid", field="acts")
    if any(x.id == step.id for x in s.steps):
        raise BenchRefused(say("decide-step-with-this-id-in"), reason="done_already", field="step")
    if c.data.get("after"):
        _step(s, c.data["after"])
    _check_list((*s.steps, step))


def _moved(s: BenchState, c: BenchCommand) -> None:
    step = _pending(s, c.data["step"])
    if c.data.get("after") == step.id:
        raise BenchRefused(say("decide-step-does-not-follow-itself"), reason="invalid", field="after")
    if c.data.get("after"):
        _step(s, c.data["after"])
    moved = put(step, c.data.get("after"), [x for x in s.steps if x is not step])
    worse = broken_in(s, moved) - broken_in(s, s.steps)
    if worse:
        rule = BY_RULE[sorted(r for _, r in worse)[0]]
        raise BenchRefused(
            say("decide-in-this-order-rule-broken", reason=rule.reason),
            reason="interlock",
            rule=rule.rule,
            remedy=rule.remedy,
        )


def _found(_: BenchState, c: BenchCommand) -> None:
    sight(c.data["part"], c.data["seen"])


def _wait_started(_: BenchState, c: BenchCommand) -> None:
    wait_minutes(c.data["wait"], c.data.get("minutes"))


def _wait_ended(s: BenchState, c: BenchCommand) -> None:
    wait = s.waits.get(c.data["wait"])
    if wait is None:
        raise BenchRefused(say("decide-there-no-such-wait"), reason="missing", field="wait")
    if wait.ended is not None:
        raise BenchRefused(say("decide-this-wait-ended-already"), reason="done_already", field="wait")
    if wait.due > c.at:
        example = WAITS[wait.wait].early[0] if wait.wait in WAITS else ""
        said(c.data.get("reason"), say("decide-reason-for-ending-early"), example)


def _mishap(_: BenchState, c: BenchCommand) -> None:
    mishap(c.data["what"])


def _checked(s: BenchState, c: BenchCommand) -> None:
    said(c.data["words"], say("decide-check"), say("decide-looked-with-loupe-nothing-bridged"))
    if c.data["of"] not in s.breaches and c.data["of"] not in s.mishaps:
        raise BenchRefused(say("decide-there-nothing-this-kind-to"), reason="missing", field="of")


def _power_on(s: BenchState, c: BenchCommand) -> None:
    results = check_power(c.data["results"], c.data.get("boot_s"), s.device)
    barred = next((m for m in s.mishaps.values() if mishap(m.what).no_power and not m.checked), None)
    if barred is not None:
        what = mishap(barred.what)
        raise BenchRefused(
            say("decide-no-power-before-check", words=what.words),
            reason="interlock",
            rule="mishap",
            remedy=what.check or what.steps[0],
        )
    if "fails" in results.values():
        return guard(s, c, ("powered",))
    step = next((x for x in s.steps if x.shows == "power" and x.id not in s.outcomes), None)
    return _finished(s, c, step) if step is not None else guard(s, c, ("power_on_ok",))


def _photo(_: BenchState, c: BenchCommand) -> None:
    if c.data["what"] not in PHOTO_USES:
        raise BenchRefused(say("decide-photo-for", photo_uses=listed(PHOTO_USES)), reason="invalid", field="what")


def _note(_: BenchState, c: BenchCommand) -> None:
    said(c.data["words"], say("decide-note"), say("decide-clip-at-left-corner-weak"))


def _closed(s: BenchState, c: BenchCommand) -> None:
    open_ = blockers(s, c.at)
    if open_:
        raise BenchRefused(say("decide-does-not-close-yet", text=open_[0].text), reason="open", remedy=open_[0].remedy)


_CHECKS: Mapping[str, Callable[[BenchState, BenchCommand], None]] = for_every_kind(
    {
        "begun": _begun,
        "replanned": _replanned,
        "attempt": _attempt,
        "step_done": _done,
        "step_skipped": _skipped,
        "gone_back": _gone_back,
        "step_added": _added,
        "step_moved": _moved,
        **ON_THE_MAP,
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
