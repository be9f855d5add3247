"""Keys that records were signed with, for anyone who holds a record. No account is needed."""

from __future__ import annotations

from datetime import datetime
from typing import Annotated

from pydantic import BaseModel, StringConstraints

from vividowl.service.record import keys
from vividowl.web.access import access, actor, workshop
from vividowl.web.blueprint import blueprint
from vividowl.web.fields import Out
from vividowl.web.idempotency import idempotent
from vividowl.web.session.routes import limiter

api = blueprint("keys", __name__, url_prefix="/api")


class KeyPath(BaseModel):
    """SHA-256 of a public key, hexadecimal."""

    fingerprint: Annotated[str, StringConstraints(pattern=r"^[0-9a-f]{64}$")]


class KeyOut(Out):
    """Whose key it is: signs, retired, withdrawn; unknown where no shop here has it."""

    state: str
    shop: str | None
    since: datetime | None


class ShopKeyOut(Out):
    """A key of the shop. state: signs, retired or withdrawn, and since when."""

    fingerprint: str
    state: str
    made_at: datetime
    since: datetime | None


class KeysOut(Out):
    keys: list[ShopKeyOut]


def _all() -> KeysOut:
    return KeysOut(keys=[ShopKeyOut.model_validate(k) for k in keys.keys(workshop(), actor())])


@api.get("/keys", responses={200: KeysOut}, operation_id="getKeys")
@access("owner")
def get_keys() -> KeysOut:
    """Keys of the shop, the latest first."""
    return _all()


@api.post("/keys", responses={201: KeysOut}, operation_id="renewKey")
@access("owner")
@idempotent
def renew_key() -> tuple[KeysOut, int]:
    """A new key signs from now on."""
    keys.renew_key(workshop(), actor())
    return _all(), 201


@api.delete("/keys/<fingerprint>", responses={200: KeysOut}, operation_id="withdrawKey")
@access("owner")
def withdraw_key(path: KeyPath) -> KeysOut:
    """Withdraw a key."""
    keys.withdraw_key(workshop(), actor(), path.fingerprint)
    return _all()


@api.get("/keys/<fingerprint>", responses={200: KeyOut}, operation_id="getKey")
@access("customer")
@limiter.limit("60 per minute")
def get_key(path: KeyPath) -> KeyOut:
    """Whose key it is, and whether it is still good."""
    told = keys.key_told(workshop(), path.fingerprint)
    if told is None:
        return KeyOut(state="unknown", shop=None, since=None)
    return KeyOut(state=told.state.value, shop=told.shop, since=told.since)
