"""The private cluster, starting up, backup and the command line."""

import os
import shutil
import socket
import tempfile
from pathlib import Path

import pytest
from click.testing import CliRunner
from tests.said import refuses

from vividowl.appliance.cluster import Cluster
from vividowl.appliance.launch import LaunchError, choose_port, fill, main, secret_key
from vividowl.appliance.paths import Places
from vividowl.appliance.postgres import ClusterError, free_port
from vividowl.cli import cli
from vividowl.service.errors import Refused
from vividowl.service.shop import accounts
from vividowl.web.record.routes import EDGE
from vividowl_demo import shop


@pytest.fixture
def root(monkeypatch, seeded):
    """An installation of its own, whose cluster is stopped afterwards."""
    folder = Path(tempfile.mkdtemp(prefix="vividowl-root-"))
    folder.chmod(0o755)
    monkeypatch.setenv("VIVIDOWL_ROOT", str(folder))
    seeded(folder / "var/pg")
    yield folder
    Cluster(folder / "var/pg").stop()
    shutil.rmtree(folder, ignore_errors=True)


def test_a_taken_port_is_refused_in_one_line():
    with socket.socket() as taken:
        taken.bind(("127.0.0.1", 0))
        taken.listen()
        port = taken.getsockname()[1]
        with pytest.raises(LaunchError, match=f"Port {port} is taken. Choose another"):
            choose_port(port)
        assert free_port(port) != port


def test_an_impossible_port_is_refused():
    with pytest.raises(LaunchError, match="allowed are 1 to 65535"):
        choose_port(70000)


def test_without_a_wish_any_free_port_will_do():
    assert 1024 < choose_port(None) <= 65535


def test_main_says_one_line_and_exits_with_one(capsys):
    with socket.socket() as taken:
        taken.bind(("127.0.0.1", 0))
        taken.listen()
        assert main(["--port", str(taken.getsockname()[1])]) == 1
    said = capsys.readouterr().err
    assert said.startswith("vividowl: Port ")
    assert said.count("\n") == 1


def test_the_cookie_key_is_made_once_and_closed_to_others(tmp_path):
    where = Places(tmp_path)
    first = secret_key(where)
    assert secret_key(where) == first
    assert len(first) == 64
    assert where.secret.stat().st_mode & 0o077 == 0


def test_a_running_cluster_is_known_and_a_strangers_process_is_not(cluster, tmp_path):
    assert cluster.running()
    stranger = Cluster(tmp_path / "pg")
    stranger.data.mkdir(parents=True)
    (stranger.data / "postmaster.pid").write_text(f"{os.getpid()}\n")
    assert not stranger.running()


def test_a_broken_cluster_says_what_to_do(root):
    broken = Cluster(root / "var/pg", throwaway=True)
    broken.start()
    broken.stop()
    (broken.data / "postgresql.conf").write_text("this is no setting\n")
    with pytest.raises(ClusterError, match="does not start") as caught:
        broken.start()
    assert "restore a backup" in str(caught.value)
    assert "\n" not in str(caught.value)


def test_a_start_after_a_crash_goes_through(root):
    crashed = Cluster(root / "var/pg", throwaway=True)
    crashed.start()
    crashed.stop()
    (crashed.data / "postmaster.pid").write_text("999999\n")
    crashed.start()
    assert crashed.running()


def test_fresh_never_throws_a_real_shop_away(workshop):
    accounts.found_shop(workshop, shop_name="Real", name="Ada", login="ada", password="four words to remember")
    with pytest.raises(LaunchError, match="holds a real shop"):
        fill(workshop, fresh=True, empty=False)
    assert accounts.sign_in(workshop, "ada", "four words to remember").shop_name == "Real"


def test_empty_does_not_mix_with_the_demo(workshop):
    accounts.found_shop(workshop, shop_name="Demo", name="Imke", login="imke", password=None, demo=True)
    with pytest.raises(LaunchError, match=r"\./start --fresh --empty"):
        fill(workshop, fresh=False, empty=True)
    fill(workshop, fresh=True, empty=True)
    assert accounts.state(workshop) == (False, True)


def test_the_command_line_from_members_to_restore(root, monkeypatch):
    some = shop.stories()[7:8]  # the whole demo is loaded for the browser's tests
    monkeypatch.setattr(shop, "stories", lambda: some)
    run = CliRunner()
    with refuses(Refused, match="no shop yet"):
        run.invoke(cli, ["user", "list"], catch_exceptions=False)
    made = run.invoke(cli, ["demo"], catch_exceptions=False)
    assert "The demo shop is ready." in made.output
    secret = "four words to remember"
    added = run.invoke(
        cli, ["user", "add", "lena", "--name", "Lena Maro", "--password", secret], catch_exceptions=False
    )
    assert "lena can sign in" in added.output
    listed = run.invoke(cli, ["user", "list"], catch_exceptions=False).output
    assert "Imke Brandvold" in listed
    assert "technician   Lena Maro" in listed
    archive = root / "backup.tar"
    assert "MB" in run.invoke(cli, ["backup", str(archive)], catch_exceptions=False).output
    run.invoke(cli, ["user", "add", "otto", "--name", "Otto Veil", "--password", secret], catch_exceptions=False)
    assert "Otto" in run.invoke(cli, ["user", "list"], catch_exceptions=False).output
    restored = run.invoke(cli, ["restore", str(archive), "--yes"], catch_exceptions=False)
    assert "Restored" in restored.output
    listed = run.invoke(cli, ["user", "list"], catch_exceptions=False).output
    assert "Lena" in listed
    assert "Otto" not in listed
    assert not Cluster(root / "var/pg").running()


def test_the_demo_is_the_same_each_time(workshop, monkeypatch):
    from datetime import UTC, datetime

    from sqlalchemy import select

    from vividowl.store.measuring import TraceFile
    from vividowl.store.models import Job
    from vividowl_demo.shop import clear_demo, load_demo

    def print_of():
        with workshop.database.session() as session:
            jobs = session.scalars(select(Job).order_by(Job.number)).unique().all()
            logs = session.scalars(
                select(TraceFile).order_by(TraceFile.uploaded_at, TraceFile.file_name, TraceFile.sha256)
            ).all()
            assert not any(
                "again" in t.file_name for t in logs if t.uploaded_at.minute == 12 and t.uploaded_at.hour == 9
            )
            return [(j.number, j.model, j.symptom) for j in jobs], [(t.file_name, t.sha256) for t in logs]

    some = shop.stories()[7:9]
    monkeypatch.setattr(shop, "stories", lambda: some)
    when = datetime(2026, 5, 4, tzinfo=UTC)
    load_demo(workshop, EDGE, when)
    first = print_of()
    assert clear_demo(workshop)
    load_demo(workshop, EDGE, when)
    assert print_of() == first
    assert len(first[0]) == len(some)
    assert first[1]
