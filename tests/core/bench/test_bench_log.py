"""The log of the bench: what it allows, what it refuses, what keeps a job open."""

from dataclasses import replace
from datetime import timedelta

import pytest
from tests.bench_jobs import ALLOY, FINE, PASTE, PLACES, SHEET, START, Hand
from tests.said import refuses, said_by

from vividowl.core.bench.fasteners import Place
from vividowl.core.bench.interlocks import BY_RULE
from vividowl.core.bench.log.close import blockers
from vividowl.core.bench.log.events import BenchCommand, BenchRefused, check_event
from vividowl.core.bench.log.log import BenchLog, append, attempts_of, replay
from vividowl.core.bench.steps.fitting import pads_of
from vividowl.core.bench.steps.make_list import device_of, make_steps
from vividowl.core.bench.steps.vocabulary import BenchStep, PlannedPart, Work
from vividowl.core.quantities.errors import CoreError
from vividowl.words import sentence, told


def refusal(call, *args, **kwargs):
    with pytest.raises(BenchRefused) as caught:
        call(*args, **kwargs)
    return caught.value


@pytest.mark.parametrize("work", [PASTE, ALLOY, SHEET], ids=["paste", "alloy", "sheet"])
def test_a_whole_service_goes_through_and_closes(work):
    hand = Hand(work).until("end")
    hand.at += timedelta(hours=2)
    hand.do("closed")
    assert hand.state.closed == hand.at
    assert not hand.state.breaches
    assert not hand.state.out


# Each rule of handbook/bench.md with the shortest way to break it: common practice, no source.
@pytest.mark.parametrize(
    ("work", "until", "skip", "act", "rule"),
    [
        (PASTE, "power_off", (), ("step_done", {"step": "cover_screws_out"}), "power_first"),
        (PASTE, "power_off", (), ("place_out", {"place": "c0"}), "power_first"),
        (PASTE, "battery_off", (), ("step_done", {"step": "cooler_off"}), "cooler_on_battery"),
        (PASTE, "battery_off", (), ("place_out", {"place": "fan"}), "battery_first"),
        (PASTE, "battery_off", (), ("step_done", {"step": "cooler_screws_out"}), "battery_first"),
        (PASTE, "cleaned", (), ("step_done", {"step": "apply_cpu_die_paste_stiff_0"}), "clean_first"),
        (SHEET, "film_off_0", (), ("step_done", {"step": "covered"}), "second_film"),
        (PASTE, "covered", (), ("step_done", {"step": "cooler_on"}), "look_before_closing"),
        (PASTE, "cooler_on", ("dust_out",), ("step_done", {"step": "cooler_on"}), "fan_free"),
        (PASTE, "plugs_on", (), ("step_done", {"step": "battery_on"}), "plugs_before_battery"),
        (PASTE, "battery_on", (), ("power_on", {"results": FINE}), "battery_before_power"),
        (PASTE, "power_on", (), ("step_done", {"step": "cover_screws_in"}), "power_before_last_screws"),
    ],
)
def test_each_interlock_holds_and_a_breach_is_told_and_asks_for_its_check(work, until, skip, act, rule):
    hand = Hand(work)
    for name in skip:
        hand.do("step_skipped", step=name, reason="left out for the test")
    hand.until(until)
    kind, data = act
    before = hand.state
    error = refusal(hand.do, kind, **data)
    assert (error.reason, error.rule) == ("interlock", rule)
    assert said_by(error) == sentence(BY_RULE[rule].reason)
    assert hand.state is before
    assert refusal(hand.do, kind, **data, breach="x").reason == "incomplete"
    hand.do(kind, **data, breach="It happened before I looked")
    (told,) = [b for b in hand.state.breaches.values() if b.rule == rule]
    assert told.words == "It happened before I looked"
    waiting = [b for b in blockers(hand.state, hand.at) if b.of == told.id]
    assert [b.remedy for b in waiting] == [BY_RULE[rule].check]
    hand.do("checked", of=told.id, words="looked with the loupe, all in order")
    assert not [b for b in blockers(hand.state, hand.at) if b.of == told.id]


def test_cleaning_anew_takes_the_insulation_with_it():
    # handbook/materials.md: check that cleaning did not remove an old coat; common practice, no source.
    hand = Hand(ALLOY).until("tray_0")
    assert "insulated" in hand.state.facts
    hand.do("gone_back", step="cleaned")
    hand.step("cleaned")
    error = refusal(hand.do, "step_done", step="apply_cpu_die_gallium_alloy_0")
    assert error.rule == "insulate_before_alloy"


def test_a_console_has_no_battery_to_wait_for_and_its_supply_stays_closed():
    work = replace(PASTE, parts=(replace(PASTE.parts[0], target="gpu_die"),))
    hand = Hand(work, [p for p in PLACES if p.id != "bat"], "console")
    assert not any("battery" in s.id for s in hand.state.steps)
    assert "mains voltage" in hand.state.steps[0].caution
    hand.until("end").do("closed")
    assert hand.state.closed


def test_a_wait_holds_the_next_step_until_it_is_over_or_ended_with_a_reason():
    hand = Hand(pause_min=1.0).until("apply_cpu_die_paste_stiff_0")
    error = refusal(hand.step, "apply_cpu_die_paste_stiff_0")
    assert error.reason == "waiting"
    assert "Alcohol dries: " in said_by(error)
    (wait,) = hand.state.waits.values()
    assert wait.due - wait.began == timedelta(minutes=5)
    assert refusal(hand.do, "wait_ended", wait=wait.id).reason == "incomplete"
    hand.do("wait_ended", wait=wait.id, reason="surface is dry, looked at it")
    hand.step("apply_cpu_die_paste_stiff_0")
    assert hand.state.waits[wait.id].reason == "surface is dry, looked at it"


def test_a_wait_that_is_over_needs_no_reason():
    hand = Hand(pause_min=1.0)
    hand.do("wait_started", wait="glue")
    (wait,) = hand.state.waits.values()
    hand.at = wait.due
    hand.do("wait_ended", wait=wait.id)
    assert hand.state.waits[wait.id].ended == hand.at
    assert refusal(hand.do, "wait_ended", wait=wait.id).reason == "done_already"


def test_what_is_out_is_counted_and_stops_the_close():
    hand = Hand().until("cover_screws_in")
    assert hand.state.out == {"c0", "c1", "c2", "c3", "c4", "c5"}
    for name in ("c0", "c1", "c2", "c3", "c4"):
        hand.do("place_in", place=name, letter="A")
    hand.do("step_skipped", step="cover_screws_in", reason="one by one on the map")
    assert [sentence(b.text) for b in blockers(hand.state, hand.at)] == ["The screw A of the cover is missing."]
    assert refusal(hand.do, "closed").reason == "open"
    hand.do("explained", place="c5", words="thread torn, told the owner")
    hand.do("leftover", count=1)
    assert "left over in the tray" in said_by(refusal(hand.do, "closed"))
    hand.do("leftover", count=1, words="the one of the torn thread")
    hand.do("closed")


def test_a_screw_goes_in_once_and_only_where_it_fits():
    hand = Hand().until("battery_off")
    hand.do("place_in", place="c0")
    assert said_by(refusal(hand.do, "place_in", place="c0")) == "The screw A of the cover is in already."
    error = refusal(hand.do, "place_in", place="c1", letter="B")
    assert "takes a screw A, not B: the wrong length dents the board" in said_by(error)
    assert said_by(refusal(hand.do, "place_out", place="c1")) == "The screw A of the cover is out already."


def test_a_plug_is_never_explained_away_nor_wiped_off():
    hand = Hand().until("cooler_off")
    assert refusal(hand.do, "explained", place="ant", words="not needed any more").reason == "plug_open"
    assert refusal(hand.do, "place_removed", place="ant").reason == "out"
    changed = {**told(PLACES[-1]), "kind": "screw", "holds": "cover"}
    assert refusal(hand.do, "place_changed", place=changed).reason == "out"


def test_the_last_cover_screw_waits_for_the_first_power_on():
    hand = Hand().until("power_on")
    for name in ("c0", "c1", "c2", "c3", "c4"):
        hand.do("place_in", place=name)  # a few hold the cover while it is switched on
    assert refusal(hand.do, "place_in", place="c5").rule == "power_before_last_screws"


def test_a_failed_power_on_leaves_the_step_open_and_the_device_under_power():
    hand = Hand().until("power_on")
    hand.do("power_on", results={**FINE, "wireless": "fails"}, boot_s=22.0)
    assert "power_on" not in hand.state.outcomes
    assert not hand.state.power[-1].fine
    hand.do("gone_back", step="power_off")
    assert refusal(hand.step, "battery_off").rule == "power_first"
    hand.until("end").do("closed")


def test_no_power_before_a_conductive_spill_was_looked_at():
    hand = Hand().until("power_on")
    spill = hand.do("mishap", what="spill_alloy", words="a bead beside the die", step="apply_cpu_die_paste_stiff_0")
    assert hand.state.waits[spill.id].wait == "alloy_spill"
    error = refusal(hand.step, "power_on")
    assert sentence(error.remedy) == (
        "Inspected under magnification: no alloy on board, plugs or legs, and none ran under a chip."
    )
    hand.do("checked", of=spill.id, words="inspected under magnification, clean")
    hand.step("power_on")


def test_undo_takes_back_the_latest_and_redo_brings_it_again():
    hand = Hand().until("battery_off")
    before = hand.state
    done = hand.step("battery_off")
    after = hand.state
    hand.do("undo", event=done.id)
    assert hand.state == before
    hand.do("redo")
    assert hand.state == after
    assert refusal(hand.do, "redo").reason == "nothing"
    assert refusal(hand.do, "undo", event="something else").reason == "not_last"


def test_something_new_ends_the_redo():
    hand = Hand().until("battery_off")
    hand.step("battery_off")
    hand.do("undo")
    hand.do("note", words="clip at the left is weak")
    assert refusal(hand.do, "redo").reason == "nothing"


def test_a_closed_list_takes_photos_and_notes_but_no_steps():
    hand = Hand().until("end")
    hand.do("closed")
    hand.do("photo", photo="p1", what="after")
    assert refusal(hand.do, "place_out", place="c0").reason == "closed"
    hand.do("undo")
    hand.do("undo")
    assert hand.state.closed is None


def test_steps_move_only_where_the_interlocks_allow():
    hand = Hand().until("look")
    hand.do("step_moved", step="dust_out", after="cleaned")
    names = [s.id for s in hand.state.steps]
    assert names.index("dust_out") == names.index("cleaned") + 1
    error = refusal(hand.do, "step_moved", step="cooler_on", after="look")
    assert "In this order a rule is broken" in said_by(error)
    assert refusal(hand.do, "step_moved", step="power_off", after="look").reason == "done_already"


def test_own_steps_are_added_and_survive_a_new_plan():
    hand = Hand().until("cover_off")
    own = {"id": "own1", "stage": "open", "text": "Photograph the sticker below the fan"}
    hand.do("step_added", step=own, after="cover_off")
    fresh = make_steps("laptop", ALLOY, places=PLACES, school_percent=50)
    hand.do("replanned", steps=[told(s) for s in fresh], device=told(device_of("laptop", ALLOY)))
    names = [s.id for s in hand.state.steps]
    assert names.index("own1") == names.index("cover_off") + 1
    assert "insulated" in names
    assert hand.state.device.coat
    assert hand.state.outcomes["power_off"].how == "done"


def test_the_list_follows_a_map_that_is_drawn_while_opening():
    hand = Hand(places=[])
    assert "plugs_off" not in [s.id for s in hand.state.steps]
    hand.step("power_off")
    for place in PLACES:
        hand.do("place_added", place=told(place))
    steps = {s.id: s for s in hand.state.steps}
    assert sentence(steps["cover_screws_out"].text) == "Take the 6 screws of the cover out"
    assert sentence(steps["plugs_off"].text) == "Unplug: fan, white antenna"
    names = list(steps)
    assert names.index("battery_off") < names.index("plugs_off") < names.index("cooler_off")
    hand.until("end").do("closed")
    assert not hand.state.out


def test_a_swollen_battery_seen_on_opening_keeps_the_job_open():
    hand = Hand().until("end")
    hand.do("found", part="battery", seen="swollen")
    assert sentence(blockers(hand.state, hand.at)[0].text) == "Battery: swollen."


@pytest.mark.parametrize(
    ("kind", "data", "text"),
    [
        ("dance", {}, "“dance” is no event of the bench"),
        ("step_done", {}, "lacks “step”"),
        ("step_done", {"step": "a", "colour": "red"}, "“colour” does not belong"),
        ("step_done", {"step": "a" * 81}, "“step” of the event “step_done” is no name of up to 80 characters"),
        ("leftover", {"count": True}, "is no whole number"),
        ("note", {"words": "a\0b"}, "is no text"),
    ],
)
def test_an_event_that_is_none_is_refused(kind, data, text):
    with refuses(BenchRefused, match=text):
        check_event(kind, data)


@pytest.mark.parametrize(
    ("place", "text"),
    [
        (
            {"id": "a", "kind": "screw", "x": "left", "y": 0, "holds": "cover"},
            "“x” of a place is no number",
        ),
        ({"id": "a", "kind": "screw", "x": 0, "y": 0, "holds": "cover", "shine": 1}, "A place knows no “shine”"),
        ({"id": "a", "kind": "screw", "x": 0, "holds": "cover"}, "A place lacks “y”"),
    ],
)
def test_a_place_of_wrong_shape_is_refused(place, text):
    with refuses(CoreError, match=text):
        Hand().do("place_added", place=place)


def test_nothing_goes_before_the_list_has_begun():
    event = BenchCommand(id="e1", kind="step_done", data={"step": "power_off"}, at=START)
    assert refusal(append, BenchLog(), event).reason == "not_begun"


def test_the_clock_of_the_before_run_counts_before_the_list_does():
    command = BenchCommand(id="e1", kind="wait_started", data={"wait": "baseline", "minutes": 20}, at=START)
    log, _ = append(BenchLog(), command)
    (wait,) = log.state.waits.values()
    assert wait.due == START + timedelta(minutes=20)
    assert not log.state.begun


def test_replay_gives_the_same_state():
    hand = Hand(ALLOY).until("tray_0")
    hand.do("undo")
    hand.do("undo")
    hand.do("redo")
    hand.do("mishap", what="touched_film")
    assert replay(hand.all) == hand.log


def test_a_place_added_twice_is_refused():
    hand = Hand()
    with refuses(BenchRefused, match="on the map already"):
        hand.do("place_added", place=told(Place(id="c0", kind="screw", x=0, y=0, holds="cover")))


def test_an_own_step_marks_nothing_for_the_rules():
    hand = Hand()
    with refuses(CoreError, match="“dance” is no act of the bench"):
        hand.do("step_added", step=told(BenchStep(id="own", stage="open", text="Dance", acts=("dance",))))
    with refuses(CoreError, match="marks nothing for the rules"):
        hand.do("step_added", step=told(BenchStep(id="own", stage="fit", text="Paste is on", acts=("applied",))))


def test_a_plan_for_alloy_after_the_paste_step_asks_for_the_alloy_step_and_its_rules():
    hand = Hand(PASTE).until("covered")
    work = replace(ALLOY, opened=hand.state.opened, lifted=hand.state.lifted)
    steps = make_steps("laptop", work, places=tuple(PLACES), school_percent=50)
    hand.do("replanned", steps=[told(s) for s in steps], device=told(device_of("laptop", work)))
    assert hand.state.outcomes["apply_cpu_die_paste_stiff_0"].how == "done"
    assert "apply_cpu_die_gallium_alloy_0" not in hand.state.outcomes
    assert "cleaned" not in hand.state.outcomes
    hand.step("cleaned", breach="the paste had to come off again")
    error = refusal(hand.do, "step_done", step="apply_cpu_die_gallium_alloy_0", breach="I was in a hurry")
    assert error.rule == "insulate_before_alloy"


def closed(work=PASTE):
    hand = Hand(work).until("end")
    hand.do("closed")
    return hand


def again(hand, number=2, work=PASTE):
    steps = make_steps("laptop", work, places=tuple(hand.state.places.values()), school_percent=50)
    return hand.do(
        "attempt", number=number, steps=[told(s) for s in steps], device=told(device_of("laptop", work)), plan="repaste"
    )


def test_another_attempt_begins_from_the_start_on_the_map_that_is_known():
    hand = closed()
    places, first = hand.state.places, hand.state
    again(hand)
    state = hand.state
    assert (state.attempt, state.closed, state.outcomes, state.facts) == (2, None, {}, frozenset())
    assert state.places == places
    assert state.next_step == state.steps[0]
    # What the first left behind can still be asked for, and is what undo brings back.
    assert attempts_of(hand.log) == (first, state)
    hand.do("undo")
    assert hand.state == first


def test_a_screw_that_stayed_out_is_still_out_in_the_next_attempt():
    hand = Hand(PASTE)
    hand.until("end")
    last = hand.state.steps[-1]
    place = next(p for p in hand.state.places if p.startswith("c"))
    hand.do("place_out", place=place, breach="thread torn in the first attempt")
    hand.do("explained", place=place, words="thread torn, told the owner")
    for breach in list(hand.state.breaches):
        hand.do("checked", of=breach, words="looked at it with the loupe")
    assert last.id in hand.state.outcomes
    again_steps = blockers(hand.state, hand.at)
    assert not again_steps
    hand.do("closed")
    again(hand)
    assert place in hand.state.out
    assert hand.state.explained[place]


def test_an_attempt_waits_until_the_one_before_is_closed_and_counts_on():
    hand = Hand(PASTE).until("cooler_off")
    assert sentence(refusal(again, hand).message) == "Attempt 1 is not closed."
    assert sentence(refusal(again, closed(), number=4).message) == "Attempt 4 cannot follow; the next one is 2."


def test_a_pad_is_on_the_map_and_neither_in_nor_out():
    pad = Place(id="mem", kind="pad", x=0.4, y=0.3, holds="memory", gap_mm=1.3, thickness_mm=1.5, note="left")
    pads = Work(
        parts=(*PASTE.parts, PlannedPart(target="memory", kind="pad", words="Moss 1.5", dose="", school="", index=1))
    )
    hand = Hand(pads, [*PLACES, pad])
    (step,) = [s.id for s in hand.state.steps if pads_of(s.id, [*PLACES, pad])]
    assert step == "apply_memory_pad_1"
    said = refusal(hand.do, "place_out", place="mem")
    assert said_by(said) == "pad on memory, left, 1.5 mm over a gap of 1.3 mm is neither in nor out: its step lays it."
    # It bars nothing: the list is worked to its end with the pad where it is.
    hand.until("end")
    assert not hand.state.out
    hand.at += timedelta(hours=2)
    hand.do("closed")
    assert hand.state.closed
