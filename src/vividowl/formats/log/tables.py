"""Workbooks, JSON and Parquet brought to the text that the one log reader understands."""

from __future__ import annotations

import csv
import io
import json
import re
import zipfile
from collections.abc import Iterable, Mapping
from datetime import date, datetime, time, timedelta
from pathlib import Path
from typing import Any

import polars as pl

from vividowl.core.quantities.words import Words, say
from vividowl.formats.errors import FormatError
from vividowl.formats.log.text import COLUMNS_MOST

UNPACKED_MOST = 400 * 1024 * 1024
ROWS_MOST = 1_000_000
CELLS_MOST = 40_000_000
# Cells of a workbook and of JSON become objects one by one; a log of an hour with 200 sensors has fewer.
OBJECTS_MOST = 4_000_000
_CELL = re.compile(rb"<(?:\w+:)?(c|row)\b[^>]*?\br=\"([A-Z]{0,3})(\d{1,9})\"")
BAD_LINES_SHARE = 0.05


def as_text(path: Path, name: str) -> tuple[bytes, list[Words]] | None:
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


def _workbook(path: Path, name: str) -> tuple[bytes, list[Words]]:
    import python_calamine  # here, since only workbooks need it

    try:
        with zipfile.ZipFile(path) as archive:
            parts = archive.infolist()
        if not any(p.filename.startswith("xl/") for p in parts):
            raise FormatError(say("tables-archive-and-no-workbook", name=name), reason="binary")
        if sum(p.file_size for p in parts) > UNPACKED_MOST:
            raise FormatError(
                say("tables-unpacks-to-more-than-mb", name=name, unpacked_most=UNPACKED_MOST // 2**20),
                reason="too_large",
            )
        _refuse_wide_sheets(path, name)
        book = python_calamine.CalamineWorkbook.from_path(str(path))
        sheets = [(s, book.get_sheet_by_name(s).to_python(skip_empty_area=True)) for s in book.sheet_names]
    except (zipfile.BadZipFile, python_calamine.CalamineError, OSError, NotImplementedError, EOFError) as error:
        raise FormatError(
            say("tables-cannot-be-opened-as-workbook", name=name), remedy=say("tables-save-again-or-export-log")
        ) from error
    filled = [(s, rows) for s, rows in sheets if len(rows) > 1]
    if not filled:
        raise FormatError(say("tables-has-no-sheet-with-table", name=name))
    sheet, rows = max(filled, key=lambda pair: len(pair[1]) * len(pair[1][0]))
    # Midnight comes as a bare date among moments.
    for column in {c for row in rows for c, v in enumerate(row) if isinstance(v, datetime)}:
        for row in rows:
            day = row[column]
            if isinstance(day, date) and not isinstance(day, datetime):
                row[column] = datetime.combine(day, time())
    notices: list[Words] = [say("tables-sheet-was-read", sheet=sheet)] if len(sheets) > 1 else []
    return _lines(map(_cell, rows[0]), rows[1:]), notices


def _refuse_wide_sheets(path: Path, name: str) -> None:
    """Look at where the cells of each sheet lie before anything is expanded: one far cell makes a vast table."""
    with zipfile.ZipFile(path) as archive:
        for part in archive.infolist():
            if not part.filename.startswith("xl/worksheets/"):
                continue
            if part.filename.endswith(".bin"):
                raise FormatError(say("tables-binary-workbook", name=name))
            rows, columns, taken = [0, 0], [0, 0], b""
            with archive.open(part) as sheet:
                seen = 0
                while chunk := sheet.read(1 << 20):
                    seen += len(chunk)
                    if seen > UNPACKED_MOST:
                        raise _too_wide(name, say("tables-more-than-says"))
                    text = taken + chunk
                    for kind, letters, number in _CELL.findall(text):
                        row = int(number)
                        rows = [min(rows[0] or row, row), max(rows[1], row)]
                        if kind == b"c" and letters:
                            at = 0
                            for letter in letters:
                                at = 26 * at + letter - 64
                            columns = [min(columns[0] or at, at), max(columns[1], at)]
                    taken = text[-256:]
            tall, wide = rows[1] - rows[0] + 1, columns[1] - columns[0] + 1
            if tall * wide > OBJECTS_MOST or tall > ROWS_MOST:
                raise _too_wide(name, f"{tall} rows × {wide} columns")


def _too_wide(name: str, size: Words) -> FormatError:
    return FormatError(
        say("tables-too-large-to-be-read", name=name, size=size),
        reason="too_large",
        remedy=say("tables-cut-to-run-cell-far"),
    )


def _parquet(path: Path, name: str) -> tuple[bytes, list[Words]]:
    try:
        schema = pl.read_parquet_schema(path)
        rows = int(pl.scan_parquet(path).select(pl.len()).collect().item())
        if rows > ROWS_MOST or rows * len(schema) > CELLS_MOST:
            raise _too_wide(name, f"{rows} rows × {len(schema)} columns")
        if len(schema) > COLUMNS_MOST:
            raise _too_many_columns(name, len(schema))
        frame = pl.read_parquet(path)
    except (pl.exceptions.PolarsError, OSError) as error:
        raise FormatError(say("tables-cannot-be-opened-as-parquet", name=name)) from error
    flat = [c for c, kind in frame.schema.items() if not kind.is_nested() and kind != pl.Binary]
    notices: list[Words] = (
        [say("tables-columns-that-hold-lists-were", flat=", ".join(sorted(set(frame.columns) - set(flat)))[:120])]
        if len(flat) < len(frame.columns)
        else []
    )
    if not flat:
        raise FormatError(say("tables-has-no-plain-columns", name=name))
    frame = frame.select(
        pl.col(c).cast(pl.Datetime("ms"))
        if isinstance(frame.schema[c], pl.Datetime)
        else (pl.col(c).dt.total_milliseconds() / 1000.0)
        if isinstance(frame.schema[c], pl.Duration)
        else pl.when(pl.col(c)).then(pl.lit("Yes")).when(~pl.col(c)).then(pl.lit("No")).alias(c)
        if frame.schema[c] == pl.Boolean
        else pl.col(c)
        for c in flat
    )
    return frame.write_csv(separator="\t", datetime_format="%Y-%m-%d %H:%M:%S%.3f").encode(), notices


def _too_many_columns(name: str, count: int) -> FormatError:
    return FormatError(
        say("tables-has-columns-at-most-read", name=name, count=count, columns_most=COLUMNS_MOST),
        reason="too_large",
        remedy=say("log-text-log-fewer-sensors-temperatures-power"),
    )


def _flat(record: Mapping[str, Any], before: str = "") -> dict[str, Any]:
    out: dict[str, Any] = {}
    for key, value in record.items():
        if isinstance(value, Mapping):
            out.update(_flat(value, f"{before}{key} "))
        elif not isinstance(value, list):
            out[f"{before}{key}"] = value
    return out


def _json(path: Path, name: str) -> tuple[bytes, list[Words]]:
    text = path.read_text(encoding="utf-8-sig", errors="replace")
    bad, records = 0, []
    if text.lstrip().startswith("["):
        try:
            records = [r for r in json.loads(text) if isinstance(r, dict)]
        except (ValueError, RecursionError) as error:
            raise FormatError(say("tables-no-complete-json", name=name, error=str(error))) from error
    else:
        first_bad = 0
        for number, line in enumerate(text.splitlines(), 1):
            if not line.strip():
                continue
            try:
                record = json.loads(line)
            except (ValueError, RecursionError):
                record = None
            if isinstance(record, dict):
                records.append(record)
            else:
                bad, first_bad = bad + 1, first_bad or number
        if bad > 2 + BAD_LINES_SHARE * len(records):
            raise FormatError(
                say("tables-line-no-json-object-and", name=name, first_bad=first_bad, bad=bad), line=first_bad
            )
    if not records:
        raise FormatError(say("tables-holds-no-json-objects", name=name))
    rows, header = [], dict[str, None]()
    for record in records[:ROWS_MOST]:
        try:
            row = _flat(record)
        except RecursionError as error:
            raise FormatError(say("tables-nested-too-deeply", name=name)) from error
        header.update(dict.fromkeys(row))
        if len(header) > COLUMNS_MOST:
            raise _too_many_columns(name, len(header))
        rows.append(row)
    if len(rows) * len(header) > OBJECTS_MOST:
        raise _too_wide(name, f"{len(rows)} rows × {len(header)} columns")
    notices: list[Words] = [say("tables-line-s-no-json-objects", bad=bad)] if bad else []
    return _lines(header, ([row.get(k) for k in header] for row in rows)), notices
