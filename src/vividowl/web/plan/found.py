"""What was found, in and out."""

from __future__ import annotations

from typing import Annotated

from pydantic import Field

from vividowl.core.plan.spots import BathSpot, CoverSpot, GapSpot, ShimSpot
from vividowl.web.fields import Flag, In, Number, Out, Short, Whole


class GapSpotIn(In):
    target: Short
    how: Short
    reading_mm: Number
    tolerance_mm: Number = 0.05
    width_mm: Number
    length_mm: Number
    count: Whole = 1
    together: Flag = False


class ShimSpotIn(In):
    package_width_mm: Number
    package_length_mm: Number
    die_width_mm: Number
    die_length_mm: Number
    shim_width_mm: Number
    shim_length_mm: Number
    shim_mm: Number
    pad_mm: Number
    pad_conductivity: Number
    power_w: Number
    offset_x_mm: Number = 0.0
    offset_y_mm: Number = 0.0
    neighbours_mm: Number | None = None
    bond: Short = "glue"


class BathSpotIn(In):
    method: Short
    area_cm2: Number
    target_um: Number = 20.0
    temperature_c: Number = 70.0
    rate_um_h: Number | None = None
    current_density_a_dm2: Number | None = None


class CoverSpotIn(In):
    material: Short
    thickness_mm: Number
    width_mm: Number
    length_mm: Number
    pad_width_mm: Number
    pad_length_mm: Number
    pad_conductivity: Number
    gap_mm: Number | None = None
    gap_tolerance_mm: Number = 0.1
    battery_mm: Number | None = None


class FoundIn(In):
    cpu_die_width_mm: Number | None = None
    cpu_die_length_mm: Number | None = None
    gpu_die_width_mm: Number | None = None
    gpu_die_length_mm: Number | None = None
    old_interface: Short = "unknown"
    dust: Short = "unknown"
    fan_state: Short = "unknown"
    pads_state: Short = "unknown"
    gap_filler: Short = "pads"
    cold_plate: Short = "unknown"
    aluminium_near: Short = "unknown"
    parts_exposed: Short = "unknown"
    insulation: Short = "none"
    carried: Flag = False
    place: Short = "desk"
    gaps: Annotated[list[GapSpotIn], Field(max_length=20, default_factory=list)]
    shim: ShimSpotIn | None = None
    cover: CoverSpotIn | None = None
    undervolt_mv: Number = 0.0
    cap_w: Number | None = None
    opens_mains: Flag = False
    plating: Flag = False
    bath: BathSpotIn | None = None


class FoundOut(Out):
    cpu_die_width_mm: float | None
    cpu_die_length_mm: float | None
    gpu_die_width_mm: float | None
    gpu_die_length_mm: float | None
    old_interface: str
    dust: str
    fan_state: str
    pads_state: str
    gap_filler: str
    cold_plate: str
    aluminium_near: str
    parts_exposed: str
    insulation: str
    carried: bool
    place: str
    gaps: list[GapSpot]
    shim: ShimSpot | None
    cover: CoverSpot | None
    undervolt_mv: float
    cap_w: float | None
    opens_mains: bool
    plating: bool
    bath: BathSpot | None
