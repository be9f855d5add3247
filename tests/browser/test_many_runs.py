"""A device with its visits, and many runs of one job, as a technician goes through them."""

import re

from playwright.sync_api import expect
from tests.logs import COOL, log_bytes


def test_a_device_that_lost_its_edge_is_found_judged_and_taken_in_again(page):
    page.goto("/devices")
    page.get_by_label("Find a device").fill("OV17-22914")
    page.get_by_role("row").filter(has_text="OV17-22914").get_by_role("link").click()
    expect(page.get_by_role("heading", name="What to do: Do it again")).to_be_visible()
    expect(page.get_by_text(re.compile(r"It has lost 4\d % since the last service"))).to_be_visible()
    expect(page.get_by_text(re.compile(r"heat holds it back again in \d+ months"))).to_be_visible()
    expect(page.get_by_role("img", name=re.compile("Resistance over 13 months: before on"))).to_be_visible()
    expect(page.get_by_role("row").filter(has_text="Processor die: Quicksheen")).to_contain_text("Improved")
    page.get_by_role("button", name="Take it in again").click()
    expect(page.get_by_text(re.compile("A further visit of"))).to_be_visible()
    expect(page.get_by_label("Serial number")).to_have_value("OV17-22914")
    expect(page.get_by_label("Customer", exact=True)).to_have_value("Noor Valkenberg")
    # Another one of the same make, and back: nothing is guessed.
    page.get_by_role("button", name="Another device").click()
    expect(page.get_by_text("Has been here. Is it this one?")).to_be_visible()


def test_two_that_may_be_one_are_put_together_and_taken_apart_again(page):
    for _ in range(2):
        page.goto("/jobs/new")
        page.get_by_label("Customer", exact=True).fill("Ottilie Brackwater")
        page.get_by_label("Model", exact=True).fill("Heron 14")
        page.get_by_role("button", name="Take it in").click()
        page.wait_for_url(re.compile("/jobs/.*/before"))
    page.goto("/devices")
    group = page.get_by_role("listitem").filter(has_text="Ottilie Brackwater")
    group.get_by_role("button", name="It is the same device").click()
    expect(page.get_by_text("Put together: Heron 14 now has 2 visits")).to_be_visible()
    expect(group).to_have_count(0)
    page.get_by_role("row").filter(has_text="Ottilie Brackwater").get_by_role("link").click()
    expect(page.get_by_role("row").filter(has_text="job 24")).to_have_count(2)
    page.get_by_role("button", name="Take it back").click()
    expect(page.get_by_text("Taken back")).to_be_visible()


def test_runs_are_picked_compared_ranked_and_added_by_the_folder(page, job_address, tmp_path):
    page.goto(job_address(2433, "after"))
    page.get_by_role("link", name="All runs").click()
    expect(page.get_by_role("heading", name="All runs")).to_be_visible()
    for run in ("After", "Alloy, automatic"):
        page.get_by_label(f"Pick {run}", exact=True).check(force=True)
    page.get_by_role("button", name="Compare the two").click()
    expect(page.get_by_role("heading", name=re.compile(r"Improved: \d K less"))).to_be_visible()
    # Four materials at one fan setting: the alloy stands alone, paste and sheet are not told apart.
    expect(page.get_by_text("Best: Quicksheen")).to_be_visible()
    expect(page.get_by_role("row", name=re.compile("^1 Quicksheen"))).to_be_visible()
    expect(page.get_by_role("row", name=re.compile("Thaw 40 not told from Grey Heron 11"))).to_be_visible()
    expect(page.get_by_text(re.compile(r"All are brought to one fan speed, \d{4} rpm"))).to_be_visible()
    page.get_by_label("Only fan setting").select_option("all")
    expect(page.get_by_text("They also differ in Fan setting, so that the order may be theirs.")).to_be_visible()
    page.get_by_label("Only fan setting").select_option("automatic")
    # At both fan settings at once, each with its own places.
    page.get_by_label("Across").select_option("fan")
    for setting in ("automatic", "full"):
        expect(page.get_by_role("columnheader", name=setting)).to_be_visible()
    expect(page.get_by_role("row", name=re.compile(r"^Quicksheen 1 0\.\d{3} ± 0\.\d{3} 1 0\.\d{3}"))).to_be_visible()
    page.get_by_label("Across").select_option("none")
    # By the wish: quieter is judged at the same temperature, between the runs of each at two fan settings.
    page.get_by_role("radio", name="Quieter").check()
    expect(page.get_by_text("Best for quieter: Quicksheen")).to_be_visible()
    expect(page.get_by_text(re.compile(r"at the same rise over the room: \d\d\.\d K"))).to_be_visible()
    page.get_by_label("Also show").select_option("exhaust_temperature")
    expect(page.get_by_role("columnheader", name="Exhaust air °C")).to_be_visible()
    # Two runs as one group against two others.
    for run in ("After", "Alloy, automatic"):
        page.get_by_label(f"Pick {run}", exact=True).uncheck(force=True)
    for run in ("Soft paste, automatic", "Sheet, automatic"):
        page.get_by_label(f"Pick {run}", exact=True).check(force=True)
    page.get_by_role("button", name="These as first group").click()
    page.get_by_label("Pick Alloy, automatic", exact=True).check(force=True)
    groups = page.get_by_role("region", name="Two groups of runs")
    expect(groups).to_contain_text(re.compile(r"First 0\.8\d\d ± .* from 2"))
    page.get_by_role("button", name="No group").click()

    page.get_by_label("What changed").select_option("firmware")
    page.get_by_label("Firmware").fill("1.12")
    page.get_by_role("button", name="Begin this state").click()
    expect(page.get_by_text("State 6 has begun")).to_be_visible()
    names = ("new_firmware_auto.csv", "new_firmware_fan-full.csv")
    for seed, name in enumerate(names):
        (tmp_path / name).write_bytes(log_bytes(COOL, seed=900 + seed, load_s=480))
    (tmp_path / "notes.csv").write_text("no log at all\n", encoding="utf-8")
    chosen = page.get_by_label(re.compile("Choose logs"))
    chosen.set_input_files([tmp_path / n for n in (*names, "notes.csv")])
    expect(page.get_by_text("2 runs were added")).to_be_visible()
    expect(page.get_by_text(re.compile("notes.csv: "))).to_be_visible()
    expect(page.get_by_text("new firmware fan full: full")).to_be_visible()
    added = page.get_by_role("row").filter(has_text="new firmware fan full")
    expect(added).to_contain_text("6. after a firmware change, 1.12")
    added.get_by_role("button", name="Remove").click()
    expect(added).to_have_count(0)
    page.get_by_role("button", name="Undo").click()
    expect(added).to_have_count(1)
    # A further run is measured like Before and After.
    added.get_by_role("link").click()
    expect(page.get_by_role("heading", name="Run “new firmware fan full”")).to_be_visible()
    expect(page.get_by_label("Fan setting")).to_have_value("full")


def test_what_came_from_what_names_the_run_that_is_missing(page, job_address):
    page.goto(job_address(2434, "before"))
    page.get_by_role("link", name="All runs").click()
    fall = page.get_by_role(
        "img", name=re.compile(r"^before 5\d.\d K, Material −1\d.*Tuning −\d.*Unexplained.*after 3\d.\d K")
    )
    expect(fall).to_be_visible()
    expect(
        page.get_by_role("row", name=re.compile(r"Material as it came in → Grey Heron 11 −1\d\.\d ± .* shown"))
    ).to_be_visible()
    missing = page.get_by_role("listitem").filter(has_text="Grey Heron 11 · 1.08 · undervolt −80 mV")
    expect(missing).to_be_visible()
    page.get_by_role("button", name="Material", exact=True).click()
    expect(page.get_by_text(re.compile("Grey Heron 11 · 1.08 · none: New paste, old firmware"))).to_be_visible()
    # Runs are planned before any is run, with what each set cannot tell and how many repeats it takes.
    page.get_by_text("Plan the runs").click()
    levels = page.get_by_label("Levels, with a comma between")
    levels.nth(0).fill("Grey Heron 11, Quicksheen")
    levels.nth(1).fill("1.08, 1.12")
    page.get_by_label("Smallest difference to show").fill("0.02")
    page.get_by_role("button", name="Propose runs").click()
    expect(page.get_by_role("heading", name=re.compile("All combinations 4 runs, 2 in hand"))).to_be_visible()
    told = re.compile(r"\d+ runs of each side show it nine times in ten; what is left is ± 0.0\d\d K/W")
    expect(page.get_by_text(told)).to_be_visible()
    # Two changes alone are told apart as well; one is no design.
    page.get_by_label("Firmware", exact=True).first.uncheck(force=True)
    expect(page.get_by_role("row", name=re.compile("^Material × tuning"))).to_be_visible()


def test_a_burn_in_says_where_it_ends_and_a_place_tells_on_a_fanless_device(page, job_address):
    page.goto(job_address(2435, "after"))
    page.get_by_role("link", name="All runs").click()
    expect(page.get_by_text(re.compile(r"It has run in.\s+It ends at 0.7\d\d ± 0.\d\d\d K/W"))).to_be_visible()
    over_cycles = re.compile("Resistance over heat cycles since fitting: 0: 0.89.*12: 0.77")
    expect(page.get_by_role("img", name=over_cycles)).to_be_visible()
    page.get_by_role("radio", name="Days since fitting").check()
    expect(
        page.get_by_role("img", name=re.compile("Resistance over days since fitting: 0: 0.89.*11: 0.77"))
    ).to_be_visible()
    page.goto(job_address(2436, "before"))
    page.get_by_role("link", name="All runs").click()
    expect(page.get_by_role("columnheader", name=re.compile("Sag"))).to_be_visible()
    page.get_by_label("By", exact=True).select_option("placement")
    # Watts given up between minute 1 and 10: most where the lid is closed.
    expect(page.get_by_role("row", name=re.compile(r"On the dock, lid closed .* −\d\.\d"))).to_be_visible()
    expect(page.get_by_role("row", name=re.compile(r"dock, lid closed \d\.\d+ ± "))).to_be_visible()


def test_a_failed_attempt_is_found_out_and_a_second_one_put_beside_it(page, job_address):
    page.goto(job_address(2438, "verdict"))
    page.get_by_role("button", name="Find out why").click()
    expect(page.get_by_role("heading", name="Why is it no better?")).to_be_visible()
    first = page.get_by_role("listitem").filter(has=page.get_by_role("heading", name="A film was left"))
    expect(first).to_contain_text("promised was")
    first.get_by_label("It was this").check()
    expect(first).to_contain_text("Peel both films")
    page.get_by_role("group", name="Print when it was lifted").get_by_label("2").check()
    page.get_by_label("What was seen").fill("Film on the lower face")
    page.get_by_role("button", name="Save").click()
    expect(page.get_by_role("row", name="Noted")).to_contain_text("Film on the lower face")
    # It does not go out like this without a reason.
    page.goto(job_address(2438, "handover"))
    page.get_by_role("button", name="Hand Gannet 15 over").click()
    expect(page.get_by_text("The device is worse than before.")).to_be_visible()
    page.goto(job_address(2438, "attempts"))
    page.get_by_role("button", name="Begin attempt 2").click()
    expect(page.get_by_text("Attempt 2 has begun.")).to_be_visible()
    # Taken back from the notice, and begun once more.
    page.get_by_role("button", name="Undo").click()
    expect(page.get_by_role("button", name="Begin attempt 2")).to_be_visible()
    page.get_by_role("button", name="Begin attempt 2").click()
    expect(page).to_have_url(re.compile("/open$"))
    page.goto(job_address(2438, "attempts"))
    expect(page.get_by_role("heading", name="Why was attempt 1 no better?")).to_be_visible()
    expect(page.get_by_role("columnheader", name="Attempt 2 on the bench")).to_be_visible()


def test_both_attempts_stand_in_the_record(page, job_address):
    page.goto(job_address(2437, "attempts"))
    row = page.get_by_role("row", name="Verdict")
    expect(row).to_contain_text("Worse")
    expect(row).to_contain_text("Improved")
    page.goto(job_address(2437, "").replace("/jobs/", "/record/").rstrip("/"))
    expect(page.get_by_role("heading", name="Attempts side by side")).to_be_visible()
    expect(page.get_by_role("row", name="Cause found")).to_contain_text("Too little on the die")


def test_a_new_machine_is_left_closed_with_its_reasons(page, job_address):
    page.goto(job_address(2439, "plan"))
    expect(page.get_by_text("Leave it closed: nothing measured so far asks for opening a new machine")).to_be_visible()
    page.get_by_text("Leave it closed: nothing measured so far asks").click()
    for reason in (
        "there is no dust in it to clean",
        "the slow one per cent",
        "Its clock is even",
        "The warranty runs",
    ):
        expect(page.get_by_text(re.compile(reason)).first).to_be_visible()
    page.goto(job_address(2439, "before"))
    page.get_by_text(re.compile(r"7\d\.\d frames a second, the slow one per cent 5\d\.\d")).click()
    page.locator("details").filter(has_text="Frame times").get_by_role("button", name="Remove").click()
    expect(page.locator("summary").filter(has_text="Frame times").get_by_text("none")).to_be_visible()
    page.get_by_role("button", name="Undo").click()
    expect(page.locator("summary").filter(has_text=re.compile(r"7[\d.]+ frames a second"))).to_be_visible()


def test_a_job_says_which_visit_of_its_device_it_is(page):
    page.goto("/jobs")
    expect(page.get_by_text("visit 3 of 3").first).to_be_visible()
