"""Recordings: levels, weighting, tones and fan speed against standards and closed forms."""

import math

import numpy as np
import pytest
from tests.said import refuses

from vividowl.core.quantities.errors import NotEnoughData, OutOfRange
from vividowl.core.simulate.sound import simulate_fan_sound
from vividowl.core.sound.fan_speed import fan_speed, fitting_blades
from vividowl.core.sound.recording import full_scale_level, read_sound, whines
from vividowl.core.sound.spectrum import Tone, a_weighting, critical_bandwidth, third_octave_centres
from vividowl.words import sentence

RATE = 48000.0
# IEC 61672-1:2013, table 3, A-weighting at nominal frequencies [dB].
TABLE_3 = {
    10: -70.4,
    12.5: -63.4,
    16: -56.7,
    20: -50.5,
    25: -44.7,
    31.5: -39.4,
    40: -34.6,
    50: -30.2,
    63: -26.2,
    80: -22.5,
    100: -19.1,
    125: -16.1,
    160: -13.4,
    200: -10.9,
    250: -8.6,
    315: -6.6,
    400: -4.8,
    500: -3.2,
    630: -1.9,
    800: -0.8,
    1000: 0.0,
    1250: 0.6,
    1600: 1.0,
    2000: 1.2,
    2500: 1.3,
    3150: 1.2,
    4000: 1.0,
    5000: 0.5,
    6300: -0.1,
    8000: -1.1,
    10000: -2.5,
    12500: -4.3,
    16000: -6.6,
    20000: -9.3,
}


def sine(frequency, amplitude=0.1, seconds=8.0, rate=RATE):
    return (amplitude * np.sin(2 * np.pi * frequency * np.arange(int(seconds * rate)) / rate)).astype(np.float32)


def noise(spread=0.02, seconds=8.0, rate=RATE, seed=1):
    return np.random.default_rng(seed).normal(0, spread, int(seconds * rate)).astype(np.float32)


@pytest.mark.parametrize(("nominal", "weighting"), TABLE_3.items())
def test_published_a_weighting_of_iec_61672(nominal, weighting):
    # The table holds for exact base-ten frequencies and is rounded to a tenth.
    exact = 1000 * 10 ** (round(10 * math.log10(nominal / 1000)) / 10)
    assert a_weighting(np.array([exact]))[0] == pytest.approx(weighting, abs=0.06)


@pytest.mark.parametrize("frequency", [31.5, 63, 125, 1000, 4000, 8000, 16000])
def test_a_sine_has_its_weighted_level(frequency):
    # Mean square of a sine of 0.1 is 0.005: -23.01 dB.
    found = read_sound([sine(frequency)], RATE)
    wanted = 10 * math.log10(0.005) + a_weighting(np.array([frequency]))[0]
    assert found.laeq_db == pytest.approx(wanted, abs=0.15)
    assert found.lafmax_db == pytest.approx(wanted, abs=0.2)


@pytest.mark.parametrize("rate", [8000.0, 22050.0, 44100.0, 96000.0])
def test_the_level_does_not_depend_on_the_rate(rate):
    assert read_sound([sine(1000, rate=rate)], rate).laeq_db == pytest.approx(-23.01, abs=0.02)


def test_twice_the_amplitude_is_six_decibels_and_two_sources_three():
    one, other = noise(seed=1), noise(seed=2)
    base = read_sound([one], RATE).laeq_db
    assert read_sound([2 * one], RATE).laeq_db - base == pytest.approx(6.02, abs=0.01)
    assert read_sound([one + other], RATE).laeq_db - base == pytest.approx(3.01, abs=0.1)


def test_a_tone_burst_reads_as_the_standard_says_with_time_weighting_fast():
    # IEC 61672-1:2013, table 4: a burst of 200 ms reads -1.0 dB, of 50 ms -4.8 dB below the steady tone; class 1.
    quiet = np.zeros(int(2 * RATE), dtype=np.float32)
    for seconds, below in ((0.2, -1.0), (0.05, -4.8)):
        burst = np.concatenate([quiet, sine(4000, seconds=seconds), quiet])
        steady = read_sound([sine(4000)], RATE, steady=False).lafmax_db
        assert read_sound([burst], RATE, steady=False).lafmax_db - steady == pytest.approx(below, abs=0.7)


def test_percentiles_part_the_loud_from_the_quiet():
    found = read_sound([np.concatenate([noise(0.01, 10), noise(0.1, 3)])], RATE, steady=False)
    assert found.l10_db - found.l90_db == pytest.approx(20.0, abs=0.6)


def test_third_octaves_are_base_ten_and_add_up():
    centres = third_octave_centres(25, 20000)
    assert len(centres) == 30
    assert centres[16] == pytest.approx(1000.0)
    assert centres[17] / centres[16] == pytest.approx(10**0.1)
    found = read_sound([noise()], RATE)
    levels = [b.level_db for b in found.bands]
    # White noise rises by 1 dB a third octave (band width goes with frequency).
    assert np.mean(np.diff(levels[12:])) == pytest.approx(1.0, abs=0.05)
    total = 10 * math.log10(sum(10 ** (level / 10) for level in levels))
    assert total == pytest.approx(20 * math.log10(0.02), abs=1.0)


def test_published_critical_bandwidth_at_one_kilohertz():
    # ECMA-418-1 gives 162.2 Hz at 1 kHz.
    assert critical_bandwidth(1000.0) == pytest.approx(162.2, abs=0.1)


def test_a_tone_is_found_with_its_ratio_and_plain_noise_has_none():
    # Tone power 2e-4 against noise of 4e-4/24 kHz in a critical band of 162 Hz: 18.7 dB.
    found = read_sound([noise() + sine(1000, 0.02)], RATE)
    assert found.tones[0].frequency_hz == pytest.approx(1000, abs=1)
    assert found.tones[0].prominence_db == pytest.approx(18.7, abs=1.2)
    assert found.tones[0].prominent
    assert read_sound([noise()], RATE).tones == ()


@pytest.mark.parametrize(("blades", "rpm"), [(31, 2400), (37, 3600), (59, 4900)])
def test_the_blade_pass_tells_the_fan_speed(blades, rpm):
    pass_hz = blades * rpm / 60
    found = read_sound([noise() + sine(pass_hz, 0.01) + sine(2 * pass_hz, 0.01) + sine(7310, 0.03)], RATE)
    # Multiples alone are those of any whine: a log or the shaft has to speak for it.
    assert fan_speed(found.tones, blades, logged_rpm=1.02 * rpm).told_by[-1] == "log"
    fan = fan_speed(found.tones, blades, logged_rpm=rpm)
    assert fan.rpm == pytest.approx(rpm, rel=0.003)
    assert [t.frequency_hz for t in whines(found.tones, fan)] == pytest.approx([7310], abs=2)


@pytest.mark.parametrize("whine_hz", [640.0, 1000.0, 1900.0, 2800.0])
def test_a_whine_is_no_fan_speed(whine_hz):
    # Alone it fits some speed of a fan of 37 blades; nothing else speaks for it.
    assert fan_speed(read_sound([noise() + sine(whine_hz, 0.03)], RATE).tones, 37) is None
    both = read_sound([noise() + sine(whine_hz, 0.03) + sine(1603.3, 0.012) + sine(3206.7, 0.012)], RATE)
    assert fan_speed(both.tones, 37) is None
    assert fan_speed(both.tones, 37, logged_rpm=2570).rpm == pytest.approx(2600, rel=0.01)


def test_the_logged_fan_or_the_shaft_speaks_for_a_tone():
    tones = (Tone(1000.0, 12.0), Tone(1603.0, 6.0))
    assert fan_speed(tones, 37) is None
    assert fan_speed(tones, 37, logged_rpm=2570).told_by == ("log",)
    assert fan_speed((*tones, Tone(43.3, 3.0)), 37).told_by == ("shaft",)


def test_hum_commutation_and_a_whine_with_harmonics_are_no_fan():
    hum = tuple(Tone(100.0 * k, 20.0 / k) for k in range(1, 8))
    assert fan_speed(hum, 7) is None
    # Twelve times the shaft is the motor's commutation; its own shaft does not speak for the speed that it would be.
    assert fan_speed((Tone(520.0 * 1.01, 12.0), Tone(43.77, 6.0)), 7) is None
    whine = tuple(Tone(733.0 * k, 15.0 / k) for k in (1, 2, 3))
    assert fan_speed(whine, 37) is None


def test_two_fans_near_each_other_are_not_one():
    one = (Tone(1603.3, 14.0), Tone(43.33, 6.0))
    assert fan_speed(one, 37).rpm == pytest.approx(2600, rel=0.001)
    for apart in (1.04, 1.1, 1.15):
        assert fan_speed((*one, Tone(1603.3 * apart, 12.0)), 37) is None


def test_a_blade_count_that_does_not_fit_says_which_would():
    tones = (Tone(1603.3, 14.0), Tone(43.33, 6.0))
    assert fitting_blades(tones, 35) == 37
    assert fitting_blades(tones, 37) is None
    assert fitting_blades(tones[:1], 35) is None


def test_two_tones_that_do_equally_are_no_fan_speed():
    tones = (Tone(1000.0, 9.0), Tone(2000.0, 5.0), Tone(1300.0, 9.0), Tone(2600.0, 5.0))
    assert fan_speed(tones, 37) is None


def test_no_fitting_tone_is_no_fan_speed():
    assert fan_speed((Tone(7310.0, 20.0),), 31) is None
    with refuses(OutOfRange, match="Blades"):
        fan_speed((), 1)


def test_calibration_brings_levels_to_pascals():
    reference = read_sound([sine(1000, 0.1)], RATE)
    scale = full_scale_level(reference, 94.0)
    found = read_sound([sine(1000, 0.01)], RATE, scale)
    assert found.calibrated
    assert found.laeq_db == pytest.approx(74.0, abs=0.05)


def test_silence_is_named_and_has_no_level():
    found = read_sound([np.zeros(int(RATE), dtype=np.float32)], RATE)
    assert found.laeq_db is None
    assert "silent" in sentence(found.faults[0])
    with refuses(NotEnoughData, match="reference recording is silent"):
        full_scale_level(found, 94.0)


def test_a_clipped_microphone_is_named_and_still_read():
    found = read_sound([np.clip(sine(300, 3.0), -1, 1)], RATE)
    assert "clipped" in sentence(found.faults[0])
    assert found.laeq_db is not None


@pytest.mark.parametrize(("dead", "side"), [(0, "left"), (1, "right")])
def test_a_dead_side_is_named_and_the_other_read(dead, side):
    channels = [noise(), noise()]
    channels[dead] = np.zeros_like(channels[dead])
    found = read_sound(channels, RATE)
    assert f"{side} side is dead" in sentence(found.faults[0])
    assert found.laeq_db == pytest.approx(read_sound([noise()], RATE).laeq_db)


def test_a_moment_is_no_recording():
    with refuses(NotEnoughData, match=r"0\.25 s long"):
        read_sound([noise(seconds=0.25)], RATE)


@pytest.mark.parametrize(("rpm", "blades"), [(3000, 31), (1800, 23), (4200, 47)])
def test_a_simulated_fan_has_the_level_and_speed_it_was_given(rpm, blades):
    samples = simulate_fan_sound(rpm=rpm, blades=blades, level_db=50.0, full_scale_db=104.0, seed=3)
    found = read_sound([samples], 44100.0)
    assert 10 * math.log10(float(np.mean(samples**2))) == pytest.approx(-54.0, abs=0.05)
    assert fan_speed(found.tones, blades, logged_rpm=1.03 * rpm).rpm == pytest.approx(rpm, rel=0.01)
    assert np.array_equal(
        samples, simulate_fan_sound(rpm=rpm, blades=blades, level_db=50.0, full_scale_db=104.0, seed=3)
    )


def test_a_simulated_whine_is_found_as_one():
    samples = simulate_fan_sound(rpm=3300, blades=37, level_db=49.0, full_scale_db=104.0, seed=3, whine_hz=7300.0)
    tones = read_sound([samples], 44100.0).tones
    assert [round(t.frequency_hz) for t in whines(tones, fan_speed(tones, 37), 37)] == [7300]


def test_a_simulated_fan_must_be_a_fan():
    for odd in ({"rpm": 5.0}, {"blades": 1}, {"level_db": 300.0}, {"whine_hz": 60000.0}, {"seconds": 0.1}):
        given = {"rpm": 3000.0, "blades": 31, "level_db": 50.0, "full_scale_db": 104.0, "seed": 1, **odd}
        with pytest.raises(OutOfRange):
            simulate_fan_sound(**given)
