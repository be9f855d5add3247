"""Every temperature by itself: what memory, hot spot and surface do beside the die."""

from dataclasses import replace

import numpy as np
import pytest

from vividowl.core.reading.findings import findings
from vividowl.core.reading.limits import sensors_in
from vividowl.core.reading.reading import read_trace
from vividowl.core.simulate.device import Device, simulate
from vividowl.core.trace.roles import Role
from vividowl.core.trace.trace import Trace
from vividowl.core.verdict.comparison import compare
from vividowl.core.verdict.conditions import Conditions
from vividowl.core.verdict.parts import Shown, Side
from vividowl.core.verdict.verdicts import Verdict
from vividowl.words import sentence, sentences

SAME = Conditions(
    load="even load", fan="automatic", power_profile="performance", placement="stand", start="cold", die_column="Die"
)
DEVICE = Device(limit_c=100, sustained_power=45, boost_power=60, interface=0.4, memory_pad=5.0, hot_spot=0.2)


def side(device, seed, room_c=24.0, drop=()):
    trace = simulate(device, room_c=room_c, seed=seed)
    trace = Trace(trace.time_s, {r: v for r, v in trace.channels.items() if r not in drop})
    return Side(conditions=replace(SAME, room_c=room_c), reading=read_trace(trace, room_c))


def by_role(found):
    return {s.role: s for s in found.sensors}


def test_better_paste_and_the_same_old_pads_are_two_answers():
    found = compare(side(DEVICE, 1), side(replace(DEVICE, interface=0.1), 2))
    assert found.verdict is Verdict.IMPROVED
    sensors = by_role(found)
    assert found.sensors[0].role is Role.CPU_TEMPERATURE
    assert sensors[Role.CPU_TEMPERATURE].shown is Shown.BETTER
    # Nothing under the memory was changed: it sits on the heatsink, which carries the same watts.
    assert sensors[Role.MEMORY_TEMPERATURE].shown is Shown.NOT_SHOWN
    # 0.3 K/W at 45 W, and the hot spot sits behind the same interface (series resistances, textbook).
    for role in (Role.CPU_TEMPERATURE, Role.GPU_HOTSPOT):
        assert sensors[role].difference_k == pytest.approx(-13.5, abs=sensors[role].u95_k)


def test_the_die_has_one_figure_wherever_it_stands():
    found = compare(side(DEVICE, 1), side(replace(DEVICE, interface=0.1), 2))
    die, main = found.sensors[0], found.effect("resistance_same_fan")
    assert die.difference_k == pytest.approx(main.difference * found.effect("power").before)
    assert f"{abs(die.difference_k):.0f} K less at" in sentence(found.headline)


def test_memory_above_its_limit_is_told_though_the_die_got_better():
    hot = replace(DEVICE, memory_pad=7.0)
    found = compare(side(hot, 1), side(replace(hot, interface=0.1), 2), sensor_limits_c={Role.MEMORY_TEMPERATURE: 95.0})
    assert found.verdict is Verdict.IMPROVED
    over = by_role(found)[Role.MEMORY_TEMPERATURE].over_limit_k
    assert sentence(found.headline).startswith("Improved: processor ")
    assert sentence(found.headline).endswith(f"; memory still {over:.0f} K over its limit")
    assert any("95 °C is the limit noted for it" in r for r in sentences(found.reasons))


def test_a_pad_forgotten_is_worse_although_the_die_is_cooler():
    found = compare(side(DEVICE, 1), side(replace(DEVICE, interface=0.1, memory_pad=9.0), 2))
    assert found.verdict is Verdict.WORSE
    assert sentence(found.headline).startswith("Worse: memory 3")
    assert "over its limit; processor 1" in sentence(found.headline)
    assert any("105 °C is what is usual: note the maker's limit" in r for r in sentences(found.reasons))


def test_new_pads_alone_are_an_improvement_of_the_memory():
    found = compare(side(DEVICE, 1), side(replace(DEVICE, memory_pad=2.5), 2))
    assert found.verdict is Verdict.IMPROVED
    assert sentence(found.headline).startswith("Improved: memory ")
    # 2.5 K/W less under 8 W.
    memory = by_role(found)[Role.MEMORY_TEMPERATURE]
    assert memory.difference_k == pytest.approx(-20.0, abs=memory.u95_k)


def test_the_same_device_in_another_room_shows_nothing_on_any_sensor():
    found = compare(side(DEVICE, 3), side(DEVICE, 4, room_c=28.0))
    assert {s.shown for s in found.sensors} <= {Shown.NOT_SHOWN}
    assert found.verdict is Verdict.NO_DIFFERENCE_SHOWN


def test_a_warmer_exhaust_is_neither_better_nor_worse():
    slow = replace(DEVICE, fan_full_rpm=4400.0, flow_full=0.0025)
    exhaust = by_role(compare(side(DEVICE, 1), side(slow, 2)))[Role.EXHAUST_TEMPERATURE]
    assert exhaust.difference_k > exhaust.u95_k
    assert exhaust.shown is Shown.CHANGED


def test_a_sensor_in_one_log_only_is_not_judged():
    found = compare(side(DEVICE, 1), side(DEVICE, 2, drop=(Role.MEMORY_TEMPERATURE,)))
    assert Role.MEMORY_TEMPERATURE not in by_role(found)


def test_one_run_tells_what_stands_above_its_limit():
    reading = side(replace(DEVICE, memory_pad=9.0), 1).reading
    ends = {s.role: s for s in sensors_in(reading, {Role.CPU_TEMPERATURE: 100.0})}
    assert ends[Role.CPU_TEMPERATURE].limit_noted
    assert ends[Role.CPU_TEMPERATURE].over_limit_k is None
    memory = ends[Role.MEMORY_TEMPERATURE]
    assert (memory.limit_c, memory.limit_noted) == (105.0, False)
    assert memory.over_limit_k == pytest.approx(memory.end_c - 105.0)


def test_the_spread_of_the_cores_is_read():
    trace = simulate(DEVICE, room_c=24.0, seed=1)
    spread = np.full(len(trace.time_s), 11.0)
    reading = read_trace(Trace(trace.time_s, trace.channels, spread), 24.0)
    assert reading.core_spread.mean == pytest.approx(11.0)


def test_a_sensor_that_hangs_is_left_out_and_that_is_said():
    hung = side(DEVICE, 1)
    trace = simulate(DEVICE, room_c=24.0, seed=1)
    stuck = {**trace.channels, Role.MEMORY_TEMPERATURE: np.full(len(trace.time_s), 118.0)}
    reading = read_trace(Trace(trace.time_s, stuck), 24.0)
    assert any("left out: memory" in s for s in sentences(findings(reading, 24.0)))
    found = compare(replace(hung, reading=reading), side(replace(DEVICE, interface=0.1), 2))
    assert Role.MEMORY_TEMPERATURE not in by_role(found)
    assert "memory" not in sentence(found.headline)


def test_what_got_worse_below_its_limit_follows_the_gain():
    looser = replace(DEVICE, interface=0.1, memory_pad=6.5)
    limits = {Role.MEMORY_TEMPERATURE: 130.0}
    found = compare(side(DEVICE, 1), side(looser, 2), sensor_limits_c=limits)
    assert found.verdict is Verdict.IMPROVED
    memory = by_role(found)[Role.MEMORY_TEMPERATURE]
    assert sentence(found.headline).endswith(f"; memory {memory.difference_k:.0f} K more")
