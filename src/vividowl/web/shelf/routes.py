"""Shelf: products, lots, offcuts, values of the kinds, and the CSV."""

from __future__ import annotations

import uuid

from flask import Response, request
from pydantic import BaseModel

from vividowl.service.shelf import file as shelf_file
from vividowl.service.shelf import materials, shelf
from vividowl.web.access import access, actor, takes_body, workshop
from vividowl.web.blueprint import blueprint
from vividowl.web.idempotency import idempotent
from vividowl.web.shelf.present import shelf_out
from vividowl.web.shelf.schemas import ImportedOut, KindIn, LotIn, LotUpdateIn, MoveOut, MovesOut, ProductIn, ShelfOut

api = blueprint("shelf", __name__, url_prefix="/api/shelf")
CSV_MOST_BYTES = 2 * 1024 * 1024


class ProductPath(BaseModel):
    product_id: uuid.UUID


class LotPath(BaseModel):
    lot_id: uuid.UUID


class OffcutPath(BaseModel):
    offcut_id: uuid.UUID


class KindPath(BaseModel):
    kind: str


def _fields(body: ProductIn) -> dict[str, object]:
    return body.model_dump(exclude={"version"})


@api.get("", responses={200: ShelfOut}, operation_id="getShelf")
@access("member")
def get_shelf() -> ShelfOut:
    """All that lies on the shelf."""
    return shelf_out(shelf.get_shelf(workshop(), actor()))


@api.post("/products", responses={201: ShelfOut}, operation_id="addProduct")
@access("member")
@idempotent
def add_product(body: ProductIn) -> tuple[ShelfOut, int]:
    """A new product."""
    return shelf_out(shelf.save_product(workshop(), actor(), product_id=None, version=0, fields=_fields(body))), 201


@api.put("/products/<uuid:product_id>", responses={200: ShelfOut}, operation_id="saveProduct")
@access("member")
def save_product(path: ProductPath, body: ProductIn) -> ShelfOut:
    """Change a product."""
    return shelf_out(
        shelf.save_product(workshop(), actor(), product_id=path.product_id, version=body.version, fields=_fields(body))
    )


@api.delete("/products/<uuid:product_id>", responses={200: ShelfOut}, operation_id="removeProduct")
@access("member")
def remove_product(path: ProductPath) -> ShelfOut:
    """Take a product off the shelf; it can be brought back."""
    return shelf_out(shelf.set_product_removed(workshop(), actor(), path.product_id, True))


@api.post("/products/<uuid:product_id>/restore", responses={200: ShelfOut}, operation_id="restoreProduct")
@access("member")
def restore_product(path: ProductPath) -> ShelfOut:
    """Bring it back."""
    return shelf_out(shelf.set_product_removed(workshop(), actor(), path.product_id, False))


@api.post("/products/<uuid:product_id>/lots", responses={201: ShelfOut}, operation_id="addLot")
@access("member")
@idempotent
def add_lot(path: ProductPath, body: LotIn) -> tuple[ShelfOut, int]:
    """A tube or a pack comes in."""
    return shelf_out(shelf.add_lot(workshop(), actor(), path.product_id, body.model_dump())), 201


@api.put("/lots/<uuid:lot_id>", responses={200: ShelfOut}, operation_id="saveLot")
@access("member")
def save_lot(path: LotPath, body: LotUpdateIn) -> ShelfOut:
    """Dates, and what is left when it was weighed or counted."""
    return shelf_out(shelf.save_lot(workshop(), actor(), path.lot_id, body.model_dump()))


@api.delete("/lots/<uuid:lot_id>", responses={200: ShelfOut}, operation_id="removeLot")
@access("member")
def remove_lot(path: LotPath) -> ShelfOut:
    """Take a lot off the shelf; it can be brought back."""
    return shelf_out(shelf.set_lot_removed(workshop(), actor(), path.lot_id, True))


@api.post("/lots/<uuid:lot_id>/restore", responses={200: ShelfOut}, operation_id="restoreLot")
@access("member")
def restore_lot(path: LotPath) -> ShelfOut:
    """Bring it back."""
    return shelf_out(shelf.set_lot_removed(workshop(), actor(), path.lot_id, False))


@api.get("/lots/<uuid:lot_id>/moves", responses={200: MovesOut}, operation_id="getMoves")
@access("member")
def get_moves(path: LotPath) -> MovesOut:
    """What went in and out of a lot, newest first."""
    rows = shelf.get_moves(workshop(), actor(), path.lot_id)
    return MovesOut(
        moves=[
            MoveOut(id=m.id, amount=m.amount, remaining=m.remaining, reason=m.reason, by=m.member.name, at=m.at)
            for m in rows
        ]
    )


@api.delete("/offcuts/<uuid:offcut_id>", responses={200: ShelfOut}, operation_id="removeOffcut")
@access("member")
def remove_offcut(path: OffcutPath) -> ShelfOut:
    """Throw an offcut away; it can be brought back."""
    return shelf_out(shelf.set_offcut_removed(workshop(), actor(), path.offcut_id, True))


@api.post("/offcuts/<uuid:offcut_id>/restore", responses={200: ShelfOut}, operation_id="restoreOffcut")
@access("member")
def restore_offcut(path: OffcutPath) -> ShelfOut:
    """Bring it back."""
    return shelf_out(shelf.set_offcut_removed(workshop(), actor(), path.offcut_id, False))


@api.put("/kinds/<kind>", responses={200: ShelfOut}, operation_id="saveKind")
@access("owner")
def save_kind(path: KindPath, body: KindIn) -> ShelfOut:
    """The shop's own values of a kind."""
    own = {n: v.model_dump() for n, v in body.own.items()}
    materials.save_kind(workshop(), actor(), path.kind, own)
    return shelf_out(shelf.get_shelf(workshop(), actor()))


@api.post("/kinds/<kind>/learn", responses={200: ShelfOut}, operation_id="learnKind")
@access("owner")
def learn_kind(path: KindPath) -> ShelfOut:
    """Let a typical value follow the shop's own jobs."""
    materials.learn(workshop(), actor(), path.kind)
    return shelf_out(shelf.get_shelf(workshop(), actor()))


@api.get("/shelf.csv", operation_id="getShelfCsv", responses={200: {"content": {"text/csv": {}}}})
@access("member")
def shelf_csv() -> Response:
    """The shelf as CSV."""
    return Response(
        shelf_file.export_csv(workshop(), actor()),
        mimetype="text/csv",
        headers={"Content-Disposition": 'attachment; filename="shelf.csv"'},
    )


@api.post("/import", responses={200: ImportedOut}, operation_id="importShelf")
@access("member")
@takes_body(CSV_MOST_BYTES)
def import_shelf() -> ImportedOut:
    """Add what a CSV names. The body is the file."""
    view, products, lots = shelf_file.import_csv(workshop(), actor(), request.get_data())
    return ImportedOut(products=products, lots=lots, shelf=shelf_out(view))
