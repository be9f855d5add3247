"""The speed of a fan from the tones of a recording, its blades counted."""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass

from vividowl.core.quantities.errors import require_range
from vividowl.core.quantities.words import say
from vividowl.core.sound.spectrum import LISTED_DB, Tone

FAN_LOW_RPM, FAN_HIGH_RPM = 600.0, 7000.0  # [rpm] of laptops, consoles and handhelds; from memory
BLADES_LOW, BLADES_HIGH = 3, 120  # of a fan; from memory
# [Hz] up to which the mains hums, and how near a tone of it lies; from memory.
MAINS_MOST_HZ, MAINS_NEAR_HZ = 720.0, 0.6
# Speeds of two fans in one device that lie nearer than this are taken for two; and how far apart tones are two at the
# least, since one fan wanders. From memory.
TWO_FANS_RATIO, BESIDE_LEAST = 1.25, 0.02
SHAFT_LOW_HZ, SHAFT_HIGH_HZ = 10.0, 117.0  # [Hz] of 600 to 7000 rpm
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
    """Speed of the fan by the tone with which its blades pass. None when no tone fits, when neither its shaft nor a log
    speaks for it, or when two fans may turn at once.

    tones: tones of a recording (n,)
    blades: number of blades [1], 3 to 120
    logged_rpm: fan speed in the sensor log of the same run [rpm] or None
    raises: OutOfRange
    formula: N = 60 f / blades, 600 to 7000 rpm, where a line of the shaft (N/60 or twice that) or the logged speed
        within 6 % agrees: a whine and the hum of the mains have multiples too, so these alone tell nothing
    range: no tone or line at a multiple of 50 or 60 Hz below 720 Hz, which may be the mains; two speeds less than a
        quarter apart are two fans
    source: blade-pass frequency, textbook
    """
    require_range("blades", blades, "", (BLADES_LOW, BLADES_HIGH), hint=say("fan-speed-count-blades-one-fan"))
    found: list[tuple[float, FanSpeed]] = []
    for tone in tones:
        rpm = 60.0 * tone.frequency_hz / blades
        if not FAN_LOW_RPM <= rpm <= FAN_HIGH_RPM or of_the_mains(tone.frequency_hz):
            continue
        harmonics = sum(_near(tones, k * tone.frequency_hz) for k in (2, 3))
        by = ["harmonic"] if harmonics else []
        if any(_near(tones, k * rpm / 60.0) and not of_the_mains(k * rpm / 60.0) for k in (1, 2)):
            by.append("shaft")
        if logged_rpm is not None and abs(rpm - logged_rpm) <= LOG_AGREES_SHARE * logged_rpm:
            by.append("log")
        if "shaft" in by or "log" in by:
            score = (len(by) + ("log" in by), harmonics, tone.prominence_db)
            found.append((score[0] * 100.0 + score[1] * 10.0, FanSpeed(rpm, tone.frequency_hz, harmonics, tuple(by))))
    if not found:
        return None
    found.sort(key=lambda pair: (-pair[0], pair[1].rpm))
    best = found[0]
    # A tone that is a multiple of the best one is its own harmonic, and no rival.
    rivals = [
        f
        for f in found[1:]
        if not _multiple(f[1].rpm / best[1].rpm)
        and (f[0] >= best[0] or abs(math.log(f[1].rpm / best[1].rpm)) < math.log(TWO_FANS_RATIO))
    ]
    # A second tone near the blade tone is a second fan, even where no shaft of it is heard.
    near = any(
        is_beside(tone.frequency_hz / best[1].blade_pass_hz) and tone.prominence_db >= LISTED_DB for tone in tones
    )
    beside = near and "log" not in best[1].told_by
    return best[1] if not rivals and not beside else None


def fitting_blades(tones: Sequence[Tone], blades: int) -> int | None:
    """Another number of blades that the tones speak for, None where the given one fits or nothing tells.

    tones: tones of a recording (n,)
    blades: number of blades as counted [1], 3 to 120
    returns: number of blades [1] or None
    formula: prominent tone over a line of the shaft that is a whole number between 3 and 120
    source: blade-pass frequency, textbook
    """
    heard = [t for t in tones if t.prominence_db >= LISTED_DB]
    shafts = [t.frequency_hz for t in heard if SHAFT_LOW_HZ <= t.frequency_hz <= SHAFT_HIGH_HZ]
    shafts = [f for f in shafts if not of_the_mains(f)]
    loud = [t for t in tones if t.prominent and t.frequency_hz > SHAFT_HIGH_HZ and not of_the_mains(t.frequency_hz)]
    if not shafts or not loud or fan_speed(tones, blades) is not None:
        return None
    ratio = loud[0].frequency_hz / shafts[0]
    count = round(ratio)
    fits = abs(ratio - count) < HARMONIC_NEAR * ratio and BLADES_LOW <= count <= BLADES_HIGH
    return count if fits and count != blades else None


def is_beside(ratio: float) -> bool:
    """Whether two tones may be two fans near each other.

    ratio: of their frequencies [1], > 0
    returns: whether they lie 2 % to a quarter apart [flag]
    source: common practice, no source
    """
    return BESIDE_LEAST < abs(math.log(ratio)) < math.log(TWO_FANS_RATIO)


def of_the_mains(frequency_hz: float) -> bool:
    """Whether a tone may be the hum of the mains.

    frequency_hz: of the tone [Hz]
    returns: whether it lies at a multiple of 50 or 60 Hz below 720 Hz [flag]
    source: mains frequencies of 50 and 60 Hz, IEC 60038
    """
    return frequency_hz < MAINS_MOST_HZ and any(
        abs(frequency_hz - round(frequency_hz / mains) * mains) < MAINS_NEAR_HZ for mains in (50.0, 60.0)
    )


def _near(tones: Sequence[Tone], frequency_hz: float) -> bool:
    return any(abs(t.frequency_hz - frequency_hz) < HARMONIC_NEAR * frequency_hz for t in tones)


def _multiple(ratio: float) -> bool:
    return ratio > 1.0 and abs(ratio - round(ratio)) < HARMONIC_NEAR * ratio
