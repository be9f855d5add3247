"""All measurements by one command, and their figures into docs/performance.md above those of earlier days.

    python bench [--demo ADDRESS] [NAME …]

NAME is a file of this folder; all are measured when none is given. ADDRESS is a running demo, which step_on,
while_typing and slow_line need; without one they are left out, and that is said. What failed is written down as failed.
"""

from __future__ import annotations

import argparse
import subprocess
import sys
from collections.abc import Mapping
from datetime import date, datetime
from pathlib import Path

FOLDER = Path(__file__).parent
PAGE = FOLDER.parent / "docs" / "performance.md"
RUNS = "## Runs, newest first\n"
WITH_DEMO = ("step_on", "while_typing", "slow_line")
# Arguments of a whole round, which takes about half an hour.
USUAL: Mapping[str, tuple[str, ...]] = {
    "reading": (),
    "all_runs": (),
    "since_service": (),
    "finding": (),
    "out": (),
    "record_pdf": (),
    "deciding": (),
    "nesting": (),
    "upload": ("36000", "250"),
    "while_typing": (),
    "step_on": (),
    "slow_line": (),
    "bench_events": (),
    "users": (),
    "faults": ("20", "10"),
    "fuzz": ("400", "7"),
    "contract": ("20",),
}


def with_run(page: str, day: date, outputs: Mapping[str, str]) -> str:
    """The page with what was measured on a day. Figures of other days stay, and of that day what was not measured
    again."""
    before, _, runs = page.partition(RUNS)
    heading = f"### {day}\n"
    mine: dict[str, str] = {}
    later, found, rest = runs.partition(heading)
    if found:
        own, mark, earlier = rest.partition("\n### ")
        mine = dict(_blocks(own))
        runs = later + (mark.lstrip("\n") + earlier if mark else "")
    mine |= {name: text.strip() for name, text in outputs.items()}
    told = "".join(f"\n`{name}`\n\n```\n{text}\n```\n" for name, text in mine.items())
    return f"{before.rstrip()}\n\n{RUNS}\n{heading}{told}\n{runs.strip()}".rstrip() + "\n"


def _blocks(run: str) -> list[tuple[str, str]]:
    parts = run.split("```")
    return [
        (name.strip().strip("`"), text.strip())
        for name, text in zip(parts[::2], parts[1::2], strict=False)
        if name.strip()
    ]


def measure(name: str, demo: str | None) -> str:
    """What one measurement printed, with its end when that was a failure."""
    asked = (demo,) if name in WITH_DEMO and demo else USUAL[name]
    ran = subprocess.run(
        [sys.executable, str(FOLDER / f"{name}.py"), *asked], capture_output=True, text=True, check=False
    )
    failed = f"\nended with {ran.returncode}: {(ran.stderr.strip().splitlines() or [''])[-1]}" if ran.returncode else ""
    return ran.stdout.strip() + failed


def main() -> None:
    """Measure, and write after each, so that what was measured stays when a later one is broken off."""
    asked = argparse.ArgumentParser(description=__doc__, formatter_class=argparse.RawDescriptionHelpFormatter)
    asked.add_argument("--demo", metavar="ADDRESS")
    asked.add_argument("names", nargs="*", choices=[*USUAL, []], metavar="NAME")
    given = asked.parse_args()
    for name in given.names or USUAL:
        if name in WITH_DEMO and not given.demo:
            print(f"{name}: left out, it needs --demo ADDRESS")
            continue
        print(f"{name} …", flush=True)
        found = measure(name, given.demo)
        print(found)
        PAGE.write_text(with_run(PAGE.read_text("utf-8"), datetime.now().astimezone().date(), {name: found}), "utf-8")


if __name__ == "__main__":
    main()
