"""What may be cut: offcuts first, then whole sheets."""

from __future__ import annotations

import math
import uuid
from collections.abc import Sequence
from dataclasses import dataclass

from vividowl.core.materials.nesting import SHEETS_MOST
from vividowl.core.materials.pieces import Box, Sheet
from vividowl.core.quantities.words import say
from vividowl.formats.cut_sheet import CutDrawing as CutDrawing
from vividowl.service.clock import today_of
from vividowl.service.errors import Refused
from vividowl.store.deciding import Lot, Offcut, Product
from vividowl.store.scope import Scope
from vividowl.words import sentence


@dataclass(frozen=True)
class Source:
    """A sheet or an offcut of the shelf as it is nested on."""

    sheet: Sheet
    lot_id: uuid.UUID
    offcut_id: uuid.UUID | None


def box_of(row: Sequence[float]) -> Box:
    return Box(*(float(v) for v in row))


def _offcut_sheet(offcut: Offcut) -> Sheet:
    taken = tuple(box_of(b) for b in offcut.taken)
    return Sheet(
        name=sentence(say("cutting-offcut", number=offcut.number)),
        width_mm=offcut.width_mm,
        length_mm=offcut.length_mm,
        taken=taken,
        offcut=True,
    )


def sources_of(scope: Scope, product: Product, pieces: int) -> list[Source]:
    """Offcuts and whole sheets of a product that may be cut, offcuts first."""
    if product.unit != "sheet" or product.sheet_width_mm is None or product.sheet_length_mm is None:
        raise Refused("invalid", say("cutting-not-kept-in-sheets", name=product.name), field="product_id")
    today = today_of(scope.shop())
    out = [
        Source(_offcut_sheet(o), o.lot_id, o.id)
        for o in scope.session.scalars(
            scope.select(Offcut)
            .join(Lot, Lot.id == Offcut.lot_id)
            .where(Lot.product_id == product.id, Offcut.used_by.is_(None), Offcut.removed_at.is_(None))
            .order_by(Offcut.number)
            .with_for_update(of=Offcut)
        ).unique()
    ]
    for lot in product.lots:
        if lot.removed_at is not None or (lot.expires_on is not None and lot.expires_on < today):
            continue
        whole = min(math.floor(lot.remaining + 1e-9), pieces)
        size = (product.sheet_width_mm, product.sheet_length_mm)
        out += [
            Source(
                Sheet(name=sentence(say("cutting-sheet-lot", code=lot.code)), width_mm=size[0], length_mm=size[1]),
                lot.id,
                None,
            )
            for _ in range(whole)
        ]
    if not out:
        raise Refused(
            "conflict", say("cutting-no-sheet-and-no-offcut", name=product.name), field="product_id", reason="short"
        )
    return out[:SHEETS_MOST]
