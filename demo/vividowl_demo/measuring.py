"""Runs of the demo: logs, levels, recordings and spots of one device under load."""

from __future__ import annotations

import io
import math
import uuid
from dataclasses import asdict
from datetime import datetime, timedelta
from typing import Any

import numpy as np

from vividowl.core.heat.air import FAN_LEVEL_EXPONENT_DB
from vividowl.core.job.device import REFERENCES
from vividowl.core.simulate.device import simulate
from vividowl.core.simulate.sound import simulate_fan_sound
from vividowl.core.trace.roles import Role
from vividowl.core.trace.trace import Trace
from vividowl.formats.sound_file import write_wav
from vividowl.service.measure import logs, recordings
from vividowl.service.measure import runs as measure
from vividowl.service.workshop import Actor, Workshop
from vividowl_demo.logs import write_frames, write_log
from vividowl_demo.story import Story, Trial

PHONE_FULL_SCALE_DB = 104.0
_NO_RECIPE: dict[str, Any] = {
    "load_recipe": "",
    "duration_min": None,
    "fan_setting": "",
    "power_profile": "",
    "placement": "",
    "start": "",
    "firmware": "",
    "tuning": "",
    "fan_blades": None,
    "result_score": None,
    "result_duration_s": None,
    "result_frame_rate": None,
}


def measure_run(
    workshop: Workshop,
    actor: Actor,
    job_id: uuid.UUID,
    *,
    side: str,
    story: Story,
    trial: Trial,
    when: datetime,
    seed: int,
) -> None:
    """Measure one run as a trial says it."""
    version = measure.get_run(workshop, actor, job_id, side).version
    conditions = {**_NO_RECIPE, **story.recipe, **trial.recipe, "room_c": trial.room_c, "fan_blades": trial.blades}
    measure.save_run(workshop, actor, job_id, side=side, version=version, fields=conditions)
    turns = range(trial.repeats, -1, -1)
    traces = [
        simulate(
            trial.device,
            room_c=trial.room_c,
            seed=seed + 50 * turn,
            load_s=trial.load_s,
            pass_s=trial.pass_s,
            tail_s=trial.tail_s,
        )
        for turn in turns
    ]
    # By hand before by log: what is noted beside a log has the two runs of a job judged anew each time.
    _by_hand(workshop, actor, job_id, side=side, trial=trial, trace=traces[-1], when=when, seed=seed)
    ending = "txt" if trial.style.delimiter == chr(9) else "csv"
    files = []
    for turn, trace in zip(turns, traces, strict=True):
        again = trial.repeats - turn
        label = side if side in REFERENCES else f"{when:%H%M}"
        name = f"{when:%Y%m%d}-{label}{f'-again-{again}' if again else ''}.{ending}"
        files.append((name, write_log(trace, when + timedelta(hours=again), trial.style, seed + 50 * turn), again > 0))
    if trial.frame_ms is not None:
        frames = write_frames(*trial.frame_ms, trial.load_s, seed)
        files.append((f"{when:%Y%m%d}-{side}-frames.csv", frames, False))
    for name, data, repeat in files:
        logs.receive_log(
            workshop,
            actor,
            job_id,
            side=side,
            stream=io.BytesIO(data),
            expected=len(data),
            file_name=name,
            mapping={},
            again=False,
            repeat=repeat,
        )


def _by_hand(
    workshop: Workshop,
    actor: Actor,
    job_id: uuid.UUID,
    *,
    side: str,
    trial: Trial,
    trace: Trace,
    when: datetime,
    seed: int,
) -> None:
    """Levels, a recording and probes of a run."""
    # The fan at the end of the load, where a person holds meter and probe.
    late = (trace.time_s > 30 + 0.7 * trial.load_s) & (trace.time_s < 30 + trial.load_s)
    scatter = np.random.default_rng(seed).normal(0.0, 0.2, 3)
    if trial.loud_db is not None:
        rpm = float(trace.channels[Role.FAN_SPEED][late].mean())
        level = trial.loud_db + FAN_LEVEL_EXPONENT_DB * math.log10(rpm / trial.device.fan_full_rpm)
        # At a mark on the mat, three times for Before and After; once for a run beside them.
        for off in scatter if side in REFERENCES else scatter[:1]:
            measure.add_noise(
                workshop,
                actor,
                job_id,
                side=side,
                fields={
                    "level_db": round(level + off, 1),
                    "background_db": trial.background_db,
                    "place": "vent, mark on the mat",
                    "distance_m": 0.3,
                },
            )
        if trial.blades is not None:
            # The room alone is a rush without a blade in it.
            for name, loud_db, turns, share in (("vent", level, rpm, 0.2), ("room", trial.background_db, 600.0, 0.0)):
                if loud_db is None:
                    continue
                samples = simulate_fan_sound(
                    rpm=turns,
                    blades=trial.blades,
                    level_db=loud_db,
                    seed=seed,
                    full_scale_db=PHONE_FULL_SCALE_DB,
                    tone_share=share,
                    whine_hz=trial.whine_hz if name == "vent" else None,
                )
                data = write_wav(samples, 44100.0)
                recordings.receive_sound(
                    workshop,
                    actor,
                    job_id,
                    side=side,
                    stream=io.BytesIO(data),
                    expected=len(data),
                    file_name=f"{when:%Y%m%d}-{side}-{name}.wav",
                    reference_db=None,
                    is_background=name == "room",
                    marked_place=True,
                )
    exhaust_c = round(float(trace.channels[Role.EXHAUST_TEMPERATURE][late].mean()), 1) if trial.spots else None
    for probe in trial.spots:
        fields = {**asdict(probe), "reading_c": exhaust_c if probe.reading_c is None else probe.reading_c}
        measure.add_spot(workshop, actor, job_id, side=side, fields=fields)
