"""A device that came in again with nothing changed, on rough logs: how often it is said to have lost something.

    python bench/since_service.py [PAIRS]        pairs of each class of logger; 24 when left out

The devices, loads and loggers are those of tests/rough_device.py and tests/rough_logs.py: the first log of a pair is
what the service left, the second what came in a year later. Prints, class by class, how many were told to be watched or
done again, in how many a loss was shown at all, and how many could not be told.
"""

from __future__ import annotations

import sys
from collections import Counter
from multiprocessing import Pool
from pathlib import Path

sys.path.insert(0, str(Path(__file__).parents[1]))
from tests.rough_logs import KINDS, Pair, pairs, sides_of

from vividowl.core.quantities.errors import CoreError
from vividowl.core.quantities.uncertainty import Tolerances
from vividowl.core.reading.measured import Measured, at_speed_of, resistance
from vividowl.core.runs.since_service import Advice, since_service
from vividowl.core.trace.roles import Role

SEED = 52_000_000
ALLOWED_SHARE = 0.05


def told(pair: Pair) -> str:
    """What is said of a pair: claimed, shown, quiet, or not told."""
    found = []
    try:
        for side in sides_of(pair):
            room_c, fan = side.conditions.room_c, side.reading.stats.get(Role.FAN_SPEED)
            value = resistance(side.reading, room_c, tol=Tolerances()) if room_c is not None else None
            if value is None or not value.value > 0:
                return "not told"
            found.append((value.value, value.moving, fan.mean if fan else None))
        then, now = found
        at = at_speed_of(Measured(value=now[0], scatter=now[1]), now[2], then[0], then[2])
        if at is None:
            return "not told"
        since = since_service([0.0, 12.0], [then[0], at.value], [then[1], at.moving])
    except CoreError:
        return "not told"
    if since.advice is not Advice.LEAVE:
        return "claimed"
    return "shown" if since.shown else "quiet"


def main(n: int) -> int:
    """Measure; 1 when more is claimed than is allowed."""
    whole: Counter[str] = Counter()
    with Pool(2) as pool:
        for kind in KINDS.values():
            found = Counter(pool.map(told, pairs(kind, n, seed=SEED), 8))
            whole += found
            print(
                f"{kind.name}: {found['claimed']} claimed, {found['shown']} shown, {found['not told']} not told of {n}"
            )
    every = whole.total()
    print(f"all: {whole['claimed']} claimed, {whole['shown']} shown, {whole['not told']} not told of {every}")
    return int(whole["claimed"] > ALLOWED_SHARE * every)


if __name__ == "__main__":
    sys.exit(main(int(sys.argv[1]) if len(sys.argv) > 1 else 24))
