"""Tables of the bench: events, photos, and what the shop knows of a model."""

from __future__ import annotations

import uuid
from datetime import datetime
from typing import Any

from sqlalchemy import CheckConstraint, ForeignKeyConstraint, Index, SmallInteger, String, UniqueConstraint
from sqlalchemy.dialects.postgresql import JSONB
from sqlalchemy.orm import Mapped, mapped_column, relationship

from vividowl.core.job.device import DeviceKind
from vividowl.store.base import Base, Versioned, check_of, now, one_of
from vividowl.store.models import Member


class BenchEventRow(Base):
    """What happened at the bench of a job. Never changed, never deleted: a trigger stands guard.

    id: given on the tablet; number: its place in the log of the job; device and turn: which tablet, and its how manieth
    event of this job; data: what was told; made: what the rules of its day made of it; version of both;
    at: when it happened by the server's clock; refusal: why it was not taken, None when it was;
    effect: what it changed beside the log, so that undo can change it back.
    """

    __tablename__ = "bench_event"
    id: Mapped[uuid.UUID] = mapped_column(primary_key=True)
    shop_id: Mapped[uuid.UUID]
    job_id: Mapped[uuid.UUID]
    number: Mapped[int]
    kind: Mapped[str] = mapped_column(String(40))
    data: Mapped[dict[str, Any]]
    made: Mapped[dict[str, Any]] = mapped_column(default=dict)
    version: Mapped[int] = mapped_column(SmallInteger)
    at: Mapped[datetime]
    device: Mapped[str] = mapped_column(String(60))
    turn: Mapped[int]
    member_id: Mapped[uuid.UUID]
    refusal: Mapped[dict[str, Any] | None] = mapped_column(JSONB(none_as_null=True))
    effect: Mapped[dict[str, Any]] = mapped_column(default=dict)
    received_at: Mapped[datetime] = mapped_column(default=now)
    member: Mapped[Member] = relationship(lazy="joined", viewonly=True)
    __table_args__ = (
        UniqueConstraint("job_id", "number"),
        UniqueConstraint("job_id", "device", "turn"),
        ForeignKeyConstraint(["shop_id", "job_id"], ["job.shop_id", "job.id"]),
        ForeignKeyConstraint(["shop_id", "member_id"], ["member.shop_id", "member.id"]),
        CheckConstraint("number > 0", name="number"),
        CheckConstraint("turn > 0", name="turn"),
        CheckConstraint("version > 0", name="version"),
        Index("ix_bench_event_shop_id_member_id_at", "shop_id", "member_id", "at"),
    )


class Photo(Base):
    """A photo, scaled and without what the camera wrote beside the picture. The bytes lie in the file store."""

    __tablename__ = "photo"
    id: Mapped[uuid.UUID] = mapped_column(primary_key=True)
    shop_id: Mapped[uuid.UUID]
    # None for the outline of a model that came from another shop.
    job_id: Mapped[uuid.UUID | None]
    sha256: Mapped[str] = mapped_column(String(64))
    width_px: Mapped[int]
    height_px: Mapped[int]
    size_bytes: Mapped[int]
    uploaded_at: Mapped[datetime] = mapped_column(default=now)
    uploaded_by: Mapped[uuid.UUID]
    __table_args__ = (
        UniqueConstraint("shop_id", "id"),
        ForeignKeyConstraint(["shop_id", "job_id"], ["job.shop_id", "job.id"]),
        ForeignKeyConstraint(["shop_id", "uploaded_by"], ["member.shop_id", "member.id"]),
        CheckConstraint("sha256 ~ '^[0-9a-f]{64}$'", name="sha256"),
        CheckConstraint("width_px > 0 AND height_px > 0", name="size_px"),
        Index("ix_photo_job_id", "job_id"),
    )


class DeviceModel(Versioned, Base):
    """What the shop keeps of a model: outline, map, dies, gaps, notes, own steps. What it learns follows from jobs."""

    __tablename__ = "device_model"
    id: Mapped[uuid.UUID] = mapped_column(primary_key=True, default=uuid.uuid4)
    shop_id: Mapped[uuid.UUID]
    maker: Mapped[str] = mapped_column(String(80))
    model: Mapped[str] = mapped_column(String(120))
    kind: Mapped[DeviceKind] = mapped_column(one_of(DeviceKind, 20))
    data: Mapped[dict[str, Any]]
    outline_photo: Mapped[uuid.UUID | None]
    source: Mapped[str] = mapped_column(String(120), default="")
    updated_at: Mapped[datetime] = mapped_column(default=now, onupdate=now)
    updated_by: Mapped[uuid.UUID]
    __table_args__ = (
        UniqueConstraint("shop_id", "maker", "model"),
        ForeignKeyConstraint(["shop_id", "outline_photo"], ["photo.shop_id", "photo.id"]),
        ForeignKeyConstraint(["shop_id", "updated_by"], ["member.shop_id", "member.id"]),
        check_of("kind", DeviceKind),
    )


class QuietWait(Base):
    """A wait whose alarm is quiet on every tablet. until: put off until then, None when somebody has seen it."""

    __tablename__ = "quiet_wait"
    shop_id: Mapped[uuid.UUID]
    job_id: Mapped[uuid.UUID] = mapped_column(primary_key=True)
    wait_id: Mapped[str] = mapped_column(String(80), primary_key=True)
    until: Mapped[datetime | None]
    __table_args__ = (ForeignKeyConstraint(["shop_id", "job_id"], ["job.shop_id", "job.id"], ondelete="CASCADE"),)
