"""The shop's network: HTTPS with the shop's own authority, which may speak for a shop's network and nothing else."""

import http.client
import json
import socket
import ssl
import threading
import time
from contextlib import closing
from datetime import UTC, datetime, timedelta

import pytest
from cryptography import x509

from vividowl.appliance import authority, lan
from vividowl.appliance.errors import LaunchError
from vividowl.appliance.paths import Places
from vividowl.appliance.postgres import free_port
from vividowl.service.shop import accounts
from vividowl.settings import LOOPBACK, Settings
from vividowl.web.app import create_app

PASSWORD = "four quiet heron words"


@pytest.fixture(scope="module")
def tls(tmp_path_factory):
    """An authority and a certificate for loopback."""
    return authority.identity(tmp_path_factory.mktemp("tls"), ["127.0.0.1", "bench.local"])


def trusting(found):
    return ssl.create_default_context(cadata=found.authority)


def test_the_authority_stays_and_the_certificate_follows_the_names(tmp_path):
    first = authority.identity(tmp_path, ["192.168.1.20", "bench.local"])
    again = authority.identity(tmp_path, ["192.168.1.20", "bench.local"])
    assert (first.fingerprint, first.certificate.read_bytes()) == (again.fingerprint, again.certificate.read_bytes())
    certificate = first.certificate.read_bytes()
    moved = authority.identity(tmp_path, ["10.0.0.5"])
    assert moved.fingerprint == first.fingerprint
    assert moved.certificate.read_bytes() != certificate
    for path in (first.key, tmp_path / "authority.pem"):
        assert path.stat().st_mode & 0o077 == 0
    own = x509.load_pem_x509_certificate(moved.certificate.read_bytes())
    days = own.not_valid_after_utc - own.not_valid_before_utc
    assert days < timedelta(days=825)
    assert own.not_valid_before_utc < datetime.now(UTC) - timedelta(hours=24)


def test_the_authority_is_good_for_a_network_of_ones_own_only(tmp_path):
    found = authority.identity(tmp_path, ["192.168.1.20"])
    root = x509.load_der_x509_certificate(found.authority)
    limits = root.extensions.get_extension_for_class(x509.NameConstraints)
    assert limits.critical
    permitted = {str(name.value) for name in limits.value.permitted_subtrees}
    assert "192.168.0.0/16" in permitted
    assert "local" in permitted
    for host, may in [("192.168.1.20", True), ("bench.local", True), ("fd00::5", True), ("8.8.8.8", False),
                      ("example.org", False), ("notlocal", False)]:  # fmt: skip
        assert authority.speaks_for(host) is may, host


@pytest.mark.parametrize(
    ("options", "says"),
    [
        ({"bind": "everywhere"}, "no address to listen on"),
        ({"hosts": ["fd00::5"]}, "IPv4 address or a name"),
        ({"hosts": ["shop.example.org"]}, "no address of a shop's own network"),
        ({"port": 70000}, "does not exist"),
    ],
)
def test_what_cannot_be_served_says_what_to_do(tmp_path, options, says):
    with pytest.raises(LaunchError, match=says):
        lan.network(Places(tmp_path), **{"bind": "0.0.0.0", "hosts": ["10.0.0.5"], "port": 8443, **options})  # noqa: S104


@pytest.fixture
def network(workshop, tls):
    """A network on loopback, with two free ports after each other."""
    accounts.found_shop(workshop, shop_name="Bench", name="Ada", login="ada", password=PASSWORD)
    port = next(p for p in iter(free_port, None) if free_port(p + 1) == p + 1)
    net = lan.Network(
        bind="127.0.0.1", hosts=("127.0.0.1", "bench.local"), https=port, authority=port + 1, identity=tls
    )
    hosts = (*LOOPBACK, *net.hosts)
    app = create_app(workshop, Settings(secret_key="network test key", hosts=hosts, lan=net.lan))
    with lan.served(net, app):
        yield net


class Tablet:
    """Speaks to the network as a tablet does that trusts the authority."""

    def __init__(self, net):
        self.net, self.cookies, self.token = net, {}, ""
        self.call("GET", "/api/session")

    def call(self, method, path, body=None, host=None):
        line = http.client.HTTPSConnection("127.0.0.1", self.net.https, timeout=10, context=trusting(self.net.identity))
        headers = {"Content-Type": "application/json", "X-CSRFToken": self.token}
        headers["Cookie"] = "; ".join(f"{k}={v}" for k, v in self.cookies.items())
        if host:
            headers["Host"] = host
        with closing(line):
            line.request(method, path, json.dumps(body) if body is not None else None, headers)
            answer = line.getresponse()
            text = answer.read()
        for name, value in answer.getheaders():
            if name.lower() == "set-cookie":
                self.set_cookie = value
                key, _, rest = value.partition("=")
                self.cookies[key] = rest.split(";")[0]
        found = json.loads(text) if "json" in answer.getheader("Content-Type", "") else text
        if isinstance(found, dict) and found.get("csrf_token"):
            self.token = found["csrf_token"]
        return answer.status, found


@pytest.fixture
def owner(network):
    tablet = Tablet(network)
    status, _ = tablet.call("POST", "/api/session", {"login": "ada", "password": PASSWORD})
    assert status == 200
    return tablet


def test_without_the_authority_nothing_is_trusted(network):
    line = http.client.HTTPSConnection("127.0.0.1", network.https, timeout=10)
    with closing(line), pytest.raises(ssl.SSLCertVerificationError):
        line.request("GET", "/")


def test_the_authority_is_handed_out_in_the_clear_and_nothing_else_is(network):
    def get(path):
        with closing(http.client.HTTPConnection("127.0.0.1", network.authority, timeout=10)) as line:
            line.request("GET", path)
            answer = line.getresponse()
            return answer.status, answer.read()

    assert get("/authority.crt") == (200, network.identity.authority)
    assert network.identity.fingerprint in get("/")[1].decode()
    for path in ("/api/session", "/api/jobs", "/assets/x"):
        assert get(path)[0] == 404


def test_another_name_is_refused(network):
    assert Tablet(network).call("GET", "/api/session", host="evil.example.org")[0] == 400


def test_a_tablet_is_paired_by_a_code_once_and_withdrawn(network, owner):
    status, code = owner.call("POST", "/api/tablets/pairings", {"name": "Bench left", "role": "technician"})
    assert status == 201
    assert code["drawing"].startswith("data:image/svg+xml")
    secret = code["address"].partition("#")[2]
    assert code["address"].startswith(f"https://127.0.0.1:{network.https}/pair#")
    tablet = Tablet(network)
    status, session = tablet.call("POST", "/api/session/pair", {"code": secret})
    assert (status, session["person"]["name"], session["person"]["role"]) == (200, "Bench left", "technician")
    assert "Expires=" in tablet.set_cookie
    assert "Secure" in tablet.set_cookie
    status, refused = Tablet(network).call("POST", "/api/session/pair", {"code": secret})
    assert (status, refused["reason"]) == (409, "used")
    status, refused = Tablet(network).call("POST", "/api/session/pair", {"code": secret[:-2] + "xx"})
    assert (status, refused["reason"]) == (403, "code")
    assert tablet.call("GET", "/api/jobs")[0] == 200
    assert tablet.call("GET", "/api/tablets")[0] == 403
    _, found = owner.call("GET", "/api/tablets")
    (row,) = (t for t in found["tablets"] if t["name"] == "Bench left")
    assert found["lan"]["fingerprint"] == network.identity.fingerprint
    assert owner.call("DELETE", f"/api/tablets/{row['id']}")[0] == 200
    assert tablet.call("GET", "/api/jobs")[0] == 401


def test_a_code_is_over_after_ten_minutes(network, owner, monkeypatch):
    _, code = owner.call("POST", "/api/tablets/pairings", {"name": "Late", "role": "technician"})
    real = time.time
    monkeypatch.setattr("itsdangerous.timed.time.time", lambda: real() + 601)
    status, refused = Tablet(network).call("POST", "/api/session/pair", {"code": code["address"].partition("#")[2]})
    assert (status, refused["reason"]) == (403, "over")


def test_who_connects_and_says_nothing_holds_nobody_up(network):
    silent = [socket.create_connection(("127.0.0.1", network.https)) for _ in range(5)]
    try:
        began = time.monotonic()
        assert Tablet(network).call("GET", "/api/session")[0] == 200
        assert time.monotonic() - began < 5
    finally:
        for line in silent:
            line.close()


def test_news_come_over_https_too(network, owner):
    context = trusting(network.identity)
    line = context.wrap_socket(socket.create_connection(("127.0.0.1", network.https)), server_hostname="127.0.0.1")
    cookies = "; ".join(f"{k}={v}" for k, v in owner.cookies.items())
    line.sendall(f"GET /api/bench/stream HTTP/1.1\r\nHost: 127.0.0.1\r\nCookie: {cookies}\r\n\r\n".encode())
    line.settimeout(10)
    heard = b""
    until = threading.Event()
    threading.Timer(9, until.set).start()
    # The hello, and after it what says that the line still stands.
    while heard.count(b"\n\n") < 3 and not until.is_set():
        heard += line.recv(4096)
    line.close()
    assert b"text/event-stream" in heard
    assert heard.count(b"\n\n") >= 3
