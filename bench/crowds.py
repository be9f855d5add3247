"""Damaged and older backups, slow lines, slow work, a burst of sign-ins, many streams and many tabs.

    python bench/crowds.py        also run by bench/faults.py

Makes and throws away an installation of its own. Needs PostgreSQL, and Chromium for the tabs.
"""

from __future__ import annotations

import http.client
import lzma
import random
import shutil
import socket
import statistics
import sys
import tempfile
import threading
import time
from collections import Counter
from collections.abc import Callable, Iterator
from concurrent.futures import ThreadPoolExecutor
from contextlib import ExitStack, contextmanager
from pathlib import Path

from playwright.sync_api import sync_playwright
from sqlalchemy import text

sys.path.insert(0, str(Path(__file__).parents[1]))
from tests.faulty import JOB, Installation
from tests.logs import HOT, log_bytes

from vividowl.appliance.backup import BackupError, read_backup, write_backup
from vividowl.appliance.cluster import Cluster
from vividowl.appliance.paths import Places
from vividowl.store.database import Database

DAMAGED, DUMPS = 60, Path(__file__).parents[1] / "tests/dumps"
SLOW_BYTES_S, ROWS = 60_000, 20_000
GUESSES, STREAMS, TABS = 60, 200, 12
BURST_MOST = 3.0


def median_of(shop: Installation, times: int, path: str = "/api/jobs?limit=20") -> float:
    """How long a member's answer takes, in the middle of some [s]."""
    took = []
    for _ in range(times):
        began = time.monotonic()
        shop.call("GET", path)
        took.append(time.monotonic() - began)
    return statistics.median(took)


def with_log(shop: Installation) -> str:
    """A job with a log; its id."""
    job = str(shop.call("POST", "/api/jobs", JOB)[0]["id"])
    run = {"room_c": 24.0, "load_recipe": "even load", "fan_setting": "automatic", "version": 0}
    shop.call("PUT", f"/api/jobs/{job}/runs/before", run)
    shop.call("POST", f"/api/jobs/{job}/runs/before/log?name=a.csv", data=log_bytes(HOT, seed=3))
    return job


def restores(root: Path) -> Iterator[tuple[str, str]]:
    """Damaged archives, one after the other, and those of earlier versions."""
    where, dice = Places(root), random.Random(5)
    cluster = Cluster(where.cluster)
    cluster.start()
    database = Database(cluster.url)
    try:
        good = root / "good.owl"
        write_backup(cluster, database, where.files, good)
        whole, files = good.read_bytes(), sorted(where.files.rglob("*"))

        def jobs() -> int:
            with database.session() as session:
                return int(session.execute(text("SELECT count(*) FROM job")).scalar_one())

        here, told = jobs(), Counter[str]()
        for turn in range(DAMAGED):
            broken = bytearray(whole)
            if turn % 2:
                broken[dice.randrange(len(broken))] ^= 1 << dice.randrange(8)
            else:
                del broken[dice.randrange(1, len(broken)) :]
            path = root / "broken.owl"
            path.write_bytes(broken)
            try:
                read_backup(cluster, where.files, path)
                told["taken"] += 1
            except BackupError:
                told["refused"] += 1
            database.engine.dispose()
            told["lost"] += jobs() != here or sorted(where.files.rglob("*")) != files
        yield f"{DAMAGED} damaged backups", ", ".join(f"{n} {what}" for what, n in sorted(told.items()))
        old = Counter[str]()
        for dump in sorted(DUMPS.glob("*.owl.xz")):
            path = root / "old.owl"
            path.write_bytes(lzma.decompress(dump.read_bytes()))
            read_backup(cluster, where.files, path)
            database.engine.dispose()
            old["restored"] += jobs() > 0
        yield "backups of earlier versions", f"{old['restored']} of {len(list(DUMPS.glob('*.owl.xz')))} restored"
    finally:
        database.close()
        cluster.leave()


def slow_readers(shop: Installation, job: str) -> tuple[str, str]:
    """Eight who take a record's files at a pace of a poor line, while a member goes on."""
    size = len(fetched(shop, f"/api/jobs/{job}/record.zip"))

    def slow() -> int:
        line = socket.socket()
        line.setsockopt(socket.SOL_SOCKET, socket.SO_RCVBUF, 8192)
        with line:
            line.connect(("127.0.0.1", shop.port))
            line.sendall(asking(shop, f"/api/jobs/{job}/record.zip"))
            heard = b""
            while piece := line.recv(4096):
                heard += piece
                time.sleep(len(piece) / SLOW_BYTES_S)
        return len(heard.split(b"\r\n\r\n", 1)[1])

    with ThreadPoolExecutor(8) as many:
        got = list(many.map(lambda _: slow(), range(8)))
    return "8 slow readers of a record", f"{sum(g == size for g in got)} whole, {sum(g != size for g in got)} cut"


def asking(shop: Installation, path: str) -> bytes:
    """A request as it goes over the line."""
    head = f"GET {path} HTTP/1.1\r\nHost: 127.0.0.1:{shop.port}\r\nCookie: {shop.cookie}\r\nConnection: close\r\n\r\n"
    return head.encode()


def fetched(shop: Installation, path: str) -> bytes:
    """The body of an answer."""
    line = http.client.HTTPConnection("127.0.0.1", shop.port, timeout=60)
    line.request("GET", path, headers={"Cookie": shop.cookie})
    body = line.getresponse().read()
    line.close()
    return body


def slow_work(shop: Installation) -> tuple[str, str]:
    """A list of 20,000 rows is taken in, while devices come in at the counter."""
    rows = [f"{n};2024-05-{n % 27 + 1:02d};Ann {n % 900};Laptop;Marrow 17;OV-{n};hot;cleaned" for n in range(ROWS)]
    data = "\n".join(["Nr;Date;Customer;Type;Device;Serial;Problem;Work", *rows]).encode()
    found, _ = shop.call("POST", "/api/past-jobs?name=old.csv", data=data)
    before = median_of(shop, 15)
    ended: list[tuple[object, int]] = []

    def take() -> None:
        line = http.client.HTTPConnection("127.0.0.1", shop.port, timeout=600)
        headers = {"Cookie": shop.cookie, "X-CSRFToken": shop.token, "Content-Type": "application/json"}
        line.request("POST", f"/api/past-jobs/{found['id']}/take-in", f'{{"version": {found["version"]}}}', headers)
        answer = line.getresponse()
        ended.append((answer.read(), answer.status))
        line.close()

    worker = threading.Thread(target=take)
    began = time.monotonic()
    worker.start()
    took = []
    while worker.is_alive():
        now = time.monotonic()
        shop.call("POST", "/api/jobs", JOB)
        took.append(time.monotonic() - now)
        time.sleep(0.2)
    whole = time.monotonic() - began
    total = shop.call("GET", "/api/jobs?all=true&limit=1")[0]["total"]
    return (
        f"a list of {ROWS} rows while {len(took)} devices come in",
        f"status {ended[0][1]} after {whole:.0f} s, more than {total - 1} jobs there; a device took "
        f"{statistics.median(took) / before:.1f} times an answer before, at most {max(took):.1f} s",
    )


def burst(shop: Installation) -> tuple[str, str]:
    """Sixty who sign in wrongly at once, while a member works."""
    usual = median_of(shop, 40)
    told = Counter[str]()

    def guess(number: int) -> None:
        line = http.client.HTTPConnection("127.0.0.1", shop.port, timeout=60)
        body = f'{{"login": "nobody{number}", "password": "wrong"}}'
        headers = {"Cookie": shop.cookie, "X-CSRFToken": shop.token, "Content-Type": "application/json"}
        try:
            line.request("POST", "/api/session", body, headers)
            told[str(line.getresponse().status)] += 1
        except OSError as broken:
            told[type(broken).__name__] += 1
        finally:
            line.close()

    with ThreadPoolExecutor(GUESSES) as many:
        guesses = [many.submit(guess, n) for n in range(GUESSES)]
        took = []
        while not all(g.done() for g in guesses):
            took.append(median_of(shop, 1))
    ratio = statistics.median(took) / usual
    said = ", ".join(f"{n} × {status}" for status, n in sorted(told.items()))
    word = "within" if ratio <= BURST_MOST else "above"
    return (
        f"{GUESSES} sign-ins at once",
        f"a member's answer {ratio:.1f} times its usual, {word} {BURST_MOST:g}; {said}",
    )


def streams(shop: Installation) -> tuple[str, str]:
    """Two hundred who listen for news, and a member who works."""
    usual = median_of(shop, 40)
    with ExitStack() as open_lines:
        lines = [open_lines.enter_context(socket.create_connection(("127.0.0.1", shop.port))) for _ in range(STREAMS)]
        for line in lines:
            line.sendall(asking(shop, "/api/bench/stream"))
        time.sleep(2)
        ratio = median_of(shop, 40) / usual
    return f"{STREAMS} streams", f"a member's answer {ratio:.1f} times its usual"


def tabs(shop: Installation) -> tuple[str, str]:
    """Twelve tabs of one browser, and the last one still answers."""
    name, value = shop.cookie.split("=", 1)
    with sync_playwright() as play:
        arguments = ["--disable-gpu", "--no-sandbox"]
        browser = play.chromium.launch(executable_path=shutil.which("chromium-headless-shell"), args=arguments)
        context = browser.new_context()
        context.add_cookies([{"name": name, "value": value, "url": f"http://127.0.0.1:{shop.port}"}])
        shown = 0
        for _ in range(TABS):
            page = context.new_page()
            page.goto(f"http://127.0.0.1:{shop.port}/jobs")
            page.get_by_text("Marrow 15").first.wait_for(timeout=20_000)
            shown += 1
        began = time.monotonic()
        page.reload()
        page.get_by_text("Marrow 15").first.wait_for(timeout=20_000)
        took = time.monotonic() - began
        browser.close()
    return f"{TABS} tabs of one browser", f"{shown} answered; the last one loads anew in {took:.1f} s"


@contextmanager
def installation() -> Iterator[tuple[Path, Installation]]:
    """One of its own, thrown away at the end."""
    folder = Path(tempfile.mkdtemp(prefix="vividowl-crowds-"))
    folder.chmod(0o755)
    try:
        yield folder, Installation(folder)
    finally:
        shutil.rmtree(folder, ignore_errors=True)


def crowds(tell: Callable[[str, str], None]) -> None:
    """All of them, one after the other."""
    with installation() as (root, shop):
        try:
            job = with_log(shop)
            for found in (slow_readers(shop, job), streams(shop), tabs(shop), burst(shop), slow_work(shop)):
                tell(*found)
        finally:
            shop.stop()
        for name, came_to in restores(root):
            tell(name, came_to)


def main() -> None:
    """Print the table."""
    print("| | came to |\n|---|---|")
    crowds(lambda name, came_to: print(f"| {name} | {came_to} |", flush=True))


if __name__ == "__main__":
    main()
