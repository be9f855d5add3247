"""The people of a shop, as its owner keeps them."""

from __future__ import annotations

import uuid
from dataclasses import dataclass

from sqlalchemy import update

from vividowl.core.quantities.words import say
from vividowl.service.clock import server_now
from vividowl.service.errors import Refused
from vividowl.service.shop.accounts import add_member
from vividowl.service.workshop import Actor, Workshop
from vividowl.store.models import Member, SignIn


@dataclass(frozen=True, kw_only=True)
class Person:
    """Someone who signs in by password. me: the one who asks."""

    id: uuid.UUID
    login: str
    name: str
    role: str
    active: bool
    me: bool


def people(workshop: Workshop, actor: Actor) -> list[Person]:
    """The people of the shop; its tablets are not among them."""
    with workshop.scope(actor) as scope:
        paired = scope.select(SignIn).with_only_columns(SignIn.member_id).where(SignIn.pairing.is_not(None))
        rows = scope.session.scalars(scope.select(Member).where(Member.id.not_in(paired)).order_by(Member.name)).all()
        return [
            Person(id=m.id, login=m.login, name=m.name, role=m.role, active=m.active, me=m.id == actor.member_id)
            for m in rows
        ]


def add_person(workshop: Workshop, actor: Actor, *, login: str, name: str, role: str, password: str) -> None:
    """Add someone to the shop of the one who asks."""
    add_member(workshop, actor.shop_id, login=login, name=name, role=role, password=password)


def set_active(workshop: Workshop, actor: Actor, member_id: uuid.UUID, active: bool) -> None:
    """Let someone in or no longer. Nobody shuts themselves out, so that a shop always keeps an owner."""
    with workshop.scope(actor) as scope:
        member = scope.one(Member, Member.id == member_id)
        if member is None:
            raise Refused("missing", say("accounts-there-no-member", login=""), remedy=say("accounts-reload-page"))
        if member.id == actor.member_id:
            raise Refused("conflict", say("accounts-not-oneself"))
        member.active = active
        if not active:
            # Let in again later, they sign in again: an old cookie opens nothing.
            scope.session.execute(
                update(SignIn)
                .where(SignIn.shop_id == scope.shop_id, SignIn.member_id == member.id, SignIn.ended_at.is_(None))
                .values(ended_at=server_now())
            )
