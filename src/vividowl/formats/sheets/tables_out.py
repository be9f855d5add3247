"""Tables of any length as one workbook, or as a folder of CSV with JSON: written row by row, never held as a whole."""

from __future__ import annotations

import csv
import io
import json
import zipfile
from collections.abc import Callable, Iterable, Mapping, Sequence
from dataclasses import dataclass
from datetime import UTC, date, datetime
from enum import StrEnum
from pathlib import Path
from typing import Any

import xlsxwriter
from xlsxwriter.format import Format
from xlsxwriter.worksheet import Worksheet

from vividowl.formats.sheets.cells import harmless

FORMAT, VERSION = "vivid-owl-tables", 1
JSON_NAME, SCHEMA_NAME = "everything.json", "everything.schema.json"
# What a sheet of a workbook holds: ECMA-376 part 1, 18.3.1.73.
SHEET_ROWS_MOST = 1_048_576
TEXT_MOST = 32_767  # letters in a cell of a workbook; from memory
Cell = str | int | float | bool | date | datetime | None


class CellKind(StrEnum):
    """What stands in a column."""

    TEXT = "text"
    WHOLE = "whole"
    NUMBER = "number"
    DAY = "day"
    MOMENT = "moment"
    YES_NO = "yes_no"


@dataclass(frozen=True)
class Column:
    """A column: its name, with its unit in it, what stands there, and what it means."""

    name: str
    kind: CellKind
    words: str


@dataclass(frozen=True)
class Table:
    """A table: rows as cells in the order of its columns, asked for once."""

    name: str
    words: str
    columns: Sequence[Column]
    rows: Iterable[Sequence[Cell]]


_WIDTHS = {
    CellKind.TEXT: 22,
    CellKind.WHOLE: 12,
    CellKind.NUMBER: 14,
    CellKind.DAY: 12,
    CellKind.MOMENT: 18,
    CellKind.YES_NO: 9,
}
_AS_JSON: Mapping[CellKind, Mapping[str, Any]] = {
    CellKind.TEXT: {"type": ["string", "null"]},
    CellKind.WHOLE: {"type": ["integer", "null"]},
    CellKind.NUMBER: {"type": ["number", "null"]},
    CellKind.DAY: {"type": ["string", "null"], "format": "date"},
    CellKind.MOMENT: {"type": ["string", "null"], "format": "date-time"},
    CellKind.YES_NO: {"type": ["boolean", "null"]},
}


def write_workbook(path: Path, tables: Iterable[Table], *, sheet_rows: int = SHEET_ROWS_MOST) -> None:
    """One sheet a table, with typed cells under a head that stays; a table that is too long goes on in a next sheet.
    Text stays text: what looks like a formula or an address is none."""
    options = {
        "constant_memory": True,
        "strings_to_formulas": False,
        "strings_to_urls": False,
        "strings_to_numbers": False,
        "remove_timezone": True,
    }
    with xlsxwriter.Workbook(str(path), options) as book:
        head = book.add_format({"bold": True, "bottom": 1})
        shown = {
            CellKind.DAY: book.add_format({"num_format": "yyyy-mm-dd"}),
            CellKind.MOMENT: book.add_format({"num_format": "yyyy-mm-dd hh:mm"}),
        }
        for table in tables:
            _write_sheets(book, table, head=head, shown=shown, sheet_rows=sheet_rows)


def _write_sheets(
    book: xlsxwriter.Workbook, table: Table, *, head: Format, shown: Mapping[CellKind, Format], sheet_rows: int
) -> None:
    number, row, sheet = 1, 1, _sheet(book, table, table.name, head)
    for cells in table.rows:
        if row == sheet_rows:
            number, row = number + 1, 1
            sheet = _sheet(book, table, f"{table.name} {number}", head)
        for at, (column, cell) in enumerate(zip(table.columns, cells, strict=True)):
            _write_cell(sheet, row, at=at, cell=cell, shown=shown.get(column.kind))
        row += 1


def _sheet(book: xlsxwriter.Workbook, table: Table, name: str, head: Format) -> Worksheet:
    sheet = book.add_worksheet(name)
    sheet.freeze_panes(1, 1)
    for at, column in enumerate(table.columns):
        sheet.set_column(at, at, max(_WIDTHS[column.kind], len(column.name) + 2))
    sheet.write_row(0, 0, [column.name for column in table.columns], head)
    return sheet


def _write_cell(sheet: Worksheet, row: int, *, at: int, cell: Cell, shown: Format | None) -> None:
    if cell is None:
        return
    if isinstance(cell, bool):
        sheet.write_boolean(row, at, cell)
    elif isinstance(cell, str):
        sheet.write_string(row, at, cell[:TEXT_MOST])
    elif isinstance(cell, date):
        sheet.write_datetime(row, at, _in_utc(cell), shown)
    else:
        sheet.write_number(row, at, cell)


def _in_utc(cell: date) -> date:
    """A moment by UTC, whatever zone the database tells it in; a day as it is."""
    return cell.astimezone(UTC) if isinstance(cell, datetime) else cell


def write_folder(path: Path, tables: Iterable[Table], about: Mapping[str, Any], schema: str) -> None:
    """A zip of one CSV a table, one JSON of all of them, and its schema. about: what else the JSON says."""
    beside = path.with_suffix(".json")
    try:
        with zipfile.ZipFile(path, "w", zipfile.ZIP_DEFLATED) as zipped, beside.open("w", encoding="utf-8") as told:
            opening = json.dumps({"format": FORMAT, "version": VERSION, **about}, ensure_ascii=False)
            told.write(opening[:-1])
            for table in tables:
                told.write(f",\n{json.dumps(table.name)}: [")
                with zipped.open(f"{table.name}.csv", "w", force_zip64=True) as raw:
                    _write_both(table, io.TextIOWrapper(raw, encoding="utf-8", newline=""), told.write)
                told.write("\n]")
            told.write("\n}\n")
            told.flush()
            zipped.write(beside, JSON_NAME)
            zipped.writestr(SCHEMA_NAME, schema)
    finally:
        beside.unlink(missing_ok=True)


def _write_both(table: Table, out: io.TextIOWrapper, told: Callable[[str], object]) -> None:
    """One pass over the rows: CSV after RFC 4180 on one side, objects of JSON on the other."""
    names = [column.name for column in table.columns]
    writer = csv.writer(out, lineterminator="\r\n")
    writer.writerow(names)
    before = "\n"
    for cells in table.rows:
        plain = [_in_utc(cell).isoformat() if isinstance(cell, date) else cell for cell in cells]
        writer.writerow([harmless(cell) if isinstance(cell, str) else cell for cell in plain])
        told(before + json.dumps(dict(zip(names, plain, strict=True)), ensure_ascii=False, allow_nan=False))
        before = ",\n"
    out.close()


def schema_of(tables: Iterable[tuple[str, str, Sequence[Column]]], about: Mapping[str, str]) -> str:
    """The schema of the JSON (JSON Schema, draft 2020-12). tables: names, words and columns; about: what else it says,
    as text."""
    found = {
        "$schema": "https://json-schema.org/draft/2020-12/schema",
        "title": JSON_NAME,
        "type": "object",
        "additionalProperties": False,
        "properties": {
            "format": {"const": FORMAT},
            "version": {"const": VERSION},
            **{name: {"type": "string", "description": words} for name, words in about.items()},
            **{name: {"type": "array", "description": words, "items": _row(cols)} for name, words, cols in tables},
        },
    }
    found["required"] = list(found["properties"])  # type: ignore[call-overload]
    return json.dumps(found, indent=1, ensure_ascii=False) + "\n"


def _row(columns: Sequence[Column]) -> dict[str, Any]:
    return {
        "type": "object",
        "additionalProperties": False,
        "required": [column.name for column in columns],
        "properties": {c.name: {**_AS_JSON[c.kind], "description": c.words} for c in columns},
    }
