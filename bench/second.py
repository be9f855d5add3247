"""Verdicts on the second simulated device (bench/second_device.py): what is unchanged, what is better, and pairs in
which an assumption does not hold. bench/accuracy.py prints and judges what is measured."""

from __future__ import annotations

from collections.abc import Callable
from dataclasses import dataclass, field, replace

import numpy as np
from bench.second_device import (
    LEAD_S,
    LOAD_S,
    Devices,
    Ran,
    Session,
    another_day,
    costs_more,
    game,
    held_at,
    logged,
    rooms,
    run,
    some,
)

from vividowl.core.quantities.errors import CoreError
from vividowl.core.reading.reading import read_trace
from vividowl.core.trace.roles import Role
from vividowl.core.trace.trace import Trace
from vividowl.core.verdict.comparison import Comparison, compare
from vividowl.core.verdict.conditions import Conditions
from vividowl.core.verdict.parts import Shown, Side
from vividowl.core.verdict.verdicts import Verdict

SEED = 90_400
NOTED = Conditions(
    load="the same", fan="automatic", power_profile="p", placement="desk", start="cold", die_column="Die", firmware="1"
)
BETTER = (Verdict.IMPROVED, Verdict.IMPROVED_IF_SAME)
OUTRIGHT = (Verdict.IMPROVED, Verdict.WORSE)
Logs = Callable[[Trace], Trace]


def _as_it_is(trace: Trace) -> Trace:
    return trace


def without(*roles: Role) -> Logs:
    """A logger without some of its columns."""
    return lambda t: Trace(t.time_s, {r: v for r, v in t.channels.items() if r not in roles})


def moved(role: Role, by: float) -> Logs:
    """A column that reads otherwise."""
    return lambda t: Trace(t.time_s, {**t.channels, role: t.channels[role] + by})


@dataclass(frozen=True, kw_only=True)
class Class:
    """name; gain_k: what the interface cost more before; after: how the run after differed; both, last: what the
    loggers did, on both sides and after; room_off_k: of the thermometer after; devices: what they are changed to;
    scenes: a game."""

    name: str
    gain_k: float = 0.0
    after: dict[str, object] = field(default_factory=dict)
    both: Logs = _as_it_is
    last: Logs = _as_it_is
    room_off_k: float = 0.0
    held: bool = False
    dry: bool = False
    scenes: bool = False


def _sessions(c: Class, n: int) -> tuple[Session, Session]:
    first, second = Session(room_c=rooms(n, SEED + 1)), replace(Session(room_c=rooms(n, SEED + 2)), **c.after)  # type: ignore[arg-type]
    if c.scenes:
        return replace(first, demand=game(n, SEED + 5)), replace(second, demand=game(n, SEED + 6))
    return first, second


def _devices(c: Class, n: int) -> Devices:
    d = some(n, SEED)
    if c.held:
        d = held_at(d, Session(room_c=np.full(n, 19.5)), (8.0, 20.0), SEED + 7)
    return replace(d, dry_w=0.8 * d.pl1_w) if c.dry else d


@dataclass(frozen=True)
class Judged:
    """A comparison, the true difference [K] at the watts of before, and for both sides whether it is told as held and
    whether it was."""

    found: Comparison
    true_k: float
    held: tuple[tuple[bool, bool], tuple[bool, bool]]


def judged(c: Class, n: int) -> list[Judged]:
    """Pairs of n devices of a class."""
    base, sessions = _devices(c, n), _sessions(c, n)
    before = costs_more(another_day(base, SEED + 3), c.gain_k)
    ran = run(before, sessions[0]), run(another_day(base, SEED + 4), sessions[1])
    rng = np.random.default_rng(SEED + 9)
    out = []
    for i in range(n):
        # The room is noted when the run begins.
        read = [round(float(r.values["room_c"][int(LEAD_S), i] + rng.uniform(-0.5, 0.5)), 1) for r in ran]
        read[1] += c.room_off_k
        logs = [c.both(logged(r, i, SEED + 10 + i + 5000 * k)) for k, r in enumerate(ran)]
        logs[1] = c.last(logs[1])
        try:
            sides = [
                Side(conditions=replace(NOTED, room_c=room), reading=read_trace(log, room))
                for log, room in zip(logs, read, strict=True)
            ]
            found = compare(*sides)
        except CoreError:
            continue
        told = [(s.reading.throttling.share or 0.0) > 0.02 for s in sides]
        was = [_held(r, i) for r in ran]
        out.append(Judged(found, _true_k(ran, i), ((told[0], was[0]), (told[1], was[1]))))
    return out


def _held(ran: Ran, i: int) -> bool:
    return bool(ran.values["held"][int(LEAD_S) : int(LEAD_S + LOAD_S), i].mean() > 0.001)


def _true_k(ran: tuple[Ran, Ran], i: int) -> float:
    late = slice(int(LEAD_S + 0.8 * LOAD_S), int(LEAD_S + LOAD_S))
    of, watts = [], []
    for r in ran:
        v = {name: values[late, i].mean() for name, values in r.values.items()}
        of.append((v["die_c"] - v["room_c"]) / v["power_w"])
        watts.append(v["power_w"])
    return float((of[1] - of[0]) * watts[0])


DIE, POWER, FAN = Role.CPU_TEMPERATURE, Role.CPU_POWER, Role.FAN_SPEED
ODD = (
    (Class(name="window opened", after={"room_moves": lambda t: -5.0 * min(1.0, max(0.0, (t - 300.0) / 120.0))}), 0.10),
    (Class(name="room heated by 2 K", after={"room_moves": lambda t: 2.0 * min(1.0, t / 700.0)}), 0.10),
    (Class(name="fan table raised, not logged", after={"rpm_more": 500.0}, both=without(FAN)), 0.10),
    (Class(name="fan table raised, logged", after={"rpm_more": 500.0}), 0.10),
    (Class(name="power limit a fifth lower, not logged", after={"pl_factor": 0.8}, both=without(POWER)), 0.10),
    (Class(name="power limit a fifth lower, logged", after={"pl_factor": 0.8}), 0.10),
    (Class(name="updater runs for four minutes", after={"updater_s": 240.0}), 0.10),
    (Class(name="pipe at its dry-out, less power after", after={"pl_factor": 0.85}, dry=True), 0.10),
    (Class(name="thermometer in the exhaust, 4 K", room_off_k=4.0), 0.20),
    (Class(name="sensor 3 K lower", last=moved(DIE, -3.0)), 0.30),
    (Class(name="power of the whole device after", last=moved(POWER, 12.0)), 0.10),
)


@dataclass(frozen=True, kw_only=True)
class Row:
    """what; goal in words; good of of, and the share asked for or allowed."""

    what: str
    goal: str
    good: int
    of: int
    asked: float
    most: float = 1.0
    usual: str = ""


def rows(n: int) -> list[Row]:
    """All classes, measured on n devices each."""
    out = []
    same = judged(Class(name="unchanged"), n)
    claims = sum(j.found.claims for j in same)
    out.append(Row(what="unchanged: claimed", goal="at most 5 %", good=claims, of=len(same), asked=0.0, most=0.05))
    kelvins = [(j.found.sensors[0], j.true_k) for j in same]
    holds = sum(abs((s.difference_k or 0.0) - true) <= (s.u95_k or 0.0) for s, true in kelvins)
    usual = f"U {np.median([s.u95_k or 0.0 for s, _ in kelvins]):.1f} K"
    out.append(
        Row(
            what="unchanged: U95 holds the difference",
            goal="93 to 99 %",
            good=holds,
            of=len(same),
            asked=0.93,
            most=0.99,
            usual=usual,
        )
    )
    for gain, asked in ((2.0, 0.60), (3.0, 0.90), (5.0, 0.95)):
        found = judged(Class(name="", gain_k=gain), n)
        shown = sum(j.found.verdict in BETTER for j in found)
        out.append(
            Row(
                what=f"true {gain:.0f} K: shown",
                goal=f"at least {100 * asked:.0f} %",
                good=shown,
                of=len(found),
                asked=asked,
            )
        )
        if gain == 5.0:
            outright = sum(j.found.verdict is Verdict.IMPROVED for j in found)
            out.append(
                Row(what="true 5 K: claimed outright", goal="at least 80 %", good=outright, of=len(found), asked=0.80)
            )
            wrong = sum(j.found.verdict in (Verdict.WORSE, Verdict.WORSE_IF_SAME) for j in found)
            out.append(Row(what="true 5 K: wrong sign", goal="none", good=wrong, of=len(found), asked=0.0, most=0.0))
    pinned = judged(Class(name="", held=True), n)
    clock = sum(j.found.effect("clock").shown in (Shown.BETTER, Shown.WORSE) for j in pinned)
    out.append(
        Row(
            what="unchanged at its limit, another room: clock claimed",
            goal="at most 5 %",
            good=clock,
            of=len(pinned),
            asked=0.0,
            most=0.05,
        )
    )
    scenes = judged(Class(name="", scenes=True), n)
    sides = [side for j in scenes for side in j.held if not side[1]]
    false = sum(told for told, _ in sides)
    out.append(
        Row(what="game, never held: told as held", goal="at most 5 %", good=false, of=len(sides), asked=0.0, most=0.05)
    )
    for case, most in ODD:
        found = judged(case, n)
        outright = sum(j.found.verdict in OUTRIGHT for j in found)
        ifs = sum(j.found.claims for j in found) - outright
        goal = f"claimed outright in at most {100 * most:.0f} %"
        out.append(
            Row(
                what=case.name,
                goal=goal,
                good=outright,
                of=len(found),
                asked=0.0,
                most=most,
                usual=f"{ifs} told with an if",
            )
        )
    return out
