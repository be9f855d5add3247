"""What is a repeat, and what is a run of its own."""

from dataclasses import replace

import pytest

from vividowl.core.reading.reading import read_trace
from vividowl.core.reading.repeat import why_no_repeat
from vividowl.core.simulate.device import simulate
from vividowl.core.trace.roles import Role
from vividowl.core.trace.trace import Trace
from vividowl.words import sentence


def read(device, seed, room_c=23.0, drop=()):
    trace = simulate(device, room_c=room_c, seed=seed, load_s=480.0)
    return read_trace(Trace(trace.time_s, {r: v for r, v in trace.channels.items() if r not in drop}), room_c)


def test_the_same_run_again_is_a_repeat_in_another_room_too(mild):
    assert why_no_repeat(read(mild, 1), read(mild, 2)) is None
    assert why_no_repeat(read(mild, 1), read(mild, 2, room_c=27.0)) is None


@pytest.mark.parametrize(
    ("change", "words"),
    [
        ({"fan_low_c": 1.0, "fan_high_c": 2.0}, "it is a run at another fan speed."),
        ({"sustained_power": 28.0}, "it is a run under another load, or with another power limit."),
    ],
)
def test_another_fan_speed_or_another_load_is_a_run_of_its_own(mild, change, words):
    assert sentence(why_no_repeat(read(mild, 1), read(replace(mild, **change), 2))).endswith(words)


def test_what_was_not_logged_does_not_part_them(mild):
    full = replace(mild, fan_low_c=1.0, fan_high_c=2.0)
    assert why_no_repeat(read(mild, 1), read(full, 2, drop=(Role.FAN_SPEED,))) is None


def test_watts_that_heat_took_do_not_part_them(chalk, mild):
    assert read(chalk, 1).throttling.share > 0.02
    hotter = replace(chalk, interface=chalk.interface + 0.3)
    assert why_no_repeat(read(chalk, 1), read(hotter, 2)) is None
