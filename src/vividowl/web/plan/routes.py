"""Plan of a job: inspection, options, the choice, what was worked out, and its cut sheets."""

from __future__ import annotations

import uuid

from flask import Response

from vividowl.core.quantities.words import say
from vividowl.service.errors import Refused
from vividowl.service.plan import planning
from vividowl.service.plan.views import PlanView
from vividowl.service.shelf import cutting
from vividowl.web.access import access, actor, workshop
from vividowl.web.blueprint import blueprint
from vividowl.web.idempotency import idempotent
from vividowl.web.jobs.routes import JobPath
from vividowl.web.plan.present import plan_out
from vividowl.web.plan.schemas import ChoiceIn, NoteIn, PlanIn, PlanOut
from vividowl.web.shelf.present import cut_out
from vividowl.web.shelf.schemas import CutForm, CutIn, CutOut, CutsOut

api = blueprint("plan", __name__, url_prefix="/api/jobs/<uuid:job_id>")


class NotePath(JobPath):
    note_id: uuid.UUID


class CutPath(JobPath):
    cut_id: uuid.UUID


class CutFilePath(CutPath):
    form: CutForm


def _plan(job_id: uuid.UUID, view: PlanView) -> PlanOut:
    return plan_out(view, planning.beside(workshop(), actor(), job_id, view))


@api.get("/plan", responses={200: PlanOut}, operation_id="getPlan")
@access("member")
def get_plan(path: JobPath) -> PlanOut:
    """The options side by side."""
    return _plan(path.job_id, planning.get_plan(workshop(), actor(), path.job_id))


@api.put("/plan", responses={200: PlanOut}, operation_id="savePlan")
@access("member")
def save_plan(path: JobPath, body: PlanIn) -> PlanOut:
    """What was found and is wanted; the options follow."""
    found = body.found.model_dump()
    for die in ("cpu", "gpu"):
        sides = (found.pop(f"{die}_die_width_mm"), found.pop(f"{die}_die_length_mm"))
        if (sides[0] is None) != (sides[1] is None):
            missing = "length" if sides[1] is None else "width"
            raise Refused("invalid", say("routes-only-one-side-die-was"), field=f"{die}_die_{missing}_mm")
        found[f"{die}_die_mm"] = sides if sides[0] is not None else None
    return _plan(
        path.job_id,
        planning.save_inspection(workshop(), actor(), path.job_id, version=body.version, goal=body.goal, found=found),
    )


@api.post("/plan/choice", responses={200: PlanOut}, operation_id="choosePlan")
@access("member")
@idempotent
def choose(path: JobPath, body: ChoiceIn) -> PlanOut:
    """Take an option, or put the decision back with no key."""
    return _plan(path.job_id, planning.choose(workshop(), actor(), path.job_id, version=body.version, key=body.key))


@api.post("/plan/notes", responses={201: PlanOut}, operation_id="addPlanNote")
@access("member")
@idempotent
def add_note(path: JobPath, body: NoteIn) -> tuple[PlanOut, int]:
    """Put something worked out into the job."""
    return _plan(
        path.job_id, planning.add_note(workshop(), actor(), path.job_id, name=body.name, given=body.given)
    ), 201


@api.delete("/plan/notes/<uuid:note_id>", responses={200: PlanOut}, operation_id="removePlanNote")
@access("member")
def remove_note(path: NotePath) -> PlanOut:
    """Take it off again."""
    return _plan(path.job_id, planning.remove_note(workshop(), actor(), path.job_id, path.note_id))


@api.get("/cuts", responses={200: CutsOut}, operation_id="getCuts")
@access("member")
def get_cuts(path: JobPath) -> CutsOut:
    """Cut sheets of the job."""
    return CutsOut(cuts=[cut_out(c) for c in cutting.get_cuts(workshop(), actor(), path.job_id)])


@api.post("/cuts/preview", responses={200: CutOut}, operation_id="previewCut")
@access("member")
def preview_cut(path: JobPath, body: CutIn) -> CutOut:
    """How the pieces would lie. Nothing is booked."""
    rows = [r.model_dump() for r in body.rows]
    return cut_out(cutting.preview(workshop(), actor(), product_id=body.product_id, rows=rows, kerf_mm=body.kerf_mm))


@api.post("/cuts", responses={201: CutOut}, operation_id="bookCut")
@access("member")
@idempotent
def book_cut(path: JobPath, body: CutIn) -> tuple[CutOut, int]:
    """Cut: sheets leave the shelf, the offcut comes onto it."""
    rows = [r.model_dump() for r in body.rows]
    return cut_out(
        cutting.book(workshop(), actor(), path.job_id, product_id=body.product_id, rows=rows, kerf_mm=body.kerf_mm)
    ), 201


@api.delete("/cuts/<uuid:cut_id>", responses={200: CutsOut}, operation_id="undoCut")
@access("member")
def undo_cut(path: CutPath) -> CutsOut:
    """Take a cut back."""
    return CutsOut(cuts=[cut_out(c) for c in cutting.undo(workshop(), actor(), path.job_id, path.cut_id)])


@api.get(
    "/cuts/<uuid:cut_id>/sheet.<form>",
    operation_id="getCutFile",
    responses={200: {"content": {m: {} for m in cutting.CUT_FORMATS.values()}}},
)
@access("member")
def cut_file(path: CutFilePath) -> Response:
    """The cut sheet at 1:1."""
    data, name = cutting.cut_file(workshop(), actor(), path.job_id, cut_id=path.cut_id, form=path.form)
    return file_answer(data, name, path.form)


def file_answer(data: bytes, name: str, form: str) -> Response:
    """A drawing to keep: SVG is offered as a file, so that it never runs as a page of this site."""
    shown = "inline" if form == "pdf" else "attachment"
    return Response(
        data, mimetype=cutting.CUT_FORMATS[form], headers={"Content-Disposition": f'{shown}; filename="{name}"'}
    )
