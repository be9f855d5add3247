"""Verdict and record. Values as they are shown. No decisions here."""

from __future__ import annotations

from dataclasses import replace

from vividowl.core.quantities.words import say
from vividowl.core.verdict.assumptions import Assumption
from vividowl.core.verdict.conditions import ConditionFinding
from vividowl.core.verdict.headline import Phrase
from vividowl.service.jobs.intake import JobView
from vividowl.service.measure.comparing import Compared
from vividowl.service.record.record import Record
from vividowl.service.record.versions import Kept, VersionTold
from vividowl.web.jobs.schemas import FitItemOut, GlanceOut
from vividowl.web.measure.present import reading_out
from vividowl.web.record.schemas import (
    AgreedOut,
    AssumptionOut,
    ConditionOut,
    EffectOut,
    RecordJobOut,
    RecordOut,
    SensorOut,
    VerdictOut,
)
from vividowl.words import sentence, sentences, spoken


def _condition(condition: ConditionFinding) -> ConditionOut:
    return ConditionOut(
        condition=condition.condition,
        words=sentence(condition.words),
        before=sentence(condition.before) if condition.before else None,
        after=sentence(condition.after) if condition.after else None,
        bearing=condition.bearing.value,
        bearing_words=sentence(say(f"bearing-{condition.bearing.value}")),
        text=sentence(condition.text),
    )


def _assumption(found: Assumption) -> AssumptionOut:
    return AssumptionOut(
        name=found.name,
        words=sentence(say(f"assumption-{found.name}")),
        standing=found.standing.value,
        standing_words=sentence(say(f"standing-{found.standing.value}")),
        why=sentence(found.why),
        remedy=sentence(found.remedy),
        carries=found.carries,
    )


def verdict_out(compared: Compared) -> VerdictOut:
    """A verdict with all that is drawn beside it."""
    c = compared.comparison
    return VerdictOut(
        verdict=c.verdict.value,
        headline=sentence(c.headline),
        phrases=[Phrase(text=sentence(x.text), side=x.side) for x in c.phrases],
        assumes=[a.name for a in c.doubts],
        rests_on=[_assumption(a) for a in c.assumes],
        sensors=[SensorOut.model_validate(s) for s in c.sensors],
        hidden_gain_k=c.hidden_gain_k,
        showable_k=c.showable_k,
        reasons=list(sentences(c.reasons)),
        notes=list(sentences(compared.notes)),
        exhaust=sentence(compared.exhaust.text) if compared.exhaust else None,
        exhaust_explained=compared.exhaust.explained if compared.exhaust else None,
        effects=[EffectOut.model_validate(e) for e in c.effects],
        conditions=[_condition(x) for x in c.conditions],
        before_ladder=compared.before_ladder or None,
        after_ladder=compared.after_ladder or None,
        culprit=compared.culprit,
        before_reading=reading_out(compared.before_reading),
        after_reading=reading_out(compared.after_reading),
    )


def _job_out(view: JobView) -> RecordJobOut:
    job = view.job
    own = {n: getattr(job, n) for n in RecordJobOut.model_fields if hasattr(job, n)}
    return RecordJobOut(
        **own,
        serial=job.device.serial,
        customer_name=job.customer.name,
        customer_contact=job.customer.contact,
        stage=view.stage,
        gates=[AgreedOut.model_validate(g) for g in view.gates if g.acknowledged_by],
        glance_before=GlanceOut.model_validate(view.glance_before),
        glance_after=GlanceOut.model_validate(view.glance_after),
        verdict=view.verdict,
    )


def record_out(record: Record, version: VersionTold | None) -> RecordOut:
    """The customer's record, in the language that they read. version: None for a draft."""
    with spoken(record.view.job.language):
        return _record_out(record, version)


def _record_out(record: Record, version: VersionTold | None) -> RecordOut:
    return RecordOut(
        language=record.view.job.language,
        version=version or None,
        versions=[],
        job=_job_out(record.view),
        shop_name=record.shop.name,
        currency=record.shop.currency,
        lead=sentence(record.lead),
        done=list(sentences(record.done)),
        items=[FitItemOut.model_validate(i) for i in record.items],
        bench=list(sentences(record.bench.lines)),
        attempts=list(record.attempts),
        before_photo=record.bench.before_photo,
        after_photo=record.bench.after_photo,
        earlier_before_photo=record.bench.earlier_before_photo,
        earlier_after_photo=record.bench.earlier_after_photo,
        verdict=verdict_out(record.compared) if record.compared else None,
        planned_cents=record.planned_cents,
        proposed_service_on=record.proposal.on,
        proposed_service_reason=sentence(record.proposal.reason),
        held_again_on=record.proposal.by_drift,
        plain=record.plain,
        after_care=list(sentences(record.after_care)),
        warranty_until=record.warranty_until,
        heat_cycles=record.heat_cycles,
        promise=sentence(record.promise),
        chart=record.lines or None,
    )


def record_json(record: Record, version: VersionTold | None) -> bytes:
    """A record as it leaves the house. Which other versions there are is none of its own."""
    return record_out(record, version).model_dump_json(indent=1, exclude={"versions"}).encode()


def kept_out(kept: Kept) -> RecordOut:
    """A record as it stands, with the versions that there are."""
    stands = kept.stands
    out = RecordOut.model_validate_json(stands) if isinstance(stands, bytes) else record_out(stands, None)
    versions, own = list(kept.versions), out.version
    if own is not None:
        at = next(i for i, v in enumerate(versions) if v.number == own.number)
        # An older program wrote some anew and did not say so.
        anew = own.anew or versions[at].anew
        versions[at], own = replace(versions[at], anew=anew), replace(own, anew=anew)
    return out.model_copy(update={"versions": versions, "version": own})
