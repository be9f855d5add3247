"""What inspection found, from its row."""

from __future__ import annotations

import uuid
from collections.abc import Mapping
from dataclasses import replace
from typing import Any

import cattrs
from sqlalchemy import select

from vividowl.core.bench.model_sheet import sheet_from
from vividowl.core.job.device import Target
from vividowl.core.materials.kinds import CATALOGUE, Kind
from vividowl.core.plan.spots import Inspection
from vividowl.core.quantities.words import Words, listed, say
from vividowl.service.clock import done_day
from vividowl.store.bench import DeviceModel
from vividowl.store.deciding import Plan
from vividowl.store.models import FitItem, Job
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


# What stays as it is between two visits of one device. Dust and play do not, and coat, foam and bare parts round a die
# are looked at each time: cleaning takes them off without a word, and alloy on them is a short circuit.
_STAYS = ("cpu_die_mm", "gpu_die_mm", "cold_plate", "aluminium_near", "gaps")
_NOT_KNOWN = (None, "unknown", ())


def with_last_visit(scope: Scope, job: Job, found: Inspection) -> tuple[Inspection, Words]:
    """What this shop found and fitted in this device the last time, where nobody has looked yet, and a sentence that
    says so; as it is, and nothing, where it was not here before."""
    query = (
        select(Plan, Job)
        .join(Job, Job.id == Plan.job_id)
        .where(
            Plan.shop_id == scope.shop_id,
            Job.device_id == job.device_id,
            Job.created_at < job.created_at,
            Plan.inspection != {},
        )
        .order_by(Job.created_at.desc())
        .limit(1)
    )
    row = scope.session.execute(query).unique().first()
    if row is None:
        return found, ""
    plan, then = row
    last = inspection_of(plan.inspection, then)
    laid = scope.session.scalars(
        scope.select(FitItem)
        .where(FitItem.job_id == then.id, FitItem.attempt == then.attempt, FitItem.removed_at.is_(None))
        .where(FitItem.target.in_((Target.CPU_DIE, Target.GPU_DIE)))
        .order_by(FitItem.created_at)
    ).all()
    # What nobody knew then does not cover what the shop knows of the model.
    changes: dict[str, Any] = {name: known for name in _STAYS if (known := getattr(last, name)) not in _NOT_KNOWN}
    if last.gaps:
        changes["gap_filler"] = last.gap_filler
    if any(item.kind == Kind.ALLOY for item in laid):
        changes["old_interface"] = "alloy"
    on_dies = listed(dict.fromkeys(item.product or CATALOGUE[Kind(item.kind)].words for item in laid))
    if not changes and not on_dies:
        return found, ""
    day = done_day(scope.shop(), then)
    return replace(found, **changes), say("found-remembered", number=then.number, day=day, on_dies=on_dies or None)


def plan_row(scope: Scope, job_id: uuid.UUID, *, lock: bool = False) -> Plan | None:
    """The stored plan of a job, or None."""
    query = scope.select(Plan).where(Plan.job_id == job_id)
    if lock:
        query = query.with_for_update(of=Plan)
    return scope.session.scalars(query.execution_options(populate_existing=True)).first()
