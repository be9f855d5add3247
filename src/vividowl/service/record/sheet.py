"""The record as it is set on paper."""

from __future__ import annotations

import uuid

from vividowl.formats.record_pdf import RecordSheet, make_pdf
from vividowl.formats.words import day
from vividowl.service.clock import day_of
from vividowl.service.record.record import Record
from vividowl.service.workshop import Workshop
from vividowl.store.bench import Photo
from vividowl.store.scope import Scope
from vividowl.words import sentence, spoken


def _photo(workshop: Workshop, scope: Scope, photo_id: uuid.UUID) -> bytes:
    photo = scope.get(Photo, photo_id)
    return workshop.files.photo(scope.shop_id, photo.sha256, "large").read_bytes()


def pdf_of(workshop: Workshop, scope: Scope, *, record: Record, link: str = "", anew: str = "") -> bytes:
    """The record as a PDF, in the language that its customer reads. link: where it is opened, drawn as a code; anew:
    said of one that was not kept at the hand-over."""
    with spoken(record.view.job.language):
        return _set(workshop, scope, record=record, link=link, anew=anew)


def _set(workshop: Workshop, scope: Scope, *, record: Record, link: str, anew: str) -> bytes:
    job, compared, bench = record.view.job, record.compared, record.bench
    pairs = ((bench.earlier_before_photo, bench.earlier_after_photo), (bench.before_photo, bench.after_photo))
    photos = tuple(_photo(workshop, scope, uuid.UUID(one)) for b, a in pairs if b and a for one in (b, a))
    sheet = RecordSheet(
        shop=record.shop.name,
        demo=record.shop.demo,
        number=job.number,
        customer=job.customer.name,
        device=f"{job.maker} {job.model}".strip(),
        symptom=job.symptom,
        day=day_of(record.shop, job.handed_over_at or job.updated_at),
        handed_over=job.handed_over_at is not None,
        comparison=compared.comparison if compared else None,
        ladders=(compared.before_ladder, compared.after_ladder) if compared else (None, None),
        culprit=compared.culprit if compared else None,
        exhaust=compared.exhaust.text if compared and compared.exhaust else "",
        notes=compared.notes if compared else (),
        lines=(record.lines.before, record.lines.after) if record.lines else None,
        glances=(record.view.glance_before, record.view.glance_after),
        lead=record.lead,
        done=record.done,
        fit_note=job.fit_note,
        bench=record.bench.lines,
        attempts=tuple((row.words, *row.cells) for row in record.attempts),
        gates=tuple(
            (sentence(g.reason), f"{g.words} ({g.acknowledged_by}, {day(day_of(record.shop, g.acknowledged_at))})")
            for g in record.view.gates
            if g.acknowledged_by and g.acknowledged_at
        ),
        price_cents=job.price_cents,
        currency=record.shop.currency,
        next_service_on=job.next_service_on,
        next_service_reason=record.proposal.reason if job.next_service_on == record.proposal.on else "",
        note=job.handover_note,
        plain=record.plain,
        after_care=record.after_care,
        warranty_until=record.warranty_until,
        photos=photos,
        promise=record.promise,
        link=link,
        anew=anew,
    )
    return make_pdf(sheet)
