"""Results of calculators as the page writes them."""

from __future__ import annotations

from collections.abc import Mapping
from typing import Any

from vividowl.core.quantities.words import Message, Several, Words, say

# How a result is written on the page: unit, digits.
RESULTS: Mapping[str, tuple[str, int]] = {
    "volume_ul": ("µL", 1),
    "mass_g": ("g", 3),
    "bead_diameter_mm": ("mm across", 1),
    "consistent": ("", 0),
    "implied_density_g_ml": ("g/mL", 2),
    "thickness_mm": ("mm", 1),
    "stack_mm": ("mm", 1),
    "compression_min": ("%", 0),
    "compression_max": ("%", 0),
    "fits": ("", 0),
    "sheets": ("", 0),
    "waste_share": ("%", 0),
    "offcut_share": ("%", 0),
    "resistance_K_per_W": ("K/W", 4),
    "drop_K": ("K", 2),
    "flow_L_s": ("L/s", 2),
    "flow_cfm": ("CFM", 1),
    "mean_db": ("dB", 1),
    "sum_db": ("dB", 1),
    "corrected_db": ("dB", 1),
    "correction_db": ("dB", 2),
    "upper_bound": ("", 0),
    "speed_ratio": ("times", 2),
    "flow_ratio": ("times", 2),
    "exhaust_rise_ratio": ("times", 2),
    "change": ("", 2),
    "change_percent": ("%", 2),
    "saved_s": ("s", 1),
    "less_time_percent": ("%", 2),
    "more_throughput_percent": ("%", 2),
    "hours": ("h", 2),
    "rate_um_h": ("µm/h", 2),
    "skin_c": ("°C", 1),
    "limit_c": ("°C", 0),
    "allowed": ("", 0),
    "cover_K_per_W": ("K/W", 2),
    "rise_k": ("K", 1),
    "at_reference_c": ("°C", 1),
    "capacity_w": ("W", 1),
    "pad_K_per_W": ("K/W", 3),
    "shim_K_per_W": ("K/W", 3),
    "school": ("", 0),
    "reason": ("", 0),
    "months": ("months", 0),
    "left_g": ("g", 2),
    "doses": ("", 0),
    "parts": ("", 2),
    "work": ("", 2),
    "tax": ("", 2),
    "total": ("", 2),
    "force_n": ("N", 0),
    "clamp_percent": ("%", 0),
    "lifts": ("", 0),
    "putty": ("", 0),
    "piece_mm": ("mm", 1),
    "c": ("°C", 1),
    "k": ("K", 1),
    "runs_each": ("runs on each side", 0),
    "power": ("", 2),
    "u95": ("", 2),
    "strokes": ("", 0),
    "stroke_mm": ("mm", 0),
    "diameter_mm": ("mm", 1),
    "gap_mm": ("mm", 2),
    "tolerance_mm": ("mm", 2),
    "bath": ("", 0),
    "expected_um": ("µm", 1),
    "of_expected_percent": ("%", 0),
}
PERCENT_OF_SHARE = ("compression_min", "compression_max", "waste_share", "offcut_share")


def written(result: Mapping[str, Any]) -> list[tuple[str, Words, Words, str]]:
    """Results as the page writes them: key, words, text, unit. What is None is not known and says so."""
    out: list[tuple[str, Words, Words, str]] = []
    for key, value in result.items():
        if key == "placements":
            continue
        unit, digits = RESULTS[key]
        if key in PERCENT_OF_SHARE and value is not None:
            value = 100.0 * value
        out.append((key, say(f"result-{key}"), _text(value, digits), unit))
    return out


def _text(value: Any, digits: int) -> Words:  # noqa: ANN401
    if value is None or isinstance(value, bool):
        return say("result", value=value)
    if isinstance(value, list):
        return " + ".join(f"{v:g}" for v in value)
    if isinstance(value, tuple):
        return " × ".join(f"{v:g}" for v in value)
    if isinstance(value, int | float):
        return say("result-number", value=value, digits=digits)
    return value if isinstance(value, Message | Several) else str(value).replace("_", " ")
