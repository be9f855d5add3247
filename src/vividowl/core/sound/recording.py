"""A recording: A-weighted levels, percentiles, third octaves and tones, and what the tones say of the fan."""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray

from vividowl.core.quantities.errors import NotEnoughData, require_range
from vividowl.core.sound.faults import Calm, calm_stretches, squeezed

Samples = NDArray[np.float32]
Spectrum = NDArray[np.float64]
REFERENCE_PRESSURE = 20e-6  # [Pa], IEC 61672-1
FAST_S = 0.125
RATE_LOW_HZ, RATE_HIGH_HZ = 4000.0, 384_000.0
SHORTEST_S = 0.5
CLIPPED_AT = 0.999
CLIPPED_RUN = 3
CLIPPED_SHARE = 1e-5
SILENT_BELOW_DBFS = -85.0
DEAD_SIDE_DB = 40.0
TONE_LOW_HZ, TONE_HIGH_HZ = 40.0, 12_000.0
PROMINENT_DB = 8.0
LISTED_DB = 0.0
AUDIBLE_SHARE = 1e-5
TONES_MOST = 12
WHINE_FROM_HZ = 1500.0
FAN_LOW_RPM, FAN_HIGH_RPM = 600.0, 7000.0
BLADES_LOW, BLADES_HIGH = 3, 120
HARMONIC_NEAR, LOG_AGREES_SHARE = 0.006, 0.06
BLOCK_S = 0.5
TONAL_LINES = 30


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


@dataclass(frozen=True)
class SoundReading:
    """Levels in dB: over 20 µPa when calibrated, else over full scale, where only differences are firm.

    laeq_db, lafmax_db: A-weighted energy mean and highest fast level; l10_db, l90_db: fast levels exceeded for 10 and
    90 % of the time; bands, tones (strongest first); faults: what is wrong with the recording, in words;
    levels_db: fast level every half second (n,). Levels are None when the recording is silent.
    """

    duration_s: float
    rate_hz: float
    calibrated: bool
    laeq_db: float | None
    lafmax_db: float | None
    l10_db: float | None
    l90_db: float | None
    bands: tuple[Band, ...]
    tones: tuple[Tone, ...]
    levels_db: tuple[float, ...]
    faults: tuple[str, ...]


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
            12194.217**2 * f2**2
            / ((f2 + 20.598997**2) * np.sqrt((f2 + 107.65265**2) * (f2 + 737.86223**2)) * (f2 + 12194.217**2))
        )  # fmt: skip
        return np.asarray(20.0 * np.log10(gain) + 1.99996, dtype=np.float64)


def critical_bandwidth(frequency_hz: float) -> float:
    """Width of the critical band around a tone.

    frequency_hz: tone [Hz], > 0
    returns: width [Hz]
    raises: OutOfRange
    formula: 25 + 75 (1 + 1.4 (f/1000)^2)^0.69
    source: ECMA-418-1, after Zwicker and Terhardt
    """
    f = require_range("frequency_hz", frequency_hz, "Hz", 1.0, 2e5) / 1000.0
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
    require_range("low_hz", low_hz, "Hz", 1.0, 1e5)
    first = math.ceil(10.0 * math.log10(low_hz / 1000.0) - 1e-9)
    last = math.floor(10.0 * math.log10(high_hz / 1000.0) + 1e-9)
    return tuple(1000.0 * 10.0 ** (0.1 * k) for k in range(first, last + 1))


def read_sound(
    channels: Sequence[Samples], rate_hz: float, full_scale_db: float | None = None, *, steady: bool = True
) -> SoundReading:
    """Read a recording.

    channels: one or two channels of samples (n,) [1], full scale 1
    rate_hz: sampling rate [Hz], 4 000 to 384 000
    full_scale_db: level of a mean square of 1 [dB over 20 uPa], None without a calibration
    steady: of a fan at one speed, so that speech, knocks and a creeping level do not belong to it [flag]
    returns: SoundReading; without a level where nothing usable is left
    raises: NotEnoughData below half a second, OutOfRange
    range: levels from third octaves of the power spectrum carry no class of IEC 61260-1
    formula: A-weighting in the frequency domain; fast level by an exponential mean of 0.125 s
    source: IEC 61672-1:2013; tones ECMA-418-1
    """
    require_range("rate_hz", rate_hz, "Hz", RATE_LOW_HZ, RATE_HIGH_HZ)
    n = min((len(c) for c in channels), default=0)
    if n < SHORTEST_S * rate_hz:
        raise NotEnoughData(
            f"The recording is {n / rate_hz:.2f} s long, at least {SHORTEST_S:g} s are needed.",
            field="recording",
            remedy="Record ten seconds or more with the fan at its loaded speed.",
        )
    samples, faults = _one_channel(channels)
    calm = calm_stretches(samples, rate_hz) if steady else Calm(samples, 0.0, (), True)
    samples = calm.samples
    power, squares = _spectrum(samples, rate_hz)
    offset = full_scale_db if full_scale_db is not None else 0.0
    mean_square = float(power.sum())
    if mean_square <= 0 or 10.0 * math.log10(mean_square) < SILENT_BELOW_DBFS:
        faults.append("The recording is silent: the microphone was off, muted or not the one chosen. No level known.")
        return SoundReading(
            n / rate_hz, rate_hz, full_scale_db is not None, None, None, None, None, (), (), (), tuple(faults)
        )
    faults += calm.faults
    frequency: Spectrum = np.arange(len(power), dtype=np.float64) * (0.5 * rate_hz / (len(power) - 1))
    weighted = power * 10.0 ** (0.1 * np.where(frequency > 0, a_weighting(np.maximum(frequency, 1e-3)), -300.0))
    laeq = 10.0 * math.log10(float(weighted.sum()) + 1e-300) + offset
    fast = 10.0 * np.log10(_fast(squares, rate_hz) + 1e-30) + offset
    every = max(1, round(BLOCK_S / (1.0 / _SQUARES_HZ)))
    tones = _tones(frequency, power, rate_hz)
    usable = calm.usable
    if usable and squeezed(samples, _tonal_share(power)):
        faults.append("A limiter squeezed the peaks, so no level follows. Record with less gain or from further away.")
        usable = False
    if not usable:
        return SoundReading(
            n / rate_hz, rate_hz, full_scale_db is not None, None, None, None, None, (), tones, (), tuple(faults)
        )
    return SoundReading(
        n / rate_hz, rate_hz, full_scale_db is not None, laeq, float(fast.max()),
        float(np.percentile(fast, 90)), float(np.percentile(fast, 10)), _bands(frequency, power, offset),
        tones, tuple(float(x) for x in fast[every - 1 :: every]), tuple(faults),
    )  # fmt: skip


_SQUARES_HZ = 80.0  # steps of mean squares a second from which the fast level is built


def _one_channel(channels: Sequence[Samples]) -> tuple[Samples, list[str]]:
    """The louder side, or the mean of both powers by the side itself when there is one only; and what is wrong."""
    faults: list[str] = []
    loud = [float(np.mean(np.square(c, dtype=np.float32))) for c in channels]
    best = int(np.argmax(loud))
    if len(channels) > 1:
        least = min(loud)
        if least <= 0 or 10.0 * math.log10(max(loud) / least) > DEAD_SIDE_DB:
            dead = "left" if best else "right"
            faults.append(f"The {dead} side is dead; the other one was read.")
    chosen = channels[best]
    peak = max(float(chosen.max()), -float(chosen.min()))
    if peak >= CLIPPED_AT:
        high = np.abs(chosen) >= CLIPPED_AT * max(1.0, peak)
        # A run of samples at the rail is clipping; a single one may be a true peak.
        runs = high[2:] & high[1:-1] & high[:-2]
        if runs.sum() > CLIPPED_SHARE * len(chosen):
            faults.append(
                f"The microphone was clipped: {int(high.sum())} samples sit at full scale, so levels are too low. "
                "Record again with less gain or from further away."
            )
    return chosen, faults


def _spectrum(samples: Samples, rate_hz: float) -> tuple[Spectrum, Spectrum]:
    """Mean power spectrum, one-sided, so that its sum is the mean square; and A-weighted mean squares over time."""
    from scipy.fft import irfft, rfft  # here, since the import takes part of a second of the start

    size = 1 << max(10, round(math.log2(rate_hz / 2.9)))
    size = min(size, 1 << int(math.log2(len(samples))))
    margin = size // 8
    hop = size - 2 * margin
    count = max(1, (len(samples) - size) // hop + 1)
    frames = np.lib.stride_tricks.sliding_window_view(samples, size)[::hop][:count]
    total = np.zeros(size // 2 + 1)
    frequency: Spectrum = np.arange(size // 2 + 1, dtype=np.float64) * (rate_hz / size)
    gain = np.zeros(size // 2 + 1, dtype=np.float32)
    gain[1:] = 10.0 ** (0.05 * a_weighting(frequency[1:]))
    inner = np.empty((count, hop), dtype=np.float32)
    for at in range(0, count, 64):
        spectra = rfft(frames[at : at + 64], axis=1, workers=2)
        # Hann's window is three neighbouring lines of the spectrum without one.
        hann = 0.5 * spectra
        hann[:, 1:-1] -= 0.25 * (spectra[:, :-2] + spectra[:, 2:])
        hann[:, 0] -= 0.5 * spectra[:, 1].real
        hann[:, -1] -= 0.5 * spectra[:, -2].real
        flat = hann.view(np.float32).reshape(len(hann), -1, 2)
        total += np.einsum("ijk,ijk->j", flat, flat)
        spectra *= gain
        # The rims of each frame are wrapped round by the filter and left out.
        inner[at : at + 64] = irfft(spectra, n=size, axis=1, workers=2, overwrite_x=True)[:, margin : size - margin]
    power = total / count / (size * size * 0.375)
    power[1:-1] *= 2.0
    out = inner.reshape(-1)
    step = max(1, round(rate_hz / _SQUARES_HZ))
    whole = max(1, len(out) // step) * step
    block = out[:whole].reshape(-1, step) if len(out) >= step else out.reshape(1, -1)
    return np.asarray(power, dtype=np.float64), np.einsum("ij,ij->i", block, block, dtype=np.float64) / block.shape[1]


def _fast(squares: Spectrum, rate_hz: float) -> Spectrum:
    """Exponential mean with the time constant fast, begun at the first half second's mean."""
    from vividowl.core.trace.trace import scan

    step = max(1, round(rate_hz / _SQUARES_HZ)) / rate_hz
    keep = math.exp(-step / FAST_S)
    gain = (1.0 - keep) * squares
    gain[0] += keep * float(squares[: max(1, round(0.5 / step))].mean())
    return scan(np.full((len(squares), 1), keep), gain[:, None])[:, 0]


def _bands(frequency: Spectrum, power: Spectrum, offset: float) -> tuple[Band, ...]:
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


def _tones(frequency: Spectrum, power: Spectrum, rate_hz: float) -> tuple[Tone, ...]:
    """Narrow peaks that stand out of their critical band."""
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
            if ratio >= LISTED_DB:
                out.append(Tone(float(f), ratio))
    return tuple(sorted(out, key=lambda t: -t.prominence_db)[:TONES_MOST])


def _tonal_share(power: Spectrum) -> float:
    """Share of the power that lies in its few strongest lines."""
    whole = float(power.sum())
    return float(np.partition(power, -TONAL_LINES)[-TONAL_LINES:].sum()) / whole if whole > 0 else 0.0


@dataclass(frozen=True)
class FanSpeed:
    """rpm by the blade-pass tone at blade_pass_hz; harmonics: how many of its multiples were found too; told_by: what
    speaks for it: harmonic, shaft, log."""

    rpm: float
    blade_pass_hz: float
    harmonics: int
    told_by: tuple[str, ...] = ()


def fan_speed(tones: Sequence[Tone], blades: int, logged_rpm: float | None = None) -> FanSpeed | None:
    """Speed of the fan by the tone with which its blades pass. None when no tone fits, when nothing but the tone itself
    speaks for it, or when two tones do equally.

    tones: tones of a recording (n,)
    blades: number of blades [1], 3 to 120
    logged_rpm: fan speed in the sensor log of the same run [rpm] or None
    returns: FanSpeed or None
    raises: OutOfRange
    formula: N = 60 f / blades, 600 to 7000 rpm, where a multiple of f, a line of the shaft (N/60 or twice that) or the
        logged speed within 6 % agrees: a whine has none of them
    source: blade-pass frequency, textbook
    """
    require_range("blades", blades, "", BLADES_LOW, BLADES_HIGH, "Count the blades of one fan.")
    found: list[tuple[float, FanSpeed]] = []
    for tone in tones:
        rpm = 60.0 * tone.frequency_hz / blades
        if not FAN_LOW_RPM <= rpm <= FAN_HIGH_RPM:
            continue
        harmonics = sum(_near(tones, k * tone.frequency_hz) for k in (2, 3))
        by = ["harmonic"] if harmonics else []
        if any(_near(tones, k * rpm / 60.0) for k in (1, 2)):
            by.append("shaft")
        if logged_rpm is not None and abs(rpm - logged_rpm) <= LOG_AGREES_SHARE * logged_rpm:
            by.append("log")
        if by:
            score = (len(by) + ("log" in by), harmonics, tone.prominence_db)
            found.append((score[0] * 100.0 + score[1] * 10.0, FanSpeed(rpm, tone.frequency_hz, harmonics, tuple(by))))
    if not found:
        return None
    found.sort(key=lambda pair: (-pair[0], pair[1].rpm))
    best = found[0]
    # A tone that is a multiple of the best one is its own harmonic, and no rival.
    rivals = [f for f in found[1:] if f[0] >= best[0] and not _multiple(f[1].rpm / best[1].rpm)]
    return best[1] if not rivals else None


def _near(tones: Sequence[Tone], frequency_hz: float) -> bool:
    return any(abs(t.frequency_hz - frequency_hz) < HARMONIC_NEAR * frequency_hz for t in tones)


def _multiple(ratio: float) -> bool:
    return ratio > 1.0 and abs(ratio - round(ratio)) < HARMONIC_NEAR * ratio


def whines(tones: Sequence[Tone], fan: FanSpeed | None, blades: int | None = None) -> tuple[Tone, ...]:
    """High tones that are no multiple of the blade pass: a coil or a bearing, which paste will not cure.

    tones: tones of a recording (n,)
    fan: fan speed or None
    blades: number of blades [1] or None; while the speed is not known, no tone that they could make is called a whine
    returns: prominent tones (m,), from 1.5 kHz up
    source: common practice, no source
    """

    def of_fan(tone: Tone) -> bool:
        if fan is None:
            return blades is not None and FAN_LOW_RPM <= 60.0 * tone.frequency_hz / blades <= FAN_HIGH_RPM
        ratio = tone.frequency_hz / fan.blade_pass_hz
        return ratio < 12 and abs(ratio - round(ratio)) < 0.015 * max(1.0, ratio)

    return tuple(t for t in tones if t.frequency_hz >= WHINE_FROM_HZ and t.prominent and not of_fan(t))


def full_scale_level(reference: SoundReading, reference_db: float) -> float:
    """Calibration from a recording of a known level, made with the same microphone and gain.

    reference: reading of the reference recording, uncalibrated
    reference_db: A-weighted level that the meter showed during it [dB], 0 to 140
    returns: level of a mean square of 1 [dB over 20 uPa]
    raises: OutOfRange, NotEnoughData when the reference is silent
    source: IEC 60942 for the idea of a known source
    """
    require_range("reference_db", reference_db, "dB", 0.0, 140.0, "Type the A-weighted level from the meter.")
    if reference.laeq_db is None:
        raise NotEnoughData(
            "The reference recording is silent.", field="reference", remedy="Record the reference again."
        )
    return reference_db - reference.laeq_db
