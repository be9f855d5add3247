"""Logs that hold next to nothing: they are read for what they hold, and no figure is made up from the rest."""

from dataclasses import replace

import numpy as np
import pytest
from tests.said import refuses

from vividowl.core.quantities.errors import NotEnoughData, OutOfRange
from vividowl.core.reading.findings import findings
from vividowl.core.reading.reading import read_trace
from vividowl.core.response.cooldown import fit_cool_down
from vividowl.core.response.resistance import chip_resistances
from vividowl.core.simulate.device import simulate
from vividowl.core.trace.behaviour import by_behaviour, shape_of
from vividowl.core.trace.felt_power import felt_power, restless
from vividowl.core.trace.heading import find_heading
from vividowl.core.trace.load import LoadPhase, find_load
from vividowl.core.trace.phases import find_phases
from vividowl.core.trace.roles import ChannelGuess, Role
from vividowl.core.trace.sensors import clean_temperature, never_changes
from vividowl.core.trace.trace import Trace
from vividowl.words import sentence


def cut(trace, samples, start=0):
    return Trace(
        trace.time_s[start : start + samples], {r: v[start : start + samples] for r, v in trace.channels.items()}
    )


def with_only(trace, **channels):
    return Trace(trace.time_s, {Role[name.upper()]: values for name, values in channels.items()})


@pytest.fixture
def whole(mild):
    return simulate(mild, room_c=24, seed=11, lead_s=30, load_s=600, tail_s=0)


def emptied(trace, role, where):
    values = trace.channels[role].copy()
    values[where] = np.nan
    return Trace(trace.time_s, {**trace.channels, role: values})


POOR = {
    "twelve samples": lambda t: cut(t, 12),
    "twenty samples of load": lambda t: cut(t, 20, 40),
    "half a minute of load": lambda t: cut(t, 55),
    "no power but in the idle": lambda t: emptied(t, Role.CPU_POWER, t.time_s > 20),
    "power that only falls": lambda t: with_only(
        t, cpu_temperature=np.linspace(80, 60, len(t.time_s)), cpu_power=np.linspace(60, 5, len(t.time_s))
    ),
    "everything constant": lambda t: with_only(
        t, cpu_temperature=np.full(len(t.time_s), 61.0), cpu_power=np.full(len(t.time_s), 30.0)
    ),
    "a die alone that never moves": lambda t: with_only(t, cpu_temperature=np.full(len(t.time_s), 61.0)),
}


@pytest.mark.parametrize("poor", POOR.values(), ids=POOR)
def test_a_poor_log_is_read_and_gives_no_parts_of_the_heat_path(poor, whole):
    reading = read_trace(poor(whole), 24)
    assert reading.response is None or reading.response.interface_whole_u > 0.3 * reading.response.interface
    said = [sentence(words) for words in findings(reading, 24)]
    assert said
    assert not any("nan" in line.lower() or "inf " in line for line in said)


@pytest.mark.parametrize(
    "lost", [lambda t: t > 40, lambda t: t % 130 > 0], ids=["from the beginning of the load on", "but every 130th"]
)
def test_a_die_that_was_not_logged_where_figures_come_from_is_refused_with_place_and_remedy(lost, whole):
    broken = emptied(whole, Role.CPU_TEMPERATURE, lost(whole.time_s))
    with refuses(NotEnoughData, r"no die temperature from \d+:\d\d to 10:2\d") as found:
        read_trace(broken, 24)
    assert sentence(found.value.remedy).startswith("Log the die to the end of the load")


def test_a_window_set_by_hand_where_no_die_was_logged_is_refused(whole):
    broken = emptied(whole, Role.CPU_TEMPERATURE, (whole.time_s > 200) & (whole.time_s < 300))
    with refuses(NotEnoughData, "no die temperature from 3:25 to 4:55") as found:
        read_trace(broken, 24, chosen=(205.0, 295.0))
    assert found.value.field == "window"
    assert sentence(found.value.remedy).startswith("Choose a part of the load")


def test_a_log_without_any_die_is_refused_in_words(whole):
    with refuses(NotEnoughData, "no die temperature"):
        read_trace(with_only(whole, cpu_power=whole.channels[Role.CPU_POWER]), 24)


def test_without_a_step_of_load_nothing_is_called_one(whole):
    flat = with_only(
        whole, cpu_power=np.full(len(whole.time_s), 30.0), cpu_temperature=np.full(len(whole.time_s), 50.0)
    )
    assert find_load(flat) == LoadPhase(
        onset_s=0.0, boost_end_s=0.0, end_s=float(flat.time_s[-1]), seen=False, signal="power"
    )


def test_what_there_are_no_samples_for_is_not_known(whole):
    load = find_load(whole)
    nothing = np.zeros(len(whole.time_s), dtype=bool)
    dies_only = with_only(whole, cpu_temperature=whole.channels[Role.CPU_TEMPERATURE])
    assert felt_power(whole, load, nothing) is None
    assert felt_power(dies_only, load, ~nothing) is None
    assert not restless(whole, load, nothing)
    assert not restless(dies_only, load, ~nothing)
    brief = replace(load, end_s=load.onset_s + 20.0, boost_end_s=load.onset_s)
    assert find_heading(whole, brief, (load.onset_s, load.onset_s + 20.0)) is None
    assert not restless(whole, brief, ~nothing & (whole.time_s < brief.end_s))
    # Nothing between two samples, so nothing to take the level from.
    assert find_heading(whole, load, (load.end_s + 100.0, load.end_s + 101.0)) is None


def test_a_curve_after_the_load_gives_no_resistance_without_its_power(mild):
    trace = simulate(mild, room_c=24, seed=12, lead_s=30, load_s=600, tail_s=300)
    load = find_load(trace)
    known = fit_cool_down(trace, load)
    assert known.interface > 0
    assert known.interface_u > 0
    blind = emptied(trace, Role.CPU_POWER, trace.time_s > load.end_s - 60)
    seen = fit_cool_down(blind, load)
    assert (seen.interface, seen.interface_u) == (None, None)
    bare = with_only(trace, cpu_temperature=trace.channels[Role.CPU_TEMPERATURE])
    assert fit_cool_down(bare, load).interface is None


def test_chips_that_run_together_all_the_time_cannot_be_told_apart(whole):
    cpu = whole.channels[Role.CPU_TEMPERATURE]
    both = Trace(
        whole.time_s,
        {**whole.channels, Role.GPU_TEMPERATURE: cpu - 4.0, Role.GPU_POWER: whole.channels[Role.CPU_POWER] * 0.5},
    )
    found = chip_resistances(both, find_phases(both), 24.0, whole.time_s > 300)
    assert found.coupled is None


@pytest.mark.parametrize(
    "values",
    [
        np.full(60, np.nan),
        np.r_[np.full(55, np.nan), np.arange(5.0)],
        np.full(60, 40.0),
        np.r_[np.arange(9.0), [np.nan] * 51],
    ],
    ids=["nothing", "five readings", "never changes", "nine readings"],
)
def test_a_column_with_too_little_in_it_has_no_behaviour(values):
    found = shape_of(values)
    assert found is None or np.isfinite([found.low, found.high, found.jump]).all()
    cleaned = clean_temperature(np.arange(60.0), values)
    assert (cleaned.dropouts, cleaned.jumps, cleaned.stuck) == (0, 0, 0)
    assert never_changes(values) == (bool(np.isfinite(values).any()) and len(set(values[np.isfinite(values)])) == 1)


def test_a_column_called_like_a_die_that_jumps_with_the_load_is_its_power(mild):
    trace = simulate(mild, room_c=24, seed=13)
    columns = [trace.channels[Role.CPU_POWER], trace.channels[Role.CPU_TEMPERATURE]]
    guesses = (ChannelGuess("core", Role.CPU_TEMPERATURE, "", 0.4), ChannelGuess("b", None, "", 0.0))
    found = by_behaviour(trace.time_s, range(2), lambda i: columns[i], guesses)
    assert [g.role for g in found] == [Role.CPU_POWER, Role.CPU_TEMPERATURE]
    steady = [np.full(len(trace.time_s), 40.0), np.full(len(trace.time_s), 41.0)]
    assert [g.role for g in by_behaviour(trace.time_s, range(2), lambda i: steady[i], (guesses[1], guesses[1]))] == [
        None,
        None,
    ]


def activity(trace, watts):
    return with_only(trace, cpu_power=watts, cpu_temperature=40.0 + 0.5 * watts)


def test_a_burst_before_and_after_the_load_is_no_part_of_it(whole):
    watts = np.full(len(whole.time_s), 5.0)
    for from_s, to_s in ((20, 24), (100, 500), (560, 566)):
        watts[from_s:to_s] = 60.0
    load = find_load(activity(whole, watts))
    assert (load.onset_s, load.end_s) == (pytest.approx(100, abs=2), pytest.approx(499, abs=2))


def test_a_chip_logged_alone_has_the_total_as_its_power_and_none_without(whole):
    die = whole.channels[Role.CPU_TEMPERATURE]
    total = with_only(whole, cpu_temperature=die, total_power=whole.channels[Role.CPU_POWER])
    late = whole.time_s > 300
    by_hand = (die[late] - 24).mean() / whole.channels[Role.CPU_POWER][late].mean()
    found = chip_resistances(total, find_phases(total), 24.0, late)
    assert found.cpu == pytest.approx(float(by_hand), rel=0.02)
    unknown = with_only(whole, cpu_temperature=die)
    nothing = chip_resistances(unknown, find_phases(unknown), 24.0, late)
    assert (nothing.cpu, nothing.gpu) == (None, None)


@pytest.mark.parametrize(("from_s", "to_s"), [(100.0, 105.0), (-5.0, 100.0), (100.0, 5000.0), (float("nan"), 200.0)])
def test_a_window_that_is_none_is_refused_with_what_is_allowed(from_s, to_s, whole):
    with refuses(OutOfRange) as found:
        read_trace(whole, 24, chosen=(from_s, to_s))
    assert found.value.field == "window"


def test_a_room_at_the_limit_says_nothing_of_watts(whole):
    said = " ".join(sentence(words) for words in findings(read_trace(whole, 24), 24, limit_c=25.0))
    assert "can hold" not in said
