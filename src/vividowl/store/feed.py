"""News of the bench: told inside a transaction, heard by every process of the installation once it is committed."""

from __future__ import annotations

import json
import queue
import threading
import uuid
from collections.abc import Iterator
from contextlib import contextmanager
from dataclasses import dataclass

import psycopg
import structlog
from sqlalchemy import text
from sqlalchemy.orm import Session

CHANNEL = "vividowl_bench"
QUEUE_MOST = 1000
_LISTEN_S = 0.5
_RETRY_S = 1.0


@dataclass(frozen=True)
class News:
    """Something happened at the bench of a job. number: of its latest event; job_id None: the line was down, look at
    everything anew."""

    job_id: uuid.UUID | None
    number: int


def tell(session: Session, shop_id: uuid.UUID, job_id: uuid.UUID, number: int) -> None:
    """Tell it when the transaction is committed, and only then."""
    said = json.dumps({"shop": str(shop_id), "job": str(job_id), "number": number})
    session.execute(text("SELECT pg_notify(:channel, :said)"), {"channel": CHANNEL, "said": said})


class Feed:
    """Hands news on to whoever listens in this process. One connection listens for all of them."""

    def __init__(self, url: str) -> None:
        self._url = url
        self._lock = threading.Lock()
        self._ears: dict[int, tuple[uuid.UUID, queue.Queue[News]]] = {}
        self._thread: threading.Thread | None = None
        self.closing = threading.Event()

    @contextmanager
    def listen(self, shop_id: uuid.UUID) -> Iterator[queue.Queue[News]]:
        """News of one shop, as long as the block lasts."""
        ear: queue.Queue[News] = queue.Queue(QUEUE_MOST)
        with self._lock:
            self._ears[id(ear)] = (shop_id, ear)
            if self._thread is None and not self.closing.is_set():
                ready = threading.Event()
                self._thread = threading.Thread(target=self._run, args=(ready,), name="bench feed", daemon=True)
                self._thread.start()
            else:
                ready = None
        if ready is not None:
            ready.wait(5)
        try:
            yield ear
        finally:
            with self._lock:
                self._ears.pop(id(ear), None)

    def close(self) -> None:
        """End all streams."""
        self.closing.set()
        if self._thread is not None:
            self._thread.join(5)

    def _run(self, ready: threading.Event) -> None:
        first = True
        while not self.closing.is_set():
            try:
                with psycopg.connect(self._url, autocommit=True) as line:
                    line.execute(f"LISTEN {CHANNEL}")
                    ready.set()
                    if not first:
                        self._spread(None, News(None, 0))
                    first = False
                    while not self.closing.is_set():
                        for note in line.notifies(timeout=_LISTEN_S):
                            found = json.loads(note.payload)
                            self._spread(uuid.UUID(found["shop"]), News(uuid.UUID(found["job"]), int(found["number"])))
            except psycopg.OperationalError as error:
                structlog.get_logger().warning("bench feed", error=str(error))
                ready.set()
                self.closing.wait(_RETRY_S)

    def _spread(self, shop_id: uuid.UUID | None, news: News) -> None:
        with self._lock:
            for shop, ear in self._ears.values():
                if shop_id is None or shop == shop_id:
                    try:
                        ear.put_nowait(news)
                    except queue.Full:
                        # Nobody reads this stream any more; its next write fails and ends it.
                        continue
