"""Runs as observations: what each figure is in a run, brought to one room, with what is not known of it."""

from __future__ import annotations

import math
from collections.abc import Mapping, Sequence
from dataclasses import dataclass, replace
from typing import Any

from vividowl.core.quantities.uncertainty import Tolerances, combined, standard_from_half_width
from vividowl.core.reading.measured import SPEED_TOLD_SHARE, Measured, at_speed_of
from vividowl.core.trace.roles import ROLE_KINDS, Role
from vividowl.service.measure.runs import RESULT_FIELDS
from vividowl.service.runs.all_runs import AllRuns, LogRow, RunRow

NOISE, RISE, RESISTANCE = "noise_db", "rise_K", "resistance_K_per_W"
# Noise where the rise is held, and the rise where the noise is.
MATCHED = {"noise_at_matched_rise_db": (RISE, NOISE), "rise_at_matched_noise_K": (NOISE, RISE)}
FRAME_RATES = ("frame_rate_per_s", "slow_frame_rate_per_s")
HIGHER = (
    "result_score",
    "result_frame_rate",
    "power_W",
    *FRAME_RATES,
    Role.FRAME_RATE.value,
    Role.CPU_CLOCK.value,
    Role.GPU_CLOCK.value,
)


# Before the name of a column that has no role.
COLUMN = "column:"
# Of a unit of temperature, a kelvin.
_DEGREES_PER_K = {"°C": 1.0, "°F": 1.8}


def measured_figure(name: str, row: RunRow, log: LogRow) -> float | None:
    """A figure of a log as it was measured; None where not known."""
    figures = log.trace.figures or {}
    if name == NOISE:
        return None if log.repeat else row.noise_db
    if name in RESULT_FIELDS:
        return None if log.repeat else getattr(row.run, name)
    if name.startswith(COLUMN):
        return _column(name, log).get("mean")
    # What else is kept of a log, as which of its columns is the die, is no figure.
    kept = figures if name in _OF_A_LOG else figures.get("means", {})
    found: float | None = kept.get(name)
    return found


def _column(name: str, log: LogRow) -> Mapping[str, Any]:
    found: Mapping[str, Any] = (log.trace.figures or {}).get("columns", {}).get(name.removeprefix(COLUMN), {})
    return found


def figure_of(name: str, row: RunRow, log: LogRow, reference_room_c: float) -> float | None:
    """A figure of a log: temperatures are brought to the reference room; None where not known."""
    value = measured_figure(name, row, log)
    degrees = _DEGREES_PER_K.get(_unit_of(name, log))
    if value is None or degrees is None:
        return value
    return None if row.run.room_c is None else value + degrees * (reference_room_c - row.run.room_c)


def _unit_of(name: str, log: LogRow) -> str:
    """Unit of a figure that is a temperature by its column; nothing for one that is a difference already."""
    if name.startswith(COLUMN):
        return str(_column(name, log).get("unit", ""))
    return ROLE_KINDS[Role(name)].unit if name in _ROLES else ""


FIGURES = (
    RISE,
    RESISTANCE,
    "power_W",
    "held_share",
    "sag_W",
    "sag_MHz",
    "clock_spread_MHz",
    *FRAME_RATES,
    NOISE,
    "result_score",
    "result_duration_s",
)


def standard_of(name: str, row: RunRow, value: float, tolerances: Tolerances) -> float | None:
    """Standard uncertainty of the mean of a run's logs, None where nothing but repeats tells it."""
    first, n = row.logs[0].trace.figures or {}, len(row.logs)
    role = Role(name) if name in _ROLES else None
    if name in first.get("u", {}):
        scatter, own = first["u"][name]
        return combined(scatter / math.sqrt(n), own)
    if role is not None and ROLE_KINDS[role].unit == "°C" and "rise_K" in first.get("u", {}):
        scatter, own = first["u"]["rise_K"]
        return combined(scatter / math.sqrt(n), own)
    if name == NOISE:
        return standard_from_half_width(tolerances.noise_db)
    if name in RESULT_FIELDS:
        return standard_from_half_width(tolerances.result_share * abs(value)) or None
    return None


_OF_A_LOG = frozenset(FIGURES)
_ROLES = tuple(role.value for role in Role)
_IN_C = {role.value for role, kind in ROLE_KINDS.items() if kind.unit == "°C"}


def figures_there(rows: Sequence[RunRow]) -> tuple[str, ...]:
    """Figures that two logs or more have, in their usual order."""
    once: set[str] = set()
    twice: set[str] = set()
    for row in rows:
        for log in row.logs:
            names = _figures_of(row, log)
            twice |= once & names
            once |= names
    columns = sorted(name for name in twice if name.startswith(COLUMN))
    found = [name for name in (*FIGURES, "result_frame_rate", *_ROLES, *columns) if name in twice]
    return (*found, *(name for name, needs in MATCHED.items() if set(needs) <= set(found)))


def _figures_of(row: RunRow, log: LogRow) -> set[str]:
    """Names of the figures of a log; a temperature counts where the room is known."""
    figures = log.trace.figures or {}
    names = {name for name, value in figures.items() if value is not None} & _OF_A_LOG
    names.update(figures.get("means", ()))
    if row.run.room_c is None:
        names -= _IN_C
    for name, column in figures.get("columns", {}).items():
        if row.run.room_c is not None or column["unit"] not in _DEGREES_PER_K:
            names.add(COLUMN + name)
    if not log.repeat:
        names.update(name for name in RESULT_FIELDS if getattr(row.run, name) is not None)
        if row.noise_db is not None:
            names.add(NOISE)
    return names


@dataclass(frozen=True)
class Observed:
    """A run as one observation: the mean of its logs with its standard uncertainty, None where nothing tells it."""

    row: RunRow
    value: float
    u: float | None


def observed(found: AllRuns, value: str) -> list[Observed]:
    """A figure of all runs that have it. Repeats of a run are one observation: what they share does not average out."""
    out = []
    for row in found.runs:
        told = [figure_of(value, row, log, found.reference_room_c) for log in row.logs]
        known = [figure for figure in told if figure is not None]
        if known:
            mean = sum(known) / len(known)
            out.append(Observed(row, mean, standard_of(value, row, mean, found.tolerances)))
    return out


def at_one_speed(runs: Sequence[Observed], value: str) -> tuple[list[Observed], float | None]:
    """A rise or resistance of runs at one fan speed, and that speed [rpm]: of two that of the first, as a verdict has
    it, of more the middle one, from which none is far. As they are, and None, where a speed was not logged, is too far
    off, or all are alike. A faster fan is no better paste."""
    speeds = [_fan_rpm(o.row) for o in runs]
    if value not in (RISE, RESISTANCE) or len(runs) < 2 or not all(speeds):
        return list(runs), None
    at = 0 if len(runs) == 2 else sorted(range(len(runs)), key=lambda i: speeds[i] or 0.0)[(len(runs) - 1) // 2]
    other, rpm = runs[at].value, speeds[at]
    moved = [
        at_speed_of(Measured(value=o.value, scatter=o.u or 0.0), n, other, rpm)
        for o, n in zip(runs, speeds, strict=True)
    ]
    told = [(o, m) for o, m in zip(runs, moved, strict=True) if m is not None]
    apart = max(abs(math.log((n or 1.0) / (rpm or 1.0))) for n in speeds)
    if len(told) < len(runs) or apart < SPEED_TOLD_SHARE:
        return list(runs), None
    return [replace(o, value=m.value, u=m.moving if o.u is not None else None) for o, m in told], rpm


def _fan_rpm(row: RunRow) -> float | None:
    """Fan speed of a run, None where one of its logs does not hold it or it stood still."""
    speeds = [(log.trace.figures or {}).get("means", {}).get(Role.FAN_SPEED.value) for log in row.logs]
    return sum(speeds) / len(speeds) if speeds and all(speeds) else None


def stated(runs: Sequence[Observed]) -> list[float]:
    """Standard uncertainties of runs, none where one of them has none."""
    return [o.u for o in runs if o.u is not None] if all(o.u is not None for o in runs) else []
