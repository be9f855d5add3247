"""What the core says: refusals that name value, unit, limit and remedy, and findings in words."""

import math
from dataclasses import replace

import pytest
from hypothesis import given
from hypothesis import strategies as st
from tests.said import refuses, said_by

from vividowl.core.quantities.errors import CoreError, OutOfRange, figure, require_range
from vividowl.core.reading.findings import findings
from vividowl.core.reading.reading import read_trace
from vividowl.core.simulate.device import Device, simulate
from vividowl.core.trace.roles import Role
from vividowl.core.trace.trace import Trace
from vividowl.core.verdict.conditions import Bearing, Conditions, judge_conditions
from vividowl.words import sentence, sentences


@pytest.mark.parametrize(
    ("value", "words"), [(240.0, "240"), (-10.0, "−10"), (0.25, "0.25"), (1e6, "1e+06"), (24.50, "24.5")]
)
def test_numbers_in_messages_are_plain(value, words):
    assert figure(value) == words


def test_a_refusal_names_value_unit_limits_field_and_remedy():
    with pytest.raises(OutOfRange) as caught:
        require_range("duration_min", 2000, "min", (0.5, 1440), hint="Type minutes.")
    assert said_by(caught.value) == "Duration is 2000 min, allowed are 0.5 to 1440 min."
    assert (caught.value.field, caught.value.remedy) == ("duration_min", "Type minutes.")


def test_one_sided_limits_are_said_as_such():
    with refuses(OutOfRange, match=r"allowed is 0 W or more"):
        require_range("power", -1, "W", (0, math.inf))


@given(st.floats(allow_nan=True, allow_infinity=True))
def test_property_a_value_comes_back_unchanged_or_not_at_all(value):
    inside = math.isfinite(value) and -5 <= value <= 5
    try:
        found = require_range("value", value, "K", (-5, 5))
    except CoreError:
        found = None
    assert found == (value if inside else None)


FULL = Conditions(
    load="loop",
    fan="auto",
    power_profile="fast",
    placement="stand",
    start="cold",
    firmware="1",
    tuning="none",
    sensor="die",
    room_c=24.0,
    duration_min=15.0,
)
FORBID = {"load", "fan", "power_profile", "placement", "sensor"}


@pytest.mark.parametrize("name", ["load", "fan", "power_profile", "placement", "sensor", "start", "firmware", "tuning"])
def test_one_differing_condition_bears_alone(name):
    found = judge_conditions(FULL, replace(FULL, **{name: "warm" if name == "start" else "other"}), True)
    odd = [c for c in found if c.bearing is not Bearing.SAME]
    assert [c.condition for c in odd] == [name]
    assert (odd[0].bearing is Bearing.FORBIDS) == (name in FORBID)
    assert sentence(odd[0].text).endswith(".")


@pytest.mark.parametrize("side", ["before", "after"])
def test_a_condition_known_on_one_side_only_is_unknown(side):
    pair = (replace(FULL, fan=None), FULL) if side == "before" else (FULL, replace(FULL, fan=""))
    (fan,) = [c for c in judge_conditions(*pair, True) if c.condition == "fan"]
    assert fan.bearing is Bearing.UNKNOWN
    assert sentence(fan.text) == f"Not noted {side}; taken as the same."


def test_findings_of_a_sick_device_name_its_interface(chalk):
    told = findings(read_trace(simulate(chalk, room_c=24, seed=1), 24, 95.0), 24)
    assert sentence(told[0]).startswith("Load starts at 0:30, boost ends at 0:5")
    assert " W, 70.9 K over the room, 1.58 ± 0.0" in sentence(told[1])
    assert sentence(told[2]).startswith("Throttled at 95 °C 9")
    assert "giving up 25 W" in sentence(told[2])
    assert any("the interface is poor; heatsink and fins are" in text for text in sentences(told))


def test_findings_of_a_healthy_device_do_not_blame_the_interface(cured):
    told = findings(read_trace(simulate(cured, room_c=24, seed=1), 24, 95.0), 24)
    assert sentence(told[2]) == "Throttled 0 % of the time."
    assert not any("the interface is poor" in text for text in sentences(told))


def test_without_a_room_no_rise_is_said(cured):
    told = findings(read_trace(simulate(cured, room_c=24, seed=1), None), None)
    assert "over the room" not in sentence(told[1])
    assert "The room temperature is not noted." in sentences(told)


def test_graphics_are_called_graphics(cured):
    trace = simulate(cured, room_c=24, seed=1)
    swap = {Role.CPU_TEMPERATURE: Role.GPU_TEMPERATURE, Role.CPU_POWER: Role.GPU_POWER, Role.CPU_CLOCK: Role.GPU_CLOCK}
    moved = Trace(trace.time_s, {swap.get(r, r): v for r, v in trace.channels.items()})
    reading = read_trace(moved, 24)
    assert reading.die_role is Role.GPU_TEMPERATURE
    assert reading.clock is not None
    assert sentence(findings(reading, 24)[1]).startswith("Graphics temperature")


def test_the_sum_of_both_chips_is_the_power_of_the_cooler(cured):
    trace = simulate(cured, room_c=24, seed=1)
    both = Trace(trace.time_s, {**trace.channels, Role.GPU_POWER: trace.channels[Role.CPU_POWER] / 2})
    assert read_trace(both, 24).power.mean == pytest.approx(1.5 * read_trace(trace, 24).power.mean, rel=1e-6)


@pytest.mark.parametrize(
    "worse", [{"interface": 0.6}, {"sink": 0.9}, {"chassis": 0.4}, {"sustained_power": 50.0}, {"fan_high_c": 120.0}]
)
def test_whatever_is_worse_makes_the_simulated_die_hotter(worse):
    device = Device(interface=0.3, sink=0.5, chassis=0.1, sustained_power=40, boost_power=45, limit_c=140)
    usual, sick = (read_trace(simulate(d, room_c=24, seed=3), 24) for d in (device, replace(device, **worse)))
    assert sick.die.mean > usual.die.mean + 1


def test_a_simulated_device_sends_out_what_it_takes_in():
    # First law: at steady state the exhaust carries the power; flow is proportional to fan speed.
    from vividowl.core.heat.air import HEAT_CAPACITY_AIR, air_density

    device = Device(sustained_power=40, boost_power=45)
    reading = read_trace(simulate(device, room_c=24, seed=4, load_s=1800), 24)
    flow = device.flow_full * reading.stats[Role.FAN_SPEED].mean / device.fan_full_rpm
    rise = reading.stats[Role.EXHAUST_TEMPERATURE].mean - 24
    assert rise * flow * air_density(24) * HEAT_CAPACITY_AIR == pytest.approx(reading.power.mean, rel=0.02)
