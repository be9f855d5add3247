"""The commands rank, factors, burnin and drift: a table of runs in, words or JSON out. No database is needed."""

from __future__ import annotations

import json
from collections.abc import Sequence
from pathlib import Path
from typing import Any

import click

from vividowl.cli_said import write_line
from vividowl.core.runs.burn_in import BurnIn
from vividowl.core.runs.drift import Drift
from vividowl.core.runs.groups import Method
from vividowl.core.runs.rank import Ranking
from vividowl.service.runs.tables import FactorsFound, burn_in_table, drift_table, factors_table, rank_table
from vividowl.words import told

TABLE = click.argument("table", type=click.Path(path_type=Path))
VALUE = click.option("--value", required=True, metavar="COLUMN", help="Column of what was found.")
U = click.option("--u", metavar="COLUMN", help="Column of the standard uncertainty (k = 1) of each run.")
AS_JSON = click.option("--json", "as_json", is_flag=True, help="JSON instead of words.")


def _print(values: dict[str, Any], left_out: Sequence[int]) -> None:
    click.echo(json.dumps(told({**values, "left_out": list(left_out)}), ensure_ascii=False, indent=2))


def _left_out(lines: Sequence[int]) -> None:
    for line in lines:
        write_line("cli-left-out", line=line)


def rank_values(found: Ranking) -> dict[str, Any]:
    """A ranking under the fixed keys; null is "not known"."""
    return {
        "groups": [
            {
                "group": g.group,
                "n": g.n,
                "mean": g.mean,
                "u95": g.u95,
                "place": g.place,
                "ties_with": list(g.ties_with),
            }
            for g in found.groups
        ],
        "method": found.method.value,
        "reason": found.reason or None,
    }


@click.command("rank")
@TABLE
@click.option("--by", required=True, metavar="COLUMN", help="Column that names the groups.")
@VALUE
@U
@click.option("--sitting", metavar="COLUMN", help="Column that tells the sitting; runs of one count once.")
@click.option("--higher-is-better", is_flag=True, help="Order by the highest mean; the lowest is best otherwise.")
@AS_JSON
def rank(
    *, table: Path, by: str, value: str, u: str | None, sitting: str | None, higher_is_better: bool, as_json: bool
) -> None:
    """Put the groups of a TABLE of runs in order, with ties where nothing tells them apart."""
    done = rank_table(table, by, value=value, u=u, higher_is_better=higher_is_better, sitting=sitting)
    found = done.found
    if as_json:
        return _print(rank_values(found), done.left_out)
    for g in found.groups:
        ties = ", ".join(g.ties_with) or None
        write_line("cli-ranked", place=g.place, group=g.group, mean=g.mean, u95=g.u95, n=g.n, ties=ties)
    if found.reason:
        write_line("cli-item", text=found.reason)
    elif sitting is None and found.method is not Method.STATED:
        write_line("cli-sitting-not-told")
    return _left_out(done.left_out)


def factors_values(told_by: FactorsFound) -> dict[str, Any]:
    """Effects of factors under the fixed keys; null is "not known"."""
    found = told_by.effects
    names = found.design.factors
    return {
        "effects": [
            {
                "term": e.term,
                "from": dict(zip(e.term.split(":") if len(e.low) > 1 else [e.term], e.low, strict=True)),
                "to": dict(zip(e.term.split(":") if len(e.high) > 1 else [e.term], e.high, strict=True)),
                "effect": e.effect,
                "u95": e.u95,
                "shown": e.shown,
                "assumes": list(e.assumes),
                "reason": e.reason or None,
            }
            for e in found.effects
        ],
        "missing_runs": [dict(zip(names, cell, strict=True)) for cell in found.missing],
        "missing_that_tell_all": found.needed,
        "plans": [
            {
                "plan": plan.plan.value,
                "runs": len(plan.runs),
                "to_do": [dict(zip(names, cell, strict=True)) for cell in to_do],
                "tells_pairs": plan.tells_pairs,
                "assumes": {name: list(pairs) for name, pairs in plan.mixed},
            }
            for plan, to_do in told_by.plans
        ],
        "rest": found.rest,
        "rest_u95": found.rest_u95,
        "waterfall": [{"term": b.term, "from": b.start, "to": b.end} for b in found.waterfall],
        "method": found.method.value,
        "degrees_of_freedom": None if found.freedom == float("inf") else found.freedom,
        "reason": found.reason or None,
    }


@click.command("factors")
@TABLE
@click.option("--factors", "names", required=True, metavar="A,B,…", help="Columns of the factors, by commas.")
@VALUE
@U
@click.option("--levels", multiple=True, metavar="FACTOR=A,B,…", help="Order of a factor's levels, before first.")
@AS_JSON
def factors(*, table: Path, names: str, value: str, u: str | None, levels: Sequence[str], as_json: bool) -> None:
    """Tell what each of several changes brought, from a TABLE of runs at combinations of them."""
    order = {
        name.strip(): [level.strip() for level in told_of.split(",")]
        for name, _, told_of in (text.partition("=") for text in levels)
    }
    done = factors_table(
        table, [name.strip() for name in names.split(",") if name.strip()], value=value, u=u, levels=order
    )
    found = done.found.effects
    if as_json:
        return _print(factors_values(done.found), done.left_out)
    for e in found.effects:
        write_line("cli-factor", term=e.term, effect=e.effect, u95=e.u95, shown=e.shown)
        if e.reason:
            write_line("cli-item", text=e.reason)
    for at, cell in enumerate(found.missing):
        run = ", ".join(f"{n} = {v}" for n, v in zip(found.design.factors, cell, strict=True))
        write_line("cli-missing-run", run=run, tells=at < found.needed)
    for b in found.waterfall:
        write_line("cli-bar", term=b.term, start=b.start, end=b.end)
    return _left_out(done.left_out)


def burn_in_values(found: BurnIn) -> dict[str, Any]:
    """A burn-in under the fixed keys; null is "not known"."""
    return {
        "settled": found.settled,
        "final": found.final,
        "final_u95": found.final_u95,
        "rest": found.rest,
        "more_needed": found.more_needed,
        "one_run_u95": found.one_run_u95,
        "tau": found.tau,
        "method": found.method.value,
        "reason": found.reason or None,
    }


@click.command("burnin")
@TABLE
@click.option("--x", required=True, metavar="COLUMN", help="Column of heat cycles, hours or days since fitting.")
@VALUE
@U
@AS_JSON
def burnin(*, table: Path, x: str, value: str, u: str | None, as_json: bool) -> None:
    """Judge from a TABLE of runs whether a fresh interface has run in."""
    done = burn_in_table(table, x, value, u)
    found = done.found
    if as_json:
        return _print(burn_in_values(found), done.left_out)
    write_line("cli-burn-in", settled=found.settled, final=found.final, u95=found.final_u95, more=found.more_needed)
    if found.reason:
        write_line("cli-item", text=found.reason)
    return _left_out(done.left_out)


def drift_values(found: Drift) -> dict[str, Any]:
    """A drift under the fixed keys; null is "not known"."""
    return {
        "slope_per_month": found.slope,
        "u95": found.u95,
        "now": found.now,
        "now_u95": found.now_u95,
        "shown": found.shown,
        "months_to_limit": found.to_limit,
        "months_to_limit_low": found.earliest,
        "months_to_limit_high": found.latest,
        "method": found.method.value,
        "reason": found.reason or None,
    }


@click.command("drift")
@TABLE
@click.option("--months", required=True, metavar="COLUMN", help="Column of months since the first visit.")
@VALUE
@U
@click.option("--limit", type=float, help="Value that it shall not pass.")
@AS_JSON
def drift(*, table: Path, months: str, value: str, u: str | None, limit: float | None, as_json: bool) -> None:
    """Tell from a TABLE of visits how a figure drifts, and when it meets a limit."""
    done = drift_table(table, months, value=value, u=u, limit=limit)
    found = done.found
    if as_json:
        return _print(drift_values(found), done.left_out)
    write_line("cli-drift", slope=found.slope, u95=found.u95, shown=found.shown, now=found.now)
    if found.to_limit is not None:
        write_line("cli-months", months=found.to_limit, low=found.earliest, high=found.latest)
    if found.reason:
        write_line("cli-item", text=found.reason)
    return _left_out(done.left_out)
