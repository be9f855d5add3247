"""The second simulator at its roughest: devices, loads and loggers as people really have them.

Nine heat capacities (two dies, their lids or spreaders, base, pipe, fins, case, table), leakage, a governor that acts
late and overshoots, a fan table in steps with hysteresis and dwell, games with scenes, loops with pauses, background
bursts, warm starts, rooms that drift and cycle. All devices of a fleet are computed at once. Nothing of the product is
used, and its product counterpart shares no equation but the heat balance. All values are from memory.
"""

from __future__ import annotations

from dataclasses import dataclass, fields, replace

import numpy as np
from numpy.typing import NDArray
from tests.other_device import AIR_HEAT, Array

STEP_S = 0.1
KEPT_S = 0.2
EVERY = round(KEPT_S / STEP_S)
FAN_STEPS = 11
IDLE_SHORTER = 6.0


@dataclass(frozen=True, kw_only=True)
class Fleet:
    """One value a device (n,). Conductances [W/K], capacities [J/K], powers [W], flow [m3/s], temperatures [degC]."""

    die_lid: Array
    lid_base: Array
    gpu_lid: Array
    glid_base: Array
    base_pipe: Array
    pipe_fin: Array
    fin_full: Array
    flow_full: Array
    base_case: Array
    exhaust_share: Array
    case_out: Array
    case_table: Array
    table_out: Array
    recirculation: Array
    die_heat: Array
    lid_heat: Array
    gpu_heat: Array
    base_heat: Array
    pipe_heat: Array
    fin_heat: Array
    case_heat: Array
    table_heat: Array
    core_rise: Array
    idle: Array
    sustained: Array
    gpu_idle: Array
    gpu_sustained: Array
    boost_share: Array
    boost_s: Array
    leakage: Array
    limit_c: Array
    fan_start_c: Array
    fan_span_k: Array
    fan_low: Array
    fan_rpm: Array
    smooth_fan: Array
    governor_gain: Array
    clock_mhz: Array

    @property
    def size(self) -> int:
        """Devices in the fleet."""
        return len(self.idle)


def fleet(n: int, seed: int, *, lid: bool = False, both: bool = False) -> Fleet:
    """Random healthy devices; lid: a thick lid over the processor; both: graphics take a good part of the power."""
    rng = np.random.default_rng(seed)

    def u(low: float, high: float) -> Array:
        return rng.uniform(low, high, n)

    heat = np.exp(u(np.log(14.0), np.log(110.0)))
    gpu = heat * (u(0.35, 0.65) if both else np.full(n, 0.02))
    cpu = heat - gpu
    rise = u(36.0, 56.0)
    to_lid, to_base = u(0.08, 0.20), (u(0.10, 0.20) if lid else u(0.05, 0.12))
    spread, pipe = u(0.04, 0.09), u(0.06, 0.14)
    left = (1.0 - to_lid - to_base - spread - pipe) * rise
    die_lid, lid_base = cpu / (to_lid * rise), cpu / (to_base * rise)
    gpu_rise = u(0.12, 0.25) * rise
    gpu_lid, glid_base = 2.0 * np.maximum(gpu, 1.0) / gpu_rise, 2.0 * np.maximum(gpu, 1.0) / gpu_rise
    # Every third keeps its fan near one speed, so that nothing eases what the case gathers.
    fan_low = np.where(rng.random(n) < 0.33, u(0.75, 1.0), u(0.25, 0.5))
    flow = heat / (AIR_HEAT * left * u(0.35, 0.5))
    lid_heat = np.maximum(u(10.0, 22.0) if lid else u(0.6, 1.4) * cpu / 30.0, 0.4 * (die_lid + lid_base))
    return Fleet(
        die_lid=die_lid,
        lid_base=lid_base,
        gpu_lid=gpu_lid,
        glid_base=glid_base,
        base_pipe=heat / (spread * rise),
        pipe_fin=heat / (pipe * rise),
        fin_full=AIR_HEAT * flow * u(1.0, 1.7),
        flow_full=flow,
        base_case=heat / rise / u(5.0, 14.0),
        exhaust_share=u(0.08, 0.3),
        case_out=heat * u(0.010, 0.022),
        case_table=heat * u(0.002, 0.008),
        table_out=heat * u(0.002, 0.006),
        recirculation=u(0.2, 0.8),
        die_heat=np.maximum(u(0.3, 1.0) * cpu / 30.0, 0.4 * die_lid),
        lid_heat=lid_heat,
        gpu_heat=np.maximum(u(0.4, 1.2) * gpu / 30.0, 0.4 * gpu_lid),
        base_heat=heat * u(0.5, 1.4),
        pipe_heat=heat * u(0.5, 1.6),
        fin_heat=heat * u(1.0, 3.5),
        case_heat=heat * u(7.0, 22.0),
        table_heat=heat * u(20.0, 60.0),
        core_rise=u(0.02, 0.08),
        idle=heat * u(0.05, 0.14),
        sustained=cpu,
        gpu_idle=gpu * u(0.08, 0.2) / 1.0,
        gpu_sustained=gpu,
        boost_share=u(1.1, 1.6),
        boost_s=u(8.0, 50.0),
        leakage=u(0.02, 0.09),
        limit_c=np.full(n, 200.0),
        fan_start_c=u(38.0, 55.0),
        fan_span_k=u(25.0, 45.0),
        fan_low=fan_low,
        fan_rpm=u(2600.0, 6500.0),
        smooth_fan=rng.random(n) < 0.35,
        governor_gain=u(0.003, 0.012),
        clock_mhz=np.round(u(2600.0, 4900.0), -2),
    )


def changed(f: Fleet, **arrays: Array) -> Fleet:
    """The same devices with something else about them."""
    return replace(f, **arrays)


def part(f: Fleet, which: NDArray[np.bool_] | NDArray[np.int64]) -> Fleet:
    """Some of the devices."""
    return Fleet(**{x.name: getattr(f, x.name)[which] for x in fields(f)})


def hotter_interface(f: Fleet, kelvins: Array | float) -> Fleet:
    """The same devices with an interface that costs so many kelvins more at the sustained power (fewer: negative)."""
    cost = f.sustained / f.lid_base + np.asarray(kelvins)
    if not (cost > 0.2).all():
        raise ValueError("there is not so much interface to take away")
    return changed(f, lid_base=f.sustained / cost)


@dataclass(frozen=True, kw_only=True)
class Plan:
    """How a session goes. kind: steady, loop, game; times [s]; warm (n,): begun after another load; room_c (n,);
    burst_rate: background bursts a minute; busy: of graphics as well."""

    kind: str
    load_s: float
    lead_s: Array
    tail_s: float
    room_c: Array
    warm: NDArray[np.bool_]
    burst_rate: float = 0.25
    fan_forced: float | None = None


def plan(
    n: int,
    seed: int,
    kind: str,
    load_s: float,
    *,
    warm_share: float = 0.0,
    room: tuple[float, float] = (18.0, 27.0),
    burst_rate: float = 0.25,
    fan_forced: float | None = None,
) -> Plan:
    """A session of each of n devices."""
    rng = np.random.default_rng(seed)
    return Plan(
        kind=kind,
        load_s=load_s,
        lead_s=rng.uniform(25.0, 90.0, n),
        tail_s=100.0,
        room_c=rng.uniform(*room, n),
        warm=rng.random(n) < warm_share,
        burst_rate=burst_rate,
        fan_forced=fan_forced,
    )


@dataclass(frozen=True)
class Session:
    """time_s (t,); the rest (t, n): what perfect sensors would have seen. loaded: the load asks for power."""

    time_s: Array
    die_c: Array
    gpu_c: Array
    cpu_w: Array
    gpu_w: Array
    fan_rpm: Array
    use: Array
    clock_mhz: Array
    room_c: Array
    held: Array
    loaded: NDArray[np.bool_]
    lead_s: Array
    load_s: float


def _demand(f: Fleet, p: Plan, seed: int, steps: int) -> tuple[Array, Array]:
    """Share of the sustained power that the work asks for (t, n), and utilisation."""
    rng = np.random.default_rng(seed)
    n = f.size
    time = np.arange(steps)[:, None] * STEP_S
    since = time - p.lead_s
    loaded = (since >= 0) & (since < p.load_s)
    ask = np.zeros((steps, n), dtype=np.float32)
    if p.kind == "game":
        for i in range(n):
            t, levels = 0.0, np.ones(steps)
            usual = 0.86
            while t < steps * STEP_S:
                length = rng.uniform(12.0, 90.0)
                level = np.clip(rng.normal(usual, 0.10), 0.5, 1.0)
                levels[int(t / STEP_S) : int((t + length) / STEP_S)] = level
                t += length
            ask[:, i] = levels
        wobble = np.zeros(n)
        for k in range(steps):
            if k % 10 == 0:
                wobble = 0.9 * wobble + rng.normal(0.0, 0.025, n)
            ask[k] *= 1.0 + wobble
    else:
        ask[:] = 1.0
        boost = since < f.boost_s
        ask = np.where(boost, f.boost_share, ask)
    use = np.where(loaded, np.clip(100.0 * np.minimum(1.0, ask), 0, 100), 1.5)
    ask = np.where(loaded, ask, 0.0)
    if p.kind == "loop":
        whole, pause = rng.uniform(60.0, 170.0, n), rng.uniform(3.0, 10.0, n)
        resting = loaded & (since % whole > whole - pause)
        ask, use = np.where(resting, 0.03, ask), np.where(resting, 6.0, use)
    # Updates, indexers, a window opened: bursts in idle, in the load and in the cool-down.
    for i in range(n):
        for _ in range(rng.poisson(p.burst_rate * steps * STEP_S / 60.0)):
            a = int(rng.uniform(0, steps))
            b = a + int(rng.uniform(2.0, 22.0) / STEP_S)
            size = rng.uniform(0.12, 0.75)
            low = ask[a:b, i] < 0.5
            ask[a:b, i] = np.where(low, np.maximum(ask[a:b, i], size), ask[a:b, i])
            use[a:b, i] = np.where(low, np.maximum(use[a:b, i], 100 * size * 0.8), use[a:b, i])
    return ask, use


def run(f: Fleet, p: Plan, seed: int) -> Session:
    """Idle, load, idle."""
    rng = np.random.default_rng(seed + 1)
    n = f.size
    steps = int((p.lead_s.max() + p.load_s + p.tail_s) / STEP_S)
    ask, use = _demand(f, p, seed, steps)
    drift, cycle = rng.uniform(-0.8, 0.8, n), rng.uniform(0.0, 0.4, n)
    period, phase = rng.uniform(240.0, 900.0, n), rng.uniform(0, 6.28, n)
    # The same device on another day: dust moved, the table, a hair's breadth of the vent.
    air = np.exp(rng.normal(0.0, 0.008, n))
    seat = np.exp(rng.normal(0.0, 0.010, n))
    fan = Fan(f, p.fan_forced)
    t = {
        k: p.room_c + d
        for k, d in zip(
            ["die", "lid", "gpu", "glid", "base", "pipe", "fin", "case", "table"],
            (4, 3.7, 3.6, 3.5, 3.3, 3.1, 2.9, 1.2, 0.4),
            strict=True,
        )
    }
    clamp = np.ones(n)
    integral = np.zeros(n)
    felt = t["die"].copy()
    power_wobble = np.zeros(n)
    slow = 1.0

    def advance(room: Array, share: Array, dt: float, k: int) -> tuple[Array, Array, Array]:
        nonlocal clamp, integral, felt, power_wobble
        felt = felt + (np.maximum(t["die"], t["gpu"]) - felt) * dt / 2.5
        if k % round(0.5 / dt) == 0:
            over = felt - (f.limit_c - 1.0)
            integral = np.minimum(np.maximum(integral + over * f.governor_gain * 0.5, 0.0), 0.85)
            raw = np.minimum(np.maximum(1.0 - integral - 0.015 * np.maximum(0.0, over), 0.12), 1.0)
            clamp = np.round(raw * 40.0) / 40.0  # the clock goes in steps
            power_wobble = 0.8 * power_wobble + rng.normal(0.0, 0.006, n)
        speed = fan.turn(felt, dt)
        cpu_ask = f.idle + (f.sustained - f.idle) * share
        cpu = np.maximum(f.idle, cpu_ask * np.where(share > 0.3, clamp, 1.0) * (1 + power_wobble))
        gpu = np.maximum(
            f.gpu_idle, (f.gpu_idle + (f.gpu_sustained - f.gpu_idle) * share) * np.where(share > 0.3, clamp, 1.0)
        )
        leak = 2.0 ** ((t["die"] - 60.0) / 28.0)
        cpu = cpu * (1 - f.leakage) + cpu * f.leakage * leak
        stream = AIR_HEAT * f.flow_full * speed * air
        ntu = f.fin_full * speed**0.55 / stream
        intake = room + f.recirculation * (t["case"] - room)
        to_air = stream * (1 - np.exp(-ntu)) * (t["fin"] - intake)
        lid_base = f.lid_base * seat
        q1, q2 = f.die_lid * (t["die"] - t["lid"]), lid_base * (t["lid"] - t["base"])
        g1, g2 = f.gpu_lid * (t["gpu"] - t["glid"]), f.glid_base * (t["glid"] - t["base"])
        q3, q4 = f.base_pipe * (t["base"] - t["pipe"]), f.pipe_fin * (t["pipe"] - t["fin"])
        qc = f.base_case * (t["base"] - t["case"])
        warm = np.maximum(0.3, np.abs(t["case"] - room))
        out = 2.0 * f.case_out * warm**0.25 * (t["case"] - room)
        qt = f.case_table * (t["case"] - t["table"])
        t["die"] = t["die"] + dt * (cpu - q1) / f.die_heat
        t["lid"] = t["lid"] + dt * (q1 - q2) / f.lid_heat
        t["gpu"] = t["gpu"] + dt * (gpu - g1) / f.gpu_heat
        t["glid"] = t["glid"] + dt * (g1 - g2) / (f.gpu_heat * 1.5)
        t["base"] = t["base"] + dt * (q2 + g2 - q3 - qc) / f.base_heat
        t["pipe"] = t["pipe"] + dt * (q3 - q4) / f.pipe_heat
        t["fin"] = t["fin"] + dt * (q4 - to_air) / f.fin_heat
        t["case"] = t["case"] + dt * (qc + f.exhaust_share * to_air - out - qt) / (slow * f.case_heat)
        t["table"] = t["table"] + dt * (qt - f.table_out * (t["table"] - room)) / (slow * f.table_heat)
        return cpu, gpu, speed

    start_room = p.room_c + cycle * np.sin(phase)
    # Idle for 25 minutes, of which only case and table still move after the first: they hold a sixth, for a sixth of
    # the time. 0.3 s is still stable for the dies, whose time constants are 0.4 s and longer.
    slow = 1.0 / IDLE_SHORTER
    for k in range(int(1500.0 / IDLE_SHORTER / STEP_S / 3)):
        advance(start_room, np.zeros(n), 3 * STEP_S, k)
    slow = 1.0
    # Those begun warm have worked for eight minutes and rested for one and a half.
    if p.warm.any():
        for k in range(int(480.0 / STEP_S)):
            advance(start_room, np.where(p.warm, 0.9, 0.0), STEP_S, k)
        for k in range(int(90.0 / STEP_S)):
            advance(start_room, np.zeros(n), STEP_S, k)
    rows: list[Array] = []
    rooms: list[Array] = []
    clamp, integral = np.where(p.warm, clamp, 1.0), np.where(p.warm, integral, 0.0)
    for k in range(steps):
        s = k * STEP_S
        room = p.room_c + drift * s / 900.0 + cycle * np.sin(phase + 6.283 * s / period)
        cpu, gpu, speed = advance(room, ask[k], STEP_S, k)
        if k % EVERY == 0:
            held = (clamp < 0.97) & (ask[k] > 0.3)
            hot = t["die"] + f.core_rise * cpu / f.sustained * 30.0
            clock = f.clock_mhz * np.where(
                ask[k] > 0.3, np.minimum(1.0, (np.maximum(0.05, np.minimum(1.25, ask[k]) * clamp)) ** 0.4), 0.97
            )
            rows.append(np.array([hot, t["gpu"], cpu, gpu, f.fan_rpm * speed, use[k], clock, held], dtype=np.float32))
            rooms.append(room)
    table = np.array(rows, dtype=float)
    time = np.arange(len(rows)) * KEPT_S
    since = time[:, None] - p.lead_s
    return Session(
        time,
        *(table[:, j] for j in range(7)),
        np.array(rooms),
        table[:, 7],
        (since >= 0) & (since < p.load_s),
        p.lead_s,
        p.load_s,
    )


class Fan:
    """A table in steps with hysteresis and dwell, or a straight line; slow to follow."""

    def __init__(self, f: Fleet, forced: float | None) -> None:
        self.f, self.forced = f, forced
        self.step = np.zeros(f.size, dtype=int)
        self.share = f.fan_low.copy() if forced is None else np.full(f.size, forced)
        self.since = np.zeros(f.size)

    def turn(self, felt: Array, dt: float) -> Array:
        """Share of the full speed after one more step of time."""
        f = self.f
        if self.forced is not None:
            return self.share
        place = (felt - f.fan_start_c) / f.fan_span_k * FAN_STEPS
        up = np.minimum(np.maximum(np.floor(place), 0), FAN_STEPS).astype(int)
        down = np.minimum(np.maximum(np.floor(place + 0.09 * FAN_STEPS), 0), FAN_STEPS).astype(int)
        self.since = self.since + dt
        wanted = np.where(up > self.step, up, np.where((down < self.step) & (self.since > 6.0), down, self.step))
        self.since = np.where(wanted != self.step, 0.0, self.since)
        self.step = wanted
        level = np.where(f.smooth_fan, np.minimum(np.maximum(place / FAN_STEPS, 0.0), 1.0), self.step / FAN_STEPS)
        goal = f.fan_low + (1.0 - f.fan_low) * level
        self.share = self.share + np.minimum(np.maximum(goal - self.share, -0.04 * dt), 0.06 * dt)
        return self.share
