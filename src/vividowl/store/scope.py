"""The only way to rows: a session bound to one shop."""

from __future__ import annotations

import uuid
from collections.abc import Sequence
from typing import Any, TypeVar

from sqlalchemy import ColumnElement, Select, func, select
from sqlalchemy.orm import Session, lazyload

from vividowl.core.job.device import REFERENCES
from vividowl.store.base import Base
from vividowl.store.measuring import Run, TraceFile
from vividowl.store.models import Customer, IdempotentReply, Job, Member, Shop, SignIn

Row = TypeVar("Row", bound=Base)


class NotFound(LookupError):  # noqa: N818 - reads as what it says
    """There is no such row in this shop; one of another shop counts as none. kind: of row, in words."""

    def __init__(self, kind: str) -> None:
        super().__init__(kind)
        self.kind = kind


class Scope:
    """Rows of one shop. Everything read and added through it carries its shop."""

    def __init__(self, session: Session, shop_id: uuid.UUID) -> None:
        self.session = session
        self.shop_id = shop_id
        self._shop: Shop | None = None

    def select(self, table: type[Row]) -> Select[Row]:
        """A select on a table, already narrowed to the shop."""
        return select(table).where(table.shop_id == self.shop_id)  # type: ignore[attr-defined]

    def get(self, table: type[Row], row_id: uuid.UUID, *, lock: bool = False, alone: bool = False) -> Row:
        """One row by its id, locked for writing when asked; alone: without what usually comes with it."""
        query = self.select(table).where(table.id == row_id)  # type: ignore[attr-defined]
        if alone:
            query = query.options(lazyload("*"))
        if lock:
            query = query.with_for_update(of=table)
        row = self.session.scalars(query.execution_options(populate_existing=lock)).first()
        if row is None:
            raise NotFound(table.__tablename__)
        return row

    def one(self, table: type[Row], *where: ColumnElement[bool]) -> Row | None:
        """The one row that fits, or None."""
        return self.session.scalars(self.select(table).where(*where)).first()

    def add(self, row: Row) -> Row:
        """Add a row to the shop and give it its defaults."""
        row.shop_id = self.shop_id  # type: ignore[attr-defined]
        self.session.add(row)
        self.session.flush()
        return row

    def shop(self) -> Shop:
        """The shop itself."""
        # Held here, since the session itself lets go of rows that nobody holds and would ask for them again.
        if self._shop is None:
            self._shop = self.session.get(Shop, self.shop_id)
        if self._shop is None:
            raise NotFound("shop")
        return self._shop

    def next_job_number(self) -> int:
        """Draw the next job number; the shop's row is locked until the transaction ends."""
        shop = self.locked_shop()
        shop.last_job_number += 1
        return shop.last_job_number

    def locked_shop(self) -> Shop:
        """The shop as it is now, its row locked until the transaction ends: who numbers jobs waits for it, and nobody
        who only refers to it."""
        query = select(Shop).where(Shop.id == self.shop_id).with_for_update(key_share=True)
        return self.session.scalars(query.execution_options(populate_existing=True)).one()

    def alone_at(self, what: str) -> bool:
        """Whether nobody else of the shop is at something; then nobody else begins it until the transaction ends."""
        number = func.hashtextextended(f"{what} {self.shop_id}", 0)
        return bool(self.session.scalar(select(func.pg_try_advisory_xact_lock(number))))

    def run(self, job_id: uuid.UUID, key: str, *, lock: bool = False) -> Run | None:
        """A run of a job: the reference of a side, or None; or another by its id, which has to be there."""
        side = key in REFERENCES
        which = Run.side == key if side else Run.id == uuid.UUID(key)
        query = self.select(Run).where(Run.job_id == job_id, which, Run.removed_at.is_(None))
        if lock:
            query = query.with_for_update(of=Run)
        found = self.session.scalars(query.execution_options(populate_existing=True)).first()
        if found is None and not side:
            raise NotFound("run")
        return found

    def traces_with(self, sha256: str) -> Sequence[tuple[TraceFile, Run, Job]]:
        """Where in the shop the very same file is in use."""
        query = (
            select(TraceFile, Run, Job)
            .join(Run, Run.id == TraceFile.run_id)
            .join(Job, Job.id == Run.job_id)
            .where(TraceFile.shop_id == self.shop_id, TraceFile.sha256 == sha256)
            .where(TraceFile.removed_at.is_(None), Run.removed_at.is_(None))
        )
        return [(t, r, j) for t, r, j in self.session.execute(query).unique().all()]

    def suggestions(self, column: Any, where: Sequence[ColumnElement[bool]], limit: int = 8) -> list[str]:  # noqa: ANN401
        """Texts used before in a column, most used first."""
        table = column.class_
        query = (
            select(column)
            .where(table.shop_id == self.shop_id, column != "", *where)
            .group_by(column)
            .order_by(func.count().desc(), column)
            .limit(limit)
        )
        return [str(v) for v in self.session.scalars(query)]

    def customer(self, name: str, contact: str) -> Customer:
        """The customer of this name and contact, made when new."""
        found = self.one(Customer, Customer.name == name, Customer.contact == contact)
        return found or self.add(Customer(name=name, contact=contact))

    def reply(self, key: str) -> IdempotentReply | None:
        """The answer once given to a write with this key."""
        return self.one(IdempotentReply, IdempotentReply.key == key)


def member_by_login(session: Session, login: str) -> Member | None:
    """A member by login, over all shops: only sign-in may ask."""
    return session.scalars(select(Member).where(Member.login == login, Member.active)).first()


def session_with_member(session: Session, session_id: uuid.UUID) -> tuple[SignIn, Member, Shop] | None:
    """A session with its active member and their shop, over all shops: only sign-in may ask."""
    query = select(SignIn, Member, Shop).join(Member, Member.id == SignIn.member_id)
    query = query.join(Shop, Shop.id == Member.shop_id).where(SignIn.id == session_id, Member.active)
    found = session.execute(query).first()
    return (found[0], found[1], found[2]) if found else None


def shop_count(session: Session) -> int:
    """How many shops there are."""
    return session.scalar(select(func.count()).select_from(Shop)) or 0


def demo_owner(session: Session) -> Member | None:
    """The owner of the demo shop, or None when there is no demo."""
    query = select(Member).join(Shop, Shop.id == Member.shop_id).where(Shop.demo, Member.role == "owner", Member.active)
    return session.scalars(query).first()
