"""What the recordings of a run say, calibrated by a reference recording of the job."""

from __future__ import annotations

import math
import uuid
from collections.abc import Mapping, Sequence
from dataclasses import dataclass
from typing import Any

from vividowl.core.quantities.words import say
from vividowl.core.sound.fan_speed import FanSpeed, fan_speed, fitting_blades
from vividowl.core.sound.levels import background_correction, energy_mean
from vividowl.core.sound.recording import whines
from vividowl.core.sound.spectrum import Tone
from vividowl.core.sound.two_speeds import Heard, TwoSpeeds, two_speeds
from vividowl.core.verdict.parts import Recorded
from vividowl.store.measuring import Run, SoundFile
from vividowl.store.models import Job
from vividowl.store.scope import Scope
from vividowl.words import sentence


@dataclass(frozen=True, kw_only=True)
class SoundView:
    """A recording with what it says. Levels are over 20 µPa when calibrated, else over full scale. beside_hz: tones
    that move with the fan and are neither its blades nor its shaft, where another recording shows that they do."""

    id: uuid.UUID
    file_name: str
    duration_s: float
    reference_db: float | None
    calibrated: bool
    laeq_db: float | None
    lafmax_db: float | None
    l10_db: float | None
    l90_db: float | None
    tones: tuple[Tone, ...]
    bands: tuple[tuple[float, float], ...]
    levels_db: tuple[float, ...]
    fan: FanSpeed | None
    whines: tuple[Tone, ...]
    beside_hz: tuple[float, ...]
    faults: tuple[str, ...]
    is_background: bool


def kept_sounds(scope: Scope, run: Run | None) -> Sequence[SoundFile]:
    """Recordings of a run that were not taken off, in order."""
    if run is None:
        return []
    query = scope.select(SoundFile).where(SoundFile.run_id == run.id, SoundFile.removed_at.is_(None))
    return scope.session.scalars(query.order_by(SoundFile.created_at)).all()


def full_scale_of(scope: Scope, job_id: uuid.UUID) -> float | None:
    """Level of a mean square of 1 by the job's latest reference recording, None without one."""
    query = (
        scope.select(SoundFile)
        .join(Run, Run.id == SoundFile.run_id)
        .where(Run.job_id == job_id, SoundFile.removed_at.is_(None), SoundFile.reference_db.is_not(None))
        .order_by(SoundFile.created_at.desc())
    )
    found = scope.session.scalars(query).first()
    if found is None or found.reference_db is None or found.reading["laeq_db"] is None:
        return None
    return float(found.reference_db - found.reading["laeq_db"])


def sound_views(
    scope: Scope, job: Job, *, run: Run | None, blades: int | None, logged_rpm: float | None
) -> tuple[SoundView, ...]:
    """The recordings of a run as the page shows them. logged_rpm: fan speed in the log of the run, or None."""
    scale = full_scale_of(scope, job.id)
    rows = kept_sounds(scope, run)
    both = at_two_speeds(rows, blades)
    return tuple(_view(row, scale, blades=blades, logged_rpm=logged_rpm, both=both) for row in rows)


@dataclass(frozen=True)
class SlowAndFast:
    """The quietest and the loudest recording of a run, and what they say of the fan together."""

    slow: SoundFile
    fast: SoundFile
    found: TwoSpeeds


def at_two_speeds(rows: Sequence[SoundFile], blades: int | None) -> SlowAndFast | None:
    """What two recordings of a run say of the fan, None where they do not. rows: kept recordings."""
    own = [r for r in rows if not r.is_background and r.reference_db is None and r.reading["laeq_db"] is not None]
    if blades is None or len(own) < 2:
        return None
    own.sort(key=lambda r: float(r.reading["laeq_db"]))
    slow, fast = own[0], own[-1]
    heard = [Heard([Tone(**t) for t in r.reading["tones"]], r.reading["laeq_db"]) for r in (slow, fast)]
    found = two_speeds(heard[0], heard[1], blades)
    return SlowAndFast(slow, fast, found) if found is not None else None


def _view(
    row: SoundFile, scale: float | None, *, blades: int | None, logged_rpm: float | None, both: SlowAndFast | None
) -> SoundView:
    r: Mapping[str, Any] = row.reading
    tones = tuple(Tone(**t) for t in r["tones"])
    device = not row.is_background and row.reference_db is None
    fan = fan_speed(tones, blades, logged_rpm) if blades is not None and device else None
    if fan is None and blades is not None and both is not None and row in (both.slow, both.fast):
        rpm = both.found.slow_rpm if row is both.slow else both.found.fast_rpm
        fan = None if rpm is None else FanSpeed(rpm, rpm * blades / 60.0, 0, ("other recording",))

    def level(name: str) -> float | None:
        return None if r[name] is None else float(r[name] + (scale or 0.0))

    return SoundView(
        id=row.id,
        file_name=row.file_name,
        duration_s=r["duration_s"],
        reference_db=row.reference_db,
        calibrated=scale is not None,
        laeq_db=level("laeq_db"),
        lafmax_db=level("lafmax_db"),
        l10_db=level("l10_db"),
        l90_db=level("l90_db"),
        tones=tones,
        bands=tuple((b["centre_hz"], b["level_db"] + (scale or 0.0)) for b in r["bands"]),
        levels_db=tuple(v + (scale or 0.0) for v in r["levels_db"]),
        fan=fan,
        whines=whines(tones, fan, blades) if device else (),
        beside_hz=both.found.beside_hz if both is not None and row is both.fast else (),
        faults=(*r["faults"], *_misfit(tones, blades if device else None)),
        is_background=row.is_background,
    )


def _misfit(tones: Sequence[Tone], blades: int | None) -> tuple[str, ...]:
    """That the blades were counted otherwise than the tones say."""
    fits = fitting_blades(tones, blades) if blades is not None else None
    return () if fits is None else (sentence(say("recording-blades-do-not-fit", blades=blades, fits=fits)),)


ABOVE_FULL_SCALE_DB = 120.0
HISS_FROM_HZ, HISS_TO_HZ = 12_000.0, 20_000.0  # [Hz]; from memory


def recorded_level(rows: Sequence[SoundFile], blades: int | None) -> Recorded | None:
    """Energy mean of a run's recordings over full scale, None without one: only its change is firm. A recording of the
    room alone is taken out of it."""
    known = [r for r in rows if r.reference_db is None and r.reading["laeq_db"] is not None]
    # Levels below full scale are brought into the range of a meter for the mean and back again.
    own, room = (
        [r.reading["laeq_db"] + ABOVE_FULL_SCALE_DB for r in known if r.is_background is b] for b in (False, True)
    )
    if not own:
        return None
    level = energy_mean(own)
    floors = [floor for r in known if (floor := _hiss(r.reading["bands"])) is not None]
    floor, marked = (min(floors) if floors else None), all(r.reading.get("marked_place") for r in known)
    if not room:
        return Recorded(
            level_db=level - ABOVE_FULL_SCALE_DB,
            room_out=False,
            room_db=None,
            floor_db=floor,
            marked_place=marked,
            fan_rpm=_fan_heard(known, blades),
        )
    background = energy_mean(room)
    # A room as loud as the device leaves nothing to tell but an upper bound.
    corrected = background_correction(level, min(level, background))
    return Recorded(
        level_db=corrected.corrected_db - ABOVE_FULL_SCALE_DB,
        room_out=not corrected.upper_bound,
        room_db=background - ABOVE_FULL_SCALE_DB,
        floor_db=floor,
        marked_place=marked,
        fan_rpm=_fan_heard(known, blades),
    )


def _fan_heard(rows: Sequence[SoundFile], blades: int | None) -> float | None:
    """Speed of the fan over the recordings of a run [rpm], None where one of them does not tell it."""
    device = [r for r in rows if not r.is_background]
    if blades is None or not device:
        return None
    found = [fan_speed([Tone(**t) for t in r.reading["tones"]], blades) for r in device]
    speeds = [f.rpm for f in found if f is not None]
    return sum(speeds) / len(speeds) if len(speeds) == len(device) else None


def _hiss(bands: Sequence[Mapping[str, float]]) -> float | None:
    """Level of the highest bands, where a microphone hisses and a fan is seldom heard [dB over full scale]."""
    high = [b["level_db"] for b in bands if HISS_FROM_HZ <= b["centre_hz"] <= HISS_TO_HZ]
    return 10.0 * math.log10(sum(10.0 ** (0.1 * level) for level in high)) if high else None
