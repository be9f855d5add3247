"""Every page: accessibility by axe in both themes, and what it may weigh and how it fits: budget.json.

Nothing runs over the edge of a phone, a tablet, a screen, or a screen at twice the size; what is pressed is large
enough for a finger; nothing jumps while it comes; and no page loads more script than its budget.
"""

import json
from pathlib import Path

import pytest
from axe_playwright_python.base import AxeResults
from axe_playwright_python.sync_playwright import Axe

PAGES = [
    "/",
    "/jobs",
    "/jobs/new",
    "/shop",
    "/shop/past",
    "/shop/customers",
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
    "counter",
    "/check",
    "link",
    "quote",
    "door",
]
# What a technician has in the other hand; nothing jumps there either.
ON_A_PHONE = ("/", "/shelf", "intake", "before", "plan", "open", "clean", "fit", "close", "bench", "after", "verdict")


BUDGET = json.loads((Path(__file__).parent / "budget.json").read_text())
# 640 px is a screen of 1280 px at 200 %.
SIZES = ((390, 844), (640, 400), (820, 1180), (1920, 1080), (1280, 800))
SHIFTS = """(() => {
  window.shifted = 0;
  new PerformanceObserver((seen) => {
    for (const one of seen.getEntries()) if (!one.hadRecentInput) window.shifted += one.value;
  }).observe({type: 'layout-shift', buffered: true});
})()"""
# Without the small script that asks for the rest: only the first page of a browser loads it, whichever that is.
SCRIPT = """() => performance.getEntriesByType('resource')
  .filter((e) => e.name.endsWith('.js') && !e.name.endsWith('/early.js'))
  .reduce((sum, e) => sum + e.encodedBodySize, 0)"""
# What folds to a size does so once it has been measured.
NEXT_FRAMES = "() => new Promise((done) => requestAnimationFrame(() => requestAnimationFrame(done)))"
# What is pressed by itself; a link within a sentence and what only readers see are no targets.
SMALL = """(least) => [...document.querySelectorAll('a, button, select, summary, [role=button], label:has(input)')]
  .filter((e) => {
    const box = e.getBoundingClientRect();
    if (!box.width || box.width < 2 || (e.tagName === 'A' && getComputedStyle(e).display === 'inline')) return false;
    // A word of the trade is as large as its letters; what answers the finger reaches beyond them.
    const reach = e.matches('[popovertarget]') ? getComputedStyle(e, '::after') : { width: 0, height: 0 };
    const wide = Math.max(box.width, parseFloat(reach.width) || 0);
    const high = Math.max(box.height, parseFloat(reach.height) || 0);
    return wide < least - 0.5 || high < least - 0.5;
  })
  .map((e) => `${e.tagName} “${(e.textContent || e.getAttribute('aria-label') || '').trim().slice(0, 30)}”`)"""


def seen_by_axe(page, options):
    """What axe finds; its script is read once a page."""
    if page.evaluate("!window.axe"):
        page.evaluate(Axe().axe_script)
    return AxeResults(page.evaluate("options => axe.run(options)", options))


@pytest.fixture(scope="module")
def one_page(browser, browser_context_args):
    """One page for all places: what the browser has loaded once is there for the next."""
    context = browser.new_context(**browser_context_args)
    context.add_init_script(SHIFTS)
    yield context.new_page()
    context.close()


@pytest.fixture
def page(one_page, watched):
    """It, with a clean console at each place."""
    with watched(one_page):
        yield one_page


@pytest.mark.parametrize("place", PAGES)
def test_axe_finds_nothing_and_the_page_keeps_its_budget(page, job_address, place):
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
    elif place == "link":
        page.goto(job_address(2417, "handover"))
        page.get_by_role("button", name="Make a link").click()
        page.goto(page.get_by_role("link", name="/r/").get_attribute("href"))
        page.get_by_role("heading", name="Keep it").wait_for()
    elif place == "quote":
        page.goto(job_address(2424, "counter"))
        page.get_by_role("button", name="Make a quote").click()
        page.get_by_role("group", name="Which options").get_by_role("checkbox").nth(1).check(force=True)
        page.get_by_role("button", name="Make the quote").click()
        page.goto(page.get_by_role("link", name="/q/").get_attribute("href"))
        page.get_by_role("button", name="Accept").wait_for()
    elif place == "counter":
        page.goto(job_address(2421, "counter"))
        page.get_by_role("button", name="Sign", exact=True).first.click()
        page.get_by_role("img", name="Pad for a signature").wait_for()
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
    assert page.evaluate("window.shifted") < BUDGET["layout_shift"]
    assert page.evaluate(SCRIPT) <= BUDGET["script_bytes"][place]
    # A theme changes colours and nothing else.
    for theme, asked in (("day", {}), ("night", {"runOnly": ["color-contrast"]})):
        page.evaluate("theme => { document.documentElement.dataset.theme = theme }", theme)
        found = seen_by_axe(page, {"resultTypes": ["violations"], **asked})
        assert found.violations_count == 0, f"{theme}: {found.generate_report()}"
    for width, height in SIZES:
        page.set_viewport_size({"width": width, "height": height})
        page.evaluate(NEXT_FRAMES)
        wide = page.evaluate("document.documentElement.scrollWidth - document.documentElement.clientWidth")
        assert wide <= 0, width
        # A map that is small shows a way to make it larger.
        # At 200 % a pixel of the page is two of the screen.
        gloved = place == "bench" and height > 400
        small = page.evaluate(SMALL, BUDGET["bench_target_px" if gloved else "target_px"])
        assert small == [] or page.get_by_role("button", name="Larger map").is_visible(), (width, small)
    if place in ON_A_PHONE:
        page.set_viewport_size({"width": 390, "height": 844})
        page.reload()
        page.wait_for_load_state("networkidle")
        assert page.evaluate("window.shifted") < BUDGET["layout_shift"], "on a phone"
        page.set_viewport_size({"width": 1280, "height": 800})
