"""What makes two runs not comparable: corrected, only noted, or forbidding a verdict."""

from __future__ import annotations

from dataclasses import dataclass
from enum import StrEnum

ROOM_CORRECTED_K = 5.0
DURATION_SAME_SHARE = 0.2
# So much longer, and what the two have in common is no more than a start.
DURATION_RATIO_MOST = 2.5


class Bearing(StrEnum):
    """What a condition means for the comparison."""

    SAME = "same"
    CORRECTED = "corrected"
    NOTED = "noted"
    UNKNOWN = "unknown"
    FORBIDS = "forbids"


@dataclass(frozen=True)
class Conditions:
    """How a run was made. Every field may be None: not known. room_c [degC], duration_min [min]."""

    load: str | None = None
    fan: str | None = None
    power_profile: str | None = None
    placement: str | None = None
    start: str | None = None
    firmware: str | None = None
    tuning: str | None = None
    sensor: str | None = None
    room_c: float | None = None
    duration_min: float | None = None


@dataclass(frozen=True)
class ConditionFinding:
    """condition: field; words: how it is called; before, after: as written; bearing; text: the reason in words."""

    condition: str
    words: str
    before: str | None
    after: str | None
    bearing: Bearing
    text: str


_WORDS = {
    "load": "load", "fan": "fan setting", "power_profile": "power profile", "placement": "placement",
    "sensor": "sensor", "start": "start", "firmware": "firmware", "tuning": "tuning",
}  # fmt: skip
_FORBIDDING = ("load", "fan", "power_profile", "placement", "sensor")
_REPEAT = {
    "load": "Repeat one side with the same load.",
    "fan": "Repeat with the same fan setting.",
    "power_profile": "Repeat with the same power profile.",
    "placement": "Repeat in the same place: lid, stand, dock and lap all change the air.",
    "sensor": "Compare the same sensor on both sides.",
}
_NOTED = {
    "firmware": "A firmware update can change fan table and limits; part of the effect may be its own.",
    "tuning": "Undervolt, cap or driver changed in between; part of the effect may be its own.",
    "start": "One run started warm; it does not matter once both have settled.",
}


def judge_conditions(before: Conditions, after: Conditions, both_settled: bool) -> tuple[ConditionFinding, ...]:
    """Judge condition by condition whether two runs can be compared.

    before: conditions of the first run
    after: conditions of the second run
    both_settled: whether both readings reached their steady state [flag]
    returns: one ConditionFinding a condition (n,)
    range: a condition given on no side or on one side only is unknown and does not forbid
    source: common practice, no source
    """
    found: list[ConditionFinding] = []
    for name, words in _WORDS.items():
        b, a = _clean(getattr(before, name)), _clean(getattr(after, name))
        if b is None or a is None:
            side = "on neither side" if b is None and a is None else "before" if b is None else "after"
            text = f"Not noted {side}." if b is None and a is None else f"Not noted {side}; taken as the same."
            bearing = Bearing.UNKNOWN
        elif b.casefold() == a.casefold():
            bearing, text = Bearing.SAME, ""
        elif name in _FORBIDDING:
            bearing, text = Bearing.FORBIDS, f"The {words} was “{b}” before and “{a}” after. {_REPEAT[name]}"
        elif name == "start" and not both_settled:
            bearing = Bearing.FORBIDS
            text = "A cold start against a warm one, and not both have settled. Repeat with the same start."
        else:
            bearing, text = Bearing.NOTED, _NOTED[name]
        found.append(ConditionFinding(name, words, b, a, bearing, text))
    return (*found, _judge_room(before.room_c, after.room_c), _judge_duration(before, after, both_settled))


def _clean(value: str | None) -> str | None:
    text = " ".join(value.split()) if value else ""
    return text or None


def _judge_room(b: float | None, a: float | None) -> ConditionFinding:
    words = [f"{v:.1f} °C" if v is not None else None for v in (b, a)]
    if b is None or a is None:
        text = "The room was not noted, so rises over it are not known. Note the room."
        return ConditionFinding("room_c", "room", words[0], words[1], Bearing.UNKNOWN, text)
    if abs(a - b) < 0.05:
        return ConditionFinding("room_c", "room", words[0], words[1], Bearing.SAME, "")
    if abs(a - b) <= ROOM_CORRECTED_K:
        text = f"The rooms differ by {abs(a - b):.1f} K; rises over the room take it out."
        return ConditionFinding("room_c", "room", words[0], words[1], Bearing.CORRECTED, text)
    text = (
        f"The rooms differ by {abs(a - b):.1f} K, more than {ROOM_CORRECTED_K:.0f} K: corrected, but fan and leakage "
        "follow temperature, so take the result with care."
    )
    return ConditionFinding("room_c", "room", words[0], words[1], Bearing.NOTED, text)


def _judge_duration(before: Conditions, after: Conditions, both_settled: bool) -> ConditionFinding:
    b, a = before.duration_min, after.duration_min
    words = [f"{v:.0f} min" if v is not None else None for v in (b, a)]
    if b is None or a is None:
        return ConditionFinding("duration_min", "duration", words[0], words[1], Bearing.UNKNOWN, "Not noted.")
    if abs(a - b) <= DURATION_SAME_SHARE * max(a, b):
        return ConditionFinding("duration_min", "duration", words[0], words[1], Bearing.SAME, "")
    if both_settled:
        text = "One run was longer; both have settled, so it does not matter."
        return ConditionFinding("duration_min", "duration", words[0], words[1], Bearing.NOTED, text)
    if max(a, b) <= DURATION_RATIO_MOST * min(a, b):
        text = f"{words[0]} against {words[1]}, and not both have settled: both are judged at {min(a, b):.0f} min."
        return ConditionFinding("duration_min", "duration", words[0], words[1], Bearing.CORRECTED, text)
    text = f"{words[0]} against {words[1]}, and not both have settled. Repeat for the longer time."
    return ConditionFinding("duration_min", "duration", words[0], words[1], Bearing.FORBIDS, text)
