"""Tables of runs from a file: ranked, taken apart by factors, judged for burn-in and drift. No database is needed."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass
from pathlib import Path
from typing import Generic, TypeVar

from vividowl.core.quantities.errors import OutOfRange
from vividowl.core.quantities.words import say
from vividowl.core.runs.burn_in import BurnIn, burn_in
from vividowl.core.runs.design import Plan, Proposed, proposed_runs
from vividowl.core.runs.drift import Drift, drift
from vividowl.core.runs.factors import Factors, factor_effects
from vividowl.core.runs.groups import Group
from vividowl.core.runs.rank import Ranking, rank
from vividowl.formats.sheets.run_table import RunTable, read_run_table

Found = TypeVar("Found")


@dataclass(frozen=True)
class TableFound(Generic[Found]):
    """What a table says, and the lines that hold no value and were left out."""

    found: Found
    left_out: tuple[int, ...]


def _runs(path: Path, value: str) -> tuple[RunTable, tuple[int, ...]]:
    return read_run_table(path.read_bytes()).with_value(value)


def rank_table(path: Path, by: str, value: str, u: str | None, higher_is_better: bool) -> TableFound[Ranking]:
    """Groups of a table in order."""
    table, left = _runs(path, value)
    names, values, standard = table.texts(by), table.numbers(value), table.uncertainties(u)
    groups = [
        Group(
            name,
            tuple(v for v, n in zip(values, names, strict=True) if n == name),
            tuple(s for s, n in zip(standard, names, strict=True) if n == name) if standard else (),
        )
        for name in dict.fromkeys(names)
    ]
    return TableFound(rank(groups, higher_is_better=higher_is_better), left)


@dataclass(frozen=True)
class FactorsFound:
    """Effects, and the plans of runs that there are for these factors, each with those of its runs still to do."""

    effects: Factors
    plans: tuple[tuple[Proposed, tuple[tuple[str, ...], ...]], ...]


def plans_for(found: Factors) -> tuple[tuple[Proposed, tuple[tuple[str, ...], ...]], ...]:
    """Plans of runs for the factors of some, the shortest first; without half where there is none."""
    out = []
    for plan in Plan:
        try:
            proposed = proposed_runs(found.design, plan)
        except OutOfRange:
            continue
        out.append((proposed, tuple(run for run in proposed.runs if run in found.missing)))
    return tuple(sorted(out, key=lambda row: len(row[0].runs)))


def factors_table(path: Path, factors: Sequence[str], value: str, u: str | None) -> TableFound[FactorsFound]:
    """Effects of factors from a table."""
    whole = read_run_table(path.read_bytes())
    names = [whole.headers[whole.column(name)] for name in factors]
    if any(name == whole.headers[whole.column(value)] for name in names):
        raise OutOfRange(say("tables-factor-is-value", name=value), field="factors")
    table, left = whole.with_value(value)
    columns = [table.texts(name) for name in names]
    cells = list(zip(*columns, strict=True))
    found = factor_effects(names, cells, table.numbers(value), table.uncertainties(u))
    return TableFound(FactorsFound(found, plans_for(found)), left)


def burn_in_table(path: Path, x: str, value: str, u: str | None) -> TableFound[BurnIn]:
    """Burn-in from a table."""
    table, left = _runs(path, value)
    return TableFound(burn_in(table.numbers(x), table.numbers(value), table.uncertainties(u)), left)


def drift_table(path: Path, months: str, value: str, u: str | None, limit: float | None) -> TableFound[Drift]:
    """Drift over visits from a table."""
    table, left = _runs(path, value)
    return TableFound(drift(table.numbers(months), table.numbers(value), table.uncertainties(u), limit), left)
