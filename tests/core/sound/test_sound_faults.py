"""Recordings as people make them: somebody speaks, a cup is put down, the phone turns its own gain."""

import numpy as np
import pytest

from vividowl.core.sound.faults import calm_stretches
from vividowl.core.sound.recording import read_sound
from vividowl.words import sentence

RATE = 16000.0


def rush(seconds=10.0, seed=1, level=0.02):
    return (np.random.default_rng(seed).normal(0.0, level, int(seconds * RATE))).astype(np.float32)


def syllables(samples, from_s, *, to_s, seed=2, level=0.3):
    """Bursts of a tenth to a quarter of a second, as a voice makes them."""
    rng, out = np.random.default_rng(seed), samples.copy()
    t = from_s
    while t < to_s:
        length = rng.uniform(0.1, 0.25)
        a, b = int(t * RATE), int((t + length) * RATE)
        out[a:b] += rng.normal(0.0, level * rng.uniform(0.4, 1.0), len(out[a:b])).astype(np.float32)
        t += length + rng.uniform(0.08, 0.25)
    return out


def test_a_steady_fan_is_used_whole():
    found = read_sound([rush()], RATE)
    assert found.faults == ()
    assert found.laeq_db is not None


def test_speech_in_a_part_is_left_out_and_the_rest_reads_as_without_it():
    quiet = rush()
    found, alone = read_sound([syllables(quiet, 2.0, to_s=5.0)], RATE), read_sound([quiet], RATE)
    assert found.laeq_db == pytest.approx(alone.laeq_db, abs=0.3)
    (said,) = found.faults
    assert "were left out" in sentence(said)


def test_a_knock_is_left_out():
    quiet = rush()
    knocked = quiet.copy()
    knocked[int(4.3 * RATE) : int(4.34 * RATE)] += 0.6
    found = read_sound([knocked], RATE)
    assert found.laeq_db == pytest.approx(read_sound([quiet], RATE).laeq_db, abs=0.3)


def test_speech_throughout_gives_no_level():
    found = read_sound([syllables(rush(), 0.0, to_s=10.0)], RATE)
    assert found.laeq_db is None
    assert "Record again in silence" in sentence(found.faults[0])


@pytest.mark.parametrize("creep_db", [4.0, -6.0])
def test_a_gain_that_creeps_gives_no_level(creep_db):
    ramp = 10.0 ** (np.linspace(0.0, creep_db, int(10 * RATE)) / 20.0)
    found = read_sound([(rush() * ramp).astype(np.float32)], RATE)
    assert found.laeq_db is None
    assert "creeps by" in sentence(found.faults[0])


def test_a_limiter_that_squeezes_the_peaks_gives_no_level():
    squeezed = np.tanh(6.0 * rush(level=0.2)).astype(np.float32) * 0.5
    found = read_sound([squeezed], RATE)
    assert found.laeq_db is None
    assert "limiter" in sentence(found.faults[0])


def test_a_tone_is_no_limiter():
    t = np.arange(int(6 * RATE)) / RATE
    tone = (0.05 * np.sin(2 * np.pi * 1000 * t)).astype(np.float32)
    assert read_sound([tone + rush(6.0, level=0.002)], RATE).laeq_db is not None


def test_property_what_is_left_is_never_longer_than_what_came():
    for seed in range(5):
        spoken = syllables(rush(seed=seed), 1.0 + seed, to_s=3.0 + seed, seed=seed)
        calm = calm_stretches(spoken, RATE)
        assert len(calm.samples) <= len(spoken)
        assert calm.usable
