"""Before against after: effects with expanded uncertainty, and a verdict that does not claim too much."""

from __future__ import annotations

import math
from dataclasses import dataclass
from enum import StrEnum

from vividowl.core.conditions import Bearing, ConditionFinding, Conditions, judge_conditions
from vividowl.core.noise import NoiseFigure, at_distance
from vividowl.core.reading import Reading
from vividowl.core.roles import Role
from vividowl.core.temperature import REFERENCE_ROOM_C, sustained_capacity, thermal_resistance
from vividowl.core.uncertainty import COVERAGE_FACTOR, Tolerances, combined, standard_from_half_width

FAN_FASTER_SHARE = 0.05
THROTTLED_SHARE = 0.02


class Verdict(StrEnum):
    """The four answers."""

    IMPROVED = "improved"
    WORSE = "worse"
    NO_DIFFERENCE_SHOWN = "no_difference_shown"
    CANNOT_BE_COMPARED = "cannot_be_compared"


class Shown(StrEnum):
    """What one effect shows."""

    BETTER = "better"
    WORSE = "worse"
    CHANGED = "changed"
    NOT_SHOWN = "not_shown"
    NOT_KNOWN = "not_known"


@dataclass(frozen=True)
class Side:
    """One side of the comparison: conditions, reading of the log, noise, and the temperature limit if known."""

    conditions: Conditions
    reading: Reading
    noise: NoiseFigure | None = None


@dataclass(frozen=True)
class Effect:
    """quantity and unit; before, after and their expanded uncertainties; difference with its U95; what it shows;
    working: formula and numbers in words."""

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


@dataclass(frozen=True)
class Comparison:
    """The verdict with its reasons, effects and conditions; headline: the verdict as one sentence."""

    verdict: Verdict
    headline: str
    reasons: tuple[str, ...]
    effects: tuple[Effect, ...]
    conditions: tuple[ConditionFinding, ...]

    def effect(self, quantity: str) -> Effect:
        """The effect on one quantity."""
        return next(e for e in self.effects if e.quantity == quantity)


@dataclass(frozen=True)
class _Value:
    """value; own: all of its standard uncertainty; moving: the part that does not cancel between two runs."""

    value: float
    own: float
    moving: float


def _effect(
    quantity: str, words: str, unit: str, before: _Value | None, after: _Value | None, lower_is_better: bool | None,
    working: str,
) -> Effect:  # fmt: skip
    if before is None or after is None:
        return Effect(
            quantity, words, unit, before.value if before else None, after.value if after else None,
            COVERAGE_FACTOR * before.own if before else None, COVERAGE_FACTOR * after.own if after else None,
            None, None,
            Shown.NOT_KNOWN, working,
        )  # fmt: skip
    difference = after.value - before.value
    u95 = COVERAGE_FACTOR * combined(before.moving, after.moving)
    shown = Shown.NOT_SHOWN
    if abs(difference) > u95:
        shown = Shown.CHANGED
        if lower_is_better is not None:
            shown = Shown.BETTER if (difference < 0) == lower_is_better else Shown.WORSE
    return Effect(
        quantity, words, unit, before.value, after.value, COVERAGE_FACTOR * before.own, COVERAGE_FACTOR * after.own,
        difference, u95, shown, working,
    )  # fmt: skip


def _temperature(reading: Reading, tol: Tolerances) -> _Value:
    window = reading.window
    to_come = abs(window.remaining_rise_k or 0.0) if not window.settled else 0.0
    moving = combined(
        standard_from_half_width(tol.run_to_run_k),
        standard_from_half_width(to_come),
        reading.die.standard_error,
    )
    return _Value(reading.die.mean, combined(moving, standard_from_half_width(tol.die_sensor_k)), moving)


def _rise(side: Side, tol: Tolerances) -> _Value | None:
    if side.conditions.room_c is None:
        return None
    die, room = _temperature(side.reading, tol), standard_from_half_width(tol.room_k)
    return _Value(die.value - side.conditions.room_c, combined(die.own, room), combined(die.moving, room))


def _share(reading_value: float, standard_error: float, share: float) -> _Value:
    """A sensor known to a share of its value: half of that share is common to both runs, half is not."""
    tolerance = standard_from_half_width(share * abs(reading_value))
    return _Value(reading_value, combined(tolerance, standard_error), combined(0.5 * tolerance, standard_error))


def _resistance(side: Side, tol: Tolerances) -> _Value | None:
    rise, power = _rise(side, tol), side.reading.power
    if rise is None or power is None or not power.mean > 0 or not rise.value >= 0:
        return None
    watts = _share(power.mean, power.standard_error, tol.power_share)
    value = thermal_resistance(rise.value, watts.value)

    def quotient(u_rise: float, u_power: float) -> float:
        return combined(u_rise / watts.value, rise.value * u_power / watts.value**2)

    return _Value(value, quotient(rise.own, watts.own), quotient(rise.moving, watts.moving))


def _capacity(resistance: _Value | None, limit_c: float | None, reference_room_c: float) -> _Value | None:
    if resistance is None or limit_c is None or not resistance.value > 0:
        return None
    value = sustained_capacity(limit_c, resistance.value, reference_room_c)
    return _Value(value, value * resistance.own / resistance.value, value * resistance.moving / resistance.value)


def _pair_text(name: str, unit: str, b: _Value | None, a: _Value | None, digits: int = 1) -> str:
    written = [f"{v.value:.{digits}f} {unit}" if v else "not known" for v in (b, a)]
    return f"{name}: before {written[0]}, after {written[1]}"


def _noise(figure: NoiseFigure | None, tol: Tolerances) -> _Value | None:
    if figure is None:
        return None
    u = standard_from_half_width(tol.noise_db) / math.sqrt(figure.readings)
    return _Value(figure.level_db, u, u)


def _noise_pair(
    before: NoiseFigure | None, after: NoiseFigure | None, tol: Tolerances
) -> tuple[tuple[_Value | None, _Value | None], str]:
    """Levels of both sides at one place, or not known; a distance is converted and that is said."""
    working = "energy mean of the readings, background taken out (ISO 3744)"
    b, a = _noise(before, tol), _noise(after, tol)
    if before is None or after is None or b is None or a is None:
        return (b, a), working
    if before.place and after.place and before.place.casefold() != after.place.casefold():
        return (b, None), f"read at “{before.place}” before and “{after.place}” after: not comparable"
    if before.distance_m and after.distance_m and before.distance_m != after.distance_m:
        a = _Value(at_distance(a.value, after.distance_m, before.distance_m), a.own, a.moving)
        working += f"; converted from {after.distance_m:g} m to {before.distance_m:g} m"
    if before.upper_bound or after.upper_bound:
        working += "; the background was too near on one side, so that level is an upper bound"
    return (b, a), working


def _build_effects(
    before: Side, after: Side, tol: Tolerances, limit_c: float | None, reference_room_c: float
) -> tuple[Effect, ...]:
    b, a = before.reading, after.reading
    window = "mean over the settled window"
    die = [_temperature(r, tol) for r in (b, a)]
    rise = [_rise(s, tol) for s in (before, after)]
    r = [_resistance(s, tol) for s in (before, after)]
    limit = limit_c if limit_c is not None else b.throttling.limit_c
    capacity = [_capacity(v, limit, reference_room_c) for v in r]
    power = [_share(x.power.mean, x.power.standard_error, tol.power_share) if x.power else None for x in (b, a)]
    clock = [_share(x.clock.mean, x.clock.standard_error, tol.clock_share) if x.clock else None for x in (b, a)]
    fans = [x.stats.get(Role.FAN_SPEED) for x in (b, a)]
    fan = [_share(f.mean, f.standard_error, 0.02) if f else None for f in fans]
    held = [
        _Value(100 * x.throttling.share, u, u) if x.throttling.share is not None else None
        for x in (b, a)
        for u in (100 * standard_from_half_width(0.03),)
    ]
    noise, noise_working = _noise_pair(before.noise, after.noise, tol)
    known_limit = f"{limit:.0f} °C limit" if limit is not None else "limit not known"
    return (
        _effect("die_temperature", "Die temperature", "°C", die[0], die[1], True,
                f"{window}, {b.window.to_s - b.window.from_s:.0f} s before, "
                f"{a.window.to_s - a.window.from_s:.0f} s after"),
        _effect("rise", "Rise over room", "K", rise[0], rise[1], True,
                f"T − T_room, valid in any room at equal power and fan; {_pair_text('rise', 'K', rise[0], rise[1])}"),
        _effect("power", "Power", "W", power[0], power[1], None, f"heat into the shared cooler, {window}"),
        _effect("resistance", "Thermal resistance", "K/W", r[0], r[1], True,
                f"rise / power; {_pair_text('R', 'K/W', r[0], r[1], 3)}"),
        _effect("sustained_capacity", "Sustained capacity", "W", capacity[0], capacity[1], False,
                f"(T_limit − {reference_room_c:.0f} °C) / R, {known_limit}"),
        _effect("clock", "Clock", "MHz", clock[0], clock[1], False, window),
        _effect("throttle_share", "Held back by heat", "% of load", held[0], held[1], True,
                f"within 2 K of the limit with power or clock given up; told by "
                f"{b.throttling.told_by or 'nothing'} before, {a.throttling.told_by or 'nothing'} after"),
        _effect("fan_speed", "Fan speed", "rpm", fan[0], fan[1], None, window),
        _effect("noise", "Noise", "dB", noise[0], noise[1], True,
                noise_working),
    )  # fmt: skip


def compare(
    before: Side,
    after: Side,
    *,
    limit_c: float | None = None,
    tolerances: Tolerances | None = None,
    reference_room_c: float = REFERENCE_ROOM_C,
) -> Comparison:
    """Compare two readings of one device.

    before: the side before the service
    after: the side after it
    limit_c: temperature limit [degC] or None; when the device was held back before, its plateau stands in
    tolerances: half-widths, the shop's own or the defaults
    reference_room_c: room of the sustained capacity [degC]
    returns: Comparison
    raises: OutOfRange
    formula: an effect is shown when it exceeds U = 2 u_c of the difference; parts common to both runs cancel
    source: JCGM 100:2008; which conditions forbid is common practice, no source
    """
    tol = tolerances or Tolerances()
    both_settled = before.reading.window.settled and after.reading.window.settled
    conditions = judge_conditions(before.conditions, after.conditions, both_settled)
    effects = _build_effects(before, after, tol, limit_c, reference_room_c)
    verdict, reasons = _judge(before, after, effects, conditions)
    headline = _headline(verdict, before, {e.quantity: e for e in effects}, reasons)
    return Comparison(verdict, headline, reasons, effects, conditions)


def _judge(
    before: Side, after: Side, effects: tuple[Effect, ...], conditions: tuple[ConditionFinding, ...]
) -> tuple[Verdict, tuple[str, ...]]:
    by = {e.quantity: e for e in effects}
    forbidding = [c.text for c in conditions if c.bearing is Bearing.FORBIDS]
    for words, side in (("before", before), ("after", after)):
        if not side.reading.window.settled and side.reading.window.remaining_rise_k is None:
            forbidding.append(f"The run {words} has not settled, and where it ends is not known. Repeat it for longer.")
    if before.reading.die_role is not after.reading.die_role:
        forbidding.append("The two logs hold different die sensors. Compare the same sensor on both sides.")
    resistance, rise, noise, fan = by["resistance"], by["rise"], by["noise"], by["fan_speed"]
    main = resistance if resistance.difference is not None else rise
    if main.difference is None:
        forbidding.append("The room was not noted on both sides, so no rise over it is known. Note the room.")
    elif main.quantity == "rise" and _held(before.reading) != _held(after.reading):
        forbidding.append("No power was logged and heat held the device back on one side. Log the power channel.")
    faster = (
        fan.difference is not None and fan.before and fan.difference > FAN_FASTER_SHARE * fan.before
        and fan.shown is Shown.CHANGED
    )  # fmt: skip
    if main.shown is Shown.BETTER and faster and not _held(before.reading):
        forbidding.append(
            f"The fan ran faster after ({fan.after:.0f} against {fan.before:.0f} rpm), which alone cools. "
            "Repeat at one fixed fan speed."
        )
    if forbidding:
        return Verdict.CANNOT_BE_COMPARED, tuple(forbidding)
    reasons = [_reason(main)]
    if noise.difference is not None:
        reasons.append(_reason(noise))
    if _held(before.reading) and by["power"].difference is not None:
        reasons.append(
            f"Before, heat held it back for {100 * (before.reading.throttling.share or 0):.0f} % of the load; on a "
            "throttled machine the temperature stays at its limit and the watts tell."
        )
    reasons += [c.text for c in conditions if c.bearing in (Bearing.NOTED, Bearing.CORRECTED)]
    if main.shown is Shown.NOT_SHOWN and noise.shown in (Shown.BETTER, Shown.WORSE):
        return (Verdict.IMPROVED if noise.shown is Shown.BETTER else Verdict.WORSE), tuple(reasons)
    verdict = {Shown.BETTER: Verdict.IMPROVED, Shown.WORSE: Verdict.WORSE}.get(main.shown, Verdict.NO_DIFFERENCE_SHOWN)
    return verdict, tuple(reasons)


def _held(reading: Reading) -> bool:
    return (reading.throttling.share or 0.0) > THROTTLED_SHARE


def _reason(effect: Effect) -> str:
    digits = 2 if effect.unit == "K/W" else 1
    if effect.difference is None or effect.u95 is None:
        return f"{effect.words}: not known on both sides."
    sign = "−" if effect.difference < 0 else "+"
    size = f"{sign}{abs(effect.difference):.{digits}f} ± {effect.u95:.{digits}f} {effect.unit}"
    if effect.shown is Shown.NOT_SHOWN:
        return f"{effect.words} changed by {size}: within what two runs differ by anyway."
    return f"{effect.words} changed by {size}: more than two runs differ by."


def _headline(verdict: Verdict, before: Side, by: dict[str, Effect], reasons: tuple[str, ...]) -> str:
    if verdict is Verdict.CANNOT_BE_COMPARED:
        return "Cannot be compared"
    if verdict is Verdict.NO_DIFFERENCE_SHOWN:
        return "No difference shown"
    word = "Improved" if verdict is Verdict.IMPROVED else "Worse"
    power, resistance, rise, noise, capacity = (
        by[q] for q in ("power", "resistance", "rise", "noise", "sustained_capacity")
    )
    if _held(before.reading) and capacity.before is not None and capacity.after is not None:
        return f"{word}: it can hold {capacity.after:.0f} W where it could hold {capacity.before:.0f} W"
    if resistance.shown in (Shown.BETTER, Shown.WORSE) and resistance.before and power.before:
        assert resistance.difference is not None  # noqa: S101 - shown implies both sides
        kelvins = abs(resistance.difference) * power.before
        return f"{word}: {kelvins:.0f} K {'less' if resistance.difference < 0 else 'more'} at {power.before:.0f} W"
    if rise.shown in (Shown.BETTER, Shown.WORSE) and rise.difference is not None and resistance.difference is None:
        return f"{word}: {abs(rise.difference):.0f} K {'less' if rise.difference < 0 else 'more'} over the room"
    assert noise.difference is not None  # noqa: S101 - the only effect left that can carry a verdict
    return f"{word}: {abs(noise.difference):.0f} dB {'quieter' if noise.difference < 0 else 'louder'}, no hotter"
