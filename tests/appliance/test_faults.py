"""A short torment; bench/faults.py has the long one: 100 kills of what serves, 100 of all of it, 30 of the database."""

import shutil
import tempfile
from pathlib import Path

from tests.faulty import torment


def test_what_was_acknowledged_is_there_once_and_whole_whatever_is_killed():
    folder = Path(tempfile.mkdtemp(prefix="vividowl-faults-"))
    folder.chmod(0o755)
    try:
        found = torment(folder, 7, app_kills=1, crashes=1, database_kills=1, cut=1, things_between=(2, 5))
    finally:
        shutil.rmtree(folder, ignore_errors=True)
    assert found.acknowledged > 6
    assert (found.lost, found.doubled, found.half_stored, found.orphaned) == (0, 0, 0, 0)
    assert len(found.recover_s) == 3
