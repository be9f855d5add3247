"""What is known of a device before anything is decided."""

from __future__ import annotations

from dataclasses import dataclass, replace

from vividowl.core.plan.opening import Advice as OpeningAdvice
from vividowl.core.plan.opening import NewMachine, is_new, should_open
from vividowl.core.plan.spots import Inspection
from vividowl.core.plan.unknowns import Known, interface_of
from vividowl.core.quantities.words import Words, say
from vividowl.core.reading.measured import Measured, resistance
from vividowl.core.reading.reading import Reading
from vividowl.core.response.reference import Source as ReferenceSource
from vividowl.core.response.reference import judge_response
from vividowl.core.sound.levels import energy_mean
from vividowl.core.trace.roles import Role
from vividowl.core.trace.throttling import HELD_SHARE
from vividowl.service.jobs.device import is_fanless
from vividowl.service.measure.comparing import judged_by, kept, power_limit_of
from vividowl.service.measure.frames import frames_of_run, kept_frames
from vividowl.service.measure.readings import noise_of, reading_of
from vividowl.service.measure.references import reference_for
from vividowl.service.workshop import Workshop
from vividowl.store.measuring import NoiseReading, Run, TraceFile
from vividowl.store.models import Job
from vividowl.store.scope import Scope

Z_80 = 1.2816  # half the width of an 80 % interval in standard deviations of a normal distribution


@dataclass(frozen=True, kw_only=True)
class BeforeKnown:
    """The Before reading as the prediction needs it."""

    run: Run
    reading: Reading
    resistance: Measured
    level_db: float | None
    room_db: float | None


def before_of(workshop: Workshop, scope: Scope, job: Job) -> BeforeKnown | Words:
    """The Before reading, or what it lacks."""
    run = scope.run(job.id, "before")
    traces = kept(scope, TraceFile, run)
    if run is None or not traces:
        return say("known-there-no-before-log-yet")
    reading = reading_of(workshop, scope.shop_id, trace=traces[0], run=run, limit_c=job.limit_c)
    if run.room_c is None:
        return say("known-room-temperature-before-run-not")
    if reading.power is None:
        return say("known-before-log-has-no-power")
    tolerances, _ = judged_by(scope, job)
    found = resistance(reading, run.room_c, tol=tolerances)
    if found is None or not found.value > 0:
        return say("known-before-log-does-not-say")
    rows = kept(scope, NoiseReading, run)
    noise, rooms = noise_of(rows), [r.background_db for r in rows if r.background_db is not None]
    return BeforeKnown(
        run=run,
        reading=reading,
        resistance=found,
        level_db=noise.level_db if noise is not None else None,
        room_db=energy_mean(rooms) if rooms else None,
    )


def known_of(
    workshop: Workshop, scope: Scope, job: Job, *, before: BeforeKnown, found: Inspection
) -> tuple[Known, Words]:
    """What is known, and in words what it is judged against."""
    reading, response = before.reading, before.reading.response
    assert reading.power is not None  # noqa: S101 - before_of has looked
    reference = reference_for(workshop, scope, job)
    own = reference is not None and reference.source is not ReferenceSource.CLASS_TYPICAL
    healthy = reference if own and reference is not None and reference.interface is not None else None
    held = (reading.throttling.share or 0.0) > HELD_SHARE
    limit = job.limit_c if job.limit_c is not None else reading.throttling.limit_c
    months = job.months_since_service if job.months_since_service is not None else job.age_months
    split = interface_of(response)
    # Where it would end is advice, and a plan is advice: what is to come of a short run belongs to what is repaired.
    ends_at = before.resistance.value + (reading.window.remaining_rise_k or 0.0) / reading.power.mean
    fanless = is_fanless(job) and Role.FAN_SPEED not in reading.stats
    known = Known(
        resistance=ends_at,
        resistance_u=before.resistance.own,
        power=reading.power.mean,
        room_c=before.run.room_c or 0.0,
        interface=split[0] if split else None,
        interface_u=split[1] if split else 0.0,
        limit_c=limit,
        held=held,
        fanless=fanless,
        kind=job.kind,
        months=months,
        surroundings=job.surroundings,
        die_mm2=found.die_mm2,
        old_interface=found.old_interface,
        dust=found.dust,
        healthy_interface=healthy.interface if healthy else None,
        healthy_total=healthy.total if healthy else None,
        power_limit=power_limit_of(job, [reading]),
        sealed_new=_sealed_new(job),
        fan_floor=_fan_floor(before),
        noise_floor_db=_noise_floor(before),
    )
    return known, (healthy.source if healthy else ReferenceSource.CLASS_TYPICAL).words


def _sealed_new(job: Job) -> bool:
    """Whether nobody but the maker can have had it open, and it is too young for dust."""
    return job.seal == "intact" and is_new(job.age_months, job.months_since_service)


def advice_for(workshop: Workshop, scope: Scope, job: Job, before: BeforeKnown | Words) -> OpeningAdvice | None:
    """Whether a new machine should be opened at all; None for one that is not new."""
    if not is_new(job.age_months, job.months_since_service):
        return None
    if not isinstance(before, BeforeKnown):
        return should_open(
            NewMachine(
                held_share=None,
                pace=None,
                level_db=None,
                sealed=job.seal == "intact",
                warranty=job.warranty.value,
                interface_bad=False,
            )
        )
    reading = before.reading
    frames = frames_of_run(kept_frames(scope, before.run), reading.pace.frames)
    judged = judge_response(reading.response, reference_for(workshop, scope, job)) if reading.response else None
    return should_open(
        NewMachine(
            held_share=reading.throttling.share,
            pace=replace(reading.pace, frames=frames),
            level_db=before.level_db,
            sealed=job.seal == "intact",
            warranty=job.warranty.value,
            interface_bad=judged is not None and judged.interface_poor,
        )
    )


def _fan_floor(before: BeforeKnown) -> float | None:
    """Lowest speed that the fan was seen at over that of the load."""
    fan = before.reading.stats.get(Role.FAN_SPEED)
    if fan is None or before.reading.idle_fan_rpm is None or not fan.mean > 0:
        return None
    return min(1.0, max(0.05, before.reading.idle_fan_rpm / fan.mean))


def _noise_floor(before: BeforeKnown) -> float | None:
    """The room's level over that of the run, by a meter that read both [dB]."""
    return before.room_db - before.level_db if before.room_db is not None and before.level_db is not None else None
