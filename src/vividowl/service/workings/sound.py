"""Calculators of sound and air."""

from __future__ import annotations

from typing import Any

from vividowl.core.heat.air import CFM_PER_M3_S, air_flow, fan_laws
from vividowl.core.sound.levels import background_correction, energy_mean, energy_sum
from vividowl.service.workings.calculator import Input, Working, numbers
from vividowl.words import told


def _airflow(*, power_w: float, rise_k: float, air_c: float) -> dict[str, Any]:
    flow = air_flow(power_w, rise_k, air_c)
    return {"flow_L_s": 1000.0 * flow, "flow_cfm": CFM_PER_M3_S * flow}


def _levels(*, levels_db: list[float]) -> dict[str, Any]:
    return {"mean_db": energy_mean(levels_db), "sum_db": energy_sum(levels_db)}


SOUND = (
    Working(
        "airflow",
        (
            Input(key="power_w", example="100", unit="W", low=0.0, above=True),
            Input(key="rise_k", example="20", unit="K", low=0.0, above=True),
            Input(key="air_c", default=25.0, example="25", unit="°C"),
        ),
        _airflow,
    ),
    Working(
        "levels",
        (Input(key="levels_db", read=numbers, example="60 50", unit="dB", low=0.0, high=140.0),),
        _levels,
    ),
    Working(
        "background",
        (
            Input(key="level_db", example="48", unit="dB", low=0.0, high=140.0),
            Input(key="background_db", example="42", unit="dB", low=0.0, high=140.0),
        ),
        lambda **g: told(background_correction(**g)),
    ),
    Working(
        "fan",
        (Input(key="level_change_db", example="-5.6", unit="dB", low=-60.0, high=60.0),),
        lambda **g: told(fan_laws(**g)),
    ),
)
