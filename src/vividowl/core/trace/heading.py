"""Where a run is heading: a ladder of fixed time constants with usual shares, corrected by what the log shows.

For advice only: a verdict takes what was measured. The usual shares keep the answer from claiming to know a slow part
that a short log cannot show; where the log tells little, the answer is as wide as the spread of usual devices.
"""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass

import numpy as np

from vividowl.core.heat.air import FAN_RESISTANCE_EXPONENT
from vividowl.core.quantities.words import Words, say
from vividowl.core.trace.felt_power import GAP_MOST_S
from vividowl.core.trace.load import LEAD_MOST_S, LoadPhase, under_load
from vividowl.core.trace.roles import Role
from vividowl.core.trace.trace import Mask, Series, Trace, bridged, scan

TAUS_S = np.array([2.0, 8.0, 30.0, 90.0, 270.0, 800.0])
# Share of the rise that goes with each time constant, and its spread, in usual devices and in those that shed their
# heat slowly, through their case; and how often the second kind is met, with a fan that turns, one that is not
# logged, and one that stands still. From memory.
USUAL = ((0.28, 0.18, 0.24, 0.20, 0.085, 0.015), (0.15, 0.12, 0.12, 0.10, 0.07, 0.04))
# Shares of the rise by time constant, and their spreads, in a device that warms slowly; from memory
SLOW = ((0.18, 0.11, 0.14, 0.14, 0.18, 0.25), (0.15, 0.12, 0.12, 0.12, 0.14, 0.25))
SLOW_USUAL = {"turns": 1e-9, say("heading-not-logged"): 0.02, "stands": 0.6}
BEGUN_TAUS_S = np.array([90.0, 400.0])
BEGUN_SPREAD_K = 4.0  # [K] of what an earlier load left; from memory
LEVEL_SPREAD_K = 6.0  # [K] of the idle level; from memory
POINTS_MOST = 400  # that a fit sees; more cost time and tell nothing more
# What the ladder does not know: a fan that changes its speed, a room that drifts, a sensor that counts in kelvins.
ERROR_K, ERROR_CORRELATED_S, EARLY_FACTOR = 0.4, 30.0, 25.0
# Mean square of what the ladder leaves over, in its own errors: devices stay below 0.3, random cells are at 13; between
# the two, no value matters.
ERRATIC = 3.0
LADDER_SHARE = 0.3  # of what is still to come that stays unsure; from memory
# Terms slower than these answer to the fan as well.
FAST_TERMS = 2
FAN_TURNS_RPM = 200.0  # [rpm] slower is a fan that stands; from memory


@dataclass(frozen=True)
class Heading:
    """final_c: where the die ends when the load goes on [degC]; final_u_k: its standard uncertainty [K]; left:
    what each time constant has still to go at the end of the load [K] (k,); erratic: the die goes a course that no
    device goes, so that nothing follows from it [flag]."""

    final_c: float
    final_u_k: float
    left: Series
    erratic: bool = False

    def remaining_k(self, after_s: float | Series = 0.0) -> Series:
        """Change still to come after so many more seconds of the load [K]."""
        after = np.asarray(after_s, dtype=np.float64)
        return np.asarray((self.left * np.exp(-after[..., None] / TAUS_S)).sum(axis=-1))


def find_heading(trace: Trace, load: LoadPhase, window: tuple[float, float]) -> Heading | None:
    """Say where the die would end if the load went on at its mean power.

    trace: the log
    load: its loaded part
    window: the end of the load that the steady figures come from, from and to [s]
    returns: Heading, None when the log is too short or the die too still to tell
    formula: T = T_0 + sum w_i x_i(t), x_i the share of the power (else of the load) that a time constant has taken up;
        w by least squares with the shares of usual and of slow devices as priors, averaged by their evidence
    range: loads of half a minute and longer
    source: Bayesian linear regression, any textbook; Foster network, JESD51-14; the shares are from memory
    """
    die = trace.channels[trace.die_role]
    begin = max(float(trace.time_s[0]), load.onset_s - LEAD_MOST_S)
    step = max(trace.interval_s, (load.end_s - begin) / POINTS_MOST)
    edges = np.arange(begin, load.end_s, step)
    if len(edges) < 8 or load.end_s - load.onset_s < 30.0:
        return None
    heat = _heat(trace, load)
    block = np.searchsorted(edges, trace.time_s, side="right") - 1
    inside = (trace.time_s >= begin) & (trace.time_s < load.end_s)
    power = _means(block[inside], heat[inside], len(edges))
    level = _means(block[inside], die[inside], len(edges))
    power = np.interp(edges, edges[np.isfinite(power)], power[np.isfinite(power)])
    known = np.isfinite(level)
    late = (trace.time_s >= window[0]) & (trace.time_s <= window[1])
    working = late & under_load(trace, load)
    working = working if working.any() else late
    if known.sum() < 8 or not np.isfinite(die[working]).any() or not np.isfinite(heat[late]).any():
        return None
    idle = edges + step <= load.onset_s
    base = float(np.median(power[idle])) if idle.any() else 0.0
    now, hold = float(np.nanmean(die[working])), float(np.nanmean(heat[late]))
    pace = hold - base
    if not pace > 0.0:
        return None
    ease = _fan_ease(trace, block, inside=inside, edges=edges, late=late)
    slow = power * ease
    slow = slow - (float(np.median(slow[idle])) if idle.any() else 0.0)
    taken = (
        np.hstack([_taken_up(power - base, step, TAUS_S[:FAST_TERMS]), _taken_up(slow, step, TAUS_S[FAST_TERMS:])])
        / pace
    )
    centre = edges + 0.5 * step
    begun = np.exp(-(centre - begin)[:, None] / BEGUN_TAUS_S)
    a = np.column_stack([taken, begun, np.ones(len(edges))])
    rise = now - float(np.nanmean(level[idle & known])) if (idle & known).any() else now - float(np.nanmin(level))
    elapsed = np.clip((centre - load.onset_s) / (load.end_s - load.onset_s), 0.0, 1.0)
    error = ERROR_K * math.sqrt(max(1.0, ERROR_CORRELATED_S / step)) * (1.0 + EARLY_FACTOR * (1.0 - elapsed) ** 2)
    error = np.where(idle, 2.0 * ERROR_K * math.sqrt(max(1.0, ERROR_CORRELATED_S / step)), error)
    # From the window to the end: the level itself is measured, the ladder only adds what is still to come.
    in_window = (centre >= window[0]) & (centre <= window[1])
    if not in_window.any():
        return None
    full = np.full(len(TAUS_S), 1.0)
    full[FAST_TERMS:] = slow[in_window].mean() / max(1e-9, (power[in_window] - base).mean())
    to_go = full - taken[in_window].mean(axis=0)
    row = np.concatenate([to_go, -begun[in_window].mean(axis=0), [0.0]])
    slow_usual = SLOW_USUAL[_fan_state(trace, late)]
    fits = [
        _with_prior(
            (a / error[:, None])[known],
            (level / error)[known],
            shares=shares,
            spreads=spreads,
            rise=rise,
            now=now,
            reach=reach,
            usual=usual,
        )
        for (shares, spreads), usual in ((USUAL, 1.0 - slow_usual), (SLOW, slow_usual))
        for reach in [max(0.3, 1.0 - float((np.array(shares) * np.exp(-(load.end_s - load.onset_s) / TAUS_S)).sum()))]
    ]
    best = max(fit.evidence for fit in fits)
    trust = np.array([math.exp(fit.evidence - best) for fit in fits])
    trust /= trust.sum()
    to_come = np.array([float(row @ fit.weights) for fit in fits])
    own = np.array([max(0.0, float(row @ fit.covariance @ row)) for fit in fits])
    remaining = float(trust @ to_come)
    weights = sum(t * fit.weights for t, fit in zip(trust, fits, strict=True))
    # The ladder ends at 800 s; a part slower than that would make the rest larger by a good share.
    unsure = math.hypot(math.sqrt(float(trust @ (own + (to_come - remaining) ** 2))), LADDER_SHARE * remaining)
    return Heading(
        now + remaining,
        unsure,
        (full - taken[-1]) * np.asarray(weights)[: len(TAUS_S)],
        float(np.mean(((level - a @ np.asarray(weights)) / error)[known] ** 2)) > ERRATIC,
    )


@dataclass(frozen=True)
class _Fit:
    """weights (k,) with their covariance (k, k); evidence: logarithm of how well this prior foretold the log."""

    weights: Series
    covariance: Series
    evidence: float


def _with_prior(
    a: Series,
    target: Series,
    *,
    shares: Sequence[float],
    spreads: Sequence[float],
    rise: float,
    now: float,
    reach: float,
    usual: float,
) -> _Fit:
    whole = max(1.0, rise / reach)
    mean = np.concatenate([np.array(shares) * whole, np.zeros(len(BEGUN_TAUS_S)), [now - rise]])
    spread = np.concatenate([np.array(spreads) * whole, np.full(len(BEGUN_TAUS_S), BEGUN_SPREAD_K), [LEVEL_SPREAD_K]])
    rows = np.vstack([a, np.diag(1.0 / spread)])
    wanted = np.concatenate([target, mean / spread])
    covariance = np.linalg.inv(rows.T @ rows)
    weights = covariance @ (rows.T @ wanted)
    left = wanted - rows @ weights
    evidence = (
        math.log(usual)
        - 0.5 * float(left @ left)
        + 0.5 * float(np.linalg.slogdet(covariance)[1])
        - float(np.log(spread).sum())
    )
    return _Fit(weights, covariance, evidence)


def _fan_state(trace: Trace, late: Mask) -> Words:
    fan = trace.get(Role.FAN_SPEED)
    if fan is None or not np.isfinite(fan[late]).any():
        return say("heading-not-logged")
    return "turns" if float(np.nanmean(fan[late])) > FAN_TURNS_RPM else "stands"


def _fan_ease(trace: Trace, block: np.ndarray, *, inside: Mask, edges: Series, late: Mask) -> Series:
    """Resistance of what the fan cools over time, as a share of that at the end; one without a fan speed (n,)."""
    fan = trace.get(Role.FAN_SPEED)
    if fan is None or _fan_state(trace, late) != "turns":
        return np.ones(len(edges))
    speed = _means(block[inside], fan[inside], len(edges))
    known = np.isfinite(speed)
    speed = np.maximum(np.interp(edges, edges[known], speed[known]), FAN_TURNS_RPM)
    return np.asarray(np.clip((float(np.nanmean(fan[late])) / speed) ** FAN_RESISTANCE_EXPONENT, 0.5, 2.0))


def _heat(trace: Trace, load: LoadPhase) -> Series:
    """Power over time, gaps bridged; where none was logged, one while it is loaded."""
    power = trace.power
    if power is None:
        return ((trace.time_s >= load.onset_s) & (trace.time_s <= load.end_s)).astype(np.float64)
    return bridged(trace.time_s, power, GAP_MOST_S)


def _means(block: np.ndarray, values: Series, blocks: int) -> Series:
    known = np.isfinite(values)
    count = np.bincount(block[known], minlength=blocks)
    total = np.bincount(block[known], values[known], minlength=blocks)
    with np.errstate(invalid="ignore"):
        return np.where(count > 0, total / np.maximum(count, 1), np.nan)


def _taken_up(power: Series, step: float, taus: Series) -> Series:
    """What each time constant has taken up of a power, at the middle of each block (n, k)."""
    keep = np.broadcast_to(np.exp(-step / taus), (len(power), len(taus)))
    ends = scan(keep, (1.0 - keep) * power[:, None])
    before = np.vstack([np.zeros((1, len(taus))), ends[:-1]])
    return np.asarray(power[:, None] + (before - power[:, None]) * np.exp(-0.5 * step / taus))
