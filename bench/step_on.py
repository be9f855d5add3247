"""From the key to the new step in a real browser, with the line up and down.

    python bench/step_on.py ADDRESS

ADDRESS is a running demo. Prints the median and the longest time from Enter to the next step on the screen as a
ratio of the 50 ms that are allowed. Works on the demo job in the middle of its list, and takes back what it did.
"""

import shutil
import sys
from statistics import median

from playwright.sync_api import sync_playwright

ALLOWED_MS, JOB, TURNS = 50.0, 2430, 12
PAUSE_MS = 700  # after a step the next press counts only 600 ms later
# Watch the heading itself: the moment it changes is the moment the step is there.
PRESS = """() => new Promise((resolve) => {
  const heading = document.querySelector('article');
  const began = performance.now();
  const seen = new MutationObserver(() => { seen.disconnect(); resolve(performance.now() - began); });
  seen.observe(heading, { childList: true, characterData: true, subtree: true });
  dispatchEvent(new KeyboardEvent('keydown', { key: 'Enter', bubbles: true }));
})"""
BACK = PRESS.replace("'Enter'", "'Backspace'")


def main() -> None:
    """Step on and back, line up and down."""
    with sync_playwright() as playwright:
        browser = playwright.chromium.launch(
            executable_path=shutil.which("chromium"),
            args=["--host-resolver-rules=MAP * ~NOTFOUND, EXCLUDE 127.0.0.1", "--disable-gpu", "--no-first-run"],
        )
        page = browser.new_page(base_url=sys.argv[1])
        page.goto("/")
        page.get_by_text("Next for your hands").wait_for()
        jobs = page.evaluate("async () => (await (await fetch('/api/jobs?limit=100')).json()).jobs")
        page.goto(f"/jobs/{next(j['id'] for j in jobs if j['number'] == JOB)}/bench")
        page.locator("article h1").wait_for()
        for words, offline in (("up", False), ("down", True)):
            page.context.set_offline(offline)
            times = []
            for _ in range(TURNS):
                times.append(page.evaluate(PRESS))
                page.wait_for_timeout(PAUSE_MS)
                page.evaluate(BACK)
                page.wait_for_timeout(PAUSE_MS)
            longest = max(times)
            print(
                f"line {words}: median {median(times):.1f} ms, {median(times) / ALLOWED_MS:.2f} of what is allowed; "
                f"longest {longest:.1f} ms, {longest / ALLOWED_MS:.2f}"
            )
        page.context.set_offline(False)
        page.get_by_text("In step").wait_for()
        browser.close()


if __name__ == "__main__":
    main()
