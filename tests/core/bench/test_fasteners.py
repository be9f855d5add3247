"""Screw classes, and the orders to loosen and tighten."""

import math

import pytest
from hypothesis import given
from hypothesis import strategies as st
from tests.said import refuses

from vividowl.core.bench.fasteners import (
    Place,
    check_place,
    classes_of,
    diagonal_order,
    letter_of,
    loosening_order,
    tightening_order,
    tightening_passes,
)
from vividowl.core.quantities.errors import CoreError, OutOfRange
from vividowl.words import sentence


def ring(n):
    """Places on a circle, clockwise on a screen from the upper left."""
    turns = [-0.75 * math.pi + 2 * math.pi * k / n for k in range(n)]
    return [(math.cos(t), math.sin(t)) for t in turns]


# Published: star pattern of bolted flanges as in pressure-boundary flange guides (legacy cross pattern), numbered
# clockwise from one; from memory. The pattern for 6 is one of two mirror images in use.
@pytest.mark.parametrize(
    ("n", "pattern"),
    [
        (4, [1, 3, 2, 4]),
        (6, [1, 4, 2, 5, 3, 6]),
        (8, [1, 5, 3, 7, 2, 6, 4, 8]),
        (12, [1, 7, 4, 10, 2, 8, 5, 11, 3, 9, 6, 12]),
        (16, [1, 9, 5, 13, 3, 11, 7, 15, 2, 10, 6, 14, 4, 12, 8, 16]),
        # Five-hole wheels are tightened along a five-pointed star: from memory.
        (5, [1, 3, 5, 2, 4]),
    ],
)
def test_the_diagonal_order_is_the_star_pattern_of_flanges(n, pattern):
    assert [i + 1 for i in diagonal_order(ring(n))] == pattern


def test_four_screws_in_a_square_go_across():
    corners = [(0.0, 0.0), (1.0, 0.0), (1.0, 1.0), (0.0, 1.0)]
    assert diagonal_order(corners) == (0, 2, 1, 3)


@given(st.lists(st.tuples(st.floats(0, 1), st.floats(0, 1)), max_size=30))
def test_every_place_comes_exactly_once(points):
    assert sorted(diagonal_order(points)) == list(range(len(points)))


@given(st.integers(2, 15).map(lambda k: 2 * k))
def test_after_a_place_comes_the_one_opposite(n):
    order = diagonal_order(ring(n))
    for first, second in zip(order[::2], order[1::2], strict=True):
        assert abs(first - second) == n // 2


def screw(name, number=None, x=0.0, y=0.0, **more):
    return Place(id=name, kind="screw", x=x, y=y, holds="cooler", number=number, **more)


def test_printed_numbers_are_loosened_in_reverse_and_tightened_in_order():
    # handbook/bench.md: common practice, no source.
    places = [screw("a", 3), screw("b", 1), screw("c", 2)]
    assert tightening_order(places) == ("b", "c", "a")
    assert loosening_order(places) == ("a", "c", "b")


def test_a_number_missing_or_twice_falls_back_to_the_diagonal():
    corners = [(0, 0), (1, 0), (1, 1), (0, 1)]
    for numbers in ([1, 2, 3, None], [1, 2, 2, 3]):
        places = [screw(f"s{i}", n, *xy) for i, (n, xy) in enumerate(zip(numbers, corners, strict=True))]
        assert tightening_order(places) == ("s0", "s2", "s1", "s3")
        assert loosening_order(places) == ("s3", "s1", "s2", "s0")


def test_classes_get_letter_and_shape_in_the_order_met():
    places = [
        screw("a", length_mm=5.0, drive="cross"),
        screw("b", length_mm=8.0, drive="cross"),
        screw("c", length_mm=5.0, drive="cross"),
        Place(id="p", kind="plug", x=0, y=0, holds="fan"),
    ]
    classes = classes_of(places)
    assert [(c.letter, c.shape, c.count) for c in classes] == [("A", "circle", 2), ("B", "square", 1)]
    assert sentence(classes[0].words) == "5 mm, cross-head, head not known"
    assert [letter_of(p, classes) for p in places] == ["A", "B", "A", ""]


def test_more_than_26_classes_stay_apart():
    classes = classes_of([screw(f"s{i}", length_mm=1.0 + i) for i in range(30)])
    assert len({c.letter for c in classes}) == 30


def test_both_schools_of_tightening_have_two_rounds():
    # handbook/bench.md: half or 70 % of the turns first, then fully; common practice, no source.
    assert [p.share for p in tightening_passes(50)] == [0.5, 1.0]
    assert [p.share for p in tightening_passes(70)] == [0.7, 1.0]
    with refuses(CoreError, match="60 % is no school of tightening; allowed: 50 or 70"):
        tightening_passes(60)


@pytest.mark.parametrize(
    ("place", "error", "text"),
    [
        (Place(id="a", kind="nail", x=0, y=0, holds="cover"), CoreError, "“nail” is neither screw, plug nor pad"),
        (
            Place(id="a", kind="screw", x=0, y=0, holds="battery"),
            CoreError,
            "“battery” isn’t a choice for .*Allowed: cover, cooler",
        ),
        (Place(id="a", kind="plug", x=0, y=0, holds="cover"), CoreError, "Allowed: battery, fan"),
        (Place(id="a", kind="screw", x=1.2, y=0, holds="cover"), OutOfRange, "X is 1.2"),
        (Place(id="a", kind="screw", x=0, y=0, holds="cover", length_mm=500.0), OutOfRange, "allowed are 0.5 to 80 mm"),
        (Place(id="a", kind="screw", x=0, y=0, holds="cover", drive="square"), CoreError, "“square” isn’t a choice"),
        (Place(id="a", kind="pad", x=0, y=0, holds="battery"), CoreError, "Allowed: memory, regulators"),
        (
            Place(id="a", kind="pad", x=0, y=0, holds="memory", thickness_mm=15.0),
            OutOfRange,
            "allowed are 0.05 to 10 mm",
        ),
        (Place(id="a", kind="screw", x=0, y=0, holds="cover", number=0), OutOfRange, "allowed are 1 to 99"),
    ],
)
def test_a_place_that_cannot_be_is_refused(place, error, text):
    with refuses(error, match=text):
        check_place(place)
