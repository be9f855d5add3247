"""The stages of a job: one list, its order, and what is next."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass
from enum import StrEnum


class Stage(StrEnum):
    """Where a job is, in order. Stopped and done are no places to go to."""

    INTAKE = "intake"
    BEFORE = "before"
    PLAN = "plan"
    OPEN = "open"
    CLEAN = "clean"
    FIT = "fit"
    CLOSE = "close"
    AFTER = "after"
    VERDICT = "verdict"
    HANDOVER = "handover"
    STOPPED = "stopped"
    DONE = "done"


PLACES = tuple(s for s in Stage if s not in (Stage.STOPPED, Stage.DONE))
BENCH = (Stage.OPEN, Stage.CLEAN, Stage.FIT, Stage.CLOSE)
# What is nearly done goes first, since a finished device leaves the bench; a stopped one needs a decision. Common
# practice, no source.
HANDS_FIRST = (
    Stage.STOPPED,
    Stage.VERDICT,
    Stage.HANDOVER,
    Stage.CLOSE,
    Stage.FIT,
    Stage.CLEAN,
    Stage.OPEN,
    Stage.AFTER,
    Stage.PLAN,
    Stage.BEFORE,
    Stage.INTAKE,
    Stage.DONE,
)


class Next(StrEnum):
    """What is to be done next."""

    NOTHING_STOPPED = "stopped"
    NOTHING_DONE = "done"
    STEP = "step"
    MEASURE_BEFORE = "measure_before"
    DECIDE = "decide"
    LEAVE_ALONE = "leave_alone"
    SETTLE_PLAN = "settle_plan"
    SETTLE_INTAKE = "settle_intake"
    FIT = "fit"
    BEGIN_LIST = "begin_list"
    MEASURE_AFTER = "measure_after"
    REPEAT_RUN = "repeat_run"
    FIND_OUT_WHY = "find_out_why"
    HAND_OVER = "hand_over"


@dataclass(frozen=True, kw_only=True)
class JobFacts:
    """What decides where a job is. stopped: a gate of the intake stops it; handed_over; bench: stage of the next step,
    None before the list begins; bench_closed; before, after: measured; decided: an option was taken; left_alone: it is
    to leave the device alone; fit_done: the bench work is closed; cleaned: something was noted as cleaned; plan_barred:
    a gate of the plan stops or waits; waits: any gate waits to be accepted; comparable: the verdict compares; failed:
    it is worse, or no better where the plan promised it, and nobody left it so on purpose."""

    stopped: bool = False
    handed_over: bool = False
    bench: Stage | None = None
    bench_closed: bool = False
    before: bool = False
    after: bool = False
    decided: bool = False
    left_alone: bool = False
    fit_done: bool = False
    cleaned: bool = False
    plan_barred: bool = False
    waits: bool = False
    comparable: bool = True
    failed: bool = False


@dataclass(frozen=True)
class Position:
    """stage; next: what is to be done; done: stages behind, in order; reachable: stages one may look at."""

    stage: Stage
    next: Next
    done: tuple[Stage, ...]
    reachable: tuple[Stage, ...]


def position_of(f: JobFacts) -> Position:
    """Where a job is and what is next.

    f: what decides it
    source: the order of the work, common practice, no source
    """
    stage, to_do = _next(f)
    if stage is Stage.STOPPED:
        return Position(stage, to_do, (Stage.INTAKE,), (Stage.INTAKE,))
    reachable: Sequence[Stage] = PLACES if f.after else PLACES[: PLACES.index(Stage.AFTER) + 1]
    if f.left_alone and Stage.HANDOVER not in reachable:
        reachable = (*reachable, Stage.HANDOVER)
    done = [
        Stage.INTAKE,
        *([Stage.BEFORE] if f.before else []),
        *([Stage.PLAN] if f.decided else []),
        *(s for s in BENCH if f.fit_done or (f.bench is not None and BENCH.index(s) < BENCH.index(f.bench))),
        *([Stage.AFTER, Stage.VERDICT] if f.after else []),
        *([Stage.HANDOVER] if f.handed_over else []),
    ]
    return Position(stage, to_do, tuple(done), tuple(reachable))


def _next(f: JobFacts) -> tuple[Stage, Next]:
    if f.stopped:
        return Stage.STOPPED, Next.NOTHING_STOPPED
    if f.handed_over:
        return Stage.DONE, Next.NOTHING_DONE
    if f.bench is not None and not f.bench_closed:
        return f.bench, Next.STEP
    if not f.before:
        return Stage.BEFORE, Next.MEASURE_BEFORE
    if not f.fit_done and not f.after:
        # What was cleaned without a plan needs none any more.
        if not f.decided and not f.cleaned:
            return Stage.PLAN, Next.DECIDE
        if f.left_alone:
            return Stage.HANDOVER, Next.LEAVE_ALONE
        if f.plan_barred:
            return Stage.PLAN, Next.SETTLE_PLAN
    if not f.fit_done:
        if f.waits:
            return Stage.INTAKE, Next.SETTLE_INTAKE
        return (Stage.FIT, Next.FIT) if f.cleaned else (Stage.OPEN, Next.BEGIN_LIST)
    if not f.after:
        return Stage.AFTER, Next.MEASURE_AFTER
    if not f.comparable:
        return Stage.VERDICT, Next.REPEAT_RUN
    if f.failed:
        return Stage.VERDICT, Next.FIND_OUT_WHY
    return Stage.HANDOVER, Next.HAND_OVER
