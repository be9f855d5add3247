"""What was read from each log, kept beside it, so that a list of many runs reads no log."""

from __future__ import annotations

from collections.abc import Sequence
from typing import Any

from vividowl.core.quantities.uncertainty import Tolerances
from vividowl.core.reading.measured import resistance, rise
from vividowl.core.trace.roles import ROLE_KINDS
from vividowl.formats.log.columns import means_between
from vividowl.service.measure.frames import frames_of_run
from vividowl.service.measure.readings import reading_of
from vividowl.service.workshop import Workshop
from vividowl.store.measuring import FrameFile, Run, TraceFile

FURTHER_COLUMNS_MOST = 60  # further columns of a log that are looked at, in their order; a limit of the product
COLUMN_NAME_MOST = 120  # letters of the name of a column that tell it; a limit of the product


def _further_columns(
    workshop: Workshop, run: Run, *, trace: TraceFile, from_s: float, to_s: float
) -> dict[str, dict[str, Any]]:
    """Means of the columns that have no role, by header and unit, over the same stretch as the other figures."""
    further = {f"c{i}": c for i, c in enumerate(trace.channels) if c["numeric"] and not c["role"]}
    columns = list(further)[:FURTHER_COLUMNS_MOST]
    means = means_between(workshop.files.columns(run.shop_id, trace.sha256), columns, from_s, to_s)
    out: dict[str, dict[str, Any]] = {}
    for column, mean in means.items():
        header, unit = further[column]["header"][:COLUMN_NAME_MOST], further[column]["unit"]
        # Of columns that share a name the first is meant.
        out.setdefault(header if not unit or unit in header else f"{header} [{unit}]", {"mean": mean, "unit": unit})
    return out


def figures_of(
    workshop: Workshop,
    run: Run,
    *,
    trace: TraceFile,
    limit_c: float | None,
    tolerances: Tolerances,
    frame_files: Sequence[FrameFile] = (),
    repeat: bool,
) -> dict[str, Any]:
    """Figures of a log. None where not known; u: standard uncertainties of what differs from run to run."""
    r = reading_of(workshop, run.shop_id, trace=trace, run=run, limit_c=limit_c, repeat=repeat)
    frames = frames_of_run(frame_files, r.pace.frames)
    over, kelvins = resistance(r, run.room_c, tol=tolerances), rise(r, run.room_c, tolerances)
    return {
        "die": r.die_role.value,
        "settled": r.window.settled,
        "means": {role.value: s.mean for role, s in r.stats.items() if ROLE_KINDS[role].unit and role not in r.dead},
        "columns": _further_columns(workshop, run, trace=trace, from_s=r.window.from_s, to_s=r.window.to_s),
        "power_W": r.power.mean if r.power else None,
        "held_share": r.throttling.share,
        "rise_K": kelvins.value if kelvins else None,
        "resistance_K_per_W": over.value if over else None,
        "resistance_u_K_per_W": over.moving if over else None,
        # What repeats average out, and what they do not.
        "u": {
            name: [m.scatter, m.drift]
            for name, m in (("rise_K", kelvins), ("resistance_K_per_W", over))
            if m is not None
        },
        "sag_W": r.sag.difference.power,
        "sag_MHz": r.sag.difference.clock_mhz,
        "clock_spread_MHz": r.pace.clock_spread_mhz,
        "frame_rate_per_s": frames.rate if frames else None,
        "slow_frame_rate_per_s": frames.slow_rate if frames else None,
        "load_s": r.load.end_s - r.load.onset_s,
    }


def keep_figures(
    workshop: Workshop,
    run: Run,
    *,
    traces: Sequence[TraceFile],
    limit_c: float | None,
    tolerances: Tolerances,
    frame_files: Sequence[FrameFile] = (),
) -> None:
    """Read the logs of a run for their figures. A log of frame times belongs to the first of them."""
    for at, trace in enumerate(traces):
        own = frame_files if at == 0 else ()
        trace.figures = figures_of(
            workshop, run, trace=trace, limit_c=limit_c, tolerances=tolerances, frame_files=own, repeat=at > 0
        )
