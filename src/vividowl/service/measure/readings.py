"""From a stored log to its reading. Readings are kept in memory by everything they depend on."""

from __future__ import annotations

import json
import uuid
from collections import OrderedDict
from collections.abc import Sequence
from pathlib import Path
from threading import Lock
from typing import Any

from vividowl.core.reading.reading import Reading, read_trace
from vividowl.core.sound.levels import LevelReading, NoiseFigure, noise_figure
from vividowl.core.trace.roles import ChannelGuess, Role
from vividowl.core.trace.trace import Trace
from vividowl.formats.log.columns import read_columns
from vividowl.formats.log.sensor_log import TIME, to_trace
from vividowl.service.workshop import Workshop
from vividowl.store.measuring import NoiseReading, Run, TraceFile


def guesses_of(channels: Sequence[dict[str, Any]]) -> tuple[ChannelGuess, ...]:
    """Stored channels back as guesses."""
    return tuple(
        ChannelGuess(c["header"], Role(c["role"]) if c["role"] else None, c["unit"], c["confidence"]) for c in channels
    )


def load_trace(path: Path, channels: Sequence[dict[str, Any]]) -> Trace:
    """The channels with a role, from the stored columns."""
    wanted = [f"c{i}" for i, c in enumerate(channels) if c["role"]]
    return to_trace(read_columns(path, [TIME, *wanted]), guesses_of(channels))[0]


_Key = tuple[str, str, float | None, float | None, tuple[float, float] | None]
_KEPT_MOST = 128
_kept: OrderedDict[_Key, Reading] = OrderedDict()
_lock = Lock()


def _key(
    path: Path,
    channels: Sequence[dict[str, Any]],
    *,
    room_c: float | None,
    limit_c: float | None,
    chosen: tuple[float, float] | None,
) -> _Key:
    return (str(path), json.dumps(channels, sort_keys=True), room_c, limit_c, chosen)


def remember_reading(
    path: Path,
    channels: Sequence[dict[str, Any]],
    *,
    room_c: float | None,
    limit_c: float | None,
    reading: Reading,
    chosen: tuple[float, float] | None = None,
) -> Reading:
    """Keep a reading under everything it depends on, so that a log that has just come in is not read back."""
    with _lock:
        key = _key(path, channels, room_c=room_c, limit_c=limit_c, chosen=chosen)
        _kept[key] = reading
        _kept.move_to_end(key)
        while len(_kept) > _KEPT_MOST:
            _kept.popitem(last=False)
    return reading


def reading_of(
    workshop: Workshop, shop_id: uuid.UUID, *, trace: TraceFile, run: Run, limit_c: float | None, repeat: bool = False
) -> Reading:
    """The reading of a stored log. A window set by hand belongs to the first log of a run, not to its repeats."""
    path = workshop.files.columns(shop_id, trace.sha256)
    chosen = None
    if not repeat and run.window_from_s is not None and run.window_to_s is not None:
        chosen = (run.window_from_s, run.window_to_s)
    with _lock:
        found = _kept.get(_key(path, trace.channels, room_c=run.room_c, limit_c=limit_c, chosen=chosen))
    if found is not None:
        return found
    reading = read_trace(load_trace(path, trace.channels), run.room_c, limit_c, chosen)
    return remember_reading(path, trace.channels, room_c=run.room_c, limit_c=limit_c, reading=reading, chosen=chosen)


def noise_of(rows: Sequence[NoiseReading]) -> NoiseFigure | None:
    """The noise figure of a run's hand-read levels."""
    return noise_figure([LevelReading(r.level_db, r.background_db, r.place, r.distance_m) for r in rows])


def glance_of(
    workshop: Workshop, run: Run, *, trace: TraceFile | None, limit_c: float | None, noise: Sequence[NoiseReading]
) -> dict[str, Any]:
    """What the owl glyph shows of a run: rise, noise, share held back. None where not known."""
    glance: dict[str, Any] = {"rise_k": None, "noise_db": None, "held_share": None, "measured": trace is not None}
    figure = noise_of(noise)
    if figure is not None:
        glance["noise_db"] = round(figure.level_db, 1)
    if trace is not None:
        reading = reading_of(workshop, run.shop_id, trace=trace, run=run, limit_c=limit_c)
        if run.room_c is not None:
            glance["rise_k"] = round(reading.die.mean - run.room_c, 1)
        if reading.throttling.share is not None:
            glance["held_share"] = round(reading.throttling.share, 4)
    return glance
