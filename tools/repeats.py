"""Counts the places where six or more lines stand again elsewhere, in hand-written code without migrations.

`python tools/repeats.py [--list N] [FOLDER]`: the count by part, and the N longest places. What counts as a line is
what says something: blank lines, comments, imports and lone brackets do not.
"""

from __future__ import annotations

import argparse
import re
import subprocess
from collections import Counter, defaultdict
from collections.abc import Iterator
from pathlib import Path

LEAST = 6
LEFT_OUT = re.compile(r"migrations/|schema\.d\.ts$|openapi\.json$|/site/|package-lock|\.lock$|tests/contract/")
CODE = (".py", ".ts", ".svelte", ".css")
SAYS_NOTHING = re.compile(r"^(\W*|#.*|//.*|(from|import) .*|\} from .*|export \* .*)$")


def lines_of(path: Path) -> list[tuple[int, str]]:
    """Lines that say something, with their numbers."""
    text = path.read_text("utf-8", "replace").splitlines()
    return [(n, " ".join(line.split())) for n, line in enumerate(text, 1) if not SAYS_NOTHING.match(line.strip())]


def files_of(folder: Path) -> list[Path]:
    """Hand-written code that git knows, or all of it where the folder is no checkout."""
    told = subprocess.run(["git", "ls-files"], cwd=folder, capture_output=True, text=True, check=False)
    names = told.stdout.split("\n") if told.stdout else [str(p.relative_to(folder)) for p in folder.rglob("*")]
    return [folder / n for n in names if n.endswith(CODE) and not LEFT_OUT.search(n) and (folder / n).is_file()]


def places_of(folder: Path) -> Iterator[tuple[Path, int, int]]:
    """Each place: its file, its first line, and how many lines of it stand elsewhere too."""
    read = {path: lines_of(path) for path in files_of(folder)}
    windows: dict[tuple[str, ...], int] = defaultdict(int)
    for lines in read.values():
        for at in range(len(lines) - LEAST + 1):
            windows[tuple(text for _, text in lines[at : at + LEAST])] += 1
    for path, lines in read.items():
        begun = None
        for at in range(len(lines) - LEAST + 2):
            again = at <= len(lines) - LEAST and windows[tuple(t for _, t in lines[at : at + LEAST])] > 1
            if again and begun is None:
                begun = at
            elif not again and begun is not None:
                yield path, lines[begun][0], at - begun + LEAST - 1
                begun = None


def main() -> None:
    """Print the counts."""
    parser = argparse.ArgumentParser(description=__doc__)
    parser.add_argument("folder", nargs="?", type=Path, default=Path(__file__).parents[1])
    parser.add_argument("--list", type=int, default=0)
    options = parser.parse_args()
    found = list(places_of(options.folder))
    parts = Counter(path.relative_to(options.folder).parts[0] for path, _, _ in found)
    print(
        f"{len(found)} places of {LEAST} or more equal lines: " + ", ".join(f"{p} {n}" for p, n in parts.most_common())
    )
    for path, line, count in sorted(found, key=lambda place: -place[2])[: options.list]:
        print(f"{count:4d}  {path.relative_to(options.folder)}:{line}")


if __name__ == "__main__":
    main()
