"""The counter of a job, and quotes as customers answer them."""

from __future__ import annotations

import uuid
from typing import Any

from flask import Response, request

from vividowl.service.counter import papers, quotes, sheet
from vividowl.service.counter.quotes import Offered
from vividowl.service.counter.sheet import CONSENT, PICK_UP, CounterView
from vividowl.service.errors import Refused
from vividowl.web.access import access, actor, workshop
from vividowl.web.blueprint import blueprint
from vividowl.web.codes import drawing
from vividowl.web.counter.schemas import (
    AnswerIn,
    ConditionChangeIn,
    ConditionIn,
    ConditionPhotoOut,
    CounterIn,
    CounterOut,
    OfferedOut,
    OfferOut,
    QuoteIn,
    QuoteOut,
    SignatureIn,
    plain,
)
from vividowl.web.idempotency import idempotent
from vividowl.web.jobs.routes import JobPath
from vividowl.web.record.links import GUESSES, TokenPath, address_of, link_id_of, token_of, was_given
from vividowl.web.session.routes import limiter

PDF: Any = {200: {"content": {"application/pdf": {}}}}
api = blueprint("counter", __name__, url_prefix="/api")


class ConditionPath(JobPath):
    condition_id: uuid.UUID


class QuotePath(JobPath):
    quote_id: uuid.UUID


def _quote(quote: Any, shop: Any) -> QuoteOut:  # noqa: ANN401 - rows
    address, _ = address_of(token_of(quote.id), "q")
    return QuoteOut(
        id=quote.id,
        number=quote.number,
        made_at=quote.made_at,
        good_until=quote.good_until,
        options=[OfferOut.model_validate(o) for o in quote.content["options"]],
        words=quote.content["words"],
        state=quotes.state_of(quote, shop),
        answer=quote.answer,
        answer_words=quote.words,
        answered_at=quote.answered_at,
        address=address,
        drawing=drawing(address),
    )


def _out(view: CounterView) -> CounterOut:
    kept = view.sheet
    return CounterOut(
        version=kept.version,
        accessories=kept.accessories,
        passcode=kept.passcode,
        limit_cents=kept.limit_cents,
        limits=kept.limits,
        pick_up_at=kept.pick_up_at,
        conditions=[ConditionPhotoOut.model_validate(c) for c in view.conditions],
        consent_words=list(view.consent_words),
        consent=plain(kept.consent),
        pick_up_words=list(view.pick_up_words),
        picked_up=plain(kept.picked_up),
        quotes=[_quote(q, view.shop) for q in view.quotes],
    )


@api.get("/jobs/<uuid:job_id>/counter", responses={200: CounterOut}, operation_id="getCounter")
@access("member")
def get_counter(path: JobPath) -> CounterOut:
    """What was settled at the counter."""
    return _out(sheet.get_counter(workshop(), actor(), path.job_id))


@api.put("/jobs/<uuid:job_id>/counter", responses={200: CounterOut}, operation_id="saveCounter")
@access("member")
def save_counter(path: JobPath, body: CounterIn) -> CounterOut:
    """Keep what came along and what was agreed: what is left out stays as it is."""
    fields = body.model_dump(exclude={"version"}, exclude_unset=True)
    return _out(sheet.save_counter(workshop(), actor(), path.job_id, version=body.version, fields=fields))


@api.post("/jobs/<uuid:job_id>/counter/signatures", responses={201: CounterOut}, operation_id="signCounter")
@access("member")
@idempotent
def sign(path: JobPath, body: SignatureIn) -> tuple[CounterOut, int]:
    """Keep a signature with the words that it stands under."""
    view = sheet.sign(
        workshop(),
        actor(),
        path.job_id,
        version=body.version,
        what=body.what,
        name=body.name,
        words=body.words,
        strokes=body.strokes,
    )
    return _out(view), 201


@api.post("/jobs/<uuid:job_id>/counter/conditions", responses={201: CounterOut}, operation_id="addCondition")
@access("member")
@idempotent
def add_condition(path: JobPath, body: ConditionIn) -> tuple[CounterOut, int]:
    """Keep a photo of the condition; the photo was sent before."""
    return _out(sheet.add_condition(workshop(), actor(), path.job_id, photo_id=body.photo_id, place=body.place)), 201


@api.put(
    "/jobs/<uuid:job_id>/counter/conditions/<uuid:condition_id>",
    responses={200: CounterOut},
    operation_id="changeCondition",
)
@access("member")
def change_condition(path: ConditionPath, body: ConditionChangeIn) -> CounterOut:
    """Change place, marks and note of a photo, or take it off."""
    return _out(
        sheet.change_condition(
            workshop(), actor(), path.job_id, condition_id=path.condition_id, fields=body.model_dump()
        )
    )


def _paper(job_id: uuid.UUID, what: str) -> Response:
    address = f"{request.host_url.rstrip('/')}/jobs/{job_id}"
    data, name = papers.paper(workshop(), actor(), job_id, what=what, address=address)
    return Response(data, mimetype="application/pdf", headers={"Content-Disposition": f'inline; filename="{name}"'})


@api.get(
    "/jobs/<uuid:job_id>/ticket.pdf", operation_id="getTicket", responses={200: {"content": {"application/pdf": {}}}}
)
@access("member")
def ticket(path: JobPath) -> Response:
    """The ticket that the customer gets at intake."""
    return _paper(path.job_id, CONSENT)


@api.get("/jobs/<uuid:job_id>/pick-up.pdf", operation_id="getPickUp", responses=PDF)
@access("member")
def pick_up(path: JobPath) -> Response:
    """The sheet that is signed when the device goes back."""
    return _paper(path.job_id, PICK_UP)


@api.post("/jobs/<uuid:job_id>/quotes", responses={201: CounterOut}, operation_id="makeQuote")
@access("member")
@idempotent
def make_quote(path: JobPath, body: QuoteIn) -> tuple[CounterOut, int]:
    """Offer options of the plan; the quote before is withdrawn."""
    return _out(
        quotes.make_quote(workshop(), actor(), path.job_id, keys=body.keys, days=body.days, words=body.words)
    ), 201


@api.delete("/jobs/<uuid:job_id>/quotes/<uuid:quote_id>", responses={200: CounterOut}, operation_id="withdrawQuote")
@access("member")
def withdraw_quote(path: QuotePath) -> CounterOut:
    """Withdraw a quote."""
    return _out(quotes.withdraw_quote(workshop(), actor(), path.job_id, path.quote_id))


def _offered(found: Offered) -> OfferedOut:
    quote, job = found.quote, found.job
    return OfferedOut(
        shop_name=found.shop.name,
        number=job.number,
        device=f"{job.maker} {job.model}".strip(),
        customer_name=job.customer.name,
        currency=found.shop.currency,
        language=quote.content["language"],
        good_until=quote.good_until,
        options=[OfferOut.model_validate(o) for o in quote.content["options"]],
        words=quote.content["words"],
        state=quotes.state_of(quote, found.shop),
        answer=quote.answer,
        answered_at=quote.answered_at,
    )


@api.get("/quotes/<token>", responses={200: OfferedOut}, operation_id="openQuote")
@access("customer")
@limiter.limit(GUESSES, exempt_when=was_given)
def open_quote(path: TokenPath) -> OfferedOut:
    """A quote, to whoever holds its link."""
    return _offered(quotes.offered(workshop(), link_id_of(path.token)))


@api.post("/quotes/<token>/answer", responses={200: OfferedOut}, operation_id="answerQuote")
@access("customer")
@limiter.limit(GUESSES, exempt_when=was_given)
def answer_quote(path: TokenPath, body: AnswerIn) -> OfferedOut:
    """Accept an option, or decline all of them."""
    return _offered(quotes.answer_quote(workshop(), link_id_of(path.token), body.key, body.words))


def language_of(token: str) -> str | None:
    """The language that a quote is written in; None where its link leads nowhere."""
    try:
        return str(quotes.offered(workshop(), link_id_of(token)).quote.content["language"])
    except Refused:
        return None
