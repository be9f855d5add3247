"""Answers to writes, kept so that a retry gets the same one and never doubles."""

from __future__ import annotations

import hashlib
from collections.abc import Callable
from dataclasses import dataclass
from datetime import timedelta

from sqlalchemy import delete
from sqlalchemy.dialects.postgresql import insert

from vividowl.core.quantities.words import say
from vividowl.service.clock import server_now
from vividowl.service.errors import Refused
from vividowl.service.workshop import Actor, Workshop
from vividowl.store.models import IdempotentReply

KEY_MOST = 80
# So long a retry may come after the write; then its key is forgotten.
KEPT = timedelta(days=2)


@dataclass(frozen=True)
class Reply:
    """status and body of the answer given the first time."""

    status: int
    body: str


def once(workshop: Workshop, actor: Actor, *, key: str, request_sha256: str, work: Callable[[], Reply]) -> Reply:
    """Do a write once. Claim, work and answer are one transaction: what breaks off in between leaves no claim.

    A second request with the same key waits for the first and gets its answer.
    """
    if len(key) > KEY_MOST:
        raise Refused("invalid", say("idempotency-idempotency-key-longer-than-characters", key_most=KEY_MOST))
    # Of the one who asks: nobody gets the answer that was another's.
    own = hashlib.sha256(f"{actor.member_id} {key}".encode()).hexdigest()
    with workshop.together(actor) as scope:
        of_the_shop = IdempotentReply.shop_id == actor.shop_id
        scope.session.execute(
            delete(IdempotentReply).where(of_the_shop, IdempotentReply.created_at < server_now() - KEPT)
        )
        claim = insert(IdempotentReply).values(
            shop_id=actor.shop_id,
            key=own,
            request_sha256=request_sha256,
            status=0,
            body="",
            created_at=server_now(),
        )
        claimed = scope.session.execute(claim.on_conflict_do_nothing().returning(IdempotentReply.key)).first()
        row = scope.reply(own)
        if row is None:
            raise LookupError(f"The reply {own} is neither claimed nor there.")
        if claimed is None:
            if row.request_sha256 != request_sha256:
                raise Refused("invalid", say("idempotency-this-idempotency-key-was-used"))
            return Reply(row.status, row.body)
        reply = work()
        row.status, row.body = reply.status, reply.body
        return reply
