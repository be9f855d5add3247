"""How much of the core its own tests reach, from a report of coverage: each module below the wanted share of branches.

    python tools/branches.py REPORT.json

Ends with 1 when the branches of all of the core are reached to less than WANTED_PERCENT.
"""

from __future__ import annotations

import json
import sys
from pathlib import Path

WANTED_PERCENT = 95.0


def share(summary: dict[str, int], what: str) -> float:
    """Percentage of lines or branches that were reached; of none all were."""
    reached, missed = summary[f"covered_{what}"], summary[f"missing_{what}"]
    return 100.0 * reached / (reached + missed) if reached + missed else 100.0


def main(report: Path) -> int:
    """Print the shares and say whether they are enough."""
    found = json.loads(report.read_text("utf-8"))
    for name, module in sorted(found["files"].items()):
        branches = share(module["summary"], "branches")
        if branches < WANTED_PERCENT:
            missed = ", ".join(f"{a} to {b}" if b > 0 else f"{a} to the end" for a, b in module["missing_branches"])
            print(f"{branches:5.1f} % of branches  {name}: not taken {missed}")
    total = found["summary"]
    branches = share(total, "branches")
    print(f"core: {share(total, 'lines'):.1f} % of lines, {branches:.1f} % of branches")
    if branches < WANTED_PERCENT:
        print(f"Wanted are {WANTED_PERCENT:.0f} % of branches.")
        return 1
    return 0


if __name__ == "__main__":
    sys.exit(main(Path(sys.argv[1])))
