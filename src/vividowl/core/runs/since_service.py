"""What a device has lost since its last service, and what to do about it."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass
from enum import StrEnum

from vividowl.core.quantities.errors import NotEnoughData
from vividowl.core.quantities.uncertainty import COVERAGE_FACTOR, combined
from vividowl.core.quantities.words import Words, say
from vividowl.core.runs.drift import Drift, drift

LITTLE_SHARE = 0.10  # of growth of the resistance that is no matter yet; from memory
LOST_SHARE = 0.40  # of growth from which a device is not fine; common practice, no source
SOON_MONTHS = 3.0  # [month] until it is held back again that call for a service now; from memory


def same_terms(then: Sequence[str], now: Sequence[str]) -> bool:
    """Whether a later run may be judged against an earlier one of the same device.

    then: load, fan setting, profile and place of the earlier run (n,) [text], empty where not noted
    now: the same of the later run (n,) [text]
    returns: flag; what was not noted on one side does not part them
    source: handbook/runs.md: common practice, no source
    """
    return not any(a and b and a.casefold() != b.casefold() for a, b in zip(then, now, strict=True))


class Advice(StrEnum):
    """What to do."""

    REDO = "redo"
    WATCH = "watch"
    LEAVE = "leave"
    UNKNOWN = "unknown"


@dataclass(frozen=True, kw_only=True)
class SinceService:
    """months: since that service [month]; lost_share: growth of the resistance since then [1]; shown: whether it
    exceeds its uncertainty; drift: as a straight line; advice with its reasons."""

    months: float
    lost_share: float
    shown: bool
    drift: Drift
    advice: Advice
    reasons: tuple[Words, ...]


def since_service(
    months: Sequence[float], resistances: Sequence[float], standard: Sequence[float], limit: float | None = None
) -> SinceService:
    """Judge a device against its own last service.

    months: when (n,) [month], the service first
    resistances: after the service, then as it came in at each visit since (n,) [K/W], > 0
    standard: standard uncertainty of each (n,) [K/W], > 0
    limit: resistance at which it is held back again in its own room [K/W], or None
    raises: NotEnoughData without a visit since
    formula: lost = R_n / R_1 - 1, shown where R_n - R_1 exceeds U = k sqrt(u_1^2 + u_n^2)
    source: handbook/runs.md: common practice, no source
    """
    if len(resistances) < 2:
        raise NotEnoughData(say("history-no-later"), field="resistances")
    found = drift(months, resistances, standard, limit)
    lost = resistances[-1] / resistances[0] - 1.0
    shown = abs(resistances[-1] - resistances[0]) > COVERAGE_FACTOR * combined(standard[0], standard[-1])
    reason: Words
    if not shown:
        advice, reason = Advice.LEAVE, say("history-no-loss")
    elif lost >= LOST_SHARE:
        advice, reason = Advice.REDO, say("history-lost", share=100 * lost, limit_share=100 * LOST_SHARE)
    elif lost > LITTLE_SHARE:
        advice, reason = Advice.WATCH, say("history-some-loss", share=100 * lost)
    elif lost >= 0:
        advice, reason = Advice.LEAVE, say("history-little-loss", share=100 * lost)
    else:
        advice, reason = Advice.LEAVE, say("history-gained", share=-100 * lost)
    reasons = [reason]
    if found.to_limit is not None:
        reasons.append(say("history-held-again", months=found.to_limit, low=found.earliest, high=found.latest))
        if found.to_limit < SOON_MONTHS:
            advice = Advice.REDO
    return SinceService(
        months=months[-1] - months[0], lost_share=lost, shown=shown, drift=found, advice=advice, reasons=tuple(reasons)
    )
