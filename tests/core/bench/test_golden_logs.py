"""A log never goes stale: what was written years ago reads the same, whatever rules have come since."""

import copy
from dataclasses import replace

import pytest
from tests.bench_jobs import FINE, PASTE, Hand
from tests.golden import LOGS, events_of, seen

from vividowl.core.bench import first_power, interlocks
from vividowl.core.bench.first_power import PowerCheck
from vividowl.core.bench.interlocks import Interlock
from vividowl.core.bench.log.events import KINDS, BenchEvent, BenchRefused
from vividowl.core.bench.log.evolve import evolve
from vividowl.core.bench.log.log import BenchLog, grown, replay
from vividowl.core.bench.log.state import BenchState


@pytest.mark.parametrize("name", LOGS)
def test_a_stored_log_reads_as_when_it_was_written(name):
    version, row = LOGS[name]
    log = replay(events_of(version, row))
    assert [e.id for e in log.active] == row["active"]
    assert [e.id for e in log.undone] == row["undone"]
    now, then = seen(log.state), seen(row["state"])
    assert {k: now[k] for k in then} == then


@pytest.mark.parametrize("name", LOGS)
def test_event_by_event_it_comes_to_the_same(name):
    log = BenchLog()
    for event in events_of(*LOGS[name]):
        log = grown(log, event)
    assert seen(log.state) == seen(replay(events_of(*LOGS[name])).state)


@pytest.mark.parametrize("version", [1, 2])
def test_the_stored_logs_hold_every_kind_of_their_day(version):
    kinds = {e.kind for v, row in LOGS.values() if v == version for e in events_of(v, row)}
    assert len(kinds) == 26  # as many as there were then; a kind of today is in the contract
    assert kinds <= set(KINDS)


@pytest.fixture
def stricter(monkeypatch):
    """A program of some years later: a new hard interlock in front of nearly everything, and a new power check."""
    rule = Interlock(
        rule="mask_first",
        acts=("cover_off", "cooler_off", "battery_on", "power_on_ok", "cover_screws_in"),
        needs=("masked",),
        hard=True,
        since=2,
    )
    monkeypatch.setattr(interlocks, "INTERLOCKS", (rule, *interlocks.INTERLOCKS))
    monkeypatch.setitem(
        first_power.CHECKS, "odour", PowerCheck(words="Smells of nothing", plugs=(), causes=("Residue on the fins.",))
    )


@pytest.mark.parametrize("name", LOGS)
def test_old_jobs_open_under_rules_that_came_later(name, stricter):
    version, row = LOGS[name]
    events = events_of(version, row)
    odd = []
    for event in events:
        data = copy.deepcopy(dict(event.data))
        data["mood"] = "calm"
        for step in data.get("steps", ()):
            step["scent"] = "none"
        odd.append(replace(event, data=data))
    log = replay(odd)
    now, then = seen(log.state), seen(row["state"])
    assert {k: now[k] for k in then} == then


def test_the_same_rules_do_judge_what_is_done_today(stricter):
    hand = Hand(PASTE).until("cover_off")
    with pytest.raises(BenchRefused, match="mask_first"):
        hand.step("cover_off")


def test_an_event_of_a_kind_from_later_changes_nothing():
    state = Hand(PASTE).state
    later = BenchEvent(id="e", kind="hummed", data={"tune": "any"}, at=state.begun)
    assert evolve(state, later) is state


@pytest.mark.parametrize(
    ("kind", "data"),
    [
        ("step_done", {"step": "gone"}),
        ("step_moved", {"step": "gone"}),
        ("gone_back", {"step": "gone"}),
        ("wait_ended", {"wait": "gone"}),
        ("checked", {"of": "gone", "words": "looked"}),
        ("place_out", {"place": "gone"}),
        ("place_in", {"place": "gone"}),
        ("place_removed", {"place": "gone"}),
        ("power_on", {"results": FINE}),
    ],
)
def test_evolving_is_total_even_where_what_is_meant_is_missing(kind, data):
    state = Hand(PASTE).state
    for before in (BenchState(), state):
        assert isinstance(evolve(before, BenchEvent(id="e", kind=kind, data=data, at=state.begun)), BenchState)
