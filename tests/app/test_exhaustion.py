"""Who holds connections open, sends half a request or listens on many pages stops nobody else."""

import contextlib
import json
import socket
import threading
import time
import urllib.request

import pytest
from flask import request
from tests.web.conftest import PASSWORD, Caller

from vividowl.app import serving
from vividowl.app.serving import make_server, port_of
from vividowl.service.shop import accounts
from vividowl.settings import Settings
from vividowl.store.feed import tell
from vividowl.web.access import access
from vividowl.web.app import create_app


@pytest.fixture
def site(workshop):
    """A served shop: its port and a signed-in cookie."""
    accounts.found_shop(workshop, shop_name="One", name="Ada", login="ada", password=PASSWORD)
    app = create_app(workshop, Settings(secret_key="key", testing=True, cookie_secure=False))
    cookie = Caller(app).sign_in("ada").client.get_cookie("vividowl").value
    server = make_server(app, 0, threads=16)
    thread = threading.Thread(target=server.serve, daemon=True)
    thread.start()
    yield port_of(server), cookie, server
    server.stop()
    thread.join(10)


def dial(port, said=b""):
    line = socket.create_connection(("127.0.0.1", port), timeout=10)
    line.sendall(said)
    return line


def asks(port, cookie):
    request = urllib.request.Request(
        f"http://127.0.0.1:{port}/api/bench/waits", headers={"Cookie": f"vividowl={cookie}"}
    )
    began = time.monotonic()
    with urllib.request.urlopen(request, timeout=20) as answer:  # noqa: S310
        return json.load(answer), time.monotonic() - began


def stream(port, cookie):
    line = dial(
        port, f"GET /api/bench/stream HTTP/1.1\r\nHost: 127.0.0.1:{port}\r\nCookie: vividowl={cookie}\r\n\r\n".encode()
    )
    heard = b""
    while b"event: open" not in heard:
        heard += line.recv(4096)
    assert b"content-length" not in heard.lower()
    return line


def test_seventy_half_open_connections_are_let_go(site, monkeypatch):
    port, cookie, _ = site
    monkeypatch.setattr(serving, "HEAD_MOST_S", 1.0)
    lines = [dial(port, said) for said in (b"", b"GET / HTTP/1.1\r\nHost: 127") for _ in range(35)]
    found, took = asks(port, cookie)
    assert found["waits"] == []
    assert took < 15
    for line in lines:
        line.settimeout(15)
        with contextlib.suppress(OSError):
            while line.recv(4096):
                pass
        line.close()


def test_a_body_that_does_not_come_is_given_up(site, monkeypatch):
    port, cookie, _ = site
    monkeypatch.setattr(serving, "BODY_LEAST_S", 1.0)
    head = f"POST /api/session HTTP/1.1\r\nHost: 127.0.0.1:{port}\r\nContent-Length: 500\r\n\r\n{{"
    line = dial(port, head.encode())
    line.settimeout(10)
    began = time.monotonic()
    with contextlib.suppress(OSError):
        while line.recv(4096):
            pass
    line.close()
    assert time.monotonic() - began < 8
    assert asks(port, cookie)[0]["waits"] == []


def test_streams_take_no_thread_and_a_member_has_so_many(site, workshop):
    port, cookie, server = site
    with contextlib.ExitStack() as open_lines:
        # Far more than there are threads.
        lines = [open_lines.enter_context(stream(port, cookie)) for _ in range(40)]
        listens(server, workshop, port=port, cookie=cookie, lines=lines)
    until = time.monotonic() + 8
    while server.hub.count and time.monotonic() < until:
        time.sleep(0.1)
    assert server.hub.count == 0


def listens(server, workshop, *, port, cookie, lines):
    assert asks(port, cookie)[0]["waits"] == []
    assert server.hub.count <= 12
    with workshop.database.session() as session:
        shop = session.scalars(accounts.select(accounts.Shop.id)).one()
        tell(session, shop, shop, 7)
    lines[-1].settimeout(5)
    heard = b""
    while b'"number": 7' not in heard:
        heard += lines[-1].recv(4096)
    # The oldest was let go, so that its page asks again when it is looked at.
    lines[0].settimeout(5)
    while lines[0].recv(4096):
        pass


def test_what_is_worked_on_for_long_is_answered(workshop, monkeypatch):
    monkeypatch.setattr(serving, "BODY_LEAST_S", 0.5)
    monkeypatch.setattr(serving, "ANSWER_LEAST_S", 0.5)
    app = create_app(workshop, Settings(secret_key="key", testing=True, cookie_secure=False))

    @app.get("/api/slow")
    @access("public")
    def slow():
        request.get_data()
        time.sleep(3)
        return "worked"

    with served(app) as port, dial(port, with_body(port, "/api/slow", b"{}")) as line:
        assert b"worked" in all_of(line)


def test_an_answer_goes_at_the_pace_of_its_line_and_who_takes_nothing_is_let_go(workshop, monkeypatch):
    monkeypatch.setattr(serving, "BODY_LEAST_S", 0.5)
    monkeypatch.setattr(serving, "ANSWER_LEAST_S", 1.0)
    monkeypatch.setattr(serving, "ANSWER_BYTES_S", 3_000_000.0)
    app = create_app(workshop, Settings(secret_key="key", testing=True, cookie_secure=False))
    app.add_url_rule("/api/large", view_func=access("public")(lambda: b"x" * LARGE))
    ask = b"GET /api/large HTTP/1.1\r\nHost: 127.0.0.1\r\nConnection: close\r\n\r\n"
    with served(app) as port:
        with narrow(port) as line:
            line.sendall(ask)
            # Seconds, where what comes in would have been given up after half a one.
            assert len(all_of(line, pause_s=0.02)) > LARGE
        with narrow(port) as line:
            line.sendall(ask)
            time.sleep(4.5)
            assert len(all_of(line)) < LARGE


def test_half_open_lines_of_one_address_do_not_close_it(site, monkeypatch):
    port, cookie, _ = site
    monkeypatch.setattr(serving, "COMING_MOST", 5)
    lines = [dial(port, b"GET / HTTP/1.1\r\nHost: 127") for _ in range(12)]
    assert asks(port, cookie)[0]["waits"] == []
    for line in lines:
        line.close()


def test_sixty_who_come_at_the_same_moment_are_all_let_in(workshop):
    app = create_app(workshop, Settings(secret_key="key", testing=True, cookie_secure=False))
    server = make_server(app, 0, threads=2)
    waiting = [socket.create_connection(("127.0.0.1", port_of(server)), timeout=3) for _ in range(60)]
    assert len(waiting) == 60
    for line in waiting:
        line.close()
    server.stop()


LARGE = 6_000_000


@contextlib.contextmanager
def served(app):
    server = make_server(app, 0, threads=8)
    thread = threading.Thread(target=server.serve, daemon=True)
    thread.start()
    yield port_of(server)
    server.stop()
    thread.join(10)


def with_body(port, path, body):
    head = f"GET {path} HTTP/1.1\r\nHost: 127.0.0.1:{port}\r\nContent-Length: {len(body)}\r\nConnection: close\r\n\r\n"
    return head.encode() + body


def narrow(port):
    line = socket.socket()
    line.setsockopt(socket.SOL_SOCKET, socket.SO_RCVBUF, 32_768)
    line.settimeout(20)
    line.connect(("127.0.0.1", port))
    return line


def all_of(line, pause_s=0.0):
    line.settimeout(20)
    heard = bytearray()
    with contextlib.suppress(OSError):
        while piece := line.recv(65_536):
            heard += piece
            time.sleep(pause_s)
    return bytes(heard)
