"""What each of several changes brought, told apart by runs at enough of their combinations."""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass

import numpy as np

from vividowl.core.quantities.errors import NotEnoughData, OutOfRange
from vividowl.core.quantities.uncertainty import coverage_factor
from vividowl.core.quantities.words import Words, listed, say
from vividowl.core.runs.design import (
    Design,
    Matrix,
    design_of,
    factor_contrast,
    missing_runs,
    pair_contrast,
    pairs_in,
    pseudo_inverse,
    weights_of,
)
from vividowl.core.runs.groups import CONTRADICTED_AT, Method

_RANK = 1e-9  # share of the largest singular value below which one is what rounding left
_TOLD = 1e-7  # what a contrast may miss by and still be told (numerics)


@dataclass(frozen=True, kw_only=True)
class FactorEffect:
    """term: a factor, or two as "A:B"; low, high: levels that it goes between, one each or one of both factors; effect
    with u95 [y], None where the runs do not tell; shown: whether it exceeds what is by luck in one of all effects
    together; assumes: pairs that are
    taken to do nothing, since they stand in one number with it; reason: why something is not known."""

    term: str
    low: tuple[str, ...]
    high: tuple[str, ...]
    effect: float | None
    u95: float | None
    shown: bool
    assumes: tuple[str, ...] = ()
    reason: Words = ""


@dataclass(frozen=True)
class Bar:
    """A bar of the waterfall: from one value to another [y]; end None where the last run is missing."""

    term: str
    start: float
    end: float | None


@dataclass(frozen=True, kw_only=True)
class Factors:
    """effects; missing: combinations that were not run, and how many of the first ones tell all; rest: of the change
    from before to after what no factor explains [y] with rest_u95, None where before or after is missing; waterfall:
    bars from before to after, the rest last, none without a value before; method; freedom: degrees of freedom [1];
    one_run_sd: standard deviation of one run [y], None where nothing tells it."""

    design: Design
    effects: tuple[FactorEffect, ...]
    missing: tuple[tuple[str, ...], ...]
    needed: int
    rest: float | None
    rest_u95: float | None
    waterfall: tuple[Bar, ...]
    method: Method
    freedom: float
    one_run_sd: float | None
    reason: Words = ""


REST = "rest"


def factor_effects(
    factors: Sequence[str],
    cells: Sequence[Sequence[str]],
    *,
    values: Sequence[float],
    standard: Sequence[float] = (),
    order: Sequence[Sequence[str]] | None = None,
) -> Factors:
    """Effects of factors and of their pairs, with what is missing to tell them.

    factors: names (k,) [text], one to five
    cells: levels of each run (n, k) [text]
    values: what each run gave (n,) [y]
    standard: standard uncertainty of each (n,) [y], or empty
    order: levels of each factor, the first is before (k, m) [text]; None for the order of appearance
    raises: NotEnoughData with fewer than two runs or a factor with one level, OutOfRange for lengths that differ
    formula: least squares; the effect of a factor is the change of the mean from its first to its last level, of a pair
        half of what the effect of one differs by between both levels of the other
    range: pairs are told where the runs tell them; where a factor stands in one number with a pair, the pair is taken
        to do nothing and that is said; three at a time are never told and count as rest
    source: factorial designs, textbook statistics (Box, Hunter and Hunter); checked against statsmodels
    """
    if len(values) < 2:
        raise NotEnoughData(say("factors-one-run"), field="values")
    if len(cells) != len(values) or (standard and len(standard) != len(values)):
        raise OutOfRange(say("line-lengths-differ"), field="values")
    design = design_of(factors, cells, order)
    found = _Runs(design, cells, values, standard)
    missing, needed = missing_runs(design, cells)
    found.among = sum(len(levels) - 1 for levels in design.levels) + sum(
        (len(design.levels[i]) - 1) * (len(design.levels[j]) - 1) for i, j in design.pairs()
    )
    effects = [found.factor(at, high, missing) for at in range(len(factors)) for high in design.levels[at][1:]] + [
        found.pair(i, j, high_i=a, high_j=b, missing=missing)
        for i, j in design.pairs()
        for a in design.levels[i][1:]
        for b in design.levels[j][1:]
    ]
    bars, rest, rest_u95 = found.waterfall(effects)
    return Factors(
        design=design,
        effects=tuple(effects),
        missing=tuple(missing),
        needed=needed,
        rest=rest,
        rest_u95=rest_u95,
        waterfall=bars,
        method=found.method,
        freedom=found.freedom,
        one_run_sd=found.one_run_sd,
        reason=found.reason,
    )


class _Runs:
    """The runs as a linear model, and what they are uncertain by."""

    def __init__(
        self, design: Design, cells: Sequence[Sequence[str]], values: Sequence[float], standard: Sequence[float]
    ) -> None:
        self._design = design
        self.among = 1  # effects that are judged together
        self._cells = [tuple(cell) for cell in cells]
        self._y = np.asarray(values, dtype=float)
        # About their mean, so that a large common value takes no digits away; every contrast is free of it.
        self._mean = float(self._y.mean())
        self._left = self._y - self._mean
        self._whole = np.array([design.row(cell, True) for cell in self._cells])
        self._alone = np.array([design.row(cell, False) for cell in self._cells])
        self._whole_inverse = pseudo_inverse(self._whole)
        self._alone_inverse = pseudo_inverse(self._alone)
        n = len(self._y)
        residual = self._left - self._whole @ (self._whole_inverse @ self._left)
        freedom = n - int(np.linalg.matrix_rank(self._whole, tol=_RANK * float(np.linalg.norm(self._whole, 2))))
        self._u = np.asarray(standard, dtype=float)
        stated = bool(len(self._u)) and not _contradicted(residual, self._u, freedom)
        squares = float(residual @ residual)
        # What rounding leaves is no scatter.
        scatter = freedom > 0 and squares > 1e-24 * max(1.0, float(self._y @ self._y))
        self.method = Method.STATED if stated else Method.POOLED if scatter else Method.NONE
        self.freedom = math.inf if stated else float(freedom)
        self._variance = squares / freedom if scatter else 0.0
        self.one_run_sd: float | None = math.sqrt(self._variance) if scatter else None
        if stated:
            self.one_run_sd = float(np.sqrt(np.mean(self._u**2)))
        self.reason: Words = ""
        if self.method is Method.NONE:
            self.reason = say("groups-no-repeat") if freedom == 0 else say("groups-repeats-equal")

    def _u95(self, weights: Matrix) -> float | None:
        if self.method is Method.NONE:
            return None
        variance = self._u**2 if self.method is Method.STATED else np.full(len(self._y), self._variance)
        return coverage_factor(self.freedom) * math.sqrt(float((weights**2) @ variance))

    def _together(self) -> float:
        """By how much more than its own U95 an effect must differ from nought, so that of all of them together one is
        shown by luck in 5 of 100."""
        from scipy.special import stdtrit  # here, since the import alone takes part of a second of the start

        freedom = min(self.freedom, 1e6)
        return max(1.0, float(stdtrit(freedom, 1.0 - 0.025 / self.among)) / coverage_factor(self.freedom))

    def _effect(
        self, term: str, low: tuple[str, ...], *, high: tuple[str, ...], weights: Matrix, assumes: tuple[str, ...] = ()
    ) -> FactorEffect:
        effect, u95 = float(weights @ self._left), self._u95(weights)
        least = None if u95 is None else u95 * self._together()
        reason: Words = (
            say("factors-taken-to-do-nothing", pairs=listed(pair.replace(":", " × ") for pair in assumes))
            if assumes
            else ""
        )
        return FactorEffect(
            term=term,
            low=low,
            high=high,
            effect=effect,
            u95=u95,
            shown=least is not None and abs(effect) > least,
            assumes=assumes,
            reason=reason or self.reason,
        )

    def factor_weights(self, at: int, high: str | None = None) -> tuple[Matrix | None, tuple[str, ...]]:
        """What each run counts in the effect of a factor, and the pairs that are taken to do nothing."""
        whole = factor_contrast(self._design, at, pairs=True, high=high)
        weights = weights_of(self._whole, self._whole_inverse, whole)
        if weights is not None:
            return weights, ()
        alone = factor_contrast(self._design, at, pairs=False, high=high)
        weights = weights_of(self._alone, self._alone_inverse, alone)
        if weights is None:
            return None, ()
        return weights, pairs_in(self._design, self._whole.T @ weights - whole)

    def factor(self, at: int, high: str, missing: Sequence[tuple[str, ...]]) -> FactorEffect:
        """Effect of one factor."""
        design = self._design
        term, low = design.factors[at], (design.levels[at][0],)
        weights, assumes = self.factor_weights(at, high)
        if weights is not None:
            return self._effect(term, low, high=(high,), weights=weights, assumes=assumes)
        together = [name for j, name in enumerate(design.factors) if j != at and self._freed_by(at, j, high)]
        tells = self._would_tell(factor_contrast(design, at, pairs=False, high=high), missing, pairs=False)
        names = listed([term, *together], "and")
        if together and tells is not None:
            why = say("factors-changed-together", names=names, run=self._run(tells))
        else:
            why = say("factors-not-told-apart", names=names)
        return FactorEffect(
            term=term, low=low, high=(high,), effect=None, u95=None, shown=False, assumes=(), reason=why
        )

    def _freed_by(self, at: int, other: int, high: str) -> bool:
        """Whether a factor would be told if another one had never changed."""
        levels = self._design.levels
        start = 1 + sum(len(found) - 1 for found in levels[:other])
        gone = np.arange(start, start + len(levels[other]) - 1)
        rows = np.delete(self._alone, gone, axis=1)
        contrast = np.delete(factor_contrast(self._design, at, pairs=False, high=high), gone)
        return weights_of(rows, pseudo_inverse(rows), contrast) is not None

    def _would_tell(
        self, contrast: Matrix, missing: Sequence[tuple[str, ...]], *, pairs: bool
    ) -> tuple[str, ...] | None:
        """The one run that would make a contrast told, None where one is not enough."""
        rows = self._whole if pairs else self._alone
        # A run helps alone when what the runs lack of the contrast lies along what it adds to them.
        inverse = self._whole_inverse if pairs else self._alone_inverse
        lacks = contrast - rows.T @ (inverse.T @ contrast)
        for cell in missing:
            row = self._design.row(cell, pairs)
            adds = row - rows.T @ (inverse.T @ row)
            size = float(adds @ adds)
            if size > _TOLD and np.abs(lacks - adds * float(lacks @ adds) / size).max() < _TOLD:
                return cell
        return None

    def _run(self, cell: tuple[str, ...]) -> Words:
        return listed([say("factors-level", name=n, level=v) for n, v in zip(self._design.factors, cell, strict=True)])

    def pair(self, i: int, j: int, *, high_i: str, high_j: str, missing: Sequence[tuple[str, ...]]) -> FactorEffect:
        """Interaction of two factors."""
        design = self._design
        term = f"{design.factors[i]}:{design.factors[j]}"
        low = (design.levels[i][0], design.levels[j][0])
        contrast = pair_contrast(design, i, j=j, high_i=high_i, high_j=high_j)
        weights = weights_of(self._whole, self._whole_inverse, contrast)
        if weights is not None:
            return self._effect(term, low, high=(high_i, high_j), weights=weights)
        tells = self._would_tell(contrast, missing, pairs=True)
        why = (
            say("factors-pair-needs-more", term=term.replace(":", " × "))
            if tells is None
            else say("factors-pair-needs-run", term=term.replace(":", " × "), run=self._run(tells))
        )
        return FactorEffect(
            term=term, low=low, high=(high_i, high_j), effect=None, u95=None, shown=False, assumes=(), reason=why
        )

    def _cell_weights(self, cell: tuple[str, ...]) -> Matrix | None:
        """What each run counts in the mean of one combination; None where it was not run."""
        own = np.array([c == cell for c in self._cells], dtype=float)
        return own / own.sum() if own.any() else None

    def waterfall(self, effects: Sequence[FactorEffect]) -> tuple[tuple[Bar, ...], float | None, float | None]:
        """Bars from all first to all last levels, the rest last; with the rest and its uncertainty."""
        design = self._design
        before = self._cell_weights(design.low)
        if before is None:
            return (), None, None
        after = self._cell_weights(design.high)
        value = self._mean + float(before @ self._left)
        bars, explained = [], np.zeros(len(self._y))
        for at, name in enumerate(design.factors):
            weights, _ = self.factor_weights(at)
            if weights is None:
                continue
            end = value + float(weights @ self._left)
            bars.append(Bar(name, value, end))
            value, explained = end, explained + weights
        if after is None:
            return (*bars, Bar(REST, value, None)), None, None
        rest = after - before - explained
        size = float(rest @ self._left)
        return (*bars, Bar(REST, value, value + size)), size, self._u95(rest)


def _contradicted(residual: Matrix, standard: Matrix, freedom: int) -> bool:
    """Whether runs scatter more than the uncertainties stated with them allow."""
    if freedom == 0:
        return False
    from scipy.special import chdtrc  # here, since the import alone takes part of a second of the start

    return bool(chdtrc(freedom, float(((residual / standard) ** 2).sum())) < CONTRADICTED_AT)
