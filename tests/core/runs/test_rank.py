"""Rankings: order, ties, and how often a rank is claimed where nothing differs."""

import numpy as np
import pytest
from tests.said import refuses

from vividowl.core.quantities.errors import NotEnoughData, OutOfRange
from vividowl.core.runs.groups import Group, Method
from vividowl.core.runs.rank import rank
from vividowl.words import sentence

FOUR = [
    Group("paste, soft", (71.0, 71.6, 70.8)),
    Group("gallium alloy", (64.9, 65.3, 64.6)),
    Group("phase-change sheet", (65.6, 65.0, 65.4)),
    Group("putty", (83.0, 83.8, 83.4)),
]


def test_two_that_differ_by_less_than_their_uncertainty_share_a_place():
    found = rank(FOUR)
    assert [(g.group, g.place) for g in found.groups] == [
        ("gallium alloy", 1),
        ("phase-change sheet", 1),
        ("paste, soft", 3),
        ("putty", 4),
    ]
    assert [g.ties_with for g in found.groups] == [("phase-change sheet",), ("gallium alloy",), (), ()]
    assert found.method is Method.WELCH
    assert found.groups[0].n == 3


@pytest.mark.parametrize(
    ("runs", "scatters"),
    [((3, 3, 3, 3), (1, 1, 1, 1)), ((3, 3, 3, 3), (0.2, 0.5, 1.0, 1.5)), ((4,) * 6, (1, 1, 1, 1, 1, 3))],
)
def test_groups_that_are_alike_split_in_five_of_a_hundred_at_most_however_they_scatter(runs, scatters):
    rng = np.random.default_rng(11)
    split = 0
    for _ in range(400):
        drawn = [tuple(rng.normal(0.0, s, n)) for n, s in zip(runs, scatters, strict=True)]
        found = rank([Group(str(i), values) for i, values in enumerate(drawn)])
        split += any(len(g.ties_with) < len(runs) - 1 for g in found.groups)
    # The lower end of Wilson's interval of 95 % for what was counted must not lie above 5 %.
    p, n, z = split / 400, 400, 1.96
    low = (p + z * z / (2 * n) - z * ((p * (1 - p) + z * z / (4 * n)) / n) ** 0.5) / (1 + z * z / n)
    assert low <= 0.05


def test_higher_may_be_better():
    scores = [Group("before", (1330.0, 1334.0)), Group("after", (1600.0, 1605.0))]
    assert [g.group for g in rank(scores, higher_is_better=True).groups] == ["after", "before"]


def test_ties_need_not_carry_over():
    # Each neighbour is within its uncertainty of 1 K, the first and the last are not.
    chain = [Group(name, (v,), (0.4,)) for name, v in (("a", 60.0), ("b", 61.0), ("c", 62.0))]
    places = {g.group: (g.place, g.ties_with) for g in rank(chain).groups}
    assert places == {"a": (1, ("b",)), "b": (1, ("a", "c")), "c": (2, ("b",))}


def test_single_runs_without_an_uncertainty_have_no_places():
    found = rank([Group("a", (60.0,)), Group("b", (70.0,))])
    assert [(g.place, g.u95, g.ties_with) for g in found.groups] == [(None, None, ())] * 2
    assert "what the scatter is, is not known" in sentence(found.reason)


def test_refusals():
    with refuses(NotEnoughData, "There is one group only."):
        rank(FOUR[:1])
    with refuses(OutOfRange, "Two groups have the same name."):
        rank([FOUR[0], FOUR[0]])
    with refuses(OutOfRange, "There are 201 groups"):
        rank([Group(str(i), (1.0, 2.0)) for i in range(201)])


@pytest.mark.long
@pytest.mark.parametrize(("count", "n"), [(2, 3), (4, 3), (6, 2)])
def test_property_no_more_than_five_of_a_hundred_rankings_claim_where_nothing_differs(count, n):
    rng = np.random.default_rng(5)
    draws = 600
    claims = sum(
        any(g.place != 1 for g in rank([Group(str(i), tuple(rng.normal(65.0, 1.0, n))) for i in range(count)]).groups)
        for _ in range(draws)
    )
    # Five per cent and two standard deviations of such a count.
    assert claims / draws <= 0.05 + 2 * (0.05 * 0.95 / draws) ** 0.5


@pytest.mark.long
def test_property_with_two_the_difference_holds_95_of_100():
    rng = np.random.default_rng(6)
    shown = 0
    for _ in range(600):
        found = rank([Group("a", tuple(rng.normal(65.0, 1.0, 4))), Group("b", tuple(rng.normal(65.0, 1.0, 4)))])
        shown += found.groups[1].place == 2
    assert 0.03 <= shown / 600 <= 0.07
