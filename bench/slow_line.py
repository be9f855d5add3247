"""A first visit over a slow line: how long until the Bench and until Before can be read, and as a ratio to a fast line.

    python bench/slow_line.py [ADDRESS]        http://127.0.0.1:8000 when left out

Wants a served demo shop. The line: 50 kB/s and 400 ms, nothing kept from an earlier visit. Wanted: 2.5 s and 4 s.
"""

from __future__ import annotations

import shutil
import sys

from playwright.sync_api import Browser, BrowserContext, sync_playwright

NUMBER = 2421
SLOW = {"offline": False, "latency": 400, "downloadThroughput": 50_000, "uploadThroughput": 50_000}
FIND = f"""fetch('/api/jobs?all=true&limit=100').then((answer) => answer.json())
  .then((page) => page.jobs.find((job) => job.number === {NUMBER}).id)"""


def seconds(context: BrowserContext, address: str, words: str, *, slow: bool) -> float:
    """Time from asking until the words are on the page, by the page's own clock."""
    page = context.new_page()
    if slow:
        line = context.new_cdp_session(page)
        line.send("Network.enable")
        line.send("Network.emulateNetworkConditions", SLOW)
    page.add_init_script(f"""new MutationObserver((_, watch) => {{
      if (!document.body?.innerText.includes({words!r})) return;
      window.readable = performance.now();
      watch.disconnect();
    }}).observe(document, {{ childList: true, subtree: true, characterData: true }})""")
    page.goto(address, wait_until="commit")
    page.get_by_text(words).wait_for()
    took = float(page.evaluate("() => window.readable")) / 1000
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
    pages = {
        "Bench, first sign-in": ("/", False, 2.5, "Up next"),
        "Bench": ("/", True, 2.5, "Up next"),
        "Before": ("/jobs/{}/before", True, 4.0, "Die, end of the load"),
    }
    with sync_playwright() as play:
        browser = play.chromium.launch(executable_path=shutil.which("chromium-headless-shell"), args=["--disable-gpu"])
        for name, (path, signed_in, wanted, words) in pages.items():
            took = {}
            for slow in (False, True):
                context, job = visitor(browser, home, signed_in=signed_in)
                took[slow] = seconds(context, home + path.format(job), words, slow=slow)
            ratio = took[True] / took[False]
            print(f"{name:22} {took[True]:5.1f} s, wanted {wanted} s; {ratio:.0f} times the fast line")
        browser.close()


if __name__ == "__main__":
    main()
