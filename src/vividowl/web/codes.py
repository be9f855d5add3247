"""Codes to scan."""

from __future__ import annotations

import segno


def drawing(text: str) -> str:
    """A code to scan (ISO/IEC 18004), SVG as a data address."""
    return str(segno.make(text, error="m").svg_data_uri(scale=5, border=2, light="#fff"))
