"""The runs of a job in order: any factor down, any figure across, corrected for the room."""

from __future__ import annotations

import uuid
from collections.abc import Callable, Mapping, Sequence
from dataclasses import dataclass
from enum import StrEnum
from typing import Any

from vividowl.core.materials.kinds import CATALOGUE, Kind
from vividowl.core.quantities.errors import CoreError
from vividowl.core.quantities.words import listed, say
from vividowl.core.runs.groups import Group
from vividowl.core.runs.matched import Point, common_value, matched_at
from vividowl.core.runs.rank import Ranking, rank
from vividowl.service.errors import Refused
from vividowl.service.runs.all_runs import AllRuns, RunRow, all_runs
from vividowl.service.runs.observed import HIGHER, MATCHED, Observed, at_one_speed, observed, stated
from vividowl.service.workshop import Actor, Workshop
from vividowl.store.devices import DeviceState
from vividowl.words import sentence


class By(StrEnum):
    """What the runs are put together by."""

    MATERIAL = "material"
    FAN = "fan"
    PLACEMENT = "placement"
    ATTEMPT = "attempt"
    STATE = "state"
    LOAD = "load"
    PROFILE = "profile"
    FIRMWARE = "firmware"
    TUNING = "tuning"


def material_in(state: DeviceState) -> str:
    """What lies on the dies in a state, in words; as it came in, where nobody put anything there since."""
    if not state.fitted:
        return sentence(say("ranked-as-found"))
    on_die = [i for i in state.fitted if i["target"] in ("cpu_die", "gpu_die")] or state.fitted
    names = dict.fromkeys(i["product"] or sentence(CATALOGUE[Kind(i["kind"])].words) for i in on_die)
    return ", ".join(names)


_FACTORS: Mapping[By, Callable[[RunRow], str]] = {
    By.MATERIAL: lambda r: material_in(r.state) if r.state else "",
    By.FAN: lambda r: r.run.fan_setting,
    By.PLACEMENT: lambda r: r.run.placement,
    By.ATTEMPT: lambda r: str(r.state.attempt) if r.state else "",
    By.STATE: lambda r: str(r.state.position) if r.state else "",
    By.LOAD: lambda r: r.run.load_recipe,
    By.PROFILE: lambda r: r.run.power_profile,
    By.FIRMWARE: lambda r: r.run.firmware or (r.state.firmware if r.state else ""),
    By.TUNING: lambda r: r.run.tuning or (r.state.tuning if r.state else ""),
}


def factor_of(by: By, row: RunRow) -> str:
    """Level of a factor in a run, nothing where it was not noted."""
    return _FACTORS[by](row).strip()


@dataclass(frozen=True, kw_only=True)
class RankedRuns:
    """ranking; runs: keys of the runs of each group; unlike: conditions that differ between groups beside the factor,
    so that the order may be theirs; without: runs that lack the factor or the figure; held: what is held alike [its
    figure's unit], None where nothing is; fan_rpm: speed that all were brought to [rpm], None where none was."""

    ranking: Ranking
    runs: Mapping[str, tuple[str, ...]]
    unlike: tuple[By, ...]
    without: tuple[str, ...]
    held: float | None = None
    fan_rpm: float | None = None


def ranked_runs(
    workshop: Workshop,
    actor: Actor,
    job_id: uuid.UUID,
    *,
    by: By,
    value: str,
    only: Mapping[By, str],
) -> RankedRuns:
    """Rank the runs of a job by a factor. only: levels of other factors that are looked at."""
    return _ranked(all_runs(workshop, actor, job_id), by, value, only)


def ranked_across(
    workshop: Workshop,
    actor: Actor,
    job_id: uuid.UUID,
    *,
    by: By,
    across: By,
    value: str,
    only: Mapping[By, str],
) -> tuple[tuple[str, RankedRuns | None], ...]:
    """Rank the runs of a job by a factor once for each level of another; None where a level has too few to rank."""
    if by is across or (across is By.FAN and value in MATCHED):
        raise Refused("invalid", say("ranked-across-itself"), field="across")
    found = all_runs(workshop, actor, job_id)
    levels = dict.fromkeys(level for row in found.runs if (level := factor_of(across, row)))
    out: list[tuple[str, RankedRuns | None]] = []
    last: Refused | None = None
    for level in levels:
        try:
            out.append((level, _ranked(found, by, value, {**only, across: level})))
        except Refused as refused:
            last = refused
            out.append((level, None))
    if last is not None and all(ranked is None for _, ranked in out):
        raise last
    return tuple(out)


def _ranked(found: AllRuns, by: By, value: str, only: Mapping[By, str]) -> RankedRuns:
    if value in MATCHED:
        return _matched(found, by, value, only)
    values: dict[str, list[Observed]] = {}
    runs = [
        o
        for o in observed(found, value)
        if all(factor_of(f, o.row) == level for f, level in only.items()) and factor_of(by, o.row)
    ]
    runs, fan_rpm = at_one_speed(runs, value) if by is not By.FAN else (runs, None)
    for o in runs:
        values.setdefault(factor_of(by, o.row), []).append(o)
    told = {o.row.run.id for group in values.values() for o in group}
    without = [
        r.run.key
        for r in found.runs
        if r.run.id not in told and all(factor_of(f, r) == level for f, level in only.items())
    ]
    if len(values) < 2:
        raise Refused("invalid", say("ranked-one-level", level=listed(values) if values else None), field="by")
    known = all(stated(group) for group in values.values())
    groups = [
        Group(level, tuple(o.value for o in group), tuple(stated(group)) if known else ())
        for level, group in values.items()
    ]
    members = {level: [o.row for o in group] for level, group in values.items()}
    ranking = rank(groups, higher_is_better=value in HIGHER)
    keys = {level: tuple(row.run.key for row in rows) for level, rows in members.items()}
    return RankedRuns(
        ranking=ranking, runs=keys, unlike=unlike_in(by, members), without=tuple(without), fan_rpm=fan_rpm
    )


def _matched(found: AllRuns, by: By, value: str, only: Mapping[By, str]) -> RankedRuns:
    """Groups where one quantity is held, read between the runs of each at several fan settings."""
    across, down = ({o.row.run.id: o for o in observed(found, name)} for name in MATCHED[value])
    points: dict[str, list[Point]] = {}
    members: dict[str, list[RunRow]] = {}
    for row in found.runs:
        x, y, level = across.get(row.run.id), down.get(row.run.id), factor_of(by, row)
        alike = all(factor_of(f, row) == wanted for f, wanted in only.items() if f is not By.FAN)
        if level and alike and x is not None and y is not None:
            points.setdefault(level, []).append(Point(x.value, y.value, x.u or 0.0, y.u or 0.0))
            members.setdefault(level, []).append(row)
    try:
        held = common_value(list(points.values()))
        at = {level: matched_at(group, held) for level, group in points.items()}
        read = {level: m for level, m in at.items() if m is not None and m.u > 0}
        groups = [Group(level, (m.value,), (m.u,)) for level, m in read.items()]
        ranking = rank(groups)
    except CoreError as error:
        raise Refused("invalid", error.message, field="value", remedy=error.remedy, reason="too_few") from error
    told = {level: rows for level, rows in members.items() if level in read}
    seen = {row.run.key for rows in told.values() for row in rows}
    keys = {level: tuple(row.run.key for row in rows) for level, rows in told.items()}
    unlike = tuple(f for f in unlike_in(by, told) if f is not By.FAN)
    return RankedRuns(
        ranking=ranking,
        runs=keys,
        unlike=unlike,
        without=tuple(r.run.key for r in found.runs if r.run.key not in seen),
        held=held,
    )


_COMPARED = (By.FAN, By.PLACEMENT, By.LOAD, By.PROFILE)


def unlike_in(by: By | None, members: Mapping[str, Sequence[RunRow]]) -> tuple[By, ...]:
    """Conditions that are noted and not the same in all groups."""
    out: list[By] = []
    for other in _COMPARED:
        levels: Any = [{factor_of(other, row) for row in rows} - {""} for rows in members.values()]
        if other is not by and len(set().union(*levels)) > 1:
            out.append(other)
    return tuple(out)
