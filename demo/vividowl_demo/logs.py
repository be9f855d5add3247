"""Simulated runs written as the files that loggers leave behind, with their usual disorder."""

from __future__ import annotations

from dataclasses import dataclass
from datetime import datetime, timedelta

import numpy as np

from vividowl.core.trace.roles import ROLE_KINDS, Role
from vividowl.core.trace.trace import Trace


@dataclass(frozen=True, kw_only=True)
class Style:
    """How an invented logger writes: delimiter, decimal sign, stamp, headers by role, and its disorder."""

    delimiter: str = ","
    decimal: str = "."
    stamp: str = "clock"
    fahrenheit: bool = False
    flag: bool = True
    gap: bool = False
    repeat_header: bool = False
    drop_out: bool = False
    extra_sensors: int = 4
    graphics: bool = False


_HEADERS = {
    Role.CPU_TEMPERATURE: "CPU Package [{t}]",
    Role.CPU_POWER: "CPU Package Power [W]",
    Role.CPU_CLOCK: "Core Clocks (avg) [MHz]",
    Role.CPU_UTILISATION: "Total CPU Usage [%]",
    Role.FAN_SPEED: "Fan [RPM]",
    Role.EXHAUST_TEMPERATURE: "Exhaust probe [{t}]",
    Role.GPU_HOTSPOT: "Hot Spot [{t}]",
    Role.MEMORY_TEMPERATURE: "Memory [{t}]",
    Role.SKIN_TEMPERATURE: "Skin [{t}]",
    Role.THROTTLE_FLAG: "Thermal throttling [Yes/No]",
}
_GRAPHICS = {
    Role.CPU_TEMPERATURE: "GPU Temperature [{t}]",
    Role.CPU_POWER: "GPU Power [W]",
    Role.CPU_CLOCK: "GPU Clock [MHz]",
    Role.CPU_UTILISATION: "GPU Load [%]",
}


def write_log(trace: Trace, began: datetime, style: Style, seed: int) -> bytes:
    """A trace as a text file."""
    rng = np.random.default_rng(seed)
    scale = "°F" if style.fahrenheit else "°C"
    roles = [r for r in _HEADERS if r in trace.channels and (style.flag or r is not Role.THROTTLE_FLAG)]
    heads = [(_GRAPHICS.get(r, _HEADERS[r]) if style.graphics else _HEADERS[r]).format(t=scale) for r in roles]
    extra = [f"Rail {i + 1} [V]" for i in range(style.extra_sensors)]
    stamps = {"clock": ["Date", "Time"], "iso": ["Timestamp"], "elapsed": ["Elapsed [s]"]}[style.stamp]
    header = style.delimiter.join([*stamps, *heads, *extra])
    lines = [header]
    n = len(trace.time_s)
    lost = set(rng.integers(n // 3, n, 3).tolist()) if style.drop_out else set()
    for i in range(n):
        if style.gap and n // 2 < i < n // 2 + 12:
            continue
        cells = _stamp(began, float(trace.time_s[i]), style.stamp, style.decimal)
        for role in roles:
            value = float(trace.channels[role][i])
            if role is Role.THROTTLE_FLAG:
                cells.append("Yes" if value > 0.5 else "No")
                continue
            if ROLE_KINDS[role].unit == "°C":
                value = 0.0 if i in lost and role is Role.CPU_TEMPERATURE else value
                value = value * 1.8 + 32.0 if style.fahrenheit else value
            digits = 0 if role in (Role.CPU_CLOCK, Role.FAN_SPEED) else 1
            cells.append(f"{value:.{digits}f}".replace(".", style.decimal))
        cells += [f"{rng.normal(5 + k, 0.02):.3f}".replace(".", style.decimal) for k in range(style.extra_sensors)]
        lines.append(style.delimiter.join(cells))
    if style.repeat_header:
        lines.insert(n // 2, header)
    return ("\r\n".join(lines) + "\r\n").encode("cp1252" if style.decimal == "," else "utf-8")


def _stamp(began: datetime, seconds: float, stamp: str, decimal: str) -> list[str]:
    moment = began + timedelta(seconds=seconds)
    if stamp == "clock":
        return [f"{moment:%d.%m.%Y}", f"{moment:%H:%M:%S}.{moment.microsecond // 1000:03d}"]
    if stamp == "iso":
        return [moment.isoformat(timespec="milliseconds")]
    return [f"{seconds:.1f}".replace(".", decimal)]


def write_frames(usual_ms: float, slow_ms: float, seconds: float, seed: int) -> bytes:
    """A log with a line a frame: most near the usual time, one in a hundred slow."""
    rng = np.random.default_rng(seed)
    n = round(1000.0 * seconds / usual_ms)
    times = usual_ms * np.exp(rng.normal(0.0, 0.05, n))
    slow = rng.choice(n, n // 100, replace=False)
    times[slow] = slow_ms * np.exp(rng.normal(0.0, 0.05, len(slow)))
    at = np.cumsum(times) / 1000.0
    lines = [f"{t:.4f},{ms:.2f}" for t, ms in zip(at, times, strict=True)]
    return ("\n".join(["Time [s],Frame Time [ms]", *lines]) + "\n").encode()
