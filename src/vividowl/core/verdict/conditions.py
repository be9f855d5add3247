"""What makes two runs not comparable: corrected, only noted, or forbidding a verdict."""

from __future__ import annotations

from dataclasses import dataclass
from enum import StrEnum

from vividowl.core.quantities.words import Words, say

ROOM_CORRECTED_K = 5.0  # [K] between rooms; beyond it the correction is flagged; common practice, no source
DURATION_SAME_SHARE = 0.2  # of the longer run; from memory
# So much longer, and what the two have in common is no more than a start.
DURATION_RATIO_MOST = 2.5
NO_FAN = "no fan"  # the fan setting of a device without one


class Bearing(StrEnum):
    """What a condition means for the comparison."""

    SAME = "same"
    CORRECTED = "corrected"
    NOTED = "noted"
    UNKNOWN = "unknown"
    FORBIDS = "forbids"


@dataclass(frozen=True, kw_only=True)
class Conditions:
    """How a run was made. Every field may be None: not known. room_c [degC], duration_min [min]; die_column: heading of
    the die's column in the log."""

    load: str | None = None
    fan: str | None = None
    power_profile: str | None = None
    placement: str | None = None
    start: Words | None = None
    firmware: str | None = None
    tuning: str | None = None
    sensor: Words | None = None
    room_c: float | None = None
    duration_min: float | None = None
    die_column: str | None = None


@dataclass(frozen=True, kw_only=True)
class ConditionFinding:
    """condition: field; words: how it is called; before, after: as written; bearing; text: the reason in words."""

    condition: str
    words: Words
    before: Words | None
    after: Words | None
    bearing: Bearing
    text: Words


_WORDS: dict[str, Words] = {
    "load": say("conditions-load"),
    "fan": say("conditions-fan-setting"),
    "power_profile": say("conditions-power-profile"),
    "placement": say("conditions-placement"),
    "sensor": say("conditions-sensor"),
    "start": say("conditions-start"),
    "firmware": say("conditions-firmware"),
    "tuning": say("conditions-tuning"),
}
_FORBIDDING = ("load", "fan", "power_profile", "placement", "sensor")
_REPEAT = {
    "load": say("conditions-repeat-one-side-with-same"),
    "fan": say("conditions-repeat-with-same-fan-setting"),
    "power_profile": say("conditions-repeat-with-same-power-profile"),
    "placement": say("conditions-repeat-in-same-place-lid"),
    "sensor": say("conditions-compare-same-sensor-on-both"),
}
_NOTED = {
    "firmware": say("conditions-firmware-update-can-change-fan"),
    "tuning": say("conditions-undervolt-cap-or-driver-changed"),
    "start": say("conditions-one-run-started-warm-does"),
}


def judge_conditions(before: Conditions, after: Conditions, both_settled: bool) -> tuple[ConditionFinding, ...]:
    """Judge condition by condition whether two runs can be compared.

    before: conditions of the first run
    after: conditions of the second run
    both_settled: whether both readings reached their steady state [flag]
    range: a condition given on no side or on one side only is unknown and does not forbid
    source: common practice, no source
    """
    found: list[ConditionFinding] = []
    text: Words
    for name, words in _WORDS.items():
        b, a = _clean(getattr(before, name)), _clean(getattr(after, name))
        if b is None or a is None:
            text = say("conditions-side-not-noted", side="neither" if b is a else "before" if b is None else "after")
            bearing = Bearing.UNKNOWN
        elif _alike(b, a):
            bearing, text = Bearing.SAME, ""
        elif name in _FORBIDDING:
            bearing, text = (
                Bearing.FORBIDS,
                say("conditions-was-before-and-after", words=words, b=b, a=a, name=_REPEAT[name]),
            )
        elif name == "start" and not both_settled:
            bearing = Bearing.FORBIDS
            text = say("conditions-cold-start-against-warm-one")
        else:
            bearing, text = Bearing.NOTED, _NOTED[name]
        found.append(ConditionFinding(condition=name, words=words, before=b, after=a, bearing=bearing, text=text))
    return (*found, _judge_room(before.room_c, after.room_c), _judge_duration(before, after, both_settled))


def _clean(value: Words | None) -> Words | None:
    text = " ".join(value.split()) if isinstance(value, str) else value
    return text or None


def _alike(b: Words, a: Words) -> bool:
    return b.casefold() == a.casefold() if isinstance(b, str) and isinstance(a, str) else b == a


def _judge_room(b: float | None, a: float | None) -> ConditionFinding:
    words = [say("conditions-degrees", value=v) if v is not None else None for v in (b, a)]
    if b is None or a is None:
        text = say("conditions-room-was-not-noted-so")
        return ConditionFinding(
            condition="room_c",
            words=say("conditions-room"),
            before=words[0],
            after=words[1],
            bearing=Bearing.UNKNOWN,
            text=text,
        )
    if abs(a - b) < 0.05:
        return ConditionFinding(
            condition="room_c",
            words=say("conditions-room"),
            before=words[0],
            after=words[1],
            bearing=Bearing.SAME,
            text="",
        )
    if abs(a - b) <= ROOM_CORRECTED_K:
        text = say("conditions-rooms-differ-by-k-rises", b=abs(a - b))
        return ConditionFinding(
            condition="room_c",
            words=say("conditions-room"),
            before=words[0],
            after=words[1],
            bearing=Bearing.CORRECTED,
            text=text,
        )
    text = say("conditions-rooms-differ-by-k-more", b=abs(a - b), room_corrected_k=ROOM_CORRECTED_K)
    return ConditionFinding(
        condition="room_c",
        words=say("conditions-room"),
        before=words[0],
        after=words[1],
        bearing=Bearing.NOTED,
        text=text,
    )


def _judge_duration(before: Conditions, after: Conditions, both_settled: bool) -> ConditionFinding:
    b, a = before.duration_min, after.duration_min
    words = [say("conditions-minutes", value=v) if v is not None else None for v in (b, a)]
    if b is None or a is None:
        return ConditionFinding(
            condition="duration_min",
            words=say("conditions-duration"),
            before=words[0],
            after=words[1],
            bearing=Bearing.UNKNOWN,
            text=say("conditions-not-noted"),
        )
    if abs(a - b) <= DURATION_SAME_SHARE * max(a, b):
        return ConditionFinding(
            condition="duration_min",
            words=say("conditions-duration"),
            before=words[0],
            after=words[1],
            bearing=Bearing.SAME,
            text="",
        )
    if both_settled:
        text = say("conditions-one-run-was-longer-both")
        return ConditionFinding(
            condition="duration_min",
            words=say("conditions-duration"),
            before=words[0],
            after=words[1],
            bearing=Bearing.NOTED,
            text=text,
        )
    if max(a, b) <= DURATION_RATIO_MOST * min(a, b):
        text = say("conditions-against-and-not-both-have-2", words=words[0], words_2=words[1], b=min(a, b))
        return ConditionFinding(
            condition="duration_min",
            words=say("conditions-duration"),
            before=words[0],
            after=words[1],
            bearing=Bearing.CORRECTED,
            text=text,
        )
    text = say("conditions-against-and-not-both-have", words=words[0], words_2=words[1])
    return ConditionFinding(
        condition="duration_min",
        words=say("conditions-duration"),
        before=words[0],
        after=words[1],
        bearing=Bearing.FORBIDS,
        text=text,
    )
