"""Combination of uncertainties against JCGM 100 and the uncertainties library."""

import math
from dataclasses import replace

import numpy as np
import pytest
from tests.said import refuses
from uncertainties import ufloat

from vividowl.core.quantities.errors import CoreError, NotEnoughData, OutOfRange
from vividowl.core.quantities.uncertainty import (
    Tolerances,
    checked_tolerances,
    combined,
    coverage_factor,
    effective_degrees_of_freedom,
    effective_sample_size,
    standard_error,
    standard_from_half_width,
)
from vividowl.core.reading.measured import TO_COME_DIFFERS, TO_COME_WIDTH
from vividowl.core.reading.reading import read_trace
from vividowl.core.simulate.device import Device, simulate
from vividowl.core.verdict.comparison import compare
from vividowl.core.verdict.conditions import Conditions
from vividowl.core.verdict.parts import Side


@pytest.mark.parametrize(("freedom", "factor"), [(1, 12.71), (2, 4.30), (4, 2.78), (10, 2.23), (50, 2.01)])
def test_published_coverage_factors(freedom, factor):
    # JCGM 100:2008, table G.2, 95 %.
    assert coverage_factor(freedom) == pytest.approx(factor, abs=0.005)


def test_published_end_gauge_example():
    # JCGM 100:2008, H.1.5 and H.1.6, from memory: 25, 9.7, 2.9 and 16.6 nm combine to 32 nm; 16 degrees of freedom.
    parts = [(25.0, 18), (9.7, 25.6), (2.9, 50), (16.6, 2)]
    assert combined(*(u for u, _ in parts)) == pytest.approx(32, abs=0.5)
    assert math.floor(effective_degrees_of_freedom(parts)) == 16


def test_published_rectangle():
    # JCGM 100:2008, 4.3.7: a half-width a gives a / sqrt(3).
    assert standard_from_half_width(1.0) == pytest.approx(1 / math.sqrt(3))


def test_published_uncertainty_of_a_resistance_against_the_uncertainties_library():
    # The library propagates linearly through rise / power; parts as documented in Tolerances (rectangles).
    reading = read_trace(simulate(Device(sustained_power=40, boost_power=45), room_c=24, seed=1), 24)
    side = Side(conditions=Conditions(room_c=24.0), reading=reading)
    tol, root3 = Tolerances(), math.sqrt(3)
    to_come = abs(reading.window.remaining_rise_k)
    parts = (
        tol.run_to_run_k / root3,
        tol.die_sensor_k / root3,
        tol.room_k / root3,
        reading.felt.left_k,
        TO_COME_WIDTH * to_come,
        TO_COME_DIFFERS * to_come / root3,
        reading.window.uncertainty_k / 2,
    )
    rise = ufloat(reading.die.mean - 24, math.hypot(*parts))
    power = ufloat(reading.felt.watts, math.hypot(tol.power_share * reading.power.mean / root3, reading.felt.memory_u))
    reference = rise / power
    effect = compare(side, side).effect("resistance")
    assert effect.before == pytest.approx(reference.nominal_value, rel=1e-12)
    # The tolerance of the watts is a share of their mean, felt watts differ from that by a trifle.
    assert effect.before_u95 == pytest.approx(2 * reference.std_dev, rel=1e-3)


def test_unlimited_degrees_of_freedom():
    assert effective_degrees_of_freedom([(1.0, math.inf), (2.0, math.inf)]) == math.inf


def test_negative_uncertainty_is_refused():
    with refuses(OutOfRange, match="allowed is 0"):
        combined(1.0, -0.1)


def test_white_noise_counts_in_full_and_correlated_noise_does_not():
    rng = np.random.default_rng(11)
    white = rng.normal(size=4000)
    slow = np.empty(4000)
    slow[0] = 0.0
    for i in range(1, 4000):
        slow[i] = 0.9 * slow[i - 1] + white[i]
    assert effective_sample_size(white) > 2500
    # First-order autoregression: n (1 - phi) / (1 + phi) = 4000 / 19; textbook result.
    assert effective_sample_size(slow) == pytest.approx(4000 / 19, rel=0.4)
    assert standard_error(slow) > 3 * np.std(slow) / math.sqrt(4000)


def test_a_constant_has_no_spread():
    assert standard_error(np.full(50, 42.0)) == 0.0


def test_one_sample_has_no_spread():
    with refuses(NotEnoughData, match="two samples"):
        effective_sample_size(np.array([1.0]))


def test_a_shops_own_half_widths_go_over_the_usual_ones_and_nothing_else_does():
    assert checked_tolerances({"room_k": 0.2}) == replace(Tolerances(), room_k=0.2)
    with refuses(CoreError, "room_k") as found:
        checked_tolerances({"rooms": 0.2})
    assert found.value.field == "tolerance"
    for value in (-0.1, 1e6, math.nan):
        with refuses(OutOfRange, "allowed"):
            checked_tolerances({"room_k": value})


def test_no_contributions_have_no_freedom():
    with refuses(NotEnoughData, "No uncertainty to combine"):
        effective_degrees_of_freedom([])
