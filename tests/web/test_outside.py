"""Reached from outside through a proxy: what customers may, by which name, and who counts as who."""

import contextlib
import http.client
import json
import threading
import time
import uuid
from http.server import BaseHTTPRequestHandler, ThreadingHTTPServer

import pytest
from tests.app.test_exhaustion import stream
from tests.web.conftest import Caller

from vividowl.app import serving
from vividowl.app.serving import make_server, port_of
from vividowl.appliance import launch
from vividowl.appliance.errors import LaunchError
from vividowl.service.shop import accounts, people
from vividowl.settings import Settings
from vividowl.web.app import create_app
from vividowl.web.record.links import token_of

NAME = "records.example.org"


class Proxy(BaseHTTPRequestHandler):
    """A stand-in for the shop's own proxy: it passes on what comes in, says who asked, and may rewrite the name."""

    protocol_version = "HTTP/1.1"
    to, client, rewrites, header = 0, "203.0.113.7", False, "X-Forwarded-For"

    def _pass(self):
        body = self.rfile.read(int(self.headers.get("Content-Length", 0)))
        line = http.client.HTTPConnection("127.0.0.1", self.to, timeout=20)
        told = {k: v for k, v in self.headers.items() if k.lower() not in ("host", "connection")}
        told |= {self.header: self.client, "X-Forwarded-Proto": "https"}
        told["Host"] = f"127.0.0.1:{self.to}" if self.rewrites else self.headers["Host"]
        if self.rewrites:
            told["X-Forwarded-Host"] = self.headers["Host"]
        with contextlib.closing(line):
            line.request(self.command, self.path, body or None, told)
            answer = line.getresponse()
            data = answer.read()
        self.send_response(answer.status)
        for name, value in answer.getheaders():
            if name.lower() not in ("transfer-encoding", "content-length", "connection"):
                self.send_header(name, value)
        self.send_header("Content-Length", str(len(data)))
        self.end_headers()
        self.wfile.write(data)

    do_GET = do_POST = do_HEAD = _pass  # noqa: N815 - as the library has it

    def handle(self):
        with contextlib.suppress(ConnectionError):
            super().handle()

    def log_message(self, *_args):
        """Say nothing."""


@contextlib.contextmanager
def reached(workshop, *, header="X-Forwarded-For", **given):
    """The application behind a proxy: ports of both, and the proxy itself."""
    app = create_app(workshop, Settings(secret_key="key", public=(NAME,), proxies=("127.0.0.1",), proxy_header=header))
    server = make_server(app, 0, threads=8)
    handler = type("Own", (Proxy,), {"to": port_of(server), "header": header, **given})
    proxy = ThreadingHTTPServer(("127.0.0.1", 0), handler)
    threads = [threading.Thread(target=t, daemon=True) for t in (server.serve, proxy.serve_forever)]
    for thread in threads:
        thread.start()
    try:
        yield app, handler, proxy.server_address[1]
    finally:
        proxy.shutdown()
        proxy.server_close()
        server.stop()


def ask(port, path, *, host=NAME, body=None, headers=None, method=None):
    line = http.client.HTTPConnection("127.0.0.1", port, timeout=20)
    told = {"Host": host, **(headers or {})}
    if body is not None:
        body, told = json.dumps(body).encode(), {**told, "Content-Type": "application/json"}
    with contextlib.closing(line):
        line.request(method or ("POST" if body else "GET"), path, body, told)
        answer = line.getresponse()
        return answer.status, dict(answer.getheaders()), answer.read()


@pytest.fixture
def linked(app, ada):
    """A record that was handed over, with its link; the token is signed by the key of the application."""
    job = ada.served_job()
    body = {
        "version": ada.call("GET", f"/api/jobs/{job}")["version"],
        "handed_over": True,
        "price_cents": 100,
        "why": "",
    }
    ada.call("PUT", f"/api/jobs/{job}/hand-over", body)
    return ada.call("POST", f"/api/jobs/{job}/links", {}, status=201)["id"]


def token(app, link):
    with app.test_request_context():
        return token_of(uuid.UUID(link))


@pytest.mark.parametrize("rewrites", [False, True], ids=["name kept", "name rewritten"])
def test_customers_reach_their_record_under_a_public_name_and_nothing_else(workshop, linked, rewrites):
    with reached(workshop, rewrites=rewrites) as (app, _, port):
        good = token(app, linked)
        status, headers, _ = ask(port, f"/r/{good}")
        assert status == 200
        assert headers["Strict-Transport-Security"].startswith("max-age=")
        assert json.loads(ask(port, f"/api/open/{good}")[2])["record"]["shop_name"] == "One"
        assert ask(port, f"/api/open/{good}/record.pdf")[2].startswith(b"%PDF")
        assert ask(port, "/check")[0] == 200
        for path in ("/", "/jobs", "/api/jobs", "/api/openapi.json", "/api/health"):
            assert ask(port, path)[0] == 404, path
        assert ask(port, "/api/session/demo", body={})[0] in (403, 404)
        assert ask(port, f"/r/{good}", host="elsewhere.example.org")[0] == 400


@pytest.mark.parametrize("rewrites", [False, True], ids=["name kept", "name rewritten"])
def test_a_page_of_ours_may_send_from_the_public_name(workshop, shop, rewrites):
    with reached(workshop, rewrites=rewrites) as (_, _, port):
        sent = {"Origin": f"https://{NAME}", "Sec-Fetch-Site": "same-origin"}
        status, _, said = ask(port, "/api/quotes/none/answer", body={"key": "", "words": ""}, headers=sent)
        assert json.loads(said)["reason"] != "origin", status
        foreign = {"Origin": "https://elsewhere.example.org"}
        said = ask(port, "/api/quotes/none/answer", body={"key": "", "words": ""}, headers=foreign)[2]
        assert json.loads(said)["reason"] == "origin"


@pytest.mark.parametrize("header", ["X-Forwarded-For", "X-Real-IP"])
def test_guesses_count_by_the_address_that_the_proxy_names_and_no_good_link_is_locked_out(workshop, linked, header):
    with reached(workshop, header=header, client="203.0.113.7") as (app, handler, port):
        good = token(app, linked)
        # What a stranger writes into the header is theirs; what the proxy adds counts.
        told = [
            ask(port, f"/api/open/made-up-{i}", headers={"X-Forwarded-For": f"198.51.100.{i}"})[0] for i in range(24)
        ]
        assert told == [404] * 20 + [429] * 4
        assert ask(port, f"/api/open/{good}")[0] == 200
        handler.client = "203.0.113.8"
        assert ask(port, "/api/open/made-up")[0] == 404


def test_a_header_counts_from_the_proxy_alone(workshop, shop):
    app = create_app(workshop, Settings(secret_key="key", proxies=("10.0.0.1",), demo_sign_in=True))
    with app.test_client() as client:
        for i in range(21):
            told = client.get(f"/api/open/x{i}", headers={"X-Forwarded-For": f"198.51.100.{i}"}).status_code
        assert told == 429


@pytest.mark.parametrize(
    "header", ["X-Forwarded-For", "X-Forwarded-Proto", "Forwarded", "Via", "X-Real-IP", "CF-Connecting-IP",
               "True-Client-IP", "X-Client-IP", "X-Forwarded-Server"]
)  # fmt: skip
@pytest.mark.parametrize("value", ["", "198.51.100.1"], ids=["empty", "named"])
def test_the_demo_opens_itself_to_nobody_whose_request_was_passed_on(workshop, header, value):
    accounts.found_shop(workshop, shop_name="Demo", name="Ida", login="ida", password=None, demo=True)
    app = create_app(workshop, Settings(secret_key="key", demo_sign_in=True, testing=True, cookie_secure=False))
    client = app.test_client()
    assert client.get("/api/session").get_json()["demo_available"]
    assert not client.get("/api/session", headers={header: value}).get_json()["demo_available"]


@pytest.mark.parametrize(
    ("given", "says"),
    [
        (["--public", "records"], "no name of the outside"),
        (["--public", "https://records.example.org"], "no name of the outside"),
        (["--proxy", "proxy.example.org"], "no address of a proxy"),
        (["--proxy-header", "X Real: IP"], "no header"),
    ],
)
def test_what_may_not_be_given_is_told(given, says):
    with pytest.raises(LaunchError, match=says):
        launch.outside(launch._arguments(given))
    found = launch.outside(launch._arguments(["--public", "Records.Example.org.", "--proxy", "10.0.0.0/24"]))
    assert found == {"public": (NAME,), "proxies": ("10.0.0.0/24",), "proxy_header": "X-Forwarded-For"}


def test_no_file_of_the_system_is_told_from_one_that_is_not_there(app):
    client = app.test_client()
    told = [client.get(f"/.%2e/.%2e/.%2e/.%2e/.%2e/.%2e/.%2e/.%2e/.%2e{at}") for at in ("/etc/passwd", "/etc/nobody")]
    assert told[0].status_code == told[1].status_code == 404


def test_pages_send_no_form_elsewhere(app):
    assert "form-action 'none'" in app.test_client().get("/").headers["Content-Security-Policy"]


def test_who_is_shut_out_hears_no_more_and_an_old_cookie_stays_dead(workshop, shop, monkeypatch):
    monkeypatch.setattr(serving, "HEARTBEAT_S", 0.5)
    app = create_app(workshop, Settings(secret_key="key", testing=True, cookie_secure=False))
    tom = Caller(app).sign_in("tom")
    cookie = tom.client.get_cookie("vividowl").value
    server = make_server(app, 0, threads=8)
    threading.Thread(target=server.serve, daemon=True).start()
    try:
        with stream(port_of(server), cookie) as line:
            with workshop.database.session() as session:
                member = (
                    session.scalars(accounts.select(accounts.Member).where(accounts.Member.login == "tom")).one().id
                )
            people.set_active(workshop, shop.actor, member, active=False)
            line.settimeout(10)
            began = time.monotonic()
            while line.recv(4096):
                pass
            assert time.monotonic() - began < 8
    finally:
        server.stop()
    people.set_active(workshop, shop.actor, member, active=True)
    assert tom.call("GET", "/api/session")["person"] is None


def test_files_of_an_older_version_are_their_owners_again(tmp_path):
    (tmp_path / "a").mkdir()
    (tmp_path / "a/log.bin").write_bytes(b"x")
    for path, mode in ((tmp_path / "a/log.bin", 0o644), (tmp_path / "a", 0o755), (tmp_path, 0o755)):
        path.chmod(mode)
    launch._for_the_owner_alone(tmp_path)
    assert [p.stat().st_mode & 0o777 for p in (tmp_path, tmp_path / "a", tmp_path / "a/log.bin")] == [
        0o700,
        0o700,
        0o600,
    ]
