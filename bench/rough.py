"""Verdicts on rough logs, class by class: how often something is claimed, shown, missed or refused, with the truth.

The devices, loads and loggers are those of tests/rough_device.py and tests/rough_logs.py. bench/accuracy.py prints and
judges what is measured here.
"""

from __future__ import annotations

import dataclasses
from collections.abc import Sequence
from dataclasses import dataclass
from multiprocessing import Pool

import numpy as np
from tests.rough_device import fleet, plan, run
from tests.rough_logs import HELD_OUT, KINDS, Kind, Logger, Pair, devices, log, pairs, sides_of

from vividowl.core.quantities.errors import CoreError
from vividowl.core.reading.reading import read_trace
from vividowl.core.response.ladder import build_ladder, culprit
from vividowl.core.response.terms import common_boundary
from vividowl.core.verdict.comparison import compare
from vividowl.core.verdict.verdicts import Verdict

SEED = 41_000_000  # none of the devices that a constant was looked at with
GAIN_K, LID_K = 5.0, 12.0
HELD_TRULY, HELD_TOLD = 0.05, 0.02


@dataclass(frozen=True, kw_only=True)
class SideSeen:
    """error_k: rise read less true, u95_k; held: told and true share; boost; response: whether an interface is told."""

    error_k: float | None
    u95_k: float | None
    held: float
    held_true: float
    boost: bool
    response: bool


@dataclass(frozen=True)
class PairSeen:
    """What the product said of a pair. covered: U95 of the difference in rise holds the true one."""

    verdict: Verdict | None
    covered: bool | None
    culprit: str | None
    sides: tuple[SideSeen, ...]

    @property
    def claims(self) -> bool:
        """Whether it claims a difference."""
        return self.verdict is not None and self.verdict.value.startswith(("improved", "worse"))


def see(pair: Pair) -> PairSeen:
    """Judge one pair."""
    try:
        sides = sides_of(pair)
        found = compare(*sides)
    except CoreError:
        return PairSeen(None, None, None, ())
    over = found.effect("rise")
    true = pair.truth[1].rise_k - pair.truth[0].rise_k
    seen = tuple(
        SideSeen(
            error_k=value - truth.rise_k if value is not None else None,
            u95_k=u95,
            held=s.reading.throttling.share or 0.0,
            held_true=truth.held,
            boost=s.reading.load.boost_end_s > s.reading.load.onset_s,
            response=s.reading.response is not None,
        )
        for s, truth, value, u95 in zip(
            sides, pair.truth, (over.before, over.after), (over.before_u95, over.after_u95), strict=True
        )
    )
    responses = [s.reading.response for s in sides]
    boundary = common_boundary(*responses) if responses[0] and responses[1] else None
    ladders = [
        build_ladder(
            s.reading.die.mean,
            s.conditions.room_c or 0.0,
            s.reading.power.mean if s.reading.power else None,
            response=s.reading.response if boundary else None,
            boundary_s=boundary,
        )
        for s in sides
    ]
    covered = None if over.difference is None or over.u95 is None else abs(over.difference - true) <= over.u95
    return PairSeen(found.verdict, covered, culprit(*ladders, shown=found.claims), seen)


@dataclass(frozen=True, kw_only=True)
class Figures:
    """Of one class: (good or bad, of) for each row of the table."""

    name: str
    claimed: tuple[int, int]
    shown: tuple[int, int]
    wrong: tuple[int, int]
    refused: tuple[int, int]
    covered: tuple[int, int]
    side_covered: tuple[int, int]
    culprit: tuple[int, int]
    boost: tuple[int, int]
    held_not_so: tuple[int, int]
    held_not_told: tuple[int, int]


def judge(kind: Kind, n: int, seed: int, pool: object) -> Figures:
    """All figures of a class on n pairs of each sort: nothing changed, 5 K better, 5 K worse."""
    sorts = [(0.0, 0.0), (GAIN_K, 0.0), (0.0, GAIN_K)]
    null, better, worse = (
        pool.map(see, pairs(kind, n, seed=seed + 1000 * k, extra_k=extra), 8)  # type: ignore[attr-defined]
        for k, extra in enumerate(sorts)
    )
    every = [*null, *better, *worse]
    sides = [s for p in every for s in p.sides]
    covered = [p.covered for p in every if p.covered is not None]
    held = [s for s in sides if s.held_true > HELD_TRULY]
    free = [s for s in sides if s.held_true == 0.0]
    told = [s for s in sides if s.error_k is not None and s.u95_k is not None]
    return Figures(
        name=kind.name,
        claimed=(sum(p.claims for p in null), len(null)),
        shown=(
            sum(p.verdict is not None and p.verdict.value.startswith("improved") for p in better)
            + sum(p.verdict is not None and p.verdict.value.startswith("worse") for p in worse),
            2 * n,
        ),
        wrong=(
            sum(p.verdict is not None and p.verdict.value.startswith("worse") for p in better)
            + sum(p.verdict is not None and p.verdict.value.startswith("improved") for p in worse),
            2 * n,
        ),
        refused=(sum(p.verdict in (None, Verdict.CANNOT_BE_COMPARED) for p in every), 3 * n),
        covered=(sum(covered), len(covered)),
        side_covered=(sum(abs(s.error_k or 0.0) <= (s.u95_k or 0.0) for s in told), len(told)),
        culprit=(sum(p.culprit is not None for p in null), len(null)),
        boost=(sum(s.boost for s in sides), len(sides)),
        held_not_so=(sum(s.held > HELD_TOLD for s in free), len(free)),
        held_not_told=(sum(s.held <= HELD_TOLD for s in held), len(held)),
    )


def all_classes(n: int) -> list[Figures]:
    """Every class, the one held out last."""
    with Pool(2) as pool:
        return [judge(kind, n, SEED + 100_000 * i, pool) for i, kind in enumerate((*KINDS.values(), HELD_OUT))]


def repaired(n: int) -> tuple[int, int]:
    """Held back before, then repaired by 12 K: how many are refused."""
    kind = KINDS["held back"]
    with Pool(2) as pool:
        seen = pool.map(see, pairs(kind, n, seed=SEED + 7, extra_k=(LID_K, 0.0)), 8)
    return sum(p.verdict in (None, Verdict.CANNOT_BE_COMPARED) for p in seen), n


def lids(n: int) -> tuple[int, int]:
    """A bad interface under a thick lid, repaired: how many are called anything but the interface."""
    with Pool(2) as pool:
        seen = pool.map(see, pairs(KINDS["lid"], n, seed=SEED + 9, extra_k=(LID_K, 0.0)), 8)
    return sum(p.culprit not in (None, "interface") for p in seen), n


def forced_fans(n: int) -> tuple[int, int]:
    """A fan forced from 62 to 115 % with no fan column and nothing noted: how many are called improved outright."""
    kind = dataclasses.replace(KINDS["steady"], logger=Logger(fan=False))
    f, seen = devices(kind, n, SEED + 11), []
    sides = []
    for k, share in enumerate((0.62, 1.15)):
        p = plan(n, SEED + 12 + k, "steady", 600.0, fan_forced=share)
        sides.append((run(f, p, SEED + 20 + k), p))
    for i in range(n):
        traces = [log(s, i, SEED + 1000 * (k + 1) + i, kind.logger) for k, (s, _) in enumerate(sides)]
        rooms = [round(float(p.room_c[i]), 1) for _, p in sides]
        pair = Pair(traces[0], traces[1], (rooms[0], rooms[1]), (None, None), None)  # type: ignore[arg-type]
        seen.append(compare(*sides_of(pair, noted=False)).verdict)
    return sum(v in (Verdict.IMPROVED, Verdict.WORSE) for v in seen), n


@dataclass(frozen=True)
class Finals:
    """Of runs of three minutes: bias [K] of where they would end, and how many intervals hold the truth."""

    bias_k: float
    inside: int
    of: int


def finals(n: int) -> Finals:
    """Where runs of three minutes would end, against an hour and a half of the same load."""
    f, p = fleet(n, SEED + 31), plan(n, SEED + 32, "steady", 180.0)
    short = run(f, p, SEED + 33)
    long = run(f, dataclasses.replace(p, load_s=5400.0, burst_rate=0.0), SEED + 33)
    errors, inside = [], 0
    for i in range(n):
        since, now = long.time_s - p.lead_s[i], short.time_s - p.lead_s[i]
        end, window = (since > 5000) & (since < 5400), (now > 140) & (now < 180)
        # The long run ends in its own room.
        true = float(long.die_c[end, i].mean() - long.room_c[end, i].mean() + short.room_c[window, i].mean())
        found = read_trace(log(short, i, SEED + 34 + i, Logger()), float(p.room_c[i])).window
        if found.final_c is not None and found.uncertainty_k is not None:
            errors.append(found.final_c - true)
            inside += abs(errors[-1]) <= found.uncertainty_k
    return Finals(float(np.mean(errors)), inside, len(errors))


def both_chips(n: int) -> tuple[int, int]:
    """Loads of both chips: how many read an interface of one chip out of the power of two."""
    with Pool(2) as pool:
        seen = pool.map(see, pairs(KINDS["both chips"], n, seed=SEED + 51), 8)
    return sum(s.response for p in seen for s in p.sides), 2 * n


def wilson(good: int, of: int) -> tuple[float, float]:
    """Wilson's interval of 95 % for a share."""
    if of == 0:
        return 0.0, 1.0
    z, p = 1.96, good / of
    middle, half = (
        (p + z * z / (2 * of)) / (1 + z * z / of),
        z * np.sqrt(p * (1 - p) / of + z * z / (4 * of * of)) / (1 + z * z / of),
    )
    return max(0.0, float(middle - half)), min(1.0, float(middle + half))


WANTED_SHOWN = {"game": 0.80, "both chips, game": 0.80, "held back, game": 0.80}
NO_GOAL_SHOWN = ("three-minute game", "held back, both chips")


def table(rows: Sequence[Figures]) -> tuple[str, list[str]]:
    """The table by class, and what misses its goal by more than the interval allows."""
    lines = [
        "| class | claimed, nothing changed | true 5 K shown | wrong sign | refused | U95 holds the difference "
        "| … a side | culprit, nothing changed | boost in a game | held back, not so | held back, not told |",
        "|---|---|---|---|---|---|---|---|---|---|---|",
        "| wanted | ≤ 5 % | ≥ 95 %, games 80 % | 0 | | ≥ 93 % | ≥ 93 % | ≤ 5 % | ≤ 5 % | ≤ 5 % | ≤ 3 % |",
    ]
    missed: list[str] = []

    def cell(name: str, what: str, *, pair: tuple[int, int], most: float | None, least: float | None = None) -> str:
        good, of = pair
        if of == 0:
            return "–"
        low, high = wilson(good, of)
        if (most is not None and low > most) or (least is not None and high < least):
            missed.append(f"{name}: {what} {good} of {of}")
        return f"{100 * good / of:.1f} % ({100 * low:.1f}–{100 * high:.1f})"

    for f in rows:
        game = "game" in f.name
        shown = None if f.name in NO_GOAL_SHOWN else WANTED_SHOWN.get(f.name, 0.95)
        lines.append(
            "| "
            + " | ".join(
                [
                    f.name,
                    cell(f.name, "claimed", pair=f.claimed, most=0.05),
                    cell(f.name, "shown", pair=f.shown, most=None, least=shown),
                    f"{f.wrong[0]} of {f.wrong[1]}",
                    f"{f.refused[0]} of {f.refused[1]}",
                    cell(f.name, "difference", pair=f.covered, most=None, least=0.93),
                    cell(f.name, "side", pair=f.side_covered, most=None, least=0.93),
                    cell(f.name, "culprit", pair=f.culprit, most=0.05),
                    cell(f.name, "boost", pair=f.boost, most=0.05 if "held" not in f.name else None) if game else "–",
                    cell(f.name, "held, not so", pair=f.held_not_so, most=0.05) if f.held_not_so[1] > 50 else "–",
                    cell(f.name, "held, not told", pair=f.held_not_told, most=0.03 if not game else None)
                    if f.held_not_told[1]
                    else "–",
                ]
            )
            + " |"
        )
        if f.wrong[0]:
            missed.append(f"{f.name}: wrong sign {f.wrong[0]}")
    return "\n".join(lines), missed
