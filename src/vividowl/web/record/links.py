"""Links of customers: made and withdrawn by the shop, opened by whoever holds one."""

from __future__ import annotations

import uuid
from base64 import urlsafe_b64decode, urlsafe_b64encode
from datetime import datetime
from typing import Annotated, Any, Literal

from flask import Response, current_app, request
from itsdangerous import BadSignature, Signer
from pydantic import BaseModel, StringConstraints

from vividowl.core.quantities.words import say
from vividowl.service.errors import Refused
from vividowl.service.record import dates, links, opening
from vividowl.service.shop.settings import customer_address
from vividowl.web.access import access, actor, workshop
from vividowl.web.blueprint import blueprint
from vividowl.web.codes import drawing
from vividowl.web.fields import Out
from vividowl.web.idempotency import idempotent
from vividowl.web.jobs.routes import JobPath
from vividowl.web.record.schemas import RecordOut
from vividowl.web.session.routes import limiter

api = blueprint("links", __name__, url_prefix="/api")
_SALT = "link of a customer"
# Who opens what does not exist is guessing; an open link may be looked at as often as one likes.
GUESSES = "20 per hour"


class LinkOut(Out):
    """A link. drawing: a code to scan, SVG as a data address; outside: whether it opens outside the shop's network."""

    id: uuid.UUID
    address: str
    drawing: str
    outside: bool
    made_at: datetime
    expires_at: datetime
    withdrawn_at: datetime | None
    views: int


class LinksOut(Out):
    links: list[LinkOut]


class LinkPath(BaseModel):
    link_id: uuid.UUID


class TokenPath(BaseModel):
    token: Annotated[str, StringConstraints(max_length=120, pattern=r"^[A-Za-z0-9_.-]+$")]


class FilePath(TokenPath):
    what: Literal["pdf", "zip"]


class PhotoPath(TokenPath):
    which: Literal["before", "after", "earlier_before", "earlier_after"]


class OpenedOut(Out):
    """What a link shows."""

    record: RecordOut
    expires_at: datetime


def _signer() -> Signer:
    return Signer(current_app.config["SECRET_KEY"], salt=_SALT)


def token_of(link_id: uuid.UUID) -> str:
    """What an address names a link by: its id, signed, so that none can be made up."""
    return _signer().sign(urlsafe_b64encode(link_id.bytes).rstrip(b"=")).decode()


def link_id_of(token: str) -> uuid.UUID:
    """The id in a token; one that was made up leads nowhere, as one that was never given."""
    try:
        packed = _signer().unsign(token.encode())
        return uuid.UUID(bytes=urlsafe_b64decode(packed + b"=" * (-len(packed) % 4)))
    except (BadSignature, ValueError) as error:
        raise Refused("missing", say("links-unknown"), reason="unknown") from error


def language_of(token: str) -> str | None:
    """The language that whoever holds a link reads; None where it opens nothing."""
    try:
        return opening.open_link(workshop(), link_id_of(token), count=False).language
    except Refused:
        return None


def address_of(token: str, path: str) -> tuple[str, bool]:
    """Where a customer opens it, and whether that is reached from outside the shop's network."""
    outside = customer_address(workshop(), actor())
    if outside:
        return f"{outside}/{path}/{token}", True
    lan = current_app.config["LAN"]
    return f"{lan.address if lan is not None else request.host_url.rstrip('/')}/{path}/{token}", False


def record_address(link_id: uuid.UUID) -> str:
    """Where the record that a link leads to is opened."""
    return address_of(token_of(link_id), "r")[0]


def _out(link: Any) -> LinkOut:  # noqa: ANN401 - a row
    address, outside = address_of(token_of(link.id), "r")
    return LinkOut(
        id=link.id,
        address=address,
        drawing=drawing(address),
        outside=outside,
        made_at=link.made_at,
        expires_at=link.expires_at,
        withdrawn_at=link.withdrawn_at,
        views=link.views,
    )


@api.get("/jobs/<uuid:job_id>/links", responses={200: LinksOut}, operation_id="getLinks")
@access("member")
def get_links(path: JobPath) -> LinksOut:
    """Links to the record of a job, the latest first."""
    return LinksOut(links=[_out(link) for link in links.links(workshop(), actor(), path.job_id)])


@api.post("/jobs/<uuid:job_id>/links", responses={201: LinkOut}, operation_id="makeLink")
@access("member")
@idempotent
def make_link(path: JobPath) -> tuple[LinkOut, int]:
    """A link to the record of a job."""
    return _out(links.make_link(workshop(), actor(), path.job_id)), 201


@api.delete("/links/<uuid:link_id>", responses={200: LinkOut}, operation_id="withdrawLink")
@access("member")
def withdraw_link(path: LinkPath) -> LinkOut:
    """Withdraw a link."""
    return _out(links.withdraw_link(workshop(), actor(), path.link_id))


def was_given() -> bool:
    """Whether the address that is asked for was given to somebody once, as its signature shows: who holds a good one is
    never taken for one who guesses, whatever others behind the same address do."""
    try:
        link_id_of((request.view_args or {}).get("token", ""))
    except Refused:
        return False
    return True


@api.get("/open/<token>", responses={200: OpenedOut}, operation_id="openLink")
@access("customer")
@limiter.limit(GUESSES, exempt_when=was_given)
def open_link(path: TokenPath) -> OpenedOut:
    """The record that a link leads to. How to reach the customer is none of its business."""
    found = opening.open_link(workshop(), link_id_of(path.token), count=True)
    record = RecordOut.model_validate_json(found.record)
    told = record.model_copy(update={"job": record.job.model_copy(update={"customer_contact": ""})})
    return OpenedOut(record=told, expires_at=found.expires_at)


@api.get("/open/<token>/record.<what>", operation_id="openLinkedFile", responses={200: {"content": {}}})
@access("customer")
@limiter.limit(GUESSES, exempt_when=was_given)
def open_file(path: FilePath) -> Response:
    """The PDF or the data file that a link leads to."""
    data, name = opening.linked_file(workshop(), link_id_of(path.token), path.what)
    headers = {"Content-Disposition": f'attachment; filename="{name}"'}
    return Response(data, mimetype=f"application/{path.what}", headers=headers)


@api.get("/open/<token>/dates.ics", operation_id="openLinkedDates", responses={200: {"content": {}}})
@access("customer")
@limiter.limit(GUESSES, exempt_when=was_given)
def open_dates(path: TokenPath) -> Response:
    """Dates of the record that a link leads to, as a calendar file."""
    data, name = dates.linked_dates(workshop(), link_id_of(path.token))
    return Response(data, mimetype="text/calendar", headers={"Content-Disposition": f'attachment; filename="{name}"'})


@api.get("/open/<token>/photos/<which>", operation_id="openLinkedPhoto", responses={200: {"content": {}}})
@access("customer")
@limiter.limit(GUESSES, exempt_when=was_given)
def open_photo(path: PhotoPath) -> Response:
    """A photo of the record that a link leads to."""
    return Response(opening.linked_photo(workshop(), link_id_of(path.token), path.which), mimetype="image/jpeg")
