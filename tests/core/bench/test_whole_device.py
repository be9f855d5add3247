"""No list, no key, no change of plan ends with power on a bare die, alloy without its coat, or a part left over.

The oracle knows nothing of facts and interlocks: it follows what the names of the done steps say was done to the
device.
"""

from dataclasses import replace
from datetime import timedelta

import pytest
from hypothesis import HealthCheck, assume, settings
from hypothesis import strategies as st
from hypothesis.stateful import RuleBasedStateMachine, initialize, invariant, rule
from tests.bench_jobs import FINE, PLACES, Hand
from tests.said import refuses

from vividowl.core.bench.log.close import blockers
from vividowl.core.bench.log.events import BenchRefused
from vividowl.core.bench.log.log import replay
from vividowl.core.bench.seen import SIGHTS
from vividowl.core.bench.steps.make_list import device_of, make_steps
from vividowl.core.bench.steps.vocabulary import PlannedPart, Work, is_alone
from vividowl.core.materials.kinds import DIE_KINDS
from vividowl.core.materials.plating import Bath
from vividowl.core.quantities.errors import CoreError
from vividowl.words import sentence, told

BATH = Bath(words="electroless bath", area_cm2=20.0, target_um=20.0, temperature_c=70.0, rate_um_h=2.5, hours=8.0)
SAID = "it happened before I looked"


@st.composite
def works(draw):
    """Any work that a plan can ask for, and some that it should not."""
    dies = draw(st.sampled_from([(), ("cpu_die",), ("gpu_die",), ("cpu_die", "gpu_die")]))
    kind = draw(st.sampled_from(DIE_KINDS))
    parts = [
        PlannedPart(target=d, kind=kind, words=kind, dose="0.08 g", school="a film", index=i)
        for i, d in enumerate(dies)
    ]
    for target, what in (("memory", "pad"), ("regulators", "putty"), ("other", "copper_shim"), ("cover", "pad")):
        if draw(st.booleans()):
            parts.append(PlannedPart(target=target, kind=what, words=what, dose="1 piece", school="", index=len(parts)))
    return Work(
        parts=tuple(parts),
        clean=draw(st.booleans()),
        new_fan=draw(st.booleans()),
        tuning=draw(st.sampled_from(["", "60 mV less"])),
        insulation=draw(st.sampled_from(["none", "coat", "tape", "lacquer"])),
        insulated_now=draw(st.booleans()),
        old_alloy=draw(st.booleans()),
        bath=BATH if draw(st.integers(0, 9)) == 0 else None,
        sealed=draw(st.booleans()),
    )


class Device:
    """What the done steps say of the device."""

    def __init__(self, hand, steps):
        self.lifted = self.alloy_unseen = self.insulated = False
        self.on, self.covered, self.coats, self.aluminium = True, set(), set(), set()
        self.two = self.coat = False
        self.steps = steps
        for event in hand.log.active:
            self.follow(event)

    def follow(self, event):
        data = event.data
        if event.kind in ("begun", "replanned"):
            self.two, self.coat = data["device"]["two_dies"], data["device"]["coat"]
        elif event.kind == "found":
            self.aluminium.discard(data["part"])
            if data["seen"] == "aluminium":
                self.aluminium.add(data["part"])
        elif event.kind == "power_on" or (event.kind == "place_in" and data["place"] == "bat"):
            self.power(event)
        elif event.kind == "step_done":
            self.step(data["step"], event)

    def step(self, name, event):
        name = name.removeprefix("again_")
        if name.startswith("cooler_off"):
            self.lifted, self.on, self.covered = True, False, set()
        elif name.startswith("cleaned"):
            self.covered, self.insulated = set(), False
        elif name in ("coat_1", "coat_2", "guard"):
            self.coats.add(name)
        elif name.startswith("insulated"):
            self.insulated = True
        elif name.startswith(("apply_cpu_die", "apply_gpu_die", "applied")):
            gpu = name.startswith(("apply_gpu_die", "applied_gpu"))
            self.covered.add("gpu" if gpu and self.two else "cpu")
            if "gallium_alloy" in name:
                assert self.insulated, "alloy on parts nobody looked at since cleaning"
                assert not self.coat or "guard" in self.coats or {"coat_1", "coat_2"} <= self.coats, (
                    "alloy without coats"
                )
                assert not self.aluminium, "alloy beside aluminium"
                self.alloy_unseen = True
        elif name.startswith(("alloy_inspect", "inspect")):
            self.alloy_unseen = False
        elif name.startswith("cooler_on"):
            assert not self.lifted or self.whole_faces, "a cooler on a bare die"
            self.on = True
        elif name.startswith("battery_on"):
            self.power(event)

    @property
    def whole_faces(self):
        return self.covered >= ({"cpu", "gpu"} if self.two else {"cpu"}) and not self.alloy_unseen

    def power(self, event):
        assert self.on, f"power with the cooler off: {event}"
        assert not self.lifted or self.whole_faces, f"power on a bare die: {event}"


# Steps at which a hand opens, lays, coats, glues or touches inside, by what they are called.
HANDS_INSIDE = (
    "cover_screws_out", "cover_off", "plugs_off", "cooler_screws_out", "cooler_off", "dust_out", "fan_flick",
    "alloy_scrape", "cleaned", "coat_", "guard", "insulated", "tray", "apply_", "film_off", "new_fan", "covered",
    "alloy_inspect", "shim_", "cooler_on", "plugs_on", "applied", "inspect",
)  # fmt: skip


def hands_under_power(ids):
    """Steps of a list that reach inside after the battery plug or the power, with no shutdown in between."""
    live, found = False, []
    for name in (i.removeprefix("again_") for i in ids):
        if name.startswith(("battery_on", "power_on")):
            live = True
        elif name.startswith(("battery_off", "power_off")):
            live = False
        elif live and name.startswith(HANDS_INSIDE):
            found.append(name)
    return found


class Adversary(RuleBasedStateMachine):
    """Any plan, any change of it, any key, and a story for every breach."""

    @initialize(work=works(), mapped=st.booleans(), kind=st.sampled_from(["laptop", "console", "handheld"]))
    def begin(self, work, mapped, kind):
        self.kind, self.seen = kind, {}
        self.hand = Hand(work, PLACES if mapped else [], kind)
        self.look()

    def look(self):
        self.seen |= {s.id: s for s in self.hand.state.steps}

    def attempt(self, event, **data):
        try:
            self.hand.do(event, **data)
        except CoreError:
            return False
        self.look()
        return True

    def press(self):
        step = self.hand.state.next_step
        if step is None:
            return
        data = {"results": FINE} if step.shows == "power" else {"step": step.id}
        self.attempt("power_on" if step.shows == "power" else "step_done", **data, breach=SAID)

    @rule(times=st.integers(1, 60))
    def press_on(self, times):
        for _ in range(times):
            self.press()

    def any_step(self, data):
        steps = self.hand.state.steps
        assume(steps)
        return data.draw(st.sampled_from(steps)).id

    @rule(data=st.data())
    def any_step_at_any_time(self, data):
        step = self.any_step(data)
        self.attempt("step_done", step=step, breach=SAID)

    @rule(data=st.data())
    def skip(self, data):
        self.attempt("step_skipped", step=self.any_step(data), reason="this model has no such part")

    @rule()
    def skip_all_that_can_be(self):
        for step in self.hand.state.steps:
            self.attempt("step_skipped", step=step.id, reason="this model has no such part")

    @rule(data=st.data())
    def go_back(self, data):
        self.attempt("gone_back", step=self.any_step(data))

    @rule(data=st.data())
    def move(self, data):
        self.attempt("step_moved", step=self.any_step(data), after=self.any_step(data))

    @rule(
        number=st.integers(0, 3),
        stage=st.sampled_from(["open", "clean", "fit", "close"]),
        data=st.data(),
        acts=st.sampled_from([(), ("applied",), ("cooler_off",), ("insulated", "covered")]),
    )
    def add_own(self, number, stage, data, acts):
        step = {"id": f"own{number}", "stage": stage, "text": "Something of our own", "acts": acts}
        self.attempt("step_added", step=step, after=self.any_step(data))

    @rule(work=works())
    def plan_anew(self, work):
        state = self.hand.state
        work = replace(work, opened=state.opened, lifted=state.lifted)
        steps = make_steps(self.kind, work, places=tuple(state.places.values()), school_percent=50)
        self.attempt("replanned", steps=[told(s) for s in steps], device=told(device_of(self.kind, work)))

    @rule(place=st.sampled_from(PLACES), out=st.booleans())
    def touch(self, place, out):
        self.attempt("place_out" if out else "place_in", place=place.id, breach=SAID)

    @rule(place=st.sampled_from(PLACES), draw=st.booleans())
    def change_the_map(self, place, draw):
        if draw:
            self.attempt("place_added", place=told(place))
        else:
            self.attempt("place_removed", place=place.id)

    @rule(part=st.sampled_from(["plate", "surroundings", "contact"]), data=st.data())
    def find(self, part, data):
        self.attempt("found", part=part, seen=data.draw(st.sampled_from(sorted(SIGHTS[part]))))

    @rule(times=st.integers(1, 6), again=st.booleans())
    def undo(self, times, again):
        for _ in range(times):
            self.attempt("undo")
        if again:
            self.attempt("redo")

    @rule()
    def switch_on(self):
        self.attempt("power_on", results=FINE, breach=SAID)

    @rule()
    def settle_and_close(self):
        """Answer for everything, go on to the end, and close."""
        for _ in range(3):
            self.press_on(80)
            for key in (*self.hand.state.breaches, *self.hand.state.mishaps):
                self.attempt("checked", of=key, words="looked with the loupe")
            self.hand.at += timedelta(hours=20)
        self.attempt("closed")

    @invariant()
    def the_device_lives(self):
        if not hasattr(self, "hand"):
            return
        device = Device(self.hand, self.seen)
        state = self.hand.state
        if state.closed is None:
            return
        assert device.on
        assert not device.lifted or device.whole_faces
        assert not [p for p in state.out if state.places[p].kind == "plug" or p not in state.explained]
        assert not state.leftover or state.leftover_words

    @invariant()
    def no_hand_goes_inside_after_power(self):
        if hasattr(self, "hand"):
            left = [s.id for s in self.hand.state.steps if s.id not in self.hand.state.outcomes and not s.own]
            assert not hands_under_power(left)

    @invariant()
    def the_log_reads_back(self):
        if hasattr(self, "hand"):
            assert replay(self.hand.all) == self.hand.log


Adversary.TestCase.settings = settings(
    max_examples=40,
    stateful_step_count=25,
    deadline=None,
    derandomize=True,
    suppress_health_check=[HealthCheck.too_slow, HealthCheck.filter_too_much, HealthCheck.data_too_large],
)
TestAdversary = pytest.mark.long(Adversary.TestCase)


PASTE = PlannedPart(target="cpu_die", kind="paste_soft", words="paste", dose="0.08 g", school="a film", index=0)
SECOND = PlannedPart(target="gpu_die", kind="paste_soft", words="paste", dose="0.08 g", school="a film", index=1)
PAD = PlannedPart(target="cover", kind="pad", words="pad", dose="1 piece", school="", index=0)
# handbook/bench.md, "the list follows the plan": common practice, no source.
STAY_ON = {
    "clean only": Work(),
    "couple the cover": Work(parts=(PAD,), clean=False),
    "new fan": Work(new_fan=True),
    "undervolt": Work(clean=False, tuning="60 mV less"),
}


@pytest.mark.parametrize("work", STAY_ON.values(), ids=STAY_ON)
def test_a_plan_that_needs_no_die_leaves_the_cooler_on(work):
    hand = Hand(work)
    acts = {a for s in hand.state.steps for a in s.acts}
    assert not {"cooler_off", "cleaned", "applied", "cooler_on"} & acts
    assert "cooler" not in " ".join(s.text for s in hand.state.steps).lower()
    hand.until("end").do("closed")
    assert hand.state.closed


@pytest.mark.parametrize("kind", ["laptop", "console", "handheld"])
@pytest.mark.parametrize("work", [*STAY_ON.values(), Work(parts=(PASTE, SECOND, PAD), new_fan=True)])
def test_nothing_needs_a_hand_inside_after_the_battery_plug_or_the_power(work, kind):
    """order-of-work.md: all connected, battery last, then power; common practice, no source."""
    assert not hands_under_power([s.id for s in make_steps(kind, work, places=PLACES, school_percent=50)])


def test_a_plan_that_lays_something_after_power_opens_the_device_anew():
    hand = Hand(Work(parts=(PASTE,))).until("cover_screws_in")
    work = Work(parts=(PASTE, PAD), opened=True)
    steps = make_steps("laptop", work, places=PLACES, school_percent=50)
    hand.do("replanned", steps=[told(s) for s in steps], device=told(device_of("laptop", work)))
    left = [s.id for s in hand.state.steps if s.id not in hand.state.outcomes]
    opens = ["power_off", "cover_screws_out", "cover_off", "battery_off"]
    assert left == [*opens, "apply_cover_pad_0", "battery_on", "power_on", "cover_screws_in"]
    hand.until("end").do("closed")


def test_a_pad_is_not_laid_while_the_battery_is_on():
    hand = Hand(STAY_ON["couple the cover"]).until("battery_off")
    with refuses(BenchRefused, match="battery"):
        hand.do("step_done", step="apply_cover_pad_0")


@pytest.mark.parametrize(
    ("work", "laid"),
    [
        (
            Work(
                parts=(
                    PlannedPart(target="other", kind="copper_shim", words="shim", dose="1 piece", school="", index=0),
                )
            ),
            "apply_other_copper_shim_0",
        ),
        (Work(parts=(replace(PASTE, kind="phase_change_paste"),)), "apply_cpu_die_phase_change_paste_0"),
        (Work(parts=(PASTE,)), "cleaned"),
    ],
)
def test_no_cooler_no_battery_and_no_power_before_it_is_set_or_dry(work, laid):
    hand = Hand(work).until(laid)
    hand.step(laid)
    hand.pause_min = 0.1
    for step in ("cooler_on", "battery_on"):
        with refuses(BenchRefused, match="min to go"):
            hand.do("step_done", step=step, breach=SAID)
    for act in (
        lambda: hand.do("power_on", results=FINE, breach=SAID),
        lambda: hand.do("place_in", place="bat", breach=SAID),
    ):
        with refuses(BenchRefused, match="min to go"):
            act()


def test_while_a_sheet_chills_the_same_device_is_opened():
    hand = Hand(Work(parts=(replace(PASTE, kind="phase_change_sheet"),)), pause_min=0.2)
    for step in ("chill", "power_off", "cover_screws_out", "cover_off", "battery_off", "plugs_off"):
        hand.step(step)
    with refuses(BenchRefused, match="fridge"):
        hand.step("cut")


def test_what_a_shim_is_planned_on_is_done_before_it_is_glued():
    shim = PlannedPart(
        target="other",
        kind="copper_shim",
        words="shim",
        dose="1 piece",
        school="",
        index=0,
        bond="glue",
        shift="shifted 2 mm to the right",
        insulate=True,
    )
    steps = {
        s.id: s
        for s in make_steps("laptop", Work(parts=(shim, replace(PASTE, index=1))), places=PLACES, school_percent=50)
    }
    names = list(steps)
    assert names.index("shim_guard_0") < names.index("shim_print_0") < names.index("apply_other_copper_shim_0")
    assert "putty" in sentence(steps["shim_print_0"].text)
    assert "2 mm to the right" in sentence(steps["apply_other_copper_shim_0"].material)
    plain = [
        s.id
        for s in make_steps("laptop", Work(parts=(replace(shim, insulate=False),)), places=PLACES, school_percent=50)
    ]
    assert "shim_guard_0" not in plain


def test_tuning_opens_nothing():
    hand = Hand(STAY_ON["undervolt"])
    assert {s.stage for s in hand.state.steps} == {"close"}
    assert not any(s.takes_out or s.acts for s in hand.state.steps)
    assert "60 mV less" in " ".join(s.text for s in hand.state.steps)


def test_a_fan_brings_out_its_own_plug_and_screws_only():
    hand = Hand(Work(new_fan=True)).until("new_fan")
    assert hand.state.out == {"bat", "fan", *[f"c{i}" for i in range(6)]}


@pytest.mark.parametrize("target", ["memory", "other"])
def test_whatever_lifts_the_cooler_renews_the_die(target):
    """A plan that only names pads or a shim still covers the die again."""
    work = Work(parts=(PlannedPart(target=target, kind="pad", words="pad", dose="1 piece", school="", index=0),))
    names = [s.id for s in Hand(work).state.steps]
    assert names.index("cooler_off") < names.index("cleaned") < names.index("apply_cpu_die_paste_soft")
    assert names.index("apply_cpu_die_paste_soft") < names.index("covered") < names.index("cooler_on")


def test_one_die_of_two_is_not_enough():
    hand = Hand(Work(parts=(PASTE, SECOND))).until("apply_gpu_die_paste_soft_1")
    for name in ("covered", "cooler_on"):
        with refuses(BenchRefused, match="bare die"):
            hand.do("step_done", step=name, breach=SAID)


def test_the_steps_between_a_die_and_the_power_are_not_skipped():
    hand = Hand(Work(parts=(PASTE,)))
    for name in ("cooler_off", "cleaned", "apply_cpu_die_paste_soft_0", "covered", "cooler_on"):
        with refuses(BenchRefused, match="not skipped"):
            hand.do("step_skipped", step=name, reason="done already before")


def test_a_story_does_not_put_power_on_a_bare_die():
    hand = Hand(Work(parts=(PASTE,))).until("look")
    for _ in range(2):
        with refuses(BenchRefused, match="The cooler is off"):
            hand.do("step_done", step="battery_on", breach=SAID)
        with pytest.raises(BenchRefused):
            hand.do("power_on", results=FINE, breach=SAID)
    assert any("cooler is off" in sentence(b.text) for b in blockers(hand.state, hand.at))


def test_alloy_after_paste_is_another_step_and_asks_for_clean_faces_again():
    alloy = Work(parts=(replace(PASTE, kind="gallium_alloy"),), insulation="coat", insulated_now=True, lifted=True)
    hand = Hand(Work(parts=(PASTE,))).until("covered")
    steps = make_steps("laptop", alloy, places=PLACES, school_percent=50)
    hand.do("replanned", steps=[told(s) for s in steps], device=told(device_of("laptop", alloy)))
    open_ = [s.id for s in hand.state.steps if s.id not in hand.state.outcomes]
    assert open_[:2] == ["cleaned", "coat_1"]
    assert "apply_cpu_die_gallium_alloy_0" in open_
    assert "alloy_inspect" in open_


def test_a_plan_that_no_longer_lifts_still_brings_the_cooler_back():
    hand = Hand(Work(parts=(PASTE,))).until("look")
    steps = make_steps(
        "laptop", Work(), places=PLACES, school_percent=50
    )  # as if nobody had told that the cooler is off
    hand.do("replanned", steps=[told(s) for s in steps], device=told(device_of("laptop", Work())))
    names = [s.id for s in hand.state.steps]
    assert names.index("again_cleaned_1") < names.index("again_applied_1") < names.index("again_cooler_on_1")
    assert names.index("again_cooler_on_1") < names.index("battery_on")
    hand.until("end").do("closed")
    assert hand.state.closed


def test_a_sheet_is_cut_before_the_cooler_comes_off_with_a_spare():
    sheet = replace(PASTE, kind="phase_change_sheet", dose="2 pieces of 15.5 × 15.5 mm")
    names = [s.id for s in Hand(Work(parts=(sheet,))).state.steps]
    assert names[0] == "chill"
    assert names.index("cut") < names.index("cooler_screws_out")
    steps = {s.id: s for s in Hand(Work(parts=(sheet,))).state.steps}
    assert "spare" in steps["cut"].text
    assert steps["cut"].after_waits == ("fridge",)


def test_a_plate_that_had_alloy_is_never_sanded():
    alloy = Work(parts=(replace(PASTE, kind="gallium_alloy"),), insulation="coat", old_alloy=True)
    steps = {s.id: s for s in Hand(alloy).state.steps}
    assert list(steps).index("alloy_scrape") < list(steps).index("cleaned") < list(steps).index("alloy_inspect")
    # Flakes conduct: neither brush nor air before they are off and away; each told singly.
    assert list(steps).index("alloy_waste") < list(steps).index("dust_out")
    assert is_alone(steps["alloy_scrape"].acts)
    assert is_alone(steps["alloy_waste"].acts)
    assert "plastic" in steps["alloy_scrape"].text
    assert "jar" in steps["alloy_waste"].text
    assert "Never sand" in steps["cleaned"].caution
    assert "mirror" not in " ".join(s.text for s in steps.values())


def test_alloy_that_is_only_found_on_opening_changes_the_way_it_is_cleaned():
    hand = Hand(Work(parts=(PASTE,))).until("dust_out")
    hand.do("found", part="contact", seen="alloyed")
    names = [s.id for s in hand.state.steps]
    assert names.index("alloy_scrape") + 2 == names.index("dust_out") < names.index("cleaned")
    hand.until("end").do("closed")


def test_alloy_is_inspected_before_anything_closes_over_it():
    alloy = Work(parts=(replace(PASTE, kind="gallium_alloy"),), insulation="coat")
    hand = Hand(alloy).until("alloy_inspect")
    for name in ("covered", "cooler_on"):
        with refuses(BenchRefused, match="not inspected under magnification"):
            hand.do("step_done", step=name, breach=SAID)


def test_plating_is_a_chain_with_its_own_clock():
    # handbook/materials.md: 20 um at 2.5 um/h are 8 h; activator 20 min: common practice, no source.
    hand = Hand(Work(parts=(PASTE,), bath=BATH))
    steps = {s.id: s for s in hand.state.steps if s.id.startswith("plate_")}
    assert [s.wait_min for s in steps.values() if s.wait] == [20.0, 480.0]
    assert steps["plate_bath"].after_waits == ("activator",)
    assert steps["plate_measure"].after_waits == ("plating",)
    assert "20 µm at 2.5 µm/h" in steps["plate_bath"].text
    assert "goggles" in steps["plate_cleaner"].caution
    hand.until("plate_bath").step("plate_bath")
    hand.at += timedelta(hours=8)
    hand.do("step_done", step="plate_measure", value=18.5)
    assert hand.state.outcomes["plate_measure"].value == 18.5
    hand.do("undo")
    with refuses(CoreError, match=r"allowed are 0.1 to 200 µm"):
        hand.do("step_done", step="plate_measure", value=2e5)


def test_a_log_of_yesterday_is_not_judged_by_the_rules_of_today():
    """A step that no rule of that day stood against stays done, and what it left open is put into the list."""
    hand = Hand(Work(parts=(PASTE,))).until("cleaned")
    early = replace(hand.all[-1], id="old", data={"step": "cooler_on"}, made={}, version=1)
    log = replay([*hand.all, early])
    assert log.state.outcomes["cooler_on"].how == "done"
    assert any(s.id.startswith("again_cooler_off") for s in log.state.steps)
