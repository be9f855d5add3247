"""Settled window and network fit against one plain curve fit of the same model; ten minutes of sound.

Run: .venv/bin/python bench/reading.py
Goals: window and fit on 36,000 samples at most 50 ms and 3 times the plain fit; sound at most 1.5 s.
"""

from __future__ import annotations

import vividowl  # noqa: F401 - it sets the threads of numpy, so it stands first

# isort: split
import statistics
import time
from collections.abc import Callable

import numpy as np
from scipy.optimize import curve_fit
from scipy.signal import lfilter

from vividowl.core.response.network import fit_response
from vividowl.core.response.settling import find_settled_window
from vividowl.core.simulate.sound import simulate_fan_sound
from vividowl.core.sound.recording import read_sound
from vividowl.core.trace.load import find_load
from vividowl.core.trace.roles import Role
from vividowl.core.trace.trace import Trace

SAMPLES, ONSET = 36_000, 60


def median_of(times: int, work: Callable[[], object]) -> float:
    """Median seconds of some turns, after one to warm up."""
    work()
    taken = []
    for _ in range(times):
        began = time.perf_counter()
        work()
        taken.append(time.perf_counter() - began)
    return statistics.median(taken)


def states(power: np.ndarray, taus: tuple[float, ...]) -> np.ndarray:
    """First-order answers to the power, one sample a second (n, k)."""
    keep = np.exp(-1.0 / np.array(taus))
    return np.column_stack([lfilter([1 - a], [1, -a], power) for a in keep])


def long_log() -> tuple[Trace, np.ndarray]:
    """Ten hours at one sample a second: idle, a load with boost and wandering power, three terms, noise."""
    rng = np.random.default_rng(5)
    power = np.where(np.arange(SAMPLES) < ONSET, 5.0, 45.0 + 3.0 * np.sin(np.arange(SAMPLES) / 900.0))
    power[ONSET : ONSET + 28] = 60.0
    power += rng.normal(0, 0.4, SAMPLES)
    die = 30.0 + states(power - 5.0, (1.5, 40.0, 420.0)) @ np.array([0.3, 0.5, 0.25]) + rng.normal(0, 0.25, SAMPLES)
    trace = Trace(np.arange(SAMPLES, dtype=float), {Role.CPU_TEMPERATURE: die, Role.CPU_POWER: power})
    return trace, power - 5.0


def main() -> None:
    """Measure and print."""
    trace, over = long_log()
    load = find_load(trace)

    def ours() -> None:
        find_settled_window(trace, load, response=fit_response(trace, load), held_at_end=False, stuck=False)

    def model(_: np.ndarray, base: float, *way: float) -> object:
        return base + states(over, tuple(abs(t) + 1e-3 for t in way[3:])) @ np.array(way[:3])

    def plain() -> None:
        start = (29.0, 0.4, 0.4, 0.4, 2.5, 30.0, 300.0)
        curve_fit(model, trace.time_s, trace.channels[Role.CPU_TEMPERATURE], start)

    a, b = median_of(7, ours), median_of(3, plain)
    print(f"{SAMPLES} samples, window and network {1000 * a:.0f} ms, one plain curve_fit {1000 * b:.0f} ms")
    print(f"{a / b:.2f} times the plain fit (allowed 3); {a / 0.05:.2f} of 50 ms")
    sound = simulate_fan_sound(
        rpm=3000, blades=31, level_db=50, full_scale_db=104, seed=1, seconds=600.0, rate_hz=48000.0
    )
    s = median_of(3, lambda: read_sound([sound], 48000.0))
    print(f"600 s of 48 kHz: {s:.2f} s, {600 / s:.0f} times as fast as it was recorded; {s / 1.5:.2f} of 1.5 s")


if __name__ == "__main__":
    main()
