"""The append-only log of a job at the bench: its state is what its events make, and undo and redo are events too."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass, field

from vividowl.core.bench.log.decide import check, decide
from vividowl.core.bench.log.events import BenchCommand, BenchEvent, BenchRefused, check_event, command_of
from vividowl.core.bench.log.evolve import evolve
from vividowl.core.bench.log.state import BenchState
from vividowl.core.bench.log.upcast import bring_up
from vividowl.core.quantities.words import say


@dataclass(frozen=True)
class BenchLog:
    """active: events that count, in order; undone: those taken back, the latest last; state: what the active make."""

    active: tuple[BenchEvent, ...] = ()
    undone: tuple[BenchEvent, ...] = ()
    state: BenchState = field(default_factory=BenchState)


def append(log: BenchLog, command: BenchCommand) -> tuple[BenchLog, BenchEvent]:
    """The log with what somebody tells, if the rules of today let it pass; and the event that is to be stored.

    log: the log before
    command: what somebody tells; undo takes the latest event that counts back, redo brings the latest undone one again;
        either may name the event that it means
    raises: BenchRefused, CoreError, OutOfRange; the log before then stands
    """
    if command.kind not in ("undo", "redo"):
        event = decide(log.state, command)
        return grown(log, event), event
    check_event(command.kind, command.data)
    stack = log.active if command.kind == "undo" else log.undone
    if not stack:
        raise BenchRefused(say("log-there-nothing-to", kind=command.kind), reason="nothing")
    meant = command.data.get("event")
    if meant and meant != stack[-1].id:
        raise BenchRefused(say("log-something-else-was-done-meanwhile"), reason="not_last")
    if command.kind == "redo":
        check(log.state, command_of(stack[-1]))
    event = BenchEvent(id=command.id, kind=command.kind, data=command.data, at=command.at, by=command.by)
    return grown(log, event), event


def grown(log: BenchLog, event: BenchEvent) -> BenchLog:
    """The log with one more event that is stored. Nothing is refused.

    log: the log before
    event: of any version and kind
    """
    if event.kind == "undo":
        if not log.active:
            return log
        state, kept = _fold(log.active[:-1])
        return BenchLog(kept, (*log.undone, log.active[-1]), state)
    undone = log.undone
    if event.kind == "redo":
        if not undone:
            return log
        event, undone = undone[-1], undone[:-1]
    else:
        undone = ()
    event = bring_up(log.state, event)
    return BenchLog((*log.active, event), undone, evolve(log.state, event))


def before(log: BenchLog, events: int) -> BenchState:
    """The state before the latest events that count, from which a page goes back and forth by itself.

    events: how many to leave out [1]
    """
    return _fold(log.active[: max(0, len(log.active) - events)])[0]


def attempts_of(log: BenchLog) -> tuple[BenchState, ...]:
    """What each attempt left behind, the latest being the log's own state.

    returns: states (n,), one or more
    """
    ends = [i for i, event in enumerate(log.active) if event.kind == "attempt"]
    return (*(_fold(log.active[:i])[0] for i in ends), log.state)


def _fold(events: Sequence[BenchEvent]) -> tuple[BenchState, tuple[BenchEvent, ...]]:
    """The state that events make, and the events as those of today."""
    state, active = BenchState(), list[BenchEvent]()
    for event in events:
        active.append(bring_up(state, event))
        state = evolve(state, active[-1])
    return state, tuple(active)


def replay(events: Sequence[BenchEvent]) -> BenchLog:
    """The log from all its stored events, undo and redo among them. Nothing is refused.

    events: in order (n,)
    formula: what was undone is never folded, so replay costs one pass, however often somebody went back and forth
    source: the definition
    """
    active: list[BenchEvent] = []
    undone: list[BenchEvent] = []
    for event in events:
        if event.kind == "undo" and active:
            undone.append(active.pop())
        elif event.kind == "redo" and undone:
            active.append(undone.pop())
        elif event.kind not in ("undo", "redo"):
            active.append(event)
            undone.clear()
    state, now = _fold(active)
    return BenchLog(now, tuple(undone), state)
