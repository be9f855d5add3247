"""Before against after: effects with expanded uncertainty, and a verdict that does not claim too much."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass
from enum import StrEnum

from vividowl.core.conditions import Bearing, ConditionFinding, judge_conditions
from vividowl.core.effects import Effect, Shown, Side, build_effects
from vividowl.core.errors import NotEnoughData
from vividowl.core.reading import Reading
from vividowl.core.temperature import REFERENCE_ROOM_C
from vividowl.core.uncertainty import Tolerances

FAN_RATIO_MOST = 1.5
FAN_CHANGED_SHARE = 0.03
THROTTLED_SHARE = 0.02


class Verdict(StrEnum):
    """The four answers."""

    IMPROVED = "improved"
    WORSE = "worse"
    NO_DIFFERENCE_SHOWN = "no_difference_shown"
    CANNOT_BE_COMPARED = "cannot_be_compared"


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


def compare(
    before: Side | Sequence[Side],
    after: Side | Sequence[Side],
    *,
    limit_c: float | None = None,
    tolerances: Tolerances | None = None,
    reference_room_c: float = REFERENCE_ROOM_C,
) -> Comparison:
    """Compare two readings of one device.

    before: the run before the service, or its repeats (n,)
    after: the run after it, or its repeats (m,)
    limit_c: temperature limit [degC] or None; when the device was held back before, its plateau stands in
    tolerances: half-widths, the shop's own or the defaults
    reference_room_c: room of the sustained capacity [degC]
    returns: Comparison
    raises: OutOfRange, NotEnoughData without a run on a side
    formula: an effect is shown when it exceeds U = k u_c of the difference; parts common to both runs cancel
    source: JCGM 100:2008; which conditions forbid is common practice, no source
    """
    tol = tolerances or Tolerances()
    befores, afters = ([side] if isinstance(side, Side) else list(side) for side in (before, after))
    if not befores or not afters:
        raise NotEnoughData("A comparison needs a run on both sides.", field="before" if not befores else "after")
    both_settled = all(s.reading.window.settled for s in (*befores, *afters))
    conditions = judge_conditions(befores[0].conditions, afters[0].conditions, both_settled)
    effects = build_effects(befores, afters, tol, limit_c, reference_room_c)
    verdict, reasons = _judge(befores, afters, effects, conditions)
    headline = _headline(verdict, befores[0], {e.quantity: e for e in effects})
    return Comparison(verdict, headline, reasons, effects, conditions)


def _judge(
    befores: Sequence[Side], afters: Sequence[Side], effects: tuple[Effect, ...],
    conditions: tuple[ConditionFinding, ...],
) -> tuple[Verdict, tuple[str, ...]]:  # fmt: skip
    before, after = befores[0], afters[0]
    by = {e.quantity: e for e in effects}
    forbidding = [c.text for c in conditions if c.bearing is Bearing.FORBIDS]
    for words, sides in (("before", befores), ("after", afters)):
        if any(not s.reading.window.settled and s.reading.window.remaining_rise_k is None for s in sides):
            forbidding.append(f"The run {words} has not settled, and where it ends is not known. Repeat it for longer.")
    if len({s.reading.die_role for s in (*befores, *afters)}) > 1:
        forbidding.append("The two logs hold different die sensors. Compare the same sensor on both sides.")
    resistance, rise, noise, fan = by["resistance"], by["rise"], by["noise"], by["fan_speed"]
    ratio = fan.after / fan.before if fan.before and fan.after else 1.0
    convertible = 1.0 / FAN_RATIO_MOST <= ratio <= FAN_RATIO_MOST
    same_fan = by.get("resistance_same_fan")
    main = same_fan if same_fan is not None and convertible else resistance
    if main.difference is None:
        main = rise
    if main.difference is None:
        forbidding.append("The room was not noted on both sides, so no rise over it is known. Note the room.")
    elif main.quantity == "rise" and _held(before.reading) != _held(after.reading):
        forbidding.append("No power was logged and heat held the device back on one side. Log the power channel.")
    if main.shown is Shown.BETTER and not convertible and ratio > 1.0 and not _held(before.reading):
        forbidding.append(
            f"The fan ran much faster after ({fan.after:.0f} against {fan.before:.0f} rpm), which alone cools. "
            "Repeat at one fixed fan speed."
        )
    if forbidding:
        return Verdict.CANNOT_BE_COMPARED, tuple(forbidding)
    reasons = [_reason(main)]
    if main is same_fan and abs(ratio - 1.0) > FAN_CHANGED_SHARE:
        reasons.append(
            f"The fan turned {'slower' if ratio < 1 else 'faster'} after ({fan.after:.0f} against {fan.before:.0f} "
            "rpm); the resistance was converted to one speed."
        )
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


def _headline(verdict: Verdict, before: Side, by: dict[str, Effect]) -> str:
    if verdict is Verdict.CANNOT_BE_COMPARED:
        return "Cannot be compared"
    if verdict is Verdict.NO_DIFFERENCE_SHOWN:
        return "No difference shown"
    word = "Improved" if verdict is Verdict.IMPROVED else "Worse"
    power, rise, noise, capacity, die = (
        by[q] for q in ("power", "rise", "noise", "sustained_capacity", "die_temperature")
    )
    resistance, at_fan = by["resistance"], ""
    if resistance.shown is Shown.NOT_SHOWN and "resistance_same_fan" in by:
        resistance, at_fan = by["resistance_same_fan"], " with the fan as before"
    if _held(before.reading) and capacity.before is not None and capacity.after is not None:
        return f"{word}: it can hold {capacity.after:.0f} W where it could hold {capacity.before:.0f} W"
    if resistance.shown in (Shown.BETTER, Shown.WORSE) and power.difference is not None and power.before:
        if die.shown is Shown.NOT_SHOWN and power.shown is Shown.CHANGED and abs(power.difference) > 1.0:
            more = "more" if power.difference > 0 else "fewer"
            return f"{word}: {abs(power.difference):.0f} W {more} at the same temperature"
        assert resistance.difference is not None  # noqa: S101 - shown implies both sides
        kelvins = abs(resistance.difference) * power.before
        return (
            f"{word}: {kelvins:.0f} K {'less' if resistance.difference < 0 else 'more'} at {power.before:.0f} W{at_fan}"
        )
    if rise.shown in (Shown.BETTER, Shown.WORSE) and rise.difference is not None and resistance.difference is None:
        return f"{word}: {abs(rise.difference):.0f} K {'less' if rise.difference < 0 else 'more'} over the room"
    assert noise.difference is not None  # noqa: S101 - the only effect left that can carry a verdict
    return f"{word}: {abs(noise.difference):.0f} dB {'quieter' if noise.difference < 0 else 'louder'}, no hotter"
