"""The signature graphics for paper: owl, heat ladder and chart as SVG. Screen versions live with the interface."""

from __future__ import annotations

import math
from collections.abc import Mapping, Sequence
from typing import Any

from vividowl.core.quantities.words import say
from vividowl.core.response.ladder import Ladder
from vividowl.core.trace.throttling import HELD_SHARE
from vividowl.formats.svg import INK, PAPER, RULE, SOFT, Part, box, document, path, shape, words
from vividowl.words import sentence

BEFORE, AFTER = "#a83a18", "#00686b"
RISE_FULL_K = 90.0
NOISE_LOW_DB, NOISE_HIGH_DB = 25.0, 65.0
BEAKS = {
    "improved": "M54 54h12l-6 12z",
    "worse": "M54 66h12l-6 -12z",
    "improved_if_same": "M54 54h12l-6 12z",
    "worse_if_same": "M54 66h12l-6 -12z",
    "no_difference_shown": "M53 58h14v4h-14z",
    "cannot_be_compared": "M54 56l12 8m0 -8l-12 8",
}


def ring_end(share: float) -> tuple[float, float, bool]:
    """Where a ring of radius 1 ends that runs from the bottom clockwise, and whether it goes the long way round."""
    share = min(0.9999, max(0.0, share))
    angle = math.pi / 2 + 2 * math.pi * share
    return math.cos(angle), math.sin(angle), share > 0.5


def pupil_share(noise_db: float | None) -> float | None:
    """From quiet (0) to loud (1); None when no noise was read."""
    if noise_db is None:
        return None
    return min(1.0, max(0.0, (noise_db - NOISE_LOW_DB) / (NOISE_HIGH_DB - NOISE_LOW_DB)))


def is_held(glance: Mapping[str, Any]) -> bool:
    """Whether heat held it back for long enough to be shown: the eye has a lid then."""
    return bool((glance.get("held_share") or 0.0) > HELD_SHARE)


def joints(ladder: Ladder, floor: float, scale: float) -> list[tuple[float, float]]:
    """Upper and lower joint of each rung, from the floor upwards; floor in the drawing's units, scale in units a K."""
    found, y = [], floor
    for rung in ladder.rungs:
        found.append((y - max(0.0, rung.drop_k * scale), y))
        y = found[-1][0]
    return found


def highest_rise(ladders: Sequence[Ladder]) -> float:
    """The largest rise [K] of the ladders that share a scale; 1 at least, so that there is a scale."""
    return max([1.0, *(x.die_c - x.room_c for x in ladders)])


def _arc(cx: float, cy: float, radius: float, share: float) -> str:
    x, y, long_way = ring_end(share)
    end = f"{cx + radius * x:.2f} {cy + radius * y:.2f}"
    return f"M{cx:.2f} {cy + radius:.2f}A{radius} {radius} 0 {int(long_way)} 1 {end}"


def _eye(cx: float, cy: float, *, glance: Mapping[str, Any], colour: str, hollow: bool) -> list[Part]:
    r = 22.0
    if not glance.get("measured"):
        return [shape("circle", cx=cx, cy=cy, r=r, fill="none", stroke=RULE, stroke_width=2)]
    parts = [shape("circle", cx=cx, cy=cy, r=r, fill="none", stroke=RULE, stroke_width=2)]
    rise = glance.get("rise_k")
    if rise is not None:
        ring = _arc(cx, cy, r, rise / RISE_FULL_K)
        parts.append(path(ring, fill="none", stroke=colour, stroke_width=8))
        if hollow:
            parts.append(path(ring, fill="none", stroke=PAPER, stroke_width=4.4))
    noise = glance.get("noise_db")
    share = pupil_share(noise)
    pupil = 3 + 10 * (0.4 if share is None else share)
    fill = "none" if hollow or noise is None else colour
    parts.append(shape("circle", cx=cx, cy=cy, r=pupil, fill=fill, stroke=colour, stroke_width=2.4))
    if is_held(glance):
        parts.append(path(f"M{cx - r - 4} {cy}A{r + 4} {r + 4} 0 0 1 {cx + r + 4} {cy}Z", fill=INK))
    return parts


def owl_svg(before: Mapping[str, Any], after: Mapping[str, Any], verdict: str | None) -> str:
    """Two eyes: left before, right after. Ring is rise over room (full circle 90 K), pupil is noise, a lid that
    covers the upper half is heat holding it back."""
    parts = [path("M6 4Q34 17 60 13Q86 17 114 4", fill="none", stroke=INK, stroke_width=3.4, stroke_linecap="round")]
    parts += _eye(32, 42, glance=before, colour=BEFORE, hollow=True) + _eye(
        88, 42, glance=after, colour=AFTER, hollow=False
    )
    if verdict is not None:
        fill = "none" if verdict.endswith("_if_same") else INK
        parts.append(path(BEAKS[verdict], fill=fill, stroke=INK, stroke_width=1.6))
    return document(120, 72, parts)


# Room for the names of rungs, and a mean letter of theirs, bold [px of the drawing].
NAMES, LETTER = 98.0, 7.9


def ladder_svg(before: Ladder | None, after: Ladder | None, culprit: str | None) -> str:
    """Both ladders on one scale, standing on the floor that is the room."""
    ladders = [x for x in (before, after) if x is not None]
    # The bars stand beside the longest name, which other languages have longer than English.
    longest = max((len(sentence(say(f"rung-{rung.name}"))) for x in ladders for rung in x.rungs), default=0)
    aside = max(0.0, LETTER * longest - NAMES)
    width, height, floor, top = 276.0 + aside, 322.0, 270.0, 34.0
    if not ladders:
        return document(width, 24, [words(0, 16, say("drawing-no-ladder"), size=11, fill=SOFT)])
    scale = (floor - top) / highest_rise(ladders)
    parts = []
    for ladder, x, colour, hollow, word in (
        (before, 104.0 + aside, BEFORE, True, "before"),
        (after, 196.0 + aside, AFTER, False, "after"),
    ):
        if ladder is None:
            continue
        parts += _one_ladder(
            ladder,
            x,
            floor=floor,
            scale=scale,
            colour=colour,
            hollow=hollow,
            culprit=culprit if word == "before" else None,
        )
        watts = say("drawing-watts", power_w=ladder.power or None)
        parts.append(words(x + 36, floor + 20, say(f"side-{word}"), size=14, fill=colour, anchor="middle"))
        parts.append(words(x + 36, floor + 35, watts, size=14, fill=colour, anchor="middle"))
        parts.append(
            words(
                x + 36, floor + 50, say("conditions-degrees", value=ladder.room_c), size=14, fill=SOFT, anchor="middle"
            )
        )
    parts.append(path(f"M0 {floor}H{width:g}", stroke=INK, stroke_width=2.4))
    parts.append(words(0, floor + 50, say("conditions-room"), size=14, fill=SOFT))
    return document(width, height, parts)


def _one_ladder(
    ladder: Ladder, x: float, *, floor: float, scale: float, colour: str, hollow: bool, culprit: str | None
) -> list[Part]:
    parts, last_name = [], floor + 18
    wide = 72.0
    spans = joints(ladder, floor, scale)
    for rung, (upper, y) in zip(ladder.rungs, spans, strict=True):
        high = y - upper
        fill = colour if not hollow else "none"
        if high < 1.5:
            continue
        parts.append(box(x, y - high + 1, wide, max(0.5, high - 2), fill=fill, stroke=colour, stroke_width=1.6))
        middle = y - high / 2 + 4
        if high > 16:
            ink = PAPER if not hollow else colour
            parts.append(
                words(
                    x + wide / 2,
                    middle,
                    say("drawing-kelvins", kelvins=rung.drop_k),
                    size=14,
                    fill=ink,
                    anchor="middle",
                    bold=True,
                )
            )
        label = min(middle, last_name - 18, floor - 6)
        if hollow:
            here = rung.name == culprit
            parts.append(words(0, label - (8 if here else 0), say(f"rung-{rung.name}"), size=14, bold=here))
            if here:
                parts.append(words(0, label + 8, say("drawing-stops-here"), size=13, fill=colour, bold=True))
            last_name = label - (8 if here else 0)
    parts.append(
        words(
            x + wide / 2,
            (spans[-1][0] if spans else floor) - 6,
            say("drawing-degrees", value=ladder.die_c),
            size=18,
            fill=colour,
            anchor="middle",
            bold=True,
        )
    )
    return parts


def chart_svg(
    before: tuple[Sequence[float], Sequence[float]],
    after: tuple[Sequence[float], Sequence[float]],
) -> str:
    """Die temperature of both runs from load onset, each curve with its name."""
    width, height, left, right, top, bottom = 520.0, 236.0, 40.0, 512.0, 22.0, 214.0
    times = [*before[0], *after[0]]
    values = [*before[1], *after[1]]
    t0, t1 = min(times), max(times)
    low, high = 10 * math.floor(min(values) / 10), 10 * math.ceil(max(values) / 10)

    def px(t: float) -> float:
        return left + (t - t0) / ((t1 - t0) or 1) * (right - left)

    def py(v: float) -> float:
        return bottom - (v - low) / ((high - low) or 1) * (bottom - top)

    parts = [words(left - 5, 10, "°C", size=12, fill=SOFT, anchor="end")]
    step = 10 if high - low <= 60 else 20
    for v in range(low, high + 1, step):
        parts.append(path(f"M{left} {py(v):.1f}H{right}", stroke=RULE, stroke_width=0.8))
        parts.append(words(left - 5, py(v) + 3.5, str(v), size=13, fill=SOFT, anchor="end"))
    minute_step = next((m for m in (1, 2, 5, 10, 20, 30, 60, 120, 240) if (t1 - t0) / 60 / m <= 7), 600)
    for minute in range(0, int(t1 // 60) + 1, minute_step):
        at = say("conditions-minutes", value=minute) if minute else say("drawing-load-on")
        parts.append(words(px(minute * 60), bottom + 16, at, size=13, fill=SOFT, anchor="middle"))
    for (ts, vs), colour, dash, word in ((before, BEFORE, "5 3", "before"), (after, AFTER, None, "after")):
        points = " ".join(f"{px(t):.1f},{py(v):.1f}" for t, v in zip(ts, vs, strict=True))
        parts.append(
            shape("polyline", points=points, fill="none", stroke=colour, stroke_width=1.5, stroke_dasharray=dash)
        )
        # Halfway through, where both have risen and neither has ended; the hotter one has its name above.
        half = min(range(len(ts)), key=lambda i: abs(ts[i] - 0.5 * t1))
        other = (after if word == "before" else before)[1]
        above = vs[half] >= other[min(half, len(other) - 1)]
        y = py(vs[half]) + (-8 if above else 18)
        parts.append(words(px(ts[half]), y, say(f"side-{word}"), size=13, fill=colour, bold=True))
    return document(width, height, parts)
