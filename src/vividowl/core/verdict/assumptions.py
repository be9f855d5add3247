"""What an answer rests on: each assumption checked by the log, noted by hand, doubtful or not known."""

from __future__ import annotations

import re
from collections.abc import Iterator, Mapping, Sequence
from dataclasses import dataclass
from enum import StrEnum

from vividowl.core.quantities.words import Words, say
from vividowl.core.reading.reading import Reading
from vividowl.core.response.settling import RESTLESS_TAIL_SHARE
from vividowl.core.trace.roles import Role
from vividowl.core.verdict.conditions import Bearing, ConditionFinding
from vividowl.core.verdict.equal_terms import EqualTerms, length_of
from vividowl.core.verdict.parts import Effect, Side

CLOCK_SAME_SHARE = 0.03  # of two clocks of one load; from memory
USE_SAME_PERCENT = 7.0  # [%] of use of two runs of one load; from memory
FRAMES_SAME_SHARE = 0.05  # of two frame rates of one scene; from memory
POWER_SAME_SHARE = 0.10  # within which a resistance is that of the same power; a pipe near its dry-out changes beyond
# What a fan that nobody logged could do to the rise by itself: a table raised by a third, at the exponent of the air.
FAN_COULD_SHARE = 0.25
HALF_OF_CLAIM = 0.5  # what idle shows of the claim, from which the claim may be a sensor's or a thermometer's
# What is changed inside is there within minutes; a room that moves is not. Share of the claim at half of the run.
EARLY_SHARE_LEAST = 0.6
# A room seldom moves by more than this, so a small claim is asked for more of it; from memory.
ROOM_COULD_K, EARLY_SHARE_SMALL = 4.0, 0.8
EARLY_SHARE_RESTLESS = 0.35  # of a game, whose scenes are not alike at half of the run; from memory
COMMON_LEAST_S = 360.0  # [s] of load on both sides, shorter runs do not tell a room that moves
FELL_K = 1.5  # [K] that a die falls at even power before its room is doubted; from memory
EVEN_SHARE = 0.03  # of power and fan that are even; from memory
IDLE_LEAST_W = 3.0  # [W] between idle powers that are looked at; from memory
CLOCK_TO_POWER = (0.8, 4.0)  # exponents between which power follows a clock; V^2 f and its flat end, textbook
SPLIT_SAME = 0.10  # of the power that may move from one chip to the other; from memory
_SPEED = re.compile(r"\d|fix|max|full|manual|no fan|none|passive|off|stop", re.IGNORECASE)


class Standing(StrEnum):
    """What is known of an assumption."""

    CHECKED = "checked"
    NOTED = "noted"
    DOUBTFUL = "doubtful"
    UNKNOWN = "unknown"


@dataclass(frozen=True, kw_only=True)
class Assumption:
    """name: what is assumed to be the same; standing; why: what tells it; remedy: the one thing to do where it does
    not hold; carries: whether it alone could be what the answer claims."""

    name: str
    standing: Standing
    why: Words
    remedy: Words = ""
    carries: bool = False


@dataclass(frozen=True)
class Claim:
    """kelvins: what is claimed (below nought: cooler after), None without a claim; u95_k: its U95 [K]; of_the_die:
    whether the deciding die carries it."""

    kelvins: float | None
    u95_k: float
    of_the_die: bool


@dataclass(frozen=True, kw_only=True)
class _Pair:
    """The first run of each side, the claim in kelvins (below nought: cooler after), its U95, None without a claim."""

    before: Side
    after: Side
    by: Mapping[str, Effect]
    main: Effect
    terms: EqualTerms
    bearing: Mapping[str, ConditionFinding]
    claim_k: float | None
    u95_k: float
    of_the_die: bool

    @property
    def readings(self) -> tuple[Reading, Reading]:
        return self.before.reading, self.after.reading

    def could(self, kelvins: float) -> bool:
        """Whether so much could be the claim, or so much of it that the rest is not shown."""
        return self.claim_k is not None and abs(self.claim_k) - kelvins <= self.u95_k

    def leans(self, kelvins: float) -> bool:
        """Whether so much has the direction of the claim and at least half of its size."""
        if self.claim_k is None or kelvins * self.claim_k <= 0.0:
            return False
        return abs(kelvins) >= HALF_OF_CLAIM * abs(self.claim_k)


def assumptions_of(
    befores: Sequence[Side],
    afters: Sequence[Side],
    *,
    by: Mapping[str, Effect],
    main: Effect,
    claim: Claim,
    terms: EqualTerms,
    conditions: Sequence[ConditionFinding],
) -> tuple[Assumption, ...]:
    """What a comparison rests on.

    befores: runs before (n,)
    afters: runs after (m,)
    by: effects by quantity
    main: the effect that carries the verdict of the deciding die
    claim: what is claimed
    terms: the runs at equal times
    conditions: as judged (k,)
    returns: assumptions (p,), in the order in which they are asked about
    source: common practice, no source; the constants are from memory
    """
    pair = _Pair(
        before=befores[0],
        after=afters[0],
        by=by,
        main=main,
        terms=terms,
        bearing={c.condition: c for c in conditions},
        claim_k=claim.kelvins,
        u95_k=claim.u95_k,
        of_the_die=claim.of_the_die,
    )
    return tuple(found for one in _ALL for found in one(pair))


def _load(p: _Pair) -> Iterator[Assumption]:
    power, remedy = p.by["power"], say("assumed-load-remedy")
    if p.main.unit == "K/W" and power.before and power.after:
        ratio = power.after / power.before
        kinder = p.claim_k is not None and (ratio < 1.0) == (p.claim_k < 0.0) and abs(ratio - 1.0) > POWER_SAME_SHARE
        if kinder:
            why = say("assumed-power-differs", before=power.before, after=power.after)
            yield Assumption(
                name="load",
                standing=Standing.DOUBTFUL,
                why=why,
                remedy=say("assumed-power-differs-remedy"),
                carries=True,
            )
        else:
            yield Assumption(name="load", standing=Standing.CHECKED, why=say("assumed-load-by-power"))
        return
    moved, known = _work(p)
    if moved:
        yield Assumption(name="load", standing=Standing.DOUBTFUL, why=moved, remedy=remedy, carries=True)
    elif known:
        yield Assumption(name="load", standing=Standing.CHECKED, why=known)
    else:
        yield Assumption(
            name="load",
            standing=Standing.UNKNOWN,
            why=say("assumed-load-not-logged"),
            remedy=remedy,
            carries=p.claim_k is not None,
        )


def _work(p: _Pair) -> tuple[Words, Words]:
    """What moved between the runs, and what shows that the work was the same: use alone shows no power."""
    b, a = p.readings
    use = Role.CPU_UTILISATION if b.die_role is Role.CPU_TEMPERATURE else Role.GPU_UTILISATION
    used = [r.stats[use].mean if use in r.stats else None for r in (b, a)]
    if used[0] is not None and used[1] is not None and abs(used[1] - used[0]) > USE_SAME_PERCENT:
        return say("assumed-use-moved", before=used[0], after=used[1]), ""
    known: Words = ""
    frames = [r.pace.frames.rate if r.pace.frames is not None else None for r in (b, a)]
    clocks = [r.clock.mean if r.clock is not None else None for r in (b, a)]
    for name, (first, then), most in (("frames", frames, FRAMES_SAME_SHARE), ("clock", clocks, CLOCK_SAME_SHARE)):
        if not first or not then:
            continue
        if abs(then / first - 1.0) > most:
            return say("assumed-work-moved", name=name, before=first, after=then), ""
        known = say("assumed-load-by-work", name=name)
    return "", known


def _fan(p: _Pair) -> Iterator[Assumption]:
    found, (b, _) = p.bearing["fan"], p.readings
    heard = [side.recording.fan_rpm if side.recording is not None else None for side in (p.before, p.after)]
    if p.by["fan_speed"].difference is not None:
        yield Assumption(name="fan", standing=Standing.CHECKED, why=say("assumed-fan-logged"))
    elif found.bearing is Bearing.SAME and isinstance(found.before, str) and _SPEED.search(found.before):
        yield Assumption(name="fan", standing=Standing.NOTED, why=say("assumed-fan-fixed", setting=found.before))
    elif heard[0] and heard[1]:
        yield _fan_heard(p, heard[0], heard[1])
    else:
        # Automatic on both sides, its table may have been raised; where nobody noted it, it may have been forced.
        noted, room_c = found.bearing is Bearing.SAME, p.before.conditions.room_c
        could = p.could(FAN_COULD_SHARE * (b.die.mean - room_c)) if room_c is not None else p.claim_k is not None
        why = say("assumed-fan-auto") if noted else say("comparison-neither-fan-speed-nor-fan")
        yield Assumption(
            name="fan", standing=Standing.UNKNOWN, why=why, remedy=say("assumed-fan-remedy"), carries=could or not noted
        )


def _fan_heard(p: _Pair, before_rpm: float, after_rpm: float) -> Assumption:
    """What two recordings say of the fan: by its blades a few revolutions are heard."""
    if abs(after_rpm / before_rpm - 1.0) <= EVEN_SHARE:
        return Assumption(name="fan", standing=Standing.CHECKED, why=say("assumed-fan-heard", rpm=after_rpm))
    carries = p.claim_k is not None and (after_rpm > before_rpm) == (p.claim_k < 0.0)
    why = say("assumed-fan-heard-apart", before=before_rpm, after=after_rpm)
    return Assumption(
        name="fan", standing=Standing.DOUBTFUL, why=why, remedy=say("assumed-fan-remedy"), carries=carries
    )


def _room(p: _Pair) -> Iterator[Assumption]:
    b, a = p.readings
    remedy = say("assumed-room-remedy")
    if all(Role.ROOM_TEMPERATURE in r.stats for r in p.readings):
        yield Assumption(name="room", standing=Standing.CHECKED, why=say("assumed-room-logged"))
        return
    for reading, gained in ((a, -1.0), (b, 1.0)):
        fell = _fell(reading)
        if fell is not None and p.leans(gained * fell):
            side = "after" if reading is a else "before"
            yield Assumption(
                name="room",
                standing=Standing.DOUBTFUL,
                why=say("assumed-room-fell", side=side, fell=fell),
                remedy=remedy,
                carries=True,
            )
            return
    early = _early_share(p)
    if early is not None and early < _early_least(p):
        yield Assumption(
            name="room",
            standing=Standing.DOUBTFUL,
            why=say("assumed-room-late", percent=100 * max(0.0, early)),
            remedy=remedy,
            carries=True,
        )
    else:
        yield Assumption(name="room", standing=Standing.NOTED, why=say("assumed-room-noted"))


def _fell(reading: Reading) -> float | None:
    """How far the die fell from its highest to its end, at even power and fan [K], None where it did not."""
    length, course = length_of(reading), reading.course
    late = course.after_s >= max(COMMON_LEAST_S / 3.0, 0.25 * length)
    if late.sum() < 3:
        return None
    die, watts, fan = course.die_c[late], course.felt_w[late], course.fan_rpm[late]
    top = int(die.argmax())
    fell = float(die[top] - die[-1])
    lower_power = watts[top] == watts[top] and float(watts[-1]) < (1.0 - EVEN_SHARE) * float(watts[top])
    faster_fan = fan[top] == fan[top] and float(fan[-1]) > (1.0 + EVEN_SHARE) * float(fan[top])
    return fell if fell > FELL_K and not lower_power and not faster_fan else None


def _restless(p: _Pair) -> bool:
    """Whether the work goes up and down by itself, as a game's does."""
    return max(r.last_part for r in p.readings) >= RESTLESS_TAIL_SHARE


def _early_least(p: _Pair) -> float:
    if _restless(p):
        return EARLY_SHARE_RESTLESS
    return EARLY_SHARE_SMALL if p.claim_k is not None and abs(p.claim_k) < ROOM_COULD_K else EARLY_SHARE_LEAST


def _early_share(p: _Pair) -> float | None:
    """Share of the claim that was there at half of the run, None where the runs cannot tell it."""
    b, a = p.readings
    common = min(length_of(b), length_of(a))
    rooms = p.before.conditions.room_c, p.after.conditions.room_c
    if p.claim_k is None or not p.of_the_die or common < COMMON_LEAST_S or None in rooms:
        return None
    apart = []
    for at_s in (0.5 * common, common):
        over = []
        for reading, room_c in zip(p.readings, rooms, strict=True):
            die_c, watts, _ = (reading.course_by_halves if _restless(p) else reading.course).at(at_s)
            if die_c != die_c or (p.main.unit == "K/W" and not watts > 0.0):
                return None
            over.append((die_c - (room_c or 0.0)) / (watts if p.main.unit == "K/W" else 1.0))
        apart.append(over[1] - over[0])
    return apart[0] / apart[1] if apart[1] * p.claim_k > 0.0 else None


def _thermometer(p: _Pair) -> Iterator[Assumption]:
    apart = p.terms.start_apart_k
    if apart is None:
        yield Assumption(name="thermometer", standing=Standing.NOTED, why=say("assumed-idle-not-logged"))
    elif p.leans(apart):
        why = say("assumed-idle-differs", apart=abs(apart), warmer=apart > 0)
        yield Assumption(
            name="thermometer",
            standing=Standing.DOUBTFUL,
            why=why,
            remedy=say("assumed-thermometer-remedy"),
            carries=True,
        )
    else:
        yield Assumption(name="thermometer", standing=Standing.CHECKED, why=say("assumed-idle-agrees"))


def _sensor(p: _Pair) -> Iterator[Assumption]:
    columns = [side.conditions.die_column for side in (p.before, p.after)]
    firmware = p.bearing["firmware"].bearing is Bearing.NOTED
    claims = p.claim_k is not None
    flat = [name for name, r in zip(("before", "after"), p.readings, strict=True) if r.die_clipped]
    if flat:
        why = say("assumed-sensor-clipped", side=flat[0] if len(flat) == 1 else "both")
        yield Assumption(
            name="sensor",
            standing=Standing.DOUBTFUL,
            why=why,
            remedy=say("assumed-sensor-clipped-remedy"),
            carries=claims,
        )
    elif None not in columns and columns[0] != columns[1]:
        why = say("assumed-sensor-other", before=columns[0], after=columns[1])
        yield Assumption(
            name="sensor",
            standing=Standing.DOUBTFUL,
            why=why,
            remedy=say("assumed-sensor-other-remedy"),
            carries=claims,
        )
    elif firmware:
        yield Assumption(
            name="sensor",
            standing=Standing.DOUBTFUL,
            why=say("assumed-firmware"),
            remedy=say("assumed-firmware-remedy"),
            carries=claims,
        )
    elif None in columns:
        yield Assumption(name="sensor", standing=Standing.NOTED, why=say("assumed-sensor-noted"))
    else:
        yield Assumption(name="sensor", standing=Standing.CHECKED, why=say("assumed-sensor-same"))


def _power(p: _Pair) -> Iterator[Assumption]:
    power = p.by["power"]
    if p.main.unit != "K/W" or not power.before or not power.after:
        return
    remedy = say("assumed-power-remedy")
    idle = [r.begun[1] if r.begun is not None else None for r in p.readings]
    if idle[0] is not None and idle[1] is not None and abs(idle[1] - idle[0]) > IDLE_LEAST_W:
        # What the column has more at idle it has more under load: so much of the rise goes to watts that are not there.
        rise = (p.by["rise"].before or 0.0) * (idle[1] - idle[0]) / power.before
        if p.leans(-rise):
            why = say("assumed-power-idle", before=idle[0], after=idle[1])
            yield Assumption(name="power", standing=Standing.DOUBTFUL, why=why, remedy=remedy, carries=True)
            return
    clock = p.by["clock"]
    if clock.before and clock.after:
        ratio, expected = power.after / power.before, clock.after / clock.before
        ends = sorted(expected**k for k in CLOCK_TO_POWER)
        more = ratio - min(max(ratio, ends[0] * (1 - EVEN_SHARE)), ends[1] * (1 + EVEN_SHARE))
        if p.leans(-(p.by["rise"].before or 0.0) * more):
            why = say("assumed-power-clock", power=100 * (ratio - 1), clock=100 * (expected - 1))
            yield Assumption(name="power", standing=Standing.DOUBTFUL, why=why, remedy=remedy, carries=True)
            return
    yield Assumption(
        name="power", standing=Standing.CHECKED if None not in idle else Standing.NOTED, why=say("assumed-power-agrees")
    )


def _split(p: _Pair) -> Iterator[Assumption]:
    shares = []
    for reading in p.readings:
        cpu, gpu = (reading.stats.get(r) for r in (Role.CPU_POWER, Role.GPU_POWER))
        if cpu is None or gpu is None or not cpu.mean + gpu.mean > 0.0:
            return
        shares.append(cpu.mean / (cpu.mean + gpu.mean))
    if abs(shares[1] - shares[0]) > SPLIT_SAME:
        moves_k = _split_moves(p, shares[1] - shares[0])
        if moves_k is not None and not p.leans(moves_k):
            yield Assumption(
                name="split", standing=Standing.CHECKED, why=say("assumed-split-reckoned", kelvins=moves_k)
            )
            return
        why = say("assumed-split-moved", before=100 * shares[0], after=100 * shares[1])
        yield Assumption(
            name="split",
            standing=Standing.DOUBTFUL,
            why=why,
            remedy=say("assumed-split-remedy"),
            carries=p.claim_k is not None,
        )
    else:
        yield Assumption(name="split", standing=Standing.CHECKED, why=say("assumed-split-same"))


def _split_moves(p: _Pair, share: float) -> float | None:
    """What the die gains by power that moves to its own chip, by the four numbers of the shared cooler [K], None where
    neither log knows them."""
    coupled = next((r.chips.coupled for r in p.readings if r.chips.coupled is not None), None)
    power = p.by["power"].before
    if coupled is None or not power:
        return None
    own = coupled.cpu - coupled.cpu_from_gpu
    if p.before.reading.die_role is not Role.CPU_TEMPERATURE:
        own = -(coupled.gpu - coupled.gpu_from_cpu)
    return own * share * power


def _placement(p: _Pair) -> Iterator[Assumption]:
    if p.bearing["placement"].bearing is Bearing.UNKNOWN:
        why, remedy = say("comparison-where-stood-not-noted-on"), say("assumed-placement-remedy")
        yield Assumption(name="placement", standing=Standing.UNKNOWN, why=why, remedy=remedy, carries=True)
    else:
        yield Assumption(name="placement", standing=Standing.NOTED, why=say("assumed-placement-noted"))


_ALL = (_load, _fan, _room, _thermometer, _sensor, _power, _split, _placement)
