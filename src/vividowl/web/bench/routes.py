"""The bench of a job: its list, its events, its stream of news; photos; the clocks of all jobs."""

from __future__ import annotations

import json
import queue
import time
import uuid
from collections.abc import Iterator
from typing import Literal

from flask import Response, request
from pydantic import BaseModel

from vividowl.service.bench import photos
from vividowl.service.bench import view as bench_view
from vividowl.service.bench import work as bench_work
from vividowl.service.bench.taking import Sent, take_events
from vividowl.service.jobs import today as bench_case
from vividowl.service.workshop import Workshop
from vividowl.web.access import access, actor, session_id, takes_body, workshop
from vividowl.web.bench.present import batch_out, bench_out, words_out
from vividowl.web.bench.schemas import BenchOut, PhotoOut, QuietIn, RunningWaitsOut
from vividowl.web.bench.told import BatchOut, BeginIn, EventsIn
from vividowl.web.bench.words import BenchWordsOut
from vividowl.web.blueprint import blueprint
from vividowl.web.jobs.routes import JobPath

api = blueprint("bench", __name__, url_prefix="/api")
PHOTO_BODY_MOST = 31 * 1024 * 1024
# Also how soon a tablet that went away lets go of its thread.
# A page that hears nothing for twelve seconds takes the line as down.
HEARTBEAT_S = 5.0
HELLO, STILL_HERE = b"retry: 1000\nevent: open\ndata: {}\n\n", b"event: here\ndata: {}\n\n"
# Where a server says that it writes to listeners itself, and where a view says for whom.
HUB, HANDED = "vividowl.hub", "vividowl.handed"
_TICK_S = 0.5


class PhotoPath(BaseModel):
    photo_id: uuid.UUID


class JobPhotoPath(JobPath):
    photo_id: uuid.UUID


class SizeQuery(BaseModel):
    size: Literal["large", "small"] = "large"


@api.get("/jobs/<uuid:job_id>/bench", responses={200: BenchOut}, operation_id="getJobBench")
@access("member")
def get_bench(path: JobPath) -> BenchOut:
    """Steps, map, waits and what is open."""
    return bench_out(bench_view.get_bench(workshop(), actor(), path.job_id))


@api.post("/jobs/<uuid:job_id>/bench/list", responses={200: BenchOut}, operation_id="beginBench")
@access("member")
def begin(path: JobPath, body: BeginIn) -> BenchOut:
    """Begin the list from the plan and the model."""
    bench_work.begin(workshop(), actor(), path.job_id, with_model=body.with_model)
    return bench_out(bench_view.get_bench(workshop(), actor(), path.job_id))


@api.put("/jobs/<uuid:job_id>/bench/list", responses={200: BenchOut}, operation_id="renewBench")
@access("member")
def renew(path: JobPath) -> BenchOut:
    """Make the list anew from the plan as it is now."""
    bench_work.renew(workshop(), actor(), path.job_id)
    return bench_out(bench_view.get_bench(workshop(), actor(), path.job_id))


@api.post("/jobs/<uuid:job_id>/bench/events", responses={200: BatchOut}, operation_id="sendEvents")
@access("member")
def send_events(path: JobPath, body: EventsIn) -> BatchOut:
    """Take events in, in order. Each has its own id, so sending twice does nothing twice."""
    sent = [Sent(id=e.id, kind=e.kind, data=e.data, turn=e.turn, made_at=e.made_at) for e in body.events]
    return batch_out(take_events(workshop(), actor(), path.job_id, device=body.device, sent=sent, sent_at=body.sent_at))


@api.get("/bench/stream", operation_id="streamBench", responses={200: {"content": {"text/event-stream": {}}}})
@access("member")
def stream() -> Response:
    """News of the bench as server-sent events: job and number of its latest event."""
    if HUB in request.environ:
        # The server writes to all of them from one thread, once the head is sent.
        request.environ[HANDED] = (actor().shop_id, actor().member_id, session_id())
        # An iterator without an end that is known: a length of nought would tell the browser that this was all.
        return Response(iter(()), mimetype="text/event-stream", headers={"X-Accel-Buffering": "no"})
    return Response(
        _news(workshop(), actor().shop_id), mimetype="text/event-stream", headers={"X-Accel-Buffering": "no"}
    )


def news_bytes(news: bench_case.News) -> bytes:
    """News as an event of the stream."""
    said = {"job": str(news.job_id) if news.job_id else None, "number": news.number}
    return f"event: bench\ndata: {json.dumps(said)}\n\n".encode()


def _news(shop: Workshop, shop_id: uuid.UUID) -> Iterator[bytes]:
    """The same from within, for a server that hands no connection over."""
    feed = shop.database.feed
    with feed.listen(shop_id) as ear:
        yield HELLO
        spoken = time.monotonic()
        while not feed.closing.is_set():
            try:
                news = ear.get(timeout=_TICK_S)
            except queue.Empty:
                if time.monotonic() - spoken > HEARTBEAT_S:
                    spoken = time.monotonic()
                    yield STILL_HERE
                continue
            yield news_bytes(news)


@api.get("/bench/waits", responses={200: RunningWaitsOut}, operation_id="getWaits")
@access("member")
def waits() -> RunningWaitsOut:
    """The clocks of all open jobs."""
    found, now = bench_case.waits(workshop(), actor())
    return RunningWaitsOut(waits=list(found), now=now)


@api.post("/jobs/<uuid:job_id>/bench/quiet", responses={201: RunningWaitsOut}, operation_id="quietWait")
@access("member")
def quiet_wait(path: JobPath, body: QuietIn) -> tuple[RunningWaitsOut, int]:
    """Let the alarm of a wait be quiet on every tablet."""
    bench_case.quiet(workshop(), actor(), path.job_id, wait_id=body.wait_id, minutes=body.minutes)
    return waits(), 201


@api.get("/bench/words", responses={200: BenchWordsOut}, operation_id="getBenchWords")
@access("member")
def words() -> BenchWordsOut:
    """What can be seen, can go wrong, is checked, and how long waits are."""
    return words_out()


@api.post("/jobs/<uuid:job_id>/photos/<uuid:photo_id>", responses={201: PhotoOut}, operation_id="uploadPhoto")
@access("member")
@takes_body(PHOTO_BODY_MOST)
def upload_photo(path: JobPhotoPath) -> tuple[PhotoOut, int]:
    """Upload a photo: the raw bytes are the body. The id is the tablet's, so that a retry never doubles."""
    photo = photos.receive_photo(workshop(), actor(), path.job_id, photo_id=path.photo_id, stream=request.stream)  # type: ignore[arg-type]
    return PhotoOut.model_validate(photo), 201


@api.get("/photos/<uuid:photo_id>", operation_id="getPhoto", responses={200: {"content": {"image/jpeg": {}}}})
@access("member")
def get_photo(path: PhotoPath, query: SizeQuery) -> Response:
    """A photo, large or small."""
    answer = Response(photos.photo_bytes(workshop(), actor(), path.photo_id, query.size), mimetype="image/jpeg")
    # A photo never changes; only who is signed in may see it, so it stays in this browser.
    answer.headers["Cache-Control"] = "private, max-age=86400, immutable"
    return answer
