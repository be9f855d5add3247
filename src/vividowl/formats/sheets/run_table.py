"""A table of runs as CSV: a header, and one line a run. Comma, semicolon or tab; decimal point or comma."""

from __future__ import annotations

import csv
import io
import math
from collections.abc import Sequence
from dataclasses import dataclass

from vividowl.core.quantities.words import listed, say
from vividowl.formats.errors import FormatError

LINES_MOST, BYTES_MOST, CELL_MOST = 20_000, 8_000_000, 200
_SEPARATORS = (";", "\t", ",")


@dataclass(frozen=True)
class RunTable:
    """headers (c,); rows (n, c) as text without blanks around; lines (n,): where each stands in the file, from 1."""

    headers: tuple[str, ...]
    rows: tuple[tuple[str, ...], ...]
    lines: tuple[int, ...]
    decimal: str

    def column(self, name: str) -> int:
        """Number of a column by its name, in whatever case. FormatError names those that are there."""
        for at, header in enumerate(self.headers):
            if header.casefold() == name.strip().casefold():
                return at
        raise FormatError(say("run-table-no-column", name=name, names=listed(self.headers)))

    def with_value(self, name: str) -> tuple[RunTable, tuple[int, ...]]:
        """The runs that have something under a column, and the lines of those that have nothing."""
        at = self.column(name)
        kept = [k for k, row in enumerate(self.rows) if row[at]]
        left = tuple(line for line, row in zip(self.lines, self.rows, strict=True) if not row[at])
        if not kept:
            raise FormatError(say("run-table-empty"))
        rows = tuple(self.rows[k] for k in kept)
        return RunTable(self.headers, rows, tuple(self.lines[k] for k in kept), self.decimal), left

    def texts(self, name: str) -> list[str]:
        """A column as text; a line without any is refused."""
        at = self.column(name)
        for line, row in zip(self.lines, self.rows, strict=True):
            if not row[at]:
                raise FormatError(say("run-table-no-level", line=line, name=name), line=line)
        return [row[at] for row in self.rows]

    def numbers(self, name: str) -> list[float]:
        """A column as numbers; a cell that is none is refused by its line."""
        at = self.column(name)
        return [self._number(line, name, row[at]) for line, row in zip(self.lines, self.rows, strict=True)]

    def uncertainties(self, name: str | None) -> list[float]:
        """A column of uncertainties: for all runs or for none."""
        if name is None:
            return []
        at = self.column(name)
        bare = next((line for line, row in zip(self.lines, self.rows, strict=True) if not row[at]), None)
        if bare is not None:
            raise FormatError(say("run-table-no-uncertainty", line=bare, name=name), line=bare)
        return self.numbers(name)

    def _number(self, line: int, name: str, text: str) -> float:
        plain = text.replace("−", "-")
        if self.decimal == ",":
            plain = plain.replace(",", ".")
        try:
            value = float(plain)
        except ValueError:
            value = math.nan
        if not math.isfinite(value):
            raise FormatError(say("run-table-no-number", line=line, name=name, text=text), line=line)
        return value


def read_run_table(data: bytes) -> RunTable:
    """Read such a table. FormatError says what, where and what to do."""
    if len(data) > BYTES_MOST:
        raise FormatError(say("run-table-too-large", size_mb=len(data) / 1000000.0, most_mb=BYTES_MOST / 1000000.0))
    try:
        text = data.decode("utf-8-sig")
    except UnicodeDecodeError as error:
        raise FormatError(say("run-table-not-text")) from error
    head = text.partition("\n")[0]
    separator = max(_SEPARATORS, key=head.count)
    try:
        reader = csv.reader(io.StringIO(text, newline=""), delimiter=separator, strict=True)
        read = [(reader.line_num, tuple(cell.strip() for cell in row)) for row in reader]
    except csv.Error as error:
        raise FormatError(say("run-table-no-csv", error=str(error))) from error
    read = [(line, row) for line, row in read if any(row)]
    if len(read) < 2:
        raise FormatError(say("run-table-empty"))
    if len(read) > LINES_MOST + 1:
        raise FormatError(say("run-table-too-long", lines=len(read) - 1, most=LINES_MOST))
    (_, headers), *rows = read
    _check_headers(headers)
    for line, row in rows:
        if len(row) != len(headers) or any(len(cell) > CELL_MOST for cell in row):
            raise FormatError(say("run-table-cells", line=line, cells=len(row), headers=len(headers)), line=line)
    return RunTable(
        headers, tuple(row for _, row in rows), tuple(line for line, _ in rows), "," if separator != "," else "."
    )


def _check_headers(headers: Sequence[str]) -> None:
    seen: set[str] = set()
    for name in headers:
        if name.casefold() in seen:
            raise FormatError(say("run-table-header-twice", name=name))
        seen.add(name.casefold())
