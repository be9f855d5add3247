"""Maximal rectangles: against the definition on a grid, and against a packing library's public side."""

from __future__ import annotations

import numpy as np
import pytest
from hypothesis import given, settings
from hypothesis import strategies as st
from rectpack import MaxRectsBaf, MaxRectsBssf, newPacker

from vividowl.core.materials.nesting import nest
from vividowl.core.materials.pieces import Piece, Sheet
from vividowl.core.materials.rectangles import Rect, Rule, Surface

SIDE = 8
sides = st.integers(1, 5)


def grid(rects):
    out = np.zeros((SIDE, SIDE), dtype=bool)
    for r in rects:
        out[r.y : r.y + r.height, r.x : r.x + r.width] = True
    return out


def maximal(taken):
    """Every free rectangle of a grid that no other free one holds, by looking at all of them."""
    free = [
        Rect(x, y, w, h)
        for x in range(SIDE)
        for y in range(SIDE)
        for w in range(1, SIDE - x + 1)
        for h in range(1, SIDE - y + 1)
        if not taken[y : y + h, x : x + w].any()
    ]
    return {r for r in free if not any(o != r and o.holds(r) for o in free)}


@settings(max_examples=60, deadline=None)
@given(st.lists(st.tuples(sides, sides), max_size=6), st.sampled_from(Rule))
@pytest.mark.long
def test_property_what_is_free_is_what_the_definition_says(pieces, rule):
    surface = Surface(SIDE, SIDE, rule)
    laid = []
    for width, height in pieces:
        found = surface.add(width, height)
        if found is not None:
            assert not any(found.meets(other) for other in laid)
            assert {found.width, found.height} == {width, height}
            laid.append(found)
        else:
            # Nothing is refused that would have found room.
            assert not any(
                w <= f.width and h <= f.height
                for f in maximal(grid(laid))
                for w, h in ((width, height), (height, width))
            )
    assert set(surface.free) == maximal(grid(laid))


def test_a_hole_counts_as_a_piece_does():
    surface = Surface(10, 10)
    surface.take(Rect(4, 0, 2, 10))
    assert set(surface.free) == {Rect(0, 0, 4, 10), Rect(6, 0, 4, 10)}
    assert surface.add(5, 5) is None


def library(pieces, width, height, sheets):
    """Sheets that the library opens and the area they have, by the better of two of its rules."""
    opened = []
    for rule in (MaxRectsBssf, MaxRectsBaf):
        packer = newPacker(pack_algo=rule, rotation=True)
        for n, (w, h) in enumerate(pieces):
            packer.add_rect(w, h, n)
        packer.add_bin(width, height, sheets)
        packer.pack()
        opened.append(len(packer) if len(packer.rect_list()) == len(pieces) else None)
    return min((n for n in opened if n is not None), default=None)


@pytest.mark.parametrize("seed", range(12))
def test_it_opens_no_more_sheets_than_a_packing_library(seed):
    """rectpack 0.2.2, its documented interface; whole millimetres, no blade, no holes."""
    rng = np.random.default_rng(seed)
    pieces = [(int(w), int(h)) for w, h in rng.integers(8, 40, (int(rng.integers(6, 18)), 2))]
    theirs = library(pieces, 80, 80, 6)
    found = nest(
        [Piece("p", w, h) for w, h in pieces], [Sheet(name=f"s{i}", width_mm=80, length_mm=80) for i in range(6)]
    )
    assert theirs is None or (found.fits and len({p.sheet for p in found.placements}) <= theirs)
