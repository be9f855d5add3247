"""Verdicts on pairs in which one assumption does not hold: how often something is claimed outright, class by class.

Nothing changed in the cooler of these devices, or it got worse. The devices and loggers are those of
tests/rough_device.py and tests/rough_logs.py; what moves between the sides is put into the logs and conditions here.
bench/accuracy.py prints and judges what is measured.
"""

from __future__ import annotations

from collections.abc import Callable
from dataclasses import dataclass, replace

import numpy as np
from tests.rough_logs import KINDS, Pair, pairs, sides_of

from vividowl.core.quantities.errors import CoreError
from vividowl.core.reading.reading import read_trace
from vividowl.core.trace.roles import Role
from vividowl.core.trace.trace import Trace
from vividowl.core.verdict.comparison import compare
from vividowl.core.verdict.parts import Side
from vividowl.core.verdict.verdicts import Verdict

SEED = 73_000_000  # none of the devices that a constant was looked at with
DIE, POWER, CLOCK, USE, FAN = (
    Role.CPU_TEMPERATURE,
    Role.CPU_POWER,
    Role.CPU_CLOCK,
    Role.CPU_UTILISATION,
    Role.FAN_SPEED,
)
OUTRIGHT = (Verdict.IMPROVED, Verdict.WORSE)
Change = Callable[[Pair], Pair]


@dataclass(frozen=True, kw_only=True)
class Odd:
    """name; change: what is done to a pair; most: share of outright claims that is allowed; columns: headings of the
    die's column on both sides; worse_k: what the interface costs more after [K]."""

    name: str
    change: Change
    most: float = 0.10
    columns: tuple[str, str] = ("Die", "Die")
    firmware: tuple[str, str] = ("1", "1")
    worse_k: float = 0.0


def _with(trace: Trace, drop: tuple[Role, ...] = (), **channels: np.ndarray) -> Trace:
    kept = {role: values for role, values in trace.channels.items() if role not in drop}
    return Trace(trace.time_s, {**kept, **{Role(name): values for name, values in channels.items()}})


def _die(trace: Trace, move: Callable[[np.ndarray, np.ndarray, np.ndarray], np.ndarray]) -> Trace:
    """The die moved; what moves it sees time, die and whether it works, and the logger's whole kelvins stay."""
    die, use = trace.channels[DIE], trace.channels[USE]
    return _with(trace, cpu_temperature=np.round(move(trace.time_s, die, use > 30.0)))


def _lower_limit(p: Pair) -> Pair:
    """The power limit is a fifth lower after, and no power is logged: leakage aside the rise falls with it."""
    after = _die(p.after, lambda t, die, works: np.where(works, p.rooms[1] + 0.82 * (die - p.rooms[1]), die))
    clock = p.after.channels.get(CLOCK)
    if clock is not None:
        after = _with(after, cpu_clock=np.where(after.channels[USE] > 30.0, 0.93 * clock, clock))
    return replace(p, before=_with(p.before, (POWER,)), after=_with(after, (POWER,)))


def _fan_table(p: Pair) -> Pair:
    after = _die(p.after, lambda t, die, works: np.where(works, die - 0.09 * (die - p.rooms[1]), die))
    return replace(p, before=_with(p.before, (FAN,)), after=_with(after, (FAN,)))


def _window(p: Pair) -> Pair:
    return replace(p, after=_die(p.after, lambda t, die, works: die - 5.0 * np.clip((t - 330.0) / 120.0, 0.0, 1.0)))


def _heating(p: Pair) -> Pair:
    return replace(p, after=_die(p.after, lambda t, die, works: die + 2.0 * np.clip(t / 600.0, 0.0, 1.0)))


def _exhaust(p: Pair) -> Pair:
    return replace(p, rooms=(p.rooms[0], p.rooms[1] + 4.0))


def _offset(p: Pair) -> Pair:
    return replace(p, after=_die(p.after, lambda t, die, works: die - 3.0))


def _other_column(p: Pair) -> Pair:
    return replace(p, after=_die(p.after, lambda t, die, works: np.where(works, die - 5.0, die - 0.7)))


def _clipped(p: Pair) -> Pair:
    """Neither side shows more than what Before reaches three minutes before its end, less three kelvins."""
    die, use = p.before.channels[DIE], p.before.channels[USE]
    top = float(np.nanpercentile(die[use > 30.0], 60)) - 3.0
    rng = np.random.default_rng(3)
    noisy = [_die(x, lambda t, v, works: np.minimum(v, top) + rng.normal(0, 0.3, len(v))) for x in (p.before, p.after)]
    return replace(p, before=noisy[0], after=noisy[1])


def _whole_power(p: Pair) -> Pair:
    return replace(p, after=_with(p.after, cpu_power=p.after.channels[POWER] + 12.0))


def _dry_out(p: Pair) -> Pair:
    """A pipe at its dry-out before; after the power is 15 % lower and the resistance a tenth."""
    after = _die(p.after, lambda t, die, works: np.where(works, p.rooms[1] + 0.765 * (die - p.rooms[1]), die))
    power = after.channels[POWER]
    return replace(p, after=_with(after, cpu_power=np.where(after.channels[USE] > 30.0, 0.85 * power, power)))


def _lighter(p: Pair) -> Pair:
    after = _die(p.after, lambda t, die, works: np.where(works, p.rooms[1] + 0.68 * (die - p.rooms[1]), die))
    use = after.channels[USE]
    after = _with(after, (POWER,), cpu_utilisation=np.where(use > 30.0, 0.42 * use, use))
    return replace(p, before=_with(p.before, (POWER,)), after=after)


CLASSES = (
    Odd(name="power limit a fifth lower, power not logged", change=_lower_limit),
    Odd(name="fan table raised, fan not logged", change=_fan_table),
    Odd(name="window opened", change=_window),
    Odd(name="room heated by 2 K", change=_heating),
    Odd(name="thermometer in the exhaust, 4 K", change=_exhaust, most=0.20),
    Odd(name="sensor 3 K lower, nothing noted", change=_offset, most=0.30),
    Odd(name="sensor 3 K lower, new firmware noted", change=_offset, firmware=("1", "2")),
    Odd(name="another column of the die, 5 K lower", change=_other_column, columns=("Core Max", "Package")),
    Odd(name="sensor clips, 5 K worse", change=_clipped, worse_k=5.0),
    Odd(name="power of the whole device after", change=_whole_power),
    Odd(name="pipe at its dry-out, less power after", change=_dry_out),
    Odd(name="lighter scene, power not logged", change=_lighter),
)


def _sides(odd: Odd, pair: Pair) -> tuple[Side, Side]:
    noted = sides_of(pair)
    out = []
    for at, (side, trace) in enumerate(zip(noted, (pair.before, pair.after), strict=True)):
        given = replace(side.conditions, die_column=odd.columns[at], firmware=odd.firmware[at])
        out.append(Side(conditions=given, reading=read_trace(trace, pair.rooms[at])))
    return out[0], out[1]


def outright(odd: Odd, n: int) -> tuple[int, int, int]:
    """Of n pairs: claimed outright, claimed with an if, judged at all."""
    told: list[Verdict] = []
    for pair in pairs(KINDS["steady"], n, seed=SEED, extra_k=(0.0, odd.worse_k)):
        try:
            told.append(compare(*_sides(odd, odd.change(pair))).verdict)
        except CoreError:
            continue
    ifs = sum(v in (Verdict.IMPROVED_IF_SAME, Verdict.WORSE_IF_SAME) for v in told)
    # What got worse may be called so.
    false = (Verdict.IMPROVED,) if odd.worse_k else OUTRIGHT
    return sum(v in false for v in told), ifs, len(told)
