"""Stock: every gram that leaves a lot is a move, and an undo is a move back. It never falls below nought."""

from __future__ import annotations

import uuid

from vividowl.core.quantities.words import Words, say
from vividowl.service.errors import Refused
from vividowl.service.workshop import Actor
from vividowl.store.deciding import Lot, StockMove
from vividowl.store.scope import Scope
from vividowl.words import sentence


def counted(amount: float, unit: str) -> Words:
    """An amount with its unit: 0.5 g, 1 sheet, 3 sheets."""
    return say("counted", amount=amount, unit=unit)


ROUNDING = 1e-9


def locked_lot(scope: Scope, lot_id: uuid.UUID) -> Lot:
    """A lot, locked until the transaction ends, so that two tablets cannot both take the last of it."""
    lot = scope.get(Lot, lot_id, lock=True)
    if lot.removed_at is not None:
        raise Refused("missing", say("stock-lot-was-taken-off-shelf", code=lot.code), field="lot_id")
    return lot


def move(
    scope: Scope, actor: Actor, *, lot_id: uuid.UUID, amount: float, reason: Words, job_id: uuid.UUID | None = None
) -> Lot:
    """Change a lot by an amount, below nought for what leaves it."""
    lot = locked_lot(scope, lot_id)
    left = lot.remaining + amount
    if left < -ROUNDING:
        unit = lot.product.unit
        raise Refused(
            "conflict",
            say(
                "stock-lot-holds-asked-for",
                name=lot.product.name,
                code=lot.code,
                unit=counted(lot.remaining, unit),
                amount_unit=counted(-amount, unit),
                if_amount=amount == -1,
            ),
            field="amount",
            reason="short",
        )
    lot.remaining = max(0.0, left)
    scope.add(
        StockMove(
            lot_id=lot.id,
            job_id=job_id,
            amount=amount,
            remaining=lot.remaining,
            reason=sentence(reason),
            member_id=actor.member_id,
        )
    )
    return lot


def moves_of(scope: Scope, lot_id: uuid.UUID, limit: int = 50) -> list[StockMove]:
    """The latest moves of a lot, newest first."""
    query = scope.select(StockMove).where(StockMove.lot_id == lot_id).order_by(StockMove.at.desc(), StockMove.id)
    return list(scope.session.scalars(query.limit(limit)).unique())
