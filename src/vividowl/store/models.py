"""The tables. Units stand in column names; invariants are CHECK constraints; times are UTC."""

from __future__ import annotations

import uuid
from datetime import date, datetime
from typing import Any
from zoneinfo import ZoneInfo

from sqlalchemy import (
    CheckConstraint,
    ForeignKey,
    ForeignKeyConstraint,
    Index,
    String,
    Text,
    UniqueConstraint,
    text,
)
from sqlalchemy.dialects.postgresql import JSONB
from sqlalchemy.orm import Mapped, mapped_column, relationship

from vividowl.core.job.device import AmountIs, Answer, DeviceKind, Role, Seal, Surroundings, Target, Warranty, WhereUsed
from vividowl.core.materials.kinds import Kind
from vividowl.core.materials.pieces import spare_pieces
from vividowl.store.base import Base, Versioned, check_of, now, one_of
from vividowl.store.devices import Device
from vividowl.store.marks import ASKED, ASKED_PERSONAL, OWN, PERSONAL, marked
from vividowl.store.measuring import Run

NO_ZONE = "UTC"


class Shop(Versioned, Base):
    """A workshop with its settings. demo marks the invented one."""

    __tablename__ = "shop"
    UNGUARDED = frozenset({"catalogue", "last_job_number"})
    id: Mapped[uuid.UUID] = mapped_column(primary_key=True, default=uuid.uuid4)
    name: Mapped[str] = mapped_column(String(120))
    currency: Mapped[str] = mapped_column(String(3), default="EUR")
    demo: Mapped[bool] = mapped_column(default=False)
    reference_room_c: Mapped[float] = mapped_column(default=25.0)
    hourly_rate_cents: Mapped[int] = mapped_column(default=6000)
    tolerances: Mapped[dict[str, Any]] = mapped_column(default=dict)
    tax_percent: Mapped[float] = mapped_column(default=0.0)
    # Ways of the shop: application school, how soon it looks again, minutes of hands by task.
    habits: Mapped[dict[str, Any]] = mapped_column(default=dict)
    # The shop's own values of the kinds of material: by kind and field a value with its provenance.
    catalogue: Mapped[dict[str, Any]] = mapped_column(default=dict)
    last_job_number: Mapped[int] = mapped_column(default=0)
    created_at: Mapped[datetime] = mapped_column(default=now)
    __table_args__ = (
        CheckConstraint("reference_room_c BETWEEN -10 AND 60", name="reference_room_c"),
        CheckConstraint("hourly_rate_cents >= 0", name="hourly_rate_cents"),
        CheckConstraint("tax_percent BETWEEN 0 AND 40", name="tax_percent"),
    )

    @property
    def zone(self) -> ZoneInfo:
        """Where the shop is: its days begin there."""
        return ZoneInfo(self.habits.get("zone", NO_ZONE))


class Member(Base):
    """A person who signs in."""

    __tablename__ = "member"
    id: Mapped[uuid.UUID] = mapped_column(primary_key=True, default=uuid.uuid4)
    shop_id: Mapped[uuid.UUID] = mapped_column(ForeignKey("shop.id"))
    login: Mapped[str] = mapped_column(String(80), unique=True)
    name: Mapped[str] = mapped_column(String(120))
    role: Mapped[Role] = mapped_column(one_of(Role, 20))
    password_hash: Mapped[str | None] = mapped_column(String(200))
    active: Mapped[bool] = mapped_column(default=True)
    created_at: Mapped[datetime] = mapped_column(default=now)
    __table_args__ = (
        UniqueConstraint("shop_id", "id"),
        check_of("role", Role),
    )


class SignIn(Base):
    """A session of a member. agent: what their browser says of itself; ended_at: signed out, withdrawn or too old.
    pairing: number of the code that a tablet was paired with, which is good once; None for people."""

    __tablename__ = "sign_in"
    id: Mapped[uuid.UUID] = mapped_column(primary_key=True, default=uuid.uuid4)
    shop_id: Mapped[uuid.UUID]
    member_id: Mapped[uuid.UUID]
    agent: Mapped[str] = mapped_column(String(200), default="")
    began_at: Mapped[datetime] = mapped_column(default=now)
    seen_at: Mapped[datetime] = mapped_column(default=now)
    ended_at: Mapped[datetime | None]
    pairing: Mapped[uuid.UUID | None]
    __table_args__ = (
        ForeignKeyConstraint(["shop_id", "member_id"], ["member.shop_id", "member.id"], ondelete="CASCADE"),
        UniqueConstraint("pairing"),
        Index("ix_sign_in_member_id", "member_id"),
    )


class Customer(Base):
    """Whose device it is. erased_at: when the shop forgot who it was."""

    __tablename__ = "customer"
    id: Mapped[uuid.UUID] = mapped_column(primary_key=True, default=uuid.uuid4)
    shop_id: Mapped[uuid.UUID] = mapped_column(ForeignKey("shop.id"))
    name: Mapped[str] = mapped_column(String(120))
    contact: Mapped[str] = mapped_column(String(200), default="")
    erased_at: Mapped[datetime | None]
    __table_args__ = (UniqueConstraint("shop_id", "id"), UniqueConstraint("shop_id", "name", "contact"))


@marked
class Job(Versioned, Base):
    """One visit of a device, from intake to hand-over. version guards against two people writing over each other."""

    __tablename__ = "job"
    UNGUARDED = frozenset({"bench", "updated_at"})
    id: Mapped[uuid.UUID] = mapped_column(primary_key=True, default=uuid.uuid4, info=OWN)
    shop_id: Mapped[uuid.UUID] = mapped_column(ForeignKey("shop.id"), info=OWN)
    number: Mapped[int] = mapped_column(info=OWN)
    customer_id: Mapped[uuid.UUID] = mapped_column(info=OWN)
    device_id: Mapped[uuid.UUID] = mapped_column(info=OWN)
    symptom: Mapped[str] = mapped_column(String(2000), default="", info=ASKED_PERSONAL)
    age_months: Mapped[int | None] = mapped_column(info=ASKED)
    months_since_service: Mapped[int | None] = mapped_column(info=ASKED)
    surroundings: Mapped[Surroundings] = mapped_column(
        one_of(Surroundings, 20), default=Surroundings("unknown"), info=ASKED
    )
    lives: Mapped[str] = mapped_column(String(200), default="", info=ASKED_PERSONAL)
    # Where it is used: asked, never searched for in words.
    place: Mapped[WhereUsed] = mapped_column(one_of(WhereUsed, 10), default=WhereUsed("unknown"), info=ASKED)
    warranty: Mapped[Warranty] = mapped_column(one_of(Warranty, 20), default=Warranty("unknown"), info=ASKED)
    seal: Mapped[Seal] = mapped_column(one_of(Seal, 20), default=Seal("unknown"), info=ASKED)
    backup_done: Mapped[Answer] = mapped_column(one_of(Answer, 20), default=Answer("unknown"), info=ASKED)
    battery_swollen: Mapped[bool] = mapped_column(default=False, info=ASKED)
    liquid_damage: Mapped[bool] = mapped_column(default=False, info=ASKED)
    cleaned: Mapped[list[Any]] = mapped_column(default=list, info=OWN)
    fit_note: Mapped[str] = mapped_column(String(2000), default="", info=PERSONAL)
    fit_done: Mapped[bool] = mapped_column(default=False, info=OWN)
    # The how manieth attempt of this visit is on the bench; the others stand in the table of attempts.
    attempt: Mapped[int] = mapped_column(default=1, info=OWN)
    # What the list of jobs shows of the bench, derived from its events: stage, step, waits, how far it has come.
    bench: Mapped[dict[str, Any]] = mapped_column(default=dict, info=OWN)
    price_cents: Mapped[int | None] = mapped_column(info=OWN)
    next_service_on: Mapped[date | None] = mapped_column(info=OWN)
    handover_note: Mapped[str] = mapped_column(String(2000), default="", info=PERSONAL)
    handed_over_at: Mapped[datetime | None] = mapped_column(info=OWN)
    # What the customer reads: the language of the record, the quote and the ticket.
    language: Mapped[str] = mapped_column(String(2), default="en", info=ASKED)
    # What the record was judged by when the job was handed over; while it is open the shop's present settings count.
    judged_by: Mapped[dict[str, Any] | None] = mapped_column(JSONB(none_as_null=True), info=OWN)
    # The list that it was brought in from, and what its row there told: its line, its sign, its cells by heading.
    import_id: Mapped[uuid.UUID | None] = mapped_column(info=OWN)
    past: Mapped[dict[str, Any] | None] = mapped_column(JSONB(none_as_null=True), info=OWN)
    # The day of the work, where that was another than the one on which it was written down.
    done_on: Mapped[date | None] = mapped_column(info=ASKED)
    created_at: Mapped[datetime] = mapped_column(default=now, info=OWN)
    updated_at: Mapped[datetime] = mapped_column(default=now, onupdate=now, info=OWN)
    created_by: Mapped[uuid.UUID] = mapped_column(info=OWN)
    # What people look for it by, written by the database itself; asked in a search and shown nowhere.
    known_by: Mapped[str] = mapped_column(Text, server_default="", deferred=True, info=OWN)
    customer: Mapped[Customer] = relationship(lazy="joined", overlaps="shop")
    device: Mapped[Device] = relationship(lazy="joined", innerjoin=True, overlaps="customer")
    # Before and After. A list that shows them asks for those of all its jobs at once; further runs are asked for where
    # they are looked at.
    runs: Mapped[list[Run]] = relationship(
        order_by="Run.side.desc()",
        primaryjoin="and_(Job.id == foreign(Run.job_id), Run.side != 'other')",
        viewonly=True,
    )
    __table_args__ = (
        UniqueConstraint("shop_id", "id"),
        UniqueConstraint("shop_id", "number"),
        ForeignKeyConstraint(["shop_id", "customer_id"], ["customer.shop_id", "customer.id"]),
        ForeignKeyConstraint(["shop_id", "created_by"], ["member.shop_id", "member.id"]),
        ForeignKeyConstraint(["shop_id", "device_id"], ["device.shop_id", "device.id"]),
        ForeignKeyConstraint(["shop_id", "import_id"], ["past_import.shop_id", "past_import.id"]),
        CheckConstraint("(import_id IS NULL) = (past IS NULL)", name="past"),
        Index("ix_job_import_id", "import_id", postgresql_where=text("import_id IS NOT NULL")),
        CheckConstraint("age_months >= 0", name="age_months"),
        CheckConstraint("months_since_service >= 0", name="months_since_service"),
        check_of("place", WhereUsed),
        check_of("surroundings", Surroundings),
        check_of("warranty", Warranty),
        check_of("seal", Seal),
        check_of("backup_done", Answer),
        CheckConstraint("language ~ '^[a-z]{2}$'", name="language"),
        CheckConstraint("price_cents >= 0", name="price_cents"),
        Index("ix_job_shop_id_updated_at", "shop_id", text("updated_at DESC")),
        Index("ix_job_shop_id_created_at", "shop_id", text("created_at DESC")),
        Index("ix_job_device_id", "device_id"),
        Index("ix_job_customer_id", "customer_id"),
        Index("ix_job_known_by", "known_by", postgresql_using="gin", postgresql_ops={"known_by": "gin_trgm_ops"}),
    )

    # What the device is, said by its job. Limits are those that a record was judged by, once it is handed over.

    @property
    def kind(self) -> DeviceKind:
        """Kind of the device."""
        return self.device.kind

    @property
    def maker(self) -> str:
        """Its maker."""
        return self.device.maker

    @property
    def model(self) -> str:
        """Its model."""
        return self.device.model

    @property
    def fan(self) -> Answer:
        """Whether it has a fan."""
        return self.device.fan

    @property
    def factory_interface(self) -> str:
        """What its maker put on the die."""
        return self.device.factory_interface

    def _limit(self, name: str) -> float | None:
        limits = (self.judged_by or {}).get("limits")
        value: float | None = getattr(self.device, name) if limits is None else limits.get(name)
        return value

    @property
    def limit_c(self) -> float | None:
        """Its temperature limit [degC]."""
        return self._limit("limit_c")

    @property
    def sensor_limits(self) -> dict[str, float]:
        """Noted limits of its other sensors, by role [degC]."""
        limits = (self.judged_by or {}).get("limits") or {}
        found: dict[str, float] = limits.get("sensor_limits", self.device.sensor_limits)
        return found

    @property
    def power_limit_cpu_w(self) -> float | None:
        """Power limit of its processor [W]."""
        return self._limit("power_limit_cpu_w")

    @property
    def power_limit_gpu_w(self) -> float | None:
        """Power limit of its graphics [W]."""
        return self._limit("power_limit_gpu_w")

    @property
    def power_limit_both_w(self) -> float | None:
        """Power limit that both share [W]."""
        return self._limit("power_limit_both_w")


class Acknowledgement(Base):
    """A hazard gate accepted by name. Never changed, never deleted."""

    __tablename__ = "acknowledgement"
    id: Mapped[uuid.UUID] = mapped_column(primary_key=True, default=uuid.uuid4)
    shop_id: Mapped[uuid.UUID]
    job_id: Mapped[uuid.UUID]
    rule: Mapped[str] = mapped_column(String(60))
    words: Mapped[str] = mapped_column(String(400))
    member_id: Mapped[uuid.UUID]
    at: Mapped[datetime] = mapped_column(default=now)
    member: Mapped[Member] = relationship(lazy="joined", viewonly=True)
    __table_args__ = (
        UniqueConstraint("job_id", "rule"),
        ForeignKeyConstraint(["shop_id", "job_id"], ["job.shop_id", "job.id"], ondelete="CASCADE"),
        ForeignKeyConstraint(["shop_id", "member_id"], ["member.shop_id", "member.id"]),
    )


class FitItem(Base):
    """What was put where. removed_at marks a removal that can be undone."""

    __tablename__ = "fit_item"
    id: Mapped[uuid.UUID] = mapped_column(primary_key=True, default=uuid.uuid4)
    shop_id: Mapped[uuid.UUID]
    job_id: Mapped[uuid.UUID]
    target: Mapped[Target] = mapped_column(one_of(Target, 40))
    kind: Mapped[Kind] = mapped_column(one_of(Kind, 40))
    product: Mapped[str] = mapped_column(String(120), default="")
    lot: Mapped[str] = mapped_column(String(60), default="")
    amount: Mapped[float | None]
    amount_unit: Mapped[str] = mapped_column(String(10), default="")
    # planned, weighed, or typed by hand: a dose nobody weighed does not read like one that somebody did.
    amount_is: Mapped[AmountIs] = mapped_column(one_of(AmountIs, 10), default=AmountIs("typed"))
    # The lot that it was booked from, None when it did not come from the shelf.
    lot_id: Mapped[uuid.UUID | None]
    attempt: Mapped[int] = mapped_column(default=1)
    created_at: Mapped[datetime] = mapped_column(default=now)
    removed_at: Mapped[datetime | None]

    @property
    def spare(self) -> int:
        """Pieces of it that were cut and kept."""
        return spare_pieces(self.kind, self.target, self.amount, self.amount_unit)

    __table_args__ = (
        ForeignKeyConstraint(["shop_id", "lot_id"], ["lot.shop_id", "lot.id"]),
        ForeignKeyConstraint(["shop_id", "job_id"], ["job.shop_id", "job.id"], ondelete="CASCADE"),
        CheckConstraint("amount > 0", name="amount"),
        check_of("amount_is", AmountIs),
        Index("ix_fit_item_job_id", "job_id"),
        check_of("target", Target),
        check_of("kind", Kind),
    )


class IdempotentReply(Base):
    """The answer to a write, kept so that a retry gets the same one and never doubles."""

    __tablename__ = "idempotent_reply"
    shop_id: Mapped[uuid.UUID] = mapped_column(ForeignKey("shop.id"), primary_key=True)
    key: Mapped[str] = mapped_column(String(80), primary_key=True)
    request_sha256: Mapped[str] = mapped_column(String(64))
    status: Mapped[int]
    body: Mapped[str]
    created_at: Mapped[datetime] = mapped_column(default=now)
