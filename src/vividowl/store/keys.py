"""Keys that a shop signs with."""

from __future__ import annotations

import uuid
from datetime import datetime

from sqlalchemy import CheckConstraint, ForeignKey, Index, String, UniqueConstraint, select, text
from sqlalchemy.orm import Mapped, Session, mapped_column

from vividowl.store.base import Base, now
from vividowl.store.models import Shop


class ShopKey(Base):
    """What a shop signs its records with: an Ed25519 key. retired_at: a newer one signs since; withdrawn_at: it may
    have been in other hands. None is ever deleted, so that old records stay verifiable."""

    __tablename__ = "shop_key"
    id: Mapped[uuid.UUID] = mapped_column(primary_key=True, default=uuid.uuid4)
    shop_id: Mapped[uuid.UUID] = mapped_column(ForeignKey("shop.id", ondelete="CASCADE"))
    fingerprint: Mapped[str] = mapped_column(String(64))
    private_key: Mapped[bytes]
    made_at: Mapped[datetime] = mapped_column(default=now)
    retired_at: Mapped[datetime | None]
    withdrawn_at: Mapped[datetime | None]
    __table_args__ = (
        UniqueConstraint("fingerprint"),
        Index(
            "uq_shop_key_shop_id_signs",
            "shop_id",
            unique=True,
            postgresql_where=text("retired_at IS NULL AND withdrawn_at IS NULL"),
        ),
        CheckConstraint("fingerprint ~ '^[0-9a-f]{64}$'", name="fingerprint"),
        CheckConstraint("octet_length(private_key) = 32", name="private_key"),
    )


def key_of(session: Session, fingerprint: str) -> tuple[ShopKey, Shop] | None:
    """The key of a fingerprint and whose it is: anyone who holds a record may ask."""
    query = select(ShopKey, Shop).join(Shop, Shop.id == ShopKey.shop_id).where(ShopKey.fingerprint == fingerprint)
    found = session.execute(query).first()
    return (found[0], found[1]) if found else None
