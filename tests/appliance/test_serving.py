"""The start command's second half as a process of its own: serve, stop, refuse."""

import json
import os
import re
import shutil
import signal
import subprocess
import sys
import tempfile
import urllib.request
from pathlib import Path

import pytest

from vividowl.appliance.cluster import Cluster
from vividowl.appliance.postgres import free_port
from vividowl.service.shop import accounts
from vividowl.service.workshop import Workshop
from vividowl.store.database import Database
from vividowl.store.files import FileStore


@pytest.fixture
def root(seeded):
    """An installation of its own."""
    folder = Path(tempfile.mkdtemp(prefix="vividowl-serve-"))
    folder.chmod(0o755)
    seeded(folder / "var/pg")
    yield folder
    Cluster(folder / "var/pg").stop()
    shutil.rmtree(folder, ignore_errors=True)


class Served:
    """A running start command."""

    def __init__(self, root, *options):
        command = [sys.executable, "-m", "vividowl.appliance", "--root", str(root), *options]
        self.process = subprocess.Popen(command, stdout=subprocess.PIPE, stderr=subprocess.PIPE, text=True)

    def address(self):
        """What it prints once it serves."""
        for line in self.process.stdout:
            found = re.search(r"http://127\.0\.0\.1:\d+/\S*", line)
            if found:
                return found.group(0)
        raise AssertionError(self.process.stderr.read())

    def stop(self, how):
        """Stop it; its exit code and the rest of what it said."""
        self.process.send_signal(how)
        out, err = self.process.communicate(timeout=30)
        return self.process.returncode, out, err


def get(url):
    with urllib.request.urlopen(url, timeout=10) as answer:  # noqa: S310 - our own server on loopback
        return answer.read()


@pytest.mark.parametrize("how", [signal.SIGINT, signal.SIGTERM])
def test_it_serves_and_stops_with_its_database(root, how):
    port = free_port()
    served = Served(root, "--empty", "--port", str(port))
    address = served.address()
    assert address.startswith(f"http://127.0.0.1:{port}/set-up#")
    base = address.split("set-up")[0]
    health = json.loads(get(base + "api/health"))
    assert (health["status"], health["live"], health["ready"], health["database"]) == ("ok", True, True, "ok")
    assert b"Vivid Owl" in get(base)
    assert json.loads(get(base + "api/session"))["set_up_needed"]
    assert Cluster(root / "var/pg").running()
    code, out, err = served.stop(how)
    assert (code, err) == (0, "")
    assert "Stopped." in out
    assert not Cluster(root / "var/pg").running()


# The start command with one story alone: the whole demo is loaded for the browser's tests.
ONE_STORY = """
import sys
from vividowl_demo import shop
from vividowl.appliance.launch import main
some = shop.stories()[7:8]
shop.stories = lambda: some
sys.exit(main())
"""


def test_preparing_makes_the_demo_and_ends(root):
    done = subprocess.run(
        [sys.executable, "-c", ONE_STORY, "--root", str(root), "--prepare"],
        capture_output=True,
        text=True,
        check=True,
        timeout=120,
    )
    assert done.stdout.splitlines()[-1] == "Ready."
    assert not Cluster(root / "var/pg").running()
    again = Served(root, "--port", str(free_port()))
    base = again.address()
    assert json.loads(get(base + "api/session"))["demo_available"]
    assert again.stop(signal.SIGINT)[0] == 0


def test_fresh_on_a_real_shop_is_one_line_and_exit_code_one(root):
    cluster = Cluster(root / "var/pg")
    cluster.start()
    database = Database(cluster.url)
    database.migrate()
    workshop = Workshop(database=database, files=FileStore(root / "var/files"))
    accounts.found_shop(workshop, shop_name="Real", name="Ada", login="ada", password="four words to remember")
    database.close()
    cluster.stop()
    refused = subprocess.run(
        [sys.executable, "-m", "vividowl.appliance", "--root", str(root), "--fresh"],
        capture_output=True,
        text=True,
        check=False,
        timeout=60,
    )
    assert refused.returncode == 1
    assert refused.stderr == (
        "vividowl: This database holds a real shop, which --fresh does not throw away. Leave --fresh out.\n"
    )


def test_the_command_says_one_line_with_exit_code_two(root):
    command = str(Path(sys.executable).with_name("vividowl"))
    refused = subprocess.run(
        [command, "backup", "/nowhere/at/all.tar"],
        capture_output=True,
        text=True,
        check=False,
        timeout=60,
        env={**os.environ, "VIVIDOWL_ROOT": str(root)},
    )
    assert refused.returncode == 2
    assert refused.stderr.startswith("vividowl: The folder /nowhere/at does not exist.")
    assert "Traceback" not in refused.stderr
