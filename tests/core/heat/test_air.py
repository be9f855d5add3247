"""Air balance and fan laws."""

import fluids
import pytest
from hypothesis import given
from hypothesis import strategies as st
from tests.said import refuses

from vividowl.core.heat.air import (
    CFM_PER_M3_S,
    HEAT_CAPACITY_AIR,
    air_density,
    air_flow,
    fan_laws,
    judge_exhaust,
)
from vividowl.core.quantities.errors import OutOfRange
from vividowl.words import sentence


@pytest.mark.parametrize("air_c", [-20.0, 0.0, 25.0, 60.0, 100.0])
def test_published_density_against_a_reference_library(air_c):
    # fluids.ATMOSPHERE_1976.density: US Standard Atmosphere 1976, ideal gas; gas constants differ in the 4th digit.
    reference = fluids.ATMOSPHERE_1976.density(air_c + 273.15, 101325.0)
    assert air_density(air_c) == pytest.approx(reference, rel=3e-4)


def test_published_heat_carried_by_air():
    # handbook/curve.md: at 25 degC air carries 1.19 kJ/(m3 K); 100 W at 20 K need 4.2 L/s, 8.9 CFM.
    assert air_density(25) * HEAT_CAPACITY_AIR / 1000 == pytest.approx(1.19, abs=0.005)
    flow = air_flow(100, 20)
    assert flow * 1000 == pytest.approx(4.2, abs=0.05)
    assert flow * CFM_PER_M3_S == pytest.approx(8.9, abs=0.05)


@given(st.floats(1, 500), st.floats(1, 60), st.floats(0, 60))
def test_property_energy_balance_closes(power, rise, air_c):
    carried = air_flow(power, rise, air_c) * air_density(air_c) * HEAT_CAPACITY_AIR * rise
    assert carried == pytest.approx(power, rel=1e-9)


@pytest.mark.parametrize(("power", "rise"), [(0, 20), (-5, 20), (100, 0), (100, -2)])
def test_no_heat_or_no_rise_is_no_flow(power, rise):
    with refuses(OutOfRange, match="must be above 0"):
        air_flow(power, rise)


def test_published_fan_laws_of_both_worked_examples():
    # handbook/curve.md: 53.7 to 48.1 dB allows 1.29 times the rise; 60.2 to 42.6 dB is 0.44 of the speed, 2.25 times.
    assert fan_laws(48.1 - 53.7).exhaust_rise_ratio == pytest.approx(1.29, abs=0.005)
    second = fan_laws(42.6 - 60.2)
    assert second.speed_ratio == pytest.approx(0.44, abs=0.006)
    assert second.exhaust_rise_ratio == pytest.approx(2.25, abs=0.01)


@given(st.floats(-30, 30))
def test_property_louder_and_quieter_cancel(change):
    assert fan_laws(change).speed_ratio * fan_laws(-change).speed_ratio == pytest.approx(1)


def test_published_hot_exhaust_paradox_is_explained():
    # handbook/curve.md: exhaust 52 to 56 degC in a 30 degC room, 53.7 to 48.1 dB; 26/22 = 1.18.
    found = judge_exhaust(52, 30, after_c=56, after_room_c=30, level_change_db=48.1 - 53.7)
    assert found is not None
    assert found.explained
    assert found.measured_ratio == pytest.approx(1.18, abs=0.005)
    assert "no fault" in sentence(found.text)


def test_a_hotter_exhaust_that_the_fan_does_not_explain_is_a_warning():
    found = judge_exhaust(50, 25, after_c=60, after_room_c=25, level_change_db=-1.0)
    assert found is not None
    assert not found.explained
    assert "check power, seating and vents" in sentence(found.text)


def test_more_watts_explain_a_hotter_exhaust():
    found = judge_exhaust(50, 25, after_c=58, after_room_c=25, level_change_db=0.0, power_ratio=1.35)
    assert found is not None
    assert found.explained
    assert "1.35 times the watts" in sentence(found.text)
    assert "more watts leave in the same air" in sentence(found.text)


def test_a_logged_fan_explains_a_hotter_exhaust_without_any_noise():
    # Same watts in 80 % of the air: 25 K become 31.25 (first law; flow as the speed, fan laws).
    found = judge_exhaust(50, 25, after_c=56.2, after_room_c=25, level_change_db=None, fan_ratio=0.8)
    assert found.explained
    assert found.allowed_ratio == pytest.approx(1.25)
    assert "the fan at 80 % of its speed accounts for 1.25 times" in sentence(found.text)
    # A meter that heard it louder is not believed before the log.
    assert judge_exhaust(50, 25, after_c=56.2, after_room_c=25, level_change_db=3.0, fan_ratio=0.8).explained
    assert not judge_exhaust(50, 25, after_c=60, after_room_c=25, level_change_db=None, fan_ratio=1.0).explained
    unknown = judge_exhaust(50, 25, after_c=60, after_room_c=25, level_change_db=None)
    assert unknown.explained is None
    assert "Neither noise nor fan speed tells why" in sentence(unknown.text)


@pytest.mark.parametrize("after", [49.0, 50.0, 51.5])
def test_a_cooler_or_equal_exhaust_needs_no_word(after):
    assert judge_exhaust(50, 25, after_c=after, after_room_c=25, level_change_db=-6) is None
