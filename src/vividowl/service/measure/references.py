"""What a device's response is judged against: its own last visit, else its model, else its class."""

from __future__ import annotations

from collections.abc import Sequence

from vividowl.core.quantities.units import DAYS_A_MONTH
from vividowl.core.reading.measured import Measured, resistance
from vividowl.core.reading.reading import Reading
from vividowl.core.response.reference import Reference, Source, class_reference, reference_from
from vividowl.core.response.terms import Response
from vividowl.core.runs.drift import drift
from vividowl.service.attempts.failing import has_failed
from vividowl.service.measure.comparing import kept, tolerances_of
from vividowl.service.measure.readings import reading_of
from vividowl.service.workshop import Workshop
from vividowl.store.devices import Device
from vividowl.store.measuring import Run, TraceFile
from vividowl.store.models import Job
from vividowl.store.scope import Scope

VISITS_LOOKED_AT = 6
PLANNED_MOST_MONTHS = 120.0


def _healthy(workshop: Workshop, scope: Scope, jobs: Sequence[Job]) -> list[Response]:
    """Responses after earlier services."""
    found = []
    for job in jobs:
        run = scope.run(job.id, "after")
        if run is None or has_failed(run.glance):
            continue
        query = scope.select(TraceFile).where(TraceFile.run_id == run.id, TraceFile.removed_at.is_(None))
        trace = scope.session.scalars(query.order_by(TraceFile.uploaded_at)).first()
        if trace is not None:
            response = reading_of(workshop, scope.shop_id, trace=trace, run=run, limit_c=job.limit_c).response
            if response is not None:
                found.append(response)
    return found


def _earlier(scope: Scope, job: Job) -> list[Job]:
    """Earlier jobs on the same model that were measured After, latest first."""
    query = (
        scope.select(Job)
        .join(Device, Device.id == Job.device_id)
        .where(
            Job.id != job.id,
            Device.maker == job.maker,
            Device.model == job.model,
            Job.created_at < job.created_at,
        )
        .join(Run, Run.job_id == Job.id)
        .where(Run.side == "after")
        .order_by(Job.created_at.desc())
        .limit(VISITS_LOOKED_AT)
    )
    return list(scope.session.scalars(query).unique())


def _resistance(workshop: Workshop, scope: Scope, job: Job, side: str) -> tuple[Measured, Run, Reading] | None:
    """The resistance of one side of a job [K/W] with its run and reading, None when it is not known."""
    run = scope.run(job.id, side)
    traces = kept(scope, TraceFile, run)
    if run is None or run.room_c is None or not traces:
        return None
    reading = reading_of(workshop, scope.shop_id, trace=traces[0], run=run, limit_c=job.limit_c)
    found = resistance(reading, run.room_c, tol=tolerances_of(scope))
    return (found, run, reading) if found is not None else None


def months_until_held(workshop: Workshop, scope: Scope, job: Job) -> float | None:
    """When this device would be held back again after the present service, by what it lost since the one before.

    None without an earlier visit of the same device, where a reading, a power or a limit is missing, where no drift is
    shown, or where it lies further off than anybody plans.
    """
    last = next((j for j in _earlier(scope, job) if j.device_id == job.device_id), None)
    then = _resistance(workshop, scope, last, "after") if last is not None else None
    came_in, now = (_resistance(workshop, scope, job, side) for side in ("before", "after"))
    if last is None or then is None or came_in is None or now is None:
        return None
    run, reading = now[1:]
    limit = job.limit_c if job.limit_c is not None else reading.throttling.limit_c
    months = (job.created_at - last.created_at).days / DAYS_A_MONTH
    if reading.power is None or limit is None or months < 1.0 or run.room_c is None:
        return None
    sides = (then[0], came_in[0])
    found = drift([0.0, months], [m.value for m in sides], [m.moving for m in sides])
    if not found.shown or found.slope <= 0.0:
        return None
    left = ((limit - run.room_c) / reading.power.mean - now[0].value) / found.slope
    return max(0.0, left) if left <= PLANNED_MOST_MONTHS else None


def reference_for(workshop: Workshop, scope: Scope, job: Job) -> Reference:
    """The best reference there is for a job."""
    if job.model:
        jobs = _earlier(scope, job)
        own = _healthy(workshop, scope, [j for j in jobs if j.device_id == job.device_id][:1])
        for responses, source in (
            (own, Source.OWN_LAST_VISIT),
            (_healthy(workshop, scope, jobs) if not own else [], Source.SAME_MODEL),
        ):
            reference = reference_from(responses, source)
            if reference is not None:
                return reference
    return class_reference(job.kind)
