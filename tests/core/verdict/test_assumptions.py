"""What a verdict rests on: each assumption that may fail is made to fail alone, on a device that did not change or got
worse. Common practice, no source."""

from dataclasses import replace

import numpy as np
import pytest

from vividowl.core.reading.reading import read_trace
from vividowl.core.response.resistance import Coupled
from vividowl.core.simulate.device import simulate
from vividowl.core.sound.levels import NoiseFigure
from vividowl.core.trace.roles import Role
from vividowl.core.trace.trace import Trace
from vividowl.core.verdict.assumptions import Standing
from vividowl.core.verdict.comparison import compare
from vividowl.core.verdict.conditions import Conditions
from vividowl.core.verdict.parts import Recorded, Shown, Side
from vividowl.core.verdict.verdicts import Verdict
from vividowl.words import sentences

DIE, POWER, CLOCK, FAN = Role.CPU_TEMPERATURE, Role.CPU_POWER, Role.CPU_CLOCK, Role.FAN_SPEED
USE, OUTRIGHT = Role.CPU_UTILISATION, (Verdict.IMPROVED, Verdict.WORSE)
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
    duration_min=15.0,
    die_column="Die [°C]",
)


@pytest.fixture
def steady(mild):
    """Its fan stands at one speed, so that nothing moves but what a test moves."""
    return replace(mild, fan_idle_rpm=mild.fan_full_rpm)


def side(device, seed, *, given=SAME, drop=(), room_c=24.0, **changes):
    """A run; changes: what becomes of a channel, by its role's name."""
    trace = simulate(device, room_c=room_c, seed=seed)
    channels = {r: v for r, v in trace.channels.items() if r not in (*drop, Role.EXHAUST_TEMPERATURE)}
    for name, change in changes.items():
        channels[Role(name)] = change(trace.time_s, channels[Role(name)])
    return Side(conditions=given, reading=read_trace(Trace(trace.time_s, channels), given.room_c))


def standing(found, name):
    return {a.name: a.standing for a in found.assumes}.get(name)


def doubted(found, name):
    """Whether one assumption alone makes it an answer with an if."""
    (doubt,) = [a for a in found.assumes if a.name == name]
    return doubt.carries and bool(doubt.remedy) and found.verdict not in OUTRIGHT


def test_where_all_holds_each_is_checked_or_noted_and_a_gain_is_told_outright(steady):
    found = compare(side(steady, 1), side(replace(steady, interface=steady.interface - 0.2), 2))
    assert found.verdict is Verdict.IMPROVED
    assert {a.name: a.standing for a in found.assumes} == {
        "load": Standing.CHECKED,
        "fan": Standing.CHECKED,
        "room": Standing.NOTED,
        "thermometer": Standing.CHECKED,
        "sensor": Standing.CHECKED,
        "power": Standing.CHECKED,
        "placement": Standing.NOTED,
    }
    assert not any(a.carries for a in found.assumes)


def test_a_lighter_load_without_power_is_no_gain(steady):
    blind = {"drop": (POWER,)}
    lighter = side(replace(steady, sustained_power=0.7 * steady.sustained_power), 2, **blind)
    assert doubted(compare(side(steady, 1, **blind), lighter), "load")
    unseen = {"drop": (POWER, CLOCK)}
    lighter = side(replace(steady, sustained_power=0.7 * steady.sustained_power), 2, **unseen)
    found = compare(side(steady, 1, **unseen), lighter)
    assert (standing(found, "load"), found.verdict) == (Standing.UNKNOWN, Verdict.IMPROVED_IF_SAME)


def test_another_use_is_another_load(steady):
    half = {"cpu_utilisation": lambda t, v: np.where(v > 50, 42.0, v)}
    better = replace(steady, interface=steady.interface - 0.2)
    found = compare(side(steady, 1, drop=(POWER,)), side(better, 2, drop=(POWER,), **half))
    assert doubted(found, "load")


def test_a_cooler_at_its_limit_gets_better_with_less_power(steady):
    better = replace(steady, interface=steady.interface - 0.2, sustained_power=0.8 * steady.sustained_power)
    assert doubted(compare(side(steady, 1), side(better, 2)), "load")
    # More power makes such a gain no smaller.
    more = replace(better, sustained_power=1.2 * steady.sustained_power)
    assert standing(compare(side(steady, 1), side(more, 2)), "load") is Standing.CHECKED


@pytest.mark.parametrize(
    ("setting", "expected"),
    [("automatic", Standing.UNKNOWN), ("turbo", Standing.UNKNOWN), ("fixed 3000", Standing.NOTED)],
)
def test_a_fan_that_nobody_logged_is_known_by_a_speed_and_by_no_mode(steady, setting, expected):
    given = replace(SAME, fan=setting)
    better = replace(steady, interface=steady.interface - 0.15)
    found = compare(side(steady, 1, given=given, drop=(FAN,)), side(better, 2, given=given, drop=(FAN,)))
    assert standing(found, "fan") is expected
    assert found.verdict is (Verdict.IMPROVED_IF_SAME if expected is Standing.UNKNOWN else Verdict.IMPROVED)


def test_a_gain_that_no_fan_could_do_is_told_outright(chalk, cured):
    given = replace(SAME, load="even load")
    found = compare(side(chalk, 1, given=given, drop=(FAN,)), side(cured, 2, given=given, drop=(FAN,)))
    (fan,) = [a for a in found.assumes if a.name == "fan"]
    assert (fan.standing, fan.carries) == (Standing.UNKNOWN, False)
    # One that nobody noted may have been forced, and could do any of it.
    given = replace(SAME, fan=None)
    found = compare(side(chalk, 1, given=given, drop=(FAN,)), side(cured, 2, given=given, drop=(FAN,)))
    assert doubted(found, "fan")


def window(t, v, *, kelvins=5.0, from_s=360.0, over_s=90.0):
    return v - kelvins * np.clip((t - from_s) / over_s, 0.0, 1.0)


def test_an_opened_window_is_no_gain_and_a_closed_one_no_loss(steady):
    opened = {"cpu_temperature": window}
    assert doubted(compare(side(steady, 1), side(steady, 2, **opened)), "room")
    assert doubted(compare(side(steady, 1, **opened), side(steady, 2)), "room")


def test_a_room_that_is_heated_is_no_loss(steady):
    heated = {"cpu_temperature": lambda t, v: v + 4.0 * np.clip((t - 60.0) / 900.0, 0.0, 1.0)}
    assert doubted(compare(side(steady, 1), side(steady, 2, **heated)), "room")


def test_a_thermometer_in_the_exhaust_shows_at_idle(steady):
    warm = replace(SAME, room_c=28.5)
    assert doubted(compare(side(steady, 1), side(steady, 2, given=warm)), "thermometer")


@pytest.mark.parametrize("given", [{"die_column": "Package [°C]"}, {"firmware": "2.0"}])
def test_another_column_or_firmware_may_be_the_gain(steady, given):
    better = replace(steady, interface=steady.interface - 0.2)
    assert doubted(compare(side(steady, 1), side(better, 2, given=replace(SAME, **given))), "sensor")


def test_a_sensor_that_shows_no_more_than_one_value_is_doubted(steady):
    hotter, top = replace(steady, interface=steady.interface + 0.2), 58.0
    clipped = {"cpu_temperature": lambda t, v: np.minimum(v, top)}
    after = side(hotter, 2, **clipped)
    assert after.reading.die_clipped
    assert not side(steady, 1).reading.die_clipped
    found = compare(side(steady, 1), after)
    assert found.verdict not in OUTRIGHT
    assert standing(found, "sensor") is Standing.DOUBTFUL


def test_a_power_column_that_holds_more_is_no_gain(steady):
    whole = {"cpu_power": lambda t, v: v + 12.0}
    found = compare(side(steady, 1), side(steady, 2, **whole))
    assert found.verdict is Verdict.IMPROVED_IF_SAME
    assert standing(found, "power") is Standing.DOUBTFUL


def test_power_that_moved_to_the_other_chip_is_no_gain(steady):
    def both(share):
        trace = simulate(steady, room_c=24.0, seed=3)
        channels = {r: v for r, v in trace.channels.items() if r is not Role.EXHAUST_TEMPERATURE}
        watts = channels[POWER]
        channels |= {POWER: share * watts, Role.GPU_POWER: (1 - share) * watts}
        return channels, trace.time_s

    sides = []
    for share, shift in ((0.8, 0.0), (0.5, 5.0)):
        channels, time_s = both(share)
        channels[DIE] = channels[DIE] - shift * (channels[USE] > 50)
        sides.append(Side(conditions=SAME, reading=read_trace(Trace(time_s, channels), 24.0)))
    found = compare(*sides)
    assert standing(found, "split") is Standing.DOUBTFUL
    assert found.verdict not in OUTRIGHT


def test_a_split_that_the_shared_cooler_does_not_explain_is_no_doubt(steady):
    def sides(coupled):
        for share, better in ((0.8, 0.0), (0.65, 0.2)):
            trace = simulate(replace(steady, interface=steady.interface - better), room_c=24.0, seed=3)
            channels = dict(trace.channels)
            watts = channels[POWER]
            channels |= {POWER: share * watts, Role.GPU_POWER: (1 - share) * watts}
            reading = read_trace(Trace(trace.time_s, channels), 24.0)
            yield Side(conditions=SAME, reading=replace(reading, chips=replace(reading.chips, coupled=coupled)))

    def numbers(own):
        return Coupled(
            cpu=own,
            cpu_from_gpu=0.9,
            gpu_from_cpu=0.8,
            gpu=1.1,
            cpu_u=0.02,
            cpu_from_gpu_u=0.02,
            gpu_from_cpu_u=0.02,
            gpu_u=0.02,
            condition=3.0,
        )

    assert doubted(compare(*sides(None)), "split")
    # 0.05 K/W between the chips and 6 W that moved are 0.3 K of 8 K; 1.0 K/W would be 6 K of them.
    assert standing(compare(*sides(numbers(0.95))), "split") is Standing.CHECKED
    assert doubted(compare(*sides(numbers(1.9))), "split")


@pytest.mark.parametrize(
    ("speeds", "expected", "carries"),
    [
        ((3600.0, 3630.0), Standing.CHECKED, False),
        ((3600.0, 4300.0), Standing.DOUBTFUL, True),
        ((3600.0, 3000.0), Standing.DOUBTFUL, False),
        ((3600.0, None), Standing.UNKNOWN, True),
    ],
)
def test_a_fan_that_was_heard_needs_no_log(steady, speeds, expected, carries):
    better = replace(steady, interface=steady.interface - 0.15)
    sides = [
        replace(
            side(device, seed, drop=(FAN,)),
            recording=Recorded(
                level_db=-30.0, room_out=True, room_db=-60.0, floor_db=None, marked_place=True, fan_rpm=rpm
            ),
        )
        for device, seed, rpm in zip((steady, better), (1, 2), speeds, strict=True)
    ]
    found = compare(*sides)
    (fan,) = [a for a in found.assumes if a.name == "fan"]
    assert (fan.standing, fan.carries) == (expected, carries)
    assert (found.verdict is Verdict.IMPROVED) is not carries


def test_a_die_that_a_governor_holds_is_no_clipped_sensor(chalk):
    held = side(chalk, 1)
    assert held.reading.throttling.share > 0.5
    assert not held.reading.die_clipped


def test_quieter_with_a_fan_that_nobody_noted_is_an_if(steady):
    given = replace(SAME, fan=None)
    bare = {"given": given, "drop": (FAN,)}
    loud, calm = (
        [
            replace(
                side(steady, seed, **bare),
                noise=NoiseFigure(level_db=level, upper_bound=False, place="vent", distance_m=0.3, readings=3),
            )
            for seed in seeds
        ]
        for level, seeds in ((50.0, (1, 3)), (40.0, (2, 4)))
    )
    found = compare(loud, calm)
    assert found.effect("noise").shown is Shown.BETTER
    assert doubted(found, "fan")


def test_a_room_in_both_logs_is_checked(steady):
    def logged(seed):
        trace = simulate(steady, room_c=24.0, seed=seed)
        channels = {**trace.channels, Role.ROOM_TEMPERATURE: np.full(len(trace.time_s), 24.0)}
        return Side(conditions=SAME, reading=read_trace(Trace(trace.time_s, channels), 24.0))

    assert standing(compare(logged(1), logged(2)), "room") is Standing.CHECKED


def test_a_thermometer_that_no_idle_can_check_is_only_noted(steady):
    def without_idle(seed):
        trace = simulate(steady, room_c=24.0, seed=seed, lead_s=0.0, tail_s=0.0)
        cut = slice(30, None)
        return Side(
            conditions=SAME,
            reading=read_trace(Trace(trace.time_s[cut], {r: v[cut] for r, v in trace.channels.items()}), 24.0),
        )

    assert standing(compare(without_idle(1), without_idle(2)), "thermometer") is Standing.NOTED


def test_watts_that_grow_without_the_clock_are_other_watts(steady):
    # Under load alone, so that idle cannot show it.
    more = {"cpu_power": lambda t, v: np.where(v > 20.0, 1.4 * v, v)}
    found = compare(side(steady, 1), side(steady, 2, **more))
    assert doubted(found, "power")
    assert any("the clock by" in s for s in sentences(a.why for a in found.assumes))


def test_a_split_that_stays_is_checked_and_one_without_watts_is_not_asked(steady):
    def shared(seed, of_graphics):
        trace = simulate(steady, room_c=24.0, seed=seed)
        channels = dict(trace.channels)
        channels[Role.GPU_POWER] = of_graphics * channels[POWER]
        return Side(conditions=SAME, reading=read_trace(Trace(trace.time_s, channels), 24.0))

    assert standing(compare(shared(1, 0.5), shared(2, 0.5)), "split") is Standing.CHECKED
    assert standing(compare(shared(1, 0.5), side(steady, 2)), "split") is None
