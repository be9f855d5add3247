"""A device made of numbers: heat ladder with fan curve, boost, throttling and sensor noise. Deterministic by seed."""

from __future__ import annotations

import math
from dataclasses import dataclass
from functools import lru_cache

import numpy as np

from vividowl.core.heat.air import FAN_RESISTANCE_EXPONENT, HEAT_CAPACITY_AIR, air_density
from vividowl.core.quantities.errors import require_range
from vividowl.core.trace.roles import Role
from vividowl.core.trace.trace import Series, Trace, scan

MEMORY_TAU_S = 25.0  # [s] of memory on its pad; from memory
STEP_S = 0.1  # [s] of the simulated device; its fastest part takes longer (numerics)


@dataclass(frozen=True, kw_only=True)
class Device:
    """A made-up device. Resistances [K/W], heat capacities [J/K], powers [W], temperatures [degC], fan [rpm].

    interface: die to heatsink; sink: heatsink to air at the fan's highest speed; chassis: slow part to the room.
    fan_low_c and fan_high_c: die temperatures between which the fan goes from idle to full; flow_full: air it moves
    at full speed [m3/s]. memory_pad: pad between memory and heatsink [K/W], memory_power: its heat under load [W];
    hot_spot: how far the hottest spot of the die stands above its sensor [K/W]; skin_share: of the chassis' rise that
    reaches the surface [1]. Nought: that sensor is not there.
    """

    interface: float = 0.25
    sink: float = 0.55
    chassis: float = 0.15
    die_capacity: float = 2.5
    sink_capacity: float = 60.0
    chassis_capacity: float = 900.0
    idle_power: float = 5.0
    boost_power: float = 62.0
    sustained_power: float = 45.0
    boost_s: float = 28.0
    limit_c: float = 95.0
    leakage_per_k: float = 0.0
    fan_idle_rpm: float = 1500.0
    fan_full_rpm: float = 4400.0
    fan_low_c: float = 45.0
    fan_high_c: float = 85.0
    clock_full_mhz: float = 3900.0
    fanless: bool = False
    flow_full: float = 0.004
    memory_pad: float = 0.0
    memory_power: float = 8.0
    hot_spot: float = 0.0
    skin_share: float = 0.0


def simulate(
    device: Device,
    *,
    room_c: float,
    seed: int,
    lead_s: float = 30.0,
    load_s: float = 900.0,
    tail_s: float = 60.0,
    interval_s: float = 1.0,
    noise_k: float = 0.25,
    pass_s: float = 0.0,
    room_drift_k: float = 0.0,
) -> Trace:
    """Run a load on a device and log it.

    room_c: room [degC], -10 to 60
    seed: seed of sensor noise [1]
    lead_s: idle before the load [s]
    load_s: length of the load [s]
    tail_s: idle after it [s]
    interval_s: logging step [s], 0.1 or more
    noise_k: standard deviation of the temperature sensor [K]
    pass_s: length of one pass of a looping benchmark [s], 0 for an even load
    room_drift_k: how far the room warms over the run [K]
    returns: Trace with temperature, power, clock, utilisation, fan, exhaust and throttle flag, and the parts it has
    raises: OutOfRange
    formula: three heat capacities in a row, explicit Euler at 0.1 s; air-side resistance goes with N^-0.8
    source: lumped heat balance, textbook; the exponent is that of turbulent forced convection; exhaust by the first law
    """
    require_range("room_c", room_c, "°C", (-10.0, 60.0))
    require_range("interval_s", interval_s, "s", (STEP_S, 60.0))
    rng = np.random.default_rng(seed)
    rows = _run(device, room_c, lead_s=lead_s, load_s=load_s, tail_s=tail_s, pass_s=pass_s, room_drift_k=room_drift_k)
    every = max(1, round(interval_s / STEP_S))
    kept = rows[::every]
    n = len(kept)

    def noisy(column: int, spread: float, digits: int) -> Series:
        return np.round(kept[:, column] + rng.normal(0.0, spread, n), digits)

    channels: dict[Role, Series] = {
        Role.CPU_TEMPERATURE: noisy(0, noise_k, 1),
        Role.CPU_POWER: np.maximum(0.5, noisy(1, 0.01 * device.sustained_power, 2)),
        Role.CPU_CLOCK: noisy(2, 8.0, 0),
        Role.CPU_UTILISATION: np.clip(noisy(3, 1.0, 1), 0, 100),
        Role.THROTTLE_FLAG: np.asarray(kept[:, 6], dtype=np.float64),
    }
    if not device.fanless:
        channels[Role.FAN_SPEED] = np.maximum(0.0, noisy(4, 15.0, 0))
        channels[Role.EXHAUST_TEMPERATURE] = noisy(5, 0.2, 1)
    for role, values in _parts(device, rows, room_c).items():
        channels[role] = np.round(values[::every] + rng.normal(0.0, noise_k, n), 1)
    return Trace(np.arange(n, dtype=np.float64) * (every * STEP_S), channels)


def _parts(device: Device, rows: Series, room_c: float) -> dict[Role, Series]:
    """Temperatures of what sits beside the die, at each step (n,)."""
    out: dict[Role, Series] = {}
    use, sink, chassis = rows[:, 3] / 100.0, rows[:, 7], rows[:, 8]
    if device.hot_spot > 0.0:
        out[Role.GPU_HOTSPOT] = rows[:, 0] + device.hot_spot * rows[:, 1]
    if device.memory_pad > 0.0:
        goal = sink + device.memory_power * use * device.memory_pad
        keep = np.full((len(goal), 1), 1.0 - STEP_S / MEMORY_TAU_S)
        out[Role.MEMORY_TEMPERATURE] = goal[0] + scan(keep, (1.0 - keep) * (goal - goal[0])[:, None])[:, 0]
    if device.skin_share > 0.0:
        out[Role.SKIN_TEMPERATURE] = room_c + device.skin_share * (chassis - room_c)
    return out


@lru_cache(maxsize=24)
def _run(
    device: Device, room_c: float, *, lead_s: float, load_s: float, tail_s: float, pass_s: float, room_drift_k: float
) -> Series:
    """What the device does at each step, without any noise, so that repeats of a run cost nothing (n, 9)."""
    steps = int((lead_s + load_s + tail_s) / STEP_S)
    idle, boost, sustained, limit_c = device.idle_power, device.boost_power, device.sustained_power, device.limit_c
    boost_s, leakage, full_rpm = device.boost_s, device.leakage_per_k, device.fan_full_rpm
    fan_low, fan_span = device.fan_low_c, device.fan_high_c - device.fan_low_c
    start = room_c + idle * (device.sink + device.chassis)
    die, sink, chassis = start + 1.0, start, room_c + idle * device.chassis
    rpm, clamp = device.fan_idle_rpm, 1.0
    rows = np.empty((steps, 9))
    for i in range(steps):
        t = i * STEP_S
        room = room_c + room_drift_k * t / (steps * STEP_S)
        into = t - lead_s
        use = 1.0 if 0 <= into < load_s else 0.03
        if pass_s and use == 1.0 and into % pass_s > pass_s - 6.0:
            use = 0.15
        wanted = idle + use * ((boost if into < boost_s else sustained) - idle)
        # The controller gives up power near the limit and takes it back slowly.
        clamp = min(1.0, max(0.15, clamp + (0.02 if die > limit_c else -0.004) * -STEP_S * 8))
        power = min(wanted, max(idle, wanted * clamp))
        power *= 1.0 + leakage * (die - 60.0)
        share = min(1.0, max(0.0, (die - fan_low) / fan_span))
        goal = device.fan_idle_rpm + share * (full_rpm - device.fan_idle_rpm)
        rpm += (goal - rpm) * STEP_S / 6.0
        air = device.sink if device.fanless else device.sink * (full_rpm / rpm) ** FAN_RESISTANCE_EXPONENT
        q1, q2 = (die - sink) / device.interface, (sink - chassis) / air
        q3 = (chassis - room) / device.chassis
        die += (power - q1) * STEP_S / device.die_capacity
        sink += (q1 - q2) * STEP_S / device.sink_capacity
        chassis += (q2 - q3) * STEP_S / device.chassis_capacity
        held = wanted > 1.5 * idle and clamp < 0.97
        clock = device.clock_full_mhz * max(0.2, power / boost) ** (1 / 3) if use > 0.1 else 800.0
        exhaust = room + q3 / (_air_heat(room) * device.flow_full * rpm / full_rpm)
        rows[i] = (die, power, clock, 100 * use, rpm, exhaust, held, sink, chassis)
    rows.setflags(write=False)
    return rows


@lru_cache(maxsize=4096)
def _air_heat(room_c: float) -> float:
    """Heat that a cubic metre of air carries [J/(m3 K)]."""
    return air_density(room_c) * HEAT_CAPACITY_AIR


def steady_rise(device: Device, power: float, rpm: float) -> float:
    """Rise of the die over the room that a device settles at, in closed form, to check the simulation by.

    power: heat [W], >= 0
    rpm: fan speed [rpm], > 0
    returns: rise [K]
    raises: OutOfRange
    formula: P (R_interface + R_sink (N_full/N)^0.5 + R_chassis)
    source: series resistances, textbook
    """
    require_range("power", power, "W", (0.0, 2000.0))
    require_range("rpm", rpm, "rpm", (1.0, 20000.0))
    air = device.sink * (1.0 if device.fanless else math.pow(device.fan_full_rpm / rpm, FAN_RESISTANCE_EXPONENT))
    return power * (device.interface + air + device.chassis)
