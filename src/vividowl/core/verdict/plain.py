"""A verdict for someone who knows nothing of it: what it did before, what it does now, and what that means."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass

from vividowl.core.quantities.words import Words, listed, say
from vividowl.core.verdict.comparison import Comparison
from vividowl.core.verdict.headline import SAME_POWER_SHARE
from vividowl.core.verdict.parts import Effect, Shown
from vividowl.core.verdict.verdicts import Verdict

NEVER_PERCENT = 0.5  # [%] of the loaded time that are told as never; half of the last digit shown
HALF_AS_LOUD_DB = 10.0  # [dB] that sound about half as loud; sone and phon rule (ISO 532-1)
CLEARLY_DB = 3.0  # [dB] that anyone hears; common practice, no source
# A kelvin is a degree of difference, the name that the customer knows.
_ASSUMED = {
    "load": say("plain-load"),
    "fan": say("plain-fan"),
    "room": say("plain-room"),
    "thermometer": say("plain-thermometer"),
    "sensor": say("plain-sensor"),
    "power": say("plain-power"),
    "split": say("plain-split"),
    "placement": say("plain-place"),
}


@dataclass(frozen=True)
class Plain:
    """before and now: one sentence each; means: what that means, in one to four short sentences."""

    before: Words
    now: Words
    means: tuple[Words, ...]


def plain_words(comparison: Comparison) -> Plain:
    """A comparison in the customer's words: measured facts lead, gains and losses alike.

    comparison: of Before and After
    source: common practice, no source
    """
    by = {effect.quantity: effect for effect in comparison.effects}
    comparable = comparison.verdict is not Verdict.CANNOT_BE_COMPARED
    return Plain(
        _side(by, "before", say("plain-before-lead")),
        _side(by, "after", say("plain-now-lead", comparable=comparable)),
        _means(comparison, by),
    )


def _side(by: Mapping[str, Effect], side: str, lead: Words) -> Words:
    die, held, noise = (getattr(by[name], side) for name in ("die_temperature", "throttle_share", "noise"))
    how = "unknown" if held is None else "never" if held < NEVER_PERCENT else "held"
    return say("plain-side", lead=lead, die=die, how=how, held=held, noise=noise)


def _means(comparison: Comparison, by: Mapping[str, Effect]) -> tuple[Words, ...]:
    if comparison.verdict is Verdict.CANNOT_BE_COMPARED:
        return (say("plain-not-comparable"),)
    told = (*_held(by), *_warmth(by), *_noise(by))
    over = tuple(
        say(
            "plain-sensor-over",
            sensor=s.short_words,
            over=s.over_limit_k,
            still=s.was_over_k is not None,
            noted=s.limit_noted,
        )
        for s in comparison.sensors[1:]
        if s.tells and s.over_limit_k is not None
    )
    if comparison.verdict is Verdict.NO_DIFFERENCE_SHOWN:
        # A trade of one for the other is no difference as a whole, and both are said.
        trade = len(comparison.phrases) > 1 and bool(told)
        return (*(told if trade else (say("plain-no-difference", hidden=comparison.hidden_gain_k),)), *over)
    if not told:
        told = (say("plain-calculated", words=comparison.headline),)
    told = (*told, *over)
    if comparison.doubts:
        same = listed((_ASSUMED[doubt.name] for doubt in comparison.doubts), "and")
        told = (*told, say("plain-if-same", same=same, assumes=len(comparison.doubts)))
    return told


def _held(by: Mapping[str, Effect]) -> tuple[Words, ...]:
    held = by["throttle_share"]
    if held.before is None or held.after is None or held.shown not in (Shown.BETTER, Shown.WORSE):
        return ()
    less = held.after < held.before
    if less and held.after < NEVER_PERCENT:
        return (say("plain-free"),)
    return (say("plain-held", less=less, before=held.before, after=held.after),)


def _warmth(by: Mapping[str, Effect]) -> tuple[Words, ...]:
    rise, power, die = by["rise"], by["power"], by["die_temperature"]
    work = _work(power)
    if work in ("more", "less") and power.shown is Shown.CHANGED and die.shown is Shown.NOT_SHOWN:
        return (say("plain-work", more=work == "more", before=power.before, after=power.after),)
    if rise.shown in (Shown.BETTER, Shown.WORSE) and rise.difference is not None:
        degrees = abs(rise.difference)
        return (
            say("plain-warmth", cooler=rise.difference < 0, degrees=degrees, single=round(degrees) == 1, work=work),
        )
    return ()


def _work(power: Effect) -> str:
    if power.before is None or power.after is None:
        return "unknown"
    if abs(power.after - power.before) <= SAME_POWER_SHARE * power.before:
        return "same"
    return "more" if power.after > power.before else "less"


def _noise(by: Mapping[str, Effect]) -> tuple[Words, ...]:
    noise = by["noise"] if by["noise"].difference is not None else by.get("recorded_level", by["noise"])
    if noise.shown not in (Shown.BETTER, Shown.WORSE) or noise.difference is None:
        return ()
    size = abs(noise.difference)
    how = "half" if size >= HALF_AS_LOUD_DB else "clearly" if size >= CLEARLY_DB else "just"
    return (say("plain-noise", quieter=noise.difference < 0, size=size, how=how),)
