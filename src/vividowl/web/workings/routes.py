"""Workings: every calculator without a job."""

from __future__ import annotations

import json
from typing import Annotated

from flask import Response
from pydantic import BaseModel, Field

from vividowl.core.quantities.words import say
from vividowl.service.errors import Refused
from vividowl.service.workings.calculators import GROUPS, cut_drawings, cut_export, step_lists, work
from vividowl.web.access import access
from vividowl.web.blueprint import blueprint
from vividowl.web.plan.routes import file_answer
from vividowl.web.plan.schemas import ProcedureOut
from vividowl.web.shelf.present import drawing_out
from vividowl.web.shelf.schemas import CutForm
from vividowl.web.workings.present import results_out, working_out
from vividowl.web.workings.schemas import WorkedResultOut, WorkIn, WorkingsOut

api = blueprint("workings", __name__, url_prefix="/api/workings")


class WorkingPath(BaseModel):
    name: str


class CutSheetPath(BaseModel):
    form: CutForm


class CutQuery(BaseModel):
    given: Annotated[str, Field(max_length=8000)]


@api.get("", responses={200: WorkingsOut}, operation_id="getWorkings")
@access("member")
def get_workings() -> WorkingsOut:
    """The list of them, and the step lists of what goes wrong easily."""
    lists = [ProcedureOut.model_validate(p) for p in step_lists()]
    return WorkingsOut(
        workings=[working_out(w, name) for name, group in GROUPS.items() for w in group], procedures=lists
    )


@api.post("/<name>", responses={200: WorkedResultOut}, operation_id="workOut")
@access("member")
def work_out(path: WorkingPath, body: WorkIn) -> WorkedResultOut:
    """Work one out. Nothing is kept."""
    result = work(path.name, body.given)
    drawings = cut_drawings(body.given) if path.name == "cut" else ()
    return WorkedResultOut(
        results=results_out(result),
        drawings=[drawing_out(d, kept.rect if kept else None) for d, kept in drawings],
    )


@api.get(
    "/cut/sheet.<form>",
    operation_id="getWorkedCut",
    responses={200: {"content": {"image/svg+xml": {}, "image/vnd.dxf": {}, "application/pdf": {}}}},
)
@access("member")
def cut_sheet(path: CutSheetPath, query: CutQuery) -> Response:
    """A cut sheet that was worked out, at 1:1. given is a JSON object of the inputs."""
    try:
        given = json.loads(query.given)
    except json.JSONDecodeError:
        given = None
    if not isinstance(given, dict) or not all(isinstance(v, str) for v in given.values()):
        raise Refused("invalid", say("routes-inputs-cannot-be-read"), field="given")
    return file_answer(cut_export(given, path.form), f"cut-sheet.{path.form}", path.form)
