"""Keys of a shop: the one that signs, and those that have signed."""

from __future__ import annotations

from dataclasses import dataclass
from datetime import datetime
from enum import StrEnum

from cryptography.hazmat.primitives.asymmetric.ed25519 import Ed25519PrivateKey

from vividowl.formats.data_file import fingerprint
from vividowl.service.clock import server_now
from vividowl.service.workshop import Actor, Workshop
from vividowl.store.keys import ShopKey, key_of
from vividowl.store.scope import NotFound, Scope


def private_key(kept: ShopKey) -> Ed25519PrivateKey:
    """A kept key, ready to sign."""
    return Ed25519PrivateKey.from_private_bytes(kept.private_key)


def signing_key(scope: Scope) -> ShopKey:
    """The key that signs for the shop; made when it first signs."""
    scope.session.refresh(scope.shop(), with_for_update=True)  # two that sign first make one key
    kept = scope.one(ShopKey, ShopKey.retired_at.is_(None), ShopKey.withdrawn_at.is_(None))
    if kept is None:
        fresh = Ed25519PrivateKey.generate()
        kept = scope.add(ShopKey(fingerprint=fingerprint(fresh.public_key()), private_key=fresh.private_bytes_raw()))
    return kept


class KeyState(StrEnum):
    """What a key is good for."""

    SIGNS = "signs"
    RETIRED = "retired"
    WITHDRAWN = "withdrawn"


@dataclass(frozen=True, kw_only=True)
class KeyTold:
    """What anyone may know of a key. since: when it was retired or withdrawn."""

    fingerprint: str
    shop: str
    state: KeyState
    made_at: datetime
    since: datetime | None


def _told(key: ShopKey, shop: str) -> KeyTold:
    if key.withdrawn_at is not None:
        return KeyTold(
            fingerprint=key.fingerprint,
            shop=shop,
            state=KeyState.WITHDRAWN,
            made_at=key.made_at,
            since=key.withdrawn_at,
        )
    state = KeyState.RETIRED if key.retired_at is not None else KeyState.SIGNS
    return KeyTold(fingerprint=key.fingerprint, shop=shop, state=state, made_at=key.made_at, since=key.retired_at)


def keys(workshop: Workshop, actor: Actor) -> list[KeyTold]:
    """Keys of the shop, the latest first."""
    with workshop.scope(actor) as scope:
        rows = scope.session.scalars(scope.select(ShopKey).order_by(ShopKey.made_at.desc()))
        return [_told(key, scope.shop().name) for key in rows]


def renew_key(workshop: Workshop, actor: Actor) -> None:
    """Let a new key sign from now on. What the one before has signed stays in order."""
    with workshop.scope(actor) as scope:
        signing_key(scope).retired_at = server_now()
        scope.session.flush()
        signing_key(scope)


def withdraw_key(workshop: Workshop, actor: Actor, fingerprint: str) -> None:
    """Withdraw a key that somebody else may have had: whoever checks what it signed is told so."""
    with workshop.scope(actor) as scope:
        kept = scope.one(ShopKey, ShopKey.fingerprint == fingerprint)
        if kept is None:
            raise NotFound("shop_key")
        kept.withdrawn_at = kept.withdrawn_at or server_now()


def key_told(workshop: Workshop, fingerprint: str) -> KeyTold | None:
    """Whose key it is, and whether it is still good; None where no shop here has it."""
    with workshop.database.session() as session:
        found = key_of(session, fingerprint)
        if found is None:
            return None
        return _told(found[0], found[1].name)
