"""Before and After: conditions, the log, noise and spot readings."""

from __future__ import annotations

import uuid
from collections.abc import Mapping, Sequence
from dataclasses import dataclass
from typing import Any

from vividowl.core.job.device import REFERENCES, RunSide
from vividowl.core.quantities.errors import CoreError, require_range
from vividowl.core.quantities.units import require_room_c
from vividowl.core.quantities.words import Words, listed, say
from vividowl.core.reading.findings import findings
from vividowl.core.reading.reading import Reading
from vividowl.core.response.ladder import Ladder, culprit
from vividowl.core.sound.levels import NoiseFigure, background_correction, require_level_db
from vividowl.core.trace.roles import Role
from vividowl.core.verdict.version import RULES_VERSION
from vividowl.service.attempts.failing import note_failure
from vividowl.service.clock import server_now
from vividowl.service.devices.history import since_last_service
from vividowl.service.errors import Refused
from vividowl.service.measure.air import AirBalance, air_of
from vividowl.service.measure.comparing import judged_by, kept, ladder_of, note_verdict, sensor_limits_of
from vividowl.service.measure.frames import kept_frames
from vividowl.service.measure.headline import Headline, headline_of
from vividowl.service.measure.lead import has_lost, lead_of
from vividowl.service.measure.readings import glance_of, noise_of, reading_of
from vividowl.service.measure.references import reference_for
from vividowl.service.measure.sounds import SoundView, sound_views
from vividowl.service.plan.planning import note_outcome
from vividowl.service.runs.figures import keep_figures
from vividowl.service.runs.states import put_in_state
from vividowl.service.shop.habits import habits_of
from vividowl.service.workshop import Actor, Workshop, check_version, open_job
from vividowl.store.measuring import FrameFile, NoiseReading, Run, SoundFile, SpotReading, TraceFile
from vividowl.store.models import Job
from vividowl.store.scope import Scope

PLACES_OFFERED = 3  # as many as a finger tells apart in one row; a limit of the product
RECIPE_TEXTS = ("load_recipe", "fan_setting", "power_profile", "placement", "start", "firmware", "tuning")
RECIPE_FIELDS = (*RECIPE_TEXTS, "duration_min", "fan_blades")
RESULT_FIELDS = ("result_score", "result_duration_s", "result_frame_rate")


@dataclass(frozen=True, kw_only=True)
class RepeatView:
    """A repeat of the run's recipe: its file and what it ended at. die_c, power and settled as in the reading."""

    id: uuid.UUID
    file_name: str
    die_c: float
    power: float | None
    settled: bool


@dataclass(frozen=True, kw_only=True)
class RunView:
    """A run with what was read from it. prefilled: the recipe was taken from Before and is not saved yet;
    places_offered: where it may stand, while nobody told it; lead: that nothing is wrong, where that is known."""

    side: str
    version: int
    prefilled: bool
    run: Run
    trace: TraceFile | None
    noise: Sequence[NoiseReading]
    spots: Sequence[SpotReading]
    noise_figure: NoiseFigure | None
    reading: Reading | None
    findings: tuple[Words, ...]
    ladder: Ladder | None
    culprit: str | None
    trouble: Words | None
    repeats: tuple[RepeatView, ...]
    sounds: tuple[SoundView, ...]
    air: AirBalance | None
    frames: Sequence[FrameFile]
    headline: Headline
    places_offered: tuple[str, ...]
    lead: Words


def run_view(workshop: Workshop, scope: Scope, job: Job, side: str) -> RunView:
    """The run of one side; one that was never saved comes with the recipe it is expected to follow."""
    run = scope.run(job.id, side)
    prefilled = False
    version = run.version if run else 0
    if run is None:
        run = Run(
            side=side,
            glance={},
            **dict.fromkeys(RECIPE_TEXTS, ""),
            room_c=None,
            duration_min=None,
            fan_blades=None,
            result_score=None,
            result_duration_s=None,
            result_frame_rate=None,
            window_from_s=None,
            window_to_s=None,
        )
        recipe = _recipe_for(scope, job, side)
        prefilled = side == RunSide.AFTER and bool(recipe)
        for name, value in recipe.items():
            setattr(run, name, value)
    stored = run if version else None
    traces, noise, spots = (kept(scope, table, stored) for table in (TraceFile, NoiseReading, SpotReading))
    trace = traces[0] if traces else None
    reading: Reading | None = None
    told: tuple[Words, ...] = ()
    lead: Words = ""
    ladder, trouble = None, None
    if trace is not None:
        reading = reading_of(workshop, scope.shop_id, trace=trace, run=run, limit_c=job.limit_c)
        tolerances, reference_room_c = judged_by(scope, job)
        since = since_last_service(scope, job, run, trace) if side == RunSide.BEFORE else None
        lost, lead = has_lost(since), lead_of(workshop, scope, job, run=run, reading=reading, since=since)
        told = findings(
            reading,
            run.room_c,
            limit_c=job.limit_c,
            reference=reference_for(workshop, scope, job),
            tolerances=tolerances,
            reference_room_c=reference_room_c,
            sensor_limits_c=sensor_limits_of(job),
            lost=lost,
        )
        if since is not None and lost:
            told = (since.reasons[0], *told)
        try:
            ladder = ladder_of(run, reading, spots)
        except CoreError as error:
            trouble = listed((error.message, error.remedy), "space")
    return RunView(
        side=side,
        version=version,
        prefilled=prefilled,
        run=run,
        trace=trace,
        noise=noise,
        spots=spots,
        noise_figure=noise_of(noise),
        reading=reading,
        findings=told,
        ladder=ladder,
        culprit=culprit(ladder) if ladder else None,
        trouble=trouble,
        repeats=tuple(_repeat_view(workshop, scope, run=run, trace=t, job=job) for t in traces[1:]),
        sounds=sound_views(scope, job, run=stored, blades=run.fan_blades, logged_rpm=_logged_rpm(reading)),
        air=air_of(run, reading, spots) if reading else None,
        frames=kept_frames(scope, stored),
        headline=headline_of(reading, run.room_c, noise_of(noise), judged_by(scope, job)[0]),
        places_offered=_places_offered(scope, job, run),
        lead=lead,
    )


def _logged_rpm(reading: Reading | None) -> float | None:
    fan = reading.stats.get(Role.FAN_SPEED) if reading is not None else None
    return fan.mean if fan is not None else None


def _repeat_view(workshop: Workshop, scope: Scope, *, run: Run, trace: TraceFile, job: Job) -> RepeatView:
    reading = reading_of(workshop, scope.shop_id, trace=trace, run=run, limit_c=job.limit_c, repeat=True)
    power = reading.power.mean if reading.power else None
    return RepeatView(
        id=trace.id, file_name=trace.file_name, die_c=reading.die.mean, power=power, settled=reading.window.settled
    )


def _recipe_for(scope: Scope, job: Job, side: str) -> dict[str, Any]:
    """What a run is expected to follow: After repeats Before, Before goes as this shop usually measures."""
    if side == RunSide.AFTER:
        before = scope.run(job.id, RunSide.BEFORE)
        # Where it stands, and under what lid or cloth, no log shows: that is asked each time.
        copied = [name for name in RECIPE_FIELDS if name != "placement"]
        return {name: getattr(before, name) for name in copied} if before is not None else {}
    if side == RunSide.BEFORE:
        ways = habits_of(scope.shop())
        return {"load_recipe": ways.usual_load, "fan_setting": ways.usual_fan}
    return {}


def _places_offered(scope: Scope, job: Job, run: Run) -> tuple[str, ...]:
    """Where it may stand, as at Before first, then as this shop mostly measures; none once it is told."""
    if run.placement:
        return ()
    before = scope.run(job.id, RunSide.BEFORE) if run.side == RunSide.AFTER else None
    own = [before.placement] if before is not None and before.placement else []
    return tuple(dict.fromkeys([*own, *scope.suggestions(Run.placement, [])]))[:PLACES_OFFERED]


def get_run(workshop: Workshop, actor: Actor, job_id: uuid.UUID, side: str) -> RunView:
    """The run of one side."""
    with workshop.scope(actor) as scope:
        return run_view(workshop, scope, scope.get(Job, job_id), side)


def run_for_writing(scope: Scope, job: Job, side: str) -> Run:
    """The run of one side, locked; made with the recipe it is expected to follow when it is not there yet."""
    run = scope.run(job.id, side, lock=True)
    if run is None:
        run = scope.add(Run(job_id=job.id, side=side, **_recipe_for(scope, job, side)))
    return run


def work_out(workshop: Workshop, scope: Scope, job: Job, run: Run, *, logs: bool = True) -> None:
    """Work out what is kept of a run by the present rules: its state, the figures of its logs, its glance."""
    scope.session.flush()
    put_in_state(scope, job, run)
    traces, noise = kept(scope, TraceFile, run), kept(scope, NoiseReading, run)
    if logs:
        keep_figures(
            workshop,
            run,
            traces=traces,
            limit_c=job.limit_c,
            tolerances=judged_by(scope, job)[0],
            frame_files=kept_frames(scope, run),
        )
        run.rules_version = RULES_VERSION
    run.glance = glance_of(workshop, run, trace=traces[0] if traces else None, limit_c=job.limit_c, noise=noise)
    scope.session.flush()


def finish(workshop: Workshop, scope: Scope, job: Job, run: Run, *, logs: bool = True) -> RunView:
    """Bring the glance up to date and answer with the whole run. logs: whether what they say may have changed."""
    work_out(workshop, scope, job, run, logs=logs)
    if run.side in REFERENCES:
        note_verdict(workshop, scope, job)
        note_outcome(workshop, scope, job)
        note_failure(scope, job)
    job.updated_at = server_now()
    scope.session.flush()
    return run_view(workshop, scope, job, run.key)


def save_run(
    workshop: Workshop, actor: Actor, job_id: uuid.UUID, *, side: str, version: int, fields: Mapping[str, Any]
) -> RunView:
    """Save conditions of a run: what is not given stays."""
    if fields.get("room_c") is not None:
        require_room_c(fields["room_c"])
    if fields.get("duration_min") is not None:
        require_range("duration_min", fields["duration_min"], "min", (0.5, 1440))
    if fields.get("fan_blades") is not None:
        require_range("fan_blades", fields["fan_blades"], "", (3, 120), hint=say("runs-count-blades-one-fan"))
    for name in RESULT_FIELDS:
        if fields.get(name) is not None:
            require_range(name, fields[name], "", (1e-9, 1e12), hint=say("runs-leave-empty-when-there-none"))
    with workshop.scope(actor) as scope:
        job = open_job(scope, job_id)
        run = scope.run(job.id, side, lock=True)
        check_version(run.version if run else 0, version, say("runs-conditions", side=side))
        run = run_for_writing(scope, job, side)
        for name in (*RECIPE_FIELDS, *RESULT_FIELDS, "room_c"):
            if name in fields:
                setattr(run, name, fields[name])
        return finish(workshop, scope, job, run)


_TABLES: dict[str, Any] = {
    "log": TraceFile,
    "noise": NoiseReading,
    "spot": SpotReading,
    "sound": SoundFile,
    "frames": FrameFile,
}


def set_removed(
    workshop: Workshop, actor: Actor, job_id: uuid.UUID, *, side: str, what: str, row_id: uuid.UUID, removed: bool
) -> RunView:
    """Remove a log or a reading, or bring it back. what: a name of the table above."""
    table = _TABLES[what]
    with workshop.scope(actor) as scope:
        job = open_job(scope, job_id)
        run = scope.run(job.id, side, lock=True)
        row: Any = scope.get(table, row_id)
        if run is None or row.run_id != run.id:
            raise Refused("missing", say("runs-there-no-such-reading-on", what=what))
        if what == "log":
            run.window_from_s = run.window_to_s = None
        if what == "log" and not removed and not row.is_repeat:
            # A log that its successor replaced is no repeat of it: brought back, it takes its place again.
            for other in kept(scope, TraceFile, run):
                if not other.is_repeat:
                    other.removed_at = server_now()
        row.removed_at = server_now() if removed else None
        return finish(workshop, scope, job, run)


def add_noise(workshop: Workshop, actor: Actor, job_id: uuid.UUID, *, side: str, fields: Mapping[str, Any]) -> RunView:
    """Note a level read by hand."""
    require_level_db(fields["level_db"])
    if fields["background_db"] is not None:
        background_correction(fields["level_db"], fields["background_db"])
    if fields["distance_m"] is not None:
        require_range("distance_m", fields["distance_m"], "m", (0.01, 20))
    with workshop.scope(actor) as scope:
        job = open_job(scope, job_id)
        run = run_for_writing(scope, job, side)
        scope.add(NoiseReading(run_id=run.id, **fields))
        return finish(workshop, scope, job, run, logs=False)


def add_spot(workshop: Workshop, actor: Actor, job_id: uuid.UUID, *, side: str, fields: Mapping[str, Any]) -> RunView:
    """Note a temperature read at a spot."""
    require_range("reading_c", fields["reading_c"], "°C", (-40, 150), hint=say("runs-type-reading-under-load-in"))
    with workshop.scope(actor) as scope:
        job = open_job(scope, job_id)
        run = run_for_writing(scope, job, side)
        scope.add(SpotReading(run_id=run.id, **fields))
        return finish(workshop, scope, job, run, logs=False)
