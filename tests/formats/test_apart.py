"""Files from outside, read apart: what one file can cost is known, and the next file meets a fresh reader."""

import io
import json
import os
import time
import zipfile
import zlib

import polars as pl
import pytest
from PIL import Image
from tests.costly import ask_for_too_much, die, hog, who
from tests.formats.test_sensor_log import SAMPLES, text
from tests.said import refuses

from vividowl.formats import apart
from vividowl.formats.apart import read_apart
from vividowl.formats.errors import FormatError
from vividowl.formats.log.sensor_log import read_log
from vividowl.formats.photo import read_photo
from vividowl.words import sentence


@pytest.mark.parametrize(
    ("task", "given", "said"),
    [
        (hog, (400 * 2**20,), "more than 0.2 GB of memory"),
        (time.sleep, (30,), "longer than 1 s"),
        (die, (), "its reader broke down over it"),
        (ask_for_too_much, (), "takes more memory than there is"),
    ],
)
def test_a_file_that_costs_too_much_is_refused_and_the_next_one_is_read(task, given, said):
    # A slow machine may take its time over all but the one that is about time.
    most_s = 1.0 if task is time.sleep else 20.0
    with refuses(FormatError, match=said) as caught:
        read_apart(task, *given, name="odd.csv", time_most_s=most_s, memory_most=250 * 2**20)
    assert caught.value.reason == "too_heavy"
    assert caught.value.remedy
    assert read_apart(len, b"abc", name="good.csv") == 3


def test_a_reader_stays_warm_and_is_another_process():
    first = read_apart(who, name="a")
    assert first == read_apart(who, name="b") != os.getpid()


def test_a_refusal_comes_back_as_it_was_made():
    with refuses(FormatError, match="is empty") as caught:
        read_apart(read_log, b"", "empty.csv", name="empty.csv")
    assert sentence(caught.value.remedy) == "Export the log again and check that it was saved."


def workbook(tmp_path, cells, name="far.xlsx"):
    """A workbook by hand: the parts that a reader looks for, and cells as they are given."""
    ns = 'xmlns="http://schemas.openxmlformats.org/spreadsheetml/2006/main"'
    rel = "http://schemas.openxmlformats.org/officeDocument/2006/relationships"
    rows = "".join(f'<row r="{r}"><c r="{at}"><v>1</v></c></row>' for at, r in cells)
    parts = {
        "[Content_Types].xml": '<Types xmlns="http://schemas.openxmlformats.org/package/2006/content-types"/>',
        "xl/workbook.xml": f'<workbook {ns} xmlns:r="{rel}"><sheets><sheet name="a" sheetId="1" r:id="r1"/></sheets>'
        "</workbook>",
        "xl/_rels/workbook.xml.rels": '<Relationships xmlns="http://schemas.openxmlformats.org/package/2006/'
        f'relationships"><Relationship Id="r1" Type="{rel}/worksheet" Target="worksheets/sheet1.xml"/></Relationships>',
        "xl/worksheets/sheet1.xml": f"<worksheet {ns}><sheetData>{rows}</sheetData></worksheet>",
    }
    path = tmp_path / name
    with zipfile.ZipFile(path, "w", zipfile.ZIP_DEFLATED) as archive:
        for part, content in parts.items():
            archive.writestr(part, content)
    return path


def heavy_picture(width, height):
    """A picture of a few kilobytes that unpacks to width x height x 4 bytes."""

    def chunk(kind, data):
        body = kind + data
        return len(data).to_bytes(4, "big") + body + zlib.crc32(body).to_bytes(4, "big")

    head = width.to_bytes(4, "big") + height.to_bytes(4, "big") + bytes([8, 6, 0, 0, 0])
    packer, rows = zlib.compressobj(9), bytearray()
    for _ in range(height):
        rows += packer.compress(b"\0" * (4 * width + 1))
    rows += packer.flush()
    return b"\x89PNG\r\n\x1a\n" + chunk(b"IHDR", head) + chunk(b"IDAT", bytes(rows)) + chunk(b"IEND", b"")


def test_one_far_cell_is_refused_before_it_is_expanded(tmp_path):
    path = workbook(tmp_path, [("A1", 1), ("XFD1048576", 1048576)])
    assert path.stat().st_size < 2000
    with refuses(FormatError, match="1048576 rows × 16384 columns") as caught:
        read_log(path, "far.xlsx")
    assert caught.value.reason == "too_large"
    # The same by rows that say where they are and cells that do not.
    with refuses(FormatError, match="too large to be read"):
        read_log(workbook(tmp_path, [("A1", 1), ("B", 9_000_000)], "rows.xlsx"), "rows.xlsx")


def test_a_packed_table_of_fifty_million_rows_is_refused_by_its_own_word(tmp_path):
    path = tmp_path / "long.parquet"
    pl.DataFrame({"t": pl.Series([0], dtype=pl.UInt8).new_from_index(0, 50_000_000)}).write_parquet(path)
    assert path.stat().st_size < 110_000
    with refuses(FormatError, match="50000000 rows × 1 columns"):
        read_log(path, "long.parquet")


@pytest.mark.parametrize("kind", ["csv", "json", "parquet"])
def test_twenty_thousand_columns_are_refused_at_once(tmp_path, kind):
    names = [f"Sensor {i}" for i in range(20_000)]
    path = tmp_path / f"wide.{kind}"
    if kind == "csv":
        path.write_text("\n".join([",".join(names), *[",".join(["1.5"] * 20_000)] * 12]))
    elif kind == "json":
        path.write_text("\n".join(json.dumps(dict.fromkeys(names, 1.5)) for _ in range(12)))
    else:
        pl.DataFrame({n: [1.5] * 12 for n in names}).write_parquet(path)
    began = time.monotonic()
    with refuses(FormatError, match=r"at most 400( columns)? are read"):
        read_log(path, path.name)
    assert time.monotonic() - began < 20  # it used to run for a minute


def clocks(*jumps):
    """A log whose clock makes jumps [s] after its tenth line."""
    t, lines = 0.0, ["Time [s],CPU Package [°C]"]
    for i in range(400):
        t += 1.0 + (jumps[i // 20 - 1] if i and i % 20 == 0 and i // 20 <= len(jumps) else 0.0)
        lines.append(f"{t:.0f},{60 + i % 3}")
    return "\n".join(lines).encode()


def test_a_clock_that_jumps_years_is_a_pause_with_a_notice():
    parsed = read_log(clocks(3 * 365 * 86400.0), "jump.csv")
    assert parsed.frame["time_s"][-1] < 600
    (notice,) = [n for n in parsed.notices if "jumps ahead" in n]
    assert "1095 days in line 22" in notice
    with refuses(FormatError, match="jumps ahead by more than a day 4 times"):
        read_log(clocks(*[2e6] * 4), "jumps.csv")
    with refuses(FormatError, match="runs over 11 days; up to 7 are read"):
        read_log(clocks(*[80_000.0] * 12), "long.csv")


def test_times_that_none_can_be_are_refused():
    lines = ["Time [s],CPU Package [°C]", *[f"{10.0 ** (i % 300)},60" for i in range(400)]]
    with pytest.raises(FormatError):
        read_log("\n".join(lines).encode(), "huge.csv")
    lines = ["Time [s],CPU Package [°C]", *["1e301,60"] * 100]
    with refuses(FormatError, match="No time in the log can be read"):
        read_log("\n".join(lines).encode(), "huge.csv")


def test_old_line_ends_are_read():
    parsed = read_log("\r".join(text(SAMPLES)).encode(), "old.csv")
    assert len(parsed.frame) == len(read_log("\n".join(text(SAMPLES)).encode(), "new.csv").frame)


def test_json_that_is_nested_too_deeply_is_refused(tmp_path):
    for content in ("[" + "[" * 100_000, "\n".join(['{"a":' * 5000 + "1" + "}" * 5000] * 12)):
        path = tmp_path / "deep.json"
        path.write_text(content)
        with pytest.raises(FormatError):
            read_log(path, "deep.json")


def test_a_picture_that_unpacks_to_gigabytes_is_refused():
    with refuses(FormatError, match="64 million pixels; up to 80 million are taken as JPEG, 50 million as PNG"):
        read_photo(heavy_picture(8000, 8000))
    out = io.BytesIO()
    Image.new("RGB", (300, 200)).save(out, "PNG")
    assert read_apart(read_photo, out.getvalue(), name="photo").width_px == 300


def test_who_waits_for_a_reader_is_told_when_it_takes_too_long(monkeypatch):
    monkeypatch.setattr(apart, "QUEUE_MOST_S", 0.2)
    held = [apart._free.get() for _ in range(apart.READERS)]
    try:
        with pytest.raises(FormatError) as found:
            apart.read_apart(len, "four", name="four.csv")
    finally:
        for reader in held:
            apart._free.put(reader)
    assert found.value.reason == "busy"
    assert str(sentence(found.value.message)).startswith("four.csv was not read: other files are being read")
