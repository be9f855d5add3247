"""What the shelf holds for an option."""

from __future__ import annotations

from dataclasses import dataclass

from vividowl.core.materials.kinds import DIE_KINDS, GAP_KINDS, Material
from vividowl.service.clock import today_of
from vividowl.service.shelf.materials import kind_material, product_material
from vividowl.service.shelf.shelf import ProductView, open_offcuts, product_view
from vividowl.store.deciding import Product
from vividowl.store.scope import Scope
from vividowl.words import sentence

DIE_PRODUCTS_MOST = 8


@dataclass(frozen=True)
class Stocked:
    """A material that may go on the die: its name, values, and the product when there is one."""

    name: str
    material: Material
    product: ProductView | None


def die_materials(scope: Scope) -> list[Stocked]:
    """What the shelf has for a die, usable products first, and the typical value of a kind it has none of."""
    query = (
        scope.select(Product).where(Product.removed_at.is_(None), Product.kind.in_(DIE_KINDS)).order_by(Product.name)
    )
    views = [product_view(scope, p, today_of(scope.shop())) for p in scope.session.scalars(query).unique()]
    views.sort(key=lambda v: (not any(lot.usable for lot in v.lots), DIE_KINDS.index(v.product.kind)))
    out = [Stocked(v.product.name, product_material(scope, v.product), v) for v in views[:DIE_PRODUCTS_MOST]]
    kinds = {s.material.kind for s in out}
    for kind in DIE_KINDS:
        if kind not in kinds:
            found = kind_material(scope, kind)
            out.append(Stocked(sentence(found.words), found, None))
    return out


def gap_products(scope: Scope) -> list[ProductView]:
    """What the shelf has to bridge a gap."""
    query = scope.select(Product).where(Product.removed_at.is_(None), Product.kind.in_(GAP_KINDS))
    offcuts = open_offcuts(scope)
    return [
        product_view(scope, p, today_of(scope.shop()), [o for o in offcuts if o.lot.product_id == p.id])
        for p in scope.session.scalars(query.order_by(Product.name)).unique()
    ]
