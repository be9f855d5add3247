"""The verdict as one sentence: what was measured leads; what is calculated beyond it stands in the details."""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from dataclasses import dataclass

from vividowl.core.trace.throttling import HELD_SHARE
from vividowl.core.verdict.parts import Effect, Shown, Side
from vividowl.core.verdict.verdicts import Verdict

SAME_POWER_SHARE = 0.05
HELD_SHARE_PERCENT = 100.0 * HELD_SHARE
SHARE_TOLD_PERCENT = 1.0
BELOW_LIMIT_TOLD_K = 3.0

_WORDS = {
    Verdict.IMPROVED: "Improved", Verdict.WORSE: "Worse", Verdict.IMPROVED_IF_SAME: "Improved",
    Verdict.WORSE_IF_SAME: "Worse",
}  # fmt: skip
_ASSUMED = {"fan": "fan", "placement": "place"}


@dataclass(frozen=True)
class Phrase:
    """A piece of the sentence. side: before or after for a figure of one side, assumed for what nobody noted, else
    empty."""

    text: str
    side: str = ""


def headline_of(
    verdict: Verdict, before: Side, effects: Sequence[Effect], assumes: Sequence[str], limit_c: float | None
) -> tuple[Phrase, ...]:
    """One sentence for a verdict, piece by piece.

    verdict: the verdict
    before: the first run before
    effects: effects (n,)
    assumes: conditions that were not noted and could do it alone (k,)
    limit_c: temperature limit [degC] or None
    returns: the sentence without its full stop (p,)
    source: common practice, no source
    """
    by = {e.quantity: e for e in effects}
    if verdict is Verdict.CANNOT_BE_COMPARED:
        return (Phrase("Cannot be compared"),)
    trade = _trade(by)
    if verdict is Verdict.NO_DIFFERENCE_SHOWN:
        told = trade if trade and not _held(before, by, limit_c) else None
        return (Phrase("No difference shown" + (f": {told}" if told else "")),)
    said = _held(before, by, limit_c) or (Phrase(trade or _cooler(by) or _quieter(by)),)
    if verdict in (Verdict.IMPROVED_IF_SAME, Verdict.WORSE_IF_SAME):
        same = " and ".join(_ASSUMED[a] for a in assumes)
        assumed = Phrase(f", if {same} {'were' if len(assumes) > 1 else 'was'} the same", "assumed")
        return (Phrase(_WORDS[verdict]), assumed, Phrase(": "), *said)
    return (Phrase(f"{_WORDS[verdict]}: "), *said)


def _watts(before: float, after: float) -> tuple[Phrase, ...]:
    digits = 1 if min(before, after) < 10.0 or abs(after - before) < 2.0 else 0
    return Phrase(f"{before:.{digits}f}", "before"), Phrase(" → "), Phrase(f"{after:.{digits}f} W", "after")


def _held(before: Side, by: Mapping[str, Effect], limit_c: float | None) -> tuple[Phrase, ...] | None:
    """At its limit before: the temperature hardly moves, so watts, clock and share held back lead."""
    held, power, clock, die = by["throttle_share"], by["power"], by["clock"], by["die_temperature"]
    if held.before is None or held.before <= HELD_SHARE_PERCENT or held.after is None:
        return None
    if power.before is None or power.after is None or clock.unit != "MHz":
        return None
    plateau = limit_c if limit_c is not None else before.reading.throttling.limit_c
    watts = _watts(power.before, power.after)
    parts = [""]
    if clock.before and clock.after and clock.shown in (Shown.BETTER, Shown.WORSE):
        parts.append(f"clock {100.0 * (clock.after / clock.before - 1.0):+.0f} %".replace("-", "−"))
    if held.after > HELD_SHARE_PERCENT and die.shown is Shown.NOT_SHOWN and plateau is not None:
        return (Phrase(f"at its {plateau:.0f} °C limit "), *watts, Phrase(", ".join(parts)))
    if abs(held.after - held.before) >= SHARE_TOLD_PERCENT:
        parts.append(f"held back {held.before:.0f} % → {held.after:.0f} %")
    text = ", ".join(parts)
    below = plateau - die.after if plateau is not None and die.after is not None else 0.0
    if held.after <= HELD_SHARE_PERCENT and below >= BELOW_LIMIT_TOLD_K:
        text += f"; now {below:.0f} K below its limit"
    return (Phrase("same load, "), *watts, Phrase(text))


def _trade(by: Mapping[str, Effect]) -> str | None:
    """Quieter but hotter, or cooler but louder: both are said."""
    noise, rise = by["noise"], by["rise"]
    if noise.shown is Shown.BETTER and rise.shown is Shown.WORSE and noise.difference and rise.difference:
        return f"quieter by {abs(noise.difference):.0f} dB, and hotter by {rise.difference:.0f} K"
    if noise.shown is Shown.WORSE and rise.shown is Shown.BETTER and noise.difference and rise.difference:
        return f"cooler by {abs(rise.difference):.0f} K, and louder by {noise.difference:.0f} dB"
    return None


def _cooler(by: Mapping[str, Effect]) -> str | None:
    rise, power, resistance, die = by["rise"], by["power"], by["resistance"], by["die_temperature"]
    same = (
        power.before is not None and power.after is not None
        and abs(power.after - power.before) <= SAME_POWER_SHARE * power.before
    )  # fmt: skip
    if rise.shown in (Shown.BETTER, Shown.WORSE) and rise.difference is not None and (same or power.before is None):
        at = f" at {power.before:.0f} W" if power.before is not None else ""
        return f"{abs(rise.difference):.0f} K {'less' if rise.difference < 0 else 'more'} over the room{at}"
    if (
        resistance.shown in (Shown.BETTER, Shown.WORSE) and power.difference is not None
        and die.shown is Shown.NOT_SHOWN and power.shown is Shown.CHANGED and abs(power.difference) > 1.0
    ):  # fmt: skip
        return f"{abs(power.difference):.0f} W {'more' if power.difference > 0 else 'fewer'} at the same temperature"
    for quantity, at_fan in (("resistance", ""), ("resistance_same_fan", " with the fan as before")):
        of = by.get(quantity, resistance)
        if of.shown in (Shown.BETTER, Shown.WORSE) and of.difference is not None and power.before:
            kelvins = abs(of.difference) * power.before
            return f"{kelvins:.0f} K {'less' if of.difference < 0 else 'more'} at {power.before:.0f} W{at_fan}"
    return None


def _quieter(by: Mapping[str, Effect]) -> str:
    noise = by["noise"]
    assert noise.difference is not None  # noqa: S101 - the only effect left that can carry a verdict
    return f"{abs(noise.difference):.0f} dB {'quieter' if noise.difference < 0 else 'louder'}, no hotter"
