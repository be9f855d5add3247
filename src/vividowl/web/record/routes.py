"""Verdict, hand-over, record."""

from __future__ import annotations

from flask import Response

from vividowl.service.jobs import handover
from vividowl.service.measure import verdict
from vividowl.service.record import data_file
from vividowl.web.access import access, actor, workshop
from vividowl.web.blueprint import blueprint
from vividowl.web.jobs.routes import JobPath
from vividowl.web.jobs.schemas import HandOverIn
from vividowl.web.record.present import record_out, verdict_out
from vividowl.web.record.schemas import RecordOut, VerdictOut

api = blueprint("record", __name__, url_prefix="/api/jobs/<uuid:job_id>")


@api.get("/verdict", responses={200: VerdictOut}, operation_id="getVerdict")
@access("member")
def get_verdict(path: JobPath) -> VerdictOut:
    """Before against after."""
    return verdict_out(verdict.get_verdict(workshop(), actor(), path.job_id))


@api.get("/record", responses={200: RecordOut}, operation_id="getRecord")
@access("member")
def get_record(path: JobPath) -> RecordOut:
    """What the customer gets."""
    return record_out(handover.get_record(workshop(), actor(), path.job_id))


@api.put("/hand-over", responses={200: RecordOut}, operation_id="handOver")
@access("member")
def hand_over(path: JobPath, body: HandOverIn) -> RecordOut:
    """Price, next date, and the hand-over itself."""
    record = handover.hand_over(
        workshop(),
        actor(),
        path.job_id,
        body.version,
        price_cents=body.price_cents,
        next_service_on=body.next_service_on,
        note=body.handover_note,
        handed_over=body.handed_over,
    )
    return record_out(record)


@api.get("/record.pdf", operation_id="getRecordPdf", responses={200: {"content": {"application/pdf": {}}}})
@access("member")
def record_pdf(path: JobPath) -> Response:
    """The record as a PDF."""
    data, name = handover.record_pdf(workshop(), actor(), path.job_id)
    return Response(data, mimetype="application/pdf", headers={"Content-Disposition": f'inline; filename="{name}"'})


@api.get("/record.zip", operation_id="getRecordFile", responses={200: {"content": {"application/zip": {}}}})
@access("member")
def record_file(path: JobPath) -> Response:
    """The data file of the record, signed by the shop."""
    record = record_out(handover.get_record(workshop(), actor(), path.job_id))
    data, name = data_file.data_file(workshop(), actor(), path.job_id, record.model_dump_json(indent=1).encode())
    return Response(data, mimetype="application/zip", headers={"Content-Disposition": f'attachment; filename="{name}"'})
