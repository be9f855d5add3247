"""What changed from before to after, quantity by quantity, each with its expanded uncertainty."""

from __future__ import annotations

import math
from collections.abc import Callable, Sequence
from dataclasses import replace

from vividowl.core.heat.air import FAN_RESISTANCE_EXPONENT, FAN_RESISTANCE_EXPONENT_HALF_WIDTH
from vividowl.core.quantities.change import duration_change, relative_change
from vividowl.core.quantities.uncertainty import Tolerances, combined, standard_from_half_width
from vividowl.core.quantities.words import Words, listed, say
from vividowl.core.reading.measured import (
    BEHIND_INTERFACE_SHARE,
    Measured,
    at_fan_speed,
    by_share,
    capacity,
    die_temperature,
    pool,
    resistance,
    rise,
)
from vividowl.core.reading.reading import Reading, Statistics
from vividowl.core.response.settling import RESTLESS_TAIL_SHARE
from vividowl.core.trace.roles import Role
from vividowl.core.trace.throttling import HELD_SHARE
from vividowl.core.verdict.equal_terms import EqualTerms, equal_terms
from vividowl.core.verdict.parts import Effect, Side, effect_between, pair_text
from vividowl.core.verdict.quieter import noise_effect, recorded_effect

# A resistance at another power, per unit of the logarithm of the powers' ratio, beyond a difference of so much. From
# memory, looked at on two simulated devices.
BEND_SHARE, BEND_FROM = 0.15, 0.03
SCENES_CLOCK_SHARE = 0.12  # half-width of the clock of two runs of a game, whose scenes are not alike; from memory
SAME_LIMIT_K = 3.0  # [K] between plateaus that are one limit; from memory
LIMIT_SPAN_LEAST_K = 10.0  # [K] between limit and room, so that a ratio tells anything; from memory
# Clock against power at the limit: from V^2 f with the voltage rising along to a flat voltage. From memory.
CLOCK_BY_POWER, CLOCK_BY_POWER_HALF_WIDTH = 0.5, 0.25
_RESULTS = (
    ("score", say("effects-score"), say("effects-points"), False),
    ("duration", say("effects-duration-same-work"), "s", True),
    ("frame_rate", say("effects-frame-rate"), say("effects-frames-s"), False),
)


def _results(befores: Sequence[Side], afters: Sequence[Side], tol: Tolerances) -> tuple[Effect, ...]:
    """Scores, durations and frame rates, each with its percentage of a quantity that has a true zero."""
    out = []
    for name, words, unit, lower in _RESULTS:
        runs = [
            [
                Measured(value=v, scatter=standard_from_half_width(tol.result_share * v))
                if (v := s.results.get(name))
                else None
                for s in side
            ]
            for side in (befores, afters)
        ]
        (b, a), _ = pool(runs)
        if b is None and a is None:
            continue
        working: Words = say("effects-what-two-runs-one-benchmark", result_share=100 * tol.result_share)
        if b is not None and a is not None:
            if lower:
                change = duration_change(b.value, a.value)
                working = say(
                    "effects-less-time-more-throughput",
                    less_time_percent=change.less_time_percent,
                    more_throughput_percent=change.more_throughput_percent,
                    working=working,
                )
            else:
                working = listed(
                    (say("effects-percent", percent=relative_change(b.value, a.value).change_percent), working),
                    "semicolon",
                )
        out.append(effect_between(name, words, unit=unit, runs=runs, lower_is_better=lower, working=working))
    return tuple(out)


def _same_fan(terms: EqualTerms, resistances: Sequence[Sequence[Measured | None]]) -> tuple[Effect, ...]:
    """The resistance with the fan of the first run before; none when a fan speed is missing or a fan stood still."""
    first = terms.runs[0][0].fan_rpm
    known = [m.value for side in resistances for m in side if m is not None]
    if first is None or not first > 0 or not known:
        return ()
    behind = BEHIND_INTERFACE_SHARE * min(known)
    runs = [
        [at_fan_speed(of, run.fan_rpm, wanted_rpm=first, behind=behind) for run, of in zip(side, found, strict=True)]
        for side, found in zip(terms.runs, resistances, strict=True)
    ]
    if any(m is None for side in runs for m in side):
        return ()
    working = say(
        "effects-same-fan-working",
        behind=behind,
        rpm=first,
        exponent=FAN_RESISTANCE_EXPONENT,
        half_width=FAN_RESISTANCE_EXPONENT_HALF_WIDTH,
        both=pair_text("R", "K/W", runs, 3),
    )
    return (
        effect_between(
            "resistance_same_fan",
            say("effects-resistance-same-fan"),
            unit="K/W",
            runs=runs,
            lower_is_better=True,
            working=working,
        ),
    )


def _first_rooms(befores: Sequence[Side], afters: Sequence[Side]) -> tuple[float | None, float | None]:
    return befores[0].conditions.room_c, afters[0].conditions.room_c


def _bend_share(terms: EqualTerms) -> float:
    """How far a resistance may differ between the powers of both sides, as a share of it: leakage, air that rises by
    itself and a fan's table bend it."""
    watts = [side[0].watts for side in terms.runs]
    if not watts[0] or not watts[1]:
        return 0.0
    return BEND_SHARE * max(0.0, abs(math.log(watts[1] / watts[0])) - BEND_FROM)


def _on_equal_terms(
    sides: tuple[Sequence[Side], Sequence[Side]], terms: EqualTerms, tol: Tolerances
) -> tuple[list[list[Measured | None]], list[list[Measured | None]]]:
    """Rise and resistance of each run at the common time; what the sides may still differ by lies on those after."""
    over: list[list[Measured | None]] = []
    of: list[list[Measured | None]] = []
    u = standard_from_half_width(terms.half_width_k)
    bent = standard_from_half_width(_bend_share(terms))
    for side, at, extra, bend in zip(sides, terms.runs, (0.0, u), (0.0, bent), strict=True):
        over.append([])
        of.append([])
        for s, then in zip(side, at, strict=True):
            k = rise(s.reading, s.conditions.room_c, tol)
            shift = then.die_c - s.reading.die.mean
            over[-1].append(replace(k, value=k.value + shift, drift=combined(k.drift, extra)) if k else None)
            watts = then.watts
            r = (
                resistance(s.reading, s.conditions.room_c, tol=tol, at=(then.die_c, watts))
                if watts is not None
                else None
            )
            of[-1].append(replace(r, drift=combined(r.drift, extra / watts, bend * r.value)) if r and watts else None)
    return over, of


def _pinned_alike(before: Side, after: Side) -> bool:
    """Whether heat held both back at the same limit, so that watts and clock answer to the room."""
    limits = [s.reading.throttling.limit_c for s in (before, after)]
    shares = [s.reading.throttling.share or 0.0 for s in (before, after)]
    if limits[0] is None or limits[1] is None or None in (before.conditions.room_c, after.conditions.room_c):
        return False
    return min(shares) > HELD_SHARE and abs(limits[1] - limits[0]) <= SAME_LIMIT_K


def _in_the_first_room(
    of: Measured | None, side: Side, *, first_room_c: float | None, exponent: float, half_width: float, tol: Tolerances
) -> Measured | None:
    """Watts or clock of a run at its limit, as they would be in the room of the first run before."""
    limit_c, room_c = side.reading.throttling.limit_c, side.conditions.room_c
    if of is None or limit_c is None or room_c is None or first_room_c is None:
        return of
    span, wanted = limit_c - room_c, limit_c - first_room_c
    if span < LIMIT_SPAN_LEAST_K or wanted < LIMIT_SPAN_LEAST_K:
        return of
    ratio = wanted / span
    value = of.value * ratio**exponent
    # The room and what two runs of one device differ by move a die at its limit as they move a free one.
    share = combined(standard_from_half_width(tol.room_k), standard_from_half_width(tol.run_to_run_k)) / span
    unsure = abs(math.log(ratio)) * standard_from_half_width(half_width)
    return Measured(
        value=value,
        scatter=of.scatter,
        drift=combined(of.drift, value * exponent * share, value * unsure),
        shared=of.shared,
        freedom=of.freedom,
    )


def _at_time(terms: EqualTerms) -> Words:
    return "" if terms.at_s is None else say("effects-at-min-load-on-both", at_s=terms.at_s / 60.0)


def build_effects(
    befores: Sequence[Side],
    afters: Sequence[Side],
    *,
    tol: Tolerances,
    limit_c: float | None,
    reference_room_c: float,
    power_limit: float | None = None,
) -> tuple[Effect, ...]:
    """All effects of a service, known or not.

    befores: runs before (n,)
    afters: runs after (m,)
    tol: half-widths
    limit_c: temperature limit [degC] or None; the plateau of a run that was held back stands in
    reference_room_c: room of the sustained capacity [degC]
    power_limit: what the device draws at most [W], or None
    raises: OutOfRange
    source: JCGM 100:2008
    """
    sides = (befores, afters)
    b, a = befores[0].reading, afters[0].reading
    window = say("effects-mean-over-end-load")
    terms = equal_terms([s.reading for s in befores], [s.reading for s in afters], _first_rooms(befores, afters))

    def each(of: Callable[[Side], Measured | None]) -> list[list[Measured | None]]:
        return [[of(s) for s in side] for side in sides]

    def channel(pick: Callable[[Reading], Statistics | None], share: float) -> list[list[Measured | None]]:
        return each(lambda s: by_share(found, share) if (found := pick(s.reading)) is not None else None)

    pinned = _pinned_alike(befores[0], afters[0])

    def in_one_room(
        runs: list[list[Measured | None]], exponent: float, half_width: float
    ) -> list[list[Measured | None]]:
        if not pinned:
            return runs
        first = befores[0].conditions.room_c
        return [
            [
                _in_the_first_room(m, s, first_room_c=first, exponent=exponent, half_width=half_width, tol=tol)
                for s, m in zip(side, found, strict=True)
            ]
            for side, found in zip(sides, runs, strict=True)
        ]

    scenes = max(x.last_part for x in (b, a)) >= RESTLESS_TAIL_SHARE
    clock_share = max(tol.clock_share, SCENES_CLOCK_SHARE) if scenes else tol.clock_share
    one_room = say("effects-in-one-room", window=window, room_c=befores[0].conditions.room_c) if pinned else window
    die = each(lambda s: die_temperature(s.reading, tol))
    over, r = _on_equal_terms(sides, terms, tol)
    limit = limit_c if limit_c is not None else b.throttling.limit_c
    watts = [[capacity(m, limit, reference_room_c, power_limit) for m in side] for side in r]
    held_u = 100 * standard_from_half_width(0.03)
    held = each(
        lambda s: (
            Measured(value=100 * s.reading.throttling.share, scatter=held_u)
            if s.reading.throttling.share is not None
            else None
        )
    )
    recorded = recorded_effect(befores, afters, tol)
    return (
        effect_between(
            "die_temperature",
            say("effects-die-temperature"),
            unit="°C",
            runs=die,
            lower_is_better=True,
            working=say(
                "effects-s-before-s-after",
                window=window,
                from_s=b.window.to_s - b.window.from_s,
                window_from_s=a.window.to_s - a.window.from_s,
            ),
        ),
        effect_between(
            "rise",
            say("effects-rise-over-room"),
            unit="K",
            runs=over,
            lower_is_better=True,
            working=say("effects-t-t-room-valid-in", terms=_at_time(terms), over=pair_text("rise", "K", over)),
        ),
        effect_between(
            "power",
            say("effects-power"),
            unit="W",
            runs=in_one_room(channel(lambda x: x.power, tol.power_share), 1.0, 0.0),
            lower_is_better=None,
            working=say("effects-heat-into-shared-cooler", window=one_room),
        ),
        effect_between(
            "resistance",
            say("effects-thermal-resistance"),
            unit="K/W",
            runs=r,
            lower_is_better=True,
            working=say("effects-rise-power-as-cooler-remembers", r=pair_text("R", "K/W", r, 3)),
        ),
        *_same_fan(terms, r),
        effect_between(
            "sustained_capacity",
            say("effects-sustained-capacity"),
            unit="W",
            runs=watts,
            lower_is_better=False,
            working=say("effects-capacity-working", room_c=reference_room_c, limit_c=limit, draws_w=power_limit),
        ),
        effect_between(
            "clock",
            say("effects-clock"),
            unit="MHz",
            runs=in_one_room(channel(lambda x: x.clock, clock_share), CLOCK_BY_POWER, CLOCK_BY_POWER_HALF_WIDTH),
            lower_is_better=False,
            working=one_room,
        ),
        effect_between(
            "throttle_share",
            say("effects-held-back-by-heat"),
            unit=say("effects-load"),
            runs=held,
            lower_is_better=True,
            working=say(
                "effects-pinned-at-its-plateau-with",
                before=b.throttling.told_by or None,
                after=a.throttling.told_by or None,
            ),
        ),
        effect_between(
            "fan_speed",
            say("effects-fan-speed"),
            unit="rpm",
            runs=channel(lambda x: x.stats.get(Role.FAN_SPEED), 0.02),
            lower_is_better=None,
            working=window,
        ),
        noise_effect(befores, afters, tol),
        *((recorded,) if recorded is not None else ()),
        *_results(befores, afters, tol),
    )
