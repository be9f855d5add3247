"""Levels: energy, background, distance."""

import math

import pytest
from hypothesis import given
from hypothesis import strategies as st
from tests.said import refuses

from vividowl.core.quantities.errors import CoreError, NotEnoughData, OutOfRange
from vividowl.core.sound.levels import (
    LevelReading,
    at_distance,
    background_correction,
    energy_mean,
    energy_sum,
    noise_figure,
)

levels = st.floats(20, 120)


def test_published_mean_and_sum():
    # handbook/noise.md: the mean of 60 and 50 dB is 57.4; two equal fans add 3.0 dB.
    assert energy_mean([60, 50]) == pytest.approx(57.4, abs=0.05)
    assert energy_sum([45, 45]) == pytest.approx(48.0, abs=0.05)


@pytest.mark.parametrize(("margin", "k1"), [(15, 0.0), (10, 0.46), (9, 0.58), (8, 0.75), (7, 0.97), (6, 1.26)])
def test_published_background_table(margin, k1):
    # ISO 3744, correction for background noise; from memory, to the rounding of its formula.
    found = background_correction(50, 50 - margin)
    assert found.correction_db == pytest.approx(k1, abs=0.005)
    assert not found.upper_bound


def test_published_below_six_decibels_only_the_six_decibel_correction_is_allowed():
    # ISO 3744 grade 2: 3.02 dB would be the formula's value at a margin of 3 dB; the standard stops at 1.3 dB.
    found = background_correction(50, 47)
    assert found.correction_db == pytest.approx(1.26, abs=0.005)
    assert found.upper_bound
    assert pytest.approx(3.02, abs=0.005) == -10 * math.log10(1 - 10**-0.3)


def test_a_background_louder_than_the_device_is_refused():
    with refuses(CoreError, match="louder than the reading of 45 dB"):
        background_correction(45, 52)


@pytest.mark.parametrize("level", [-3, 141, float("inf"), float("nan")])
def test_impossible_levels_are_refused(level):
    with refuses(OutOfRange, match="allowed are 0 to 140 dB"):
        energy_mean([level])


def test_nothing_to_average():
    with refuses(NotEnoughData, match="No noise reading"):
        energy_mean([])


@given(st.lists(levels, min_size=1, max_size=8))
def test_property_mean_lies_between_and_sum_above(values):
    assert min(values) - 1e-9 <= energy_mean(values) <= max(values) + 1e-9
    assert energy_sum(values) >= max(values) - 1e-9


@given(levels, st.floats(0.1, 5), st.floats(0.1, 5))
def test_property_distance_there_and_back(level, near, far):
    there = at_distance(level, near, far)
    if 0 <= there <= 140:
        assert at_distance(there, far, near) == pytest.approx(level, abs=1e-9)


def test_published_distance():
    # Inverse square law: twice as far away is 6.02 dB less.
    assert at_distance(50, 0.5, 1.0) == pytest.approx(43.98, abs=0.01)


def test_a_figure_takes_the_place_where_most_was_read():
    readings = [
        LevelReading(53.0, 31.0, "Vent", 0.3),
        LevelReading(53.4, 31.0, "vent", 0.3),
        LevelReading(70.0, None, "keyboard", 0.1),
    ]
    found = noise_figure(readings)
    assert found is not None
    assert (found.readings, found.distance_m, found.upper_bound) == (2, 0.3, False)
    assert found.level_db == pytest.approx(53.2, abs=0.05)


def test_no_reading_is_not_known_and_never_zero():
    assert noise_figure([]) is None
