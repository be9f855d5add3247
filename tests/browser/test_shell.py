"""What holds on every page: a title, the focus where one arrives, the place that Back leads to, a page that breaks."""

import re

from playwright.sync_api import expect


def test_each_page_has_its_title_and_takes_the_focus_to_its_heading(page, job_address):
    page.goto("/")
    expect(page).to_have_title("Bench · Vivid Owl")
    page.get_by_role("link", name="Shelf", exact=True).click()
    expect(page).to_have_title("Shelf · Vivid Owl")
    expect(page.get_by_role("heading", name="Shelf", exact=True)).to_be_focused()
    page.goto(job_address(2421, "before"))
    expect(page).to_have_title("Before · Marrow 15 · Vivid Owl")
    page.get_by_role("navigation", name="Stages").get_by_role("link", name=re.compile("Plan")).click()
    expect(page).to_have_title("Plan · Marrow 15 · Vivid Owl")
    expect(page.get_by_role("heading", name=re.compile("^Plan: what to do"))).to_be_focused()
    # A form puts the cursor where one types, and keeps it.
    page.goto("/")
    page.get_by_role("button", name=re.compile("New job")).or_(
        page.get_by_role("link", name=re.compile("New job"))
    ).first.click()
    expect(page.get_by_label("Customer", exact=True)).to_be_focused()


def test_back_finds_the_place_on_the_page(page):
    page.goto("/jobs")
    last = page.get_by_role("link").filter(has_text="2421").first
    last.scroll_into_view_if_needed()
    down = page.evaluate("scrollY")
    assert down > 100
    last.click()
    expect(page.get_by_role("heading", name="Marrow 15")).to_be_visible()
    assert page.evaluate("scrollY") == 0
    page.go_back()
    expect(page.get_by_role("heading", name="All jobs")).to_be_attached()
    for _ in range(50):
        if page.evaluate("scrollY") == down:
            break
        page.wait_for_timeout(100)
    assert page.evaluate("scrollY") == down


def test_a_page_whose_script_does_not_come_says_so_and_comes_when_asked_again(page):
    page.goto("/")
    page.get_by_text("Up next").wait_for()
    page.route("**/assets/ShelfRoom*", lambda route: route.abort())
    page.get_by_role("link", name="Shelf", exact=True).click()
    expect(page.get_by_text("This page did not come")).to_be_visible()
    page.unroute("**/assets/ShelfRoom*")
    page.get_by_role("button", name="Try again").click()
    expect(page.get_by_role("heading", name="Shelf", exact=True)).to_be_visible()


def test_a_first_visit_asks_for_each_thing_once_and_for_the_page_with_the_first_script(page, job_address):
    """The first small script asks ahead; what the page then needs is taken from there and not asked again."""
    page.goto("/")
    page.get_by_text("Up next").wait_for()
    asked = []
    page.on("request", lambda request: asked.append(request.url.partition("://")[2].partition("/")[2]))
    for address, words, ahead in (
        ("/", "Up next", ["api/bench/waits", "api/bench?limit=100"]),
        (job_address(2421, "before"), "Die, end of the load", ["runs/before", "runs/after", "verdict"]),
    ):
        asked.clear()
        page.goto(address)
        page.get_by_text(words).first.wait_for()
        page.wait_for_load_state("networkidle")
        told = [url for url in asked if url.startswith("api/")]
        assert len(told) == len(set(told)), told
        # The application itself begins with the stream.
        early = told[: told.index("api/bench/stream")]
        for wanted in ahead:
            assert any(url.endswith(wanted) for url in early), (wanted, early)


def test_anyone_checks_a_data_file_and_is_told_which_file_was_changed(page, job_address, tmp_path):
    """The real page and a real record: the file stays in the browser, only the number of its key is asked for."""
    page.goto(job_address(2421, "verdict").replace("/jobs/", "/record/").replace("/verdict", ""))
    with page.expect_download() as download:
        page.get_by_role("link", name="Signed data file").click()
    good = download.value.path().read_bytes()
    asked = []
    page.on("request", lambda request: asked.append((request.method, request.url)))
    page.get_by_role("link", name="Is it untouched?").click()
    expect(page.get_by_role("heading", name="Is this record untouched?")).to_be_visible()

    def drop(data):
        page.set_input_files("input[type=file]", {"name": "r.zip", "mimeType": "application/zip", "buffer": data})

    drop(good)
    expect(page.get_by_text("Record 2421 of Lantern Street Repairs is as it was signed")).to_be_visible()
    expect(page.get_by_text("signed with the key of Lantern Street Repairs, which is in use")).to_be_visible()
    place = good.index(b"%PDF-") + 2000
    drop(good[:place] + bytes([good[place] ^ 1]) + good[place + 1 :])
    expect(page.get_by_text("record.pdf was changed")).to_be_visible()
    expect(page.get_by_text("is as it was signed")).to_be_hidden()
    # A list of files that was made to fit, with the real key laid beside it: nobody signed that.
    drop(good.replace(b'"number": 2421', b'"number": 2422'))
    expect(page.get_by_text("r.zip is no data file of a record, or is broken")).to_be_visible()
    expect(page.get_by_text("It is signed with")).to_be_hidden()
    drop(good)
    expect(page.get_by_text("is as it was signed")).to_be_visible()
    drop(b"not a zip")
    expect(page.get_by_text("r.zip is no data file of a record")).to_be_visible()
    assert {method for method, _ in asked} == {"GET"}
