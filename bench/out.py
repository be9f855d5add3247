"""Everything out of a large shop: what a long list costs in time and in memory.

    python bench/out.py [JOBS]            100000 when left out

Prints, for both forms, the size of the file and the peak of memory as ratios to a part of the jobs, about a thirtieth
of them: the file may grow, memory may not. Each is measured in a process of its own, on a database of its own that is
thrown away.
"""

from __future__ import annotations

import resource
import subprocess
import sys
import time
from pathlib import Path

from finding import JOBS, MANY
from own_shop import OwnShop, own_shop
from sqlalchemy import text

from vividowl.service.out import everything
from vividowl.service.workshop import Actor, Workshop
from vividowl.store.database import Database
from vividowl.store.files import FileStore
from vividowl.store.finding import Wanted
from vividowl.store.models import Member

# Two runs with figures for each job, and a move of stock for every second one, as a shop has them.
RUNS = """
INSERT INTO run SELECT made.* FROM job j CROSS JOIN unnest(ARRAY['before', 'after']) s JOIN run b ON b.id = :like,
  LATERAL jsonb_populate_record(b, jsonb_build_object('id', gen_random_uuid(), 'job_id', j.id, 'side', s,
    'state_id', NULL)) made
WHERE j.number >= 10
"""
TRACES = """
INSERT INTO trace_file SELECT made.* FROM run r JOIN trace_file b ON b.id = :like,
  LATERAL jsonb_populate_record(b, jsonb_build_object('id', gen_random_uuid(), 'run_id', r.id)) made
WHERE r.job_id <> :job
"""
MEMORY_RATIO_MOST = 1.2


def fill(shop: OwnShop, jobs: int) -> None:
    """One measured job, and as many others made of it."""
    shop.signed_in().served_job()
    database = shop.workshop.database
    with database.engine.begin() as connection:
        run, job = connection.execute(text("SELECT id, job_id FROM run LIMIT 1")).one()
        trace = connection.execute(text("SELECT id FROM trace_file LIMIT 1")).scalar_one()
    # After each step the database has to know how many there are, before it looks each of them up.
    for query, given in (
        (MANY, {"jobs": jobs}),
        (JOBS, {}),
        (RUNS, {"like": run}),
        (TRACES, {"like": trace, "job": job}),
    ):
        with database.engine.begin() as connection:
            connection.execute(text(query), given)
            connection.execute(text("ANALYZE"))
    with database.engine.connect().execution_options(isolation_level="AUTOCOMMIT") as connection:
        connection.execute(text("VACUUM ANALYZE"))


def write(url: str, folder: str, form: str, share: str) -> None:
    """In a process of its own: write the jobs, or a tenth of them, and tell seconds, peak memory [MB], size [MB]."""
    database = Database(url)
    workshop = Workshop(database=database, files=FileStore(Path(folder) / "files"))
    with database.session() as session:
        member = session.query(Member).one()
        actor = Actor(member.shop_id, member.id, "owner", member.name)
    wanted = Wanted() if share == "all" else Wanted(find="marrow 11")
    before = resource.getrusage(resource.RUSAGE_SELF).ru_maxrss
    began = time.perf_counter()
    with getattr(everything, form)(workshop, actor, wanted) as file:
        size = file.seek(0, 2)
    took = time.perf_counter() - began
    peak = resource.getrusage(resource.RUSAGE_SELF).ru_maxrss
    print(took, peak / 1024, before / 1024, size / 2**20)
    database.close()


def main(jobs: int) -> int:
    """Measure; 1 when memory grows with the jobs."""
    grown = 0
    with own_shop() as shop:
        fill(shop, jobs)
        for form in ("workbook", "folder"):
            found = {}
            for share in ("part", "all"):
                command = [sys.executable, __file__, "--write", shop.url, str(shop.folder), form, share]
                told = subprocess.run(command, capture_output=True, text=True, check=True).stdout
                found[share] = [float(figure) for figure in told.split()]
            (_, part, _, small), (took, whole, start, large) = found["part"], found["all"]
            ratio = whole / part
            grown += ratio > MEMORY_RATIO_MOST
            print(
                f"{form:9} {jobs} jobs in {took:.0f} s, {large:.0f} MB written; file {large / small:.1f} of a part's, "
                f"peak of memory {ratio:.2f} of a part's ({whole:.0f} MB, {start:.0f} MB before it began)"
            )
    return 1 if grown else 0


if __name__ == "__main__":
    if sys.argv[1:2] == ["--write"]:
        write(*sys.argv[2:])
        sys.exit(0)
    sys.exit(main(int(sys.argv[1]) if len(sys.argv) > 1 else 100_000))
