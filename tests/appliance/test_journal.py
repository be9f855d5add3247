"""What the application writes down of itself."""

import subprocess
import sys

CODE = """
import sys; from pathlib import Path
import structlog
from vividowl.appliance import journal
journal.BYTES_MOST = 2000
journal.keep_journal(Path(sys.argv[1]))
log = structlog.get_logger()
log.info("said in passing")
for i in range(120):
    log.error("database", error=f"away {i}")
try:
    1 / 0
except ZeroDivisionError:
    log.exception("fault", path="/api/jobs")
sys.stdout.close()
log.error("after the terminal is gone")
"""


def test_it_goes_into_a_file_for_its_owner_that_does_not_grow(tmp_path):
    path = tmp_path / "var/vividowl.log"
    done = subprocess.run([sys.executable, "-c", CODE, str(path)], capture_output=True, text=True, check=True)
    assert done.stdout == done.stderr == ""
    files = sorted(path.parent.iterdir())
    assert [f.name for f in files] == ["vividowl.log", "vividowl.log.1", "vividowl.log.2", "vividowl.log.3"]
    assert all(f.stat().st_mode & 0o777 == 0o600 and f.stat().st_size < 4000 for f in files)
    said = "".join(f.read_text() for f in files)
    assert "said in passing" not in said
    assert "away 119" in said
    assert "ZeroDivisionError" in said
    assert "after the terminal is gone" in said
