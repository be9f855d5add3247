"""What inspection found, from its row."""

from __future__ import annotations

import uuid
from collections.abc import Mapping
from dataclasses import replace
from typing import Any

import cattrs

from vividowl.core.bench.model_sheet import sheet_from
from vividowl.core.plan.spots import Inspection
from vividowl.store.bench import DeviceModel
from vividowl.store.deciding import Plan
from vividowl.store.models import Job
from vividowl.store.scope import Scope

# A field that is asked no more is left out; one that came later has its default.
_STORED = cattrs.Converter(forbid_extra_keys=False)


def inspection_of(found: Mapping[str, Any], job: Job) -> Inspection:
    """The stored inspection; where nothing is stored, what the intake says of the place."""
    if not found:
        usual = "hand" if job.kind == "handheld" else "desk"
        place = job.place if job.place != "unknown" else usual
        return Inspection(place=place, carried=job.kind == "handheld")
    return _STORED.structure(found, Inspection)


def with_model(scope: Scope, job: Job, found: Inspection) -> Inspection:
    """What the shop keeps of the model, where nobody has looked at this device yet: its dies and gaps."""
    row = scope.one(DeviceModel, DeviceModel.maker == job.maker.strip(), DeviceModel.model == job.model.strip())
    if row is None:
        return found
    sheet = sheet_from(row.data)
    return replace(found, cpu_die_mm=sheet.cpu_die_mm, gpu_die_mm=sheet.gpu_die_mm, gaps=sheet.gaps)


def plan_row(scope: Scope, job_id: uuid.UUID, *, lock: bool = False) -> Plan | None:
    """The stored plan of a job, or None."""
    query = scope.select(Plan).where(Plan.job_id == job_id)
    if lock:
        query = query.with_for_update(of=Plan)
    return scope.session.scalars(query.execution_options(populate_existing=True)).first()
