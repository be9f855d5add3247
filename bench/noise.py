"""Recordings in which an assumption does not hold: what is told of level and fan speed on a fan of its own making.

The sound is made here and not by the product: rush of air by an octave-wise slope that differs from fan to fan, blade
tones of random strength, a line of the shaft, the hum of the mains, a room, the microphone's own hiss, and a gain that
the phone turns by itself. Invented; the rates are what counts.
"""

from __future__ import annotations

from collections.abc import Callable
from dataclasses import asdict, dataclass, field, replace
from types import SimpleNamespace
from typing import Any

import numpy as np
import numpy.typing as npt
from bench.second import Row

from vividowl.core.quantities.uncertainty import Tolerances
from vividowl.core.reading.reading import read_trace
from vividowl.core.simulate.device import Device, simulate
from vividowl.core.sound.fan_speed import fan_speed
from vividowl.core.sound.recording import read_sound
from vividowl.core.sound.two_speeds import Heard, TwoSpeeds, two_speeds
from vividowl.core.verdict.conditions import Conditions
from vividowl.core.verdict.parts import Shown, Side
from vividowl.core.verdict.quieter import recorded_effect
from vividowl.service.measure.sounds import recorded_level

Samples = npt.NDArray[np.float64]
RATE_HZ, SECONDS, SEED = 44_100, 5.0, 31_000
SPEED_OFF = 0.03  # of a speed that is told wrongly
TOL = Tolerances()


@dataclass(frozen=True, kw_only=True)
class Fan:
    """rpm and blades; level_db of its rush; tone, shaft: of its lines over the rush [dB]; slope: of the rush an octave
    [dB]; hum_db, whine_hz: what hums or whines beside it; still: it does not turn; second: speed of another fan over
    its own [1]; commutation: whether its motor's line stands above its blades';
    worn: a line of its bearing, by its shaft [1]."""

    rpm: float
    blades: int
    level_db: float = -40.0
    tone: float = -8.0
    shaft: float = -22.0
    slope: float = -4.0
    hum_db: float | None = None
    whine_hz: float | None = None
    still: bool = False
    second: float | None = None
    commutation: bool = False
    worn: float | None = None


@dataclass(frozen=True, kw_only=True)
class Place:
    """How a recording was made: times as far away, gain of the phone and how it settles [dB], room and hiss [dB]."""

    times_as_far: float = 1.0
    gain_db: float = 0.0
    settles_db: float = 0.0
    room_db: float = -58.0
    hiss_db: float = -78.0


def some_fan(rng: np.random.Generator) -> Fan:
    """A fan as they come."""
    return Fan(
        rpm=float(rng.uniform(1800, 4800)),
        blades=int(rng.choice([7, 9, 11, 13, 17, 23, 29, 37])),
        level_db=float(rng.uniform(-46, -34)),
        tone=float(rng.uniform(-14, -3)),
        shaft=float(rng.uniform(-26, -14)),
        slope=float(rng.uniform(-6, -2.5)),
    )


def _rush(rng: np.random.Generator, n: int, slope: float) -> Samples:
    f = np.fft.rfftfreq(n, 1 / RATE_HZ)
    shaped = np.fft.rfft(rng.normal(size=n)) * np.maximum(f, 150.0) ** (slope / 6.02) * (f > 80.0)
    out: Samples = np.fft.irfft(shaped, n)
    return out / out.std()


def _lines(rng: np.random.Generator, t: Samples, *, hz: float, db: float, orders: int = 3) -> Samples:
    out = np.zeros_like(t)
    for k in range(1, orders + 1):
        if k * hz < 0.45 * RATE_HZ:
            level = 10 ** ((db - 7.0 * (k - 1) + rng.normal(0, 2)) / 20)
            out += level * np.sin(2 * np.pi * k * hz * t + rng.uniform(0, 6))
    return np.sqrt(2.0) * out


def record(fan: Fan | None, place: Place, seed: int) -> Samples:
    """What a phone keeps of a fan at a place; of the room alone without one."""
    rng = np.random.default_rng(seed)
    n = int(SECONDS * RATE_HZ)
    t = np.arange(n) / RATE_HZ
    out = 10 ** (place.room_db / 20) * _rush(rng, n, -5.0)
    if fan is not None:
        level = 10 ** ((fan.level_db - 20.0 * np.log10(place.times_as_far)) / 20)
        heard = np.zeros(n)
        if not fan.still:
            turn = fan.rpm / 60.0
            heard += _rush(rng, n, fan.slope) + _lines(rng, t, hz=fan.blades * turn, db=fan.tone)
            heard += _lines(rng, t, hz=turn, db=fan.shaft, orders=2)
            if fan.second is not None:
                heard += _rush(rng, n, fan.slope) + _lines(rng, t, hz=fan.second * fan.blades * turn, db=fan.tone)
            if fan.commutation:
                heard += _lines(rng, t, hz=12.0 * turn, db=fan.tone + 6.0)
            if fan.worn is not None:
                heard += _lines(rng, t, hz=fan.worn * turn, db=-3.0)
        if fan.hum_db is not None:
            heard += _lines(rng, t, hz=100.0, db=fan.hum_db, orders=6)
        if fan.whine_hz is not None:
            heard += _lines(rng, t, hz=fan.whine_hz, db=-2.0)
        out = out + level * heard
    gain = place.gain_db + place.settles_db * np.exp(-t / 1.5)
    kept: Samples = np.clip((out + 10 ** (place.hiss_db / 20) * rng.normal(size=n)) * 10 ** (gain / 20), -1.0, 1.0)
    return np.round(kept * 32767) / 32767


def _file(samples: Samples, *, marked: bool, background: bool = False) -> Any:
    read = read_sound([samples.astype(np.float32)], RATE_HZ, steady=not background)
    return SimpleNamespace(reading=asdict(read) | {"marked_place": marked}, is_background=background, reference_db=None)


def _reading() -> Any:
    trace = simulate(Device(sustained_power=40, boost_power=50), room_c=24.0, seed=1, load_s=300.0)
    return read_trace(trace, 24.0)


@dataclass(frozen=True, kw_only=True)
class Class:
    """What differs between the sides: place of After, what becomes of its fan, whether the place was marked and the
    room recorded; most: share that may be called quieter, or least where a gain is true."""

    name: str
    goal: str
    after: Callable[[Place], Place] = lambda p: p
    fan: Callable[[Fan], Fan] = lambda f: f
    before: Callable[[Place], Place] = lambda p: p
    marked: bool = True
    room: bool = True
    asked: float = 0.0
    most: float = 0.05
    usual: str = field(default="")


LEVELS = (
    Class(name="unchanged, same marked place, room recorded", goal="called quieter in at most 5 %"),
    Class(
        name="one and a half times as far away after, place not marked",
        goal="called quieter in at most 5 %",
        after=lambda p: replace(p, times_as_far=1.5),
        marked=False,
    ),
    Class(name="gain 4 dB lower after", goal="called quieter in at most 5 %", after=lambda p: replace(p, gain_db=-4.0)),
    Class(
        name="gain 4 dB lower after, room not recorded",
        goal="called quieter in at most 5 %",
        after=lambda p: replace(p, gain_db=-4.0),
        room=False,
    ),
    Class(
        name="gain 6 dB higher at first before, settling",
        goal="called quieter in at most 5 %",
        before=lambda p: replace(p, settles_db=6.0),
    ),
    Class(
        name="room 8 dB louder before", goal="called quieter in at most 5 %", before=lambda p: replace(p, room_db=-50.0)
    ),
    Class(
        name="fan 6 dB quieter after, same marked place",
        goal="called quieter in at least 90 %",
        fan=lambda f: replace(f, level_db=f.level_db - 6.0),
        asked=0.90,
        most=1.0,
    ),
)


def _quieter(c: Class, seed: int, reading: Any) -> bool:
    fan = some_fan(np.random.default_rng(seed))
    sides = []
    for k, (of, at) in enumerate(((fan, c.before(Place())), (c.fan(fan), c.after(Place())))):
        files = [_file(record(of, at, seed + 10 + k), marked=c.marked)]
        if c.room:
            files.append(_file(record(None, at, seed + 20 + k), marked=c.marked, background=True))
        sides.append([Side(conditions=Conditions(room_c=24.0), reading=reading, recording=recorded_level(files, None))])
    found = recorded_effect(sides[0], sides[1], TOL)
    return found is not None and found.shown is Shown.BETTER


SPEEDS: tuple[tuple[str, Callable[[Fan], Fan]], ...] = (
    ("turning", lambda f: f),
    ("at rest, mains hum", lambda f: replace(f, still=True, hum_db=-3.0)),
    ("at rest, whining coil with multiples", lambda f: replace(f, still=True, whine_hz=7.3 * f.rpm / 60.0)),
    ("turning, mains hum", lambda f: replace(f, hum_db=-3.0)),
    ("turning, its motor louder than its blades", lambda f: replace(f, commutation=True)),
    ("two fans 6 % apart", lambda f: replace(f, second=1.06)),
    ("turning, tone buried in the rush", lambda f: replace(f, tone=-40.0, shaft=-45.0)),
)
WORN: tuple[str, Callable[[Fan], Fan]] = (
    "turning, a line of its bearing",
    lambda f: replace(f, worn=4.6 + 0.3 * (f.rpm % 7)),
)
FAN_LAW_DB = 55.0  # of a fan's level over lg of its speed; handbook/noise.md


def _at_two_speeds(fan: Fan, seed: int) -> tuple[Fan, Fan, TwoSpeeds | None]:
    """A fan at two speeds by the fan laws, and what its two recordings say."""
    ratio = 1.0 if fan.still else float(np.random.default_rng(seed).uniform(1.25, 2.2))
    sides = [
        replace(fan, rpm=fan.rpm * ratio**way, level_db=fan.level_db + way * FAN_LAW_DB * float(np.log10(ratio)))
        for way in (-0.5, 0.5)
    ]
    read = [read_sound([record(f, Place(), seed + 1 + k).astype(np.float32)], RATE_HZ) for k, f in enumerate(sides)]
    found = None
    if read[0].laeq_db is not None and read[1].laeq_db is not None:
        heard = [Heard(r.tones, r.laeq_db) for r in read]  # type: ignore[arg-type]
        found = two_speeds(heard[0], heard[1], fan.blades)
    return sides[0], sides[1], found


def two_speed_rows(n: int) -> list[Row]:
    """All classes of fans on two recordings each, and what is said of a bearing."""
    out = []
    for at, (name, change) in enumerate((*SPEEDS, WORN)):
        wrong = told = beside = 0
        for i in range(n):
            seed = SEED + 90_000 + 1000 * at + 40 * i
            fan = change(some_fan(np.random.default_rng(seed)))
            slow, fast, found = _at_two_speeds(fan, seed)
            if found is not None:
                told += found.fast_rpm is not None
                wrong += (
                    fan.still
                    or fan.second is not None
                    or not all(
                        abs(heard / true.rpm - 1.0) <= SPEED_OFF
                        for heard, true in ((found.slow_rpm, slow), (found.fast_rpm, fast))
                        if heard is not None
                    )
                )
                beside += bool(found.beside_hz)
        said = f"told in {told}, a bearing or motor in {beside}"
        out.append(
            Row(
                what=f"two speeds: {name}",
                goal="wrong in at most 5 %",
                good=wrong,
                of=n,
                asked=0.0,
                most=0.05,
                usual=said,
            )
        )
    return out


def rows(n: int) -> list[Row]:
    """All classes on n fans each."""
    reading, out = _reading(), []
    for at, c in enumerate(LEVELS):
        called = sum(_quieter(c, SEED + 1000 * at + 40 * i, reading) for i in range(n))
        out.append(Row(what=c.name, goal=c.goal, good=called, of=n, asked=c.asked, most=c.most))
    for at, (name, change) in enumerate(SPEEDS):
        wrong = told = 0
        for i in range(n):
            seed = SEED + 50_000 + 1000 * at + 40 * i
            fan = change(some_fan(np.random.default_rng(seed)))
            samples = record(fan, Place(), seed + 1)
            speed = fan_speed(read_sound([samples.astype(np.float32)], RATE_HZ).tones, fan.blades)
            if speed is not None:
                told += 1
                # Of two fans near each other no one speed is right.
                right = abs(speed.rpm / fan.rpm - 1.0) <= SPEED_OFF and not fan.still and fan.second is None
                wrong += not right
        out.append(
            Row(
                what=f"fan speed: {name}",
                goal="wrong in at most 5 %",
                good=wrong,
                of=n,
                asked=0.0,
                most=0.05,
                usual=f"told in {told}",
            )
        )
    return out + two_speed_rows(n)
