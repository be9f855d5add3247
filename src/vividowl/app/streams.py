"""Streams of news without a thread each: a connection that only listens is handed from the server to one hub."""

from __future__ import annotations

import contextlib
import queue
import socket
import ssl
import threading
import time
import uuid
from collections.abc import Callable, Collection, Sequence
from contextlib import ExitStack
from dataclasses import dataclass, field

from sqlalchemy.exc import SQLAlchemyError

from vividowl.store.feed import Feed, News

# A member has a few tablets with a few pages each; the oldest page beyond that is let go and asks again when it is
# looked at.
A_MEMBER_MOST, ALL_MOST = 12, 600
LOOK_EVERY_S = 0.1


@dataclass(kw_only=True)
class _Ear:
    """A connection that listens, and what is for it."""

    line: socket.socket
    member_id: uuid.UUID
    session_id: uuid.UUID
    news: queue.Queue[News]
    leave: ExitStack
    over: bool = False
    spoken: float = field(default_factory=time.monotonic)


class Hub:
    """One thread that writes to all of them. Who does not take what is written is let go, and asks again."""

    def __init__(
        self,
        feed: Feed,
        written: Callable[[News], bytes],
        *,
        hello: bytes,
        still: bytes,
        heartbeat_s: float,
        may_listen: Callable[[Collection[uuid.UUID]], set[uuid.UUID]],
    ) -> None:
        self._feed, self._written, self._hello, self._still = feed, written, hello, still
        self._heartbeat_s, self._may_listen = heartbeat_s, may_listen
        self._lock = threading.Lock()
        self._ears: list[_Ear] = []
        self._thread: threading.Thread | None = None
        self._closing = threading.Event()

    def take(self, line: socket.socket, shop_id: uuid.UUID, member_id: uuid.UUID, session_id: uuid.UUID) -> None:
        """Take a connection over whose head has been sent."""
        line.setblocking(False)
        leave = ExitStack()
        ear = _Ear(
            line=line,
            member_id=member_id,
            session_id=session_id,
            news=leave.enter_context(self._feed.listen(shop_id)),
            leave=leave,
        )
        if not self._say(ear, self._hello):
            self._let_go(ear)
            return
        with self._lock:
            staying = [e for e in self._ears if not e.over]
            own = [e for e in staying if e.member_id == member_id]
            # Only the thread that writes lets go: the number of a closed line is soon that of another one.
            for old in own[: max(0, len(own) - A_MEMBER_MOST + 1)] or staying[: max(0, len(staying) - ALL_MOST + 1)]:
                old.over = True
            self._ears.append(ear)
            if self._thread is None:
                self._thread = threading.Thread(target=self._run, name="streams", daemon=True)
                self._thread.start()

    @property
    def count(self) -> int:
        """How many listen."""
        return sum(not ear.over for ear in self._ears)

    def close(self) -> None:
        """Let all of them go."""
        self._closing.set()
        if self._thread is not None:
            self._thread.join(5)

    def _run(self) -> None:
        asked = time.monotonic()
        while not self._closing.wait(LOOK_EVERY_S) and not self._feed.closing.is_set():
            with self._lock:
                ears = list(self._ears)
            if ears and time.monotonic() - asked > self._heartbeat_s:
                asked = time.monotonic()
                self._ask(ears)
            gone = [ear for ear in ears if ear.over or not self._serve(ear)]
            if gone:
                with self._lock:
                    self._ears = [e for e in self._ears if e not in gone]
                for ear in gone:
                    self._let_go(ear)
        with self._lock:
            left, self._ears = self._ears, []
        for ear in left:
            self._let_go(ear)

    def _ask(self, ears: Sequence[_Ear]) -> None:
        """Who was signed out or withdrawn meanwhile hears no more."""
        # With the database away nothing is heard either, and it is asked again.
        with contextlib.suppress(SQLAlchemyError):
            open_ = self._may_listen({ear.session_id for ear in ears})
            for ear in ears:
                ear.over = ear.over or ear.session_id not in open_

    def _serve(self, ear: _Ear) -> bool:
        said = b""
        with contextlib.suppress(queue.Empty):
            while True:
                said += self._written(ear.news.get_nowait())
        now = time.monotonic()
        if not said and now - ear.spoken > self._heartbeat_s:
            said = self._still
        if said:
            ear.spoken = now
            return self._say(ear, said)
        try:
            return ear.line.recv(1) != b""
        except (BlockingIOError, ssl.SSLWantReadError, ssl.SSLWantWriteError):
            return True
        except OSError:
            return False

    @staticmethod
    def _say(ear: _Ear, said: bytes) -> bool:
        try:
            return ear.line.send(said) == len(said)
        except OSError:
            return False

    @staticmethod
    def _let_go(ear: _Ear) -> None:
        ear.leave.close()
        with contextlib.suppress(OSError):
            ear.line.shutdown(socket.SHUT_RDWR)
        ear.line.close()
