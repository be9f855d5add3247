"""What serves comes back when it is ended from outside, and never outlives the one that was started."""

import os
import shutil
import signal
import subprocess
import sys
import tempfile
import time
import urllib.error
import urllib.request
from pathlib import Path

import pytest
from tests.faulty import Installation, serving

# A parent whose child does what is asked for; the file tells how often it began and whether it was told of an earlier.
PARENT = """
import os, signal, sys, time
from vividowl.appliance.revive import stands

def work(again):
    with open(sys.argv[1], "a") as out:
        out.write("again " if again else "first ")
    {what}
    return 7

sys.exit(stands(work))
"""


def begun(tmp_path, what):
    """A parent with a child that does that, and the file it writes into."""
    seen = tmp_path / "seen"
    seen.write_text("")
    command = [sys.executable, "-c", PARENT.format(what=what), str(seen)]
    process = subprocess.Popen(command, stderr=subprocess.PIPE, text=True)
    return process, seen


def until(true):
    """Wait until something is so."""
    ends = time.monotonic() + 20
    while not true():
        assert time.monotonic() < ends
        time.sleep(0.02)


def test_a_child_that_ends_by_itself_ends_it_with_its_code(tmp_path):
    process, seen = begun(tmp_path, "pass")
    assert process.communicate(timeout=20) == (None, "")
    assert (process.returncode, seen.read_text()) == (7, "first ")


def test_a_child_that_breaks_at_every_start_is_followed_more_and_more_slowly_and_can_be_stopped(tmp_path):
    process, seen = begun(tmp_path, "os.kill(os.getpid(), signal.SIGKILL)")
    until(lambda: seen.read_text().count("again") == 1)
    time.sleep(0.3)  # it waits now, without a child
    process.send_signal(signal.SIGTERM)
    _, said = process.communicate(timeout=20)
    assert process.returncode == 130
    assert seen.read_text() == "first again "
    assert said.splitlines()[0] == "vividowl: what served was ended by signal 9 and starts again."


@pytest.mark.parametrize("how", [signal.SIGINT, signal.SIGTERM])
def test_who_asks_it_to_stop_asks_the_child_once(tmp_path, how):
    process, seen = begun(
        tmp_path, "\n    ".join(["try:", "    time.sleep(60)", "except KeyboardInterrupt:", "    time.sleep(0.5)"])
    )
    until(lambda: "first" in seen.read_text())
    time.sleep(0.2)
    process.send_signal(how)
    time.sleep(0.2)
    process.send_signal(how)
    assert process.communicate(timeout=20) == (None, "")
    assert process.returncode == 7


@pytest.fixture
def shop():
    folder = Path(tempfile.mkdtemp(prefix="vividowl-revive-"))
    folder.chmod(0o755)
    found = Installation(folder)
    yield found
    found.stop()
    shutil.rmtree(folder, ignore_errors=True)


def test_the_server_comes_back_on_its_port_and_goes_with_its_parent(shop):
    before = serving(shop.process.pid)
    shop.crash()
    assert serving(shop.process.pid) != before
    shop.refresh()  # the session is known, the page answers
    assert shop.call("GET", "/api/session")[0]["person"]["name"] == "Ada"

    child = serving(shop.process.pid)
    os.kill(shop.process.pid, signal.SIGKILL)
    until(lambda: not Path(f"/proc/{child}/exe").exists())
    with pytest.raises(urllib.error.URLError):
        urllib.request.urlopen(f"http://127.0.0.1:{shop.port}/api/health", timeout=5)
    shop._gone()
    shop._start()
