"""Before and After: conditions, log, readings, charts."""

from __future__ import annotations

import json
import uuid
from typing import Annotated, Literal

from flask import Response, request, send_file
from pydantic import BaseModel, Field

from vividowl.core.quantities.words import say
from vividowl.service.errors import Refused
from vividowl.service.measure import logs, recordings
from vividowl.service.measure import runs as measure
from vividowl.web.access import access, actor, takes_body, workshop
from vividowl.web.blueprint import blueprint
from vividowl.web.fields import RunKey
from vividowl.web.idempotency import idempotent
from vividowl.web.measure.present import run_out
from vividowl.web.measure.schemas import MappingIn, NoiseIn, RunIn, RunOut, SpotIn, ViewOut, WindowIn
from vividowl.words import sentence

api = blueprint("runs", __name__, url_prefix="/api/jobs/<uuid:job_id>/runs/<string:side>")
LOG_MOST = 200 * 1024 * 1024 + 1  # one more, so that the use case itself can say that it is too large
SOUND_MOST = 200 * 1024 * 1024 + 1


class RunPath(BaseModel):
    job_id: uuid.UUID
    side: RunKey


class RowPath(RunPath):
    row_id: uuid.UUID


class KindRowPath(RowPath):
    what: Literal["log", "noise", "spot", "sound", "frames"]


class LogQuery(BaseModel):
    name: Annotated[str, Field(max_length=200, pattern=r"^[^\x00]*$")] = "log.csv"
    roles: Annotated[str, Field(max_length=20000)] = "{}"
    again: bool = False
    repeat: bool = False


class SoundQuery(BaseModel):
    name: Annotated[str, Field(max_length=200, pattern=r"^[^\x00]*$")] = "recording.wav"
    reference_db: float | None = None
    background: bool = False
    marked_place: bool = False


class ChartQuery(BaseModel):
    channel: Annotated[str, Field(max_length=40)]
    points: Annotated[int, Field(ge=10, le=4000)] = 1200
    from_s: float | None = None
    to_s: float | None = None


@api.get("", responses={200: RunOut}, operation_id="getRun")
@access("member")
def get_run(path: RunPath) -> RunOut:
    """The run of one side."""
    return run_out(measure.get_run(workshop(), actor(), path.job_id, path.side))


@api.put("", responses={200: RunOut}, operation_id="saveRun")
@access("member")
def save_run(path: RunPath, body: RunIn) -> RunOut:
    """Save the conditions."""
    fields = body.model_dump(exclude={"version"}, exclude_unset=True)
    return run_out(
        measure.save_run(workshop(), actor(), path.job_id, side=path.side, version=body.version, fields=fields)
    )


def _roles(text: str) -> dict[str, str | None]:
    try:
        found = json.loads(text)
    except ValueError:
        found = None
    if not isinstance(found, dict) or not all(v is None or isinstance(v, str) for v in found.values()):
        raise Refused("invalid", say("routes-mapping-not-json-object-header"), field="roles")
    return found


@api.post("/log", responses={201: RunOut}, operation_id="uploadLog")
@access("member")
@takes_body(LOG_MOST)
def upload_log(path: RunPath, query: LogQuery) -> tuple[RunOut, int]:
    """Upload a sensor log: the raw bytes are the body."""
    view = logs.receive_log(
        workshop(),
        actor(),
        path.job_id,
        side=path.side,
        stream=request.stream,  # type: ignore[arg-type]
        expected=request.content_length,
        file_name=query.name or "log.csv",
        mapping=_roles(query.roles),
        again=query.again,
        repeat=query.repeat,
    )
    return run_out(view), 201


@api.put("/log/mapping", responses={200: RunOut}, operation_id="mapLog")
@access("member")
def map_log(path: RunPath, body: MappingIn) -> RunOut:
    """Correct which column is what."""
    return run_out(logs.map_log(workshop(), actor(), path.job_id, side=path.side, mapping=body.roles))


@api.put("/window", responses={200: RunOut}, operation_id="chooseWindow")
@access("member")
def choose_window(path: RunPath, body: WindowIn) -> RunOut:
    """Take the figures from another window; null for both goes back to the one found."""
    return run_out(
        logs.choose_window(workshop(), actor(), path.job_id, side=path.side, from_s=body.from_s, to_s=body.to_s)
    )


@api.post("/sound", responses={201: RunOut}, operation_id="uploadSound")
@access("member")
@takes_body(SOUND_MOST)
def upload_sound(path: RunPath, query: SoundQuery) -> tuple[RunOut, int]:
    """Upload a recording: the raw bytes are the body. reference_db makes it the calibration of the
    job; background says that the room alone was recorded; marked_place that the phone lay where it is marked."""
    view = recordings.receive_sound(
        workshop(),
        actor(),
        path.job_id,
        side=path.side,
        stream=request.stream,  # type: ignore[arg-type]
        expected=request.content_length,
        file_name=query.name or "recording.wav",
        reference_db=query.reference_db,
        is_background=query.background,
        marked_place=query.marked_place,
    )
    return run_out(view), 201


@api.get("/log/file", operation_id="getLogFile", responses={200: {"content": {"application/octet-stream": {}}}})
@access("member")
def log_file(path: RunPath) -> Response:
    """The uploaded bytes, as they came."""
    file, name = logs.original_file(workshop(), actor(), path.job_id, path.side)
    return send_file(file, mimetype="application/octet-stream", as_attachment=True, download_name=name)


@api.get("/chart", responses={200: ViewOut}, operation_id="getChart")
@access("member")
def chart(path: RunPath, query: ChartQuery) -> ViewOut:
    """A channel, down-sampled so that its extremes stay."""
    view, words, unit = logs.chart_view(
        workshop(),
        actor(),
        path.job_id,
        path.side,
        channel=query.channel,
        points=query.points,
        from_s=query.from_s,
        to_s=query.to_s,
    )
    return ViewOut(
        time_s=view.time_s.round(3).tolist(), values=view.values.tolist(), words=sentence(words), unit=sentence(unit)
    )


@api.post("/noise", responses={201: RunOut}, operation_id="addNoise")
@access("member")
@idempotent
def add_noise(path: RunPath, body: NoiseIn) -> tuple[RunOut, int]:
    """Note a level."""
    return run_out(measure.add_noise(workshop(), actor(), path.job_id, side=path.side, fields=body.model_dump())), 201


@api.post("/spot", responses={201: RunOut}, operation_id="addSpot")
@access("member")
@idempotent
def add_spot(path: RunPath, body: SpotIn) -> tuple[RunOut, int]:
    """Note a spot reading."""
    return run_out(measure.add_spot(workshop(), actor(), path.job_id, side=path.side, fields=body.model_dump())), 201


@api.delete("/<string:what>/<uuid:row_id>", responses={200: RunOut}, operation_id="removeReading")
@access("member")
def remove(path: KindRowPath) -> RunOut:
    """Remove a log or reading; it can be brought back."""
    return run_out(
        measure.set_removed(
            workshop(), actor(), path.job_id, side=path.side, what=path.what, row_id=path.row_id, removed=True
        )
    )


@api.post("/<string:what>/<uuid:row_id>/restore", responses={200: RunOut}, operation_id="restoreReading")
@access("member")
def restore(path: KindRowPath) -> RunOut:
    """Bring a log or reading back."""
    return run_out(
        measure.set_removed(
            workshop(), actor(), path.job_id, side=path.side, what=path.what, row_id=path.row_id, removed=False
        )
    )
