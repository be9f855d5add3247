"""Calculators of the bench: plating, life, price."""

from __future__ import annotations

from dataclasses import asdict
from typing import Any

from vividowl.core.materials.kinds import CATALOGUE, Kind, material
from vividowl.core.materials.life import LifeSchool, interface_months
from vividowl.core.materials.plating import PlatingMethod, plating_time
from vividowl.core.plan.price import price_of, share_cents
from vividowl.core.quantities.errors import require_range
from vividowl.core.quantities.words import say
from vividowl.service.workings.calculator import Input, Working
from vividowl.words import told


def _plating(
    *, method: str, target_um: float, current_density_a_dm2: float | None, temperature_c: float | None
) -> dict[str, Any]:
    answer: dict[str, Any] = told(
        plating_time(
            PlatingMethod(method), target_um, current_density_a_dm2=current_density_a_dm2, temperature_c=temperature_c
        )
    )
    return answer


def _bath(
    *,
    bath: str,
    method: str,
    minutes: float,
    current_density_a_dm2: float | None,
    temperature_c: float | None,
    measured_um: float | None,
) -> dict[str, Any]:
    """An entry of the bath log: what it should have put on, and how much of that it did."""
    require_range("minutes", minutes, "min", (1.0, 6000.0))
    rate = plating_time(
        PlatingMethod(method), 1.0, current_density_a_dm2=current_density_a_dm2, temperature_c=temperature_c
    ).rate_um_h
    expected = rate * minutes / 60.0
    if measured_um is not None:
        require_range("measured_um", measured_um, "µm", (0.0, 500.0), hint=say("bench-weigh-part-or-measure-witness"))
    return {
        "bath": bath,
        "expected_um": expected,
        "of_expected_percent": None if measured_um is None else 100.0 * measured_um / expected,
    }


def _life(*, kind: str, school: str, cold_plate: str) -> dict[str, Any]:
    return {"months": interface_months(material(kind), LifeSchool(school), cold_plate)}


def _price(*, parts: float, hands_min: float, hourly_rate: float, tax_percent: float) -> dict[str, Any]:
    found = price_of(share_cents(100, parts), hands_min, share_cents(100, hourly_rate), tax_percent)
    return {name.removesuffix("_cents"): cents / 100 for name, cents in asdict(found).items()}


BENCH = (
    Working(
        "plating",
        (
            Input(key="method", read=str, example="electroless", choices=tuple(PlatingMethod)),
            Input(key="target_um", example="20", unit="µm", low=0.1, high=200.0),
            Input(key="current_density_a_dm2", default=None, unit="A/dm²"),
            Input(key="temperature_c", default=None, example="70", unit="°C"),
        ),
        _plating,
        holds=True,
    ),
    Working(
        "bath",
        (
            Input(key="bath", read=str, example="Nickel A, third part"),
            Input(key="method", read=str, example="electroless", choices=tuple(PlatingMethod)),
            Input(key="minutes", example="240", unit="min"),
            Input(key="current_density_a_dm2", default=None, unit="A/dm²"),
            Input(key="temperature_c", default=None, example="70", unit="°C"),
            Input(key="measured_um", default=None, unit="µm"),
        ),
        _bath,
        holds=True,
    ),
    Working(
        "life",
        (
            Input(key="kind", read=str, example=Kind.PASTE_STIFF, choices=tuple(CATALOGUE)),
            Input(key="school", read=str, default="usual", choices=tuple(LifeSchool)),
            Input(key="cold_plate", read=str, default="unknown", choices=("unknown", "copper", "nickel")),
        ),
        _life,
        holds=True,
    ),
    Working(
        "price",
        (
            Input(key="parts", example="4.5"),
            Input(key="hands_min", example="65", unit="min", low=0.0, high=6000.0),
            Input(key="hourly_rate", example="60"),
            Input(key="tax_percent", default=0.0, example="19", unit="%", low=0.0, high=40.0),
        ),
        _price,
    ),
)
