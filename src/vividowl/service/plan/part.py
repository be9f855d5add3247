"""One part of an option: what goes where, how much of it, and from which lot."""

from __future__ import annotations

import uuid
from dataclasses import dataclass

from vividowl.core.materials.application import Drop, School
from vividowl.core.materials.dose import left_in_tube
from vividowl.core.materials.kinds import Kind
from vividowl.core.materials.nesting import with_margin
from vividowl.core.materials.pieces import spare_pieces
from vividowl.core.plan.price import share_cents
from vividowl.core.quantities.errors import OutOfRange
from vividowl.core.quantities.words import Words
from vividowl.service.shelf.shelf import ProductView

MARGIN_MM = 0.2


@dataclass(frozen=True, kw_only=True)
class Part:
    """One place that gets something. amount in `unit`, None when something was not measured, which `lacks` names;
    pieces to cut when it comes from a sheet; stock: held, short or not known; lot it would come from; left: what that
    lot holds afterwards."""

    target: str
    kind: str
    words: Words
    product_id: uuid.UUID | None
    product: str
    amount: float | None
    unit: str
    volume_ul: float | None
    width_mm: float | None
    length_mm: float | None
    count: int
    together: bool
    school: str | None
    school_reason: Words
    drop: Drop | None
    lacks: Words
    stock: str
    lot_id: uuid.UUID | None
    lot: str
    left: float | None
    price_cents: int | None

    @property
    def spare(self) -> int:
        """Pieces of it that are cut and kept."""
        return spare_pieces(self.kind, self.target, self.amount, self.unit)


def sheet_part(
    target: str,
    product: ProductView | None,
    *,
    width_mm: float,
    length_mm: float,
    count: int,
    together: bool,
    words: Words,
    margin_mm: float,
    kind: str = Kind.PAD,
) -> Part:
    """Pieces of a sheet. Whether they find room is for the cut sheet to say; here only that there is one."""
    width, length = with_margin(width_mm, length_mm, margin_mm) if margin_mm else (width_mm, length_mm)
    held = product is not None and (product.remaining >= 1 or bool(product.offcuts))
    price = None
    if product is not None and product.product.price_cents is not None and product.product.sheet_width_mm:
        sheet = product.product.sheet_width_mm * (product.product.sheet_length_mm or 0.0)
        price = share_cents(product.product.price_cents, min(1.0, width * length * count / sheet)) if sheet else None
    return Part(
        target=target,
        kind=kind,
        words=words,
        product_id=product.product.id if product else None,
        product=product.product.name if product else "",
        amount=float(count),
        unit="piece",
        volume_ul=None,
        width_mm=width,
        length_mm=length,
        count=count,
        together=together,
        school=None,
        school_reason="",
        drop=None,
        lacks="",
        stock="held" if held else "short",
        lot_id=None,
        lot="",
        left=None,
        price_cents=price,
    )


def part_of(
    target: str,
    kind: str,
    *,
    product: ProductView | None,
    amount: float | None,
    unit: str,
    volume_ul: float | None = None,
    width_mm: float | None = None,
    length_mm: float | None = None,
    count: int = 1,
    school: School | None = None,
    school_reason: Words = "",
    drop: Drop | None = None,
    lacks: Words = "",
) -> Part:
    """A part by amount: from the lot that is open and expires first, of those that hold enough."""
    lot_id, lot, left, stock = None, "", None, "short" if product is None else "not known"
    price = None
    if product is not None and amount is not None:
        stock = "short"
        lots = [v.lot for v in product.lots if v.usable]
        lots.sort(key=lambda x: (x.opened_on is None, x.expires_on is None, str(x.expires_on), x.code))
        for row in lots:
            try:
                left = left_in_tube(row.remaining, amount).left_g
            except OutOfRange:
                continue
            lot_id, lot, stock = row.id, row.code, "held"
            break
        if product.product.price_cents is not None:
            price = share_cents(product.product.price_cents, amount)
    if amount is None:
        stock = "not known"
    return Part(
        target=target,
        kind=kind,
        words=product.product.name if product else "",
        product_id=product.product.id if product else None,
        product=product.product.name if product else "",
        amount=amount,
        unit=unit,
        volume_ul=volume_ul,
        width_mm=width_mm,
        length_mm=length_mm,
        count=count,
        together=False,
        school=school.value if school else None,
        school_reason=school_reason,
        drop=drop,
        lacks=lacks,
        stock=stock,
        lot_id=lot_id,
        lot=lot,
        left=left,
        price_cents=price,
    )
