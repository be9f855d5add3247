"""Attempts of a visit beside each other, row by row: for the page, the record and its PDF alike."""

from __future__ import annotations

from collections.abc import Callable, Sequence
from dataclasses import dataclass

from vividowl.core.attempts.causes import CheckResult
from vividowl.core.materials.kinds import CATALOGUE
from vividowl.core.quantities.words import Words, listed, say
from vividowl.formats.words import CLEANED
from vividowl.service.attempts.attempts import AttemptView


@dataclass(frozen=True)
class Row:
    """What is told, and a cell an attempt, empty where nothing is known."""

    words: Words
    cells: tuple[Words, ...]


def _figure(value: float | None, u95: float | None, digits: int) -> Words:
    return "" if value is None else say("attempts-figure", value=value, u95=u95, digits=digits)


def _all(words: Sequence[Words], by: str = "comma") -> Words:
    return listed(words, by) if words else ""


def _fitted(a: AttemptView) -> Words:
    return _all([i.product or CATALOGUE[i.kind].words for i in a.items])


def _cause(a: AttemptView) -> Words:
    return _all([c.words for c in a.causes if c.answer is CheckResult.FOUND], "semicolon")


_ROWS: tuple[tuple[Words, Callable[[AttemptView], Words]], ...] = (
    (say("attempts-row-fitted"), _fitted),
    (say("attempts-row-cleaned"), lambda a: _all([CLEANED.get(c, c) for c in a.cleaned])),
    (
        say("attempts-row-verdict"),
        lambda a: a.compared.comparison.headline if a.compared else say("attempts-not-measured"),
    ),
    (say("attempts-row-resistance"), lambda a: _figure(a.measured, a.measured_u95, 2)),
    (say("attempts-row-interface"), lambda a: _figure(a.interface, None, 2)),
    (say("attempts-row-noise"), lambda a: _figure(a.noise_db, None, 1)),
    (say("attempts-row-cause"), _cause),
    (say("attempts-row-surface"), lambda a: _figure(a.row.surface_score, None, 0)),
    (say("attempts-row-print"), lambda a: _figure(a.row.print_score, None, 0)),
    (say("attempts-row-words"), lambda a: a.row.words),
    (say("attempts-row-left"), lambda a: a.row.left_words),
)


def side_by_side(attempts: Sequence[AttemptView]) -> tuple[Row, ...]:
    """The rows in which anything is told of any attempt."""
    rows = (Row(words, tuple(of(a) for a in attempts)) for words, of in _ROWS)
    return tuple(row for row in rows if any(cell != "" for cell in row.cells))
