"""Held back: a pinned die alone is not enough, nor is power that goes up and down."""

import numpy as np
import pytest

from vividowl.core.trace.load import find_load
from vividowl.core.trace.roles import Role
from vividowl.core.trace.throttling import find_throttling
from vividowl.core.trace.trace import Trace, bridged, sensor_step

T = np.arange(720, dtype=float)
LOADED = (T >= 60) & (T < 660)


def trace(die, power, **more):
    channels = {Role.CPU_TEMPERATURE: die, Role.CPU_POWER: power, **more}
    return Trace(T, channels)


def told(found):
    return find_throttling(found, find_load(found)).share


def warmed(power, per_watt=1.0, tau_s=20.0, room=25.0):
    die, level = np.empty(len(T)), room
    for i in range(len(T)):
        level += (room + per_watt * power[i] - level) / tau_s
        die[i] = level
    return die


def test_an_even_load_that_settles_is_not_held():
    power = np.where(LOADED, 50.0, 5.0)
    assert told(trace(np.round(warmed(power)), power)) == 0.0


def test_a_die_pinned_in_whole_kelvins_while_the_power_falls_is_held():
    since = np.maximum(0.0, T - 60)
    power = np.where(LOADED, 30.0 + 30.0 * np.exp(-since / 80.0), 5.0)
    die = np.where(LOADED, np.minimum(90.0, 40.0 + 3.0 * since), 40.0)
    rng = np.random.default_rng(1)
    share = told(trace(np.round(die + rng.normal(0, 0.25, len(T))), power))
    assert share > 0.8


def test_a_short_overshoot_hides_nothing():
    since = np.maximum(0.0, T - 60)
    power = np.where(LOADED, 30.0 + 30.0 * np.exp(-since / 80.0), 5.0)
    die = np.where(LOADED, np.minimum(90.0, 40.0 + 3.0 * since) + np.where(since < 35, 4.0, 0.0), 40.0)
    assert told(trace(np.round(die), power)) > 0.75


def test_scenes_of_a_game_are_no_throttling():
    rng = np.random.default_rng(2)
    scenes = np.repeat(rng.uniform(30.0, 55.0, 40), 18)[: len(T)]
    power = np.where(LOADED, scenes, 5.0)
    use = np.where(LOADED, 97.0, 2.0)
    found = trace(np.round(warmed(power)), power, **{Role.CPU_UTILISATION: use})
    assert told(found) < 0.02


def test_clock_that_falls_at_a_power_limit_is_no_heat():
    # At a limit of power the clock goes down as the work gets heavier, and the die stays far from any limit.
    power = np.where(LOADED, 65.0, 6.0)
    clock = np.where(LOADED, np.where(T % 120 < 60, 3400.0, 3900.0), 800.0)
    assert told(trace(np.round(warmed(power)), power, **{Role.CPU_CLOCK: clock})) == 0.0


def test_a_known_limit_that_is_never_reached_is_no_throttling():
    power = np.where(LOADED, np.where(T > 300, 40.0, 50.0), 5.0)
    found = trace(np.round(warmed(power)), power)
    assert find_throttling(found, find_load(found), 95.0).share == 0.0


@pytest.mark.parametrize(
    ("values", "step"), [([50, 50, 51, 52, 51], 1.0), ([50.1, 50.2, 50.1, 50.4], 0.1), ([7, 7], 0)]
)
def test_the_step_of_a_sensor(values, step):
    assert sensor_step(np.array(values, dtype=float)) == pytest.approx(step)


def test_short_gaps_are_bridged_and_long_ones_stay_unknown():
    values = np.array([10.0, np.nan, 30.0, np.nan, np.nan, np.nan, 70.0, np.nan])
    filled = bridged(np.arange(8.0), values, 2.0)
    assert filled[1] == 20.0
    assert np.isnan(filled[[3, 4, 5, 7]]).all()
