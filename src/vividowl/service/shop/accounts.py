"""Who may come in: sign-in, the first owner, members."""

from __future__ import annotations

import os
import re
import threading
import uuid
from collections.abc import Collection
from concurrent.futures import ThreadPoolExecutor
from dataclasses import dataclass
from datetime import datetime, timedelta
from functools import cache
from zoneinfo import available_timezones

from argon2 import PasswordHasher
from argon2.exceptions import VerificationError
from sqlalchemy import select, update
from sqlalchemy.exc import IntegrityError
from sqlalchemy.orm import Session

from vividowl.core.quantities.words import listed, say
from vividowl.service.clock import server_now
from vividowl.service.errors import Refused
from vividowl.service.names import plain_name
from vividowl.service.shop.habits import habits_of
from vividowl.service.workshop import Actor, Workshop
from vividowl.store.models import NO_ZONE, Member, Shop, SignIn
from vividowl.store.scope import Scope, demo_owner, member_by_login, session_with_member, shop_count

PASSWORD_LEAST = 10
IDLE_MOST = timedelta(hours=14)
# A paired tablet stays until it is withdrawn, or has lain for a season.
TABLET_IDLE_MOST = timedelta(days=90)
SEEN_EVERY = timedelta(minutes=5)
ROLES = ("owner", "technician")
_hasher = PasswordHasher()
# A hash takes all of a processor and much memory, on purpose: so many at a time, behind everyone else's work, and so
# many wait for their turn.
_hashing = ThreadPoolExecutor(
    2, "hashing", initializer=lambda: os.setpriority(os.PRIO_PROCESS, threading.get_native_id(), 10)
)
_queue = threading.BoundedSemaphore(18)


@cache
def _nobody() -> str:
    """Verified when the login is unknown, so that the time of an answer does not tell which logins exist."""
    return _hasher.hash("nobody has this password")


@dataclass(frozen=True, kw_only=True)
class SignedIn:
    """Who is signed in, for the page and for the session cookie."""

    member_id: uuid.UUID
    shop_id: uuid.UUID
    name: str
    role: str
    shop_name: str
    demo: bool
    currency: str
    language: str
    zone: str

    @property
    def id(self) -> uuid.UUID:
        """Of the member, as the page knows them."""
        return self.member_id

    @property
    def actor(self) -> Actor:
        """The same as the one who acts."""
        return Actor(self.shop_id, self.member_id, self.role, self.name)


def _signed_in(session: Session, member: Member) -> SignedIn:
    shop = session.get(Shop, member.shop_id)
    if shop is None:
        raise Refused("missing", say("accounts-there-no-such-shop"))
    return as_signed_in(member, shop)


def as_signed_in(member: Member, shop: Shop) -> SignedIn:
    """A member of a shop as the one who is signed in."""
    language = habits_of(shop).language
    return SignedIn(
        member_id=member.id,
        shop_id=shop.id,
        name=member.name,
        role=member.role,
        shop_name=shop.name,
        demo=shop.demo,
        currency=shop.currency,
        language=language,
        zone=shop.zone.key,
    )


def sign_in(workshop: Workshop, login: str, password: str) -> SignedIn:
    """Sign in by login and password."""
    with workshop.database.session() as session:
        member = member_by_login(session, login.strip().lower())
        kept = member.password_hash if member is not None else None
    # Between two sessions: a hash takes long, and a connection is what the others want.
    fits, anew = _checked(kept, password)
    with workshop.database.session() as session:
        member = member_by_login(session, login.strip().lower())
        if member is None or not fits or member.password_hash != kept:
            raise Refused("forbidden", say("accounts-login-and-password-do-not"), field="password")
        if anew is not None:
            member.password_hash = anew
        return _signed_in(session, member)


def _checked(kept: str | None, password: str) -> tuple[bool, str | None]:
    """Whether a password is the one that a hash was made of, and a hash anew where it was made by older rules."""
    if not _queue.acquire(blocking=False):
        raise Refused("busy", say("accounts-many-sign-in"), reason="busy")
    try:
        return _hashing.submit(_verified, kept, password).result()
    finally:
        _queue.release()


def _verified(kept: str | None, password: str) -> tuple[bool, str | None]:
    try:
        _hasher.verify(kept or _nobody(), password)
    except VerificationError:
        return False, None
    anew = _hasher.hash(password) if kept and _hasher.check_needs_rehash(kept) else None
    return kept is not None, anew


def sign_in_demo(workshop: Workshop) -> SignedIn:
    """Sign in as the demo's owner. Whether the request may ask is the caller's to check."""
    with workshop.database.session() as session:
        owner = demo_owner(session)
        if owner is None:
            raise Refused("missing", say("accounts-there-no-demo-shop-here"))
        return _signed_in(session, owner)


@dataclass(frozen=True, kw_only=True)
class OpenSession:
    """A session that has not ended. agent: what the browser says of itself; here: it is the one that asks."""

    id: uuid.UUID
    agent: str
    began_at: datetime
    seen_at: datetime
    here: bool


def begin_session(workshop: Workshop, found: SignedIn, agent: str) -> uuid.UUID:
    """Note a session that begins. Its id goes into the cookie and nowhere else."""
    with workshop.scope(found.actor) as scope:
        return scope.add(SignIn(member_id=found.member_id, agent=plain_name(agent)[:200])).id


def by_session(workshop: Workshop, session_id: uuid.UUID) -> SignedIn | None:
    """The member behind a session, None when it has ended or nobody was seen in it for a working day."""
    with workshop.database.session() as session:
        found = session_with_member(session, session_id)
        now = server_now()
        if found is None:
            return None
        row, member, shop = found
        most = IDLE_MOST if row.pairing is None else TABLET_IDLE_MOST
        if row.ended_at is not None or now - row.seen_at > most:
            return None
        if now - row.seen_at > SEEN_EVERY:
            row.seen_at = now
        return as_signed_in(member, shop)


def still_open(workshop: Workshop, sessions: Collection[uuid.UUID]) -> set[uuid.UUID]:
    """Those of some sessions that have not ended."""
    with workshop.database.session() as session:
        query = select(SignIn.id).join(Member, Member.id == SignIn.member_id)
        return set(session.scalars(query.where(SignIn.id.in_(sessions), SignIn.ended_at.is_(None), Member.active)))


def end_session(workshop: Workshop, session_id: uuid.UUID) -> None:
    """End a session: a copy of its cookie is worth nothing from now on."""
    with workshop.database.session() as session:
        row = session.get(SignIn, session_id)
        if row is not None and row.ended_at is None:
            row.ended_at = server_now()


def my_sessions(workshop: Workshop, actor: Actor, here: uuid.UUID | None) -> list[OpenSession]:
    """The open sessions of the one who asks, latest first."""
    with workshop.scope(actor) as scope:
        query = scope.select(SignIn).where(
            SignIn.member_id == actor.member_id,
            SignIn.ended_at.is_(None),
            SignIn.seen_at > server_now() - IDLE_MOST,
        )
        rows = scope.session.scalars(query.order_by(SignIn.seen_at.desc())).all()
        return [
            OpenSession(id=r.id, agent=r.agent, began_at=r.began_at, seen_at=r.seen_at, here=r.id == here) for r in rows
        ]


def withdraw_session(workshop: Workshop, actor: Actor, session_id: uuid.UUID) -> None:
    """End one of one's own sessions from another one."""
    with workshop.scope(actor) as scope:
        row = scope.one(SignIn, SignIn.id == session_id, SignIn.member_id == actor.member_id)
        if row is None:
            raise Refused("missing", say("accounts-there-no-such-session-yours"))
        row.ended_at = row.ended_at or server_now()


def state(workshop: Workshop) -> tuple[bool, bool]:
    """Whether there is a demo shop, and whether there is no shop at all."""
    with workshop.database.session() as session:
        return demo_owner(session) is not None, shop_count(session) == 0


def _check_password(password: str) -> None:
    if len(password) < PASSWORD_LEAST:
        raise Refused(
            "invalid",
            say("accounts-password-has-characters-at-least", password=len(password), password_least=PASSWORD_LEAST),
            field="password",
        )


def _make_member(scope: Scope, login: str, *, name: str, role: str, password: str | None) -> Member:
    login = login.strip().lower()
    if not re.fullmatch(r"[a-z0-9][a-z0-9._@-]{1,79}", login):
        raise Refused("invalid", say("accounts-no-login", login=login), field="login")
    if role not in ROLES:
        raise Refused("invalid", say("accounts-no-role", role=role, names=listed(ROLES)), field="role")
    if not name.strip():
        raise Refused("invalid", say("accounts-name-empty"), field="name")
    if password is not None:
        _check_password(password)
    try:
        return scope.add(
            Member(
                login=login,
                name=name.strip(),
                role=role,
                password_hash=_hasher.hash(password) if password is not None else None,
            )
        )
    except IntegrityError as error:
        raise Refused("conflict", say("accounts-login-taken", login=login), field="login") from error


def found_shop(
    workshop: Workshop,
    *,
    shop_name: str,
    name: str,
    login: str,
    password: str | None,
    demo: bool = False,
    zone: str = NO_ZONE,
) -> SignedIn:
    """Make a shop and its first owner. A real shop only while there is none. zone: of the IANA list; one that is not
    known here is left for the owner to say."""
    with workshop.database.session() as session:
        if shop_count(session):
            raise Refused("conflict", say("accounts-there-shop-already"))
        if not shop_name.strip():
            raise Refused("invalid", say("accounts-shop-has-no-name"), field="shop_name")
        shop = Shop(name=shop_name.strip(), demo=demo)
        shop.habits = {"zone": zone if zone in available_timezones() else NO_ZONE}
        session.add(shop)
        session.flush()
        owner = _make_member(Scope(session, shop.id), login, name=name, role="owner", password=password)
        return _signed_in(session, owner)


def only_shop(workshop: Workshop) -> uuid.UUID:
    """The one shop of this installation, for the command line."""
    with workshop.database.session() as session:
        shops = session.scalars(select(Shop.id)).all()
    if not shops:
        raise Refused("missing", say("accounts-there-no-shop-yet"))
    return shops[0]


def add_member(workshop: Workshop, shop_id: uuid.UUID, *, login: str, name: str, role: str, password: str) -> None:
    """Add a member to a shop."""
    with workshop.database.session() as session:
        _make_member(Scope(session, shop_id), login, name=name, role=role, password=password)


def set_password(workshop: Workshop, login: str, password: str) -> None:
    """Set a new password; sessions that are open end."""
    _check_password(password)
    with workshop.database.session() as session:
        member = member_by_login(session, login.strip().lower())
        if member is None:
            raise Refused(
                "missing", say("accounts-there-no-member", login=login), remedy=say("accounts-see-vividowl-user-list")
            )
        member.password_hash = _hasher.hash(password)
        session.execute(
            update(SignIn).where(SignIn.member_id == member.id, SignIn.ended_at.is_(None)).values(ended_at=server_now())
        )


def members(workshop: Workshop, shop_id: uuid.UUID) -> list[tuple[str, str, str, bool]]:
    """Login, name, role and whether active, of all members."""
    with workshop.database.session() as session:
        rows = session.scalars(Scope(session, shop_id).select(Member).order_by(Member.login)).all()
        return [(m.login, m.name, m.role, m.active) for m in rows]


def add_demo_member(scope: Scope, login: str, name: str) -> None:
    """A member of the demo without a password: nobody can sign in as them."""
    _make_member(scope, login, name=name, role="technician", password=None)
