"""Faults on purpose, the long form: what was acknowledged is there once and whole, and work goes on within seconds.

    python bench/faults.py [APP_KILLS DATABASE_KILLS]     100 and 30 when left out

The application is killed by SIGKILL at random during events, edits, uploads and photos and started anew, the server of
the database likewise, and lines are cut in the middle of a body. Then all is counted. Afterwards: damaged and older
backups, slow lines, a burst of sign-ins, many streams and tabs (crowds.py). Needs PostgreSQL and Chromium.
"""

import argparse
import logging
import shutil
import sys
import tempfile
from pathlib import Path

import structlog

sys.path.insert(0, str(Path(__file__).parents[1]))
from bench.crowds import main as crowds
from tests.faulty import torment


def main() -> None:
    """Torment it, and print the table."""
    parser = argparse.ArgumentParser()
    parser.add_argument("app_kills", type=int, nargs="?", default=100)
    parser.add_argument("database_kills", type=int, nargs="?", default=30)
    given = parser.parse_args()
    structlog.configure(wrapper_class=structlog.make_filtering_bound_logger(logging.ERROR))
    cases = {
        f"what serves killed {given.app_kills} times": {"crashes": given.app_kills},
        f"all of the application killed {given.app_kills} times": {"app_kills": given.app_kills},
        f"database killed {given.database_kills} times": {"database_kills": given.database_kills},
        "each 10 times, and 20 lines cut": {"crashes": 10, "app_kills": 10, "database_kills": 10, "cut": 20},
    }
    print("| | acknowledged | lost | doubled | half-stored | orphaned | recovers in, median [s] | at most [s] |")
    print("|---|---|---|---|---|---|---|---|")
    for number, (name, case) in enumerate(cases.items()):
        folder = Path(tempfile.mkdtemp(prefix="vividowl-faults-"))
        folder.chmod(0o755)
        try:
            found = torment(folder, number + 11, **case)
        finally:
            shutil.rmtree(folder, ignore_errors=True)
        print(f"| {name} | {found.row()} |", flush=True)
    print()
    crowds()


if __name__ == "__main__":
    main()
