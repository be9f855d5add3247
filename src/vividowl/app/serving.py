"""The web server: streams what comes in, so that a long log is hashed and kept while it is still on its way.

Who holds a connection open without saying what it wants is let go after seconds, and one address may hold only so many;
who only listens for news takes no thread at all.
"""

from __future__ import annotations

import contextlib
import socket
import ssl
import sys
import threading
import time
from dataclasses import dataclass
from functools import partial
from pathlib import Path
from typing import Any

import structlog
from cheroot.server import HTTPConnection, HTTPRequest
from cheroot.ssl.builtin import BuiltinSSLAdapter
from cheroot.wsgi import Gateway_10, Server
from flask import Flask

from vividowl.app.streams import Hub
from vividowl.service.shop.accounts import still_open
from vividowl.service.workshop import Workshop
from vividowl.web.bench.routes import HANDED, HEARTBEAT_S, HELLO, HUB, STILL_HERE, news_bytes

THREADS = 64
BODY_MOST = 210 * 1024 * 1024
# A tablet at the far end of the workshop may pause; a line that says nothing for this long is given up.
SILENT_MOST_S = 60
# The head of a request is there in seconds, and a body comes at least at the pace of a poor wireless line. What is
# worked on has an end of its own kind. An answer is taken at least at the pace of a line that one would give up.
HEAD_MOST_S, BODY_LEAST_S, BODY_BYTES_S = 10.0, 60.0, 40_000.0
ANSWER_LEAST_S, ANSWER_BYTES_S = 60.0, 2_000.0
# So many requests of one address may have begun without having said what they want; one more, and the oldest is let go.
COMING_MOST = 40
# So many lines may wait at the door of the system while one is being let in.
WAITING_MOST = 256
# Who asks at once with many others is not silent yet.
SILENT_LEAST_S = 1.0
_WATCH_S = 0.5
# An answer is written in pieces, so that it can be seen to be taken.
_PIECE = 64 * 1024


@dataclass(kw_only=True)
class _Held:
    """A connection and what it is at: its head, its body, the work for it, or its answer."""

    address: str
    since: float
    at: str = "head"
    size: int = 0
    request: HTTPRequest | None = None

    def late(self, now: float) -> bool:
        """Whether it has taken longer than it may."""
        if self.at == "head":
            return now > self.since + HEAD_MOST_S
        if self.at == "body":
            # What has wholly come in is being worked on.
            if getattr(getattr(self.request, "rfile", None), "remaining", 1) == 0:
                return False
            return now > self.since + BODY_LEAST_S + self.size / BODY_BYTES_S
        return now > self.since + ANSWER_LEAST_S + self.size / ANSWER_BYTES_S


class Watch:
    """Knows what each connection is at, and since when."""

    def __init__(self) -> None:
        self._lock = threading.Lock()
        self._held: dict[HTTPConnection, _Held] = {}
        self._closing = threading.Event()
        threading.Thread(target=self._run, name="connections", daemon=True).start()

    def begins(self, connection: HTTPConnection) -> None:
        """A head is awaited."""
        with self._lock:
            self._held[connection] = _Held(address=str(getattr(connection, "remote_addr", "")), since=time.monotonic())

    def body(self, connection: HTTPConnection, size: int, request: HTTPRequest) -> None:
        """The head is there, a body of some size follows."""
        self._now_at(connection, "body", size, request)

    def answers(self, connection: HTTPConnection, size: int) -> None:
        """So many bytes of an answer are about to go out."""
        with self._lock:
            held = self._held.get(connection)
            if held is not None and held.at == "answer":
                held.size += size
                return
        self._now_at(connection, "answer", size, None)

    def _now_at(self, connection: HTTPConnection, at: str, size: int, request: HTTPRequest | None) -> None:
        with self._lock:
            held = self._held.get(connection)
            if held is not None:
                self._held[connection] = _Held(
                    address=held.address, since=time.monotonic(), at=at, size=size, request=request
                )

    def done(self, connection: HTTPConnection) -> None:
        """It has its answer, or is gone."""
        with self._lock:
            self._held.pop(connection, None)

    def close(self) -> None:
        """Watch no more."""
        self._closing.set()

    def _run(self) -> None:
        while not self._closing.wait(_WATCH_S):
            now = time.monotonic()
            with self._lock:
                late = [c for c, held in self._held.items() if held.late(now)] + self._too_many(now)
            for connection in late:
                _let_go(connection)

    def _too_many(self, now: float) -> list[HTTPConnection]:
        """Who has said nothing for longest makes room, so that one address that opens lines and says nothing does not
        close it for the others behind it."""
        heads: dict[str, list[HTTPConnection]] = {}
        for connection, held in self._held.items():
            if held.at == "head" and now > held.since + SILENT_LEAST_S:
                heads.setdefault(held.address, []).append(connection)
        return [c for silent in heads.values() for c in silent[: max(0, len(silent) - COMING_MOST)]]


def _let_go(connection: HTTPConnection) -> None:
    with contextlib.suppress(OSError):
        connection.socket.shutdown(socket.SHUT_RDWR)


class _Request(HTTPRequest):
    """A request that is watched from its first byte to the last one of its answer."""

    def parse_request(self) -> None:
        watch: Watch = self.server.watch
        watch.begins(self.conn)
        super().parse_request()
        if self.ready:
            watch.body(self.conn, int(self.inheaders.get(b"Content-Length", 0) or 0), self)

    def write(self, chunk: bytes) -> None:
        for at in range(0, len(chunk), _PIECE):
            piece = chunk[at : at + _PIECE]
            self.server.watch.answers(self.conn, len(piece))
            super().write(piece)

    def respond(self) -> None:
        try:
            super().respond()
        finally:
            self.server.watch.done(self.conn)


class _Connection(HTTPConnection):
    """A connection that is watched, and that may be handed over."""

    RequestHandlerClass = _Request
    handed = False

    def communicate(self) -> Any:  # noqa: ANN401 - as the library has it
        try:
            return super().communicate()  # type: ignore[no-untyped-call]
        finally:
            self.server.watch.done(self)

    def close(self) -> None:
        if not self.handed:
            super().close()
            return
        # The line lives on in the hub: only this end of it is closed. A line under TLS has one end, which the hub has.
        self.rfile.close()
        if not isinstance(self.socket, ssl.SSLSocket):
            self.socket.close()


class _Gateway(Gateway_10):
    """Hands a connection that only listens to the hub once its head is sent."""

    def get_environ(self) -> Any:  # noqa: ANN401
        return {**super().get_environ(), HUB: self.req.server.hub}  # type: ignore[no-untyped-call]

    def start_response(self, status: str, headers: Any, exc_info: Any = None) -> Any:  # noqa: ANN401
        if HANDED in self.env:
            # Without a length and without chunks: it ends when it ends.
            self.req.response_protocol = "HTTP/1.0"
        return super().start_response(status, headers, exc_info)

    def respond(self) -> None:
        super().respond()
        if HANDED in self.env:
            shop_id, member_id, session_id = self.env[HANDED]
            connection = self.req.conn
            line = connection.socket
            if not isinstance(line, ssl.SSLSocket):
                line = socket.socket(fileno=socket.dup(line.fileno()))
            connection.handed = True
            self.req.close_connection = True
            self.req.server.hub.take(line, shop_id, member_id, session_id)


class _Tls(BuiltinSSLAdapter):
    """TLS whose handshake is left to the thread that reads the request: who connects and says nothing then holds up one
    thread for the seconds that a head may take, and not everyone who connects after."""

    def wrap(self, sock: socket.socket) -> tuple[ssl.SSLSocket, dict[str, str]]:
        line = self.context.wrap_socket(sock, server_side=True, do_handshake_on_connect=False)
        return line, {"wsgi.url_scheme": "https", "HTTPS": "on"}


class ShopServer(Server):
    """The server with its hub and its watch, which end with it."""

    hub: Hub
    watch: Watch

    def error_log(self, msg: str = "", level: int = 20, traceback: bool = False) -> None:
        # Who does not trust the authority breaks the handshake off: that is their answer and no fault of ours.
        broken_off = isinstance(sys.exc_info()[1], ssl.SSLError)
        structlog.get_logger().log(max(level, 30), msg, exc_info=(traceback and not broken_off) or None)

    def stop(self) -> None:
        self.hub.close()
        self.watch.close()
        super().stop()


def make_server(
    app: Flask,
    port: int,
    threads: int = THREADS,
    *,
    address: str = "127.0.0.1",
    certificate: tuple[Path, Path] | None = None,
    shared: bool = False,
) -> ShopServer:
    """A server that listens already; port 0 takes any. Call serve() to run it and stop() to end it.

    certificate: the file and that of its key; without one it speaks plain HTTP, for loopback or a proxy. shared: other
    processes listen on the same port, and the system spreads who comes.
    """
    workshop: Workshop = app.extensions["workshop"]
    server = ShopServer((address, port), app, numthreads=threads, timeout=SILENT_MOST_S, server_name="vividowl")
    server.reuse_port = shared
    if certificate is not None:
        server.ssl_adapter = _Tls(*map(str, certificate))
        context = server.ssl_adapter.context
        context.minimum_version = ssl.TLSVersion.TLSv1_2
        # Of TLS 1.2 only what still counts as sound: forward secrecy and authenticated encryption (RFC 9325, 4.2).
        context.set_ciphers("ECDHE+AESGCM:ECDHE+CHACHA20")
    server.request_queue_size = WAITING_MOST
    server.max_request_body_size = BODY_MOST
    server.gateway, server.ConnectionClass = _Gateway, _Connection
    server.hub = Hub(
        workshop.database.feed,
        news_bytes,
        hello=HELLO,
        still=STILL_HERE,
        heartbeat_s=HEARTBEAT_S,
        may_listen=partial(still_open, workshop),
    )
    server.watch = Watch()
    server.prepare()
    return server


def port_of(server: ShopServer) -> int:
    """The port it listens on."""
    return int(server.bind_addr[1])
