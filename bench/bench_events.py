"""The event log under load: five clients on one job over real connections, none lost and none doubled.

    python bench/bench_events.py [EVENTS_PER_CLIENT]

Prints writes a second as a ratio of what is promised (100 a second), and how long a 500-step job with 300 photos takes
to open, as a ratio of the second that is allowed. Needs PostgreSQL; makes and throws away its own cluster.
"""

import http.client
import io
import json
import logging
import multiprocessing
import shutil
import sys
import tempfile
import threading
import time
import uuid
from contextlib import ExitStack
from datetime import UTC, datetime
from pathlib import Path

import structlog

from vividowl.app.serving import make_server, port_of
from vividowl.appliance.cluster import Cluster
from vividowl.service.bench import photos
from vividowl.service.bench import work as bench_work
from vividowl.service.bench.store import load_log
from vividowl.service.bench.taking import Sent, take_events
from vividowl.service.jobs import intake
from vividowl.service.shop import accounts
from vividowl.service.workshop import Workshop
from vividowl.settings import Settings
from vividowl.store.database import Database
from vividowl.store.files import FileStore
from vividowl.web.app import create_app

CLIENTS, PROMISED_PER_S, OFFERED_PER_S, OPEN_ALLOWED_S = 5, 100.0, 125.0, 1.0
TAKEN_IN = {
    "customer_name": "Bench",
    "kind": "laptop",
    "model": "Marrow 15",
    "warranty": "over",
    "seal": "none",
    "backup_done": "yes",
}


class Client:
    """A tablet: one connection, one cookie, its own turns."""

    def __init__(self, port: int) -> None:
        self.line = http.client.HTTPConnection("127.0.0.1", port)
        self.headers = {"Content-Type": "application/json"}
        session, cookie = self.call("GET", "/api/session")
        self.headers |= {"X-CSRFToken": session["csrf_token"], "Cookie": cookie}
        _, cookie = self.call("POST", "/api/session/demo", {})
        self.headers["Cookie"] = cookie
        session, cookie = self.call("GET", "/api/session")
        self.headers |= {"X-CSRFToken": session["csrf_token"], "Cookie": cookie or self.headers["Cookie"]}
        self.name, self.turn = f"bench-{uuid.uuid4()}", 0

    def call(self, method: str, path: str, body=None):
        self.line.request(method, path, json.dumps(body) if body is not None else None, self.headers)
        answer = self.line.getresponse()
        data = json.loads(answer.read())
        assert answer.status < 300, data
        cookie = answer.headers.get("Set-Cookie", "").split(";")[0]
        return data, cookie

    def note(self, job: str, words: list[str]) -> None:
        """Send some notes in one go, as an outbox does with what waits."""
        now = datetime.now(UTC).isoformat()
        events = []
        for text in words:
            self.turn += 1
            events.append(
                {"id": str(uuid.uuid4()), "kind": "note", "data": {"words": text}, "turn": self.turn, "made_at": now}
            )
        body = {"device": self.name, "sent_at": now, "events": events}
        answer, _ = self.call("POST", f"/api/jobs/{job}/bench/events", body)
        assert all(t["refusal"] is None for t in answer["taken"]), answer


def work(port: int, job: str, *, each: int, per_s: float | None, out) -> None:
    """One tablet, a process of its own. It does something so many times a second and sends what waits in one go, as the
    outbox of the page does; without a pace it sends one event a request as fast as it can."""
    client = Client(port)
    out.put((client.name, 0.0, 0.0))
    began, sent, late = time.perf_counter(), 0, 0.0
    while sent < each:
        due = each if per_s is None else min(each, int((time.perf_counter() - began) * per_s))
        if due <= sent:
            time.sleep(0.002)
            continue
        until = sent + 1 if per_s is None else due
        client.note(job, [f"{client.name} {k}" for k in range(sent, until)])
        if per_s is not None:
            late = max(late, time.perf_counter() - began - (sent + 1) / per_s)
        sent = until
    out.put((client.name, time.perf_counter() - began, late))


def rate(port: int, job: str, each: int, per_s: float | None) -> tuple[float, float]:
    """Writes a second of five tablets and the longest wait for an answer [s], with a check that each write arrived once
    and in the order of its tablet."""
    fresh = multiprocessing.get_context("spawn")
    out = fresh.Queue()
    tablets = [fresh.Process(target=work, args=(port, job, each, per_s, out)) for _ in range(CLIENTS)]
    for tablet in tablets:
        tablet.start()
    told = [out.get(timeout=120) for _ in range(2 * CLIENTS)]
    for tablet in tablets:
        tablet.join()
    notes = [n["words"] for n in Client(port).call("GET", f"/api/jobs/{job}/bench")[0]["notes"]]
    ends = [t for t in told if t[1]]
    for name, _, _ in ends:
        mine = [n for n in notes if n.startswith(name)]
        assert mine == [f"{name} {i}" for i in range(each)], "lost, doubled or out of order"
    return CLIENTS * each / max(seconds for _, seconds, _ in ends), max(late for _, _, late in ends)


def large_job(workshop: Workshop, owner, job: uuid.UUID) -> None:
    """500 steps of its own and 300 photos."""
    from PIL import Image

    out = io.BytesIO()
    Image.effect_noise((640, 480), 60).convert("RGB").save(out, "JPEG")
    sent, now = [], datetime.now(UTC)
    with workshop.scope(owner) as scope:
        first = load_log(workshop, scope, job).log.state.steps[0].id
    for i in range(500):
        data = {"step": {"id": f"own{i}", "stage": "clean", "text": f"Step of its own, number {i}"}, "after": first}
        sent.append(Sent(id=uuid.uuid4(), kind="step_added", data=data, turn=len(sent) + 1, made_at=now))
    for _ in range(300):
        photo = uuid.uuid4()
        photos.receive_photo(workshop, owner, job, photo_id=photo, stream=io.BytesIO(out.getvalue()))
        data = {"photo": str(photo), "what": "step", "step": first}
        sent.append(Sent(id=uuid.uuid4(), kind="photo", data=data, turn=len(sent) + 1, made_at=now))
    batch = take_events(workshop, owner, job, device="maker", sent=sent, sent_at=now)
    refused = [t.refusal for t in batch.taken if t.refusal]
    assert not refused, refused[0]


def main() -> None:
    """Run both."""
    structlog.configure(wrapper_class=structlog.make_filtering_bound_logger(logging.ERROR))
    each = int(sys.argv[1]) if len(sys.argv) > 1 else 100
    folder = Path(tempfile.mkdtemp(prefix="vividowl-bench-"))
    folder.chmod(0o755)
    # A cluster as in use, that waits for the disk: a throw-away one would flatter.
    cluster = Cluster(folder / "pg")
    cluster.start()
    with ExitStack() as ends:
        ends.callback(shutil.rmtree, folder, ignore_errors=True)
        ends.callback(cluster.stop)
        database = Database(cluster.url)
        ends.callback(database.close)
        database.migrate()
        workshop = Workshop(database=database, files=FileStore(folder / "files"))
        owner = accounts.found_shop(
            workshop, shop_name="Bench", name="Ada", login="ada", password=None, demo=True
        ).actor
        settings = Settings(secret_key="bench", demo_sign_in=True, cookie_secure=False)  # noqa: S106
        server = make_server(create_app(workshop, settings), 0)
        ends.callback(server.stop)
        ends.callback(database.feed.close)
        threading.Thread(target=server.serve, daemon=True).start()
        port = port_of(server)
        job = intake.create_job(workshop, owner, TAKEN_IN).job.id
        bench_work.begin(workshop, owner, job, with_model=False)
        found, late = rate(port, str(job), each, OFFERED_PER_S / CLIENTS)
        share = found / PROMISED_PER_S
        print(
            f"five tablets offer {OFFERED_PER_S:.0f} a second: {found:.0f} taken, {share:.2f} of those promised; "
            f"none lost, none doubled; longest until answered {late:.2f} s"
        )
        found, _ = rate(port, str(job), each, None)
        share = found / PROMISED_PER_S
        print(f"one event a request, as fast as it goes: {found:.0f} a second, {share:.2f}; none lost, none doubled")
        large = intake.create_job(workshop, owner, TAKEN_IN).job.id
        bench_work.begin(workshop, owner, large, with_model=False)
        large_job(workshop, owner, large)
        client = Client(port)
        for words, forget in (("from its events", True), ("from the copy kept", False)):
            if forget:
                workshop.bench_logs.clear()
            began = time.perf_counter()
            client.call("GET", f"/api/jobs/{large}/bench")
            seconds = time.perf_counter() - began
            print(f"500 steps, 300 photos, {words}: {seconds:.2f} s, {seconds / OPEN_ALLOWED_S:.2f} of what is allowed")


if __name__ == "__main__":
    main()
