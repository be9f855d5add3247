"""The calculators by name, without a job: what goes in, with which bounds of kind, and what comes out."""

from __future__ import annotations

import re
from collections.abc import Callable, Mapping
from dataclasses import asdict, dataclass
from typing import Any

from vividowl.core.air import CFM_PER_M3_S, air_flow, fan_laws
from vividowl.core.change import duration_change, relative_change
from vividowl.core.conduction import layer_resistance
from vividowl.core.dose import check_syringe, dose
from vividowl.core.errors import CoreError, require_range
from vividowl.core.noise import background_correction, energy_mean, energy_sum
from vividowl.core.pads import MAX_COMPRESSION, MIN_COMPRESSION, choose_pad
from vividowl.core.plating import PlatingMethod, plating_time
from vividowl.service.errors import Refused

REQUIRED = object()


def _number(text: str) -> float:
    plain = text.replace("\u2212", "-").replace(" ", "")
    if "," in plain and "." not in plain:
        plain = plain.replace(",", ".")
    return float(plain)


def _count(text: str) -> int:
    value = _number(text)
    if value != int(value):
        raise ValueError
    return int(value)


def _numbers(text: str) -> list[float]:
    return [float(part) for part in re.split(r"[,;\s]+", text.strip()) if part]


def _clock(text: str) -> float:
    """Seconds, or minutes and seconds as 19:21, or with hours."""
    parts = text.strip().split(":")
    if len(parts) > 3:
        raise ValueError
    if len(parts) == 1:
        return _number(text)
    values = [float(p) for p in parts]
    if any(v < 0 or v >= 60 for v in values[1:]):
        raise ValueError
    seconds = 0.0
    for value in values:
        seconds = 60.0 * seconds + value
    return seconds


_KIND_WORDS: Mapping[Callable[[str], Any], str] = {
    _number: "a number", _count: "a whole number", _numbers: "numbers such as 60,50",
    _clock: "seconds, or minutes and seconds such as 19:21", str: "a word",
}  # fmt: skip


@dataclass(frozen=True)
class Input:
    """A key with how its text is read; REQUIRED as default when it must be given."""

    key: str
    read: Callable[[str], Any] = _number
    default: Any = REQUIRED


@dataclass(frozen=True)
class Working:
    """A calculator: what it is for, its inputs, and the computation from inputs to results by name."""

    name: str
    words: str
    inputs: tuple[Input, ...]
    compute: Callable[..., dict[str, Any]]


def _gap(**given: Any) -> dict[str, Any]:  # noqa: ANN401
    found = choose_pad(**given)
    return {**asdict(found), "stack_mm": list(found.stack_mm)}


def _resistance(*, thickness_um: float, conductivity: float, area_mm2: float, power_w: float) -> dict[str, Any]:
    require_range("power_w", power_w, "W", 0.0, 2000.0, "The heat that crosses the layer.")
    found = layer_resistance(thickness_um, conductivity, area_mm2)
    return {"resistance_K_per_W": found, "drop_K": found * power_w}


def _airflow(*, power_w: float, rise_k: float, air_c: float) -> dict[str, Any]:
    flow = air_flow(power_w, rise_k, air_c)
    return {"flow_L_s": 1000.0 * flow, "flow_cfm": CFM_PER_M3_S * flow}


def _levels(*, levels_db: list[float]) -> dict[str, Any]:
    return {"mean_db": energy_mean(levels_db), "sum_db": energy_sum(levels_db)}


def _plating(*, method: str, target_um: float, current_density_a_dm2: float | None, temperature_c: float | None
             ) -> dict[str, Any]:  # fmt: skip
    if method not in set(PlatingMethod):
        raise Refused("invalid", f"“{method}” is no way of plating.", field="method",
                      remedy=f"Allowed: {', '.join(PlatingMethod)}.")  # fmt: skip
    return asdict(plating_time(PlatingMethod(method), target_um, current_density_a_dm2, temperature_c))


WORKINGS: Mapping[str, Working] = {
    w.name: w
    for w in (
        Working("dose", "how much paste or alloy a contact takes",
                (Input("width_mm"), Input("length_mm"), Input("film_um"), Input("waste"), Input("density_g_ml"),
                 Input("faces", _count, 1)),
                lambda **g: asdict(dose(**g))),
        Working("syringe", "whether mass and volume on a syringe fit its density",
                (Input("volume_ml"), Input("mass_g"), Input("density_g_ml")), lambda **g: asdict(check_syringe(**g))),
        Working("gap", "pad thickness for a gap over its tolerance",
                (Input("gap_mm"), Input("tolerance_mm"), Input("min_compression", _number, MIN_COMPRESSION),
                 Input("max_compression", _number, MAX_COMPRESSION)),
                _gap),
        Working("resistance", "what a layer costs in kelvins",
                (Input("thickness_um"), Input("conductivity"), Input("area_mm2"), Input("power_w")), _resistance),
        Working("airflow", "air that carries a power away",
                (Input("power_w"), Input("rise_k"), Input("air_c", _number, 25.0)), _airflow),
        Working("levels", "mean and sum of sound levels by energy", (Input("levels_db", _numbers),), _levels),
        Working("background", "a level without the room's own noise",
                (Input("level_db"), Input("background_db")), lambda **g: asdict(background_correction(**g))),
        Working("fan", "what a change of level says of fan, flow and exhaust",
                (Input("level_change_db"),), lambda **g: asdict(fan_laws(**g))),
        Working("change", "change of a score, with its percentage",
                (Input("before"), Input("after"), Input("unit", str, "")),
                lambda **g: asdict(relative_change(**g))),
        Working("duration", "time saved and throughput gained",
                (Input("before", _clock), Input("after", _clock)),
                lambda before, after: asdict(duration_change(before, after))),
        Working("plating", "how long a layer of nickel takes",
                (Input("method", str), Input("target_um"), Input("current_density_a_dm2", _number, None),
                 Input("temperature_c", _number, None)),
                _plating),
    )
}  # fmt: skip


def work(name: str, given: Mapping[str, str]) -> dict[str, Any]:
    """Work one out from its inputs as text. Refused says what, what is allowed, and what to do."""
    working = WORKINGS.get(name)
    if working is None:
        raise Refused("invalid", f"There is no working “{name}”.", field="name",
                      remedy=f"There are: {', '.join(WORKINGS)}.")  # fmt: skip
    keys = [i.key for i in working.inputs]
    for key in given:
        if key not in keys:
            raise Refused("invalid", f"{name} has no “{key}”.", field=key, remedy=f"Its keys are: {', '.join(keys)}.")
    values: dict[str, Any] = {}
    for one in working.inputs:
        text = given.get(one.key, "").strip()
        if not text:
            if one.default is REQUIRED:
                raise Refused("invalid", f"{name} needs {one.key}.", field=one.key,
                              remedy=f"Give {one.key}= and {_KIND_WORDS[one.read]}.")  # fmt: skip
            values[one.key] = one.default
            continue
        try:
            values[one.key] = one.read(text)
        except ValueError as error:
            raise Refused("invalid", f"{one.key} is “{text}”, which is not {_KIND_WORDS[one.read]}.", field=one.key,
                          remedy="Decimal point or comma, without the unit.") from error  # fmt: skip
    try:
        return working.compute(**values)
    except CoreError as error:
        raise Refused("invalid", str(error), field=error.field, remedy=error.remedy) from error
