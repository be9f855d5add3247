"""Devices of the other simulator that a shop would see: aged films, felt of dust, and the truth after a service.

The spreads are written down here by themselves; nothing of the product's own distributions is used. Only the reading
of the log, and what a technician would enter, are the product's.
"""

from __future__ import annotations

from dataclasses import dataclass, fields

import numpy as np
from tests.other_device import AIR_HEAT, Batch, Runs, changed, random_batch, run

from vividowl.core.measured import resistance
from vividowl.core.reading import Reading
from vividowl.core.roles import Role
from vividowl.core.uncertainty import Tolerances
from vividowl.core.unknowns import INTERFACE_U_SHARE, Known

FULL_RPM = 4600.0
LOAD_S = 1200.0


@dataclass(frozen=True)
class Sick:
    """before: as they come in; cleaned and repasted: after each service; runs: their Before; and what is told of them:
    months since the last service, die area [mm2], state of the film and of the dust."""

    before: Batch
    cleaned: Batch
    repasted: Batch
    runs: Runs
    months: np.ndarray
    area_mm2: np.ndarray
    film: np.ndarray
    dust: np.ndarray


def sick_devices(n: int, seed: int) -> Sick:
    """Devices of 6 to 60 months: films sound, pumped out or dry; fins clean, dusty or felted."""
    rng = np.random.default_rng(seed)
    healthy = random_batch(n, seed, limit_c=95.0)
    behind = np.array([steady_resistance(healthy, i, 0.8, healthy.sustained[i])[1] for i in range(n)])
    area = np.exp(rng.normal(np.log(165.0), 0.30, n))
    share = rng.uniform(0.10, 0.28, n)
    fresh = rng.uniform(25, 50, n) / (8.5 * rng.uniform(0.55, 1.0, n)) + rng.uniform(2, 6, n)
    core = np.maximum(share / (1 - share) * behind - fresh / area, 0.3 * share / (1 - share) * behind)
    months = rng.uniform(6, 60, n)
    bad = rng.uniform(0, 1, n) < 1 - np.exp(-months / 42)
    dry = rng.uniform(0, 1, n) < 0.5
    film = np.where(bad, np.where(dry, "dry", "pumped_out"), "sound")
    old = np.where(bad, np.where(dry, rng.uniform(30, 110, n), rng.uniform(12, 45, n)), rng.uniform(4, 11, n))
    felted = rng.uniform(0, 1, n) < 1 - np.exp(-months / 45)
    dust = np.where(felted, "felt", np.where(rng.uniform(0, 1, n) < 0.6, "light", "none"))
    clogged = np.select(
        [dust == "felt", dust == "light"], [rng.uniform(0.2, 0.6, n), rng.uniform(0.02, 0.16, n)],
        rng.uniform(0.0, 0.03, n),
    )  # fmt: skip
    # The recipe is a load that the device was built for: what is too much for its sick state throttles it.
    interface = 1.0 / (core + old / area)
    # Bare silicon with its lid or substrate holds a few joules a kelvin, however dry its paste is. One that follows
    # faster than the simulator's step would not be simulated but swing.
    die_heat = np.maximum(rng.uniform(1.0, 4.0, n), 0.5 * interface)
    cleaned = changed(healthy, interface=interface, die_heat=die_heat)
    before = changed(cleaned, flow_full=healthy.flow_full * (1 - clogged),
                     fin_full=healthy.fin_full * (1 - 0.6 * clogged))  # fmt: skip
    seat = np.exp(rng.normal(0, 0.02, n))
    repasted = changed(healthy, interface=1.0 / ((core + fresh / area) * seat))
    return Sick(before, cleaned, repasted, run(before, lead_s=40.0, load_s=LOAD_S, settle=False), months, area, film,
                dust)  # fmt: skip


def told_of(sick: Sick, index: int, reading: Reading, room_c: float) -> Known | None:
    """What a technician would enter for one of them: every second die is measured, every third was looked into.
    None when the reading itself does not tell a resistance."""
    found = resistance(reading, room_c, Tolerances())
    if found is None or reading.power is None or reading.response is None:
        return None
    looked = index % 3 == 1
    response = reading.response
    return Known(
        found.value, found.own, reading.power.mean, room_c, response.interface,
        max(response.interface_u, INTERFACE_U_SHARE * response.interface), 95.0,
        (reading.throttling.share or 0.0) > 0.3, months=float(sick.months[index]),
        die_mm2=float(sick.area_mm2[index]) if index % 2 else None,
        old_interface=str(sick.film[index]) if looked else "unknown",
        dust=str(sick.dust[index]) if looked else "unknown",
    )  # fmt: skip


def truths(sick: Sick, index: int, reading: Reading) -> tuple[float, float]:
    """Resistance at the fan speed of Before after cleaning, and after cleaning and repasting [K/W]."""
    share = reading.stats[Role.FAN_SPEED].mean / FULL_RPM
    return tuple(steady_resistance(b, index, share, reading.power.mean)[0] for b in (sick.cleaned, sick.repasted))  # type: ignore[return-value]


def steady_resistance(b: Batch, index: int, share: float, power: float) -> tuple[float, float]:
    """Die to room, and heatsink to room, of one device at a fixed fan and power [K/W], natural convection solved."""
    g = {f.name: float(getattr(b, f.name)[index]) for f in fields(b)}
    stream = AIR_HEAT * g["flow_full"] * share
    air = stream * (1.0 - np.exp(-g["fin_full"] * share**0.6 / stream))
    case = 8.0
    for _ in range(60):
        out = 2.0 * g["case_out"] * max(0.3, case) ** 0.25
        # Unknown fin and case over the room: heat balance of each.
        given, back = g["to_case"] + 0.15 * air, g["to_case"] + 0.15 * air * g["recirculation"]
        a = np.array([[air + g["to_case"], -air * g["recirculation"] - g["to_case"]], [-given, back + out]])
        fin, case = np.linalg.solve(a, np.array([power, 0.0]))
    base = fin + power / g["spread"]
    return float((base + power / g["interface"]) / power), float(base / power)
