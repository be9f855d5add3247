"""Mutated logs, models, shelves, recordings and photos: each is read or refused in words.

python bench/fuzz.py [COUNT] [SEED]        2000 and 1 when left out
"""

import argparse
import sys
import tempfile
from pathlib import Path

sys.path.insert(0, str(Path(__file__).parents[1]))
from tests.fuzz import KINDS, fuzz


def main() -> None:
    """Print what came of them."""
    parser = argparse.ArgumentParser()
    parser.add_argument("count", type=int, nargs="?", default=2000)
    parser.add_argument("seed", type=int, nargs="?", default=1)
    given = parser.parse_args()
    with tempfile.TemporaryDirectory() as folder:
        outcomes, faults = fuzz(Path(folder), given.count, given.seed)
    print("| | read | refused |\n|---|---|---|")
    for kind in KINDS:
        print(f"| {kind} | {outcomes[kind, 'read']} | {outcomes[kind, 'refused']} |")
    for kind, number, fault in faults:
        print(f"FAULT {kind} {number}: {fault}")
    sys.exit(bool(faults))


if __name__ == "__main__":
    main()
