"""Take the pictures in docs/screenshots from a running demo: .venv/bin/python tools/screenshots.py ADDRESS"""

from __future__ import annotations

import shutil
import sys
from pathlib import Path

from playwright.sync_api import Browser, sync_playwright

FOLDER = Path(__file__).parents[1] / "docs/screenshots"
DESK = (1280, 800)
# name, demo job, stage or path, theme, size, whole page
PICTURES: tuple[tuple[str, int, str, str, tuple[int, int], bool], ...] = (
    ("bench", 0, "/", "day", DESK, False),
    ("stopped", 2423, "intake", "day", DESK, False),
    ("before", 2421, "before", "day", DESK, True),
    ("open", 2421, "open", "day", DESK, False),
    ("clean", 2429, "clean", "day", DESK, False),
    ("bench-mode", 2430, "bench", "night", DESK, False),
    ("close", 2421, "close", "day", DESK, False),
    ("models", 0, "/models", "day", DESK, False),
    ("plan", 2428, "plan", "day", DESK, True),
    ("shelf", 0, "/shelf", "day", DESK, True),
    ("workings", 0, "/workings/dose", "night", DESK, False),
    ("fit", 2421, "fit", "night", DESK, True),
    ("verdict", 2421, "verdict", "day", DESK, True),
    ("all-runs", 2433, "runs", "day", DESK, True),
    ("attempts", 2438, "attempts", "day", DESK, True),
    ("device", 2432, "device", "night", DESK, False),
    ("handover", 2420, "handover", "day", DESK, False),
    ("record", 2421, "record", "day", DESK, True),
)


def take(browser: Browser, address: str) -> None:
    """Take them all."""
    for name, number, place, theme, (width, height), whole in PICTURES:
        context = browser.new_context(
            base_url=address, viewport={"width": width, "height": height}, locale="en-GB", reduced_motion="reduce"
        )
        context.add_init_script(f"localStorage.setItem('theme', '{theme}')")
        page = context.new_page()
        page.goto("/")
        page.get_by_text("Up next").wait_for()
        path = place
        if number:
            jobs = page.evaluate("async () => (await (await fetch('/api/jobs?all=true&limit=100')).json()).jobs")
            job = next(j["id"] for j in jobs if j["number"] == number)
            device = next(j["device_id"] for j in jobs if j["number"] == number)
            elsewhere = {"record": f"/record/{job}", "device": f"/devices/{device}"}
            path = elsewhere.get(place, f"/jobs/{job}/{place}")
        page.goto(path)
        page.wait_for_load_state("networkidle")
        page.wait_for_timeout(300)
        if name == "open":
            page.get_by_label("Order").select_option("cooler:loosen")
        if name == "bench-mode":
            page.keyboard.press("6")
            page.wait_for_timeout(1200)
        # A whole page has its foot at its end, not in the middle.
        page.evaluate("() => document.querySelectorAll('.foot').forEach((e) => (e.style.position = 'static'))")
        page.screenshot(path=FOLDER / f"{name}.png", full_page=whole)
        context.close()
    page = browser.new_page(base_url=address, viewport={"width": DESK[0], "height": DESK[1]}, color_scheme="light")
    page.goto("/")
    page.get_by_role("button", name="Sign out").click()
    page.get_by_role("button", name="Sign in").wait_for()
    page.screenshot(path=FOLDER / "sign-in.png")


def main() -> None:
    """Start Debian's Chromium and take the pictures."""
    FOLDER.mkdir(exist_ok=True)
    with sync_playwright() as playwright:
        browser = playwright.chromium.launch(
            executable_path=shutil.which("chromium-headless-shell"),
            args=["--host-resolver-rules=MAP * ~NOTFOUND, EXCLUDE 127.0.0.1", "--disable-gpu", "--no-first-run"],
        )
        take(browser, sys.argv[1])
        browser.close()


if __name__ == "__main__":
    main()
