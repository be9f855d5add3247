"""Cut sheets at true size in three open formats, and the shelf as CSV that reads back the same."""

import io
import re
import xml.etree.ElementTree as ET

import ezdxf
import pytest
from hypothesis import given
from hypothesis import strategies as st
from tests.said import refuses

from vividowl.formats.cut_sheet import CutDrawing, CutPiece, cut_dxf, cut_pdf, cut_svg
from vividowl.formats.errors import FormatError
from vividowl.formats.sheets.shelf_csv import HEADERS, ShelfLine, date_of, number_of, read_shelf, write_shelf

PIECES = (CutPiece("Memory <1>", (10.2, 0.0, 12.0, 14.0)), CutPiece("Die", (22.4, 0.0, 15.5, 15.5)))
SHEET = CutDrawing(name="Sheet of lot A", width_mm=80.0, length_mm=60.0, taken=((0.0, 0.0, 10.0, 10.0),), pieces=PIECES)
NS = {"s": "http://www.w3.org/2000/svg"}


def test_an_svg_has_one_unit_a_millimetre_and_a_control_line_of_50():
    root = ET.fromstring(cut_svg("Job 7", [SHEET]))  # noqa: S314 - our own file
    width, view = float(root.get("width").removesuffix("mm")), [float(v) for v in root.get("viewBox").split()]
    assert view[2] == width
    sizes = [(float(r.get("width")), float(r.get("height"))) for r in root.iterfind(".//s:rect", NS)]
    assert sizes == [(80, 60), (10, 10), (12, 14), (15.5, 15.5)]
    lines = [p.get("d") for p in root.iterfind(".//s:path", NS)]
    assert re.search(r"h50(M|$)", lines[0])
    assert "Memory <1>" in [t.text for t in root.iterfind(".//s:text", NS)]


def test_a_dxf_is_in_millimetres_with_the_cuts_on_their_own_layer():
    document = ezdxf.read(io.StringIO(cut_dxf([SHEET, SHEET]).decode()))
    assert document.units == ezdxf.units.MM
    assert not document.audit().errors
    cuts = document.modelspace().query('LWPOLYLINE[layer=="CUT"]')
    corners = [[(round(x, 3), round(y, 3)) for x, y, *_ in p.get_points()] for p in cuts]
    assert len(corners) == 4
    xs, ys = [x for x, _ in corners[0]], [y for _, y in corners[0]]
    assert (max(xs) - min(xs), max(ys) - min(ys)) == (12.0, 14.0)
    (line,) = document.modelspace().query("LINE")
    assert (line.dxf.layer, line.dxf.end.x - line.dxf.start.x) == ("CONTROL", 50.0)


def test_a_pdf_has_a_page_a_sheet_large_enough_at_true_size():
    data = cut_pdf("Job 7", [SHEET, CutDrawing(name="Large", width_mm=300.0, length_mm=400.0, taken=(), pieces=())])
    assert data.startswith(b"%PDF")
    boxes = [[float(v) for v in m.split()] for m in re.findall(rb"/MediaBox\s*\[([^\]]*)\]", data)]
    mm = sorted((round(b[2] * 25.4 / 72), round(b[3] * 25.4 / 72)) for b in boxes)
    assert mm[0] == (210, 297)
    assert mm[1][0] >= 320
    assert mm[1][1] >= 400


LINE = ShelfLine(
    kind="pad",
    product="Moss 1.0",
    unit="sheet",
    price_cents="1100",
    low_at="2",
    sheet_width_mm="80",
    sheet_length_mm="80",
    thickness_mm="1",
    lot="M10",
    received_on="2026-01-02",
    opened_on="",
    expires_on="2027-01-02",
    held="5",
    remaining="4",
)
words = st.text(st.characters(blacklist_categories=("Cs", "Cc"), blacklist_characters="'"), max_size=20).map(str.strip)


def test_a_shelf_reads_back_the_same_with_semicolons_too():
    data = write_shelf([LINE])
    assert read_shelf(data) == [LINE]
    assert read_shelf(data.replace(b",", b";")) == [LINE]


def line_of(**known):
    return ShelfLine(**dict.fromkeys(HEADERS, "") | known)


@given(words, words)
def test_any_text_comes_back(product, lot):
    line = line_of(kind="pad", product=product, unit="sheet", lot=lot)
    assert read_shelf(write_shelf([line])) == [line]


def test_a_text_that_a_spreadsheet_would_run_is_made_harmless():
    data = write_shelf([line_of(kind="pad", product="=cmd()", unit="sheet")])
    assert b"'=cmd()" in data
    assert read_shelf(data)[0].product == "=cmd()"


@pytest.mark.parametrize(
    ("data", "says"),
    [
        (b"", "empty"),
        (b"kind,product,unit,colour\n", "Line 1 has a column “colour”"),
        (b"kind,product\npad,Moss\n", "Line 1 lacks the column “unit”"),
        (b"kind,product,unit\npad,Moss\n", "Line 2 has 2 cells, the header 3"),
        (b"\xff\xfe\x00", "not UTF-8"),
    ],
)
def test_a_file_that_is_none_is_refused_with_its_line(data, says):
    with refuses(FormatError, match=says):
        read_shelf(data)


def test_numbers_and_dates_of_a_line():
    assert (number_of(3, "held", "1,5"), number_of(3, "held", "")) == (1.5, None)
    assert date_of(3, "opened_on", "").__class__ is type(None)
    with refuses(FormatError, match="Line 3, held: “much” is no number"):
        number_of(3, "held", "much")
    with refuses(FormatError, match="Line 4, opened_on: “yesterday” is no date"):
        date_of(4, "opened_on", "yesterday")
    assert len(HEADERS) == 14
