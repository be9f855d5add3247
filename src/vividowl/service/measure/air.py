"""What the exhaust of a run says: the heat that leaves in its air."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass

from vividowl.core.heat.air import air_flow
from vividowl.core.reading.reading import Reading
from vividowl.core.trace.roles import Role
from vividowl.store.measuring import Run, SpotReading


@dataclass(frozen=True)
class AirBalance:
    """What the exhaust says: rise of the air over the room [K], flow that carries the watts away [m3/s]."""

    exhaust_rise_k: float
    power: float
    flow: float


def air_of(run: Run, reading: Reading, spots: Sequence[SpotReading]) -> AirBalance | None:
    """The air balance of a run with an exhaust reading, a room and a power; None when one is missing or no rise."""
    by_hand = [s.reading_c for s in spots if s.spot == "exhaust"]
    logged = reading.stats.get(Role.EXHAUST_TEMPERATURE)
    exhaust = sum(by_hand) / len(by_hand) if by_hand else logged.mean if logged else None
    if exhaust is None or run.room_c is None or reading.power is None or not reading.power.mean > 0:
        return None
    rise = exhaust - run.room_c
    return AirBalance(rise, reading.power.mean, air_flow(reading.power.mean, rise, run.room_c)) if rise > 1.0 else None
