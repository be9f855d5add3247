"""Uncertainty after JCGM 100: combine in quadrature, expand, count only independent samples."""

from __future__ import annotations

import math
from collections.abc import Mapping, Sequence
from dataclasses import dataclass, replace

import numpy as np
from numpy.typing import NDArray

from vividowl.core.quantities.errors import NotEnoughData, OutOfRange, require_one_of, require_range
from vividowl.core.quantities.words import Words, say

COVERAGE_FACTOR = 2.0  # k for about 95 % (JCGM 100, 6.3.3)
BLOCKS_MOST = 2048  # of a series whose scatter is judged; more cost time and tell nothing more


@dataclass(frozen=True, kw_only=True)
class Tolerances:
    """Half-widths of what is not known about a reading, editable by the shop.

    die_sensor_k: repeatability of an on-die sensor [K]; room_k: room thermometer [K];
    run_to_run_k: the same device tested twice [K]; power_share: power sensor [1]; clock_share [1];
    noise_db: sound meter repeatability [dB]; noise_room_db_per_k: what a fan that follows the heat adds for each kelvin
    of another room [dB/K];
    result_share: one benchmark run twice [1]. All values from memory, each a half-width of a rectangle.
    """

    die_sensor_k: float = 1.0
    room_k: float = 0.5
    run_to_run_k: float = 0.9
    power_share: float = 0.02
    clock_share: float = 0.01
    noise_db: float = 1.0
    noise_room_db_per_k: float = 0.5
    result_share: float = 0.01


# What a shop may set: words, unit and largest value. A larger one would be a mistake in the unit.
TOLERANCE_LIMITS: Mapping[str, tuple[Words, Words, float]] = {
    "die_sensor_k": (say("uncertainty-die-sensor"), "K", 10.0),
    "room_k": (say("uncertainty-room-thermometer"), "K", 5.0),
    "run_to_run_k": (say("uncertainty-run-to-run"), "K", 10.0),
    "power_share": (say("uncertainty-power-sensor"), say("uncertainty-value"), 0.5),
    "clock_share": (say("uncertainty-clock"), say("uncertainty-value"), 0.5),
    "noise_db": (say("uncertainty-sound-meter"), "dB", 10.0),
    "noise_room_db_per_k": (say("uncertainty-noise-in-another-room"), "dB/K", 3.0),
    "result_share": (say("uncertainty-benchmark-result"), say("uncertainty-value"), 0.5),
}


def checked_tolerances(values: Mapping[str, float]) -> Tolerances:
    """The defaults with a shop's own values over them.

    values: half-widths by name [as in Tolerances]
    raises: OutOfRange for a negative or absurd one or an unknown name
    range: up to the limits of TOLERANCE_LIMITS
    source: common practice, no source
    """
    for name, value in values.items():
        require_one_of("tolerance", name, TOLERANCE_LIMITS)
        words, unit, most = TOLERANCE_LIMITS[name]
        if not 0.0 <= value <= most:
            raise OutOfRange(say("uncertainty-allowed-to", words=words, value=value, unit=unit, most=most), field=name)
    return replace(Tolerances(), **values)


def standard_from_half_width(half_width: float) -> float:
    """Standard uncertainty of a value known only to lie within plus or minus a half-width.

    half_width: half-width [any], >= 0
    returns: standard uncertainty [same]
    raises: OutOfRange
    formula: a / sqrt(3), rectangular distribution
    source: JCGM 100:2008, 4.3.7
    """
    return require_range("half_width", half_width, "", (0.0, math.inf)) / math.sqrt(3.0)


def combined(*standard: float) -> float:
    """Combine uncorrelated standard uncertainties that share a unit.

    standard: standard uncertainties (n,) [any], each >= 0
    returns: combined standard uncertainty [same]
    raises: OutOfRange
    formula: root of the sum of squares
    source: JCGM 100:2008, 5.1.2
    """
    return math.sqrt(sum(require_range("standard", u, "", (0.0, math.inf)) ** 2 for u in standard))


def effective_degrees_of_freedom(contributions: Sequence[tuple[float, float]]) -> float:
    """Degrees of freedom of a combined uncertainty.

    contributions: pairs (n, 2) of standard uncertainty [any] and its degrees of freedom [1]
    returns: effective degrees of freedom [1], inf when no part is limited
    raises: NotEnoughData
    formula: u_c^4 / sum(u_i^4 / nu_i)
    source: JCGM 100:2008, G.2b (Welch-Satterthwaite)
    """
    if not contributions:
        raise NotEnoughData(say("uncertainty-no-uncertainty-to-combine"), field="contributions")
    total = combined(*(u for u, _ in contributions)) ** 4
    weight = sum(u**4 / nu for u, nu in contributions if math.isfinite(nu))
    return total / weight if weight > 0 else math.inf


def coverage_factor(freedom: float) -> float:
    """Factor for a level of confidence of 95 %.

    freedom: effective degrees of freedom [1], > 0
    returns: Student's t at 97.5 % [1]; 2 for freedom without limit, as the product uses throughout
    raises: OutOfRange
    source: JCGM 100:2008, table G.2
    """
    from scipy.special import stdtrit  # here, since the import alone takes part of a second of the start

    if math.isinf(freedom):
        return COVERAGE_FACTOR
    return max(COVERAGE_FACTOR, float(stdtrit(require_range("freedom", freedom, "", (0.1, math.inf)), 0.975)))


def effective_sample_size(values: NDArray[np.float64]) -> float:
    """How many independent samples a correlated series is worth.

    values: series (n,) [any], n >= 2, evenly spaced
    returns: effective number [1], between 1 and n
    raises: NotEnoughData
    range: initial positive sequence; a trend makes it small, which is right
    formula: n / (1 + 2 sum rho_k), summed until rho falls below 0
    source: standard time-series result (integrated autocorrelation time)
    """
    n = len(values)
    if n < 2:
        raise NotEnoughData(say("uncertainty-spread-needs-two-samples-or"), field="values")
    centred = np.asarray(values, dtype=np.float64) - float(np.mean(values))
    power = float(centred @ centred)
    if power == 0:
        return float(n)
    size = 1 << (2 * n - 1).bit_length()
    spectrum = np.fft.rfft(centred, size)
    rho = np.fft.irfft(spectrum * np.conj(spectrum), size)[:n] / power
    below = np.flatnonzero(rho < 0)
    stop = int(below[0]) if len(below) else n
    return float(min(n, max(1.0, n / (1.0 + 2.0 * float(rho[1:stop].sum())))))


def standard_error(values: NDArray[np.float64]) -> float:
    """Standard uncertainty of the mean of a correlated series.

    values: series (n,) [any], n >= 2
    returns: standard error [same]
    raises: NotEnoughData
    formula: s / sqrt(n_eff) of the block means, which have the same mean
    source: JCGM 100:2008, 4.2.3 with the effective sample size; blocking after Flyvbjerg and Petersen 1989
    """
    block = -(-len(values) // BLOCKS_MOST)
    if block > 1:
        values = values[: len(values) // block * block].reshape(-1, block).mean(axis=1)
    return float(np.std(values, ddof=1)) / math.sqrt(effective_sample_size(values))
