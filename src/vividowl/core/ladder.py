"""The heat ladder: die, interface, heatsink, air, room; each rung a drop in kelvins and a resistance."""

from __future__ import annotations

from dataclasses import dataclass

from vividowl.core.errors import CoreError, require_range
from vividowl.core.network import Response
from vividowl.core.reference import INTERFACE_SHARE_POOR
from vividowl.core.units import require_room_c

FALL_SHOWN_K = 2.0
SMALL_SHARE = 0.005


@dataclass(frozen=True)
class Rung:
    """name: interface, heatsink, air or whole; drop_k [K]; resistance [K/W] or None; source: probe or log."""

    name: str
    drop_k: float
    resistance: float | None
    source: str


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
) -> Ladder:
    """Split the rise into rungs: by probes where there are any, else by the log's response, else not at all.

    die_c: die temperature [degC]
    room_c: room [degC], -10 to 60
    power: heat [W] or None
    heatsink_c: heatsink probe [degC] or None
    exhaust_c: exhaust air [degC] or None
    response: response from the log or None
    returns: Ladder
    raises: OutOfRange, CoreError when probes contradict each other
    formula: drops between neighbours; from the log R_interface P, R_slow P and the rest
    source: one-dimensional heat flow; JESD51 for resistance
    """
    require_room_c(room_c)
    require_range("die_c", die_c, "°C", -40.0, 150.0)

    def rung(name: str, drop: float, source: str) -> Rung:
        return Rung(name, drop, drop / power if power else None, source)

    rise = die_c - room_c
    if heatsink_c is not None:
        if not room_c <= heatsink_c <= die_c:
            raise CoreError(
                f"The heatsink probe reads {heatsink_c:g} °C, but must lie between the room ({room_c:g} °C) "
                f"and the die ({die_c:.1f} °C).",
                field="heatsink_c",
                remedy="Check where the probe sat and that it was read under load.",
            )
        if exhaust_c is not None and room_c <= exhaust_c <= heatsink_c:
            low = (
                rung("air", exhaust_c - room_c, "probe"),
                rung("heatsink", heatsink_c - exhaust_c, "probe"),
            )
        else:
            low = (rung("heatsink", heatsink_c - room_c, "probe"),)  # type: ignore[assignment]
        return Ladder(room_c, die_c, power, (*low, rung("interface", die_c - heatsink_c, "probe")))
    if response is not None and response.total > 0 and rise > 0:
        # The fan idles before the load, so the fitted sum falls short of the steady one; the interface and the slow
        # part do not know the fan, and what is left belongs to heatsink and fins.
        watts = power if power else rise / response.total
        top, bottom = response.interface * watts, response.chassis * watts
        shrink = min(1.0, rise / (top + bottom)) if top + bottom > 0 else 1.0
        middle = rise - (top + bottom) * shrink
        parts = [("air", bottom * shrink, "log"), ("heatsink", middle, "log"), ("interface", top * shrink, "log")]
        warmed = exhaust_c - room_c if exhaust_c is not None else 0.0
        if 0.0 < warmed < rise - top * shrink:
            # The exhaust gives the share of the air itself; what is left stands between base and air.
            parts[:2] = [("air", warmed, "probe"), ("heatsink", rise - top * shrink - warmed, "log")]
        # A part that the log does not tell apart is left out rather than called nought; its crumbs go to the largest.
        kept = [part for part in parts if part[1] > SMALL_SHARE * rise]
        lost = rise - sum(drop for _, drop, _ in kept)
        largest = max(kept, key=lambda part: part[1])[0]
        return Ladder(room_c, die_c, power, tuple(
            rung(name, drop + (lost if name == largest else 0.0), source) for name, drop, source in kept
        ))  # fmt: skip
    return Ladder(room_c, die_c, power, (rung("whole", rise, "log"),))


def culprit(before: Ladder, after: Ladder | None = None) -> str | None:
    """The rung that stops the heat: the one that fell most, or a poor interface; None when it is not told.

    before: ladder before
    after: ladder after or None
    returns: name of the rung or None
    formula: with both sides the largest fall of rungs told alike, at the power before, 2 K at least; else interface
        share >= 1/3
    source: common practice, no source
    """
    if after is None:
        rise = before.die_c - before.room_c
        for rung in before.rungs:
            if rung.name == "interface" and rise > 0 and rung.drop_k >= INTERFACE_SHARE_POOR * rise:
                return "interface"
        return None
    falls: dict[str, float] = {}
    for old in before.rungs:
        for new in after.rungs:
            if old.name == new.name and old.name != "whole" and old.source == new.source:
                scale = before.power / after.power if before.power and after.power else 1.0
                falls[old.name] = old.drop_k - new.drop_k * scale
    if not falls:
        return None
    name = max(falls, key=lambda key: falls[key])
    return name if falls[name] >= FALL_SHOWN_K else None
