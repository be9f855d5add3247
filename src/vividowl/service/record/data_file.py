"""What the data file of a job holds beside its record: all that was measured, byte for byte, and photos."""

from __future__ import annotations

import re
import uuid
from collections.abc import Mapping
from pathlib import Path
from typing import Any

from vividowl.service.bench.store import load_log
from vividowl.service.workshop import Workshop
from vividowl.store.bench import Photo
from vividowl.store.files import FileStore
from vividowl.store.measuring import Run, SoundFile, TraceFile
from vividowl.store.models import Job
from vividowl.store.scope import Scope

_PLAIN = re.compile(r"[^A-Za-z0-9._-]+")
ORIGINAL, COLUMNS, PHOTO = "original", "columns", "photo"


def about(scope: Scope, job: Job, version: int | None) -> dict[str, Any]:
    """What the manifest says of a data file. version: None for a job that is not handed over."""
    device = f"{job.maker} {job.model}".strip()
    return {"shop": scope.shop().name, "number": job.number, "device": device, "record_version": version}


def sources_of(workshop: Workshop, scope: Scope, job: Job) -> dict[str, list[str]]:
    """Files of a job by their name in the data file, as kind and SHA-256 in the file store."""
    return _measured(scope, job) | _photos(workshop, scope, job)


def places(workshop: Workshop, shop_id: uuid.UUID, sources: Mapping[str, Any]) -> dict[str, Path]:
    """Where they lie."""
    return {name: _place(workshop.files, shop_id, kind, sha256) for name, (kind, sha256) in sources.items()}


def _place(files: FileStore, shop_id: uuid.UUID, kind: str, sha256: str) -> Path:
    if kind == PHOTO:
        return files.photo(shop_id, sha256, "large")
    return files.columns(shop_id, sha256) if kind == COLUMNS else files.original(shop_id, sha256)


def _name(folder: str, key: str, place: int, given: str) -> str:
    """A name that any system can unpack: folder, run, running number and what the file was called."""
    return f"{folder}/{key}-{place}-{_PLAIN.sub('_', given)[-80:] or 'file'}"


def _measured(scope: Scope, job: Job) -> dict[str, list[str]]:
    out: dict[str, list[str]] = {}
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
            out[_name("logs", run.key, place, log.file_name)] = [ORIGINAL, log.sha256]
            out[f"columns/{run.key}-{place}.parquet"] = [COLUMNS, log.sha256]
        sounds = scope.session.scalars(
            scope.select(SoundFile)
            .where(SoundFile.run_id == run.id, SoundFile.removed_at.is_(None))
            .order_by(SoundFile.created_at)
        ).all()
        for place, sound in enumerate(sounds, 1):
            out[_name("sounds", run.key, place, sound.file_name)] = [ORIGINAL, sound.sha256]
    return out


def _photos(workshop: Workshop, scope: Scope, job: Job) -> dict[str, list[str]]:
    told = load_log(workshop, scope, job.id).log.state.photos
    return {
        f"photos/{place}-{photo.what}.jpg": [PHOTO, scope.get(Photo, uuid.UUID(photo.photo)).sha256]
        for place, photo in enumerate(told, 1)
    }
