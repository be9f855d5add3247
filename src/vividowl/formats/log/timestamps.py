"""Stamps of a log to seconds from its first sample."""

from __future__ import annotations

import re
from collections.abc import Sequence
from dataclasses import dataclass

import numpy as np
import polars as pl
from numpy.typing import NDArray

from vividowl.core.quantities.words import Words, say
from vividowl.formats.errors import FormatError
from vividowl.words import sentence

_DATE_FORMATS = (
    "%Y-%m-%d",
    "%d.%m.%Y",
    "%d/%m/%Y",
    "%m/%d/%Y",
    "%Y/%m/%d",
    "%d-%m-%Y",
    "%d.%m.%y",
    "%d %b %Y",
    "%b %d %Y",
    "%b %d, %Y",
    "%Y%m%d",
)
_CLOCK_FORMATS = ("%H:%M:%S%.f", "%H:%M:%S", "%I:%M:%S%.f %p", "%I:%M:%S %p", "%H:%M")
_TIME_NAME = re.compile(r"\b(time|timestamp|elapsed|date|datetime|seconds|uptime|clock time|epoch)\b|^t$")
_CLOCK = re.compile(r"(\d{1,4}):(\d{2})(?::(\d{2}))?(?:[.,:](\d{1,9}))?\s*([AaPp]\.?\s?[Mm]\.?)?")
DAY_S = 86400.0
# A step of the clock beyond this is no pause of a logger but a clock that was set; how long it really took nobody
# knows,
# so that a pause of a minute is taken. More than a few of them, or a log over more than a week, is none of one run.
JUMP_S, PAUSE_S, JUMPS_MOST, LONGEST_S = DAY_S, 60.0, 3, 7 * DAY_S
# Further than this from nought no stamp can be: the year 33000 in seconds.
STAMP_MOST_S = 1e12


@dataclass(frozen=True)
class Stamps:
    """time_s: seconds from the first sample (n,); notices: what had to be mended, in words."""

    time_s: NDArray[np.float64]
    notices: tuple[Words, ...]


def time_columns(headers: Sequence[str]) -> tuple[int, ...]:
    """Columns that hold the time, by name: one, or a date and a time."""
    words = [re.sub(r"[^a-z ]+", " ", re.sub(r"[\[(].*?[\])]", " ", h.lower())).strip() for h in headers]
    named = [i for i, w in enumerate(words) if _TIME_NAME.search(w) and not re.search(r"\b(limit|frame|busy)\b", w)]
    date = next((i for i in named if words[i] == "date"), None)
    clock = next((i for i in named if words[i].startswith("time")), None)
    if date is not None and clock is not None:
        return (date, clock)
    return (named[0],) if named else ()


def find_time(headers: Sequence[str], frame: pl.DataFrame) -> tuple[int, ...]:
    """Columns that hold the time: by name, else a column of clocks, else numbers that rise by even steps."""
    named = time_columns(headers)
    if named:
        return named
    for i in range(len(headers)):
        column = frame[f"c{i}"]
        if column.dtype == pl.String:
            head = column.drop_nulls().head(20)
            if len(head) and head.str.contains(_CLOCK.pattern).sum() >= 0.9 * len(head):
                return (i,)
    for i in range(len(headers)):
        column = frame[f"c{i}"]
        if column.dtype.is_numeric():
            steps = np.diff(column.cast(pl.Float64).to_numpy())
            usual = float(np.nanmedian(steps)) if np.isfinite(steps).any() else 0.0
            if usual > 0 and np.mean(np.abs(steps - usual) < 0.5 * usual) > 0.95 and np.nanmin(steps) >= 0:
                return (i,)
    return ()


def to_seconds(columns: Sequence[pl.Series], header: str, unit: str, first_line: int) -> Stamps:
    """Read one stamp column, or a date and a time column, and mend what can be mended.

    Duplicate stamps are spread over their second; a clock that goes back is continued with the usual step.
    """
    if columns[-1].dtype.is_numeric():
        seconds = columns[-1].cast(pl.Float64).to_numpy()
        finite = seconds[np.isfinite(seconds)]
        if len(finite):
            seconds = seconds * _scale(float(np.median(finite)), unit)
    else:
        text = columns[0].cast(pl.String).str.strip_chars()
        if len(columns) == 2:
            text = text + pl.Series([" "]) + columns[1].cast(pl.String).str.strip_chars()
        seconds = _parse_text(text, header, first_line)
    return _mend(np.asarray(seconds, dtype=np.float64), first_line)


def _scale(middle: float, unit: str) -> float:
    """Seconds in one count: by the unit, else by the size of an epoch in seconds, ms, µs or ns, or a day number."""
    by_unit = {"ms": 1e-3, "us": 1e-6, "µs": 1e-6, "ns": 1e-9, "min": 60.0, "h": 3600.0}
    if unit in by_unit and middle < 1e11:
        return by_unit[unit]
    for least, scale in ((1e17, 1e-9), (1e14, 1e-6), (1e11, 1e-3)):
        if middle > least:
            return scale
    # Workbooks count days since 1900: today is somewhere above 40,000.
    return DAY_S if unit == "" and 36526.0 < middle < 73051.0 and middle != round(middle) else 1.0


def _parse_text(text: pl.Series, header: str, first_line: int) -> NDArray[np.float64]:
    plain = text.str.replace("T", " ", literal=True).str.replace(r"(Z|[+-]\d\d:?\d\d)$", "")
    plain = plain.str.replace(r"(\d),(\d+)$", "$1.$2")
    head = plain.head(20)
    formats = [f"{d} {c}" for d in _DATE_FORMATS for c in _CLOCK_FORMATS]
    cells = head.drop_nulls().to_list()
    read = []
    for pattern in formats:
        # What stands between the parts tells most formats apart, at a hundredth of the cost of trying them.
        marks = set(re.sub(r"%[a-zA-Z]|%\.f", "", pattern))
        if sum(marks <= set(cell) for cell in cells) < len(cells) - 1:
            continue
        if head.str.to_datetime(pattern, strict=False).is_null().sum() <= 1:
            stamps = plain.str.to_datetime(pattern, strict=False, time_unit="us")
            if stamps.is_null().sum() <= 0.05 * len(stamps) + 1:
                read.append(np.asarray(stamps.dt.epoch("us").cast(pl.Float64).to_numpy() / 1e6, dtype=np.float64))
    if read:
        # Day or month first: a run of an hour across midnight is likelier than one of a month.
        return min(read, key=lambda seconds: float(np.nanmax(seconds) - np.nanmin(seconds)))
    return _by_clock(text, header, first_line)


def _by_clock(text: pl.Series, header: str, first_line: int) -> NDArray[np.float64]:
    """Any text with a clock in it. What stands before the clock is a day; a change of it is the next day."""
    found = text.str.extract_groups(_CLOCK.pattern)
    if found.struct.field("2").is_null().sum() > 0.05 * len(text) + 1:
        raise FormatError(
            say("timestamps-line-column-not-time-that", first_line=first_line, header=header, text=text[0]),
            line=first_line,
        )
    parts = [found.struct.field(str(k)) for k in range(1, 6)]
    first, second, third = (p.cast(pl.Float64, strict=False).to_numpy() for p in parts[:3])
    fraction = ("0." + parts[3].fill_null("0")).cast(pl.Float64, strict=False).to_numpy()
    # Two parts are minutes and seconds when the first runs past a day or the second moves from line to line.
    short = np.isnan(third)
    minutes_first = bool(short.all()) and (
        float(np.nanmax(first)) > 23 or float(np.nanmedian(np.abs(np.diff(second)))) > 0
    )
    if minutes_first:
        seconds = 60.0 * first + second + fraction
    else:
        half = parts[4].str.to_lowercase().fill_null("")
        afternoon, morning = half.str.starts_with("p").to_numpy(), half.str.starts_with("a").to_numpy()
        hours = np.where(afternoon & (first < 12), first + 12, np.where(morning & (first == 12), 0.0, first))
        seconds = 3600.0 * hours + 60.0 * second + np.nan_to_num(third) + fraction
    day = text.str.replace(_CLOCK.pattern + r".*$", "").str.strip_chars()
    day = day.zip_with(parts[1].is_not_null(), pl.Series([None], dtype=pl.String)).forward_fill().fill_null("")
    changes = (day != day.shift(1).fill_null(day[0] or "")).to_numpy()
    if bool(changes.any()) and int(changes.sum()) < 0.05 * len(text) + 2:
        return np.asarray(seconds + DAY_S * np.cumsum(changes), dtype=np.float64)
    # Past midnight the clock starts anew, and a minute clock past an hour too.
    turn = DAY_S if not minutes_first else 3600.0
    known = np.isfinite(seconds)
    filled = np.interp(np.arange(len(seconds)), np.flatnonzero(known), seconds[known])
    wraps = np.cumsum(np.diff(filled, prepend=filled[0]) < -turn / 2)
    return np.asarray(seconds + turn * wraps, dtype=np.float64)


def _mend(seconds: NDArray[np.float64], first_line: int) -> Stamps:
    notices: list[str] = []
    n = len(seconds)
    bad = ~(np.abs(seconds) < STAMP_MOST_S)
    if bad.all():
        raise FormatError(say("timestamps-no-time-in-log-can"))
    index = np.arange(n)
    if bad.any():
        notices.append(
            sentence(
                say("timestamps-time-stamps-could-not-be", sum=int(bad.sum()), bad=first_line + int(index[bad][0]))
            )
        )
        seconds = np.interp(index, index[~bad], seconds[~bad])
    steps = np.diff(seconds)
    forward = steps[steps > 0]
    if not len(forward):
        raise FormatError(say("timestamps-clock-log-stands-still-all", n=n), line=first_line)
    usual = float(np.median(forward))
    back = steps < 0
    if back.any():
        where = int(np.flatnonzero(back)[0]) + 1
        notices.append(
            sentence(
                say(
                    "timestamps-clock-goes-back-time-first",
                    sum=int(back.sum()),
                    back_sum=back.sum(),
                    where=first_line + where,
                    usual=usual,
                )
            )
        )
        steps = np.where(back, usual, steps)
    jumps = steps > JUMP_S
    if jumps.sum() > JUMPS_MOST:
        raise FormatError(
            say("timestamps-clock-log-jumps-ahead-by", sum=int(jumps.sum())),
            line=first_line + int(np.flatnonzero(jumps)[0]) + 1,
        )
    if jumps.any():
        where = int(np.flatnonzero(jumps)[0])
        notices.append(
            sentence(
                say("timestamps-clock-jumps-ahead-by-days", day_s=steps[where] / DAY_S, where=first_line + where + 1)
            )
        )
        steps = np.where(jumps, PAUSE_S, steps)
    if back.any() or jumps.any():
        seconds = seconds[0] + np.concatenate(([0.0], np.cumsum(steps)))
    if seconds[-1] - seconds[0] > LONGEST_S:
        raise FormatError(
            say(
                "timestamps-log-runs-over-days-up",
                day_s=(seconds[-1] - seconds[0]) / DAY_S,
                longest_s_day_s=LONGEST_S / DAY_S,
            )
        )
    same = steps == 0
    if same.any():
        where = int(np.flatnonzero(same)[0]) + 1
        notices.append(
            sentence(say("timestamps-stamps-repeat-one-before-first", sum=int(same.sum()), where=first_line + where))
        )
        starts = np.flatnonzero(np.concatenate(([True], ~same)))
        reach = np.append(seconds[starts], seconds[-1] + usual * max(1, n - int(starts[-1])) / max(1, 1))
        reach[-1] = seconds[starts[-1]] + usual
        knots = np.append(starts, n)
        seconds = np.interp(index, knots, reach)
    return Stamps(seconds - seconds[0], tuple(notices))
