"""Tablets of the shop: paired by a code, each acting under its own name and role until it is withdrawn."""

from __future__ import annotations

import uuid
from dataclasses import dataclass
from datetime import datetime

from sqlalchemy.exc import IntegrityError

from vividowl.core.quantities.words import listed, say
from vividowl.service.clock import server_now
from vividowl.service.errors import Refused
from vividowl.service.names import plain_name
from vividowl.service.shop.accounts import ROLES, SignedIn, as_signed_in
from vividowl.service.workshop import Actor, Workshop
from vividowl.store.models import Member, Shop, SignIn

NAME_MOST = 60


@dataclass(frozen=True, kw_only=True)
class Invitation:
    """What a pairing code stands for. number: good once; by: the owner who made it."""

    number: uuid.UUID
    shop_id: uuid.UUID
    by: uuid.UUID
    name: str
    role: str


@dataclass(frozen=True, kw_only=True)
class Tablet:
    """A paired tablet. agent: what its browser says of itself; here: it is the one that asks."""

    id: uuid.UUID
    name: str
    role: str
    agent: str
    paired_at: datetime
    seen_at: datetime
    here: bool


def invite(actor: Actor, name: str, role: str) -> Invitation:
    """What a code for one tablet is to stand for."""
    name = plain_name(name).strip()[:NAME_MOST]
    if not name:
        raise Refused("invalid", say("tablets-name-empty"), field="name")
    if role not in ROLES:
        raise Refused("invalid", say("accounts-no-role", role=role, names=listed(ROLES)), field="role")
    return Invitation(number=uuid.uuid4(), shop_id=actor.shop_id, by=actor.member_id, name=name, role=role)


def pair(workshop: Workshop, found: Invitation, agent: str) -> tuple[SignedIn, uuid.UUID]:
    """Pair the tablet that shows a code: it acts under its own name from now on. A code is good once."""
    actor = Actor(found.shop_id, found.by, "owner", found.name)
    try:
        with workshop.scope(actor) as scope:
            host = scope.one(Member, Member.id == found.by, Member.active.is_(True), Member.role == "owner")
            shop = scope.session.get(Shop, found.shop_id)
            if host is None or shop is None:
                raise Refused("forbidden", say("tablets-code-does-not-fit"))
            member = scope.add(
                Member(login=f"tablet-{found.number.hex[:12]}", name=found.name, role=found.role, password_hash=None)
            )
            begun = scope.add(SignIn(member_id=member.id, agent=plain_name(agent)[:200], pairing=found.number))
            return as_signed_in(member, shop), begun.id
    except IntegrityError as error:
        raise Refused("conflict", say("tablets-code-used"), reason="used") from error


def tablets(workshop: Workshop, actor: Actor, here: uuid.UUID | None) -> list[Tablet]:
    """The paired tablets of the shop, latest seen first."""
    with workshop.scope(actor) as scope:
        query = scope.select(SignIn).where(SignIn.pairing.is_not(None), SignIn.ended_at.is_(None))
        rows = scope.session.scalars(query.order_by(SignIn.seen_at.desc())).all()
        ids = [r.member_id for r in rows]
        members = {m.id: m for m in scope.session.scalars(scope.select(Member).where(Member.id.in_(ids)))}
        return [
            Tablet(
                id=r.id,
                name=members[r.member_id].name,
                role=members[r.member_id].role,
                agent=r.agent,
                paired_at=r.began_at,
                seen_at=r.seen_at,
                here=r.id == here,
            )
            for r in rows
        ]


def withdraw(workshop: Workshop, actor: Actor, tablet_id: uuid.UUID) -> None:
    """Withdraw a tablet: whoever holds it can do nothing more with it. What it has sent stays."""
    with workshop.scope(actor) as scope:
        row = scope.one(SignIn, SignIn.id == tablet_id, SignIn.pairing.is_not(None))
        member = scope.one(Member, Member.id == row.member_id) if row is not None else None
        if row is None or member is None:
            raise Refused("missing", say("tablets-no-such"))
        row.ended_at = row.ended_at or server_now()
        member.active = False
