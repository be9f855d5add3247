"""Causes of a failed attempt, ranked by what speaks for them, each with the one check to make first."""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from dataclasses import dataclass
from enum import StrEnum

from vividowl.core.attempts.evidence import Attempted, Evidence, Sign, evidence_of
from vividowl.core.materials.kinds import Kind, Trait
from vividowl.core.quantities.words import Words, say


class Cause(StrEnum):
    """Why an attempt fails, the most frequent first."""

    FILM = "film"
    SEAT = "seat"
    LIFTED = "lifted"
    TOO_LITTLE = "too_little"
    FAN_PLUG = "fan_plug"
    NOT_RUN_IN = "not_run_in"
    SOLVENT = "solvent"
    ALLOY_BALD = "alloy_bald"
    AIR = "air"
    ELSE = "else"


class CheckResult(StrEnum):
    """What a check showed."""

    OPEN = "open"
    FOUND = "found"
    RULED_OUT = "ruled_out"


# Of a hundred failed attempts with everything on board; the order is common practice, no source, the numbers are from
# memory, and what a shop finds itself is counted on top of them.
USUAL: Mapping[Cause, float] = {
    Cause.FILM: 20.0,
    Cause.SEAT: 18.0,
    Cause.LIFTED: 14.0,
    Cause.TOO_LITTLE: 12.0,
    Cause.FAN_PLUG: 9.0,
    Cause.NOT_RUN_IN: 9.0,
    Cause.SOLVENT: 5.0,
    Cause.ALLOY_BALD: 5.0,
    Cause.AIR: 4.0,
    Cause.ELSE: 4.0,
}
USUAL_COUNTS_AS = 10.0  # failed attempts of its own that outweigh the usual order in a shop; from memory

_CONTACT = (Cause.FILM, Cause.SEAT, Cause.LIFTED, Cause.TOO_LITTLE, Cause.NOT_RUN_IN, Cause.SOLVENT, Cause.ALLOY_BALD)
_SURE, _STRONG, _CLEAR, _SOME = 120.0, 12.0, 5.0, 2.0


def _each(causes: Sequence[Cause], ratio: float) -> dict[Cause, float]:
    return dict.fromkeys(causes, ratio)


# How many times likelier a sign is with a cause than without it; below 1 it speaks against it. The direction is
# handbook/runs.md: common practice, no source; the strength is from memory.
SPEAKS: Mapping[Sign, Mapping[Cause, float]] = {
    Sign.FAST_LARGE: {**_each(_CONTACT, _CLEAR), Cause.FAN_PLUG: 1 / _CLEAR, Cause.AIR: 1 / _CLEAR},
    Sign.FAST_SMALL: {**_each(_CONTACT, 1 / _STRONG), Cause.FAN_PLUG: _SOME, Cause.AIR: _SOME},
    Sign.SLOW_LARGE: {Cause.AIR: _CLEAR, Cause.FAN_PLUG: _CLEAR, **_each(_CONTACT, 1 / _SOME)},
    Sign.SLOW_SAME: {Cause.AIR: 1 / _CLEAR, Cause.FAN_PLUG: 1 / _CLEAR},
    Sign.ONE_CHIP: {
        Cause.TOO_LITTLE: _CLEAR,
        Cause.FILM: _SOME,
        Cause.ALLOY_BALD: _CLEAR,
        Cause.SEAT: 1 / _SOME,
        Cause.LIFTED: 1 / _SOME,
        Cause.AIR: 1 / _CLEAR,
        Cause.FAN_PLUG: 1 / _CLEAR,
    },
    Sign.BOTH_CHIPS: {Cause.SEAT: _CLEAR, Cause.LIFTED: _CLEAR, Cause.TOO_LITTLE: 1 / _SOME},
    Sign.FAN_STANDS: {Cause.FAN_PLUG: _SURE},
    Sign.FAN_SLOWER: {Cause.AIR: _SOME, Cause.FAN_PLUG: _SOME},
    Sign.FAN_AT_SPEED: {Cause.FAN_PLUG: 1 / _SURE, Cause.AIR: _SOME},
    Sign.SHRINKS: {Cause.NOT_RUN_IN: _STRONG, Cause.SOLVENT: _SOME},
    Sign.STEADY: {Cause.NOT_RUN_IN: 1 / _CLEAR},
    Sign.YOUNG: {Cause.NOT_RUN_IN: _SOME},
    Sign.RUN_IN: {Cause.NOT_RUN_IN: 1 / _STRONG},
    Sign.FILM_STEP_OPEN: {Cause.FILM: _STRONG},
    Sign.FILM_STEP_DONE: {Cause.FILM: 1 / _CLEAR},
    Sign.SCREWS_OPEN: {Cause.SEAT: _CLEAR},
    Sign.SCREWS_COUNTED: {Cause.SEAT: 1 / _SOME},
    Sign.SEATED_UNSEEN: {Cause.SEAT: _SOME, Cause.TOO_LITTLE: _SOME},
    Sign.WAIT_CUT: {Cause.SOLVENT: _STRONG},
    Sign.WAIT_WHOLE: {Cause.SOLVENT: 1 / _CLEAR},
    Sign.FAN_CHECKED: {Cause.FAN_PLUG: 1 / _STRONG},
    Sign.SCREW_MISHAP: {Cause.SEAT: _CLEAR},
    Sign.FILM_MISHAP: {Cause.TOO_LITTLE: _SOME, Cause.NOT_RUN_IN: 1 / _SOME},
    Sign.PAD_TIGHT: {Cause.LIFTED: _STRONG},
    Sign.FINS_NOT_CLEANED: {Cause.AIR: _CLEAR},
    Sign.FINS_CLEANED: {Cause.AIR: 1 / _SOME},
    Sign.CORES_APART: {
        Cause.SEAT: _CLEAR,
        Cause.LIFTED: _CLEAR,
        Cause.TOO_LITTLE: _CLEAR,
        Cause.ALLOY_BALD: _CLEAR,
        Cause.AIR: 1 / _STRONG,
        Cause.FAN_PLUG: 1 / _STRONG,
    },
    Sign.PRINT_ONE_SIDED: {Cause.SEAT: _STRONG, Cause.LIFTED: _CLEAR},
    Sign.PRINT_BALD: {Cause.TOO_LITTLE: _STRONG, Cause.LIFTED: _SOME, Cause.ALLOY_BALD: _STRONG},
    Sign.PRINT_LIQUID: {Cause.SOLVENT: _SURE},
    Sign.PRINT_FULL: _each((Cause.SEAT, Cause.LIFTED, Cause.TOO_LITTLE, Cause.ALLOY_BALD), 1 / _SURE),
}
# What can be looked at without opening the device.
FROM_OUTSIDE = (Cause.FAN_PLUG, Cause.NOT_RUN_IN, Cause.AIR)


@dataclass(frozen=True, kw_only=True)
class Ranked:
    """A cause. share: of ten such failures how many tenths it would be, by the usual order and what speaks here [1];
    speaks, against: the signs; answer: what its check showed; opens: whether the check opens the device."""

    cause: Cause
    share: float
    speaks: tuple[Evidence, ...]
    against: tuple[Evidence, ...]
    answer: CheckResult
    opens: bool

    @property
    def words(self) -> Words:
        """The cause as one says it."""
        return say(f"cause-{self.cause.value}")

    @property
    def check(self) -> Words:
        """The one check to make first."""
        return say(f"cause-{self.cause.value}.check")

    @property
    def remedy(self) -> Words:
        """What the next attempt does about it."""
        return say(f"cause-{self.cause.value}.remedy")


def possible(a: Attempted) -> tuple[Cause, ...]:
    """Causes that can be at all with what was fitted.

    a: what is known of the attempt
    returns: causes in the usual order (n,)
    source: handbook/runs.md: common practice, no source
    """
    lifted = bool(a.kinds)
    can = {
        Cause.FILM: Kind.SHEET in a.kinds or a.gaps_filled,
        Cause.SEAT: lifted,
        Cause.LIFTED: a.gaps_filled or a.pad_tight,
        Cause.TOO_LITTLE: a.laid(Trait.LIQUID) and a.kinds != {Kind.ALLOY},
        Cause.FAN_PLUG: a.has_fan,
        Cause.NOT_RUN_IN: a.laid(Trait.BURN_IN),
        Cause.SOLVENT: Kind.TUBE in a.kinds,
        Cause.ALLOY_BALD: Kind.ALLOY in a.kinds,
        Cause.AIR: True,
        Cause.ELSE: True,
    }
    return tuple(cause for cause in Cause if can[cause])


def find_causes(
    a: Attempted, answers: Mapping[Cause, CheckResult] | None = None, found_before: Mapping[Cause, int] | None = None
) -> tuple[Ranked, ...]:
    """Rank the causes of a failed attempt.

    a: what is known of it
    answers: what checks showed by now
    found_before: how often the shop found each cause [1]
    returns: causes with their shares, the likeliest first; a cause that was found is first with all of it, one that
        was ruled out is last with nothing
    formula: share_i ~ (10 usual_i + n_i) prod_s L(s, i), L = 1 where a sign says nothing of a cause
    range: shares sum to 1 while any cause is left
    source: Bayes; handbook/runs.md: common practice, no source, for the order and the signs
    """
    told = answers or {}
    signs = evidence_of(a)
    causes = possible(a)
    whole = sum(USUAL[c] for c in causes)
    weights: dict[Cause, float] = {}
    confirmed = [c for c in causes if told.get(c) is CheckResult.FOUND]
    for cause in causes:
        weight = USUAL_COUNTS_AS * USUAL[cause] / whole + (found_before or {}).get(cause, 0)
        for e in signs:
            weight *= SPEAKS[e.sign].get(cause, 1.0)
        if told.get(cause) is CheckResult.RULED_OUT or (confirmed and cause not in confirmed):
            weight = 0.0
        weights[cause] = weight
    total = sum(weights.values())
    ranked = [
        Ranked(
            cause=cause,
            share=weights[cause] / total if total > 0 else 0.0,
            speaks=tuple(e for e in signs if SPEAKS[e.sign].get(cause, 1.0) > 1.0),
            against=tuple(e for e in signs if SPEAKS[e.sign].get(cause, 1.0) < 1.0),
            answer=told.get(cause, CheckResult.OPEN),
            opens=cause not in FROM_OUTSIDE,
        )
        for cause in causes
    ]
    return tuple(sorted(ranked, key=lambda r: -r.share))
