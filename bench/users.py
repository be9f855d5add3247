"""Many at once: the 95th percentile of an answer for 32 users over that of one, and the Bench with 450 open jobs.

    python bench/users.py [USERS] [SECONDS]        32 and 15 when left out

Each user reads the Bench, a job, its plan and its bench, and writes an intake now and then, with a second between two
actions in the mean, as hands need it. Prints ratios within one run. Needs PostgreSQL; makes and throws away an
installation of its own.
"""

import argparse
import http.client
import json
import logging
import random
import shutil
import statistics
import sys
import tempfile
import threading
import time
from pathlib import Path

import structlog

sys.path.insert(0, str(Path(__file__).parents[1]))
from tests.faulty import JOB, Installation
from tests.logs import HOT, log_bytes

OPEN_JOBS, ALLOWED_RATIO, THINKS_S = 450, 5.0, 1.0


class User:
    """One browser: a connection of its own, and what it does at random."""

    def __init__(self, shop: Installation, jobs: list[str], seed: int) -> None:
        self.shop, self.jobs, self.dice = shop, jobs, random.Random(seed)
        self.line = http.client.HTTPConnection("127.0.0.1", shop.port, timeout=60)
        self.took: list[float] = []
        self.failed = 0

    def ask(self, method: str, path: str, body=None):
        headers = {"X-CSRFToken": self.shop.token, "Cookie": self.shop.cookie, "Content-Type": "application/json"}
        began = time.monotonic()
        self.line.request(method, path, json.dumps(body) if body is not None else None, headers)
        answer = self.line.getresponse()
        said = json.loads(answer.read())
        self.took.append(time.monotonic() - began)
        self.failed += answer.status >= 500
        return said

    def one(self) -> None:
        job = self.dice.choice(self.jobs)
        match self.dice.randrange(6):
            case 0:
                self.ask("GET", "/api/bench?limit=50")
            case 1 | 2:
                self.ask("GET", f"/api/jobs/{job}")
            case 3:
                self.ask("GET", f"/api/jobs/{job}/bench")
            case 4:
                self.ask("GET", "/api/jobs?limit=50")
            case 5:
                now = self.ask("GET", f"/api/jobs/{job}")
                self.ask("PUT", f"/api/jobs/{job}", {**JOB, "version": now["version"], "symptom": "hot"})

    def work(self, until: float) -> None:
        while time.monotonic() < until:
            time.sleep(min(5.0, self.dice.expovariate(1.0 / THINKS_S)))
            self.one()
        self.line.close()


def p95(values: list[float]) -> float:
    """95th percentile."""
    return statistics.quantiles(values, n=20)[-1]


def load(shop: Installation, jobs: list[str], users: int, seconds: float) -> tuple[float, float, int]:
    """p95, answers a second, and failures of so many users."""
    crowd = [User(shop, jobs, n) for n in range(users)]
    until = time.monotonic() + seconds
    threads = [threading.Thread(target=u.work, args=(until,)) for u in crowd]
    for thread in threads:
        thread.start()
    for thread in threads:
        thread.join()
    took = [t for u in crowd for t in u.took]
    return p95(took), len(took) / seconds, sum(u.failed for u in crowd)


def main() -> None:
    """Print the ratios."""
    parser = argparse.ArgumentParser()
    parser.add_argument("users", type=int, nargs="?", default=32)
    parser.add_argument("seconds", type=float, nargs="?", default=15.0)
    given = parser.parse_args()
    structlog.configure(wrapper_class=structlog.make_filtering_bound_logger(logging.ERROR))
    folder = Path(tempfile.mkdtemp(prefix="vividowl-users-"))
    folder.chmod(0o755)
    shop = Installation(folder)
    try:
        jobs = [shop.call("POST", "/api/jobs", {**JOB, "customer_name": f"Wen {n}"})[0]["id"] for n in range(OPEN_JOBS)]
        for job in jobs[:3]:
            data = log_bytes(HOT, seed=len(job))
            shop.call("POST", f"/api/jobs/{job}/runs/before/log?name=a.csv&again=true", data=data)
        one, one_rate, _ = load(shop, jobs, 1, given.seconds)
        many, rate, failed = load(shop, jobs, given.users, given.seconds)
        print(f"p95 of {given.users} users over one user's: {many / one:.1f} (allowed {ALLOWED_RATIO:g})")
        print(f"answers a second, {given.users} users over one: {rate / one_rate:.2f}; failures: {failed}")
        user = User(shop, jobs, 1)
        for path in ("/api/bench?limit=50", "/api/bench?limit=100"):
            user.took.clear()
            for _ in range(5):
                user.ask("GET", path)
            print(f"{path} with {OPEN_JOBS} open jobs over one user's p95: {statistics.median(user.took) / one:.2f}")
        print(f"(one user's p95 here: {1000 * one:.0f} ms)")
    finally:
        shop.stop()
        shutil.rmtree(folder, ignore_errors=True)


if __name__ == "__main__":
    main()
