"""What a device's response is judged against: its own last visit, else its model, else its class."""

from __future__ import annotations

from collections.abc import Sequence

from vividowl.core.network import Response
from vividowl.core.reference import Reference, Source, class_reference, reference_from
from vividowl.service.readings import reading_of
from vividowl.service.workshop import Workshop
from vividowl.store.models import Job, Run, TraceFile
from vividowl.store.scope import Scope

VISITS_LOOKED_AT = 6


def _healthy(workshop: Workshop, scope: Scope, jobs: Sequence[Job]) -> list[Response]:
    """Responses after earlier services."""
    found = []
    for job in jobs:
        run = scope.run(job.id, "after")
        if run is None:
            continue
        query = scope.select(TraceFile).where(TraceFile.run_id == run.id, TraceFile.removed_at.is_(None))
        trace = scope.session.scalars(query.order_by(TraceFile.uploaded_at)).first()
        if trace is not None:
            response = reading_of(workshop, scope.shop_id, trace, run, job.limit_c).response
            if response is not None:
                found.append(response)
    return found


def reference_for(workshop: Workshop, scope: Scope, job: Job) -> Reference:
    """The best reference there is for a job."""
    if job.model:
        earlier = (
            scope.select(Job)
            .where(Job.id != job.id, Job.maker == job.maker, Job.model == job.model, Job.created_at < job.created_at)
            .join(Run, Run.job_id == Job.id)
            .where(Run.side == "after")
            .order_by(Job.created_at.desc())
            .limit(VISITS_LOOKED_AT)
        )
        jobs = scope.session.scalars(earlier).unique().all()
        own = _healthy(workshop, scope, [j for j in jobs if j.customer_id == job.customer_id][:1])
        for responses, source in (
            (own, Source.OWN_LAST_VISIT),
            (_healthy(workshop, scope, jobs) if not own else [], Source.SAME_MODEL),
        ):
            reference = reference_from(responses, source)
            if reference is not None:
                return reference
    return class_reference(job.kind)
