"""Devices. Values as they are shown. No decisions here."""

from __future__ import annotations

from vividowl.core.job.device import RunSide
from vividowl.core.quantities.uncertainty import COVERAGE_FACTOR
from vividowl.core.quantities.words import say
from vividowl.core.runs.since_service import Advice
from vividowl.service.devices.devices import DeviceRow
from vividowl.service.devices.history import Figure, History, Visit
from vividowl.web.devices.schemas import (
    ChangeOut,
    DeviceOut,
    DeviceRowOut,
    DriftOut,
    FigureOut,
    FittedItemOut,
    VisitOut,
)
from vividowl.words import sentence, sentences


def row_out(row: DeviceRow) -> DeviceRowOut:
    """A device in the list."""
    own = {n: getattr(row.device, n) for n in ("id", "kind", "maker", "model", "serial", "tag")}
    return DeviceRowOut(**own, customer=row.customer, visits=row.visits, last_on=row.last_on)


def _figure(f: Figure | None) -> FigureOut | None:
    if f is None:
        return None
    hot = [sentence(say("history-hot", sensor=say(f"sensor-{s.role}"), over=s.over_limit_k)) for s in f.hot]
    return FigureOut(resistance_k_per_w=f.resistance, u95_k_per_w=COVERAGE_FACTOR * f.u, settled=f.settled, hot=hot)


def _visit(v: Visit) -> VisitOut:
    after = next((run for run in v.job.runs if run.side is RunSide.AFTER), None)
    return VisitOut(
        job_id=v.job.id,
        number=v.job.number,
        on=v.on,
        months=v.months,
        symptom=v.job.symptom,
        handed_over=v.job.handed_over_at is not None,
        verdict=after.glance.get("verdict") if after is not None else None,
        before=_figure(v.before),
        after=_figure(v.after),
        fitted=[FittedItemOut.model_validate(i) for i in v.fitted],
    )


def device_out(h: History) -> DeviceOut:
    """A device with its history."""
    own = {n: getattr(h.device, n) for n in DeviceOut.model_fields if hasattr(h.device, n)}
    d = h.since.drift if h.since is not None else None
    return DeviceOut(
        **own,
        customer=h.customer.name,
        customer_contact=h.customer.contact,
        visits=[_visit(v) for v in h.visits],
        drift=None
        if d is None
        else DriftOut(
            slope_k_per_w_month=d.slope,
            u95_k_per_w_month=d.u95,
            shown=d.shown,
            months_to_limit=d.to_limit,
            months_to_limit_low=d.earliest,
            months_to_limit_high=d.latest,
            reason=sentence(d.reason),
        ),
        limit_k_per_w=h.limit_k_per_w,
        lost_percent=None if h.since is None else 100.0 * h.since.lost_share,
        advice=(h.since.advice if h.since is not None else Advice.UNKNOWN).value,
        reasons=list(sentences(h.reasons)),
        changes=[
            ChangeOut(id=c.id, at=c.at, visits=len(c.moved), here=c.to_device_id == h.device.id) for c in h.changes
        ],
    )
