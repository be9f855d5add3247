"""Drift: a straight line against NIST StRD, and the month in which a limit is met."""

import re
from pathlib import Path
from statistics import NormalDist

import numpy as np
import pytest
import scipy
from tests.said import refuses

from vividowl.core.quantities.errors import NotEnoughData, OutOfRange
from vividowl.core.quantities.uncertainty import Tolerances
from vividowl.core.runs.drift import drift
from vividowl.core.runs.groups import Method
from vividowl.core.runs.line import fit_line
from vividowl.core.runs.repeats import own_scatter, repeats_needed
from vividowl.words import sentence

NORRIS = Path(scipy.__file__).parent / "stats/tests/data/nist_linregress/Norris.dat"


def test_published_line():
    text = NORRIS.read_text(encoding="latin-1").splitlines()
    rows = [[float(v) for v in line.split()] for line in text[60:] if line.strip()]
    y, x = [row[0] for row in rows], [row[1] for row in rows]
    certified = {}
    for line in text[28:50]:
        match = re.match(r"\s*B([01])\s+(\S+)\s+(\S+)", line)
        if match:
            certified[match[1]] = (float(match[2]), float(match[3]))
    (intercept, _), (slope, slope_sd) = certified["0"], certified["1"]
    found = fit_line(x, y)
    # NIST certifies 15 digits; a double holds 12 of them after these sums.
    assert found.slope == pytest.approx(slope, rel=1e-12)
    assert found.at(0.0) == pytest.approx(intercept, rel=1e-10)
    assert found.slope_variance**0.5 == pytest.approx(slope_sd, rel=1e-12)
    assert found.residual == pytest.approx(0.884796396144373, rel=1e-12)


def test_weights_are_those_of_polyfit():
    rng = np.random.default_rng(2)
    x, u = np.arange(9.0), rng.uniform(0.2, 1.0, 9)
    y = 3.0 + 0.5 * x + rng.normal(0, u)
    (slope, at_zero), covariance = np.polyfit(x, y, 1, w=1 / u, cov="unscaled")
    found = fit_line(list(x), list(y), list(u))
    assert (found.slope, found.at(0.0)) == pytest.approx((slope, at_zero))
    assert found.slope_variance == pytest.approx(covariance[0, 0])
    assert found.u95_at(0.0) == pytest.approx(2 * covariance[1, 1] ** 0.5)


def test_a_drift_meets_its_limit_between_an_early_and_a_late_month():
    found = drift([0, 6, 12, 18], [0.40, 0.46, 0.52, 0.58], [0.01] * 4, limit=0.70)
    assert found.slope == pytest.approx(0.01)
    assert found.now == pytest.approx(0.58)
    assert found.shown
    assert found.to_limit == pytest.approx(12.0)
    assert found.earliest < 12.0 < found.latest
    # Where the edges of the band reach it, by the line's own uncertainty.
    line = fit_line([0, 6, 12, 18], [0.40, 0.46, 0.52, 0.58], [0.01] * 4)
    for months, side in ((found.earliest, 1.0), (found.latest, -1.0)):
        assert line.at(18 + months) + side * line.u95_at(18 + months) == pytest.approx(0.70, abs=1e-6)


def test_no_month_is_told_where_no_drift_is_shown():
    found = drift([0, 6, 12], [0.40, 0.42, 0.39], limit=0.6)
    assert not found.shown
    assert (found.to_limit, found.earliest, found.latest) == (None, None, None)
    assert sentence(found.reason) == "No drift is shown."


def test_two_visits_tell_a_drift_only_with_their_uncertainty():
    bare = drift([0, 12], [0.40, 0.56], limit=0.6)
    assert (bare.u95, bare.shown, bare.to_limit) == (None, False, None)
    assert "is not known" in sentence(bare.reason)
    assert drift([0, 12], [0.40, 0.56], [0.01, 0.01], limit=0.6).to_limit == pytest.approx(3.0)


def test_the_limit_may_be_behind_or_the_other_way():
    rising = [0.40, 0.50, 0.60, 0.70]
    assert drift([0, 6, 12, 18], rising, [0.01] * 4, limit=0.55).to_limit == 0.0
    away = drift([0, 6, 12, 18], rising[::-1], [0.01] * 4, limit=0.9)
    assert away.to_limit is None
    assert "moves away" in sentence(away.reason)
    assert drift([0, 6, 12, 18], rising, [0.01] * 4, limit=100.0).to_limit is None
    assert drift([0, 6, 12, 18], rising, [0.01] * 4).to_limit is None


def test_refusals():
    with refuses(OutOfRange, "At visit 3 the months go back, from 6 to 3."):
        drift([0, 6, 3], [1.0, 2.0, 3.0])
    with refuses(NotEnoughData, "All visits are of one month."):
        drift([3, 3], [1.0, 2.0])
    with refuses(NotEnoughData, "All runs stand at the same place."):
        fit_line([1.0, 1.0], [1.0, 2.0])
    with refuses(OutOfRange, "The columns are not of one length."):
        fit_line([1.0, 2.0], [1.0])


@pytest.mark.long
@pytest.mark.parametrize("stated", [True, False])
def test_property_slope_and_month_hold_95_of_100(stated):
    rng = np.random.default_rng(9)
    slope = month = told = 0
    for _ in range(500):
        y = 0.40 + 0.01 * np.array([0.0, 5, 11, 14, 20, 26]) + rng.normal(0, 0.01, 6)
        found = drift([0, 5, 11, 14, 20, 26], list(y), [0.01] * 6 if stated else (), limit=0.80)
        slope += abs(found.slope - 0.01) <= found.u95
        if found.to_limit is not None:
            told += 1
            month += found.earliest <= 14.0 <= (found.latest if found.latest is not None else np.inf)
    assert found.method is (Method.STATED if stated else Method.POOLED)
    assert 0.93 <= slope / 500 <= 0.97
    # By luck some lie on a bend that never meets it.
    assert told >= 460
    assert 0.93 <= month / told <= 0.97


@pytest.mark.parametrize(("sd", "want", "runs", "u95"), [(0.5, 1.0, 2, 1.0), (1.0, 1.0, 8, 1.0), (0.5, 4.0, 1, 1.414)])
def test_published_repeats(sd, want, runs, u95):
    # Worked examples of the trade: U = 1 K with 0.5 K from run to run needs two runs each, with 1 K eight. A true
    # difference as large as U is shown every second time.
    found = repeats_needed(sd, want, power=0.5)
    assert found.runs_each == runs
    assert found.u95 == pytest.approx(u95, abs=0.001)
    assert found.u95 <= want


def test_a_bend_is_told_and_its_month_holds():
    # y = 0.5 + 0.0001 t^2 meets 0.75 at 50 months, 13 after the last visit; a straight line would say 30.
    months, rng = [0.0, 5.0, 11.0, 14.0, 20.0, 26.0, 31.0, 37.0], np.random.default_rng(3)
    held = 0
    for _ in range(60):
        values = [0.5 + 0.0001 * t * t + rng.normal(0.0, 0.01) for t in months]
        found = drift(months, values, [0.01] * len(months), limit=0.75)
        held += found.to_limit is not None and found.earliest <= 13.0 <= (found.latest or np.inf)
    assert held >= 45
    assert "goes faster and faster" in sentence(found.reason)


def test_visits_that_hang_together_are_wider():
    months, rng = [0.0, 5.0, 11.0, 14.0, 20.0, 26.0, 31.0, 37.0], np.random.default_rng(4)
    false = 0
    for _ in range(150):
        e = [rng.normal(0.0, 0.01)]
        for ahead in np.diff(months):
            keep = float(np.exp(-ahead / 12.0))
            e.append(keep * e[-1] + (1.0 - keep**2) ** 0.5 * rng.normal(0.0, 0.01))
        false += drift(months, [0.5 + v for v in e]).shown
    # Without it 24 of 100 show a drift that is none.
    assert false <= 28


def test_nine_in_ten_means_nine_in_ten():
    # By trial: normal runs, a true difference of 1 K, shown where it exceeds k s sqrt(2 / n).
    rng = np.random.default_rng(5)
    for power in (0.8, 0.9, 0.95):
        found = repeats_needed(0.5, 1.0, power=power)
        n = found.runs_each
        gains = rng.normal(1.0, 0.5, (20_000, n)).mean(axis=1) - rng.normal(0.0, 0.5, (20_000, n)).mean(axis=1)
        shown = float(np.mean(gains > found.u95))
        assert found.power >= power
        assert shown == pytest.approx(found.power, abs=0.01)
        # A run less would not do it.
        assert n == 1 or (2.0 + NormalDist().inv_cdf(power)) * 0.5 * (2.0 / (n - 1)) ** 0.5 > 1.0


def test_a_shops_own_repeats_take_the_place_of_the_usual():
    rng = np.random.default_rng(6)
    runs = [list(40.0 + rng.normal(0.0, 0.3, 4)) for _ in range(8)]
    own = own_scatter(runs, Tolerances())
    assert (own.logs, own.runs) == (32, 8)
    # A rectangle of half-width a has the standard deviation a / sqrt(3) (JCGM 100:2008, 4.3.7).
    assert 0.3 * 3**0.5 <= own.half_width_k <= 1.4 * 0.3 * 3**0.5
    assert own.shown_k < own.shown_usual_k
    # Repeats that agree wholly save no more than half: they were made in one sitting.
    assert own_scatter([[40.0] * 9], Tolerances()).half_width_k == Tolerances().run_to_run_k / 2
    assert own_scatter(runs[:2], Tolerances()) is None


def test_repeats_have_their_end():
    with refuses(OutOfRange, "It would take 215372 runs on each side"):
        repeats_needed(1.0, 0.01)
    with refuses(OutOfRange, "Smallest difference to show is 0"):
        repeats_needed(1.0, 0.0)


def test_visits_that_do_not_lie_on_a_line_tell_no_rate():
    found = drift([0, 6, 12], [0.40, 0.41, 0.58], [0.01] * 3, limit=0.7)
    assert (found.method, found.shown, found.to_limit) == (Method.POOLED, False, None)
    assert "do not lie on one straight line" in sentence(found.reason)
