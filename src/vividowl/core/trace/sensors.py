"""What a temperature sensor cannot have read: drop-outs to 0 or 255, jumps of one sample, a value that hangs."""

from __future__ import annotations

from dataclasses import dataclass

import numpy as np

from vividowl.core.trace.trace import Series

POSSIBLE_C = (0.0, 130.0)  # [degC] between which a sensor of a chip reads; from memory
FAR_K = 25.0  # [K] from the middle; from memory
JUMP_K = 30.0  # [K] from one line to the next and back: a fault, not a die; from memory
STUCK_LEAST_S = 60.0  # [s] at one value; from memory
STUCK_LEAST_SAMPLES = 30  # at one value; from memory
CLIPPED_LEAST_S = 240.0  # [s] at one value under load, from a minute and a half on; from memory
CLIPPED_WITHIN_K = 0.3  # [K] between the means of its fifths; from memory
CLIPPED_EVEN_SHARE = 0.02  # of the power, from which a governor is at work; from memory
CLIPPED_FROM_S = 90.0  # [s] of the load, before which a die may well stay for a while; from memory
FINE_STEP_K = 0.3  # [K] a sensor with larger steps may stand at one value by itself; from memory


@dataclass(frozen=True)
class Cleaned:
    """values: the series with NaN where the sensor failed (n,); dropouts: samples outside what a device can reach;
    jumps: single samples that left and came back; stuck: samples in stretches where a fine sensor hung."""

    values: Series
    dropouts: int
    jumps: int
    stuck: int


def clean_temperature(time_s: Series, readings_c: Series) -> Cleaned:
    """Take out what the sensor cannot have read.

    time_s: times (n,) [s]
    readings_c: readings (n,) [degC], NaN where nothing was logged
    range: a jump is one or two samples more than 30 K off both sides; a sensor with steps of 0.3 K or finer that shows
        one value for a minute hangs, a coarser one may be steady
    source: common practice, no source
    """
    values = readings_c.copy()
    known = np.isfinite(values)
    if not known.any():
        return Cleaned(values, 0, 0, 0)
    middle = float(np.nanmedian(values))
    with np.errstate(invalid="ignore"):
        lost = known & ((values <= POSSIBLE_C[0]) | (values >= POSSIBLE_C[1])) & (np.abs(values - middle) > FAR_K)
    values[lost] = np.nan
    jumped = _jumps(values)
    values[jumped] = np.nan
    stuck = _stuck(time_s, values)
    values[stuck] = np.nan
    return Cleaned(values, int(lost.sum()), int(jumped.sum()), int(stuck.sum()))


def _jumps(values: Series) -> np.ndarray:
    """One or two samples far from what stands before and after them, which agree with each other."""
    out = np.zeros(len(values), dtype=bool)
    where = np.flatnonzero(np.isfinite(values))
    v = values[where]
    if len(v) < 8:
        return out
    for width in (1, 2):
        before, after = v[: -width - 1], v[width + 1 :]
        far = np.abs(before - after) < JUMP_K / 2
        for k in range(1, width + 1):
            inner = v[k : len(v) - width - 1 + k]
            far &= (np.abs(inner - before) > JUMP_K) & (np.abs(inner - after) > JUMP_K)
        for i in np.flatnonzero(far):
            out[where[i + 1 : i + 1 + width]] = True
    return out


def _stuck(time_s: Series, values: Series) -> np.ndarray:
    out = np.zeros(len(values), dtype=bool)
    where = np.flatnonzero(np.isfinite(values))
    if len(where) < 2 * STUCK_LEAST_SAMPLES:
        return out
    v = values[where]
    steps = np.abs(np.diff(v))
    moving = steps[steps > 1e-9]
    # Half of the steps of a fine, noisy sensor are small; a coarse one jumps by whole degrees.
    if len(moving) < 0.2 * len(v) or float(np.quantile(moving, 0.25)) > FINE_STEP_K:
        return out
    edges = np.concatenate(([0], np.flatnonzero(np.diff(v) != 0) + 1, [len(v)]))
    long = np.flatnonzero(np.diff(edges) >= STUCK_LEAST_SAMPLES)
    for a, b in zip(edges[long], edges[long + 1], strict=True):
        if time_s[where[b - 1]] - time_s[where[a]] >= STUCK_LEAST_S:
            out[where[a + 1 : b]] = True
    return out


def is_clipped(time_s: Series, die_c: Series, power: Series | None) -> bool:
    """Whether a die stays at one value from early in the load to its end, though nothing is given up for it: the sensor
    shows no more than that value, or hangs.

    time_s: times from a minute and a half after the load began to its end (n,) [s]
    die_c: the die (n,) [degC]
    power: power (n,) [W], None when it was not logged
    returns: True when it does [flag]
    range: four minutes or more; a governor that holds the die gives up power, and a die at even power still climbs
    formula: the means of its fifths lie within 0.3 K, those of the power within 2 %
    source: common practice, no source
    """
    known = np.isfinite(die_c)
    if known.sum() < STUCK_LEAST_SAMPLES or time_s[-1] - time_s[0] < CLIPPED_LEAST_S:
        return False
    if float(np.ptp(_fifths(die_c[known]))) > CLIPPED_WITHIN_K:
        return False
    if power is None or np.isfinite(power).sum() < STUCK_LEAST_SAMPLES:
        return True
    watts = _fifths(power[np.isfinite(power)])
    return float(np.ptp(watts)) < CLIPPED_EVEN_SHARE * float(watts.max())


def _fifths(values: Series) -> Series:
    return np.array([part.mean() for part in np.array_split(values, 5)])


def never_changes(readings_c: Series) -> bool:
    """Whether a sensor shows one and the same value throughout.

    readings_c: readings (n,) [degC]
    returns: True when it does [flag]
    source: common practice, no source
    """
    known = readings_c[np.isfinite(readings_c)]
    return len(known) >= STUCK_LEAST_SAMPLES and float(np.ptp(known)) < 1e-9
