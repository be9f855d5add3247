"""Pieces on sheets and offcuts: least material lost, the rest kept with its true shape."""

from __future__ import annotations

from collections.abc import Iterable, Sequence
from dataclasses import dataclass
from typing import NamedTuple

import numpy as np

from vividowl.core.materials.pieces import UNIT, Box, Nesting, Piece, Placement, Remainder, Sheet
from vividowl.core.materials.rectangles import Rect, Rule, Surface
from vividowl.core.quantities.errors import OutOfRange, require_range
from vividowl.core.quantities.words import say

KEEP_MM = 10.0  # an offcut narrower than this is not kept; common practice, no source
PIECES_MOST, SHEETS_MOST = 200, 50  # in one cut; a limit of the product
# Orders tried, and work in pairs of pieces, so that a plan while typing keeps its 100 ms
TRIES_MOST, WORK_MOST = 150, 135_000
PATIENCE = 30  # arrangements that bring nothing better, after which the search ends
_RULES = tuple(Rule)


@dataclass(frozen=True)
class _Block:
    """One piece, or a strip of pieces that stay together, as it is packed."""

    pieces: tuple[int, ...]
    width: int
    length: int


class _Laid(NamedTuple):
    """A block by its number, on which sheet, and where."""

    block: int
    sheet: int
    at: Rect


def with_margin(width_mm: float, length_mm: float, margin_mm: float, step_mm: float = 0.5) -> tuple[float, float]:
    """A piece that surely covers a die: margin on each side, rounded up to a step that can be cut.

    width_mm: width of the die [mm], 1 to 200
    length_mm: length of the die [mm], 1 to 200
    margin_mm: what a caliper and a hand may be off on each side [mm], 0 to 5
    step_mm: step of the ruler [mm], 0.1 to 5
    returns: width and length of the piece [mm]
    raises: OutOfRange
    formula: ceil((side + 2 margin) / step) step
    source: common practice, no source; 13.42 x 16.08 mm becomes 14.0 x 16.5 mm with 0.2 mm a side
    """
    for name, value in (("width_mm", width_mm), ("length_mm", length_mm)):
        require_range(name, value, "mm", (1.0, 200.0), hint=say("application-measure-die-with-plastic-calipers"))
    require_range("margin_mm", margin_mm, "mm", (0.0, 5.0))
    require_range("step_mm", step_mm, "mm", (0.1, 5.0))
    a, b = (float(np.ceil((s + 2.0 * margin_mm) / step_mm - 1e-6)) * step_mm for s in (width_mm, length_mm))
    return round(a, 3), round(b, 3)


def nest(pieces: Sequence[Piece], sheets: Sequence[Sheet], kerf_mm: float = 0.0, seed: int = 0) -> Nesting:
    """Place pieces on sheets and offcuts so that little is lost for good; offcuts are used before sheets.

    sheets: sheets and offcuts there are (m,), 1 to 50
    kerf_mm: width that the blade takes between pieces [mm], 0 to 5
    seed: seed of the shuffled orders [1]
    returns: Nesting; pieces without room are named in it
    raises: OutOfRange for sizes that cannot be, and for a piece or strip larger than every sheet
    formula: best of several orders and rules of the maximal-rectangles heuristic; lost = area taken from the sheets
        less the pieces, where the largest rectangle left counts as kept
    source: J. Jylanki, "A thousand ways to pack the bin" (2010)
    """
    require_range("pieces", len(pieces), "", (1, PIECES_MOST), hint=say("nesting-cut-in-several-goes"))
    require_range("sheets", len(sheets), "", (1, SHEETS_MOST), hint=say("nesting-name-sheet-or-offcut"))
    require_range("kerf_mm", kerf_mm, "mm", (0.0, 5.0), hint=say("nesting-blade-takes-to-mm"))
    for kind, rows in (("piece", pieces), ("sheet", sheets)):
        for row in rows:
            for side in (row.width_mm, row.length_mm):
                require_range(kind, side, "mm", (0.5, 2000.0), hint=say("nesting-each-side-has-size-above", kind=kind))
    kerf = round(kerf_mm * UNIT)
    blocks = _blocks(pieces, kerf)
    _refuse_oversize(pieces, sheets, blocks, kerf)
    tries = max(8, min(TRIES_MOST, WORK_MOST // len(blocks) ** 2))
    best: tuple[tuple[float, ...], list[_Laid], list[int]] | None = None
    done = since = 0
    for order, rule, sheet_order in _arrangements(blocks, sheets, seed, tries):
        done, since = done + 1, since + 1
        placed, left, surfaces = _pack(blocks, order, rule=rule, sheets=sheets, sheet_order=sheet_order, kerf=kerf)
        score = _score(blocks, sheets, placed=placed, left=left, surfaces=surfaces, kerf=kerf)
        if best is None or score < best[0]:
            best, since = (score, placed, left), 0
        if since >= PATIENCE:
            break
    assert best is not None  # noqa: S101 - there is one arrangement at least
    return _result(pieces, sheets, blocks=blocks, placed=best[1], left=best[2], kerf=kerf, tries=done)


def _blocks(pieces: Sequence[Piece], kerf: int) -> list[_Block]:
    """Pieces as they are packed: one by one, strips as one. A kerf is added right and above."""
    out: list[_Block] = []
    strips: dict[str, list[int]] = {}
    for index, piece in enumerate(pieces):
        if piece.together:
            strips.setdefault(piece.together, []).append(index)
        else:
            out.append(_Block((index,), round(piece.width_mm * UNIT) + kerf, round(piece.length_mm * UNIT) + kerf))
    for members in strips.values():
        width = sum(round(pieces[i].width_mm * UNIT) + kerf for i in members)
        out.append(_Block(tuple(members), width, max(round(pieces[i].length_mm * UNIT) for i in members) + kerf))
    return out


def _refuse_oversize(pieces: Sequence[Piece], sheets: Sequence[Sheet], blocks: Sequence[_Block], kerf: int) -> None:
    for block in blocks:
        a, b = sorted((block.width, block.length))
        if any(
            a <= s + kerf and b <= t + kerf
            for s, t in (sorted((round(x.width_mm * UNIT), round(x.length_mm * UNIT))) for x in sheets)
        ):
            continue
        largest = max(sheets, key=lambda s: s.width_mm * s.length_mm)
        what = say("nesting-strip", together=pieces[block.pieces[0]].together) if len(block.pieces) > 1 else "A piece"
        width, length = (block.width - kerf) / UNIT, (block.length - kerf) / UNIT
        raise OutOfRange(
            say(
                "nesting-mm-larger-than-any-sheet",
                what=what,
                width=width,
                length=length,
                width_mm=largest.width_mm,
                length_mm=largest.length_mm,
            ),
            field="pieces",
        )


def _arrangements(
    blocks: Sequence[_Block], sheets: Sequence[Sheet], seed: int, tries: int
) -> Iterable[tuple[list[int], Rule, list[int]]]:
    """Orders of the blocks with a rule and an order of the sheets: the usual ones first, then shuffled ones."""
    numbers = range(len(blocks))
    keys = (
        lambda i: (-blocks[i].width * blocks[i].length, i),
        lambda i: (-max(blocks[i].width, blocks[i].length), i),
        lambda i: (-min(blocks[i].width, blocks[i].length), i),
        lambda i: (-blocks[i].width - blocks[i].length, i),
    )
    orders = [sorted(numbers, key=key) for key in keys]
    # Offcuts come first, the smallest before the others; then sheets, or the largest first to open fewer of them.
    by_size = sorted(range(len(sheets)), key=lambda i: (not sheets[i].offcut, sheets[i].free_mm2, i))
    by_room = sorted(range(len(sheets)), key=lambda i: (not sheets[i].offcut, -sheets[i].free_mm2, i))
    rng = np.random.default_rng(seed)
    count = 0
    for order in orders:
        for rule in _RULES:
            for sheet_order in (by_size, by_room) if by_size != by_room else (by_size,):
                if count >= tries:
                    return
                count += 1
                yield order, rule, sheet_order
    while count < tries and len(blocks) > 2:
        count += 1
        order = list(orders[count % len(orders)])
        for _ in range(max(1, len(order) // 4)):
            a, b = rng.integers(0, len(order), 2)
            order[a], order[b] = order[b], order[a]
        yield order, _RULES[count % len(_RULES)], by_size if count % 2 else by_room


def _surface(rule: Rule, sheet: Sheet, kerf: int) -> Surface:
    surface = Surface(round(sheet.width_mm * UNIT) + kerf, round(sheet.length_mm * UNIT) + kerf, rule)
    for box in sheet.taken:
        x, y, width, length = (round(v * UNIT) for v in (box.x_mm, box.y_mm, box.width_mm, box.length_mm))
        surface.take(Rect(x, y, width + kerf, length + kerf))
    return surface


def _pack(
    blocks: Sequence[_Block],
    order: Sequence[int],
    *,
    rule: Rule,
    sheets: Sequence[Sheet],
    sheet_order: Sequence[int],
    kerf: int,
) -> tuple[list[_Laid], list[int], dict[int, Surface]]:
    surfaces = {i: _surface(rule, sheets[i], kerf) for i in sheet_order}
    placed: list[_Laid] = []
    left: list[int] = []
    for number in order:
        block = blocks[number]
        for i in sheet_order:
            found = surfaces[i].add(block.width, block.length)
            if found is not None:
                placed.append(_Laid(number, i, found))
                break
        else:
            left.append(number)
    return placed, left, {i: s for i, s in surfaces.items() if s.placed}


def _largest(surface: Surface, kerf: int) -> Box | None:
    """The biggest rectangle left that is worth keeping."""
    keep = KEEP_MM * UNIT
    free = [m for m in surface.free if m.width - kerf >= keep and m.height - kerf >= keep]
    if not free:
        return None
    m = max(free, key=lambda r: (r.width * r.height, -r.x, -r.y))
    return Box(m.x / UNIT, m.y / UNIT, (m.width - kerf) / UNIT, (m.height - kerf) / UNIT)


def _score(
    blocks: Sequence[_Block],
    sheets: Sequence[Sheet],
    *,
    placed: Sequence[_Laid],
    left: Sequence[int],
    surfaces: dict[int, Surface],
    kerf: int,
) -> tuple[float, ...]:
    """Less is better: area without room, area lost, new sheets opened, sheets touched."""
    without = sum(blocks[i].width * blocks[i].length for i in left) / UNIT**2
    kept = sum(box.area_mm2 for s in surfaces.values() if (box := _largest(s, kerf)) is not None)
    taken = sum(sheets[i].free_mm2 for i in surfaces) - kept
    return (without, round(taken, 3), sum(not sheets[i].offcut for i in surfaces), len(surfaces))


def _result(
    pieces: Sequence[Piece],
    sheets: Sequence[Sheet],
    *,
    blocks: Sequence[_Block],
    placed: Sequence[_Laid],
    left: Sequence[int],
    kerf: int,
    tries: int,
) -> Nesting:
    placements: list[Placement] = []
    cut: dict[int, list[Box]] = {}
    for number, sheet, found in placed:
        block = blocks[number]
        turned = (found.width, found.height) != (block.width, block.length)
        along = 0
        for i in block.pieces:
            w, h = round(pieces[i].width_mm * UNIT), round(pieces[i].length_mm * UNIT)
            x, y = (found.x, found.y + along) if turned else (found.x + along, found.y)
            box = Box(x / UNIT, y / UNIT, (h if turned else w) / UNIT, (w if turned else h) / UNIT)
            placements.append(Placement(i, sheet, box, turned))
            cut.setdefault(sheet, []).append(box)
            along += w + kerf
    remainders, kept = [], 0.0
    for sheet in sorted(cut):
        surface = _surface(
            Rule.SHORT_SIDE,
            Sheet(
                name="",
                width_mm=sheets[sheet].width_mm,
                length_mm=sheets[sheet].length_mm,
                taken=(*sheets[sheet].taken, *cut[sheet]),
            ),
            kerf,
        )
        largest = _largest(surface, kerf)
        kept += largest.area_mm2 if largest else 0.0
        remainders.append(Remainder(sheet, largest, (*sheets[sheet].taken, *cut[sheet])))
    area = sum(p.box.area_mm2 for p in placements)
    free = sum(sheets[i].free_mm2 for i in cut)
    unplaced = tuple(sorted(i for n in left for i in blocks[n].pieces))
    return Nesting(
        placements=tuple(sorted(placements, key=lambda p: p.piece)),
        unplaced=unplaced,
        remainders=tuple(remainders),
        lost_mm2=max(0.0, free - area - kept),
        waste_share=1.0 - area / free if free else 0.0,
        tries=tries,
    )
