"""The sheet of a job at the counter: what came along, what was agreed, and that it was signed for."""

from __future__ import annotations

import uuid
from collections.abc import Callable, Mapping, Sequence
from dataclasses import dataclass
from typing import Any

from vividowl.core.job.evidence import (
    MARKS_MOST,
    ConditionPlace,
    Passcode,
    check_signature,
    consent_words,
    pick_up_words,
)
from vividowl.core.quantities.words import Words, say
from vividowl.formats.words import money
from vividowl.service.bench.photos import require_photo
from vividowl.service.clock import server_now
from vividowl.service.errors import Refused
from vividowl.service.record.versions import versions_of
from vividowl.service.workshop import Actor, Workshop, check_version
from vividowl.store.bench import Photo
from vividowl.store.counter import ConditionPhoto, CounterSheet, Quote
from vividowl.store.models import Job, Shop
from vividowl.store.scope import NotFound, Scope
from vividowl.words import sentences, spoken

PHOTOS_MOST = 30
CONSENT, PICK_UP = "consent", "picked_up"


@dataclass(frozen=True, kw_only=True)
class CounterView:
    """The sheet with all that is told beside it. consent_words, pick_up_words: what would be signed now, in the
    customer's language; conditions and quotes in their order."""

    job: Job
    shop: Shop
    sheet: CounterSheet
    conditions: Sequence[ConditionPhoto]
    consent_words: tuple[str, ...]
    pick_up_words: tuple[str, ...]
    quotes: Sequence[Quote]


def sheet_of(scope: Scope, job: Job, *, lock: bool = False) -> CounterSheet:
    """The sheet of a job, made when it is first looked at."""
    query = scope.select(CounterSheet).where(CounterSheet.job_id == job.id)
    found = scope.session.scalars(query.with_for_update() if lock else query).first()
    if found is None:
        scope.get(Job, job.id, lock=True)  # two that look at once make one
        found = scope.session.scalars(query).first() or scope.add(CounterSheet(job_id=job.id))
    return found


def view_of(scope: Scope, job: Job) -> CounterView:
    """The sheet of a job and what is told beside it."""
    sheet = sheet_of(scope, job)
    query = scope.select(ConditionPhoto).where(ConditionPhoto.job_id == job.id, ConditionPhoto.removed_at.is_(None))
    conditions = scope.session.scalars(query.order_by(ConditionPhoto.created_at)).all()
    quotes = scope.session.scalars(scope.select(Quote).where(Quote.job_id == job.id).order_by(Quote.number.desc()))
    with spoken(job.language):
        consent = tuple(sentences(_consent(scope, job, sheet, len(conditions))))
        pick_up = tuple(sentences(_pick_up(scope, job, sheet)))
    return CounterView(
        job=job,
        shop=scope.shop(),
        sheet=sheet,
        conditions=conditions,
        consent_words=consent,
        pick_up_words=pick_up,
        quotes=quotes.all(),
    )


def _device(job: Job) -> str:
    return f"{job.maker} {job.model}".strip()


def _consent(scope: Scope, job: Job, sheet: CounterSheet, marks: int) -> tuple[Words, ...]:
    shop = scope.shop()
    return consent_words(
        device=_device(job),
        serial=job.device.serial,
        shop=shop.name,
        accessories=sheet.accessories,
        limit=str(money(sheet.limit_cents, shop.currency)) if sheet.limit_cents is not None else None,
        limits=sheet.limits,
        passcode=sheet.passcode,
        backup=job.backup_done,
        warranty=job.warranty,
        marks=marks,
    )


def _pick_up(scope: Scope, job: Job, sheet: CounterSheet) -> tuple[Words, ...]:
    kept = versions_of(scope, job.id)
    return pick_up_words(
        device=_device(job),
        serial=job.device.serial,
        accessories=sheet.accessories,
        record=kept[0].number if kept and job.handed_over_at is not None else None,
        paid=str(money(job.price_cents, scope.shop().currency)) if job.price_cents is not None else None,
    )


def get_counter(workshop: Workshop, actor: Actor, job_id: uuid.UUID) -> CounterView:
    """The sheet of a job."""
    with workshop.scope(actor) as scope:
        return view_of(scope, scope.get(Job, job_id))


# How what is typed is kept.
KEPT_AS: Mapping[str, Callable[[Any], Any]] = {"accessories": str.strip, "limits": str.strip, "passcode": Passcode}


def save_counter(
    workshop: Workshop, actor: Actor, job_id: uuid.UUID, *, version: int, fields: Mapping[str, Any]
) -> CounterView:
    """Keep what came along and what was agreed; fields: what was changed."""
    with workshop.scope(actor) as scope:
        job = scope.get(Job, job_id)
        sheet = sheet_of(scope, job, lock=True)
        check_version(sheet.version, version, say("counter-sheet"))
        for name, value in fields.items():
            setattr(sheet, name, KEPT_AS.get(name, lambda given: given)(value))
        scope.session.flush()
        return view_of(scope, job)


def sign(
    workshop: Workshop,
    actor: Actor,
    job_id: uuid.UUID,
    *,
    version: int,
    what: str,
    name: str,
    words: Sequence[str],
    strokes: Sequence[Sequence[Sequence[float]]],
) -> CounterView:
    """Keep a signature with the very words that it stands under. what: consent, or picked_up; words: as they were
    shown, refused where something changed since: nobody signs what they have not read."""
    check_signature(name, strokes)
    with workshop.scope(actor) as scope:
        job = scope.get(Job, job_id)
        sheet = sheet_of(scope, job, lock=True)
        check_version(sheet.version, version, say("counter-sheet"))
        if getattr(sheet, what) is not None:
            raise Refused("conflict", say("counter-signed-already"), reason="signed")
        if what == PICK_UP and job.handed_over_at is None:
            raise Refused("conflict", say("counter-not-handed-over"), reason="not_yet")
        view = view_of(scope, job)
        now = list(view.consent_words if what == CONSENT else view.pick_up_words)
        if list(words) != now:
            raise Refused("conflict", say("counter-words-changed"), reason="stale")
        signed = {
            "words": now,
            "language": job.language,
            "name": name.strip(),
            "at": server_now().isoformat(),
            "by": actor.name,
            "strokes": [[[round(v, 4) for v in point] for point in stroke] for stroke in strokes],
        }
        setattr(sheet, what, signed)
        scope.session.flush()
        return view_of(scope, job)


def add_condition(
    workshop: Workshop, actor: Actor, job_id: uuid.UUID, *, photo_id: uuid.UUID, place: str
) -> CounterView:
    """Keep a photo of the condition; the photo itself was sent before."""
    with workshop.scope(actor) as scope:
        job = scope.get(Job, job_id, lock=True)
        require_photo(scope, str(photo_id))
        if scope.get(Photo, photo_id).job_id != job.id:
            raise NotFound("photo")
        view = view_of(scope, job)
        if len(view.conditions) >= PHOTOS_MOST:
            raise Refused("conflict", say("counter-enough-photos", most=PHOTOS_MOST))
        if scope.one(ConditionPhoto, ConditionPhoto.job_id == job.id, ConditionPhoto.photo_id == photo_id) is None:
            scope.add(ConditionPhoto(job_id=job.id, photo_id=photo_id, place=ConditionPlace(place)))
        return view_of(scope, job)


def change_condition(
    workshop: Workshop, actor: Actor, job_id: uuid.UUID, *, condition_id: uuid.UUID, fields: Mapping[str, Any]
) -> CounterView:
    """Change place, marks and note of a photo, or take it off and put it back."""
    if len(fields["marks"]) > MARKS_MOST:
        raise Refused("invalid", say("counter-enough-marks", most=MARKS_MOST), field="marks")
    with workshop.scope(actor) as scope:
        job = scope.get(Job, job_id)
        row = scope.get(ConditionPhoto, condition_id, lock=True)
        if row.job_id != job.id:
            raise NotFound("condition_photo")
        row.place, row.note = ConditionPlace(fields["place"]), fields["note"].strip()
        row.marks = [{"x": m["x"], "y": m["y"], "words": m["words"].strip()} for m in fields["marks"]]
        row.removed_at = (row.removed_at or server_now()) if fields["removed"] else None
        scope.session.flush()
        return view_of(scope, job)
