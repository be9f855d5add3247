"""Visits at one fan speed: the fan hides what an interface has lost, and the fan laws bring it back."""

import pytest

from vividowl.core.heat.air import FAN_RESISTANCE_EXPONENT
from vividowl.core.reading.measured import BEHIND_INTERFACE_SHARE
from vividowl.service.devices.one_speed import at_speed_of


def test_a_faster_fan_is_taken_out_and_costs_certainty():
    value, u = at_speed_of(0.80, 0.01, 3600.0, 3000.0)
    # What lies behind the interface goes with the fan speed to the power of one half (forced convection, textbook).
    behind = BEHIND_INTERFACE_SHARE * 0.80
    assert value == pytest.approx(0.80 + behind * (1.2**FAN_RESISTANCE_EXPONENT - 1.0))
    assert value > 0.80
    assert u > 0.01
    assert at_speed_of(0.80, 0.01, 3000.0, 3000.0) == pytest.approx((0.80, 0.01))
    assert at_speed_of(0.80, 0.01, 2500.0, 3000.0)[0] < 0.80


def test_an_unlogged_fan_changes_nothing_and_one_far_off_cannot_be_brought_together():
    assert at_speed_of(0.80, 0.01, None, 3000.0) == (0.80, 0.01)
    assert at_speed_of(0.80, 0.01, 3000.0, None) == (0.80, 0.01)
    assert at_speed_of(0.80, 0.01, 4600.0, 3000.0) is None
    assert at_speed_of(0.80, 0.01, 1900.0, 3000.0) is None
