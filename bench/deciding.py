"""How long deciding takes: prediction against plain random numbers, nesting against a minute of the same search.

Run: .venv/bin/python bench/deciding.py [seconds of the long search, 60 by default]
Ratios of one run; exit code 1 when a goal is missed.
"""

from __future__ import annotations

import vividowl  # noqa: F401 - it sets the threads of numpy, so it stands first

# isort: split
import sys
import time
from collections.abc import Callable

import numpy as np

from vividowl.core.materials import nesting
from vividowl.core.materials.kinds import DIE_KINDS, material
from vividowl.core.materials.nesting import nest
from vividowl.core.materials.pieces import Box, Nesting, Piece, Sheet
from vividowl.core.plan.prediction import Action, Option, predict
from vividowl.core.plan.unknowns import Known

PREDICT_MOST_S, NEST_MOST_S, WORSE_MOST = 0.3, 1.0, 1.05


def best_of(repeats: int, call: Callable[[], object]) -> float:
    """Shortest time of several [s]."""
    times = []
    for _ in range(repeats):
        began = time.perf_counter()
        call()
        times.append(time.perf_counter() - began)
    return min(times)


def eight() -> list[Option]:
    """Eight options."""
    both = (Action.CLEAN, Action.REPASTE)
    return [
        Option(key="leave", words=""),
        Option(key="clean", words="", actions=(Action.CLEAN,)),
        *(Option(key=k, words="", actions=both, material=material(k)) for k in DIE_KINDS),
        Option(key="tune", words="", actions=(Action.TUNE,), undervolt_mv=80),
    ]


def area_used(found: Nesting) -> float:
    """Area of the pieces and of what is lost with them [mm2]."""
    return sum(p.box.area_mm2 for p in found.placements) + found.lost_mm2


def main() -> None:
    """Measure and print."""
    known = Known(
        resistance=1.26,
        resistance_u=0.03,
        power=48,
        room_c=24.2,
        interface=0.62,
        interface_u=0.05,
        limit_c=95.0,
        held=True,
        months=41,
    )
    took = best_of(5, lambda: predict(known, eight(), 1, samples=10_000))
    bare = best_of(5, lambda: np.percentile(np.random.default_rng(1).normal(size=(8, 4, 10_000)), (10, 50, 90), axis=2))
    print(
        f"prediction, 10,000 x 8: {took:.3f} s, {took / bare:.1f} times the bare draws and percentiles; "
        f"{took / PREDICT_MOST_S:.2f} of what is allowed"
    )
    rng = np.random.default_rng(4)
    pieces = [Piece(str(i), *(float(v) for v in np.round(rng.uniform(8, 34, 2) * 2) / 2)) for i in range(30)]
    sheets = [
        *(Sheet(name=f"sheet {i}", width_mm=80, length_mm=80) for i in range(4)),
        Sheet(name="offcut 1", width_mm=40, length_mm=60, taken=(Box(0, 0, 20, 20),), offcut=True),
        Sheet(name="offcut 2", width_mm=35, length_mm=80, taken=(), offcut=True),
        Sheet(name="offcut 3", width_mm=50, length_mm=50, taken=(Box(30, 0, 20, 35),), offcut=True),
    ]
    began = time.perf_counter()
    found = nest(pieces, sheets, 0.2)
    spent = time.perf_counter() - began
    seconds = float(sys.argv[1]) if len(sys.argv) > 1 else 60.0
    nesting.TRIES_MOST = nesting.WORK_MOST = 10**9
    best, seed, tries = area_used(found), 0, 0
    ends = time.perf_counter() + seconds
    nesting.WORK_MOST = nesting.PATIENCE = 400 * len(pieces) ** 2
    while time.perf_counter() < ends:
        seed += 1
        more = nest(pieces, sheets, 0.2, seed)
        tries += more.tries
        if more.fits:
            best = min(best, area_used(more))
    worse = area_used(found) / best
    print(
        f"nesting, 30 pieces on 4 sheets and 3 offcuts: {spent:.2f} s of {NEST_MOST_S:g} s allowed, "
        f"fits {found.fits}, {worse:.3f} times the area of the best of {seconds:.0f} s ({tries} tries)"
    )
    if took > PREDICT_MOST_S or spent > NEST_MOST_S or worse > WORSE_MOST or not found.fits:
        sys.exit(1)


if __name__ == "__main__":
    main()
