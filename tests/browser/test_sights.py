"""For every sight: colours that the system forces keep every state, what is chosen is told by more than colour, and
paper carries what a page says and nothing to press."""

import re

import pytest
from playwright.sync_api import expect

# Something besides colour that a state is told by, as the page draws it under forced colours: a border, an underline,
# an outline, weight, a mark, or a pair of system colours that says selected.
TOLD = """(pair) => pair.map((e) => {
  const drawn = (of) => {
    const s = getComputedStyle(of);
    return [s.borderTopWidth, s.borderBottomWidth, s.borderLeftWidth, s.borderStyle, s.outlineStyle, s.fontWeight,
      s.textDecorationLine, s.backgroundColor, s.boxShadow, s.forcedColorAdjust];
  };
  const inside = [...e.querySelectorAll('*')].slice(0, 12).flatMap(drawn);
  const beside = ['::before', '::after'].map((of) => getComputedStyle(e, of).content);
  return JSON.stringify([drawn(e), inside, beside]);
})"""


@pytest.fixture
def forced(browser, browser_context_args):
    """A page whose colours the system forces."""
    context = browser.new_context(**browser_context_args, forced_colors="active")
    yield context.new_page()
    context.close()


def differ(page, one, other):
    """Whether two states are drawn unlike each other without the colours of the page."""
    first, second = page.evaluate(TOLD, [one.element_handle(), other.element_handle()])
    return first != second


def test_forced_colours_keep_every_state(forced, job_address):
    page = forced
    page.goto(job_address(2422, "plan"))
    page.get_by_role("button", name="Choose and start work").wait_for()
    assert page.evaluate("matchMedia('(forced-colors: active)').matches")
    rail = page.locator(".rail")
    assert differ(page, rail.locator("[aria-current]").first, rail.locator("a:not([aria-current])").first)
    header = page.get_by_role("navigation").first
    assert differ(page, header.locator("[aria-current]").first, header.locator("a:not([aria-current])").first)
    goals = page.get_by_role("group", name="The customer wants it, above all").locator("label")
    assert differ(
        page, goals.filter(has=page.locator(":checked")), goals.filter(has=page.locator(":not(:checked)")).last
    )
    options = page.locator("[aria-pressed], [aria-selected], [aria-current=true]")
    assert options.count() == 0 or differ(page, options.first, options.last)
    page.goto(job_address(2429, "bench"))
    button = page.locator("[data-pedal]")
    button.wait_for()
    # The large button has an edge, and its words are not on a plate of their own colour.
    assert button.evaluate("e => getComputedStyle(e).borderTopWidth") != "0px"
    assert button.evaluate("e => getComputedStyle(e).forcedColorAdjust") == "none"
    assert button.evaluate("e => getComputedStyle(e).color !== getComputedStyle(e).backgroundColor")
    page.get_by_role("button", name="All steps").click()
    steps = page.get_by_role("dialog", name="Steps")
    here = steps.locator("[aria-current]")
    expect(here).to_be_visible()
    assert differ(page, here, steps.locator("button.row:not([aria-current])").last)


def test_a_line_of_the_chart_is_told_by_its_dashes(forced, job_address):
    page = forced
    page.goto(job_address(2421, "verdict"))
    page.get_by_role("heading", name="Improved").wait_for()
    page.get_by_role("slider", name=re.compile("before and after")).first.wait_for()  # the chart comes after the words
    dashes = page.locator("svg path").evaluate_all("all => all.map((e) => getComputedStyle(e).strokeDasharray)")
    assert "none" in dashes
    assert any(d != "none" for d in dashes)


def test_paper_carries_what_a_page_says_and_nothing_to_press(page, job_address):
    for place, said in (
        ("verdict", page.get_by_role("row", name=re.compile("^Die temperature"))),
        ("plan", page.get_by_text("Promised: ").first),
        ("clean", page.get_by_role("tab", selected=True)),
        ("close", page.get_by_text("5 mm, cross-head, countersunk")),
    ):
        page.emulate_media(media="screen")
        page.goto(job_address(2421, place))
        expect(said).to_be_visible()
        expect(page.get_by_role("banner")).to_be_visible()
        page.evaluate("document.documentElement.dataset.theme = 'night'")
        page.emulate_media(media="print")
        expect(said).to_be_visible()
        expect(page.get_by_role("heading", level=1)).to_be_visible()
        expect(page.get_by_role("banner")).to_be_hidden()
        assert page.locator(".button:visible").count() == 0
        # Ink on white, whatever the screen showed.
        assert said.evaluate("e => getComputedStyle(e).color.match(/\\d+/g).slice(0, 3).every(c => c < 128)")
