"""What two runs still differ by before anything is claimed: their length, the state they began in, the room that an
unlogged fan follows. Each is taken out where the log tells it, and left in the uncertainty where
it does not."""

from __future__ import annotations

import math
from collections.abc import Mapping, Sequence
from dataclasses import dataclass

from vividowl.core.reading.reading import Reading
from vividowl.core.trace.roles import JUDGED_ROLES, Role

LAST_PART_MIDDLE = 0.9  # of the run, where its last fifth has its middle (arithmetic)
SAME_LENGTH_S = 10.0  # [s]; from memory
LAST_PART_ALIKE = 1.4  # ratio of the parts from which figures are taken; from memory
# Heat of an earlier load leaves with about this time constant; where the start was not logged it may be this far off.
# From memory.
START_FADES_S, START_UNKNOWN_K = 350.0, 3.0
START_SHOWN_K = 3.0  # [K] between starts that are told; from memory
# An automatic fan runs a few per cent faster for each kelvin of room, so the rise over it falls by about this share.
# From memory.
FAN_FOLLOWS_SHARE_PER_K = 0.01


@dataclass(frozen=True)
class AtTime:
    """One run at the common time: die_c [degC]; watts that it felt [W] and fan_rpm, or None; others_c: its other
    temperatures [degC]."""

    die_c: float
    watts: float | None
    fan_rpm: float | None
    others_c: Mapping[Role, float]


@dataclass(frozen=True)
class EqualTerms:
    """runs: each run at the common time, before and after; half_width_k: what the two sides may still differ by [K];
    start_apart_k: how much warmer after began [K], None when not known; at_s: the common time of the load [s], None
    when each run counts with its own end."""

    runs: tuple[tuple[AtTime, ...], tuple[AtTime, ...]]
    half_width_k: float
    start_apart_k: float | None
    at_s: float | None


def length_of(reading: Reading) -> float:
    """Length of the load.

    returns: length [s]
    """
    return reading.load.end_s - reading.load.onset_s


def equal_terms(
    befores: Sequence[Reading], afters: Sequence[Reading], rooms_c: tuple[float | None, float | None]
) -> EqualTerms:
    """Bring runs to equal times, and say what they may still differ by.

    rooms_c: room before and after [degC] or None
    formula: unsettled runs count as they were when the shortest ended; a warmer start fades as e^(-t/350 s)
    source: definition; the constants are from memory
    """
    runs = [*befores, *afters]
    common = min(length_of(r) for r in runs)
    longest = max(length_of(r) for r in runs)
    own = all(r.window.settled for r in runs) or any(r.window.chosen for r in runs)
    # A game counts by its last half: what it is set against must then count by its own last half, too.
    halves = max(r.last_part for r in runs) > LAST_PART_ALIKE * min(r.last_part for r in runs)
    own = own or (longest - common < SAME_LENGTH_S and not halves)
    sides = tuple(tuple(_own(r) if own else _at(r, common, halves) for r in side) for side in (befores, afters))
    fades = math.exp(-LAST_PART_MIDDLE * common / START_FADES_S)
    apart = _start_apart(befores[0], afters[0], rooms_c)
    begun = (START_UNKNOWN_K if apart is None else abs(apart)) * fades
    fan = 0.0
    logged = all(r.stats.get(Role.FAN_SPEED) is not None for r in runs)
    if not logged and rooms_c[0] is not None and rooms_c[1] is not None:
        rise = abs(befores[0].die.mean - rooms_c[0])
        fan = FAN_FOLLOWS_SHARE_PER_K * rise * abs(rooms_c[1] - rooms_c[0])
    return EqualTerms(sides, math.hypot(begun, fan), apart, None if own else common)  # type: ignore[arg-type]


def _own(reading: Reading) -> AtTime:
    fan = reading.stats.get(Role.FAN_SPEED)
    watts = reading.felt.watts if reading.felt is not None else None
    others = {r: reading.stats[r].mean for r in JUDGED_ROLES if r in reading.stats}
    return AtTime(reading.die.mean, watts, fan.mean if fan is not None else None, others)


def _at(reading: Reading, after_s: float, halves: bool) -> AtTime:
    if length_of(reading) - after_s < SAME_LENGTH_S and not halves:
        return _own(reading)
    course = reading.course_by_halves if halves else reading.course
    die, watts, fan = (v if math.isfinite(v) else None for v in course.at(after_s))
    others = {r: c for r in course.others_c if math.isfinite(c := course.other_at(r, after_s))}
    return AtTime(die, watts, fan, others) if die is not None else _own(reading)


def _start_apart(before: Reading, after: Reading, rooms_c: tuple[float | None, float | None]) -> float | None:
    """How much warmer after began than before, over what its own idle power makes of its own resistance [K]: a better
    interface idles cooler, and that is no other start."""
    left = []
    for reading, room_c in zip((before, after), rooms_c, strict=True):
        if reading.begun is None or room_c is None or reading.felt is None or not reading.felt.watts > 0:
            return None
        die_c, watts = reading.begun
        left.append(die_c - room_c - (reading.die.mean - room_c) / reading.felt.watts * watts)
    return left[1] - left[0]
