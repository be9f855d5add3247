"""Should a new machine be opened at all? Usually not: it holds no dust, and the maker's word on it still stands."""

from __future__ import annotations

from dataclasses import dataclass
from enum import StrEnum

from vividowl.core.quantities.words import Words, say
from vividowl.core.trace.pace import Pace
from vividowl.core.trace.throttling import HELD_SHARE

NEW_MONTHS = 6  # [months] of age up to which a device that nobody serviced is new; common practice, no source
HELD_MUCH_SHARE = 0.10  # of the load held back, from which a new machine is no longer as it should be; from memory
UNEVEN_SHARE = 0.10  # of the clock's middle: a wider spread is uneven; from memory
SLOW_FRAMES_SHARE = 0.5  # of the mean rate: a slow one per cent below it is seen as stutter; from memory
LOUD_DB = 60.0  # [dB] at the vent under load is loud; common practice, no source


class Opening(StrEnum):
    """What to do with a new machine."""

    LEAVE = "leave"
    MAKER = "maker"
    OPEN = "open"


@dataclass(frozen=True, kw_only=True)
class NewMachine:
    """What is known of it. held_share: of the load [1] or None; pace; level_db: at the vent under load or None;
    sealed: seal whole; warranty: "running", "over" or "unknown"; interface_bad: its fast part stands out."""

    held_share: float | None
    pace: Pace | None
    level_db: float | None
    sealed: bool
    warranty: str
    interface_bad: bool


@dataclass(frozen=True)
class Advice:
    """answer, and its reasons in sentences."""

    answer: Opening
    reasons: tuple[Words, ...]


def is_new(age_months: float | None, months_since_service: float | None) -> bool:
    """Whether a device is new: young, and nobody but the maker had it open.

    age_months: age [months], None when not known
    months_since_service: since the last service [months], None when there was none
    returns: whether it is [flag]; not known is not new
    source: common practice, no source
    """
    return months_since_service is None and age_months is not None and age_months <= NEW_MONTHS


def should_open(machine: NewMachine) -> Advice:
    """Say whether a new machine should be opened, and why.

    machine: what is known of it
    returns: Advice: leave it; take it back to the maker while the warranty runs; or open it
    source: handbook/runs.md, common practice, no source
    """
    held = machine.held_share
    much = held is not None and held > HELD_MUCH_SHARE
    reasons: list[Words] = [say("opening-no-dust", sealed=machine.sealed)]
    if held is None:
        reasons.append(say("opening-held-not-known"))
    else:
        reasons.append(say("opening-held", share=100.0 * held, little=held <= HELD_SHARE))
    reasons += _pace(machine.pace)
    if machine.level_db is not None:
        reasons.append(say("opening-noise", level_db=machine.level_db, loud=machine.level_db >= LOUD_DB))
    if machine.interface_bad:
        reasons.append(say("opening-interface-stands-out"))
    if machine.warranty == "running":
        reasons.append(say("opening-warranty-runs"))
    if not (much or machine.interface_bad):
        return Advice(Opening.LEAVE, tuple(reasons))
    return Advice(Opening.MAKER if machine.warranty != "over" else Opening.OPEN, tuple(reasons))


def _pace(pace: Pace | None) -> list[Words]:
    if pace is None:
        return []
    out: list[Words] = []
    if pace.clock_mhz and pace.clock_spread_mhz is not None:
        uneven = pace.clock_spread_mhz > UNEVEN_SHARE * pace.clock_mhz
        out.append(say("opening-clock", clock_mhz=pace.clock_mhz, spread_mhz=pace.clock_spread_mhz, uneven=uneven))
    frames = pace.frames
    if frames is not None and frames.slow_rate is not None:
        stutters = frames.slow_rate < SLOW_FRAMES_SHARE * frames.rate
        out.append(say("opening-frames", rate=frames.rate, slow=frames.slow_rate, stutters=stutters))
    return out
