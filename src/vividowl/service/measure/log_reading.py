"""A log from bytes to columns and figures, in one go and without the database: the part that is done apart."""

from __future__ import annotations

import hashlib
from collections.abc import Mapping, Sequence
from concurrent.futures import ThreadPoolExecutor
from dataclasses import dataclass, replace
from pathlib import Path
from typing import Any

import numpy as np

from vividowl.core.quantities.errors import NotEnoughData
from vividowl.core.quantities.words import Words, say
from vividowl.core.reading.reading import Reading, read_trace
from vividowl.core.trace.pace import FRAME_A_LINE_FACTOR, Frames, frames_of
from vividowl.core.trace.roles import DIE_ROLES, Role
from vividowl.formats.errors import FormatError
from vividowl.formats.log.columns import write_columns
from vividowl.formats.log.sensor_log import TIME, ParsedLog, apply_mapping, in_core_units, read_log, to_trace
from vividowl.service.errors import Refused, refused_file

REMEMBERED = say("log-reading-columns-as-they-were-set")


@dataclass(frozen=True, kw_only=True)
class LogRead:
    """A log as it is kept. headers: as the logger wrote them; channels: as they are stored; notices: what was mended;
    samples, interval_s, duration_s of the trace; reading: its figures."""

    headers: tuple[str, ...]
    channels: list[dict[str, Any]]
    notices: tuple[Words, ...]
    samples: int
    interval_s: float
    duration_s: float
    reading: Reading


def signature(headers: Sequence[str]) -> str:
    """The name of a logger by its columns."""
    return hashlib.sha256("\x1f".join(headers).encode("utf-8", "replace")).hexdigest()


@dataclass(frozen=True, kw_only=True)
class LogTerms:
    """What is known when a log is read. known: meanings of columns set before, by signature; mapping: those set now."""

    known: Mapping[str, Mapping[str, str | None]]
    mapping: Mapping[str, str | None]
    room_c: float | None
    limit_c: float | None


def read_whole_log(path: Path, name: str, terms: LogTerms, columns_to: Path) -> LogRead | Frames:
    """Read a log, write its columns aside, and work its figures out.

    A log of frame times has no temperature, and gives its frames.
    """
    parsed = _mapped(read_log(path, name), terms.known, terms.mapping)
    frames = _frames(parsed)
    if frames is not None:
        return frames
    channels = _channels(parsed)
    with ThreadPoolExecutor(1) as beside:
        written = beside.submit(write_columns, parsed.frame, columns_to)
        try:
            trace, dropouts = to_trace(parsed.frame, parsed.guesses)
            reading = read_trace(trace, terms.room_c, terms.limit_c)
        except NotEnoughData as error:
            numeric = [c["header"] for c in channels if c["numeric"]]
            reason = "no_temperature" if error.field == "channels" else "too_short"
            raise Refused(
                "invalid",
                say("logs-file-error", name=name, error=error.message),
                field="log",
                remedy=error.remedy,
                reason=reason,
                extra={"headers": numeric},
            ) from error
        written.result()
    return LogRead(
        headers=tuple(parsed.layout.headers),
        channels=channels,
        notices=(*parsed.notices, *dropouts),
        samples=len(trace.time_s),
        interval_s=trace.interval_s,
        duration_s=trace.duration_s,
        reading=reading,
    )


def _mapped(
    parsed: ParsedLog, known: Mapping[str, Mapping[str, str | None]], mapping: Mapping[str, str | None]
) -> ParsedLog:
    """What the shop set for this logger before, and what was said now, over the guesses."""
    before = known.get(signature(parsed.layout.headers))
    try:
        guesses = apply_mapping(parsed.guesses, before) if before is not None else parsed.guesses
        told = (REMEMBERED,) if guesses != parsed.guesses else ()
        return replace(parsed, guesses=apply_mapping(guesses, mapping), notices=(*parsed.notices, *told))
    except FormatError as error:
        raise refused_file(error, "log") from error


def _frames(parsed: ParsedLog) -> Frames | None:
    """Frames of a log with a line a frame and no temperature of a die.

    One with a line a second is a log of sensors whose temperature has another name, which a person can tell.
    """
    roles = {g.role: i for i, g in enumerate(parsed.guesses) if g.role is not None}
    if Role.FRAME_TIME not in roles or any(role in roles for role in DIE_ROLES):
        return None
    at = roles[Role.FRAME_TIME]
    times = in_core_units(parsed.frame[f"c{at}"], parsed.guesses[at])
    step_s = float(np.median(np.diff(parsed.frame[TIME].to_numpy())))
    if not step_s <= FRAME_A_LINE_FACTOR * float(np.nanmedian(times)) * 1e-3:
        return None
    try:
        return frames_of(times * 1e-3)
    except NotEnoughData as error:
        raise Refused("invalid", error.message, field="log", remedy=error.remedy, reason="too_short") from error


def _channels(parsed: ParsedLog) -> list[dict[str, Any]]:
    schema = parsed.frame.schema
    return [
        {
            "header": g.header,
            "role": g.role.value if g.role else None,
            "unit": g.unit,
            "confidence": g.confidence,
            "numeric": schema[f"c{i}"].is_numeric(),
        }
        for i, g in enumerate(parsed.guesses)
    ]
