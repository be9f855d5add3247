"""The shelf out to a CSV and in from one. A file is taken whole or not at all."""

from __future__ import annotations

from datetime import date
from typing import Any

from vividowl.core.quantities.errors import CoreError
from vividowl.core.quantities.words import say
from vividowl.formats.errors import FormatError
from vividowl.formats.sheets.shelf_csv import HEADERS, ShelfLine, date_of, number_of, read_shelf, write_shelf
from vividowl.service.clock import today_of
from vividowl.service.errors import Refused
from vividowl.service.shelf.checks import check_dates, check_product
from vividowl.service.shelf.shelf import ShelfView, shelf_view
from vividowl.service.shelf.stock import move
from vividowl.service.workshop import Actor, Workshop
from vividowl.store.deciding import Lot, Product
from vividowl.store.scope import Scope


def _text(value: float | int | date | None) -> str:
    return "" if value is None else f"{value:g}" if isinstance(value, float) else str(value)


def export_csv(workshop: Workshop, actor: Actor) -> bytes:
    """One line a lot; a product without a lot has a line of its own."""
    with workshop.scope(actor) as scope:
        lines = []
        for view in shelf_view(scope).products:
            p = view.product
            head = (
                p.kind,
                p.name,
                p.unit,
                _text(p.price_cents),
                _text(p.low_at),
                _text(p.sheet_width_mm),
                _text(p.sheet_length_mm),
                _text(p.thickness_mm),
            )
            lots = [
                (
                    x.lot.code,
                    _text(x.lot.received_on),
                    _text(x.lot.opened_on),
                    _text(x.lot.expires_on),
                    _text(x.lot.held),
                    _text(x.lot.remaining),
                )
                for x in view.lots
            ]
            lines += [ShelfLine(**dict(zip(HEADERS, (*head, *lot), strict=True))) for lot in lots or [("",) * 6]]
        return write_shelf(lines)


def import_csv(workshop: Workshop, actor: Actor, data: bytes) -> tuple[ShelfView, int, int]:
    """Add what a CSV names: new products and new lots. What is there already stays as it is.

    Returns the shelf and how many products and lots were added.
    """
    try:
        lines = read_shelf(data)
    except FormatError as error:
        raise Refused("invalid", error.message, field="file", remedy=error.remedy) from error
    with workshop.scope(actor) as scope:
        products = lots = 0
        for number, line in enumerate(lines, start=2):
            try:
                made_product, made_lot = _take_line(scope, actor, number, line)
            except FormatError as error:
                raise Refused(
                    "invalid", error.message, field="file", remedy=say("file-nothing-was-added", remedy=error.remedy)
                ) from error
            except CoreError as error:
                raise Refused(
                    "invalid", say("file-line", number=number, error=error.message, remedy=error.remedy), field="file"
                ) from error
            except Refused as error:
                raise Refused(
                    error.kind,
                    say("file-line-2", number=number, detail=error.detail, remedy=error.remedy),
                    field="file",
                ) from error
            products, lots = products + made_product, lots + made_lot
        scope.session.expire_all()
        return shelf_view(scope), products, lots


def _take_line(scope: Scope, actor: Actor, number: int, line: ShelfLine) -> tuple[int, int]:
    if not line.product:
        raise FormatError(say("file-line-names-no-product", number=number))
    product, made_product = scope.one(Product, Product.name == line.product), 0
    if product is None:
        price = number_of(number, "price_cents", line.price_cents)
        fields: dict[str, Any] = {
            "kind": line.kind,
            "name": line.product[:80],
            "unit": line.unit,
            "price_cents": None if price is None else round(price),
            **{
                n: number_of(number, n, getattr(line, n))
                for n in ("low_at", "sheet_width_mm", "sheet_length_mm", "thickness_mm")
            },
        }
        check_product(fields)
        product, made_product = scope.add(Product(own={}, **fields)), 1
    if not line.lot or scope.one(Lot, Lot.product_id == product.id, Lot.code == line.lot) is not None:
        return made_product, 0
    held = number_of(number, "held", line.held)
    left = number_of(number, "remaining", line.remaining)
    if held is None or not held > 0:
        raise FormatError(say("file-line-lot-holds-nothing", number=number, lot=line.lot))
    left = held if left is None else left
    if not 0 <= left <= held:
        raise FormatError(say("file-line-lot-held-and-said", number=number, lot=line.lot, held=held, left=left))
    dates = {n: date_of(number, n, getattr(line, n)) for n in ("received_on", "opened_on", "expires_on")}
    dates["received_on"] = dates["received_on"] or today_of(scope.shop())
    check_dates(dates)
    lot = scope.add(Lot(product_id=product.id, code=line.lot[:60], held=held, remaining=0.0, **dates))
    move(scope, actor, lot_id=lot.id, amount=left, reason=say("file-read-from-file"))
    return made_product, 1
