"""Finding a job among many: the answer of the search over the bare page of the latest jobs, and its own time.

    python bench/finding.py [JOBS]        100000 when left out

Prints the median and the slowest of each search in milliseconds and as a ratio within one run. Makes and throws away a
database of its own.
"""

from __future__ import annotations

import sys
import time

from own_shop import own_shop
from sqlalchemy import text

TIMES, ALLOWED_MS = 15, 100.0
# As one types: a first letter, a part of a word, two words, a phone number, a serial number, what nobody has, filters.
SEARCHES = {
    "one letter": "find=m",
    "two letters": "find=ma",
    "a model": "find=marrow",
    "two words": "find=marrow wen",
    "a number": "find=77777",
    "a phone number": "find=0049151 4242",
    "a serial number": "find=SN-0042424",
    "nothing fits": "find=zzyzx",
    "a word and a kind": "find=quill&kind=laptop&state=closed",
    "days": "since=2025-01-01&until=2025-01-31",
    "oldest first": "order=oldest",
}
MANY = """
WITH made AS (SELECT g, gen_random_uuid() c, gen_random_uuid() d FROM generate_series(10, :jobs + 9) g),
 one AS (INSERT INTO customer SELECT (jsonb_populate_record(b, jsonb_build_object('id', c,
   'name', (ARRAY['Wen','Runa','Mirek','Ilka','Teodor','Yusra','Dimas','Lucasta'])[1 + g % 8] || ' Bench ' || g,
   'contact', '0049151 ' || lpad((g * 7 % 10000000)::text, 7, '0')))).* FROM made, customer b
   RETURNING id),
 two AS (INSERT INTO device SELECT (jsonb_populate_record(b, jsonb_build_object('id', d, 'customer_id', c,
   'model', (ARRAY['Marrow','Quill','Gannet','Slate','Tern','Heron'])[1 + g % 6] || ' ' || (11 + g % 7),
   'serial', 'SN-' || lpad(g::text, 7, '0')))).* FROM made, device b RETURNING id)
SELECT count(*) FROM one, two WHERE one.id = two.id
"""
JOBS = """
INSERT INTO job SELECT (jsonb_populate_record(b, jsonb_build_object('id', gen_random_uuid(), 'device_id', d.id,
  'customer_id', d.customer_id, 'number', d.n, 'symptom', 'Hot and loud after ' || d.n % 90 || ' minutes of play',
  'created_at', now() - (d.n % 1500) * interval '1 day', 'updated_at', now() - (d.n % 1500) * interval '1 day',
  'handed_over_at', CASE WHEN d.n % 50 > 0 THEN now() - (d.n % 1500) * interval '1 day' END))).*
FROM (SELECT *, row_number() OVER () + 9 AS n FROM device WHERE serial LIKE 'SN-%') d, job b
"""


def main(jobs: int) -> int:
    """Measure; 1 when a search takes longer than is allowed."""
    with own_shop() as shop:
        ada, database = shop.signed_in(), shop.workshop.database
        ada.new_job()
        began = time.perf_counter()
        with database.engine.begin() as connection:
            connection.execute(text(MANY), {"jobs": jobs})
            connection.execute(text(JOBS))
        with database.engine.connect().execution_options(isolation_level="AUTOCOMMIT") as connection:
            connection.execute(text("VACUUM ANALYZE"))
        print(f"{jobs} jobs, made in {time.perf_counter() - began:.0f} s")

        def took(query: str) -> tuple[float, float, int]:
            times, total = [], 0
            for _ in range(TIMES):
                start = time.perf_counter()
                total = ada.call("GET", f"/api/jobs?limit=12&all=true&{query}")["total"]
                times.append(1000 * (time.perf_counter() - start))
            return sorted(times)[TIMES // 2], max(times), total

        took("")
        bare = took("")[0]
        print(f"{'the latest':20} {bare:7.1f} ms")
        slow = 0
        for name, query in SEARCHES.items():
            median, longest, total = took(query)
            slow += median > ALLOWED_MS
            print(
                f"{name:20} {median:7.1f} ms, slowest {longest:7.1f}, {median / bare:5.2f} of the latest, {total} found"
            )
    return 1 if slow else 0


if __name__ == "__main__":
    sys.exit(main(int(sys.argv[1]) if len(sys.argv) > 1 else 100_000))
