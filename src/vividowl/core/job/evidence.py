"""What is settled at the counter: what came along, how it looked, what was agreed, and that somebody signed for it."""

from __future__ import annotations

import math
from collections.abc import Sequence
from enum import StrEnum
from itertools import pairwise

from vividowl.core.quantities.errors import CoreError
from vividowl.core.quantities.words import Words, say

# How many strokes and points a signature may have [1]. Our choice: more than any hand draws.
STROKES_MOST, POINTS_MOST = 200, 20_000
# How much ink makes a signature, as a share of the pad's width [1]. Our choice: a dot and a short dash are none.
INK_LEAST = 0.1
# How many marks a photo of the condition takes [1]. Our choice.
MARKS_MOST = 40


class Passcode(StrEnum):
    """How the passcode of a device is handled."""

    NOT_ASKED = "not_asked"
    TYPED_BY_OWNER = "typed_by_owner"
    KEPT_APART = "kept_apart"


class ConditionPlace(StrEnum):
    """Where on a device a photo of its condition was taken."""

    LID = "lid"
    SCREEN = "screen"
    KEYBOARD = "keyboard"
    UNDERSIDE = "underside"
    EDGES = "edges"
    PORTS = "ports"
    OTHER = "other"


def ink_length(strokes: Sequence[Sequence[Sequence[float]]]) -> float:
    """How much was drawn.

    strokes: points x, y of each stroke, as shares of the pad's width (n, m, 2) [1]
    returns: length of all strokes together, as a share of the pad's width [1]
    """
    return sum(math.dist(a[:2], b[:2]) for stroke in strokes for a, b in pairwise(stroke))


def check_signature(name: str, strokes: Sequence[Sequence[Sequence[float]]]) -> None:
    """Refuse what is no signature: nobody's name, no strokes, a mere dot, or more than a hand draws.

    name: whose it is, in letters [text]
    strokes: points x, y of each stroke, as shares of the pad's width (n, m, 2) [1]
    returns: nothing
    raises: CoreError
    source: common practice, no source
    """
    if not name.strip():
        raise CoreError(say("evidence-whose-signature"), field="name", remedy=say("evidence-write-name"))
    points = [p for stroke in strokes for p in stroke]
    if len(strokes) > STROKES_MOST or len(points) > POINTS_MOST:
        raise CoreError(say("evidence-too-much-ink"), field="strokes", remedy=say("evidence-draw-again"))
    if not all(math.isfinite(v) and -0.5 <= v <= 1.5 for p in points for v in p[:2]):
        raise CoreError(say("evidence-off-the-pad"), field="strokes", remedy=say("evidence-draw-again"))
    if ink_length(strokes) < INK_LEAST:
        raise CoreError(say("evidence-no-signature"), field="strokes", remedy=say("evidence-draw-again"))


def consent_words(
    *,
    device: str,
    serial: str,
    shop: str,
    accessories: str,
    limit: str | None,
    limits: str,
    passcode: Passcode,
    backup: str,
    warranty: str,
    marks: int,
) -> tuple[Words, ...]:
    """What a customer signs when they leave a device.

    device: maker and model [text]
    serial: serial number, empty where there is none [text]
    shop: name of the shop [text]
    accessories: what came along, empty for nothing [text]
    limit: price up to which the shop works without asking, None for none agreed [text]
    limits: further limits, in words [text]
    passcode: how the passcode is handled [text]
    backup: yes, no or unknown [text]
    warranty: running, over or unknown [text]
    marks: how many places of its condition were photographed [1]
    returns: sentences (n,)
    source: common practice, no source
    """
    out: list[Words] = [
        say("consent-leave", device=device, serial=serial or None, shop=shop),
        say("consent-accessories", accessories=accessories or None),
    ]
    if marks:
        out.append(say("consent-condition", marks=marks))
    out.append(say("consent-limit", limit=limit))
    if limits:
        out.append(say("consent-limits", limits=limits))
    out.append(say("consent-passcode", passcode=passcode.value))
    out.append(say("consent-backup", backup=backup))
    if warranty != "over":
        out.append(say("consent-warranty", warranty=warranty))
    return tuple(out)


def pick_up_words(
    *, device: str, serial: str, accessories: str, record: int | None, paid: str | None
) -> tuple[Words, ...]:
    """What a customer signs when they take a device back.

    device: maker and model [text]
    serial: serial number, empty where there is none [text]
    accessories: what came along, empty for nothing [text]
    record: version of the record that they get, None without one [1]
    paid: the price, None where none is set [text]
    returns: sentences (n,)
    source: common practice, no source
    """
    out: list[Words] = [
        say("pickup-device", device=device, serial=serial or None),
        say("pickup-accessories", accessories=accessories or None),
    ]
    if record is not None:
        out.append(say("pickup-record", version=record))
    out.append(say("pickup-price", price=paid))
    return tuple(out)
