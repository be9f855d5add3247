"""What speaks for or against a cause: signs in the two logs, in the bench list, in the parts, in the print."""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass, field
from enum import StrEnum

from vividowl.core.bench.log.state import BenchState
from vividowl.core.materials.kinds import CATALOGUE, Kind, Trait
from vividowl.core.plan.prediction import Interval
from vividowl.core.quantities.uncertainty import COVERAGE_FACTOR, combined
from vividowl.core.quantities.words import Words, say
from vividowl.core.reading.findings import CORES_APART_K
from vividowl.core.reading.measured import Measured, at_fan_speed, difference_u95
from vividowl.core.reading.reading import Reading
from vividowl.core.response.terms import Response
from vividowl.core.trace.roles import Role
from vividowl.core.verdict.comparison import FAN_STILL_RPM
from vividowl.core.verdict.headline import FAN_CHANGED_SHARE

CHIP_GROWN_SHARE = 0.10  # of growth of one chip's resistance that is told from none; from memory
CORES_GROWN_K = 5.0  # [K] by which cores lie further apart than before where a corner lost its contact; from memory
CYCLES_RUN_IN = 5.0  # [1] heat cycles after which burn-in explains little; from memory


class Sign(StrEnum):
    """What can be seen."""

    FAST_LARGE = "fast_large"
    FAST_SMALL = "fast_small"
    SLOW_LARGE = "slow_large"
    SLOW_SAME = "slow_same"
    ONE_CHIP = "one_chip"
    BOTH_CHIPS = "both_chips"
    FAN_STANDS = "fan_stands"
    FAN_SLOWER = "fan_slower"
    FAN_AT_SPEED = "fan_at_speed"
    SHRINKS = "shrinks"
    STEADY = "steady"
    YOUNG = "young"
    RUN_IN = "run_in"
    FILM_STEP_OPEN = "film_step_open"
    FILM_STEP_DONE = "film_step_done"
    SCREWS_OPEN = "screws_open"
    SCREWS_COUNTED = "screws_counted"
    SEATED_UNSEEN = "seated_unseen"
    WAIT_CUT = "wait_cut"
    WAIT_WHOLE = "wait_whole"
    FAN_CHECKED = "fan_checked"
    SCREW_MISHAP = "screw_mishap"
    FILM_MISHAP = "film_mishap"
    PAD_TIGHT = "pad_tight"
    FINS_NOT_CLEANED = "fins_not_cleaned"
    FINS_CLEANED = "fins_cleaned"
    CORES_APART = "cores_apart"
    PRINT_ONE_SIDED = "print_one_sided"
    PRINT_BALD = "print_bald"
    PRINT_LIQUID = "print_liquid"
    PRINT_FULL = "print_full"


@dataclass(frozen=True)
class Evidence:
    """A sign with its numbers in words."""

    sign: Sign
    words: Words


@dataclass(frozen=True, kw_only=True)
class Attempted:
    """What is known of an attempt. before, after: readings, None where there is no log; resistance_before, resistances:
    of Before, and of the After logs in the order in which they were made [K/W]; kinds: laid on the dies; gaps_filled: a
    new pad, putty or shim lies
    beside them; pad_tight: a pad is squeezed beyond its window somewhere in its gap's tolerance; has_fan; cleaned: what
    was noted as cleaned; bench: the list, None without one; heat_cycles: since fitting, None where nobody counted;
    promised: interface of the plan, None without one; print: what the contact showed when it was opened again, empty
    while closed."""

    before: Reading | None = None
    after: Reading | None = None
    resistance_before: Measured | None = None
    resistances: Sequence[Measured] = ()
    kinds: frozenset[Kind] = frozenset()
    gaps_filled: bool = False
    pad_tight: bool = False
    has_fan: bool = True
    cleaned: Sequence[str] = ()
    bench: BenchState | None = None
    heat_cycles: float | None = None
    promised: Interval | None = None
    print: str = field(default="")

    def laid(self, trait: Trait) -> bool:
        """Whether anything with this trait lies on a die."""
        return any(CATALOGUE[kind].has(trait) for kind in self.kinds)


def evidence_of(a: Attempted) -> tuple[Evidence, ...]:
    """All signs that an attempt shows.

    a: what is known
    returns: signs (n,); what was not measured or noted gives none
    formula: a part counts as larger or smaller where the difference exceeds U = k sqrt(u_1^2 + u_2^2)
    source: handbook/runs.md: common practice, no source
    """
    found = [*_parts(a), *_chips(a), *_cores(a), *_fan(a), *_again(a), *_list(a), *_parts_laid(a), *_print(a)]
    return tuple(e for e in found if e is not None)


def _response(reading: Reading | None) -> Response | None:
    response = reading.response if reading is not None else None
    return response if response is not None and response.tells_interface else None


def _parts(a: Attempted) -> list[Evidence]:
    after, before = _response(a.after), _response(a.before)
    out: list[Evidence] = []
    if after is None:
        return out
    own = after.interface_whole_u
    if a.promised is not None:
        if after.interface - COVERAGE_FACTOR * own > a.promised.high:
            out.append(_fast(Sign.FAST_LARGE, after, a.promised.high, "promised"))
        elif after.interface <= a.promised.high:
            out.append(_fast(Sign.FAST_SMALL, after, a.promised.high, "promised"))
    elif before is not None:
        u = COVERAGE_FACTOR * combined(own, before.interface_whole_u)
        if abs(after.interface - before.interface) > u:
            grown = after.interface > before.interface
            out.append(_fast(Sign.FAST_LARGE if grown else Sign.FAST_SMALL, after, before.interface, "before"))
    if before is not None and a.resistance_before is not None and a.resistances:
        out.append(_slow(a, before, after=after, whole_was=a.resistance_before, whole=a.resistances[0]))
    return out


def _slow(a: Attempted, before: Response, *, after: Response, whole_was: Measured, whole: Measured) -> Evidence:
    """What lies behind the interface, both at the fan speed of Before."""
    was, slow = whole_was.value - before.interface, whole.value - after.interface
    fans = [r.stats.get(Role.FAN_SPEED) if r is not None else None for r in (a.before, a.after)]
    if fans[0] is not None and fans[1] is not None:
        whole = (
            at_fan_speed(
                whole, fans[1].mean, wanted_rpm=fans[0].mean, behind=max(0.0, slow), behind_half_width_share=0.0
            )
            or whole
        )
        slow = whole.value - after.interface
    parts = COVERAGE_FACTOR * combined(after.interface_whole_u, before.interface_whole_u)
    sign = Sign.SLOW_LARGE if slow - was > math.hypot(difference_u95(whole_was, whole), parts) else Sign.SLOW_SAME
    return Evidence(sign, say(f"evidence-{sign.value}", slow=slow, was=was))


def _fast(sign: Sign, after: Response, against: float, of: str) -> Evidence:
    words = say(f"evidence-{sign.value}", fast=after.interface, against=against, of=of)
    return Evidence(sign, words)


def _chips(a: Attempted) -> list[Evidence]:
    if a.before is None or a.after is None:
        return []
    grown: list[bool] = []
    for chip in ("cpu", "gpu"):
        was, now = getattr(a.before.chips, chip), getattr(a.after.chips, chip)
        if was is None or now is None:
            return []
        grown.append(now > (1.0 + CHIP_GROWN_SHARE) * was)
    if all(grown):
        return [Evidence(Sign.BOTH_CHIPS, say("evidence-both_chips"))]
    return [Evidence(Sign.ONE_CHIP, say("evidence-one_chip"))] if any(grown) else []


def _cores(a: Attempted) -> list[Evidence]:
    """Cores far apart where they were not before: the cooler is tilted or a corner is bald, which no air does."""
    was, now = (
        r.core_spread.mean if r is not None and r.core_spread is not None else None for r in (a.before, a.after)
    )
    if now is None or (now <= CORES_APART_K if was is None else now - was < CORES_GROWN_K):
        return []
    return [Evidence(Sign.CORES_APART, say("evidence-cores_apart", now=now, was=was))]


def _fan(a: Attempted) -> list[Evidence]:
    now = a.after.stats.get(Role.FAN_SPEED) if a.after is not None else None
    was = a.before.stats.get(Role.FAN_SPEED) if a.before is not None else None
    if not a.has_fan or now is None:
        return []
    if now.mean < FAN_STILL_RPM:
        return [Evidence(Sign.FAN_STANDS, say("evidence-fan_stands"))]
    if was is None or was.mean < FAN_STILL_RPM:
        return []
    slower = now.mean < (1.0 - FAN_CHANGED_SHARE) * was.mean
    sign = Sign.FAN_SLOWER if slower else Sign.FAN_AT_SPEED
    return [Evidence(sign, say(f"evidence-{sign.value}", now=now.mean, was=was.mean))]


def _again(a: Attempted) -> list[Evidence]:
    out: list[Evidence] = []
    if len(a.resistances) > 1:
        first, last = a.resistances[0], a.resistances[-1]
        fell = first.value - last.value
        sign = Sign.SHRINKS if fell > difference_u95(first, last) else Sign.STEADY
        out.append(Evidence(sign, say(f"evidence-{sign.value}", first=first.value, last=last.value)))
    if a.laid(Trait.BURN_IN):
        young = a.heat_cycles is None or a.heat_cycles < CYCLES_RUN_IN
        sign = Sign.YOUNG if young else Sign.RUN_IN
        out.append(Evidence(sign, say(f"evidence-{sign.value}", cycles=a.heat_cycles)))
    return out


def _list(a: Attempted) -> list[Evidence]:
    s = a.bench
    if s is None or s.begun is None:
        return []
    out: list[Sign] = []
    films = [step for step in s.steps if "film_off" in step.acts]
    broken = {b.rule for b in s.breaches.values()}
    if films:
        done = all(f.id in s.outcomes and s.outcomes[f.id].how == "done" for f in films)
        out.append(Sign.FILM_STEP_DONE if done and "second_film" not in broken else Sign.FILM_STEP_OPEN)
    if s.out or s.explained or s.leftover:
        out.append(Sign.SCREWS_OPEN)
    elif s.mapped and s.closed is not None:
        out.append(Sign.SCREWS_COUNTED)
    if "look_before_closing" in broken:
        out.append(Sign.SEATED_UNSEEN)
    solvent = [w for w in s.waits.values() if w.wait in ("solvent", "solvent_hot")]
    if solvent:
        cut = any(w.ended is not None and w.ended < w.due for w in solvent)
        out.append(Sign.WAIT_CUT if cut else Sign.WAIT_WHOLE)
    if s.power and s.power[-1].results.get("fans") == "fine":
        out.append(Sign.FAN_CHECKED)
    told = {m.what for m in s.mishaps.values()}
    if told & {"stripped_screw", "lost_screw", "broken_clip"}:
        out.append(Sign.SCREW_MISHAP)
    if "touched_film" in told:
        out.append(Sign.FILM_MISHAP)
    return [Evidence(sign, say(f"evidence-{sign.value}")) for sign in out]


def _parts_laid(a: Attempted) -> list[Evidence]:
    out = [Evidence(Sign.PAD_TIGHT, say("evidence-pad_tight"))] if a.pad_tight else []
    if "fins" in a.cleaned:
        out.append(Evidence(Sign.FINS_CLEANED, say("evidence-fins_cleaned")))
    elif a.cleaned:
        out.append(Evidence(Sign.FINS_NOT_CLEANED, say("evidence-fins_not_cleaned")))
    return out


_PRINTS = {
    "one_sided": Sign.PRINT_ONE_SIDED,
    "dry_patch": Sign.PRINT_BALD,
    "still_liquid": Sign.PRINT_LIQUID,
    "full": Sign.PRINT_FULL,
}


def _print(a: Attempted) -> list[Evidence]:
    sign = _PRINTS.get(a.print)
    return [Evidence(sign, say(f"evidence-{sign.value}"))] if sign is not None else []
