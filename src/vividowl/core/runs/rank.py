"""Several materials, settings or attempts in order, with ties where nothing tells them apart."""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass

from vividowl.core.quantities.errors import NotEnoughData, OutOfRange
from vividowl.core.quantities.words import Words, say
from vividowl.core.runs.groups import (
    GROUPS_MOST,
    Group,
    Method,
    difference_freedom,
    scatter_of,
    simultaneous_factor,
)


@dataclass(frozen=True, kw_only=True)
class Ranked:
    """A group at its place. n: runs; mean, u95 [any]; place: 1 and how many are shown to be better, None where nothing
    tells the scatter; ties_with: names of groups that are not shown to differ from it."""

    group: str
    n: int
    mean: float
    u95: float | None
    place: int | None
    ties_with: tuple[str, ...]


@dataclass(frozen=True)
class Ranking:
    """groups, the best mean first; method: where their uncertainty comes from; reason: why no place can be told, or
    nothing."""

    groups: tuple[Ranked, ...]
    method: Method
    reason: Words = ""


def rank(groups: Sequence[Group], *, higher_is_better: bool = False) -> Ranking:
    """Put groups of runs in order; those that differ by less than the uncertainty of their difference tie.

    groups: groups of runs (g,), each under a name of its own
    higher_is_better: order of the means [flag]
    raises: NotEnoughData with fewer than two groups, OutOfRange for a name twice or more groups than allowed
    formula: U_ij = q(0.95; g, nu) / sqrt 2 * sqrt(u_i^2 + u_j^2): all differences together are right in 95 of 100
    range: 2 to 200 groups; ties need not carry over: the first may tie with the second and the second with the third
    source: Tukey and Kramer for pooled, Games and Howell for unequal variances; Welch-Satterthwaite, JCGM 100:2008 G.4
    """
    if len(groups) < 2:
        raise NotEnoughData(say("groups-one-only"), field="groups")
    if len(groups) > GROUPS_MOST:
        raise OutOfRange(say("rank-too-many", groups=len(groups), most=GROUPS_MOST), field="groups")
    if len({g.name for g in groups}) < len(groups):
        raise OutOfRange(say("rank-name-twice"), field="groups")
    scatter = scatter_of(groups)
    order = sorted(range(len(groups)), key=lambda i: groups[i].mean, reverse=higher_is_better)
    if scatter.method is Method.NONE:
        alone = all(len(g.values) == 1 for g in groups)
        found = tuple(
            Ranked(
                group=groups[i].name, n=len(groups[i].values), mean=groups[i].mean, u95=None, place=None, ties_with=()
            )
            for i in order
        )
        return Ranking(found, scatter.method, say("groups-no-repeat") if alone else say("groups-repeats-equal"))
    factors: dict[float, float] = {}

    def tie(i: int, j: int) -> bool:
        freedom = difference_freedom(scatter, groups, i, j)
        if freedom not in factors:
            factors[freedom] = simultaneous_factor(len(groups), freedom)
        u = math.hypot(scatter.u_of_mean(groups, i) or 0.0, scatter.u_of_mean(groups, j) or 0.0)
        return abs(groups[i].mean - groups[j].mean) <= factors[freedom] * u

    out = []
    for at, i in enumerate(order):
        ties = tuple(groups[j].name for j in order if j != i and tie(i, j))
        better = sum(not tie(i, j) for j in order[:at])
        out.append(
            Ranked(
                group=groups[i].name,
                n=len(groups[i].values),
                mean=groups[i].mean,
                u95=scatter.u95_of_mean(groups, i),
                place=1 + better,
                ties_with=ties,
            )
        )
    return Ranking(tuple(out), scatter.method)
