"""Faults on purpose: work goes on while the application and its database are killed, and afterwards all is counted."""

import http.client
import io
import json
import os
import random
import re
import signal
import socket
import statistics
import subprocess
import sys
import threading
import time
import uuid
from dataclasses import dataclass, field
from datetime import UTC, datetime
from pathlib import Path

from PIL import Image
from sqlalchemy import text
from tests.logs import HOT, log_bytes

from vividowl.appliance.cluster import Cluster
from vividowl.appliance.postgres import free_port
from vividowl.store.database import Database

PASSWORD = "four words to remember"
JOB = {
    "customer_name": "Wen",
    "kind": "laptop",
    "maker": "Ondervale",
    "model": "Marrow 15",
    "backup_done": "yes",
    "warranty": "over",
    "seal": "none",
    "limit_c": 95,
}
GIVE_UP_S = 60.0


@dataclass(kw_only=True)
class Counted:
    """What a run of faults came to. recover_s: from each kill to the next thing that was acknowledged."""

    acknowledged: int = 0
    lost: int = 0
    doubled: int = 0
    half_stored: int = 0
    orphaned: int = 0
    kills: int = 0
    recover_s: list[float] = field(default_factory=list)

    def row(self):
        """As a line of a table."""
        median = statistics.median(self.recover_s) if self.recover_s else float("nan")
        worst = max(self.recover_s, default=float("nan"))
        return (
            f"{self.acknowledged} | {self.lost} | {self.doubled} | {self.half_stored} | {self.orphaned} | "
            f"{median:.1f} | {worst:.1f}"
        )


def serving(parent):
    """The process that serves, of a start command."""
    with open(f"/proc/{parent}/task/{parent}/children") as found:
        return int(found.read().split()[0])


class Away(Exception):  # noqa: N818 - reads as what it says
    """Nobody answered, or not with what was asked for; whether it was done is not known."""


class Installation:
    """A start command in a folder of its own, started anew by whoever looks after it when it is killed."""

    def __init__(self, root):
        self.root, self.port = Path(root), free_port()
        self.process = None
        self.cookie = self.token = ""
        self._start()
        code = self.code
        self.refresh()
        body = {"code": code, "shop_name": "One", "name": "Ada", "login": "ada", "password": PASSWORD}
        self.call("POST", "/api/set-up", body)
        self.refresh()

    def _start(self):
        command = [
            sys.executable,
            "-m",
            "vividowl.appliance",
            "--root",
            str(self.root),
            "--empty",
            "--port",
            str(self.port),
        ]
        self.process = subprocess.Popen(
            command, stdout=subprocess.PIPE, stderr=subprocess.DEVNULL, text=True, start_new_session=True
        )
        self._served()

    def _served(self):
        self.code = ""
        for line in self.process.stdout:
            found = re.search(r"http://127\.0\.0\.1:\d+/(?:set-up#(\S+))?", line)
            if found:
                self.code = found.group(1) or ""
                break
        # What it says later goes nowhere; it is not much, and never fills the line.

    def kill(self):
        """All of it, as a power switch would, and start it again."""
        os.killpg(self.process.pid, signal.SIGKILL)
        self._gone()
        self._start()

    def crash(self):
        """Only what serves, as the system does when memory is gone; the rest is the application's own affair."""
        os.kill(serving(self.process.pid), signal.SIGKILL)
        self._served()

    def _gone(self):
        self.process.wait(30)
        self.process.stdout.close()

    def kill_database(self):
        """Its postmaster, while the application goes on."""
        pid_file = Cluster(self.root / "var/pg").data / "postmaster.pid"
        os.kill(int(pid_file.read_text().split("\n")[0]), signal.SIGKILL)

    def stop(self):
        """Stop it as one does."""
        self.process.send_signal(signal.SIGTERM)
        self._gone()

    def call(self, method, path, body=None, data=None):
        """Ask; the answer and its status. Away when nobody answers, or the database does not."""
        line = http.client.HTTPConnection("127.0.0.1", self.port, timeout=20)
        headers = {"X-CSRFToken": self.token, "Cookie": self.cookie}
        if body is not None:
            data, headers["Content-Type"] = json.dumps(body).encode(), "application/json"
        try:
            line.request(method, path, data, headers)
            answer = line.getresponse()
            said = answer.read()
            if cookie := answer.headers.get("Set-Cookie", "").split(";")[0]:
                self.cookie = cookie
        except (OSError, http.client.HTTPException) as error:
            raise Away(str(error)) from error
        finally:
            line.close()
        if answer.status in (500, 502, 503):
            raise Away(said.decode(errors="replace")[:200])
        found = json.loads(said) if said[:1] in (b"{", b"[") else {}
        return found, answer.status

    def refresh(self):
        """The token of the session."""
        self.token = self.call("GET", "/api/session")[0]["csrf_token"]

    def half_upload(self, path):
        """A line that is cut in the middle of a body."""
        with socket.create_connection(("127.0.0.1", self.port), timeout=10) as line:
            head = f"POST {path} HTTP/1.1\r\nHost: 127.0.0.1:{self.port}\r\nCookie: {self.cookie}\r\n"
            head += f"X-CSRFToken: {self.token}\r\nContent-Length: 100000\r\n\r\n"
            line.sendall(head.encode() + b"Time [s],CPU Package [C]\n1,60\n")


class Work:
    """A bench that goes on: each thing is tried until it is acknowledged, as tablets and pages do."""

    def __init__(self, shop, seed):
        self.shop, self.random = shop, random.Random(seed)
        self.turn, self.edits = 0, 0
        self.events, self.photos, self.logs = set(), set(), set()
        self.acknowledged, self.last_at = 0, time.monotonic()
        made, _ = shop.call("POST", "/api/jobs", JOB)
        self.job = made["id"]
        self.version = made["version"]
        plan = shop.call("GET", f"/api/jobs/{self.job}/plan")[0]["version"]
        shop.call("POST", f"/api/jobs/{self.job}/plan/choice", {"version": plan, "key": "clean"})
        picture = io.BytesIO()
        Image.new("RGB", (320, 240), "grey").save(picture, "JPEG")
        self.picture = picture.getvalue()

    def until(self, ask):
        """Try until it is known to be done."""
        began = time.monotonic()
        while True:
            try:
                if ask():
                    break
            except Away:
                pass
            assert time.monotonic() - began < GIVE_UP_S, "it does not come back"
            time.sleep(0.05)
        self.acknowledged += 1
        self.last_at = time.monotonic()

    def one(self):
        """One thing of the four, at random."""
        self.random.choice([self.event, self.event, self.event, self.edit, self.photo, self.upload])()

    def event(self):
        name = str(uuid.uuid4())
        self.turn += 1
        moment = datetime.now(UTC).isoformat()
        body = {
            "device": "faulty",
            "sent_at": moment,
            "events": [
                {
                    "id": name,
                    "kind": "photo",
                    "data": {"photo": name, "what": "step"},
                    "turn": self.turn,
                    "made_at": moment,
                }
            ],
        }
        # An event about a photo that is not there is refused, and kept with its reason: it counts all the same.
        self.until(lambda: self.shop.call("POST", f"/api/jobs/{self.job}/bench/events", body)[1] == 200)
        self.events.add(name)

    def edit(self):
        self.edits += 1
        wanted = f"edit {self.edits}"

        def ask():
            now, _ = self.shop.call("GET", f"/api/jobs/{self.job}")
            if now["symptom"] == wanted:
                self.version = now["version"]
                return True
            body = {**JOB, "version": now["version"], "symptom": wanted}
            return self.shop.call("PUT", f"/api/jobs/{self.job}", body)[1] == 200

        self.until(ask)

    def photo(self):
        name = str(uuid.uuid4())
        data = self.picture + name.encode()  # bytes after the end of a picture are not read
        self.until(lambda: self.shop.call("POST", f"/api/jobs/{self.job}/photos/{name}", data=data)[1] in (200, 201))
        self.photos.add(name)

    def upload(self):
        made = {}

        def take_in():
            found, status = self.shop.call("POST", "/api/jobs", {**JOB, "customer_name": f"Wen {uuid.uuid4()}"})
            made.update(found)
            return status == 201

        self.until(take_in)
        data = log_bytes(HOT, seed=self.random.randrange(10**6))
        path = f"/api/jobs/{made['id']}/runs/before/log?name=hot.csv&again=true"

        def send():
            found, status = self.shop.call("POST", path, data=data)
            return status == 201 or found.get("reason") == "same_file_here"

        self.until(send)
        self.logs.add(made["id"])


def count(installation, work):
    """What is there, held against what was acknowledged. The installation is stopped and read from outside."""
    found = Counted(acknowledged=work.acknowledged)
    cluster = Cluster(installation.root / "var/pg")
    cluster.start()
    database = Database(cluster.url)
    files = installation.root / "var/files"
    with database.engine.connect() as line:
        events = [str(r[0]) for r in line.execute(text("SELECT id FROM bench_event WHERE device = 'faulty'"))]
        numbers = sorted(r[0] for r in line.execute(text("SELECT turn FROM bench_event WHERE device = 'faulty'")))
        photos = {str(r[0]): r[1] for r in line.execute(text("SELECT id, sha256 FROM photo"))}
        traces = line.execute(
            text("SELECT r.job_id, t.sha256 FROM trace_file t JOIN run r ON r.id = t.run_id WHERE t.removed_at IS NULL")
        ).all()
        symptom = line.execute(text("SELECT symptom FROM job WHERE id = :id"), {"id": work.job}).scalar()
    by_job = {}
    for job, sha256 in traces:
        by_job.setdefault(str(job), []).append(sha256)
    found.lost += len(work.events - set(events)) + len(work.photos - set(photos)) + len(work.logs - set(by_job))
    found.lost += symptom != (f"edit {work.edits}" if work.edits else "")
    found.doubled += len(events) - len(set(events)) + len(numbers) - len(set(numbers))
    found.doubled += sum(len(v) - 1 for v in by_job.values())
    wanted = set()
    for sha256 in photos.values():
        wanted |= {f"{sha256}.large.jpg", f"{sha256}.small.jpg"}
    for _, sha256 in traces:
        wanted |= {f"{sha256}.log", f"{sha256}.parquet"}
    there = {p.name for p in files.glob("*/??/*")}
    found.half_stored = len(wanted - there) + len(list((files / "incoming").iterdir()))
    found.orphaned = len(there - wanted)
    database.close()
    cluster.leave()
    return found


def torment(root, seed, *, app_kills=0, crashes=0, database_kills=0, cut=0, things_between=(3, 12)):
    """Kill at random while work goes on; count afterwards."""
    installation = Installation(root)
    work = Work(installation, seed)
    dice = random.Random(seed + 1)
    strikes = {"app": installation.kill, "crash": installation.crash, "database": installation.kill_database}
    kills = ["app"] * app_kills + ["crash"] * crashes + ["database"] * database_kills + ["cut"] * cut
    dice.shuffle(kills)
    recover, working = [], threading.Event()
    failures = []

    def go_on():
        try:
            while not working.is_set():
                work.one()
        except BaseException as error:
            failures.append(error)

    worker = threading.Thread(target=go_on, daemon=True)
    worker.start()
    for kind in kills:
        target = work.acknowledged + dice.randint(*things_between)
        while work.acknowledged < target and not failures:
            time.sleep(0.01)
        assert not failures, failures
        time.sleep(dice.random() * 0.2)
        if kind == "cut":
            installation.half_upload(f"/api/jobs/{work.job}/runs/before/log?name=cut.csv")
            continue
        killed = time.monotonic()
        strikes[kind]()
        while work.last_at < killed and not failures:
            time.sleep(0.01)
        recover.append(work.last_at - killed)
    working.set()
    worker.join(GIVE_UP_S)
    assert not failures, failures
    # The last start takes away what the one before it left half-done.
    installation.kill()
    installation.stop()
    found = count(installation, work)
    found.kills, found.recover_s = len(kills), recover
    return found
