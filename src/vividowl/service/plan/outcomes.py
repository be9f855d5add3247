"""What After made of a prediction, and how often the shop's intervals were right."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass
from typing import Any

from vividowl.core.plan.prediction import Interval, share_inside
from vividowl.core.reading.measured import BEHIND_INTERFACE_SHARE, at_fan_speed, resistance
from vividowl.core.trace.roles import Role
from vividowl.service.measure.comparing import judged_by, kept
from vividowl.service.measure.readings import reading_of
from vividowl.service.workshop import Workshop
from vividowl.store.deciding import Plan
from vividowl.store.measuring import TraceFile
from vividowl.store.models import Job
from vividowl.store.scope import Scope


@dataclass(frozen=True, kw_only=True)
class Record:
    """jobs: predicted and measured; inside: of them within their interval; share with its 95 % interval [1]."""

    jobs: int
    inside: int
    share: float | None
    low: float | None
    high: float | None


def outcome_of(workshop: Workshop, scope: Scope, job: Job, chosen: Mapping[str, Any]) -> dict[str, Any] | None:
    """The resistance After at the fan speed of Before against the interval, None while it is not measured.

    Tuning changes the watts and not the resistance, so it is the same measure for every option.
    """
    runs = {side: scope.run(job.id, side) for side in ("before", "after")}
    readings = {}
    for side, run in runs.items():
        traces = kept(scope, TraceFile, run)
        if run is None or not traces:
            return None
        readings[side] = reading_of(workshop, scope.shop_id, trace=traces[0], run=run, limit_c=job.limit_c)
    after_run = runs["after"]
    if after_run is None or after_run.room_c is None:
        return None
    tolerances, _ = judged_by(scope, job)
    found = resistance(readings["after"], after_run.room_c, tol=tolerances)
    fan, fan_after = (readings[side].stats.get(Role.FAN_SPEED) for side in ("before", "after"))
    if fan is not None:
        behind = BEHIND_INTERFACE_SHARE * found.value if found is not None else 0.0
        found = at_fan_speed(
            found, fan_after.mean if fan_after is not None else None, wanted_rpm=fan.mean, behind=behind
        )
    if found is None:
        return None
    predicted = Interval(**chosen["resistance"])
    response = readings["after"].response
    ratio = None
    if response is not None and response.interface > 0 and chosen["kind"] and chosen["interface"]["median"] > 0:
        ratio = response.interface / chosen["interface"]["median"]
    return {
        "resistance": found.value,
        "resistance_u95": found.u95,
        "inside": predicted.holds(found.value),
        "kind": chosen["kind"],
        "interface_ratio": ratio,
    }


def record_of(scope: Scope) -> Record:
    """How often the intervals of the shop held what was measured."""
    rows = scope.session.scalars(scope.select(Plan).where(Plan.outcome.is_not(None))).all()
    inside = [bool((p.outcome or {})["inside"]) for p in rows]
    found = share_inside(inside)
    share, low, high = found or (None, None, None)
    return Record(jobs=len(inside), inside=sum(inside), share=share, low=low, high=high)
