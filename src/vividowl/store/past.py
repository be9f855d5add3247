"""Lists of past jobs that were brought in from elsewhere."""

from __future__ import annotations

import uuid
from datetime import datetime
from enum import StrEnum
from typing import Any

from sqlalchemy import CheckConstraint, ForeignKeyConstraint, String, UniqueConstraint
from sqlalchemy.dialects.postgresql import JSONB
from sqlalchemy.orm import Mapped, mapped_column

from vividowl.store.base import Base, Versioned, check_of, now, one_of


class ImportState(StrEnum):
    """How far a list is: looked at, taken in, or taken back."""

    DRAFT = "draft"
    TAKEN = "taken"
    UNDONE = "undone"


class PastImport(Versioned, Base):
    """A list with what its columns are. The file lies in the file store; counts: rows taken in and left out, None
    before that."""

    __tablename__ = "past_import"
    id: Mapped[uuid.UUID] = mapped_column(primary_key=True, default=uuid.uuid4)
    shop_id: Mapped[uuid.UUID]
    file_name: Mapped[str] = mapped_column(String(200))
    sha256: Mapped[str] = mapped_column(String(64))
    size_bytes: Mapped[int]
    # What was said of it: sheet, roles of its columns, order of its days, kind of device where a row names none.
    said: Mapped[dict[str, Any]] = mapped_column(default=dict)
    state: Mapped[ImportState] = mapped_column(one_of(ImportState, 10), default=ImportState.DRAFT)
    counts: Mapped[dict[str, Any] | None] = mapped_column(JSONB(none_as_null=True))
    made_at: Mapped[datetime] = mapped_column(default=now)
    made_by: Mapped[uuid.UUID]
    taken_at: Mapped[datetime | None]
    undone_at: Mapped[datetime | None]
    __table_args__ = (
        UniqueConstraint("shop_id", "id"),
        ForeignKeyConstraint(["shop_id", "made_by"], ["member.shop_id", "member.id"]),
        check_of("state", ImportState),
        CheckConstraint("sha256 ~ '^[0-9a-f]{64}$'", name="sha256"),
        CheckConstraint("(state = 'draft') = (taken_at IS NULL)", name="taken_at"),
    )
