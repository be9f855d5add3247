"""All runs of a job with 200 runs: the answer of the page over the bare query of the same rows.

    python bench/all_runs.py [RUNS]        200 when left out

Prints ratios within one run: the whole answer, and the use case alone. Makes and throws away a database of its own.
"""

from __future__ import annotations

import statistics
import sys
import time
import uuid
from collections.abc import Callable

from own_shop import own_shop
from sqlalchemy import text
from tests.logs import COOL, log_bytes

from vividowl.service.runs.all_runs import all_runs

TIMES, ALLOWED_RATIO = 25, 3.0


def middle(work: Callable[[], object]) -> float:
    """Median time of a piece of work [s]."""
    took = []
    for _ in range(TIMES):
        began = time.perf_counter()
        work()
        took.append(time.perf_counter() - began)
    return statistics.median(took)


def main(runs: int) -> int:
    """Measure; 1 when it takes more than is allowed."""
    with own_shop() as shop:
        ada, database = shop.signed_in(), shop.workshop.database
        job = ada.new_job()["id"]
        ada.save_run(job, "before")
        ada.upload(job, "before", log_bytes(COOL, seed=1))
        copied = "id, shop_id, job_id, side, name"
        with database.engine.begin() as connection:
            columns = [
                c
                for c in connection.scalars(
                    text("SELECT column_name FROM information_schema.columns WHERE table_name = 'run'")
                )
                if c not in copied.split(", ")
            ]
            traces = [
                c
                for c in connection.scalars(
                    text("SELECT column_name FROM information_schema.columns WHERE table_name = 'trace_file'")
                )
                if c not in ("id", "run_id")
            ]
            for i in range(runs - 1):
                new = uuid.uuid4()
                connection.execute(
                    text(
                        f"INSERT INTO run ({copied}, {', '.join(columns)}) "  # noqa: S608 - names of our own columns
                        f"SELECT :new, shop_id, job_id, 'other', :name, {', '.join(columns)} "
                        "FROM run WHERE side = 'before'"
                    ),
                    {"new": new, "name": f"run {i}"},
                )
                connection.execute(
                    text(
                        f"INSERT INTO trace_file (id, run_id, {', '.join(traces)}) "  # noqa: S608 - as above
                        f"SELECT gen_random_uuid(), :new, {', '.join(traces)} FROM trace_file "
                        "WHERE run_id = (SELECT id FROM run WHERE side = 'before')"
                    ),
                    {"new": new},
                )
        rows = text("SELECT run.*, t.* FROM run JOIN trace_file t ON t.run_id = run.id WHERE run.job_id = :job")

        def bare() -> None:
            with database.engine.connect() as connection:
                found = connection.execute(rows, {"job": job}).all()
            assert len(found) == runs

        query, case = middle(bare), middle(lambda: all_runs(shop.workshop, shop.owner, uuid.UUID(job)))
        page = middle(lambda: ada.call("GET", f"/api/jobs/{job}/all-runs"))
        print(f"{runs} runs: the page answers in {page / query:.1f} times the bare query of its rows ", end="")
        print(f"(allowed {ALLOWED_RATIO:.0f}), the use case in {case / query:.1f} times")
        return int(page / query > ALLOWED_RATIO)


if __name__ == "__main__":
    sys.exit(main(int(sys.argv[1]) if len(sys.argv) > 1 else 200))
