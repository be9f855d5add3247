"""Conversions at the edge. A reading and a difference convert differently; mixing them is a classic slip."""

from __future__ import annotations

from vividowl.core.quantities.errors import require_range
from vividowl.core.quantities.words import Words, listed, say

DAYS_A_MONTH = 30.44  # [day/month] mean month of the Gregorian calendar (definition)

ABSOLUTE_ZERO_C = -273.15  # [degC] (definition)
ROOM_LOW_C, ROOM_HIGH_C = -10.0, 60.0  # [degC] colder and nobody repairs there; a limit of the product


def c_from_f(reading_f: float) -> float:
    """Convert a reading.

    reading_f: reading [degF], at or above absolute zero
    returns: reading [degC]
    raises: OutOfRange
    formula: (F - 32) / 1.8
    source: definition of the degree Fahrenheit
    """
    return (require_range("reading_f", reading_f, "°F", (-459.67, 1e5)) - 32.0) / 1.8


def k_from_f_difference(difference_f: float) -> float:
    """Convert a difference: by 1.8 alone, without the 32.

    difference_f: difference [degF]
    returns: difference [K]
    raises: OutOfRange
    formula: F / 1.8
    source: definition of the degree Fahrenheit
    """
    return require_range("difference_f", difference_f, "°F", (-1e5, 1e5)) / 1.8


def require_room_c(room_c: float, name: str = "room_c") -> float:
    """Refuse a room that no bench stands in.

    room_c: room temperature [degC], -10 to 60
    name: field named in the error [text]
    returns: the same value [degC]
    raises: OutOfRange
    source: common practice, no source
    """
    hint: Words = say("units-type-room-s-temperature-in")
    if ROOM_HIGH_C < room_c <= 10 * ROOM_HIGH_C and ROOM_LOW_C <= room_c / 10 <= ROOM_HIGH_C:
        hint = listed((say("units-was", room_c=room_c / 10), hint), "space")
    try:
        return require_range("room_temperature", room_c, "°C", (ROOM_LOW_C, ROOM_HIGH_C), hint=hint)
    except Exception as error:
        error.field = name  # type: ignore[attr-defined]
        raise
