"""The verdict as one sentence: what was measured leads; what is calculated beyond it stands in the details."""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from dataclasses import dataclass

from vividowl.core.quantities.words import Words, listed, say
from vividowl.core.trace.throttling import HELD_SHARE
from vividowl.core.verdict.parts import Effect, Shown, Side
from vividowl.core.verdict.sensors import SensorVerdict
from vividowl.core.verdict.verdicts import Verdict

SAME_POWER_SHARE = 0.05  # within which the work is told to be the same; from memory
HELD_SHARE_PERCENT = 100.0 * HELD_SHARE
FAN_CHANGED_SHARE = 0.03  # from which it is told that the fan turned otherwise; from memory
OTHERS_MOST = 2  # sensors told beside the one that carries the verdict
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


@dataclass(frozen=True, kw_only=True)
class Told:
    """What a headline is made from: the first run before, the effects by name, the effect that carries the die's
    verdict, every sensor with the deciding die first, the one that carries the verdict in place of it or None, and the
    limit [degC] or None."""

    before: Side
    by: Mapping[str, Effect]
    main: Effect
    sensors: Sequence[SensorVerdict] = ()
    carrier: SensorVerdict | None = None
    limit_c: float | None = None


def headline_of(verdict: Verdict, told: Told, assumes: Sequence[str]) -> tuple[Phrase, ...]:
    """One sentence for a verdict, piece by piece: what was shown leads, sensors above their limits follow.

    told: what it is made from
    assumes: names of what is doubtful or not known and could do it alone (k,)
    returns: the sentence without its full stop (p,)
    source: common practice, no source
    """
    if verdict is Verdict.CANNOT_BE_COMPARED:
        return (Phrase(say("headline-cannot-be-compared")),)
    others = _others(told)
    if verdict is Verdict.NO_DIFFERENCE_SHOWN:
        trade, plain = _trade(told.by), Phrase(say("headline-no-difference-shown"))
        return (plain, Phrase(_COLON), Phrase(trade), *others) if trade else (plain, *others)
    said = _said(told, alone=not others and told.carrier is None)
    if verdict in (Verdict.IMPROVED_IF_SAME, Verdict.WORSE_IF_SAME):
        same = listed((_ASSUMED[a] for a in assumes), "and")
        assumed = Phrase(say("headline-if-same", same=same, assumes=len(assumes)), "assumed")
        return (Phrase(_WORDS[verdict]), assumed, Phrase(_COLON), *said, *others)
    return (Phrase(_WORDS[verdict]), Phrase(_COLON), *said, *others)


def _said(told: Told, alone: bool) -> tuple[Phrase, ...]:
    """What the sensor that carries the verdict shows; alone: no other sensor is told, so the die needs no name."""
    carrier, main = told.carrier, told.main
    if carrier is not None and carrier.difference_k is not None:
        first = say(
            "headline-sensor-k",
            sensor=carrier.short_words,
            kelvins=abs(carrier.difference_k),
            less=carrier.difference_k < 0,
            over=carrier.over_limit_k,
        )
        if main.shown not in (Shown.BETTER, Shown.WORSE):
            return (Phrase(first),)
        return (Phrase(first), Phrase("; "), *_of_the_die(told, alone=False))
    return _of_the_die(told, alone)


def _of_the_die(told: Told, alone: bool) -> tuple[Phrase, ...]:
    lead = () if alone or not told.sensors else (Phrase(say("headline-named", sensor=told.sensors[0].short_words)),)
    pinned = _pinned(told)
    if pinned is not None:
        return (*lead, *pinned)
    trade = _trade(told.by)
    if trade is not None:
        return (Phrase(trade),)
    kelvins = _kelvins(told)
    if kelvins is None:
        return (Phrase(_quieter(told.by)),)
    return (*lead, Phrase(kelvins), *_felt(told, alone))


def _others(told: Told) -> tuple[Phrase, ...]:
    """Sensors that stand above their limits or got worse, the worst first."""
    over, worse = [], []
    for sensor in told.sensors:
        if sensor is told.carrier or not sensor.tells:
            continue
        if sensor.over_limit_k is not None:
            over.append(sensor)
        elif sensor is not told.sensors[0] and sensor.firm and sensor.shown is Shown.WORSE:
            worse.append(sensor)
    over.sort(key=lambda s: -(s.over_limit_k or 0.0))
    words = [
        say(
            "headline-over-limit",
            sensor=s.short_words,
            over=s.over_limit_k,
            still=s.was_over_k is not None,
        )
        for s in over
    ] + [
        say("headline-sensor-k", sensor=s.short_words, kelvins=abs(s.difference_k or 0.0), less=False, over=None)
        for s in worse
    ]
    return tuple(part for text in words[:OTHERS_MOST] for part in (Phrase("; "), Phrase(text)))


def _watts(before: float, after: float) -> tuple[Phrase, ...]:
    digits = 1 if min(before, after) < 10.0 or abs(after - before) < 2.0 else 0
    return (
        Phrase(say("headline-figure", value=before, digits=digits), "before"),
        Phrase(" → "),
        Phrase(say("headline-watts", value=after, digits=digits), "after"),
    )


def _pinned(told: Told) -> tuple[Phrase, ...] | None:
    """At the same limit on both sides: the temperature hardly moves, so watts and clock lead."""
    held, power, clock, die = (told.by[q] for q in ("throttle_share", "power", "clock", "die_temperature"))
    if None in (held.before, held.after) or min(held.before or 0.0, held.after or 0.0) <= HELD_SHARE_PERCENT:
        return None
    if power.before is None or power.after is None or power.shown is not Shown.CHANGED:
        return None
    plateau = told.limit_c if told.limit_c is not None else told.before.reading.throttling.limit_c
    if die.shown is not Shown.NOT_SHOWN or plateau is None:
        return None
    parts: list[Words] = []
    if clock.before and clock.after and clock.shown in (Shown.BETTER, Shown.WORSE):
        parts.append(say("headline-clock", percent=100.0 * (clock.after / clock.before - 1.0)))
    return (
        Phrase(say("headline-at-its-c-limit", plateau=plateau)),
        *_watts(power.before, power.after),
        *_after(parts),
    )


def _felt(told: Told, alone: bool) -> tuple[Phrase, ...]:
    """What a customer feels of it: less held back; alone also more watts under the same load, room below the limit."""
    held, power, die = (told.by[q] for q in ("throttle_share", "power", "die_temperature"))
    if held.before is None or held.after is None or max(held.before, held.after) <= HELD_SHARE_PERCENT:
        return ()
    out: list[Phrase] = []
    if abs(held.after - held.before) >= SHARE_TOLD_PERCENT:
        out += _after([say("headline-held-back", before=held.before, after=held.after)])
    if not alone:
        return tuple(out)
    if power.before and power.after and abs(power.after - power.before) > SAME_POWER_SHARE * power.before:
        out += [Phrase(say("headline-same-load")), *_watts(power.before, power.after)]
    plateau = told.limit_c if told.limit_c is not None else told.before.reading.throttling.limit_c
    below = plateau - die.after if plateau is not None and die.after is not None else 0.0
    if held.after <= HELD_SHARE_PERCENT and below >= BELOW_LIMIT_TOLD_K:
        out += [Phrase("; "), Phrase(say("headline-now-k-below-its-limit", below=below))]
    return tuple(out)


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


def _kelvins(told: Told) -> Words | None:
    """Kelvins at equal work: the figure that the verdict of the die stands on."""
    main, power = told.main, told.by["power"]
    if main.shown not in (Shown.BETTER, Shown.WORSE) or main.difference is None:
        return None
    if main.unit != "K/W" or not power.before:
        return say("headline-k-over-room", difference=abs(main.difference), if_difference=main.difference < 0)
    fan = told.by["fan_speed"]
    turned = fan.before and fan.after and abs(fan.after / fan.before - 1.0) > FAN_CHANGED_SHARE
    same_fan = main.quantity == "resistance_same_fan" and turned
    return say(
        "headline-k-at-w",
        kelvins=abs(main.difference) * power.before,
        if_difference=main.difference < 0,
        before=power.before,
        at_fan=say("headline-with-fan-as-before") if same_fan else "",
    )


def _quieter(by: Mapping[str, Effect]) -> Words:
    noise = by["noise"]
    assert noise.difference is not None  # noqa: S101 - the only effect left that can carry a verdict
    return say("headline-db-no-hotter", difference=abs(noise.difference), if_difference=noise.difference < 0)
