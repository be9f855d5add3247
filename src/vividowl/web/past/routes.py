"""Past jobs from a list: bring it, say what its columns are, take it in, take it back."""

from __future__ import annotations

import uuid
from typing import Annotated, Literal

from flask import request
from pydantic import BaseModel, Field

from vividowl.core.job.past_columns import PastRole
from vividowl.core.quantities.words import say
from vividowl.service.past import imports, taking
from vividowl.service.past.reading import ListView, RowView
from vividowl.web.access import access, actor, takes_body, workshop
from vividowl.web.blueprint import blueprint
from vividowl.web.idempotency import idempotent
from vividowl.web.jobs.routes import JobPath
from vividowl.web.past.schemas import (
    PastCellOut,
    PastCountsOut,
    PastImportOut,
    PastImportsOut,
    PastListOut,
    PastProgressOut,
    PastRoleOut,
    PastRowOut,
    PastTakenBackOut,
    PastTellIn,
    PastToldOut,
    PastVersionIn,
)
from vividowl.words import sentence, sentences

api = blueprint("past", __name__, url_prefix="/api")


class ImportPath(BaseModel):
    import_id: uuid.UUID


class NameQuery(BaseModel):
    name: Annotated[str, Field(max_length=200)] = "list.csv"


class RowsQuery(BaseModel):
    state: Literal["", "new", "twice", "known", "faulty"] = ""
    limit: Annotated[int, Field(ge=1, le=200)] = 50
    offset: Annotated[int, Field(ge=0, le=100_000)] = 0


def _row(view: RowView) -> PastRowOut:
    job = view.job
    own = {name: getattr(job, name) for name in PastRowOut.model_fields if hasattr(job, name)}
    device = f"{job.maker} {job.model}".strip()
    return PastRowOut(**own, line=view.line, state=view.state, why=sentences(view.why), device=device)


def _list(view: ListView, query: RowsQuery) -> PastListOut:
    rows = [row for row in view.rows if not query.state or row.state == query.state]
    own = PastImportOut.model_validate(view.row).model_dump(exclude={"counts"})
    return PastListOut(
        **own,
        counts=PastCountsOut(**view.counts),
        columns=list(view.columns),
        rows=[_row(row) for row in rows[query.offset : query.offset + query.limit]],
        rows_total=len(rows),
        sheet=view.sheet,
        sheets=list(view.sheets),
        day_order=view.order,
        day_order_said=view.order_said,
        needs_order=view.needs_order,
        kind=view.kind,
        notices=sentences(view.notices),
        roles=[PastRoleOut(role=role.value, words=sentence(say(f"past-role-{role.value}"))) for role in PastRole],
    )


@api.get("/past-jobs", responses={200: PastImportsOut}, operation_id="listPastJobs")
@access("owner")
def list_lists() -> PastImportsOut:
    """Lists that were brought, the latest first."""
    found = imports.lists(workshop(), actor())
    return PastImportsOut(lists=[PastImportOut.model_validate(row) for row in found])


@api.post("/past-jobs", responses={201: PastListOut}, operation_id="bringPastJobs")
@access("owner")
@takes_body(imports.LIST_BYTES_MOST)
def bring(query: NameQuery) -> tuple[PastListOut, int]:
    """Bring a list: CSV or a workbook, as the body. Nothing is taken in yet."""
    stream, size = request.stream, request.content_length
    view = imports.bring(workshop(), actor(), stream, expected=size, file_name=query.name)  # type: ignore[arg-type]
    return _list(view, RowsQuery()), 201


@api.get("/past-jobs/<uuid:import_id>", responses={200: PastListOut}, operation_id="lookAtPastJobs")
@access("owner")
def look(path: ImportPath, query: RowsQuery) -> PastListOut:
    """What would become of each row. A dry run: nothing is changed."""
    return _list(imports.look(workshop(), actor(), path.import_id), query)


@api.put("/past-jobs/<uuid:import_id>", responses={200: PastListOut}, operation_id="tellPastJobs")
@access("owner")
def tell(path: ImportPath, body: PastTellIn) -> PastListOut:
    """Say what the columns are."""
    view = imports.tell(
        workshop(),
        actor(),
        path.import_id,
        body.version,
        roles=body.roles,
        sheet=body.sheet,
        order=body.day_order,
        kind=body.kind,
    )
    return _list(view, RowsQuery())


@api.delete("/past-jobs/<uuid:import_id>", responses={204: None}, operation_id="discardPastJobs")
@access("owner")
def discard(path: ImportPath) -> tuple[str, int]:
    """Put a list aside that was not taken in."""
    imports.discard(workshop(), actor(), path.import_id)
    return "", 204


@api.post("/past-jobs/<uuid:import_id>/take-in", responses={200: PastImportOut}, operation_id="takePastJobsIn")
@access("owner")
@idempotent
def take_in(path: ImportPath, body: PastVersionIn) -> PastImportOut:
    """Take in all rows that are new, or none."""
    return PastImportOut.model_validate(taking.take_in(workshop(), actor(), path.import_id, body.version))


@api.get("/past-jobs/<uuid:import_id>/progress", responses={200: PastProgressOut}, operation_id="pastJobsProgress")
@access("owner")
def progress(path: ImportPath) -> PastProgressOut:
    """How far a list is that is being taken in."""
    done, total = imports.progress_of(workshop(), actor(), path.import_id)
    return PastProgressOut(done=done, total=total)


@api.post("/past-jobs/<uuid:import_id>/take-back", responses={200: PastTakenBackOut}, operation_id="takePastJobsBack")
@access("owner")
@idempotent
def take_back(path: ImportPath, body: PastVersionIn) -> PastTakenBackOut:
    """Take a whole list back."""
    row, stay = taking.take_back(workshop(), actor(), path.import_id, body.version)
    return PastTakenBackOut(**PastImportOut.model_validate(row).model_dump(), stay=stay)


@api.get("/jobs/<uuid:job_id>/past", responses={200: PastToldOut}, operation_id="getPastTold")
@access("member")
def told(path: JobPath) -> PastToldOut:
    """What the row of a list said that a job was brought in from."""
    found = imports.told_of(workshop(), actor(), path.job_id)
    return PastToldOut(
        file_name=found.file_name,
        line=found.line,
        cells=[PastCellOut(name=name, text=text) for name, text in found.cells],
    )
