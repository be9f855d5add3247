"""Own maximal rectangles against a packing library: sheets opened and time, on the same pieces.

python bench/nesting.py [60]
"""

from __future__ import annotations

import sys
import time
from pathlib import Path

import numpy as np

sys.path.insert(0, str(Path(__file__).parents[1]))

from tests.core.materials.test_rectangles import library

from vividowl.core.materials.nesting import nest
from vividowl.core.materials.pieces import Piece, Sheet


def main(cases: int) -> None:
    ours_sheets = their_sheets = 0
    ours_s = their_s = 0.0
    for seed in range(cases):
        rng = np.random.default_rng(1000 + seed)
        pieces = [(int(w), int(h)) for w, h in rng.integers(8, 40, (int(rng.integers(6, 40)), 2))]
        began = time.perf_counter()
        theirs = library(pieces, 80, 80, 20)
        between = time.perf_counter()
        found = nest(
            [Piece("p", w, h) for w, h in pieces], [Sheet(name=f"s{i}", width_mm=80, length_mm=80) for i in range(20)]
        )
        their_s, ours_s = their_s + between - began, ours_s + time.perf_counter() - between
        assert found.fits
        assert theirs is not None
        ours_sheets, their_sheets = ours_sheets + len({p.sheet for p in found.placements}), their_sheets + theirs
    print(
        f"nesting, {cases} cuts: sheets opened {ours_sheets / their_sheets:.3f} of the library's two rules, "
        f"in {ours_s / their_s:.1f} times their time (all orders and rules are tried)"
    )


if __name__ == "__main__":
    main(int(sys.argv[1]) if len(sys.argv) > 1 else 60)
