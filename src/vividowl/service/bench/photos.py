"""Photos of a job: taken in once, scaled, and shown within the shop."""

from __future__ import annotations

import hashlib
import uuid
from typing import BinaryIO

from sqlalchemy import func, select

from vividowl.core.bench.log.events import BenchRefused
from vividowl.core.quantities.words import say
from vividowl.formats.apart import read_apart
from vividowl.formats.errors import FormatError
from vividowl.formats.photo import PHOTO_MOST, ScaledPhoto, read_photo
from vividowl.service.errors import Refused, refused_file
from vividowl.service.workshop import Actor, Workshop
from vividowl.store.bench import Photo
from vividowl.store.models import Job
from vividowl.store.scope import Scope

PHOTOS_MOST = 600


def receive_photo(
    workshop: Workshop, actor: Actor, job_id: uuid.UUID, *, photo_id: uuid.UUID, stream: BinaryIO
) -> Photo:
    """Take a photo in under the id that the tablet gave it; the same one again is answered alike."""
    with workshop.scope(actor) as scope:
        job = scope.get(Job, job_id)
        kept = scope.one(Photo, Photo.id == photo_id)
        if kept is not None:
            if kept.job_id != job.id:
                raise Refused("conflict", say("photos-this-id-belongs-to-photo"))
            return kept
        count = scope.session.scalar(select(func.count()).select_from(Photo).where(Photo.job_id == job.id)) or 0
        if count >= PHOTOS_MOST:
            raise Refused("conflict", say("photos-job-has-photos-already", photos_most=PHOTOS_MOST))
    workshop.require_space()
    data = stream.read(PHOTO_MOST + 1)
    scaled = scale(data)
    with workshop.scope(actor) as scope:
        return keep_photo(workshop, scope, actor, job_id=job_id, photo_id=photo_id, scaled=scaled)


def scale(data: bytes) -> ScaledPhoto:
    """Read a photo's bytes."""
    try:
        return read_apart(read_photo, data, name=say("photos-photo"))
    except FormatError as error:
        raise refused_file(error, "photo") from error


def keep_photo(
    workshop: Workshop,
    scope: Scope,
    actor: Actor,
    *,
    job_id: uuid.UUID | None,
    photo_id: uuid.UUID,
    scaled: ScaledPhoto,
) -> Photo:
    """Keep a photo that was read."""
    sha256 = hashlib.sha256(scaled.large).hexdigest()
    workshop.files.keep_photo(actor.shop_id, sha256, scaled.large, scaled.small)
    return scope.add(
        Photo(
            id=photo_id,
            job_id=job_id,
            sha256=sha256,
            width_px=scaled.width_px,
            height_px=scaled.height_px,
            size_bytes=len(scaled.large),
            uploaded_by=actor.member_id,
        )
    )


def photo_bytes(workshop: Workshop, actor: Actor, photo_id: uuid.UUID, size: str) -> bytes:
    """A photo in one of its sizes."""
    with workshop.scope(actor) as scope:
        photo = scope.get(Photo, photo_id)
        return workshop.files.photo(actor.shop_id, photo.sha256, size).read_bytes()


def require_photo(scope: Scope, photo_id: str) -> None:
    """Refuse an event about a photo that has not arrived."""
    try:
        found = scope.one(Photo, Photo.id == uuid.UUID(photo_id))
    except ValueError:
        found = None
    if found is None:
        raise BenchRefused(say("photos-this-photo-has-not-arrived"), reason="missing", field="photo")
