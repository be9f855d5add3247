"""What each option would buy: median and 80 % interval by a seeded Monte Carlo over what is not known."""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass
from enum import StrEnum

import numpy as np

from vividowl.core.heat.air import FAN_RESISTANCE_EXPONENT, FAN_RESISTANCE_EXPONENT_HALF_WIDTH
from vividowl.core.heat.temperature import REFERENCE_ROOM_C
from vividowl.core.materials.kinds import Material
from vividowl.core.plan.unknowns import SAMPLES, Known, Unknowns, new_film, sample_unknowns, triangular
from vividowl.core.quantities.errors import require_range
from vividowl.core.quantities.words import Words, say
from vividowl.core.trace.trace import Series

LOW, HIGH = 10.0, 90.0  # an 80 % interval
SEATING_SPREAD = 0.03  # the same hands, the same paste, once more: spread of the resistance. From memory.
UNTOUCHED_SPREAD = 0.01  # of the resistance when nothing was lifted; from memory
FAN_SHARE_LEAST = 0.3  # slower than this a fan stands still rather than turns
CORE_VOLTAGE = (0.75, 1.0, 1.25)  # [V] low, usual, high under load; from memory
DYNAMIC_SHARE = (0.60, 0.85, 0.97)  # of the power follows f V^2, the rest does not; from memory
DRAG_SHARE = (0.50, 0.75, 0.95)  # flow of a dragging fan over that of a sound one; from memory
# Of the heat that left behind the interface before, this share went through the same cover already, so that coupling it
# does not add a whole new way; from memory.
COVER_SHARED = (0.2, 0.4, 0.6)
AIR_SIDE_SPREAD = 0.25  # of a cover's way to the room, as a spread of its logarithm; from memory
MILLIVOLTS_MOST = 200.0  # [mV] that are seen; common practice, no source
# A device at its power limit spends what an undervolt saves on clock: it gets faster, not cooler. So often where it is
# known to be there, where it is known not to be, and where the limit is not known. From memory.
AT_LIMIT_SHARE = {True: 0.85, False: 0.05, None: 0.35}
NEAR_LIMIT_SHARE = 0.93  # of the power limit from which a device is at it; from memory


class Action(StrEnum):
    """What can be done."""

    CLEAN = "clean"
    REPASTE = "repaste"
    PADS = "pads"
    SHIM = "shim"
    COVER = "cover"
    TUNE = "tune"
    FAN = "fan"


@dataclass(frozen=True, kw_only=True)
class Option:
    """A thing to do. key: its name; words; actions; material: new interface on the die or None; undervolt_mv [mV];
    cap_w: power cap [W] or None; cover_path: resistance of pad and cover to the room [K/W] or None."""

    key: str
    words: Words
    actions: tuple[Action, ...] = ()
    material: Material | None = None
    undervolt_mv: float = 0.0
    cap_w: float | None = None
    cover_path: float | None = None


@dataclass(frozen=True)
class Interval:
    """Median with the ends of an 80 % interval, in the unit of the quantity."""

    low: float
    median: float
    high: float

    def holds(self, value: float) -> bool:
        """Whether a value lies inside."""
        return self.low <= value <= self.high


@dataclass(frozen=True, kw_only=True)
class Prediction:
    """What an option would end at. resistance [K/W] at the fan speed of Before; interface: its part before the
    heatsink [K/W]; die_c: at the work and fan speed of Before [degC]; gain_k: by how much that is cooler [K]; watts:
    of today's work that it holds at the limit in the reference room, as far as it asks for them [W], None without a
    limit; gain_w [W]; noise_db:
    change of level at the temperature of Before [dB], None without a fan; noise_floor: the fan would stand still at
    the median."""

    key: str
    resistance: Interval
    interface: Interval
    die_c: Interval
    gain_k: Interval
    watts: Interval | None
    gain_w: Interval | None
    noise_db: Interval | None
    noise_floor: bool


def predict(
    known: Known,
    options: Sequence[Option],
    seed: int,
    *,
    samples: int = SAMPLES,
    reference_room_c: float = REFERENCE_ROOM_C,
) -> tuple[Prediction, ...]:
    """Predict what each option would end at, all from the same draws of what is not known.

    known: what is known before
    options: options (n,), up to 60
    seed: seed [1]
    samples: draws [1], 100 to 1000000
    reference_room_c: room of the sustained watts [degC]
    returns: predictions (n,) in the order of the options
    raises: OutOfRange, CoreError
    formula: R = core + film + behind; die = room + P R; watts = (T_limit - T_ref) / R; the fan that holds the old
        temperature turns at N/N0 = (behind / (R0 - interface))^(1/m), its level falls by 50 to 60 lg(N/N0)
    source: series chain, textbook; fan affinity laws; distributions as in core.unknowns
    """
    require_range("options", len(options), "", (0, 60))
    drawn = sample_unknowns(known, seed, samples)
    rng = np.random.default_rng(seed + 1)
    where, cover_luck = rng.uniform(0.0, 1.0, (7, samples)), rng.normal(0.0, 1.0, samples)
    return tuple(
        _one(known, option, drawn=drawn, where=where, cover_luck=cover_luck, reference_room_c=reference_room_c)
        for option in options
    )


def _interval(values: Series) -> Interval:
    # The nearest order statistics: with thousands of draws they are the percentiles, in a fraction of the time.
    places = [round(share / 100.0 * (len(values) - 1)) for share in (LOW, 50.0, HIGH)]
    ordered = np.partition(values, places)
    return Interval(*(float(ordered[i]) for i in places))


def _one(
    known: Known, option: Option, *, drawn: Unknowns, where: Series, cover_luck: Series, reference_room_c: float
) -> Prediction:
    interface, behind = drawn.core + drawn.film, drawn.behind
    actions = set(option.actions)
    exponent = triangular(
        where[0],
        FAN_RESISTANCE_EXPONENT - FAN_RESISTANCE_EXPONENT_HALF_WIDTH,
        FAN_RESISTANCE_EXPONENT,
        FAN_RESISTANCE_EXPONENT + FAN_RESISTANCE_EXPONENT_HALF_WIDTH,
    )
    if Action.CLEAN in actions:
        behind = behind * (1.0 - drawn.dust)
    if Action.FAN in actions:
        behind = behind * triangular(where[1], *DRAG_SHARE) ** exponent
    if option.material is not None:
        interface = (drawn.core + new_film(drawn, option.material)) * option.material.own_factor
    if option.cover_path is not None:
        path = option.cover_path * np.exp(AIR_SIDE_SPREAD * cover_luck)
        behind = 1.0 / ((1.0 - triangular(where[5], *COVER_SHARED)) / behind + 1.0 / path)
    lifted = bool(actions & {Action.REPASTE, Action.PADS, Action.SHIM, Action.COVER})
    luck = np.exp((SEATING_SPREAD if lifted else UNTOUCHED_SPREAD) * drawn.seating) if actions else 1.0
    interface, behind = interface * luck, behind * luck
    total = interface + behind
    ratio = _power_ratio(known, option, where)
    power = known.power * ratio if option.cap_w is None else np.minimum(known.power * ratio, option.cap_w)
    die = known.room_c + power * total
    gain = known.power * drawn.total - power * total
    watts, gain_w = _watts(
        known, drawn, total=total, ratio=ratio, cap_w=option.cap_w, reference_room_c=reference_room_c
    )
    noise, floor = (
        (None, False)
        if known.fanless
        else _noise(known, drawn, interface=interface, behind=behind, power=power, exponent=exponent, where=where[4])
    )
    return Prediction(
        key=option.key,
        resistance=_interval(total),
        interface=_interval(interface),
        die_c=_interval(die),
        gain_k=_interval(gain),
        watts=watts,
        gain_w=gain_w,
        noise_db=noise,
        noise_floor=floor,
    )


def _power_ratio(known: Known, option: Option, where: Series) -> Series:
    """Power for the same work after an undervolt."""
    require_range("undervolt_mv", option.undervolt_mv, "mV", (0.0, MILLIVOLTS_MOST), hint=say("prediction-to-mv-seen"))
    if option.undervolt_mv == 0.0:
        return np.ones(where.shape[1])
    volts = triangular(where[2], *CORE_VOLTAGE)
    dynamic = triangular(where[3], *DYNAMIC_SHARE)
    saved = dynamic * (1.0 - ((volts - option.undervolt_mv * 1e-3) / volts) ** 2)
    near = None if known.power_limit is None else known.power >= NEAR_LIMIT_SHARE * known.power_limit
    return 1.0 - np.where(where[6] < AT_LIMIT_SHARE[near], 0.0, saved)


def _watts(
    known: Known, drawn: Unknowns, *, total: Series, ratio: Series, cap_w: float | None, reference_room_c: float
) -> tuple[Interval | None, Interval | None]:
    if known.limit_c is None or known.limit_c <= reference_room_c + 1.0:
        return None, None
    room = known.limit_c - reference_room_c
    # More than it asks for it never takes, however cool it is.
    asked = known.power_limit if known.power_limit is not None else math.inf
    now = np.minimum(room / drawn.total, asked)
    then = np.minimum(room / total, min(asked, cap_w if cap_w is not None else math.inf)) / ratio
    return _interval(then), _interval(then - now)


def _noise(
    known: Known, drawn: Unknowns, *, interface: Series, behind: Series, power: Series, exponent: Series, where: Series
) -> tuple[Interval, bool]:
    """Change of level when the fan is slowed, or sped up, until the die is as warm as before."""
    allowed = np.maximum(drawn.total * known.power / power - interface, 0.05 * behind)
    share = (behind / allowed) ** (1.0 / exponent)
    least = known.fan_floor if known.fan_floor is not None else FAN_SHARE_LEAST
    kept = np.clip(share, least, 1.0 / FAN_SHARE_LEAST)
    level = (50.0 + 10.0 * where) * np.log10(kept)
    if known.noise_floor_db is not None:
        # No quieter than the room: the fan's own level and the room's add by energy.
        level = 10.0 * np.log10(10.0 ** (0.1 * level) + 10.0 ** (0.1 * known.noise_floor_db))
    return _interval(level), bool(np.median(share) < least)


def measurable_k(difference_u95: float, power: float) -> float:
    """Smallest gain that a Before and an After can show.

    difference_u95: expanded uncertainty of a difference of two resistances [K/W], > 0
    power: heat [W], > 0
    returns: gain [K]
    raises: OutOfRange
    formula: U95 P
    source: JCGM 100:2008
    """
    require_range("difference_u95", difference_u95, "K/W", (1e-9, 100.0))
    return difference_u95 * require_range("power", power, "W", (0.1, 2000.0))


def share_inside(inside: Sequence[bool]) -> tuple[float, float, float] | None:
    """How often intervals held what was measured, with a 95 % interval for that share.

    returns: share, low, high [1], None without a job
    formula: Wilson score interval
    source: Wilson (1927), any textbook of statistics
    """
    n = len(inside)
    if n == 0:
        return None
    z, p = 1.959964, sum(inside) / n
    middle = (p + z * z / (2 * n)) / (1 + z * z / n)
    half = z * math.sqrt(p * (1 - p) / n + z * z / (4 * n * n)) / (1 + z * z / n)
    return p, max(0.0, middle - half), min(1.0, middle + half)


LEARN_JOBS_LEAST = 3  # fewer teach a shop nothing; from memory
# Of a shop around all shops, of a job around its shop; spread of the logarithm; from memory
LEARN_PRIOR_SPREAD, LEARN_JOB_SPREAD = 0.25, 0.30


def learn_factor(ratios: Sequence[float]) -> float | None:
    """What a shop's own jobs say about a kind of interface: measured over predicted.

    ratios: interface measured after a service over its predicted median (n,) [1], each > 0
    returns: factor [1], None for fewer than three jobs
    raises: OutOfRange
    formula: mean of the logarithms, drawn towards 1 by a normal prior of spread 0.25; one job scatters by 0.3
    source: normal model with known variance, any textbook of statistics; the spreads are from memory
    """
    for ratio in ratios:
        require_range("ratio", ratio, "", (0.05, 20.0))
    n = len(ratios)
    if n < LEARN_JOBS_LEAST:
        return None
    mean = sum(math.log(r) for r in ratios) / n
    trust = n / LEARN_JOB_SPREAD**2
    return math.exp(mean * trust / (trust + 1.0 / LEARN_PRIOR_SPREAD**2))
