"""The interface held against its description, the long form: hundreds of requests an operation, and sequences of them.

    python bench/contract.py [EXAMPLES]        150 when left out

Prints how often each status came, and what was not as described. Needs PostgreSQL; makes and throws away a cluster.
"""

import argparse
import logging
import shutil
import sys
import tempfile
from pathlib import Path

import structlog
from argon2 import PasswordHasher

sys.path.insert(0, str(Path(__file__).parents[1]))
from tests.contract import Contract

from vividowl.appliance.cluster import Cluster
from vividowl.service.shop import accounts
from vividowl.service.workshop import Workshop
from vividowl.settings import Settings
from vividowl.store.database import Database
from vividowl.store.files import FileStore
from vividowl.web.app import create_app


def main() -> None:
    """Print the counts."""
    parser = argparse.ArgumentParser()
    parser.add_argument("examples", type=int, nargs="?", default=150)
    given = parser.parse_args()
    structlog.configure(wrapper_class=structlog.make_filtering_bound_logger(logging.CRITICAL))
    accounts._hasher = PasswordHasher(time_cost=1, memory_cost=8, parallelism=1)
    folder = Path(tempfile.mkdtemp(prefix="vividowl-contract-"))
    folder.chmod(0o755)
    cluster = Cluster(folder / "pg", throwaway=True)
    cluster.start()
    database, faults = Database(cluster.url), 0
    try:
        database.migrate()
        workshop = Workshop(database=database, files=FileStore(folder / "files"))
        app = create_app(workshop, Settings(secret_key="contract", set_up_code="x", testing=True, cookie_secure=False))  # noqa: S106
        contract = Contract(app, workshop)
        for name in contract.operations:
            try:
                contract.hold(name, given.examples, deep=True)
            except BaseException as error:
                faults += 1
                print(f"FAULT {name}: {str(error)[:300]}")
        try:
            contract.walk(given.examples // 3)
        except BaseException as error:
            faults += 1
            print(f"FAULT in a sequence: {str(error)[:600]}")
        print(", ".join(f"{s}: {n}" for s, n in sorted(contract.statuses.items())))
        print(f"{sum(contract.statuses.values())} answers, {faults} operations not as described")
    finally:
        database.close()
        cluster.leave()
        shutil.rmtree(folder, ignore_errors=True)
    sys.exit(bool(faults))


if __name__ == "__main__":
    main()
