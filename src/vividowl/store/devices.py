"""Tables of devices: what a device is, and how the shop told two of them apart or put them together."""

from __future__ import annotations

import uuid
from datetime import datetime
from typing import Any

from sqlalchemy import CheckConstraint, ForeignKey, ForeignKeyConstraint, Index, String, UniqueConstraint, text
from sqlalchemy.dialects.postgresql import JSONB
from sqlalchemy.orm import Mapped, mapped_column

from vividowl.core.job.device import Answer, DeviceKind, StateCause
from vividowl.store.base import Base, Versioned, check_of, now, one_of
from vividowl.store.marks import ASKED, ASKED_PERSONAL, OWN, marked


@marked
class Device(Versioned, Base):
    """One device, whose visits are jobs. serial: the maker's; tag: the shop's own sign on it; either may be empty.
    lidded: whether a lid lies over the die. sensor_limits: noted limits of its other sensors, by role [degC]."""

    __tablename__ = "device"
    id: Mapped[uuid.UUID] = mapped_column(primary_key=True, default=uuid.uuid4, info=OWN)
    shop_id: Mapped[uuid.UUID] = mapped_column(ForeignKey("shop.id"), info=OWN)
    customer_id: Mapped[uuid.UUID] = mapped_column(info=OWN)
    kind: Mapped[DeviceKind] = mapped_column(one_of(DeviceKind, 20), info=ASKED)
    maker: Mapped[str] = mapped_column(String(80), default="", info=ASKED)
    model: Mapped[str] = mapped_column(String(120), info=ASKED)
    serial: Mapped[str] = mapped_column(String(80), default="", info=ASKED_PERSONAL)
    tag: Mapped[str] = mapped_column(String(80), default="", info=ASKED_PERSONAL)
    fan: Mapped[Answer] = mapped_column(one_of(Answer, 10), default=Answer.UNKNOWN, info=ASKED)
    lidded: Mapped[Answer] = mapped_column(one_of(Answer, 10), default=Answer.UNKNOWN, info=ASKED)
    factory_interface: Mapped[str] = mapped_column(String(80), default="", info=ASKED)
    power_limit_cpu_w: Mapped[float | None] = mapped_column(info=ASKED)
    power_limit_gpu_w: Mapped[float | None] = mapped_column(info=ASKED)
    power_limit_both_w: Mapped[float | None] = mapped_column(info=ASKED)
    limit_c: Mapped[float | None] = mapped_column(info=ASKED)
    sensor_limits: Mapped[dict[str, Any]] = mapped_column(JSONB, default=dict, info=ASKED)
    created_at: Mapped[datetime] = mapped_column(default=now, info=OWN)
    __table_args__ = (
        UniqueConstraint("shop_id", "id"),
        ForeignKeyConstraint(["shop_id", "customer_id"], ["customer.shop_id", "customer.id"]),
        check_of("kind", DeviceKind),
        check_of("fan", Answer),
        check_of("lidded", Answer),
        CheckConstraint("power_limit_cpu_w > 0 AND power_limit_gpu_w > 0", name="power_limits_w"),
        CheckConstraint("power_limit_both_w > 0", name="power_limit_both_w"),
        CheckConstraint("limit_c BETWEEN 40 AND 150", name="limit_c"),
        Index("ix_device_shop_id_customer_id", "shop_id", "customer_id"),
        Index("ix_device_shop_id_serial", "shop_id", "serial", postgresql_where=text("serial <> ''")),
    )


class DeviceChange(Base):
    """Visits that were given from one device to another: two put together, or one taken apart. undone_at: taken back.
    moved: the jobs."""

    __tablename__ = "device_change"
    id: Mapped[uuid.UUID] = mapped_column(primary_key=True, default=uuid.uuid4)
    shop_id: Mapped[uuid.UUID] = mapped_column(ForeignKey("shop.id"))
    from_device_id: Mapped[uuid.UUID]
    to_device_id: Mapped[uuid.UUID]
    moved: Mapped[list[Any]]
    at: Mapped[datetime] = mapped_column(default=now)
    by: Mapped[uuid.UUID]
    undone_at: Mapped[datetime | None]
    __table_args__ = (
        UniqueConstraint("shop_id", "id"),
        ForeignKeyConstraint(["shop_id", "from_device_id"], ["device.shop_id", "device.id"]),
        ForeignKeyConstraint(["shop_id", "to_device_id"], ["device.shop_id", "device.id"]),
        ForeignKeyConstraint(["shop_id", "by"], ["member.shop_id", "member.id"]),
        Index("ix_device_change_to_device_id", "to_device_id"),
    )


class DeviceState(Versioned, Base):
    """What a device was like for a while: what lay on each die and pad, which attempt, firmware, tuning, cover, heat
    cycles and hours since fitting. States of a device follow each other; job_id: the visit in which it began."""

    __tablename__ = "device_state"
    id: Mapped[uuid.UUID] = mapped_column(primary_key=True, default=uuid.uuid4)
    shop_id: Mapped[uuid.UUID] = mapped_column(ForeignKey("shop.id"))
    job_id: Mapped[uuid.UUID]
    position: Mapped[int]
    cause: Mapped[StateCause] = mapped_column(one_of(StateCause, 20))
    words: Mapped[str] = mapped_column(String(200), default="")
    attempt: Mapped[int] = mapped_column(default=1)
    clean: Mapped[Answer] = mapped_column(one_of(Answer, 10), default=Answer.UNKNOWN)
    cover: Mapped[str] = mapped_column(String(80), default="")
    firmware: Mapped[str] = mapped_column(String(80), default="")
    tuning: Mapped[str] = mapped_column(String(120), default="")
    heat_cycles: Mapped[float | None]
    hours: Mapped[float | None]
    # What lies where: target, kind, product, lot.
    fitted: Mapped[list[Any]] = mapped_column(default=list)
    began_at: Mapped[datetime] = mapped_column(default=now)
    __table_args__ = (
        UniqueConstraint("shop_id", "id"),
        UniqueConstraint("job_id", "position"),
        ForeignKeyConstraint(["shop_id", "job_id"], ["job.shop_id", "job.id"], ondelete="CASCADE"),
        check_of("cause", StateCause),
        check_of("clean", Answer),
        CheckConstraint("attempt BETWEEN 1 AND 99", name="attempt"),
        CheckConstraint("heat_cycles >= 0", name="heat_cycles"),
        CheckConstraint("hours >= 0", name="hours"),
    )


class Attempt(Versioned, Base):
    """One go at a device during a visit. checks: by cause what its check showed; surface_score, print_score: how good
    a surface and a print were, 1 to 5; left_words: why it stays as it is although it failed; the rest is what it left
    behind when the next one began: cleaned, fit_note, promised and outcome of the plan, and its After run."""

    __tablename__ = "attempt"
    id: Mapped[uuid.UUID] = mapped_column(primary_key=True, default=uuid.uuid4)
    shop_id: Mapped[uuid.UUID]
    job_id: Mapped[uuid.UUID]
    number: Mapped[int]
    checks: Mapped[dict[str, Any]] = mapped_column(default=dict)
    surface_score: Mapped[int | None]
    print_score: Mapped[int | None]
    words: Mapped[str] = mapped_column(String(400), default="")
    left_words: Mapped[str] = mapped_column(String(400), default="")
    cleaned: Mapped[list[Any]] = mapped_column(default=list)
    fit_note: Mapped[str] = mapped_column(String(2000), default="")
    promised: Mapped[dict[str, Any] | None] = mapped_column(JSONB(none_as_null=True))
    outcome: Mapped[dict[str, Any] | None] = mapped_column(JSONB(none_as_null=True))
    ended_at: Mapped[datetime | None]
    after_run_id: Mapped[uuid.UUID | None]
    __table_args__ = (
        UniqueConstraint("shop_id", "id"),
        UniqueConstraint("job_id", "number"),
        ForeignKeyConstraint(["shop_id", "job_id"], ["job.shop_id", "job.id"], ondelete="CASCADE"),
        ForeignKeyConstraint(["shop_id", "after_run_id"], ["run.shop_id", "run.id"]),
        CheckConstraint("number BETWEEN 1 AND 99", name="number"),
        CheckConstraint("surface_score BETWEEN 1 AND 5", name="surface_score"),
        CheckConstraint("print_score BETWEEN 1 AND 5", name="print_score"),
        Index("ix_attempt_after_run_id", "after_run_id"),
    )
