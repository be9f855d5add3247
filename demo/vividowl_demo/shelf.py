"""The shelf of the made-up shop."""

from __future__ import annotations

import uuid
from collections.abc import Mapping, Sequence
from datetime import date, timedelta
from typing import Any

from vividowl.service.shelf import cutting, shelf
from vividowl.service.workshop import Actor, Workshop
from vividowl_demo.data import read

_NOT_GIVEN = dict.fromkeys(("low_at", "sheet_width_mm", "sheet_length_mm", "thickness_mm"))


def stock_the_shelf(workshop: Workshop, actor: Actor, day: date) -> Mapping[tuple[str, str], uuid.UUID]:
    """Put the products and their lots on the shelf. Returns the lots by product and code."""
    for given in read("shelf")["product"]:
        lots, sheet = given.pop("lots"), given.pop("data_sheet")
        own = {name: {"value": value, "source": "data sheet", "note": ""} for name, value in sheet.items()}
        fields = {**_NOT_GIVEN, **given, "own": own}
        view = shelf.save_product(workshop, actor, product_id=None, version=0, fields=fields)
        product = next(p.product for p in view.products if p.product.name == given["name"])
        for lot in lots:
            came, opened, expires = (lot.get(name) for name in ("came", "opened", "expires"))
            dates = {
                "received_on": day - timedelta(days=came),
                "opened_on": None if opened is None else day - timedelta(days=opened),
                "expires_on": None if expires is None else day + timedelta(days=expires),
            }
            shelf.add_lot(workshop, actor, product.id, {"code": lot["code"], "held": lot["held"], **dates})
    found = shelf.get_shelf(workshop, actor)
    return {(p.product.name, x.lot.code): x.lot.id for p in found.products for x in p.lots}


def cut_for(
    workshop: Workshop, actor: Actor, job_id: uuid.UUID, *, product: str, rows: Sequence[dict[str, Any]]
) -> None:
    """Cut pieces of a product for a job."""
    found = next(p.product for p in shelf.get_shelf(workshop, actor).products if p.product.name == product)
    cutting.book(workshop, actor, job_id, product_id=found.id, rows=rows, kerf_mm=0.2)
