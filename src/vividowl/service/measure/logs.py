"""The logs of a run: taken in with their columns and figures, mapped, windowed, charted."""

from __future__ import annotations

import uuid
from collections.abc import Mapping, Sequence
from typing import Any, BinaryIO

import numpy as np

from vividowl.core.quantities.errors import NotEnoughData
from vividowl.core.quantities.words import Words, say
from vividowl.core.reading.reading import read_trace
from vividowl.core.trace.pace import Frames
from vividowl.core.trace.roles import ROLE_KINDS, Role
from vividowl.formats.apart import read_apart
from vividowl.formats.errors import FormatError
from vividowl.formats.log.columns import View, min_max_view, read_columns
from vividowl.formats.log.sensor_log import BYTES_MOST, TIME, apply_mapping
from vividowl.service.clock import server_now
from vividowl.service.errors import Refused, refused_file
from vividowl.service.measure.comparing import kept
from vividowl.service.measure.frames import add_frames
from vividowl.service.measure.log_reading import LogTerms, read_whole_log, signature
from vividowl.service.measure.readings import guesses_of, load_trace, remember_reading
from vividowl.service.measure.refusing import (
    refuse_after_without_before,
    refuse_known_file,
    refuse_no_repeat,
    size_refusals,
)
from vividowl.service.measure.runs import RunView, finish, run_for_writing
from vividowl.service.names import plain_name
from vividowl.service.workshop import Actor, Workshop, open_job
from vividowl.store.measuring import LogMapping, Run, TraceFile
from vividowl.store.models import Job
from vividowl.store.scope import Scope
from vividowl.words import sentences

REPEATS_MOST = 12


def receive_log(
    workshop: Workshop,
    actor: Actor,
    job_id: uuid.UUID,
    *,
    side: str,
    stream: BinaryIO,
    expected: int | None,
    file_name: str,
    mapping: Mapping[str, str | None],
    again: bool,
    repeat: bool = False,
) -> RunView:
    """Take a sensor log in: bytes, columns and figures, all or nothing. repeat: beside the log that is there."""
    remedy = say("logs-log-fewer-sensors-or-longer")
    file_name = plain_name(file_name)
    workshop.require_space()
    with size_refusals(file_name, "log", remedy), workshop.files.receive(stream, expected, BYTES_MOST) as received:
        with workshop.scope(actor) as scope:
            job = scope.get(Job, job_id)
            refuse_after_without_before(scope, job, side)
            run = scope.run(job.id, side)
            room_c, limit_c = run.room_c if run else None, job.limit_c
            known = {row.signature: row.roles for row in scope.session.scalars(scope.select(LogMapping)).unique()}
        with workshop.files.aside("parquet") as columns:
            try:
                terms = LogTerms(known=known, mapping=mapping, room_c=room_c, limit_c=limit_c)
                found = read_apart(read_whole_log, received.path, file_name, terms, columns, name=file_name)
            except FormatError as error:
                raise refused_file(error, "log") from error
            with workshop.scope(actor) as scope:
                job = open_job(scope, job_id)
                refuse_known_file(scope, received.sha256, name=file_name, job=job, side=side, again=again)
                run = run_for_writing(scope, job, side)
                if isinstance(found, Frames):
                    add_frames(
                        scope, run, member_id=actor.member_id, received=received, file_name=file_name, frames=found
                    )
                    with workshop.files.keeping(actor.shop_id, received):
                        return finish(workshop, scope, job, run)
                if repeat:
                    refuse_no_repeat(workshop, scope, job, run=run, reading=found.reading, file_name=file_name)
                _make_room(scope, run, repeat)
                if mapping:
                    _remember_mapping(scope, found.headers, mapping)
                scope.add(
                    TraceFile(
                        run_id=run.id,
                        sha256=received.sha256,
                        file_name=file_name,
                        size_bytes=received.size_bytes,
                        samples=found.samples,
                        interval_s=found.interval_s,
                        duration_s=found.duration_s,
                        channels=found.channels,
                        notices=sentences(found.notices),
                        is_repeat=repeat,
                        uploaded_by=actor.member_id,
                    )
                )
                with workshop.files.keeping(actor.shop_id, received, columns):
                    path = workshop.files.columns(actor.shop_id, received.sha256)
                    remember_reading(path, found.channels, room_c=room_c, limit_c=limit_c, reading=found.reading)
                    return finish(workshop, scope, job, run)


def _make_room(scope: Scope, run: Run, repeat: bool) -> None:
    """Take the present log off, or leave it when a repeat comes beside it."""
    there = kept(scope, TraceFile, run)
    if not repeat:
        for old in there:
            old.removed_at = server_now()
        run.window_from_s = run.window_to_s = None
    elif not there:
        raise Refused("conflict", say("logs-there-no-log-yet-that"), field="log")
    elif len(there) > REPEATS_MOST:
        raise Refused(
            "conflict",
            say("logs-this-run-has-repeats-at", there=len(there) - 1, repeats_most=REPEATS_MOST),
            field="log",
        )
    scope.session.flush()


def _remember_mapping(scope: Scope, headers: Sequence[str], mapping: Mapping[str, str | None]) -> None:
    """Keep what a person said, so that the same logger is never mapped twice."""
    name = signature(headers)
    found = scope.one(LogMapping, LogMapping.signature == name)
    if found is None:
        scope.add(LogMapping(signature=name, roles=dict(mapping)))
    else:
        found.roles = {**found.roles, **mapping}


def _trace_of(scope: Scope, job: Job, side: str) -> tuple[Run, TraceFile]:
    run = scope.run(job.id, side)
    traces = kept(scope, TraceFile, run)
    if run is None or not traces:
        raise Refused("missing", say("logs-there-no-log-on-this", capitalize=side.capitalize()))
    return run, traces[0]


def map_log(
    workshop: Workshop, actor: Actor, job_id: uuid.UUID, *, side: str, mapping: Mapping[str, str | None]
) -> RunView:
    """Correct which column is what."""
    with workshop.scope(actor) as scope:
        job = open_job(scope, job_id)
        run, trace = _trace_of(scope, job, side)
        try:
            guesses = apply_mapping(guesses_of(trace.channels), mapping)
            channels = [
                {**c, "role": g.role.value if g.role else None, "confidence": g.confidence}
                for c, g in zip(trace.channels, guesses, strict=True)
            ]
            path = workshop.files.columns(actor.shop_id, trace.sha256)
            read_trace(load_trace(path, channels), run.room_c, job.limit_c)
        except FormatError as error:
            raise refused_file(error, "mapping") from error
        except NotEnoughData as error:
            raise Refused(
                "invalid",
                say("logs-mapping-was-not-changed", error=error.message),
                field="mapping",
                remedy=error.remedy,
            ) from error
        trace.channels = channels
        _remember_mapping(scope, [c["header"] for c in channels], mapping)
        return finish(workshop, scope, job, run)


def choose_window(
    workshop: Workshop, actor: Actor, job_id: uuid.UUID, *, side: str, from_s: float | None, to_s: float | None
) -> RunView:
    """Take the figures from another window, or from the one found when both are None."""
    with workshop.scope(actor) as scope:
        job = open_job(scope, job_id)
        run, trace = _trace_of(scope, job, side)
        if (from_s is None) != (to_s is None):
            raise Refused("invalid", say("logs-window-needs-both-its-ends"), field="window")
        if from_s is not None and to_s is not None:
            path = workshop.files.columns(actor.shop_id, trace.sha256)
            read_trace(load_trace(path, trace.channels), run.room_c, job.limit_c, (from_s, to_s))
        run.window_from_s, run.window_to_s = from_s, to_s
        return finish(workshop, scope, job, run)


def chart_view(
    workshop: Workshop,
    actor: Actor,
    job_id: uuid.UUID,
    side: str,
    *,
    channel: str,
    points: int,
    from_s: float | None,
    to_s: float | None,
) -> tuple[View, Words, Words]:
    """A channel for a chart: down-sampled, with its words and unit. channel is a role or c0, c1, …"""
    with workshop.scope(actor) as scope:
        job = scope.get(Job, job_id)
        _, trace = _trace_of(scope, job, side)
    path = workshop.files.columns(actor.shop_id, trace.sha256)
    roles = {c["role"]: i for i, c in enumerate(trace.channels) if c["role"]}
    low, high = from_s if from_s is not None else -np.inf, to_s if to_s is not None else np.inf
    if channel in roles:
        role = Role(channel)
        only = [c if c["role"] == channel else {**c, "role": None} for c in trace.channels]
        read = load_trace(path, only)
        kind = ROLE_KINDS[role]
        return (
            min_max_view(read.time_s, read.channels[role], points=points, from_s=low, to_s=high),
            kind.words,
            kind.unit,
        )
    index = int(channel[1:6]) if channel[:1] == "c" and channel[1:].isascii() and channel[1:].isdigit() else -1
    if not 0 <= index < len(trace.channels) or not trace.channels[index]["numeric"]:
        raise Refused("missing", say("logs-there-no-channel-to-chart", channel=channel), field="channel")
    frame = read_columns(path, [TIME, f"c{index}"])
    values = frame[f"c{index}"].cast(float).to_numpy().astype(np.float64)
    return (
        min_max_view(frame[TIME].to_numpy(), values, points=points, from_s=low, to_s=high),
        trace.channels[index]["header"],
        trace.channels[index]["unit"],
    )


def original_file(workshop: Workshop, actor: Actor, job_id: uuid.UUID, side: str) -> tuple[Any, str]:
    """The uploaded bytes and their name."""
    with workshop.scope(actor) as scope:
        _, trace = _trace_of(scope, scope.get(Job, job_id), side)
        return workshop.files.original(actor.shop_id, trace.sha256), trace.file_name
