"""Where the heat stops, from the log alone: a Foster network fitted against the measured power."""

from __future__ import annotations

import math
from dataclasses import dataclass, replace
from itertools import combinations

import numpy as np

from vividowl.core.quantities.errors import NotEnoughData
from vividowl.core.quantities.uncertainty import effective_sample_size
from vividowl.core.quantities.words import say
from vividowl.core.response.exponentials import Fit, fit_exponentials
from vividowl.core.response.terms import FAST_BELOW_S, Response, Term
from vividowl.core.trace.load import LEAD_MOST_S, LoadPhase
from vividowl.core.trace.trace import Series, Trace, scan

INTERVAL_MOST_S = 5.5  # [s] between lines; slower logs tell no fast part; from memory
TERMS_MOST = 4  # of a Foster network that a log can tell apart; from memory
COARSE_POINTS = 180  # of the slow part that a fit sees; more cost time
TAIL_S = 25.0  # [s] after the load that are read; from memory
BOUND_LOW_STEPS = 0.1  # of a line's interval: no time constant is shorter; from memory
BLOCK_WEIGHT_MOST = 8.0  # samples that count in one block, since they are not independent; from memory
# A further term has to explain this much more than chance would (Bayesian information, strong above 6).
EVIDENCE_LEAST = 6.0
GRID_POINTS = 9  # of time constants tried first (numerics)
CALM_SHARE = 0.08  # of the power: what moves less is calm; from memory
SINCE_S = (0.0, 40.0, 120.0)  # [s] since an earlier load, tried; from memory
REMEMBERS_S = 3.0  # [s] that the fast parts take to forget an earlier load; from memory
IDLE_DRIFT_K_PER_S = 0.01  # [K/s] a faster drift of the idle die is none of the sensor; from memory
# Cases take minutes to warm through; a factor of 1.6 either way is common. From memory.
USUAL_SLOW_S, USUAL_SLOW_SPREAD = 300.0, 0.45


@dataclass(frozen=True)
class _Blocks:
    """The log in blocks: length of each [s], power over the base [W] and die [degC] as means, samples in each (n,)."""

    length_s: Series
    power: Series
    die_c: Series
    samples: Series


def _blocks(trace: Trace, load: LoadPhase, *, power: Series, begin: float, end: float) -> _Blocks:
    """Sample by sample where the power jumps, averaged elsewhere, so that a long log fits as fast as a short one."""
    step = trace.interval_s
    die = trace.channels[trace.die_role]
    known = np.isfinite(die) & np.isfinite(power)
    grid = np.arange(begin, end + 0.5 * step, step)
    heat = np.interp(grid, trace.time_s[known], power[known])
    rise = np.interp(grid, trace.time_s[known], die[known])
    fine = (grid > load.onset_s - 20 * step) & (grid < load.onset_s + max(90.0, 30.0 * step))
    fine |= grid > load.end_s - 4 * step
    coarse = max(1, -(-int((~fine).sum()) // COARSE_POINTS))
    run = np.arange(len(grid)) // coarse
    starts = np.flatnonzero(np.diff(run, prepend=-1) | fine | np.concatenate(([False], fine[:-1])))
    count = np.diff(np.append(starts, len(grid))).astype(np.float64)
    heat = _calm(heat)
    return _Blocks(count * step, np.add.reduceat(heat, starts) / count, np.add.reduceat(rise, starts) / count, count)


def _calm(power: Series) -> Series:
    """Power without the sensor's noise: averaged over five samples where nothing jumps among them."""
    if len(power) < 9:
        return power
    padded = np.concatenate((power[:2], power, power[-2:]))
    near = [padded[i : i + len(power)] for i in range(5)]
    spread = np.maximum.reduce(near) - np.minimum.reduce(near)
    calm = spread < CALM_SHARE * max(1e-9, float(np.percentile(power, 95)))
    return np.where(calm, sum(near) / 5.0, power)


@dataclass(frozen=True)
class _Start:
    """hold: share of a sample's own power that acts up to it; the rest of that time the one before still acts.
    before: power over the base that ended since_s [s] before the log began [W], 0 after a steady idle."""

    hold: float
    before: float = 0.0
    since_s: float = 0.0


def _states(blocks: _Blocks, start: _Start, taus: Series) -> tuple[Series, Series]:
    """Power over the base that terms have risen to: mean over each block and at its end (n, k)."""
    single = blocks.samples == 1
    previous = np.concatenate(([0.0], blocks.power[:-1]))
    drive = np.where(single, start.hold * blocks.power + (1.0 - start.hold) * previous, blocks.power)[:, None]
    keep = np.exp(-blocks.length_s[:, None] / taus)
    first = (start.before * np.exp(-(start.since_s + REMEMBERS_S) / taus))[None, :]
    gain = (1.0 - keep) * drive
    gain[:1] += keep[:1] * first
    ends = scan(keep, gain)
    entering = np.vstack([first, ends[:-1]])
    means = drive + (entering - drive) * (1.0 - keep) * taus / blocks.length_s[:, None]
    return np.where(single[:, None], ends, means), ends


def fit_response(trace: Trace, load: LoadPhase) -> Response:
    """Split the resistance from die to room by how fast each part answers to the power.

    trace: a log with power, one sample every 5 s or faster
    load: its loaded part
    raises: NotEnoughData without power, without a load step or when sampled too slowly
    range: fan speed roughly constant; parts much faster than the sampling appear as one step
    formula: T(t) = T_0 + sum R_i x_i(t), tau_i dx_i/dt = P - P_0 - x_i; as many terms as the evidence bears, up to 4
    source: Foster network, JESD51-14 for the idea; number of terms by the Bayesian information criterion, Schwarz 1978
    """
    power = trace.power
    if power is None:
        raise NotEnoughData(say("network-no-power-was-logged-so"), field="channels")
    if not load.seen:
        raise NotEnoughData(say("network-log-shows-no-load-step"), field="log")
    step = trace.interval_s
    if step > INTERVAL_MOST_S:
        raise NotEnoughData(say("network-one-sample-every-s-too", step=step), field="log")
    begin = max(float(trace.time_s[0]), load.onset_s - LEAD_MOST_S)
    end = min(float(trace.time_s[-1]), load.end_s + TAIL_S)
    length = load.end_s - load.onset_s
    idle = (trace.time_s >= begin) & (trace.time_s < load.onset_s - 0.5 * step) & np.isfinite(power)
    if length < 30.0 or not idle.any():
        raise NotEnoughData(say("network-s-load-too-few-to", length=length), field="log")
    base_power = float(np.median(power[idle]))
    blocks = _blocks(trace, load, power=power - base_power, begin=begin, end=end)
    weight = np.sqrt(np.minimum(blocks.samples, BLOCK_WEIGHT_MOST))
    one = np.ones((len(weight), 1))
    bounds = (BOUND_LOW_STEPS * step, 2.0 * length)
    start = _Start(0.5)
    if _drifts(blocks, load.onset_s - begin):
        # Begun warm from another load, or cold before the idle was steady.
        least, most = -max(base_power, 1.0), float(np.max(blocks.power))
        broad = np.geomspace(2.0 * bounds[0], 0.25 * bounds[1], 5)
        start = min(
            (_Start(0.5, float(w), t) for w in np.linspace(least, most, 13) for t in SINCE_S),
            key=lambda s: _misfit(blocks, s, weight, broad),
        )
    starts = _starts(blocks, start, weight=weight, bounds=bounds, length=length)
    usual = (USUAL_SLOW_S, _noise(blocks) / USUAL_SLOW_SPREAD)

    def fit_terms(guess: Series, how: _Start) -> Fit:
        return fit_exponentials(
            lambda taus: _states(blocks, how, taus)[0],
            blocks.die_c,
            guess=guess,
            others=one,
            weight=weight,
            bounds=bounds,
            tolerance=1e-4,
            slowest=usual,
        )

    best, best_score = None, math.inf
    for k in range(2, TERMS_MOST + 1):
        fit = fit_terms(starts[k], start)
        score = len(weight) * math.log(fit.cost) + 2 * k * math.log(len(weight))
        if (fit.weights <= 0).any() or (best is not None and not score < best_score - EVIDENCE_LEAST):
            if k > 2:
                break
            continue
        best, best_score = fit, score
    best = best if best is not None else fit_terms(starts[1], start)
    # Loggers report the power of the time just past or just begun; the samples at the step tell which.
    for holds in ((0.0, 0.25), (1.0, 0.75)):
        for hold in holds:
            how = replace(start, hold=hold)
            other = fit_terms(best.taus, how)
            if other.cost >= best.cost or (other.weights <= 0).any():
                break
            best, start = other, how
    return _response(best, blocks, start=start, base_power=base_power, load_s=load.end_s - begin)


def _drifts(blocks: _Blocks, onset_s: float) -> bool:
    """Whether the die is clearly on its way somewhere before the load."""
    ends = np.cumsum(blocks.length_s)
    idle = ends < onset_s - 1.0
    if idle.sum() < 8:
        return False
    time, die = ends[idle], blocks.die_c[idle]
    (slope, _), residuals, *_ = np.polyfit(time, die, 1, w=np.sqrt(blocks.samples[idle]), full=True)
    left = float(residuals[0]) / max(1, len(time) - 2) if len(residuals) else 0.0
    spread = float((blocks.samples[idle] * (time - time.mean()) ** 2).sum())
    return abs(float(slope)) > max(IDLE_DRIFT_K_PER_S, 4.0 * math.sqrt(left / spread))


def _noise(blocks: _Blocks) -> float:
    """Noise of a single reading [K], from how much neighbours differ."""
    steps = np.diff(blocks.die_c)[blocks.samples[1:] == 1]
    return max(0.05, float(np.median(np.abs(steps))) / 0.954) if len(steps) > 10 else 0.25


def _starts(
    blocks: _Blocks, start: _Start, *, weight: Series, bounds: tuple[float, float], length: float
) -> dict[int, Series]:
    """Time constants to start from, for one to four terms: the best of a coarse grid."""
    grid = np.geomspace(6.0 * bounds[0], max(0.6 * length, 30.0 * bounds[0]), GRID_POINTS)
    a = np.column_stack([_states(blocks, start, grid)[0], np.ones(len(weight))]) * weight[:, None]
    scale = np.sqrt(np.einsum("ij,ij->j", a, a)) + 1e-300
    gram, right = (a / scale).T @ (a / scale), (a / scale).T @ (blocks.die_c * weight)
    out = {}
    for k in range(1, TERMS_MOST + 1):
        sets = np.array([(*c, GRID_POINTS) for c in combinations(range(GRID_POINTS), k)])
        small = gram[sets[:, :, None], sets[:, None, :]] + 1e-10 * np.eye(k + 1)
        weights = np.linalg.solve(small, right[sets][:, :, None])[:, :, 0]
        gained = np.einsum("ij,ij->i", weights, right[sets])
        # A set that needs a negative resistance is no cooler.
        gained = np.where((weights[:, :k] > 0).all(axis=1), gained, -np.inf)
        out[k] = grid[sets[int(np.argmax(gained)), :k]]
    return out


def _misfit(blocks: _Blocks, start: _Start, weight: Series, taus: Series) -> float:
    """What terms of these time constants leave over."""
    a = np.column_stack([_states(blocks, start, taus)[0], np.ones(len(weight))]) * weight[:, None]
    target = blocks.die_c * weight
    left = target - a @ np.linalg.lstsq(a, target, rcond=None)[0]
    return float(left @ left)


def _response(fit: Fit, blocks: _Blocks, *, start: _Start, base_power: float, load_s: float) -> Response:
    k = len(fit.taus)
    # Neighbouring residuals are alike, so fewer samples are independent than were taken.
    inflation = len(fit.residuals) / effective_sample_size(fit.residuals)
    covariance = fit.covariance * inflation
    u = np.sqrt(np.maximum(0.0, np.diag(covariance)))
    terms = tuple(
        Term(float(fit.weights[i]), float(fit.taus[i]), float(u[i]), float(fit.taus[i] * u[k + 1 + i]))
        for i in range(k)
    )
    fast = np.flatnonzero(fit.taus <= FAST_BELOW_S)
    last = int(np.searchsorted(np.cumsum(blocks.length_s), load_s))
    now = _states(blocks, start, fit.taus)[1][min(last, len(blocks.power) - 1)]
    return Response(
        terms=terms,
        base_power=base_power,
        now=tuple(float(x) for x in now),
        residual_k=math.sqrt(fit.cost / float(blocks.samples.clip(max=BLOCK_WEIGHT_MOST).sum())),
        interface_u=math.sqrt(max(0.0, float(covariance[np.ix_(fast, fast)].sum()))),
        total_u=math.sqrt(max(0.0, float(covariance[:k, :k].sum()))),
    )
