"""Hand over: price, next date, and the record that the customer gets."""

from __future__ import annotations

import uuid
from collections.abc import Mapping
from dataclasses import asdict
from typing import Any

from vividowl.core.quantities.errors import require_range
from vividowl.core.quantities.words import say
from vividowl.service.attempts.failing import has_failed
from vividowl.service.clock import server_now
from vividowl.service.errors import Refused
from vividowl.service.jobs.intake import LEFT_ALONE
from vividowl.service.measure.comparing import compare_job, judged_by
from vividowl.service.plan.found import plan_row
from vividowl.service.record.versions import Edge, Kept, keep_version, kept_of, require_why, versions_of
from vividowl.service.workshop import Actor, Workshop, check_version
from vividowl.store.models import Job

# What is settled with the owner as a device goes out.
LIMITS = ("limit_c", "power_limit_cpu_w", "power_limit_gpu_w", "power_limit_both_w", "sensor_limits")
SETTLED = ("price_cents", "next_service_on", "handover_note")


def hand_over(
    workshop: Workshop,
    actor: Actor,
    job_id: uuid.UUID,
    *,
    version: int,
    given: Mapping[str, Any],
    handed_over: bool,
    why: str,
    edge: Edge,
) -> Kept:
    """Save price, date and note, of which what is not given stays; hand the device over, or take the hand-over back.
    What is handed over is kept as a version of the record; what is changed after that needs a reason and is the next
    one. edge: how it leaves the house."""
    if given.get("price_cents") is not None:
        require_range(
            "price_cents", given["price_cents"] / 100, "", (0, 100000), hint=say("handover-type-price-with-point-or")
        )
    with workshop.scope(actor) as scope:
        job = scope.get(Job, job_id, lock=True)
        check_version(job.version, version, say("handover-hand-over"))
        if handed_over and job.battery_swollen:
            raise Refused(
                "conflict", say("handover-job-stopped-battery-swollen"), remedy="See Intake.", reason="stopped"
            )
        plan = plan_row(scope, job.id)
        left_alone = plan is not None and plan.chosen is not None and plan.chosen["key"] == LEFT_ALONE
        if handed_over and not left_alone and compare_job(workshop, scope, job) is None:
            raise Refused("conflict", say("handover-there-no-after-log-so"), field="handed_over", reason="not_yet")
        after = scope.run(job.id, "after")
        if handed_over and job.handed_over_at is None and after is not None and has_failed(after.glance):
            raise Refused(
                "conflict",
                say("handover-service-failed", failure=after.glance["failure"]),
                field="handed_over",
                reason="failed",
            )
        told = tuple(given.get(name, getattr(job, name)) for name in SETTLED)
        closes = handed_over and job.handed_over_at is None
        corrects = handed_over and not closes and told != tuple(getattr(job, name) for name in SETTLED)
        if corrects:
            require_why(why, versions_of(scope, job.id))
        job.price_cents, job.next_service_on, job.handover_note = told
        if closes:
            job.handed_over_at = server_now()
            tolerances, reference_room_c = judged_by(scope, job)
            limits = {name: getattr(job.device, name) for name in LIMITS}
            job.judged_by = {
                "tolerances": asdict(tolerances),
                "reference_room_c": reference_room_c,
                "limits": limits,
            }
        elif not handed_over:
            job.handed_over_at = job.judged_by = None
        scope.session.flush()
        if closes or corrects:
            keep_version(workshop, scope, actor, job=job, why=why.strip(), edge=edge)
        return kept_of(workshop, scope, job)
