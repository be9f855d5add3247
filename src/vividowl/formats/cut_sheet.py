"""A cut sheet on paper and for a cutter: SVG, DXF and PDF at 1:1, each with a 50 mm line to check the print by."""

from __future__ import annotations

import io
from collections.abc import Sequence
from dataclasses import dataclass
from pathlib import Path

import typst

from vividowl.core.quantities.words import Words, say
from vividowl.formats.svg import INK, SOFT, box, document, path, shape, words
from vividowl.words import sentence

CONTROL_MM = 50.0
MARGIN_MM, GAP_MM, HEAD_MM = 10.0, 14.0, 18.0
PAGE_LEAST = (210.0, 297.0)
WELL, PIECE = "#e4ddcc", "#f6e0d6"
FONTS = Path(__file__).parent / "fonts"

Rect = tuple[float, float, float, float]


@dataclass(frozen=True)
class CutPiece:
    """A piece with its label, at x, y, width and length on the sheet [mm]."""

    label: str
    rect: Rect


@dataclass(frozen=True, kw_only=True)
class CutDrawing:
    """A sheet or an offcut with its pieces [mm]; taken: what was cut out of it before."""

    name: Words
    width_mm: float
    length_mm: float
    taken: tuple[Rect, ...]
    pieces: tuple[CutPiece, ...]


def cut_svg(title: Words, drawings: Sequence[CutDrawing]) -> str:
    """All sheets below each other, one unit a millimetre."""
    width = max([CONTROL_MM, *(d.width_mm for d in drawings)]) + 2 * MARGIN_MM
    parts = [words(MARGIN_MM, MARGIN_MM, title, size=4.0)]
    y = HEAD_MM
    for d in drawings:
        size_words = say("cut-sheet-size", name=d.name, width_mm=d.width_mm, length_mm=d.length_mm)
        parts.append(words(MARGIN_MM, y - 2.0, size_words, size=3.0))
        drawn = [box(0, 0, d.width_mm, d.length_mm, fill="#fffdf7", stroke=INK, stroke_width=0.3)]
        drawn += [box(*r, fill=WELL, stroke=SOFT, stroke_width=0.2, stroke_dasharray="1 0.8") for r in d.taken]
        for piece in d.pieces:
            x, top, w, h = piece.rect
            drawn.append(box(*piece.rect, fill=PIECE, stroke=INK, stroke_width=0.25))
            size = max(1.6, min(3.2, w / max(3, len(piece.label)) * 1.35, h * 0.5))
            drawn.append(words(x + w / 2, top + h / 2 + size * 0.35, piece.label, size=size, anchor="middle"))
        parts.append(shape("g", drawn, transform=f"translate({MARGIN_MM:g} {y:g})"))
        y += d.length_mm + GAP_MM
    ends = f"M{MARGIN_MM:g} {y - 2:g}v4M{MARGIN_MM + CONTROL_MM:g} {y - 2:g}v4"
    line = f"M{MARGIN_MM:g} {y:g}h{CONTROL_MM:g}{ends}"
    parts.append(path(line, fill="none", stroke=INK, stroke_width=0.3))
    parts.append(words(MARGIN_MM, y + 6, say("cut-sheet-this-line", mm=CONTROL_MM), size=3.0))
    height = y + 12
    return document(width, height, parts, "mm")


def cut_dxf(drawings: Sequence[CutDrawing]) -> bytes:
    """All sheets below each other in millimetres: layers SHEET, TAKEN, CUT, NOTE, CONTROL. Only CUT is to be cut."""
    # Here, since the import alone takes part of a second of the start.
    from ezdxf import units
    from ezdxf.filemanagement import new

    document = new("R2010")
    document.units = units.MM
    for name, colour in (("SHEET", 8), ("TAKEN", 9), ("CUT", 7), ("NOTE", 5), ("CONTROL", 1)):
        document.layers.add(name, color=colour)
    space = document.modelspace()

    def box(rect: Rect, base: float, layer: str) -> None:
        x, y, w, h = rect
        # The drawing's y runs up, the sheet's down.
        corners = [(x, base - y), (x + w, base - y), (x + w, base - y - h), (x, base - y - h)]
        space.add_lwpolyline(corners, close=True, dxfattribs={"layer": layer})

    base = 0.0
    for d in drawings:
        box((0, 0, d.width_mm, d.length_mm), base, "SHEET")
        for rect in d.taken:
            box(rect, base, "TAKEN")
        for piece in d.pieces:
            box(piece.rect, base, "CUT")
            x, y, _, _ = piece.rect
            space.add_text(piece.label, height=2.0, dxfattribs={"layer": "NOTE"}).set_placement((x + 1, base - y - 3))
        space.add_text(sentence(d.name), height=3.0, dxfattribs={"layer": "NOTE"}).set_placement((0, base + 2))
        base -= d.length_mm + GAP_MM
    space.add_line((0, base), (CONTROL_MM, base), dxfattribs={"layer": "CONTROL"})
    space.add_text(f"{CONTROL_MM:g} mm", height=3.0, dxfattribs={"layer": "NOTE"}).set_placement((0, base - 5))
    out = io.StringIO()
    document.write(out)
    return out.getvalue().encode("utf-8")


def cut_pdf(title: Words, drawings: Sequence[CutDrawing]) -> bytes:
    """One page a sheet, at 1:1. A page grows with a sheet that is larger than A4."""
    import tempfile

    pages = []
    with tempfile.TemporaryDirectory() as folder:
        root = Path(folder)
        for i, d in enumerate(drawings):
            (root / f"{i}.svg").write_text(cut_svg(title, [d]))
            width = max(PAGE_LEAST[0], d.width_mm + 2 * MARGIN_MM)
            height = max(PAGE_LEAST[1], d.length_mm + HEAD_MM + 3 * GAP_MM)
            drawn = max(CONTROL_MM, d.width_mm) + 2 * MARGIN_MM
            pages.append(
                f'#page(width: {width:g}mm, height: {height:g}mm, margin: 0mm)[#image("{i}.svg", width: {drawn:g}mm)]'
            )
        (root / "sheet.typ").write_text("\n".join(pages))
        return bytes(
            typst.compile(str(root / "sheet.typ"), root=str(root), font_paths=[str(FONTS)], ignore_system_fonts=True)
        )
