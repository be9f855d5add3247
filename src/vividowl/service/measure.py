"""Before and After: conditions, the log, noise and spot readings."""

from __future__ import annotations

import contextlib
import uuid
from collections.abc import Mapping, Sequence
from dataclasses import dataclass
from datetime import UTC, datetime
from typing import Any, BinaryIO

import numpy as np
from sqlalchemy.exc import SQLAlchemyError

from vividowl.core.errors import NotEnoughData, require_range
from vividowl.core.findings import findings
from vividowl.core.ladder import Ladder, culprit
from vividowl.core.noise import NoiseFigure, background_correction, require_level_db
from vividowl.core.reading import Reading, read_trace
from vividowl.core.roles import ROLE_KINDS, Role
from vividowl.core.units import require_room_c
from vividowl.formats.columns import View, min_max_view, read_columns, write_columns
from vividowl.formats.errors import FormatError
from vividowl.formats.sensor_log import BYTES_MOST, TIME, ParsedLog, apply_mapping, read_log, to_trace
from vividowl.service.comparing import kept, ladder_of, note_verdict
from vividowl.service.errors import Refused
from vividowl.service.readings import glance_of, guesses_of, load_trace, noise_of, read_new, reading_of
from vividowl.service.workshop import Actor, Workshop, check_version, open_job
from vividowl.store.files import BrokenOff, Prepared, Received, TooLarge
from vividowl.store.models import Job, NoiseReading, Run, SpotReading, TraceFile
from vividowl.store.scope import Scope

SIDES = ("before", "after")
RECIPE_FIELDS = ("load_recipe", "duration_min", "fan_setting", "power_profile", "placement", "start", "firmware",
                 "tuning")  # fmt: skip


@dataclass(frozen=True)
class RunView:
    """A run with what was read from it. prefilled: the recipe was taken from Before and is not saved yet."""

    side: str
    version: int
    prefilled: bool
    run: Run
    trace: TraceFile | None
    noise: Sequence[NoiseReading]
    spots: Sequence[SpotReading]
    noise_figure: NoiseFigure | None
    reading: Reading | None
    findings: tuple[str, ...]
    ladder: Ladder | None
    culprit: str | None
    trouble: str | None


def run_view(workshop: Workshop, scope: Scope, job: Job, side: str) -> RunView:
    """The run of one side; an After that was never saved comes pre-filled with the Before recipe."""
    run = scope.run(job.id, side)
    prefilled = False
    version = run.version if run else 0
    if run is None:
        run = Run(side=side, glance={}, load_recipe="", fan_setting="", power_profile="", placement="", start="",
                  firmware="", tuning="", room_c=None, duration_min=None)  # fmt: skip
        before = scope.run(job.id, "before") if side == "after" else None
        if before is not None:
            prefilled = True
            for name in RECIPE_FIELDS:
                setattr(run, name, getattr(before, name))
    stored = run if version else None
    traces, noise, spots = (kept(scope, table, stored) for table in (TraceFile, NoiseReading, SpotReading))
    trace = traces[0] if traces else None
    reading: Reading | None = None
    told: tuple[str, ...] = ()
    ladder, trouble = None, None
    if trace is not None:
        reading = reading_of(workshop, scope.shop_id, trace, run.room_c, job.limit_c)
        told = findings(reading, run.room_c)
        try:
            ladder = ladder_of(run, reading, spots)
        except ValueError as error:
            trouble = f"{error} {getattr(error, 'remedy', '')}".strip()
    return RunView(
        side, version, prefilled, run, trace, noise, spots, noise_of(noise), reading, told, ladder,
        culprit(ladder) if ladder else None, trouble,
    )  # fmt: skip


def get_run(workshop: Workshop, actor: Actor, job_id: uuid.UUID, side: str) -> RunView:
    """The run of one side."""
    with workshop.scope(actor) as scope:
        return run_view(workshop, scope, scope.get(Job, job_id), side)


def _run_for_writing(scope: Scope, job: Job, side: str) -> Run:
    run = scope.run(job.id, side, lock=True)
    if run is None:
        before = scope.run(job.id, "before") if side == "after" else None
        run = Run(job_id=job.id, side=side)
        if before is not None:
            for name in RECIPE_FIELDS:
                setattr(run, name, getattr(before, name))
        scope.add(run)
    return run


def _finish(workshop: Workshop, scope: Scope, job: Job, run: Run) -> RunView:
    """Bring the glance up to date and answer with the whole run."""
    scope.session.flush()
    traces, noise = kept(scope, TraceFile, run), kept(scope, NoiseReading, run)
    run.glance = glance_of(workshop, run, traces[0] if traces else None, job.limit_c, noise)
    scope.session.flush()
    note_verdict(workshop, scope, job)
    job.updated_at = datetime.now(UTC)
    scope.session.flush()
    return run_view(workshop, scope, job, run.side)


def save_run(
    workshop: Workshop, actor: Actor, job_id: uuid.UUID, side: str, version: int, fields: Mapping[str, Any]
) -> RunView:
    """Save the conditions of a run."""
    if fields["room_c"] is not None:
        require_room_c(fields["room_c"])
    if fields["duration_min"] is not None:
        require_range("duration_min", fields["duration_min"], "min", 0.5, 1440)
    with workshop.scope(actor) as scope:
        job = open_job(scope, job_id)
        run = scope.run(job.id, side, lock=True)
        check_version(run.version if run else 0, version, f"The {side} conditions")
        if run is None:
            run = scope.add(Run(job_id=job.id, side=side, version=0))
        for name in (*RECIPE_FIELDS, "room_c"):
            setattr(run, name, fields[name])
        run.version += 1
        return _finish(workshop, scope, job, run)


def receive_log(
    workshop: Workshop, actor: Actor, job_id: uuid.UUID, side: str, stream: BinaryIO, *, expected: int | None,
    file_name: str, mapping: Mapping[str, str | None], again: bool,
) -> RunView:  # fmt: skip
    """Take a sensor log in: bytes, columns and figures, all or nothing."""
    with _size_refusals(file_name), workshop.files.receive(stream, expected, BYTES_MOST) as received:
        with workshop.scope(actor) as scope:
            _refuse_after_without_before(scope, scope.get(Job, job_id), side)
        parsed = _parse(received, file_name, mapping)
        fresh = not workshop.files.original(actor.shop_id, received.sha256).exists()
        try:
            with (
                workshop.files.prepare_columns(lambda path: write_columns(parsed.frame, path)) as prepared,
                workshop.scope(actor) as scope,
            ):
                job = open_job(scope, job_id)
                _refuse_known_file(scope, received.sha256, file_name, job, side, again)
                run = _run_for_writing(scope, job, side)
                return _store_log(workshop, scope, actor, job, run, received, parsed, file_name, prepared)
        except SQLAlchemyError:
            if fresh:
                for path in (workshop.files.original, workshop.files.columns):
                    path(actor.shop_id, received.sha256).unlink(missing_ok=True)
            raise


def _size_refusals(file_name: str) -> contextlib.AbstractContextManager[None]:
    @contextlib.contextmanager
    def guard() -> Any:  # noqa: ANN401
        try:
            yield
        except TooLarge as error:
            raise Refused("invalid", f"{file_name}: {error}", field="log",
                          remedy="Log fewer sensors or a longer interval.", reason="too_large") from error  # fmt: skip
        except BrokenOff as error:
            raise Refused("invalid", f"{file_name}: {error} Nothing was stored.", field="log",
                          remedy="Drop the file again.", reason="broken_off") from error  # fmt: skip

    return guard()


def _refuse_after_without_before(scope: Scope, job: Job, side: str) -> None:
    if side == "after":
        before = scope.run(job.id, "before")
        if not kept(scope, TraceFile, before):
            raise Refused(
                "conflict", "This job has no Before log, so an After has nothing to be compared with.", field="log",
                remedy="Drop the Before log first. What you typed here is kept.", reason="no_before",
            )  # fmt: skip


def _refuse_known_file(scope: Scope, sha256: str, name: str, job: Job, side: str, again: bool) -> None:
    for _, run, other in scope.traces_with(sha256):
        if other.id == job.id and run.side == side:
            raise Refused("conflict", f"{name} is the log that is already here.", field="log",
                          remedy="Choose the other file, if there is one.", reason="same_file_here")  # fmt: skip
        if other.id == job.id:
            raise Refused(
                "conflict", f"{name} is the very file that serves as the {run.side.capitalize()} log of this job.",
                field="log", remedy="Choose the log of the other run.", reason="same_file_other_side",
            )  # fmt: skip
        if not again:
            raise Refused(
                "conflict", f"{name} is already the {run.side.capitalize()} log of job {other.number}.", field="log",
                remedy="Check that it is the right file; use it again only if it really belongs to both.",
                reason="same_file_elsewhere",
            )  # fmt: skip


def _parse(received: Received, file_name: str, mapping: Mapping[str, str | None]) -> ParsedLog:
    try:
        parsed = read_log(received.path, file_name)
        guesses = apply_mapping(parsed.guesses, mapping)
    except FormatError as error:
        raise Refused("invalid", str(error), field="log", remedy=error.remedy, reason=error.reason,
                      extra={"headers": list(error.headers)} if error.headers else None) from error  # fmt: skip
    return ParsedLog(parsed.frame, guesses, parsed.layout, parsed.notices)


def _channels(parsed: ParsedLog) -> list[dict[str, Any]]:
    schema = parsed.frame.schema
    return [
        {"header": g.header, "role": g.role.value if g.role else None, "unit": g.unit, "confidence": g.confidence,
         "numeric": schema[f"c{i}"].is_numeric()}
        for i, g in enumerate(parsed.guesses)
    ]  # fmt: skip


def _store_log(
    workshop: Workshop, scope: Scope, actor: Actor, job: Job, run: Run, received: Received, parsed: ParsedLog,
    file_name: str, prepared: Prepared,
) -> RunView:  # fmt: skip
    channels = _channels(parsed)
    try:
        trace, dropouts = to_trace(parsed.frame, parsed.guesses)
        read_new(workshop.files.columns(actor.shop_id, received.sha256), channels, trace, run.room_c, job.limit_c)
    except NotEnoughData as error:
        numeric = [c["header"] for c in channels if c["numeric"]]
        reason = "no_temperature" if error.field == "channels" else "too_short"
        raise Refused("invalid", f"{file_name}: {error}", field="log", remedy=error.remedy, reason=reason,
                      extra={"headers": numeric}) from error  # fmt: skip
    for old in kept(scope, TraceFile, run):
        old.removed_at = datetime.now(UTC)
    scope.session.flush()
    scope.add(
        TraceFile(
            run_id=run.id, sha256=received.sha256, file_name=file_name[:200], size_bytes=received.size_bytes,
            samples=len(trace.time_s), interval_s=trace.interval_s, duration_s=trace.duration_s, channels=channels,
            notices=[*parsed.notices, *dropouts], uploaded_by=actor.member_id,
        )
    )  # fmt: skip
    workshop.files.keep(actor.shop_id, received, prepared)
    return _finish(workshop, scope, job, run)


def _trace_of(scope: Scope, job: Job, side: str) -> tuple[Run, TraceFile]:
    run = scope.run(job.id, side)
    traces = kept(scope, TraceFile, run)
    if run is None or not traces:
        raise Refused("missing", f"There is no {side.capitalize()} log on this job.", remedy="Drop one on the page.")
    return run, traces[0]


def map_log(
    workshop: Workshop, actor: Actor, job_id: uuid.UUID, side: str, mapping: Mapping[str, str | None]
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
            raise Refused("invalid", str(error), field="mapping", remedy=error.remedy) from error
        except NotEnoughData as error:
            raise Refused("invalid", f"{error} The mapping was not changed.", field="mapping",
                          remedy=error.remedy) from error  # fmt: skip
        trace.channels = channels
        return _finish(workshop, scope, job, run)


def set_removed(
    workshop: Workshop, actor: Actor, job_id: uuid.UUID, side: str, what: str, row_id: uuid.UUID, removed: bool
) -> RunView:
    """Remove a log or a reading, or bring it back. what is log, noise or spot."""
    table = {"log": TraceFile, "noise": NoiseReading, "spot": SpotReading}[what]
    with workshop.scope(actor) as scope:
        job = open_job(scope, job_id)
        run = scope.run(job.id, side, lock=True)
        row: Any = scope.get(table, row_id)
        if run is None or row.run_id != run.id:
            raise Refused("missing", f"There is no such {what} reading on this run.", remedy="Reload the page.")
        if what == "log" and not removed:
            for old in kept(scope, TraceFile, run):
                old.removed_at = datetime.now(UTC)
            scope.session.flush()
        row.removed_at = datetime.now(UTC) if removed else None
        return _finish(workshop, scope, job, run)


def add_noise(workshop: Workshop, actor: Actor, job_id: uuid.UUID, side: str, fields: Mapping[str, Any]) -> RunView:
    """Note a level read by hand."""
    require_level_db(fields["level_db"])
    if fields["background_db"] is not None:
        background_correction(fields["level_db"], fields["background_db"])
    if fields["distance_m"] is not None:
        require_range("distance_m", fields["distance_m"], "m", 0.01, 20)
    with workshop.scope(actor) as scope:
        job = open_job(scope, job_id)
        run = _run_for_writing(scope, job, side)
        scope.add(NoiseReading(run_id=run.id, **fields))
        return _finish(workshop, scope, job, run)


def add_spot(workshop: Workshop, actor: Actor, job_id: uuid.UUID, side: str, fields: Mapping[str, Any]) -> RunView:
    """Note a temperature read at a spot."""
    require_range("reading_c", fields["reading_c"], "°C", -40, 150, "Type the reading under load in °C.")
    with workshop.scope(actor) as scope:
        job = open_job(scope, job_id)
        run = _run_for_writing(scope, job, side)
        scope.add(SpotReading(run_id=run.id, **fields))
        return _finish(workshop, scope, job, run)


def chart_view(
    workshop: Workshop, actor: Actor, job_id: uuid.UUID, side: str, *, channel: str, points: int,
    from_s: float | None, to_s: float | None,
) -> tuple[View, str, str]:  # fmt: skip
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
        return min_max_view(read.time_s, read.channels[role], points, low, high), kind.words, kind.unit
    index = int(channel[1:]) if channel[:1] == "c" and channel[1:].isdigit() else -1
    if not 0 <= index < len(trace.channels) or not trace.channels[index]["numeric"]:
        raise Refused("missing", f"There is no channel “{channel}” to chart in this log.", field="channel",
                      remedy="Choose one of the list.")  # fmt: skip
    frame = read_columns(path, [TIME, f"c{index}"])
    values = frame[f"c{index}"].cast(float).to_numpy().astype(np.float64)
    return (
        min_max_view(frame[TIME].to_numpy(), values, points, low, high),
        trace.channels[index]["header"],
        trace.channels[index]["unit"],
    )


def original_file(workshop: Workshop, actor: Actor, job_id: uuid.UUID, side: str) -> tuple[Any, str]:
    """The uploaded bytes and their name."""
    with workshop.scope(actor) as scope:
        _, trace = _trace_of(scope, scope.get(Job, job_id), side)
        return workshop.files.original(actor.shop_id, trace.sha256), trace.file_name
