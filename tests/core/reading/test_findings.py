"""What one run tells in sentences: that nothing is wrong only where that is known, and what stands in the log."""

from dataclasses import replace

import numpy as np
import pytest

from vividowl.core.reading.findings import findings
from vividowl.core.reading.reading import read_trace
from vividowl.core.simulate.device import Device, simulate
from vividowl.core.trace.roles import Role
from vividowl.core.trace.trace import Trace
from vividowl.words import sentences

ROOM_C = 24.0
SOUND = Device(limit_c=100, sustained_power=40, boost_power=50, interface=0.12, sink=0.55, chassis=0.12)
NOTHING_WRONG = "Nothing is wrong with its cooling"


def run(device=SOUND, seed=1, **length):
    trace = simulate(device, room_c=ROOM_C, seed=seed, **length)
    return Trace(trace.time_s, {r: v for r, v in trace.channels.items() if r is not Role.EXHAUST_TEMPERATURE})


def said(trace, limit_c=None, chosen=None, **more):
    return sentences(findings(read_trace(trace, ROOM_C, limit_c, chosen), ROOM_C, limit_c=limit_c, **more))


def having(found, words):
    return [s for s in found if words in s]


def with_channels(trace, **channels):
    return Trace(trace.time_s, {**trace.channels, **{Role(k): v for k, v in channels.items()}})


def test_a_sound_device_is_told_so_first():
    found = said(run(), 100.0)
    assert found[0].startswith(NOTHING_WRONG)


@pytest.mark.parametrize(
    ("device", "limit_c", "more"),
    [
        (SOUND, None, {}),
        (SOUND, 68.0, {}),
        (replace(SOUND, interface=0.8), 100.0, {}),
        (SOUND, 100.0, {"lost": True}),
        (replace(SOUND, memory_pad=9.0), 100.0, {"sensor_limits_c": {Role.MEMORY_TEMPERATURE: 70.0}}),
    ],
    ids=["no limit noted", "just below its limit", "poor paste", "worse than after its service", "memory too hot"],
)
def test_what_is_not_known_to_be_sound_is_not_called_so(device, limit_c, more):
    assert not having(said(run(device), limit_c, **more), NOTHING_WRONG)


def test_figures_that_a_hand_chose_say_so():
    assert any("figures from 5:00 to 6:40, set by hand" in s for s in said(run(), chosen=(300.0, 400.0)))


def test_a_short_log_says_how_short_it_is():
    assert having(said(run(lead_s=20.0, load_s=30.0, tail_s=0.0)), "only 49 s long")


def test_frames_and_cores_that_lie_apart_are_told():
    trace = with_channels(run(), frame_rate=np.full(len(run().time_s), 59.5))
    assert having(said(trace), "59.5 frames a second")
    apart = Trace(trace.time_s, trace.channels, np.full(len(trace.time_s), 14.0))
    assert having(said(apart), "The cores lie 14 K apart")


def test_what_was_given_up_is_told_and_a_flag_alone_gives_no_number():
    held = Device(limit_c=80, sustained_power=60, boost_power=70, interface=0.7)
    trace = run(held)
    assert having(said(trace, 80.0), " giving up ")
    only = {Role.CPU_TEMPERATURE, Role.THROTTLE_FLAG}
    flagged = Trace(
        trace.time_s,
        {r: v for r, v in trace.channels.items() if r in only}
        | {Role.THROTTLE_FLAG: (trace.channels[Role.CPU_TEMPERATURE] > 79.0).astype(float)},
    )
    (told,) = having(said(flagged, 80.0), "of the loaded time")
    assert "giving up" not in told
