"""Settings of the shop."""

from __future__ import annotations

from vividowl.web.schemas.base import In, Number, Out


class TolerancesIn(In):
    die_sensor_k: Number
    room_k: Number
    run_to_run_k: Number
    power_share: Number
    clock_share: Number
    noise_db: Number
    noise_room_db_per_k: Number
    result_share: Number


class TolerancesOut(Out):
    die_sensor_k: float
    room_k: float
    run_to_run_k: float
    power_share: float
    clock_share: float
    noise_db: float
    noise_room_db_per_k: float
    result_share: float


class ShopIn(In):
    reference_room_c: Number
    tolerances: TolerancesIn


class ShopOut(Out):
    name: str
    reference_room_c: float
    tolerances: TolerancesOut
    usual: TolerancesOut
