"""Every temperature of a log judged by itself: before, after, difference, limit."""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from dataclasses import dataclass, replace

from vividowl.core.quantities.uncertainty import Tolerances, combined, standard_from_half_width
from vividowl.core.quantities.words import Words, say
from vividowl.core.reading.limits import AGAIN, limit_of, over_limit
from vividowl.core.reading.measured import (
    BEHIND_INTERFACE_SHARE,
    Measured,
    at_fan_speed,
    difference_u95,
    pool,
    resistance,
    rise,
)
from vividowl.core.trace.roles import JUDGED_ROLES, ROLE_KINDS, Role
from vividowl.core.verdict.equal_terms import AtTime, EqualTerms
from vividowl.core.verdict.parts import Effect, Shown, Side

# Warmer air and a warmer heatsink are neither better nor worse by themselves.
_NEITHER = frozenset({Role.HEATSINK_TEMPERATURE, Role.EXHAUST_TEMPERATURE})
# Of several sensors one goes beyond its U95 by chance more often: so much more carries a verdict alone (four sensors,
# Bonferroni at 5 %: 2.5 against 1.96).
FIRM_FACTOR = 1.28
# A part beside the dies has heat of its own: of a difference in power this share may not reach it. From memory.
OWN_HEAT_SHARE, POWER_SAME_SHARE = 0.5, 0.02


@dataclass(frozen=True, kw_only=True)
class SensorVerdict:
    """role; limit_c [degC] or None, limit_noted: whether the shop noted it or it is the usual one, from memory;
    before_c, after_c as measured [degC]; difference_k at equal work, fan and room with its U95 [K], None without a
    room; shown."""

    role: Role
    limit_c: float | None
    limit_noted: bool
    before_c: float
    after_c: float
    difference_k: float | None
    u95_k: float | None
    shown: Shown

    @property
    def words(self) -> Words:
        """As people say it."""
        return ROLE_KINDS[self.role].words

    @property
    def short_words(self) -> Words:
        """The part that it stands for."""
        return say(f"sensor-{self.role}")

    @property
    def tells(self) -> bool:
        """Whether it is told beside the die: not the processor once more, nor what is neither better nor worse."""
        return self.role not in _NEITHER and self.role not in AGAIN

    @property
    def over_limit_k(self) -> float | None:
        """How far it stands above its limit after [K], None where it does not or no limit is known."""
        return over_limit(self.after_c, self.limit_c)

    @property
    def was_over_k(self) -> float | None:
        """How far it stood above its limit before [K], None where it did not or no limit is known."""
        return over_limit(self.before_c, self.limit_c)

    @property
    def firm(self) -> bool:
        """Whether it could carry a verdict by itself."""
        return (
            self.difference_k is not None
            and self.u95_k is not None
            and self.shown in (Shown.BETTER, Shown.WORSE)
            and abs(self.difference_k) > FIRM_FACTOR * self.u95_k
        )


def sensors_of(
    befores: Sequence[Side],
    afters: Sequence[Side],
    *,
    terms: EqualTerms,
    main: Effect,
    power: Effect,
    tol: Tolerances,
    limits_c: Mapping[Role, float],
) -> tuple[SensorVerdict, ...]:
    """Judge every temperature that both sides logged; a sensor that shows one value throughout is left out.

    befores: runs before (n,)
    afters: runs after (m,)
    terms: the runs at equal times
    main: the effect that carries the verdict of the deciding die, whose figures are taken over
    power: the effect on power
    tol: half-widths
    limits_c: noted limits by role [degC]
    returns: verdicts (k,), the deciding die first
    formula: as of the die: resistance against the heat into the cooler at one fan speed, times the watts before
    source: JCGM 100:2008; the constants are from memory
    """
    die = befores[0].reading.die_role
    out = []
    for role in sorted(JUDGED_ROLES, key=lambda r: r is not die):
        if not all(role in s.reading.stats and role not in s.reading.dead for s in (*befores, *afters)):
            continue
        scale = (power.before or 0.0) if main.unit == "K/W" else 1.0
        if role is die:
            difference, u95, shown = main.difference, main.u95, main.shown
        else:
            difference, u95 = _difference(role, (befores, afters), terms=terms, main=main, tol=tol)
            shown = _shown(role, difference, u95)
        limit, noted = limit_of(role, limits_c)
        out.append(
            SensorVerdict(
                role=role,
                limit_c=limit,
                limit_noted=noted,
                before_c=befores[0].reading.stats[role].mean,
                after_c=afters[0].reading.stats[role].mean,
                difference_k=None if difference is None else difference * scale,
                u95_k=None if u95 is None else u95 * scale,
                shown=shown,
            )
        )
    return tuple(out)


def _shown(role: Role, difference: float | None, u95: float | None) -> Shown:
    if difference is None or u95 is None:
        return Shown.NOT_KNOWN
    if abs(difference) <= u95:
        return Shown.NOT_SHOWN
    if role in _NEITHER:
        return Shown.CHANGED
    return Shown.BETTER if difference < 0 else Shown.WORSE


def _difference(
    role: Role,
    sides: tuple[Sequence[Side], Sequence[Side]],
    *,
    terms: EqualTerms,
    main: Effect,
    tol: Tolerances,
) -> tuple[float | None, float | None]:
    """Difference and U95 of one sensor, in the unit of the main effect."""
    watts = [side[0].reading.power.mean if side[0].reading.power else 0.0 for side in sides]
    ratio = watts[1] / watts[0] if watts[0] > 0.0 and watts[1] > 0.0 else 1.0
    own = OWN_HEAT_SHARE * max(0.0, abs(ratio - 1.0) - POWER_SAME_SHARE)
    extra = (0.0, standard_from_half_width(terms.half_width_k))
    runs = [
        [
            _one(role, side, at=at, main=main, tol=tol, extra_k=extra[i], own_share=own if i else 0.0)
            for side, at in zip(sides[i], terms.runs[i], strict=True)
        ]
        for i in (0, 1)
    ]
    if main.quantity == "resistance_same_fan":
        wanted = terms.runs[0][0].fan_rpm or 0.0
        known = [m.value for side in runs for m in side if m is not None]
        behind = BEHIND_INTERFACE_SHARE * min(known) if known else 0.0
        runs = [
            [
                at_fan_speed(m, at.fan_rpm, wanted_rpm=wanted, behind=behind)
                for m, at in zip(side, terms.runs[i], strict=True)
            ]
            for i, side in enumerate(runs)
        ]
    (before, after), _ = pool(runs)
    if before is None or after is None:
        return None, None
    return after.value - before.value, difference_u95(before, after)


def _one(
    role: Role, side: Side, *, at: AtTime, main: Effect, tol: Tolerances, extra_k: float, own_share: float
) -> Measured | None:
    """One run's rise or resistance, at the common time."""
    reading, room_c = side.reading, side.conditions.room_c
    value_c = at.others_c.get(role)
    if value_c is None or room_c is None:
        return None
    own = standard_from_half_width(own_share * max(0.0, value_c - room_c))
    if main.unit != "K/W":
        over = rise(reading, room_c, tol, role)
        return replace(over, value=value_c - room_c, drift=combined(over.drift, extra_k, own)) if over else None
    if at.watts is None:
        return None
    of = resistance(reading, room_c, tol=tol, at=(value_c, at.watts), role=role)
    return replace(of, drift=combined(of.drift, extra_k / at.watts, own / at.watts)) if of else None


def carrying(main: Shown, sensors: Sequence[SensorVerdict]) -> SensorVerdict | None:
    """The sensor that carries the verdict in place of the deciding die, None where the die does.

    main: what the deciding die shows
    sensors: verdicts (k,), the deciding die first
    formula: one that got worse and stands above its limit goes before a die that got better; where the die shows
        nothing, others carry it when they agree
    source: common practice, no source
    """
    others = [s for s in sensors[1:] if s.firm and s.tells]
    if main is Shown.BETTER:
        bad = [s for s in others if s.shown is Shown.WORSE and s.over_limit_k is not None]
        return max(bad, key=lambda s: s.over_limit_k or 0.0, default=None)
    if main is Shown.NOT_SHOWN and len({s.shown for s in others}) == 1:
        return max(others, key=lambda s: abs(s.difference_k or 0.0))
    return None
