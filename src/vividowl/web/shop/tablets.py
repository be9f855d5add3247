"""Tablets: a code to pair one, those that are paired, and where the shop's network finds the application."""

from __future__ import annotations

import uuid
from base64 import urlsafe_b64decode, urlsafe_b64encode
from datetime import datetime, timedelta
from typing import Annotated, Any

from flask import current_app
from itsdangerous import BadSignature, SignatureExpired, TimestampSigner
from pydantic import BaseModel, StringConstraints

from vividowl.core.quantities.words import say
from vividowl.service.clock import server_now
from vividowl.service.errors import Refused
from vividowl.service.shop import tablets
from vividowl.service.shop.accounts import ROLES
from vividowl.service.shop.tablets import Invitation, Tablet
from vividowl.web.access import access, actor, agent, session_id, start_session, workshop
from vividowl.web.blueprint import blueprint
from vividowl.web.codes import drawing
from vividowl.web.fields import NO_NUL, In, Name, Out, Short
from vividowl.web.idempotency import idempotent
from vividowl.web.session.routes import limiter, session_out
from vividowl.web.session.schemas import SessionOut

api = blueprint("tablets", __name__, url_prefix="/api")
CODE_MINUTES = 10
_SALT = "pairing of a tablet"


class LanOut(Out):
    """Where tablets reach the application, and where they get its authority; drawings are SVG as a data address."""

    address: str
    authority_address: str
    authority_drawing: str
    fingerprint: str


class TabletsOut(Out):
    lan: LanOut | None
    tablets: list[Tablet]


class PairingIn(In):
    name: Name
    role: Short


class PairingOut(Out):
    address: str
    drawing: str
    until: datetime


class PairIn(In):
    code: Annotated[str, StringConstraints(min_length=1, max_length=1000, pattern=NO_NUL)]


class TabletPath(BaseModel):
    tablet_id: uuid.UUID


def _codes() -> TimestampSigner:
    return TimestampSigner(current_app.config["SECRET_KEY"], salt=_SALT)


def _packed(found: Invitation) -> str:
    """An invitation as short as it can be written, since it is drawn: three numbers, the role, the name."""
    numbers = found.number.bytes + found.shop_id.bytes + found.by.bytes
    return urlsafe_b64encode(numbers + f"{ROLES.index(found.role)}{found.name}".encode()).decode().rstrip("=")


def _unpacked(packed: str) -> Invitation:
    data = urlsafe_b64decode(packed + "=" * (-len(packed) % 4))
    numbers = [uuid.UUID(bytes=data[i : i + 16]) for i in (0, 16, 32)]
    rest = data[48:].decode()
    return Invitation(number=numbers[0], shop_id=numbers[1], by=numbers[2], name=rest[1:], role=ROLES[int(rest[0])])


def _lan() -> Any:  # noqa: ANN401 - what the settings hold, or None
    return current_app.config["LAN"]


def _all() -> TabletsOut:
    lan = _lan()
    shown = None
    if lan is not None:
        shown = LanOut(
            address=lan.address,
            authority_address=lan.authority_address,
            authority_drawing=drawing(lan.authority_address),
            fingerprint=lan.fingerprint,
        )
    rows = tablets.tablets(workshop(), actor(), session_id())
    return TabletsOut(lan=shown, tablets=list(rows))


@api.get("/tablets", responses={200: TabletsOut}, operation_id="getTablets")
@access("owner")
def get_tablets() -> TabletsOut:
    """The paired tablets, and how one is paired."""
    return _all()


@api.post("/tablets/pairings", responses={201: PairingOut}, operation_id="offerPairing")
@access("owner")
@idempotent
def offer(body: PairingIn) -> tuple[PairingOut, int]:
    """A code for one tablet, good once and for some minutes."""
    lan = _lan()
    if lan is None:
        raise Refused("conflict", say("tablets-lan-off"), reason="lan_off")
    found = tablets.invite(actor(), body.name, body.role)
    code = _codes().sign(_packed(found)).decode()
    # After the hash: it is sent to no server and stands in no list of requests.
    address = f"{lan.address}/pair#{code}"
    until = server_now() + timedelta(minutes=CODE_MINUTES)
    return PairingOut(address=address, drawing=drawing(address), until=until), 201


@api.delete("/tablets/<uuid:tablet_id>", responses={200: TabletsOut}, operation_id="withdrawTablet")
@access("owner")
def withdraw(path: TabletPath) -> TabletsOut:
    """Withdraw a tablet."""
    tablets.withdraw(workshop(), actor(), path.tablet_id)
    return _all()


@api.post("/session/pair", responses={200: SessionOut}, operation_id="pairTablet")
@access("public")
@limiter.limit("10 per minute")
def pair(body: PairIn) -> SessionOut:
    """Pair the tablet that asks, with the code that it was shown."""
    try:
        packed = _codes().unsign(body.code, max_age=60 * CODE_MINUTES).decode()
    except SignatureExpired as error:
        raise Refused("forbidden", say("tablets-code-over", minutes=CODE_MINUTES), reason="over") from error
    except BadSignature as error:
        raise Refused("forbidden", say("tablets-code-does-not-fit"), reason="code") from error
    start_session(*tablets.pair(workshop(), _unpacked(packed), agent()))
    return session_out()
