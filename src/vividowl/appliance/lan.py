"""The shop's network: where the server can be reached there, over HTTPS with the shop's own authority.

A tablet cannot check the certificate before it has the authority, so a second listener hands out the authority, and
nothing else, over plain HTTP; what it gives is compared by its fingerprint with the one on the Shop page.
"""

from __future__ import annotations

import contextlib
import errno
import ipaddress
import socket
import threading
from collections.abc import Iterator, Sequence
from dataclasses import dataclass

from cheroot.wsgi import Server
from flask import Flask, Response
from markupsafe import escape

from vividowl.app.serving import ShopServer, make_server
from vividowl.appliance.authority import ENDINGS, Identity, identity, speaks_for
from vividowl.appliance.errors import LaunchError
from vividowl.appliance.paths import Places
from vividowl.core.quantities.words import say
from vividowl.settings import Lan
from vividowl.words import sentence

EVERY = "0.0.0.0"  # noqa: S104 - all addresses of this machine, which --lan asks for
# Never reached: asking the system which of its addresses it would use sends nothing (RFC 5737).
_ELSEWHERE = "192.0.2.1"


def own_hosts() -> list[str]:
    """Addresses and the name of this machine on its own network, best first."""
    found: list[str] = []
    with contextlib.suppress(OSError), socket.socket(socket.AF_INET, socket.SOCK_DGRAM) as probe:
        probe.connect((_ELSEWHERE, 9))
        found.append(str(probe.getsockname()[0]))
    name = socket.gethostname().split(".")[0].lower()
    if name and name != "localhost":
        found.append(f"{name}.local")
    return [host for host in dict.fromkeys(found) if speaks_for(host) and host != "127.0.0.1"]


def checked_hosts(asked: Sequence[str], bind: str) -> list[str]:
    """Names and addresses that tablets may use, or an error that says which may be."""
    hosts = [host.strip().strip("[]").lower().rstrip(".") for host in asked] or own_hosts()
    if not asked and bind != EVERY:
        hosts = [bind, *(h for h in hosts if h != bind)]
    for host in hosts:
        if ":" in host:
            raise LaunchError(f"“{host}” is no host: give an IPv4 address or a name with --host, without a port.")
        if not speaks_for(host):
            raise LaunchError(
                f"“{host}” is no address of a shop's own network. Allowed are private addresses and names that end in "
                f"{', '.join('.' + e for e in ENDINGS[:-1])}; give one with --host."
            )
    if not hosts:
        raise LaunchError("This machine has no address on a network of its own. Join one, or name one with --host.")
    return hosts


@dataclass(frozen=True, kw_only=True)
class Network:
    """What tablets use. hosts are trusted; https and authority are ports; identity is what is shown to them."""

    bind: str
    hosts: tuple[str, ...]
    https: int
    authority: int
    identity: Identity

    @property
    def lan(self) -> Lan:
        """As the Shop page tells it."""
        return Lan(
            address=f"https://{self.hosts[0]}:{self.https}",
            authority_address=f"http://{self.hosts[0]}:{self.authority}",
            fingerprint=self.identity.fingerprint,
        )


def network(where: Places, *, bind: str | None, hosts: Sequence[str], port: int) -> Network:
    """Make ready to serve the shop's network. bind: an address of this machine, None for all."""
    bind = bind or EVERY
    try:
        ipaddress.IPv4Address(bind)
    except ValueError as error:
        raise LaunchError(
            f"“{bind}” is no address to listen on. Give one of this machine, or leave --bind out for all."
        ) from error
    if not 1 <= port < 65535:
        raise LaunchError(f"Port {port} does not exist or leaves none for the authority; allowed are 1 to 65534.")
    names = checked_hosts(hosts, bind)
    return Network(bind=bind, hosts=tuple(names), https=port, authority=port + 1, identity=identity(where.tls, names))


def authority_app(net: Network) -> Flask:
    """A page that hands out the authority and tells how it is checked. It knows nothing of the shop."""
    app = Flask("authority", static_folder=None)
    app.config["TRUSTED_HOSTS"] = list(net.hosts)

    @app.get("/authority.crt")
    def authority() -> Response:
        headers = {"Content-Disposition": "attachment; filename=vivid-owl-authority.crt"}
        return Response(net.identity.authority, mimetype="application/x-x509-ca-cert", headers=headers)

    @app.get("/")
    def page() -> str:
        steps = "".join(
            f"<li>{escape(sentence(say(f'lan-step-{step}')))}</li>" for step in ("get", "compare", "install", "pair")
        )
        return (
            '<!doctype html><html lang="en"><meta name="viewport" content="width=device-width">'
            f"<title>{escape(sentence(say('lan-title')))}</title>"
            "<style>body{font:1.1rem/1.5 system-ui;max-width:34rem;margin:2rem auto;padding:0 1rem;background:#f3efe6}"
            "code{word-break:break-all}a{display:inline-block;padding:.8rem 1.2rem;background:#46307f;color:#fff;"
            "border-radius:4px;text-decoration:none;font-weight:600}</style>"
            f"<h1>{escape(sentence(say('lan-title')))}</h1><ol>{steps}</ol>"
            f'<p><a href="/authority.crt">{escape(sentence(say("lan-get")))}</a></p>'
            f"<p>{escape(sentence(say('lan-fingerprint')))}<br><code>{net.identity.fingerprint}</code></p>"
        )

    return app


@contextlib.contextmanager
def served(net: Network, app: Flask) -> Iterator[tuple[int, int]]:
    """Serve the network beside loopback while this is open: the ports of HTTPS and of the authority."""
    servers: list[Server | ShopServer] = []
    try:
        certificate = (net.identity.certificate, net.identity.key)
        servers.append(make_server(app, net.https, address=net.bind, certificate=certificate))
        plain = Server((net.bind, net.authority), authority_app(net), numthreads=2, timeout=10, server_name="vividowl")
        plain.max_request_body_size = 1
        plain.prepare()
        servers.append(plain)
    except OSError as error:
        for server in servers:
            server.stop()
        taken = error.errno == errno.EADDRINUSE
        why = "is taken" if taken else f"cannot be used ({error.strerror})"
        raise LaunchError(
            f"Port {net.https} or {net.authority} of {net.bind} {why}. Choose another with --lan-port."
        ) from error
    threads = [threading.Thread(target=s.serve, name="network", daemon=True) for s in servers]
    for thread in threads:
        thread.start()
    try:
        yield int(servers[0].bind_addr[1]), int(servers[1].bind_addr[1])
    finally:
        for server in servers:
            server.stop()
        for thread in threads:
            thread.join(5)
