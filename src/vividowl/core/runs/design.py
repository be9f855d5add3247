"""Settings and their levels: which runs tell which effects apart, which are missing, and what to propose."""

from __future__ import annotations

import itertools
from collections.abc import Sequence
from dataclasses import dataclass
from enum import StrEnum

import numpy as np
from numpy.typing import NDArray

from vividowl.core.quantities.errors import NotEnoughData, OutOfRange
from vividowl.core.quantities.words import listed, say

Matrix = NDArray[np.float64]
FACTORS_MOST = 5  # told apart in one design; a limit of the product
CELLS_MOST = 1024  # combinations of levels; a limit of the product
_TINY = 1e-9  # share of the largest singular value below which one is what rounding left (numerics)
_TOLD = 1e-7  # what a contrast may miss by and still be told (numerics)


@dataclass(frozen=True)
class Design:
    """Factors with their levels in order; the first is low, the last is high."""

    factors: tuple[str, ...]
    levels: tuple[tuple[str, ...], ...]

    def cells(self) -> list[tuple[str, ...]]:
        """All combinations of levels, the first factor changing slowest."""
        return list(itertools.product(*self.levels))

    @property
    def low(self) -> tuple[str, ...]:
        """The combination of all first levels: before."""
        return tuple(levels[0] for levels in self.levels)

    @property
    def high(self) -> tuple[str, ...]:
        """The combination of all last levels: after."""
        return tuple(levels[-1] for levels in self.levels)

    def pairs(self) -> list[tuple[int, int]]:
        """Pairs of factors, by their numbers."""
        return list(itertools.combinations(range(len(self.factors)), 2))

    def coded(self, at: int, level: str) -> Matrix:
        """Columns of one factor at a level, which sum to nought over its levels: -1 and 1 where there are two."""
        levels = self.levels[at]
        if level == levels[0]:
            return -np.ones(len(levels) - 1)
        return np.asarray(np.eye(len(levels) - 1)[levels.index(level) - 1])

    def row(self, cell: Sequence[str], pairs: bool) -> Matrix:
        """A run as a row of the model: 1, each factor, and each pair of factors where asked."""
        alone = [self.coded(at, level) for at, level in enumerate(cell)]
        parts = [np.ones(1), *alone]
        if pairs:
            parts += [np.outer(alone[i], alone[j]).ravel() for i, j in self.pairs()]
        return np.concatenate(parts)


def design_of(
    factors: Sequence[str], cells: Sequence[Sequence[str]], order: Sequence[Sequence[str]] | None = None
) -> Design:
    """Factors with the levels that occur.

    factors: names (k,) [text]
    cells: levels of each run (n, k) [text]
    order: levels of each factor, the first is before (k, m) [text]; None for the order of appearance
    raises: OutOfRange for fewer than one factor or more than five, a name twice, too many combinations; NotEnoughData
        for a factor with one level
    """
    if not 1 <= len(factors) <= FACTORS_MOST:
        raise OutOfRange(say("design-count", count=len(factors), most=FACTORS_MOST), field="factors")
    if len(set(factors)) < len(factors):
        raise OutOfRange(say("design-name-twice"), field="factors")
    levels = tuple(tuple(dict.fromkeys(cell[at] for cell in cells)) for at in range(len(factors)))
    if order is not None:
        for name, there, told in zip(factors, levels, order, strict=True):
            if set(there) - set(told):
                unknown = next(level for level in there if level not in told)
                raise OutOfRange(say("design-level-unlisted", name=name, level=unknown), field="levels")
        levels = tuple(
            tuple(level for level in dict.fromkeys(told) if level in there)
            for there, told in zip(levels, order, strict=True)
        )
    for name, found in zip(factors, levels, strict=True):
        if len(found) < 2:
            raise NotEnoughData(say("design-one-level", name=name, level=found[0] if found else ""), field="factors")
    count = int(np.prod([len(found) for found in levels]))
    if count > CELLS_MOST:
        raise OutOfRange(say("design-too-many-cells", count=count, most=CELLS_MOST), field="factors")
    return Design(tuple(factors), levels)


def missing_runs(design: Design, cells: Sequence[Sequence[str]]) -> tuple[list[tuple[str, ...]], int]:
    """Combinations that were not run, those first that tell most.

    design: factors with levels
    cells: levels of each run (n, k) [text]
    returns: combinations, and how many of the first ones tell all effects and interactions of two
    formula: first what parts the factors, then what parts their pairs: each time the run furthest from those in hand
    source: textbook statistics
    """
    have = {tuple(cell) for cell in cells}
    left = [cell for cell in design.cells() if cell not in have]
    chosen: list[tuple[str, ...]] = []
    for pairs in (False, True):
        known = np.array([design.row(c, pairs) for c in (*dict.fromkeys(map(tuple, cells)), *chosen)])
        basis = _basis(known)
        rows = np.array([design.row(c, pairs) for c in left])
        while len(left) > 0 and basis.shape[1] < rows.shape[1]:
            outside = rows - (rows @ basis) @ basis.T
            far = np.linalg.norm(outside, axis=1)
            if far.max() < _TOLD:
                break
            best = int(np.argmax(far > far.max() - 1e-9))
            basis = np.column_stack([basis, outside[best] / far[best]])
            chosen.append(left.pop(best))
            rows = np.delete(rows, best, axis=0)
    return chosen + left, len(chosen)


def _basis(rows: Matrix) -> Matrix:
    """Orthonormal columns (p, r) that span the rows."""
    _, s, vt = np.linalg.svd(rows, full_matrices=False)
    return np.asarray(vt[s > _TINY * s[0]].T)


class Plan(StrEnum):
    """How much of a factorial is run."""

    FULL = "full"
    HALF = "half"
    ONE_AT_A_TIME = "one_at_a_time"


@dataclass(frozen=True)
class Proposed:
    """runs: the combinations; tells_pairs: whether interactions of two are told too; mixed: pairs that stand in one
    number with a factor, by its name, so that the factor is told only where they do nothing."""

    plan: Plan
    runs: tuple[tuple[str, ...], ...]
    tells_pairs: bool
    mixed: tuple[tuple[str, tuple[str, ...]], ...]


def proposed_runs(design: Design, plan: Plan) -> Proposed:
    """Runs of a plan, with what they cannot tell.

    design: factors with levels
    plan: full, half, or one factor at a time
    raises: OutOfRange for half of fewer than three factors or of more than two levels each
    formula: half: those whose number of changed factors is even; one at a time: before, and each factor alone
    source: factorial and half-fraction designs, textbook statistics (Box, Hunter and Hunter)
    """
    if plan is Plan.HALF and (len(design.factors) < 3 or any(len(found) != 2 for found in design.levels)):
        raise OutOfRange(say("design-no-half", names=listed(design.factors)), field="plan")
    low = design.low

    def changed(cell: tuple[str, ...]) -> int:
        return sum(a != b for a, b in zip(cell, low, strict=True))

    cells = design.cells()
    if plan is Plan.HALF:
        cells = [cell for cell in cells if changed(cell) % 2 == 0]
    elif plan is Plan.ONE_AT_A_TIME:
        cells = [cell for cell in cells if changed(cell) <= 1]
    whole, alone = (np.array([design.row(cell, pairs) for cell in cells]) for pairs in (True, False))
    inverse, alone_inverse = pseudo_inverse(whole), pseudo_inverse(alone)
    contrasts = [c for i, j in design.pairs() for c in pair_contrasts(design, i, j)]
    mixed = []
    for at, name in enumerate(design.factors):
        asked = factor_contrast(design, at, pairs=True)
        weights = weights_of(alone, alone_inverse, factor_contrast(design, at, pairs=False))
        if weights_of(whole, inverse, asked) is None and weights is not None:
            mixed.append((name, pairs_in(design, whole.T @ weights - asked)))
    told = all(weights_of(whole, inverse, c) is not None for c in contrasts)
    return Proposed(plan, tuple(cells), told, tuple(mixed))


def factor_contrast(design: Design, at: int, *, pairs: bool, high: str | None = None) -> Matrix:
    """From the first to another level of a factor, over all levels of the others.

    design: factors with levels
    at: which factor [1]
    pairs: whether the model has interactions of two [flag]
    high: the other level, the last by default [text]
    returns: contrast (p,) [1]
    """
    out = np.zeros(len(design.row(design.low, pairs)))
    start = 1 + sum(len(found) - 1 for found in design.levels[:at])
    levels = design.levels[at]
    out[start : start + len(levels) - 1] = design.coded(at, high or levels[-1]) - design.coded(at, levels[0])
    return out


def pair_contrast(design: Design, i: int, *, j: int, high_i: str, high_j: str) -> Matrix:
    """Half of what the change of one factor differs by between two levels of the other.

    design: factors with levels
    i: which factor [1]
    j: which other [1]
    high_i: level of the first that is compared with its first [text]
    high_j: the same of the other [text]
    returns: contrast (p,) [1]
    source: interaction of a two-level factorial, textbook statistics (Box, Hunter and Hunter)
    """
    low_i, low_j = design.levels[i][0], design.levels[j][0]
    out = np.zeros(len(design.row(design.low, True)))
    start = 1 + sum(len(found) - 1 for found in design.levels)
    for a, b in design.pairs():
        size = (len(design.levels[a]) - 1) * (len(design.levels[b]) - 1)
        if (a, b) == (i, j):
            change_i = design.coded(i, high_i) - design.coded(i, low_i)
            change_j = design.coded(j, high_j) - design.coded(j, low_j)
            out[start : start + size] = 0.5 * np.outer(change_i, change_j).ravel()
        start += size
    return out


def pair_contrasts(design: Design, i: int, j: int) -> list[Matrix]:
    """All contrasts of a pair of factors.

    design: factors with levels
    i: which factor [1]
    j: which other [1]
    returns: contrasts, one for each level of both beside the first
    """
    return [
        pair_contrast(design, i, j=j, high_i=a, high_j=b) for a in design.levels[i][1:] for b in design.levels[j][1:]
    ]


def pairs_in(design: Design, taken: Matrix) -> tuple[str, ...]:
    """Pairs that a row of the model with pairs holds.

    design: factors with levels
    taken: such a row (p,) [1]
    returns: names of the pairs, "A:B"
    source: aliases of a fractional design, textbook statistics
    """
    out, start = [], 1 + sum(len(found) - 1 for found in design.levels)
    for i, j in design.pairs():
        size = (len(design.levels[i]) - 1) * (len(design.levels[j]) - 1)
        if np.abs(taken[start : start + size]).max() > _TOLD:
            out.append(f"{design.factors[i]}:{design.factors[j]}")
        start += size
    return tuple(out)


def weights_of(rows: Matrix, inverse: Matrix, contrast: Matrix) -> Matrix | None:
    """What each run counts in a contrast.

    rows: rows of the model (n, p) [1]
    inverse: their pseudo-inverse (p, n) [1]
    contrast: what is asked (p,) [1]
    returns: weights (n,) [1], None where the runs do not tell it
    source: estimable functions of a linear model, textbook statistics
    """
    weights: Matrix = inverse.T @ contrast
    return weights if np.abs(rows.T @ weights - contrast).max() < _TOLD else None


def pseudo_inverse(rows: Matrix) -> Matrix:
    """Of the rows of a model.

    rows: rows (n, p) [1]
    returns: pseudo-inverse (p, n) [1]
    source: Moore and Penrose
    """
    return np.asarray(np.linalg.pinv(rows, rcond=_TINY))
