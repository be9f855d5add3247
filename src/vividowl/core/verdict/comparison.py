"""Before against after: effects with expanded uncertainty, and a verdict that does not claim too much."""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from dataclasses import dataclass, replace

from vividowl.core.heat.temperature import REFERENCE_ROOM_C
from vividowl.core.quantities.errors import NotEnoughData
from vividowl.core.quantities.uncertainty import Tolerances
from vividowl.core.quantities.words import Words, listed, say
from vividowl.core.reading.measured import SPEEDS_APART_MOST
from vividowl.core.reading.reading import Reading
from vividowl.core.trace.roles import Role
from vividowl.core.trace.throttling import HELD_SHARE
from vividowl.core.verdict.assumptions import Assumption, Claim, assumptions_of
from vividowl.core.verdict.conditions import NO_FAN, Bearing, ConditionFinding, Conditions, judge_conditions
from vividowl.core.verdict.effects import build_effects
from vividowl.core.verdict.equal_terms import START_SHOWN_K, EqualTerms, equal_terms, length_of
from vividowl.core.verdict.headline import FAN_CHANGED_SHARE, Phrase, Told, headline_of
from vividowl.core.verdict.parts import Effect, Shown, Side
from vividowl.core.verdict.sensors import SensorVerdict, carrying, sensors_of
from vividowl.core.verdict.verdicts import Verdict

# A fan that goes in steps may stand on either of two at one temperature: a level alone says no more than that.
FAN_STEP_RATIO = 1.12
NOISE_RUNS_LEAST = 2  # a side, so that noise has a scatter of its own
MORE_RUNS = 2  # that are proposed
REPEATS_HELP_SHARE = 0.9  # of the uncertainty that is left after more runs: above it they hardly help; from memory
FAN_STILL_RPM = 1.0  # [rpm] slower is a fan that stands; from memory


@dataclass(frozen=True, kw_only=True)
class Comparison:
    """The verdict with its reasons, effects and conditions; phrases: the verdict as one sentence, in pieces; assumes:
    what it rests on, each checked, noted, doubtful or not known; hidden_gain_k: a gain that could still hide
    behind "no difference shown" [K], None otherwise; showable_k: what two more runs on each side would show [K], or
    None; sensors: every temperature by itself, the deciding die first."""

    verdict: Verdict
    phrases: tuple[Phrase, ...]
    reasons: tuple[Words, ...]
    effects: tuple[Effect, ...]
    conditions: tuple[ConditionFinding, ...]
    assumes: tuple[Assumption, ...] = ()
    hidden_gain_k: float | None = None
    showable_k: float | None = None
    sensors: tuple[SensorVerdict, ...] = ()

    @property
    def headline(self) -> Words:
        """The verdict as one sentence without its full stop."""
        return listed((phrase.text for phrase in self.phrases), "none")

    @property
    def claims(self) -> bool:
        """Whether a difference is claimed."""
        return self.verdict not in (Verdict.NO_DIFFERENCE_SHOWN, Verdict.CANNOT_BE_COMPARED)

    @property
    def doubts(self) -> tuple[Assumption, ...]:
        """What is doubtful or not known and could be what is claimed."""
        return tuple(a for a in self.assumes if a.carries)

    def effect(self, quantity: str) -> Effect:
        """The effect on one quantity."""
        return next(e for e in self.effects if e.quantity == quantity)


def compare(
    before: Side | Sequence[Side],
    after: Side | Sequence[Side],
    *,
    limit_c: float | None = None,
    power_limit: float | None = None,
    tolerances: Tolerances | None = None,
    reference_room_c: float = REFERENCE_ROOM_C,
    sensor_limits_c: Mapping[Role, float] | None = None,
) -> Comparison:
    """Compare two readings of one device.

    before: the run before the service, or its repeats (n,)
    after: the run after it, or its repeats (m,)
    limit_c: temperature limit [degC] or None; when the device was held back before, its plateau stands in
    power_limit: what the device draws at most [W], or None
    tolerances: half-widths, the shop's own or the defaults
    reference_room_c: room of the sustained capacity [degC]
    sensor_limits_c: noted limits of other sensors by role [degC], None for the usual ones
    raises: OutOfRange, NotEnoughData without a run on a side
    formula: an effect is shown when it exceeds U = k u_c of the difference; parts common to both runs cancel
    source: JCGM 100:2008; which conditions forbid is common practice, no source
    """
    tol = tolerances or Tolerances()
    befores, afters = ([side] if isinstance(side, Side) else list(side) for side in (before, after))
    if not befores or not afters:
        raise NotEnoughData(say("comparison-comparison-needs-run-on-both"), field="before" if not befores else "after")
    both_settled = all(s.reading.window.settled for s in (*befores, *afters))
    conditions = judge_conditions(_with_length(befores[0]), _with_length(afters[0]), both_settled)
    effects = build_effects(
        befores, afters, tol=tol, limit_c=limit_c, reference_room_c=reference_room_c, power_limit=power_limit
    )
    by = {e.quantity: e for e in effects}
    limits = dict(sensor_limits_c or {})
    if limit_c is not None:
        limits[befores[0].reading.die_role] = limit_c
    case = _Case(befores=befores, afters=afters, by=by, conditions=conditions, tol=tol, limits_c=limits)
    sensors = case.sensors()
    forbidding = case.forbidding()
    if forbidding:
        verdict = Verdict.CANNOT_BE_COMPARED
        told = Told(before=befores[0], by=by, main=case.main(), sensors=sensors)
        return Comparison(
            verdict=verdict,
            phrases=headline_of(verdict, told, ()),
            reasons=tuple(forbidding),
            effects=effects,
            conditions=conditions,
            sensors=sensors,
        )
    carrier = carrying(case.main().shown, sensors)
    shown, assumes = case.shown(carrier), case.assumes(carrier)
    doubts = tuple(a for a in assumes if a.carries)
    verdict = {
        Shown.BETTER: Verdict.IMPROVED_IF_SAME if doubts else Verdict.IMPROVED,
        Shown.WORSE: Verdict.WORSE_IF_SAME if doubts else Verdict.WORSE,
    }.get(shown, Verdict.NO_DIFFERENCE_SHOWN)
    hidden, showable = case.hidden() if verdict is Verdict.NO_DIFFERENCE_SHOWN else (None, None)
    told = Told(before=befores[0], by=by, main=case.main(), sensors=sensors, carrier=carrier, limit_c=limit_c)
    return Comparison(
        verdict=verdict,
        phrases=headline_of(verdict, told, [a.name for a in doubts]),
        reasons=case.reasons(verdict, doubts, hidden_k=hidden, showable_k=showable, judged=(sensors, carrier)),
        effects=effects,
        conditions=conditions,
        assumes=assumes,
        hidden_gain_k=hidden,
        showable_k=showable,
        sensors=sensors,
    )


def _with_length(side: Side) -> Conditions:
    """Conditions whose duration is that of the load in the log, where it shows one."""
    if not side.reading.load.seen:
        return side.conditions
    return replace(side.conditions, duration_min=length_of(side.reading) / 60.0)


def _held(reading: Reading) -> bool:
    return (reading.throttling.share or 0.0) > HELD_SHARE


@dataclass(frozen=True, kw_only=True)
class _Case:
    """What is judged: the runs, the effects by name, the conditions."""

    befores: Sequence[Side]
    afters: Sequence[Side]
    by: dict[str, Effect]
    conditions: tuple[ConditionFinding, ...]
    tol: Tolerances
    limits_c: Mapping[Role, float]

    def _fan_ratio(self) -> float | None:
        """Fan speed after over before: infinite when it stood still before, None when not known or still on both."""
        fan = self.by["fan_speed"]
        if fan.before is None or fan.after is None:
            return None
        if fan.before < FAN_STILL_RPM:
            return None if fan.after < FAN_STILL_RPM else float("inf")
        return fan.after / fan.before

    def _convertible(self) -> bool:
        ratio = self._fan_ratio()
        return ratio is None or 1.0 / SPEEDS_APART_MOST <= ratio <= SPEEDS_APART_MOST

    def main(self) -> Effect:
        """The effect that carries the verdict: resistance at one fan speed, else resistance, else the rise."""
        same_fan = self.by.get("resistance_same_fan")
        main = same_fan if same_fan is not None and self._convertible() else self.by["resistance"]
        return main if main.difference is not None else self.by["rise"]

    def forbidding(self) -> list[Words]:
        """Why no verdict can be given."""
        out = [c.text for c in self.conditions if c.bearing is Bearing.FORBIDS]
        sides = (*self.befores, *self.afters)
        if len({s.reading.die_role for s in sides}) > 1:
            out.append(say("comparison-two-logs-hold-different-die"))
        if any(s.reading.die_stuck for s in sides):
            out.append(say("comparison-die-sensor-never-moves-so"))
        main, held = self.main(), [_held(s[0].reading) for s in (self.befores, self.afters)]
        if main.difference is None:
            out.append(say("comparison-room-was-not-noted-on"))
        elif main.quantity == "rise" and held[0] != held[1]:
            out.append(say("comparison-heat-held-device-back-on"))
        ratio, fan = self._fan_ratio(), self.by["fan_speed"]
        if ratio is not None and not self._convertible():
            faster = ratio > 1.0
            if main.shown is (Shown.BETTER if faster else Shown.WORSE):
                out.append(
                    say(
                        "comparison-fan-ran-much-after-against",
                        faster=faster,
                        after=fan.after,
                        before=fan.before,
                    )
                )
        return out

    def sensors(self) -> tuple[SensorVerdict, ...]:
        """Every temperature by itself, the deciding die first."""
        terms, main = self.terms(), self.main()
        return sensors_of(
            self.befores,
            self.afters,
            terms=terms,
            main=main,
            power=self.by["power"],
            tol=self.tol,
            limits_c=self.limits_c,
        )

    def shown(self, carrier: SensorVerdict | None) -> Shown:
        """What is shown: by the sensor that carries it, by the main effect, else by the noise where more than one level
        speaks for it."""
        main, noise = self.main(), self.by["noise"]
        if carrier is not None:
            return carrier.shown
        if main.shown in (Shown.BETTER, Shown.WORSE):
            return main.shown
        if noise.shown in (Shown.BETTER, Shown.WORSE) and self._noise_is_firm():
            return noise.shown
        return Shown.NOT_SHOWN

    def _noise_is_firm(self) -> bool:
        # Quieter but hotter, or cooler but louder, is a trade and no gain.
        noise, over = self.by["noise"].shown, self.by["rise"].shown
        if {noise, over} == {Shown.BETTER, Shown.WORSE}:
            return False
        if all(sum(s.noise is not None for s in side) >= NOISE_RUNS_LEAST for side in (self.befores, self.afters)):
            return True
        ratio, level = self._fan_ratio(), self.by["noise"]
        if ratio is None or level.difference is None:
            return False
        return ratio > FAN_STEP_RATIO if level.difference > 0 else ratio < 1.0 / FAN_STEP_RATIO

    def terms(self) -> EqualTerms:
        """The runs at equal times."""
        rooms = (self.befores[0].conditions.room_c, self.afters[0].conditions.room_c)
        return equal_terms([s.reading for s in self.befores], [s.reading for s in self.afters], rooms)

    def assumes(self, carrier: SensorVerdict | None) -> tuple[Assumption, ...]:
        """What the answer rests on."""
        main, terms = self.main(), self.terms()
        if carrier is None:
            scale = (self.by["power"].before or 0.0) if main.unit == "K/W" else 1.0
            claims = main.shown in (Shown.BETTER, Shown.WORSE) and main.difference is not None
            claim = Claim(scale * (main.difference or 0.0) if claims else None, scale * (main.u95 or 0.0), True)
        else:
            claim = Claim(carrier.difference_k, carrier.u95_k or 0.0, False)
        return assumptions_of(
            self.befores, self.afters, by=self.by, main=main, claim=claim, terms=terms, conditions=self.conditions
        )

    def hidden(self) -> tuple[float | None, float | None]:
        """The gain that could hide [K], and what two more runs on each side would show [K]."""
        main, watts = self.main(), self.by["power"].before
        scale = (watts or 0.0) if main.unit == "K/W" else 1.0
        if main.difference is None or main.u95 is None or not scale:
            return None, None
        later = main.u95_after(MORE_RUNS)
        return scale * max(0.0, main.u95 - main.difference), scale * later if later is not None else None

    def reasons(
        self,
        verdict: Verdict,
        doubts: Sequence[Assumption],
        *,
        hidden_k: float | None,
        showable_k: float | None,
        judged: tuple[tuple[SensorVerdict, ...], SensorVerdict | None],
    ) -> tuple[Words, ...]:
        """Why, in sentences."""
        main, noise = self.main(), self.by["noise"]
        main_k = (main.u95 or 0.0) * ((self.by["power"].before or 0.0) if main.unit == "K/W" else 1.0)
        reasons = [_reason(main)]
        if hidden_k is not None:
            more = "none"
            if showable_k is not None and hidden_k > 0.0:
                more = "hardly" if showable_k > REPEATS_HELP_SHARE * main_k else "runs"
            reasons.append(say("comparison-true-gain-up-to-k", hidden_k=hidden_k, more=more, showable_k=showable_k))
        reasons += _of_sensors(*judged)
        if verdict is not Verdict.NO_DIFFERENCE_SHOWN:
            reasons += [listed([w for w in (a.why, a.remedy) if w], "space") for a in doubts]
        ratio, fan = self._fan_ratio(), self.by["fan_speed"]
        if main.quantity == "resistance_same_fan" and ratio is not None and abs(ratio - 1.0) > FAN_CHANGED_SHARE:
            reasons.append(
                say("comparison-fan-turned-after-against-rpm", if_ratio=ratio < 1, after=fan.after, before=fan.before)
            )
        if noise.difference is not None:
            reasons.append(_reason(noise))
            if (
                main.shown is Shown.NOT_SHOWN
                and noise.shown in (Shown.BETTER, Shown.WORSE)
                and (verdict is Verdict.NO_DIFFERENCE_SHOWN)
            ):
                reasons.append(say("comparison-one-level-on-each-side"))
        before = self.befores[0].reading
        if _held(before) and self.by["power"].difference is not None:
            reasons.append(say("comparison-before-heat-held-back-for", share=100 * (before.throttling.share or 0)))
        sags = [side.reading.sag for side in (self.befores[0], self.afters[0])]
        # Without a fan the first minute and the tenth are two devices.
        fanless = self.befores[0].conditions.fan == NO_FAN
        if (fanless or any(sag.told for sag in sags)) and None not in [sag.difference.power for sag in sags]:
            (b1, b10), (a1, a10) = ((sag.minute_1.power, sag.minute_10.power) for sag in sags)
            reasons.append(say("comparison-sag", before_1=b1, before_10=b10, after_1=a1, after_10=a10))
        terms = self.terms()
        if terms.start_apart_k is not None and abs(terms.start_apart_k) > START_SHOWN_K:
            reasons.append(
                say(
                    "comparison-after-began-k-what-left",
                    start_apart_k=abs(terms.start_apart_k),
                    if_start_apart_k=terms.start_apart_k > 0,
                )
            )
        if not all(s.reading.window.settled for s in (*self.befores, *self.afters)):
            reasons.append(say("comparison-not-both-runs-had-settled"))
        reasons += [c.text for c in self.conditions if c.bearing in (Bearing.NOTED, Bearing.CORRECTED)]
        return tuple(reasons)


def _of_sensors(sensors: Sequence[SensorVerdict], carrier: SensorVerdict | None) -> list[Words]:
    """What carries the verdict in place of the die, and what stands above its limit."""
    out: list[Words] = []
    for s in sensors:
        if s is carrier:
            out.append(say("comparison-sensor-carries", sensor=s.words, change=s.difference_k, u95=s.u95_k))
        if s.tells and s.over_limit_k is not None:
            told = {"after": s.after_c, "limit": s.limit_c, "noted": s.limit_noted}
            out.append(say("comparison-sensor-over", sensor=s.short_words, **told))
    return out


def _reason(effect: Effect) -> Words:
    digits = 2 if effect.unit == "K/W" else 1
    if effect.difference is None or effect.u95 is None:
        return say("comparison-not-known-on-both-sides", words=effect.words)
    size = say("comparison-size", change=effect.difference, u95=effect.u95, digits=digits, unit=effect.unit)
    if effect.shown is Shown.NOT_SHOWN:
        return say("comparison-changed-by-within-what-two", words=effect.words, size=size)
    return say("comparison-changed-by-more-than-two", words=effect.words, size=size)
