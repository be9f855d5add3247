"""What a column is by how it behaves, where its name does not say: heat follows power, power jumps with the load."""

from __future__ import annotations

import re
from collections.abc import Callable, Sequence
from dataclasses import dataclass, replace

import numpy as np

from vividowl.core.trace.roles import DIE_ROLES, ChannelGuess, Role
from vividowl.core.trace.trace import Series, scan

POINTS_MOST = 1500  # of a column that are looked at; more cost time and tell nothing more
DIE_BAND_C = (15.0, 120.0)  # [degC] in which dies are logged; from memory
DIE_RANGE_K = (6.0, 90.0)  # [K] between idle and load; from memory
POWER_BAND_W = (0.2, 600.0)  # [W] of chips and whole devices; from memory
FOLLOWS_LEAST = 0.9  # how well a temperature follows the power (correlation); from memory
JUMP_LEAST = 0.7  # share of its range that a power takes in one step; from memory
CONFIDENCE_BY_BEHAVIOUR = 0.5  # of a role told by behaviour alone; from memory
UNSURE_BELOW = 0.75  # confidence below which the page asks
_OTHER = re.compile(
    r"\b(limit|max|min|target|ssd|disk|drive|nvme|battery|volt|vid|vcore|ambient|room|memory|mem|vram)\b"
)


@dataclass(frozen=True)
class Shape:
    """low, high: 2nd and 98th percentile; jump: largest share of that range crossed within four samples."""

    low: float
    high: float
    jump: float


def shape_of(values: Series) -> Shape | None:
    """Range of a column and how suddenly it crosses it. None when it hardly holds a number or does not move.

    values: column (n,) [any]
    source: common practice, no source
    """
    known = values[np.isfinite(values)]
    if len(known) < max(10, 0.5 * len(values)):
        return None
    low, high = (float(x) for x in np.percentile(known, (2, 98)))
    if not high - low > 1e-9:
        return None
    # A median of three: one lost sample is no jump.
    calm = np.median(np.vstack([known[:-2], known[1:-1], known[2:]]), axis=0)
    if len(calm) < 8:
        return None
    return Shape(low, high, float(np.max(np.abs(calm[4:] - calm[:-4]))) / (high - low))


def _follows(time_s: Series, cause: Series, effect: Series) -> float:
    """How well a column is a slow answer to another: the best correlation over time constants."""
    if not np.ptp(effect) > 0:
        return 0.0
    taus = np.array([3.0, 20.0, 60.0, 200.0])
    keep = np.exp(-np.diff(time_s, prepend=time_s[0] - 1.0)[:, None] / taus)
    slow = scan(keep, (1.0 - keep) * (cause - cause[0])[:, None])
    return max((float(np.corrcoef(x, effect)[0, 1]) for x in slow.T if np.ptp(x) > 0), default=0.0)


def by_behaviour(
    time_s: Series, numeric: Sequence[int], column: Callable[[int], Series], guesses: Sequence[ChannelGuess]
) -> tuple[ChannelGuess, ...]:
    """Name the die temperature and the power where the headers do not, and correct a name that behaviour contradicts.

    time_s: times (n,) [s]
    numeric: places of the columns that hold numbers (k,) [1]
    column: gives the column of a place (n,) [any]; it is asked for only when a name is missing
    guesses: what the headers say (m,)
    returns: guesses (m,); what was told by behaviour has a confidence of 0.5
    range: one load step in the log; nothing is named when more than one column would do equally well
    formula: a die correlates with a low-passed power; power crosses most of its range within four samples
    source: common practice, no source
    """
    out = list(guesses)
    given = {g.role for g in guesses if g.role is not None}
    need_die = not given & set(DIE_ROLES)
    need_power = not given & {Role.CPU_POWER, Role.GPU_POWER, Role.TOTAL_POWER}
    unsure = [i for i, g in enumerate(guesses) if g.role in DIE_ROLES and not g.unit and g.confidence < UNSURE_BELOW]
    if not need_die and not need_power and not unsure:
        return tuple(out)
    every = max(1, len(time_s) // POINTS_MOST)
    columns = {i: column(i) for i in numeric}
    shapes = {i: s for i, v in columns.items() if (s := shape_of(v[::every])) is not None}
    for i in unsure:
        shape = shapes.get(i)
        if shape is not None and shape.jump > 0.8 and shape.low < DIE_BAND_C[0]:
            # Called like a die, but it jumps with the load from next to nothing: it is the power of that name.
            power = Role.CPU_POWER if guesses[i].role is Role.CPU_TEMPERATURE else Role.GPU_POWER
            out[i] = replace(guesses[i], role=power if power not in given else None, confidence=CONFIDENCE_BY_BEHAVIOUR)
            need_power, need_die = need_power and power in given, True
    free = [i for i, g in enumerate(out) if g.role is None and i in shapes and not _OTHER.search(g.header.lower())]
    thin = time_s[::every]
    powers = [
        i
        for i in free
        if out[i].unit in ("", "W", "mW")
        and shapes[i].jump > JUMP_LEAST
        and POWER_BAND_W[0] < shapes[i].high * (0.001 if out[i].unit == "mW" else 1.0) < POWER_BAND_W[1]
        and shapes[i].high > 1.5 * max(0.0, shapes[i].low)
    ]
    # A share of use sits at its top, 100; watts rarely do, so it counts only when there is nothing else.
    watts = [i for i in powers if not 95.0 <= shapes[i].high <= 100.5]
    powers = watts or powers
    known_power = next(
        (i for i, g in enumerate(out) if g.role in (Role.CPU_POWER, Role.GPU_POWER, Role.TOTAL_POWER)), None
    )
    known_die = next((i for i, g in enumerate(out) if g.role in DIE_ROLES), None)
    dies = (
        [i for i in free if out[i].unit in ("", "°C", "°F") and i not in powers and _die_like(shapes[i], out[i].unit)]
        if need_die
        else ([known_die] if known_die is not None else [])
    )
    causes = [known_power] if known_power is not None else powers
    scored = [
        (_follows(thin, _whole(columns[p][::every]), _whole(columns[d][::every])), d, p)
        for d in dies
        for p in causes
        if p is not None and d != p and _told(columns.get(d), every) and _told(columns.get(p), every)
    ]
    if not scored:
        return tuple(out)
    score, die, power_at = max(scored)
    if score >= FOLLOWS_LEAST:
        if need_die:
            out[die] = replace(out[die], role=Role.CPU_TEMPERATURE, confidence=CONFIDENCE_BY_BEHAVIOUR)
        if need_power and known_power is None and out[power_at].unit in ("W", "mW", ""):
            role = Role.GPU_POWER if out[die].role is Role.GPU_TEMPERATURE else Role.CPU_POWER
            out[power_at] = replace(out[power_at], role=role, confidence=CONFIDENCE_BY_BEHAVIOUR)
    return tuple(out)


def _die_like(shape: Shape, unit: str) -> bool:
    scale, zero = (1.8, 32.0) if unit == "°F" else (1.0, 0.0)
    low, high = (shape.low - zero) / scale, (shape.high - zero) / scale
    return DIE_BAND_C[0] <= low and high <= DIE_BAND_C[1] and DIE_RANGE_K[0] <= high - low <= DIE_RANGE_K[1]


def _told(values: Series | None, every: int) -> bool:
    """Whether anything of a column is left once it is thinned."""
    return values is not None and bool(np.isfinite(values[::every]).any())


def _whole(values: Series) -> Series:
    """Gaps filled from their neighbours."""
    known = np.isfinite(values)
    index = np.arange(len(values))
    return np.asarray(np.interp(index, index[known], values[known]), dtype=np.float64)
