"""Causes of failed attempts: made failures on a simulated device, and what the handbook says of each."""

from dataclasses import replace
from datetime import UTC, datetime, timedelta
from functools import cache

import numpy as np
import pytest

from vividowl.core.attempts.causes import SPEAKS, USUAL, Cause, CheckResult, find_causes, possible
from vividowl.core.attempts.evidence import Attempted, Sign, evidence_of
from vividowl.core.attempts.promise import Failure, Kept, failure_of, promise_kept
from vividowl.core.bench.fasteners import Place
from vividowl.core.bench.log.state import BenchState, Breach, Mishappened, Outcome, PowerOn, Wait
from vividowl.core.bench.steps.vocabulary import BenchStep
from vividowl.core.materials.kinds import Kind
from vividowl.core.plan.prediction import Interval
from vividowl.core.quantities.uncertainty import Tolerances
from vividowl.core.reading.measured import resistance
from vividowl.core.reading.reading import Statistics, read_trace
from vividowl.core.response.resistance import ChipResistances
from vividowl.core.simulate.device import Device, simulate
from vividowl.core.trace.roles import Role
from vividowl.core.trace.trace import Trace
from vividowl.core.verdict.verdicts import Verdict
from vividowl.words import sentence

ROOM_C = 23.0
OLD = Device(interface=0.42, sink=0.5, sustained_power=40, boost_power=46)
PROMISED = Interval(0.08, 0.12, 0.18)
AT = datetime(2026, 5, 4, 9, 0, tzinfo=UTC)


@cache
def reading(device, seed=1):
    return read_trace(simulate(device, room_c=ROOM_C, seed=seed), ROOM_C)


def whole(read):
    return resistance(read, ROOM_C, tol=Tolerances())


def attempt(after, kinds, **more):
    before, found = reading(OLD), reading(after, 2)
    return Attempted(
        before=before,
        after=found,
        resistance_before=whole(before),
        resistances=(whole(found),),
        kinds=frozenset(kinds),
        promised=PROMISED,
        **more,
    )


def standing(device):
    """A log of a device whose fan does not turn."""
    trace = simulate(device, room_c=ROOM_C, seed=3)
    still = np.zeros_like(trace.channels[Role.FAN_SPEED])
    return read_trace(Trace(trace.time_s, {**trace.channels, Role.FAN_SPEED: still}), ROOM_C)


def top(a, n=1, **more):
    return [r.cause for r in find_causes(a, **more)[:n]]


def signs(a):
    return {e.sign for e in evidence_of(a)}


# The faults of handbook/runs.md, each made on the simulated device. Common practice, no source.
FAULTS = {
    "film on the sheet": (
        lambda: attempt(replace(OLD, interface=0.8), [Kind.SHEET], heat_cycles=6.0),
        Cause.FILM,
    ),
    "cooler not seated": (
        lambda: attempt(replace(OLD, interface=0.6), [Kind.PASTE_SOFT], bench=BenchState(begun=AT, leftover=1)),
        Cause.SEAT,
    ),
    "bald corner": (
        lambda: attempt(replace(OLD, interface=0.6), [Kind.PASTE_SOFT], print="dry_patch"),
        Cause.TOO_LITTLE,
    ),
    "fan unplugged": (
        lambda: replace(attempt(OLD, [Kind.PASTE_SOFT]), after=standing(replace(OLD, interface=0.12, sink=1.7))),
        Cause.FAN_PLUG,
    ),
    "fins blocked": (lambda: attempt(replace(OLD, interface=0.12, sink=0.9), [Kind.PASTE_STIFF]), Cause.AIR),
    "pad too thick": (
        lambda: attempt(replace(OLD, interface=0.9), [Kind.PASTE_SOFT], gaps_filled=True, pad_tight=True),
        Cause.LIFTED,
    ),
    "alloy not wetted": (
        lambda: attempt(replace(OLD, interface=0.7), [Kind.ALLOY], print="dry_patch"),
        Cause.ALLOY_BALD,
    ),
    "solvent inside": (
        lambda: attempt(replace(OLD, interface=0.5), [Kind.TUBE], print="still_liquid"),
        Cause.SOLVENT,
    ),
}


@pytest.mark.parametrize("name", FAULTS)
def test_a_made_fault_comes_first(name):
    make, cause = FAULTS[name]
    assert top(make()) == [cause]


def test_the_fast_part_speaks_for_contact_and_against_air():
    a = attempt(replace(OLD, interface=0.8), [Kind.PASTE_SOFT])
    assert {Sign.FAST_LARGE, Sign.SLOW_SAME} <= signs(a)
    ranked = {r.cause: r for r in find_causes(a)}
    assert ranked[Cause.SEAT].share > 3 * ranked[Cause.AIR].share
    said = [sentence(e.words) for e in ranked[Cause.SEAT].speaks]
    assert any(
        s.startswith("The part of the response faster than 3 s is 0.") and "promised was 0.18" in s for s in said
    )
    assert Sign.FAST_LARGE in {e.sign for e in ranked[Cause.AIR].against}


def test_a_good_interface_behind_blocked_fins_is_not_accused():
    a = attempt(replace(OLD, interface=0.12, sink=0.9), [Kind.PASTE_STIFF])
    assert {Sign.FAST_SMALL, Sign.SLOW_LARGE} <= signs(a)
    assert sum(r.share for r in find_causes(a) if r.cause in (Cause.SEAT, Cause.TOO_LITTLE)) < 0.1


def test_a_phase_change_that_shrinks_from_cycle_to_cycle_is_left_closed():
    devices = [replace(OLD, interface=i) for i in (0.42, 0.3, 0.2)]
    told = [whole(reading(d, 5 + i)) for i, d in enumerate(devices)]
    a = replace(attempt(devices[0], [Kind.SHEET], heat_cycles=2.0), resistances=told)
    assert {Sign.SHRINKS, Sign.YOUNG} <= signs(a)
    assert top(a) == [Cause.NOT_RUN_IN]
    first = find_causes(a)[0]
    assert not first.opens
    assert sentence(first.check) == "Two more heat cycles, then the same run again"


def test_cycles_behind_it_and_no_change_speak_against_burn_in():
    told = [whole(reading(replace(OLD, interface=0.8), s)) for s in (5, 6, 7)]
    a = replace(attempt(replace(OLD, interface=0.8), [Kind.SHEET], heat_cycles=8.0), resistances=told)
    assert {Sign.STEADY, Sign.RUN_IN} <= signs(a)
    assert next(r.share for r in find_causes(a) if r.cause is Cause.NOT_RUN_IN) < 0.02


def test_without_any_log_the_usual_order_stands():
    # Most frequent first, docs/handbook/runs.md: common practice, no source.
    a = Attempted(kinds=frozenset([Kind.SHEET, Kind.TUBE, Kind.ALLOY]), gaps_filled=True)
    # A phase change that nobody ran in may stand before its turn.
    ranked = [r.cause for r in find_causes(a) if r.cause is not Cause.NOT_RUN_IN]
    assert ranked[:4] == [Cause.FILM, Cause.SEAT, Cause.LIFTED, Cause.TOO_LITTLE]
    assert sum(r.share for r in find_causes(a)) == pytest.approx(1.0)
    assert set(USUAL) == set(Cause)
    assert set(SPEAKS) == set(Sign)


def test_what_was_not_fitted_is_no_cause():
    assert possible(Attempted(kinds=frozenset([Kind.PASTE_SOFT]), has_fan=False)) == (
        Cause.SEAT,
        Cause.TOO_LITTLE,
        Cause.AIR,
        Cause.ELSE,
    )
    assert possible(Attempted(kinds=frozenset())) == (Cause.FAN_PLUG, Cause.AIR, Cause.ELSE)


def test_what_a_check_showed_settles_it():
    a = attempt(replace(OLD, interface=0.8), [Kind.SHEET])
    ruled = find_causes(a, {Cause.FILM: CheckResult.RULED_OUT})
    assert ruled[0].cause is not Cause.FILM
    assert next(r for r in ruled if r.cause is Cause.FILM).share == 0.0
    found = find_causes(a, {Cause.SEAT: CheckResult.FOUND})
    assert (found[0].cause, found[0].share) == (Cause.SEAT, 1.0)
    none = find_causes(a, dict.fromkeys(Cause, CheckResult.RULED_OUT))
    assert {r.share for r in none} == {0.0}


def test_what_a_shop_found_itself_outweighs_the_usual_order():
    a = Attempted(kinds=frozenset([Kind.PASTE_SOFT]))
    assert top(a) == [Cause.SEAT]
    assert top(a, found_before={Cause.TOO_LITTLE: 12}) == [Cause.TOO_LITTLE]


def test_the_bench_list_tells_what_was_skipped_and_what_was_counted():
    film = BenchStep(id="film_off", stage="fit", text="peel", acts=("film_off",))
    done = Outcome(how="done", at=AT, by="imke")
    state = BenchState(
        begun=AT, steps=(film,), outcomes={"film_off": done}, power=(PowerOn({"fans": "fine"}, None, True, AT),)
    )
    a = Attempted(kinds=frozenset([Kind.SHEET]), bench=state)
    assert {Sign.FILM_STEP_DONE, Sign.FAN_CHECKED} <= signs(a)
    broken = replace(
        state,
        breaches={"1": Breach(id="1", rule="second_film", step="cooler_on", words="in a hurry", at=AT, by="imke")},
        leftover=1,
        mishaps={
            "2": Mishappened(id="2", what="stripped_screw", step="cooler_on", words="", place="", at=AT, by="imke")
        },
        waits={
            "3": Wait(
                id="3",
                wait="solvent_hot",
                step="x",
                began=AT,
                due=AT + timedelta(minutes=10),
                ended=AT + timedelta(minutes=2),
            )
        },
    )
    assert {Sign.FILM_STEP_OPEN, Sign.SCREWS_OPEN, Sign.SCREW_MISHAP, Sign.WAIT_CUT} <= signs(replace(a, bench=broken))
    assert set(top(replace(a, bench=broken), 2)) == {Cause.FILM, Cause.SEAT}
    film_only = replace(state, breaches=broken.breaches)
    assert top(replace(a, bench=film_only)) == [Cause.FILM]


def test_a_fan_at_its_speed_is_plugged_in():
    a = attempt(replace(OLD, interface=0.8), [Kind.PASTE_SOFT])
    assert Sign.FAN_AT_SPEED in signs(a)
    assert next(r.share for r in find_causes(a) if r.cause is Cause.FAN_PLUG) < 0.01


@pytest.mark.parametrize(
    ("measured", "u95", "kept"),
    [(0.20, 0.05, Kept.KEPT), (0.30, 0.05, Kept.MISSED), (0.02, 0.03, Kept.BETTER), (0.30, 0.2, Kept.KEPT)],
)
def test_a_promise_is_missed_only_beyond_its_uncertainty(measured, u95, kept):
    assert promise_kept(PROMISED, measured, u95) is kept


@pytest.mark.parametrize(
    ("verdict", "kept", "failure"),
    [
        (Verdict.WORSE, Kept.UNKNOWN, Failure.WORSE),
        (Verdict.WORSE_IF_SAME, Kept.KEPT, Failure.WORSE),
        (Verdict.NO_DIFFERENCE_SHOWN, Kept.MISSED, Failure.NO_BETTER),
        (Verdict.NO_DIFFERENCE_SHOWN, Kept.KEPT, Failure.NONE),
        (Verdict.NO_DIFFERENCE_SHOWN, Kept.UNKNOWN, Failure.NONE),
        (Verdict.IMPROVED, Kept.MISSED, Failure.LESS),
        (Verdict.IMPROVED, Kept.KEPT, Failure.NONE),
        (Verdict.CANNOT_BE_COMPARED, Kept.MISSED, Failure.NONE),
        (None, Kept.MISSED, Failure.NONE),
    ],
)
def test_what_counts_as_a_failure(verdict, kept, failure):
    assert failure_of(verdict, kept) is failure


def two_chips(cpu, gpu):
    return replace(reading(OLD), chips=ChipResistances(cpu=cpu, gpu=gpu))


def test_one_chip_alone_is_its_contact_and_both_are_a_seat_or_a_pad():
    a = Attempted(before=two_chips(1.0, 0.8), after=two_chips(1.5, 0.81), kinds=frozenset([Kind.PASTE_SOFT]))
    assert Sign.ONE_CHIP in signs(a)
    assert top(a) == [Cause.TOO_LITTLE]
    both = replace(a, after=two_chips(1.5, 1.3), gaps_filled=True)
    assert Sign.BOTH_CHIPS in signs(both)
    assert set(top(both, 2)) == {Cause.SEAT, Cause.LIFTED}
    neither = signs(replace(a, after=two_chips(1.0, 0.8)))
    assert not {Sign.ONE_CHIP, Sign.BOTH_CHIPS} & neither


def test_without_a_plan_the_fast_part_is_laid_against_that_of_before():
    worse = replace(attempt(replace(OLD, interface=0.8), [Kind.PASTE_SOFT]), promised=None)
    (found,) = [e for e in evidence_of(worse) if e.sign is Sign.FAST_LARGE]
    assert "before it was 0.4" in sentence(found.words)
    better = replace(attempt(replace(OLD, interface=0.12, sink=0.9), [Kind.PASTE_SOFT]), promised=None)
    assert Sign.FAST_SMALL in signs(better)
    same = signs(replace(attempt(OLD, [Kind.PASTE_SOFT]), promised=None))
    assert not {Sign.FAST_LARGE, Sign.FAST_SMALL} & same


def test_a_fan_that_turns_slower_is_told_and_a_fanless_device_has_none():
    slow = attempt(replace(OLD, interface=0.12, fan_full_rpm=2400.0, fan_idle_rpm=900.0), [Kind.PASTE_SOFT])
    assert Sign.FAN_SLOWER in signs(slow)
    assert Cause.FAN_PLUG not in [r.cause for r in find_causes(replace(slow, has_fan=False))]
    assert not {Sign.FAN_SLOWER, Sign.FAN_AT_SPEED} & signs(replace(slow, has_fan=False))


def test_a_list_that_was_kept_speaks_against_what_it_looked_after():
    state = BenchState(
        begun=AT,
        closed=AT,
        places={"s1": Place(id="s1", kind="screw", x=0.5, y=0.5, holds="cooler")},
        waits={"3": Wait(id="3", wait="solvent_hot", step="x", began=AT, due=AT + timedelta(minutes=10))},
        mishaps={"2": Mishappened(id="2", what="touched_film", step="", words="", place="", at=AT, by="imke")},
        breaches={"1": Breach(id="1", rule="look_before_closing", step="", words="in a hurry", at=AT, by="imke")},
    )
    a = Attempted(kinds=frozenset([Kind.TUBE]), bench=state, cleaned=("contact",))
    kept = {Sign.SCREWS_COUNTED, Sign.WAIT_WHOLE, Sign.FILM_MISHAP, Sign.SEATED_UNSEEN, Sign.FINS_NOT_CLEANED}
    assert kept <= signs(a)
    assert not signs(Attempted(bench=BenchState()))


def test_cores_far_apart_with_clean_fins_are_a_tilted_cooler_and_no_blocked_air():
    def spread(of, kelvins):
        return replace(of, core_spread=Statistics(kelvins, kelvins, kelvins, 0.1))

    worse = attempt(replace(OLD, sink=0.9), [Kind.PASTE_SOFT], cleaned=("fins",))
    apart = replace(worse, before=spread(worse.before, 4.0), after=spread(worse.after, 18.0))
    assert {Sign.CORES_APART, Sign.FINS_CLEANED} <= signs(apart)
    causes = [r.cause for r in find_causes(apart)]
    assert causes.index(Cause.SEAT) < causes.index(Cause.AIR)
    (told,) = [e for e in evidence_of(apart) if e.sign is Sign.CORES_APART]
    assert sentence(told.words) == "The cores are 18 K apart under load, 4 K before: one corner has less contact."
    # Cores of two kinds lie as far apart before; without a log of before only a wide spread tells.
    assert Sign.CORES_APART not in signs(replace(apart, before=spread(worse.before, 16.0)))
    assert Sign.CORES_APART in signs(replace(apart, before=None))
    assert Sign.CORES_APART not in signs(replace(apart, before=None, after=spread(worse.after, 9.0)))


def test_a_full_print_clears_the_contact():
    a = attempt(replace(OLD, interface=0.8), [Kind.PASTE_SOFT], print="full")
    assert Sign.PRINT_FULL in signs(a)
    assert top(a)[0] not in (Cause.SEAT, Cause.TOO_LITTLE)
