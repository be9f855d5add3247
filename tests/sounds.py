"""Recordings for the tests: hiss with a fan's blade-pass tone, as WAV bytes."""

import io

import numpy as np
import soundfile

RATE = 44100


def hiss(level=0.02, *, seconds=5.0, seed=1, tone_hz=None, tone=0.02):
    """Samples of white noise, with a sine and its octave when asked for, as blades make them."""
    t = np.arange(int(RATE * seconds)) / RATE
    samples = np.random.default_rng(seed).normal(0, level, len(t))
    return (
        samples
        if tone_hz is None
        else samples + tone * (np.sin(2 * np.pi * tone_hz * t) + 0.6 * np.sin(4 * np.pi * tone_hz * t))
    )


def wav(samples, *, subtype="PCM_16"):
    """Samples as the bytes of a WAV file."""
    out = io.BytesIO()
    soundfile.write(out, samples, RATE, subtype=subtype, format="WAV")
    return out.getvalue()
