"""The shelf of the made-up shop."""

from __future__ import annotations

import uuid
from collections.abc import Mapping, Sequence
from datetime import date, timedelta
from typing import Any

from vividowl.core.materials.kinds import Kind
from vividowl.service.shelf import cutting, shelf
from vividowl.service.workshop import Actor, Workshop

_NO_SHEET: dict[str, Any] = {"sheet_width_mm": None, "sheet_length_mm": None, "thickness_mm": None}


def _sheet(width: float, length: float, thickness: float) -> dict[str, Any]:
    return {"sheet_width_mm": width, "sheet_length_mm": length, "thickness_mm": thickness}


def _told(**values: float) -> dict[str, Any]:
    """Values of a data sheet."""
    return {name: {"value": value, "source": "data sheet", "note": ""} for name, value in values.items()}


# name, kind, unit, price of one in cents, warn below, sheet, own values, lots: code, held, days since it came, days
# since it was opened or None, days until it expires or None
_PRODUCTS: tuple[tuple[str, str, str, int, float | None, dict[str, Any], dict[str, Any], tuple[Any, ...]], ...] = (
    (
        "Grey Heron 11",
        Kind.PASTE_STIFF,
        "g",
        950,
        3.0,
        _NO_SHEET,
        _told(conductivity=11.2, density_g_ml=2.7),
        (("GH-2607", 4.0, 120, 100, 500), ("GH-2611", 4.0, 20, None, 690)),
    ),
    (
        "Loam 8",
        Kind.PASTE_SOFT,
        "g",
        450,
        2.0,
        _NO_SHEET,
        _told(conductivity=8.5, density_g_ml=2.4),
        (("L-118", 3.5, 380, 360, -12), ("L-140", 3.5, 60, 40, 640)),
    ),
    (
        "Slow Tide 45",
        Kind.SHEET,
        "sheet",
        1400,
        1.0,
        _sheet(40, 80, 0.2),
        _told(conductivity=8.5),
        (("ST-3", 4.0, 150, 61, 900),),
    ),
    (
        "Quicksheen",
        Kind.ALLOY,
        "g",
        1900,
        1.0,
        _NO_SHEET,
        _told(conductivity=73.0, density_g_ml=6.4),
        (("QS-11", 1.0, 430, 410, 40),),
    ),
    (
        "Moss 0.5",
        "pad",
        "sheet",
        900,
        None,
        _sheet(80, 80, 0.5),
        _told(conductivity=6.0),
        (("M05-2", 3.0, 90, None, None),),
    ),
    (
        "Moss 1.0",
        "pad",
        "sheet",
        1100,
        2.0,
        _sheet(80, 80, 1.0),
        _told(conductivity=6.0),
        (("M10-7", 5.0, 90, 80, None),),
    ),
    (
        "Moss 1.5",
        "pad",
        "sheet",
        1300,
        2.0,
        _sheet(80, 80, 1.5),
        _told(conductivity=6.0),
        (("M15-4", 1.0, 90, 80, None),),
    ),
    ("Ridgeback putty", "putty", "g", 55, 20.0, _NO_SHEET, _told(conductivity=6.5), (("R-209", 50.0, 70, 66, 300),)),
)


def stock_the_shelf(workshop: Workshop, actor: Actor, day: date) -> Mapping[tuple[str, str], uuid.UUID]:
    """Put the products and their lots on the shelf. Returns the lots by product and code."""
    for name, kind, unit, price, low_at, sheet, own, lots in _PRODUCTS:
        fields = {"kind": kind, "name": name, "unit": unit, "own": own, "price_cents": price, "low_at": low_at, **sheet}
        view = shelf.save_product(workshop, actor, product_id=None, version=0, fields=fields)
        product = next(p.product for p in view.products if p.product.name == name)
        for code, held, came, opened, expires in lots:
            shelf.add_lot(
                workshop,
                actor,
                product.id,
                {
                    "code": code,
                    "held": held,
                    "received_on": day - timedelta(days=came),
                    "opened_on": None if opened is None else day - timedelta(days=opened),
                    "expires_on": None if expires is None else day + timedelta(days=expires),
                },
            )
    found = shelf.get_shelf(workshop, actor)
    return {(p.product.name, x.lot.code): x.lot.id for p in found.products for x in p.lots}


def cut_for(
    workshop: Workshop, actor: Actor, job_id: uuid.UUID, *, product: str, rows: Sequence[dict[str, Any]]
) -> None:
    """Cut pieces of a product for a job."""
    found = next(p.product for p in shelf.get_shelf(workshop, actor).products if p.product.name == product)
    cutting.book(workshop, actor, job_id, product_id=found.id, rows=rows, kerf_mm=0.2)
