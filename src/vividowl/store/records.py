"""Versions of the record of a closed job, and the links that customers open it by."""

from __future__ import annotations

import uuid
from datetime import datetime
from typing import Any

from sqlalchemy import CheckConstraint, ForeignKey, ForeignKeyConstraint, Index, String, UniqueConstraint, update
from sqlalchemy.orm import Mapped, Session, mapped_column, relationship

from vividowl.store.base import Base, now
from vividowl.store.models import Member


class RecordVersion(Base):
    """The record of a job as it was handed over, or put right later. Never changed: a trigger stands guard.

    record, pdf, manifest, signature: byte for byte as they left the house; sources: what else lies in the data file, by
    its name there, as kind and SHA-256 in the file store.
    """

    __tablename__ = "record_version"
    id: Mapped[uuid.UUID] = mapped_column(primary_key=True, default=uuid.uuid4)
    shop_id: Mapped[uuid.UUID]
    job_id: Mapped[uuid.UUID]
    number: Mapped[int]
    why: Mapped[str] = mapped_column(String(400))
    made_at: Mapped[datetime] = mapped_column(default=now)
    made_by: Mapped[uuid.UUID]
    record: Mapped[bytes] = mapped_column(deferred=True)
    pdf: Mapped[bytes] = mapped_column(deferred=True)
    manifest: Mapped[bytes] = mapped_column(deferred=True)
    signature: Mapped[bytes]
    key_id: Mapped[uuid.UUID] = mapped_column(ForeignKey("shop_key.id"))
    sources: Mapped[dict[str, Any]] = mapped_column(deferred=True)
    member: Mapped[Member] = relationship(lazy="joined", viewonly=True)
    __table_args__ = (
        UniqueConstraint("job_id", "number"),
        ForeignKeyConstraint(["shop_id", "job_id"], ["job.shop_id", "job.id"], ondelete="CASCADE"),
        ForeignKeyConstraint(["shop_id", "made_by"], ["member.shop_id", "member.id"]),
        CheckConstraint("number > 0", name="number"),
        CheckConstraint("octet_length(signature) = 64", name="signature"),
    )


class CustomerLink(Base):
    """A way for a customer to what is kept of one job, without an account. views: how often it was opened; nothing else
    is kept of who opens it."""

    __tablename__ = "customer_link"
    id: Mapped[uuid.UUID] = mapped_column(primary_key=True, default=uuid.uuid4)
    shop_id: Mapped[uuid.UUID]
    job_id: Mapped[uuid.UUID]
    made_at: Mapped[datetime] = mapped_column(default=now)
    made_by: Mapped[uuid.UUID]
    expires_at: Mapped[datetime]
    withdrawn_at: Mapped[datetime | None]
    views: Mapped[int] = mapped_column(default=0)
    __table_args__ = (
        ForeignKeyConstraint(["shop_id", "job_id"], ["job.shop_id", "job.id"], ondelete="CASCADE"),
        ForeignKeyConstraint(["shop_id", "made_by"], ["member.shop_id", "member.id"]),
        CheckConstraint("views >= 0", name="views"),
        CheckConstraint("expires_at > made_at", name="expires_at"),
        Index("ix_customer_link_job_id", "job_id"),
    )


def link_of(session: Session, link_id: uuid.UUID) -> CustomerLink | None:
    """A link by its id, over all shops: whoever holds it may ask."""
    return session.get(CustomerLink, link_id)


def count_view(session: Session, link_id: uuid.UUID) -> None:
    """Count that it was opened; two at once are two."""
    session.execute(update(CustomerLink).where(CustomerLink.id == link_id).values(views=CustomerLink.views + 1))
