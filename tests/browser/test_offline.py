"""The tablet without a line: what it knows is there after a reload, what is done waits, nothing is lost or doubled."""

import re
import shutil

import pytest
from playwright.sync_api import expect
from tests.browser.conftest import pass_on, tread

from vividowl.web import app

READY = """async () => {
  const worker = (await navigator.serviceWorker.ready).active;
  while (worker.state !== 'activated') await new Promise((go) => worker.addEventListener('statechange', go));
  return true;
}"""


def heading(page):
    return page.get_by_role("heading", level=1)


def call(page, method, path, body=None):
    """Call the API from the page."""
    return page.evaluate(
        """async ([method, path, body]) => {
          const token = (await (await fetch('/api/session')).json()).csrf_token;
          const headers = {'Content-Type': 'application/json', 'X-CSRFToken': token};
          return (await fetch(path, {method, headers, body: body && JSON.stringify(body)})).json();
        }""",
        [method, path, body],
    )


@pytest.fixture(scope="module")
def tablet(browser, browser_context_args):
    """Opens a tablet: a browser of its own whose worker is in charge. Those asked for by one name are one."""
    opened = {}

    def make(name="first"):
        if name not in opened:
            context = browser.new_context(**{**browser_context_args, "service_workers": "allow"})
            page = opened[name] = context.new_page()
            page.goto("/")
            page.get_by_text("Up next").wait_for()
            assert page.evaluate(READY)
            # The worker takes a page over that is opened after it.
            page.reload()
            page.get_by_text("Up next").wait_for()
        return opened[name]

    yield make
    for page in opened.values():
        page.context.close()


@pytest.fixture
def bench(job_address, tablet):
    """A tablet at the bench of a demo job whose list has begun, and the address."""
    page = tablet()
    address = job_address(2430, "bench")
    page.goto(address)
    expect(heading(page)).not_to_be_empty()
    expect(page.get_by_text("Synced")).to_be_visible()
    return page, address


def test_the_day_is_there_after_a_reload_without_a_line_and_work_goes_on(bench):
    page, address = bench
    job = address.split("/")[2]
    number = call(page, "GET", f"/api/jobs/{job}/bench")["number"]
    page.context.set_offline(True)
    page.reload()
    first = heading(page).inner_text()
    expect(page.get_by_text(re.compile("No connection"))).to_be_visible()
    tread(page)
    expect(heading(page)).not_to_have_text(first)
    second = heading(page).inner_text()
    # In the middle of the list, again without a line.
    page.reload()
    expect(heading(page)).to_have_text(second)
    page.goto("/")
    expect(page.get_by_text("Up next")).to_be_visible()
    expect(page.get_by_role("banner")).to_contain_text(re.compile(r"No connection\..*1 step waits here"))
    page.context.set_offline(False)
    # From the Bench, not from the job's own page.
    expect(page.get_by_role("banner")).not_to_contain_text("waits here")
    after = call(page, "GET", f"/api/jobs/{job}/bench")
    assert after["number"] == number + 1
    page.goto(address)
    expect(heading(page)).to_have_text(second)


def test_a_newer_version_that_comes_without_a_line_drops_nothing(bench, monkeypatch, tmp_path):
    page, address = bench
    job = address.split("/")[2]
    number = call(page, "GET", f"/api/jobs/{job}/bench")["number"]
    newer = shutil.copytree(app.SITE, tmp_path / "site")
    with (newer / "sw.js").open("a") as worker:
        worker.write("// a version later")
    monkeypatch.setattr(app, "SITE", newer)
    page.evaluate("navigator.serviceWorker.ready.then((found) => void found.update())")
    offer = page.get_by_role("button", name="Load it")
    expect(offer).to_be_visible()
    page.context.set_offline(True)
    pass_on(page, 700)
    first = heading(page).inner_text()
    tread(page)
    expect(heading(page)).not_to_have_text(first)
    second = heading(page).inner_text()
    # It takes over when one says so, and the page comes anew from what it has kept.
    with page.expect_event("load"):
        offer.click()
    expect(heading(page)).to_have_text(second)
    expect(page.get_by_text(re.compile("1 step waits"))).to_be_visible()
    page.context.set_offline(False)
    expect(page.get_by_text("Synced")).to_be_visible()
    assert call(page, "GET", f"/api/jobs/{job}/bench")["number"] == number + 1
    page.keyboard.press("Backspace")
    expect(heading(page)).to_have_text(first)
    expect(page.get_by_text("Synced")).to_be_visible()


def test_another_person_neither_sees_nor_sends_what_waits(bench):
    page, address = bench
    job = address.split("/")[2]
    number = call(page, "GET", f"/api/jobs/{job}/bench")["number"]
    page.evaluate(
        """([job]) => {
          const made_at = new Date().toISOString();
          const event = {id: crypto.randomUUID(), kind: 'step_done', data: {step: 'x'}, turn: 1, made_at};
          localStorage.setItem(`bench:someone-else:${job}`, JSON.stringify({turn: 1, queue: [event], back: []}));
        }""",
        [job],
    )
    page.goto("/")
    expect(page.get_by_role("banner")).to_contain_text("1 step of somebody else waits for them to sign in")
    pass_on(page, 2000)
    assert call(page, "GET", f"/api/jobs/{job}/bench")["number"] == number
    assert page.evaluate("job => localStorage.getItem(`bench:someone-else:${job}`)", job)


def test_two_tablets_without_a_line_on_one_job_lose_and_double_nothing(bench, tablet):
    one, address = bench
    job = address.split("/")[2]
    other = tablet("second")
    other.goto(address)
    expect(other.get_by_text("Synced")).to_be_visible()

    def done():
        return sum(s["outcome"] is not None for s in call(one, "GET", f"/api/jobs/{job}/bench")["steps"])

    before, step = done(), heading(one).inner_text()
    for page in (one, other):
        page.context.set_offline(True)
        pass_on(page, 700)
        tread(page)
        expect(heading(page)).not_to_have_text(step)
    one.context.set_offline(False)
    expect(one.get_by_text("Synced")).to_be_visible()
    other.context.set_offline(False)
    expect(other.get_by_text("Synced")).to_be_visible()
    # The same step done on both counts once, and both stand at the next.
    assert done() == before + 1
    expect(heading(other)).to_have_text(heading(one).inner_text())


KEPT = """async () => (await (await caches.open('kept-answers')).keys()).map((r) => new URL(r.url).pathname)"""


def test_what_one_has_seen_is_gone_when_one_signs_out(bench):
    page, _ = bench
    assert any("/bench" in path for path in page.evaluate(KEPT))
    page.goto("/")
    page.get_by_role("button", name="Sign out").click()
    page.get_by_role("heading", name="Vivid Owl").wait_for()
    expect(page.get_by_label("Login")).to_be_visible()
    pass_on(page, 3000)
    assert set(page.evaluate(KEPT)) <= {"/api/session"}
