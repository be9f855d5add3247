"""Jobs: intake, gates, fit, hand-over. Values as they are shown. No decisions here."""

from __future__ import annotations

from vividowl.service.jobs.intake import JobView
from vividowl.web.jobs.schemas import GlanceOut, JobOut
from vividowl.words import sentence


def job_out(view: JobView) -> JobOut:
    """A job."""
    job = view.job
    own = {n: getattr(job, n) for n in JobOut.model_fields if hasattr(job, n)}
    return JobOut(
        **own,
        serial=job.device.serial,
        tag=job.device.tag,
        lidded=job.device.lidded,
        customer_name=job.customer.name,
        customer_contact=job.customer.contact,
        stage=view.stage,
        next_step=sentence(view.next_step),
        reachable=list(view.reachable),
        done=list(view.done),
        gates=list(view.gates),
        glance_before=GlanceOut.model_validate(view.glance_before),
        glance_after=GlanceOut.model_validate(view.glance_after),
        verdict=view.verdict,
        failed=view.failed,
        from_list=job.import_id is not None,
        visit=view.visit,
        visits=view.visits,
    )
