"""Tables of runs from a file: ranked, taken apart by factors, judged for burn-in and drift. No database is needed."""

from __future__ import annotations

import re
from collections.abc import Mapping, Sequence
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
_NUMBER = re.compile(r"[-+]?\d+(\.\d+)?")
# A level of this name is how it was before, where nobody tells the order.
BEFORE_WORDS = frozenset({"before", "old", "none", "no", "off", "stock", "factory", "default", "auto", "automatic"})


@dataclass(frozen=True)
class TableFound(Generic[Found]):
    """What a table says, and the lines that hold no value and were left out."""

    found: Found
    left_out: tuple[int, ...]


def _runs(path: Path, value: str) -> tuple[RunTable, tuple[int, ...]]:
    return read_run_table(path.read_bytes()).with_value(value)


def rank_table(
    path: Path, by: str, *, value: str, u: str | None, higher_is_better: bool, sitting: str | None = None
) -> TableFound[Ranking]:
    """Groups of a table in order; runs of one group in one sitting count as one, since they share what changes from day
    to day."""
    table, left = _runs(path, value)
    names, values, standard = table.texts(by), table.numbers(value), table.uncertainties(u)
    if sitting is not None:
        names, values, standard = _a_sitting_once(names, table.texts(sitting), values, standard)
    groups = [
        Group(
            name,
            tuple(v for v, n in zip(values, names, strict=True) if n == name),
            tuple(s for s, n in zip(standard, names, strict=True) if n == name) if standard else (),
        )
        for name in dict.fromkeys(names)
    ]
    return TableFound(rank(groups, higher_is_better=higher_is_better), left)


def _a_sitting_once(
    names: Sequence[str], sittings: Sequence[str], values: Sequence[float], standard: Sequence[float]
) -> tuple[list[str], list[float], list[float]]:
    """Means over the runs of a group in one sitting; what is stated of one run stays, since they share most of it."""
    rows: dict[tuple[str, str], list[int]] = {}
    for at, key in enumerate(zip(names, sittings, strict=True)):
        rows.setdefault(key, []).append(at)
    means = [sum(values[i] for i in rows_of) / len(rows_of) for rows_of in rows.values()]
    most = [max(standard[i] for i in rows_of) for rows_of in rows.values()] if standard else []
    return [name for name, _ in rows], means, most


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


def in_order(levels: Sequence[str]) -> tuple[str, ...]:
    """Levels in an order that does not hang on that of the lines: words for how it was come first, then numbers by how
    far they lie from nought, then words by their letters.

    levels: as they occur (n,) [text]
    returns: each once (m,) [text]
    source: common practice, no source
    """

    def key(level: str) -> tuple[int, float, str]:
        word, number = level.casefold(), _NUMBER.match(level.replace(",", ".").replace("−", "-"))
        if word in BEFORE_WORDS:
            return (0, 0.0, word)
        return (1, abs(float(number.group())), word) if number else (2, 0.0, word)

    return tuple(sorted(dict.fromkeys(levels), key=key))


def factors_table(
    path: Path,
    factors: Sequence[str],
    *,
    value: str,
    u: str | None,
    levels: Mapping[str, Sequence[str]] | None = None,
) -> TableFound[FactorsFound]:
    """Effects of factors from a table. levels: the order of each factor's, the first is before; others go by in_order.
    A run with an empty cell under a factor tells nothing and is left out."""
    whole = read_run_table(path.read_bytes())
    names = [whole.headers[whole.column(name)] for name in factors]
    if any(name == whole.headers[whole.column(value)] for name in names):
        raise OutOfRange(say("tables-factor-is-value", name=value), field="factors")
    table, left = whole.with_value(value)
    for name in names:
        table, bare = table.with_value(name)
        left = (*left, *bare)
    columns = [table.texts(name) for name in names]
    cells = list(zip(*columns, strict=True))
    given = {whole.headers[whole.column(name)]: tuple(order) for name, order in (levels or {}).items()}
    order = [given.get(name) or in_order(column) for name, column in zip(names, columns, strict=True)]
    found = factor_effects(names, cells, values=table.numbers(value), standard=table.uncertainties(u), order=order)
    return TableFound(FactorsFound(found, plans_for(found)), tuple(sorted(left)))


def burn_in_table(path: Path, x: str, value: str, u: str | None) -> TableFound[BurnIn]:
    """Burn-in from a table."""
    table, left = _runs(path, value)
    return TableFound(burn_in(table.numbers(x), table.numbers(value), table.uncertainties(u)), left)


def drift_table(path: Path, months: str, *, value: str, u: str | None, limit: float | None) -> TableFound[Drift]:
    """Drift over visits from a table."""
    table, left = _runs(path, value)
    return TableFound(drift(table.numbers(months), table.numbers(value), table.uncertainties(u), limit), left)
