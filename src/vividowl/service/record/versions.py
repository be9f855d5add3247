"""Versions of a record: what was handed over stands; what is put right later is a new one beside it."""

from __future__ import annotations

import uuid
from collections.abc import Callable, Sequence
from dataclasses import dataclass
from datetime import datetime, timedelta
from importlib import metadata
from pathlib import Path

from cryptography.hazmat.primitives.asymmetric.ed25519 import Ed25519PrivateKey

from vividowl.core.quantities.words import say
from vividowl.formats.data_file import Seal, pem, seal, write_data_file
from vividowl.service.clock import day_of, server_now
from vividowl.service.errors import Refused
from vividowl.service.record.data_file import about, places, sources_of
from vividowl.service.record.keys import private_key, signing_key
from vividowl.service.record.links import live_link, new_link
from vividowl.service.record.record import Record, record_of
from vividowl.service.record.sheet import pdf_of
from vividowl.service.shop.habits import habits_of
from vividowl.service.workshop import Actor, Workshop
from vividowl.store.keys import ShopKey
from vividowl.store.models import Job
from vividowl.store.records import RecordVersion
from vividowl.store.scope import NotFound, Scope
from vividowl.words import sentence, spoken

# A hand-over keeps its record in the same breath.
AT_ONCE = timedelta(minutes=1)


@dataclass(frozen=True, kw_only=True)
class VersionTold:
    """Which version of a record it is, who made it, when and why; anew: said of one that was not kept at the hand-over,
    empty for all others."""

    number: int
    made_at: datetime
    made_by: str
    why: str
    anew: str = ""


@dataclass(frozen=True)
class Edge:
    """What only the interface knows of a record that leaves the house. write: how it is written as JSON, with its
    version, None for a draft; address: where a link is opened."""

    write: Callable[[Record, VersionTold | None], bytes]
    address: Callable[[uuid.UUID], str]


def told_of(scope: Scope, job: Job, row: RecordVersion) -> VersionTold:
    """What is told of a version."""
    return VersionTold(
        number=row.number,
        made_at=row.made_at,
        made_by=row.member.name,
        why=row.why,
        anew=_anew(scope, job, number=row.number, at=row.made_at, program=None),
    )


def _anew(scope: Scope, job: Job, *, number: int, at: datetime, program: str | None) -> str:
    """Said of the first version where it was written after the hand-over: by an older program nothing was kept, and the
    rules and words are those of the one that wrote it."""
    handed = job.handed_over_at
    if number > 1 or handed is None or at - handed < AT_ONCE:
        return ""
    days = {"day": day_of(scope.shop(), at), "handed": day_of(scope.shop(), handed)}
    with spoken(job.language):
        return sentence(say("record-written-anew", program=program, **days))


def versions_of(scope: Scope, job_id: uuid.UUID) -> Sequence[RecordVersion]:
    """Versions of a record, the latest first."""
    query = scope.select(RecordVersion).where(RecordVersion.job_id == job_id).order_by(RecordVersion.number.desc())
    return scope.session.scalars(query).all()


def require_why(why: str, kept: Sequence[RecordVersion]) -> None:
    """Refuse to change what was handed over without a reason."""
    if not why.strip():
        raise Refused(
            "invalid", say("versions-why-is-missing", number=kept[0].number if kept else 1), field="why", reason="why"
        )


def keep_version(workshop: Workshop, scope: Scope, actor: Actor, *, job: Job, why: str, edge: Edge) -> RecordVersion:
    """Keep the record of a job as it is now, signed, as its next version."""
    kept = versions_of(scope, job.id)
    number = kept[0].number + 1 if kept else 1
    if kept:
        require_why(why, kept)
    at = server_now()
    record = record_of(workshop, scope, job)
    anew = _anew(scope, job, number=number, at=at, program=metadata.version("vividowl"))
    text = edge.write(record, VersionTold(number=number, made_at=at, made_by=actor.name, why=why, anew=anew))
    link = live_link(scope, job.id)
    if link is None and habits_of(scope.shop()).customer_address:
        link = new_link(scope, actor, job)
    pdf = pdf_of(workshop, scope, record=record, link=edge.address(link.id) if link is not None else "", anew=anew)
    sources = sources_of(workshop, scope, job)
    key = signing_key(scope)
    sealed = seal(
        {"record.json": text, "record.pdf": pdf, **places(workshop, scope.shop_id, sources)},
        about(scope, job, number),
        at,
        private_key(key),
    )
    return scope.add(
        RecordVersion(
            job_id=job.id,
            number=number,
            why=why,
            made_at=at,
            made_by=actor.member_id,
            record=text,
            pdf=pdf,
            manifest=sealed.manifest,
            signature=sealed.signature,
            key_id=key.id,
            sources=sources,
        )
    )


def version_row(scope: Scope, job: Job, number: int | None) -> RecordVersion | None:
    """A version of a record: the one asked for; else the latest of a job that is handed over, None for a draft."""
    kept = versions_of(scope, job.id)
    if number is None:
        return kept[0] if kept and job.handed_over_at is not None else None
    found = next((row for row in kept if row.number == number), None)
    if found is None:
        raise NotFound("record_version")
    return found


@dataclass(frozen=True)
class Kept:
    """A record as it stands: a version as it was written, or the draft of a job that has none or is open again; and the
    versions that there are, the latest first."""

    stands: bytes | Record
    versions: tuple[VersionTold, ...]


def kept_of(workshop: Workshop, scope: Scope, job: Job, number: int | None = None) -> Kept:
    """The record of a job: the version asked for, else the latest, else as the job is now."""
    row = version_row(scope, job, number)
    told = tuple(told_of(scope, job, v) for v in versions_of(scope, job.id))
    return Kept(row.record if row is not None else record_of(workshop, scope, job), told)


def _closed(workshop: Workshop, scope: Scope, actor: Actor, *, job_id: uuid.UUID, edge: Edge) -> Job:
    """The job. One that was handed over before versions were kept gets its first when it is next asked for. One that
    comes from a list was not handed over here, and one of a customer who was erased is no one's: they get none."""
    job = scope.get(Job, job_id)
    ours = job.import_id is None and job.customer.erased_at is None
    if ours and job.handed_over_at is not None and not versions_of(scope, job.id):
        job = scope.get(Job, job_id, lock=True)  # two that ask at once make one
        if not versions_of(scope, job.id):
            keep_version(workshop, scope, actor, job=job, why="", edge=edge)
    return job


def get_record(workshop: Workshop, actor: Actor, job_id: uuid.UUID, *, edge: Edge, number: int | None = None) -> Kept:
    """The same, by the id of the job."""
    with workshop.scope(actor) as scope:
        return kept_of(workshop, scope, _closed(workshop, scope, actor, job_id=job_id, edge=edge), number)


def record_pdf(
    workshop: Workshop, actor: Actor, job_id: uuid.UUID, *, edge: Edge, number: int | None = None
) -> tuple[bytes, str]:
    """The record as a PDF, and a name for the file."""
    with workshop.scope(actor) as scope:
        job = _closed(workshop, scope, actor, job_id=job_id, edge=edge)
        row = version_row(scope, job, number)
        pdf = row.pdf if row is not None else pdf_of(workshop, scope, record=record_of(workshop, scope, job))
        return pdf, f"{name_of(job, row)}.pdf"


def data_file(
    workshop: Workshop, actor: Actor, job_id: uuid.UUID, *, edge: Edge, number: int | None = None
) -> tuple[bytes, str]:
    """The data file of a record, signed by the shop, and a name for it. That of a draft says that it is one."""
    with workshop.scope(actor) as scope:
        job = _closed(workshop, scope, actor, job_id=job_id, edge=edge)
        row = version_row(scope, job, number)
        if row is not None:
            return file_of(workshop, scope, row), f"{name_of(job, row)}.zip"
        record = record_of(workshop, scope, job)
        contents: dict[str, bytes | Path] = {
            "record.json": edge.write(record, None),
            "record.pdf": pdf_of(workshop, scope, record=record),
            **places(workshop, scope.shop_id, sources_of(workshop, scope, job)),
        }
        sealed = seal(contents, about(scope, job, None), server_now(), private_key(signing_key(scope)))
        return write_data_file(contents, sealed), f"{name_of(job, None)}.zip"


def file_of(workshop: Workshop, scope: Scope, row: RecordVersion) -> bytes:
    """The data file of a version, byte for byte as it was signed."""
    key: Ed25519PrivateKey = private_key(scope.get(ShopKey, row.key_id))
    contents: dict[str, bytes | Path] = {"record.json": row.record, "record.pdf": row.pdf}
    contents |= places(workshop, scope.shop_id, row.sources)
    return write_data_file(contents, Seal(row.manifest, row.signature, pem(key.public_key())))


def name_of(job: Job, row: RecordVersion | None) -> str:
    """A name for its files: a second version is told from the first by it."""
    if row is None:
        return f"record-{job.number}-draft"
    return f"record-{job.number}" if row.number == 1 else f"record-{job.number}-v{row.number}"
