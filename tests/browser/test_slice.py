"""A new device from intake to PDF, by keyboard alone, and what happens when things go wrong."""

import re
from pathlib import Path

from playwright.sync_api import expect

HANDBOOK = Path(__file__).parents[2] / "docs/handbook"


def field_of(page, label):
    """A field by its label."""
    return page.get_by_label(label, exact=True)


def type_into(page, label, text):
    """Move to a field by its label and type."""
    field = field_of(page, label)
    field.focus()
    page.keyboard.press("Control+a")
    page.keyboard.type(text)


def press(page, name):
    """Focus a button or link by its name and press Enter."""
    target = page.get_by_role("button", name=name).or_(page.get_by_role("link", name=name)).first
    expect(target).to_be_enabled()
    target.focus()
    page.keyboard.press("Enter")


def open_fold(page, words):
    """Open a fold from the keyboard, by the words it begins with."""
    page.locator("summary").filter(has_text=re.compile(f"^{words}")).focus()
    page.keyboard.press("Enter")


def choose_file(page, path):
    """Open the file chooser from the keyboard."""
    with page.expect_file_chooser() as chooser:
        page.get_by_label(re.compile("Drop the (Before|After) log here")).focus()
        page.keyboard.press("Enter")
    chooser.value.set_files(path)


def test_a_new_device_goes_the_whole_way_by_keyboard(page, logs):
    page.goto("/")
    expect(page.get_by_text("Demo, invented data")).to_be_visible()
    page.keyboard.press("n")
    expect(page.get_by_role("heading", name="New job")).to_be_visible()
    type_into(page, "Customer", "Runa Petrosyan")
    type_into(page, "Maker", "Ondervale")
    type_into(page, "Model", "Marrow 15 trial")
    type_into(page, "Symptom, in the customer's words", "Hot after a minute")
    page.get_by_role("group", name="Backup done").get_by_label("Yes").focus()
    page.keyboard.press("Space")
    page.keyboard.press("Enter")

    expect(page.get_by_role("heading", name="Before: how hot does it come in?")).to_be_visible()
    choose_file(page, logs[0])
    expect(page.get_by_text("Load starts at 0:30").first).to_be_visible()
    expect(page.get_by_text("6 of 7 understood")).to_be_visible()
    type_into(page, "Room", "24")
    type_into(page, "Load", "even load")
    type_into(page, "Fan setting", "automatic")
    # Leaving the field saves it; Enter would go on to the plan.
    page.keyboard.press("Tab")
    expect(page.get_by_text("24.0 °C · even load · automatic")).to_be_visible()
    expect(page.get_by_role("definition").filter(has_text=re.compile("K kelvins ±"))).to_be_visible()
    open_fold(page, "Noise by meter")
    type_into(page, "Level", "53.1")
    type_into(page, "Background", "31")
    page.keyboard.press("Enter")
    expect(page.get_by_text("mean by energy of 1")).to_be_visible()
    # What was not asked at the counter is still open, and asked where it is needed.
    expect(page.get_by_text("Limits: not noted")).to_be_visible()
    open_fold(page, "Limits, if known")
    type_into(page, "Temperature limit", "95")
    page.keyboard.press("Tab")
    expect(page.get_by_text("Limits: not noted")).to_have_count(0)

    page.locator("body").focus()
    press(page, "Go on to Plan")
    expect(page.get_by_text("warranty not asked")).to_be_visible()
    page.get_by_role("group", name="Warranty").get_by_label("Over").focus()
    page.keyboard.press("Space")
    expect(page.get_by_text("warranty not asked")).to_have_count(0)
    expect(page.get_by_role("heading", name="Plan: what to do, and what it buys")).to_be_visible()
    open_fold(page, "What is known so far")
    type_into(page, "Processor die, width", "15")
    type_into(page, "Processor die, length", "13")
    open_fold(page, "What goes where")
    expect(page.get_by_text("15.0 × 13.0 mm").first).to_be_visible()
    press(page, re.compile("Choose this plan"))
    expect(page.get_by_text(re.compile("Promised: "))).to_be_visible()
    press(page, "Go on to Open")
    expect(page.get_by_role("heading", name="Open: every screw and plug has its place")).to_be_visible()
    press(page, "Fit")
    expect(page.get_by_role("heading", name="Fit: what was cleaned")).to_be_visible()
    for name in ("Fins", "Contact surfaces"):
        page.get_by_label(name).focus()
        page.keyboard.press("Space")
    type_into(page, "Product", "Grey Heron 11")
    type_into(page, "Amount", "0,08")
    page.keyboard.press("Enter")
    expect(page.get_by_role("cell", name="0.08 g")).to_be_visible()
    press(page, "Done, go on to After")

    expect(page.get_by_text("The Before recipe is filled in.")).to_be_visible()
    expect(field_of(page, "Fan setting")).to_have_value("automatic")
    expect(field_of(page, "Room")).to_have_value("")
    choose_file(page, logs[1])
    expect(page.get_by_text(re.compile("^cool.csv · "))).to_be_visible()
    type_into(page, "Room", "25")
    page.keyboard.press("Tab")
    expect(page.get_by_text("25.0 °C · even load · automatic")).to_be_visible()
    open_fold(page, "Noise by meter")
    type_into(page, "Level", "46.4")
    type_into(page, "Background", "31")
    page.keyboard.press("Enter")
    expect(page.get_by_text("mean by energy of 1")).to_be_visible()

    press(page, "Go on to Verdict")
    heading = page.get_by_role(
        "heading",
        name=re.compile(
            r"^Improved, if place was the same: \d+ K less at \d+ W with the fan as before, throttled \d+ % →"
        ),
    )
    expect(heading).to_be_visible()
    expect(page.get_by_role("row", name=re.compile("Noise decibels"))).to_contain_text("−6.7 ±")
    expect(page.get_by_role("row", name=re.compile("Thermal resistance"))).to_contain_text("better")
    page.get_by_text("Show the working").focus()
    page.keyboard.press("Enter")
    expect(page.get_by_text("rise / power as the cooler remembers it; R: before 1.")).to_be_visible()
    chart = page.get_by_role("slider", name=re.compile("Processor temperature, before and after".lower(), re.I))
    chart.focus()
    page.keyboard.press("Shift+ArrowRight")
    expect(chart).to_have_attribute("aria-valuetext", re.compile(r"before \d+\.\d °C, after \d+\.\d °C"))

    press(page, "Go on to Hand over")
    type_into(page, "Price", "89,00")
    expect(field_of(page, "Next service")).not_to_have_value("")
    field_of(page, "Price").focus()
    page.keyboard.press("Enter")
    expect(page.get_by_text("Saved.", exact=True)).to_be_visible()
    with page.expect_download() as download:
        press(page, "Record as PDF")
    assert download.value.path().read_bytes().startswith(b"%PDF-")
    press(page, "Hand Marrow 15 trial over")
    expect(page.get_by_text("Handed over", exact=True)).to_be_visible()
    press(page, "Open the record")
    expect(page.get_by_role("heading", level=1)).to_contain_text(": improved")
    for words in ("€89.00", "Grey Heron 11", "Runa Petrosyan", "even load"):
        expect(page.get_by_text(words).first).to_be_visible()


def test_numbers_jump_to_stages_backspace_steps_back_and_help_tells(page, job_address):
    page.goto(job_address(2421, "verdict"))
    page.get_by_role("heading", name=re.compile("Improved")).wait_for()
    page.keyboard.press("2")
    expect(page).to_have_url(re.compile("/before$"))
    page.keyboard.press("Backspace")
    expect(page).to_have_url(re.compile("/intake$"))
    page.keyboard.press("?")
    help_dialog = page.get_by_role("dialog", name="Keys on this page")
    expect(help_dialog).to_contain_text("Go to Close")
    page.keyboard.press("Escape")
    expect(help_dialog).to_be_hidden()
    page.keyboard.press("/")
    expect(page.get_by_label("Anything")).to_be_focused()
    page.keyboard.type("abernathy")
    expect(page.get_by_role("dialog").get_by_role("button", name=re.compile("2421"))).to_be_visible()
    page.keyboard.press("Enter")
    expect(page.get_by_role("heading", level=1, name="Marrow 15")).to_be_visible()


def test_space_takes_the_step_where_one_is_ready(page, job_address):
    page.goto(job_address(2421, "before"))
    page.get_by_role("heading", name="Before: how hot does it come in?").wait_for()
    page.keyboard.press("Space")
    expect(page).to_have_url(re.compile("/plan$"))
    page.get_by_text("Taken: clean, Grey Heron 11").wait_for()
    page.keyboard.press("Space")
    expect(page).to_have_url(re.compile("/open$"))
    page.get_by_role("heading", name="Open: every screw and plug has its place").wait_for()
    page.keyboard.press("8")
    page.get_by_role("heading", name="After: the same recipe again").wait_for()
    page.keyboard.press("Enter")
    expect(page.get_by_role("heading", name=re.compile("^Improved"))).to_be_visible()
    page.keyboard.press("Enter")
    expect(page).to_have_url(re.compile("/handover$"))


def test_a_room_of_240_degrees_is_refused_and_the_typing_kept(page, job_address):
    page.goto(job_address(2426, "before"))
    type_into(page, "Room", "240")
    type_into(page, "Placement", "on the stand")
    page.keyboard.press("Enter")
    expect(page.get_by_role("alert")).to_contain_text("Room temperature is 240 °C, allowed are −10 to 60 °C")
    expect(page.get_by_role("alert")).to_contain_text("Was it 24.0?")
    page.reload()
    expect(field_of(page, "Room")).to_have_value("240")
    expect(field_of(page, "Placement")).to_have_value("on the stand")
    type_into(page, "Room", "")
    type_into(page, "Placement", "")


def test_a_refused_log_says_why_and_nothing_typed_is_lost(page, job_address, tmp_path):
    bad = tmp_path / "picture.csv"
    bad.write_bytes(b"\x89PNG\r\n\x1a\n" + bytes(range(256)) * 8)
    page.goto(job_address(2426, "before"))
    type_into(page, "Load", "canyon loop")
    choose_file(page, bad)
    expect(page.get_by_role("alert")).to_contain_text("picture.csv is not a text file")
    expect(field_of(page, "Load")).to_have_value("canyon loop")
    press(page, "Leave it")
    expect(page.get_by_text("Drop the Before log here")).to_be_visible()
    type_into(page, "Load", "")


def test_a_reading_taken_off_comes_back_with_undo(page, job_address):
    page.goto(job_address(2421, "before"))
    page.locator("summary").filter(has_text="Noise by meter").click()
    expect(page.get_by_text("mean by energy of 3")).to_be_visible()
    page.get_by_role("button", name=re.compile(r"Remove the reading of [\d.]+ dB")).first.click()
    expect(page.get_by_text("mean by energy of 2")).to_be_visible()
    page.get_by_role("button", name="Undo").click()
    expect(page.get_by_text("mean by energy of 3")).to_be_visible()


def test_a_stopped_device_shows_the_stop_and_only_its_intake(page, job_address):
    page.goto(job_address(2423, "fit"))
    expect(page.get_by_role("alert").first).to_contain_text("Stopped for safety.")
    expect(page.get_by_role("navigation", name="Stages").get_by_role("link")).to_have_count(1)


def test_the_server_away_is_told_and_what_was_typed_stays(page, job_address):
    page.goto(job_address(2426, "before"))
    type_into(page, "Fan setting", "fixed")
    page.context.set_offline(True)
    page.keyboard.press("Enter")
    expect(page.get_by_text("The server does not answer. What you typed is kept.")).to_be_visible()
    expect(field_of(page, "Fan setting")).to_have_value("fixed")
    page.context.set_offline(False)
    type_into(page, "Fan setting", "")


def test_signing_out_shows_the_door_and_the_demo_lets_in_again(page):
    page.goto("/")
    page.get_by_role("button", name="Sign out").click()
    expect(page.get_by_role("button", name="Sign in")).to_be_visible()
    type_into(page, "Login", "nobody")
    type_into(page, "Password", "wrong words")
    page.keyboard.press("Enter")
    expect(page.get_by_role("alert")).to_contain_text("Login and password do not fit.")
    page.get_by_role("button", name="Enter the demo shop").click()
    expect(page.get_by_text("Up next")).to_be_visible()


def test_the_theme_is_chosen_and_kept(page):
    page.goto("/")
    toggle = page.get_by_role("button", name=re.compile("^Theme:"))
    toggle.click()
    toggle.click()
    expect(page.locator("html")).to_have_attribute("data-theme", "night")
    page.reload()
    expect(page.get_by_role("button", name="Theme: night. Change")).to_be_visible()
    assert page.evaluate("getComputedStyle(document.documentElement).colorScheme") == "dark"


def test_paper_is_white_whatever_the_screen_shows(page, job_address):
    page.add_init_script("localStorage.setItem('theme', 'night')")
    page.goto(job_address(2421, "verdict").replace("/jobs/", "/record/").replace("/verdict", ""))
    page.get_by_role("article").wait_for()
    page.emulate_media(media="print")
    assert page.evaluate("getComputedStyle(document.querySelector('article')).backgroundColor") == "rgb(255, 255, 255)"
    expect(page.get_by_role("button", name="Print")).to_be_hidden()


def test_a_column_is_corrected_on_the_page(page, job_address):
    page.goto(job_address(2424, "before"))
    page.get_by_text("6 of 12 understood").click()
    page.get_by_label("Role of Fan [RPM]").select_option("")
    expect(page.get_by_text("“Fan [RPM]” is now without a role, for this logger")).to_be_visible()
    page.get_by_label("Role of Fan [RPM]").select_option("fan_speed")
    expect(page.get_by_text("“Fan [RPM]” is now fan speed, for this logger")).to_be_visible()


def test_a_hand_over_is_taken_back_with_undo(page, job_address):
    page.goto(job_address(2420, "handover"))
    page.get_by_role("button", name="Hand Basalt Home 2 over").click()
    expect(page.get_by_text("Handed over", exact=True)).to_be_visible()
    page.get_by_role("button", name="Undo").click()
    expect(page.get_by_text("The hand-over was taken back.")).to_be_visible()
    expect(page.get_by_role("button", name="Hand Basalt Home 2 over")).to_be_visible()


def test_a_verdict_that_is_forbidden_says_what_to_repeat(page, job_address):
    page.goto(job_address(2425, "verdict"))
    expect(page.get_by_role("heading", name="Cannot be compared")).to_be_visible()
    expect(page.get_by_text("Repeat with the same fan setting.")).to_be_visible()
    page.get_by_text("Conditions, side by side").click()
    row = page.get_by_role("row", name=re.compile("fan setting"))
    expect(row).to_contain_text("fixed, full")
    expect(row).to_contain_text("forbids")


def test_an_address_that_leads_nowhere_leads_back(page):
    page.goto("/nowhere")
    expect(page.get_by_role("heading", name="There is nothing here")).to_be_visible()
    page.get_by_role("link", name="Go to the Bench").click()
    expect(page.get_by_text("Up next")).to_be_visible()


def test_why_opens_the_handbook_and_leads_to_all_of_it(page, job_address):
    rule = next(
        line for line in (HANDBOOK / "curve.md").read_text().splitlines() if line.startswith("- Judged against")
    ).removeprefix("- ")
    page.goto(job_address(2421, "before"))
    page.get_by_role("button", name="Why? The curve").click()
    opened = page.get_by_role("dialog", name="The curve: where the heat stops")
    expect(opened).to_contain_text(rule)
    opened.get_by_role("link", name="All rules of the trade").click()
    expect(page).to_have_url(re.compile("/handbook/curve$"))
    expect(page.get_by_role("main")).to_contain_text(rule)
    page.get_by_role("link", name="Noise").click()
    expect(page.get_by_role("main")).to_contain_text("Levels add by energy")
    page.goto("/handbook/nothing")
    expect(page.get_by_text("There is no page “nothing” in the handbook.")).to_be_visible()
