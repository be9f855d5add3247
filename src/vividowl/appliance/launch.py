"""Set up and serve: what ./start runs once packages are in place."""

from __future__ import annotations

import argparse
import errno
import fcntl
import ipaddress
import os
import re
import secrets
import socket
import sys
import threading
from collections.abc import Callable, Mapping, Sequence
from contextlib import ExitStack
from datetime import UTC, datetime
from functools import partial
from pathlib import Path
from typing import TYPE_CHECKING, Any

from sqlalchemy.exc import SQLAlchemyError

from vividowl.app import opening
from vividowl.appliance.cluster import Cluster
from vividowl.appliance.errors import LaunchError
from vividowl.appliance.journal import keep_journal
from vividowl.appliance.paths import Places, places
from vividowl.appliance.postgres import ClusterError, free_port
from vividowl.appliance.revive import stands
from vividowl.service.measure.anew import make_anew
from vividowl.service.shop import accounts
from vividowl.service.workshop import Workshop
from vividowl.settings import LOOPBACK, Settings
from vividowl.store.database import Database, UnknownRevision
from vividowl.store.files import FileStore
from vividowl.web.app import SITE, create_app

if TYPE_CHECKING:
    from vividowl.appliance.lan import Network

USUAL_PORT = 8000
WARM_AFTER_S = 2.0
# Saved before a migration; older ones are let go of.
SAVED_MOST = 3


def _arguments(argv: Sequence[str] | None) -> argparse.Namespace:
    parser = argparse.ArgumentParser(prog="./start")
    parser.add_argument("--root", type=Path, help=argparse.SUPPRESS)
    parser.add_argument("--prepare", action="store_true", help="only set up")
    parser.add_argument("--port", type=int, help="serve on this port (else 8000 or the next free one)")
    parser.add_argument("--fresh", action="store_true", help="throw the demo data away and make it anew")
    parser.add_argument("--empty", action="store_true", help="a real shop without the demo")
    parser.add_argument("--lan", action="store_true", help="serve the shop's network too, over HTTPS")
    parser.add_argument(
        "--lan-port", type=int, default=8443, help="port of HTTPS; the next one hands the authority out"
    )
    parser.add_argument("--bind", help="address of this machine to listen on (else all)")
    parser.add_argument("--host", action="append", default=[], help="name or address that tablets use; may be repeated")
    parser.add_argument(
        "--public", action="append", default=[], help="name under which customers reach it; may be repeated"
    )
    parser.add_argument(
        "--proxy", action="append", default=[], help="address of a proxy in front of it, or a network; may be repeated"
    )
    parser.add_argument("--proxy-header", default="X-Forwarded-For", help="in which the proxy names who asks")
    return parser.parse_args(argv)


_NAME = re.compile(r"(?=.{1,253}$)([a-z0-9]([a-z0-9-]{0,61}[a-z0-9])?\.)+[a-z]([a-z0-9-]{0,61}[a-z0-9])?")


def outside(options: argparse.Namespace) -> dict[str, Any]:
    """How it is reached from outside, or an error that says what may be given."""
    names = tuple(name.strip().lower().rstrip(".") for name in options.public)
    for name in names:
        if not _NAME.fullmatch(name):
            raise LaunchError(f"“{name}” is no name of the outside. Give one like records.example.org with --public.")
    for proxy in options.proxy:
        try:
            ipaddress.ip_network(proxy)
        except ValueError as error:
            raise LaunchError(
                f"“{proxy}” is no address of a proxy. Give one like 127.0.0.1, or a network like 10.0.0.0/24."
            ) from error
    if not re.fullmatch(r"[A-Za-z][A-Za-z0-9-]{0,60}", options.proxy_header):
        raise LaunchError(f"“{options.proxy_header}” is no header. The usual one is X-Forwarded-For.")
    return {"public": names, "proxies": tuple(options.proxy), "proxy_header": options.proxy_header}


def choose_port(wanted: int | None) -> int:
    """The port to serve on. One that was asked for must be free; else the usual one or any."""
    if wanted is None:
        return free_port(USUAL_PORT)
    if not 1 <= wanted <= 65535:
        raise LaunchError(f"Port {wanted} does not exist; allowed are 1 to 65535.")
    with socket.socket() as probe:
        probe.setsockopt(socket.SOL_SOCKET, socket.SO_REUSEADDR, 1)
        try:
            probe.bind(("127.0.0.1", wanted))
        except OSError as error:
            if error.errno == errno.EADDRINUSE:
                raise LaunchError(
                    f"Port {wanted} is taken. Choose another with --port, or leave --port out."
                ) from error
            raise LaunchError(f"Port {wanted} cannot be used ({error.strerror}). Choose one above 1024.") from error
    return wanted


def secret_key(where: Places) -> str:
    """The key that signs cookies, made once."""
    if not where.secret.exists():
        where.var.mkdir(parents=True, exist_ok=True)
        handle = os.open(where.secret, os.O_WRONLY | os.O_CREAT | os.O_EXCL, 0o600)
        with os.fdopen(handle, "w") as out:
            out.write(secrets.token_hex(32))
    return where.secret.read_text().strip()


def open_workshop(where: Places) -> tuple[Cluster, Workshop]:
    """Start the database, migrate, and open the files. Tables of an earlier version are saved first."""
    cluster = Cluster(where.cluster)
    cluster.start()
    database = Database(cluster.url)
    with database.alone():
        _save_before_migrating(where, cluster, database)
        try:
            database.migrate()
        except UnknownRevision as error:
            raise LaunchError(
                f"This database was made by a newer version of Vivid Owl ({error}). Start that version."
            ) from error
    return cluster, Workshop(database=database, files=FileStore(where.files))


def _save_before_migrating(where: Places, cluster: Cluster, database: Database) -> None:
    here, known = database.revision(), database.revisions()
    if here is None or here == known[-1] or here not in known:
        return
    from vividowl.appliance.backup import write_backup

    where.backups.mkdir(mode=0o700, exist_ok=True)
    target = where.backups / f"before-{known[-1]}-{datetime.now(UTC):%Y%m%dT%H%M%S}.owl"
    print(f"Saving the database before it is brought to the new version: {target} …", flush=True)
    # Its files stay where they are: they are named by what they hold, and nothing changes them.
    write_backup(cluster, database, where.files, target, with_files=False)
    for old in sorted(where.backups.glob("before-*.owl"), key=lambda p: p.stat().st_mtime)[:-SAVED_MOST]:
        old.unlink()


def _for_the_owner_alone(folder: Path) -> None:
    """Take from others what an older version let them read. The folder itself comes last, so that it tells that all of
    it was done."""
    if not folder.is_dir() or folder.stat().st_mode & 0o077 == 0:
        return
    for path in folder.rglob("*"):
        path.chmod(0o700 if path.is_dir() else 0o600)
    folder.chmod(0o700)


def tidy(where: Places, workshop: Workshop) -> None:
    """Take away what an earlier run left half-done. Only one server of this machine does, and not while another one
    takes uploads in: the lock outlives a database that breaks down."""
    try:
        handle = os.open(where.var / "serving.lock", os.O_RDWR | os.O_CREAT, 0o600)
        fcntl.flock(handle, fcntl.LOCK_EX | fcntl.LOCK_NB)  # held as long as the process lives
    except BlockingIOError:
        return
    _for_the_owner_alone(where.files)
    opening.tidy(workshop)


def fill(workshop: Workshop, *, fresh: bool, empty: bool) -> None:
    """Bring the data to what was asked for."""
    demo, nothing = accounts.state(workshop)
    if empty and demo and not fresh:
        raise LaunchError("This database holds the demo. Throw it away with: ./start --fresh --empty")
    if not fresh and (empty or not nothing):
        return
    from vividowl.web.record.routes import EDGE
    from vividowl_demo.shop import clear_demo, load_demo

    if not nothing and not clear_demo(workshop):
        raise LaunchError("This database holds a real shop, which --fresh does not throw away. Leave --fresh out.")
    if not empty:
        print("Making the demo shop …", flush=True)
        load_demo(workshop, EDGE)


def _warm_up() -> None:
    """Load what only the first log needs, while the page is already served."""

    import vividowl.formats.record_pdf  # noqa: F401
    from vividowl.formats import apart

    apart.warm_up()


def _network(options: argparse.Namespace, where: Places) -> Network | None:
    if not options.lan:
        return None
    from vividowl.appliance.lan import network  # here, since loopback needs none of it

    return network(where, bind=options.bind, hosts=options.host, port=options.lan_port)


def _serve(where: Places, workshop: Workshop, *, port: int, net: Network | None, reached: Mapping[str, Any]) -> None:
    from vividowl.app.serving import make_server  # here, since it loads the server

    _, nothing = accounts.state(workshop)
    code = secrets.token_urlsafe(9) if nothing else ""
    app = create_app(
        workshop,
        Settings(
            secret_key=secret_key(where),
            demo_sign_in=True,
            set_up_code=code,
            hosts=(*LOOPBACK, *(net.hosts if net else ())),
            lan=net.lan if net else None,
            **reached,
        ),
    )
    server = make_server(app, port)
    workshop.later(partial(make_anew, workshop))
    address = f"http://127.0.0.1:{port}/"
    around = ExitStack()
    try:
        if net is not None:
            from vividowl.appliance.lan import served

            around.enter_context(served(net, app))
            print(f"On the shop's network: {net.lan.address}/ (pair a tablet on the Shop page)", flush=True)
        print(f"Vivid Owl is at {address}" + (f"set-up#{code} (set up the shop there)" if code else ""), flush=True)
        print("Ctrl-C stops it.", flush=True)
        # After the first answers, which it would slow down.
        warm = threading.Timer(WARM_AFTER_S, _warm_up)
        warm.daemon = True
        warm.start()
        server.serve()
    except KeyboardInterrupt:
        pass
    finally:
        workshop.database.feed.close()
        around.close()
        server.stop()


def run(options: argparse.Namespace, port: int | None) -> None:
    """Set up and, when there is a port, serve until stopped."""
    where = places(options.root)
    keep_journal(where.journal)
    if not (SITE / "index.html").exists():
        raise LaunchError("The interface is not built. Run ./start, which builds it.")
    net, reached = _network(options, where) if port is not None else None, outside(options)
    cluster, workshop = open_workshop(where)
    closing = threading.Event()
    keeper = threading.Thread(target=cluster.keep_up, args=(closing,), name="database keeper", daemon=True)
    try:
        fill(workshop, fresh=options.fresh, empty=options.empty)
        if port is not None:
            keeper.start()
            tidy(where, workshop)
            _serve(where, workshop, port=port, net=net, reached=reached)
    finally:
        closing.set()
        if keeper.ident is not None:
            keeper.join(5)
        workshop.database.close()
        cluster.leave()
        print("Stopped." if port is not None else "Ready.", flush=True)


def main(argv: Sequence[str] | None = None) -> int:
    """Set up and, unless only preparing, serve until stopped; what serves comes back when it is ended from outside."""
    options = _arguments(argv)
    if options.prepare:
        return told(lambda: run(options, None))

    def serve(again: bool) -> int:
        if again:
            options.fresh = False  # once was meant
        return told(lambda: run(options, port))

    try:
        port = choose_port(options.port)
    except LaunchError as error:
        print(f"vividowl: {error}", file=sys.stderr)
        return 1
    return stands(serve)


def told(work: Callable[[], None]) -> int:
    """Do it, and say one clear line when that is not possible; an exit code."""
    try:
        work()
    except (LaunchError, ClusterError) as error:
        print(f"vividowl: {error}", file=sys.stderr)
        return 1
    except OSError as error:
        if error.errno != errno.ENOSPC:
            print(f"vividowl: {error.strerror}: {error.filename or ''}. Check the folder's rights.", file=sys.stderr)
            return 1
        print("vividowl: the disk is full. Free some space and start again.", file=sys.stderr)
        return 1
    except SQLAlchemyError as error:
        line = str(error).splitlines()[0]
        print(f"vividowl: the database refused: {line} Restore a backup or see var/pg/server.log.", file=sys.stderr)
        return 1
    except KeyboardInterrupt:
        print("vividowl: stopped while setting up.", file=sys.stderr)
        return 130
    return 0
