"""Past jobs brought in from a list and taken back, everything saved as files, a customer saved and erased."""

import io
import json
import zipfile
from pathlib import Path

import python_calamine
from playwright.sync_api import expect

LIST = """Workshop list;;;;;;
Nr;When;Who;Device;Work done;Price;Serial
101;3/4/2024;Tilda Vance;Marrow 15;Repasted;89,00;OV-1101
102;5/6/2024;Rune Adler;Gale;Cleaned;79,00;
102;5/6/2024;Rune Adler;Gale;Cleaned;79,00;
103;soon;Ida Moss;Puffin;New pads;59,00;
"""


def saved(page, press):
    with page.expect_download() as found:
        press()
    return found.value.suggested_filename, Path(found.value.path()).read_bytes()


def row(page, text):
    return page.get_by_role("row").filter(has_text=text)


def test_a_list_comes_in_is_found_and_is_taken_back(page, tmp_path):
    (tmp_path / "old.csv").write_text(LIST)
    page.goto("/shop/past")
    page.get_by_label("Bring a list").set_input_files(tmp_path / "old.csv")
    expect(page.get_by_text("The headings were found in line 2")).to_be_visible()
    # What it cannot know it asks: which column is the date, whose it was, and what comes first in its days.
    page.get_by_label("What “When” is").select_option(label="Date")
    page.get_by_label("What “Who” is").select_option(label="Customer")
    expect(row(page, "can be read day first or month first").first).to_be_visible()
    page.get_by_role("group", name="What comes first in the dates").get_by_label("Day").click(force=True)
    expect(row(page, "Tilda Vance")).to_contain_text("3 April 2024")
    expect(row(page, "Says the same as line 4.")).to_be_visible()
    expect(row(page, "“soon” is no date.")).to_be_visible()
    page.get_by_role("button", name="Take in 2 jobs").click()
    expect(page.get_by_text("2 jobs are taken in.")).to_be_visible()
    page.goto("/jobs?find=tilda")
    page.get_by_role("row").filter(has_text="Tilda Vance").get_by_role("link").click()
    expect(page.get_by_role("heading", name="What the list said")).to_be_visible()
    expect(page.get_by_text("old.csv, line 3.")).to_be_visible()
    page.goto("/shop/past")
    page.get_by_role("button", name="Take back old.csv").click()
    page.get_by_role("dialog").get_by_role("button", name="Take back").click()
    expect(page.get_by_text("The list is taken back.")).to_be_visible()
    page.goto("/jobs?find=tilda")
    expect(page.get_by_text("No job fits.")).to_be_visible()


def test_what_is_no_list_is_told_on_the_page(page, tmp_path):
    (tmp_path / "old.xlsx").write_bytes(b"PK\x03\x04 cut off")
    page.goto("/shop/past")
    page.get_by_label("Bring a list").set_input_files(tmp_path / "old.xlsx")
    expect(page.get_by_text("cannot be opened as a workbook")).to_be_visible()
    expect(page.get_by_text("Save the list as .xlsx, or as CSV")).to_be_visible()


def test_the_jobs_of_a_list_are_saved_as_they_are_narrowed(page):
    page.goto("/jobs?kind=console")
    page.get_by_text("Save this list").click()
    name, data = saved(page, page.get_by_role("button", name="Save as a workbook").click)
    assert name.endswith(".xlsx")
    rows = python_calamine.CalamineWorkbook.from_filelike(io.BytesIO(data)).get_sheet_by_name("jobs").to_python()
    kinds = {r[rows[0].index("kind")] for r in rows[1:]}
    assert kinds == {"console"}
    name, data = saved(page, page.get_by_role("button", name="Save as CSV and JSON").click)
    with zipfile.ZipFile(io.BytesIO(data)) as zipped:
        told = json.loads(zipped.read("everything.json"))
    assert len(told["jobs"]) == len(rows) - 1


def test_a_customer_is_saved_and_erased_once_their_name_is_typed(page):
    page.goto("/shop/customers")
    page.get_by_label("Find a customer").fill("lindqvarn")
    page.get_by_role("button", name="Pia Lindqvarn").click()
    name, data = saved(page, page.get_by_role("link", name="Save all that is kept").click)
    assert name.startswith("customer-")
    with zipfile.ZipFile(io.BytesIO(data)) as zipped:
        assert json.loads(zipped.read("customer.json"))["tables"]["customer"][0]["name"] == "Pia Lindqvarn"
    page.get_by_role("button", name="Erase who it was").click()
    erase = page.get_by_role("dialog").get_by_role("button", name="Erase", exact=True)
    expect(erase).to_be_disabled()
    page.get_by_label("Type the name to erase it").fill("Pia Lindqvarn")
    erase.click()
    expect(page.get_by_role("heading", name="Erased customer")).to_be_visible()
    expect(page.get_by_role("button", name="Erase who it was")).to_have_count(0)
    page.goto("/jobs?find=lindqvarn")
    expect(page.get_by_text("No job fits.")).to_be_visible()
    # A customer whose device is here is not forgotten yet.
    page.goto("/shop/customers")
    page.get_by_label("Find a customer").fill("brackwater")
    page.get_by_role("button", name="Ottoline Brackwater").click()
    expect(page.get_by_text("is still open: hand the device over first.")).to_be_visible()
