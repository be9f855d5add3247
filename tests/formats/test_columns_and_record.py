"""Parquet, chart views, drawings and the PDF."""

import io
import re
import xml.etree.ElementTree as ET
from dataclasses import replace
from datetime import date

import numpy as np
import polars as pl
import pytest
from hypothesis import given
from hypothesis import strategies as st
from PIL import Image
from pypdf import PdfReader

from vividowl.core.response.ladder import build_ladder
from vividowl.core.verdict.plain import Plain
from vividowl.formats.drawing import chart_svg, ladder_svg, owl_svg
from vividowl.formats.log.columns import min_max_view, read_columns, write_columns
from vividowl.formats.record_pdf import RecordSheet, make_pdf
from vividowl.formats.words import day, item_words, money, number
from vividowl.words import sentence
from vividowl.words.sentence import spoken


def test_columns_survive_parquet(tmp_path):
    frame = pl.DataFrame({"time_s": [0.0, 1.0], "c0": [41.5, None], "c1": ["a", "b"]})
    write_columns(frame, tmp_path / "x.parquet")
    assert read_columns(tmp_path / "x.parquet").equals(frame)
    assert read_columns(tmp_path / "x.parquet", ["c0"]).columns == ["c0"]


@given(st.integers(50, 5000), st.integers(10, 400))
def test_property_a_view_keeps_extremes_and_order(n, points):
    rng = np.random.default_rng(n)
    time, values = np.arange(n, dtype=float), rng.normal(size=n)
    view = min_max_view(time, values, points=points, from_s=-np.inf, to_s=np.inf)
    assert len(view.values) <= max(points, 4)
    assert (view.values.min(), view.values.max()) == (values.min(), values.max())
    assert (np.diff(view.time_s) >= 0).all()


def test_a_view_skips_what_is_not_known_and_keeps_to_its_stretch():
    time, values = np.arange(100.0), np.arange(100.0)
    values[10] = np.nan
    view = min_max_view(time, values, points=1000, from_s=5, to_s=20)
    assert (view.time_s[0], view.time_s[-1], len(view.time_s)) == (5, 20, 15)


BLANK = {"measured": False, "rise_k": None, "noise_db": None, "held_share": None}
HOT = {"measured": True, "rise_k": 70.0, "noise_db": 53.0, "held_share": 0.9}
COOL = {"measured": True, "rise_k": 46.0, "noise_db": 46.0, "held_share": 0.0}


def test_the_owl_shows_lid_beak_and_an_empty_eye():
    full = owl_svg(HOT, COOL, "improved")
    assert ET.fromstring(full).tag.endswith("svg")  # noqa: S314 - our own drawing
    assert full.count("<circle") == 4
    assert "54 54h12l-6 12z" in full
    assert full.count("Z") == 1
    assert owl_svg(HOT, BLANK, None).count("<circle") == 3


def test_the_ladder_names_rungs_and_marks_the_culprit():
    before = build_ladder(95, 25, 45, heatsink_c=65)
    after = build_ladder(70, 25, 58, heatsink_c=64)
    drawn = ladder_svg(before, after, "interface")
    for words in ("bottleneck", "95 °C", "70 °C", "45 W", "58 W", "30 K", "25.0 °C"):
        assert words in drawn
    assert "No ladder" in ladder_svg(None, None, None)


def test_the_chart_stays_inside_its_box():
    line = (list(range(-30, 900, 10)), [30 + 0.05 * i for i in range(93)])
    drawn = chart_svg(line, line)
    xs = [float(p.split(",")[0]) for pts in re.findall(r'points="([^"]+)"', drawn) for p in pts.split()]
    assert min(xs) >= 39
    assert max(xs) <= 512.5
    assert re.findall(r">(before|after)<", drawn) == ["before", "after"]


@pytest.mark.parametrize(
    ("value", "unit", "signed", "words"),
    [
        (None, "K", False, "not known"),
        (0.876, "K/W", False, "0.88"),
        (-24.31, "K", True, "−24.3"),
        (3.0, "W", True, "+3.0"),
    ],
)
def test_numbers_on_paper(value, unit, signed, words):
    assert sentence(number(value, unit, signed)) == words


def test_prices_dates_and_items_in_words():
    assert money(8900, "EUR") == "€89.00"
    assert sentence(money(None, "EUR")) == "not set"
    assert day(date(2026, 3, 1)) == "1 March 2026"
    words = item_words(
        "cpu_die", "paste_stiff", product="Grey Heron 11", lot="GH-1", amount=0.08, unit="g", known="weighed"
    )
    assert sentence(words) == "Processor die: paste, stiff (diamond), Grey Heron 11, lot GH-1, 0.08 g weighed."
    sheets = item_words(
        "gpu_die", "phase_change_sheet", product="Slow Tide 45", lot="", amount=2.0, unit="pieces", known="typed"
    )
    assert sentence(sheets).endswith("Slow Tide 45, 1 piece and 1 spare.")
    with spoken("de"):
        assert sentence(sheets).endswith("Slow Tide 45, 1 Stück und 1 Reserve.")


SHEET = RecordSheet(
    shop="Shop #1 [test]",
    demo=True,
    number=7,
    customer="Zoë Łuczak",
    device="Ondervale Marrow 15",
    symptom="hot *and* #loud",
    day=date(2026, 3, 1),
    handed_over=False,
    comparison=None,
    ladders=(None, None),
    culprit=None,
    exhaust="",
    notes=(),
    lines=None,
    glances=(BLANK, BLANK),
    lead="Device: improved",
    done=(
        "Cleaned: fins.",
        item_words("cpu_die", "paste_stiff", product="", lot="", amount=None, unit="", known="typed"),
    ),
    fit_note="$x$ _y_",
    bench=("Worked by a list of 19 steps, 19 done.",),
    attempts=(),
    gates=(("Reason.", "agreed (Imke)"),),
    price_cents=None,
    currency="EUR",
    next_service_on=None,
    next_service_reason="",
    note="",
    plain=Plain("It came in at 95 °C.", "Now it runs at 71 °C.", ("It is 26 degrees cooler.",)),
    after_care=("Keep the vents free.",),
    warranty_until=date(2026, 9, 1),
    photos=(),
    promise="",
)


def test_a_draft_without_measurement_is_a_pdf_and_typed_marks_stay_text():
    data = make_pdf(SHEET)
    assert data.startswith(b"%PDF-")
    assert b"%%EOF" in data[-32:]


def test_a_word_more_makes_another_pdf():
    assert make_pdf(SHEET) != make_pdf(replace(SHEET, note="Come back in spring."))


def test_attempts_stand_side_by_side_on_the_record():
    rows = (("Fitted", "sheet", "paste #2"), ("Verdict", "Worse", "Improved [much]"))
    assert len(make_pdf(replace(SHEET, attempts=rows))) > len(make_pdf(SHEET))


def structure(part):
    """All parts of a tagged file, from the top down."""
    kids = part.get("/K", [])
    for kid in kids if isinstance(kids, list) else [kids]:
        found = kid.get_object() if hasattr(kid, "get_object") else kid
        if isinstance(found, dict):
            yield found
            yield from structure(found)


def jpeg():
    data = io.BytesIO()
    Image.new("RGB", (64, 48), "grey").save(data, "JPEG")
    return data.getvalue()


def test_the_first_page_says_it_plainly_and_the_file_is_for_keeping_and_for_reading_aloud():
    """Read back by another library. PDF/A-2u says so in its metadata (ISO 19005-2, 6.6.4), a tagged file has a tree of
    its parts and a language (ISO 32000-1, 14.7 and 14.9.2)."""
    found = PdfReader(io.BytesIO(make_pdf(replace(SHEET, photos=(jpeg(), jpeg())))))
    first = found.pages[0].extract_text()
    for words in ("It came in at 95 °C.", "It is 26 degrees cooler.", "Keep the vents free.", "until 1 September 2026"):
        assert words in first
    root = found.trailer["/Root"]
    assert root["/MarkInfo"]["/Marked"]
    assert root["/Lang"] == "en"
    parts = list(structure(root["/StructTreeRoot"]))
    assert [str(part.get("/Alt")) for part in parts if part.get("/S") == "/Figure"].count("Before") == 1
    assert {"/H1", "/H2"} <= {part.get("/S") for part in parts}
    kept = root["/Metadata"].get_data().decode()
    assert "<pdfaid:part>2</pdfaid:part>" in kept
    assert "<pdfaid:conformance>U</pdfaid:conformance>" in kept


def test_what_a_file_for_keeping_must_have_and_may_not_have_is_so():
    """No validator of PDF/A for Python, Node or Debian is in their registries; these are the demands of ISO 19005-2
    that a file like this can fail, each read back by another library. Numbers of clauses are from memory."""
    found = PdfReader(io.BytesIO(make_pdf(replace(SHEET, photos=(jpeg(),) * 4))))
    root, trailer = found.trailer["/Root"], found.trailer
    # 6.1.3: named for ever, and open to anyone.
    assert len(trailer["/ID"]) == 2
    assert "/Encrypt" not in trailer
    # 6.2.3: what its colours mean.
    (intent,) = root["/OutputIntents"]
    assert intent["/S"] == "/GTS_PDFA1"
    assert len(intent["/DestOutputProfile"].get_data()) > 100
    # 6.5.1, 6.4: it does nothing, and asks nothing.
    assert not {"/OpenAction", "/AA", "/AcroForm"} & set(root)
    assert "/JavaScript" not in root.get("/Names", {})
    fonts = {}
    for page in found.pages:
        assert "/AA" not in page
        fonts |= page["/Resources"]["/Font"]
    assert fonts
    for font in (font.get_object() for font in fonts.values()):
        (drawn,) = font["/DescendantFonts"]
        descriptor = drawn.get_object()["/FontDescriptor"]
        # 6.2.11.4.1: letters come with the file; 6.2.11.7.2, level U: each says which letter it is.
        assert {"/FontFile", "/FontFile2", "/FontFile3"} & set(descriptor)
        assert b"beginbf" in font["/ToUnicode"].get_data()


def test_a_second_pair_of_photos_takes_no_page_of_its_own():
    two, four = (PdfReader(io.BytesIO(make_pdf(replace(SHEET, photos=(jpeg(),) * n)))) for n in (2, 4))
    assert len(four.pages) == len(two.pages)
    parts = list(structure(four.trailer["/Root"]["/StructTreeRoot"]))
    told = [str(part.get("/Alt")) for part in parts if part.get("/S") == "/Figure"]
    assert (told.count("Before"), told.count("After")) == (2, 2)
    assert "until 1 September 2026" in four.pages[0].extract_text()


@pytest.mark.parametrize("name", ["Bel\x07l \x1b[31m\x85", "back\\u0007slash", "李 Ж ☃"])
def test_a_name_that_no_font_draws_does_not_stop_the_record(name):
    found = PdfReader(io.BytesIO(make_pdf(replace(SHEET, customer=name, note=name))))
    assert "Ondervale Marrow 15" in found.pages[0].extract_text()
