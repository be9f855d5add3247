"""Maximal rectangles: what is free on a surface with pieces and holes, and where the next piece goes."""

from __future__ import annotations

from collections.abc import Iterable
from enum import StrEnum
from typing import NamedTuple


class Rect(NamedTuple):
    """A rectangle in whole units: its corner, its width along x and its height along y."""

    x: int
    y: int
    width: int
    height: int

    def holds(self, other: Rect) -> bool:
        """Whether another one lies within it."""
        return (
            self.x <= other.x
            and self.y <= other.y
            and self.x + self.width >= other.x + other.width
            and self.y + self.height >= other.y + other.height
        )

    def meets(self, other: Rect) -> bool:
        """Whether they share some area."""
        return (
            self.x < other.x + other.width
            and other.x < self.x + self.width
            and self.y < other.y + other.height
            and other.y < self.y + self.height
        )


class Rule(StrEnum):
    """Which free place is the best: least left on the shorter side, least area left, lowest, least on the longer."""

    SHORT_SIDE = "short_side"
    AREA = "area"
    LOWEST = "lowest"
    LONG_SIDE = "long_side"


class Surface:
    """A sheet as it is filled. free: the largest rectangles that hold nothing, which overlap one another."""

    def __init__(self, width: int, height: int, rule: Rule = Rule.SHORT_SIDE) -> None:
        self.rule = rule
        self.free = [Rect(0, 0, width, height)]
        self.placed = 0

    def add(self, width: int, height: int) -> Rect | None:
        """Place a piece, turned where that is better; None when it finds no room."""
        best: tuple[tuple[int, ...], Rect] | None = None
        for place in self.free:
            for w, h in ((width, height), (height, width)) if width != height else ((width, height),):
                if w <= place.width and h <= place.height:
                    found = Rect(place.x, place.y, w, h)
                    score = (*self._score(place, w, h), place.y, place.x)
                    if best is None or score < best[0]:
                        best = (score, found)
        if best is None:
            return None
        self.take(best[1])
        self.placed += 1
        return best[1]

    def take(self, gone: Rect) -> None:
        """Mark a place as gone, whether a piece lies there or a hole is."""
        pieces: list[Rect] = []
        kept: list[Rect] = []
        for place in self.free:
            if place.meets(gone):
                pieces.extend(_around(place, gone))
            else:
                kept.append(place)
        # What was free before holds no part of another; only what came from cutting can lie within something.
        fresh = sorted(set(pieces), key=lambda r: -r.width * r.height)
        for i, one in enumerate(fresh):
            if not any(k.holds(one) for k in kept) and not any(f.holds(one) for f in fresh[:i]):
                kept.append(one)
        self.free = kept

    def _score(self, place: Rect, width: int, height: int) -> tuple[int, ...]:
        across, up = place.width - width, place.height - height
        if self.rule is Rule.AREA:
            return (place.width * place.height - width * height, min(across, up))
        if self.rule is Rule.LOWEST:
            return (place.y + height, place.x)
        if self.rule is Rule.LONG_SIDE:
            return (max(across, up), min(across, up))
        return (min(across, up), max(across, up))


def _around(place: Rect, gone: Rect) -> Iterable[Rect]:
    """The largest rectangles of a free place that a taken one leaves."""
    right, top = place.x + place.width, place.y + place.height
    gone_right, gone_top = gone.x + gone.width, gone.y + gone.height
    if gone.x > place.x:
        yield Rect(place.x, place.y, gone.x - place.x, place.height)
    if gone_right < right:
        yield Rect(gone_right, place.y, right - gone_right, place.height)
    if gone.y > place.y:
        yield Rect(place.x, place.y, place.width, gone.y - place.y)
    if gone_top < top:
        yield Rect(place.x, gone_top, place.width, top - gone_top)
