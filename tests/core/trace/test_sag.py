"""Sag between minute 1 and minute 10, against the course that a log was made with."""

from dataclasses import replace

import numpy as np
import pytest

from vividowl.core.reading.findings import findings
from vividowl.core.reading.reading import read_trace
from vividowl.core.trace.load import find_load
from vividowl.core.trace.roles import Role
from vividowl.core.trace.sag import Minute, sag_of
from vividowl.core.trace.trace import Trace
from vividowl.core.verdict.comparison import compare
from vividowl.core.verdict.conditions import Conditions
from vividowl.core.verdict.parts import Side
from vividowl.words import sentences


def fanless(load_s, step_s=1.0, lead_s=60.0, clock=True):
    """Idle, then 20 W that fall to 12 W by an exponential of 200 s; clock and die follow."""
    time = np.arange(0.0, lead_s + load_s + 30.0, step_s)
    since = time - lead_s
    loaded = (since >= 0) & (since <= load_s)
    power = np.where(loaded, 12.0 + 8.0 * np.exp(-np.maximum(since, 0) / 200.0), 1.0)
    channels = {
        Role.CPU_POWER: power,
        Role.CPU_TEMPERATURE: np.where(since > 0, 95.0 - 55.0 * np.exp(-np.maximum(since, 0) / 30.0), 40.0),
    }
    if clock:
        channels[Role.CPU_CLOCK] = np.where(loaded, 1500.0 + 100.0 * power, 800.0)
    return Trace(time, channels)


def sag(trace):
    return sag_of(trace, find_load(trace))


@pytest.mark.parametrize("step_s", [1.0, 5.0])
def test_minutes_are_counted_from_the_onset_of_the_load(step_s):
    found = sag(fanless(900.0, step_s))
    one, ten = (12.0 + 8.0 * np.exp(-t / 200.0) for t in (60.0, 600.0))
    assert found.minute_1.power == pytest.approx(one, abs=0.05)
    assert found.minute_10.power == pytest.approx(ten, abs=0.05)
    assert found.difference.power == pytest.approx(ten - one, abs=0.08)
    assert found.difference.clock_mhz == pytest.approx(100.0 * (ten - one), abs=8)
    assert found.minute_10.die_c == pytest.approx(95.0, abs=0.1)


def test_a_load_of_ten_minutes_has_a_tenth_minute_and_a_shorter_one_has_none():
    assert sag(fanless(600.0)).minute_10.power == pytest.approx(12.4, abs=0.05)
    short = sag(fanless(540.0))
    assert short.minute_1.power is not None
    assert short.minute_10 == Minute()
    assert short.difference == Minute()


def test_a_log_that_begins_within_the_load_does_not_say_when_it_began():
    assert sag(fanless(900.0, lead_s=0.0)).minute_1 == Minute()


def test_what_was_not_logged_is_not_known():
    found = sag(fanless(900.0, clock=False))
    assert found.difference.clock_mhz is None
    assert found.difference.power < 0


def test_the_reading_and_the_verdict_say_it_in_words():
    reading = read_trace(fanless(900.0), 22.0)
    assert reading.sag.told
    said = sentences(findings(reading, 22.0))
    assert any(s.startswith("From minute 1 to minute 10: 17.9 → 12.4 W, ") for s in said), said
    held = fanless(900.0)
    even = Trace(held.time_s, {**held.channels, Role.CPU_POWER: np.where(held.channels[Role.CPU_POWER] > 2, 12.0, 1.0)})
    steady = read_trace(even, 22.0)
    assert not steady.sag.told
    assert any("it holds its power: 12.0 → 12.0 W" in s for s in sentences(findings(steady, 22.0)))
    conditions = Conditions(load="the same", fan="no fan", placement="desk", room_c=22.0)
    found = compare(Side(conditions=conditions, reading=reading), Side(conditions=conditions, reading=steady))
    assert any("17.9 → 12.4 W before, 12.0 → 12.0 W after" in s for s in sentences(found.reasons))
    # Without a fan both minutes are told even where nothing sags; beside a fan they are not.
    for fan, told in (("no fan", True), ("automatic", False)):
        given = replace(conditions, fan=fan)
        reasons = sentences(
            compare(Side(conditions=given, reading=steady), Side(conditions=given, reading=steady)).reasons
        )
        assert any("12.0 → 12.0 W before" in s for s in reasons) is told
