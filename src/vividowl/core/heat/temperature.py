"""Rise over room, reference room, thermal resistance, sustained capacity (the arithmetic people get wrong most)."""

from __future__ import annotations

from vividowl.core.quantities.errors import OutOfRange, require_range
from vividowl.core.quantities.units import ABSOLUTE_ZERO_C, require_room_c
from vividowl.core.quantities.words import say

REFERENCE_ROOM_C = 25.0  # [degC] to which readings are brought; the usual laboratory room; from memory
DIE_HIGH_C = 150.0  # [degC] no die works above it; from memory


def rise_over_room(reading_c: float, room_c: float) -> float:
    """Temperature rise of a part over the room.

    reading_c: reading [degC], above absolute zero
    room_c: room temperature [degC], -10 to 60
    returns: rise [K]; may be negative when the part is colder than the room
    raises: OutOfRange
    formula: T - T_room
    source: definition
    """
    require_room_c(room_c)
    return require_range("reading_c", reading_c, "°C", (ABSOLUTE_ZERO_C, 1000.0)) - room_c


def at_reference_room(reading_c: float, room_c: float, reference_room_c: float = REFERENCE_ROOM_C) -> float:
    """What the reading would be in the reference room, with unchanged power and fan speed.

    reading_c: reading [degC]
    room_c: room during the reading [degC], -10 to 60
    reference_room_c: reference room [degC], -10 to 60
    returns: corrected reading [degC]
    raises: OutOfRange
    range: holds only while power and fan speed do not follow the temperature
    formula: T + (T_ref_room - T_room)
    source: linearity of the steady heat balance
    """
    return rise_over_room(reading_c, room_c) + require_room_c(reference_room_c, "reference_room_c")


def thermal_resistance(rise_k: float, power: float) -> float:
    """Steady thermal resistance from a part to the room.

    rise_k: rise over room [K], >= 0
    power: heat that crosses it [W], > 0
    returns: resistance [K/W]
    raises: OutOfRange
    formula: dT / P
    source: definition; JESD51-1 for the term
    """
    require_range("rise_k", rise_k, "K", (0.0, 500.0), hint=say("temperature-rise-below-zero-means-that"))
    if not power > 0:
        raise OutOfRange(say("temperature-power-w-resistance-needs-power", power=power), field="power")
    return rise_k / require_range("power", power, "W", (0.0, 5000.0))


def sustained_capacity(limit_c: float, resistance: float, reference_room_c: float = REFERENCE_ROOM_C) -> float:
    """Watts that can be held at the temperature limit in the reference room.

    limit_c: temperature at which the device gives up power [degC], above the reference room
    resistance: resistance to the room [K/W], > 0
    reference_room_c: reference room [degC], -10 to 60
    returns: power [W]
    raises: OutOfRange
    formula: (T_limit - T_ref_room) / R
    source: definition; the trade's "watts it can hold"
    """
    require_room_c(reference_room_c, "reference_room_c")
    require_range("limit_c", limit_c, "°C", (reference_room_c + 1.0, DIE_HIGH_C))
    if not resistance > 0:
        raise OutOfRange(say("temperature-thermal-resistance-k-w-must", resistance=resistance), field="resistance")
    return (limit_c - reference_room_c) / resistance
