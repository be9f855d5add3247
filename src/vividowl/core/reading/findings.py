"""A reading in words: what a technician would say about the log."""

from __future__ import annotations

from vividowl.core.heat.temperature import REFERENCE_ROOM_C
from vividowl.core.quantities.uncertainty import Tolerances
from vividowl.core.reading.measured import capacity, resistance, rise
from vividowl.core.reading.reading import Reading, clock_words
from vividowl.core.response.reference import Reference, class_reference, judge_response
from vividowl.core.trace.phases import Chip
from vividowl.core.trace.roles import ROLE_KINDS

SHORT_LOG_S = 60.0
AGREES_SHARE = 0.2
SMALL_W = 20.0


def findings(
    reading: Reading,
    room_c: float | None,
    *,
    limit_c: float | None = None,
    reference: Reference | None = None,
    tolerances: Tolerances | None = None,
    reference_room_c: float = REFERENCE_ROOM_C,
) -> tuple[str, ...]:
    """Say in words what the log says.

    reading: the reading
    room_c: room temperature [degC] or None
    limit_c: temperature limit [degC] or None; the plateau stands in when heat holds it back
    reference: what the response is judged against, None for the typical laptop
    tolerances: half-widths, the shop's own or the defaults
    reference_room_c: room of the sustained capacity [degC]
    returns: sentences (n,) [text]
    raises: OutOfRange
    source: common practice, no source
    """
    tol = tolerances or Tolerances()
    out = [_times(reading)]
    if reading.duration_s < SHORT_LOG_S:
        out.append(f"The log is only {reading.duration_s:.0f} s long; ten minutes of load or more are needed to judge.")
    if reading.die_stuck:
        name = ROLE_KINDS[reading.die_role].words
        out.append(
            f"The {name} reads {reading.die.mean:.1f} °C from the first sample to the last: the sensor is stuck or the "
            "column is something else. Nothing else follows from it."
        )
        return tuple(out)
    out.append(_steady(reading, room_c, tol))
    out += _phases(reading)
    out += _pauses(reading)
    out += _held(reading)
    of = resistance(reading, room_c, tol)
    limit = limit_c if limit_c is not None else reading.throttling.limit_c
    if of is not None and limit is not None and limit > reference_room_c + 1:
        watts = capacity(of, limit, reference_room_c)
        if watts is not None:
            digits = 1 if watts.value < SMALL_W else 0
            out.append(
                f"By calculation it can hold {watts.value:.{digits}f} ± {watts.u95:.{digits}f} W at {limit:.0f} °C in "
                f"a room of {reference_room_c:.0f} °C."
            )
    if reading.response is not None and reading.response.total > 0:
        coupled = reading.chips.coupled
        whole = coupled.cpu if coupled is not None else of.value if of is not None else None
        out.append(judge_response(reading.response, reference or class_reference("laptop"), whole).text)
        out += _cooling(reading)
    elif reading.response_reason:
        out.append(reading.response_reason)
    return tuple(out)


def _times(reading: Reading) -> str:
    load, window = reading.load, reading.window
    if load.seen:
        text = f"Load starts at {clock_words(load.onset_s)}"
        if load.boost_end_s > load.onset_s:
            text += f", boost ends at {clock_words(load.boost_end_s)}"
    else:
        text = "The log shows no idle before the load, so all of it is taken as loaded"
    if window.chosen:
        return f"{text}; figures from {clock_words(window.from_s)} to {clock_words(window.to_s)}, set by hand."
    if window.settled:
        to_go = f" ({abs(window.remaining_rise_k):.1f} K to go)" if window.remaining_rise_k is not None else ""
        return f"{text}; settled from {clock_words(window.from_s)}{to_go}."
    if window.minutes_needed is not None and window.final_c is not None:
        more = max(1, round(window.minutes_needed))
        return (
            f"{text}; not settled: {more} more minute{'s' if more > 1 else ''} would settle it, "
            f"it would end near {window.final_c:.0f} ± {window.uncertainty_k or 0.0:.0f} °C."
        )
    return f"{text}; not settled, and where it would end is not known."


def _steady(reading: Reading, room_c: float | None, tol: Tolerances) -> str:
    name = ROLE_KINDS[reading.die_role].words.capitalize()
    text = f"{name} {reading.die.mean:.1f} °C"
    if reading.power is not None:
        text += f" at {reading.power.mean:.1f} W"
    over, of = rise(reading, room_c, tol), resistance(reading, room_c, tol)
    if over is not None:
        text += f", {over.value:.1f} K over the room"
    if of is not None:
        text += f", {of.value:.2f} ± {of.u95:.2f} K/W"
    return text + "."


def _phases(reading: Reading) -> list[str]:
    out = []
    if len({p.chip for p in reading.phases}) > 1:
        said = [
            f"{p.chip.value}{'' if p.chip is Chip.BOTH else ' only'} {clock_words(p.from_s)} to {clock_words(p.to_s)}"
            for p in reading.phases
        ]
        out.append("Load phases: " + ", ".join(said) + ".")
    coupled = reading.chips.coupled
    if coupled is not None:
        out.append(
            f"Shared cooler: processor {coupled.cpu:.2f} ± {2 * coupled.cpu_u:.2f} K/W by its own watts and "
            f"{coupled.cpu_from_gpu:.2f} K/W by those of graphics; graphics {coupled.gpu:.2f} ± "
            f"{2 * coupled.gpu_u:.2f} and {coupled.gpu_from_cpu:.2f} K/W."
        )
    elif reading.chips.reason and reading.power is not None:
        out.append(reading.chips.reason)
    return out


def _pauses(reading: Reading) -> list[str]:
    if not reading.pauses:
        return []
    n = len(reading.pauses)
    seconds = sum(b - a for a, b in reading.pauses) / n
    return [
        f"The load pauses {'once' if n == 1 else f'{n} times'} for about {seconds:.0f} s, as between the passes of a "
        "loop: utilisation falls with the power, so that is no throttling, and the figures leave it out."
    ]


def _held(reading: Reading) -> list[str]:
    held = reading.throttling
    if held.share is None:
        return ["Whether heat holds it back is not known: neither power, clock nor a throttle flag was logged."]
    if held.share < 0.005:
        return ["Held back by heat 0 % of the time."]
    first = f", first after {clock_words(held.first_s)}" if held.first_s is not None else ""
    given = [
        f"{value:.0f} {unit}"
        for value, unit in ((held.given_up_w, "W"), (held.given_up_mhz, "MHz"))
        if value is not None and value >= 1.0
    ]
    gives = f", giving up {' and '.join(given)}" if given else ""
    at = f" at {held.limit_c:.0f} °C" if held.limit_c is not None else ""
    times = f"{held.episodes} episode{'s' if held.episodes > 1 else ''}"
    return [f"Held back by heat{at} {100 * held.share:.0f} % of the loaded time ({times}{first}){gives}."]


def _cooling(reading: Reading) -> list[str]:
    cooling, response = reading.cool_down, reading.response
    if cooling is None or response is None or cooling.interface is None:
        return []
    fast = f"{cooling.fast_drop_k:.0f} K vanish within seconds"
    under_load = response.heating_interface
    if abs(cooling.interface - under_load) <= AGREES_SHARE * max(cooling.interface, under_load):
        return [f"The cool-down agrees: {fast}."]
    if response.cooling_interface is None:
        return [
            f"The cool-down does not agree: {fast}, {cooling.interface:.2f} K/W against {under_load:.2f} K/W under "
            "load. Take the split with care."
        ]
    return [
        f"The split is taken from the cool-down ({fast}, {cooling.interface:.2f} K/W); at the start of the load, where "
        f"the fan changes its speed, it would be {under_load:.2f} K/W."
    ]
