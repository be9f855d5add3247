"""All runs of a job. Values as they are shown. No decisions here."""

from __future__ import annotations

import uuid
from collections.abc import Mapping, Sequence

from vividowl.core.quantities.uncertainty import COVERAGE_FACTOR
from vividowl.core.quantities.words import listed, say
from vividowl.core.runs.factors import Bar
from vividowl.core.runs.groups import scatter_of
from vividowl.core.trace.roles import Role
from vividowl.service.runs.all_runs import AllRuns, LogRow, RunRow
from vividowl.service.runs.observed import figures_there, measured_figure
from vividowl.service.runs.planned import RunPlans
from vividowl.service.runs.ranked import By, RankedRuns, factor_of, material_in
from vividowl.service.runs.running_in import BurnInRuns
from vividowl.service.runs.told_apart import FactoredRuns
from vividowl.service.runs.two_groups import TwoGroups
from vividowl.web.runs.schemas import (
    AllRunsOut,
    BurnInOut,
    CombinationOut,
    CrossedLevelOut,
    CrossedOut,
    EffectOfOut,
    FactorsOut,
    GroupMeanOut,
    LogFigureOut,
    LogRowOut,
    PlannedRunOut,
    PlannedSetOut,
    PointOut,
    RankedOut,
    RankingOut,
    RepeatsNeededOut,
    RunFigureOut,
    RunPlanOut,
    RunPlansOut,
    RunRowOut,
    SettingOut,
    StateOut,
    TwoGroupsOut,
)
from vividowl.words import sentence


def all_runs_out(found: AllRuns) -> AllRunsOut:
    """All runs."""
    # In words once a state, and not once a run.
    lies = {s.id: material_in(s) for s in found.states}
    return AllRunsOut(
        states=[StateOut.model_validate(s) for s in found.states],
        # Rows of our own, hundreds of them: they are not checked once more on the way out.
        runs=[_run(r, lies[r.state.id] if r.state else "") for r in found.runs],
        factors=[by.value for by in By if len(_levels(by, found, lies) - {""}) > 1],
        figures=list(figures_there(found.runs)),
    )


_OF_RUN = [n for n in RunRowOut.model_fields if n not in ("noise_db", "material", "logs")]


def _levels(by: By, found: AllRuns, lies: Mapping[uuid.UUID, str]) -> set[str]:
    if by is By.MATERIAL:
        return {lies[r.state.id] for r in found.runs if r.state}
    return {factor_of(by, r) for r in found.runs}


def _run(row: RunRow, material: str) -> RunRowOut:
    own = {n: getattr(row.run, n) for n in _OF_RUN}
    return RunRowOut.model_construct(
        **own, noise_db=row.noise_db, material=material, logs=[_log(log) for log in row.logs]
    )


def _log(log: LogRow) -> LogRowOut:
    f = log.trace.figures or {}
    means = f.get("means", {})
    die = f.get("die")
    clock = Role.CPU_CLOCK if die == Role.CPU_TEMPERATURE else Role.GPU_CLOCK
    return LogRowOut.model_construct(
        id=log.trace.id,
        file_name=log.trace.file_name,
        repeat=log.repeat,
        die_c=means.get(die),
        rise_k=f.get("rise_K"),
        power_w=f.get("power_W"),
        held_share=f.get("held_share"),
        resistance_k_per_w=f.get("resistance_K_per_W"),
        fan_rpm=means.get(Role.FAN_SPEED.value),
        clock_mhz=means.get(clock.value),
        sag_w=f.get("sag_W"),
        settled=f.get("settled"),
    )


def run_figure_out(found: AllRuns, name: str) -> RunFigureOut:
    """A figure of all logs, as it was measured."""
    told = ((log.trace.id, measured_figure(name, row, log)) for row in found.runs for log in row.logs)
    return RunFigureOut(values=[LogFigureOut(log=log, value=value) for log, value in told if value is not None])


def ranking_out(found: RankedRuns) -> RankingOut:
    """A ranking with the runs behind each group."""
    return RankingOut(
        groups=[
            RankedOut(
                group=g.group,
                n=g.n,
                mean=g.mean,
                u95=g.u95,
                place=g.place,
                ties_with=list(g.ties_with),
                runs=list(found.runs[g.group]),
            )
            for g in found.ranking.groups
        ],
        method=found.ranking.method.value,
        reason=sentence(found.ranking.reason),
        unlike=[by.value for by in found.unlike],
        without=len(found.without),
        held=found.held,
        fan_rpm=found.fan_rpm,
    )


def two_groups_out(found: TwoGroups) -> TwoGroupsOut:
    """Two groups of runs."""
    groups = (found.first, found.second)
    scatter = scatter_of(groups)
    first, second = (
        GroupMeanOut(n=len(g.values), mean=g.mean, u95=scatter.u95_of_mean(groups, i)) for i, g in enumerate(groups)
    )
    d = found.difference
    return TwoGroupsOut(
        first=first,
        second=second,
        difference=d.value,
        u95=d.u95,
        shown=d.shown,
        method=d.method.value,
        unlike=[by.value for by in found.unlike],
    )


def crossed_out(found: Sequence[tuple[str, RankedRuns | None]]) -> CrossedOut:
    """Rankings side by side, one a level of a second factor."""
    return CrossedOut(
        columns=[
            CrossedLevelOut(setting=level, ranking=ranking_out(ranked) if ranked else None) for level, ranked in found
        ]
    )


def factors_out(found: FactoredRuns) -> FactorsOut:
    """Effects of factors with the runs behind them."""
    e = found.effects
    names = e.design.factors

    def combination(cell: tuple[str, ...]) -> CombinationOut:
        settings = [SettingOut(factor=n, setting=v) for n, v in zip(names, cell, strict=True)]
        return CombinationOut(settings=settings, runs=list(found.runs.get(cell, ())))

    return FactorsOut(
        effects=[
            EffectOfOut(
                term=x.term,
                factors=x.term.split(":"),
                low=list(x.low),
                high=list(x.high),
                effect=x.effect,
                u95=x.u95,
                shown=x.shown,
                reason=sentence(x.reason),
            )
            for x in e.effects
        ],
        waterfall=[Bar(term=b.term, start=b.start, end=b.end) for b in e.waterfall],
        rest=e.rest,
        rest_u95=e.rest_u95,
        missing=[combination(cell) for cell in e.missing],
        missing_that_tell_all=e.needed,
        in_hand=[combination(cell) for cell in found.runs],
        plans=[
            RunPlanOut(
                plan=plan.plan.value,
                runs=len(plan.runs),
                to_do=[combination(cell) for cell in to_do],
                tells_pairs=plan.tells_pairs,
                mixed=sorted({pair for _, pairs in plan.mixed for pair in pairs}),
            )
            for plan, to_do in found.plans
        ],
        method=e.method.value,
        one_run_sd=e.one_run_sd,
        reason=sentence(e.reason),
        without=found.without,
        fan_rpm=found.fan_rpm,
    )


def burn_in_out(found: BurnInRuns) -> BurnInOut:
    """A burn-in with its points."""
    b = found.found
    return BurnInOut(
        points=[
            PointOut(x=x, value=value, u95=None if u is None else COVERAGE_FACTOR * u, run=run)
            for x, value, u, run in found.points
        ],
        settled=b.settled,
        final=b.final,
        final_u95=b.final_u95,
        rest=b.rest,
        more_needed=b.more_needed,
        one_run_u95=b.one_run_u95,
        tau=b.tau,
        without=found.without,
        reason=sentence(b.reason),
    )


def run_plans_out(found: RunPlans) -> RunPlansOut:
    """Sets of runs that are still to be made."""
    return RunPlansOut(
        names=list(found.names),
        plans=[
            PlannedSetOut(
                plan=p.proposed.plan.value,
                runs=[PlannedRunOut(settings=list(cell), in_hand=cell in p.in_hand) for cell in p.proposed.runs],
                tells_pairs=p.proposed.tells_pairs,
                mixed=[
                    sentence(
                        say("planned-mixed", factor=name, pairs=listed([pair.replace(":", " × ") for pair in pairs]))
                    )
                    for name, pairs in p.proposed.mixed
                ],
            )
            for p in found.plans
        ],
        repeats=RepeatsNeededOut.model_validate(found.repeats) if found.repeats else None,
        one_run_sd=found.one_run_sd,
    )
