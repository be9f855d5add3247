"""What changed from before to after, quantity by quantity, each with its expanded uncertainty."""

from __future__ import annotations

import math
from collections.abc import Callable, Mapping, Sequence
from dataclasses import dataclass, field, replace
from enum import StrEnum

from vividowl.core.quantities.change import duration_change, relative_change
from vividowl.core.quantities.uncertainty import COVERAGE_FACTOR, Tolerances, combined, standard_from_half_width
from vividowl.core.reading.measured import (
    BEHIND_INTERFACE_SHARE,
    FAN_EXPONENT,
    FAN_EXPONENT_HALF_WIDTH,
    Measured,
    at_fan_speed,
    by_share,
    capacity,
    die_temperature,
    difference_u95,
    pool,
    resistance,
    rise,
)
from vividowl.core.reading.reading import Reading, Statistics
from vividowl.core.sound.levels import NoiseFigure, at_distance
from vividowl.core.trace.roles import Role
from vividowl.core.verdict.conditions import Conditions
from vividowl.core.verdict.equal_terms import EqualTerms, equal_terms


class Shown(StrEnum):
    """What one effect shows."""

    BETTER = "better"
    WORSE = "worse"
    CHANGED = "changed"
    NOT_SHOWN = "not_shown"
    NOT_KNOWN = "not_known"


@dataclass(frozen=True)
class Recorded:
    """level_db: A-weighted level of a recording over full scale [dB]; room_out: whether the room alone was recorded too
    and lies far enough below to be taken out."""

    level_db: float
    room_out: bool


@dataclass(frozen=True)
class Side:
    """One run: conditions, reading of the log, noise by hand, level of a recording, and results of benchmarks by
    name: score [1], duration [s], frame_rate [1/s]."""

    conditions: Conditions
    reading: Reading
    noise: NoiseFigure | None = None
    recording: Recorded | None = None
    results: Mapping[str, float] = field(default_factory=dict)


@dataclass(frozen=True)
class Effect:
    """quantity and unit; before, after and their expanded uncertainties; difference with its U95; what it shows;
    working: formula and numbers in words; repeatable_u95: the part of U95 that more runs average out."""

    quantity: str
    words: str
    unit: str
    before: float | None
    after: float | None
    before_u95: float | None
    after_u95: float | None
    difference: float | None
    u95: float | None
    shown: Shown
    working: str
    repeatable_u95: float | None = None

    def u95_after(self, more_runs: int) -> float | None:
        """U95 of the difference with so many more runs on each side."""
        if self.u95 is None or self.repeatable_u95 is None:
            return None
        stays = max(0.0, self.u95**2 - self.repeatable_u95**2)
        return math.sqrt(stays + self.repeatable_u95**2 / (1 + more_runs))


def _effect(
    quantity: str, words: str, unit: str, runs: Sequence[Sequence[Measured | None]], lower_is_better: bool | None,
    working: str,
) -> Effect:  # fmt: skip
    (before, after), repeats = pool(runs)
    if repeats:
        working += "; scatter from the repeats"
    if before is None or after is None:
        return Effect(
            quantity, words, unit, before.value if before else None, after.value if after else None,
            before.u95 if before else None, after.u95 if after else None, None, None, Shown.NOT_KNOWN, working,
        )  # fmt: skip
    difference, u95 = after.value - before.value, difference_u95(before, after)
    shown = Shown.NOT_SHOWN
    if abs(difference) > u95:
        shown = Shown.CHANGED
        if lower_is_better is not None:
            shown = Shown.BETTER if (difference < 0) == lower_is_better else Shown.WORSE
    repeatable = min(u95, COVERAGE_FACTOR * combined(before.scatter, after.scatter))
    return Effect(
        quantity, words, unit, before.value, after.value, before.u95, after.u95, difference, u95, shown, working,
        repeatable,
    )  # fmt: skip


def _pair_text(name: str, unit: str, runs: Sequence[Sequence[Measured | None]], digits: int = 1) -> str:
    written = [f"{v.value:.{digits}f} {unit}" if v else "not known" for v in pool(runs)[0]]
    return f"{name}: before {written[0]}, after {written[1]}"


SAME_FAN_SHARE = 0.01
ROOM_UNKNOWN_DB = 1.3


def _level(figure: NoiseFigure, tol: Tolerances) -> Measured:
    return Measured(figure.level_db, standard_from_half_width(tol.noise_db) / math.sqrt(figure.readings))


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


def _noise(befores: Sequence[Side], afters: Sequence[Side], tol: Tolerances) -> Effect:
    """Levels of both sides at one place, or not known; a distance is converted and that is said."""
    working = "energy mean of the readings, background taken out (ISO 3744)"
    figures = [[s.noise for s in side if s.noise is not None] for side in (befores, afters)]
    first = next((f for side in figures for f in side), None)
    runs: list[list[Measured | None]] = []
    for side in figures:
        levels: list[Measured | None] = []
        for figure in side:
            assert first is not None  # noqa: S101 - there is a figure
            if figure.place and first.place and figure.place.casefold() != first.place.casefold():
                working = f"read at “{first.place}” and at “{figure.place}”: not comparable"
                continue
            level = _level(figure, tol)
            if figure.distance_m and first.distance_m and figure.distance_m != first.distance_m:
                level = replace(level, value=at_distance(level.value, figure.distance_m, first.distance_m))
                working += f"; converted from {figure.distance_m:g} m to {first.distance_m:g} m"
            if figure.upper_bound:
                working += "; the background was too near, so a level is an upper bound"
            levels.append(level)
        runs.append(levels)
    room_u = _of_the_room(befores, afters, tol)
    if room_u:
        runs[1] = _in_other_room(runs[1], room_u)
        working += f"; the rooms differ, ± {room_u * math.sqrt(3.0):.1f} dB for the fan that follows"
    return _effect("noise", "Noise", "dB", runs, True, working)


def _recorded(befores: Sequence[Side], afters: Sequence[Side], tol: Tolerances) -> Effect | None:
    """The change between recordings of one phone at one place; None when there are no recordings."""
    if not any(s.recording is not None for s in (*befores, *afters)):
        return None
    room_known = all(s.recording is None or s.recording.room_out for s in (*befores, *afters))
    # A room up to 6 dB below the quieter side, not recorded, may have shrunk the change by as much as ISO 3744
    # corrects.
    u = combined(
        standard_from_half_width(tol.noise_db), 0.0 if room_known else standard_from_half_width(ROOM_UNKNOWN_DB)
    )
    runs = [
        [Measured(s.recording.level_db, u) if s.recording is not None else None for s in side]
        for side in (befores, afters)
    ]
    runs[1] = _in_other_room(runs[1], _of_the_room(befores, afters, tol))
    working = "A-weighted energy mean of the recordings, same phone, same place and gain; only the difference is firm"
    if not room_known:
        working += "; the room alone was not recorded on both sides, so the true change may be larger"
    found = _effect("recorded_level", "Noise by recording", "dB", runs, True, working)
    # A phone does not know its own level: neither side is a figure, only what lies between them.
    return replace(found, before=None, after=None, before_u95=None, after_u95=None)


_RESULTS = (
    ("score", "Score", "points", False), ("duration", "Duration of the same work", "s", True),
    ("frame_rate", "Frame rate", "frames/s", False),
)  # fmt: skip


def _results(befores: Sequence[Side], afters: Sequence[Side], tol: Tolerances) -> tuple[Effect, ...]:
    """Scores, durations and frame rates, each with its percentage of a quantity that has a true zero."""
    out = []
    for name, words, unit, lower in _RESULTS:
        runs = [
            [
                Measured(v, standard_from_half_width(tol.result_share * v)) if (v := s.results.get(name)) else None
                for s in side
            ]
            for side in (befores, afters)
        ]
        (b, a), _ = pool(runs)
        if b is None and a is None:
            continue
        working = f"{100 * tol.result_share:g} % is what two runs of one benchmark differ by"
        if b is not None and a is not None:
            if lower:
                change = duration_change(b.value, a.value)
                working = (
                    f"{change.less_time_percent:.1f} % less time is {change.more_throughput_percent:.1f} % more "
                    f"throughput; {working}"
                )
            else:
                working = f"{relative_change(b.value, a.value, unit).change_percent:+.2f} %; {working}"
        out.append(_effect(name, words, unit, runs, lower, working.replace("-", "−")))
    return tuple(out)


def _same_fan(terms: EqualTerms, resistances: Sequence[Sequence[Measured | None]]) -> tuple[Effect, ...]:
    """The resistance with the fan of the first run before; none when a fan speed is missing or a fan stood still."""
    first = terms.runs[0][0].fan_rpm
    known = [m.value for side in resistances for m in side if m is not None]
    if first is None or not first > 0 or not known:
        return ()
    behind = BEHIND_INTERFACE_SHARE * min(known)
    runs = [
        [at_fan_speed(of, run.fan_rpm, first, behind) for run, of in zip(side, found, strict=True)]
        for side, found in zip(terms.runs, resistances, strict=True)
    ]
    if any(m is None for side in runs for m in side):
        return ()
    working = (
        f"R + {behind:.2f} K/W·((N / {first:.0f} rpm)^{FAN_EXPONENT:g} − 1), exponent ± "
        f"{FAN_EXPONENT_HALF_WIDTH:g}; {_pair_text('R', 'K/W', runs, 3)}"
    )
    return (_effect("resistance_same_fan", "Resistance, same fan", "K/W", runs, True, working),)


def _first_rooms(befores: Sequence[Side], afters: Sequence[Side]) -> tuple[float | None, float | None]:
    return befores[0].conditions.room_c, afters[0].conditions.room_c


def _on_equal_terms(
    sides: tuple[Sequence[Side], Sequence[Side]], terms: EqualTerms, tol: Tolerances
) -> tuple[list[list[Measured | None]], list[list[Measured | None]]]:
    """Rise and resistance of each run at the common time; what the sides may still differ by lies on those after."""
    over: list[list[Measured | None]] = []
    of: list[list[Measured | None]] = []
    u = standard_from_half_width(terms.half_width_k)
    for side, at, extra in zip(sides, terms.runs, (0.0, u), strict=True):
        over.append([])
        of.append([])
        for s, then in zip(side, at, strict=True):
            k = rise(s.reading, s.conditions.room_c, tol)
            shift = then.die_c - s.reading.die.mean
            over[-1].append(replace(k, value=k.value + shift, drift=combined(k.drift, extra)) if k else None)
            watts = then.watts
            r = resistance(s.reading, s.conditions.room_c, tol, (then.die_c, watts)) if watts is not None else None
            of[-1].append(replace(r, drift=combined(r.drift, extra / watts)) if r and watts else None)
    return over, of


def _at_time(terms: EqualTerms) -> str:
    return "" if terms.at_s is None else f" at {terms.at_s / 60.0:.1f} min of load on both sides"


def build_effects(
    befores: Sequence[Side], afters: Sequence[Side], tol: Tolerances, limit_c: float | None, reference_room_c: float,
    power_limit: float | None = None,
) -> tuple[Effect, ...]:  # fmt: skip
    """All effects of a service, known or not.

    befores: runs before (n,)
    afters: runs after (m,)
    tol: half-widths
    limit_c: temperature limit [degC] or None; the plateau of a run that was held back stands in
    reference_room_c: room of the sustained capacity [degC]
    power_limit: what the device draws at most [W], or None
    returns: effects (k,)
    raises: OutOfRange
    source: JCGM 100:2008
    """
    sides = (befores, afters)
    b, a = befores[0].reading, afters[0].reading
    window = "mean over the end of the load"
    terms = equal_terms([s.reading for s in befores], [s.reading for s in afters], _first_rooms(befores, afters))

    def each(of: Callable[[Side], Measured | None]) -> list[list[Measured | None]]:
        return [[of(s) for s in side] for side in sides]

    def channel(pick: Callable[[Reading], Statistics | None], share: float) -> list[list[Measured | None]]:
        return each(lambda s: by_share(found, share) if (found := pick(s.reading)) is not None else None)

    die = each(lambda s: die_temperature(s.reading, tol))
    over, r = _on_equal_terms(sides, terms, tol)
    limit = limit_c if limit_c is not None else b.throttling.limit_c
    watts = [[capacity(m, limit, reference_room_c, power_limit) for m in side] for side in r]
    held_u = 100 * standard_from_half_width(0.03)
    held = each(
        lambda s: Measured(100 * s.reading.throttling.share, held_u) if s.reading.throttling.share is not None else None
    )
    known_limit = f"{limit:.0f} °C limit" if limit is not None else "limit not known"
    recorded = _recorded(befores, afters, tol)
    return (
        _effect("die_temperature", "Die temperature", "°C", die, True,
                f"{window}, {b.window.to_s - b.window.from_s:.0f} s before, "
                f"{a.window.to_s - a.window.from_s:.0f} s after"),
        _effect("rise", "Rise over room", "K", over, True,
                f"T − T_room{_at_time(terms)}, valid in any room at equal power and fan; "
                f"{_pair_text('rise', 'K', over)}"),
        _effect("power", "Power", "W", channel(lambda x: x.power, tol.power_share), None,
                f"heat into the shared cooler, {window}"),
        _effect("resistance", "Thermal resistance", "K/W", r, True,
                f"rise / power as the cooler remembers it; {_pair_text('R', 'K/W', r, 3)}"),
        *_same_fan(terms, r),
        _effect("sustained_capacity", "Sustained capacity", "W", watts, False,
                f"calculated: (T_limit − {reference_room_c:.0f} °C) / R, {known_limit}"
                f"{f', no more than the {power_limit:g} W it draws' if power_limit is not None else ''}"),
        _effect("clock", "Clock", "MHz", channel(lambda x: x.clock, tol.clock_share), False, window),
        _effect("throttle_share", "Held back by heat", "% of load", held, True,
                f"pinned at its plateau with power or clock given up; told by "
                f"{b.throttling.told_by or 'nothing'} before, {a.throttling.told_by or 'nothing'} after"),
        _effect("fan_speed", "Fan speed", "rpm", channel(lambda x: x.stats.get(Role.FAN_SPEED), 0.02), None, window),
        _noise(befores, afters, tol),
        *((recorded,) if recorded is not None else ()),
        *_results(befores, afters, tol),
    )  # fmt: skip
