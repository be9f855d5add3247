"""The trace explorer, recordings and repeats on the page; and the demo's runs, each explained."""

import re

import pytest
from playwright.sync_api import expect
from tests.logs import HOT, log_bytes
from tests.sounds import hiss, wav


def slider(page, name):
    return page.get_by_role("slider", name=name)


def test_the_figures_follow_a_stretch_moved_by_hand_and_go_back(page, job_address):
    page.goto(job_address(2424, "before"))
    page.locator("summary").filter(has_text="What the log says").click()
    expect(page.get_by_role("listitem").filter(has_text="settled from")).to_be_visible()
    grip = slider(page, "Where the stretch begins")
    grip.focus()
    for _ in range(3):
        page.keyboard.press("Shift+ArrowRight")
    expect(page.get_by_text(re.compile("figures from .* set by hand")).first).to_be_visible()
    page.get_by_role("button", name="Back to the one found").click()
    expect(page.get_by_text(re.compile("settled from")).first).to_be_visible()
    box = slider(page, "Where the stretch ends").bounding_box()
    page.mouse.move(box["x"] + 8, box["y"] + 22)
    page.mouse.down()
    page.mouse.move(box["x"] - 60, box["y"] + 22, steps=5)
    page.mouse.up()
    expect(page.get_by_text(re.compile("figures from .* set by hand")).first).to_be_visible()
    page.get_by_role("button", name="Back to the one found").click()
    expect(page.get_by_text(re.compile("settled from")).first).to_be_visible()


def test_any_column_is_charted_and_a_zoom_shows_all_again(page, job_address):
    page.goto(job_address(2424, "before"))
    page.get_by_label("Charted").select_option("Rail 1 [V]")
    chart = slider(page, re.compile("^Rail 1"))
    expect(chart).to_be_visible()
    expect(slider(page, re.compile("^processor power"))).to_be_visible()
    whole = float(chart.get_attribute("aria-valuemax"))
    box = chart.bounding_box()
    page.mouse.move(box["x"] + 200, box["y"] + 90)
    page.mouse.down()
    page.mouse.move(box["x"] + 330, box["y"] + 90, steps=5)
    page.mouse.up()
    expect(page.get_by_role("button", name="Show all")).to_be_visible()
    shown = float(chart.get_attribute("aria-valuemax")) - float(chart.get_attribute("aria-valuemin"))
    assert shown < whole / 3
    # Both charts share one axis.
    below = slider(page, re.compile("^processor power"))
    assert below.get_attribute("aria-valuemax") == chart.get_attribute("aria-valuemax")
    page.get_by_role("button", name="Show all").click()
    expect(chart).to_have_attribute("aria-valuemax", re.compile(f"^{whole:.0f}"))


def test_a_recording_is_read_and_one_that_is_none_is_refused(page, job_address, tmp_path):
    good, bad = tmp_path / "fan.wav", tmp_path / "note.wav"
    good.write_bytes(wav(hiss(tone_hz=37 * 3600 / 60)))
    bad.write_bytes(b"just words")
    page.goto(job_address(2424, "before"))
    page.locator("summary").filter(has_text="Noise recordings").click()
    drop = page.get_by_label("Drop a recording here")
    drop.set_input_files(bad)
    expect(page.get_by_text(re.compile("note.wav cannot be read as a recording"))).to_be_visible()
    page.get_by_role("button", name="Choose another file").click()
    drop.set_input_files(good)
    card = page.get_by_role("article").filter(has_text="fan.wav")
    expect(card).to_contain_text("dB below full scale")
    expect(card).to_contain_text(re.compile(r"Fan at 36\d\d rpm|Fan at 35\d\d rpm"))
    card.get_by_role("button", name="Take fan.wav off").click()
    expect(card).to_have_count(0)


def test_a_repeat_stands_beside_its_run(page, job_address, tmp_path):
    again = tmp_path / "again.csv"
    again.write_bytes(log_bytes(HOT, seed=77))
    page.goto(job_address(2424, "before"))
    repeats = page.locator("summary").filter(has_text="Repeats")
    expect(repeats).to_contain_text("none")
    repeats.click()
    page.get_by_label("Drop the log of a repeat here").set_input_files(again)
    expect(repeats).to_contain_text("1")
    expect(page.get_by_role("row", name=re.compile("again.csv"))).to_contain_text("yes")
    page.get_by_role("button", name="Take again.csv off").click()
    expect(repeats).to_contain_text("none")


@pytest.mark.parametrize(
    ("number", "stage", "says"),
    [
        (2418, "before", "Throttled at 95 °C"),
        (2418, "verdict", "on a throttled machine the temperature stays at its limit and the watts tell"),
        (2420, "verdict", "That is no fault: the fan turns slower"),
        (2424, "before", "Whine at 7.3 kHz"),
        (2425, "before", "The load pauses 5 times for about 5 s"),
        (2427, "before", "more minutes would settle it"),
    ],
)
def test_each_odd_run_of_the_demo_is_explained_on_its_page(page, job_address, number, stage, says):
    page.goto(job_address(number, stage))
    if stage == "before":
        page.get_by_text(re.compile(r"What the log says")).first.wait_for()
        for fold in page.locator("summary").filter(has_text=re.compile("What the log says|recording")).all():
            fold.click()
    expect(page.get_by_text(says).last).to_be_visible()


def test_the_pinned_laptop_is_improved_in_watts_with_results_and_repeats(page, job_address):
    page.goto(job_address(2418, "verdict"))
    heading = page.get_by_role("heading", name=re.compile(r"Improved: at its 95 °C limit \d+ → \d+ W, clock \+\d+ %"))
    expect(heading).to_be_visible()
    row = page.get_by_role("row", name=re.compile("Duration of the same work"))
    expect(row).to_contain_text("18:10")
    expect(row).to_contain_text("16:18")
    page.get_by_text("Show the working").click()
    expect(page.get_by_text(re.compile("10.3 % less time is 11.5 % more throughput"))).to_be_visible()
    page.goto(job_address(2418, "before"))
    expect(page.locator("summary").filter(has_text="Repeats")).to_contain_text("2")
