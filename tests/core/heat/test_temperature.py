"""Temperature arithmetic against the handbook's worked examples (common practice, no source) and definitions."""

import pytest
from hypothesis import given
from hypothesis import strategies as st
from tests.said import refuses

from vividowl.core.heat.temperature import at_reference_room, rise_over_room, sustained_capacity, thermal_resistance
from vividowl.core.quantities.change import duration_change, relative_change
from vividowl.core.quantities.errors import CoreError, OutOfRange
from vividowl.core.quantities.units import c_from_f, k_from_f_difference, require_room_c
from vividowl.words import sentence

rooms = st.floats(-10, 60)
readings = st.floats(-40, 150)


@pytest.mark.parametrize(("f", "c"), [(114, 45.6), (140, 60.0), (32, 0.0), (-40, -40.0)])
def test_published_a_reading_converts_with_the_offset(f, c):
    # handbook/temperature.md for the first two; the last two are fixed points of the scale's definition.
    assert c_from_f(f) == pytest.approx(c, abs=0.05)


def test_published_a_difference_converts_without_the_offset():
    # handbook/temperature.md: a gain of 26 degF is 14.4 K.
    assert k_from_f_difference(26) == pytest.approx(14.4, abs=0.05)


def test_published_rise_over_room_instead_of_percent_of_celsius():
    # handbook/temperature.md: 95 to 70 degC in a 25 degC room is 70 to 45 K, 36 % less.
    before, after = rise_over_room(95, 25), rise_over_room(70, 25)
    assert (before, after) == (70, 45)
    assert relative_change(before, after, "K").change_percent == pytest.approx(-36, abs=0.5)


@pytest.mark.parametrize("unit", ["C", "°C", "degC", "F", "°f"])
def test_a_percentage_of_degrees_is_refused_and_explained(unit):
    with refuses(CoreError, match="no meaning") as caught:
        relative_change(95, 70, unit)
    assert "rise over room" in sentence(caught.value.remedy)


@pytest.mark.parametrize(
    ("before", "after", "percent"),
    [(10748, 11116, 3.42), (1330, 1356, 1.95), (1219, 1600, 31.3), (4747, 4860, 2.38)],
)
def test_published_score_arithmetic(before, after, percent):
    # handbook/temperature.md, worked examples.
    assert relative_change(before, after, "points").change_percent == pytest.approx(percent, abs=0.05)


def test_published_duration_arithmetic():
    # handbook/temperature.md: 19:21 to 17:22 is 119 s, 10.2 % less time, 11.4 % more throughput; 51:07 to 50:16 is 51
    # s.
    first = duration_change(19 * 60 + 21, 17 * 60 + 22)
    assert first.saved_s == 119
    assert first.less_time_percent == pytest.approx(10.2, abs=0.05)
    assert first.more_throughput_percent == pytest.approx(11.4, abs=0.05)
    second = duration_change(51 * 60 + 7, 50 * 60 + 16)
    assert (second.saved_s, round(second.less_time_percent, 2)) == (51, 1.66)


@pytest.mark.parametrize("value", [0, -5])
def test_a_duration_must_be_positive(value):
    with refuses(OutOfRange, match="must be above 0 s"):
        duration_change(100, value)


def test_a_share_of_nothing_is_not_defined():
    with refuses(OutOfRange, match="share of nothing"):
        relative_change(0, 5, "W")


@given(readings, rooms, rooms)
def test_property_rise_survives_another_room(reading, room, other):
    moved = at_reference_room(reading, room, other)
    assert rise_over_room(moved, other) == pytest.approx(rise_over_room(reading, room), abs=1e-9)


@given(st.floats(0.1, 120), st.floats(1, 400), rooms)
def test_property_capacity_and_resistance_are_inverse(rise, power, room):
    resistance = thermal_resistance(rise, power)
    limit = room + rise
    if room + 1 <= limit <= 150:
        assert sustained_capacity(limit, resistance, room) == pytest.approx(power, rel=1e-9)


def test_sustained_capacity_by_hand():
    # (95 - 25) / 1.4 = 50 W, by hand.
    assert sustained_capacity(95, 1.4) == pytest.approx(50)


@pytest.mark.parametrize("power", [0, -3, float("nan")])
def test_no_power_no_resistance(power):
    with refuses(OutOfRange, match="needs power above 0 W") as caught:
        thermal_resistance(40, power)
    assert caught.value.field == "power"


def test_a_room_of_240_degrees_is_refused_with_a_guess_at_the_slip():
    with refuses(OutOfRange, match=r"Room temperature is 240 °C, allowed are −10 to 60 °C") as caught:
        require_room_c(240.0)
    assert "Was it 24.0?" in sentence(caught.value.remedy)
    assert caught.value.field == "room_c"


def test_not_a_number_is_no_room():
    with refuses(OutOfRange, match="not a number"):
        require_room_c(float("nan"))


def test_no_resistance_holds_no_watts():
    with refuses(OutOfRange, "Thermal resistance"):
        sustained_capacity(95.0, 0.0)
