"""Sensor logs as text: what separates, what the decimal sign is, where the header stands, what the columns are."""

from __future__ import annotations

import csv
import io
import re
from collections import Counter
from collections.abc import Mapping, Sequence
from dataclasses import dataclass, replace

import numpy as np
import polars as pl

from vividowl.core.roles import ROLE_KINDS, ChannelGuess, Role, recognise, unit_of
from vividowl.core.trace import SAMPLES_LEAST, Trace
from vividowl.formats.errors import FormatError
from vividowl.formats.timestamps import time_columns, to_seconds

COLUMNS_MOST = 400
BYTES_MOST = 200 * 1024 * 1024
TIME = "time_s"
SNIFFED_BYTES = 131072
_EMPTY_WORDS = ["", "-", "--", "N/A", "n/a", "NA", "NaN", "nan", "null", "none", "?"]
_NUMBER = re.compile(r"^[+-]?\d+([.,]\d+)?([eE][+-]?\d+)?$")
_FLAGS = {"yes": 1.0, "no": 0.0, "true": 1.0, "false": 0.0, "on": 1.0, "off": 0.0}
# A temperature outside this band is no temperature of a device at work: common practice, no source.
_TEMPERATURE_BAND_C = (-20.0, 130.0)


@dataclass(frozen=True)
class Layout:
    """How a file is written: encoding, delimiter, decimal sign, header line (from 0), units beneath it, headers."""

    encoding: str
    delimiter: str
    decimal: str
    header_line: int
    has_unit_row: bool
    headers: tuple[str, ...]
    unit_row: tuple[str, ...]


@dataclass(frozen=True)
class ParsedLog:
    """frame: time_s and one column a header, as c0, c1, …; guesses: one a header; notices: what had to be mended."""

    frame: pl.DataFrame
    guesses: tuple[ChannelGuess, ...]
    layout: Layout
    notices: tuple[str, ...]


def read_log(data: bytes, name: str = "log") -> ParsedLog:
    """Read a sensor log. Raises FormatError with file, line or column and the remedy."""
    text, encoding, notices = _decode(data, name)
    layout = _sniff(text, encoding, name)
    body, first_line, more = _body(text, layout, name)
    frame, unread = _parse(body, layout, name)
    stamps_at = time_columns(layout.headers)
    if not stamps_at:
        raise FormatError(
            f"{name}: no time column among “{'”, “'.join(layout.headers[:8])}”.",
            remedy="Export the log with a time, date and time, or elapsed seconds column.",
            line=layout.header_line + 1,
            headers=layout.headers,
        )
    unit = unit_of(layout.headers[stamps_at[-1]])
    stamps = to_seconds([frame[f"c{i}"] for i in stamps_at], layout.headers[stamps_at[-1]], unit, first_line)
    guesses = recognise(layout.headers, layout.unit_row)
    guesses = tuple(replace(g, role=None, confidence=0.0) if i in stamps_at else g for i, g in enumerate(guesses))
    frame = frame.with_columns(pl.Series(TIME, stamps.time_s))
    guesses, band = _check_bands(frame, guesses)
    return ParsedLog(frame, guesses, layout, (*notices, *more, *unread, *stamps.notices, *band))


def _decode(data: bytes, name: str) -> tuple[bytes, str, list[str]]:
    """Bring the file to UTF-8 without a mark."""
    if not data[:4096].strip() and not data.strip():
        raise FormatError(f"{name} is empty.", remedy="Export the log again and check that it was saved.")
    for mark, encoding in ((b"\xef\xbb\xbf", "utf-8"), (b"\xff\xfe", "utf-16-le"), (b"\xfe\xff", "utf-16-be")):
        if data.startswith(mark):
            rest = data[len(mark) :]
            if encoding == "utf-8":
                return rest, encoding, []
            return rest.decode(encoding, errors="replace").encode(), encoding, []
    head = data[:4096]
    if head[1::2].count(0) > 0.4 * len(head) / 2:
        return data.decode("utf-16-le", errors="replace").encode(), "utf-16-le", []
    if head.count(0) or sum(b < 9 or 13 < b < 32 for b in head) > 0.02 * len(head):
        raise FormatError(
            f"{name} is not a text file.",
            remedy="Export the log as CSV or as text with tabs; pictures, archives and project files cannot be read.",
            reason="binary",
        )
    try:
        data.decode("utf-8")
    except UnicodeDecodeError as error:
        line = data.count(b"\n", 0, error.start) + 1
        text = data.decode("cp1252", errors="replace").encode()
        return text, "cp1252", [f"Line {line} is not UTF-8; the file was read as Windows-1252."]
    return data, "utf-8", []


def _fields(line: str, delimiter: str) -> list[str]:
    return next(csv.reader([line], delimiter=delimiter), [])


def _sniff(text: bytes, encoding: str, name: str) -> Layout:
    head = text[:SNIFFED_BYTES].decode("utf-8", errors="replace").splitlines()
    if len(text) > SNIFFED_BYTES and head:
        head.pop()
    head = head[:200]
    filled = [line for line in head if line.strip()]
    best, width = ",", 0
    for delimiter in ("\t", ";", ",", "|"):
        counts = Counter(len(_fields(line, delimiter)) for line in filled[:40])
        modal, times = counts.most_common(1)[0] if counts else (0, 0)
        if modal > 1 and times * modal > width:
            best, width = delimiter, times * modal
    rows = [_fields(line, best) for line in head]
    sizes = Counter(len(r) for r in rows if len(r) > 1)
    if not sizes:
        raise FormatError(
            f"{name}: no columns separated by comma, semicolon or tab were found.",
            remedy="Export the log as CSV.",
            line=1,
        )
    modal = sizes.most_common(1)[0][0]
    header = next((i for i, r in enumerate(rows) if len(r) >= modal - 1 and len(r) > 1 and _is_header(r)), None)
    if header is None:
        raise FormatError(
            f"{name}: line 1 begins with numbers; there is no header that names the columns.",
            remedy="Export the log with its header line.",
            line=1,
        )
    headers = [h.strip() for h in rows[header]]
    while headers and not headers[-1]:
        headers.pop()
    if len(headers) > COLUMNS_MOST:
        raise FormatError(
            f"{name} has {len(headers)} columns, at most {COLUMNS_MOST} are read.",
            remedy="Log fewer sensors: temperatures, power, clock, utilisation and fan are enough.",
            line=header + 1,
        )
    units = rows[header + 1] if header + 1 < len(rows) else []
    has_units = bool(units) and not any(_NUMBER.match(c.strip()) for c in units) and any(
        unit_of("", c) for c in units
    )  # fmt: skip
    sample = [c.strip() for r in rows[header + 1 : header + 60] for c in r]
    comma = sum(bool(re.match(r"^[+-]?\d+,\d+$", c)) for c in sample)
    point = sum(bool(re.match(r"^[+-]?\d+\.\d+$", c)) for c in sample)
    decimal = "," if best != "," and comma > point else "."
    return Layout(encoding, best, decimal, header, has_units, tuple(headers), tuple(units) if has_units else ())


def _is_header(row: Sequence[str]) -> bool:
    cells = [c.strip() for c in row if c.strip()]
    return len(cells) > 1 and sum(bool(re.match(r"^[+-]?[\d.,:/ -]+$", c)) for c in cells) <= 0.2 * len(cells)


def _body(text: bytes, layout: Layout, name: str) -> tuple[bytes, int, list[str]]:
    """The lines of data: without preamble, header, units, repeated headers, a cut last line and footers."""
    notices: list[str] = []
    start = 0
    for _ in range(layout.header_line):
        start = text.index(b"\n", start) + 1
    stop = text.find(b"\n", start)
    if stop < 0:
        raise FormatError(
            f"{name} has a header and no data.", remedy="Export the log after the run.", line=layout.header_line + 1
        )
    header = text[start:stop].rstrip(b"\r")
    skipped = 1 + layout.has_unit_row
    for _ in range(skipped):
        at = text.find(b"\n", start)
        start = at + 1 if at >= 0 else len(text)
    body = text[start:]
    if header in body:
        lines = body.split(b"\n")
        kept = [line for line in lines if line.rstrip(b"\r") != header]
        if len(kept) < len(lines):
            notices.append(f"The header was repeated {len(lines) - len(kept)} times; the repeats were left out.")
            body = b"\n".join(kept)
    if body[-1:] in (b"\n", b" ", b"\t", b"\x00"):
        body = body.rstrip(b"\r\n \t\x00")
    # Footers and a last line that broke off are shorter than the rest.
    dropped = 0
    wanted = len(layout.headers)
    while body and dropped < 20:
        at = body.rfind(b"\n")
        last = body[at + 1 :].decode("utf-8", errors="replace")
        size = len(_fields(last, layout.delimiter)) if last.strip() else 0
        if size >= wanted:
            break
        body, dropped = body[: max(at, 0)].rstrip(b"\r\n \t"), dropped + 1
    first_line = layout.header_line + 1 + skipped
    if dropped:
        line = first_line + body.count(b"\n") + 1
        notices.append(f"The log breaks off in line {line}: {dropped} unfinished line(s) at its end were left out.")
    if not body[:4096].strip():
        raise FormatError(
            f"{name} has a header and no data.", remedy="Export the log after the run.", line=layout.header_line + 1
        )
    return body, first_line, notices


def _parse(body: bytes, layout: Layout, name: str) -> tuple[pl.DataFrame, list[str]]:
    names = [f"c{i}" for i in range(len(layout.headers))]
    numeric = _numeric_columns(body, layout)
    schema: dict[str, type[pl.DataType]] = {n: pl.Float64 if numeric[i] else pl.String for i, n in enumerate(names)}
    try:
        frame = pl.read_csv(
            io.BytesIO(body),
            has_header=False,
            separator=layout.delimiter,
            schema_overrides=dict(schema),
            new_columns=names,
            columns=list(range(len(names))),
            # What is no number becomes null in a number column, "N/A" and dashes included.
            ignore_errors=True,
            truncate_ragged_lines=True,
            decimal_comma=layout.decimal == ",",
            encoding="utf8-lossy",
        )
    except pl.exceptions.PolarsError as error:
        raise FormatError(
            f"{name}: the lines below the header do not form columns ({str(error).splitlines()[0]}).",
            remedy="Open the file in a text editor and check quotes and separators, or export it again.",
        ) from error
    if len(frame) < SAMPLES_LEAST:
        raise FormatError(
            f"{name} has {len(frame)} lines of data, at least {SAMPLES_LEAST} are needed.",
            remedy="Log for the whole load, one sample a second or so.",
            line=layout.header_line + 2,
        )
    flags = [n for n in names if frame.schema[n] == pl.String and _is_flag(frame[n])]
    if flags:
        frame = frame.with_columns(
            pl.col(n).str.to_lowercase().str.strip_chars().replace_strict(_FLAGS, default=None, return_dtype=pl.Float64)
            for n in flags
        )
    gaps = [(h, int(frame[f"c{i}"].null_count())) for i, h in enumerate(layout.headers) if numeric[i]]
    notices = [
        f"Column “{h}”: {n} of {len(frame)} cells hold no number." for h, n in gaps if 0 < n < len(frame)
    ]  # fmt: skip
    if len(notices) > 6:
        notices = [f"{len(notices)} columns have cells that hold no number; they count as not known."]
    return frame, notices


def _numeric_columns(body: bytes, layout: Layout) -> list[bool]:
    """Judge each column by lines from the beginning, the middle and the end."""
    size, rows = len(body), []
    for at in (0, size // 3, 2 * size // 3, max(0, size - 20000)):
        begin = body.find(b"\n", at) + 1 if at else 0
        chunk = body[begin : begin + 20000].decode("utf-8", errors="replace").splitlines()
        rows += [_fields(line, layout.delimiter) for line in chunk[:20][:-1] or chunk]
    out = []
    for i in range(len(layout.headers)):
        cells = [r[i].strip() for r in rows if i < len(r)]
        cells = [c for c in cells if c not in _EMPTY_WORDS]
        numbers = sum(bool(_NUMBER.match(c)) and (layout.decimal == "," or "," not in c) for c in cells)
        out.append(bool(cells) and numbers >= 0.8 * len(cells))
    return out


def _is_flag(column: pl.Series) -> bool:
    values = {str(v).strip().lower() for v in column.drop_nulls().unique().head(4).to_list()}
    return bool(values) and values <= set(_FLAGS)


def _check_bands(
    frame: pl.DataFrame, guesses: tuple[ChannelGuess, ...]
) -> tuple[tuple[ChannelGuess, ...], tuple[str, ...]]:
    """A column that is called a temperature but cannot be one loses its role, and says so."""
    out, notices = [], []
    for i, guess in enumerate(guesses):
        if guess.role is not None and not frame.schema[f"c{i}"].is_numeric():
            guess = replace(guess, role=None, confidence=0.0)
        elif guess.role is not None and ROLE_KINDS[guess.role].unit == "°C":
            middle = frame[f"c{i}"].median()
            middle = float(middle) if isinstance(middle, float) else float("nan")
            if guess.unit == "°F":
                middle = (middle - 32.0) / 1.8
            if not _TEMPERATURE_BAND_C[0] <= middle <= _TEMPERATURE_BAND_C[1]:
                got = f"lies around {middle:.0f} °C" if np.isfinite(middle) else "holds no number"
                notices.append(f"Column “{guess.header}” {got} and was not taken as a temperature.")
                guess = replace(guess, role=None, confidence=0.0)
        out.append(guess)
    return tuple(out), tuple(notices)


def apply_mapping(guesses: Sequence[ChannelGuess], roles: Mapping[str, str | None]) -> tuple[ChannelGuess, ...]:
    """Put a person's mapping (header to role name, None for "none") over the guesses."""
    known = {g.header for g in guesses}
    for header, role in roles.items():
        if header not in known:
            raise FormatError(f"There is no column “{header}” in this log.", remedy="Choose a column of the list.")
        if role is not None and role not in set(Role):
            raise FormatError(f"“{role}” is no role.", remedy=f"Allowed: {', '.join(Role)}.")
    taken = {role for role in roles.values() if role is not None}
    out, used = [], set()
    for guess in guesses:
        if guess.header in roles:
            name = roles[guess.header]
            role = Role(name) if name is not None and name not in used else None
            used.add(name)
            out.append(replace(guess, role=role, confidence=1.0 if role else 0.0))
        else:
            free = guess.role is None or guess.role not in taken
            out.append(guess if free else replace(guess, role=None, confidence=0.0))
    return tuple(out)


def to_trace(frame: pl.DataFrame, guesses: Sequence[ChannelGuess]) -> tuple[Trace, tuple[str, ...]]:
    """The channels that have a role, in the core's units. Drop-outs of a temperature sensor become NaN."""
    channels, notices = {}, []
    for i, guess in enumerate(guesses):
        if guess.role is None:
            continue
        values = frame[f"c{i}"].cast(pl.Float64, strict=False).to_numpy().astype(np.float64)
        unit = ROLE_KINDS[guess.role].unit
        if unit == "°C":
            values = (values - 32.0) / 1.8 if guess.unit == "°F" else values
            middle = float(np.nanmedian(values)) if np.isfinite(values).any() else 0.0
            lost = ((values <= 0) | (values >= 150)) & (abs(values - middle) > 25)
            if lost.any():
                values = np.where(lost, np.nan, values)
                notices.append(f"Column “{guess.header}”: {int(lost.sum())} drop-outs of the sensor were left out.")
        elif guess.unit == "mW":
            values = values / 1000.0
        elif guess.unit == "GHz":
            values = values * 1000.0
        channels[guess.role] = values
    return Trace(frame[TIME].to_numpy().astype(np.float64), channels), tuple(notices)
