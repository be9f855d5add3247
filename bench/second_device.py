"""A second simulated device, whose equations are not those of tests/rough_device.py: a loop of vapour that dries out,
leakage that grows with the square of the temperature, power limits by an exponential average, fans in steps, a
governor that works in steps of clock, and a logger that writes the hottest of several cores in whole kelvins.

All values are invented within what devices of the trade show; from memory. Many devices are run at once.
"""

from __future__ import annotations

from collections.abc import Callable
from dataclasses import dataclass, field, replace

import numpy as np
from numpy.typing import NDArray

from vividowl.core.trace.roles import Role
from vividowl.core.trace.trace import Trace

Array = NDArray[np.float64]
STEP_S = 0.25  # [s] (numerics)
LEAD_S, LOAD_S = 60.0, 900.0


@dataclass(frozen=True, kw_only=True)
class Devices:
    """n devices. Conductances [W/K], capacities [J/K], powers [W], temperatures [degC]; dry_w: heat from which the
    loop dries out; steps: how many the fan has, 0 for a smooth one; limit_c: of the die."""

    paste: Array
    plate: Array
    loop: Array
    dry_w: Array
    fins: Array
    board: Array
    case: Array
    pl1_w: Array
    pl2_w: Array
    tau_s: Array
    idle_w: Array
    leak_w: Array
    rpm: Array
    fan_low_c: Array
    fan_span_k: Array
    steps: NDArray[np.int64]
    limit_c: Array
    clock_mhz: Array
    capacities: Array

    @property
    def n(self) -> int:
        """How many."""
        return len(self.paste)


def some(n: int, seed: int) -> Devices:
    """n devices at random."""
    rng = np.random.default_rng(seed)

    def u(low: float, high: float) -> Array:
        return rng.uniform(low, high, n)

    heat = np.exp(u(np.log(16.0), np.log(105.0)))
    rise = u(46.0, 76.0)
    parts = rng.dirichlet((3.0, 2.0, 1.5, 5.0, 2.0), n) * 0.7 + 0.06
    paste, plate, loop, fins, case = (heat / (rise * share) for share in parts.T)
    # No part may answer within one step of the computation.
    quick = (0.6 * paste, 0.6 * (paste + plate), 0.6 * (plate + loop))
    usual = (0.03 * heat, 0.5 * heat, 0.4 * heat)
    caps = np.vstack((*(np.maximum(a, b) for a, b in zip(usual, quick, strict=True)), 1.6 * heat, 9.0 * heat, 2 * heat))
    return Devices(
        paste=paste,
        plate=plate,
        loop=loop,
        dry_w=heat * u(1.5, 3.0),
        fins=fins,
        board=heat * 0.02,
        case=case,
        pl1_w=heat,
        pl2_w=heat * u(1.2, 1.7),
        tau_s=u(6.0, 30.0),
        idle_w=heat * u(0.05, 0.12),
        leak_w=heat * u(0.02, 0.07),
        rpm=u(2600.0, 6200.0),
        fan_low_c=u(42.0, 58.0),
        fan_span_k=u(20.0, 40.0),
        steps=np.where(rng.random(n) < 0.4, rng.integers(4, 9, n), 0),
        limit_c=np.full(n, 150.0),
        clock_mhz=np.round(u(2700.0, 4800.0), -2),
        capacities=caps,
    )


@dataclass(frozen=True, kw_only=True)
class Session:
    """How a run was made: room_c [degC] by device, room_moves: what the room does over time [K]; demand: share of the
    load over time; pl_factor: on the power limit; rpm_more: on the fan's table; extra_w: heat of charging;
    updater_s: how long other work goes on."""

    room_c: Array
    room_moves: Callable[[float], float] = lambda _: 0.0
    demand: Callable[[float], Array | float] = lambda _: 1.0
    pl_factor: float = 1.0
    rpm_more: float = 0.0
    extra_w: float = 0.0
    updater_s: float = 0.0
    load_s: float = LOAD_S


@dataclass(frozen=True)
class Ran:
    """time_s (k,); die_c, power_w, rpm, clock_mhz, use, room_c, held (k, n)."""

    time_s: Array
    values: dict[str, Array] = field(default_factory=dict)


def run(d: Devices, s: Session) -> Ran:
    """Run a session on all devices."""
    n, steps = d.n, int((LEAD_S + s.load_s + 30.0) / STEP_S)
    every = round(1.0 / STEP_S)
    die, plate, vapour, fin, case, board = (np.array(s.room_c) + k for k in (6.0, 5.0, 4.0, 3.0, 2.0, 2.0))
    average, clock, level, speed = d.idle_w.copy(), np.ones(n), np.zeros(n), d.rpm * 0.35
    kept: list[tuple[Array, ...]] = []
    c = d.capacities
    for k in range(steps):
        t = k * STEP_S - LEAD_S
        room = s.room_c + s.room_moves(max(0.0, t))
        loaded = 0.0 <= t < s.load_s
        use = np.asarray(s.demand(t)) * np.ones(n) if loaded else np.full(n, 0.02)
        if loaded and t < s.updater_s:
            use = np.minimum(1.0, use + 0.2)
        ceiling = np.where(average < d.pl1_w * s.pl_factor, d.pl2_w, d.pl1_w * s.pl_factor)
        # The governor takes and gives a step of clock every half second; power goes with its power of 2.4.
        if k % 2 == 0:
            clock = np.clip(clock + np.where(die > d.limit_c, -0.012, 0.004), 0.35, 1.0)
        wanted = d.idle_w + use * (ceiling - d.idle_w)
        power = wanted * np.where(use > 0.1, clock**2.4, 1.0) + d.leak_w * np.maximum(0.0, die / 80.0) ** 2
        average = average + (power - average) * STEP_S / d.tau_s
        if k % 4 == 0:
            goal = np.clip((die - d.fan_low_c) / d.fan_span_k, 0.0, 1.0)
            stepped = np.round(goal * np.maximum(1, d.steps)) / np.maximum(1, d.steps)
            # A step is left only when the temperature is well off it.
            level = np.where((d.steps > 0) & (np.abs(goal - level) < 0.7 / np.maximum(1, d.steps)), level, goal)
            level = np.where(d.steps > 0, np.where(np.abs(stepped - level) > 1e-9, stepped, level), goal)
        target = d.rpm * (0.35 + 0.65 * level) + s.rpm_more
        speed = speed + (target - speed) * STEP_S / 5.0
        flow = speed / d.rpm
        q1 = (die - plate) * d.paste
        q2 = (plate - vapour) * d.plate
        wet = d.loop / (1.0 + 4.0 * np.maximum(0.0, q2 / d.dry_w - 1.0))
        q3 = (vapour - fin) * wet
        q4 = (fin - room) * d.fins * flow**0.62
        q5 = (plate - board) * d.board
        q6 = (board - case) * d.board
        q7 = (case - room) * d.case * 0.06
        q8 = (fin - case) * d.case * 0.04
        die = die + (power - q1) * STEP_S / c[0]
        plate = plate + (q1 - q2 - q5) * STEP_S / c[1]
        vapour = vapour + (q2 - q3) * STEP_S / c[2]
        fin = fin + (q3 - q4 - q8) * STEP_S / c[3]
        case = case + (q6 + q8 - q7) * STEP_S / c[4]
        board = board + (q5 + s.extra_w - q6) * STEP_S / c[5]
        if k % every == 0:
            # At work the clock of a power limit goes with the cube root of what it leaves.
            shown = d.clock_mhz * np.where(use > 0.1, clock * (ceiling / d.pl2_w) ** 0.36, 0.25)
            held = (clock < 0.985) & loaded
            kept.append((die, power, speed, shown, 100.0 * use, room + np.zeros(n), held.astype(float)))
    names = ("die_c", "power_w", "rpm", "clock_mhz", "use", "room_c", "held")
    values = {name: np.array([row[i] for row in kept]) for i, name in enumerate(names)}
    return Ran(np.arange(len(kept)) * 1.0, values)


def logged(ran: Ran, i: int, seed: int, *, power_off: float = 0.0) -> Trace:
    """What the logger of device i wrote: the hottest of six cores in whole kelvins, with jitter in time."""
    rng = np.random.default_rng(seed)
    v = {name: values[:, i] for name, values in ran.values.items()}
    k = len(ran.time_s)
    cores = v["die_c"][:, None] + rng.normal(0.0, 0.6, (k, 6)) - np.linspace(0.0, 3.0, 6)
    time_s = np.maximum.accumulate(ran.time_s + rng.uniform(0.0, 0.05, k))
    return Trace(
        time_s,
        {
            Role.CPU_TEMPERATURE: np.round(cores.max(axis=1)),
            Role.CPU_POWER: np.round(v["power_w"] * (1.0 + power_off + rng.normal(0.0, 0.01, k)), 1),
            Role.CPU_CLOCK: np.round(v["clock_mhz"] * (1.0 + rng.normal(0.0, 0.004, k))),
            Role.CPU_UTILISATION: np.clip(np.round(v["use"] + rng.normal(0.0, 1.0, k), 1), 0.0, 100.0),
            Role.FAN_SPEED: np.round(v["rpm"] + rng.normal(0.0, 12.0, k)),
        },
    )


def another_day(d: Devices, seed: int) -> Devices:
    """The same devices another day: paste within 1 %, fins within 1.2 %."""
    rng = np.random.default_rng(seed)
    return replace(d, paste=d.paste * rng.normal(1.0, 0.01, d.n), fins=d.fins * rng.normal(1.0, 0.012, d.n))


def costs_more(d: Devices, kelvins: float) -> Devices:
    """An interface that costs so much more at the power limit."""
    return replace(d, paste=1.0 / (1.0 / d.paste + kelvins / d.pl1_w))


def rooms(n: int, seed: int) -> Array:
    """Rooms of a shop over the year [degC]."""
    return np.random.default_rng(seed).uniform(19.5, 25.5, n)


def game(n: int, seed: int) -> Callable[[float], Array]:
    """Demand of a game: scenes of 15 to 60 s."""
    rng = np.random.default_rng(seed)
    ends = np.cumsum(rng.uniform(15.0, 60.0, (120, n)), axis=0)
    levels = np.clip(rng.normal(rng.uniform(0.6, 0.85, n), 0.12, (121, n)), 0.35, 1.0)
    at = np.zeros(n, dtype=int)

    def demand(t: float) -> Array:
        nonlocal at
        at = np.minimum(120, np.sum(ends < t, axis=0))
        return levels[at, np.arange(n)]

    return demand


def held_at(d: Devices, s: Session, below_k: tuple[float, float], seed: int) -> Devices:
    """The devices with a limit so far below what they would reach."""
    free = run(d, s).values["die_c"].max(axis=0)
    return replace(d, limit_c=np.round(free - np.random.default_rng(seed).uniform(*below_k, d.n)))
