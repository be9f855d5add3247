"""Nickel on copper: how fast a bath plates and how long a thickness takes."""

from __future__ import annotations

from dataclasses import dataclass
from enum import StrEnum

from vividowl.core.quantities.errors import OutOfRange, require_range
from vividowl.core.quantities.words import Words, say

FARADAY = 96485.33212  # [C/mol], CODATA 2018, exact
NICKEL_MOLAR_MASS = 58.6934e-3  # [kg/mol], IUPAC
NICKEL_DENSITY = 8908.0  # [kg/m3], handbook value near room temperature
NICKEL_CHARGE = 2  # electrons an ion (chemistry)
ELECTROLESS_UM_H = 2.5  # at 70 degC, common practice, no source
# [degC] band of a kit bath around its 70 degC; common practice, no source
ELECTROLESS_LOW_C, ELECTROLESS_HIGH_C = 65.0, 75.0


class PlatingMethod(StrEnum):
    """The two ways of plating."""

    ELECTROLESS = "electroless"
    ELECTROLYTIC = "electrolytic"


@dataclass(frozen=True)
class PlatingTime:
    """hours [h] that the target takes; rate_um_h [um/h]."""

    hours: float
    rate_um_h: float


@dataclass(frozen=True, kw_only=True)
class Bath:
    """How a cold plate gets its nickel. words of the bath; area_cm2: wetted [cm2]; target_um [um]; temperature_c
    [degC]; rate_um_h: of this bath [um/h]; hours in it [h]; amps: current, None without one [A]."""

    words: Words
    area_cm2: float
    target_um: float
    temperature_c: float
    rate_um_h: float
    hours: float
    amps: float | None = None


def faraday_rate_um_h(current_density_a_dm2: float) -> float:
    """Growth of nickel with all current going into it.

    current_density_a_dm2: current density [A/dm2], 0.01 to 20
    returns: rate [um/h]
    raises: OutOfRange
    formula: v = i M / (z F rho)
    source: Faraday's law of electrolysis with CODATA constants
    """
    require_range(
        "current_density_a_dm2", current_density_a_dm2, "A/dm²", (0.01, 20.0), hint=say("plating-to-dm-usual")
    )
    metres_per_second = 100.0 * current_density_a_dm2 * NICKEL_MOLAR_MASS / (NICKEL_CHARGE * FARADAY * NICKEL_DENSITY)
    return metres_per_second * 3600e6


def plating_time(
    method: PlatingMethod,
    target_um: float,
    *,
    current_density_a_dm2: float | None = None,
    temperature_c: float | None = None,
    own_rate_um_h: float | None = None,
) -> PlatingTime:
    """How long a layer of nickel takes.

    method: electroless or electrolytic
    target_um: thickness [um], 0.1 to 200
    current_density_a_dm2: needed for electrolytic plating [A/dm2]
    temperature_c: of the bath [degC]; the electroless rate is known from 65 to 75 only
    own_rate_um_h: of this very bath, by its maker's sheet or a coupon [um/h], which beats both; None when not known
    raises: OutOfRange
    range: layers up to 200 um; a plated part or a plating shop is the better way
    formula: t = d / v, v of the bath, by Faraday's law or 2.5 um/h
    source: Faraday's law; the electroless rate is common practice, no source
    """
    require_range("target_um", target_um, "µm", (0.1, 200.0), hint=say("plating-m-least-that-lasts-m"))
    if own_rate_um_h is not None:
        rate = require_range(
            "rate_um_h", own_rate_um_h, "µm/h", (0.1, 200.0), hint=say("plating-kit-baths-common-ones-to")
        )
        return PlatingTime(target_um / rate, rate)
    if method is PlatingMethod.ELECTROLYTIC:
        if current_density_a_dm2 is None:
            raise OutOfRange(say("plating-electrolytic-plating-needs-current-density"), field="current_density_a_dm2")
        rate = faraday_rate_um_h(current_density_a_dm2)
    else:
        if temperature_c is not None and not ELECTROLESS_LOW_C <= temperature_c <= ELECTROLESS_HIGH_C:
            raise OutOfRange(
                say(
                    "plating-rate-bath-at-c-not",
                    temperature_c=temperature_c,
                    electroless_low_c=ELECTROLESS_LOW_C,
                    electroless_high_c=ELECTROLESS_HIGH_C,
                ),
                field="temperature_c",
            )
        rate = ELECTROLESS_UM_H
    return PlatingTime(target_um / rate, rate)
