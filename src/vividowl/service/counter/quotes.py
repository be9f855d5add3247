"""Quotes: options of the plan in the customer's words and with their prices, answered by a link."""

from __future__ import annotations

import uuid
from collections.abc import Mapping, Sequence
from dataclasses import dataclass
from datetime import timedelta
from typing import Any

from vividowl.core.quantities.errors import require_range
from vividowl.core.quantities.words import Words, listed, say
from vividowl.service.clock import server_now, today_of
from vividowl.service.counter.sheet import CounterView, view_of
from vividowl.service.errors import Refused
from vividowl.service.plan.choices import plan_view
from vividowl.service.plan.views import OptionView
from vividowl.service.workshop import Actor, Workshop, open_job
from vividowl.store.counter import Quote, quote_of
from vividowl.store.models import Job, Shop
from vividowl.store.scope import NotFound, Scope
from vividowl.words import sentence, spoken

NONE_OF_THEM = ""
DAYS_MOST = 365


@dataclass(frozen=True)
class Offered:
    """A quote as whoever holds its link sees it."""

    quote: Quote
    job: Job
    shop: Shop


def make_quote(
    workshop: Workshop, actor: Actor, job_id: uuid.UUID, *, keys: Sequence[str], days: int, words: str
) -> CounterView:
    """Offer options of the plan. keys: which, in the order of the offer; days: how long it is good; words: what the
    shop adds. The one before is withdrawn."""
    require_range("good_days", days, "", (1, DAYS_MOST))
    with workshop.scope(actor) as scope:
        job = open_job(scope, job_id)
        found = {option.key: option for option in plan_view(workshop, scope, job).options}
        chosen = [found[key] for key in dict.fromkeys(keys) if key in found]
        if not chosen or len(chosen) < len(set(keys)):
            raise Refused(
                "missing", say("planning-this-option-not-there-any"), field="keys", remedy=say("quotes-choose-again")
            )
        stopped = next((o for o in chosen if o.blocked), None)
        if stopped is not None:
            raise Refused("conflict", say("quotes-blocked", words=stopped.words), field="keys", reason="stopped")
        earlier = scope.session.scalars(scope.select(Quote).where(Quote.job_id == job.id)).all()
        for quote in earlier:
            quote.withdrawn_at = quote.withdrawn_at or server_now()
        with spoken(job.language):
            content = {"options": [_told(o) for o in chosen], "words": words.strip(), "language": job.language}
        scope.add(
            Quote(
                job_id=job.id,
                number=len(earlier) + 1,
                made_at=server_now(),
                made_by=actor.member_id,
                good_until=today_of(scope.shop()) + timedelta(days=days),
                content=content,
            )
        )
        return view_of(scope, job)


def _told(option: OptionView) -> dict[str, Any]:
    """An option as it is offered: in words that need no knowledge, and with its price."""
    minutes = option.hands_min + option.wait_min
    return {
        "key": option.key,
        "title": sentence(listed(_done(option), "and")),
        "expected": sentence(_expected(option)),
        "takes": sentence(say("quote-takes", minutes=minutes)) if minutes >= 1 else "",
        "price_cents": option.price.total_cents,
    }


def _done(option: OptionView) -> list[Words]:
    if not option.actions:
        return [say("quote-do-leave")]
    kind = say(f"kind-{option.kind}") if option.kind else None
    return [say(f"quote-do-{action}", kind=kind) for action in option.actions]


def _expected(option: OptionView) -> Words:
    """What is to be expected, as the interval that it is."""
    gain = option.prediction.gain_k
    if not option.actions or gain.high <= 0:
        return ""
    return say("quote-expected", low=max(0.0, gain.low), high=gain.high)


def withdraw_quote(workshop: Workshop, actor: Actor, job_id: uuid.UUID, quote_id: uuid.UUID) -> CounterView:
    """Withdraw a quote: it can be accepted no more."""
    with workshop.scope(actor) as scope:
        job = scope.get(Job, job_id)
        quote = scope.get(Quote, quote_id, lock=True)
        if quote.job_id != job.id:
            raise NotFound("quote")
        quote.withdrawn_at = quote.withdrawn_at or server_now()
        scope.session.flush()
        return view_of(scope, job)


def state_of(quote: Quote, shop: Shop) -> str:
    """How a quote stands: open, accepted, declined, withdrawn or over."""
    if quote.answered_at is not None:
        return "accepted" if quote.answer else "declined"
    if quote.withdrawn_at is not None:
        return "withdrawn"
    return "over" if quote.good_until < today_of(shop) else "open"


def offered(workshop: Workshop, quote_id: uuid.UUID) -> Offered:
    """A quote, to whoever holds its link."""
    with workshop.database.session() as session:
        return _offered(quote_of(session, quote_id, lock=False), session)


def _offered(quote: Quote | None, session: Any) -> Offered:  # noqa: ANN401 - a session
    if quote is None:
        raise Refused("missing", say("links-unknown"), reason="unknown")
    scope = Scope(session, quote.shop_id)
    return Offered(quote, scope.get(Job, quote.job_id), scope.shop())


def answer_quote(workshop: Workshop, quote_id: uuid.UUID, key: str, words: str) -> Offered:
    """Accept an option of a quote, or decline all of them. What was answered once stands."""
    with workshop.database.session() as session:
        found = _offered(quote_of(session, quote_id, lock=True), session)
        quote = found.quote
        _require_open(quote, found.shop)
        if key != NONE_OF_THEM and key not in _keys(quote.content):
            raise Refused("missing", say("quotes-no-such-option"), field="key", reason="option")
        quote.answer, quote.answered_at, quote.words = key, server_now(), words.strip()
        session.flush()
        return found


def _keys(content: Mapping[str, Any]) -> set[str]:
    return {option["key"] for option in content["options"]}


def _require_open(quote: Quote, shop: Shop) -> None:
    ask = say("links-ask-shop")
    if quote.answered_at is not None:
        raise Refused("conflict", say("quotes-answered"), reason="answered", remedy=ask)
    if quote.withdrawn_at is not None:
        raise Refused("gone", say("quotes-withdrawn"), reason="withdrawn", remedy=ask)
    if quote.good_until < today_of(shop):
        raise Refused("gone", say("quotes-over"), reason="over", remedy=ask)
