"""Runs at one fan speed: the fan hides what an interface has lost, and the fan laws bring it back."""

import pytest

from vividowl.core.heat.air import FAN_RESISTANCE_EXPONENT
from vividowl.core.reading.measured import BEHIND_INTERFACE_SHARE, Measured, at_speed_of

OF = Measured(value=0.80, scatter=0.01)


def at(rpm, other=0.80, other_rpm=3000.0):
    return at_speed_of(OF, rpm, other, other_rpm)


def test_a_faster_fan_is_taken_out_and_costs_certainty():
    found = at(3600.0)
    # What lies behind the interface goes with the fan speed to the power of one half (forced convection, textbook).
    behind = BEHIND_INTERFACE_SHARE * 0.80
    assert found.value == pytest.approx(0.80 + behind * (1.2**FAN_RESISTANCE_EXPONENT - 1.0))
    assert found.value > 0.80
    assert found.moving > 0.01
    assert at(3000.0) == OF
    assert at(2500.0).value < 0.80


def test_what_one_run_has_more_is_in_its_interface_and_no_fan_reaches_it():
    behind = BEHIND_INTERFACE_SHARE * 0.50
    assert at(3600.0, other=0.50).value == pytest.approx(0.80 + behind * (1.2**FAN_RESISTANCE_EXPONENT - 1.0))


def test_an_unlogged_fan_changes_nothing_and_one_far_off_cannot_be_brought_together():
    assert at(None) == at(3000.0, other_rpm=None) == OF
    assert at(4600.0) is None
    assert at(1900.0) is None
