"""Foster terms against certified data, closed forms and an independent eigenvalue solution."""

import numpy as np
import pytest
from tests.other_device import foster, random_batch, run
from tests.said import refuses

from vividowl.core.quantities.errors import NotEnoughData
from vividowl.core.response.cooldown import fit_cool_down
from vividowl.core.response.exponentials import fit_exponentials
from vividowl.core.response.network import fit_response
from vividowl.core.trace.load import find_load
from vividowl.core.trace.roles import Role
from vividowl.core.trace.trace import Trace, scan

# NIST StRD, Lanczos3: y = b1 exp(-b2 x) + b3 exp(-b4 x) + b5 exp(-b6 x), 24 points, certified values.
LANCZOS_Y = np.array(
    [
        2.5134,
        2.0443,
        1.6684,
        1.3664,
        1.1232,
        0.9269,
        0.7679,
        0.6389,
        0.5338,
        0.4479,
        0.3776,
        0.3197,
        0.2720,
        0.2325,
        0.1997,
        0.1723,
        0.1493,
        0.1301,
        0.1138,
        0.1000,
        0.0883,
        0.0783,
        0.0698,
        0.0624,
    ]
)
LANCZOS_WEIGHTS = (1.5825685901, 0.84400777463, 0.086816414977)
LANCZOS_RATES = (4.9863565084, 2.9515951832, 0.95498101505)
LANCZOS_SSR = 1.6117193594e-8


def step_log(terms, power, *, lead_s=40, load_s=1500, tail_s=0, interval_s=1.0, seed=1, noise_k=0.25, room_c=24.0):
    """A log of exact exponentials under any power, by Duhamel's sum at a tenth of a second."""
    step = 0.1
    time = np.arange(0, lead_s + load_s + tail_s, step)
    heat = np.array([power(t - lead_s) if 0 <= t - lead_s < load_s else 4.0 for t in time])
    die = np.full(len(time), room_c)
    for resistance, tau in terms:
        state, out = heat[0], np.empty(len(time))
        for i, p in enumerate(heat):
            out[i] = state
            state += (p - state) * (1 - np.exp(-step / tau))
        die += resistance * out
    every = round(interval_s / step)
    rng = np.random.default_rng(seed)
    kept = die[::every] + rng.normal(0, noise_k, len(die[::every]))
    return Trace(time[::every], {Role.CPU_TEMPERATURE: kept, Role.CPU_POWER: heat[::every]})


def test_published_three_exponentials_of_nist_lanczos3():
    x = np.arange(24) * 0.05
    fit = fit_exponentials(
        lambda taus: np.exp(-x[:, None] / taus), LANCZOS_Y, guess=[0.15, 0.4, 1.2], tolerance=1e-15, bounds=(1e-3, 1e3)
    )
    # Certified to 11 digits, of which a double-precision search reaches six on so flat a floor.
    assert fit.cost == pytest.approx(LANCZOS_SSR, rel=1e-6)
    assert 1 / fit.taus == pytest.approx(LANCZOS_RATES, rel=1e-5)
    assert fit.weights == pytest.approx(LANCZOS_WEIGHTS, rel=1e-5)


def test_two_terms_are_recovered_from_a_step():
    # The exact answer of two RC stages to a step, as in the transient method of JESD51-14.
    terms = ((0.4, 1.5), (0.6, 60.0))
    trace = step_log(terms, lambda t: 45.0)
    response = fit_response(trace, find_load(trace))
    assert [t.tau_s for t in response.terms] == pytest.approx([1.5, 60.0], rel=0.1)
    assert [t.resistance for t in response.terms] == pytest.approx([0.4, 0.6], rel=0.03)
    assert all(
        abs(t.resistance - r) < 4 * t.resistance_u + 0.01 for t, (r, _) in zip(response.terms, terms, strict=True)
    )


@pytest.mark.parametrize("interval", [0.2, 1.0, 2.0, 5.0])
def test_three_terms_are_recovered_at_any_usual_interval(interval):
    trace = step_log(((0.35, 2.0), (0.4, 30.0), (0.3, 300.0)), lambda t: 62.0 if t < 30 else 45.0, interval_s=interval)
    response = fit_response(trace, find_load(trace))
    assert len(response.terms) == 3
    assert response.interface == pytest.approx(0.35, rel=0.15)
    assert response.total == pytest.approx(1.05, rel=0.03)


def test_a_power_that_swings_is_fitted_as_measured():
    trace = step_log(
        ((0.35, 1.5), (0.5, 40.0), (0.2, 250.0)), lambda t: 40 + 15 * np.sin(t / 35) + (10 if t < 60 else 0)
    )
    response = fit_response(trace, find_load(trace))
    assert response.interface == pytest.approx(0.35, rel=0.15)
    assert response.total == pytest.approx(1.05, rel=0.04)


def test_a_log_begun_warm_is_read_as_well():
    cold = step_log(((0.35, 1.5), (0.5, 40.0), (0.2, 250.0)), lambda t: 45.0 if not 500 < t < 620 else 4.0, load_s=1400)
    warm = Trace(cold.time_s[570:] - cold.time_s[570], {r: v[570:] for r, v in cold.channels.items()})
    response = fit_response(warm, find_load(warm))
    assert response.interface == pytest.approx(0.35, rel=0.15)
    assert response.interface + response.heatsink == pytest.approx(0.85, rel=0.1)


def test_the_cool_down_agrees_with_the_load():
    trace = step_log(((0.35, 1.5), (0.5, 40.0)), lambda t: 45.0, load_s=900, tail_s=400)
    cooling = fit_cool_down(trace, find_load(trace))
    assert cooling.interface == pytest.approx(0.35, rel=0.15)
    assert sum(t.resistance for t in cooling.terms) == pytest.approx(0.85, rel=0.05)


def test_a_cool_down_of_seconds_tells_nothing():
    trace = step_log(((0.35, 1.5), (0.5, 40.0)), lambda t: 45.0, load_s=300, tail_s=10)
    assert fit_cool_down(trace, find_load(trace)) is None


def test_what_is_to_come_is_known_from_the_states():
    trace = step_log(((0.3, 1.5), (0.6, 300.0)), lambda t: 40.0, load_s=300)
    response = fit_response(trace, find_load(trace))
    # In closed form 0.6 K/W times 36 W over idle times e^-1.
    assert response.remaining_k(40.0) == pytest.approx(0.6 * 36 * np.exp(-1), abs=2.0)
    assert response.remaining_k(40.0, after_s=3000.0) == pytest.approx(0.0, abs=0.5)


def test_without_power_or_step_the_reason_is_told():
    trace = step_log(((0.3, 1.5),), lambda t: 40.0, load_s=300)
    bare = Trace(trace.time_s, {Role.CPU_TEMPERATURE: trace.channels[Role.CPU_TEMPERATURE]})
    with refuses(NotEnoughData, match="No power was logged"):
        fit_response(bare, find_load(bare))
    loaded = Trace(trace.time_s[60:], {r: v[60:] for r, v in trace.channels.items()})
    with refuses(NotEnoughData, match="no load step"):
        fit_response(loaded, find_load(loaded))


@pytest.mark.long
def test_the_fast_part_meets_the_eigenvalues_of_other_equations():
    batch = random_batch(6, 21)
    runs = run(batch, load_s=700.0, settle=False)
    rng = np.random.default_rng(2)
    for i in range(batch.size):
        noisy = runs.die_c[:, i] + rng.normal(0, 0.25, len(runs.time_s))
        trace = Trace(runs.time_s, {Role.CPU_TEMPERATURE: noisy, Role.CPU_POWER: runs.power[:, i]})
        resistances, taus = foster(batch, i, float(runs.fan_rpm[700, i]) / 4600.0)
        fast = float(resistances[taus < 3.0].sum())
        if (taus >= 3.0).any() and taus[taus >= 3.0].min() >= 5 * taus[taus < 3.0].max():
            assert fit_response(trace, find_load(trace)).interface == pytest.approx(fast, rel=0.2)


def test_property_the_scan_is_the_loop():
    rng = np.random.default_rng(5)
    keep, gain = rng.uniform(0, 1, (37, 3)), rng.normal(0, 1, (37, 3))
    state, looped = np.zeros(3), []
    for k, g in zip(keep, gain, strict=True):
        state = k * state + g
        looped.append(state)
    assert np.allclose(scan(keep, gain), looped)
