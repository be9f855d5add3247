"""Both runs of a job side by side: the comparison, its ladders, and the exhaust explained."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass, replace
from typing import Any

from vividowl.core.heat.air import ExhaustFinding, judge_exhaust
from vividowl.core.materials.kinds import CATALOGUE, Trait
from vividowl.core.quantities.errors import CoreError
from vividowl.core.quantities.uncertainty import Tolerances, checked_tolerances
from vividowl.core.quantities.words import Words, say
from vividowl.core.reading.reading import Reading
from vividowl.core.response.ladder import Ladder, build_ladder, culprit
from vividowl.core.response.terms import common_boundary
from vividowl.core.trace.roles import ROLE_KINDS, Role
from vividowl.core.verdict.comparison import Comparison, compare
from vividowl.core.verdict.conditions import NO_FAN, Conditions
from vividowl.core.verdict.parts import Side
from vividowl.service.jobs.device import is_fanless
from vividowl.service.measure.frames import frames_of_run, kept_frames
from vividowl.service.measure.readings import noise_of, reading_of
from vividowl.service.measure.sounds import kept_sounds, recorded_level
from vividowl.service.workshop import Workshop
from vividowl.store.measuring import FrameFile, NoiseReading, Run, SoundFile, SpotReading, TraceFile
from vividowl.store.models import FitItem, Job
from vividowl.store.scope import Scope

# A chip that takes less than this of the power idles.
IDLE_SHARE = 0.1
BURN_IN_WORDS = say("comparing-phase-change-interface-was-fitted")


@dataclass(frozen=True, kw_only=True)
class Compared:
    """The comparison with what is drawn beside it."""

    comparison: Comparison
    before: Run
    after: Run
    before_trace: TraceFile
    after_trace: TraceFile
    before_reading: Reading
    after_reading: Reading
    before_ladder: Ladder | None
    after_ladder: Ladder | None
    culprit: str | None
    exhaust: ExhaustFinding | None
    notes: tuple[Words, ...]


def kept(scope: Scope, table: Any, run: Run | None) -> Sequence[Any]:  # noqa: ANN401
    """Logs or readings of a run that were not removed, in order."""
    if run is None:
        return []
    query = scope.select(table).where(table.run_id == run.id, table.removed_at.is_(None))
    order = (table.is_repeat, table.uploaded_at) if table is TraceFile else (table.created_at,)
    return scope.session.scalars(query.order_by(*order, table.id)).all()


def ladder_of(
    run: Run, reading: Reading, spots: Sequence[SpotReading], boundary_s: float | None = None
) -> Ladder | None:
    """The heat ladder of a run: by probes where read, else from the log. None without a room. boundary_s: what parts
    the interface from the rest in both runs of a job [s]."""
    if run.room_c is None:
        return None

    def probe(spot: str, role: Role) -> float | None:
        by_hand = [s.reading_c for s in spots if s.spot == spot]
        if by_hand:
            return sum(by_hand) / len(by_hand)
        logged = reading.stats.get(role)
        return logged.mean if logged else None

    return build_ladder(
        reading.die.mean,
        run.room_c,
        reading.power.mean if reading.power else None,
        heatsink_c=probe("heatsink", Role.HEATSINK_TEMPERATURE),
        exhaust_c=probe("exhaust", Role.EXHAUST_TEMPERATURE),
        response=reading.response,
        boundary_s=boundary_s,
    )


def tolerances_of(scope: Scope) -> Tolerances:
    """The shop's own half-widths over the defaults."""
    return checked_tolerances(scope.shop().tolerances)


def judged_by(scope: Scope, job: Job) -> tuple[Tolerances, float]:
    """Tolerances and reference room [degC] of a job: those it was handed over with, else the shop's present ones."""
    if job.judged_by is not None:
        return checked_tolerances(job.judged_by["tolerances"]), float(job.judged_by["reference_room_c"])
    return tolerances_of(scope), scope.shop().reference_room_c


def _side(
    job: Job,
    run: Run,
    *,
    trace: TraceFile,
    reading: Reading,
    noise: Sequence[NoiseReading],
    recordings: Sequence[SoundFile],
    frame_files: Sequence[FrameFile] = (),
) -> Side:
    frames = frames_of_run(frame_files, reading.pace.frames)
    conditions = Conditions(
        load=run.load_recipe,
        fan=NO_FAN if is_fanless(job) else run.fan_setting,
        power_profile=run.power_profile,
        placement=run.placement,
        start=say(f"start-{run.start.value}") if run.start else None,
        firmware=run.firmware,
        tuning=run.tuning,
        sensor=ROLE_KINDS[reading.die_role].words,
        room_c=run.room_c,
        duration_min=run.duration_min,
        die_column=next((c["header"] for c in trace.channels if c["role"] == reading.die_role), None),
    )
    results = {
        name: value
        for name, value in (
            ("score", run.result_score),
            ("duration", run.result_duration_s),
            ("frame_rate", run.result_frame_rate or (frames.rate if frames is not None else None)),
        )
        if value is not None
    }
    return Side(
        conditions=conditions,
        reading=reading,
        noise=noise_of(noise),
        recording=recorded_level(recordings, run.fan_blades),
        results=results,
    )


def _repeat(workshop: Workshop, scope: Scope, *, run: Run, trace: TraceFile, job: Job) -> Side:
    """A repeat of a run's recipe: it has a log, while meter, phone and results belong to the run."""
    reading = reading_of(workshop, scope.shop_id, trace=trace, run=run, limit_c=job.limit_c, repeat=True)
    return replace(_side(job, run, trace=trace, reading=reading, noise=(), recordings=()), results={})


def _ladders(
    runs: Sequence[Run], readings: Sequence[Reading], spots: Sequence[Sequence[SpotReading]]
) -> list[Ladder | None]:
    """Both ladders, parted at one and the same time constant; None where one cannot be built."""
    first, second = (r.response for r in readings)
    boundary = common_boundary(first, second) if first is not None and second is not None else None
    out: list[Ladder | None] = []
    for run, reading, by_hand in zip(runs, readings, spots, strict=True):
        told = reading if boundary is not None else replace(reading, response=None)
        try:
            out.append(ladder_of(run, told, by_hand, boundary))
        except CoreError:
            out.append(None)
    return out


def _exhaust(
    runs: Sequence[Run],
    readings: Sequence[Reading],
    spots: Sequence[Sequence[SpotReading]],
    level_change_db: float | None,
) -> ExhaustFinding | None:
    values: list[float] = []
    for run, reading, by_hand in zip(runs, readings, spots, strict=True):
        read = [s.reading_c for s in by_hand if s.spot == "exhaust"]
        logged = reading.stats.get(Role.EXHAUST_TEMPERATURE)
        if run.room_c is None or not (read or logged):
            return None
        values += [sum(read) / len(read) if read else logged.mean if logged else 0.0, run.room_c]
    watts = [reading.power.mean if reading.power else None for reading in readings]
    ratio = watts[1] / watts[0] if watts[0] and watts[1] else 1.0
    fans = [reading.stats.get(Role.FAN_SPEED) for reading in readings]
    speeds = [fan.mean if fan is not None else 0.0 for fan in fans]
    fan_ratio = speeds[1] / speeds[0] if min(speeds) > 0 else None
    return judge_exhaust(
        values[0],
        values[1],
        after_c=values[2],
        after_room_c=values[3],
        level_change_db=level_change_db,
        power_ratio=ratio,
        fan_ratio=fan_ratio,
    )


def compare_job(workshop: Workshop, scope: Scope, job: Job) -> Compared | None:
    """Compare Before and After of a job, None while one of them has no log."""
    return compare_runs(workshop, scope, job, before=scope.run(job.id, "before"), after=scope.run(job.id, "after"))


def compare_runs(
    workshop: Workshop, scope: Scope, job: Job, *, before: Run | None, after: Run | None
) -> Compared | None:
    """Compare any two runs of a job, None while one of them has no log."""
    traces = [kept(scope, TraceFile, run) for run in (before, after)]
    if before is None or after is None or not traces[0] or not traces[1]:
        return None
    pair, logs = (before, after), (traces[0][0], traces[1][0])
    readings = [
        reading_of(workshop, scope.shop_id, trace=t, run=r, limit_c=job.limit_c)
        for r, t in zip(pair, logs, strict=True)
    ]
    noise = [kept(scope, NoiseReading, run) for run in pair]
    spots = [kept(scope, SpotReading, run) for run in pair]
    sides = [
        [
            _side(
                job,
                run,
                trace=logs[i],
                reading=readings[i],
                noise=noise[i],
                recordings=kept_sounds(scope, run),
                frame_files=kept_frames(scope, run),
            ),
            *(_repeat(workshop, scope, run=run, trace=trace, job=job) for trace in traces[i][1:]),
        ]
        for i, run in enumerate(pair)
    ]
    tolerances, reference_room_c = judged_by(scope, job)
    comparison = compare(
        sides[0],
        sides[1],
        limit_c=job.limit_c,
        power_limit=power_limit_of(job, readings),
        tolerances=tolerances,
        reference_room_c=reference_room_c,
        sensor_limits_c=sensor_limits_of(job),
    )
    ladders = _ladders(pair, readings, spots)
    fitted = scope.session.scalars(
        scope.select(FitItem).where(
            FitItem.job_id == job.id, FitItem.attempt == job.attempt, FitItem.removed_at.is_(None)
        )
    ).all()
    notes = (
        (BURN_IN_WORDS,)
        if any(CATALOGUE[item.kind].has(Trait.BURN_IN) for item in fitted if item.kind in CATALOGUE)
        else ()
    )
    return Compared(
        comparison=comparison,
        before=before,
        after=after,
        before_trace=logs[0],
        after_trace=logs[1],
        before_reading=readings[0],
        after_reading=readings[1],
        before_ladder=ladders[0],
        after_ladder=ladders[1],
        culprit=culprit(ladders[0], ladders[1], shown=comparison.claims) if ladders[0] and ladders[1] else None,
        exhaust=_exhaust(pair, readings, spots, comparison.effect("noise").difference),
        notes=notes,
    )


def sensor_limits_of(job: Job) -> dict[Role, float]:
    """Noted limits of the sensors of a job's device [degC]."""
    return {Role(role): limit_c for role, limit_c in job.sensor_limits.items()}


def power_limit_of(job: Job, readings: Sequence[Reading]) -> float | None:
    """What the device draws at most [W]: the limits of the chips that take a part in its load, and no more than the
    limit that they share, noted or shown by a log. None when one of the former is not known and they share none, since
    one limit alone must not stand for both chips."""
    shares = {
        chip: max((s.mean for r in readings if (s := r.stats.get(role)) is not None), default=0.0)
        for chip, role in (("cpu", Role.CPU_POWER), ("gpu", Role.GPU_POWER))
    }
    limits = {"cpu": job.power_limit_cpu_w, "gpu": job.power_limit_gpu_w}
    whole = sum(shares.values())
    working = [chip for chip, watts in shares.items() if watts > IDLE_SHARE * whole]
    known = [limits[chip] for chip in working]
    own = sum(w for w in known if w is not None) if known and None not in known else None
    shown = next((r.shared_limit_w for r in readings if r.shared_limit_w is not None), None)
    shared = job.power_limit_both_w if job.power_limit_both_w is not None else shown
    return min((w for w in (own, shared) if w is not None), default=None)


def note_verdict(workshop: Workshop, scope: Scope, job: Job) -> None:
    """Keep the verdict's word with the After run, for the owl's beak."""
    compared = compare_job(workshop, scope, job)
    run = scope.run(job.id, "after")
    if run is not None:
        run.glance = {**run.glance, "verdict": compared.comparison.verdict.value if compared else None}
