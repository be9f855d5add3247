"""Calculators of heat: layers, shims, warm covers, rises, watts."""

from __future__ import annotations

from typing import Any

from vividowl.core.heat.conduction import layer_resistance
from vividowl.core.heat.skin import COVERS, PLACEMENTS, skin_temperature
from vividowl.core.heat.temperature import at_reference_room, rise_over_room, sustained_capacity, thermal_resistance
from vividowl.core.materials.pads import gap_from_crushed_pad
from vividowl.core.materials.shim import BONDS, shim_gain, shim_height
from vividowl.core.quantities.errors import require_range
from vividowl.core.quantities.words import say
from vividowl.service.errors import Refused
from vividowl.service.workings.calculator import Input, Working


def _resistance(*, thickness_um: float, conductivity: float, area_mm2: float, power_w: float) -> dict[str, Any]:
    require_range("power_w", power_w, "W", (0.0, 2000.0), hint=say("heat-heat-that-crosses-layer"))
    found = layer_resistance(thickness_um, conductivity, area_mm2)
    return {"resistance_K_per_W": found, "drop_K": found * power_w}


def _shim(
    *,
    width_mm: float,
    length_mm: float,
    power_w: float,
    pad_um: float,
    pad_conductivity: float,
    shim_um: float,
    bond: str,
) -> dict[str, Any]:
    height = shim_height(shim_um / 1000.0, gap_from_crushed_pad(pad_um / 1000.0), bond)
    if not height.fits:
        raise Refused(
            "invalid",
            height.reason,
            field="shim_um",
            remedy=say("heat-up-to-m-goes-in", limit_mm=1000 * height.limit_mm),
        )
    found = shim_gain(
        width_mm, length_mm, power=power_w, pad_um=pad_um, pad_conductivity=pad_conductivity, shim_um=shim_um, bond=bond
    )
    return {"pad_K_per_W": found.pad_resistance, "shim_K_per_W": found.shim_resistance, "drop_K": found.drop_k}


def _skin(
    *,
    power_w: float,
    room_c: float,
    material: str,
    thickness_mm: float,
    width_mm: float,
    length_mm: float,
    pad_mm2: float,
    placement: str,
    contact_s: float | None,
) -> dict[str, Any]:
    for name, value in (("width_mm", width_mm), ("length_mm", length_mm)):
        require_range(name, value, "mm", (10.0, 1000.0), hint=say("heat-measure-cover"))
    found = skin_temperature(
        power_w,
        room_c,
        material=material,
        thickness_mm=thickness_mm,
        cover_mm2=width_mm * length_mm,
        patch_mm2=pad_mm2,
        placement=placement,
        contact_s=contact_s,
    )
    return {
        "skin_c": found.skin_c,
        "limit_c": found.limit_c,
        "allowed": found.allowed,
        "cover_K_per_W": found.resistance,
    }


def _rise(*, reading_c: float, room_c: float, reference_room_c: float) -> dict[str, Any]:
    return {
        "rise_k": rise_over_room(reading_c, room_c),
        "at_reference_c": at_reference_room(reading_c, room_c, reference_room_c),
    }


def _capacity(
    *, reading_c: float, room_c: float, power_w: float, limit_c: float, reference_room_c: float
) -> dict[str, Any]:
    found = thermal_resistance(rise_over_room(reading_c, room_c), power_w)
    return {"resistance_K_per_W": found, "capacity_w": sustained_capacity(limit_c, found, reference_room_c)}


HEAT = (
    Working(
        "resistance",
        (
            Input(key="thickness_um", example="30", unit="µm", low=0.1, high=100000.0),
            Input(key="conductivity", example="8.5", unit="W/(m·K)", low=0.01, high=2500.0),
            Input(key="area_mm2", example="195", unit="mm²", low=0.1, high=1000000.0),
            Input(key="power_w", example="60", unit="W"),
        ),
        _resistance,
    ),
    Working(
        "shim",
        (
            Input(key="width_mm", example="15", unit="mm", low=1.0, high=200.0),
            Input(key="length_mm", example="13", unit="mm", low=1.0, high=200.0),
            Input(key="power_w", example="8", unit="W", low=0.0, high=2000.0),
            Input(key="pad_um", example="2000", unit="µm"),
            Input(key="pad_conductivity", example="3", unit="W/(m·K)"),
            Input(key="shim_um", example="1000", unit="µm"),
            Input(key="bond", read=str, default="paste", choices=tuple(BONDS)),
        ),
        _shim,
    ),
    Working(
        "skin",
        (
            Input(key="power_w", example="4", unit="W", low=0.0, high=500.0),
            Input(key="room_c", default=25.0, example="24", unit="°C", low=-10.0, high=60.0),
            Input(key="material", read=str, default="aluminium", choices=tuple(COVERS)),
            Input(key="thickness_mm", default=1.0, example="1", unit="mm", low=0.3, high=10.0),
            Input(key="width_mm", default=300.0, example="300", unit="mm"),
            Input(key="length_mm", default=200.0, example="200", unit="mm"),
            Input(key="pad_mm2", default=2400.0, example="2400", unit="mm²"),
            Input(key="placement", read=str, default="desk", choices=tuple(PLACEMENTS)),
            Input(key="contact_s", default=None, unit="s"),
        ),
        _skin,
    ),
    Working(
        "rise",
        (
            Input(key="reading_c", example="95", unit="°C", low=-273.15, above=True),
            Input(key="room_c", default=25.0, example="24", unit="°C", low=-10.0, high=60.0),
            Input(key="reference_room_c", default=25.0, example="25", unit="°C", low=-10.0, high=60.0),
        ),
        _rise,
        holds=True,
    ),
    Working(
        "capacity",
        (
            Input(key="reading_c", example="95", unit="°C", low=-273.15, above=True),
            Input(key="room_c", default=25.0, example="24", unit="°C", low=-10.0, high=60.0),
            Input(key="power_w", example="48", unit="W", low=0.0, above=True),
            Input(key="limit_c", example="95", unit="°C", worded_limit=True),
            Input(key="reference_room_c", default=25.0, example="25", unit="°C", low=-10.0, high=60.0),
        ),
        _capacity,
    ),
)
