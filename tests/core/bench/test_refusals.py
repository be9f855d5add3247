"""Commands that cannot be: each is refused with the field, and the state stays what it was."""

from dataclasses import replace

import pytest
from tests.bench_jobs import FINE, PLACES, Hand
from tests.said import refuses, said_by

from vividowl.core.bench.fasteners import PLACES_MOST, Place
from vividowl.core.bench.log.close import blockers
from vividowl.core.bench.log.decide import STEPS_MOST
from vividowl.core.bench.log.events import BenchRefused, check_event
from vividowl.core.bench.log.evolve import evolve
from vividowl.core.bench.log.log import BenchLog, grown
from vividowl.core.bench.log.stored import TEXT_MOST, step_from
from vividowl.core.bench.steps.vocabulary import BenchStep, measured
from vividowl.core.quantities.errors import CoreError
from vividowl.words import sentence, told

OWN = told(BenchStep(id="own_1", stage="clean", text="Look again", own=True))


def refused(hand, kind, **data):
    before = hand.state
    with pytest.raises(BenchRefused) as caught:
        hand.do(kind, **data)
    assert hand.state is before
    return caught.value


# Handbook/bench.md, "The log": common practice, no source.
@pytest.mark.parametrize(
    ("until", "kind", "data", "reason", "says"),
    [
        ("power_on", "step_done", {"step": "power_on"}, "incomplete", "first power"),
        ("cleaned", "step_moved", {"step": "cleaned", "after": "cleaned"}, "invalid", "does not follow itself"),
        ("cleaned", "step_moved", {"step": "cleaned", "after": "nowhere"}, "missing", "nowhere"),
        ("cleaned", "step_added", {"step": {**OWN, "id": "cleaned"}}, "done_already", "this id"),
        ("cleaned", "step_added", {"step": OWN, "after": "nowhere"}, "missing", "nowhere"),
        ("cleaned", "place_added", {"place": told(PLACES[0])}, "done_already", "on the map"),
        ("cleaned", "place_changed", {"place": told(replace(PLACES[0], id="nowhere"))}, "missing", "no such place"),
        ("cleaned", "place_removed", {"place": "nowhere"}, "missing", "no such place"),
        ("cleaned", "explained", {"place": "fan", "words": "thread is torn"}, "plug_open", "plug"),
        ("power_off", "explained", {"place": "c0", "words": "thread is torn"}, "done_already", "explain"),
        ("cleaned", "wait_ended", {"wait": "nobody's"}, "missing", "no such wait"),
        ("cleaned", "checked", {"of": "nothing", "words": "looked with the loupe"}, "missing", "nothing of this kind"),
        ("cleaned", "photo", {"photo": "p1", "what": "selfie"}, "invalid", "before, after"),
        ("cleaned", "leftover", {"count": -1}, "invalid", "-1"),
        ("cleaned", "leftover", {"count": 9999}, "invalid", "9999"),
    ],
)
def test_what_cannot_be_is_refused_by_its_reason(until, kind, data, reason, says):
    error = refused(Hand().until(until), kind, **data)
    assert error.reason == reason
    assert says in said_by(error).replace("−", "-")


def test_a_list_begins_once_and_holds_each_step_once():
    hand = Hand()
    begun = hand.all[0].data
    assert refused(hand, "begun", **begun).reason == "done_already"
    fresh = Hand.__new__(Hand)
    fresh.log, fresh.at, fresh.pause_min, fresh.all = BenchLog(), hand.at, 1.0, []
    twice = {**begun, "steps": [*begun["steps"], begun["steps"][0]]}
    error = refused(fresh, "begun", **twice)
    assert (error.reason, error.field) == ("invalid", "steps")
    assert str(STEPS_MOST) in said_by(error)


def test_a_map_holds_so_many_places_and_no_more():
    many = [
        Place(
            id=f"s{i}",
            kind="screw",
            x=(i % 30) / 30,
            y=(i // 30) / 30,
            holds="cover",
            length_mm=4.0,
            drive="cross",
            head="flat",
        )
        for i in range(PLACES_MOST)
    ]
    hand = Hand(places=many)
    error = refused(
        hand,
        "place_added",
        place=told(
            Place(id="one_more", kind="screw", x=0.5, y=0.5, holds="cover", length_mm=4.0, drive="cross", head="flat")
        ),
    )
    assert str(PLACES_MOST) in said_by(error)


def test_a_mishap_that_bars_power_bars_it_until_it_is_checked():
    hand = Hand().until("power_on")
    hand.do("mishap", what="lost_screw")
    (lost,) = hand.state.mishaps.values()
    assert refused(hand, "power_on", results=FINE).rule == "mishap"
    hand.do("checked", of=lost.id, words="looked for it and took it out")
    hand.do("power_on", results=FINE)
    assert "power_on_ok" in hand.state.facts


def test_a_place_that_is_in_its_hole_can_be_drawn_anew_and_wiped_off():
    hand = Hand().until("power_off")
    hand.do("place_changed", place=told(replace(PLACES[0], length_mm=7.0)))
    assert hand.state.places[PLACES[0].id].length_mm == 7.0
    hand.do("place_removed", place=PLACES[0].id)
    assert PLACES[0].id not in hand.state.places


def test_a_list_that_has_not_begun_keeps_its_job_open():
    (blocker,) = blockers(BenchLog().state, Hand().at)
    assert sentence(blocker.remedy).startswith("Begin it")


@pytest.mark.parametrize(
    ("field", "value"),
    [("text", "x" * (TEXT_MOST + 1)), ("text", "a\0b"), ("acts", "cooler_off"), ("acts", [3]), ("own", "yes")],
)
def test_a_step_of_another_shape_is_refused_by_its_field(field, value):
    with refuses(CoreError) as found:
        step_from({**OWN, field: value})
    assert field in found.value.field


@pytest.mark.parametrize("kind", ["undo", "redo"])
def test_taking_back_where_nothing_is_leaves_the_log_as_it_is(kind):
    log = BenchLog()
    event = Hand().all[0]
    empty = type(event)(id="0" * 8, kind=kind, data={}, at=event.at)
    assert grown(log, empty) is log


def test_an_unknown_kind_names_those_that_there_are():
    with refuses(BenchRefused, "polished") as found:
        check_event("polished", {})
    assert "step_done" in said_by(type("E", (), {"message": found.value.remedy})())


def test_a_step_that_asks_for_no_number_takes_none():
    with refuses(CoreError, "asks for no"):
        measured("", 3.0)


def test_evolving_never_refuses_what_decide_would():
    hand = Hand()
    odd = type(hand.all[0])(id="0" * 8, kind="wait_ended", data={"wait": "nobody's"}, at=hand.at)
    assert evolve(hand.state, odd).waits == hand.state.waits
