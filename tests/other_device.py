"""A second, independently written simulator, to check the reading against equations that it does not assume.

Other than the product's own: a fan table in steps with hysteresis, heat given to a stream by effectiveness and number
of transfer units, intake air warmed by the case (so that the slow part is recirculation), natural convection that grows
with the temperature difference, leakage that doubles over a range of temperature, and a room that drifts and breathes.
All devices of a batch are computed at once; nothing of the product is used.
"""

from __future__ import annotations

from dataclasses import dataclass, fields, replace

import numpy as np
from numpy.typing import NDArray

Array = NDArray[np.float64]
STEP_S = 0.05
AIR_HEAT = 1190.0  # J/(m3 K) at 25 degC, textbook
FAN_STEPS_C = np.array([44.0, 48.0, 52.0, 56.0, 60.0, 64.0, 68.0, 72.0, 76.0, 80.0, 84.0])
FAN_SHARES = np.linspace(0.40, 1.0, 12)
HYSTERESIS_K = 3.0


@dataclass(frozen=True, kw_only=True)
class Batch:
    """One value a device (n,). Conductances [W/K], capacities [J/K], powers [W], flow [m3/s], temperatures [degC]."""

    interface: Array
    spread: Array
    fin_full: Array
    flow_full: Array
    to_case: Array
    case_out: Array
    recirculation: Array
    die_heat: Array
    base_heat: Array
    fin_heat: Array
    case_heat: Array
    idle: Array
    boost: Array
    sustained: Array
    boost_s: Array
    leakage: Array
    limit_c: Array
    room_c: Array
    drift_k: Array

    @property
    def size(self) -> int:
        """Devices in the batch."""
        return len(self.interface)


def random_batch(n: int, seed: int, *, limit_c: float = 200.0) -> Batch:
    """Random devices from a thin laptop to a console. A limit of 200 degC never holds one back."""
    rng = np.random.default_rng(seed)

    def between(low: float, high: float) -> Array:
        return rng.uniform(low, high, n)

    sustained = between(14.0, 95.0)
    rise = between(34.0, 52.0)
    share_interface, share_spread = between(0.10, 0.42), between(0.06, 0.14)
    interface = sustained / (share_interface * rise)
    spread = sustained / (share_spread * rise)
    left = (1.0 - share_interface - share_spread) * rise
    # What is left goes to the stream: half the difference heats the air, half drives the heat into it.
    flow_full = sustained / (AIR_HEAT * left * between(0.35, 0.5))
    fin_full = AIR_HEAT * flow_full * between(1.0, 1.6)
    die_heat = between(0.4, 1.6) / (share_interface * rise) * sustained
    return Batch(
        interface=interface,
        spread=spread,
        fin_full=fin_full,
        flow_full=flow_full,
        to_case=sustained / (rise * between(6.0, 10.0)),
        case_out=sustained * between(0.010, 0.022),
        recirculation=between(0.25, 0.6),
        die_heat=die_heat,
        base_heat=between(9.0, 18.0) * (interface + spread),
        fin_heat=between(12.0, 30.0) * fin_full * 0.5,
        case_heat=sustained * between(8.0, 24.0),
        idle=sustained * between(0.06, 0.12),
        boost=sustained * between(1.15, 1.5),
        sustained=sustained,
        boost_s=between(12.0, 55.0),
        leakage=between(0.02, 0.08),
        limit_c=np.full(n, limit_c),
        room_c=between(19.0, 28.0),
        drift_k=rng.uniform(-0.5, 0.5, n),
    )


def changed(batch: Batch, **arrays: Array) -> Batch:
    """The same devices with something else about them."""
    return replace(batch, **arrays)


def one(batch: Batch, index: int) -> Batch:
    """A batch of one."""
    return Batch(**{f.name: getattr(batch, f.name)[index : index + 1] for f in fields(batch)})


@dataclass(frozen=True)
class Runs:
    """time_s (t,); die_c, power, fan_rpm, utilisation, held (t, n): what a perfect logger would have seen.

    final_c (n,): where the die ends when the load goes on; slow_share (t, n): how far the case has come by then.
    """

    time_s: Array
    die_c: Array
    power: Array
    fan_rpm: Array
    utilisation: Array
    held: Array
    final_c: Array
    slow_share: Array


def run(
    b: Batch,
    *,
    lead_s: float = 40.0,
    load_s: float = 1200.0,
    tail_s: float = 60.0,
    interval_s: float = 1.0,
    settle: bool = True,
    start_at: float = 0.0,
) -> Runs:
    """Idle, load, idle. final_c is where the die ends when the load goes on for ever, with the room of its end."""
    n = b.size
    die, base, fin, case = (np.full(n, 0.0) for _ in range(4))
    step_of = np.zeros(n, dtype=int)
    share = np.full(n, FAN_SHARES[0])
    clamp, integral = np.ones(n), np.zeros(n)
    die, base, fin, case = b.room_c + 4.0, b.room_c + 3.5, b.room_c + 3.0, b.room_c + 1.0
    felt = die.copy()

    def advance(room: Array, wanted: Array, dt: float, loaded: bool) -> tuple[Array, Array]:
        nonlocal die, base, fin, case, felt, step_of, share, clamp, integral
        felt = felt + (die - felt) * dt / 4.0
        up = np.searchsorted(FAN_STEPS_C, felt)
        down = np.searchsorted(FAN_STEPS_C, felt + HYSTERESIS_K)
        step_of = np.where(up > step_of, up, np.where(down < step_of, down, step_of))
        goal = FAN_SHARES[step_of]
        share = share + np.clip(goal - share, -0.05 * dt, 0.05 * dt)
        # A proportional and integral controller takes watts away above the limit.
        over = die - (b.limit_c - 1.0)
        integral = np.clip(integral + over * dt * 0.004, 0.0, 0.9)
        clamp = np.clip(1.0 - integral - 0.02 * np.maximum(0.0, over), 0.1, 1.0)
        dynamic = np.where(loaded, np.maximum(b.idle, wanted * clamp), b.idle)
        power = dynamic * (1.0 - b.leakage) + dynamic * b.leakage * 2.0 ** ((die - 60.0) / 30.0)
        stream = AIR_HEAT * b.flow_full * share
        ntu = b.fin_full * share**0.6 / stream
        intake = room + b.recirculation * (case - room)
        to_air = stream * (1.0 - np.exp(-ntu)) * (fin - intake)
        q1, q2 = b.interface * (die - base), b.spread * (base - fin)
        q3 = b.to_case * (fin - case) + 0.15 * to_air
        out = b.case_out * np.maximum(0.3, np.abs(case - room)) ** 0.25 * (case - room) * 2.0
        die = die + dt * (power - q1) / b.die_heat
        base = base + dt * (q1 - q2) / b.base_heat
        fin = fin + dt * (q2 - to_air - b.to_case * (fin - case)) / b.fin_heat
        case = case + dt * (q3 - out) / b.case_heat
        return power, clamp

    for _ in range(int(2500.0 / STEP_S / 4)):  # the device has idled for long before the log begins
        advance(b.room_c, b.idle, 4 * STEP_S, False)
    case_idle = case.copy()
    case_end = case
    every = round(interval_s / STEP_S)
    whole = round((lead_s + load_s + tail_s) / STEP_S)
    rows: list[list[Array]] = []
    times = []
    final = np.full(n, np.nan)
    for i in range(whole):
        t = i * STEP_S
        loaded = lead_s <= t + 1e-9 < lead_s + load_s
        room = b.room_c + b.drift_k * t / 1200.0 + 0.12 * np.sin(t / 45.0)
        wanted = np.where(t - lead_s < b.boost_s, b.boost, b.sustained) if loaded else b.idle
        if i == round((lead_s + load_s) / STEP_S) and settle:
            kept = (die, base, fin, case, felt, step_of, share, clamp, integral)
            still = b.room_c + b.drift_k * t / 1200.0
            for _ in range(int(5000.0 / (2 * STEP_S))):
                advance(still, b.sustained, 2 * STEP_S, True)
            final, case_end = die.copy(), case.copy()
            die, base, fin, case, felt, step_of, share, clamp, integral = kept
        power, held = advance(room, wanted, STEP_S, loaded)
        if i % every == 0:
            times.append(t)
            rows.append(
                [die.copy(), power, 4600.0 * share, np.full(n, 100.0 if loaded else 2.0), held < 0.97, case.copy()]
            )
    table = np.array(rows, dtype=float)
    share_of_rise = (table[:, 5] - case_idle) / (case_end - case_idle if settle else np.full(n, np.nan))
    return Runs(np.array(times), *(table[:, k] for k in range(5)), final, share_of_rise)


def foster(b: Batch, index: int, share: float) -> tuple[Array, Array]:
    """Resistances and time constants of one device at a fixed fan, by eigenvalues of its linear network."""
    d = one(b, index)
    stream = AIR_HEAT * d.flow_full[0] * share
    g_air = stream * (1.0 - np.exp(-d.fin_full[0] * share**0.6 / stream))
    g1, g2, gc = d.interface[0], d.spread[0], d.to_case[0]
    r = d.recirculation[0]
    out = d.case_out[0] * 8.0**0.25 * 2.0 * 1.25
    a = np.array(
        [
            [-g1, g1, 0, 0],
            [g1, -g1 - g2, g2, 0],
            [0, g2, -g2 - g_air - gc, gc + g_air * r],
            [0, 0, gc + 0.15 * g_air, -gc - 0.15 * g_air * r - out],
        ]
    )
    heat = np.array([d.die_heat[0], d.base_heat[0], d.fin_heat[0], d.case_heat[0]])
    values, vectors = np.linalg.eig(a / heat[:, None])
    weights = vectors[0] * np.linalg.solve(vectors, np.array([1.0 / heat[0], 0, 0, 0]))
    tau = -1.0 / values.real
    order = np.argsort(tau)
    return (weights.real * tau)[order], tau[order]
