"""The verdict as one sentence: what was measured leads; what is calculated beyond it stands in the details."""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from dataclasses import dataclass

from vividowl.core.quantities.words import Words, listed, say
from vividowl.core.trace.throttling import HELD_SHARE
from vividowl.core.verdict.parts import Effect, Shown, Side
from vividowl.core.verdict.verdicts import Verdict

SAME_POWER_SHARE = 0.05  # within which the work is told to be the same; from memory
HELD_SHARE_PERCENT = 100.0 * HELD_SHARE
SHARE_TOLD_PERCENT = 1.0  # [%] of the time held back, whose change is told; from memory
BELOW_LIMIT_TOLD_K = 3.0  # [K] below the limit that are told; from memory

_WORDS = {
    Verdict.IMPROVED: say("headline-improved"),
    Verdict.WORSE: say("headline-worse"),
    Verdict.IMPROVED_IF_SAME: say("headline-improved"),
    Verdict.WORSE_IF_SAME: say("headline-worse"),
}
_ASSUMED = {
    "load": say("headline-load"),
    "fan": say("headline-fan"),
    "room": say("headline-room"),
    "thermometer": say("headline-thermometer"),
    "sensor": say("headline-sensor"),
    "power": say("headline-power"),
    "split": say("headline-split"),
    "placement": say("headline-place"),
}
_COLON = ": "


@dataclass(frozen=True)
class Phrase:
    """A piece of the sentence. side: before or after for a figure of one side, assumed for what nobody noted, else
    empty."""

    text: Words
    side: str = ""


def headline_of(
    verdict: Verdict, before: Side, effects: Sequence[Effect], assumes: Sequence[str], limit_c: float | None
) -> tuple[Phrase, ...]:
    """One sentence for a verdict, piece by piece.

    verdict: the verdict
    before: the first run before
    effects: effects (n,)
    assumes: names of what is doubtful or not known and could do it alone (k,)
    limit_c: temperature limit [degC] or None
    returns: the sentence without its full stop (p,)
    source: common practice, no source
    """
    by = {e.quantity: e for e in effects}
    if verdict is Verdict.CANNOT_BE_COMPARED:
        return (Phrase(say("headline-cannot-be-compared")),)
    trade = _trade(by)
    if verdict is Verdict.NO_DIFFERENCE_SHOWN:
        told = trade if trade and not _held(before, by, limit_c) else None
        plain = Phrase(say("headline-no-difference-shown"))
        return (plain, Phrase(_COLON), Phrase(told)) if told else (plain,)
    said = _held(before, by, limit_c) or (Phrase(trade or _cooler(by) or _quieter(by)),)
    if verdict in (Verdict.IMPROVED_IF_SAME, Verdict.WORSE_IF_SAME):
        same = listed((_ASSUMED[a] for a in assumes), "and")
        assumed = Phrase(say("headline-if-same", same=same, assumes=len(assumes)), "assumed")
        return (Phrase(_WORDS[verdict]), assumed, Phrase(_COLON), *said)
    return (Phrase(_WORDS[verdict]), Phrase(_COLON), *said)


def _watts(before: float, after: float) -> tuple[Phrase, ...]:
    digits = 1 if min(before, after) < 10.0 or abs(after - before) < 2.0 else 0
    return (
        Phrase(say("headline-figure", value=before, digits=digits), "before"),
        Phrase(" → "),
        Phrase(say("headline-watts", value=after, digits=digits), "after"),
    )


def _held(before: Side, by: Mapping[str, Effect], limit_c: float | None) -> tuple[Phrase, ...] | None:
    """At its limit before: the temperature hardly moves, so watts, clock and share held back lead."""
    held, power, clock, die = by["throttle_share"], by["power"], by["clock"], by["die_temperature"]
    if held.before is None or held.before <= HELD_SHARE_PERCENT or held.after is None:
        return None
    if power.before is None or power.after is None or clock.unit != "MHz":
        return None
    plateau = limit_c if limit_c is not None else before.reading.throttling.limit_c
    watts = _watts(power.before, power.after)
    parts: list[Words] = []
    if clock.before and clock.after and clock.shown in (Shown.BETTER, Shown.WORSE):
        parts.append(say("headline-clock", percent=100.0 * (clock.after / clock.before - 1.0)))
    if held.after > HELD_SHARE_PERCENT and die.shown is Shown.NOT_SHOWN and plateau is not None:
        return (Phrase(say("headline-at-its-c-limit", plateau=plateau)), *watts, *_after(parts))
    if abs(held.after - held.before) >= SHARE_TOLD_PERCENT:
        parts.append(say("headline-held-back", before=held.before, after=held.after))
    below = plateau - die.after if plateau is not None and die.after is not None else 0.0
    now = (Phrase("; "), Phrase(say("headline-now-k-below-its-limit", below=below)))
    cool = held.after <= HELD_SHARE_PERCENT and below >= BELOW_LIMIT_TOLD_K
    return (Phrase(say("headline-same-load")), *watts, *_after(parts), *(now if cool else ()))


def _after(parts: Sequence[Words]) -> tuple[Phrase, ...]:
    return (Phrase(", "), Phrase(listed(parts))) if parts else ()


def _trade(by: Mapping[str, Effect]) -> Words | None:
    """Quieter but hotter, or cooler but louder: both are said."""
    noise, rise = by["noise"], by["rise"]
    if noise.shown is Shown.BETTER and rise.shown is Shown.WORSE and noise.difference and rise.difference:
        return say(
            "headline-quieter-by-db-and-hotter", difference=abs(noise.difference), rise_difference=rise.difference
        )
    if noise.shown is Shown.WORSE and rise.shown is Shown.BETTER and noise.difference and rise.difference:
        return say(
            "headline-cooler-by-k-and-louder", difference=abs(rise.difference), noise_difference=noise.difference
        )
    return None


def _cooler(by: Mapping[str, Effect]) -> Words | None:
    rise, power, resistance, die = by["rise"], by["power"], by["resistance"], by["die_temperature"]
    same = (
        power.before is not None
        and power.after is not None
        and abs(power.after - power.before) <= SAME_POWER_SHARE * power.before
    )
    if rise.shown in (Shown.BETTER, Shown.WORSE) and rise.difference is not None and (same or power.before is None):
        at = say("headline-at-w", before=power.before) if power.before is not None else ""
        return say("headline-k-over-room", difference=abs(rise.difference), if_difference=rise.difference < 0, at=at)
    if (
        resistance.shown in (Shown.BETTER, Shown.WORSE)
        and power.difference is not None
        and die.shown is Shown.NOT_SHOWN
        and power.shown is Shown.CHANGED
        and abs(power.difference) > 1.0
    ):
        return say(
            "headline-w-at-same-temperature", difference=abs(power.difference), if_difference=power.difference > 0
        )
    for quantity, at_fan in (("resistance", ""), ("resistance_same_fan", say("headline-with-fan-as-before"))):
        of = by.get(quantity, resistance)
        if of.shown in (Shown.BETTER, Shown.WORSE) and of.difference is not None and power.before:
            kelvins = abs(of.difference) * power.before
            return say(
                "headline-k-at-w", kelvins=kelvins, if_difference=of.difference < 0, before=power.before, at_fan=at_fan
            )
    return None


def _quieter(by: Mapping[str, Effect]) -> Words:
    noise = by["noise"]
    assert noise.difference is not None  # noqa: S101 - the only effect left that can carry a verdict
    return say("headline-db-no-hotter", difference=abs(noise.difference), if_difference=noise.difference < 0)
