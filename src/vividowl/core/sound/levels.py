"""Sound levels: they combine by energy, and the background has to be taken out (ISO 3744)."""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass

from vividowl.core.quantities.errors import CoreError, NotEnoughData, require_range
from vividowl.core.quantities.words import say

LEVEL_LOW_DB, LEVEL_HIGH_DB = 0.0, 140.0  # [dB] threshold of hearing (definition); louder than any fan
MARGIN_NO_CORRECTION_DB = 15.0  # [dB] over the background (ISO 3744)
MARGIN_LEAST_DB = 6.0  # [dB] over the background (ISO 3744)


@dataclass(frozen=True)
class CorrectedLevel:
    """corrected_db: level without background [dB]; correction_db: K1 [dB]; upper_bound: margin below 6 dB."""

    corrected_db: float
    correction_db: float
    upper_bound: bool


@dataclass(frozen=True)
class LevelReading:
    """One reading by hand: level_db and background_db [dB], place in words, distance_m [m]."""

    level_db: float
    background_db: float | None = None
    place: str = ""
    distance_m: float | None = None


@dataclass(frozen=True, kw_only=True)
class NoiseFigure:
    """level_db: energy mean without background [dB]; upper_bound: background too near; place and distance_m:
    where it was read; readings: how many."""

    level_db: float
    upper_bound: bool
    place: str
    distance_m: float | None
    readings: int


def require_level_db(level_db: float, name: str = "level_db") -> float:
    """Refuse a level that no sound meter on a bench shows.

    level_db: level [dB], 0 to 140
    name: field named in the error [text]
    returns: the same value [dB]
    raises: OutOfRange
    source: common practice, no source
    """
    return require_range(
        name, level_db, "dB", (LEVEL_LOW_DB, LEVEL_HIGH_DB), hint=say("levels-type-weighted-level-from-meter")
    )


def energy_sum(levels_db: Sequence[float]) -> float:
    """Level of several sources together.

    levels_db: levels (n,) [dB], 0 to 140, n >= 1
    returns: level [dB]
    raises: NotEnoughData, OutOfRange
    formula: 10 lg(sum 10^(L/10))
    source: ISO 1996-1
    """
    if not levels_db:
        raise NotEnoughData(say("levels-no-noise-reading-to-combine"), field="levels_db")
    return 10.0 * math.log10(sum(10.0 ** (require_level_db(level) / 10.0) for level in levels_db))


def energy_mean(levels_db: Sequence[float]) -> float:
    """Mean level of repeated readings.

    levels_db: levels (n,) [dB], 0 to 140, n >= 1
    returns: level [dB]
    raises: NotEnoughData, OutOfRange
    formula: energy sum less 10 lg n
    source: ISO 3744
    """
    return energy_sum(levels_db) - 10.0 * math.log10(len(levels_db))


def background_correction(level_db: float, background_db: float) -> CorrectedLevel:
    """Take the background out of a reading.

    level_db: level with the device running [dB], 0 to 140
    background_db: level with the device off [dB], 0 to 140
    returns: CorrectedLevel; below 6 dB margin the most that grade 2 allows, marked as an upper bound
    raises: OutOfRange, CoreError when the background is louder than the reading
    formula: K1 = -10 lg(1 - 10^(-0.1 dL)), 0 at a margin of 15 dB or more
    source: ISO 3744, clause on background noise corrections, value from memory
    """
    margin = require_level_db(level_db) - require_level_db(background_db, "background_db")
    if margin < 0:
        raise CoreError(
            say("levels-background-db-louder-than-reading", background_db=background_db, level_db=level_db),
            field="background_db",
        )
    if margin >= MARGIN_NO_CORRECTION_DB:
        return CorrectedLevel(level_db, 0.0, False)
    correction = -10.0 * math.log10(1.0 - 10.0 ** (-0.1 * max(margin, MARGIN_LEAST_DB)))
    return CorrectedLevel(level_db - correction, correction, margin < MARGIN_LEAST_DB)


def at_distance(level_db: float, from_m: float, to_m: float) -> float:
    """Convert a level to another distance in a free field.

    level_db: level [dB], 0 to 140
    from_m: distance of the reading [m], > 0
    to_m: distance wanted [m], > 0
    returns: level [dB]
    raises: OutOfRange
    range: point source, free field; a bench is neither, so say that it was converted
    formula: L - 20 lg(to / from)
    source: inverse-square law
    """
    require_range("from_m", from_m, "m", (0.01, 100.0))
    require_range("to_m", to_m, "m", (0.01, 100.0))
    return require_level_db(level_db) - 20.0 * math.log10(to_m / from_m)


def noise_figure(readings: Sequence[LevelReading]) -> NoiseFigure | None:
    """One figure for a run, from the readings of the place where most were taken.

    returns: NoiseFigure, None without a reading
    raises: OutOfRange, CoreError
    formula: background taken out of each reading, then the energy mean
    source: ISO 3744
    """
    if not readings:
        return None
    places = [(r.place.casefold(), r.distance_m) for r in readings]
    most = max(dict.fromkeys(places), key=places.count)
    chosen = [r for r, place in zip(readings, places, strict=True) if place == most]
    levels = [
        CorrectedLevel(r.level_db, 0.0, False)
        if r.background_db is None
        else background_correction(r.level_db, r.background_db)
        for r in chosen
    ]
    return NoiseFigure(
        level_db=energy_mean([level.corrected_db for level in levels]),
        upper_bound=any(level.upper_bound for level in levels),
        place=chosen[0].place,
        distance_m=chosen[0].distance_m,
        readings=len(chosen),
    )
