"""Shelf and cuts. Values as they are shown. No decisions here."""

from __future__ import annotations

from collections.abc import Sequence

from vividowl.core.materials.pieces import Box
from vividowl.service.shelf.cutting import CutDrawing, CutView
from vividowl.service.shelf.shelf import ProductView, ShelfView
from vividowl.web.shelf.schemas import (
    CutOut,
    CutPieceOut,
    DrawingOut,
    KindOut,
    LotOut,
    OffcutOut,
    ProductOut,
    ShelfOut,
)
from vividowl.words import sentence


def product_out(view: ProductView) -> ProductOut:
    """A product."""
    p = view.product
    own = {n: getattr(p, n) for n in _PRODUCT_OWN}
    return ProductOut(
        **own,
        remaining=view.remaining,
        low=view.low,
        warnings=list(view.warnings),
        own_names=sorted(p.own),
        values=list(view.values),
        lots=[
            LotOut(
                **{
                    n: getattr(x.lot, n)
                    for n in ("id", "code", "held", "remaining", "version", "received_on", "opened_on", "expires_on")
                },
                expired=x.expired,
                expires_soon=x.expires_soon,
            )
            for x in view.lots
        ],
        offcuts=[
            OffcutOut(
                id=o.id,
                number=o.number,
                lot=o.lot.code,
                width_mm=o.width_mm,
                length_mm=o.length_mm,
                taken=[_box(b) for b in o.taken],
                largest=_box(o.largest),
            )
            for o in view.offcuts
        ],
    )


def shelf_out(view: ShelfView) -> ShelfOut:
    """The whole shelf."""
    return ShelfOut(
        products=[product_out(p) for p in view.products],
        kinds=[
            KindOut(
                kind=k.kind,
                words=sentence(k.words),
                for_die=k.for_die,
                own_names=[v.name for v in k.values if v.source != "from memory"],
                values=list(k.values),
            )
            for k in view.kinds
        ],
        lessons=list(view.lessons),
        currency=view.currency,
    )


def _box(rect: Sequence[float]) -> Box:
    return Box(**dict(zip(("x_mm", "y_mm", "width_mm", "length_mm"), rect, strict=True)))


def drawing_out(drawing: CutDrawing, kept: Sequence[float] | None = None) -> DrawingOut:
    """A sheet with its pieces."""
    return DrawingOut(
        name=sentence(drawing.name),
        width_mm=drawing.width_mm,
        length_mm=drawing.length_mm,
        kept=_box(kept) if kept else None,
        taken=[_box(b) for b in drawing.taken],
        pieces=[CutPieceOut(label=p.label, box=_box(p.rect)) for p in drawing.pieces],
    )


def cut_out(view: CutView) -> CutOut:
    """A cut sheet."""
    stored = view.stored
    return CutOut(
        id=stored.id if stored else None,
        product=stored.product.name if stored else "",
        at=stored.at if stored else None,
        fits=view.fits,
        waste_share=view.waste_share,
        unplaced=list(view.unplaced),
        drawings=[drawing_out(d, kept) for d, kept in zip(view.drawings, view.kept, strict=True)],
    )


_PRODUCT_OWN = (
    "id",
    "version",
    "kind",
    "name",
    "unit",
    "price_cents",
    "low_at",
    "sheet_width_mm",
    "sheet_length_mm",
    "thickness_mm",
)
