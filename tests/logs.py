"""Sensor logs for the tests, written by hand-made rules and not by the reader's own code."""

from datetime import UTC, datetime, timedelta
from functools import lru_cache

from vividowl.core.simulate.device import Device, simulate
from vividowl.core.trace.roles import Role

HOT = Device(interface=0.75, sink=0.72, chassis=0.12, fan_full_rpm=4200, boost_power=70, sustained_power=58)
COOL = Device(interface=0.13, sink=0.46, chassis=0.12, fan_full_rpm=4200, boost_power=70, sustained_power=58)


def rows(device=HOT, *, seed=1, room_c=24.0, load_s=600.0, **more):
    """Samples as dictionaries: seconds, temperature, power, clock, use, fan, held."""
    trace = simulate(device, room_c=room_c, seed=seed, load_s=load_s, **more)
    c = trace.channels
    return [
        {
            "s": float(t),
            "temp": float(c[Role.CPU_TEMPERATURE][i]),
            "power": float(c[Role.CPU_POWER][i]),
            "clock": float(c[Role.CPU_CLOCK][i]),
            "use": float(c[Role.CPU_UTILISATION][i]),
            "fan": float(c[Role.FAN_SPEED][i]),
            "held": bool(c[Role.THROTTLE_FLAG][i] > 0.5),
        }
        for i, t in enumerate(trace.time_s)
    ]


HEADERS = [
    "Time",
    "CPU Package [°C]",
    "CPU Package Power [W]",
    "Core Clocks (avg) [MHz]",
    "Total CPU Usage [%]",
    "Fan [RPM]",
    "Thermal throttling [Yes/No]",
]


def text(samples, *, sep=",", dec=".", headers=None, stamp="iso", fahrenheit=False, began=None):
    """Samples as lines."""
    began = began or datetime(2026, 3, 1, 14, 5, 0, tzinfo=UTC)
    lines = [sep.join(headers or HEADERS)]
    for r in samples:
        moment = began + timedelta(seconds=r["s"])
        when = {
            "iso": f"{moment:%Y-%m-%d %H:%M:%S}.{moment.microsecond // 1000:03d}",
            "clock": f"{moment:%H:%M:%S}",
            "ampm": f"{moment:%I:%M:%S %p}",
            "elapsed": f"{r['s']:.1f}".replace(".", dec),
            "epoch_ms": f"{int(moment.timestamp() * 1000)}",
        }[stamp]
        temp = r["temp"] * 1.8 + 32 if fahrenheit else r["temp"]
        numbers = [f"{temp:.1f}", f"{r['power']:.2f}", f"{r['clock']:.0f}", f"{r['use']:.1f}", f"{r['fan']:.0f}"]
        lines.append(sep.join([when, *(n.replace(".", dec) for n in numbers), "Yes" if r["held"] else "No"]))
    return lines


@lru_cache(maxsize=64)
def log_bytes(device=HOT, **more):
    """A usual log."""
    return "\n".join(text(rows(device, **more))).encode() + b"\n"
