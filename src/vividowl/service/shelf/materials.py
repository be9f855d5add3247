"""Materials as the shop knows them: typical values, its own over them with their provenance, and what it learnt."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass
from typing import Any

from vividowl.core.materials.kinds import (
    BANDS,
    CATALOGUE,
    FROM_MEMORY,
    KIND_BANDS,
    NUMBERS,
    Material,
    material,
    source_of,
)
from vividowl.core.plan.prediction import learn_factor
from vividowl.core.quantities.words import Words, listed, say
from vividowl.service.errors import Refused
from vividowl.service.workshop import Actor, Workshop
from vividowl.store.deciding import Lot, Plan, Product
from vividowl.store.models import FitItem
from vividowl.store.scope import Scope
from vividowl.words import sentence, told

SOURCES = (FROM_MEMORY, "data sheet", "measured", "learnt")


@dataclass(frozen=True, kw_only=True)
class ValueView:
    """A value of a material: its words, unit, the value in force, its source, and the typical value below it."""

    name: str
    words: Words
    unit: Words
    value: float
    source: str
    note: str
    typical: float
    low: float
    high: float


@dataclass(frozen=True, kw_only=True)
class Lesson:
    """What the shop's jobs say of a kind: how many, and the factor they propose, None for too few."""

    kind: str
    words: Words
    jobs: int
    proposed: float | None
    in_force: float


def own_values(rows: Mapping[str, Any]) -> dict[str, float]:
    """The bare numbers of values with provenance."""
    return {name: float(row["value"]) for name, row in rows.items()}


def kind_material(scope: Scope, kind: str) -> Material:
    """A kind with the shop's values over the typical ones."""
    return material(kind, own_values(scope.shop().catalogue.get(kind, {})))


def product_material(scope: Scope, product: Product) -> Material:
    """A product: its own values over those of its kind. What was learnt of a kind holds for its products."""
    kind = own_values(scope.shop().catalogue.get(product.kind, {}))
    return material(product.kind, {**kind, **own_values(product.own)})


def item_material(scope: Scope, item: FitItem) -> Material | None:
    """What was put somewhere: the product of its lot, else its kind; None for a kind that nobody knows any more."""
    lot = scope.one(Lot, Lot.id == item.lot_id) if item.lot_id is not None else None
    product = scope.one(Product, Product.id == lot.product_id) if lot is not None else None
    if product is not None and product.kind == item.kind:
        return product_material(scope, product)
    return kind_material(scope, item.kind) if item.kind in CATALOGUE else None


def values_of(kind: str, own: Mapping[str, Any], below: Mapping[str, Any] | None = None) -> tuple[ValueView, ...]:
    """All values of a kind, or of a product over its kind, with where each comes from."""
    typical = told(CATALOGUE[kind])
    out = []
    for name in NUMBERS:
        words, unit, low, high = BANDS[name]
        low, high = KIND_BANDS[kind].get(name, (low, high))
        row = own.get(name) or (below or {}).get(name) or {}
        value, source = float(row.get("value", typical[name])), row.get("source", source_of(kind, name))
        out.append(
            ValueView(
                name=name,
                words=words,
                unit=unit,
                value=value,
                source=source,
                note=row.get("note", ""),
                typical=typical[name],
                low=low,
                high=high,
            )
        )
    return tuple(out)


def checked_own(kind: str, values: Mapping[str, Mapping[str, Any]]) -> dict[str, Any]:
    """Values with provenance, refused where no such material exists."""
    for name, row in values.items():
        if row["source"] not in SOURCES:
            raise Refused(
                "invalid", say("materials-no-source-value", row=row["source"], names=listed(SOURCES)), field=name
            )
    material(kind, own_values(values))
    return {n: {"value": r["value"], "source": r["source"], "note": r.get("note", "")} for n, r in values.items()}


def save_kind(workshop: Workshop, actor: Actor, kind: str, values: Mapping[str, Mapping[str, Any]]) -> None:
    """Keep the shop's own values of a kind; one that is left out goes back to the typical one."""
    checked = checked_own(kind, values)
    with workshop.scope(actor) as scope:
        shop = scope.shop()
        shop.catalogue = {**shop.catalogue, kind: checked}


def lessons_of(scope: Scope) -> tuple[Lesson, ...]:
    """What the shop's own jobs say of each kind that was fitted and measured."""
    ratios: dict[str, list[float]] = {}
    for plan in scope.session.scalars(scope.select(Plan).where(Plan.outcome.is_not(None))):
        found = (plan.outcome or {}).get("interface_ratio")
        kind = (plan.outcome or {}).get("kind")
        if found is not None and kind is not None and kind in CATALOGUE:
            ratios.setdefault(kind, []).append(float(found))
    return tuple(
        Lesson(
            kind=kind,
            words=CATALOGUE[kind].words,
            jobs=len(rows),
            proposed=learn_factor(rows),
            in_force=kind_material(scope, kind).own_factor,
        )
        for kind, rows in sorted(ratios.items())
    )


def learn(workshop: Workshop, actor: Actor, kind: str) -> None:
    """Let a kind's typical value follow the shop's own jobs."""
    with workshop.scope(actor) as scope:
        lesson = next((x for x in lessons_of(scope) if x.kind == kind), None)
        if lesson is None or lesson.proposed is None:
            raise Refused("conflict", say("materials-fewer-than-three-jobs-with"), field="kind", reason="not_yet")
        shop = scope.shop()
        rows = dict(shop.catalogue.get(kind, {}))
        note = sentence(say("materials-from-jobs-this-shop", jobs=lesson.jobs))
        rows["own_factor"] = {"value": round(lesson.proposed, 3), "source": "learnt", "note": note}
        shop.catalogue = {**shop.catalogue, kind: checked_own(kind, rows)}
