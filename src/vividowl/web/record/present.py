"""Verdict and record. Values as they are shown. No decisions here."""

from __future__ import annotations

from vividowl.core.verdict.plain import Plain
from vividowl.service.jobs.handover import Record
from vividowl.service.measure.comparing import Compared
from vividowl.web.attempts.present import rows_out
from vividowl.web.jobs.present import job_out
from vividowl.web.jobs.schemas import FitItemOut
from vividowl.web.measure.present import reading_out
from vividowl.web.measure.schemas import LadderOut
from vividowl.web.record.schemas import ConditionOut, EffectOut, PhraseOut, PlainOut, RecordOut, VerdictOut
from vividowl.words import sentence, sentences


def verdict_out(compared: Compared) -> VerdictOut:
    """A verdict with all that is drawn beside it."""
    c = compared.comparison
    return VerdictOut(
        verdict=c.verdict.value,
        headline=sentence(c.headline),
        phrases=[PhraseOut(text=sentence(x.text), side=x.side) for x in c.phrases],
        assumes=list(c.assumes),
        hidden_gain_k=c.hidden_gain_k,
        showable_k=c.showable_k,
        reasons=list(sentences(c.reasons)),
        notes=list(sentences(compared.notes)),
        exhaust=sentence(compared.exhaust.text) if compared.exhaust else None,
        exhaust_explained=compared.exhaust.explained if compared.exhaust else None,
        effects=[EffectOut.model_validate(e) for e in c.effects],
        conditions=[ConditionOut.model_validate(x) for x in c.conditions],
        before_ladder=LadderOut.model_validate(compared.before_ladder) if compared.before_ladder else None,
        after_ladder=LadderOut.model_validate(compared.after_ladder) if compared.after_ladder else None,
        culprit=compared.culprit,
        before_reading=reading_out(compared.before_reading),
        after_reading=reading_out(compared.after_reading),
    )


def plain_out(plain: Plain) -> PlainOut:
    """A comparison in the customer's words."""
    return PlainOut(before=sentence(plain.before), now=sentence(plain.now), means=list(sentences(plain.means)))


def record_out(record: Record) -> RecordOut:
    """The customer's record."""
    return RecordOut(
        job=job_out(record.view),
        shop_name=record.shop.name,
        currency=record.shop.currency,
        items=[FitItemOut.model_validate(i) for i in record.items],
        bench=list(sentences(record.bench.lines)),
        attempts=rows_out(record.attempts),
        before_photo=record.bench.before_photo,
        after_photo=record.bench.after_photo,
        verdict=verdict_out(record.compared) if record.compared else None,
        planned_cents=record.planned_cents,
        proposed_service_on=record.proposal.on,
        proposed_service_reason=sentence(record.proposal.reason),
        held_again_on=record.proposal.by_drift,
        plain=plain_out(record.plain) if record.plain else None,
        after_care=list(sentences(record.after_care)),
        warranty_until=record.warranty_until,
        promise=sentence(record.promise),
    )
