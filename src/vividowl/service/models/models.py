"""Models: what the shop keeps of a model, what its jobs have taught, and the exchange with other shops."""

from __future__ import annotations

import base64
import binascii
import json
import uuid
from collections import Counter
from collections.abc import Mapping, Sequence
from dataclasses import dataclass, replace
from statistics import median
from typing import Any

from sqlalchemy import func, select

from vividowl.core.bench.log.state import BenchState
from vividowl.core.bench.model_sheet import FORMAT, ModelSheet, own_steps, sheet_data, sheet_from
from vividowl.core.bench.seen import PART_WORDS, SIGHTS
from vividowl.core.job.device import DeviceKind
from vividowl.core.quantities.errors import CoreError
from vividowl.core.quantities.words import Words, say
from vividowl.service.bench.photos import keep_photo, scale
from vividowl.service.bench.store import load_log
from vividowl.service.bench.times import task_minutes
from vividowl.service.errors import Refused
from vividowl.service.measure.references import reference_for
from vividowl.service.plan.found import inspection_of, plan_row
from vividowl.service.workshop import Actor, Workshop, check_version
from vividowl.store.bench import DeviceModel, Photo
from vividowl.store.devices import Device
from vividowl.store.measuring import Run
from vividowl.store.models import Job
from vividowl.store.scope import Scope
from vividowl.words import sentence

IMPORT_MOST = 6 * 1024 * 1024
OUTLINE_KEY = "outline_jpeg_base64"
LEARN_JOBS_MOST = 30


@dataclass(frozen=True, kw_only=True)
class Learnt:
    """What the jobs of a model have taught. jobs: with a bench list; found: part, state, how often; minutes of hands by
    task: median and number of jobs; rise: by run side the rises over room [K]; interface_resistance and total [K/W] of
    a healthy one with their source, None when not known."""

    jobs: int
    found: tuple[tuple[Words, Words, int], ...]
    minutes: Mapping[str, tuple[float, int]]
    before_rise_k: float | None
    after_rise_k: float | None
    interface_k_per_w: float | None
    total_k_per_w: float | None
    reference: Words


@dataclass(frozen=True, kw_only=True)
class ModelView:
    """A model with its sheet and what was learnt."""

    id: uuid.UUID
    version: int
    sheet: ModelSheet
    outline: uuid.UUID | None
    source: str
    learnt: Learnt
    jobs: int


def model_for(scope: Scope, job: Job) -> DeviceModel | None:
    """What is kept of a job's model."""
    return scope.one(DeviceModel, DeviceModel.maker == job.maker.strip(), DeviceModel.model == job.model.strip())


def sheet_of(row: DeviceModel) -> ModelSheet:
    """The sheet of a model."""
    return sheet_from(row.data)


def save_from_job(workshop: Workshop, actor: Actor, job_id: uuid.UUID) -> ModelView:
    """Keep the map, the own steps, dies and gaps of a job for its model."""
    with workshop.scope(actor) as scope:
        job = scope.get(Job, job_id)
        log = load_log(workshop, scope, job.id).log
        state = log.state
        if state.begun is None:
            raise Refused("conflict", say("models-bench-list-this-job-has"))
        row = model_for(scope, job)
        old = (
            sheet_of(row)
            if row is not None
            else ModelSheet(maker=job.maker.strip(), model=job.model.strip(), kind=job.kind)
        )
        plan = plan_row(scope, job.id)
        found = inspection_of(plan.inspection if plan else {}, job)
        steps, anchors = own_steps(state)
        sheet = replace(
            old,
            kind=job.kind,
            places=tuple(state.places.values()),
            steps=steps,
            anchors=anchors,
            order=tuple(s.id for s in state.steps),
            cpu_die_mm=found.cpu_die_mm or old.cpu_die_mm,
            gpu_die_mm=found.gpu_die_mm or old.gpu_die_mm,
            gaps=found.gaps or old.gaps,
        )
        row = _keep(
            scope,
            actor,
            row=row,
            sheet=sheet,
            outline=_outline(scope, state),
            source=sentence(say("models-job", number=job.number)),
        )
        return _view(workshop, scope, row, sheet)


def _outline(scope: Scope, state: BenchState) -> uuid.UUID | None:
    photo = scope.one(Photo, Photo.id == uuid.UUID(state.outline)) if state.outline else None
    return photo.id if photo is not None else None


def _keep(
    scope: Scope, actor: Actor, *, row: DeviceModel | None, sheet: ModelSheet, outline: uuid.UUID | None, source: str
) -> DeviceModel:
    sheet = sheet_from(sheet_data(sheet))
    data = json.loads(json.dumps(sheet_data(sheet)))
    if row is None:
        return scope.add(
            DeviceModel(
                maker=sheet.maker,
                model=sheet.model,
                kind=DeviceKind(sheet.kind),
                data=data,
                source=source,
                outline_photo=outline,
                updated_by=actor.member_id,
            )
        )
    row.data, row.kind, row.source, row.updated_by = data, DeviceKind(sheet.kind), source, actor.member_id
    row.outline_photo = outline if outline is not None else row.outline_photo
    scope.session.flush()
    return row


def save_notes(
    workshop: Workshop, actor: Actor, *, model_id: uuid.UUID, version: int, torque_notes: str, notes: str
) -> ModelView:
    """Change the notes of a model."""
    with workshop.scope(actor) as scope:
        row = scope.get(DeviceModel, model_id, lock=True)
        check_version(row.version, version, say("models-model"))
        sheet = replace(sheet_of(row), torque_notes=torque_notes.strip(), notes=notes.strip())
        row = _keep(scope, actor, row=row, sheet=sheet, outline=None, source=row.source)
        return _view(workshop, scope, row, sheet)


def list_models(workshop: Workshop, actor: Actor) -> list[ModelView]:
    """All models that are kept, by maker and name. What jobs taught is left for the page of one."""
    with workshop.scope(actor) as scope:
        rows = scope.session.scalars(scope.select(DeviceModel).order_by(DeviceModel.maker, DeviceModel.model)).all()
        of = (Device.maker, Device.model)
        counted = (
            select(*of, func.count())
            .join(Job, Job.device_id == Device.id)
            .where(Device.shop_id == scope.shop_id)
            .group_by(*of)
        )
        jobs = {(maker, model): count for maker, model, count in scope.session.execute(counted)}
        return [
            ModelView(
                id=r.id,
                version=r.version,
                sheet=sheet_of(r),
                outline=r.outline_photo,
                source=r.source,
                learnt=_NOTHING,
                jobs=jobs.get((r.maker, r.model), 0),
            )
            for r in rows
        ]


def get_model(workshop: Workshop, actor: Actor, model_id: uuid.UUID) -> ModelView:
    """One model."""
    with workshop.scope(actor) as scope:
        row = scope.get(DeviceModel, model_id)
        return _view(workshop, scope, row, sheet_of(row))


def remove_model(workshop: Workshop, actor: Actor, model_id: uuid.UUID) -> None:
    """Throw a model away; its jobs keep their own maps."""
    with workshop.scope(actor) as scope:
        scope.session.delete(scope.get(DeviceModel, model_id, lock=True))


def _jobs(scope: Scope, row: DeviceModel) -> Sequence[Job]:
    query = (
        scope.select(Job)
        .join(Device, Device.id == Job.device_id)
        .where(Device.maker == row.maker, Device.model == row.model)
    )
    return scope.session.scalars(query.order_by(Job.number.desc()).limit(LEARN_JOBS_MOST)).unique().all()


_NOTHING = Learnt(
    jobs=0,
    found=(),
    minutes={},
    before_rise_k=None,
    after_rise_k=None,
    interface_k_per_w=None,
    total_k_per_w=None,
    reference="",
)


def _view(workshop: Workshop, scope: Scope, row: DeviceModel, sheet: ModelSheet) -> ModelView:
    jobs = _jobs(scope, row)
    return ModelView(
        id=row.id,
        version=row.version,
        sheet=sheet,
        outline=row.outline_photo,
        source=row.source,
        learnt=_learnt(workshop, scope, jobs),
        jobs=len(jobs),
    )


def _learnt(workshop: Workshop, scope: Scope, jobs: Sequence[Job]) -> Learnt:
    seen: Counter[tuple[str, str]] = Counter()
    minutes: dict[str, list[float]] = {}
    count = 0
    for job in jobs:
        if not job.bench.get("begun"):
            continue
        count += 1
        log = load_log(workshop, scope, job.id).log
        seen.update((f.part, f.seen) for f in log.state.found.values() if not SIGHTS[f.part][f.seen].sound)
        for task, value in task_minutes(scope, job.id, log.state).items():
            minutes.setdefault(task, []).append(value)
    reference = reference_for(workshop, scope, jobs[0]) if jobs else None
    own = reference is not None and reference.interface is not None
    return Learnt(
        jobs=count,
        found=tuple((PART_WORDS[p], SIGHTS[p][s].words, n) for (p, s), n in seen.most_common(8)),
        minutes={task: (median(values), len(values)) for task, values in sorted(minutes.items())},
        before_rise_k=_rise(scope, jobs, "before"),
        after_rise_k=_rise(scope, jobs, "after"),
        interface_k_per_w=reference.interface if own and reference else None,
        total_k_per_w=reference.total if own and reference else None,
        reference=sentence(reference.source.words if own and reference else ""),
    )


def _rise(scope: Scope, jobs: Sequence[Job], side: str) -> float | None:
    if not jobs:
        return None
    query = scope.select(Run).where(Run.side == side, Run.job_id.in_([j.id for j in jobs]))
    rises = [r.glance.get("rise_k") for r in scope.session.scalars(query)]
    known = [float(r) for r in rises if r is not None]
    return median(known) if known else None


def export_model(workshop: Workshop, actor: Actor, model_id: uuid.UUID) -> tuple[str, str]:
    """The model as JSON for another shop, and a name for the file. Nothing of any customer is in it."""
    with workshop.scope(actor) as scope:
        row = scope.get(DeviceModel, model_id)
        sheet = sheet_of(row)
        data = sheet_data(sheet)
        if row.outline_photo is not None:
            photo = scope.get(Photo, row.outline_photo)
            raw = workshop.files.photo(actor.shop_id, photo.sha256, "large").read_bytes()
            data[OUTLINE_KEY] = base64.b64encode(raw).decode()
    name = "".join(c if c.isalnum() else "-" for c in f"{sheet.maker}-{sheet.model}".lower()).strip("-")
    return json.dumps(data, ensure_ascii=False, indent=1), f"model-{name}.json"


def import_model(workshop: Workshop, actor: Actor, text: str, *, replace_kept: bool) -> ModelView:
    """Take a model in from another shop, whole or not at all. One that is kept already is only replaced when asked."""
    try:
        data = json.loads(text)
    except ValueError as error:
        raise Refused("invalid", say("models-file-no-json"), field="file") from error
    if not isinstance(data, dict):
        raise Refused(
            "invalid", say("models-file-no-model-sheet"), field="file", remedy=say("models-needs-format", format=FORMAT)
        )
    outline = data.pop(OUTLINE_KEY, None)
    try:
        sheet = sheet_from(data)
    except CoreError as error:
        remedy = error.remedy or say("models-export-again")
        raise Refused("invalid", error.message, field="file", remedy=remedy) from error
    except TypeError as error:
        raise Refused(
            "invalid", say("models-file-no-model-sheet"), field="file", remedy=say("models-export-again")
        ) from error
    picture = _picture(outline)
    with workshop.scope(actor) as scope:
        row = scope.one(DeviceModel, DeviceModel.maker == sheet.maker, DeviceModel.model == sheet.model)
        if row is not None and not replace_kept:
            raise Refused("conflict", say("models-kept-already", model=sheet.model), reason="kept")
        photo = (
            keep_photo(workshop, scope, actor, job_id=None, photo_id=uuid.uuid4(), scaled=scale(picture)).id
            if picture
            else None
        )
        row = _keep(scope, actor, row=row, sheet=sheet, outline=photo, source="imported")
        return _view(workshop, scope, row, sheet)


def _picture(outline: Any) -> bytes | None:  # noqa: ANN401 - it comes from a file
    if outline is None:
        return None
    try:
        return base64.b64decode(outline, validate=True)
    except (binascii.Error, ValueError, TypeError) as error:
        raise Refused("invalid", say("models-outline-in-file-damaged"), field="file") from error
