"""Screws, plugs and pads of a device: places, classes as letter and shape, and the order to loosen and tighten them."""

from __future__ import annotations

import math
from collections.abc import Mapping, Sequence
from dataclasses import dataclass

from vividowl.core.quantities.errors import CoreError, require_one_of, require_range
from vividowl.core.quantities.words import Words, say

SCREW, PLUG, PAD = "screw", "plug", "pad"
SCREW_GROUPS: Mapping[str, Words] = {
    "cover": say("screws-cover"),
    "cooler": say("screws-cooler"),
    "fan": say("screws-fan"),
    "board": say("screws-board"),
    "other": say("screws-other"),
}
PLUG_PARTS: Mapping[str, Words] = {
    "battery": say("plug-battery"),
    "fan": say("plug-fan"),
    "antenna": say("plug-antenna"),
    "display": say("plug-display"),
    "ribbon": say("plug-ribbon"),
    "drive": say("plug-drive"),
    "speaker": say("plug-speaker"),
    "other": say("plug-other"),
}
PAD_PARTS: Mapping[str, Words] = {
    "memory": say("pad-memory"),
    "regulators": say("pad-regulators"),
    "inductors": say("pad-inductors"),
    "other": say("pad-other"),
}
DRIVES: Mapping[str, Words] = {
    "cross": say("drive-cross"),
    "five_lobe": say("drive-five_lobe"),
    "six_lobe": say("drive-six_lobe"),
    "hex": say("drive-hex"),
    "slot": say("drive-slot"),
    "unknown": say("drive-unknown"),
}
HEADS: Mapping[str, Words] = {
    "pan": say("head-pan"),
    "flat": say("head-flat"),
    "wide": say("head-wide"),
    "spring": say("head-spring"),
    "unknown": say("head-unknown"),
}
# A class is told by letter and shape together, never by colour.
SHAPES = ("circle", "square", "triangle", "diamond", "bar", "hexagon", "cross", "drop")
LETTERS = "ABCDEFGHIJKLMNOPQRSTUVWXYZ"
PLACES_MOST = 200  # on one map; a limit of the product


@dataclass(frozen=True, kw_only=True)
class Place:
    """A screw, a plug or a pad. x and y: where it sits, as a share of the outline's width and height; holds: what a
    screw holds, what is plugged, or what a pad cools; a screw's class is length [mm], drive and head; number: printed
    beside it; a pad's gap_mm between part and cooler, and thickness_mm of the pad that fills it."""

    id: str
    kind: str
    x: float
    y: float
    holds: str
    length_mm: float | None = None
    drive: str = "unknown"
    head: str = "unknown"
    number: int | None = None
    note: str = ""
    gap_mm: float | None = None
    thickness_mm: float | None = None


@dataclass(frozen=True, kw_only=True)
class ScrewClass:
    """Screws that may be swapped for one another: letter and shape, length [mm], drive and head, and how many."""

    letter: str
    shape: str
    length_mm: float | None
    drive: str
    head: str
    count: int

    @property
    def words(self) -> Words:
        """The class in words."""
        return say("screw-class", length_mm=self.length_mm, drive=DRIVES[self.drive], head=HEADS[self.head])


@dataclass(frozen=True)
class Pass:
    """One round of tightening. share: of the turns, 1 for fully; words for it."""

    share: float
    words: Words


def check_place(place: Place) -> Place:
    """Refuse a place that cannot be.

    place: the screw, plug or pad
    returns: the same
    raises: CoreError, OutOfRange naming the field
    source: common practice, no source
    """
    groups = {SCREW: SCREW_GROUPS, PLUG: PLUG_PARTS, PAD: PAD_PARTS}.get(place.kind)
    if groups is None:
        raise CoreError(say("fasteners-neither-screw-nor-plug", kind=place.kind), field="kind")
    for name, allowed in (("holds", groups), ("drive", DRIVES), ("head", HEADS)):
        require_one_of(name, getattr(place, name), allowed)
    require_range("x", place.x, "", (0.0, 1.0), hint=say("fasteners-place-inside-outline"))
    require_range("y", place.y, "", (0.0, 1.0), hint=say("fasteners-place-inside-outline"))
    if place.length_mm is not None:
        require_range("length_mm", place.length_mm, "mm", (0.5, 80.0), hint=say("fasteners-measure-from-below-head-or"))
    for name in ("gap_mm", "thickness_mm"):
        if getattr(place, name) is not None:
            require_range(name, getattr(place, name), "mm", (0.05, 10.0), hint=say("fasteners-gap-by-putty-or-pad"))
    if place.number is not None:
        require_range("number", place.number, "", (1, 99), hint=say("fasteners-number-printed-beside-screw"))
    return place


def classes_of(places: Sequence[Place]) -> tuple[ScrewClass, ...]:
    """Classes of the screws, in the order in which they were first met.

    places: screws and plugs (n,)
    source: common practice, no source
    """
    counts: dict[tuple[float | None, str, str], int] = {}
    for p in places:
        if p.kind == SCREW:
            key = (p.length_mm, p.drive, p.head)
            counts[key] = counts.get(key, 0) + 1
    return tuple(
        ScrewClass(
            letter=LETTERS[i % len(LETTERS)] + (str(i // len(LETTERS) + 1) if i >= len(LETTERS) else ""),
            shape=SHAPES[i % len(SHAPES)],
            length_mm=key[0],
            drive=key[1],
            head=key[2],
            count=count,
        )
        for i, (key, count) in enumerate(counts.items())
    )


def letter_of(place: Place, classes: Sequence[ScrewClass]) -> str:
    """The letter of a screw's class, empty for a plug.

    place: the screw or plug
    source: common practice, no source
    """
    same = (c.letter for c in classes if (c.length_mm, c.drive, c.head) == (place.length_mm, place.drive, place.head))
    return next(same, "") if place.kind == SCREW else ""


def diagonal_order(points: Sequence[tuple[float, float]]) -> tuple[int, ...]:
    """Order that goes back and forth across the middle: opposite places first, then the pair farthest from those done.

    points: positions (n,) [any one unit]
    returns: indices into points (n,)
    range: any number; places on one line are ordered too, though nothing lies opposite there
    formula: places by angle about their mean; i with i + n/2; the next pair lies farthest from the pairs done, then
        from the last one; an odd number is walked by steps of (n − 1)/2
    source: star pattern of general bolting practice as in pressure-flange guides, from memory
    """
    n = len(points)
    if n < 3:
        return tuple(range(n))
    mean_x, mean_y = sum(p[0] for p in points) / n, sum(p[1] for p in points) / n
    # Clockwise on a screen, starting at the upper left as one reads.
    around = sorted(
        range(n),
        key=lambda i: (
            round(
                (math.atan2(points[i][1] - mean_y, points[i][0] - mean_x) + 0.75 * math.pi + 1e-9) % (2 * math.pi), 6
            ),
            i,
        ),
    )
    if n % 2:
        step = (n - 1) // 2
        return tuple(around[(k * step) % n] for k in range(n))
    half, done = n // 2, [0]

    def apart(a: int, b: int) -> int:
        return min((a - b) % half, (b - a) % half)

    while len(done) < half:
        left = [p for p in range(half) if p not in done]
        done.append(max(left, key=lambda p: (min(apart(p, d) for d in done), apart(p, done[-1]), -p)))
    return tuple(around[k] for pair in done for k in (pair, pair + half))


def tightening_order(places: Sequence[Place]) -> tuple[str, ...]:
    """Order to tighten some screws: by the printed numbers when all have one, else a diagonal.

    places: screws of one part (n,)
    returns: their ids (n,)
    source: common practice, no source
    """
    numbers = [p.number for p in places]
    if places and None not in numbers and len(set(numbers)) == len(numbers):
        return tuple(p.id for p in sorted(places, key=lambda p: p.number or 0))
    return tuple(places[i].id for i in diagonal_order([(p.x, p.y) for p in places]))


def loosening_order(places: Sequence[Place]) -> tuple[str, ...]:
    """Order to loosen some screws: the reverse of tightening.

    places: screws of one part (n,)
    returns: their ids (n,)
    source: common practice, no source
    """
    return tuple(reversed(tightening_order(places)))


TIGHTENING_SCHOOLS = (50, 70)  # [%] of the turns in the first round; both are common practice, no source


def tightening_passes(school_percent: int) -> tuple[Pass, ...]:
    """Rounds of tightening of a school.

    school_percent: share of the turns in the first round [%], 50 or 70
    raises: CoreError for another school
    source: common practice, no source; both schools are taught
    """
    if school_percent not in TIGHTENING_SCHOOLS:
        raise CoreError(
            say("fasteners-no-school-tightening-allowed-or", school_percent=school_percent), field="tightening_percent"
        )
    return (
        Pass(school_percent / 100, say("fasteners-first-round", percent=school_percent)),
        Pass(1.0, say("fasteners-second-round-fully-same-order")),
    )
