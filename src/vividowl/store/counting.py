"""Counters that all processes of the application share: attempts that are limited, and how far a long work is."""

from __future__ import annotations

import uuid
from datetime import datetime, timedelta
from typing import TYPE_CHECKING

from sqlalchemy import delete
from sqlalchemy.dialects.postgresql import insert
from sqlalchemy.orm import Mapped, mapped_column

from vividowl.store.base import Base, now

if TYPE_CHECKING:
    from vividowl.store.database import Database


class Attempts(Base):
    """How often something was tried until a moment."""

    __tablename__ = "attempts_counted"
    key: Mapped[str] = mapped_column(primary_key=True)
    count: Mapped[int]
    until: Mapped[datetime]
    __table_args__ = ({"prefixes": ["UNLOGGED"]},)


class Progress(Base):
    """How far a long work is, by the id of what it works on. Written beside the transaction of the work itself."""

    __tablename__ = "progress"
    id: Mapped[uuid.UUID] = mapped_column(primary_key=True)
    done: Mapped[int]
    total: Mapped[int]
    __table_args__ = ({"prefixes": ["UNLOGGED"]},)


def count_attempt(database: Database, key: str, span_s: float, amount: int = 1) -> int:
    """Count some more within a span that begins with the first of them, and give how many that makes."""
    new = insert(Attempts).values(key=key, count=amount, until=now() + timedelta(seconds=span_s))
    counted = new.on_conflict_do_update(
        index_elements=[Attempts.key], set_={"count": Attempts.count + amount}
    ).returning(Attempts.count)
    with database.apart() as session:
        # Whose span is over is forgotten at once: the keys say who tried, and from where.
        session.execute(delete(Attempts).where(Attempts.until <= now()))
        return int(session.execute(counted).scalar_one())


def attempts_so_far(database: Database, key: str) -> tuple[int, datetime]:
    """How many were counted, and when their span ends: none, and the present, where no span runs."""
    with database.apart() as session:
        row = session.get(Attempts, key)
        present = now()
        return (row.count, row.until) if row is not None and row.until > present else (0, present)


def forget_attempts(database: Database, key: str | None = None) -> int:
    """Forget those of a key, or all whose span is over."""
    which = Attempts.until <= now() if key is None else Attempts.key == key
    with database.apart() as session:
        return len(session.execute(delete(Attempts).where(which).returning(Attempts.key)).all())


def tell_progress(database: Database, work_id: uuid.UUID, done: int, total: int) -> None:
    """Tell all processes how far a work is."""
    told = insert(Progress).values(id=work_id, done=done, total=total)
    with database.apart() as session:
        session.execute(told.on_conflict_do_update(index_elements=[Progress.id], set_={"done": done, "total": total}))


def progress_of(database: Database, work_id: uuid.UUID) -> tuple[int, int]:
    """How far it is, of how much; of nothing where it is not at work."""
    with database.apart() as session:
        row = session.get(Progress, work_id)
        return (row.done, row.total) if row is not None else (0, 0)


def end_progress(database: Database, work_id: uuid.UUID) -> None:
    """It is done, or broke off."""
    with database.apart() as session:
        session.execute(delete(Progress).where(Progress.id == work_id))
