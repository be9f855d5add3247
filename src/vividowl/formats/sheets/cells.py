"""Text in the cells of a spreadsheet."""

from __future__ import annotations

# What a spreadsheet takes for the beginning of a formula; common practice, no source.
_BEGINS_A_FORMULA = ("=", "+", "-", "@", "\t", "\r")


def harmless(text: str) -> str:
    """A text that a spreadsheet would run as a formula gets an apostrophe in front."""
    return f"'{text}" if text.startswith(_BEGINS_A_FORMULA) else text


def as_it_was(text: str) -> str:
    """Such a text as it was before."""
    return text[1:] if text.startswith("'") and text[1:].startswith(_BEGINS_A_FORMULA) else text
