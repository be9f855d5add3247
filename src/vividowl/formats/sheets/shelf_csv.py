"""The shelf as CSV: one line a lot, units in the headers. What is written is read back the same."""

from __future__ import annotations

import csv
import io
import math
import re
from collections.abc import Sequence
from dataclasses import dataclass, fields
from datetime import date

from vividowl.core.quantities.words import listed, say
from vividowl.formats.errors import FormatError
from vividowl.formats.sheets.cells import as_it_was, harmless

CELL_MOST, NUMBER_MOST = 200, 1e9
_CONTROL = re.compile(r"[\x00-\x08\x0a-\x1f\x7f]")
LINES_MOST = 5000


@dataclass(frozen=True, kw_only=True)
class ShelfLine:
    """A lot with its product; empty where nothing is known."""

    kind: str
    product: str
    unit: str
    price_cents: str
    low_at: str
    sheet_width_mm: str
    sheet_length_mm: str
    thickness_mm: str
    lot: str
    received_on: str
    opened_on: str
    expires_on: str
    held: str
    remaining: str


HEADERS = tuple(f.name for f in fields(ShelfLine))
NEEDED = ("kind", "product", "unit")


def write_shelf(lines: Sequence[ShelfLine]) -> bytes:
    """Lines as CSV after RFC 4180, UTF-8."""
    out = io.StringIO(newline="")
    writer = csv.writer(out, lineterminator="\r\n")
    writer.writerow(HEADERS)
    for line in lines:
        writer.writerow([harmless(getattr(line, name)) for name in HEADERS])
    return out.getvalue().encode("utf-8")


def read_shelf(data: bytes) -> list[ShelfLine]:
    """Read such a CSV: comma or semicolon, columns in any order, unknown ones refused."""
    try:
        text = data.decode("utf-8-sig")
    except UnicodeDecodeError as error:
        raise FormatError(say("shelf-csv-file-not-utf-text")) from error
    head = text.partition("\n")[0]
    try:
        reader = csv.reader(io.StringIO(text, newline=""), delimiter=";" if head.count(";") > head.count(",") else ",")
        rows = list(reader)
    except csv.Error as error:
        raise FormatError(say("shelf-csv-file-no-csv", error=str(error))) from error
    rows = [row for row in rows if any(cell.strip() for cell in row)]
    if not rows:
        raise FormatError(say("shelf-csv-file-empty"))
    if len(rows) > LINES_MOST + 1:
        raise FormatError(say("shelf-csv-file-has-lines-up-to", rows=len(rows) - 1, lines_most=LINES_MOST))
    headers = [cell.strip().lower() for cell in rows[0]]
    unknown = [h for h in headers if h not in HEADERS]
    missing = [h for h in NEEDED if h not in headers]
    if unknown or missing:
        what = (
            say("shelf-csv-has-column", unknown=unknown[0])
            if unknown
            else say("shelf-csv-lacks-column", missing=missing[0])
        )
        raise FormatError(say("shelf-csv-line", what=what, headers=listed(HEADERS)))
    out = []
    for number, row in enumerate(rows[1:], start=2):
        if len(row) != len(headers):
            raise FormatError(say("shelf-csv-line-has-cells-header", number=number, row=len(row), headers=len(headers)))
        for name, cell in zip(headers, row, strict=True):
            if len(cell) > CELL_MOST or _CONTROL.search(cell):
                raise FormatError(
                    say("shelf-csv-line-cell-longer-than-characters", number=number, name=name, cell_most=CELL_MOST)
                )
        cells = {name: as_it_was(cell.strip()) for name, cell in zip(headers, row, strict=True)}
        out.append(ShelfLine(**{name: cells.get(name, "") for name in HEADERS}))
    return out


def number_of(line: int, name: str, text: str) -> float | None:
    """A number of a line, None when the cell is empty."""
    if not text:
        return None
    try:
        value = float(text.replace(",", "."))
        if not math.isfinite(value) or abs(value) > NUMBER_MOST:
            raise ValueError
        return value
    except ValueError as error:
        raise FormatError(say("shelf-csv-line-no-number", line=line, name=name, text=text)) from error


def date_of(line: int, name: str, text: str) -> date | None:
    """A date of a line, None when the cell is empty."""
    if not text:
        return None
    try:
        return date.fromisoformat(text)
    except ValueError as error:
        raise FormatError(say("shelf-csv-line-no-date", line=line, name=name, text=text)) from error
