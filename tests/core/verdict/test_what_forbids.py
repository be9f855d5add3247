"""What two logs must have in common before anything is said about the difference between them."""

import re
from dataclasses import replace

import numpy as np
import pytest

from vividowl.core.reading.reading import read_trace
from vividowl.core.simulate.device import simulate
from vividowl.core.sound.levels import NoiseFigure
from vividowl.core.trace.roles import Role
from vividowl.core.trace.trace import Trace
from vividowl.core.verdict.comparison import compare
from vividowl.core.verdict.conditions import Bearing, Conditions
from vividowl.core.verdict.parts import Shown, Side
from vividowl.core.verdict.verdicts import Verdict
from vividowl.words import sentence, sentences

SAME = Conditions(
    load="even load",
    fan="fixed",
    power_profile="performance",
    placement="stand",
    start="cold",
    firmware="1.2",
    tuning="none",
    sensor="processor",
    room_c=24.0,
    duration_min=None,
)


def side(device, seed, change=lambda t: t, *, lead_s=60.0, noise_db=None, **conditions):
    trace = change(simulate(device, room_c=24.0, seed=seed, lead_s=lead_s))
    given = replace(SAME, **conditions)
    noise = (
        NoiseFigure(level_db=noise_db, upper_bound=False, place="vent", distance_m=0.3, readings=3)
        if noise_db is not None
        else None
    )
    return Side(conditions=given, reading=read_trace(trace, given.room_c), noise=noise)


def without(*roles):
    return lambda t: Trace(t.time_s, {r: v for r, v in t.channels.items() if r not in roles})


def on_graphics(t):
    names = {Role.CPU_TEMPERATURE: Role.GPU_TEMPERATURE, Role.CPU_POWER: Role.GPU_POWER}
    return Trace(t.time_s, {names.get(r, r): v for r, v in t.channels.items()})


def stuck(t):
    return Trace(t.time_s, {**t.channels, Role.CPU_TEMPERATURE: np.full(len(t.time_s), 61.0)})


@pytest.mark.parametrize(
    ("before", "after", "why"),
    [
        (lambda d: side(d, 1), lambda d: side(d, 2, on_graphics), "different die"),
        (lambda d: side(d, 1), lambda d: side(d, 2, stuck), "never moves"),
        (lambda d: side(d, 1, room_c=None), lambda d: side(d, 2), "room was not noted"),
    ],
    ids=["another die", "a stuck sensor", "no room"],
)
def test_no_verdict_between_logs_of_different_things(mild, before, after, why):
    found = compare(before(mild), after(replace(mild, interface=0.1)))
    assert found.verdict is Verdict.CANNOT_BE_COMPARED
    assert any(why in reason.lower() for reason in sentences(found.reasons)), sentences(found.reasons)


def test_a_device_held_back_on_one_side_only_needs_its_power(chalk, cured):
    blind = without(Role.CPU_POWER)
    found = compare(side(chalk, 3, blind), side(cured, 4, blind))
    assert found.verdict is Verdict.CANNOT_BE_COMPARED
    assert any("held" in reason for reason in sentences(found.reasons))


def duration_of(found):
    (length,) = [c for c in found.conditions if c.condition == "duration_min"]
    return length


def test_without_idle_before_the_load_its_length_is_what_was_noted(mild):
    def cut(t):
        return Trace(t.time_s[200:] - t.time_s[200], {r: v[200:] for r, v in t.channels.items()})

    unknown = compare(side(mild, 5, cut, lead_s=0.0), side(mild, 6, cut, lead_s=0.0))
    assert duration_of(unknown).bearing is Bearing.UNKNOWN
    noted = compare(
        side(mild, 5, cut, lead_s=0.0, duration_min=15.0), side(mild, 6, cut, lead_s=0.0, duration_min=15.0)
    )
    assert duration_of(noted).bearing is Bearing.SAME


def test_a_longer_run_that_settled_is_only_noted(mild):
    short = side(mild, 7, lambda t: t.until(60 + 700))
    found = compare(short, side(mild, 8))
    assert duration_of(found).bearing is Bearing.NOTED
    assert "run" in sentence(duration_of(found).text)


def test_louder_and_cooler_is_both(mild):
    loud = side(replace(mild, sink=0.35), 10, noise_db=52.0)
    found = compare(side(mild, 9, noise_db=40.0), loud)
    assert found.effect("noise").shown is Shown.WORSE
    assert re.search(r"cooler by .* louder", sentence(found.headline).lower()), sentence(found.headline)
    assert found.effect("rise").shown is Shown.BETTER
    assert found.effect("rise").u95_after(2) <= found.effect("rise").u95


def test_a_difference_that_is_not_known_will_not_be_known_by_more_runs(mild):
    found = compare(side(mild, 11, without(Role.CPU_POWER)), side(mild, 12, without(Role.CPU_POWER)))
    power = found.effect("resistance")
    assert (power.difference, power.u95_after(2)) == (None, None)
