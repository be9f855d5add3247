"""The exponential fit against certified values of NIST's Statistical Reference Datasets, typed from memory."""

import math

import numpy as np
import pytest
from hypothesis import given, settings
from hypothesis import strategies as st
from tests.said import refuses

from vividowl.core.quantities.errors import NotEnoughData
from vividowl.core.response.approach import fit_approach, thin_out

# NIST StRD nonlinear regression, BoxBOD (Box, Hunter and Hunter 1978): y = b1 (1 - exp(-b2 x)).
BOXBOD_X = [1, 2, 3, 5, 7, 10]
BOXBOD_Y = [109, 149, 149, 191, 213, 224]
# NIST StRD nonlinear regression, Misra1a (Misra 1978), same model.
MISRA_X = [77.6, 114.9, 141.1, 190.8, 239.9, 289.0, 332.8, 378.4, 434.8, 477.3, 536.8, 593.1, 689.1, 760.0]
MISRA_Y = [10.07, 14.73, 17.94, 23.93, 29.61, 35.18, 40.02, 44.82, 50.76, 55.05, 61.01, 66.40, 75.47, 81.78]


@pytest.mark.parametrize(
    ("x", "y", "b1", "sd1", "b2", "sd2", "rss"),
    [
        (BOXBOD_X, BOXBOD_Y, 2.1380940889e2, 1.2354515176e1, 5.4723748542e-1, 1.0455993237e-1, 1.1680088766e3),
        (MISRA_X, MISRA_Y, 2.3894212918e2, 2.7070075241e0, 5.5015643181e-4, 7.2668688436e-06, 1.2455138894e-1),
    ],
    ids=["BoxBOD", "Misra1a"],
)
def test_published_certified_parameters(x, y, b1, sd1, b2, sd2, rss):
    # Six digits: what a fit in double precision reaches on these two without special care.
    fit = fit_approach(np.array(x, float), np.array(y, float), from_zero=True)
    assert fit.end == pytest.approx(b1, rel=1e-6)
    assert fit.end_se == pytest.approx(sd1, rel=1e-4)
    assert 1 / fit.tau_s == pytest.approx(b2, rel=1e-6)
    assert fit.tau_se_s / fit.tau_s**2 == pytest.approx(sd2, rel=1e-4)
    assert fit.residual**2 * len(x) == pytest.approx(rss, rel=1e-6)


@settings(max_examples=40, deadline=None)
@given(st.floats(20, 90), st.floats(-60, 60).filter(lambda v: abs(v) > 2), st.floats(20, 400))
def test_property_a_clean_curve_is_recovered(end, span, tau):
    t = np.arange(0, 900, 1.0)
    fit = fit_approach(t, end - span * np.exp(-t / tau))
    assert fit.end == pytest.approx(end, abs=0.02 + 1e-3 * abs(span))
    assert fit.tau_s == pytest.approx(tau, rel=0.01)
    assert fit.span * math.exp(-900 / fit.tau_s) == pytest.approx(span * math.exp(-900 / tau), abs=0.03)


def test_noise_is_met_by_the_standard_error():
    rng = np.random.default_rng(5)
    t = np.arange(0, 900, 1.0)
    hits = 0
    for _ in range(60):
        fit = fit_approach(t, 75 - 35 * np.exp(-t / 150) + rng.normal(0, 0.25, len(t)))
        hits += abs(fit.end - 75) < 2 * fit.end_se
    # Two standard errors hold in 95 of 100; 60 draws leave room for chance.
    assert hits >= 51


def test_gaps_in_the_values_are_skipped():
    t = np.arange(0, 600, 1.0)
    y = 70 - 30 * np.exp(-t / 90)
    y[100:130] = np.nan
    assert fit_approach(t, y).end == pytest.approx(70, abs=0.01)


def test_too_few_points_are_not_fitted():
    with refuses(NotEnoughData, match="3 points are too few"):
        fit_approach(np.arange(3.0), np.arange(3.0))


def test_thinning_keeps_the_mean():
    t = np.arange(10_000.0)
    thin_t, thin_y = thin_out(t, t * 2)
    assert len(thin_t) <= 800
    assert thin_y.mean() == pytest.approx(2 * thin_t.mean())
