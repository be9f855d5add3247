"""Devices of the other simulator that a shop would see: aged films, felt of dust, and the truth after a service.

The spreads are written down here by themselves; nothing of the product's own distributions is used. Only the reading
of the log, and what a technician would enter, are the product's.
"""

from __future__ import annotations

from dataclasses import dataclass, fields

import numpy as np
from tests.other_device import AIR_HEAT, Batch, Runs, changed, random_batch, run

from vividowl.core.plan.unknowns import Known, interface_of
from vividowl.core.quantities.uncertainty import Tolerances
from vividowl.core.reading.measured import resistance
from vividowl.core.reading.reading import Reading
from vividowl.core.trace.roles import Role

FULL_RPM = 4600.0
LOAD_S = 1200.0


@dataclass(frozen=True, kw_only=True)
class Sick:
    """before: as they come in; cleaned and repasted: after each service; runs: their Before; and what is told of them:
    months since the last service, die area [mm2], state of the film and of the dust. badly: the new paste is laid
    badly; dry_pipe: a heat pipe has lost its filling; undervolted: power for the same work at 80 mV less [1]."""

    before: Batch
    cleaned: Batch
    repasted: Batch
    runs: Runs
    months: np.ndarray
    badly: np.ndarray
    dry_pipe: np.ndarray
    undervolted: np.ndarray
    area_mm2: np.ndarray
    film: np.ndarray
    dust: np.ndarray


UNDERVOLT_MV = 80.0


def sick_devices(n: int, seed: int, *, badly_share: float = 0.1, dry_pipe_share: float = 0.08) -> Sick:
    """Devices of 6 to 60 months: films sound, pumped out or dry; fins clean, dusty or felted; some with a dry heat
    pipe, some whose new paste is laid badly."""
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
        [dust == "felt", dust == "light"],
        [rng.uniform(0.2, 0.6, n), rng.uniform(0.02, 0.16, n)],
        rng.uniform(0.0, 0.03, n),
    )
    # The recipe is a load that the device was built for: what is too much for its sick state throttles it.
    interface = 1.0 / (core + old / area)
    # Bare silicon with its lid or substrate holds a few joules a kelvin, however dry its paste is. One that follows
    # faster than the simulator's step would not be simulated but swing.
    die_heat = np.maximum(rng.uniform(1.0, 4.0, n), 0.5 * interface)
    cleaned = changed(healthy, interface=interface, die_heat=die_heat)
    before = changed(
        cleaned, flow_full=healthy.flow_full * (1 - clogged), fin_full=healthy.fin_full * (1 - 0.6 * clogged)
    )
    seat = np.exp(rng.normal(0, 0.02, n))
    other = np.random.default_rng(seed + 1)
    badly, dry_pipe = other.random(n) < badly_share, other.random(n) < dry_pipe_share
    pipe = np.where(dry_pipe, other.uniform(0.25, 0.6, n), 1.0)
    laid = np.exp(other.normal(0.0, 0.18, n)) * np.where(badly, other.uniform(1.5, 3.2, n), 1.0)
    before, cleaned = (changed(b, spread=b.spread * pipe) for b in (before, cleaned))
    repasted = changed(healthy, interface=1.0 / ((core + fresh * laid / area) * seat), spread=healthy.spread * pipe)
    # One in seven sits at a power limit and spends what it saves on clock; the others save by the square of the
    # voltage.
    volts, dynamic = other.uniform(0.75, 1.2, n), other.uniform(0.6, 0.95, n)
    saved = dynamic * (1.0 - ((volts - 1e-3 * UNDERVOLT_MV) / volts) ** 2)
    undervolted = 1.0 - np.where(other.random(n) < 0.15, 0.0, saved)
    return Sick(
        before=before,
        cleaned=cleaned,
        repasted=repasted,
        runs=run(before, lead_s=40.0, load_s=LOAD_S, settle=False),
        months=months,
        badly=badly,
        dry_pipe=dry_pipe,
        undervolted=undervolted,
        area_mm2=area,
        film=film,
        dust=dust,
    )


def told_of(sick: Sick, index: int, reading: Reading, room_c: float) -> Known | None:
    """What a technician would enter for one of them: every second die is measured, every third was looked into.
    None when the reading itself does not tell a resistance."""
    found = resistance(reading, room_c, tol=Tolerances())
    if found is None or reading.power is None:
        return None
    looked = index % 3 == 1
    interface, u = interface_of(reading.response) or (None, 0.0)
    ends_at = found.value + (reading.window.remaining_rise_k or 0.0) / reading.power.mean
    return Known(
        resistance=ends_at,
        resistance_u=found.own,
        power=reading.power.mean,
        room_c=room_c,
        interface=interface,
        interface_u=u,
        limit_c=95.0,
        held=(reading.throttling.share or 0.0) > 0.3,
        months=float(sick.months[index]),
        die_mm2=float(sick.area_mm2[index]) if index % 2 else None,
        old_interface=str(sick.film[index]) if looked else "unknown",
        dust=str(sick.dust[index]) if looked else "unknown",
    )


def truths(sick: Sick, index: int, reading: Reading) -> tuple[float, float]:
    """Resistance at the fan speed of Before after cleaning, and after cleaning and repasting [K/W]."""
    share = reading.stats[Role.FAN_SPEED].mean / FULL_RPM
    return tuple(steady_resistance(b, index, share, reading.power.mean)[0] for b in (sick.cleaned, sick.repasted))  # type: ignore[return-value]


def undervolt_gain(sick: Sick, index: int, reading: Reading) -> float:
    """Kelvins that the undervolt alone gives at the fan speed of Before and the same work [K]."""
    share, watts = reading.stats[Role.FAN_SPEED].mean / FULL_RPM, reading.power.mean
    less = watts * float(sick.undervolted[index])
    then, now = (steady_resistance(sick.before, index, share, w)[0] * w for w in (less, watts))
    return now - then


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
