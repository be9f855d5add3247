"""Whether it became quieter: levels read, and recordings."""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import replace

from vividowl.core.quantities.uncertainty import Tolerances, combined, standard_from_half_width
from vividowl.core.quantities.words import Words, listed, say
from vividowl.core.reading.measured import (
    Measured,
)
from vividowl.core.sound.levels import NoiseFigure, at_distance
from vividowl.core.trace.roles import Role
from vividowl.core.verdict.parts import Effect, Recorded, Side, effect_between

SAME_FAN_SHARE = 0.01  # within which a fan turned alike; from memory
# [dB] within which the room alone, or else the hiss of the microphone, is the same on both sides, so that the phone's
# gain is too; from memory.
ROOMS_ALIKE_DB, FLOORS_ALIKE_DB = 2.0, 1.0
ROOM_UNKNOWN_DB = 1.3  # [dB] half-width of what an unknown room adds: K1 at the least margin (ISO 3744)


def noise_level(figure: NoiseFigure, tol: Tolerances) -> Measured:
    """A level read by meter; readings of one sitting average out.

    figure: the mean of the readings
    tol: half-widths
    returns: Measured [dB]
    source: JCGM 100:2008, 4.2.3
    """
    return Measured(value=figure.level_db, scatter=standard_from_half_width(tol.noise_db) / math.sqrt(figure.readings))


def _of_the_room(befores: Sequence[Side], afters: Sequence[Side], tol: Tolerances) -> float:
    """Standard uncertainty that another room brings into a level [dB]: a warmer one makes a fan run faster, so a change
    of the level is not all the service's. Nothing when the logs show the same fan speed."""
    rooms = [[s.conditions.room_c for s in side if s.conditions.room_c is not None] for side in (befores, afters)]
    fans = [side[0].reading.stats.get(Role.FAN_SPEED) for side in (befores, afters)]
    if not all(rooms) or (fans[0] and fans[1] and abs(fans[1].mean - fans[0].mean) < SAME_FAN_SHARE * fans[0].mean):
        return 0.0
    apart = abs(sum(rooms[0]) / len(rooms[0]) - sum(rooms[1]) / len(rooms[1]))
    return standard_from_half_width(tol.noise_room_db_per_k * apart)


def _in_other_room(levels: Sequence[Measured | None], u: float) -> list[Measured | None]:
    return [replace(m, drift=combined(m.drift, u)) if m is not None else None for m in levels]


def noise_effect(befores: Sequence[Side], afters: Sequence[Side], tol: Tolerances) -> Effect:
    """Levels of both sides at one place, or not known; a distance is converted and that is said.

    befores: runs before (n,)
    afters: runs after (m,)
    tol: what the instruments may be off
    source: ISO 3744, background correction and distance
    """
    said: list[Words] = [say("quieter-energy-mean-readings-background-taken")]
    figures = [[s.noise for s in side if s.noise is not None] for side in (befores, afters)]
    first = next((f for side in figures for f in side), None)
    runs: list[list[Measured | None]] = []
    for side in figures:
        levels: list[Measured | None] = []
        for figure in side:
            assert first is not None  # noqa: S101 - there is a figure
            if figure.place and first.place and figure.place.casefold() != first.place.casefold():
                said = [say("quieter-read-at-and-at-not", place=first.place, other=figure.place)]
                continue
            level = noise_level(figure, tol)
            if figure.distance_m and first.distance_m and figure.distance_m != first.distance_m:
                level = replace(level, value=at_distance(level.value, figure.distance_m, first.distance_m))
                said.append(say("quieter-converted-from-m-to-m", from_m=figure.distance_m, to_m=first.distance_m))
            if figure.upper_bound:
                said.append(say("quieter-background-was-too-near-so"))
            levels.append(level)
        runs.append(levels)
    room_u = _of_the_room(befores, afters, tol)
    if room_u:
        runs[1] = _in_other_room(runs[1], room_u)
        said.append(say("quieter-rooms-differ-db-for-fan", half_width_db=room_u * math.sqrt(3.0)))
    return effect_between(
        "noise", say("quieter-noise"), unit="dB", runs=runs, lower_is_better=True, working=listed(said, "semicolon")
    )


def _not_alike(recordings: Sequence[Recorded]) -> Words:
    """Why recordings are not at one place and one gain, nothing where they are: a phone turns its gain by itself, and a
    step back is as much as a good service."""
    if not all(r.marked_place for r in recordings):
        return say("quieter-place-not-marked")
    rooms, floors = ([getattr(r, of) for r in recordings] for of in ("room_db", "floor_db"))
    levels, most_db = (floors, FLOORS_ALIKE_DB) if None in rooms else (rooms, ROOMS_ALIKE_DB)
    alike = None not in levels and max(levels) - min(levels) <= most_db
    return "" if alike else say("quieter-gain-may-differ")


def recorded_effect(befores: Sequence[Side], afters: Sequence[Side], tol: Tolerances) -> Effect | None:
    """The change between recordings of one phone at one place.

    befores: runs before (n,)
    afters: runs after (m,)
    tol: what the instruments may be off
    returns: Effect, None when there are no recordings
    source: ISO 3744, background correction
    """
    if not any(s.recording is not None for s in (*befores, *afters)):
        return None
    room_known = all(s.recording is None or s.recording.room_out for s in (*befores, *afters))
    # A room up to 6 dB below the quieter side, not recorded, may have shrunk the change by as much as ISO 3744
    # corrects.
    u = combined(
        standard_from_half_width(tol.noise_db), 0.0 if room_known else standard_from_half_width(ROOM_UNKNOWN_DB)
    )
    runs = [
        [Measured(value=s.recording.level_db, scatter=u) if s.recording is not None else None for s in side]
        for side in (befores, afters)
    ]
    runs[1] = _in_other_room(runs[1], _of_the_room(befores, afters, tol))
    said: list[Words] = [say("quieter-weighted-energy-mean-recordings-same")]
    doubt = _not_alike([s.recording for s in (*befores, *afters) if s.recording is not None])
    if doubt:
        runs, said = [[None], [None]], [*said, doubt]
    if not room_known:
        said.append(say("quieter-room-alone-was-not-recorded"))
    working = listed(said, "semicolon")
    found = effect_between(
        "recorded_level", say("quieter-noise-by-recording"), unit="dB", runs=runs, lower_is_better=True, working=working
    )
    # A phone does not know its own level: neither side is a figure, only what lies between them.
    return replace(found, before=None, after=None, before_u95=None, after_u95=None)
