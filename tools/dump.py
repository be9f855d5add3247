"""Writes tests/dumps/REVISION.owl.xz: a backup of a small shop by the program of today, which later tests
bring up. `python tools/dump.py`; once a release whose tables changed, and never again for one that is there."""

from __future__ import annotations

import lzma
import sys
import tempfile
from pathlib import Path

ROOT = Path(__file__).parents[1]
sys.path.insert(0, str(ROOT / "src"))

from vividowl.appliance.backup import write_backup  # noqa: E402
from vividowl.appliance.cluster import Cluster  # noqa: E402
from vividowl.service.workshop import Workshop  # noqa: E402
from vividowl.store.database import Database  # noqa: E402
from vividowl.store.files import FileStore  # noqa: E402
from vividowl.web.record.routes import EDGE  # noqa: E402
from vividowl_demo import shop  # noqa: E402
from vividowl_demo.story import stories  # noqa: E402

# So many jobs of the demo with both runs, and one that went over the bench.
STORIES = 3


def main() -> None:
    """Make the shop in a database that is thrown away, and write it."""
    with tempfile.TemporaryDirectory() as folder:
        base = Path(folder)
        base.chmod(0o755)
        cluster = Cluster(base / "pg", throwaway=True)
        cluster.start()
        try:
            database = Database(cluster.url)
            database.migrate()
            target = ROOT / "tests/dumps" / f"{database.revision()}.owl.xz"
            if target.exists():
                raise SystemExit(f"{target.relative_to(ROOT)} is there already: it is never written again.")
            played = stories()
            small = [s for s in played if s.bench is None and not s.runs and s.after][:STORIES]
            small.append(next(s for s in played if s.bench is not None and s.after is not None))
            shop.stories = lambda: small  # type: ignore[assignment]
            shop.load_demo(Workshop(database=database, files=FileStore(base / "files")), EDGE)
            write_backup(cluster, database, base / "files", base / "shop.owl")
            target.write_bytes(lzma.compress((base / "shop.owl").read_bytes(), preset=9))
            print(f"{target.relative_to(ROOT)}: {target.stat().st_size / 1000:.0f} kB")
            database.close()
        finally:
            cluster.leave()


if __name__ == "__main__":
    main()
