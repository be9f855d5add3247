"""What all tables share: names of constraints, time in UTC, JSON."""

from __future__ import annotations

from collections.abc import Iterator
from contextlib import contextmanager
from contextvars import ContextVar
from datetime import UTC, datetime
from enum import StrEnum
from typing import Any, ClassVar

from sqlalchemy import CheckConstraint, DateTime, Enum, MetaData, event, inspect
from sqlalchemy.dialects.postgresql import JSONB
from sqlalchemy.orm import DeclarativeBase, Mapped, Session, declared_attr, mapped_column, sessionmaker

NAMING = {
    "ix": "ix_%(table_name)s_%(column_0_N_name)s",
    "uq": "uq_%(table_name)s_%(column_0_N_name)s",
    "ck": "ck_%(table_name)s_%(constraint_name)s",
    "fk": "fk_%(table_name)s_%(column_0_N_name)s_%(referred_table_name)s",
    "pk": "pk_%(table_name)s",
}


_MOMENT: ContextVar[datetime | None] = ContextVar("moment", default=None)


def now() -> datetime:
    """The moment that a row carries when it is added: the present, UTC, unless rows are added as of another."""
    return _MOMENT.get() or datetime.now(UTC)


@contextmanager
def rows_as_of(moment: datetime) -> Iterator[None]:
    """Let rows that are added carry an earlier moment: what happened before it was written down."""
    held = _MOMENT.set(moment)
    try:
        yield
    finally:
        _MOMENT.reset(held)


class Base(DeclarativeBase):
    """Common base: naming convention, time zone on every time, JSONB for structures."""

    metadata = MetaData(naming_convention=NAMING)
    type_annotation_map = {  # noqa: RUF012 - SQLAlchemy's own hook
        datetime: DateTime(timezone=True),
        dict[str, Any]: JSONB,
        list[Any]: JSONB,
    }


def one_of(values: type[StrEnum], length: int) -> Enum:
    """A column of text that holds one of the core's values, and gives it back as what it is.

    The database holds it to a CHECK of its own: see check_of.
    """
    return Enum(
        values,
        native_enum=False,
        create_constraint=False,
        length=length,
        values_callable=lambda e: [v.value for v in e],
    )


def check_of(column: str, values: type[StrEnum]) -> CheckConstraint:
    """The CHECK of such a column."""
    return CheckConstraint(f"{column} IN ({', '.join(repr(v.value) for v in values)})", name=column)


class Versioned:
    """A row that two people may edit: its version counts what they change, and an update of an older one is refused.
    UNGUARDED: columns that follow from elsewhere; writing them takes nothing from anybody and does not count."""

    UNGUARDED: ClassVar[frozenset[str]] = frozenset()
    version: Mapped[int] = mapped_column(default=1)

    @declared_attr.directive
    def __mapper_args__(cls) -> dict[str, Any]:  # noqa: N805 - of the class, as SQLAlchemy calls it
        return {"version_id_col": cls.version, "version_id_generator": False}


def changed_elsewhere(session: Session, row: Versioned) -> None:
    """Count a row as changed whose values stand in another one: the device and the customer of a job."""
    counted = session.info.setdefault("counted", set())
    if row not in counted:
        row.version += 1
        counted.add(row)


def count_versions(sessions: sessionmaker[Session]) -> None:
    """Let every transaction that changes what somebody edits count once, whatever wrote it."""

    @event.listens_for(sessions, "after_soft_rollback")
    def forget(session: Session, _: Any) -> None:  # noqa: ANN401
        # What a savepoint counted is gone with it; what was counted before it may count twice, which harms nobody.
        session.info.pop("counted", None)

    @event.listens_for(sessions, "before_flush")
    def count(session: Session, *_: Any) -> None:  # noqa: ANN401
        counted = session.info.setdefault("counted", set())
        counted.update(row for row in session.new if isinstance(row, Versioned))
        for row in session.dirty:
            if not isinstance(row, Versioned) or row in counted:
                continue
            state = inspect(row)
            changed = {c.key for c in state.mapper.column_attrs if state.attrs[c.key].history.has_changes()}
            if changed - row.UNGUARDED:
                row.version += 1
                counted.add(row)
