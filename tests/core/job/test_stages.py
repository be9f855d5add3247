"""Where a job is and what is next: the order of the work, common practice, no source."""

from dataclasses import replace

import pytest

from vividowl.core.job.stages import BENCH, HANDS_FIRST, PLACES, JobFacts, Next, Stage, position_of

FRESH = JobFacts()
MEASURED = JobFacts(before=True)
DECIDED = replace(MEASURED, decided=True)
CLOSED = replace(DECIDED, bench=Stage.CLOSE, bench_closed=True, fit_done=True)
WHOLE = replace(CLOSED, after=True)


@pytest.mark.parametrize(
    ("facts", "stage", "to_do"),
    [
        (FRESH, Stage.BEFORE, Next.MEASURE_BEFORE),
        (replace(FRESH, stopped=True), Stage.STOPPED, Next.NOTHING_STOPPED),
        (MEASURED, Stage.PLAN, Next.DECIDE),
        (replace(MEASURED, cleaned=True), Stage.FIT, Next.FIT),
        (DECIDED, Stage.OPEN, Next.BEGIN_LIST),
        (replace(DECIDED, plan_barred=True, waits=True), Stage.PLAN, Next.SETTLE_PLAN),
        (replace(DECIDED, waits=True), Stage.INTAKE, Next.SETTLE_INTAKE),
        (replace(DECIDED, left_alone=True), Stage.HANDOVER, Next.LEAVE_ALONE),
        (replace(DECIDED, bench=Stage.CLEAN), Stage.CLEAN, Next.STEP),
        (CLOSED, Stage.AFTER, Next.MEASURE_AFTER),
        (WHOLE, Stage.HANDOVER, Next.HAND_OVER),
        (replace(WHOLE, comparable=False), Stage.VERDICT, Next.REPEAT_RUN),
        (replace(WHOLE, handed_over=True), Stage.DONE, Next.NOTHING_DONE),
        # What stops it comes before everything else.
        (replace(WHOLE, stopped=True), Stage.STOPPED, Next.NOTHING_STOPPED),
    ],
)
def test_what_is_next(facts, stage, to_do):
    found = position_of(facts)
    assert (found.stage, found.next) == (stage, to_do)


def test_what_is_behind_and_what_may_be_looked_at():
    at = position_of(replace(DECIDED, bench=Stage.FIT))
    assert at.done == (Stage.INTAKE, Stage.BEFORE, Stage.PLAN, Stage.OPEN, Stage.CLEAN)
    assert at.reachable[-1] is Stage.AFTER
    assert position_of(replace(FRESH, stopped=True)).reachable == (Stage.INTAKE,)
    assert position_of(WHOLE).reachable == PLACES
    assert Stage.HANDOVER in position_of(replace(DECIDED, left_alone=True)).reachable


def test_every_stage_has_its_place_in_the_order_of_hands():
    assert set(HANDS_FIRST) == set(Stage)
    assert [s for s in PLACES if s in BENCH] == list(BENCH)
