"""Properties of the bench log under any sequence of events: hypothesis drives it as carelessly as it can."""

from datetime import timedelta

import pytest
from hypothesis import HealthCheck, settings
from hypothesis import strategies as st
from hypothesis.stateful import RuleBasedStateMachine, initialize, invariant, rule
from tests.bench_jobs import ALLOY, FINE, PASTE, PLACES, SHEET, Hand

from vividowl.core.bench.fasteners import Place
from vividowl.core.bench.first_power import CHECKS
from vividowl.core.bench.log.close import blockers
from vividowl.core.bench.log.log import replay
from vividowl.core.bench.mishaps import MISHAPS
from vividowl.core.quantities.errors import CoreError
from vividowl.words import told

STEPS = (
    "power_off",
    "cover_screws_out",
    "cover_off",
    "battery_off",
    "plugs_off",
    "cooler_screws_out",
    "cooler_off",
    "look",
    "dust_out",
    "cleaned",
    "insulated",
    "apply_cpu_die_paste_stiff_0",
    "film_off_0",
    "cooler_on",
    "plugs_on",
    "battery_on",
    "cover_screws_in",
)
BREACH = st.sampled_from([None, "it slipped before I looked"])


class Careless(RuleBasedStateMachine):
    """Hands that do anything at any time. What is refused must leave no trace."""

    @initialize(work=st.sampled_from([PASTE, ALLOY, SHEET]), mapped=st.booleans())
    def begin(self, work, mapped):
        self.hand = Hand(work, PLACES if mapped else [])
        self.states = [self.hand.state]

    def attempt(self, kind, **data):
        before = self.hand.log
        try:
            self.hand.do(kind, **{k: v for k, v in data.items() if v is not None})
        except CoreError:
            assert self.hand.log is before
            return
        if kind not in ("undo", "redo"):
            self.states = [*self.states, self.hand.state]

    @rule()
    def go_on(self):
        step = self.hand.state.next_step
        if step is not None:
            self.attempt("power_on", results=FINE) if step.shows == "power" else self.attempt("step_done", step=step.id)

    @rule()
    def go_on_to_the_end(self):
        for _ in self.hand.state.steps:
            self.go_on()

    @rule(step=st.sampled_from(STEPS), breach=BREACH)
    def step(self, step, breach):
        self.attempt("step_done", step=step, breach=breach)

    @rule(step=st.sampled_from((*STEPS, "power_on")))
    def skip(self, step):
        self.attempt("step_skipped", step=step, reason="not on this model")

    @rule(step=st.sampled_from(STEPS))
    def go_back(self, step):
        self.attempt("gone_back", step=step)

    @rule(place=st.sampled_from(PLACES), out=st.booleans(), breach=BREACH)
    def touch(self, place, out, breach):
        self.attempt("place_out" if out else "place_in", place=place.id, breach=breach)

    @rule(place=st.sampled_from(PLACES))
    def wipe(self, place):
        self.attempt("place_removed", place=place.id)

    @rule(place=st.sampled_from(PLACES))
    def draw(self, place):
        self.attempt("place_added", place=told(place))

    @rule(place=st.sampled_from(PLACES))
    def redraw_as_something_else(self, place):
        self.attempt("place_changed", place=told(Place(id=place.id, kind="screw", x=0.5, y=0.5, holds="board")))

    @rule(place=st.sampled_from(PLACES))
    def explain(self, place):
        self.attempt("explained", place=place.id, words="thread torn, told the owner")

    @rule(count=st.integers(0, 2), words=st.sampled_from([None, "from another job"]))
    def leave_over(self, count, words):
        self.attempt("leftover", count=count, words=words)

    @rule(fails=st.sampled_from([None, *CHECKS]), breach=BREACH)
    def switch_on(self, fails, breach):
        results = {**FINE, fails: "fails"} if fails else FINE
        self.attempt("power_on", results=results, breach=breach)

    @rule(what=st.sampled_from(sorted(MISHAPS)))
    def mishap(self, what):
        self.attempt("mishap", what=what)

    @rule()
    def check_all(self):
        told = [*self.hand.state.breaches, *self.hand.state.mishaps]
        for key in told:
            self.attempt("checked", of=key, words="looked with the loupe")

    @rule()
    def end_waits(self):
        for key in list(self.hand.state.waits):
            self.attempt("wait_ended", wait=key, reason="looked, it is dry")

    @rule()
    def undo(self):
        before = self.hand.log
        self.attempt("undo")
        if self.hand.log is not before:
            assert self.hand.log.state == replay(before.active[:-1]).state

    @rule()
    def undo_and_redo(self):
        before = self.hand.log
        self.attempt("undo")
        self.attempt("redo")
        if before.active:
            assert self.hand.log.state == before.state

    @rule()
    def close(self):
        self.hand.at += timedelta(hours=3)
        self.attempt("closed")

    @rule()
    def settle_and_close(self):
        """Whatever state it is in: answer for everything, go on, and try to close."""
        self.end_waits()
        self.check_all()
        self.go_on_to_the_end()
        self.check_all()
        self.close()

    @invariant()
    def closed_means_whole(self):
        if not hasattr(self, "hand") or self.hand.state.closed is None:
            return
        s = self.hand.state
        assert not [p for p in s.out if s.places[p].kind == "plug"]
        assert not [p for p in s.out if p not in s.explained]
        assert "battery_on" in s.facts
        assert all(b.checked for b in s.breaches.values())
        assert not (s.leftover and not s.leftover_words)
        assert not blockers(s, s.closed)
        # The battery went on last, or it is told that it did not.
        assert "battery_off" not in s.facts

    @invariant()
    def replay_gives_the_same(self):
        if hasattr(self, "hand"):
            assert replay(self.hand.all) == self.hand.log

    @invariant()
    def a_lifted_cooler_under_battery_is_told(self):
        if not hasattr(self, "hand"):
            return
        battery_off = set()
        s = self.hand.state
        for event in self.hand.log.active:
            if event.kind == "step_done" and event.data["step"] == "battery_off":
                battery_off.add(event.id)
            if event.kind == "place_out" and s.places.get(event.data["place"], PLACES[0]).holds == "battery":
                battery_off.add(event.id)
            if event.kind == "step_done" and event.data["step"] == "cooler_off" and not battery_off:
                assert any(b.rule == "cooler_on_battery" for b in s.breaches.values())


Careless.TestCase.settings = settings(
    max_examples=40,
    stateful_step_count=35,
    deadline=None,
    derandomize=True,
    suppress_health_check=[HealthCheck.too_slow, HealthCheck.filter_too_much],
)
TestCareless = pytest.mark.long(Careless.TestCase)


def test_the_careless_hands_do_close_a_job_now_and_then():
    """The property above would say nothing if no job ever closed."""
    hand = Hand(ALLOY).until("end")
    hand.do("closed")
    assert hand.state.closed
