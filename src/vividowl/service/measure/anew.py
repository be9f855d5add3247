"""What older rules made of runs is made anew in the background: no page waits for it, and none writes by being read."""

from __future__ import annotations

import uuid

import structlog
from sqlalchemy import select

from vividowl.core.job.device import REFERENCES
from vividowl.core.quantities.errors import CoreError
from vividowl.core.verdict.version import RULES_VERSION
from vividowl.service.attempts.failing import note_failure
from vividowl.service.errors import Refused
from vividowl.service.measure.comparing import note_verdict
from vividowl.service.measure.runs import work_out
from vividowl.service.workshop import Workshop
from vividowl.store.measuring import Run
from vividowl.store.models import Job
from vividowl.store.scope import Scope


def make_anew(workshop: Workshop) -> int:
    """Make figures, glances and verdicts anew of all runs that older rules made; how many jobs that were.

    A job at a time, those that are open first. One process does it for a shop: another leaves it to that one. What
    breaks off is gone on with at the next start.
    """
    with workshop.database.session() as session:
        stale = (
            select(Job.shop_id, Job.id)
            .join(Run, Run.job_id == Job.id)
            .where(Run.rules_version < RULES_VERSION, Run.removed_at.is_(None))
            .group_by(Job.shop_id, Job.id)
            .order_by(Job.handed_over_at.is_not(None), Job.updated_at.desc())
        )
        jobs = session.execute(stale).all()
    return sum(_job_anew(workshop, shop_id, job_id) for shop_id, job_id in jobs)


def _job_anew(workshop: Workshop, shop_id: uuid.UUID, job_id: uuid.UUID) -> bool:
    try:
        with workshop.database.session() as session:
            scope = Scope(session, shop_id)
            if not scope.alone_at("make anew"):
                return False
            job = scope.get(Job, job_id, lock=True)
            query = scope.select(Run).where(
                Run.job_id == job.id, Run.rules_version < RULES_VERSION, Run.removed_at.is_(None)
            )
            runs = scope.session.scalars(query.order_by(Run.created_at, Run.id)).all()
            for run in runs:
                work_out(workshop, scope, job, run)
            if any(run.side in REFERENCES for run in runs):
                note_verdict(workshop, scope, job)
                note_failure(scope, job)
            return bool(runs)
    except (CoreError, Refused, OSError) as error:
        # A file that cannot be read any more holds up no other job.
        structlog.get_logger().warning("not made anew", job=str(job_id), error=str(error))
        return False
