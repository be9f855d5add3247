"""The heat ladder: die, interface, heatsink, air, room; each rung a drop in kelvins and a resistance."""

from __future__ import annotations

import math
from dataclasses import dataclass

from vividowl.core.quantities.errors import CoreError, require_range
from vividowl.core.quantities.uncertainty import COVERAGE_FACTOR
from vividowl.core.quantities.units import require_room_c
from vividowl.core.quantities.words import say
from vividowl.core.response.reference import INTERFACE_SHARE_POOR
from vividowl.core.response.terms import Response

FALL_SHOWN_K = 2.0  # [K] a smaller fall of a rung is not told; from memory
# Where two rungs fell by much the same, neither is named.
RUNNER_UP_MOST = 0.5
# [K] of a probe, of the die's sensor, of the whole below the interface; standard uncertainty; from memory
PROBE_U_K, DIE_U_K, WHOLE_U_K = 1.7, 1.2, 2.0


@dataclass(frozen=True, kw_only=True)
class Rung:
    """name: interface, heatsink, air, behind (heatsink and air together) or whole; drop_k [K] with its u95_k;
    resistance [K/W] or None; source: probe or log."""

    name: str
    drop_k: float
    resistance: float | None
    source: str
    u95_k: float = 0.0


@dataclass(frozen=True)
class Ladder:
    """room_c and die_c [degC]; power [W] or None; rungs from the room upwards."""

    room_c: float
    die_c: float
    power: float | None
    rungs: tuple[Rung, ...]


def build_ladder(
    die_c: float,
    room_c: float,
    power: float | None,
    *,
    heatsink_c: float | None = None,
    exhaust_c: float | None = None,
    response: Response | None = None,
    boundary_s: float | None = None,
) -> Ladder:
    """Split the rise into rungs: by probes where there are any, else by the log's response, else not at all.

    die_c: die temperature [degC]
    room_c: room [degC], -10 to 60
    power: heat [W] or None
    heatsink_c: heatsink probe [degC] or None
    exhaust_c: exhaust air [degC] or None
    response: response from the log or None
    boundary_s: what parts the interface from what is behind it in two responses of one device [s], None for one alone
    raises: OutOfRange, CoreError when probes contradict each other
    formula: drops between neighbours; from the log R_interface P and the rest, where the log tells the two apart
    source: one-dimensional heat flow; JESD51 for resistance
    """
    require_room_c(room_c)
    require_range("die_c", die_c, "°C", (-40.0, 150.0))

    def rung(name: str, drop: float, source: str, u95_k: float) -> Rung:
        return Rung(name=name, drop_k=drop, resistance=drop / power if power else None, source=source, u95_k=u95_k)

    rise = die_c - room_c
    if heatsink_c is not None:
        if not room_c <= heatsink_c <= die_c:
            raise CoreError(
                say("ladder-heatsink-probe-reads-c-but", heatsink_c=heatsink_c, room_c=room_c, die_c=die_c),
                field="heatsink_c",
            )
        if exhaust_c is not None and room_c <= exhaust_c <= heatsink_c:
            low = (
                rung("air", exhaust_c - room_c, "probe", PROBE_U_K),
                rung("heatsink", heatsink_c - exhaust_c, "probe", math.hypot(PROBE_U_K, PROBE_U_K)),
            )
        else:
            low = (rung("behind", heatsink_c - room_c, "probe", PROBE_U_K),)  # type: ignore[assignment]
        top = rung("interface", die_c - heatsink_c, "probe", math.hypot(PROBE_U_K, DIE_U_K))
        return Ladder(room_c, die_c, power, (*low, top))
    if response is not None and (boundary_s is not None or response.tells_interface) and rise > 0:
        watts = power if power else rise / response.total
        part, u = response.interface, response.interface_whole_u
        if boundary_s is not None:
            part, u = response.soon(boundary_s)
        top_k, top_u = part * watts, COVERAGE_FACTOR * u * watts
        top_k = min(top_k, rise)
        warmed = exhaust_c - room_c if exhaust_c is not None else 0.0
        below = (rung("behind", rise - top_k, "log", math.hypot(top_u, WHOLE_U_K)),)
        if 0.0 < warmed < rise - top_k:
            # The exhaust gives the share of the air itself; what is left stands between base and air.
            below = (
                rung("air", warmed, "probe", PROBE_U_K),
                rung("heatsink", rise - top_k - warmed, "log", math.hypot(top_u, PROBE_U_K)),
            )  # type: ignore[assignment]
        return Ladder(room_c, die_c, power, (*below, rung("interface", top_k, "log", top_u)))
    return Ladder(room_c, die_c, power, (rung("whole", rise, "log", WHOLE_U_K),))


def culprit(before: Ladder, after: Ladder | None = None, *, shown: bool = True) -> str | None:
    """The rung that stops the heat: the one that fell most, or a poor interface; None when it is not told.

    shown: whether a difference between the two was shown at all [flag]
    formula: with both sides the largest fall of rungs told alike, at the power before, beyond its own U95 and 2 K and
        twice what the others fell by; else an interface of a third of the rise or more, less its U95
    source: JCGM 100:2008 for U95; the third is common practice, no source
    """
    if after is None:
        rise = before.die_c - before.room_c
        poor = any(
            r.name == "interface" and r.drop_k - r.u95_k >= INTERFACE_SHARE_POOR * rise > 0 for r in before.rungs
        )
        return "interface" if poor else None
    if not shown:
        return None
    scale = before.power / after.power if before.power and after.power else 1.0
    falls: dict[str, tuple[float, float]] = {}
    for old in before.rungs:
        for new in after.rungs:
            if old.name == new.name and old.name != "whole" and old.source == new.source:
                u95 = math.hypot(old.u95_k, scale * new.u95_k)
                falls[old.name] = (old.drop_k - new.drop_k * scale, max(FALL_SHOWN_K, u95))
    if not falls:
        return None
    name = max(falls, key=lambda key: falls[key][0])
    fall, least = falls[name]
    rest = sum(max(0.0, other) for key, (other, _) in falls.items() if key != name)
    return name if fall > least and rest <= RUNNER_UP_MOST * fall else None
