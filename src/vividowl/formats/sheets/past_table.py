"""An old list of jobs as it comes out of a spreadsheet: CSV or a workbook, with headings somewhere near its top."""

from __future__ import annotations

import csv
import io
import re
import zipfile
from collections.abc import Sequence
from dataclasses import dataclass
from datetime import date, time, timedelta
from pathlib import Path
from typing import Any

import python_calamine

from vividowl.core.job.past_columns import Cell, heading_line
from vividowl.core.quantities.words import Words, say
from vividowl.formats.errors import FormatError
from vividowl.formats.log.text import decode, fields
from vividowl.formats.sheets.cells import as_it_was

ROWS_MOST, COLUMNS_MOST, CELL_MOST = 20_000, 60, 4000
BYTES_MOST = 20 * 2**20
UNPACKED_MOST = 200 * 2**20
# Rows at the top among which the headings are looked for.
TOP = 20
_CELL = re.compile(rb'<(?:\w+:)?c\b[^>]*?\br="([A-Z]{1,3})(\d{1,9})"')
_FORMULA = re.compile(rb"<(?:\w+:)?f[ >/]")


@dataclass(frozen=True, kw_only=True)
class PastTable:
    """headings (c,); rows (n, c); lines (n,): where each stands in the file, from 1; sheet and sheets of a workbook;
    notices: what was read otherwise than it stands."""

    headings: tuple[str, ...]
    rows: tuple[tuple[Cell, ...], ...]
    lines: tuple[int, ...]
    sheet: str
    sheets: tuple[str, ...]
    notices: tuple[Words, ...]


def read_past_table(path: Path, name: str, sheet: str = "") -> PastTable:
    """Read a list. sheet: of a workbook, the fullest where it is not named. FormatError says what, where and what to
    do."""
    size = path.stat().st_size
    if size > BYTES_MOST:
        raise FormatError(
            say("past-table-too-large", name=name, size_mb=size / 2**20, most_mb=BYTES_MOST / 2**20), reason="too_large"
        )
    with path.open("rb") as file:
        packed = file.read(4) == b"PK\x03\x04"
    if packed:
        rows, sheet, sheets, notices = _workbook(path, name, sheet)
    else:
        rows, notices = _text(path.read_bytes(), name)
        sheet, sheets = "", ()
    return _table(rows, name, sheet=sheet, sheets=sheets, notices=notices)


def _table(
    rows: Sequence[Sequence[Cell]], name: str, *, sheet: str, sheets: tuple[str, ...], notices: list[Words]
) -> PastTable:
    numbered = [(line, row) for line, row in enumerate(rows, 1) if any(cell not in (None, "") for cell in row)]
    if len(numbered) > ROWS_MOST + TOP:
        raise _too_long(name, len(numbered))
    if not numbered:
        raise FormatError(say("past-table-empty", name=name))
    wide = max(len(row) for _, row in numbered)
    if wide == 1:
        raise FormatError(say("past-table-one-column", name=name))
    if wide > COLUMNS_MOST:
        raise _too_wide(name, wide)
    filled = [(line, (*row, *[None] * (wide - len(row)))) for line, row in numbered]
    at = heading_line([row for _, row in filled[:TOP]])
    headings: tuple[Cell, ...] = filled[at][1] if at is not None else (None,) * wide
    body = filled[at + 1 :] if at is not None else filled
    if at is None:
        notices.append(say("past-table-no-headings"))
    elif at:
        notices.append(say("past-table-above", line=filled[at][0]))
    same = [line for line, row in body if row == headings]
    if same:
        notices.append(say("past-table-headings-again", line=same[0], times=len(same)))
    body = [(line, row) for line, row in body if row != headings]
    if not body:
        raise FormatError(say("past-table-only-headings", name=name))
    return PastTable(
        headings=tuple(str(cell or "").strip()[:80] for cell in headings),
        rows=tuple(row for _, row in body),
        lines=tuple(line for line, _ in body),
        sheet=sheet,
        sheets=sheets,
        notices=tuple(notices),
    )


def _too_long(name: str, rows: int) -> FormatError:
    return FormatError(
        say("past-table-too-long", name=name, rows=rows, most=ROWS_MOST),
        remedy=say("past-table-split"),
        reason="too_large",
    )


def _too_wide(name: str, columns: int) -> FormatError:
    return FormatError(
        say("past-table-too-wide", name=name, columns=columns, most=COLUMNS_MOST),
        remedy=say("past-table-fewer-columns"),
        reason="too_large",
    )


def _cell_too_long(name: str, letters: int) -> FormatError:
    return FormatError(
        say("past-table-cell-too-long", name=name, letters=letters, most=CELL_MOST),
        remedy=say("past-table-shorten"),
        reason="too_large",
    )


def _text(data: bytes, name: str) -> tuple[list[tuple[Cell, ...]], list[Words]]:
    text, _, notices = decode(data, name)
    lines = bytes(text).decode("utf-8-sig", errors="replace")
    head = lines.splitlines()[:TOP]
    long = max(head, key=len, default="")
    if len(long) > COLUMNS_MOST * CELL_MOST:
        # Not parted before it is refused: millions of cells take half a minute.
        columns = max(map(long.count, ";\t,|")) + 1
        raise _too_wide(name, columns) if columns > COLUMNS_MOST else _cell_too_long(name, len(long))
    separator = max(
        (";", "\t", ",", "|"), key=lambda mark: sum(len(fields(line, mark)) - 1 for line in head), default=","
    )
    rows: list[tuple[Cell, ...]] = []
    try:
        for row in csv.reader(io.StringIO(lines, newline=""), delimiter=separator, strict=True):
            rows.append(tuple(_cell(as_it_was(cell.strip()), name) for cell in row))
            if len(rows) > ROWS_MOST + 20 * TOP:
                raise _too_long(name, lines.count("\n"))
    except csv.Error as error:
        raise FormatError(say("past-table-no-csv", name=name, line=len(rows) + 1)) from error
    return rows, notices


def _cell(value: Any, name: str) -> Cell:  # noqa: ANN401 - whatever the reader of workbooks gives
    if value is None or value == "":
        return None
    if isinstance(value, bool):
        return "yes" if value else "no"
    if isinstance(value, int | float):
        return float(value)
    if isinstance(value, date):
        return value
    if isinstance(value, time | timedelta):
        return str(value)
    text = str(value)
    if len(text) > CELL_MOST:
        raise _cell_too_long(name, len(text))
    return text


def _workbook(path: Path, name: str, wanted: str) -> tuple[list[tuple[Cell, ...]], str, tuple[str, ...], list[Words]]:
    try:
        formulas = _look_through(path, name)
        book = python_calamine.CalamineWorkbook.from_path(str(path))
        names = tuple(book.sheet_names)
        if not names:
            raise FormatError(say("past-table-empty", name=name))
        sheets = {one: book.get_sheet_by_name(one) for one in names}
        sheet = wanted if wanted in sheets else max(sheets, key=lambda one: sheets[one].height * sheets[one].width)
        read = sheets[sheet]
        rows = [[_cell(value, name) for value in row] for row in read.to_python(skip_empty_area=False)]
        merged = read.merged_cell_ranges or []
    except (zipfile.BadZipFile, python_calamine.CalamineError, OSError, NotImplementedError, EOFError) as error:
        raise FormatError(
            say("tables-cannot-be-opened-as-workbook", name=name), remedy=say("past-table-save-as")
        ) from error
    notices: list[Words] = []
    filled = _fill(rows, merged)
    if filled:
        notices.append(say("past-table-merged", ranges=filled))
    if formulas:
        notices.append(say("past-table-formulas", cells=formulas))
    return [tuple(row) for row in rows], sheet, names, notices


def _fill(rows: list[list[Cell]], merged: Sequence[tuple[tuple[int, int], tuple[int, int]]]) -> int:
    """Give each cell of a merged range the value of its first one, downwards: it was meant for all of these rows."""
    count = 0
    for (top, left), (bottom, _) in merged:
        if bottom > top and top < len(rows) and left < len(rows[top]):
            count += 1
            for row in rows[top + 1 : bottom + 1]:
                row[left] = rows[top][left]
    return count


def _look_through(path: Path, name: str) -> int:
    """Refuse what unpacks to a flood or has a far cell, before anything is expanded; gives the number of formulas."""
    formulas = 0
    with zipfile.ZipFile(path) as archive:
        parts = archive.infolist()
        if not any(part.filename.startswith("xl/") for part in parts):
            raise FormatError(say("past-table-no-workbook", name=name), reason="binary")
        if sum(part.file_size for part in parts) > UNPACKED_MOST:
            raise _too_long(name, ROWS_MOST + 1)
        for part in parts:
            if not part.filename.startswith("xl/worksheets/"):
                continue
            left, seen = b"", 0
            with archive.open(part) as sheet:
                while chunk := sheet.read(1 << 20):
                    seen += len(chunk)
                    if seen > UNPACKED_MOST:
                        raise _too_long(name, ROWS_MOST + 1)
                    text = left + chunk
                    rows = max((int(row) for _, row in _CELL.findall(text)), default=0)
                    if rows > ROWS_MOST + TOP:
                        raise _too_long(name, rows)
                    formulas += len(_FORMULA.findall(chunk))
                    left = text[-256:]
    return formulas
