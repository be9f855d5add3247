"""Verdict: what the two runs of a job show."""

from __future__ import annotations

import uuid

from vividowl.core.quantities.words import say
from vividowl.service.errors import Refused
from vividowl.service.measure.comparing import Compared, compare_job
from vividowl.service.workshop import Actor, Workshop
from vividowl.store.models import Job


def get_verdict(workshop: Workshop, actor: Actor, job_id: uuid.UUID) -> Compared:
    """The comparison of a job's runs."""
    with workshop.scope(actor) as scope:
        compared = compare_job(workshop, scope, scope.get(Job, job_id))
        if compared is None:
            raise Refused(
                "conflict",
                say("verdict-there-nothing-to-compare-yet"),
                remedy=say("verdict-drop-missing-log-in-its"),
                reason="not_yet",
            )
        return compared
