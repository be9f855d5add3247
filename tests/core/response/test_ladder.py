"""The heat ladder: rungs add up to the rise, whatever they were told from."""

import pytest
from hypothesis import given
from hypothesis import strategies as st
from tests.said import refuses

from vividowl.core.quantities.errors import CoreError, OutOfRange
from vividowl.core.response.ladder import build_ladder, culprit
from vividowl.core.response.terms import Response, Term, common_boundary
from vividowl.words import sentence

RESPONSE = Response(
    terms=(Term(0.5, 1.0, 0.02, 0.1), Term(0.8, 40.0, 0.02, 1.0), Term(0.2, 300.0, 0.02, 20.0)),
    base_power=4.0,
    now=(40.0, 40.0, 40.0),
    residual_k=0.3,
    interface_u=0.02,
    total_u=0.03,
)


@given(st.floats(40, 100), st.floats(15, 35), st.floats(5, 200))
def test_property_drops_add_up_to_the_rise(die, room, power):
    ladder = build_ladder(die, room, power, response=RESPONSE)
    assert sum(r.drop_k for r in ladder.rungs) == pytest.approx(die - room)
    assert sum(r.resistance for r in ladder.rungs) == pytest.approx((die - room) / power)


def test_a_probe_decides_over_the_log():
    ladder = build_ladder(95, 25, 50, heatsink_c=65, response=RESPONSE)
    assert [(r.name, r.drop_k, r.source) for r in ladder.rungs] == [
        ("behind", 40, "probe"),
        ("interface", 30, "probe"),
    ]


def test_heatsink_and_exhaust_give_three_rungs():
    ladder = build_ladder(95, 25, 50, heatsink_c=65, exhaust_c=45)
    assert [(r.name, r.drop_k) for r in ladder.rungs] == [("air", 20), ("heatsink", 20), ("interface", 30)]


def test_with_neither_the_rise_is_one_rung_and_without_power_no_resistance_is_invented():
    (rung,) = build_ladder(80, 25, None).rungs
    assert (rung.name, rung.drop_k, rung.resistance) == ("whole", 55, None)


@pytest.mark.parametrize("probe", [20.0, 99.0])
def test_a_probe_outside_die_and_room_is_refused(probe):
    with refuses(CoreError, match="must lie between the room") as caught:
        build_ladder(95, 25, 50, heatsink_c=probe)
    assert "where the probe sat" in sentence(caught.value.remedy)


def test_an_impossible_die_is_refused():
    with refuses(OutOfRange, match="allowed are −40 to 150"):
        build_ladder(400, 25, 50)


def test_one_third_of_the_rise_in_the_interface_is_the_culprit():
    assert culprit(build_ladder(95, 25, 50, heatsink_c=68)) == "interface"
    assert culprit(build_ladder(95, 25, 50, heatsink_c=80)) is None


def test_an_interface_that_may_lie_below_a_third_is_not_named():
    # 25 K of 70 K is more than a third, but two sensors of 1.2 and 1.7 K leave 23 K open.
    assert culprit(build_ladder(95, 25, 50, heatsink_c=70)) is None


def test_nothing_is_named_beside_a_difference_that_was_not_shown():
    before, after = build_ladder(95, 25, 40, heatsink_c=65), build_ladder(80, 25, 50, heatsink_c=72)
    assert culprit(before, after, shown=False) is None


def test_with_both_sides_the_rung_that_fell_most_was_the_culprit_at_equal_power():
    before = build_ladder(95, 25, 40, heatsink_c=65)
    after = build_ladder(80, 25, 50, heatsink_c=72)
    assert culprit(before, after) == "interface"


def test_no_fall_no_culprit():
    ladder = build_ladder(70, 25, 40, heatsink_c=60)
    assert culprit(ladder, ladder) is None


def told_by_log(interface, sink, chassis):
    parts = ((interface, 1.0), (sink, 40.0), (chassis, 300.0))
    terms = tuple(Term(r, tau, 0.01, 1.0) for r, tau in parts if r)
    return Response(
        terms=terms, base_power=5.0, now=tuple(0.0 for _ in terms), residual_k=0.2, interface_u=0.01, total_u=0.02
    )


def test_heatsink_and_air_are_one_rung_where_only_a_log_tells():
    ladder = build_ladder(75, 25, 50, response=told_by_log(0.3, 0.5, 0.2))
    assert [r.name for r in ladder.rungs] == ["behind", "interface"]
    assert sum(r.drop_k for r in ladder.rungs) == pytest.approx(50)


def test_what_answers_like_a_thick_lid_is_not_split():
    terms = (Term(0.1, 0.5, 0.01, 0.1), Term(0.4, 8.0, 0.01, 1.0), Term(0.5, 90.0, 0.01, 9.0))
    lidded = Response(terms=terms, base_power=5.0, now=(0.0, 0.0, 0.0), residual_k=0.2, interface_u=0.01, total_u=0.02)
    assert [r.name for r in build_ladder(75, 25, 50, response=lidded).rungs] == ["whole"]


def test_two_responses_are_parted_where_nothing_lies_across():
    def lidded(slow_s):
        terms = (Term(0.4, 8.0, 0.01, 1.0), Term(0.5, slow_s, 0.01, 9.0))
        return Response(terms=terms, base_power=5.0, now=(0.0, 0.0), residual_k=0.2, interface_u=0.01, total_u=0.02)

    assert common_boundary(lidded(90.0), lidded(80.0)) == 25.0
    assert common_boundary(lidded(28.0), lidded(17.0)) is None


def test_an_exhaust_probe_alone_gives_the_share_of_the_air():
    ladder = build_ladder(75, 25, 50, exhaust_c=43, response=told_by_log(0.3, 0.5, 0.2))
    assert [(r.name, round(r.drop_k), r.source) for r in ladder.rungs] == [
        ("air", 18, "probe"),
        ("heatsink", 17, "log"),
        ("interface", 15, "log"),
    ]


def test_rungs_told_in_different_ways_are_not_set_against_each_other():
    before = build_ladder(75, 25, 50, exhaust_c=49, response=told_by_log(0.3, 0.5, 0.2))
    after = build_ladder(74, 25, 50, response=told_by_log(0.3, 0.5, 0.2))
    assert culprit(before, after) is None


def test_two_ladders_without_a_rung_in_common_name_nothing():
    whole = build_ladder(80, 25, None)
    assert culprit(whole, whole) is None
    assert culprit(whole, build_ladder(95, 25, 50, heatsink_c=65)) is None


def test_a_boundary_that_both_responses_share_parts_the_rise():
    boundary = common_boundary(RESPONSE, RESPONSE)
    parted = build_ladder(95, 25, 50, response=RESPONSE, boundary_s=boundary)
    part, u = RESPONSE.soon(boundary)
    assert [r.name for r in parted.rungs] == ["behind", "interface"]
    assert parted.rungs[-1].drop_k == pytest.approx(part * 50)
    assert u > 0
    spread = Response(
        terms=tuple(Term(0.2, tau, 0.02, 1.0) for tau in (1.0, 1.5, 2.2, 3.3, 5.0, 7.5, 11.0, 17.0, 25.0)),
        base_power=4.0,
        now=(40.0,) * 9,
        residual_k=0.3,
        interface_u=0.02,
        total_u=0.03,
    )
    assert common_boundary(spread, spread) is None
