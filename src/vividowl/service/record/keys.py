"""Keys of a shop: the one that signs, and those that have signed."""

from __future__ import annotations

from cryptography.hazmat.primitives.asymmetric.ed25519 import Ed25519PrivateKey

from vividowl.formats.data_file import fingerprint
from vividowl.store.keys import ShopKey
from vividowl.store.scope import Scope


def signing_key(scope: Scope) -> Ed25519PrivateKey:
    """The key that signs for the shop; made when it first signs."""
    scope.session.refresh(scope.shop(), with_for_update=True)  # two that sign first make one key
    kept = scope.one(ShopKey, ShopKey.retired_at.is_(None), ShopKey.withdrawn_at.is_(None))
    if kept is None:
        fresh = Ed25519PrivateKey.generate()
        kept = scope.add(ShopKey(fingerprint=fingerprint(fresh.public_key()), private_key=fresh.private_bytes_raw()))
    return Ed25519PrivateKey.from_private_bytes(kept.private_key)
