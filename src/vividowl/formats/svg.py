"""The one way to draw: elements of SVG with numbers as they are written and texts made safe."""

from __future__ import annotations

from collections.abc import Iterable
from xml.etree import ElementTree as ET

from vividowl.core.quantities.words import Words
from vividowl.words import sentence

INK, SOFT, RULE, PAPER = "#22252b", "#5a5e66", "#cfc7b6", "#ffffff"
FONT = "Atkinson Hyperlegible Next"
Part = ET.Element


def _written(value: float | str) -> str:
    return value if isinstance(value, str) else f"{round(float(value), 2):.8g}"


def shape(name: str, parts: Iterable[Part] = (), /, **attributes: float | str | None) -> Part:
    """An element. An underscore in an attribute's name is a dash; what is None is left out."""
    known = {k.rstrip("_").replace("_", "-"): _written(v) for k, v in attributes.items() if v is not None}
    made = ET.Element(name, known)
    made.extend(parts)
    return made


def words(
    x: float,
    y: float,
    said: Words,
    *,
    size: float,
    fill: str = INK,
    anchor: str = "start",
    bold: bool = False,
) -> Part:
    """A text with its base line at y."""
    weight = "700" if bold else None
    made = shape("text", x=x, y=y, font_size=size, fill=fill, text_anchor=anchor, font_weight=weight)
    made.text = sentence(said)
    return made


def box(x: float, y: float, width: float, height: float, **attributes: float | str | None) -> Part:
    """A rectangle."""
    return shape("rect", x=x, y=y, width=width, height=height, **attributes)


def path(line: str, **attributes: float | str | None) -> Part:
    """A line that is drawn as one goes."""
    return shape("path", d=line, **attributes)


def document(width: float, height: float, parts: Iterable[Part], unit: str = "") -> str:
    """A drawing: one unit of it is one unit of the paper."""
    root = shape(
        "svg",
        parts,
        xmlns="http://www.w3.org/2000/svg",
        viewBox=f"0 0 {_written(width)} {_written(height)}",
        width=f"{_written(width)}{unit}",
        height=f"{_written(height)}{unit}",
        font_family=FONT,
    )
    return ET.tostring(root, encoding="unicode")
