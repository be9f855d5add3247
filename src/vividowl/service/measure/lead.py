"""The lead of a first look: that nothing is wrong, where that is known."""

from __future__ import annotations

from vividowl.core.quantities.words import Words
from vividowl.core.reading.findings import nothing_wrong
from vividowl.core.reading.measured import resistance
from vividowl.core.reading.reading import Reading
from vividowl.core.runs.since_service import Advice, SinceService
from vividowl.service.measure.comparing import judged_by, sensor_limits_of
from vividowl.service.measure.references import reference_for
from vividowl.service.workshop import Workshop
from vividowl.store.measuring import Run
from vividowl.store.models import Job
from vividowl.store.scope import Scope


def has_lost(since: SinceService | None) -> bool:
    """Whether a device lost much since its own last service: it is not fine then, whatever others of its kind do."""
    return since is not None and since.advice is not Advice.LEAVE


def lead_of(
    workshop: Workshop, scope: Scope, job: Job, *, run: Run, reading: Reading, since: SinceService | None
) -> Words:
    """That nothing is wrong, nothing where that is not known. since: its last service, None where unknown."""
    if has_lost(since):
        return ""
    of = resistance(reading, run.room_c, tol=judged_by(scope, job)[0])
    reference = reference_for(workshop, scope, job)
    return nothing_wrong(reading, job.limit_c, noted=sensor_limits_of(job), reference=reference, of=of) or ""
