"""Factors: against statsmodels, against a table of the trade, and what runs cannot tell."""

import itertools
import math

import numpy as np
import pytest
from tests.said import refuses

from vividowl.core.quantities.errors import NotEnoughData, OutOfRange
from vividowl.core.runs.design import Plan, design_of, missing_runs, proposed_runs
from vividowl.core.runs.factors import REST, factor_effects
from vividowl.core.runs.groups import Method
from vividowl.words import sentence

TWO = (("old", "new"), ("dusty", "clean"))


def grid(*levels, times=1):
    return [cell for cell in itertools.product(*levels) for _ in range(times)]


def effects(found):
    return {e.term: e for e in found.effects}


def coded(values, levels):
    return [1.0 if v == levels[-1] else -1.0 for v in values]


def test_published_by_hand():
    # Box, Hunter and Hunter: effect of a factor, half of the difference of effects for two. 60 52 66 40.
    found = factor_effects(["paste", "dust"], grid(*TWO), values=[60.0, 52.0, 66.0, 40.0])
    got = effects(found)
    assert got["paste"].effect == pytest.approx((66 + 40) / 2 - (60 + 52) / 2)
    assert got["dust"].effect == pytest.approx((52 + 40) / 2 - (60 + 66) / 2)
    assert got["paste:dust"].effect == pytest.approx(((40 - 52) - (66 - 60)) / 2)
    # Four runs, four numbers: no scatter is known, so that nothing is shown.
    assert found.method is Method.NONE
    assert [(e.u95, e.shown) for e in found.effects] == [(None, False)] * 3
    assert "No run was repeated" in sentence(got["paste"].reason)


@pytest.mark.parametrize("drop", [(), (0,), (3, 9), (1, 4, 11)])
def test_published_factorial_with_interactions_against_statsmodels(drop):
    rng = np.random.default_rng(3)
    levels = (("f1", "f2"), ("0", "-80"), ("old", "new"))
    cells = [c for k, c in enumerate(grid(*levels, times=2)) if k not in drop]
    a, b, c = (coded([cell[i] for cell in cells], levels[i]) for i in range(3))
    y = [
        95 - 1.0 * i - 3.0 * j - 8.0 * k + 1.5 * j * k + e
        for i, j, k, e in zip(a, b, c, rng.normal(0, 0.5, len(a)), strict=True)
    ]
    # Here, since the import takes seconds that every other test would wait for.
    import pandas
    import statsmodels.formula.api as smf
    from scipy.stats import t

    frame = pandas.DataFrame({"a": a, "b": b, "c": c, "y": y})
    theirs = smf.ols("y ~ (a + b + c) ** 2", frame).fit()
    found = factor_effects(["a", "b", "c"], cells, values=y)
    for term, e in effects(found).items():
        assert e.effect == pytest.approx(2 * theirs.params[term], abs=1e-9)
        factor = max(2.0, float(t.ppf(0.975, theirs.df_resid)))
        assert e.u95 == pytest.approx(2 * factor * theirs.bse[term], rel=1e-6)
    assert found.freedom == theirs.df_resid


def test_three_levels_go_from_the_first_to_each_other():
    cells = grid(("low", "middle", "full"), ("old", "new"), times=2)
    value = {"low": 80.0, "middle": 74.0, "full": 70.0}
    y = [value[f] - (10.0 if p == "new" else 0.0) + (0.1 if k % 2 else -0.1) for k, (f, p) in enumerate(cells)]
    found = factor_effects(["fan", "paste"], cells, values=y)
    fan = [e for e in found.effects if e.term == "fan"]
    assert [(e.low, e.high) for e in fan] == [(("low",), ("middle",)), (("low",), ("full",))]
    assert [e.effect for e in fan] == pytest.approx([-6.0, -10.0])
    assert effects(found)["paste"].effect == pytest.approx(-10.0)
    assert [(b.term, round(b.start, 6), round(b.end, 6)) for b in found.waterfall] == [
        ("fan", 80.0, 70.0),
        ("paste", 70.0, 60.0),
        (REST, 60.0, 60.0),
    ]


def test_a_missing_run_is_named_and_its_interaction_is_not_known():
    cells = [("old", "dusty"), ("old", "dusty"), ("new", "dusty"), ("old", "clean")]
    found = factor_effects(["paste", "dust"], cells, values=[90.0, 91.0, 70.0, 84.0])
    assert found.missing == (("new", "clean"),)
    assert found.needed == 1
    got = effects(found)
    assert got["paste:dust"].effect is None
    assert sentence(got["paste:dust"].reason).endswith("This run would tell: paste = new, dust = clean.")
    assert got["paste"].effect == pytest.approx(-20.5)
    assert got["paste"].assumes == ("paste:dust",)
    assert "do nothing" in sentence(got["paste"].reason)
    assert found.rest is None
    assert found.waterfall[-1].end is None


def test_what_was_always_changed_together_has_no_number():
    cells = [("f1", "0", "old"), ("f2", "-80", "old"), ("f1", "0", "new"), ("f2", "-80", "new"), ("f1", "0", "old")]
    found = factor_effects(["firmware", "undervolt", "repaste"], cells, values=[95.0, 90.0, 80.0, 75.0, 95.5])
    got = effects(found)
    for name in ("firmware", "undervolt"):
        assert got[name].effect is None
        said = sentence(got[name].reason)
        assert "firmware" in said
        assert "undervolt" in said
        assert "were always changed together. This run would tell:" in said
    assert got["repaste"].effect == pytest.approx(-15.125, abs=0.3)
    # The change of both stands in the rest, which is no guess at either.
    assert [b.term for b in found.waterfall] == ["repaste", REST]
    assert found.waterfall[-1].end == pytest.approx(75.0)
    # With the runs that are named everything is told.
    more = [*cells, *found.missing[: found.needed]]
    assert all(
        e.effect is not None
        for e in factor_effects(["f", "u", "r"], more, values=[float(k) for k in range(len(more))]).effects
    )


def test_a_waterfall_adds_up_and_ends_with_the_unexplained_rest():
    rng = np.random.default_rng(8)
    levels = (("f1", "f2"), ("0", "-80"), ("old", "new"))
    cells = grid(*levels, times=2)
    # Three at a time: what only all of them together do is explained by none.
    y = [
        95
        - 4.0 * (f == "f2")
        - 6.0 * (u == "-80")
        - 12.0 * (p == "new")
        - 5.0 * ((f, u, p) == ("f2", "-80", "new"))
        + rng.normal(0, 0.2)
        for f, u, p in cells
    ]
    found = factor_effects(["firmware", "undervolt", "repaste"], cells, values=y)
    bars = found.waterfall
    assert [b.term for b in bars] == ["firmware", "undervolt", "repaste", REST]
    assert bars[0].start == pytest.approx(np.mean(y[:2]))
    assert bars[-1].end == pytest.approx(np.mean(y[-2:]))
    assert all(one.end == pytest.approx(other.start) for one, other in itertools.pairwise(bars))
    assert found.rest == pytest.approx(bars[-1].end - bars[-1].start)
    assert found.rest == pytest.approx(-1.25, abs=0.5)
    assert found.rest_u95 > 0


def test_stated_uncertainties_count_and_are_dropped_when_contradicted():
    cells = grid(*TWO)
    found = factor_effects(["paste", "dust"], cells, values=[60.0, 52.0, 66.0, 40.0], standard=[0.5] * 4)
    assert found.method is Method.STATED
    assert effects(found)["paste"].u95 == pytest.approx(2 * 0.5)
    assert effects(found)["paste"].shown
    twice = factor_effects(
        ["paste", "dust"], cells * 2, values=[60.0, 52.0, 66.0, 40.0, 70.0, 42.0, 56.0, 50.0], standard=[0.5] * 8
    )
    assert twice.method is Method.POOLED


def test_a_large_common_value_takes_no_digits_away():
    small = factor_effects(["paste", "dust"], grid(*TWO, times=2), values=[1.0, 1.2, 3.0, 3.1, 5.0, 5.3, 9.0, 9.2])
    large = factor_effects(
        ["paste", "dust"], grid(*TWO, times=2), values=[1e9 + v for v in (1.0, 1.2, 3.0, 3.1, 5.0, 5.3, 9.0, 9.2)]
    )
    for one, other in zip(small.effects, large.effects, strict=True):
        assert other.effect == pytest.approx(one.effect, abs=1e-6)
        assert other.u95 == pytest.approx(one.u95, rel=1e-5)


def test_what_a_plan_of_runs_tells():
    design = design_of(["a", "b", "c"], grid("01", "01", "01"))
    full = proposed_runs(design, Plan.FULL)
    assert (len(full.runs), full.tells_pairs, full.mixed) == (8, True, ())
    half = proposed_runs(design, Plan.HALF)
    assert half.runs == (("0", "0", "0"), ("0", "1", "1"), ("1", "0", "1"), ("1", "1", "0"))
    # The textbook's half of three factors: each stands in one number with the pair of the others.
    assert half.mixed == (("a", ("b:c",)), ("b", ("a:c",)), ("c", ("a:b",)))
    assert not half.tells_pairs
    alone = proposed_runs(design, Plan.ONE_AT_A_TIME)
    assert len(alone.runs) == 4
    assert dict(alone.mixed)["a"] == ("a:b", "a:c")
    # A half of five is clear of pairs: sixteen runs tell five factors and ten pairs (resolution V).
    five = proposed_runs(design_of(list("abcde"), grid(*["01"] * 5)), Plan.HALF)
    assert (len(five.runs), five.tells_pairs, five.mixed) == (16, True, ())
    with refuses(OutOfRange, "There is no half of a, b"):
        proposed_runs(design_of(["a", "b"], grid("01", "01")), Plan.HALF)


def test_missing_runs_come_with_those_first_that_tell_most():
    design = design_of(["a", "b"], grid("01", "01"))
    assert missing_runs(design, [("0", "0"), ("1", "1")]) == ([("0", "1"), ("1", "0")], 2)
    assert missing_runs(design, grid("01", "01")) == ([], 0)
    three = design_of(["a", "b", "c"], grid("01", "01", "01"))
    left, needed = missing_runs(three, [c for c in grid("01", "01", "01") if c != ("1", "0", "1")])
    assert left == [("1", "0", "1")]
    # Seven of eight tell three factors and three pairs already.
    assert needed == 0


def test_refusals():
    with refuses(NotEnoughData, "There is one run only."):
        factor_effects(["a"], [("0",)], values=[1.0])
    with refuses(NotEnoughData, "“paste” was “old” in every run."):
        factor_effects(["paste", "dust"], [("old", "dusty"), ("old", "clean")], values=[1.0, 2.0])
    with refuses(OutOfRange, "There are 6 factors, allowed are 1 to 5."):
        factor_effects(list("abcdef"), [tuple("000000"), tuple("111111")], values=[1.0, 2.0])
    with refuses(OutOfRange, "Two factors have the same name."):
        factor_effects(["a", "a"], [("0", "0"), ("1", "1")], values=[1.0, 2.0])
    with refuses(OutOfRange, "The columns are not of one length."):
        factor_effects(["a"], [("0",), ("1",)], values=[1.0, 2.0, 3.0])
    many = [tuple(str(k) for _ in range(5)) for k in range(5)]
    with refuses(OutOfRange, "The levels make 3125 combinations"):
        factor_effects(list("abcde"), many, values=[float(k) for k in range(5)])


@pytest.mark.long
@pytest.mark.parametrize("repeats", [2, 3])
def test_property_effects_hold_95_of_100_and_none_is_seen_where_there_is_none(repeats):
    rng = np.random.default_rng(21)
    cells = grid(("f1", "f2"), ("0", "-80"), ("old", "new"), times=repeats)
    truth = {"a": -2.0, "b": -6.0, "c": 0.0, "a:b": 0.0, "a:c": 0.0, "b:c": 0.0}
    inside = false = nulls = asked = 0
    for _ in range(500):
        y = [90 - 2.0 * (a == "f2") - 6.0 * (b == "-80") + rng.normal(0, 1.0) for a, b, _ in cells]
        for e in factor_effects(["a", "b", "c"], cells, values=y).effects:
            inside += abs(e.effect - truth[e.term]) <= e.u95
            asked += 1
            if truth[e.term] == 0.0:
                false += e.shown
                nulls += 1
    assert 0.93 <= inside / asked <= 0.97
    assert false / nulls <= 0.05 + 2 * math.sqrt(0.05 * 0.95 / nulls)


def test_the_order_told_and_not_the_first_line_says_which_level_is_before():
    cells = grid(("new", "old"), ("clean", "dusty"))
    design = design_of(["paste", "dust"], cells, [["old", "new", "never run"], ["dusty", "clean"]])
    assert design.levels == (("old", "new"), ("dusty", "clean"))
    with refuses(OutOfRange, "old"):
        design_of(["paste", "dust"], cells, [["new"], ["dusty", "clean"]])
