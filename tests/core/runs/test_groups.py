"""Analysis of variance against NIST StRD, Welch against JCGM 100, and what runs without a scatter say."""

import math
import re
from pathlib import Path

import numpy as np
import pytest
import scipy
from tests.said import refuses

from vividowl.core.quantities.errors import NotEnoughData, OutOfRange
from vividowl.core.quantities.uncertainty import coverage_factor, effective_degrees_of_freedom
from vividowl.core.runs.groups import (
    Group,
    Method,
    difference_freedom,
    one_way,
    scatter_of,
    simultaneous_factor,
)

# NIST Statistical Reference Datasets, as the library SciPy ships them for its own tests.
STRD = Path(scipy.__file__).parent / "stats/tests/data/nist_anova"


def strd(name):
    """Groups of a data set with its certified lines: degrees of freedom, squares, mean squares and, between, F."""
    text = (STRD / f"{name}.dat").read_text(encoding="latin-1")
    lines = text.splitlines()
    groups = {}
    for line in lines[60:]:
        group, value = line.split()
        groups.setdefault(group, []).append(float(value))

    def certified(word):
        line = next(line for line in lines[40:60] if line.startswith(word))
        return [float(number) for number in re.findall(r"\d[\d.]*(?:E[+-]\d+)?", line)]

    return [Group(name, tuple(v)) for name, v in groups.items()], certified("Between"), certified("Within")


# The certified values have 15 digits. The higher a constant stands in front of the digits that differ, the fewer of
# them a double of 16 digits holds: SiRstv has 3 such digits, AtmWtAg and SmLs04 have 7, SmLs07 has 13.
@pytest.mark.parametrize(
    ("name", "digits"),
    [("SiRstv", 12.0), ("SmLs01", 13.0), ("AtmWtAg", 8.0), ("SmLs04", 8.0), ("SmLs07", 2.0)],
)
def test_published_analysis_of_variance(name, digits):
    groups, (between_freedom, between, _, f), (within_freedom, within, *_) = strd(name)
    found, close = one_way(groups), 10.0**-digits
    assert (found.between_freedom, found.within_freedom) == (between_freedom, within_freedom)
    assert found.between == pytest.approx(between, rel=close)
    assert found.within == pytest.approx(within, rel=close)
    assert found.f == pytest.approx(f, rel=close)
    assert found.residual == pytest.approx(math.sqrt(within / within_freedom), rel=close)
    assert found.explained == pytest.approx(between / (between + within), rel=close)


def test_published_welch_satterthwaite():
    # JCGM 100:2008, G.4.1: relative uncertainties of 0.25, 0.57 and 0.82 per cent from 10, 5 and 15 repeats: 19.0.
    freedom = effective_degrees_of_freedom([(0.25, 9), (0.57, 4), (0.82, 14)])
    assert freedom == pytest.approx(19.0, abs=0.05)
    assert coverage_factor(math.floor(freedom)) * 1.03 == pytest.approx(2.2, abs=0.05)


def test_published_difference_of_unequal_groups_is_welchs_test():
    wide, narrow = Group("wide", (70.0, 78.0, 64.0, 75.0, 69.0)), Group("narrow", (61.0, 61.5, 60.8, 61.2))
    scatter = scatter_of([wide, narrow])
    assert scatter.method is Method.WELCH
    from scipy.stats import ttest_ind

    told = ttest_ind(wide.values, narrow.values, equal_var=False)
    assert difference_freedom(scatter, [wide, narrow], 0, 1) == pytest.approx(told.df)
    u = math.hypot(scatter.u_of_mean([wide, narrow], 0), scatter.u_of_mean([wide, narrow], 1))
    assert (wide.mean - narrow.mean) / u == pytest.approx(told.statistic)


def test_published_factor_of_several_means():
    # Tukey's table, q(0.95; 4, 8) = 4.53 and q(0.95; 3, inf) = 3.31 (any textbook of statistics).
    assert simultaneous_factor(4, 8) * math.sqrt(2) == pytest.approx(4.53, abs=0.005)
    assert simultaneous_factor(3, math.inf) * math.sqrt(2) == pytest.approx(3.31, abs=0.005)
    assert simultaneous_factor(2, 10) == pytest.approx(2.228, abs=0.001)
    from scipy.stats import studentized_range

    assert simultaneous_factor(5, 7.26) >= studentized_range.ppf(0.95, 5, 7.26) / math.sqrt(2)


def test_what_is_stated_counts_until_the_runs_contradict_it():
    calm = [Group("a", (70.0, 70.4, 69.7), (0.5, 0.5, 0.5)), Group("b", (66.1, 65.6), (0.5, 0.5))]
    found = scatter_of(calm)
    assert found.method is Method.STATED
    assert found.u95_of_mean(calm, 0) == pytest.approx(2 * 0.5 / math.sqrt(3))
    wild = [Group("a", (70.0, 75.0, 66.0), (0.5, 0.5, 0.5)), Group("b", (66.1, 60.6), (0.5, 0.5))]
    wider = scatter_of(wild)
    # Birge 1932: all stated uncertainties grow by the root of chi^2 over its degrees of freedom.
    chi2 = (sum((v - 211 / 3) ** 2 for v in (70.0, 75.0, 66.0)) + 2 * 2.75**2) / 0.25
    assert (wider.method, wider.freedom) == (Method.STATED, (3.0, 3.0))
    assert wider.variance[0] == pytest.approx(0.25 * chi2 / 3)


def test_no_repeat_and_equal_repeats_say_nothing_of_the_scatter():
    for groups in ([Group("a", (70.0,)), Group("b", (66.0,))], [Group("a", (70.0, 70.0)), Group("b", (66.0, 66.0))]):
        found = scatter_of(groups)
        assert found.method is Method.NONE
        assert found.u95_of_mean(groups, 0) is None


def test_one_run_may_lean_on_the_repeats_of_another_group():
    groups = [Group("a", (70.0, 71.0, 69.0)), Group("b", (66.0,))]
    found = scatter_of(groups)
    assert found.method is Method.POOLED
    assert found.u95_of_mean(groups, 1) == pytest.approx(4.303 * 1.0, rel=1e-3)


def test_refusals():
    with refuses(NotEnoughData, "There is no group."):
        one_way([])
    with refuses(NotEnoughData, "“a” has no run."):
        Group("a", ())
    with refuses(OutOfRange, "“a” states an uncertainty for some of its runs only."):
        Group("a", (1.0, 2.0), (0.1,))
    with refuses(OutOfRange, "“a” states an uncertainty that is not above 0."):
        Group("a", (1.0,), (0.0,))
    with refuses(OutOfRange, "“a” holds a value that is no number."):
        Group("a", (math.nan,))
    with refuses(NotEnoughData, "There is one group only."):
        simultaneous_factor(1, 5)


@pytest.mark.long
@pytest.mark.parametrize("n", [2, 3, 6])
def test_property_intervals_of_means_hold_95_of_100(n):
    rng = np.random.default_rng(14)
    inside = asked = 0
    for _ in range(500):
        groups = [Group(str(i), tuple(rng.normal(60.0 + i, 1.0, n))) for i in range(3)]
        found = scatter_of(groups)
        for i in range(3):
            inside += abs(groups[i].mean - 60.0 - i) <= found.u95_of_mean(groups, i)
            asked += 1
    # 1500 draws: 95 per cent with a scatter of 0.6 per cent.
    assert 0.93 <= inside / asked <= 0.97
