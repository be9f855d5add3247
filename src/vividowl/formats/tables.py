"""Workbooks, JSON and Parquet brought to the text that the one log reader understands."""

from __future__ import annotations

import csv
import io
import json
import zipfile
from collections.abc import Iterable, Mapping
from datetime import date, datetime, time, timedelta
from pathlib import Path
from typing import Any

import polars as pl

from vividowl.formats.errors import FormatError

UNPACKED_MOST = 400 * 1024 * 1024
ROWS_MOST = 1_000_000
BAD_LINES_SHARE = 0.05


def as_text(path: Path, name: str) -> tuple[bytes, list[str]] | None:
    """The table of a workbook, JSON or Parquet file as lines of text with notices; None when it is text already."""
    with path.open("rb") as file:
        head = file.read(4096)
    if head.startswith(b"PK\x03\x04"):
        return _workbook(path, name)
    if head.startswith(b"PAR1"):
        return _parquet(path, name)
    first = head.removeprefix(b"\xef\xbb\xbf").lstrip()
    if first.startswith((b"{", b"[{", b"[\n", b"[\r", b"[ ")):
        return _json(path, name)
    return None


def _lines(header: Iterable[str], rows: Iterable[Iterable[Any]]) -> bytes:
    out = io.StringIO()
    write = csv.writer(out, delimiter="\t", lineterminator="\n")
    write.writerow(list(header))
    write.writerows([[_cell(v) for v in row] for row in rows])
    return out.getvalue().encode()


def _cell(value: Any) -> str:  # noqa: ANN401
    if value is None:
        return ""
    if isinstance(value, bool):
        return "Yes" if value else "No"
    if isinstance(value, datetime):
        return value.isoformat(sep=" ", timespec="milliseconds")
    if isinstance(value, timedelta):
        return f"{value.total_seconds():.3f}"
    if isinstance(value, (date, time)):
        return value.isoformat()
    if isinstance(value, float):
        return repr(int(value)) if value.is_integer() and abs(value) < 1e15 else repr(value)
    return str(value)


def _workbook(path: Path, name: str) -> tuple[bytes, list[str]]:
    import python_calamine  # here, since only workbooks need it

    try:
        with zipfile.ZipFile(path) as archive:
            parts = archive.infolist()
        if not any(p.filename.startswith("xl/") for p in parts):
            raise FormatError(
                f"{name} is an archive and no workbook.",
                remedy="Unpack it and drop the log itself.",
                reason="binary",
            )
        if sum(p.file_size for p in parts) > UNPACKED_MOST:
            raise FormatError(
                f"{name} unpacks to more than {UNPACKED_MOST // 2**20} MB.", remedy="Export the log as CSV."
            )
        book = python_calamine.CalamineWorkbook.from_path(str(path))
        sheets = [(s, book.get_sheet_by_name(s).to_python(skip_empty_area=True)) for s in book.sheet_names]
    except (zipfile.BadZipFile, python_calamine.CalamineError, OSError) as error:
        raise FormatError(
            f"{name} cannot be opened as a workbook.", remedy="Save it again, or export the log as CSV."
        ) from error
    filled = [(s, rows) for s, rows in sheets if len(rows) > 1]
    if not filled:
        raise FormatError(f"{name} has no sheet with a table.", remedy="Export the log as CSV.")
    sheet, rows = max(filled, key=lambda pair: len(pair[1]) * len(pair[1][0]))
    # Midnight comes as a bare date among moments.
    for column in {c for row in rows for c, v in enumerate(row) if isinstance(v, datetime)}:
        for row in rows:
            day = row[column]
            if isinstance(day, date) and not isinstance(day, datetime):
                row[column] = datetime.combine(day, time())
    notices = [f"The sheet “{sheet}” was read."] if len(sheets) > 1 else []
    return _lines(map(_cell, rows[0]), rows[1:]), notices


def _parquet(path: Path, name: str) -> tuple[bytes, list[str]]:
    try:
        frame = pl.read_parquet(path)
    except (pl.exceptions.PolarsError, OSError) as error:
        raise FormatError(f"{name} cannot be opened as Parquet.", remedy="Export the log again.") from error
    flat = [c for c, kind in frame.schema.items() if not kind.is_nested() and kind != pl.Binary]
    notices = [f"Columns that hold lists were left out: {', '.join(sorted(set(frame.columns) - set(flat)))[:120]}."] \
        if len(flat) < len(frame.columns) else []  # fmt: skip
    if not flat:
        raise FormatError(f"{name} has no plain columns.", remedy="Export the log as CSV.")
    frame = frame.select(
        pl.col(c).cast(pl.Datetime("ms")) if isinstance(frame.schema[c], pl.Datetime)
        else (pl.col(c).dt.total_milliseconds() / 1000.0) if isinstance(frame.schema[c], pl.Duration)
        else pl.when(pl.col(c)).then(pl.lit("Yes")).when(~pl.col(c)).then(pl.lit("No")).alias(c)
        if frame.schema[c] == pl.Boolean
        else pl.col(c)
        for c in flat
    )  # fmt: skip
    return frame.write_csv(separator="\t", datetime_format="%Y-%m-%d %H:%M:%S%.3f").encode(), notices


def _flat(record: Mapping[str, Any], before: str = "") -> dict[str, Any]:
    out: dict[str, Any] = {}
    for key, value in record.items():
        if isinstance(value, Mapping):
            out.update(_flat(value, f"{before}{key} "))
        elif not isinstance(value, list):
            out[f"{before}{key}"] = value
    return out


def _json(path: Path, name: str) -> tuple[bytes, list[str]]:
    text = path.read_text(encoding="utf-8-sig", errors="replace")
    bad, records = 0, []
    if text.lstrip().startswith("["):
        try:
            records = [r for r in json.loads(text) if isinstance(r, dict)]
        except ValueError as error:
            raise FormatError(f"{name} is no complete JSON: {error}.", remedy="Export the log again.") from error
    else:
        first_bad = 0
        for number, line in enumerate(text.splitlines(), 1):
            if not line.strip():
                continue
            try:
                record = json.loads(line)
            except ValueError:
                record = None
            if isinstance(record, dict):
                records.append(record)
            else:
                bad, first_bad = bad + 1, first_bad or number
        if bad > 2 + BAD_LINES_SHARE * len(records):
            raise FormatError(
                f"{name}: line {first_bad} is no JSON object, and {bad} lines are not.",
                remedy="Write one JSON object a line.", line=first_bad,
            )  # fmt: skip
    if not records:
        raise FormatError(f"{name} holds no JSON objects.", remedy="Write one JSON object a line, one a sample.")
    rows = [_flat(r) for r in records[:ROWS_MOST]]
    header = list(dict.fromkeys(key for row in rows for key in row))
    notices = [f"{bad} line(s) are no JSON objects and were left out."] if bad else []
    return _lines(header, ([row.get(k) for k in header] for row in rows)), notices
