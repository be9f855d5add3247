"""Limits of sensors: noted, or the usual one from memory; and what stands above it."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass

from vividowl.core.reading.reading import Reading
from vividowl.core.trace.roles import JUDGED_ROLES, Role

# What makers usually allow where nobody noted it [degC]. Surfaces: metal touched for ten minutes, ISO 13732-1, from
# memory; the others from memory.
USUAL_LIMITS_C: Mapping[Role, float] = {
    Role.GPU_HOTSPOT: 105.0,
    Role.MEMORY_TEMPERATURE: 105.0,
    Role.REGULATOR_TEMPERATURE: 115.0,
    Role.DRIVE_TEMPERATURE: 80.0,
    Role.SKIN_TEMPERATURE: 48.0,
}
# The hottest core is the processor once more.
AGAIN = {Role.CORE_TEMPERATURE: Role.CPU_TEMPERATURE}
# A sensor reads to a kelvin, and a governor that holds its die at the limit lets it swing by one. From memory.
OVER_LEAST_K = 1.5


@dataclass(frozen=True)
class SensorEnd:
    """One temperature of one run: role; limit as in SensorVerdict; end_c: mean over the end of the load [degC]."""

    role: Role
    limit_c: float | None
    limit_noted: bool
    end_c: float

    @property
    def over_limit_k(self) -> float | None:
        """How far it stands above its limit [K], None where it does not or no limit is known."""
        return over_limit(self.end_c, self.limit_c)


def sensors_in(reading: Reading, limits_c: Mapping[Role, float]) -> tuple[SensorEnd, ...]:
    """Every temperature of one run against its limit.

    limits_c: noted limits by role [degC]
    returns: sensors (k,), the deciding die first
    """
    roles = sorted(JUDGED_ROLES, key=lambda r: r is not reading.die_role)
    return tuple(
        SensorEnd(role, *limit_of(role, limits_c), reading.stats[role].mean)
        for role in roles
        if role in reading.stats and role not in reading.dead
    )


def hot_in(ends_c: Mapping[Role, float], limits_c: Mapping[Role, float]) -> tuple[SensorEnd, ...]:
    """What stood above its limit, of temperatures that were kept.

    ends_c: each at the end of the load by role [degC]
    limits_c: noted limits by role [degC]
    returns: sensors (k,), the furthest above first
    """
    ends = [SensorEnd(r, *limit_of(r, limits_c), ends_c[r]) for r in JUDGED_ROLES if r in ends_c and r not in AGAIN]
    hot = [end for end in ends if end.over_limit_k is not None]
    return tuple(sorted(hot, key=lambda s: -(s.over_limit_k or 0.0)))


def limit_of(role: Role, noted: Mapping[Role, float]) -> tuple[float | None, bool]:
    """The limit of a sensor, and whether it was noted.

    role: of the sensor
    noted: limits by role [degC]
    returns: limit [degC] or None, and whether it was noted [flag]
    source: as USUAL_LIMITS_C
    """
    found = noted.get(role, noted.get(AGAIN.get(role, role)))
    return (found, True) if found is not None else (USUAL_LIMITS_C.get(role), False)


def over_limit(value_c: float, limit_c: float | None) -> float | None:
    """How far a value stands above its limit.

    value_c: the value [degC]
    limit_c: the limit [degC] or None
    returns: kelvins above it [K], None where it does not by more than a sensor's own kelvin, or none is known
    source: common practice, no source
    """
    return value_c - limit_c if limit_c is not None and value_c - limit_c > OVER_LEAST_K else None
