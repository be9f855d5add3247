"""The data file of a job: its record, what was measured byte for byte, and photos, signed by the shop."""

from __future__ import annotations

import re
import uuid
from pathlib import Path

from vividowl.formats.data_file import write_data_file
from vividowl.service.bench.store import load_log
from vividowl.service.clock import server_now
from vividowl.service.jobs.handover import record_pdf
from vividowl.service.record.keys import signing_key
from vividowl.service.workshop import Actor, Workshop
from vividowl.store.bench import Photo
from vividowl.store.measuring import Run, SoundFile, TraceFile
from vividowl.store.models import Job
from vividowl.store.scope import Scope

_PLAIN = re.compile(r"[^A-Za-z0-9._-]+")


def data_file(workshop: Workshop, actor: Actor, job_id: uuid.UUID, record_json: bytes) -> tuple[bytes, str]:
    """The zip of a job, and a name for it. record_json: the record as the interface gives it."""
    pdf, _ = record_pdf(workshop, actor, job_id)
    with workshop.scope(actor) as scope:
        job = scope.get(Job, job_id)
        contents: dict[str, bytes | Path] = {"record.json": record_json, "record.pdf": pdf}
        contents |= _measured(workshop, scope, job)
        contents |= _photos(workshop, scope, job)
        about = {"shop": scope.shop().name, "number": job.number, "device": f"{job.maker} {job.model}".strip()}
        made = write_data_file(contents, about, server_now(), signing_key(scope))
        return made, f"record-{job.number}.zip"


def _name(folder: str, key: str, place: int, given: str) -> str:
    """A name that any system can unpack: folder, run, running number and what the file was called."""
    return f"{folder}/{key}-{place}-{_PLAIN.sub('_', given)[-80:] or 'file'}"


def _measured(workshop: Workshop, scope: Scope, job: Job) -> dict[str, Path]:
    out: dict[str, Path] = {}
    runs = scope.session.scalars(
        scope.select(Run).where(Run.job_id == job.id, Run.removed_at.is_(None)).order_by(Run.created_at)
    ).all()
    for run in runs:
        logs = scope.session.scalars(
            scope.select(TraceFile)
            .where(TraceFile.run_id == run.id, TraceFile.removed_at.is_(None))
            .order_by(TraceFile.uploaded_at)
        ).all()
        for place, log in enumerate(logs, 1):
            out[_name("logs", run.key, place, log.file_name)] = workshop.files.original(scope.shop_id, log.sha256)
            out[f"columns/{run.key}-{place}.parquet"] = workshop.files.columns(scope.shop_id, log.sha256)
        sounds = scope.session.scalars(
            scope.select(SoundFile)
            .where(SoundFile.run_id == run.id, SoundFile.removed_at.is_(None))
            .order_by(SoundFile.created_at)
        ).all()
        for place, sound in enumerate(sounds, 1):
            out[_name("sounds", run.key, place, sound.file_name)] = workshop.files.original(scope.shop_id, sound.sha256)
    return out


def _photos(workshop: Workshop, scope: Scope, job: Job) -> dict[str, Path]:
    out: dict[str, Path] = {}
    for place, told in enumerate(load_log(workshop, scope, job.id).log.state.photos, 1):
        photo = scope.get(Photo, uuid.UUID(told.photo))
        out[f"photos/{place}-{told.what}.jpg"] = workshop.files.photo(scope.shop_id, photo.sha256, "large")
    return out
