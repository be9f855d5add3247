"""All runs of a job."""

from __future__ import annotations

import uuid
from datetime import datetime
from typing import Annotated, Literal

from pydantic import Field

from vividowl.core.job.device import Answer, StateCause
from vividowl.core.runs.factors import Bar
from vividowl.service.runs.ranked import By
from vividowl.service.runs.running_in import StillToRunIn
from vividowl.web.fields import In, InterfaceKind, Medium, Name, Number, Out, RunKey, Short

# A figure of a run; one of a column without a role is told by the column's name, which a logger may have made long.
FigureName = Annotated[str, Field(max_length=160, pattern=r"^[^\x00]*$")]


class FittedOut(Out):
    target: str
    kind: str
    product: str
    lot: str


class StateOut(Out):
    id: uuid.UUID
    position: int
    cause: str
    words: str
    attempt: int
    clean: str
    cover: str
    firmware: str
    tuning: str
    heat_cycles: float | None
    hours: float | None
    fitted: list[FittedOut]
    began_at: datetime


class LogRowOut(Out):
    id: uuid.UUID
    file_name: str
    repeat: bool
    die_c: float | None
    rise_k: float | None
    power_w: float | None
    held_share: float | None
    resistance_k_per_w: float | None
    fan_rpm: float | None
    clock_mhz: float | None
    sag_w: float | None
    settled: bool | None


class RunRowOut(Out):
    key: str
    id: uuid.UUID
    side: str
    name: str
    state_id: uuid.UUID | None
    load_recipe: str
    fan_setting: str
    power_profile: str
    placement: str
    start: str
    firmware: str
    tuning: str
    room_c: float | None
    duration_min: float | None
    result_score: float | None
    noise_db: float | None
    material: str
    logs: list[LogRowOut]


class AllRunsOut(Out):
    states: list[StateOut]
    runs: list[RunRowOut]
    factors: list[str]
    figures: list[str]


class LogFigureOut(Out):
    log: uuid.UUID
    # In the unit that the figure's name or its column says.
    value: float


class RunFigureOut(Out):
    values: list[LogFigureOut]


class RunAddIn(In):
    name: Name
    state_id: uuid.UUID | None = None
    like: RunKey | None = None
    fan_setting: Short = ""
    placement: Annotated[str, Field(max_length=120, pattern=r"^[^\x00]*$")] = ""
    power_profile: Short = ""
    load_recipe: Medium = ""
    firmware: Short = ""
    tuning: Annotated[str, Field(max_length=120, pattern=r"^[^\x00]*$")] = ""
    room_c: Number | None = None


class ReferenceIn(In):
    """What a run is to be from now on."""

    side: Literal["before", "after"]


class RunChangeIn(In):
    name: Name
    state_id: uuid.UUID


class StateIn(In):
    cause: StateCause
    words: Medium = ""
    clean: Answer | None = None
    cover: Short = ""
    firmware: Short = ""
    tuning: Annotated[str, Field(max_length=120, pattern=r"^[^\x00]*$")] = ""
    heat_cycles: Annotated[Number, Field(ge=0, le=100_000)] | None = None
    hours: Annotated[Number, Field(ge=0, le=1_000_000)] | None = None
    # What lies on the die from now on, where another material was put there.
    material: InterfaceKind | None = None
    product: Short = ""


class RankedOut(Out):
    group: str
    n: int
    mean: float
    u95: float | None
    place: int | None
    ties_with: list[str]
    runs: list[str]


class RankingOut(Out):
    groups: list[RankedOut]
    method: str
    reason: str
    unlike: list[str]
    without: int
    # What is held alike, where noise or temperature is: in the unit of its own figure.
    held: float | None
    # Speed of the fan that all were brought to.
    fan_rpm: float | None


class CrossedLevelOut(Out):
    setting: str
    # None where this setting has too few groups to rank.
    ranking: RankingOut | None


class CrossedOut(Out):
    columns: list[CrossedLevelOut]


class SettingOut(Out):
    factor: str
    setting: str


class CombinationOut(Out):
    settings: list[SettingOut]
    runs: list[str]


class EffectOfOut(Out):
    term: str
    factors: list[str]
    low: list[str]
    high: list[str]
    effect: float | None
    u95: float | None
    shown: bool
    reason: str


class RunPlanOut(Out):
    plan: str
    runs: int
    to_do: list[CombinationOut]
    tells_pairs: bool
    mixed: list[str]


class FactorsOut(Out):
    effects: list[EffectOfOut]
    waterfall: list[Bar]
    rest: float | None
    rest_u95: float | None
    missing: list[CombinationOut]
    missing_that_tell_all: int
    in_hand: list[CombinationOut]
    plans: list[RunPlanOut]
    method: str
    one_run_sd: float | None
    reason: str
    without: int
    fan_rpm: float | None


class GroupMeanOut(Out):
    n: int
    mean: float
    u95: float | None


class TwoGroupsOut(Out):
    first: GroupMeanOut
    second: GroupMeanOut
    difference: float
    u95: float | None
    shown: bool
    method: str
    unlike: list[str]


class PlannedFactorIn(In):
    factor: By
    settings: Annotated[list[Name], Field(min_length=1, max_length=6)]


class RunPlansIn(In):
    factors: Annotated[list[PlannedFactorIn], Field(min_length=2, max_length=5)]
    value: FigureName
    # Least difference that shall show, in the unit of the figure.
    want: Annotated[Number, Field(gt=0, le=1e6)] | None = None


class RepeatsNeededOut(Out):
    runs_each: int
    u95: float


class PlannedRunOut(Out):
    settings: list[str]
    in_hand: bool


class PlannedSetOut(Out):
    plan: str
    runs: list[PlannedRunOut]
    tells_pairs: bool
    # Factors whose effect comes mixed with pairs of others, with these.
    mixed: list[str]


class RunPlansOut(Out):
    names: list[str]
    plans: list[PlannedSetOut]
    repeats: RepeatsNeededOut | None
    one_run_sd: float | None


class BurnInOpenOut(Out):
    open: StillToRunIn | None


class PointOut(Out):
    x: float
    value: float
    u95: float | None
    run: str


class BurnInOut(Out):
    points: list[PointOut]
    settled: bool | None
    final: float | None
    final_u95: float | None
    rest: float | None
    more_needed: float | None
    one_run_u95: float | None
    tau: float | None
    without: int
    reason: str
