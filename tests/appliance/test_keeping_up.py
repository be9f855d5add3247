"""The database of an installation: who starts it, who stops it, and how it comes back."""

import os
import shutil
import signal
import subprocess
import sys
import tempfile
import threading
import time
from pathlib import Path

import psycopg
import pytest
from sqlalchemy import text

from vividowl.appliance.cluster import DATABASE, KEEPER, Cluster
from vividowl.store.database import Database


@pytest.fixture
def base():
    """A folder for a cluster of its own."""
    folder = Path(tempfile.mkdtemp(prefix="vividowl-keep-"))
    folder.chmod(0o755)
    yield folder / "pg"
    Cluster(folder / "pg").stop()
    shutil.rmtree(folder, ignore_errors=True)


def postmaster(cluster):
    """Its process, or None while there is none or its file is being written."""
    try:
        return int((cluster.data / "postmaster.pid").read_text().split("\n")[0])
    except (FileNotFoundError, ValueError):
        return None


def asked(database):
    with database.engine.connect() as line:
        return line.execute(text("SELECT 1")).scalar()


def test_the_last_one_to_leave_stops_it_and_nobody_before(laid):
    first, second = Cluster(laid, throwaway=True), Cluster(laid, throwaway=True)
    first.start()
    second.start()
    assert first.port == second.port
    first.leave()
    assert second.running()
    second.leave()
    assert not second.running()


def test_two_cold_starts_at_once_wait_for_each_other(base):
    code = (
        "import sys; from pathlib import Path; from vividowl.appliance.cluster import Cluster\n"
        "c = Cluster(Path(sys.argv[1]), throwaway=True); c.start(); print(c.port, flush=True); input(); c.leave()"
    )
    pair = [
        subprocess.Popen(
            [sys.executable, "-c", code, str(base)], stdin=subprocess.PIPE, stdout=subprocess.PIPE, text=True
        )
        for _ in range(2)
    ]
    ports = [p.stdout.readline() for p in pair]
    assert ports[0] == ports[1] != ""
    for one in pair:
        one.communicate("\n", timeout=30)
    assert [p.returncode for p in pair] == [0, 0]
    assert not Cluster(base).running()


@pytest.fixture
def laid(base, seeded):
    """A folder with a cluster as it has just been made."""
    return seeded(base)


@pytest.mark.parametrize("how", [signal.SIGKILL, signal.SIGQUIT])
def test_a_killed_server_is_back_on_its_port_and_the_application_with_it(laid, how):
    cluster = Cluster(laid, throwaway=True)
    cluster.start()
    database, closing = Database(cluster.url), threading.Event()
    keeper = threading.Thread(target=cluster.keep_up, args=(closing,), daemon=True)
    keeper.start()
    try:
        for _ in range(3):
            port = cluster.port
            assert asked(database) == 1  # a connection stands in the pool
            old, killed = postmaster(cluster), time.monotonic()
            os.kill(old, how)
            while not cluster.running() or postmaster(cluster) in (None, old) or not database.answers():
                assert time.monotonic() - killed < 10
                time.sleep(0.05)
            assert cluster.port == port
            assert asked(database) == 1
    finally:
        closing.set()
        keeper.join(10)
        database.close()
        cluster.leave()


def test_the_applications_account_may_do_nothing_beside_its_database(laid):
    cluster = Cluster(laid)
    cluster.start()
    database = Database(cluster.url)
    database.migrate()
    with database.engine.connect() as line:
        row = line.execute(
            text("SELECT rolsuper, rolcreatedb, rolcreaterole FROM pg_roles WHERE rolname = current_user")
        )
        assert row.one() == (False, False, False)
    database.close()
    for name in ("password", "account-password", "start.lock"):
        assert (laid / name).stat().st_mode & 0o077 == 0
    cluster.leave()


def test_a_cluster_of_an_older_set_up_is_handed_to_the_account(laid):
    """There the application was the keeper, and its tables are the keeper's."""
    cluster = Cluster(laid)
    cluster.start()
    where = f"host=127.0.0.1 port={cluster.port} user={KEEPER} password={(laid / 'password').read_text().strip()}"
    with psycopg.connect(f"{where} dbname={DATABASE}") as line:
        line.execute("CREATE TABLE old (id serial PRIMARY KEY, words text)")
        line.execute("INSERT INTO old (words) VALUES ('kept')")
    cluster.leave()
    cluster.start()
    database = Database(cluster.url)
    with database.session() as session:
        session.execute(text("ALTER TABLE old ADD COLUMN more text"))
        session.execute(text("INSERT INTO old (words) VALUES ('new')"))
        assert session.execute(text("SELECT count(*) FROM old")).scalar() == 2
    database.close()
    cluster.leave()
