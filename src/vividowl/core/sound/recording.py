"""A recording: A-weighted levels, percentiles, third octaves and tones, and what the tones say of the fan."""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass, replace

import numpy as np

from vividowl.core.quantities.errors import NotEnoughData, require_range
from vividowl.core.quantities.words import Words, say
from vividowl.core.sound.fan_speed import FAN_HIGH_RPM, FAN_LOW_RPM, FanSpeed
from vividowl.core.sound.faults import Calm, calm_stretches, squeezed
from vividowl.core.sound.spectrum import (
    Band,
    Samples,
    Spectrum,
    Tone,
    a_weighting,
    find_tones,
    third_octaves,
    tonal_share,
)

FAST_S = 0.125  # [s] time weighting F (IEC 61672-1)
RATE_LOW_HZ, RATE_HIGH_HZ = 4000.0, 384_000.0  # [Hz]; a limit of the product
SHORTEST_S = 0.5  # [s]; a limit of the product
CLIPPED_AT = 0.999  # of full scale; from memory
CLIPPED_SHARE = 1e-5  # of the samples; from memory
SILENT_BELOW_DBFS = -85.0  # [dB] under full scale; quieter is a dead microphone; from memory
DEAD_SIDE_DB = 40.0  # [dB] between the sides of a stereo recording; from memory
WHINE_FROM_HZ = 1500.0  # [Hz] a fan's own tones end below; from memory
BLOCK_S = 0.5  # [s] of the levels that are charted


@dataclass(frozen=True, kw_only=True)
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
    faults: tuple[Words, ...]


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
    require_range("rate_hz", rate_hz, "Hz", (RATE_LOW_HZ, RATE_HIGH_HZ))
    n = min((len(c) for c in channels), default=0)
    if n < SHORTEST_S * rate_hz:
        raise NotEnoughData(
            say("recording-recording-s-long-at-least", rate_hz=n / rate_hz, shortest_s=SHORTEST_S), field="recording"
        )
    samples, faults = _one_channel(channels)
    calm = calm_stretches(samples, rate_hz) if steady else Calm(samples, 0.0, (), True)
    samples = calm.samples
    unknown = SoundReading(
        duration_s=n / rate_hz,
        rate_hz=rate_hz,
        calibrated=full_scale_db is not None,
        laeq_db=None,
        lafmax_db=None,
        l10_db=None,
        l90_db=None,
        bands=(),
        tones=(),
        levels_db=(),
        faults=(),
    )
    power, squares = _spectrum(samples, rate_hz)
    offset = full_scale_db if full_scale_db is not None else 0.0
    mean_square = float(power.sum())
    if mean_square <= 0 or 10.0 * math.log10(mean_square) < SILENT_BELOW_DBFS:
        faults.append(say("recording-recording-silent-microphone-was-off"))
        return replace(unknown, faults=tuple(faults))
    faults += calm.faults
    frequency: Spectrum = np.arange(len(power), dtype=np.float64) * (0.5 * rate_hz / (len(power) - 1))
    weighted = power * 10.0 ** (0.1 * np.where(frequency > 0, a_weighting(np.maximum(frequency, 1e-3)), -300.0))
    laeq = 10.0 * math.log10(float(weighted.sum()) + 1e-300) + offset
    fast = 10.0 * np.log10(_fast(squares, rate_hz) + 1e-30) + offset
    every = max(1, round(BLOCK_S / (1.0 / _SQUARES_HZ)))
    tones = find_tones(frequency, power, rate_hz)
    usable = calm.usable
    if usable and squeezed(samples, tonal_share(power)):
        faults.append(say("recording-limiter-squeezed-peaks-so-no"))
        usable = False
    if not usable:
        return replace(unknown, tones=tones, faults=tuple(faults))
    return SoundReading(
        duration_s=n / rate_hz,
        rate_hz=rate_hz,
        calibrated=full_scale_db is not None,
        laeq_db=laeq,
        lafmax_db=float(fast.max()),
        l10_db=float(np.percentile(fast, 90)),
        l90_db=float(np.percentile(fast, 10)),
        bands=third_octaves(frequency, power, offset),
        tones=tones,
        levels_db=tuple(float(x) for x in fast[every - 1 :: every]),
        faults=tuple(faults),
    )


_SQUARES_HZ = 80.0  # steps of mean squares a second from which the fast level is built


def _one_channel(channels: Sequence[Samples]) -> tuple[Samples, list[Words]]:
    """The louder side, or the mean of both powers by the side itself when there is one only; and what is wrong."""
    faults: list[Words] = []
    loud = [float(np.mean(np.square(c, dtype=np.float32))) for c in channels]
    best = int(np.argmax(loud))
    if len(channels) > 1:
        least = min(loud)
        if least <= 0 or 10.0 * math.log10(max(loud) / least) > DEAD_SIDE_DB:
            faults.append(say("recording-side-dead-other-one-was", left=best > 0))
    chosen = channels[best]
    peak = max(float(chosen.max()), -float(chosen.min()))
    if peak >= CLIPPED_AT:
        high = np.abs(chosen) >= CLIPPED_AT * max(1.0, peak)
        # A run of samples at the rail is clipping; a single one may be a true peak.
        runs = high[2:] & high[1:-1] & high[:-2]
        if runs.sum() > CLIPPED_SHARE * len(chosen):
            faults.append(say("recording-microphone-was-clipped-samples-sit", sum=int(high.sum())))
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
    require_range("reference_db", reference_db, "dB", (0.0, 140.0), hint=say("levels-type-weighted-level-from-meter"))
    if reference.laeq_db is None:
        raise NotEnoughData(say("recording-reference-recording-silent"), field="reference")
    return reference_db - reference.laeq_db
