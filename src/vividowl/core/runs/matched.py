"""Noise at matched temperature, or temperature at matched noise: one of the two is held, never both free."""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass
from itertools import pairwise

from vividowl.core.quantities.errors import NotEnoughData
from vividowl.core.quantities.words import say


@dataclass(frozen=True)
class Point:
    """A run as one point: x is held, y is compared; standard uncertainties of both, in their units."""

    x: float
    y: float
    u_x: float
    u_y: float


@dataclass(frozen=True)
class Matched:
    """value: of y where x is the held one, with its standard uncertainty [y]."""

    value: float
    u: float


def matched_at(points: Sequence[Point], held: float) -> Matched | None:
    """What a group shows where one quantity is held, read between its runs.

    points: runs of one group at several fan settings (n,) [any]
    held: value of x that is held [any]
    returns: Matched; None where it lies beyond the group's own runs, since nothing is read outside of them
    formula: a straight line between the two neighbours; u2 = sum (w_i u_yi)2 + (slope)2 sum (w_i u_xi)2
    range: neighbours near enough that the way between them is straight; with few fan settings it is only nearly so
    source: linear interpolation, and JCGM 100:2008, 5.1.2
    """
    ordered = sorted(points, key=lambda p: p.x)
    for low, high in pairwise(ordered):
        if low.x <= held <= high.x and high.x > low.x:
            share = (held - low.x) / (high.x - low.x)
            slope = (high.y - low.y) / (high.x - low.x)
            weights = (1.0 - share, share)
            spread = [w * math.hypot(p.u_y, slope * p.u_x) for w, p in zip(weights, (low, high), strict=True)]
            return Matched(low.y + share * (high.y - low.y), math.hypot(*spread))
    return None


def common_value(groups: Sequence[Sequence[Point]]) -> float:
    """Where most groups can be compared: the middle of the stretch that the most of them were run over.

    groups: points of each group (g, n) [any]
    returns: value of x to hold [any]
    raises: NotEnoughData where fewer than two groups have two runs, or no two of their ranges meet
    formula: of the stretches between the ends of the ranges the one within the most of them, its middle
    source: the definition
    """
    spans = [(min(p.x for p in g), max(p.x for p in g)) for g in groups if len({p.x for p in g}) > 1]
    if len(spans) < 2:
        raise NotEnoughData(say("matched-one-setting"), field="value")
    ends = sorted({end for span in spans for end in span})

    def within(stretch: tuple[float, float]) -> int:
        return sum(low <= stretch[0] and stretch[1] <= high for low, high in spans)

    best = max(pairwise(ends), key=lambda stretch: (within(stretch), stretch[1] - stretch[0]))
    if within(best) < 2:
        raise NotEnoughData(say("matched-do-not-meet"), field="value")
    return 0.5 * (best[0] + best[1])
