"""The air balance and the fan laws: what an exhaust temperature says and does not say."""

from __future__ import annotations

from dataclasses import dataclass

from vividowl.core.quantities.errors import OutOfRange, require_range
from vividowl.core.quantities.units import require_room_c
from vividowl.core.quantities.words import Words, listed, say

GAS_CONSTANT_AIR = 287.05  # [J/(kg K)] dry air, ISO 2533
STANDARD_PRESSURE = 101325.0  # [Pa]
HEAT_CAPACITY_AIR = 1006.0  # [J/(kg K)] dry air near 25 degC, textbook
CFM_PER_M3_S = 2118.88  # cubic feet a minute in a cubic metre a second (definition)
FAN_LEVEL_EXPONENT_DB = 50.0  # [dB] a tenfold speed; common practice, no source
# Resistance behind the interface goes with fan speed to the power of minus this, plus or minus its half-width: between
# laminar fins with a share of plain conduction and turbulent ones. From memory.
FAN_RESISTANCE_EXPONENT, FAN_RESISTANCE_EXPONENT_HALF_WIDTH = 0.5, 0.25


@dataclass(frozen=True)
class FanLawRatios:
    """Ratios after to before that a change of level implies: speed, flow, exhaust rise at the same power."""

    speed_ratio: float
    flow_ratio: float
    exhaust_rise_ratio: float


def air_density(air_c: float, pressure: float = STANDARD_PRESSURE) -> float:
    """Density of dry air.

    air_c: air temperature [degC], -40 to 150
    pressure: absolute pressure [Pa], 50 000 to 110 000
    returns: density [kg/m3]
    raises: OutOfRange
    formula: p / (R T)
    source: ideal gas law; gas constant of ISO 2533
    """
    require_range("air_c", air_c, "°C", (-40.0, 150.0))
    require_range("pressure", pressure, "Pa", (5e4, 1.1e5))
    return pressure / (GAS_CONSTANT_AIR * (air_c + 273.15))


def air_flow(power: float, exhaust_rise_k: float, air_c: float = 25.0) -> float:
    """Flow that carries a power at an exhaust rise.

    power: heat in the air [W], > 0
    exhaust_rise_k: exhaust over intake [K], > 0
    air_c: temperature at which the flow is stated [degC]
    returns: volume flow [m3/s]
    raises: OutOfRange
    formula: P / (rho c_p dT)
    source: first law for a steady stream
    """
    for name, value, unit in (("power", power, "W"), ("exhaust_rise_k", exhaust_rise_k, "K")):
        if not value > 0:
            raise OutOfRange(say("air-must-be-above", name=name, value=value, unit=unit), field=name)
    return power / (air_density(air_c) * HEAT_CAPACITY_AIR * exhaust_rise_k)


def fan_laws(level_change_db: float, exponent_db: float = FAN_LEVEL_EXPONENT_DB) -> FanLawRatios:
    """Speed and flow that a change of fan noise implies.

    level_change_db: level after less level before [dB], -60 to 60
    exponent_db: decibels a decade of speed [dB], 50 to 60
    raises: OutOfRange
    formula: N2/N1 = 10^(dL/exponent); flow goes with N; exhaust rise with 1/flow at equal power
    source: fan affinity laws; the exponent is common practice, no source
    """
    require_range("exponent_db", exponent_db, "dB", (50.0, 60.0))
    speed = 10.0 ** (require_range("level_change_db", level_change_db, "dB", (-60.0, 60.0)) / exponent_db)
    return FanLawRatios(speed, speed, 1.0 / speed)


EXHAUST_SHOWN_K = 2.0  # two readings of one spot differ by less than this anyway; from memory
RATIO_TOLERANCE = 1.05  # of what flow and level are read to; from memory
FAN_SLOWER_RATIO = 0.98  # of speeds below which a fan turns slower; from memory


@dataclass(frozen=True)
class ExhaustFinding:
    """measured_ratio and allowed_ratio [1] of the exhaust rise; explained: slower fan and power account for it, None
    where nothing tells what the fan did."""

    measured_ratio: float
    allowed_ratio: float | None
    explained: bool | None
    text: Words


def judge_exhaust(
    before_c: float,
    before_room_c: float,
    *,
    after_c: float,
    after_room_c: float,
    level_change_db: float | None,
    power_ratio: float = 1.0,
    fan_ratio: float | None = None,
) -> ExhaustFinding | None:
    """Explain a hotter exhaust after a service, or warn. None when the exhaust did not get hotter by 2 K or more.

    before_c: exhaust before [degC]
    before_room_c: room before [degC]
    after_c: exhaust after [degC]
    after_room_c: room after [degC]
    level_change_db: noise after less noise before [dB], None when not known
    power_ratio: power after over power before [1], > 0; 1 when not known
    fan_ratio: fan speed after over before [1], > 0; None when not logged; it counts before the noise
    returns: ExhaustFinding or None; explained is None where neither noise nor fan speed tells
    raises: OutOfRange
    range: 5 % is left for the readings' own tolerance
    formula: exhaust rise goes with power over flow; flow by the fan laws
    source: fan affinity laws and first law; the paradox itself is common practice, no source
    """
    rise_before = before_c - require_room_c(before_room_c)
    rise_after = after_c - require_room_c(after_room_c)
    require_range("power_ratio", power_ratio, "", (0.01, 100.0))
    if rise_before <= 0 or rise_after - rise_before < EXHAUST_SHOWN_K:
        return None
    measured = rise_after / rise_before
    if fan_ratio is not None:
        speed: float | None = require_range("fan_ratio", fan_ratio, "", (0.01, 100.0))
    else:
        speed = fan_laws(level_change_db).speed_ratio if level_change_db is not None else None
    if speed is None:
        said = say("air-exhaust-not-known", rise_before=rise_before, rise_after=rise_after)
        return ExhaustFinding(measured, None, None, said)
    allowed = power_ratio / speed
    explained = measured <= allowed * RATIO_TOLERANCE
    start = say(
        "air-exhaust-rise-went-from-to",
        rise_before=rise_before,
        rise_after=rise_after,
        measured=measured,
        by="fan" if fan_ratio is not None else "noise",
        fan_percent=100.0 * speed,
        level_change_db=abs(level_change_db or 0.0),
        quieter=(level_change_db or 0.0) <= 0,
        watts=abs(power_ratio - 1.0) > 0.02,
        power_ratio=power_ratio,
        allowed=allowed,
        ratio_tolerance=100.0 * (RATIO_TOLERANCE - 1.0),
    )
    if not explained:
        end = say("air-that-does-not-explain-check")
    elif speed < FAN_SLOWER_RATIO:
        end = say("air-that-no-fault-fan-turns")
    else:
        end = say("air-that-no-fault-more-watts")
    return ExhaustFinding(measured, allowed, explained, listed((start, end), "space"))
