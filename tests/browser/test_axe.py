"""Every page: accessibility by axe in both themes, and nothing that runs over the edge of a tablet or a screen."""

import pytest
from axe_playwright_python.sync_playwright import Axe

PAGES = [
    "/",
    "/jobs",
    "/jobs/new",
    "/shop",
    "/shelf",
    "/workings/dose",
    "/handbook/materials",
    "plan",
    "intake",
    "before",
    "open",
    "clean",
    "fit",
    "close",
    "bench",
    "tray",
    "/models",
    "/devices",
    "runs",
    "attempts",
    "device",
    "after",
    "verdict",
    "handover",
    "record",
    "stopped",
    "door",
]


@pytest.fixture(scope="module")
def one_page(browser, browser_context_args):
    """One page for all places: what the browser has loaded once is there for the next."""
    context = browser.new_context(**browser_context_args)
    yield context.new_page()
    context.close()


@pytest.fixture
def page(one_page, watched):
    """It, with a clean console at each place."""
    with watched(one_page):
        yield one_page


@pytest.mark.parametrize("place", PAGES)
def test_axe_finds_nothing_by_day_and_by_night_and_nothing_overflows(page, job_address, place):
    if place == "record":
        page.goto(job_address(2421, "verdict").replace("/jobs/", "/record/").replace("/verdict", ""))
    elif place == "device":
        page.goto("/devices")
        page.get_by_role("link", name="Marrow 17").first.click()
        page.get_by_role("heading", level=2).first.wait_for()
    elif place == "runs":
        page.goto(job_address(2433, "runs"))
        page.get_by_role("heading", name="Rank").wait_for()
    elif place == "attempts":
        page.goto(job_address(2437, "attempts"))
        page.get_by_role("heading", name="Side by side").wait_for()
    elif place == "stopped":
        page.goto(job_address(2423, "intake"))
    elif place == "door":
        page.goto("/")
        page.get_by_role("button", name="Sign out").click()
        page.get_by_role("button", name="Sign in").wait_for()
    elif place.startswith("/"):
        page.goto(place)
        page.get_by_role("heading", level=1).wait_for(state="attached")
    else:
        page.goto(job_address(2421, place))
    page.wait_for_load_state("networkidle")
    # A theme changes colours and nothing else.
    for theme, asked in (("day", {}), ("night", {"runOnly": ["color-contrast"]})):
        page.evaluate("theme => { document.documentElement.dataset.theme = theme }", theme)
        found = Axe().run(page, options={"resultTypes": ["violations"], **asked})
        assert found.violations_count == 0, f"{theme}: {found.generate_report()}"
    for width, height in ((820, 1180), (1280, 800)):
        page.set_viewport_size({"width": width, "height": height})
        wide = page.evaluate("document.documentElement.scrollWidth - document.documentElement.clientWidth")
        assert wide <= 0, width
