"""The speed of a fan from the tones of a recording, its blades counted."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass

from vividowl.core.quantities.errors import require_range
from vividowl.core.quantities.words import say
from vividowl.core.sound.spectrum import Tone

FAN_LOW_RPM, FAN_HIGH_RPM = 600.0, 7000.0  # [rpm] of laptops, consoles and handhelds; from memory
BLADES_LOW, BLADES_HIGH = 3, 120  # of a fan; from memory
# Share within which a tone is a harmonic; within which sound and log agree; from memory
HARMONIC_NEAR, LOG_AGREES_SHARE = 0.006, 0.06


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
    require_range("blades", blades, "", BLADES_LOW, BLADES_HIGH, say("fan-speed-count-blades-one-fan"))
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
