"""Models: what the shop keeps of each, and the exchange with other shops."""

from __future__ import annotations

import uuid

from flask import Response, request
from pydantic import BaseModel

from vividowl.core.quantities.words import say
from vividowl.core.runs.lasting import TOLD_FROM
from vividowl.service.errors import Refused
from vividowl.service.models import models
from vividowl.service.models.known import what_is_known
from vividowl.service.models.models import IMPORT_MOST
from vividowl.web.access import access, actor, takes_body, workshop
from vividowl.web.blueprint import blueprint
from vividowl.web.jobs.routes import JobPath
from vividowl.web.models.present import known_out, model_out
from vividowl.web.models.schemas import ModelNotesIn, ModelOut, ModelsOut, WhatIsKnownOut
from vividowl.words import sentence

api = blueprint("models", __name__, url_prefix="/api")


# A file to keep, offered as one: its own type keeps browsers from showing it as a page.
MODEL_FILE = "application/octet-stream"


class ModelPath(BaseModel):
    model_id: uuid.UUID


class ImportQuery(BaseModel):
    replace: bool = False


@api.get("/models", responses={200: ModelsOut}, operation_id="listModels")
@access("member")
def list_models() -> ModelsOut:
    """All models that the shop keeps."""
    return ModelsOut(models=[model_out(v) for v in models.list_models(workshop(), actor())])


@api.get("/known", responses={200: WhatIsKnownOut}, operation_id="getKnown")
@access("member")
def get_known() -> WhatIsKnownOut:
    """What the shop's own services tell of models and materials."""
    found = what_is_known(workshop(), actor())
    return WhatIsKnownOut(
        models=[known_out(k) for k in found.models],
        materials=[known_out(k) for k in found.materials],
        least=TOLD_FROM,
    )


@api.get("/models/<uuid:model_id>", responses={200: ModelOut}, operation_id="getModel")
@access("member")
def get_model(path: ModelPath) -> ModelOut:
    """One model with what its jobs have taught."""
    return model_out(models.get_model(workshop(), actor(), path.model_id))


@api.put("/models/<uuid:model_id>", responses={200: ModelOut}, operation_id="saveModelNotes")
@access("member")
def save_notes(path: ModelPath, body: ModelNotesIn) -> ModelOut:
    """Change its notes."""
    return model_out(
        models.save_notes(
            workshop(),
            actor(),
            model_id=path.model_id,
            version=body.version,
            torque_notes=sentence(body.torque_notes),
            notes=sentence(body.notes),
        )
    )


@api.delete("/models/<uuid:model_id>", responses={204: None}, operation_id="removeModel")
@access("owner")
def remove_model(path: ModelPath) -> tuple[str, int]:
    """Throw it away; jobs keep their maps."""
    models.remove_model(workshop(), actor(), path.model_id)
    return "", 204


@api.put("/jobs/<uuid:job_id>/model", responses={200: ModelOut}, operation_id="saveModelFromJob")
@access("member")
def save_from_job(path: JobPath) -> ModelOut:
    """Keep the map, own steps, dies and gaps of a job for its model."""
    return model_out(models.save_from_job(workshop(), actor(), path.job_id))


@api.get("/models/<uuid:model_id>/file", operation_id="exportModel", responses={200: {"content": {MODEL_FILE: {}}}})
@access("member")
def export_model(path: ModelPath) -> Response:
    """The model as JSON for another shop."""
    text, name = models.export_model(workshop(), actor(), path.model_id)
    return Response(text, mimetype=MODEL_FILE, headers={"Content-Disposition": f'attachment; filename="{name}"'})


@api.post("/models/import", responses={201: ModelOut}, operation_id="importModel")
@access("member")
@takes_body(IMPORT_MOST)
def import_model(query: ImportQuery) -> tuple[ModelOut, int]:
    """Take a model in. The body is the file."""
    try:
        text = request.get_data().decode()
    except UnicodeDecodeError as error:
        raise Refused("invalid", say("routes-file-no-text-in-utf"), field="file") from error
    return model_out(models.import_model(workshop(), actor(), text, replace_kept=query.replace)), 201
