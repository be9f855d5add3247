"""Noise at matched temperature and back: hand-made fans whose answer is arithmetic."""

import math

import numpy as np
import pytest
from tests.said import refuses

from vividowl.core.quantities.errors import NotEnoughData
from vividowl.core.runs.groups import Group, Method, difference_of_means
from vividowl.core.runs.matched import Point, common_value, matched_at


def course(offset, speeds=(0.5, 0.7, 1.0), u=0.2):
    """Rise and noise of one cooler at several fan speeds: 50 dB a decade of speed, as the fan laws have it."""
    return [Point(60.0 / s**0.6 + offset, 50.0 + 50.0 * math.log10(s), u, u) for s in speeds]


def test_it_is_read_on_the_line_between_two_runs():
    points = [Point(40.0, 50.0, 0.0, 0.3), Point(60.0, 44.0, 0.0, 0.4)]
    found = matched_at(points, 50.0)
    assert found.value == pytest.approx(47.0)
    # Half of each: JCGM 100, 5.1.2 by hand.
    assert found.u == pytest.approx(math.hypot(0.15, 0.2))
    assert matched_at(points, 40.0).value == pytest.approx(50.0)


def test_an_uncertain_held_value_counts_by_the_slope():
    points = [Point(40.0, 50.0, 1.0, 0.0), Point(60.0, 44.0, 1.0, 0.0)]
    assert matched_at(points, 50.0).u == pytest.approx(0.3 * math.hypot(0.5, 0.5))


def test_nothing_is_read_outside_of_the_own_runs():
    points = course(0.0)
    assert matched_at(points, max(p.x for p in points) + 0.1) is None
    assert matched_at(points[:1], points[0].x) is None


def test_a_better_interface_is_quieter_at_the_same_temperature_by_what_the_fan_laws_give():
    # 6 K less at the same fan: at the same rise its fan turns slower, and the level falls by 50 lg of the ratio.
    speeds = tuple(np.linspace(0.5, 1.0, 40))
    worse, better = course(0.0, speeds), course(-6.0, speeds)
    held = common_value([worse, better])
    fallen = matched_at(better, held).value - matched_at(worse, held).value
    expected = 50.0 * math.log10(((held / 60.0) ** (-1 / 0.6)) ** -1 * ((held + 6.0) / 60.0) ** (-1 / 0.6))
    assert fallen == pytest.approx(expected, abs=0.05)
    assert fallen < -2.0


def test_groups_that_do_not_meet_or_were_run_at_one_setting_say_so():
    with refuses(NotEnoughData, match="two fan settings"):
        common_value([course(0.0), course(0.0)[:1]])
    with refuses(NotEnoughData, match="do not meet"):
        common_value([course(0.0), course(-80.0)])


def test_the_difference_of_two_groups_is_welchs():
    from scipy.stats import ttest_ind

    wide, narrow = Group("wide", (70.0, 78.0, 64.0, 75.0, 69.0)), Group("narrow", (61.0, 61.5, 60.8, 61.2))
    found = difference_of_means(wide, narrow)
    told = ttest_ind(narrow.values, wide.values, equal_var=False)
    assert found.method is Method.WELCH
    assert found.value == pytest.approx(narrow.mean - wide.mean)
    low, high = told.confidence_interval(0.95)
    assert found.u95 == pytest.approx((high - low) / 2, rel=0.02)
    assert found.shown is bool(told.pvalue < 0.05)
    alone = difference_of_means(Group("a", (1.0,)), Group("b", (2.0,)))
    assert (alone.u95, alone.shown) == (None, False)


def test_it_is_held_where_the_most_groups_were_run():
    # Three of four meet between 46 and 50; the fourth lies apart and is left out.
    spans = [(40.0, 50.0), (45.0, 55.0), (46.0, 60.0), (70.0, 80.0)]
    groups = [[Point(low, 50.0, 0, 0.2), Point(high, 40.0, 0, 0.2)] for low, high in spans]
    assert common_value(groups) == pytest.approx(48.0)
    assert matched_at(groups[3], 48.0) is None
