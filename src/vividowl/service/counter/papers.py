"""Ticket and pick-up sheet of a job, in the language that its customer reads."""

from __future__ import annotations

import uuid
from datetime import datetime

from vividowl.core.quantities.words import Words, say
from vividowl.formats.counter_pdf import ConditionShown, CounterPaper, make_counter_pdf
from vividowl.formats.photo import marked_photo
from vividowl.service.clock import day_of, done_day
from vividowl.service.counter.sheet import CONSENT, CounterView, view_of
from vividowl.service.workshop import Actor, Workshop
from vividowl.store.bench import Photo
from vividowl.store.counter import ConditionPhoto
from vividowl.store.models import Job
from vividowl.store.scope import Scope
from vividowl.words import spoken


def paper(workshop: Workshop, actor: Actor, job_id: uuid.UUID, *, what: str, address: str) -> tuple[bytes, str]:
    """The ticket (consent) or the pick-up sheet (picked_up) as a PDF, and a name for it. address: opens the job."""
    with workshop.scope(actor) as scope:
        job = scope.get(Job, job_id)
        view = view_of(scope, job)
        with spoken(job.language):
            made = make_counter_pdf(_paper(workshop, scope, view=view, what=what, address=address))
        return made, f"{'ticket' if what == CONSENT else 'pick-up'}-{job.number}.pdf"


def _paper(workshop: Workshop, scope: Scope, *, view: CounterView, what: str, address: str) -> CounterPaper:
    job, sheet, ticket = view.job, view.sheet, what == CONSENT
    signed = sheet.consent if ticket else sheet.picked_up
    facts: list[tuple[Words, Words]] = [
        (say("ticket-device"), f"{job.maker} {job.model}".strip()),
        (say("ticket-customer"), job.customer.name),
    ]
    if job.device.serial:
        facts.append((say("ticket-serial"), job.device.serial))
    if ticket and job.symptom:
        facts.append((say("ticket-symptom"), job.symptom))
    if ticket and sheet.pick_up_at is not None:
        at = sheet.pick_up_at.astimezone(view.shop.zone)
        facts.append((say("ticket-ready"), say("ticket-ready-at", day=at.date(), clock=at)))
    now = view.consent_words if ticket else view.pick_up_words
    return CounterPaper(
        title=say("ticket-title", number=job.number) if ticket else say("ticket-pick-up", number=job.number),
        shop=view.shop.name,
        day=say("ticket-came-in", day=done_day(view.shop, job)),
        facts=tuple(facts),
        conditions=tuple(_shown(workshop, scope, c) for c in view.conditions) if ticket else (),
        words_title=say("ticket-agreed") if ticket else say("ticket-handed-back"),
        words=tuple(signed["words"]) if signed else now,
        address=address,
        strokes=signed["strokes"] if signed else (),
        signed=say("ticket-signed", name=signed["name"], day=day_of(view.shop, datetime.fromisoformat(signed["at"])))
        if signed
        else "",
    )


def _shown(workshop: Workshop, scope: Scope, condition: ConditionPhoto) -> ConditionShown:
    photo = scope.get(Photo, condition.photo_id)
    marked = [say("ticket-mark", number=n, words=m["words"]) for n, m in enumerate(condition.marks, 1) if m["words"]]
    whole = workshop.files.photo(scope.shop_id, photo.sha256, "large").read_bytes()
    return ConditionShown(
        say("cap", words=say(f"place-{condition.place.value}")),
        (*([condition.note] if condition.note else []), *marked),
        marked_photo(whole, [(m["x"], m["y"]) for m in condition.marks]),
    )
