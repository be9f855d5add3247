"""Bench, jobs, intake, fit."""

from __future__ import annotations

import uuid
from datetime import date
from typing import Annotated, Literal

from flask import Response
from pydantic import BaseModel, Field

from vividowl.core.job import gates
from vividowl.core.job.device import DeviceKind
from vividowl.core.materials.kinds import Kind
from vividowl.core.verdict.verdicts import Verdict
from vividowl.service.jobs import fit, intake, suggesting
from vividowl.service.jobs import today as bench_case
from vividowl.service.out import everything
from vividowl.store.finding import Wanted
from vividowl.web.access import access, actor, workshop
from vividowl.web.blueprint import blueprint
from vividowl.web.downloads import download
from vividowl.web.idempotency import idempotent
from vividowl.web.jobs.present import job_out
from vividowl.web.jobs.schemas import (
    AcknowledgeIn,
    FitIn,
    FitItemIn,
    FitItemOut,
    FitItemsOut,
    IntakeGateOut,
    IntakeGatesOut,
    IntakeGatesQuery,
    IntakeIn,
    IntakeUpdateIn,
    JobOut,
    JobPage,
    SuggestionsOut,
)
from vividowl.words import sentence

WORKBOOK = "application/vnd.openxmlformats-officedocument.spreadsheetml.sheet"
api = blueprint("jobs", __name__, url_prefix="/api")


class Page(BaseModel):
    limit: Annotated[int, Field(ge=1, le=100)] = 50
    offset: Annotated[int, Field(ge=0, le=1_000_000)] = 0
    all: bool = False
    find: Annotated[str, Field(max_length=80, pattern=r"^[^\x00]*$")] = ""
    state: Literal["", "open", "closed"] = ""
    stage: Literal["", "intake", "before", "plan", "open", "clean", "fit", "close", "after", "verdict", "handover"] = ""
    kind: DeviceKind | None = None
    verdict: Verdict | None = None
    material: Kind | None = None
    since: date | None = None
    until: date | None = None
    order: Literal["changed", "newest", "oldest"] = "changed"

    @property
    def wanted(self) -> Wanted:
        """As the store looks for it. all: kept for those who ask for closed jobs too."""
        handed_over = {"open": False, "closed": True}.get(self.state, None if self.all else False)
        return Wanted(
            find=self.find,
            handed_over=handed_over,
            kind=self.kind.value if self.kind else "",
            verdict=self.verdict.value if self.verdict else "",
            material=self.material.value if self.material else "",
            since=self.since,
            until=self.until,
            order=self.order,
        )


class JobPath(BaseModel):
    job_id: uuid.UUID


class ItemPath(JobPath):
    item_id: uuid.UUID


class SuggestQuery(BaseModel):
    field: str
    within: str = ""


@api.get("/bench", responses={200: JobPage}, operation_id="getBench")
@access("member")
def bench(query: Page) -> JobPage:
    """Open jobs in the order they need a hand."""
    views, total = bench_case.bench(workshop(), actor(), limit=query.limit, offset=query.offset)
    return JobPage(jobs=[job_out(v) for v in views], total=total)


@api.get("/jobs", responses={200: JobPage}, operation_id="listJobs")
@access("member")
def list_jobs(query: Page) -> JobPage:
    """Jobs, latest first."""
    asked = (workshop(), actor(), query.wanted)
    if query.stage:
        views, total = bench_case.at_stage(*asked, query.stage, limit=query.limit, offset=query.offset)
    else:
        views, total = intake.list_jobs(*asked, limit=query.limit, offset=query.offset)
    return JobPage(jobs=[job_out(v) for v in views], total=total)


def _wanted(query: Page) -> Wanted:
    """What a list asks for, down to its stage."""
    if query.stage:
        return bench_case.only_at_stage(workshop(), actor(), query.wanted, query.stage)
    return query.wanted


def _name(ending: str) -> str:
    return f"jobs-{bench_case.shop_today(workshop(), actor())}.{ending}"


@api.get("/jobs/out.xlsx", responses={200: {"content": {WORKBOOK: {}}}}, operation_id="getWorkbook")
@access("owner")
def get_workbook(query: Page) -> Response:
    """The jobs of a list with all that belongs to them, as a workbook."""
    return download(everything.workbook(workshop(), actor(), _wanted(query)), WORKBOOK, _name("xlsx"))


@api.get("/jobs/out.zip", responses={200: {"content": {"application/zip": {}}}}, operation_id="getFolder")
@access("owner")
def get_folder(query: Page) -> Response:
    """The same as CSV and JSON, in a zip."""
    return download(everything.folder(workshop(), actor(), _wanted(query)), "application/zip", _name("zip"))


@api.get("/intake/gates", responses={200: IntakeGatesOut}, operation_id="intakeGates")
@access("member")
def intake_gates(query: IntakeGatesQuery) -> IntakeGatesOut:
    """What an intake would trip, so that it is settled while the customer stands there."""
    found = gates.intake_gates(**query.model_dump())
    return IntakeGatesOut(
        gates=[
            IntakeGateOut(rule=g.rule, severity=g.severity.value, reason=sentence(g.reason), remedy=sentence(g.remedy))
            for g in found
        ]
    )


@api.post("/jobs", responses={201: JobOut}, operation_id="createJob")
@access("member")
@idempotent
def create_job(body: IntakeIn) -> tuple[JobOut, int]:
    """Take a device in."""
    return job_out(intake.create_job(workshop(), actor(), body.model_dump())), 201


@api.get("/jobs/<uuid:job_id>", responses={200: JobOut}, operation_id="getJob")
@access("member")
def get_job(path: JobPath) -> JobOut:
    """One job."""
    return job_out(intake.get_job(workshop(), actor(), path.job_id))


@api.put("/jobs/<uuid:job_id>", responses={200: JobOut}, operation_id="updateIntake")
@access("member")
def update_intake(path: JobPath, body: IntakeUpdateIn) -> JobOut:
    """Change the intake."""
    fields = body.model_dump(exclude={"version"}, exclude_unset=True)
    return job_out(intake.update_intake(workshop(), actor(), path.job_id, version=body.version, fields=fields))


@api.post("/jobs/<uuid:job_id>/acknowledgements", responses={201: JobOut}, operation_id="acknowledge")
@access("member")
@idempotent
def acknowledge(path: JobPath, body: AcknowledgeIn) -> tuple[JobOut, int]:
    """Accept a gate by name."""
    return job_out(intake.acknowledge(workshop(), actor(), path.job_id, rule=body.rule, words=body.words)), 201


@api.get("/suggestions", responses={200: SuggestionsOut}, operation_id="getSuggestions")
@access("member")
def get_suggestions(query: SuggestQuery) -> SuggestionsOut:
    """What was typed in this field before."""
    return SuggestionsOut(suggestions=suggesting.suggestions(workshop(), actor(), query.field, query.within))


def _items(rows: object) -> FitItemsOut:
    return FitItemsOut(items=[FitItemOut.model_validate(r) for r in rows])  # type: ignore[attr-defined]


@api.put("/jobs/<uuid:job_id>/fit", responses={200: JobOut}, operation_id="saveFit")
@access("member")
def save_fit(path: JobPath, body: FitIn) -> JobOut:
    """What was cleaned; done closes the step."""
    fields = body.model_dump(exclude={"version", "done"}, exclude_unset=True)
    view = fit.save_fit(workshop(), actor(), path.job_id, body.version, done=body.done, **fields)
    return job_out(view)


@api.get("/jobs/<uuid:job_id>/fit/items", responses={200: FitItemsOut}, operation_id="getFitItems")
@access("member")
def get_items(path: JobPath) -> FitItemsOut:
    """What was put where."""
    return _items(fit.get_items(workshop(), actor(), path.job_id))


@api.post("/jobs/<uuid:job_id>/fit/items", responses={201: FitItemsOut}, operation_id="addFitItem")
@access("member")
@idempotent
def add_item(path: JobPath, body: FitItemIn) -> tuple[FitItemsOut, int]:
    """Note an interface."""
    return _items(fit.add_item(workshop(), actor(), path.job_id, body.model_dump())), 201


@api.delete(
    "/jobs/<uuid:job_id>/fit/items/<uuid:item_id>",
    responses={200: FitItemsOut},
    operation_id="removeFitItem",
)
@access("member")
def remove_item(path: ItemPath) -> FitItemsOut:
    """Take an item off the list; it can be brought back."""
    return _items(fit.set_item_removed(workshop(), actor(), path.job_id, item_id=path.item_id, removed=True))


@api.post(
    "/jobs/<uuid:job_id>/fit/items/<uuid:item_id>/restore",
    responses={200: FitItemsOut},
    operation_id="restoreFitItem",
)
@access("member")
def restore_item(path: ItemPath) -> FitItemsOut:
    """Bring an item back."""
    return _items(fit.set_item_removed(workshop(), actor(), path.job_id, item_id=path.item_id, removed=False))
