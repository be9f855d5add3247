"""Sensor logs: any file a logger writes, brought to columns with a time and a guess of what each column is."""

from __future__ import annotations

import io
import mmap
import tempfile
from collections.abc import Mapping, Sequence
from dataclasses import dataclass, replace
from pathlib import Path

import numpy as np
import polars as pl
from numpy.typing import NDArray

from vividowl.core.quantities.words import Words, listed, say
from vividowl.core.trace.behaviour import by_behaviour
from vividowl.core.trace.roles import MANY_ROLES, ROLE_KINDS, ChannelGuess, Role, is_one_core, recognise
from vividowl.core.trace.sensors import clean_temperature
from vividowl.core.trace.trace import SAMPLES_LEAST, Trace
from vividowl.formats.errors import FormatError
from vividowl.formats.log.numbers import EMPTY_WORDS, read_cells
from vividowl.formats.log.tables import as_text
from vividowl.formats.log.text import NUMBER, Body, Buffer, Layout, decode, fields, find_body, sniff
from vividowl.formats.log.timestamps import find_time, to_seconds

BYTES_MOST = 200 * 1024 * 1024
TIME = "time_s"
UNREAD_ENDING_MOST = 20
CELLS_LOOKED_AT = 1000
# A temperature outside this band is no temperature of a device at work: common practice, no source.
_TEMPERATURE_BAND_C = (-20.0, 130.0)


@dataclass(frozen=True)
class ParsedLog:
    """frame: time_s and one column a header, as c0, c1, …; guesses: one a header; notices: what had to be mended."""

    frame: pl.DataFrame
    guesses: tuple[ChannelGuess, ...]
    layout: Layout
    notices: tuple[Words, ...]


def read_log(source: bytes | Path, name: str = "log") -> ParsedLog:
    """Read a sensor log. Raises FormatError with file, line or column and the remedy."""
    if isinstance(source, bytes):
        with tempfile.TemporaryDirectory() as folder:
            path = Path(folder) / "log"
            path.write_bytes(source)
            return read_log(path, name)
    if not source.stat().st_size:
        raise FormatError(say("log-text-empty", name=name), remedy=say("log-text-export-log-again-and-check"))
    table = as_text(source, name)
    if table is not None:
        text, notices = table
        return _read_text(text, None, name, notices)
    with source.open("rb") as file, mmap.mmap(file.fileno(), 0, access=mmap.ACCESS_READ) as data:
        return _read_text(data, source, name, [])


def _read_text(data: Buffer, path: Path | None, name: str, before: Sequence[Words]) -> ParsedLog:
    text, encoding, notices = decode(data, name)
    layout = sniff(text, encoding, name)
    body = find_body(text, layout, name)
    as_is = path if path is not None and text is data and not body.mended else None
    frame, units, unread = _parse(body, as_is, layout, name)
    stamps_at = find_time(layout.headers, frame)
    if not stamps_at:
        raise FormatError(
            say("sensor-log-no-time-column-among", name=name, headers="”, “".join(layout.headers[:8])),
            remedy=say("sensor-log-export-log-with-time-date"),
            line=layout.header_line + 1,
            headers=layout.headers,
        )
    columns, header = [frame[f"c{i}"] for i in stamps_at], layout.headers[stamps_at[-1]]
    frame, columns, ending = _without_ending(frame, columns, body.first_line)
    stamps = to_seconds(columns, header, recognise([header])[0].unit, body.first_line)
    # A unit stands in the header, in a row beneath it, or in the cells themselves.
    beneath = [*layout.unit_row, *([""] * (len(layout.headers) - len(layout.unit_row)))]
    guesses = recognise(layout.headers, [u or units.get(i, "") for i, u in enumerate(beneath)])
    guesses = tuple(replace(g, role=None, confidence=0.0) if i in stamps_at else g for i, g in enumerate(guesses))
    frame = frame.with_columns(pl.Series(TIME, stamps.time_s))
    guesses, band = _check_bands(frame, guesses)
    kinds = frame.schema
    numbers = [i for i in range(len(guesses)) if i not in stamps_at and kinds[f"c{i}"] == pl.Float64]
    guesses = by_behaviour(stamps.time_s, numbers, lambda i: frame[f"c{i}"].to_numpy(), guesses)
    return ParsedLog(
        frame, guesses, layout, (*before, *notices, *body.notices, *ending, *unread, *stamps.notices, *band)
    )


def _without_ending(
    frame: pl.DataFrame, columns: Sequence[pl.Series], first_line: int
) -> tuple[pl.DataFrame, list[pl.Series], list[Words]]:
    """Leave out the last lines when they carry no time: footers such as minimum, mean and maximum."""
    kept = len(frame)
    stamp = columns[-1]
    shown = stamp.cast(pl.String).str.contains(r"\d").fill_null(value=False)
    while kept > SAMPLES_LEAST and len(frame) - kept < UNREAD_ENDING_MOST and not shown[kept - 1]:
        kept -= 1
    if kept == len(frame):
        return frame, list(columns), []
    notice = say("sensor-log-last-line-s-from-line", kept=len(frame) - kept, first_line_kept=first_line + kept)
    return frame.head(kept), [c.head(kept) for c in columns], [notice]


def _parse(
    body: Body, path: Path | None, layout: Layout, name: str
) -> tuple[pl.DataFrame, dict[int, str], list[Words]]:
    """Columns of the body, units that cells carry by column, and notices."""
    names = [f"c{i}" for i in range(len(layout.headers))]
    numeric = _numeric_columns(body, layout)
    decimal_comma = layout.decimal == "," and layout.delimiter != ","
    schema: dict[str, type[pl.DataType]] = {n: pl.Float64 if numeric[i] else pl.String for i, n in enumerate(names)}
    try:
        frame = pl.read_csv(
            path if path is not None else io.BytesIO(bytes(body.text)),
            has_header=False,
            skip_lines=body.skip,
            separator=layout.delimiter,
            schema_overrides=dict(schema),
            new_columns=names,
            columns=list(range(len(names))),
            # What is no number becomes null in a number column, "N/A" and dashes included.
            ignore_errors=True,
            truncate_ragged_lines=True,
            decimal_comma=decimal_comma,
            encoding="utf8-lossy",
        )
    except pl.exceptions.PolarsError as error:
        raise FormatError(
            say("sensor-log-lines-below-header-do-not", name=name, splitlines=str(error).splitlines()[0]),
            remedy=say("sensor-log-open-file-in-text-editor"),
        ) from error
    if len(frame) < SAMPLES_LEAST:
        raise FormatError(
            say("sensor-log-has-lines-data-at-least", name=name, frame=len(frame), samples_least=SAMPLES_LEAST),
            remedy=say("sensor-log-log-for-whole-load-one"),
            line=layout.header_line + 2,
        )
    units: dict[int, str] = {}
    cleaned = []
    kinds = frame.schema
    for i, n in enumerate(names):
        found = read_cells(frame[n], layout.decimal) if kinds[n] == pl.String else None
        if found is not None:
            cleaned.append(found[0].alias(n))
            numeric[i] = found[1] != "Yes/No"
            if numeric[i]:
                units[i] = found[1]
    frame = frame.with_columns(cleaned)
    # What a logger writes as nan, or as a number that no computer holds, is no number, and is told as such.
    floats = pl.selectors.float()
    frame = frame.with_columns(pl.when(floats.is_finite()).then(floats))
    lacking = frame.null_count().row(0)
    gaps = [(h, lacking[i]) for i, h in enumerate(layout.headers) if numeric[i]]
    notices: list[Words] = [
        say("sensor-log-column-cells-hold-no-number", h=h, n=n, frame=len(frame)) for h, n in gaps if 0 < n < len(frame)
    ]
    if len(notices) > 6:
        notices = [say("sensor-log-columns-have-cells-that-hold", notices=len(notices))]
    return frame, units, notices


def _numeric_columns(body: Body, layout: Layout) -> list[bool]:
    """Judge each column by lines from the beginning, the middle and the end."""
    size, rows = len(body.text), []
    looked_at = max(5, min(20, CELLS_LOOKED_AT // len(layout.headers)))
    first = 0
    for _ in range(body.skip):
        first = body.text.find(b"\n", first) + 1
    for at in (first, size // 3, 2 * size // 3, max(first, size - 20000)):
        begin = body.text.find(b"\n", at) + 1 if at > first else first
        chunk = bytes(body.text[begin : begin + 20000]).decode("utf-8", errors="replace").splitlines()
        rows += [fields(line, layout.delimiter) for line in chunk[:looked_at][:-1] or chunk]
    out = []
    for i in range(len(layout.headers)):
        cells = [r[i].strip() for r in rows if i < len(r)]
        cells = [c for c in cells if c not in EMPTY_WORDS]
        other = "." if layout.decimal == "," else ","
        foreign = "," if layout.decimal == layout.delimiter else other
        numbers = sum(bool(NUMBER.match(c)) and foreign not in c for c in cells)
        # A thousands sign anywhere makes it a column of text, which is read with more care.
        odd = any(NUMBER.match(c) and foreign in c for c in cells)
        out.append(bool(cells) and not odd and numbers >= 0.8 * len(cells))
    return out


def _check_bands(
    frame: pl.DataFrame, guesses: tuple[ChannelGuess, ...]
) -> tuple[tuple[ChannelGuess, ...], tuple[Words, ...]]:
    """A column that is called a temperature but cannot be one loses its role, and says so."""
    out, notices = [], []
    kinds = frame.schema
    for i, guess in enumerate(guesses):
        if guess.role is not None and not kinds[f"c{i}"].is_numeric():
            guess = replace(guess, role=None, confidence=0.0)
        elif guess.role is not None and ROLE_KINDS[guess.role].unit == "°C":
            middle = frame[f"c{i}"].median()
            middle = float(middle) if isinstance(middle, float) else float("nan")
            if guess.unit == "°F":
                middle = (middle - 32.0) / 1.8
            if not _TEMPERATURE_BAND_C[0] <= middle <= _TEMPERATURE_BAND_C[1]:
                got = (
                    say("sensor-log-lies-around-c", middle=middle)
                    if np.isfinite(middle)
                    else say("sensor-log-holds-no-number")
                )
                notices.append(say("sensor-log-column-and-was-not-taken", header=guess.header, got=got))
                guess = replace(guess, role=None, confidence=0.0)
        out.append(guess)
    return tuple(out), tuple(notices)


def apply_mapping(guesses: Sequence[ChannelGuess], roles: Mapping[str, str | None]) -> tuple[ChannelGuess, ...]:
    """Put a person's mapping (header to role name, None for "none") over the guesses."""
    known = {g.header for g in guesses}
    for header, role in roles.items():
        if header not in known:
            raise FormatError(
                say("sensor-log-there-no-column-in-this", header=header), remedy=say("sensor-log-choose-column-list")
            )
        if role is not None and role not in set(Role):
            raise FormatError(say("sensor-log-no-role", role=role), remedy=say("allowed", names=listed(Role)))
    taken = {role for role in roles.values() if role is not None}
    out, used = [], set()
    for guess in guesses:
        if guess.header in roles:
            name = roles[guess.header]
            role = Role(name) if name is not None and name not in used else None
            if role not in MANY_ROLES:
                used.add(name)
            out.append(replace(guess, role=role, confidence=1.0 if role else 0.0))
        else:
            free = guess.role is None or guess.role in MANY_ROLES or guess.role not in taken
            out.append(guess if free else replace(guess, role=None, confidence=0.0))
    return tuple(out)


def to_trace(frame: pl.DataFrame, guesses: Sequence[ChannelGuess]) -> tuple[Trace, tuple[Words, ...]]:
    """The channels that have a role, in the core's units. What a temperature sensor cannot have read becomes NaN."""
    channels: dict[Role, NDArray[np.float64]] = {}
    cores: list[NDArray[np.float64]] = []
    notices: list[Words] = []
    time_s = frame[TIME].to_numpy().astype(np.float64)
    for i, guess in enumerate(guesses):
        if guess.role is None:
            continue
        values = in_core_units(frame[f"c{i}"], guess)
        if ROLE_KINDS[guess.role].unit == "°C":
            cleaned = clean_temperature(time_s, values)
            values = cleaned.values
            for count, words in (
                (cleaned.dropouts, say("sensor-log-drop-outs-sensor-were-left")),
                (cleaned.jumps, say("sensor-log-readings-jump-by-more-than")),
                (cleaned.stuck, say("sensor-log-readings-repeat-one-value-for")),
            ):
                if count:
                    notices.append(say("sensor-log-column", header=guess.header, count=count, words=words))
        if guess.role in MANY_ROLES or (guess.role is Role.CPU_TEMPERATURE and is_one_core(guess.header)):
            cores.append(values)
        if guess.role not in MANY_ROLES:
            channels[guess.role] = values
    if len(cores) > 1:
        all_cores = np.vstack(cores)
        channels[Role.CORE_TEMPERATURE] = np.fmax.reduce(all_cores)
        return Trace(time_s, channels, np.fmax.reduce(all_cores) - np.fmin.reduce(all_cores)), tuple(notices)
    return Trace(time_s, channels), tuple(notices)


_FACTORS = {"mW": 1e-3, "kW": 1e3, "GHz": 1e3, "us": 1e-3, "s": 1e3}


def in_core_units(column: pl.Series, guess: ChannelGuess) -> NDArray[np.float64]:
    """A column in the unit of its role."""
    values = column.cast(pl.Float64, strict=False).to_numpy().astype(np.float64)
    if guess.unit == "°F":
        return (values - 32.0) / 1.8
    if guess.role is not None and ROLE_KINDS[guess.role].unit == "%" and guess.unit == "":
        # A share where a percentage was meant.
        return values * 100.0 if float(np.nanmax(values, initial=0.0)) <= 1.0 else values
    return values * _FACTORS.get(guess.unit, 1.0)
