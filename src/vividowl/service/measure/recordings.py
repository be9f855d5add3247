"""Recordings taken in: bytes and levels, all or nothing."""

from __future__ import annotations

import uuid
from pathlib import Path
from typing import BinaryIO

from vividowl.core.quantities.errors import CoreError
from vividowl.core.quantities.words import say
from vividowl.core.sound.levels import require_level_db
from vividowl.core.sound.recording import SoundReading, read_sound
from vividowl.formats.apart import read_apart
from vividowl.formats.errors import FormatError
from vividowl.formats.sound_file import BYTES_MOST, read_sound_file
from vividowl.service.errors import Refused, refused_file
from vividowl.service.measure.refusing import size_refusals
from vividowl.service.measure.runs import RunView, finish, run_for_writing
from vividowl.service.measure.sounds import kept_sounds
from vividowl.service.names import plain_name
from vividowl.service.workshop import Actor, Workshop, open_job
from vividowl.store.files import Received
from vividowl.store.measuring import SoundFile
from vividowl.words import told

RECORDINGS_MOST = 12


def read_whole_recording(path: Path, file_name: str) -> SoundReading:
    """Read a recording and its levels, in one go and without the database: the part that is done apart."""
    sound = read_sound_file(path, file_name)
    return read_sound(sound.channels, sound.rate_hz)


def read_recording(received: Received, file_name: str) -> SoundReading:
    """Read a recording that has arrived."""
    try:
        return read_apart(read_whole_recording, received.path, file_name, name=file_name)
    except FormatError as error:
        raise refused_file(error, "sound", "not_sound") from error
    except CoreError as error:
        raise Refused("invalid", error.message, field="sound", remedy=error.remedy, reason="not_sound") from error


def receive_sound(
    workshop: Workshop,
    actor: Actor,
    job_id: uuid.UUID,
    *,
    side: str,
    stream: BinaryIO,
    expected: int | None,
    file_name: str,
    reference_db: float | None,
    is_background: bool = False,
    marked_place: bool = False,
) -> RunView:
    """Take a recording in: bytes and levels, all or nothing."""
    if reference_db is not None and is_background:
        raise Refused("invalid", say("recordings-recording-either-known-level-or"), field="reference_db")
    if reference_db is not None:
        require_level_db(reference_db, "reference_db")
    file_name = plain_name(file_name)
    workshop.require_space()
    remedy = say("recordings-cut-to-loaded-part-ten")
    with size_refusals(file_name, "sound", remedy), workshop.files.receive(stream, expected, BYTES_MOST) as received:
        with workshop.scope(actor) as scope:
            open_job(scope, job_id)
        reading = read_recording(received, file_name)
        if reference_db is not None and reading.laeq_db is None:
            raise Refused(
                "invalid",
                say("recordings-reference-recording-silent", file_name=file_name),
                field="sound",
                reason="not_sound",
            )
        with workshop.scope(actor) as scope:
            job = open_job(scope, job_id)
            run = run_for_writing(scope, job, side)
            if len(kept_sounds(scope, run)) >= RECORDINGS_MOST:
                raise Refused(
                    "conflict",
                    say("recordings-this-run-has-recordings-already", recordings_most=RECORDINGS_MOST),
                    field="sound",
                )
            scope.add(
                SoundFile(
                    run_id=run.id,
                    sha256=received.sha256,
                    file_name=file_name,
                    size_bytes=received.size_bytes,
                    reading={**told(reading), "marked_place": marked_place},
                    reference_db=reference_db,
                    is_background=is_background,
                    uploaded_by=actor.member_id,
                )
            )
            with workshop.files.keeping(actor.shop_id, received):
                return finish(workshop, scope, job, run)
