"""Answers to writes, kept so that a retry gets the same one and never doubles."""

from __future__ import annotations

from dataclasses import dataclass

from sqlalchemy import delete
from sqlalchemy.exc import IntegrityError

from vividowl.core.quantities.words import say
from vividowl.service.errors import Refused
from vividowl.service.workshop import Actor, Workshop
from vividowl.store.models import IdempotentReply

KEY_MOST = 80
_WORKING = 0


@dataclass(frozen=True)
class Reply:
    """status and body of the answer given the first time."""

    status: int
    body: str


def claim(workshop: Workshop, actor: Actor, key: str, request_sha256: str) -> Reply | None:
    """Claim a key for a write that begins now. Returns the answer when the write was done already."""
    if len(key) > KEY_MOST:
        raise Refused(
            "invalid",
            say("idempotency-idempotency-key-longer-than-characters", key_most=KEY_MOST),
            remedy=say("idempotency-use-uuid"),
        )
    try:
        with workshop.scope(actor) as scope:
            scope.add(IdempotentReply(key=key, request_sha256=request_sha256, status=_WORKING, body=""))
        return None
    except IntegrityError:
        pass
    with workshop.scope(actor) as scope:
        row = scope.reply(key)
        if row is None or row.status == _WORKING:
            raise Refused(
                "conflict",
                say("idempotency-same-write-still-being-worked"),
                remedy=say("idempotency-wait-second-and-reload"),
                reason="in_progress",
            )
        if row.request_sha256 != request_sha256:
            raise Refused(
                "invalid", say("idempotency-this-idempotency-key-was-used"), remedy=say("idempotency-use-new-key")
            )
        return Reply(row.status, row.body)


def finish(workshop: Workshop, actor: Actor, key: str, reply: Reply) -> None:
    """Keep the answer to a claimed write."""
    with workshop.scope(actor) as scope:
        row = scope.reply(key)
        if row is not None:
            row.status, row.body = reply.status, reply.body


def drop(workshop: Workshop, actor: Actor, key: str) -> None:
    """Let go of a claim whose write was refused, so that a corrected retry goes through."""
    with workshop.scope(actor) as scope:
        scope.session.execute(
            delete(IdempotentReply).where(IdempotentReply.shop_id == actor.shop_id, IdempotentReply.key == key)
        )
