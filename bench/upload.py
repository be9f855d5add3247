"""From the last byte of a log to its figures, against a bare columnar read of the same file in the same run.

Run: .venv/bin/python bench/upload.py [rows] [columns]
The goal for 36,000 rows of 250 columns is at most 1.5 times the bare read plus 0.3 s, and at most four times the file
in memory on top of what was there before.
"""

from __future__ import annotations

import vividowl  # noqa: F401 - it sets the threads of numpy, so it stands first

# isort: split
import http.client
import io
import json
import statistics
import sys
import threading
import time
from pathlib import Path

import numpy as np
import polars as pl
from own_shop import PASSWORD, own_shop

from vividowl.app.serving import make_server, port_of
from vividowl.settings import Settings
from vividowl.web.app import create_app

ALLOWED_FACTOR, ALLOWED_EXTRA_S = 1.5, 0.3


def make_log(rows: int, columns: int, seed: int) -> bytes:
    """An invented log: idle, a load with a slow rise, and sensors that wander."""
    rng = np.random.default_rng(seed)
    t = np.arange(rows, dtype=float)
    loaded = t > 60
    data = {
        "Elapsed [s]": t,
        "CPU Package [°C]": (
            32 + loaded * 45 * (1 - np.exp(-np.maximum(0, t - 60) / 300)) + rng.normal(0, 0.25, rows)
        ).round(1),
        "CPU Package Power [W]": (np.where(loaded, 45, 5) + rng.normal(0, 0.4, rows)).round(2),
        "Core Clocks (avg) [MHz]": (np.where(loaded, 3400, 900) + rng.normal(0, 9, rows)).round(0),
        "Total CPU Usage [%]": np.where(loaded, 100.0, 3.0),
        "Fan [RPM]": (np.where(loaded, 3900, 1500) + rng.normal(0, 15, rows)).round(0),
    }
    for i in range(columns - len(data)):
        data[f"Rail {i} [V]"] = (1.05 + rng.normal(0, 0.01, rows)).round(3)
    buffer = io.BytesIO()
    pl.DataFrame(data).write_csv(buffer)
    return buffer.getvalue()


def processes() -> list[Path]:
    """This process and those that it started, which read the files."""
    own = [Path("/proc/self")]
    for task in Path("/proc/self/task").iterdir():
        own += [Path("/proc") / pid for pid in (task / "children").read_text().split()]
    return own


def memory_mb(what: str) -> float:
    """Resident memory of all processes now (VmRSS) or at their peaks since the last reset (VmHWM) [MB]."""
    return sum(
        float(line.split()[1]) / 1000.0
        for process in processes()
        for line in (process / "status").read_text().splitlines()
        if line.startswith(what)
    )


class Client:
    """A browser without a screen, over a real connection."""

    def __init__(self, port: int) -> None:
        self.line = http.client.HTTPConnection("127.0.0.1", port, timeout=60)
        self.cookie = self.token = ""

    def call(self, method: str, path: str, body: bytes | None = None) -> tuple[dict, float]:
        """The answer, and the seconds from the last byte sent to the answer read."""
        self.line.putrequest(method, path)
        for name, value in (("Cookie", self.cookie), ("X-CSRFToken", self.token)):
            self.line.putheader(name, value)
        if body is not None:
            self.line.putheader("Content-Length", str(len(body)))
            self.line.putheader("Content-Type", "application/json" if body[:1] == b"{" else "application/octet-stream")
        self.line.endheaders()
        if body is not None:
            self.line.send(body)
        sent = time.perf_counter()
        answer = self.line.getresponse()
        text = answer.read()
        taken = time.perf_counter() - sent
        self.cookie = (answer.getheader("Set-Cookie") or self.cookie).split(";")[0]
        assert answer.status < 300, text
        return json.loads(text), taken

    def sign_in(self) -> None:
        """Sign in and fetch the token."""
        for body in (None, json.dumps({"login": "ada", "password": PASSWORD}).encode()):
            self.call("GET" if body is None else "POST", "/api/session", body)
            self.token = self.call("GET", "/api/session")[0]["csrf_token"]


def main() -> None:
    """Measure five times, each with a file of its own, and print medians and the ratio to what is allowed."""
    rows = int(sys.argv[1]) if len(sys.argv) > 1 else 36_000
    columns = int(sys.argv[2]) if len(sys.argv) > 2 else 60
    with own_shop() as shop:
        server = make_server(create_app(shop.workshop, Settings(secret_key="bench", cookie_secure=False)), 0, threads=4)  # noqa: S106
        threading.Thread(target=server.serve, daemon=True).start()
        client = Client(port_of(server))
        client.sign_in()
        bare, ours, grown, drawn = [], [], [], []
        for turn in range(6):
            data = make_log(rows, columns, turn)
            intake = {"customer_name": "B", "kind": "laptop", "model": "M", "limit_c": 95.0}
            job = client.call("POST", "/api/jobs", json.dumps(intake).encode())[0]["id"]
            began = time.perf_counter()
            pl.read_csv(io.BytesIO(data))
            read = time.perf_counter() - began
            for process in processes():
                (process / "clear_refs").write_text("5")  # the peak counts from here
            before_mb = memory_mb("VmRSS")
            run, taken = client.call("POST", f"/api/jobs/{job}/runs/before/log?name={turn}.csv", data)
            grown.append((memory_mb("VmHWM") - before_mb) / (len(data) / 1e6))
            assert run["reading"] is not None
            path = f"/api/jobs/{job}/runs/before/chart?points=1200&channel=c{columns - 1}"
            drawn.append(client.call("GET", path)[1])
            if turn:  # the first turn loads libraries
                bare.append(read)
                ours.append(taken)
        b, o = statistics.median(bare), statistics.median(ours)
        allowed = ALLOWED_FACTOR * b + ALLOWED_EXTRA_S
        print(f"{rows} rows x {columns} columns, {len(data) / 1e6:.1f} MB")
        print(f"bare columnar read {b:.3f} s; last byte sent to figures answered {o:.3f} s; {o / b:.2f} times")
        print(f"allowed {allowed:.3f} s; used {o / allowed:.2f} of it")
        print(f"peak memory {max(grown):.1f} times the file (allowed 4); a channel drawn in {max(drawn):.3f} s")
        client.line.close()
        server.stop()


if __name__ == "__main__":
    main()
