"""All runs of a job: the list, further runs, states, any two compared, a ranking."""

from __future__ import annotations

import uuid
from typing import Annotated

from pydantic import BaseModel, Field

from vividowl.core.job.device import RunSide
from vividowl.service.clock import server_now
from vividowl.service.runs import all_runs as case
from vividowl.service.runs.planned import run_plans
from vividowl.service.runs.ranked import By, ranked_across, ranked_runs
from vividowl.service.runs.running_in import Since, burn_in_runs, still_to_run_in
from vividowl.service.runs.told_apart import factored_runs
from vividowl.service.runs.two_groups import compare_groups
from vividowl.web.access import access, actor, workshop
from vividowl.web.blueprint import blueprint
from vividowl.web.fields import RunKey
from vividowl.web.idempotency import idempotent
from vividowl.web.jobs.routes import JobPath
from vividowl.web.measure.routes import RunPath
from vividowl.web.record.present import verdict_out
from vividowl.web.record.schemas import VerdictOut
from vividowl.web.runs.present import (
    all_runs_out,
    burn_in_out,
    crossed_out,
    factors_out,
    ranking_out,
    run_figure_out,
    run_plans_out,
    two_groups_out,
)
from vividowl.web.runs.schemas import (
    AllRunsOut,
    BurnInOpenOut,
    BurnInOut,
    CrossedOut,
    FactorsOut,
    FigureName,
    RankingOut,
    ReferenceIn,
    RunAddIn,
    RunChangeIn,
    RunFigureOut,
    RunPlansIn,
    RunPlansOut,
    StateIn,
    TwoGroupsOut,
)

api = blueprint("all_runs", __name__, url_prefix="/api/jobs/<uuid:job_id>")


class RunIdPath(JobPath):
    run_id: uuid.UUID


class PairQuery(BaseModel):
    first: RunKey
    second: RunKey


class GroupsQuery(BaseModel):
    first: Annotated[list[RunKey], Field(min_length=1, max_length=200)]
    second: Annotated[list[RunKey], Field(min_length=1, max_length=200)]
    value: FigureName


class FigureQuery(BaseModel):
    name: FigureName


class RankQuery(BaseModel):
    by: By
    value: FigureName
    fan: Annotated[str, Field(max_length=120, pattern=r"^[^\x00]*$")] = ""
    placement: Annotated[str, Field(max_length=120, pattern=r"^[^\x00]*$")] = ""
    load: Annotated[str, Field(max_length=200, pattern=r"^[^\x00]*$")] = ""


class CrossedQuery(RankQuery):
    across: By


class FactorsQuery(BaseModel):
    by: Annotated[list[By], Field(min_length=1, max_length=5)]
    value: FigureName


class BurnInQuery(BaseModel):
    since: Since = Since.CYCLES


@api.get("/all-runs", responses={200: AllRunsOut}, operation_id="getAllRuns")
@access("member")
def get_all_runs(path: JobPath) -> AllRunsOut:
    """All runs of a job with their states."""
    return all_runs_out(case.all_runs(workshop(), actor(), path.job_id))


@api.get("/all-runs/figure", responses={200: RunFigureOut}, operation_id="runFigure")
@access("member")
def run_figure(path: JobPath, query: FigureQuery) -> RunFigureOut:
    """A figure of all logs of a job, as it was measured."""
    return run_figure_out(case.all_runs(workshop(), actor(), path.job_id), query.name)


@api.post("/all-runs", responses={201: AllRunsOut}, operation_id="addRun")
@access("member")
@idempotent
def add_run(path: JobPath, body: RunAddIn) -> tuple[AllRunsOut, int]:
    """A further run beside Before and After."""
    given = body.model_dump(exclude={"name", "state_id", "like"})
    found = case.add_run(
        workshop(),
        actor(),
        path.job_id,
        name=body.name,
        state_id=body.state_id,
        conditions=given,
        like=body.like,
    )
    return all_runs_out(found), 201


@api.put("/all-runs/<string:side>", responses={200: AllRunsOut}, operation_id="changeRun")
@access("member")
def change_run(path: RunPath, body: RunChangeIn) -> AllRunsOut:
    """Another name or state for a run."""
    found = case.change_run(workshop(), actor(), path.job_id, path.side, name=body.name, state_id=body.state_id)
    return all_runs_out(found)


@api.delete("/all-runs/<uuid:run_id>", responses={200: AllRunsOut}, operation_id="removeRun")
@access("member")
def remove_run(path: RunIdPath) -> AllRunsOut:
    """Take a further run off the list; it can be brought back."""
    return all_runs_out(case.set_run_removed(workshop(), actor(), path.job_id, run_id=path.run_id, removed=True))


@api.post("/all-runs/<uuid:run_id>/restore", responses={200: AllRunsOut}, operation_id="restoreRun")
@access("member")
def restore_run(path: RunIdPath) -> AllRunsOut:
    """Bring a run back."""
    return all_runs_out(case.set_run_removed(workshop(), actor(), path.job_id, run_id=path.run_id, removed=False))


@api.post("/all-runs/<uuid:run_id>/reference", responses={200: AllRunsOut}, operation_id="makeReference")
@access("member")
def make_reference(path: RunIdPath, body: ReferenceIn) -> AllRunsOut:
    """Make a further run the Before or the After."""
    return all_runs_out(
        case.make_reference(workshop(), actor(), path.job_id, run_id=path.run_id, side=RunSide(body.side))
    )


@api.post("/states", responses={201: AllRunsOut}, operation_id="addState")
@access("member")
@idempotent
def add_state(path: JobPath, body: StateIn) -> tuple[AllRunsOut, int]:
    """The next state of the device, as somebody tells it."""
    changed = body.model_dump(exclude={"cause", "material", "product"})
    if body.material is not None:
        changed["fitted"] = [{"target": "cpu_die", "kind": body.material, "product": body.product, "lot": ""}]
    return all_runs_out(case.add_state(workshop(), actor(), path.job_id, cause=body.cause, changed=changed)), 201


@api.get("/compare", responses={200: VerdictOut}, operation_id="compareRuns")
@access("member")
def compare(path: JobPath, query: PairQuery) -> VerdictOut:
    """Any two runs against each other."""
    return verdict_out(case.compare_two(workshop(), actor(), path.job_id, first=query.first, second=query.second))


@api.get("/compare-groups", responses={200: TwoGroupsOut}, operation_id="compareGroups")
@access("member")
def compare_two_groups(path: JobPath, query: GroupsQuery) -> TwoGroupsOut:
    """Two groups of runs by one figure."""
    return two_groups_out(
        compare_groups(workshop(), actor(), path.job_id, first=query.first, second=query.second, value=query.value)
    )


def _only(query: RankQuery) -> dict[By, str]:
    """Levels of factors that are held."""
    only = {By.FAN: query.fan, By.PLACEMENT: query.placement, By.LOAD: query.load}
    return {by: level for by, level in only.items() if level}


@api.get("/rank", responses={200: RankingOut}, operation_id="rankRuns")
@access("member")
def rank(path: JobPath, query: RankQuery) -> RankingOut:
    """The runs of a job in order."""
    return ranking_out(ranked_runs(workshop(), actor(), path.job_id, by=query.by, value=query.value, only=_only(query)))


@api.get("/rank-across", responses={200: CrossedOut}, operation_id="rankRunsAcross")
@access("member")
def rank_across(path: JobPath, query: CrossedQuery) -> CrossedOut:
    """The runs of a job in order, once for each level of a second factor."""
    found = ranked_across(
        workshop(), actor(), path.job_id, by=query.by, across=query.across, value=query.value, only=_only(query)
    )
    return crossed_out(found)


@api.get("/factors", responses={200: FactorsOut}, operation_id="factorRuns")
@access("member")
def factors(path: JobPath, query: FactorsQuery) -> FactorsOut:
    """What each of several changes brought."""
    return factors_out(factored_runs(workshop(), actor(), path.job_id, factors=query.by, value=query.value))


@api.post("/run-plans", responses={200: RunPlansOut}, operation_id="planRuns")
@access("member")
def plan_runs(path: JobPath, body: RunPlansIn) -> RunPlansOut:
    """Sets of runs that separate changes which are named beforehand. Nothing is stored."""
    factors = [(By(f.factor), f.settings) for f in body.factors]
    return run_plans_out(run_plans(workshop(), actor(), path.job_id, named=factors, value=body.value, want=body.want))


@api.get("/burn-in", responses={200: BurnInOut}, operation_id="burnInRuns")
@access("member")
def burn_in(path: JobPath, query: BurnInQuery) -> BurnInOut:
    """How far the latest interface has run in."""
    return burn_in_out(burn_in_runs(workshop(), actor(), path.job_id, query.since))


@api.get("/burn-in/open", responses={200: BurnInOpenOut}, operation_id="burnInOpen")
@access("member")
def burn_in_open(path: JobPath) -> BurnInOpenOut:
    """What the latest interface still needs before it has run in."""
    found = still_to_run_in(workshop(), actor(), path.job_id, server_now())
    return BurnInOpenOut(open=found or None)
