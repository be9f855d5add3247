"""A log as text: its encoding, what separates, what the decimal sign is, where header and data stand."""

from __future__ import annotations

import codecs
import csv
import mmap
import re
from collections import Counter
from collections.abc import Sequence
from dataclasses import dataclass

from vividowl.core.quantities.words import Words, say
from vividowl.core.trace.roles import unit_of
from vividowl.formats.errors import FormatError
from vividowl.words import sentence

COLUMNS_MOST = 400
SNIFFED_BYTES = 131072
CHUNK = 1 << 20
FOOTER_MOST = 20
# So many empty lines in a row are no lines of a log.
EMPTY_MOST = 1000
NUMBER = re.compile(r"^[+-]?\d+([.,]\d+)?([eE][+-]?\d+)?$")
Buffer = bytes | mmap.mmap


@dataclass(frozen=True, kw_only=True)
class Layout:
    """How a file is written: encoding, delimiter, decimal sign, header line (from 0), units beneath it, headers."""

    encoding: Words
    delimiter: str
    decimal: str
    header_line: int
    has_unit_row: bool
    headers: tuple[str, ...]
    unit_row: tuple[str, ...]


@dataclass(frozen=True, kw_only=True)
class Body:
    """The lines of data: text that holds them, lines to skip before them, their first line in the file (from 1);
    mended: the text is no longer the file itself."""

    text: Buffer
    skip: int
    first_line: int
    mended: bool
    notices: tuple[Words, ...]


def decode(data: Buffer, name: str) -> tuple[Buffer, Words, list[Words]]:
    """Bring a file to UTF-8; a mark at its head stays and is skipped by the header."""
    head = bytes(data[:4096])
    if not head.strip(b" \t\r\n\x00") and not bytes(data[:CHUNK]).strip(b" \t\r\n\x00"):
        raise FormatError(say("log-text-empty", name=name), remedy=say("log-text-export-log-again-and-check"))
    for mark, encoding in ((b"\xff\xfe", "utf-16-le"), (b"\xfe\xff", "utf-16-be")):
        if head.startswith(mark):
            return data[2:].decode(encoding, errors="replace").encode(), encoding, []
    for start, encoding in ((1, "utf-16-le"), (0, "utf-16-be")):
        if head[start::2].count(0) > 0.4 * len(head) / 2:
            return data[:].decode(encoding, errors="replace").encode(), encoding, []
    if head.count(0) or sum(b < 9 or 13 < b < 32 for b in head) > 0.02 * len(head):
        raise FormatError(say("log-text-not-text-file", name=name), reason="binary")
    if b"\r" in head and data.find(b"\n") < 0:
        # Lines that end as they did on very old systems.
        return decode(bytes(data[:]).replace(b"\r", b"\n"), name)
    broken = _first_not_utf8(data)
    if broken is None:
        return data, "utf-8", []
    line = bytes(data[:broken]).count(b"\n") + 1
    text = data[:].decode("cp1252", errors="replace").encode()
    return text, "cp1252", [say("log-text-line-not-utf-file-was", line=line)]


def _first_not_utf8(data: Buffer) -> int | None:
    """Where the first byte stands that is no UTF-8; chunk by chunk, so that no copy of the file is made."""
    decoder = codecs.getincrementaldecoder("utf-8")()
    for at in range(0, len(data), CHUNK):
        chunk = data[at : at + CHUNK]
        if chunk.isascii() and not decoder.getstate()[0]:
            continue
        try:
            decoder.decode(chunk, final=at + CHUNK >= len(data))
        except UnicodeDecodeError as error:
            return at + max(0, error.start - len(decoder.getstate()[0]))
    return None


def fields(line: str, delimiter: str) -> list[str]:
    """Cells of one line. A carriage return inside of one is a blank; a line that cannot be parted is one cell."""
    try:
        return next(csv.reader([line.replace("\r", " ")], delimiter=delimiter), [])
    except csv.Error:
        return [line]


def sniff(text: Buffer, encoding: Words, name: str) -> Layout:
    """Find delimiter, decimal sign, header and units."""
    head = bytes(text[:SNIFFED_BYTES]).decode("utf-8-sig", errors="replace").splitlines()
    if len(text) > SNIFFED_BYTES and head:
        head.pop()
        if not head:
            raise FormatError(
                say(
                    "log-text-line-alone-longer-than-kb",
                    name=name,
                    sniffed_bytes=SNIFFED_BYTES // 1024,
                    columns_most=COLUMNS_MOST,
                ),
                line=1,
                reason="too_large",
            )
    head = head[:200]
    filled = [line for line in head if line.strip()]
    best, width = ",", 0
    for delimiter in ("\t", ";", ",", "|"):
        counts = Counter(len(fields(line, delimiter)) for line in filled[:40])
        modal, times = counts.most_common(1)[0] if counts else (0, 0)
        if modal > 1 and times * modal > width:
            best, width = delimiter, times * modal
    rows = [fields(line, best) for line in head]
    sizes = Counter(len(r) for r in rows if len(r) > 1)
    if not sizes:
        raise FormatError(say("log-text-no-columns-separated-by-comma", name=name), line=1)
    modal = sizes.most_common(1)[0][0]
    # A header may lack the name of a last, empty column; one that names them all goes first.
    named = [i for i, r in enumerate(rows) if len(r) >= max(2, modal - 1) and _is_header(r)]
    header = next((i for i in named if len(rows[i]) >= modal), named[0] if named else None)
    if header is None:
        raise FormatError(say("log-text-line-begins-with-numbers-there", name=name), line=1)
    headers = [h.strip() for h in rows[header]]
    while headers and not headers[-1]:
        headers.pop()
    if len(headers) > COLUMNS_MOST:
        raise FormatError(
            say("log-text-has-columns-at-most-read", name=name, headers=len(headers), columns_most=COLUMNS_MOST),
            line=header + 1,
        )
    units = rows[header + 1] if header + 1 < len(rows) else []
    has_units = bool(units) and not any(NUMBER.match(c.strip()) for c in units) and any(unit_of("", c) for c in units)
    looked_at = max(6, min(60, 2000 // len(headers)))
    sample = [c.strip() for r in rows[header + 1 : header + 1 + looked_at] for c in r]
    comma = sum(bool(re.match(r"^[+-]?\d+,\d+(\s*[^\d\s]+)?$", c)) for c in sample)
    point = sum(bool(re.match(r"^[+-]?\d+\.\d+(\s*[^\d\s]+)?$", c)) for c in sample)
    return Layout(
        encoding=encoding,
        delimiter=best,
        decimal="," if comma > point else ".",
        header_line=header,
        has_unit_row=has_units,
        headers=_unlike(headers),
        unit_row=tuple(units) if has_units else (),
    )


def _unlike(headers: Sequence[str]) -> tuple[str, ...]:
    """Columns of one name get a number, so that each can be mapped."""
    seen: Counter[str] = Counter()
    out = []
    for header in headers:
        seen[header] += 1
        out.append(header if seen[header] == 1 else f"{header} ({seen[header]})")
    return tuple(out)


def _is_header(row: Sequence[str]) -> bool:
    cells = [c.strip() for c in row if c.strip()]
    return len(cells) > 1 and sum(bool(re.match(r"^[+-]?[\d.,:/ -]+$", c)) for c in cells) <= 0.2 * len(cells)


def find_body(text: Buffer, layout: Layout, name: str) -> Body:
    """The lines of data: without preamble, header, units, repeated headers, a cut last line and footers."""
    nothing = FormatError(
        say("log-text-has-header-and-no-data", name=name),
        remedy=say("log-text-export-log-after-run"),
        line=layout.header_line + 1,
    )
    start = 0
    for _ in range(layout.header_line):
        start = text.find(b"\n", start) + 1
    stop = text.find(b"\n", start)
    if stop < 0:
        raise nothing
    header = bytes(text[start:stop]).rstrip(b"\r").removeprefix(b"\xef\xbb\xbf")
    skip = layout.header_line + 1 + layout.has_unit_row
    for _ in range(1 + layout.has_unit_row):
        at = text.find(b"\n", start)
        start = at + 1 if at >= 0 else len(text)
    notices: list[str] = []
    mended: bytes | None = None
    if any(text.find(end * EMPTY_MOST, start) >= 0 for end in (b"\n", b"\r\n")):
        # Each would become a row: a file that is all line ends costs fifty times its size.
        mended, start = re.sub(rb"[\r\n]{%d,}" % EMPTY_MOST, b"\n", bytes(text[start:])), 0
    held: Buffer = text if mended is None else mended
    if held.find(header, start) >= 0:
        lines = bytes(held[start:]).split(b"\n")
        kept = [line for line in lines if line.rstrip(b"\r") != header]
        if len(kept) < len(lines):
            notices.append(sentence(say("log-text-header-was-repeated-times-repeats", kept=len(lines) - len(kept))))
            mended, start = b"\n".join(kept), 0
    whole: Buffer = text if mended is None else mended
    # Footers and a last line that broke off are shorter than the rest.
    end, dropped, wanted = _trimmed(whole, start, len(whole), layout.delimiter), 0, len(layout.headers)
    while end > start and dropped < FOOTER_MOST:
        at = max(whole.rfind(b"\n", start, end), start - 1)
        last = bytes(whole[at + 1 : end]).decode("utf-8", errors="replace")
        if (len(fields(last, layout.delimiter)) if last.strip() else 0) >= wanted:
            break
        end, dropped = _trimmed(whole, start, max(at, start), layout.delimiter), dropped + 1
    if end <= start or not bytes(whole[start : min(end, start + CHUNK)]).strip():
        raise nothing
    if dropped:
        line = skip + bytes(whole[start:end]).count(b"\n") + 2
        notices.append(sentence(say("log-text-log-breaks-off-in-line", line=line, dropped=dropped)))
        mended, start = bytes(whole[start:end]), 0
    if mended is not None or bytes(text[-1:]) in (b" ", b"\x00"):
        return Body(
            text=mended if mended is not None else bytes(text[start:end]),
            skip=0,
            first_line=skip + 1,
            mended=True,
            notices=tuple(notices),
        )
    return Body(text=text, skip=skip, first_line=skip + 1, mended=False, notices=tuple(notices))


def _trimmed(text: Buffer, start: int, end: int, delimiter: str) -> int:
    """The end without blanks and empty lines behind the last filled one; a tab that parts cells is no blank."""
    blanks = b"\r\n \x00" if delimiter == "\t" else b"\r\n \t\x00"
    while end > start:
        chunk = bytes(text[max(start, end - 4096) : end])
        kept = len(chunk.rstrip(blanks))
        if kept:
            return end - len(chunk) + kept
        end -= len(chunk)
    return start
