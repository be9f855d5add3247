"""Verdict, hand-over, record."""

from __future__ import annotations

from flask import Response

from vividowl.service.jobs import handover
from vividowl.service.measure import verdict
from vividowl.service.record import dates, versions
from vividowl.service.record.versions import Edge
from vividowl.web.access import access, actor, workshop
from vividowl.web.blueprint import blueprint
from vividowl.web.jobs.routes import JobPath
from vividowl.web.jobs.schemas import HandOverIn
from vividowl.web.record.links import record_address
from vividowl.web.record.present import kept_out, record_json, verdict_out
from vividowl.web.record.schemas import RecordOut, RecordQuery, VerdictOut

EDGE = Edge(record_json, record_address)
api = blueprint("record", __name__, url_prefix="/api/jobs/<uuid:job_id>")


@api.get("/verdict", responses={200: VerdictOut}, operation_id="getVerdict")
@access("member")
def get_verdict(path: JobPath) -> VerdictOut:
    """Before against after."""
    return verdict_out(verdict.get_verdict(workshop(), actor(), path.job_id))


@api.get("/record", responses={200: RecordOut}, operation_id="getRecord")
@access("member")
def get_record(path: JobPath, query: RecordQuery) -> RecordOut:
    """What the customer gets."""
    return kept_out(versions.get_record(workshop(), actor(), path.job_id, edge=EDGE, number=query.version))


@api.put("/hand-over", responses={200: RecordOut}, operation_id="handOver")
@access("member")
def hand_over(path: JobPath, body: HandOverIn) -> RecordOut:
    """Price, next date, and the hand-over itself."""
    kept = handover.hand_over(
        workshop(),
        actor(),
        path.job_id,
        version=body.version,
        given=body.model_dump(include=set(handover.SETTLED), exclude_unset=True),
        handed_over=body.handed_over,
        why=body.why,
        edge=EDGE,
    )
    return kept_out(kept)


@api.get("/record.pdf", operation_id="getRecordPdf", responses={200: {"content": {"application/pdf": {}}}})
@access("member")
def record_pdf(path: JobPath, query: RecordQuery) -> Response:
    """The record as a PDF."""
    data, name = versions.record_pdf(workshop(), actor(), path.job_id, edge=EDGE, number=query.version)
    return Response(data, mimetype="application/pdf", headers={"Content-Disposition": f'inline; filename="{name}"'})


@api.get("/dates.ics", operation_id="getDates", responses={200: {"content": {"text/calendar": {}}}})
@access("member")
def dates_file(path: JobPath) -> Response:
    """Dates of the job as a calendar file."""
    data, name = dates.job_dates(workshop(), actor(), path.job_id)
    return Response(data, mimetype="text/calendar", headers={"Content-Disposition": f'attachment; filename="{name}"'})


@api.get("/record.zip", operation_id="getRecordFile", responses={200: {"content": {"application/zip": {}}}})
@access("member")
def record_file(path: JobPath, query: RecordQuery) -> Response:
    """The data file of the record, signed by the shop."""
    data, name = versions.data_file(workshop(), actor(), path.job_id, edge=EDGE, number=query.version)
    return Response(data, mimetype="application/zip", headers={"Content-Disposition": f'attachment; filename="{name}"'})
