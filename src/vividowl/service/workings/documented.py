"""What a rule of the core says of itself: units and limits of what goes in, its formula, its source. The page shows
these lines, so that they cannot drift from the code that they stand in."""

from __future__ import annotations

import inspect
import re
from collections.abc import Callable, Mapping, Sequence
from dataclasses import dataclass
from functools import cache
from typing import Any

_ABOUT = ("returns", "raises", "range", "formula", "source")
_LINE = re.compile(r"^(\w+): (.+(?:\n    .+)*)", re.M)
_PARAMETER = re.compile(r"^(?P<words>[^\[]*?)(?:\[(?P<unit>[^\]]+)\])?(?:, (?P<allowed>[^;]*))?(?:;.*)?$", re.S)
# What is allowed begins with a number or a comparison; anything else is a remark.
_LIMIT = re.compile(r"^(-?\d|above|below|at or above|>)")
_UNITS = {
    "um": "µm",
    "degC": "°C",
    "degF": "°F",
    "mm2": "mm²",
    "W/(m K)": "W/(m·K)",
    "A/dm2": "A/dm²",
    "um/h": "µm/h",
    "uL": "µL",
    "m3/s": "m³/s",
    "1": "",
    "any": "",
    "text": "",
    "flag": "",
}
_SIGNS = (
    (r"\+-", "±"),
    ("<=", "≤"),
    (">=", "≥"),
    (r"\bsqrt", "√"),
    (r"\brho\b", "ρ"),
    (r"\btheta(?=_|\b)", "θ"),
    (r" - ", " − "),
    (r"\^2\b", "²"),
    (r"\^\(1/3\)", "^⅓"),
    (r"(?<![A-Za-z])(\d*)pi\b", r"\1π"),
    (r"\bd([TL])\b", r"Δ\1"),
    (r"\bsum (?=\d)", "Σ "),
    (r"(?<![\w)])-(?=\d)", "−"),
    (r"\bum/h\b", "µm/h"),
)
# A number, or from one to another, that the unit stands behind.
_SPAN = re.compile(r"−?\d[\d.]*(?:e\d+)?(?: (?:to|or) −?\d[\d.]*(?:e\d+)?)?")


@dataclass(frozen=True)
class Parameter:
    """unit as it is written; allowed: in words, empty when any value of its unit is."""

    unit: str
    allowed: str


@dataclass(frozen=True)
class Documented:
    """parameters by name; formula; range: when the rule holds, empty when always; source."""

    parameters: Mapping[str, Parameter]
    formula: str
    range: str
    source: str


def written(text: str) -> str:
    """A line of a docstring as the page writes it: real signs instead of those of a keyboard."""
    for plain, sign in _SIGNS:
        text = re.sub(plain, sign, text)
    return " ".join(text.split())


def _with_unit(allowed: str, unit: str) -> str:
    """The unit behind the numbers, before what else is said of them."""
    plain = re.sub(r"\d+e\d+", lambda n: f"{float(n[0]):.0f}", allowed)
    return _SPAN.sub(lambda span: f"{span[0]} {unit}", plain, count=1) if unit else plain


@cache
def documented(rule: Callable[..., Any]) -> Documented:
    """What a rule says of itself."""
    lines = dict(_LINE.findall(inspect.getdoc(rule) or ""))
    parameters = {}
    for name, text in lines.items():
        found = _PARAMETER.match(text)
        if name in _ABOUT or found is None:
            continue
        unit = found["unit"] or ""
        allowed = " ".join((found["allowed"] or "").split())
        sign = _UNITS.get(unit, unit)
        parameters[name] = Parameter(sign, _with_unit(written(allowed), sign) if _LIMIT.match(allowed) else "")
    about = {name: written(lines.get(name, "")) for name in ("formula", "range", "source")}
    return Documented(parameters, **about)


def together(rules: Sequence[Callable[..., Any]], of: str) -> str:
    """A line of several rules, each said once."""
    return "; ".join(dict.fromkeys(text for rule in rules if (text := getattr(documented(rule), of))))
