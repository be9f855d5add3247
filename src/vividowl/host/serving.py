"""The web server: streams what comes in, so that a long log is hashed and kept while it is still on its way."""

from __future__ import annotations

from cheroot.wsgi import Server
from flask import Flask

# A tablet that listens to the bench holds one as long as its page is open.
THREADS = 64
BODY_MOST = 210 * 1024 * 1024
# A tablet at the far end of the workshop may pause; a line that says nothing for this long is given up.
SILENT_MOST_S = 120


def make_server(app: Flask, port: int, threads: int = THREADS) -> Server:
    """A server on loopback that listens already; port 0 takes any. Call serve() to run it and stop() to end it."""
    server = Server(("127.0.0.1", port), app, numthreads=threads, timeout=SILENT_MOST_S, server_name="vividowl")
    server.max_request_body_size = BODY_MOST
    server.prepare()
    return server


def port_of(server: Server) -> int:
    """The port it listens on."""
    return int(server.bind_addr[1])
