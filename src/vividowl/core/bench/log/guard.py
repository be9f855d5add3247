"""Rules of order held against what is to be done."""

from __future__ import annotations

from collections.abc import Sequence

from vividowl.core.bench.interlocks import CLOSE_OVER, PLUGS_OPEN, after, all_breached
from vividowl.core.bench.log.events import BenchCommand, BenchRefused, said
from vividowl.core.bench.log.state import BenchState, plugs_open
from vividowl.core.bench.steps.vocabulary import BenchStep
from vividowl.core.bench.waits import BEFORE_POWER, WAITS
from vividowl.core.quantities.words import say


def guard(s: BenchState, c: BenchCommand, acts: Sequence[str]) -> None:
    """A broken rule needs to be told as what it is; what would destroy the device is not told away.

    c: what somebody tells, perhaps with a breach
    acts: that it does (n,) [text]
    returns: nothing
    raises: BenchRefused naming the rule
    """
    if CLOSE_OVER & set(acts):
        refuse_while_waiting(s, c, BEFORE_POWER)
    broken = all_breached(acts, s.now_facts, s.device)
    if not broken:
        return
    hard = next((r for r in broken if r.hard), None)
    rule = hard or broken[0]
    if hard is not None or not c.data.get("breach"):
        raise BenchRefused(rule.reason, reason="interlock", rule=rule.rule, remedy=rule.remedy)
    said(c.data["breach"], say("guard-what-happened"), say("guard-lifted-cooler-before-i-saw"))


def refuse_while_waiting(s: BenchState, c: BenchCommand, kinds: Sequence[str]) -> None:
    """Refuse what has to wait while a wait of some kinds runs.

    c: what somebody tells
    kinds: names of WAITS (n,) [text]
    returns: nothing
    raises: BenchRefused naming the wait
    source: handbook/waits.md: common practice, no source
    """
    running = next((w for w in s.waits.values() if w.wait in kinds and w.runs(c.at)), None)
    if running is not None:
        raise BenchRefused(
            say("close-waits", words=WAITS[running.wait].words, minutes=running.minutes_left(c.at)),
            reason="waiting",
            field="step",
        )


def broken_in(s: BenchState, steps: Sequence[BenchStep]) -> set[tuple[str, str]]:
    """Rules that the steps still to do would break in this order.

    steps: in the order asked for (n,)
    returns: pairs of step and rule [text]
    """
    facts, out, broken = s.facts, set(s.out), set[tuple[str, str]]()
    for step in steps:
        if step.id in s.outcomes:
            continue
        now = facts | {PLUGS_OPEN} if plugs_open(s.places, frozenset(out)) else facts
        broken.update((step.id, rule.rule) for rule in all_breached(step.acts, now, s.device))
        facts = after(step.acts, facts)
        out = (out | (set(step.takes_out) & set(s.places))) - set(step.puts_in)
    return broken
