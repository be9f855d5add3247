"""The sound of a fan made of numbers: rush of air, blade tone with harmonics, a whine. Deterministic by seed."""

from __future__ import annotations

import numpy as np
from numpy.typing import NDArray

from vividowl.core.quantities.errors import require_range
from vividowl.core.quantities.words import say
from vividowl.core.sound.levels import require_level_db

HARMONICS = ((1, 1.0), (2, 0.35), (3, 0.15))  # of a blade tone, order and share; from memory
WHINE_SHARE = 0.4  # of the power of a whining coil; from memory
WANDER = 0.0006  # share by which a fan's speed goes up and down; from memory


def simulate_fan_sound(
    *,
    rpm: float,
    blades: int,
    level_db: float,
    full_scale_db: float,
    seed: int,
    seconds: float = 8.0,
    rate_hz: float = 44100.0,
    tone_share: float = 0.2,
    whine_hz: float | None = None,
) -> NDArray[np.float32]:
    """Record a fan with a phone that does not know its own level.

    rpm: fan speed [rpm], 200 to 20000
    blades: blades of the fan [1], 3 to 120
    level_db: level of the fan, not weighted [dB]
    full_scale_db: level that a mean square of 1 stands for, a property of the phone [dB]
    seed: seed of the rush of air [1]
    seconds: length [s], 1 to 600
    rate_hz: sampling rate [Hz], 8000 to 192000
    tone_share: share of the power that is in the blade tone and its harmonics [1], 0 to 1
    whine_hz: frequency of a whine with four tenths of the power [Hz] or None
    returns: samples (n,), full scale 1
    raises: OutOfRange
    formula: noise with a level falling 3 dB an octave above 200 Hz, sines at n blades N/60 with a wandering speed
    source: blade-pass frequency, fan handbooks; spectrum and wander from memory
    """
    require_range("rpm", rpm, "rpm", (200.0, 20000.0))
    require_range("blades", blades, "", (3, 120), hint=say("fan-speed-count-blades-one-fan"))
    require_level_db(level_db)
    require_range("seconds", seconds, "s", (1.0, 600.0))
    require_range("rate_hz", rate_hz, "Hz", (8000.0, 192000.0))
    require_range("tone_share", tone_share, "", (0.0, 1.0))
    rng = np.random.default_rng(seed)
    n = int(seconds * rate_hz)
    t = np.arange(n) / rate_hz
    spectrum = np.fft.rfft(rng.normal(0.0, 1.0, n))
    f = np.fft.rfftfreq(n, 1 / rate_hz)
    rush = np.fft.irfft(spectrum * np.sqrt(200.0 / np.maximum(f, 200.0)) * (f > 60.0), n)
    turns = rpm / 60.0 * (t + WANDER * np.sin(2 * np.pi * 0.4 * t) / (2 * np.pi * 0.4))
    tone = sum(
        a * np.sin(2 * np.pi * k * blades * turns) for k, a in HARMONICS if k * blades * rpm / 60 < rate_hz / 2.2
    )
    out = np.sqrt(1.0 - tone_share) * rush / rush.std()
    if np.any(tone):
        out = out + np.sqrt(tone_share) * tone / np.std(tone)
    if whine_hz is not None:
        require_range("whine_hz", whine_hz, "Hz", (100.0, rate_hz / 2.2))
        out = out + np.sqrt(2.0 * WHINE_SHARE) * np.sin(2 * np.pi * whine_hz * t)
    scale = 10 ** ((level_db - full_scale_db) / 20) / np.sqrt(np.mean(out * out))
    recorded: NDArray[np.float32] = np.clip(scale * out, -1.0, 1.0).astype(np.float32)
    return recorded
