"""Runs in groups: means with their uncertainty, the scatter within the groups, and the least difference that shows."""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass
from enum import StrEnum
from functools import cache

from vividowl.core.quantities.errors import NotEnoughData, OutOfRange
from vividowl.core.quantities.uncertainty import coverage_factor, effective_degrees_of_freedom
from vividowl.core.quantities.words import say

# Stated uncertainties of a line or an approach are believed until the scatter contradicts them this clearly (chance of
# it by luck); from memory.
CONTRADICTED_AT = 0.01
# Degrees of freedom that Welch's approximation may claim, as a multiple of those of the smaller group less one; by
# trial: without it 8 to 22 of 100 rankings with two or three runs a group split falsely where 5 are promised.
WELCH_MOST_TIMES = 2.4
GROUPS_MOST = 200  # in one ranking; a limit of the product


class Method(StrEnum):
    """Where an uncertainty comes from: what was stated with each run, the scatter of all groups together, that of each
    group by itself, or nowhere, since no run was repeated and none came with an uncertainty."""

    STATED = "stated"
    POOLED = "pooled"
    WELCH = "welch"
    NONE = "none"


@dataclass(frozen=True)
class Group:
    """Runs that share all conditions. values: (n,) [any]; standard: standard uncertainty of each (n,) [same], or empty
    where none was stated."""

    name: str
    values: tuple[float, ...]
    standard: tuple[float, ...] = ()

    def __post_init__(self) -> None:
        if not self.values:
            raise NotEnoughData(say("groups-empty", name=self.name), field="values")
        if self.standard and len(self.standard) != len(self.values):
            raise OutOfRange(say("groups-uncertainty-for-some", name=self.name), field="standard")
        if not all(math.isfinite(v) for v in self.values):
            raise OutOfRange(say("groups-no-number", name=self.name), field="values")
        if not all(math.isfinite(u) and u > 0 for u in self.standard):
            raise OutOfRange(say("groups-uncertainty-not-above", name=self.name), field="standard")

    @property
    def mean(self) -> float:
        """Mean of the group."""
        return math.fsum(self.values) / len(self.values)

    @property
    def squares(self) -> float:
        """Sum of the squared deviations from the mean."""
        mean = self.mean
        left = [v - mean for v in self.values]
        # The second sum takes out what rounding left in the mean.
        return max(0.0, math.fsum(d * d for d in left) - math.fsum(left) ** 2 / len(left))


@dataclass(frozen=True, kw_only=True)
class OneWay:
    """Scatter between and within groups. between, within: sums of squares [any2]; between_freedom, within_freedom:
    degrees of freedom [1]; f: ratio of the mean squares, None without any scatter within; explained: share of the whole
    scatter [1]; residual: standard deviation within a group [any], None without a repeat."""

    between: float
    within: float
    between_freedom: int
    within_freedom: int
    f: float | None
    explained: float | None
    residual: float | None


def one_way(groups: Sequence[Group]) -> OneWay:
    """Take the scatter of runs apart: between the groups and within them.

    groups: groups of runs (g,), one or more
    raises: NotEnoughData without a group
    formula: SS_between = sum n_i (m_i - m)^2, SS_within = sum (x_ij - m_i)^2, F = MS_between / MS_within
    source: one-way analysis of variance; checked on NIST StRD SiRstv, AtmWtAg and SmLs
    """
    if not groups:
        raise NotEnoughData(say("groups-none"), field="groups")
    runs = sum(len(g.values) for g in groups)
    # About the first mean, so that a large common value takes no digits away.
    about = groups[0].mean
    means = [g.mean - about for g in groups]
    grand = math.fsum(len(g.values) * m for g, m in zip(groups, means, strict=True)) / runs
    between = math.fsum(len(g.values) * (m - grand) ** 2 for g, m in zip(groups, means, strict=True))
    within = math.fsum(g.squares for g in groups)
    freedom = (len(groups) - 1, runs - len(groups))
    residual = math.sqrt(within / freedom[1]) if freedom[1] else None
    whole = between + within
    return OneWay(
        between=between,
        within=within,
        between_freedom=freedom[0],
        within_freedom=freedom[1],
        f=(between / freedom[0]) / (within / freedom[1]) if within > 0 and freedom[0] else None,
        explained=between / whole if whole > 0 else None,
        residual=residual,
    )


@dataclass(frozen=True)
class Scatter:
    """What the means of groups are uncertain by. method: where from; variance: of one run, for each group (g,) [any2];
    freedom: degrees of freedom of each (g,) [1]."""

    method: Method
    variance: tuple[float, ...]
    freedom: tuple[float, ...]

    def u_of_mean(self, groups: Sequence[Group], at: int) -> float | None:
        """Standard uncertainty of the mean of one group.

        groups: the groups that the scatter was found for (g,)
        at: which of them [1]
        returns: standard uncertainty [any], None where nothing tells it
        formula: s / sqrt(n)
        source: JCGM 100:2008, 4.2.3
        """
        if self.method is Method.NONE:
            return None
        return math.sqrt(self.variance[at] / len(groups[at].values))

    def u95_of_mean(self, groups: Sequence[Group], at: int) -> float | None:
        """Expanded uncertainty of the mean of one group.

        groups: the groups that the scatter was found for (g,)
        at: which of them [1]
        returns: expanded uncertainty for about 95 % [any], None where nothing tells it
        formula: k u, k for the degrees of freedom
        source: JCGM 100:2008, G.3
        """
        u = self.u_of_mean(groups, at)
        return None if u is None else coverage_factor(self.freedom[at]) * u


def scatter_of(groups: Sequence[Group]) -> Scatter:
    """Decide what the means of groups are uncertain by.

    groups: groups of runs (g,), one or more
    raises: NotEnoughData without a group
    formula: stated uncertainties, all widened by the Birge ratio where runs scatter more than they say; else each group
        by its own scatter where all have repeats, and pooled where one has none
    range: no test decides whether to pool: such a test misses what it should find where repeats are few
    source: JCGM 100:2008, 4.2 and 4.3; Games and Howell 1976; Birge 1932
    """
    whole = one_way(groups)
    within, freedom = whole.within, whole.within_freedom
    freedoms = [len(g.values) - 1 for g in groups]
    if all(g.standard for g in groups):
        variances = tuple(math.fsum(u * u for u in g.standard) / len(g.standard) for g in groups)
        birge = math.fsum(g.squares / v for g, v in zip(groups, variances, strict=True)) / freedom if freedom else 0.0
        if birge <= 1.0:
            return Scatter(Method.STATED, variances, (math.inf,) * len(groups))
        return Scatter(Method.STATED, tuple(birge * v for v in variances), (float(freedom),) * len(groups))
    if freedom == 0 or within <= 0.0:
        return Scatter(Method.NONE, (0.0,) * len(groups), (0.0,) * len(groups))
    own = [g.squares / f if f else 0.0 for g, f in zip(groups, freedoms, strict=True)]
    if len(groups) > 1 and min(freedoms) > 0 and min(own) > 0:
        return Scatter(Method.WELCH, tuple(own), tuple(float(f) for f in freedoms))
    return Scatter(Method.POOLED, (within / freedom,) * len(groups), (float(freedom),) * len(groups))


def difference_freedom(scatter: Scatter, groups: Sequence[Group], one: int, other: int) -> float:
    """Degrees of freedom of the difference of two means.

    scatter: what the means are uncertain by
    groups: the groups (g,)
    one: which group [1]
    other: which other [1]
    returns: degrees of freedom [1], inf for stated uncertainties
    formula: that of the pooled variance, else Welch-Satterthwaite, less where a group has two or three runs
    source: JCGM 100:2008, G.4.1
    """
    if scatter.method is not Method.WELCH:
        return scatter.freedom[one]
    parts = [(math.sqrt(scatter.variance[i] / len(groups[i].values)), scatter.freedom[i]) for i in (one, other)]
    least = min(scatter.freedom[one], scatter.freedom[other])
    # With very few runs Welch's approximation promises more than it holds.
    return min(effective_degrees_of_freedom(parts), max(least, WELCH_MOST_TIMES * (least - 1.0)))


@dataclass(frozen=True)
class GroupDifference:
    """Second mean less first [any] with its expanded uncertainty, None where nothing tells the scatter; shown: whether
    it exceeds that; method: where it comes from."""

    value: float
    u95: float | None
    shown: bool
    method: Method


def difference_of_means(first: Group, second: Group) -> GroupDifference:
    """Two groups of runs against each other.

    first: the one that is compared with
    second: the other
    formula: U = k sqrt(u1^2 + u2^2), k for the degrees of freedom, 2 at the least
    source: JCGM 100:2008, 5.1.2 and G.4.1 (Welch-Satterthwaite)
    """
    groups = (first, second)
    scatter, value = scatter_of(groups), second.mean - first.mean
    us = [scatter.u_of_mean(groups, i) for i in (0, 1)]
    if us[0] is None or us[1] is None:
        return GroupDifference(value, None, False, scatter.method)
    u95 = coverage_factor(difference_freedom(scatter, groups, 0, 1)) * math.hypot(us[0], us[1])
    return GroupDifference(value, u95, abs(value) > u95, scatter.method)


def simultaneous_factor(count: int, freedom: float) -> float:
    """Factor for the difference of any two of several means, so that all of them together are right in 95 of 100.

    count: how many means [1], >= 2
    freedom: degrees of freedom of their scatter [1], inf when it is known
    returns: factor of the standard uncertainty of a difference [1]
    raises: NotEnoughData for a single mean
    formula: q(0.95; count, freedom) / sqrt 2; with two means it is Student's t, 2 at the least
    range: up to 200 means
    source: Tukey's studentized range; Games and Howell for unequal variances
    """
    if count < 2:
        raise NotEnoughData(say("groups-one-only"), field="count")
    if count == 2:
        return coverage_factor(freedom)
    # Rounded down, which is to the safe side, so that many pairs ask for few values of a slow function.
    return _studentized(min(count, GROUPS_MOST), math.floor(10.0 * freedom) / 10.0 if freedom < 1e4 else math.inf)


@cache
def _studentized(count: int, freedom: float) -> float:
    from scipy.stats import studentized_range  # here, since the import alone takes part of a second of the start

    return float(studentized_range.ppf(0.95, count, freedom)) / math.sqrt(2.0)
