"""Repeats, Welch-Satterthwaite, the same fan, and what a reading is judged against."""

from dataclasses import replace

import pytest
from tests.said import refuses

from vividowl.core.quantities.errors import NotEnoughData, OutOfRange
from vividowl.core.quantities.uncertainty import Tolerances
from vividowl.core.reading.measured import Measured, at_fan_speed, difference_u95, pool, resistance
from vividowl.core.reading.reading import read_trace
from vividowl.core.response.reference import Source, class_reference, judge_response, reference_from, share_words
from vividowl.core.response.terms import Response, Term
from vividowl.core.simulate.device import simulate
from vividowl.core.trace.roles import Role
from vividowl.core.verdict.comparison import Verdict, compare
from vividowl.core.verdict.conditions import Conditions
from vividowl.core.verdict.parts import Recorded, Shown, Side
from vividowl.words import sentence


def side(device, seed, room_c=24.0, **more):
    return Side(
        conditions=Conditions(room_c=room_c, placement="stand"),
        reading=read_trace(simulate(device, room_c=room_c, seed=seed), room_c),
        **more,
    )


def response(fast, middle, slow):
    return Response(
        terms=(Term(fast, 1.0, 0.01, 0.1), Term(middle, 40.0, 0.01, 1.0), Term(slow, 300.0, 0.01, 20.0)),
        base_power=5.0,
        now=(40.0, 40.0, 40.0),
        residual_k=0.2,
        interface_u=0.01,
        total_u=0.02,
    )


def test_pooled_scatter_of_repeats_by_hand():
    # Deviations 1, 0, -1 and 0.5, -0.5: squares 2.5 over 3 degrees of freedom.
    runs = [
        [Measured(value=v, scatter=0.9) for v in (71, 70, 69)],
        [Measured(value=v, scatter=0.9) for v in (60.5, 59.5)],
    ]
    (before, after), repeats = pool(runs)
    s = (2.5 / 3) ** 0.5
    assert repeats
    assert (before.value, before.scatter, before.freedom) == pytest.approx((70, s / 3**0.5, 3))
    assert after.scatter == pytest.approx(s / 2**0.5)
    # Welch-Satterthwaite with nothing else in it: t for 3 degrees of freedom, 3.18.
    assert difference_u95(before, after) == pytest.approx(3.182 * s * (1 / 3 + 1 / 2) ** 0.5, rel=1e-3)


def test_one_repeat_is_too_few_and_the_default_stands():
    (before, _), repeats = pool(
        [[Measured(value=70, scatter=0.6), Measured(value=71, scatter=0.6)], [Measured(value=60, scatter=0.6)]]
    )
    assert not repeats
    assert before.scatter == pytest.approx(0.6 / 2**0.5)


def test_what_both_sides_share_cancels():
    a, b = (
        Measured(value=70, scatter=0.3, drift=0.2, shared=5.0),
        Measured(value=60, scatter=0.3, drift=0.2, shared=5.0),
    )
    assert difference_u95(a, b) == pytest.approx(2 * (2 * (0.3**2 + 0.2**2)) ** 0.5)
    assert a.u95 > 10


def test_repeats_show_a_gain_that_single_runs_do_not(mild):
    better = replace(mild, interface=mild.interface - 0.04)
    single = compare(side(mild, 1), side(better, 2))
    several = compare([side(mild, s) for s in (1, 3, 5)], [side(better, s) for s in (2, 4, 6)])
    assert single.verdict is Verdict.NO_DIFFERENCE_SHOWN
    assert several.verdict is Verdict.IMPROVED
    assert several.effect("rise").u95 < single.effect("rise").u95
    assert "scatter from the repeats" in sentence(several.effect("rise").working)


def test_a_side_without_a_run_is_refused(mild):
    with refuses(NotEnoughData, match="a run on both sides"):
        compare([side(mild, 1)], [])


def test_same_temperature_more_watts_is_the_gain_it_is(mild):
    # What draws more clocks higher.
    clock = mild.clock_full_mhz * (60 / mild.boost_power) ** (1 / 3)
    stronger = replace(
        mild,
        interface=0.15,
        sustained_power=49.5,
        boost_power=60,
        fan_low_c=20,
        fan_high_c=21,
        clock_full_mhz=clock,
    )
    found = compare(side(replace(mild, fan_low_c=20, fan_high_c=21), 1), side(stronger, 2))
    assert found.verdict is Verdict.IMPROVED
    assert sentence(found.headline) == "Improved: 8 K less at 40 W"


def test_the_resistance_at_another_fan_speed(mild):
    reading = read_trace(simulate(mild, room_c=24, seed=1), 24)
    of, rpm = resistance(reading, 24, tol=Tolerances()), reading.stats[Role.FAN_SPEED].mean
    assert at_fan_speed(of, rpm, wanted_rpm=rpm, behind=0.7 * of.value).value == pytest.approx(of.value)
    behind = 0.7 * of.value
    slower = at_fan_speed(of, rpm, wanted_rpm=rpm / 1.44, behind=behind)
    # Behind the interface the resistance goes with 1/sqrt(N): 1.2 times.
    assert slower.value - of.value == pytest.approx(0.2 * behind)
    assert slower.drift > of.drift
    assert at_fan_speed(of, rpm, wanted_rpm=0.0, behind=0.5) is None


RESULTS = [
    # handbook/temperature.md, worked examples: common practice, no source.
    ("score", 10748, 11116, "+3.42 %"),
    ("score", 1330, 1356, "+1.95 %"),
    ("duration", 19 * 60 + 21, 17 * 60 + 22, "10.2 % less time is 11.4 % more throughput"),
    ("frame_rate", 100.0, 98.0, "−2.00 %"),
]


@pytest.mark.parametrize(("name", "before", "after", "words"), RESULTS)
def test_scores_durations_and_frame_rates_by_the_handbook(mild, name, before, after, words):
    found = compare(side(mild, 1, results={name: before}), side(mild, 2, results={name: after}))
    effect = found.effect(name)
    assert words in sentence(effect.working)
    better = (after < before) == (name == "duration")
    within = abs(after - before) < effect.u95
    assert effect.shown is (Shown.NOT_SHOWN if within else Shown.BETTER if better else Shown.WORSE)


def test_recordings_of_one_phone_are_compared_by_their_difference(mild):
    before, after = (
        Recorded(level_db=level, room_out=True, room_db=-60.0, floor_db=None, marked_place=True)
        for level in (-30.0, -36.5)
    )
    found = compare(side(mild, 1, recording=before), side(mild, 2, recording=after))
    effect = found.effect("recorded_level")
    assert (effect.difference, effect.shown) == (-6.5, Shown.BETTER)
    assert "only the difference is firm" in sentence(effect.working)


@pytest.mark.parametrize(
    ("change", "why"),
    [
        ({"marked_place": False}, "the place of the phone was not marked"),
        # Six decibels less gain: the room falls with the fan.
        ({"room_db": -66.0}, "the gain of the phone may differ"),
        ({"room_db": None, "floor_db": -86.0}, "the gain of the phone may differ"),
    ],
)
def test_a_step_back_or_another_gain_is_no_quieter_fan(mild, change, why):
    before = Recorded(level_db=-30.0, room_out=True, room_db=-60.0, floor_db=-80.0, marked_place=True)
    after = replace(Recorded(level_db=-36.5, room_out=True, room_db=-60.0, floor_db=-80.0, marked_place=True), **change)
    effect = compare(side(mild, 1, recording=before), side(mild, 2, recording=after)).effect("recorded_level")
    assert (effect.difference, effect.shown) == (None, Shown.NOT_KNOWN)
    assert why in sentence(effect.working)


def test_the_reference_used_is_named_and_the_own_last_visit_counts_most():
    healthy = reference_from([response(0.15, 0.5, 0.2)], Source.OWN_LAST_VISIT)
    assert judge_response(response(0.45, 0.5, 0.2), healthy).interface_poor
    assert "own last visit" in sentence(judge_response(response(0.45, 0.5, 0.2), healthy).text)
    assert not judge_response(response(0.16, 0.5, 0.2), healthy).interface_poor
    dusty = judge_response(response(0.15, 0.9, 0.3), healthy)
    assert (dusty.interface_poor, dusty.slow_part_large) == (False, True)
    assert "dust, blocked vents" in sentence(dusty.text)
    typical = judge_response(response(0.45, 0.4, 0.2), class_reference("laptop"))
    assert "class-typical, from memory" in sentence(typical.text)
    assert reference_from([], Source.SAME_MODEL) is None


@pytest.mark.parametrize(
    ("share", "words"), [(1 / 3, "One third"), (0.02, "Hardly any"), (0.22, "About one fifth"), (0.87, "87 %")]
)
def test_shares_in_words(share, words):
    assert sentence(share_words(share)) == words


def test_a_share_is_a_share():
    with pytest.raises(OutOfRange):
        share_words(1.2)


def test_repeats_in_one_sitting_do_not_make_the_scatter_vanish():
    (before, after), repeats = pool([[Measured(value=70.0, scatter=1.0)] * 3, [Measured(value=60.0, scatter=1.0)] * 3])
    assert repeats
    assert before.scatter == after.scatter == pytest.approx(0.2 / 3**0.5)
