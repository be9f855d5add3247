"""A first visit over a slow line: how long until the Bench and until Before can be read, and as a ratio to a fast line.

    python bench/slow_line.py [ADDRESS]        http://127.0.0.1:8000 when left out

Wants a served demo shop. The line: 50 kB/s and 400 ms, nothing kept from an earlier visit. Wanted: 2.5 s and 4 s.
"""

from __future__ import annotations

import shutil
import sys
import time
from collections.abc import Callable

from playwright.sync_api import Browser, BrowserContext, Page, sync_playwright

NUMBER = 2421
SLOW = {"offline": False, "latency": 400, "downloadThroughput": 50_000, "uploadThroughput": 50_000}
FIND = f"""fetch('/api/jobs?all=true&limit=100').then((answer) => answer.json())
  .then((page) => page.jobs.find((job) => job.number === {NUMBER}).id)"""


def seconds(context: BrowserContext, address: str, readable: Callable[[Page], None], *, slow: bool) -> float:
    """Time from asking until it can be read."""
    page = context.new_page()
    if slow:
        line = context.new_cdp_session(page)
        line.send("Network.enable")
        line.send("Network.emulateNetworkConditions", SLOW)
    began = time.perf_counter()
    page.goto(address, wait_until="commit")
    readable(page)
    took = time.perf_counter() - began
    context.close()
    return took


def visitor(browser: Browser, home: str, *, signed_in: bool) -> tuple[BrowserContext, str]:
    """A browser that has kept nothing but, where asked for, who signed in; and the demo job."""
    first = browser.new_context(service_workers="block")
    page = first.new_page()
    page.goto(home)
    page.get_by_text("Up next").wait_for()
    job = str(page.evaluate(FIND))
    state = first.storage_state()
    first.close()
    return browser.new_context(service_workers="block", storage_state=state if signed_in else None), job


def main() -> None:
    """Measure both pages over both lines."""
    home = sys.argv[1] if len(sys.argv) > 1 else "http://127.0.0.1:8000"
    pages: dict[str, tuple[str, bool, float, Callable[[Page], None]]] = {
        "Bench, first sign-in": ("/", False, 2.5, lambda page: page.get_by_text("Up next").wait_for()),
        "Bench": ("/", True, 2.5, lambda page: page.get_by_text("Up next").wait_for()),
        "Before": ("/jobs/{}/before", True, 4.0, lambda page: page.get_by_text("Die, end of the load").wait_for()),
    }
    with sync_playwright() as play:
        browser = play.chromium.launch(executable_path=shutil.which("chromium-headless-shell"), args=["--disable-gpu"])
        for name, (path, signed_in, wanted, readable) in pages.items():
            took = {}
            for slow in (False, True):
                context, job = visitor(browser, home, signed_in=signed_in)
                took[slow] = seconds(context, home + path.format(job), readable, slow=slow)
            ratio = took[True] / took[False]
            print(f"{name:22} {took[True]:5.1f} s, wanted {wanted} s; {ratio:.0f} times the fast line")
        browser.close()


if __name__ == "__main__":
    main()
