"""What a sensor cannot have read, and what a column is by how it behaves."""

import numpy as np
import pytest

from vividowl.core.reading.findings import findings
from vividowl.core.reading.reading import read_trace
from vividowl.core.simulate.device import simulate
from vividowl.core.trace.behaviour import POINTS_MOST, by_behaviour, shape_of
from vividowl.core.trace.roles import ChannelGuess, Role, recognise
from vividowl.core.trace.sensors import clean_temperature, never_changes
from vividowl.core.trace.trace import Trace
from vividowl.words import sentence

TIME = np.arange(900.0)
FINE = np.round(60 + np.random.default_rng(1).normal(0, 0.4, 900), 1)


@pytest.mark.parametrize("value", [0.0, 255.0, 127.9, -1.0])
def test_drop_outs_and_jumps_are_left_out_and_counted(value):
    values = FINE.copy()
    values[[100, 300, 500]] = value
    found = clean_temperature(TIME, values)
    assert found.dropouts + found.jumps == 3
    assert set(np.flatnonzero(np.isnan(found.values))) == {100, 300, 500}


def test_a_real_burst_of_load_is_no_jump():
    values = FINE.copy()
    values[400] += 18
    assert np.isfinite(clean_temperature(TIME, values).values).all()


def test_a_fine_sensor_that_hangs_is_left_out_and_a_coarse_one_is_steady():
    values = FINE.copy()
    values[200:320] = values[200]
    assert clean_temperature(TIME, values).stuck == 119
    coarse = np.round(FINE)
    coarse[200:320] = 60.0
    assert clean_temperature(TIME, coarse).stuck == 0


def test_a_sensor_that_never_moves_is_named_and_nothing_follows(mild):
    trace = simulate(mild, room_c=24, seed=1)
    channels = {**trace.channels, Role.CPU_TEMPERATURE: np.full(len(trace.time_s), 50.0)}
    assert never_changes(channels[Role.CPU_TEMPERATURE])
    reading = read_trace(Trace(trace.time_s, channels), 24)
    assert (reading.chips.cpu, reading.response, reading.window.final_c) == (None, None, None)
    assert "the sensor is stuck" in sentence(findings(reading, 24)[1])


def columns_of(mild, headers, roles):
    trace = simulate(mild, room_c=24, seed=2)
    return trace.time_s, range(len(roles)), lambda i: trace.channels[roles[i]], recognise(headers)


def test_nameless_columns_are_told_by_behaviour(mild):
    order = [Role.CPU_UTILISATION, Role.CPU_TEMPERATURE, Role.CPU_POWER, Role.FAN_SPEED]
    found = by_behaviour(*columns_of(mild, ["A", "B", "C", "D"], order))
    assert [g.role for g in found] == [None, Role.CPU_TEMPERATURE, Role.CPU_POWER, None]
    assert all(g.confidence == 0.5 for g in found if g.role)


def test_a_package_that_follows_power_is_power(mild):
    found = by_behaviour(*columns_of(mild, ["Package", "Die temp [°C]"], [Role.CPU_POWER, Role.CPU_TEMPERATURE]))
    assert [g.role for g in found] == [Role.CPU_POWER, Role.CPU_TEMPERATURE]


def test_names_that_say_enough_are_left_alone(mild):
    given = columns_of(mild, ["CPU Package [°C]", "CPU Power [W]"], [Role.CPU_TEMPERATURE, Role.CPU_POWER])
    assert by_behaviour(*given) == given[3]


def test_noise_alone_is_neither_die_nor_power():
    rng = np.random.default_rng(4)
    columns = {0: rng.normal(60, 5, 900), 1: rng.normal(40, 5, 900)}
    assert [g.role for g in by_behaviour(TIME, range(2), columns.get, recognise(["A", "B"]))] == [None, None]


def test_the_shape_of_a_step_and_of_a_ramp():
    assert shape_of(np.repeat([5.0, 45.0], 100)).jump == pytest.approx(1.0)
    assert shape_of(np.linspace(5, 45, 200)).jump < 0.05
    assert shape_of(np.full(200, 7.0)) is None


def test_a_power_of_which_thinning_leaves_nothing_tells_no_die():
    # Once a traceback of the interpolation: found by bench/fuzz.py.
    n = 4 * POINTS_MOST
    t = np.arange(n, dtype=float)
    load = (t > n / 4) & (t < 3 * n / 4)
    die = np.where(load, 85.0, 45.0)
    odd = np.where(load, 60.0, 5.0)
    odd[::4] = np.nan
    guesses = (ChannelGuess("A", None, "°C", 0.0), ChannelGuess("B", Role.CPU_POWER, "W", 0.9))
    found = by_behaviour(t, (0, 1), {0: die, 1: odd}.__getitem__, guesses)
    assert found == guesses
    # With the watts whole the same columns do tell.
    whole = np.where(load, 60.0, 5.0)
    assert by_behaviour(t, (0, 1), {0: die, 1: whole}.__getitem__, guesses)[0].role is Role.CPU_TEMPERATURE
