"""What inspection found, from its row."""

from __future__ import annotations

import uuid
from collections.abc import Mapping
from dataclasses import fields, replace
from typing import Any, TypeVar

from vividowl.core.bench.model_sheet import sheet_from
from vividowl.core.plan.spots import BathSpot, CoverSpot, GapSpot, Inspection, ShimSpot
from vividowl.store.bench import DeviceModel
from vividowl.store.deciding import Plan
from vividowl.store.models import Job
from vividowl.store.scope import Scope


def inspection_of(found: Mapping[str, Any], job: Job) -> Inspection:
    """Stored findings as what inspection found; where nothing is stored, what the intake says of the place."""
    if not found:
        usual = "hand" if job.kind == "handheld" else "desk"
        place = job.place if job.place != "unknown" else usual
        return Inspection(place=place, carried=job.kind == "handheld")
    known = {f.name: found[f.name] for f in fields(Inspection) if f.name in found}
    for name in ("cpu_die_mm", "gpu_die_mm"):
        if known.get(name) is not None:
            known[name] = (float(known[name][0]), float(known[name][1]))
    known["gaps"] = tuple(GapSpot(**row) for row in found.get("gaps", ()))
    known["shim"] = _spot(ShimSpot, found.get("shim"))
    known["cover"] = _spot(CoverSpot, found.get("cover"))
    known["bath"] = _spot(BathSpot, found.get("bath"))
    return Inspection(**known)


Spot = TypeVar("Spot", ShimSpot, CoverSpot, BathSpot)


def _spot(table: type[Spot], found: Mapping[str, Any] | None) -> Spot | None:
    """A stored group of findings; a field that is asked no more is left out."""
    return table(**{f.name: found[f.name] for f in fields(table) if f.name in found}) if found else None


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
