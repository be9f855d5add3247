"""Stamps of a log to seconds from its first sample."""

from __future__ import annotations

import re
from collections.abc import Sequence
from dataclasses import dataclass

import numpy as np
import polars as pl
from numpy.typing import NDArray

from vividowl.formats.errors import FormatError

_DATE_FORMATS = ("%Y-%m-%d", "%d.%m.%Y", "%d/%m/%Y", "%m/%d/%Y", "%Y/%m/%d", "%d-%m-%Y", "%d.%m.%y")
_CLOCK_FORMATS = ("%H:%M:%S%.f", "%H:%M:%S", "%I:%M:%S%.f %p", "%I:%M:%S %p", "%H:%M")
_TIME_NAME = re.compile(r"\b(time|timestamp|elapsed|date|datetime|seconds|uptime|clock time|epoch|t)\b")
DAY_S = 86400.0


@dataclass(frozen=True)
class Stamps:
    """time_s: seconds from the first sample (n,); notices: what had to be mended, in words."""

    time_s: NDArray[np.float64]
    notices: tuple[str, ...]


def time_columns(headers: Sequence[str]) -> tuple[int, ...]:
    """Columns that hold the time, by name: one, or a date and a time."""
    words = [re.sub(r"[^a-z ]+", " ", re.sub(r"[\[(].*?[\])]", " ", h.lower())).strip() for h in headers]
    named = [i for i, w in enumerate(words) if _TIME_NAME.search(w) and not re.search(r"\b(limit|frame|busy)\b", w)]
    date = next((i for i in named if words[i] == "date"), None)
    clock = next((i for i in named if words[i].startswith("time")), None)
    if date is not None and clock is not None:
        return (date, clock)
    return (named[0],) if named else ()


def to_seconds(columns: Sequence[pl.Series], header: str, unit: str, first_line: int) -> Stamps:
    """Read one stamp column, or a date and a time column, and mend what can be mended.

    Duplicate stamps are spread over their second; a clock that goes back is continued with the usual step.
    """
    if columns[0].dtype.is_numeric():
        seconds = columns[0].cast(pl.Float64).to_numpy()
        finite = seconds[np.isfinite(seconds)]
        if len(finite) and (unit == "ms" or finite[0] > 1e11):
            seconds = seconds / 1000.0
    else:
        text = columns[0].str.strip_chars()
        if len(columns) == 2:
            text = text + pl.Series([" "]) + columns[1].str.strip_chars()
        seconds = _parse_text(text, header, first_line)
    return _mend(np.asarray(seconds, dtype=np.float64), first_line)


def _parse_text(text: pl.Series, header: str, first_line: int) -> NDArray[np.float64]:
    plain = text.str.replace("T", " ", literal=True).str.replace(r"(Z|[+-]\d\d:?\d\d)$", "")
    plain = plain.str.replace(r"(\d),(\d+)$", "$1.$2")
    head = plain.head(20)
    formats = [f"{d} {c}" for d in _DATE_FORMATS for c in _CLOCK_FORMATS]
    for pattern in formats:
        if head.str.to_datetime(pattern, strict=False).is_null().sum() <= 1:
            stamps = plain.str.to_datetime(pattern, strict=False, time_unit="us")
            if stamps.is_null().sum() <= 0.05 * len(stamps) + 1:
                return np.asarray(stamps.dt.epoch("us").cast(pl.Float64).to_numpy() / 1e6, dtype=np.float64)
    for clock in _CLOCK_FORMATS:
        if head.str.to_time(clock, strict=False).is_null().sum() <= 1:
            parsed = plain.str.to_time(clock, strict=False)
            seconds = np.asarray(parsed.cast(pl.Int64).cast(pl.Float64).to_numpy() / 1e9, dtype=np.float64)
            # Past midnight the clock starts anew.
            wraps = np.diff(seconds, prepend=seconds[0]) < -DAY_S / 2
            return seconds + DAY_S * np.cumsum(wraps)
    raise FormatError(
        f"Line {first_line}, column “{header}”: “{text[0]}” is not a time that can be read.",
        remedy="Export with seconds, with date and time as 2026-03-01 14:05:09, or with a clock as 14:05:09.",
        line=first_line,
    )


def _mend(seconds: NDArray[np.float64], first_line: int) -> Stamps:
    notices: list[str] = []
    n = len(seconds)
    bad = ~np.isfinite(seconds)
    if bad.all():
        raise FormatError("No time in the log can be read.", remedy="Export the log with a time column.")
    index = np.arange(n)
    if bad.any():
        notices.append(
            f"{int(bad.sum())} time stamps could not be read, first in line {first_line + int(index[bad][0])}; "
            "they were filled from their neighbours."
        )
        seconds = np.interp(index, index[~bad], seconds[~bad])
    steps = np.diff(seconds)
    forward = steps[steps > 0]
    if not len(forward):
        raise FormatError(
            f"The clock of the log stands still: all {n} stamps are alike.",
            remedy="Export with seconds, or with fractions of seconds.",
            line=first_line,
        )
    usual = float(np.median(forward))
    back = steps < 0
    if back.any():
        where = int(np.flatnonzero(back)[0]) + 1
        notices.append(
            f"The clock goes back {int(back.sum())} time{'s' if back.sum() > 1 else ''}, first in line "
            f"{first_line + where}; from there on the usual step of {usual:g} s was taken. "
            "If two logs were joined, upload them apart."
        )
        steps = np.where(back, usual, steps)
        seconds = seconds[0] + np.concatenate(([0.0], np.cumsum(steps)))
    same = steps == 0
    if same.any():
        where = int(np.flatnonzero(same)[0]) + 1
        notices.append(
            f"{int(same.sum())} stamps repeat the one before, first in line {first_line + where}; "
            "the samples were spread evenly."
        )
        starts = np.flatnonzero(np.concatenate(([True], ~same)))
        reach = np.append(seconds[starts], seconds[-1] + usual * max(1, n - int(starts[-1])) / max(1, 1))
        reach[-1] = seconds[starts[-1]] + usual
        knots = np.append(starts, n)
        seconds = np.interp(index, knots, reach)
    return Stamps(seconds - seconds[0], tuple(notices))
