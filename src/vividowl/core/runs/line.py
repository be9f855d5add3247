"""A straight line through values, with the uncertainty of its slope and of any point on it."""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass

from vividowl.core.quantities.errors import NotEnoughData, OutOfRange
from vividowl.core.quantities.uncertainty import coverage_factor
from vividowl.core.quantities.words import say
from vividowl.core.runs.groups import CONTRADICTED_AT, Method


@dataclass(frozen=True, kw_only=True)
class Line:
    """y = at_middle + slope (x - middle). variance: of the slope and of the value in the middle [y2/x2, y2], None where
    nothing tells the scatter; freedom: degrees of freedom [1]; residual: standard deviation about the line [y], None
    with two points only."""

    slope: float
    at_middle: float
    middle: float
    slope_variance: float | None
    middle_variance: float | None
    freedom: float
    residual: float | None
    method: Method

    def at(self, x: float) -> float:
        """Value of the line.

        x: where [x]
        returns: value [y]
        """
        return self.at_middle + self.slope * (x - self.middle)

    def u95_at(self, x: float) -> float | None:
        """Expanded uncertainty of the value of the line.

        x: where [x]
        returns: expanded uncertainty for about 95 % [y], None where nothing tells it
        formula: k sqrt(u_m^2 + (x - m)^2 u_b^2)
        source: JCGM 100:2008, H.3
        """
        if self.slope_variance is None or self.middle_variance is None:
            return None
        far = x - self.middle
        return coverage_factor(self.freedom) * math.sqrt(self.middle_variance + far * far * self.slope_variance)

    @property
    def slope_u95(self) -> float | None:
        """Expanded uncertainty of the slope."""
        return None if self.slope_variance is None else coverage_factor(self.freedom) * math.sqrt(self.slope_variance)


def fit_line(x: Sequence[float], y: Sequence[float], standard: Sequence[float] = ()) -> Line:
    """Fit a straight line by least squares.

    x: where (n,) [x], not all the same
    y: values (n,) [y]
    standard: standard uncertainty of each value (n,) [y], > 0, or empty
    raises: NotEnoughData with fewer than two places, OutOfRange for lengths that differ
    formula: b = S_xy / S_xx about the means, weighted by 1 / u^2 where uncertainties are stated; these are believed
        unless the scatter contradicts them at 1 %
    source: JCGM 100:2008, H.3; checked on NIST StRD Norris
    """
    if len(x) != len(y) or (standard and len(standard) != len(y)):
        raise OutOfRange(say("line-lengths-differ"), field="y")
    if len(set(x)) < 2:
        raise NotEnoughData(say("line-one-place"), field="x")
    stated = bool(standard)
    line, misfit, weight, sxx = _fitted(x, y, [1.0 / u**2 for u in standard] if stated else [1.0] * len(x))
    freedom = len(x) - 2
    if stated and freedom > 0 and _contradicted(misfit, freedom):
        line, misfit, weight, sxx = _fitted(x, y, [1.0] * len(x))
        stated = False
    slope, at_middle, middle = line
    residual = None
    if freedom > 0:
        plain = math.fsum((b - at_middle - slope * (a - middle)) ** 2 for a, b in zip(x, y, strict=True))
        residual = math.sqrt(plain / freedom)
    if stated:
        return Line(
            slope=slope,
            at_middle=at_middle,
            middle=middle,
            slope_variance=1.0 / sxx,
            middle_variance=1.0 / weight,
            freedom=math.inf,
            residual=residual,
            method=Method.STATED,
        )
    if freedom == 0 or misfit <= 0.0:
        return Line(
            slope=slope,
            at_middle=at_middle,
            middle=middle,
            slope_variance=None,
            middle_variance=None,
            freedom=0.0,
            residual=residual,
            method=Method.NONE,
        )
    variance = misfit / freedom
    return Line(
        slope=slope,
        at_middle=at_middle,
        middle=middle,
        slope_variance=variance / sxx,
        middle_variance=variance / weight,
        freedom=float(freedom),
        residual=residual,
        method=Method.POOLED,
    )


def _fitted(
    x: Sequence[float], y: Sequence[float], weights: Sequence[float]
) -> tuple[tuple[float, float, float], float, float, float]:
    """Slope, value in the middle and the middle; the weighted squares left; the sum of weights; S_xx."""
    whole = math.fsum(weights)
    middle = math.fsum(w * a for w, a in zip(weights, x, strict=True)) / whole
    mean = math.fsum(w * b for w, b in zip(weights, y, strict=True)) / whole
    sxx = math.fsum(w * (a - middle) ** 2 for w, a in zip(weights, x, strict=True))
    sxy = math.fsum(w * (a - middle) * (b - mean) for w, a, b in zip(weights, x, y, strict=True))
    slope = sxy / sxx
    misfit = math.fsum(w * (b - mean - slope * (a - middle)) ** 2 for w, a, b in zip(weights, x, y, strict=True))
    return (slope, mean, middle), misfit, whole, sxx


def _contradicted(chi2: float, freedom: int) -> bool:
    from scipy.special import chdtrc  # here, since the import alone takes part of a second of the start

    return bool(chdtrc(freedom, chi2) < CONTRADICTED_AT)
