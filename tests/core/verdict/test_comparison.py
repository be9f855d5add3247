"""Verdicts: what is claimed, what is not, and why."""

import re
from dataclasses import replace

import numpy as np
import pytest

from vividowl.core.reading.reading import read_trace
from vividowl.core.simulate.device import simulate
from vividowl.core.sound.levels import NoiseFigure
from vividowl.core.trace.roles import Role
from vividowl.core.trace.trace import Trace
from vividowl.core.verdict.assumptions import Standing
from vividowl.core.verdict.comparison import Verdict, compare
from vividowl.core.verdict.conditions import Bearing, Conditions, judge_conditions
from vividowl.core.verdict.parts import Shown, Side
from vividowl.words import sentence, sentences

SAME = Conditions(
    load="even load",
    fan="automatic",
    power_profile="performance",
    placement="stand",
    start="cold",
    firmware="1.2",
    tuning="none",
    sensor="processor",
    room_c=24.0,
    duration_min=15,
)


def side(device, seed, *, noise_db=None, drop=(), **conditions):
    given = replace(SAME, **conditions)
    room = given.room_c
    trace = simulate(device, room_c=room if room is not None else 24.0, seed=seed)
    trace = Trace(trace.time_s, {r: v for r, v in trace.channels.items() if r not in drop})
    noise = (
        NoiseFigure(level_db=noise_db, upper_bound=False, place="vent", distance_m=0.3, readings=3)
        if noise_db is not None
        else None
    )
    return Side(conditions=given, reading=read_trace(trace, room), noise=noise)


def test_a_good_service_on_a_throttled_machine_leads_with_kelvins_at_equal_work(chalk, cured):
    found = compare(side(chalk, 1, noise_db=53), side(cured, 2, noise_db=46.4))
    assert found.verdict is Verdict.IMPROVED
    # Kelvins at equal work lead; what is felt of them follows, what it could hold is calculated and stands below.
    assert sentence(found.headline) == (
        "Improved: 38 K less at 45 W with the fan as before, throttled 97 % → 0 %, under the same load 45 → 58 W; "
        "now 26 K below its limit"
    )
    assert found.effect("resistance").shown is Shown.BETTER
    assert any("the watts tell" in r for r in sentences(found.reasons))
    capacity = found.effect("sustained_capacity")
    assert capacity.after > capacity.before


def test_the_same_device_twice_in_another_room_shows_no_difference(mild):
    found = compare(side(mild, 3), side(mild, 4, room_c=27.5))
    assert found.verdict is Verdict.NO_DIFFERENCE_SHOWN
    assert found.effect("rise").shown is Shown.NOT_SHOWN
    assert sentence(found.headline) == "No difference shown"


def test_one_kelvin_between_two_runs_is_within_tolerance(mild):
    # handbook/temperature.md: one degree between two runs is within tolerance. 0.025 K/W at 40 W is 1 K.
    found = compare(side(mild, 5), side(replace(mild, interface=mild.interface - 0.025), 6))
    assert found.verdict is Verdict.NO_DIFFERENCE_SHOWN


def test_a_worse_service_is_called_worse(mild):
    worse = replace(mild, interface=0.7)
    found = compare(side(mild, 7), side(worse, 8))
    assert found.verdict is Verdict.WORSE
    # A fan whose speed is in one log only may have turned otherwise.
    unseen = compare(side(mild, 7), side(worse, 8, drop=(Role.FAN_SPEED,)))
    assert unseen.verdict is Verdict.WORSE_IF_SAME
    assert sentence(unseen.headline) == "Worse, if fan was the same: 11 K more at 40 W"


def test_the_difference_is_surer_than_the_figures_since_the_sensor_is_the_same(mild):
    found = compare(side(mild, 9), side(mild, 10))
    die = found.effect("die_temperature")
    assert die.u95 < (die.before_u95**2 + die.after_u95**2) ** 0.5


@pytest.mark.parametrize("name", ["load", "fan", "power_profile", "placement"])
def test_conditions_that_forbid_a_verdict(mild, cured, name):
    found = compare(side(mild, 11), side(cured, 12, **{name: "something else"}))
    assert found.verdict is Verdict.CANNOT_BE_COMPARED
    assert "something else" in sentence(found.reasons[0])
    assert "Repeat" in sentence(found.reasons[0]) or "Compare" in sentence(found.reasons[0])


@pytest.mark.parametrize("name", ["firmware", "tuning"])
def test_conditions_that_are_only_noted(chalk, cured, name):
    found = compare(side(chalk, 13), side(cured, 14, **{name: "changed"}))
    # New firmware may read the sensor otherwise; an undervolt shows in the power.
    assert [doubt.name for doubt in found.doubts] == (["sensor"] if name == "firmware" else [])
    assert found.verdict is (Verdict.IMPROVED_IF_SAME if name == "firmware" else Verdict.IMPROVED)
    assert any("its own" in r for r in sentences(found.reasons))


def test_a_condition_on_neither_side_is_unknown_and_does_not_forbid(chalk, cured):
    found = compare(side(chalk, 15, fan=None), side(cured, 16, fan=None))
    assert found.verdict is Verdict.IMPROVED
    fan = next(c for c in found.conditions if c.condition == "fan")
    assert (fan.bearing, sentence(fan.text)) == (Bearing.UNKNOWN, "Not noted on neither side.")


def test_no_room_no_verdict(chalk, cured):
    found = compare(side(chalk, 17, room_c=None), side(cured, 18))
    assert found.verdict is Verdict.CANNOT_BE_COMPARED
    assert any("room was not noted" in r for r in sentences(found.reasons))
    assert found.effect("rise").shown is Shown.NOT_KNOWN


def test_a_faster_fan_alone_is_no_gain(mild):
    faster = replace(mild, fan_idle_rpm=3800, fan_low_c=20, fan_high_c=60)
    found = compare(side(mild, 19), side(faster, 20))
    # The raw resistance fell, the one at the same fan speed did not.
    assert found.effect("resistance").shown is Shown.BETTER
    assert found.verdict is Verdict.NO_DIFFERENCE_SHOWN
    assert any("fan turned faster after" in r for r in sentences(found.reasons))


def test_a_fan_far_faster_forbids_a_verdict(mild):
    found = compare(side(replace(mild, fan_high_c=400), 19), side(replace(mild, fan_idle_rpm=3800), 20))
    assert found.verdict is Verdict.CANNOT_BE_COMPARED
    assert any("fan ran much faster" in r for r in sentences(found.reasons))


def test_quieter_at_the_same_resistance_is_a_gain_when_it_was_read_in_two_runs(mild):
    runs = [[side(mild, s, noise_db=db) for s in seeds] for seeds, db in (((21, 31), 46), ((22, 32), 41))]
    found = compare(*runs)
    assert found.verdict is Verdict.IMPROVED
    assert sentence(found.headline) == "Improved: 5 dB quieter, no hotter"


def test_one_level_on_each_side_carries_no_verdict(mild):
    # A fan in steps may stand on either of two at one temperature: one reading cannot tell that from a service.
    found = compare(side(mild, 21, noise_db=46), side(mild, 22, noise_db=41))
    assert found.verdict is Verdict.NO_DIFFERENCE_SHOWN
    assert found.effect("noise").shown is Shown.BETTER
    assert any("carries no verdict" in reason for reason in sentences(found.reasons))


def test_noise_from_another_place_is_not_compared(mild):
    after = side(mild, 24)
    after = Side(
        conditions=after.conditions,
        reading=after.reading,
        noise=NoiseFigure(level_db=41, upper_bound=False, place="keyboard", distance_m=0.3, readings=3),
    )
    found = compare(side(mild, 23, noise_db=46), after)
    assert found.effect("noise").shown is Shown.NOT_KNOWN
    assert "not comparable" in sentence(found.effect("noise").working)


def test_a_level_that_the_room_drowned_is_an_upper_bound_and_that_is_said(mild):
    after = side(mild, 24)
    after = Side(
        conditions=after.conditions,
        reading=after.reading,
        noise=NoiseFigure(level_db=41, upper_bound=True, place="vent", distance_m=0.3, readings=3),
    )
    noise = compare(side(mild, 23, noise_db=46), after).effect("noise")
    assert "upper bound" in sentence(noise.working)


def test_noise_from_another_distance_is_converted_and_that_is_said(mild):
    after = side(mild, 26)
    after = Side(
        conditions=after.conditions,
        reading=after.reading,
        noise=NoiseFigure(level_db=46 - 6.02, upper_bound=False, place="vent", distance_m=0.6, readings=3),
    )
    noise = compare(side(mild, 25, noise_db=46), after).effect("noise")
    assert noise.difference == pytest.approx(0, abs=0.01)
    assert "converted from 0.6 m to 0.3 m" in sentence(noise.working)


def test_a_level_in_a_warmer_room_is_less_sure_while_the_fan_follows_the_heat(mild):
    before = side(mild, 1, noise_db=40.0)
    same, warmer = (side(mild, 2, noise_db=41.0, room_c=room) for room in (24.0, 27.0))
    sure = compare(before, same).effect("noise")
    wide = compare(before, warmer).effect("noise")
    assert sure.shown is Shown.WORSE
    assert wide.shown is Shown.NOT_SHOWN
    # Half a decibel for each kelvin of the room, from memory, as a rectangle: 3 K make 1.5 dB.
    assert wide.u95**2 - sure.u95**2 == pytest.approx((2 * 1.5 / 3**0.5) ** 2)
    assert "the rooms differ, ± 1.5 dB" in sentence(wide.working)
    # The same fan speed in both logs: then the room had no say in the noise.
    fixed = [
        side(replace(mild, fan_low_c=-50.0, fan_high_c=-40.0), s, noise_db=level, room_c=room)
        for s, level, room in ((1, 40.0, 24.0), (2, 41.0, 27.0))
    ]
    assert compare(*fixed).effect("noise").u95 == pytest.approx(sure.u95)


def test_a_rise_alone_carries_a_verdict_when_no_power_was_logged(mild):
    drop = (Role.CPU_POWER, Role.THROTTLE_FLAG)
    found = compare(side(mild, 27, drop=drop), side(replace(mild, interface=0.1), 28, drop=drop))
    assert found.effect("resistance").shown is Shown.NOT_KNOWN
    assert found.verdict is Verdict.IMPROVED
    assert "less over the room" in sentence(found.headline)


def test_rooms_far_apart_are_flagged():
    found = {c.condition: c for c in judge_conditions(SAME, replace(SAME, room_c=31.0), True)}
    assert found["room_c"].bearing is Bearing.NOTED
    assert "7.0 K" in sentence(found["room_c"].text)


def test_rooms_close_together_are_corrected():
    found = {c.condition: c for c in judge_conditions(SAME, replace(SAME, room_c=26.0), True)}
    assert found["room_c"].bearing is Bearing.CORRECTED


@pytest.mark.parametrize(("settled", "bearing"), [(True, Bearing.NOTED), (False, Bearing.FORBIDS)])
def test_a_warm_start_and_a_shorter_run_matter_only_while_unsettled(settled, bearing):
    found = {c.condition: c for c in judge_conditions(SAME, replace(SAME, start="warm", duration_min=5), settled)}
    assert found["start"].bearing is bearing
    assert found["duration_min"].bearing is bearing


def test_spelling_is_not_a_difference():
    found = {c.condition: c for c in judge_conditions(SAME, replace(SAME, load=" Even  LOAD "), True)}
    assert found["load"].bearing is Bearing.SAME


@pytest.mark.long
def test_false_claims_and_missed_gains_stay_rare(mild):
    # Pairs of simulated runs: no difference but the room, and a true gain of 3 K at 40 W. The fan is fixed: an
    # automatic one gives part of the gain away as quiet.
    mild = replace(mild, fan_idle_rpm=mild.fan_full_rpm)
    better = replace(mild, interface=mild.interface - 3.0 / 40.0)
    claimed = sum(
        compare(side(mild, 100 + i, room_c=22.0), side(mild, 200 + i, room_c=25.0)).verdict
        is not Verdict.NO_DIFFERENCE_SHOWN
        for i in range(20)
    )
    missed = sum(compare(side(mild, 300 + i), side(better, 400 + i)).verdict is not Verdict.IMPROVED for i in range(20))
    assert claimed <= 1
    assert missed <= 1


def test_a_fan_and_a_place_that_nobody_noted_make_it_an_answer_with_an_if(mild):
    better = replace(mild, interface=mild.interface - 0.2)
    bare = {"fan": None, "placement": None}
    found = compare(side(mild, 1, drop=(Role.FAN_SPEED,), **bare), side(better, 2, drop=(Role.FAN_SPEED,), **bare))
    assert found.verdict is Verdict.IMPROVED_IF_SAME
    assert [(a.name, a.standing) for a in found.doubts] == [
        ("fan", Standing.UNKNOWN),
        ("placement", Standing.UNKNOWN),
    ]
    assert sentence(found.headline).startswith("Improved, if fan and place were the same: ")
    assert any("the fan alone could do it" in reason for reason in sentences(found.reasons))


def test_a_logged_fan_needs_no_setting_and_a_noted_place_no_if(mild):
    better = replace(mild, interface=mild.interface - 0.2)
    found = compare(side(mild, 1, fan=None), side(better, 2, fan=None))
    assert (found.verdict, found.doubts) == (Verdict.IMPROVED, ())
    placeless = compare(side(mild, 1, placement=None), side(replace(mild, interface=mild.interface + 0.2), 2))
    assert placeless.verdict is Verdict.WORSE_IF_SAME
    assert [doubt.name for doubt in placeless.doubts] == ["placement"]


def with_fan(found, rpm):
    trace = simulate(found, room_c=24.0, seed=3)
    fan = np.full(len(trace.time_s), float(rpm))
    return Side(conditions=SAME, reading=read_trace(Trace(trace.time_s, {**trace.channels, Role.FAN_SPEED: fan}), 24.0))


@pytest.mark.parametrize("rpm", [0, 1500])
def test_a_fan_that_stood_still_is_refused_like_one_that_ran_at_half(mild, rpm):
    found = compare(with_fan(replace(mild, interface=mild.interface + 0.2), rpm), with_fan(mild, 3000))
    assert found.verdict is Verdict.CANNOT_BE_COMPARED
    assert f"3000 against {rpm} rpm" in sentence(found.reasons[0])


def test_no_difference_shown_says_what_could_hide_and_what_more_runs_would_show(mild):
    found = compare(side(mild, 3), side(mild, 4))
    main = found.effect("resistance_same_fan")
    # A gain g was there and d was read: g is at most U - d.
    watts = found.effect("power").before
    assert found.hidden_gain_k == pytest.approx(watts * (main.u95 - main.difference))
    assert 0.0 < found.showable_k < watts * main.u95
    assert f"up to {found.hidden_gain_k:.1f} K could hide here" in sentence(found.reasons[1])


def test_a_gain_that_is_shown_hides_nothing(chalk, cured):
    found = compare(side(chalk, 1), side(cured, 2))
    assert (found.hidden_gain_k, found.showable_k) == (None, None)


def test_quieter_but_hotter_is_both_and_never_a_gain_in_kelvins(mild):
    quiet = replace(mild, fan_low_c=mild.fan_low_c + 14, fan_high_c=mild.fan_high_c + 14)
    runs = [[side(d, s, noise_db=db) for s in seeds] for d, seeds, db in ((mild, (1, 3), 50), (quiet, (2, 4), 43))]
    found = compare(*runs)
    assert found.effect("rise").shown is Shown.WORSE
    assert found.verdict is Verdict.NO_DIFFERENCE_SHOWN
    assert sentence(found.headline).startswith("No difference shown: quieter by 7 dB, and hotter by ")


def test_what_it_could_hold_is_no_more_than_it_draws(chalk, cured):
    found = compare(side(chalk, 1), side(cured, 2), limit_c=95.0, power_limit=60.0)
    capacity = found.effect("sustained_capacity")
    assert capacity.before < 60.0 == capacity.after
    assert "calculated" in sentence(capacity.working)


def test_a_limit_at_the_room_gives_no_capacity_and_no_error(mild):
    found = compare(side(mild, 1), side(mild, 2), limit_c=25.5)
    assert found.effect("sustained_capacity").before is None


def test_held_before_and_still_held_after_leads_with_the_watts_at_the_limit(chalk):
    better = replace(chalk, interface=chalk.interface - 0.25)
    found = compare(side(chalk, 1), side(better, 2), limit_c=95.0)
    assert re.match(r"Improved: at its 95 °C limit 4\d → 5\d W, clock \+\d+ %$", sentence(found.headline))


def test_a_gain_at_the_limit_on_one_side_only_needs_its_power(chalk, cured):
    blind = {"drop": (Role.CPU_POWER,)}
    found = compare(side(chalk, 1, **blind), side(cured, 2, **blind), limit_c=95.0)
    assert found.verdict is Verdict.CANNOT_BE_COMPARED
    assert any("held" in s for s in sentences(found.reasons))


def test_benchmarks_stand_with_what_two_runs_may_differ_by(mild):
    before = replace(side(mild, 1), results={"score": 1000.0, "duration": 300.0})
    after = replace(side(replace(mild, interface=0.1), 2), results={"score": 1200.0, "duration": 240.0})
    found = compare(before, after)
    score, duration = found.effect("score"), found.effect("duration")
    assert (score.shown, duration.shown) == (Shown.BETTER, Shown.BETTER)
    # A fifth less time is a quarter more work in the same time (arithmetic).
    assert "25" in sentence(duration.working)
    alone = compare(before, side(mild, 2)).effect("score")
    assert (alone.before, alone.after, alone.difference) == (1000.0, None, None)
