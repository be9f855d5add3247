"""What stands in a spectrum: weighting, third octaves, tones and how much they stand out."""

from __future__ import annotations

import math
from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray

from vividowl.core.quantities.errors import require_range

Samples = NDArray[np.float32]
Spectrum = NDArray[np.float64]
TONE_LOW_HZ, TONE_HIGH_HZ = 40.0, 12_000.0  # [Hz] in which tones are looked for; from memory
PROMINENT_DB = 8.0  # [dB] at 1 kHz, more below it (ECMA-418-1, tone-to-noise ratio)
LISTED_DB = 0.0  # [dB] a weaker tone is not listed
# But for a line that may be a fan's shaft: nobody hears it, and it tells the speed. From memory, looked at on fans of
# random strength.
SHAFT_LISTED_DB, SHAFT_MOST_HZ = -12.0, 130.0
AUDIBLE_SHARE = 1e-5  # of the whole power: a weaker tone is not heard; from memory
TONES_MOST, SHAFTS_MOST = 12, 6  # that are listed, and lines that nobody hears
TONAL_LINES = 30  # the strongest lines of a spectrum, whose share tells a tone from noise; from memory


@dataclass(frozen=True)
class Tone:
    """frequency_hz; prominence_db: tone-to-noise ratio in its critical band [dB]."""

    frequency_hz: float
    prominence_db: float

    @property
    def prominent(self) -> bool:
        """Whether people hear it stand out: 8 dB, and 8.33 lg(1000 Hz / f) more below 1 kHz; ECMA-418-1."""
        return self.prominence_db >= PROMINENT_DB + max(0.0, 8.33 * math.log10(1000.0 / self.frequency_hz))


@dataclass(frozen=True)
class Band:
    """A third octave: exact mid-band frequency centre_hz and its unweighted level_db."""

    centre_hz: float
    level_db: float


def a_weighting(frequency_hz: Spectrum) -> Spectrum:
    """A-weighting of a frequency.

    frequency_hz: frequencies (n,) [Hz], >= 0
    returns: weighting (n,) [dB], minus infinity at 0 Hz
    formula: from the four pole frequencies 20.60, 107.7, 737.9 and 12194 Hz, 0 dB at 1 kHz
    source: IEC 61672-1:2013, annex E
    """
    f2 = np.asarray(frequency_hz, dtype=np.float64) ** 2
    with np.errstate(divide="ignore"):
        gain = (
            12194.217**2
            * f2**2
            / ((f2 + 20.598997**2) * np.sqrt((f2 + 107.65265**2) * (f2 + 737.86223**2)) * (f2 + 12194.217**2))
        )
        return np.asarray(20.0 * np.log10(gain) + 1.99996, dtype=np.float64)


def critical_bandwidth(frequency_hz: float) -> float:
    """Width of the critical band around a tone.

    frequency_hz: tone [Hz], > 0
    returns: width [Hz]
    raises: OutOfRange
    formula: 25 + 75 (1 + 1.4 (f/1000)^2)^0.69
    source: ECMA-418-1, after Zwicker and Terhardt
    """
    f = require_range("frequency_hz", frequency_hz, "Hz", (1.0, 2e5)) / 1000.0
    return float(25.0 + 75.0 * (1.0 + 1.4 * f * f) ** 0.69)


def third_octave_centres(low_hz: float, high_hz: float) -> tuple[float, ...]:
    """Exact mid-band frequencies of third octaves.

    low_hz: least mid-band frequency [Hz], > 0
    high_hz: greatest mid-band frequency [Hz]
    returns: frequencies (n,) [Hz]
    raises: OutOfRange
    formula: 1000 * 10^(0.1 k)
    source: IEC 61260-1:2014, base-ten system
    """
    require_range("low_hz", low_hz, "Hz", (1.0, 1e5))
    first = math.ceil(10.0 * math.log10(low_hz / 1000.0) - 1e-9)
    last = math.floor(10.0 * math.log10(high_hz / 1000.0) + 1e-9)
    return tuple(1000.0 * 10.0 ** (0.1 * k) for k in range(first, last + 1))


def third_octaves(frequency: Spectrum, power: Spectrum, offset: float) -> tuple[Band, ...]:
    """Levels in third octaves, bins at the edges counted by their share.

    frequency: of each bin [Hz] (n,)
    power: in each bin [1] (n,)
    offset: level of unit power [dB]
    source: IEC 61260-1, exact mid-band frequencies to base ten
    """
    highest = min(20_000.0, float(frequency[-1]) / 10**0.05)
    out = []
    cumulated = np.concatenate(([0.0], np.cumsum(power)))
    width = float(frequency[1])
    for centre in third_octave_centres(25.0, highest):
        low, high = centre * 10**-0.05, centre * 10**0.05
        # Bins at the edges count by the share that lies inside.
        edges = np.interp([low, high], (np.arange(len(cumulated)) - 0.5) * width, cumulated)
        inside = float(edges[1] - edges[0])
        out.append(Band(centre, 10.0 * math.log10(max(inside, 1e-30)) + offset))
    return tuple(out)


def find_tones(frequency: Spectrum, power: Spectrum, rate_hz: float) -> tuple[Tone, ...]:
    """Narrow peaks that stand out of their critical band.

    frequency: of each bin [Hz] (n,)
    power: in each bin [1] (n,)
    rate_hz: sampling rate [Hz]
    returns: Tone (m,), strongest first
    source: ECMA-418-1, tone-to-noise ratio
    """
    width = float(frequency[1])
    low, high = max(3, int(TONE_LOW_HZ / width)), min(len(power) - 4, int(min(TONE_HIGH_HZ, 0.45 * rate_hz) / width))
    if high <= low:
        return ()
    level = np.log(power + 1e-30)
    index = np.arange(low, high)
    peaks = index[(level[index] > level[index - 1]) & (level[index] >= level[index + 1])]
    # A median over the neighbourhood stands for the noise floor that a tone rises from.
    from scipy.ndimage import median_filter  # here, since the import takes part of a second of the start

    floor = median_filter(level, size=max(9, int(60.0 / width) | 1), mode="nearest")
    peaks = peaks[level[peaks] > floor[peaks] + math.log(6.0)]
    out: list[Tone] = []
    for peak in peaks[np.argsort(level[peaks])[::-1]][:200]:
        # Parabola through three points of the logarithm.
        a, b, c = level[peak - 1], level[peak], level[peak + 1]
        shift = 0.5 * (a - c) / (a - 2 * b + c) if (a - 2 * b + c) != 0 else 0.0
        f = (peak + float(np.clip(shift, -0.5, 0.5))) * width
        if any(abs(f - t.frequency_hz) < max(4 * width, 0.1 * critical_bandwidth(f)) for t in out):
            continue
        half = 0.5 * critical_bandwidth(f)
        band = slice(max(1, int((f - half) / width)), int((f + half) / width) + 2)
        near = slice(max(1, peak - 3), peak + 4)
        # Noise under the tone and under its neighbours is taken from the floor, so that one tone does not hide another.
        under = np.minimum(power[band], 4.0 * np.exp(floor[band]))
        under[near.start - band.start : near.stop - band.start] = np.exp(floor[near])[: max(0, band.stop - near.start)]
        noise = float(under.sum())
        own = float(power[near].sum() - np.exp(floor[near]).sum())
        if noise > 0 and own > AUDIBLE_SHARE * float(power.sum()):
            ratio = 10.0 * math.log10(own / noise)
            if ratio >= (SHAFT_LISTED_DB if f < SHAFT_MOST_HZ else LISTED_DB):
                out.append(Tone(float(f), ratio))
    out.sort(key=lambda t: -t.prominence_db)
    heard = [t for t in out if t.prominence_db >= LISTED_DB]
    return (*heard[:TONES_MOST], *out[len(heard) :][:SHAFTS_MOST])


def tonal_share(power: Spectrum) -> float:
    """Share of the power that lies in its few strongest lines.

    power: in each bin [1] (n,)
    returns: share [1]
    """
    whole = float(power.sum())
    return float(np.partition(power, -TONAL_LINES)[-TONAL_LINES:].sum()) / whole if whole > 0 else 0.0
