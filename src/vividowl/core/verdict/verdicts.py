"""The answers that a comparison can give."""

from __future__ import annotations

from enum import StrEnum


class Verdict(StrEnum):
    """improved_if_same and worse_if_same: shown, but something that could do it alone was not noted."""

    IMPROVED = "improved"
    WORSE = "worse"
    IMPROVED_IF_SAME = "improved_if_same"
    WORSE_IF_SAME = "worse_if_same"
    NO_DIFFERENCE_SHOWN = "no_difference_shown"
    CANNOT_BE_COMPARED = "cannot_be_compared"
