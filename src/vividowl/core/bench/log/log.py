"""The append-only log of a job at the bench: its state is what its events make, and undo and redo are events too."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass, field, replace

from vividowl.core.bench.log.events import BenchEvent, BenchRefused, check_event
from vividowl.core.bench.log.rules import apply_event
from vividowl.core.bench.log.state import BenchState


@dataclass(frozen=True)
class BenchLog:
    """active: events that count, in order; undone: those taken back, the latest last; state: what the active make."""

    active: tuple[BenchEvent, ...] = ()
    undone: tuple[BenchEvent, ...] = ()
    state: BenchState = field(default_factory=BenchState)


def append(log: BenchLog, event: BenchEvent) -> BenchLog:
    """The log with one more event.

    log: the log before
    event: what happened; undo takes the latest event that counts back, redo brings the latest undone one again; either
        may name the event that it means
    returns: BenchLog
    raises: BenchRefused, CoreError, OutOfRange; the log before then stands
    source: the definition
    """
    if event.kind not in ("undo", "redo"):
        return BenchLog((*log.active, event), (), apply_event(log.state, event))
    check_event(event.kind, event.data)
    stack = log.active if event.kind == "undo" else log.undone
    if not stack:
        raise BenchRefused(f"There is nothing to {event.kind}.", reason="nothing")
    meant = event.data.get("event")
    if meant and meant != stack[-1].id:
        raise BenchRefused("Something else was done meanwhile, on another tablet.", reason="not_last",
                           remedy="Look at it, then take it back if that is meant.")  # fmt: skip
    if event.kind == "redo":
        return BenchLog((*log.active, stack[-1]), log.undone[:-1], apply_event(log.state, stack[-1]))
    kept = log.active[:-1]
    return BenchLog(kept, (*log.undone, stack[-1]), fold(kept))


def fold(events: Sequence[BenchEvent]) -> BenchState:
    """The state that events make which were accepted before. Rules that came later do not refuse them.

    events: in order, without undo and redo (n,)
    returns: BenchState
    source: the definition
    """
    state = BenchState()
    for event in events:
        state = apply_event(state, replace(event, accepted=True))
    return state


def replay(events: Sequence[BenchEvent]) -> BenchLog:
    """The log from all its accepted events, undo and redo among them.

    events: in order (n,)
    returns: BenchLog
    raises: BenchRefused when they were never accepted in this order
    formula: what was undone is never folded, so replay costs one pass, however often somebody went back and forth
    source: the definition
    """
    active: list[BenchEvent] = []
    undone: list[BenchEvent] = []
    for event in events:
        if event.kind == "undo":
            undone.append(active.pop())
        elif event.kind == "redo":
            active.append(undone.pop())
        else:
            active.append(event)
            undone.clear()
    return BenchLog(tuple(active), tuple(undone), fold(active))
