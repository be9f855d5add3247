"""How long a gain lasts: the product-limit estimate against lifelines, and what is not told."""

import warnings

import numpy as np
import pytest

from vividowl.core.quantities.errors import NotEnoughData
from vividowl.core.runs.lasting import Held, held_of, lasting, spread_of


def drawn(seed, n=24):
    """Times to half of the gain by a Weibull law, looked at after a while: some are gone by then, some hold."""
    rng = np.random.default_rng(seed)
    times, looked = 20.0 * rng.weibull(1.6, n), rng.uniform(4.0, 30.0, n)
    return [Held(float(min(t, s)), bool(t <= s)) for t, s in zip(times, looked, strict=True)]


@pytest.mark.parametrize("seed", range(6))
def test_median_and_its_interval_are_those_of_lifelines(seed):
    with warnings.catch_warnings():
        warnings.simplefilter("ignore")
        # Here, since the import takes seconds that every other test would wait for.
        from lifelines import KaplanMeierFitter
        from lifelines.utils import median_survival_times
    held = drawn(seed)
    fitter = KaplanMeierFitter().fit([h.months for h in held], [h.gone for h in held])
    found = lasting(held)
    assert (found.n, found.gone) == (24, sum(h.gone for h in held))
    assert found.median_months == pytest.approx(fitter.median_survival_time_, rel=1e-9)
    low, high = median_survival_times(fitter.confidence_interval_).to_numpy()[0]
    assert found.low_months == pytest.approx(low, rel=1e-9)
    if np.isfinite(high):
        assert found.high_months == pytest.approx(high, rel=1e-9)
    else:
        assert found.high_months is None


def test_an_average_of_those_that_are_gone_would_say_less():
    held = drawn(1)
    gone = [h.months for h in held if h.gone]
    assert lasting(held).median_months > np.mean(gone)


def test_where_most_still_hold_the_end_is_not_known():
    held = [Held(5.0, True), *(Held(20.0 + i, False) for i in range(5))]
    found = lasting(held)
    assert (found.n, found.gone, found.median_months, found.high_months) == (6, 1, None, None)


def test_of_two_nothing_is_told():
    assert lasting(drawn(1)[:2]) is None
    assert spread_of([1.0, 2.0]) is None
    assert spread_of([1.0, 2.0, 4.0]).median == 2.0
    with pytest.raises(NotEnoughData):
        spread_of([1.0, float("nan"), 2.0])


@pytest.mark.parametrize(
    ("later", "held"),
    [
        (0.72, Held(12.0, False)),
        (0.85, Held(12.0, True)),  # 0.7 + half of the gain of 0.3
        (1.00, Held(6.0, True)),  # all of it gone in twelve: half of it in six
        (0.65, Held(12.0, False)),  # better than after the service
    ],
)
def test_half_of_a_gain_is_gone_where_a_straight_loss_crosses_it(later, held):
    found = held_of((1.0, 0.02), (0.7, 0.02), (later, 0.02), 12.0)
    assert (found.months, found.gone) == (pytest.approx(held.months), held.gone)


def test_without_a_gain_there_is_nothing_to_lose():
    assert held_of((0.72, 0.02), (0.7, 0.02), (0.9, 0.02), 12.0) is None
