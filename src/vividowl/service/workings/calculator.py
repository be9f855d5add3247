"""A calculator: what goes in, how its text is read, and what is shown of it."""

from __future__ import annotations

import math
import re
from collections.abc import Callable, Mapping
from dataclasses import dataclass
from typing import Any

REQUIRED = object()


def number(text: str) -> float:
    """A number with decimal point or comma and a real or a keyboard minus."""
    plain = text.replace("\u2212", "-").replace(" ", "")
    if "," in plain and "." not in plain:
        plain = plain.replace(",", ".")
    return finite(float(plain))


def finite(value: float) -> float:
    """The value, unless it is none."""
    if not math.isfinite(value):
        raise ValueError
    return value


def count(text: str) -> int:
    """A whole number."""
    value = number(text)
    if value != int(value):
        raise ValueError
    return int(value)


def numbers(text: str) -> list[float]:
    """Several numbers."""
    return [finite(float(part)) for part in re.split(r"[,;\s]+", text.strip()) if part]


def clock(text: str) -> float:
    """Seconds, or minutes and seconds as 19:21, or with hours."""
    parts = text.strip().split(":")
    if len(parts) > 3:
        raise ValueError
    if len(parts) == 1:
        return number(text)
    values = [finite(float(p)) for p in parts]
    if any(v < 0 or v >= 60 for v in values[1:]):
        raise ValueError
    seconds = 0.0
    for value in values:
        seconds = 60.0 * seconds + value
    return seconds


def sizes(text: str) -> list[tuple[float, float]]:
    """Rectangles as 15.5x15.5,20.5x10.5; 3*12x10 stands for three of one size."""
    out: list[tuple[float, float]] = []
    for part in re.split(r"[,;\s]+", text.strip()):
        times, star, size = part.partition("*")
        width, cross, length = (size if star else part).lower().replace("×", "x").partition("x")
        if not cross:
            raise ValueError
        repeat = int(times) if star else 1
        if not 1 <= repeat <= 200:
            raise ValueError
        out += [(finite(float(width)), finite(float(length)))] * repeat
    return out


KIND_WORDS: Mapping[Callable[[str], Any], str] = {
    number: "a number", count: "a whole number", numbers: "numbers such as 60,50",
    clock: "seconds, or minutes and seconds such as 19:21", sizes: "sizes such as 15.5x15.5,3*12x10", str: "a word",
}  # fmt: skip


@dataclass(frozen=True)
class Input:
    """A key with how its text is read; REQUIRED as default when it must be given. words and unit are for the page,
    example what it shows at first, choices the words that are allowed."""

    key: str
    read: Callable[[str], Any] = number
    default: Any = REQUIRED
    words: str = ""
    unit: str = ""
    example: str = ""
    choices: tuple[str, ...] = ()


@dataclass(frozen=True)
class Working:
    """A calculator: what it is for, its inputs, the computation from inputs to results by name, and what stands behind
    it: formula, limits and source."""

    name: str
    title: str
    words: str
    group: str
    inputs: tuple[Input, ...]
    compute: Callable[..., dict[str, Any]]
    formula: str
    limits: str
    source: str


# How a result is written on the page: words, unit, digits.
RESULTS: Mapping[str, tuple[str, str, int]] = {
    "volume_ul": ("Volume", "µL", 1), "mass_g": ("Mass", "g", 3), "bead_diameter_mm": ("As one bead", "mm across", 1),
    "consistent": ("The label can be right", "", 0), "implied_density_g_ml": ("Density it implies", "g/mL", 2),
    "thickness_mm": ("Thickness", "mm", 1), "stack_mm": ("Pads", "mm", 1),
    "compression_min": ("Pressed at the widest gap", "%", 0), "compression_max": ("Pressed at the narrowest", "%", 0),
    "fits": ("It fits", "", 0), "sheets": ("Sheets", "", 0), "waste_share": ("Of these becomes no piece", "%", 0),
    "offcut_share": ("Of these stays as an offcut", "%", 0),
    "resistance_K_per_W": ("Resistance", "K/W", 4), "drop_K": ("It costs", "K", 2), "flow_L_s": ("Flow", "L/s", 2),
    "flow_cfm": ("The same", "CFM", 1), "mean_db": ("Mean by energy", "dB", 1), "sum_db": ("Sum by energy", "dB", 1),
    "corrected_db": ("Without the background", "dB", 1), "correction_db": ("Correction", "dB", 2),
    "upper_bound": ("Only an upper bound", "", 0), "speed_ratio": ("Fan speed", "times", 2),
    "flow_ratio": ("Air flow", "times", 2), "exhaust_rise_ratio": ("Exhaust rise at equal power", "times", 2),
    "change": ("Change", "", 2), "change_percent": ("In per cent", "%", 2), "saved_s": ("Saved", "s", 1),
    "less_time_percent": ("Less time", "%", 2), "more_throughput_percent": ("More throughput", "%", 2),
    "hours": ("Time in the bath", "h", 2), "rate_um_h": ("Rate", "µm/h", 2), "skin_c": ("Hottest place", "°C", 1),
    "limit_c": ("Limit for this contact", "°C", 0), "allowed": ("Allowed", "", 0),
    "cover_K_per_W": ("Cover to the room", "K/W", 2), "rise_k": ("Rise over room", "K", 1),
    "at_reference_c": ("In the reference room", "°C", 1), "capacity_w": ("It can hold", "W", 1),
    "pad_K_per_W": ("Pad", "K/W", 3), "shim_K_per_W": ("Shim with its films", "K/W", 3),
    "school": ("Put it on as", "", 0), "reason": ("Why", "", 0), "months": ("Look again after", "months", 0),
    "left_g": ("Left afterwards", "g", 2), "doses": ("Doses in it now", "", 0), "parts": ("Parts", "", 2),
    "work": ("Work", "", 2), "tax": ("Tax", "", 2), "total": ("Total", "", 2), "force_n": ("Pads push back", "N", 0),
    "clamp_percent": ("Of the clamping force", "%", 0), "lifts": ("It lifts the cooler", "", 0),
    "putty": ("Putty is needed", "", 0), "piece_mm": ("Cut it as", "mm", 1), "c": ("Reading", "°C", 1),
    "k": ("Difference", "K", 1), "strokes": ("Strokes", "", 0), "stroke_mm": ("Each long", "mm", 0),
    "diameter_mm": ("And thick", "mm", 1), "gap_mm": ("Gap", "mm", 2), "tolerance_mm": ("It may be off by", "mm", 2),
    "bath": ("Bath", "", 0), "expected_um": ("It should have put on", "µm", 1),
    "of_expected_percent": ("Of that it did", "%", 0),
}  # fmt: skip
PERCENT_OF_SHARE = ("compression_min", "compression_max", "waste_share", "offcut_share")


def written(result: Mapping[str, Any]) -> list[tuple[str, str, str, str]]:
    """Results as the page writes them: key, words, text, unit. What is None is not known and says so."""
    out = []
    for key, value in result.items():
        if key == "placements":
            continue
        words, unit, digits = RESULTS[key]
        if key in PERCENT_OF_SHARE and value is not None:
            value = 100.0 * value
        out.append((key, words, _text(value, digits), unit))
    return out


def _text(value: Any, digits: int) -> str:  # noqa: ANN401
    if value is None:
        return "not known"
    if isinstance(value, bool):
        return "yes" if value else "no"
    if isinstance(value, list):
        return " + ".join(f"{v:g}" for v in value)
    if isinstance(value, tuple):
        return " × ".join(f"{v:g}" for v in value)
    if isinstance(value, (int, float)):
        return f"{value:,.{digits}f}".replace("-", "−")
    return str(value).replace("_", " ")
