"""Load, settled window, throttling and response on simulated devices of known truth."""

from dataclasses import replace

import numpy as np
import pytest
from tests.said import refuses

from vividowl.core.quantities.errors import NotEnoughData, OutOfRange
from vividowl.core.reading.findings import findings
from vividowl.core.reading.reading import clock_words, read_trace
from vividowl.core.response.network import fit_response
from vividowl.core.simulate.device import Device, simulate, steady_rise
from vividowl.core.trace.load import find_load
from vividowl.core.trace.roles import Role
from vividowl.core.trace.throttling import find_throttling
from vividowl.core.trace.trace import Trace, smooth
from vividowl.words import sentence, sentences


def without(trace, *roles):
    return Trace(trace.time_s, {r: v for r, v in trace.channels.items() if r not in roles})


@pytest.mark.parametrize("interval", [0.2, 1.0, 5.0])
def test_load_onset_boost_and_end_are_found(mild, interval):
    trace = simulate(replace(mild, boost_s=30.0), room_c=24, seed=1, lead_s=45, load_s=600, interval_s=interval)
    load = find_load(trace)
    assert load.seen
    assert load.onset_s == pytest.approx(45, abs=max(2, interval))
    assert load.boost_end_s == pytest.approx(75, abs=max(4, 2 * interval))
    assert load.end_s == pytest.approx(645, abs=max(4, 2 * interval))


def test_a_blink_of_idle_in_a_long_log_is_still_an_onset(mild):
    trace = simulate(mild, room_c=24, seed=2, lead_s=20, load_s=3600, tail_s=0)
    assert find_load(trace).onset_s == pytest.approx(20, abs=2)


def test_without_idle_the_whole_log_is_loaded_and_that_is_said(mild):
    trace = simulate(mild, room_c=24, seed=3, lead_s=0, load_s=900, tail_s=0)
    loaded = Trace(trace.time_s[120:] - trace.time_s[120], {r: v[120:] for r, v in trace.channels.items()})
    reading = read_trace(loaded, 24)
    assert not reading.load.seen
    assert "no idle before the load" in sentence(findings(reading, 24)[0])


def test_one_lost_sample_is_no_load_step(mild):
    trace = simulate(mild, room_c=24, seed=3, lead_s=0, load_s=900, tail_s=0)
    channels = {r: v[200:].copy() for r, v in trace.channels.items()}
    channels[Role.CPU_POWER][50] = 0.0
    assert not find_load(Trace(trace.time_s[200:], channels)).seen


def test_onset_is_found_from_utilisation_or_temperature_when_power_is_missing(mild):
    trace = simulate(mild, room_c=24, seed=4)
    by_use = find_load(without(trace, Role.CPU_POWER))
    by_die = find_load(without(trace, Role.CPU_POWER, Role.CPU_UTILISATION))
    assert (by_use.signal, by_die.signal) == ("utilisation", "die temperature")
    assert by_use.onset_s == pytest.approx(30, abs=2)
    assert by_die.onset_s == pytest.approx(30, abs=15)


@pytest.mark.parametrize("seed", range(4))
def test_steady_figures_meet_the_closed_form(mild, seed):
    reading = read_trace(simulate(mild, room_c=22, seed=seed), 22)
    assert reading.window.settled
    truth = steady_rise(mild, reading.power.mean, reading.stats[Role.FAN_SPEED].mean)
    # 0.25 K sensor noise over many samples; what is left is the last rise to steady state.
    assert reading.die.mean - 22 == pytest.approx(truth, abs=0.6)


def test_an_unsettled_run_says_so_and_where_it_would_end():
    slow = Device(
        interface=0.3,
        sink=1.0,
        chassis=1.6,
        fanless=True,
        chassis_capacity=500,
        sustained_power=15,
        boost_power=16,
        idle_power=2,
    )
    reading = read_trace(simulate(slow, room_c=24, seed=5, load_s=900), 24)
    truth = 24 + steady_rise(slow, 15, 3000)
    assert not reading.window.settled
    assert reading.window.minutes_needed >= 1
    assert abs(reading.window.final_c - truth) < reading.window.uncertainty_k
    # Half of the rise of this one is slower than the log: the estimate is good for advice, and its interval is the
    # claim.
    assert reading.window.final_c == pytest.approx(truth, abs=4)
    assert "would settle it" in sentence(findings(reading, 24)[0])


@pytest.mark.parametrize("seed", range(6))
def test_random_temperatures_lead_nowhere(mild, seed):
    trace = simulate(mild, room_c=22, seed=seed)
    noise = np.random.default_rng(seed).uniform(30.0, 90.0, len(trace.time_s))
    reading = read_trace(replace(trace, channels={**trace.channels, Role.CPU_TEMPERATURE: noise}), 22)
    assert not reading.window.settled
    assert reading.window.final_c is None
    assert "where it would end is not known" in sentence(findings(reading, 22)[0])


def test_a_pinned_temperature_is_throttling_with_or_without_the_flag(chalk):
    trace = simulate(chalk, room_c=24, seed=6)
    flagged, told = read_trace(trace, 24, 95.0), read_trace(without(trace, Role.THROTTLE_FLAG), 24, 95.0)
    assert (flagged.throttling.told_by, told.throttling.told_by) == ("flag", "power")
    assert flagged.throttling.share > 0.9
    assert told.throttling.share == pytest.approx(flagged.throttling.share, abs=0.08)
    assert told.throttling.limit_c == pytest.approx(95, abs=1)
    assert told.throttling.first_s < 60


def test_a_pinned_die_is_steady_only_once_its_power_is(chalk):
    # At the limit the watts tell, and they fall for minutes while the cooler fills with heat.
    trace = simulate(replace(chalk, chassis_capacity=2500), room_c=24, seed=6, load_s=1200)
    reading = read_trace(trace, 24, 95.0)
    truth = (reading.die.mean - 24) / steady_rise(chalk, 1.0, 4200)
    assert reading.window.from_s > 150
    assert reading.power.mean == pytest.approx(truth, rel=0.02)


def test_a_settled_device_is_not_throttled(cured):
    reading = read_trace(without(simulate(cured, room_c=24, seed=7), Role.THROTTLE_FLAG), 24, 95.0)
    assert reading.throttling.share == 0.0
    assert "Throttled 0 % of the time." in sentences(findings(reading, 24))


def test_passes_of_a_loop_are_no_throttling(mild):
    trace = without(simulate(mild, room_c=24, seed=8, pass_s=120), Role.THROTTLE_FLAG)
    reading = read_trace(trace, 24)
    assert reading.throttling.share < 0.02
    # The pauses count neither in the settled window nor in the figures: they are those of an even load.
    even = read_trace(simulate(mild, room_c=24, seed=8), 24)
    assert reading.window.settled
    assert reading.power.mean == pytest.approx(even.power.mean, rel=0.01)
    assert reading.die.mean == pytest.approx(even.die.mean, abs=1.0)


def test_pauses_between_passes_are_counted_and_named(mild):
    reading = read_trace(simulate(mild, room_c=24, seed=1, load_s=900, pass_s=150), 24)
    assert len(reading.pauses) == 5  # the sixth ends with the load
    assert all(b - a == pytest.approx(6, abs=2) for a, b in reading.pauses)
    assert any("pauses 5 times for about 5 s" in f and "no throttling" in f for f in sentences(findings(reading, 24)))
    assert read_trace(simulate(mild, room_c=24, seed=1), 24).pauses == ()


def test_loads_of_different_height_begin_with_the_first_and_a_long_rest_is_no_pause():
    time = np.arange(1800.0)
    power = np.select([time < 60, time < 800, time < 1100, time < 1700], [14.0, 50.0, 66.0, 106.0], 14.0)
    rise = np.convolve(power, 0.01 * np.exp(-np.arange(600) / 100), "full")[:1800] + 0.2 * power
    trace = Trace(time, {Role.CPU_TEMPERATURE: 23 + rise, Role.CPU_POWER: power})
    assert find_load(trace).onset_s == pytest.approx(60, abs=2)
    assert find_load(trace).end_s == pytest.approx(1700, abs=3)
    rested = Trace(time, {**trace.channels, Role.CPU_POWER: np.where((time > 900) & (time < 1100), 14.0, power)})
    assert read_trace(rested, 23).pauses == ()


@pytest.mark.parametrize("interface", [0.1, 0.25, 0.6])
def test_the_interface_is_taken_from_a_clean_cool_down(mild, interface):
    # The fan of this device turns up while the load begins, which hides a small interface; after the load it does not.
    # Fast part of two capacities in a row, textbook: R_i (C_s / (C_s + C_d))^2.
    device = replace(mild, interface=interface, fan_full_rpm=4200)
    wanted = interface * (device.sink_capacity / (device.sink_capacity + device.die_capacity)) ** 2
    for seed in (1, 2, 3):
        reading = read_trace(simulate(device, room_c=24, seed=seed), 24)
        assert reading.response.interface == reading.cool_down.interface
        assert reading.response.interface == pytest.approx(wanted, rel=0.1, abs=0.01)
        assert abs(reading.response.interface - wanted) < 3 * reading.response.interface_u + 0.05 * wanted


def test_a_load_that_fades_before_it_ends_gives_no_interface_by_the_cool_down(mild):
    # Six seconds of pause stand at the end of the last pass, so the power does not cease at once.
    reading = read_trace(simulate(mild, room_c=24, seed=1, load_s=900, pass_s=150), 24)
    assert reading.cool_down is None or reading.cool_down.interface is None
    assert reading.response.cooling_interface is None


def test_without_power_clock_and_flag_throttling_is_not_known(mild):
    trace = without(simulate(mild, room_c=24, seed=9), Role.THROTTLE_FLAG, Role.CPU_POWER, Role.CPU_CLOCK)
    assert find_throttling(trace, find_load(trace)).share is None
    assert any("is not known" in text for text in sentences(findings(read_trace(trace, 24), 24)))


@pytest.mark.parametrize(("interface", "sink"), [(0.75, 0.72), (0.35, 0.55), (0.5, 0.9)])
def test_the_fast_part_of_the_response_is_the_interface(interface, sink):
    device = Device(interface=interface, sink=sink, sustained_power=35, boost_power=40)
    trace = simulate(device, room_c=24, seed=10)
    response = fit_response(trace, find_load(trace))
    # Two capacities in a row: the fast Foster term is R_i (C_sink / (C_sink + C_die))^2, textbook partial fractions.
    fast = interface * (device.sink_capacity / (device.sink_capacity + device.die_capacity)) ** 2
    assert response.interface == pytest.approx(fast, rel=0.15)
    total = read_trace(trace, 24)
    # The fan idled before the load, so the sum over the step falls short of the whole rise.
    whole = (total.die.mean - 24) / total.power.mean
    assert 0.85 * whole < response.total < 1.03 * whole


def test_a_slow_log_does_not_show_the_interface(mild):
    trace = simulate(mild, room_c=24, seed=11, interval_s=8)
    with refuses(NotEnoughData, match="too slow to see the interface"):
        fit_response(trace, find_load(trace))


def test_without_a_room_the_curve_is_read_but_no_resistance_is_claimed(mild):
    reading = read_trace(simulate(mild, room_c=24, seed=12), None)
    assert reading.chips.cpu is None
    assert "room" in sentence(reading.chips.reason)
    assert reading.response.total > 0
    assert reading.die.mean > 50


def test_too_short_a_load_is_read_as_far_as_it_goes_and_named(mild):
    reading = read_trace(simulate(mild, room_c=24, seed=13, lead_s=20, load_s=20, tail_s=5), 24)
    assert not reading.window.settled
    assert (reading.window.remaining_rise_k, reading.window.final_c, reading.response) == (None, None, None)
    said = findings(reading, 24)
    assert "where it would end is not known" in sentence(said[0])
    assert "only 44 s long" in sentence(said[1])


def test_no_die_temperature_is_refused(mild):
    trace = without(simulate(mild, room_c=24, seed=14), Role.CPU_TEMPERATURE)
    with refuses(NotEnoughData, match="no die temperature"):
        read_trace(trace, 24)


def test_a_handful_of_samples_is_no_log():
    with refuses(NotEnoughData, match="3 samples, at least 10"):
        Trace(np.arange(3.0), {})


def test_a_simulated_room_must_be_a_room(mild):
    with refuses(OutOfRange, match="allowed are −10 to 60"):
        simulate(mild, room_c=200, seed=1)


def test_the_simulator_is_deterministic(mild):
    one, two = (simulate(mild, room_c=24, seed=15) for _ in range(2))
    assert all(np.array_equal(one.channels[r], two.channels[r]) for r in one.channels)


def test_smoothing_skips_what_is_missing():
    assert np.allclose(smooth(np.array([1.0, np.nan, 3.0]), 3), [1.0, 2.0, 3.0])


@pytest.mark.parametrize(("seconds", "words"), [(21, "0:21"), (599.6, "10:00"), (3671, "1:01:11")])
def test_times_in_words(seconds, words):
    assert clock_words(seconds) == words
