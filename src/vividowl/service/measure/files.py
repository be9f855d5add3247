"""The use cases of the bench without a job: read a log, compare two, read a recording, straight from files."""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from dataclasses import dataclass
from pathlib import Path

from vividowl.core.quantities.units import require_room_c
from vividowl.core.quantities.words import Words, listed, say
from vividowl.core.reading.findings import findings
from vividowl.core.reading.reading import Reading, read_trace
from vividowl.core.sound.fan_speed import FanSpeed, fan_speed
from vividowl.core.sound.recording import SoundReading, full_scale_level, read_sound, whines
from vividowl.core.sound.spectrum import Tone
from vividowl.core.trace.roles import ROLE_KINDS, ChannelGuess
from vividowl.core.verdict.comparison import Comparison, compare
from vividowl.core.verdict.conditions import Conditions
from vividowl.core.verdict.parts import Side
from vividowl.formats.errors import FormatError
from vividowl.formats.log.sensor_log import BYTES_MOST, apply_mapping, read_log, to_trace
from vividowl.formats.sound_file import BYTES_MOST as SOUND_BYTES_MOST
from vividowl.formats.sound_file import read_sound_file
from vividowl.service.errors import Refused

CONDITION_KEYS = ("load", "fan", "power_profile", "placement", "start", "firmware", "tuning")


@dataclass(frozen=True)
class FileReading:
    """A log read from a file; findings and notices in words."""

    channels: tuple[ChannelGuess, ...]
    reading: Reading
    findings: tuple[Words, ...]
    notices: tuple[Words, ...]


@dataclass(frozen=True)
class RecordingReading:
    """A recording read from a file; fan and whines where they can be told."""

    sound: SoundReading
    fan: FanSpeed | None
    whines: tuple[Tone, ...]


def _check(path: Path, most: int) -> None:
    if not path.is_file():
        raise FormatError(say("files-there-no-such-file", path=str(path)))
    if path.stat().st_size > most:
        raise FormatError(say("files-larger-than-mb", name=path.name, most=most // 2**20))


def read_file(
    path: Path, room_c: float | None, limit_c: float | None = None, roles: Mapping[str, str | None] | None = None
) -> FileReading:
    """Read a sensor log."""
    if room_c is not None:
        require_room_c(room_c)
    _check(path, BYTES_MOST)
    parsed = read_log(path, path.name)
    guesses = apply_mapping(parsed.guesses, roles or {})
    trace, dropouts = to_trace(parsed.frame, guesses)
    reading = read_trace(trace, room_c, limit_c)
    said = findings(reading, room_c, limit_c=limit_c)
    return FileReading(guesses, reading, said, (*parsed.notices, *dropouts))


def die_column(channels: Sequence[ChannelGuess], reading: Reading) -> str | None:
    """Heading of the column that the deciding die was read from."""
    return next((c.header for c in channels if c.role is reading.die_role), None)


def conditions_from(given: Mapping[str, str], room_c: float | None, found: FileReading) -> Conditions:
    """Conditions from keys; an unknown key is refused."""
    unknown = sorted(set(given) - set(CONDITION_KEYS))
    if unknown:
        raise Refused("invalid", say("files-no-condition", unknown=unknown[0], names=listed(CONDITION_KEYS)))
    words = {key: given.get(key) for key in CONDITION_KEYS}
    return Conditions(
        **words,  # type: ignore[arg-type]
        sensor=ROLE_KINDS[found.reading.die_role].words,
        die_column=die_column(found.channels, found.reading),
        room_c=room_c,
    )


def compare_files(
    before: Path,
    after: Path,
    *,
    before_room_c: float,
    after_room_c: float,
    before_given: Mapping[str, str],
    after_given: Mapping[str, str],
    limit_c: float | None = None,
) -> Comparison:
    """Compare two sensor logs."""
    sides = []
    for path, room_c, given in ((before, before_room_c, before_given), (after, after_room_c, after_given)):
        found = read_file(path, room_c, limit_c)
        sides.append(Side(conditions=conditions_from(given, room_c, found), reading=found.reading))
    return compare(sides[0], sides[1], limit_c=limit_c)


def read_recording(
    path: Path, reference: Path | None = None, reference_db: float | None = None, blades: int | None = None
) -> RecordingReading:
    """Read a recording, calibrated by a reference recording of a known level when both are given."""
    if (reference is None) != (reference_db is None):
        raise Refused("invalid", say("files-calibration-needs-both-reference-recording"))
    full_scale = None
    if reference is not None and reference_db is not None:
        _check(reference, SOUND_BYTES_MOST)
        sound = read_sound_file(reference, reference.name)
        full_scale = full_scale_level(read_sound(sound.channels, sound.rate_hz), reference_db)
    _check(path, SOUND_BYTES_MOST)
    sound = read_sound_file(path, path.name)
    reading = read_sound(sound.channels, sound.rate_hz, full_scale)
    fan = fan_speed(reading.tones, blades) if blades is not None else None
    return RecordingReading(reading, fan, whines(reading.tones, fan, blades))
