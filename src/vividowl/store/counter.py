"""What is settled at the counter: what came along, what was agreed and signed, how it looked, what was offered."""

from __future__ import annotations

import uuid
from datetime import date, datetime
from typing import Any

from sqlalchemy import CheckConstraint, ForeignKeyConstraint, Index, String, UniqueConstraint, select
from sqlalchemy.dialects.postgresql import JSONB
from sqlalchemy.orm import Mapped, Session, mapped_column

from vividowl.core.job.evidence import ConditionPlace, Passcode
from vividowl.store.base import Base, Versioned, check_of, now, one_of


class CounterSheet(Versioned, Base):
    """One of each job. consent, picked_up: what was signed, word for word, by whom, when, and the strokes; never
    changed once it is there."""

    __tablename__ = "counter_sheet"
    id: Mapped[uuid.UUID] = mapped_column(primary_key=True, default=uuid.uuid4)
    shop_id: Mapped[uuid.UUID]
    job_id: Mapped[uuid.UUID]
    accessories: Mapped[str] = mapped_column(String(1000), default="")
    passcode: Mapped[Passcode] = mapped_column(one_of(Passcode, 20), default=Passcode("not_asked"))
    limit_cents: Mapped[int | None]
    limits: Mapped[str] = mapped_column(String(1000), default="")
    pick_up_at: Mapped[datetime | None]
    consent: Mapped[dict[str, Any] | None] = mapped_column(JSONB(none_as_null=True))
    picked_up: Mapped[dict[str, Any] | None] = mapped_column(JSONB(none_as_null=True))
    updated_at: Mapped[datetime] = mapped_column(default=now, onupdate=now)
    __table_args__ = (
        UniqueConstraint("job_id"),
        ForeignKeyConstraint(["shop_id", "job_id"], ["job.shop_id", "job.id"], ondelete="CASCADE"),
        check_of("passcode", Passcode),
        CheckConstraint("limit_cents >= 0", name="limit_cents"),
    )


class ConditionPhoto(Base):
    """A photo of how a device looked when it came in. marks: places on it, as shares of its width and height, each with
    words; removed_at marks a removal that can be undone."""

    __tablename__ = "condition_photo"
    id: Mapped[uuid.UUID] = mapped_column(primary_key=True, default=uuid.uuid4)
    shop_id: Mapped[uuid.UUID]
    job_id: Mapped[uuid.UUID]
    photo_id: Mapped[uuid.UUID]
    place: Mapped[ConditionPlace] = mapped_column(one_of(ConditionPlace, 20))
    marks: Mapped[list[Any]] = mapped_column(default=list)
    note: Mapped[str] = mapped_column(String(400), default="")
    created_at: Mapped[datetime] = mapped_column(default=now)
    removed_at: Mapped[datetime | None]
    __table_args__ = (
        UniqueConstraint("job_id", "photo_id"),
        ForeignKeyConstraint(["shop_id", "job_id"], ["job.shop_id", "job.id"], ondelete="CASCADE"),
        ForeignKeyConstraint(["shop_id", "photo_id"], ["photo.shop_id", "photo.id"]),
        check_of("place", ConditionPlace),
        Index("ix_condition_photo_job_id", "job_id"),
    )


class Quote(Base):
    """What was offered to a customer, word for word and with prices, and what they answered. A later one takes the
    place of the one before."""

    __tablename__ = "quote"
    id: Mapped[uuid.UUID] = mapped_column(primary_key=True, default=uuid.uuid4)
    shop_id: Mapped[uuid.UUID]
    job_id: Mapped[uuid.UUID]
    number: Mapped[int]
    made_at: Mapped[datetime] = mapped_column(default=now)
    made_by: Mapped[uuid.UUID]
    good_until: Mapped[date]
    content: Mapped[dict[str, Any]]
    # The key of the option that was taken; empty for none of them.
    answer: Mapped[str | None] = mapped_column(String(200))
    answered_at: Mapped[datetime | None]
    words: Mapped[str] = mapped_column(String(1000), default="")
    withdrawn_at: Mapped[datetime | None]
    __table_args__ = (
        UniqueConstraint("job_id", "number"),
        ForeignKeyConstraint(["shop_id", "job_id"], ["job.shop_id", "job.id"], ondelete="CASCADE"),
        ForeignKeyConstraint(["shop_id", "made_by"], ["member.shop_id", "member.id"]),
        CheckConstraint("number > 0", name="number"),
        CheckConstraint("(answer IS NULL) = (answered_at IS NULL)", name="answer"),
    )


def quote_of(session: Session, quote_id: uuid.UUID, *, lock: bool) -> Quote | None:
    """A quote by its id, over all shops: whoever holds its link may ask. lock: for writing."""
    query = select(Quote).where(Quote.id == quote_id)
    return session.scalars(query.with_for_update() if lock else query).first()
