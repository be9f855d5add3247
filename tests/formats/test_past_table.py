"""Old lists as spreadsheets write them: merged cells, formulas, two headings, floods, and files that are none."""

import io
from datetime import date

import pytest
import xlsxwriter

from vividowl.formats.errors import FormatError
from vividowl.formats.sheets.past_table import ROWS_MOST, read_past_table
from vividowl.words import sentence, sentences

HEAD = ["Date", "Customer", "Model", "Price"]
BODY = [["2024-05-03", "Ann Ode", "Marrow 17", "89,00"], ["2024-05-04", "Bo Rask", "Gale", "79,00"]]


def as_csv(*rows, mark=";"):
    return "\r\n".join(mark.join(row) for row in rows).encode()


@pytest.fixture
def read(tmp_path):
    def read(data, name="list.csv", **more):
        path = tmp_path / name
        path.write_bytes(data)
        return read_past_table(path, name, **more)

    return read


@pytest.fixture
def book():
    """A workbook made by a function that gets its first sheet."""

    def make(fill, *names):
        out = io.BytesIO()
        with xlsxwriter.Workbook(out, {"in_memory": True}) as made:
            for name in names or ("List",):
                fill(made.add_worksheet(name), made)
        return out.getvalue()

    return make


def rows_into(sheet, *rows):
    for at, row in enumerate(rows):
        sheet.write_row(at, 0, row)


@pytest.mark.parametrize("mark", [";", ",", "\t", "|"])
def test_a_plain_list(read, mark):
    body = [[cell.replace(",", ".") for cell in row] for row in BODY]
    found = read(as_csv(HEAD, *body, mark=mark))
    assert found.headings == tuple(HEAD)
    assert [list(row) for row in found.rows] == body
    assert (found.lines, found.notices) == ((2, 3), ())


@pytest.mark.parametrize("encoding", ["utf-8-sig", "utf-16", "cp1252"])
def test_encodings(read, encoding):
    found = read(as_csv(["Datum", "Kunde", "Gerät"], ["3.5.2024", "Jürgen", "Böe"]).decode().encode(encoding))
    assert found.headings == ("Datum", "Kunde", "Gerät")
    assert found.rows == (("3.5.2024", "Jürgen", "Böe"),)


def test_a_title_above_and_headings_again_are_said(read):
    found = read(as_csv(["Jobs of 2024"], [""], HEAD, BODY[0], HEAD, BODY[1]))
    assert [row[2] for row in found.rows] == ["Marrow 17", "Gale"]
    assert found.lines == (4, 6)
    assert sentences(found.notices) == [
        "The headings were found in line 3; what stands above them is left out.",
        "The headings stand again in line 5; these rows are left out.",
    ]


def test_no_headings_are_said(read):
    found = read(as_csv(*BODY))
    assert (found.headings, len(found.rows)) == (("",) * 4, 2)
    assert sentences(found.notices) == ["No headings were found: say of each column what it is."]


def test_short_rows_are_filled_up(read):
    assert read(as_csv(HEAD, BODY[0], ["2024-05-05", "Cy"])).rows[1] == ("2024-05-05", "Cy", None, None)


def test_merged_cells_count_for_each_of_their_rows(read, book):
    def fill(sheet, made):
        rows_into(sheet, HEAD, *BODY)
        sheet.merge_range(1, 1, 2, 1, "Ann Ode")

    found = read(book(fill), "list.xlsx")
    assert [row[1] for row in found.rows] == ["Ann Ode", "Ann Ode"]
    assert "One range of cells is merged" in sentences(found.notices)[0]


def test_formulas_count_as_what_they_came_to(read, book):
    def fill(sheet, made):
        rows_into(sheet, HEAD, BODY[0])
        sheet.write_formula(1, 3, "=80+9", None, 89)

    found = read(book(fill), "list.xlsx")
    assert found.rows[0][3] == 89.0
    assert sentences(found.notices) == ["One cell is a formula: what it last came to counts."]


def test_days_of_a_workbook_and_days_as_numbers(read, book):
    def fill(sheet, made):
        rows_into(sheet, HEAD, *BODY)
        sheet.write_datetime(1, 0, date(2024, 5, 3), made.add_format({"num_format": "dd.mm.yyyy"}))
        sheet.write_number(2, 0, 45416)

    assert [row[0] for row in read(book(fill), "list.xlsx").rows] == [date(2024, 5, 3), 45416.0]


def test_the_fullest_sheet_or_the_one_asked_for(read, book):
    def fill(sheet, made):
        rows_into(sheet, HEAD, *(BODY if sheet.name == "2024" else BODY[:1]))

    data = book(fill, "Cover", "2024")
    assert (read(data, "list.xlsx").sheet, read(data, "list.xlsx").sheets) == ("2024", ("Cover", "2024"))
    assert len(read(data, "list.xlsx", sheet="Cover").rows) == 1


def refusal(read, data, name="list.csv"):
    with pytest.raises(FormatError) as refused:
        read(data, name)
    assert sentence(refused.value.remedy)
    return sentence(refused.value.message)


def test_two_hundred_thousand_rows_are_refused_in_words(read, book):
    told = refusal(read, as_csv(HEAD, *[BODY[0]] * 200_000))
    assert told == "“list.csv” has 200000 rows or more; up to 20000 are read at once."

    def fill(sheet, made):
        rows_into(sheet, HEAD)
        sheet.write(200_000, 0, "2024-05-03")

    assert "up to 20000 are read at once" in refusal(read, book(fill), "list.xlsx")


def test_as_many_rows_as_are_read(read):
    assert len(read(as_csv(HEAD, *[BODY[0]] * ROWS_MOST)).rows) == ROWS_MOST


@pytest.mark.parametrize(
    ("data", "told"),
    [
        (b"", "empty"),
        (b" \r\n \r\n", "empty"),
        (as_csv(HEAD), "has headings and no rows"),
        (as_csv(HEAD, ["2024-05-03", '"Ann', "Marrow", "1"]), "cannot be read from line 2 on"),
        (b"\x00\x01\x02\x03" * 50, "no list of jobs"),
        (b"PK\x03\x04 torn off", "cannot be opened"),
        (as_csv(["x"] * 61, ["y"] * 61), "61 columns"),
        (b"a," * 400_000, "400001 columns"),
        (as_csv(HEAD, ["2024-05-03", "x" * 5000, "", ""]), "a cell of 5000 letters"),
    ],
)
def test_what_is_no_list_is_refused_in_words(read, data, told):
    assert told in refusal(read, data)


def test_an_archive_that_is_no_workbook_and_a_workbook_cut_off(read, book, tmp_path):
    import zipfile

    with zipfile.ZipFile(tmp_path / "a.zip", "w") as made:
        made.writestr("jobs.csv", "Date;Model")
    assert "no workbook" in refusal(read, (tmp_path / "a.zip").read_bytes(), "a.xlsx")
    whole = book(lambda sheet, made: rows_into(sheet, HEAD, *BODY))
    assert "cannot be opened" in refusal(read, whole[: len(whole) // 2], "a.xlsx")
