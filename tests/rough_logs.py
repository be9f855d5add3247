"""What loggers write of the rough devices: whole kelvins, the hottest of six cores, seconds between lines with jitter,
missing lines, gaps, empty cells, smoothing. And the classes of pairs by which verdicts are judged, with their truth."""

from __future__ import annotations

from dataclasses import dataclass, replace
from functools import lru_cache

import numpy as np
from tests.rough_device import KEPT_S, Fleet, Session, changed, fleet, hotter_interface, part, plan, run

from vividowl.core.reading.reading import Reading, read_trace
from vividowl.core.trace.roles import Role
from vividowl.core.trace.trace import Trace
from vividowl.core.verdict.conditions import Conditions
from vividowl.core.verdict.parts import Side

CORES = 6
# The same device tested twice, as the handbook has it: plus or minus a kelvin. From memory.
DAY_K = 1.0


@dataclass(frozen=True, kw_only=True)
class Logger:
    """step_s: time between lines and its jitter share; kelvin: step of the sensor [K]; smooth_s: of the sensor;
    empty: share of the power cells that stay empty; fan: whether a fan column is there; lost: share of lines lost."""

    step_s: tuple[float, float] = (1.0, 2.2)
    jitter: float = 0.12
    kelvin: float = 1.0
    smooth_s: float = 0.0
    empty: float = 0.0
    fan: bool = True
    lost: float = 0.02


def log(s: Session, i: int, seed: int, logger: Logger) -> Trace:
    """What a logger writes of one session."""
    rng = np.random.default_rng(seed)
    step = rng.uniform(*logger.step_s)
    times = np.cumsum(np.maximum(0.3 * step, step * rng.normal(1.0, logger.jitter, int(s.time_s[-1] / step) + 2)))
    times = times[times < s.time_s[-1]]
    kept = rng.random(len(times)) > logger.lost
    for _ in range(rng.poisson(0.7)):  # it stops for a while, as when the machine is busy
        a = rng.uniform(0, s.time_s[-1])
        kept &= ~((times > a) & (times < a + rng.uniform(3.0, 15.0)))
    times = times[kept]
    at = np.minimum((times / KEPT_S).astype(int), len(s.time_s) - 1)
    n = len(at)
    wobble, cores = np.zeros(CORES), np.zeros((n, CORES))
    # How far each core's sensor is off belongs to the device, and is the same on both sides.
    offset = np.random.default_rng(7_000 + i).normal(0.0, 0.8, CORES)
    for k in range(n):
        wobble = 0.6 * wobble + rng.normal(0.0, 0.7, CORES)
        cores[k] = offset + wobble
    die = s.die_c[:, i]
    if logger.smooth_s:
        die = _low_pass(die, logger.smooth_s)
    day = rng.uniform(-DAY_K, DAY_K) * np.clip((die[at] - die.min()) / 40.0, 0.0, 1.0)
    hottest = die[at] + day + (cores.max(axis=1) - 1.3) * 0.7
    watts = s.cpu_w[:, i][at] * (1 + rng.normal(0, 0.01, n)) * (1 + rng.normal(0, 0.004))
    watts = np.where(rng.random(n) < logger.empty, np.nan, np.round(watts, 1))
    channels = {
        Role.CPU_TEMPERATURE: np.round(hottest / logger.kelvin) * logger.kelvin,
        Role.CPU_POWER: watts,
        Role.CPU_UTILISATION: np.round(np.clip(s.use[:, i][at] + rng.normal(0, 2, n), 0, 100), 1),
        Role.CPU_CLOCK: np.round(s.clock_mhz[:, i][at] + rng.normal(0, 30, n), -2),
    }
    if logger.fan:
        channels[Role.FAN_SPEED] = np.round(s.fan_rpm[:, i][at] + rng.normal(0, 12, n), -1)
    if s.gpu_w[:, i].max() > 4.0:
        graphics = s.gpu_w[:, i][at] * (1 + rng.normal(0, 0.01, n))
        channels[Role.GPU_POWER] = np.where(rng.random(n) < logger.empty, np.nan, np.round(graphics, 1))
        channels[Role.GPU_TEMPERATURE] = np.round(s.gpu_c[:, i][at] + rng.normal(0, 0.3, n))
        channels[Role.GPU_UTILISATION] = np.round(np.clip(s.use[:, i][at] + rng.normal(0, 2, n), 0, 100))
    return Trace(times - times[0], channels)


def _low_pass(values: np.ndarray, tau_s: float) -> np.ndarray:
    out, keep = values.copy(), np.exp(-KEPT_S / tau_s)
    for k in range(1, len(values)):
        out[k] = keep * out[k - 1] + (1 - keep) * values[k]
    return out


@dataclass(frozen=True, kw_only=True)
class Kind:
    """A class of pairs. load: steady, loop or game; minutes; both chips; lid; warm: share begun warm; held: the limit
    lies this far below what the device would reach [K], low and high, or None."""

    name: str
    load: str = "steady"
    minutes: float = 10.0
    both: bool = False
    lid: bool = False
    warm: float = 0.0
    held: tuple[float, float] | None = None
    logger: Logger = Logger()
    noted: bool = True


KINDS = {
    k.name: k
    for k in (
        Kind(name="steady"),
        Kind(name="smoothed", logger=Logger(step_s=(0.5, 0.5), jitter=0.02, kelvin=0.1, smooth_s=2.0)),
        Kind(name="slow", logger=Logger(step_s=(4.0, 5.2))),
        Kind(name="empty cells", logger=Logger(empty=0.5)),
        Kind(name="loop", load="loop"),
        Kind(name="game", load="game"),
        Kind(name="three minutes", minutes=3.0),
        Kind(name="three-minute game", load="game", minutes=3.0),
        Kind(name="both chips", both=True),
        Kind(name="both chips, game", load="game", both=True),
        Kind(name="lid", lid=True),
        Kind(name="warm starts", warm=0.4),
        Kind(name="held back", held=(3.0, 14.0)),
        Kind(name="held back, both chips", both=True, held=(3.0, 14.0)),
        Kind(name="held back, game", load="game", held=(3.0, 12.0)),
    )
}
# Looked at only when all rules stood: no constant was chosen by it.
HELD_OUT = Kind(
    name="twenty minutes, loop, both chips, lid, tenths at 3 s",
    load="loop",
    minutes=20.0,
    both=True,
    lid=True,
    warm=0.2,
    logger=Logger(step_s=(2.6, 3.4), jitter=0.2, kelvin=0.1, smooth_s=1.0, empty=0.1),
)


@dataclass(frozen=True, kw_only=True)
class Truth:
    """Of one side: rise [K] and power [W] over the last fifth of the load; held: share of the load."""

    rise_k: float
    die_c: float
    power: float
    held: float
    room_c: float


@dataclass(frozen=True)
class Pair:
    """Both logs, rooms as a thermometer read them, and the truth."""

    before: Trace
    after: Trace
    rooms: tuple[float, float]
    truth: tuple[Truth, Truth]
    limit_c: float | None


def truth_of(s: Session, i: int, last: float = 0.2) -> Truth:
    """What perfect sensors saw in the last part of the load."""
    since = s.time_s - s.lead_s[i]
    # The last fifth; of a game, whose scenes come and go, the last half.
    late = (since >= (1.0 - last) * s.load_s) & (since < s.load_s)
    loaded = s.loaded[:, i]
    busy = late & (s.use[:, i] > 25.0)
    late = busy if busy.any() else late
    die, room = float(s.die_c[late, i].mean()), float(s.room_c[late, i].mean())
    power = float((s.cpu_w[late, i] + (s.gpu_w[late, i] if s.gpu_w[:, i].max() > 4.0 else 0.0)).mean())
    return Truth(rise_k=die - room, die_c=die, power=power, held=float(s.held[loaded, i].mean()), room_c=room)


def devices(kind: Kind, n: int, seed: int) -> Fleet:
    """Devices of a class; those of a held class have a limit within what they reach."""
    f = fleet(4 * n, seed, lid=kind.lid, both=kind.both)
    # A true change of 5 K, or of what the class needs, must find an interface to change.
    f = part(f, np.flatnonzero(f.sustained / f.lid_base > 1.0)[:n])
    if kind.held:
        rng = np.random.default_rng(seed + 5)
        p = plan(n, seed + 6, kind.load, 60.0 * kind.minutes, room=(22.0, 22.001), burst_rate=0.0)
        hot = np.percentile(run(f, p, seed + 7).die_c, 97, axis=0)
        f = changed(f, limit_c=np.round(hot - rng.uniform(*kind.held, n)))
    return f


def _run(kind: Kind, f: Fleet, *, n: int, seed: int, side: int) -> Session:
    p = plan(n, seed + 100 + side, kind.load, 60.0 * kind.minutes, warm_share=kind.warm)
    return run(f, p, seed + 200 + 10 * side)


@lru_cache(maxsize=4)
def _usual_run(kind: Kind, n: int, *, seed: int, side: int, extra_k: float) -> Session:
    base = devices(kind, n, seed)
    return _run(kind, hotter_interface(base, extra_k) if extra_k else base, n=n, seed=seed, side=side)


def pairs(
    kind: Kind,
    n: int,
    *,
    seed: int,
    extra_k: tuple[float, float] = (0.0, 0.0),
    before: Fleet | None = None,
    after: Fleet | None = None,
) -> list[Pair]:
    """Pairs of sessions of n devices; extra_k: what the interface costs more on each side [K]."""
    base = devices(kind, n, seed)
    # Whatever the logger, the device ran the same.
    bare = replace(kind, name="", logger=Logger())
    sides = [
        _run(kind, f, n=n, seed=seed, side=k) if f else _usual_run(bare, n, seed=seed, side=k, extra_k=extra_k[k])
        for k, f in enumerate((before, after))
    ]
    rng = np.random.default_rng(seed + 300)
    out = []
    for i in range(n):
        truths = tuple(truth_of(s, i, 0.5 if kind.load == "game" else 0.2) for s in sides)
        rooms = tuple(round(float(t.room_c + rng.uniform(-0.5, 0.5)), 1) for t in truths)
        logs = [log(s, i, seed + 1000 * (k + 1) + i, kind.logger) for k, s in enumerate(sides)]
        out.append(Pair(*logs, rooms, truths, float(base.limit_c[i]) if kind.held else None))  # type: ignore[arg-type]
    return out


def sides_of(pair: Pair, noted: bool = True, limit: bool = False) -> tuple[Side, Side]:
    """A pair as the product sees it."""
    out = []
    for trace, room in zip((pair.before, pair.after), pair.rooms, strict=True):
        reading = read_trace(trace, room, pair.limit_c if limit else None)
        out.append(Side(conditions=_conditions(reading, room, noted), reading=reading))
    return out[0], out[1]


def _conditions(reading: Reading, room_c: float, noted: bool) -> Conditions:
    usual = Conditions(
        load="the same", fan="automatic", power_profile="p", placement="stand", sensor="processor", room_c=room_c
    )
    return usual if noted else replace(Conditions(), room_c=room_c)
