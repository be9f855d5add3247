"""Clock spread, frame rate and the slow one per cent: by hand-made frames whose answer is arithmetic."""

import numpy as np
import pytest
from tests.said import refuses

from vividowl.core.quantities.errors import NotEnoughData
from vividowl.core.trace.pace import frames_of, pace_of
from vividowl.core.trace.roles import Role, recognise
from vividowl.core.trace.trace import Trace


def trace(interval_s=1.0, n=600, **channels):
    return Trace(
        np.arange(n) * interval_s,
        {Role.CPU_TEMPERATURE: np.full(n, 70.0), **{Role(k): np.asarray(v, float) for k, v in channels.items()}},
    )


def everywhere(t):
    return np.ones(len(t.time_s), dtype=bool)


def test_the_slow_one_per_cent_is_the_mean_of_the_longest_frames():
    # 9900 frames of 10 ms and 100 of 40 ms: 103 s, 97.09 /s; the slow hundredth runs at 25 /s.
    found = frames_of(np.r_[np.full(9900, 0.010), np.full(100, 0.040)])
    assert found.count == 10_000
    assert found.seconds == pytest.approx(103.0)
    assert found.rate == pytest.approx(10_000 / 103.0)
    assert found.slow_rate == pytest.approx(25.0)


def test_the_mean_rate_is_frames_over_time_and_not_the_mean_of_rates():
    # Half of the frames take 10 ms, half 30: 50 frames a second, while the mean of 100 and 33.3 would be 66.7.
    assert frames_of(np.tile([0.010, 0.030], 500)).rate == pytest.approx(50.0)


def test_the_slow_one_per_cent_is_never_faster_than_the_mean_and_keeps_to_its_order():
    rng = np.random.default_rng(3)
    for spread in (0.05, 0.2, 0.6):
        times = 0.016 * np.exp(rng.normal(0.0, spread, 5000))
        found = frames_of(times)
        assert found.slow_rate < found.rate
        assert frames_of(times[::-1]).slow_rate == pytest.approx(found.slow_rate)


def test_too_few_frames_have_no_slow_one_per_cent_and_what_is_no_frame_does_not_count():
    few = frames_of(np.r_[np.full(900, 0.02), np.nan, -1.0, 0.0, 35.0])
    assert (few.count, few.slow_rate) == (900, None)
    assert few.rate == pytest.approx(50.0)
    with refuses(NotEnoughData, match="at least 2"):
        frames_of(np.array([0.0, np.nan]))


def test_a_log_with_a_line_a_frame_tells_the_slow_one_per_cent_and_one_with_a_line_a_second_does_not():
    rng = np.random.default_rng(5)
    frame_ms = rng.uniform(12.0, 20.0, 6000)
    each = trace(0.016, 6000, frame_time=frame_ms)
    assert pace_of(each, everywhere(each)).frames.slow_rate == pytest.approx(1000.0 / np.sort(frame_ms)[-60:].mean())
    each_second = trace(1.0, 600, frame_time=rng.uniform(12.0, 20.0, 600))
    found = pace_of(each_second, everywhere(each_second)).frames
    assert found.slow_rate is None
    assert found.rate == pytest.approx(63.9, abs=1.5)  # the mean of 1/t over 12 to 20 ms: ln(20/12) / 8 per ms
    rates = trace(1.0, 600, frame_rate=np.full(600, 58.0))
    assert pace_of(rates, everywhere(rates)).frames.rate == pytest.approx(58.0)


def test_the_clock_spread_holds_nine_tenths_of_the_lines():
    rng = np.random.default_rng(7)
    clock = rng.normal(4000.0, 50.0, 5000)
    t = trace(1.0, 5000, cpu_clock=clock)
    found = pace_of(t, everywhere(t))
    assert found.clock_mhz == pytest.approx(4000.0, abs=5.0)
    # Of a normal distribution nine tenths lie within 3.29 standard deviations (any table of it).
    assert found.clock_spread_mhz == pytest.approx(3.29 * 50.0, rel=0.05)
    short = trace(1.0, 20, cpu_clock=np.full(20, 4000.0))
    assert pace_of(short, everywhere(short)).clock_spread_mhz is None
    bare = trace()
    assert pace_of(bare, everywhere(bare)).frames is None
    for name in ("frame_time", "frame_rate"):
        empty = trace(1.0, 20, **{name: np.full(20, np.nan)})
        assert pace_of(empty, everywhere(empty)).frames is None


@pytest.mark.parametrize(
    ("header", "role"),
    [
        ("Frame Time [ms]", Role.FRAME_TIME),
        ("frametimes (us)", Role.FRAME_TIME),
        ("Framerate [FPS]", Role.FRAME_RATE),
        ("fps", Role.FRAME_RATE),
        # What was worked out of many frames is no frame.
        ("1% Low [FPS]", None),
        ("Frame Time 99 percentile [ms]", None),
        ("GPU Frame Time [ms]", None),
    ],
)
def test_columns_of_frames_are_known_and_lows_are_not_taken_for_them(header, role):
    assert recognise([header])[0].role is role
