"""Hazard gates at intake: a rule with a severity, a reason and a remedy. The interface only shows them."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass
from enum import StrEnum

from vividowl.core.quantities.words import Words, say


class Severity(StrEnum):
    """note: to read; acknowledge: to accept by name; stop: the job does not go on."""

    NOTE = "note"
    ACKNOWLEDGE = "acknowledge"
    STOP = "stop"


@dataclass(frozen=True)
class Gate:
    """A tripped rule."""

    rule: str
    severity: Severity
    reason: Words
    remedy: Words


def intake_gates(
    *,
    kind: str,
    battery_swollen: bool,
    liquid_damage: bool,
    backup_done: str,
    warranty: str,
    seal: str,
) -> tuple[Gate, ...]:
    """Gates that the intake trips.

    kind: laptop, console, handheld or other [text]
    battery_swollen: the case bulges or the battery shows it [flag]
    liquid_damage: traces of liquid [flag]
    backup_done: yes, no or unknown [text]
    warranty: running, over or unknown [text]
    seal: intact, broken, none or unknown [text]
    returns: tripped gates, worst first (n,)
    source: common practice, no source; local rules and the maker's instructions come first
    """
    gates: list[Gate] = []
    if battery_swollen:
        gates.append(
            Gate(
                "swollen_battery",
                Severity.STOP,
                say("gates-swollen-battery-can-catch-fire"),
                say("gates-do-not-press-pry-or"),
            )
        )
    if liquid_damage:
        gates.append(
            Gate(
                "liquid_damage",
                Severity.ACKNOWLEDGE,
                say("gates-traces-liquid-board-may-short"),
                say("gates-do-not-power-inspect-under"),
            )
        )
    if warranty == "running" or seal == "intact":
        gates.append(
            Gate(
                "warranty_and_seal",
                Severity.ACKNOWLEDGE,
                say("gates-opening-may-end-warranty-or"),
                say("gates-photograph-seal-and-let-owner"),
            )
        )
    if backup_done != "yes":
        gates.append(
            Gate(
                "backup",
                Severity.ACKNOWLEDGE,
                say("gates-no-backup-confirmed"),
                say("gates-ask-for-one-or-let"),
            )
        )
    if kind == "console":
        gates.append(
            Gate(
                "mains_supply",
                Severity.NOTE,
                say("gates-power-supply-inside-holds-mains"),
                say("gates-leave-closed-licensed-practice-only"),
            )
        )
    return worst_first(gates)


def worst_first(gates: Sequence[Gate]) -> tuple[Gate, ...]:
    """Gates in the order they must be read, each rule once.

    gates: tripped gates (n,)
    returns: stops, then what is to acknowledge, then notes (m,)
    """
    order = (Severity.STOP, Severity.ACKNOWLEDGE, Severity.NOTE)
    once = {gate.rule: gate for gate in reversed(gates)}
    return tuple(sorted((g for g in gates if once[g.rule] is g), key=lambda gate: order.index(gate.severity)))
