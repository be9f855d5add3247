"""Quantities of a run with their uncertainty, split by what repeats average out and what two runs share."""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass, replace

from vividowl.core.heat.air import FAN_RESISTANCE_EXPONENT, FAN_RESISTANCE_EXPONENT_HALF_WIDTH
from vividowl.core.heat.temperature import sustained_capacity, thermal_resistance
from vividowl.core.quantities.uncertainty import (
    COVERAGE_FACTOR,
    Tolerances,
    combined,
    coverage_factor,
    effective_degrees_of_freedom,
    standard_from_half_width,
)
from vividowl.core.reading.reading import Reading, Statistics
from vividowl.core.trace.roles import Role

# A few repeats in one sitting do not show all that changes from day to day. From memory.
REPEATS_FLOOR = 0.2
REPEATS_LEAST_FREEDOM = 2  # degrees of freedom from which repeats judge themselves (JCGM 100, G.3)
# What is still to come counts in the value of a side; between two sides cut at equal times most of it is common, and
# this share of it is taken to differ. From memory.
TO_COME_WIDTH, TO_COME_DIFFERS = 0.6, 0.15
# How much of the whole answers to the fan is taken alike on both sides, since a log seldom tells it well, and so far it
# may be off as a share of it. From memory, looked at on two simulated devices.
BEHIND_INTERFACE_SHARE, BEHIND_HALF_WIDTH_SHARE = 0.55, 0.45
SPEEDS_APART_MOST = 1.5  # as far as the conversion between fan speeds holds
SPEED_TOLD_SHARE = 0.02  # fan speeds that differ by more are told to have been brought together; from memory
LIMIT_ABOVE_ROOM_K = 1.0  # [K] less is no limit of a die; from memory


@dataclass(frozen=True, kw_only=True)
class Measured:
    """value with standard uncertainties: scatter differs from run to run; drift does too but repeats of one side do
    not show it (room thermometer, half of a sensor's tolerance); shared is common to both sides and cancels.
    freedom: degrees of freedom of the scatter."""

    value: float
    scatter: float
    drift: float = 0.0
    shared: float = 0.0
    freedom: float = math.inf

    @property
    def own(self) -> float:
        """Standard uncertainty of the value by itself."""
        return combined(self.scatter, self.drift, self.shared)

    @property
    def moving(self) -> float:
        """Standard uncertainty of its part in a difference."""
        return combined(self.scatter, self.drift)

    @property
    def u95(self) -> float:
        """Expanded uncertainty of the value by itself, k = 2."""
        return COVERAGE_FACTOR * self.own


def die_temperature(reading: Reading, tol: Tolerances, role: Role | None = None) -> Measured:
    """Die over the end of the load, as measured; what is still to come counts as uncertainty.

    tol: half-widths
    role: another of its temperatures, None for the deciding die
    returns: Measured [degC]
    source: JCGM 100:2008
    """
    window, of = reading.window, reading.stats[role or reading.die_role]
    to_come = abs(window.remaining_rise_k or 0.0)
    scatter = combined(standard_from_half_width(tol.run_to_run_k), of.standard_error)
    shared = combined(
        standard_from_half_width(tol.die_sensor_k), TO_COME_WIDTH * to_come, 0.5 * (window.uncertainty_k or 0.0)
    )
    return Measured(
        value=of.mean, scatter=scatter, drift=standard_from_half_width(TO_COME_DIFFERS * to_come), shared=shared
    )


def rise(reading: Reading, room_c: float | None, tol: Tolerances, role: Role | None = None) -> Measured | None:
    """Rise of the die over the room as measured, None without a room.

    room_c: room [degC] or None
    tol: half-widths
    role: another of its temperatures, None for the deciding die
    source: JCGM 100:2008
    """
    if room_c is None:
        return None
    die = die_temperature(reading, tol, role)
    drift = combined(die.drift, standard_from_half_width(tol.room_k))
    return Measured(value=die.value - room_c, scatter=die.scatter, drift=drift, shared=die.shared)


def by_share(statistics: Statistics, share: float) -> Measured:
    """A sensor known to a share of its value: half of that is common to all runs, half is not.

    statistics: of the channel
    share: half-width as a share of the value [1], >= 0
    source: JCGM 100:2008; the halves are from memory
    """
    tolerance = standard_from_half_width(share * abs(statistics.mean))
    # a^2 = (a/2)^2 + (sqrt(3)/2 a)^2: together the halves are the whole tolerance.
    return Measured(
        value=statistics.mean,
        scatter=statistics.standard_error,
        drift=0.5 * tolerance,
        shared=math.sqrt(0.75) * tolerance,
    )


def resistance(
    reading: Reading,
    room_c: float | None,
    *,
    tol: Tolerances,
    at: tuple[float, float] | None = None,
    role: Role | None = None,
) -> Measured | None:
    """Rise over the heat into the cooler, None when either is not known.

    room_c: room [degC] or None
    tol: half-widths
    at: die [degC] and power that it felt [W] at an earlier time, None for the end of the load
    role: another of its temperatures, None for the deciding die
    returns: Measured [K/W] or None
    formula: R = dT / P with P as the die feels it; u_R^2 = (u_dT / P)^2 + (dT u_P / P^2)^2
    source: JCGM 100:2008, 5.1.2
    """
    over, power, felt = rise(reading, room_c, tol, role), reading.power, reading.felt
    if over is None or room_c is None or power is None or felt is None or reading.die_stuck:
        return None
    die_c, felt_w = at if at is not None else (reading.die.mean, felt.watts)
    if not felt_w > 0 or not die_c >= room_c:
        return None
    watts = by_share(power, tol.power_share)
    # The level of the power moves the die, and is in what the die does beside it; it does not count a second time.
    over = replace(
        over, value=die_c - room_c, scatter=combined(standard_from_half_width(tol.run_to_run_k), felt.left_k)
    )
    memory = felt.memory_u
    value = thermal_resistance(over.value, felt_w)
    scatter = over.scatter / felt_w
    drift = combined(over.drift / felt_w, value * combined(watts.drift, memory) / felt_w)
    shared = combined(over.shared / felt_w, value * watts.shared / felt_w)
    return Measured(value=value, scatter=scatter, drift=drift, shared=shared)


def at_fan_speed(
    of: Measured | None,
    fan_rpm: float | None,
    *,
    wanted_rpm: float,
    behind: float,
    behind_half_width_share: float = BEHIND_HALF_WIDTH_SHARE,
) -> Measured | None:
    """What the resistance would be at another fan speed, None when no fan speed was logged.

    of: resistance at the fan speed of the run [K/W] or None
    fan_rpm: that speed [rpm] or None
    wanted_rpm: fan speed to convert to [rpm], > 0
    behind: resistance behind the interface, which answers to the fan [K/W]
    behind_half_width_share: how far that may be off, as a share of it [1]
    returns: Measured [K/W] or None
    range: speeds within a factor of 1.5; the conversion carries the uncertainty of its exponent
    formula: R + behind ((N / N_wanted)^0.5 - 1)
    source: forced convection, textbook; the exponent is from memory
    """
    if of is None or fan_rpm is None or not fan_rpm > 0 or not wanted_rpm > 0:
        return None
    ratio = fan_rpm / wanted_rpm
    change = behind * (ratio**FAN_RESISTANCE_EXPONENT - 1.0)
    u = behind * abs(math.log(ratio)) * standard_from_half_width(FAN_RESISTANCE_EXPONENT_HALF_WIDTH)
    unsure = abs(change) * standard_from_half_width(behind_half_width_share)
    return Measured(
        value=of.value + change,
        scatter=of.scatter,
        drift=combined(of.drift, u, unsure),
        shared=of.shared,
        freedom=of.freedom,
    )


def at_speed_of(of: Measured, fan_rpm: float | None, other: float, other_rpm: float | None) -> Measured | None:
    """A rise or resistance at the fan speed of another run: a faster fan hides what an interface has lost.

    of: rise [K] or resistance [K/W] of a run
    fan_rpm: its fan speed [rpm], None or nought where nobody logged it
    other: the same of the other run [K] or [K/W]
    other_rpm: fan speed of that [rpm], None or nought where nobody logged it
    returns: Measured, as it is where one of the speeds is not known; None where they lie too far apart
    range: speeds within a factor of 1.5
    formula: at_fan_speed with a share of the smaller of both as what answers to the fan: what one has more is in its
        interface, which no fan reaches
    source: as at_fan_speed
    """
    if not fan_rpm or not other_rpm:
        return of
    if not 1.0 / SPEEDS_APART_MOST <= fan_rpm / other_rpm <= SPEEDS_APART_MOST:
        return None
    return at_fan_speed(of, fan_rpm, wanted_rpm=other_rpm, behind=BEHIND_INTERFACE_SHARE * min(of.value, other))


def capacity(
    of: Measured | None, limit_c: float | None, reference_room_c: float, power_limit: float | None = None
) -> Measured | None:
    """Watts it could hold at its limit in the reference room: calculated. None when resistance or limit is not known,
    or the limit is no more than a kelvin above the reference room.

    of: resistance [K/W] or None
    limit_c: limit [degC] or None
    reference_room_c: reference room [degC]
    power_limit: what the device draws at most [W], or None
    returns: Measured [W] or None, not above the power limit
    raises: OutOfRange
    formula: (T_limit - T_ref_room) / R
    source: definition; the trade's "watts it can hold"
    """
    if of is None or limit_c is None or not of.value > 0 or limit_c < reference_room_c + LIMIT_ABOVE_ROOM_K:
        return None
    value = sustained_capacity(limit_c, of.value, reference_room_c)
    scale = value / of.value
    if power_limit is not None and value > power_limit:
        value = power_limit
    return Measured(
        value=value, scatter=of.scatter * scale, drift=of.drift * scale, shared=of.shared * scale, freedom=of.freedom
    )


def pool(runs: Sequence[Sequence[Measured | None]]) -> tuple[tuple[Measured | None, ...], bool]:
    """One value a side from the runs of each side.

    runs: per side its runs (n,); None where a run does not tell
    returns: one Measured or None a side, and whether the scatter was taken from repeats [flag]
    formula: mean; scatter from the pooled standard deviation of the sides when it has 2 degrees of freedom or more,
        not below a fifth of the default, else from the default; divided by sqrt(n)
    source: JCGM 100:2008, 4.2 and H.3 for the pooled estimate
    """
    known = [[m for m in side if m is not None] for side in runs]
    freedom = sum(max(0, len(side) - 1) for side in known)
    repeats = freedom >= REPEATS_LEAST_FREEDOM
    squares = sum(sum((m.value - _mean(side)) ** 2 for m in side) for side in known if side)
    out: list[Measured | None] = []
    for side in known:
        if not side:
            out.append(None)
            continue
        n = len(side)
        drift, shared = (max(getattr(m, name) for m in side) for name in ("drift", "shared"))
        usual = max(m.scatter for m in side)
        scatter = max(math.sqrt(squares / freedom), REPEATS_FLOOR * usual) if repeats else usual
        out.append(
            Measured(
                value=_mean(side),
                scatter=scatter / math.sqrt(n),
                drift=drift,
                shared=shared,
                freedom=freedom if repeats else math.inf,
            )
        )
    return tuple(out), repeats


def _mean(side: Sequence[Measured]) -> float:
    return sum(m.value for m in side) / len(side)


def difference_u95(before: Measured, after: Measured) -> float:
    """Expanded uncertainty of after less before; what both share cancels.

    before: one side
    after: the other
    returns: expanded uncertainty [same]
    formula: k u_c with k = 2, or the t-factor for the effective degrees of freedom when repeats are few
    source: JCGM 100:2008, G.4 (Welch-Satterthwaite)
    """
    u = combined(before.moving, after.moving)
    freedom = min(before.freedom, after.freedom)
    if not math.isfinite(freedom) or u == 0.0:
        return COVERAGE_FACTOR * u
    # Both sides carry the one pooled estimate, so their scatter counts once with its degrees of freedom.
    scatter = combined(before.scatter, after.scatter)
    drift = combined(before.drift, after.drift)
    return coverage_factor(effective_degrees_of_freedom([(scatter, freedom), (drift, math.inf)])) * u
