"""Tables of plan and shelf: what was decided for a job, what lies on the shelf, and every gram that left it."""

from __future__ import annotations

import uuid
from datetime import date, datetime
from typing import Any

from sqlalchemy import CheckConstraint, ForeignKey, ForeignKeyConstraint, Index, String, UniqueConstraint
from sqlalchemy.dialects.postgresql import JSONB
from sqlalchemy.orm import Mapped, mapped_column, relationship

from vividowl.core.job.device import StockUnit
from vividowl.core.materials.kinds import Kind
from vividowl.core.plan.options import Goal
from vividowl.store.base import Base, Versioned, check_of, now, one_of
from vividowl.store.models import Member


class Plan(Versioned, Base):
    """What is known for the decision, and the decision. chosen keeps the prediction as it was when it was taken;
    outcome what the After reading made of it; notes what was worked out apart."""

    __tablename__ = "plan"
    UNGUARDED = frozenset({"outcome"})
    id: Mapped[uuid.UUID] = mapped_column(primary_key=True, default=uuid.uuid4)
    shop_id: Mapped[uuid.UUID]
    job_id: Mapped[uuid.UUID] = mapped_column(unique=True)
    inspection: Mapped[dict[str, Any]] = mapped_column(default=dict)
    goal: Mapped[Goal] = mapped_column(one_of(Goal, 20), default=Goal("cooler"))
    chosen: Mapped[dict[str, Any] | None] = mapped_column(JSONB(none_as_null=True))
    chosen_by: Mapped[uuid.UUID | None]
    chosen_at: Mapped[datetime | None]
    outcome: Mapped[dict[str, Any] | None] = mapped_column(JSONB(none_as_null=True))
    notes: Mapped[list[Any]] = mapped_column(default=list)
    updated_at: Mapped[datetime] = mapped_column(default=now, onupdate=now)
    __table_args__ = (
        ForeignKeyConstraint(["shop_id", "job_id"], ["job.shop_id", "job.id"], ondelete="CASCADE"),
        ForeignKeyConstraint(["shop_id", "chosen_by"], ["member.shop_id", "member.id"]),
        check_of("goal", Goal),
        CheckConstraint("(chosen IS NULL) = (chosen_at IS NULL)", name="chosen"),
    )


class Product(Versioned, Base):
    """A product that the shop keeps. own: its values by field with provenance; low_at: warn below this amount."""

    __tablename__ = "product"
    id: Mapped[uuid.UUID] = mapped_column(primary_key=True, default=uuid.uuid4)
    shop_id: Mapped[uuid.UUID] = mapped_column(ForeignKey("shop.id"))
    kind: Mapped[Kind] = mapped_column(one_of(Kind, 40))
    name: Mapped[str] = mapped_column(String(80))
    unit: Mapped[StockUnit] = mapped_column(one_of(StockUnit, 10))
    own: Mapped[dict[str, Any]] = mapped_column(default=dict)
    price_cents: Mapped[int | None]
    low_at: Mapped[float | None]
    sheet_width_mm: Mapped[float | None]
    sheet_length_mm: Mapped[float | None]
    thickness_mm: Mapped[float | None]
    removed_at: Mapped[datetime | None]
    created_at: Mapped[datetime] = mapped_column(default=now)
    lots: Mapped[list[Lot]] = relationship(lazy="selectin", order_by="Lot.received_on, Lot.code", viewonly=True)
    __table_args__ = (
        UniqueConstraint("shop_id", "id"),
        UniqueConstraint("shop_id", "name"),
        check_of("unit", StockUnit),
        CheckConstraint("price_cents >= 0", name="price_cents"),
        CheckConstraint("low_at >= 0", name="low_at"),
        CheckConstraint("sheet_width_mm > 0 AND sheet_length_mm > 0", name="sheet_mm"),
        CheckConstraint("unit <> 'sheet' OR sheet_width_mm IS NOT NULL", name="sheet_has_size"),
        CheckConstraint("thickness_mm > 0", name="thickness_mm"),
        check_of("kind", Kind),
    )


class Lot(Versioned, Base):
    """A tube, or a pack of sheets, of one product. remaining in the product's unit; it never falls below nought."""

    __tablename__ = "lot"
    id: Mapped[uuid.UUID] = mapped_column(primary_key=True, default=uuid.uuid4)
    shop_id: Mapped[uuid.UUID]
    product_id: Mapped[uuid.UUID]
    code: Mapped[str] = mapped_column(String(60))
    received_on: Mapped[date]
    opened_on: Mapped[date | None]
    expires_on: Mapped[date | None]
    held: Mapped[float]
    remaining: Mapped[float]
    # Rises with every move, so that what was weighed is not laid over what a colleague has taken meanwhile.
    removed_at: Mapped[datetime | None]
    product: Mapped[Product] = relationship(lazy="joined", viewonly=True)
    __table_args__ = (
        UniqueConstraint("shop_id", "id"),
        UniqueConstraint("product_id", "code"),
        ForeignKeyConstraint(["shop_id", "product_id"], ["product.shop_id", "product.id"]),
        CheckConstraint("remaining >= 0", name="remaining"),
        CheckConstraint("held > 0", name="held"),
        Index("ix_lot_product_id", "product_id"),
    )


class StockMove(Base):
    """A change of a lot. Never changed, never deleted: an undo is a move back."""

    __tablename__ = "stock_move"
    id: Mapped[uuid.UUID] = mapped_column(primary_key=True, default=uuid.uuid4)
    shop_id: Mapped[uuid.UUID]
    lot_id: Mapped[uuid.UUID]
    job_id: Mapped[uuid.UUID | None]
    amount: Mapped[float]
    remaining: Mapped[float]
    reason: Mapped[str] = mapped_column(String(120))
    member_id: Mapped[uuid.UUID]
    at: Mapped[datetime] = mapped_column(default=now)
    member: Mapped[Member] = relationship(lazy="joined", viewonly=True)
    __table_args__ = (
        ForeignKeyConstraint(["shop_id", "lot_id"], ["lot.shop_id", "lot.id"]),
        ForeignKeyConstraint(["shop_id", "job_id"], ["job.shop_id", "job.id"]),
        ForeignKeyConstraint(["shop_id", "member_id"], ["member.shop_id", "member.id"]),
        CheckConstraint("remaining >= 0", name="remaining"),
        Index("ix_stock_move_lot_id_at", "lot_id", "at"),
        Index("ix_stock_move_job_id", "job_id"),
    )


class CutSheet(Base):
    """Pieces cut for a job. sheets and placements as they were nested; undone_at when it was taken back."""

    __tablename__ = "cut_sheet"
    id: Mapped[uuid.UUID] = mapped_column(primary_key=True, default=uuid.uuid4)
    shop_id: Mapped[uuid.UUID]
    job_id: Mapped[uuid.UUID]
    product_id: Mapped[uuid.UUID]
    kerf_mm: Mapped[float]
    pieces: Mapped[list[Any]]
    sheets: Mapped[list[Any]]
    placements: Mapped[list[Any]]
    waste_share: Mapped[float]
    member_id: Mapped[uuid.UUID]
    at: Mapped[datetime] = mapped_column(default=now)
    undone_at: Mapped[datetime | None]
    product: Mapped[Product] = relationship(lazy="joined", viewonly=True)
    __table_args__ = (
        UniqueConstraint("shop_id", "id"),
        ForeignKeyConstraint(["shop_id", "job_id"], ["job.shop_id", "job.id"]),
        ForeignKeyConstraint(["shop_id", "product_id"], ["product.shop_id", "product.id"]),
        ForeignKeyConstraint(["shop_id", "member_id"], ["member.shop_id", "member.id"]),
        CheckConstraint("kerf_mm >= 0", name="kerf_mm"),
        Index("ix_cut_sheet_job_id", "job_id"),
    )


class Offcut(Base):
    """What is left of a sheet: its outline and what was cut out of it, as boxes of x, y, width and length [mm]."""

    __tablename__ = "offcut"
    id: Mapped[uuid.UUID] = mapped_column(primary_key=True, default=uuid.uuid4)
    shop_id: Mapped[uuid.UUID]
    lot_id: Mapped[uuid.UUID]
    number: Mapped[int]
    width_mm: Mapped[float]
    length_mm: Mapped[float]
    taken: Mapped[list[Any]]
    largest: Mapped[list[Any]]
    cut_from: Mapped[uuid.UUID | None]
    used_by: Mapped[uuid.UUID | None]
    created_at: Mapped[datetime] = mapped_column(default=now)
    removed_at: Mapped[datetime | None]
    lot: Mapped[Lot] = relationship(lazy="joined", viewonly=True)
    __table_args__ = (
        UniqueConstraint("shop_id", "id"),
        UniqueConstraint("shop_id", "number"),
        ForeignKeyConstraint(["shop_id", "lot_id"], ["lot.shop_id", "lot.id"]),
        ForeignKeyConstraint(["shop_id", "cut_from"], ["cut_sheet.shop_id", "cut_sheet.id"]),
        ForeignKeyConstraint(["shop_id", "used_by"], ["cut_sheet.shop_id", "cut_sheet.id"]),
        CheckConstraint("width_mm > 0 AND length_mm > 0", name="size_mm"),
        Index("ix_offcut_lot_id", "lot_id"),
    )
