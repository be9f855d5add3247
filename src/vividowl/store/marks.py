"""What follows from a column of a job or a device, said beside it and nowhere else."""

from __future__ import annotations

from collections.abc import Mapping
from typing import Any, TypeVar

from vividowl.store.base import Base, Versioned

_MARKS = "marks"
_Row = TypeVar("_Row", bound=type[Base])


def marks(*, intake: bool, personal: bool) -> dict[str, Any]:
    """Marks of a column. intake: asked when a device comes in, and changed there; personal: it says who somebody is, or
    what they said, and goes when a customer is erased."""
    return {_MARKS: {"intake": intake, "personal": personal}}


ASKED = marks(intake=True, personal=False)
ASKED_PERSONAL = marks(intake=True, personal=True)
PERSONAL = marks(intake=False, personal=True)
OWN = marks(intake=False, personal=False)


def marked(table: _Row) -> _Row:
    """A table whose columns all have their marks, or nothing starts."""
    own = [c for c in table.__table__.columns if c.name not in Versioned.__annotations__]
    bare = [c.name for c in own if _MARKS not in c.info]
    if bare:
        raise TypeError(f"columns of {table.__name__} without marks: {', '.join(bare)}")
    return table


def _names(table: type[Base], mark: str) -> tuple[str, ...]:
    return tuple(c.name for c in table.__table__.columns if c.info.get(_MARKS, OWN[_MARKS])[mark])


def asked(table: type[Base]) -> tuple[str, ...]:
    """Names of the columns that are asked at intake."""
    return _names(table, "intake")


def blank(table: type[Base], names: tuple[str, ...]) -> Mapping[str, Any]:
    """What columns hold before anybody said anything."""
    usual = {name: table.__table__.columns[name].default for name in names}
    return {n: None if d is None else d.arg(None) if d.is_callable else d.arg for n, d in usual.items()}


def forget(row: Base) -> None:
    """Clear what is personal."""
    for name, value in blank(type(row), _names(type(row), "personal")).items():
        setattr(row, name, value)
