"""One log read whole: time structure, steady figures, throttling, resistances and response."""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from dataclasses import dataclass, replace

import numpy as np

from vividowl.core.quantities.errors import CoreError, NotEnoughData
from vividowl.core.quantities.uncertainty import standard_error
from vividowl.core.quantities.words import Words, say
from vividowl.core.response.cooldown import CoolDown, fit_cool_down, with_cool_down
from vividowl.core.response.network import fit_response
from vividowl.core.response.resistance import ChipResistances, chip_resistances
from vividowl.core.response.settling import (
    RESTLESS_TAIL_SHARE,
    SettledWindow,
    choose_window,
    find_settled_window,
    last_part,
)
from vividowl.core.response.terms import Response
from vividowl.core.trace.course import Course, course_of
from vividowl.core.trace.felt_power import FeltPower, felt_power
from vividowl.core.trace.load import LoadPhase, find_load, find_pauses, under_load
from vividowl.core.trace.pace import Pace, pace_of
from vividowl.core.trace.phases import Chip, Phase, find_phases
from vividowl.core.trace.roles import JUDGED_ROLES, Role
from vividowl.core.trace.sag import Sag, sag_of
from vividowl.core.trace.sensors import CLIPPED_FROM_S, is_clipped, never_changes
from vividowl.core.trace.shared_power import shared_limit
from vividowl.core.trace.throttling import Throttling, find_throttling
from vividowl.core.trace.trace import Series, Trace

HELD_AT_END_SHARE = 0.5  # of the tail held back, from which the end says nothing of settling; from memory
HELD_TAIL_SHARE = 0.2  # of the load that is its tail; from memory
BEGUN_S = 30.0  # [s] before the load that tell how it began; from memory


@dataclass(frozen=True)
class Statistics:
    """mean, maximum, p95 and standard error of the mean over the settled window, in the channel's unit."""

    mean: float
    maximum: float
    p95: float
    standard_error: float


@dataclass(frozen=True, kw_only=True)
class Reading:
    """What a log says. stats and power are over the settled window; response is None when not known,
    response_reason then says why; die_stuck: the die sensor never moved, so nothing follows from it; die_clipped:
    it shows one value from early on though nothing is given up for it; pauses: start and end of those between the
    passes of a looping benchmark [s]; felt: the power that the die at the end answers to, None without power;
    course: what it showed at earlier ends of the load, course_by_halves: as means over its last half; last_part:
    share of the load that the window is; begun: die [degC] and power [W] just before the load, None when the log
    begins with it; idle_fan_rpm: lowest usual speed of the fan before it, or None; sag: its first and its tenth
    minute; pace: how evenly its clock and its frames went; core_spread: hottest core less coolest [K], or None;
    dead: temperatures beside the die that show one value throughout; shared_limit_w: limit of both chips together that
    the log shows, or None."""

    samples: int
    duration_s: float
    interval_s: float
    die_role: Role
    die_stuck: bool
    die_clipped: bool
    load: LoadPhase
    pauses: tuple[tuple[float, float], ...]
    phases: tuple[Phase, ...]
    window: SettledWindow
    throttling: Throttling
    stats: Mapping[Role, Statistics]
    power: Statistics | None
    felt: FeltPower | None
    course: Course
    course_by_halves: Course
    last_part: float
    begun: tuple[float, float] | None
    idle_fan_rpm: float | None
    chips: ChipResistances
    response: Response | None
    response_reason: Words
    cool_down: CoolDown | None
    sag: Sag
    pace: Pace
    core_spread: Statistics | None = None
    dead: frozenset[Role] = frozenset()
    shared_limit_w: float | None = None

    @property
    def die(self) -> Statistics:
        """Statistics of the deciding die temperature [degC]."""
        return self.stats[self.die_role]

    @property
    def clock(self) -> Statistics | None:
        """Statistics of the clock that belongs to the deciding die [MHz]."""
        role = Role.CPU_CLOCK if self.die_role is Role.CPU_TEMPERATURE else Role.GPU_CLOCK
        return self.stats.get(role)


def statistics(values: Series) -> Statistics | None:
    """Statistics of a series, None when nothing in it is finite.

    values: series (n,) [any]
    source: JCGM 100:2008, 4.2
    """
    known = values[np.isfinite(values)]
    if len(known) < 2:
        return None
    return Statistics(float(known.mean()), float(known.max()), float(np.percentile(known, 95)), standard_error(known))


def read_trace(
    trace: Trace, room_c: float | None, limit_c: float | None = None, chosen: tuple[float, float] | None = None
) -> Reading:
    """Read a log: load, settled window, throttling, statistics, resistances and response.

    trace: the log
    room_c: room temperature [degC], None when not noted: then no resistance is computed
    limit_c: temperature limit of the device [degC], None when not known
    chosen: settled window set by hand, from and to [s], None to find it
    returns: Reading; what cannot be computed is None in it
    raises: NotEnoughData without a die temperature where figures are taken from, OutOfRange for a window outside
    source: as the parts
    """
    phases = find_phases(trace)
    load, steady, alone = _loads(trace, phases)
    stuck = never_changes(trace.channels[trace.die_role])
    throttling = find_throttling(trace, steady, limit_c)
    response: Response | None = None
    reason: Words = say("reading-die-sensor-never-moves-so")
    if not stuck and alone is None:
        reason = say("reading-both-chips-work-in-every")
    elif not stuck and alone is not None:
        try:
            response, reason = fit_response(trace if alone == load else trace.until(alone.end_s), alone), ""
        except CoreError as error:
            reason = error.message
    tail_s = HELD_TAIL_SHARE * (steady.end_s - steady.onset_s)
    late = sum(max(0.0, b - max(a, steady.end_s - tail_s)) for a, b in throttling.spans_s)
    whole = response if alone == steady else None
    # After a load of both chips each falls by the heat of both, and a pause between is no load of one.
    cooling = fit_cool_down(trace, steady) if whole is not None and load.seen and not stuck else None
    if whole is not None:
        response = with_cool_down(whole, cooling, trace.interval_s)
    window = find_settled_window(
        trace, steady, response=whole, held_at_end=late > HELD_AT_END_SHARE * tail_s, stuck=stuck
    )
    if chosen is not None:
        window = choose_window(window, trace, *chosen)
    inside = under_load(trace, steady) & (trace.time_s >= window.from_s) & (trace.time_s <= window.to_s)
    if inside.sum() < 2:
        inside = (trace.time_s >= window.from_s) & (trace.time_s <= window.to_s)
    found = {role: statistics(values[inside]) for role, values in trace.channels.items()}
    if found[trace.die_role] is None:
        raise NotEnoughData(
            say(
                "reading-no-die-where-figures",
                from_s=clock_words(window.from_s),
                to_s=clock_words(window.to_s),
                chosen=chosen is not None,
            ),
            field="window" if chosen is not None else "log",
        )
    power = trace.power
    felt = felt_power(trace, steady, inside)
    chips = ChipResistances(reason=say("reading-room-temperature-not-noted"))
    if stuck:
        chips = ChipResistances(reason=reason)
    elif room_c is not None:
        chips = chip_resistances(trace, phases, room_c, inside)
    return Reading(
        samples=len(trace.time_s),
        duration_s=trace.duration_s,
        interval_s=trace.interval_s,
        die_role=trace.die_role,
        die_stuck=stuck,
        die_clipped=not stuck and not throttling.spans_s and _clipped(trace, steady),
        load=load,
        pauses=find_pauses(trace, load) if len({p.chip for p in phases}) < 2 else (),
        phases=phases,
        window=window,
        throttling=throttling,
        stats={role: value for role, value in found.items() if value is not None},
        power=statistics(power[inside]) if power is not None else None,
        felt=felt,
        course=course_of(trace, steady, working=under_load(trace, steady), felt=felt, share=last_part(window, steady)),
        course_by_halves=course_of(
            trace, steady, working=under_load(trace, steady), felt=felt, share=RESTLESS_TAIL_SHARE
        ),
        last_part=last_part(window, steady),
        begun=_begun(trace, load),
        idle_fan_rpm=_idle_fan(trace, load),
        chips=chips,
        response=response,
        response_reason=reason,
        cool_down=cooling,
        sag=sag_of(trace, load),
        pace=pace_of(trace, inside),
        core_spread=statistics(trace.core_spread_k[inside]) if trace.core_spread_k is not None else None,
        dead=frozenset(
            r for r in JUDGED_ROLES if r is not trace.die_role and trace.has(r) and never_changes(trace.channels[r])
        ),
        shared_limit_w=shared_limit(trace, steady),
    )


def _clipped(trace: Trace, load: LoadPhase) -> bool:
    """Whether the sensor of the deciding die shows no more than one value."""
    late = (trace.time_s >= max(load.onset_s + CLIPPED_FROM_S, load.boost_end_s)) & (trace.time_s < load.end_s)
    die, power = trace.channels[trace.die_role], trace.power
    if late.sum() < 2:
        return False
    return is_clipped(trace.time_s[late], die[late], None if power is None else power[late])


def _begun(trace: Trace, load: LoadPhase) -> tuple[float, float] | None:
    """Die and power of the last seconds before the load."""
    idle = (trace.time_s < load.onset_s - 0.5 * trace.interval_s) & (trace.time_s > load.onset_s - BEGUN_S)
    die, power = trace.channels[trace.die_role][idle], trace.power
    if not load.seen or np.isfinite(die).sum() < 2 or power is None or not np.isfinite(power[idle]).any():
        return None
    # A burst of background work is no state to begin from: the lower half counts.
    return float(np.nanpercentile(die, 30)), float(np.nanpercentile(power[idle], 30))


def _idle_fan(trace: Trace, load: LoadPhase) -> float | None:
    """Lowest usual fan speed outside the load [rpm]."""
    fan = trace.get(Role.FAN_SPEED)
    if fan is None or not load.seen:
        return None
    idle = fan[(trace.time_s < load.onset_s) & np.isfinite(fan)]
    return float(np.percentile(idle, 20)) if len(idle) >= 3 else None


def _loads(trace: Trace, phases: Sequence[Phase]) -> tuple[LoadPhase, LoadPhase, LoadPhase | None]:
    """The whole load; the phase that gives the steady figures; and the one from which the curve of the deciding die
    can be read, None when the other chip works in all of them."""
    load = find_load(trace)
    if len({p.chip for p in phases}) < 2:
        both = any(p.chip is Chip.BOTH for p in phases)
        return load, load, None if both else load
    own = Chip.PROCESSOR if trace.die_role is Role.CPU_TEMPERATURE else Chip.GRAPHICS
    working = [p for p in phases if p.chip in (own, Chip.BOTH)] or list(phases)
    begun = phases[0].from_s > trace.time_s[0] + 1.5 * trace.interval_s
    load = replace(load, onset_s=phases[0].from_s, boost_end_s=phases[0].from_s, end_s=phases[-1].to_s, seen=begun)

    def part(phase: Phase, seen: bool) -> LoadPhase:
        return replace(load, onset_s=phase.from_s, boost_end_s=phase.from_s, end_s=phase.to_s, seen=seen)

    # Only the first phase rises from idle; later ones still carry the heat of those before.
    first = phases[0] if begun and phases[0].chip is own else None
    return load, part(working[-1], True), part(first, True) if first else None


def clock_words(seconds: float) -> str:
    """Write a time in a log as minutes and seconds.

    seconds: time [s], >= 0
    returns: m:ss or h:mm:ss [text]
    source: ISO 8601 order
    """
    whole = round(seconds)
    hours, minutes, rest = whole // 3600, whole // 60 % 60, whole % 60
    return f"{hours}:{minutes:02d}:{rest:02d}" if hours else f"{minutes}:{rest:02d}"
