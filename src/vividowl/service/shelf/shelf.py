"""The Shelf: products, lots, offcuts, what is low or expired, and its CSV."""

from __future__ import annotations

import uuid
from collections.abc import Mapping, Sequence
from dataclasses import dataclass
from datetime import date
from typing import Any

from sqlalchemy.exc import IntegrityError

from vividowl.core.materials.kinds import CATALOGUE, DIE_KINDS
from vividowl.core.quantities.errors import require_range
from vividowl.core.quantities.words import Words, say
from vividowl.service.clock import server_now, today_of
from vividowl.service.errors import Refused
from vividowl.service.shelf.checks import AMOUNT_MOST, check_dates, check_product
from vividowl.service.shelf.materials import Lesson, ValueView, checked_own, lessons_of, values_of
from vividowl.service.shelf.stock import counted, move, moves_of
from vividowl.service.workshop import Actor, Workshop, check_version
from vividowl.store.deciding import Lot, Offcut, Product, StockMove
from vividowl.store.scope import Scope
from vividowl.words import sentences

SOON_DAYS = 60


@dataclass(frozen=True)
class LotView:
    """A lot and what is to say about it: expired, expires_soon, empty."""

    lot: Lot
    expired: bool
    expires_soon: bool

    @property
    def usable(self) -> bool:
        """Whether something can be taken from it without a second thought."""
        return not self.expired and self.lot.remaining > 0


@dataclass(frozen=True, kw_only=True)
class ProductView:
    """A product with its lots, offcuts and values. remaining: of the lots that have not expired; low: whether that is
    below the mark; warnings in words."""

    product: Product
    lots: tuple[LotView, ...]
    offcuts: tuple[Offcut, ...]
    values: tuple[ValueView, ...]
    remaining: float
    low: bool
    warnings: tuple[str, ...]


@dataclass(frozen=True)
class KindView:
    """A kind of material with the values in force."""

    kind: str
    words: Words
    for_die: bool
    values: tuple[ValueView, ...]


@dataclass(frozen=True)
class ShelfView:
    """All that lies on the shelf."""

    products: tuple[ProductView, ...]
    kinds: tuple[KindView, ...]
    lessons: tuple[Lesson, ...]
    currency: str


def product_view(scope: Scope, product: Product, day: date, offcuts: Sequence[Offcut] = ()) -> ProductView:
    """A product as the page sees it."""
    lots = tuple(
        LotView(
            lot,
            lot.expires_on is not None and lot.expires_on < day,
            lot.expires_on is not None and 0 <= (lot.expires_on - day).days <= SOON_DAYS,
        )
        for lot in product.lots
        if lot.removed_at is None
    )
    remaining = sum(v.lot.remaining for v in lots if not v.expired)
    low = product.low_at is not None and remaining < product.low_at
    warnings: list[Words] = [
        say("shelf-lot-has-expired", code=v.lot.code) for v in lots if v.expired and v.lot.remaining > 0
    ]
    warnings += [
        say("shelf-lot-expires-within-days", code=v.lot.code, soon_days=SOON_DAYS) for v in lots if v.expires_soon
    ]
    if low:
        warnings.append(
            say(
                "shelf-low-left-wanted",
                unit=counted(remaining, product.unit),
                product_unit=counted(product.low_at or 0, product.unit),
            )
        )
    below = scope.shop().catalogue.get(product.kind, {})
    return ProductView(
        product=product,
        lots=lots,
        offcuts=tuple(offcuts),
        values=values_of(product.kind, product.own, below),
        remaining=remaining,
        low=low,
        warnings=tuple(sentences(warnings)),
    )


def shelf_view(scope: Scope) -> ShelfView:
    """The whole shelf."""
    products = (
        scope.session.scalars(
            scope.select(Product)
            .where(Product.removed_at.is_(None))
            .order_by(Product.kind, Product.name)
            .execution_options(populate_existing=True)
        )
        .unique()
        .all()
    )
    offcuts = open_offcuts(scope)
    shop = scope.shop()
    day = today_of(shop)
    return ShelfView(
        tuple(product_view(scope, p, day, [o for o in offcuts if o.lot.product_id == p.id]) for p in products),
        tuple(
            KindView(k, m.words, k in DIE_KINDS, values_of(k, shop.catalogue.get(k, {}))) for k, m in CATALOGUE.items()
        ),
        lessons_of(scope),
        shop.currency,
    )


def open_offcuts(scope: Scope) -> Sequence[Offcut]:
    """Offcuts that lie on the shelf."""
    query = scope.select(Offcut).where(Offcut.used_by.is_(None), Offcut.removed_at.is_(None)).order_by(Offcut.number)
    return scope.session.scalars(query).unique().all()


def get_shelf(workshop: Workshop, actor: Actor) -> ShelfView:
    """The whole shelf."""
    with workshop.scope(actor) as scope:
        return shelf_view(scope)


def save_product(
    workshop: Workshop, actor: Actor, *, product_id: uuid.UUID | None, version: int, fields: Mapping[str, Any]
) -> ShelfView:
    """Add a product, or change one."""
    check_product(fields)
    own = checked_own(fields["kind"], fields["own"])
    with workshop.scope(actor) as scope:
        if product_id is None:
            product = Product()
        else:
            product = scope.get(Product, product_id, lock=True)
            check_version(product.version, version, say("shelf-product"))
            if product.unit != fields["unit"] and any(lot.held for lot in product.lots):
                raise Refused(
                    "conflict",
                    say("shelf-counted-in-and-has-lots", name=product.name, unit=say("unit-plural", unit=product.unit)),
                    field="unit",
                )
        for name, value in {**fields, "own": own}.items():
            setattr(product, name, value)
        try:
            scope.add(product)
        except IntegrityError as error:
            raise Refused(
                "conflict", say("shelf-there-product-on-shelf-or", fields=fields["name"]), field="name"
            ) from error
        return shelf_view(scope)


def set_product_removed(workshop: Workshop, actor: Actor, product_id: uuid.UUID, removed: bool) -> ShelfView:
    """Take a product off the shelf, or bring it back. Its lots and moves stay."""
    with workshop.scope(actor) as scope:
        scope.get(Product, product_id, lock=True).removed_at = server_now() if removed else None
        scope.session.flush()
        return shelf_view(scope)


def add_lot(workshop: Workshop, actor: Actor, product_id: uuid.UUID, fields: Mapping[str, Any]) -> ShelfView:
    """A tube or a pack comes in."""
    require_range("held", fields["held"], "", (1e-3, AMOUNT_MOST), hint=say("shelf-what-tube-or-pack-holds"))
    check_dates(fields)
    with workshop.scope(actor) as scope:
        product = scope.get(Product, product_id, lock=True)
        if scope.one(Lot, Lot.product_id == product.id, Lot.code == fields["code"]) is not None:
            raise Refused(
                "conflict", say("shelf-has-lot-already", name=product.name, fields=fields["code"]), field="code"
            )
        lot = scope.add(Lot(product_id=product.id, remaining=0.0, **fields))
        move(scope, actor, lot_id=lot.id, amount=fields["held"], reason="received")
        scope.session.expire(product)
        return shelf_view(scope)


def save_lot(workshop: Workshop, actor: Actor, lot_id: uuid.UUID, fields: Mapping[str, Any]) -> ShelfView:
    """Dates of a lot, and what is left of it when it was weighed or counted."""
    with workshop.scope(actor) as scope:
        lot = scope.get(Lot, lot_id, lock=True)
        check_version(lot.version, fields["version"], say("shelf-lot", code=lot.code))
        opened, expires = fields["opened_on"], fields["expires_on"]
        check_dates({"opened_on": opened, "expires_on": expires, "received_on": lot.received_on})
        lot.opened_on, lot.expires_on = opened, expires
        if fields["remaining"] is not None and fields["remaining"] != lot.remaining:
            require_range(
                "remaining", fields["remaining"], say("unit-plural", unit=lot.product.unit), (0.0, AMOUNT_MOST)
            )
            move(
                scope,
                actor,
                lot_id=lot.id,
                amount=fields["remaining"] - lot.remaining,
                reason=fields["reason"].strip() or "counted",
            )
        scope.session.flush()
        return shelf_view(scope)


def set_lot_removed(workshop: Workshop, actor: Actor, lot_id: uuid.UUID, removed: bool) -> ShelfView:
    """Take a lot off the shelf, or bring it back."""
    with workshop.scope(actor) as scope:
        scope.get(Lot, lot_id, lock=True).removed_at = server_now() if removed else None
        scope.session.flush()
        return shelf_view(scope)


def set_offcut_removed(workshop: Workshop, actor: Actor, offcut_id: uuid.UUID, removed: bool) -> ShelfView:
    """Throw an offcut away, or bring it back."""
    with workshop.scope(actor) as scope:
        offcut = scope.get(Offcut, offcut_id, lock=True)
        if offcut.used_by is not None:
            raise Refused("conflict", say("shelf-offcut-was-used-up", number=offcut.number))
        offcut.removed_at = server_now() if removed else None
        scope.session.flush()
        return shelf_view(scope)


def get_moves(workshop: Workshop, actor: Actor, lot_id: uuid.UUID) -> list[StockMove]:
    """What went in and out of a lot, newest first."""
    with workshop.scope(actor) as scope:
        scope.get(Lot, lot_id)
        return moves_of(scope, lot_id)
