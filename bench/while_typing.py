"""How long a figure takes to follow what is typed, over a real connection: calculators and the whole plan.

Run: .venv/bin/python bench/while_typing.py ADDRESS  (of a running demo, such as http://127.0.0.1:8321)
Prints milliseconds and their ratio to the shortest answer of the same server; exit code 1 when a median passes 100 ms.
"""

from __future__ import annotations

import shutil
import sys

from playwright.sync_api import sync_playwright

ALLOWED_MS = 100.0
SCRIPT = """async () => {
  const token = (await (await fetch('/api/session')).json()).csrf_token;
  const call = async (method, path, body) => {
    const headers = {'X-CSRFToken': token, 'Content-Type': 'application/json'};
    const answer = await fetch(path, {method, headers, body: body ? JSON.stringify(body) : undefined});
    if (!answer.ok) throw new Error(await answer.text());
    return answer.json();
  };
  const jobs = (await call('GET', '/api/jobs?all=true&limit=100')).jobs;
  const job = jobs.find((j) => j.number === 2428).id;
  const plan = await call('GET', `/api/jobs/${job}/plan`);
  const out = {};
  const timed = async (name, once, n = 25) => {
    const taken = [];
    for (let i = 0; i < n; i++) {
      const began = performance.now();
      await once(i);
      taken.push(performance.now() - began);
    }
    taken.sort((a, b) => a - b);
    out[name] = [taken[Math.floor(n / 2)], taken[n - 1]];
  };
  await timed('shortest', () => call('GET', '/api/health'));
  const work = (name, given) => () => call('POST', '/api/workings/' + name, {given});
  const dose = {width_mm: '15', length_mm: '13', film_um: '30', waste: '0.3', density_g_ml: '2.5'};
  await timed('dose', work('dose', dose));
  await timed('skin', work('skin', {power_w: '4'}));
  await timed('cut, 6 pieces', work('cut', {sheet: '80x80', pieces: '15.5x15.5,20.5x10.5,4*12x14'}));
  let version = plan.version;
  const save = async (found) => {
    version = (await call('PUT', `/api/jobs/${job}/plan`, {version, goal: plan.goal, found})).version;
  };
  await timed('plan', (i) => save({...plan.found, dust: i % 2 ? 'felt' : 'light'}));
  await save(plan.found);
  return out;
}"""


def main() -> None:
    """Measure and print."""
    with sync_playwright() as playwright:
        browser = playwright.chromium.launch(
            executable_path=shutil.which("chromium"),
            args=["--host-resolver-rules=MAP * ~NOTFOUND, EXCLUDE 127.0.0.1", "--disable-gpu", "--no-first-run"],
        )
        page = browser.new_page(base_url=sys.argv[1])
        page.goto("/")
        page.get_by_text("Next for your hands").wait_for()
        found = page.evaluate(SCRIPT)
        browser.close()
    shortest = found["shortest"][0]
    for name, (median, most) in found.items():
        print(f"{name}: median {median:.0f} ms, longest {most:.0f} ms, {median / shortest:.1f} times the shortest")
    if any(median > ALLOWED_MS for median, _ in found.values()):
        sys.exit(1)


if __name__ == "__main__":
    main()
