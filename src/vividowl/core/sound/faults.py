"""What spoils a recording of a steady fan: speech, knocks, an automatic gain that creeps, a limiter that squeezes."""

from __future__ import annotations

from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray

from vividowl.core.quantities.words import Words, say

FAST_STEPS_HZ = 40.0  # [Hz] levels a second (numerics)
BLOCK_S = 1.0  # [s] judged calm or disturbed as one; from memory
# A fan's fast level moves by a decibel or two; syllables and knocks by far more.
CALM_RANGE_DB, ABOVE_USUAL_DB = 7.0, 6.0
CALM_SHARE_LEAST, CALM_LEAST_S = 0.4, 2.0  # of the recording, and [s], that have to be calm; from memory
# [dB] over the recording, and how evenly: a phone's own control of the level; from memory
CREEP_DB, CREEP_CORRELATION = 2.0, 0.9
# Noise has a kurtosis of 3, a limiter takes its peaks; a tone has less by itself.
KURTOSIS_LEAST, TONAL_SHARE_MOST = 2.55, 0.2

Samples = NDArray[np.float32]


@dataclass(frozen=True)
class Calm:
    """samples: the stretches that can be used (n,); left_out_s: what was left out [s]; faults: in words; usable: False
    when no level follows from the recording."""

    samples: Samples
    left_out_s: float
    faults: tuple[Words, ...]
    usable: bool


def calm_stretches(samples: Samples, rate_hz: float) -> Calm:
    """Leave out the seconds in which somebody speaks or something knocks, and tell a level that creeps.

    samples: one channel (n,) [1], full scale 1
    rate_hz: sampling rate [Hz], > 0
    range: fans at one speed; the level of what changes its speed creeps as well and is not used either
    formula: a second is calm when its fast level ranges over 7 dB at most and lies no more than 6 dB over the usual one
    source: common practice, no source
    """
    step = max(1, round(rate_hz / FAST_STEPS_HZ))
    whole = len(samples) // step * step
    squares = np.square(samples[:whole].reshape(-1, step), dtype=np.float64).mean(axis=1)
    per = round(BLOCK_S * rate_hz / step)
    blocks = len(squares) // per
    if blocks < 4:
        return Calm(samples, 0.0, (), True)
    levels = 10.0 * np.log10(squares[: blocks * per].reshape(blocks, per) + 1e-12)
    ranges = np.percentile(levels, 96, axis=1) - np.percentile(levels, 4, axis=1)
    usual = float(np.percentile(np.median(levels, axis=1), 40))
    calm = (ranges <= CALM_RANGE_DB) & (levels.max(axis=1) - usual <= ABOVE_USUAL_DB)
    lost = float((~calm).sum() * BLOCK_S)
    if calm.mean() < CALM_SHARE_LEAST or calm.sum() * BLOCK_S < CALM_LEAST_S:
        return Calm(samples, lost, (say("faults-speech-or-knocks-run-through"),), False)
    middle = np.median(levels[calm], axis=1)
    at = np.flatnonzero(calm).astype(np.float64)
    if len(at) >= 4 and np.ptp(middle) > 0:
        slope, _ = np.polyfit(at, middle, 1)
        creep = float(slope) * float(at[-1] - at[0])
        if abs(creep) > CREEP_DB and abs(float(np.corrcoef(at, middle)[0, 1])) > CREEP_CORRELATION:
            return Calm(samples, lost, (say("faults-level-creeps-by-db-from", creep=abs(creep)),), False)
    if calm.all():
        return Calm(samples, 0.0, (), True)
    size = per * step
    kept = np.concatenate([samples[i * size : (i + 1) * size] for i in np.flatnonzero(calm)])
    return Calm(kept, lost, (say("faults-speech-or-knocks-s-were", lost=lost),), True)


def squeezed(samples: Samples, tonal_share: float) -> bool:
    """Whether a limiter took the peaks of a noise, so that its level is too low.

    samples: one channel (n,) [1]
    tonal_share: share of the power that lies in tones [1], 0 to 1
    returns: True when it did [flag]; False where tones make up too much to tell
    formula: kurtosis below 2.55 where noise has 3
    source: kurtosis of the normal distribution, textbook; the limit is common practice, no source
    """
    if tonal_share > TONAL_SHARE_MOST:
        return False
    every = samples[:: max(1, len(samples) // 200_000)].astype(np.float64)
    every = every - every.mean()
    variance = float(np.mean(every**2))
    return variance > 0 and float(np.mean(every**4)) / variance**2 < KURTOSIS_LEAST
