"""Visits of a device brought to one fan speed: a fan that turns faster hides what the interface has lost."""

from __future__ import annotations

from vividowl.core.reading.measured import BEHIND_INTERFACE_SHARE, Measured, at_fan_speed

SPEEDS_APART_MOST = 1.5  # as far as the conversion holds


def at_speed_of(value: float, u: float, fan_rpm: float | None, then_rpm: float | None) -> tuple[float, float] | None:
    """A resistance and its standard uncertainty [K/W] at the fan speed of an earlier run; as it is where one of the
    speeds was not logged, None where they lie too far apart to be brought together."""
    if not fan_rpm or not then_rpm:
        return value, u
    if not 1.0 / SPEEDS_APART_MOST <= fan_rpm / then_rpm <= SPEEDS_APART_MOST:
        return None
    found = at_fan_speed(Measured(value, u), fan_rpm, then_rpm, BEHIND_INTERFACE_SHARE * value)
    return (found.value, found.moving) if found is not None else None
