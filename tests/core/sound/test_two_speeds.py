"""Two recordings of a fan at two speeds: blade-pass frequency and fan laws, textbook; the fans are invented."""

import pytest

from vividowl.core.sound.spectrum import Tone
from vividowl.core.sound.two_speeds import Heard, two_speeds

BLADES = 23
SLOW_HZ, FAST_HZ = 30.0, 51.0  # revolutions a second
RISE_DB = 12.0  # 55 lg (51/30) = 12.7 dB


def heard(shaft_hz, orders, level_db, more=()):
    """A recording with tones at multiples of the shaft, and tones that belong to something else."""
    tones = [Tone(k * shaft_hz, 9.0) for k in orders] + [Tone(f, 9.0) for f in more]
    return Heard(tones, level_db)


def both(orders, *, rise_db=RISE_DB, more=(), more_fast=()):
    slow = heard(SLOW_HZ, orders, 40.0, more)
    return two_speeds(slow, heard(FAST_HZ, orders, 40.0 + rise_db, [*more, *more_fast]), BLADES)


def test_blades_and_their_multiple_that_move_alike_tell_both_speeds():
    found = both([BLADES, 2 * BLADES])
    assert (found.slow_rpm, found.fast_rpm) == pytest.approx((1800.0, 3060.0))
    assert found.beside_hz == ()


def test_what_stays_is_not_the_fan():
    # A whining coil with multiples, as loud in both.
    assert both([], more=[700.0, 1400.0, 2100.0]) is None
    found = both([BLADES, 2 * BLADES], more=[1000.0])
    assert found.fast_rpm == pytest.approx(3060.0)


@pytest.mark.parametrize("rise_db", [0.0, 30.0])
def test_a_level_that_does_not_follow_the_fan_laws_tells_no_speed(rise_db):
    assert both([BLADES, 2 * BLADES], rise_db=rise_db) is None


def test_one_pair_alone_may_be_two_things():
    assert both([BLADES]) is None


def test_two_fans_near_each_other_have_no_one_speed():
    assert both([BLADES, 2 * BLADES, 1.06 * BLADES]) is None


def test_a_tone_that_moves_and_is_not_the_blades_is_told_with_the_shaft():
    found = both([1, BLADES, 5.4])
    assert found.fast_rpm == pytest.approx(3060.0)
    assert found.beside_hz == pytest.approx((5.4 * FAST_HZ,))


def test_without_the_shaft_it_is_not_known_which_of_two_is_the_blades():
    found = both([BLADES, 15.4])
    assert (found.slow_rpm, found.fast_rpm) == (None, None)
    assert sorted(found.beside_hz) == pytest.approx([15.4 * FAST_HZ, BLADES * FAST_HZ])


def test_two_ratios_with_as_much_to_say_tell_nothing():
    assert both([BLADES], more_fast=[BLADES * SLOW_HZ * 1.9]) is None
