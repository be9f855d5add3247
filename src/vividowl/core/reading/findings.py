"""A reading in words: what a technician would say about the log."""

from __future__ import annotations

from collections.abc import Mapping

from vividowl.core.heat.temperature import REFERENCE_ROOM_C
from vividowl.core.quantities.uncertainty import Tolerances
from vividowl.core.quantities.words import Words, listed, say
from vividowl.core.reading.limits import AGAIN, sensors_in
from vividowl.core.reading.measured import Measured, capacity, resistance, rise
from vividowl.core.reading.reading import Reading, clock_words
from vividowl.core.response.reference import Reference, class_reference, judge_response
from vividowl.core.trace.roles import JUDGED_ROLES, ROLE_KINDS, Role
from vividowl.core.trace.throttling import Unknown

# [K] between the hottest core and the coolest under an even load from which they are told; from memory
CORES_APART_K = 12.0
WELL_BELOW_K = 10.0  # [K] below its limit at the end of the load, from which nothing is wrong; from memory
SHORT_LOG_S = 60.0  # [s] a log below it is told to be short; from memory
AGREES_SHARE = 0.2  # within which cool-down and load tell the same interface; from memory
SMALL_W = 20.0  # [W] below it a tenth is shown


def findings(
    reading: Reading,
    room_c: float | None,
    *,
    limit_c: float | None = None,
    reference: Reference | None = None,
    tolerances: Tolerances | None = None,
    reference_room_c: float = REFERENCE_ROOM_C,
    sensor_limits_c: Mapping[Role, float] | None = None,
    lost: bool = False,
) -> tuple[Words, ...]:
    """Say in words what the log says.

    room_c: room temperature [degC] or None
    limit_c: temperature limit [degC] or None; the plateau stands in when heat holds it back
    reference: what the response is judged against, None for the typical laptop
    tolerances: half-widths, the shop's own or the defaults
    reference_room_c: room of the sustained capacity [degC]
    sensor_limits_c: noted limits of other sensors by role [degC], None for the usual ones
    lost: it lost much since its own last service, so that it is not fine whatever others of its kind do [flag]
    returns: sentences (n,) [text]
    raises: OutOfRange
    source: common practice, no source
    """
    tol = tolerances or Tolerances()
    out = [_times(reading)]
    if reading.duration_s < SHORT_LOG_S:
        out.append(say("findings-log-only-s-long-ten", duration_s=reading.duration_s))
    if reading.die_stuck:
        name = ROLE_KINDS[reading.die_role].words
        out.append(say("findings-reads-c-from-first-sample", name=name, mean=reading.die.mean))
        return tuple(out)
    of = resistance(reading, room_c, tol=tol)
    fine = None if lost else nothing_wrong(reading, limit_c, noted=sensor_limits_c or {}, reference=reference, of=of)
    if fine is not None:
        out.insert(0, fine)
    out.append(_steady(reading, room_c, tol))
    out += _above_limits(reading, limit_c, sensor_limits_c or {})
    out += _phases(reading)
    out += _pauses(reading)
    out += _held(reading)
    out += _sag(reading)
    out += _frames(reading)
    limit = limit_c if limit_c is not None else reading.throttling.limit_c
    if of is not None and limit is not None and limit > reference_room_c + 1:
        watts = capacity(of, limit, reference_room_c)
        if watts is not None:
            digits = 1 if watts.value < SMALL_W else 0
            out.append(
                say(
                    "findings-by-calculation-can-hold-w",
                    value=watts.value,
                    digits=digits,
                    u95=watts.u95,
                    limit=limit,
                    reference_room_c=reference_room_c,
                )
            )
    if reading.response is not None and reading.response.total > 0:
        coupled = reading.chips.coupled
        whole = coupled.cpu if coupled is not None else of.value if of is not None else None
        out.append(judge_response(reading.response, reference or class_reference("laptop"), whole).text)
        out += _cooling(reading)
    elif reading.response_reason:
        out.append(reading.response_reason)
    return tuple(out)


def _times(reading: Reading) -> Words:
    load, window = reading.load, reading.window
    if load.seen:
        boost = clock_words(load.boost_end_s) if load.boost_end_s > load.onset_s else None
        text = say("findings-load-starts-at", at=clock_words(load.onset_s), boost_end=boost)
    else:
        text = say("findings-log-shows-no-idle-before")
    if window.chosen:
        return say(
            "findings-figures-from-to-set-by",
            text=text,
            from_s=clock_words(window.from_s),
            to_s=clock_words(window.to_s),
        )
    if window.settled:
        to_go_k = round(abs(window.remaining_rise_k), 1) if window.remaining_rise_k is not None else None
        return say("findings-settled-from", text=text, at=clock_words(window.from_s), to_go_k=to_go_k)
    if window.minutes_needed is not None and window.final_c is not None:
        more = max(1, round(window.minutes_needed))
        return say(
            "findings-not-settled-more-minute-would",
            text=text,
            more=more,
            final_c=window.final_c,
            uncertainty_k=window.uncertainty_k or 0.0,
        )
    return say("findings-not-settled-and-where-would", text=text)


def _steady(reading: Reading, room_c: float | None, tol: Tolerances) -> Words:
    over, of = rise(reading, room_c, tol), resistance(reading, room_c, tol=tol)
    return say(
        "findings-steady",
        name=ROLE_KINDS[reading.die_role].words,
        die_c=reading.die.mean,
        power_w=reading.power.mean if reading.power is not None else None,
        over_k=over.value if over is not None else None,
        resistance=of.value if of is not None else None,
        u95=of.u95 if of is not None else None,
    )


def nothing_wrong(
    reading: Reading,
    limit_c: float | None,
    *,
    noted: Mapping[Role, float],
    reference: Reference | None,
    of: Measured | None,
) -> Words | None:
    """That nothing is wrong with its cooling: its limit is noted and lies well above where it ends, nothing held it
    back, no sensor stands above its limit, and its heat goes as in its kind.

    limit_c: noted limit of the die [degC] or None
    noted: limits of the other sensors by role [degC]
    reference: what the response is judged against, None for the typical laptop
    of: its resistance [K/W] or None
    returns: a sentence, None where that is not known [text]
    source: common practice, no source
    """
    held, response = reading.throttling.share, reading.response
    if limit_c is None or held is None or held > 0.0 or response is None or not response.tells_interface:
        return None
    ends_c = max(reading.die.mean, reading.window.final_c or 0.0)
    judged = judge_response(response, reference or class_reference("laptop"), of.value if of is not None else None)
    if limit_c - ends_c < WELL_BELOW_K or judged.interface_poor or judged.slow_part_large:
        return None
    limits = dict(noted) | {reading.die_role: limit_c}
    if any(s.over_limit_k is not None for s in sensors_in(reading, limits)):
        return None
    return say("findings-nothing-wrong", below=limit_c - ends_c)


def _above_limits(reading: Reading, limit_c: float | None, noted: Mapping[Role, float]) -> list[Words]:
    """What stands above its limit, and cores that lie far apart."""
    out: list[Words]
    limits = dict(noted) | ({reading.die_role: limit_c} if limit_c is not None else {})
    out = [
        say(
            "comparison-sensor-over",
            sensor=say(f"sensor-{s.role}"),
            after=s.end_c,
            limit=s.limit_c,
            noted=s.limit_noted,
        )
        for s in sensors_in(reading, limits)
        if s.over_limit_k is not None and s.role not in AGAIN
    ]
    out += [say("findings-sensor-dead", sensor=say(f"sensor-{role}")) for role in JUDGED_ROLES if role in reading.dead]
    if reading.core_spread is not None and reading.core_spread.mean > CORES_APART_K:
        out.append(say("findings-cores-apart", spread=reading.core_spread.mean))
    return out


def _phases(reading: Reading) -> list[Words]:
    out: list[Words] = []
    if len({p.chip for p in reading.phases}) > 1:
        said = [
            say("findings-phase", chip=p.chip.value, from_s=clock_words(p.from_s), to_s=clock_words(p.to_s))
            for p in reading.phases
        ]
        out.append(say("findings-load-phases", phases=listed(said)))
    coupled = reading.chips.coupled
    if coupled is not None:
        out.append(
            say(
                "findings-shared-cooler-processor-k-w",
                cpu=coupled.cpu,
                cpu_u=2 * coupled.cpu_u,
                cpu_from_gpu=coupled.cpu_from_gpu,
                gpu=coupled.gpu,
                gpu_u=2 * coupled.gpu_u,
                gpu_from_cpu=coupled.gpu_from_cpu,
            )
        )
    elif reading.chips.reason and reading.power is not None:
        out.append(reading.chips.reason)
    if reading.shared_limit_w is not None:
        out.append(say("findings-shared-limit", watts=reading.shared_limit_w))
    return out


def _pauses(reading: Reading) -> list[Words]:
    if not reading.pauses:
        return []
    n = len(reading.pauses)
    seconds = sum(b - a for a, b in reading.pauses) / n
    return [say("findings-load-pauses-for-about-s", n=n, seconds=seconds)]


def held_back_unknown(why: Unknown) -> Words:
    """Why it is not known whether heat held a device back.

    returns: one sentence [text]
    """
    if why is Unknown.LIMIT:
        return say("findings-held-back-limit-not-known")
    return say("findings-whether-heat-holds-back-not")


def _held(reading: Reading) -> list[Words]:
    held = reading.throttling
    if held.share is None:
        return [held_back_unknown(held.unknown or Unknown.NOT_LOGGED)]
    if held.share < 0.005:
        return [say("findings-held-back-by-heat-time")]
    given = [
        say("findings-given-up", value=value, unit=unit)
        for value, unit in ((held.given_up_w, "W"), (held.given_up_mhz, "MHz"))
        if value is not None and value >= 1.0
    ]
    return [
        say(
            "findings-held-back-by-heat-loaded",
            limit_c=held.limit_c,
            share=100 * held.share,
            episodes=held.episodes,
            first_s=clock_words(held.first_s) if held.first_s is not None else None,
            gives=bool(given),
            given=listed(given, "and"),
        )
    ]


def _sag(reading: Reading) -> list[Words]:
    first, tenth = reading.sag.minute_1, reading.sag.minute_10
    if first.power is None or tenth.power is None:
        return []
    return [
        say(
            "findings-sag",
            told=reading.sag.told,
            first_w=first.power,
            tenth_w=tenth.power,
            first_mhz=first.clock_mhz,
            tenth_mhz=tenth.clock_mhz,
            first_c=first.die_c,
            tenth_c=tenth.die_c,
        )
    ]


def _frames(reading: Reading) -> list[Words]:
    frames = reading.pace.frames
    if frames is None:
        return []
    return [say("findings-frames", rate=frames.rate, slow_rate=frames.slow_rate)]


def _cooling(reading: Reading) -> list[Words]:
    cooling, response = reading.cool_down, reading.response
    if cooling is None or response is None or cooling.interface is None:
        return []
    fast = say("findings-k-vanish-within-seconds", fast_drop_k=cooling.fast_drop_k)
    under_load = response.heating_interface
    if abs(cooling.interface - under_load) <= AGREES_SHARE * max(cooling.interface, under_load):
        return [say("findings-cool-down-agrees", fast=fast)]
    if response.cooling_interface is None:
        return [say("findings-cool-down-does-not-agree", fast=fast, interface=cooling.interface, under_load=under_load)]
    return [say("findings-split-taken-from-cool-down", fast=fast, interface=cooling.interface, under_load=under_load)]
