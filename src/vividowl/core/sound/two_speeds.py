"""Two recordings of one fan at two speeds: what moves with the fan is its own, what stays is something else."""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass

from vividowl.core.quantities.errors import require_range
from vividowl.core.quantities.words import say
from vividowl.core.sound.fan_speed import (
    BLADES_HIGH,
    BLADES_LOW,
    FAN_HIGH_RPM,
    FAN_LOW_RPM,
    HARMONIC_NEAR,
    fan_speed,
    is_beside,
    of_the_mains,
)
from vividowl.core.sound.spectrum import LISTED_DB, Tone

# How much faster the fan turns in the second recording; from memory.
FASTER_LEAST, FASTER_MOST = 1.12, 5.0
# Level of a fan over the logarithm of its speed; a room that is heard too makes it less. Common practice, no source
# (docs/handbook/noise.md).
LAW_DB, LAW_LEAST_DB, LAW_NEAR_DB, RISE_LEAST_DB = 60.0, 25.0, 3.0, 1.5
MOVES_NEAR = 0.01  # share within which two tones move alike; from memory
SHAFT_ORDERS = 2  # of the shaft that a good fan shows as well; from memory


@dataclass(frozen=True)
class Heard:
    """A recording of the device: its tones and its A-weighted level [dB], over whatever both recordings share."""

    tones: Sequence[Tone]
    level_db: float


@dataclass(frozen=True)
class TwoSpeeds:
    """slow_rpm, fast_rpm: of the fan, None where it is not known which tone is its blades'; beside_hz: tones of the
    faster recording that move with the fan and are not all of its blades or its shaft: a bearing, something that
    rubs, or its motor."""

    slow_rpm: float | None
    fast_rpm: float | None
    beside_hz: tuple[float, ...] = ()


def two_speeds(slow: Heard, fast: Heard, blades: int) -> TwoSpeeds | None:
    """Speeds of a fan by what changes from one recording to the other. None when nothing fits, or more than one speed.

    slow: at the lower speed, from the same place at the same gain
    fast: at the higher speed
    blades: number of blades [1], 3 to 120
    raises: OutOfRange
    formula: each recording's own speed where its shaft tells it; else a tone f and a tone r f of the other recording,
        both N = 60 f / blades within 600 to 7000 rpm, where the level rises, by 25 to 60 lg r dB within 3 dB; a tone
        that is heard in both counts for neither; a multiple that moves alike or one recording's shaft speaks for it
    range: r 1.12 to 5; where tones move alike that are no multiples of one, a speed needs the shaft of a recording
    source: blade-pass frequency, textbook; the fan laws, textbook
    """
    require_range("blades", blades, "", (BLADES_LOW, BLADES_HIGH), hint=say("fan-speed-count-blades-one-fan"))
    alone = [fan_speed(heard.tones, blades) for heard in (slow, fast)]
    if alone[0] is not None and alone[1] is not None:
        ratio = alone[1].rpm / alone[0].rpm
        if not FASTER_LEAST <= ratio <= FASTER_MOST:
            return None
        return _told(slow, fast, ratio=ratio, pass_hz=alone[1].blade_pass_hz, blades=blades)
    # What is heard in both stays: a coil, or the mains.
    slow, fast = _without(slow, fast), _without(fast, slow)
    fits = _moved(slow, fast, blades)
    if not fits:
        return None
    ratio, lowest = min(fits, key=lambda pair: pair[1])
    # Tones close by may be two fans.
    if _two_fans(slow, fast, lowest, ratio):
        return None
    for own, way in zip(alone, (ratio, 1.0), strict=True):
        if own is not None and any(_near(own.blade_pass_hz * way, g) for _, g in fits):
            return _told(slow, fast, ratio=ratio, pass_hz=own.blade_pass_hz * way, blades=blades)
    others = tuple(g for _, g in fits if not _multiple(g, lowest))
    if others:
        return TwoSpeeds(None, None, (lowest, *others))
    # One pair alone may be two things, and a tone that is no multiple may be the blades'.
    whole = all(
        _multiple(f, of) for h, of in ((slow, lowest / ratio), (fast, lowest)) for f in _candidates(h.tones, blades)
    )
    return _told(slow, fast, ratio=ratio, pass_hz=lowest, blades=blades) if len(fits) > 1 and whole else None


def _without(heard: Heard, other: Heard) -> Heard:
    """A recording without the tones that another one has too."""
    own = [t for t in heard.tones if not any(_near(t.frequency_hz, o.frequency_hz) for o in other.tones)]
    return Heard(own, heard.level_db)


def _told(slow: Heard, fast: Heard, *, ratio: float, pass_hz: float, blades: int) -> TwoSpeeds:
    """What is known where the blade tone of the faster recording is."""
    shaft_hz = pass_hz / blades
    beside = tuple(
        tone.frequency_hz
        for tone in fast.tones
        if tone.prominence_db >= LISTED_DB
        and any(_near(t.frequency_hz, tone.frequency_hz / ratio) for t in slow.tones)
        and not _multiple(tone.frequency_hz, pass_hz)
        and not any(_near(tone.frequency_hz, k * shaft_hz) for k in range(1, SHAFT_ORDERS + 1))
    )
    return TwoSpeeds(60.0 * shaft_hz / ratio, 60.0 * shaft_hz, beside)


def _moved(slow: Heard, fast: Heard, blades: int) -> list[tuple[float, float]]:
    """How much higher tones of the faster recording are than those of the slower, alike, and the tones [Hz] (n,)."""
    rise_db = fast.level_db - slow.level_db
    if rise_db < RISE_LEAST_DB:
        return []
    low, high = (_candidates(h.tones, blades) for h in (slow, fast))
    fits = [
        (g / f, g)
        for f in low
        for g in high
        if FASTER_LEAST <= g / f <= FASTER_MOST
        and LAW_LEAST_DB * math.log10(g / f) - LAW_NEAR_DB <= rise_db <= LAW_DB * math.log10(g / f) + LAW_NEAR_DB
    ]
    # One speed for all of the fan: what most tones agree on, and nothing where two ratios have as many.
    alike = [[pair for pair in fits if _near(pair[0], one[0])] for one in fits]
    most = max(alike, key=len, default=[])
    rivals = any(len(other) == len(most) and not _near(other[0][0], most[0][0]) for other in alike)
    return [] if rivals else most


def _two_fans(slow: Heard, fast: Heard, pass_hz: float, ratio: float) -> bool:
    """Whether another tone close by in either recording may be a second fan."""
    return any(
        is_beside(t.frequency_hz / of) and t.prominence_db >= LISTED_DB
        for heard, of in ((slow, pass_hz / ratio), (fast, pass_hz))
        for t in heard.tones
    )


def _candidates(tones: Sequence[Tone], blades: int) -> list[float]:
    """Tones with which the blades may pass [Hz]."""
    return [
        t.frequency_hz
        for t in tones
        if t.prominence_db >= LISTED_DB
        and FAN_LOW_RPM <= 60.0 * t.frequency_hz / blades <= FAN_HIGH_RPM
        and not of_the_mains(t.frequency_hz)
    ]


def _near(frequency_hz: float, other_hz: float) -> bool:
    return abs(frequency_hz - other_hz) < MOVES_NEAR * other_hz


def _multiple(frequency_hz: float, of_hz: float) -> bool:
    ratio = frequency_hz / of_hz
    return ratio > 1.0 - HARMONIC_NEAR and abs(ratio - round(ratio)) < HARMONIC_NEAR * ratio
