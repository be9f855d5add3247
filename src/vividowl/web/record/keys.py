"""Keys that records were signed with, for anyone who holds a record. No account is needed."""

from __future__ import annotations

from datetime import datetime
from typing import Annotated

from pydantic import BaseModel, StringConstraints

from vividowl.service.record.keys import key_told
from vividowl.web.access import access, workshop
from vividowl.web.blueprint import blueprint
from vividowl.web.fields import Out
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


@api.get("/keys/<fingerprint>", responses={200: KeyOut}, operation_id="getKey")
@access("public")
@limiter.limit("60 per minute")
def get_key(path: KeyPath) -> KeyOut:
    """Whose key it is, and whether it is still good."""
    told = key_told(workshop(), path.fingerprint)
    if told is None:
        return KeyOut(state="unknown", shop=None, since=None)
    return KeyOut(state=told.state.value, shop=told.shop, since=told.since)
