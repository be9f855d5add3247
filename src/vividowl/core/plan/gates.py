"""Hazard gates of a plan: what it would do to the device or to the hands. The interface only shows them."""

from __future__ import annotations

from dataclasses import dataclass

from vividowl.core.heat.skin import BATTERY_WARN_C, BURN_8_H_C, NEVER_ABOVE_C, Skin
from vividowl.core.job.gates import Gate, Severity, worst_first
from vividowl.core.quantities.words import Words, say

COATINGS = ("coat", "tape", "lacquer")


@dataclass(frozen=True, kw_only=True)
class PlanFacts:
    """What a plan does and what is known of the device; None and "unknown" mean that nobody looked yet.

    alloy: gallium alloy goes in; cold_plate: copper, nickel, aluminium or unknown; aluminium_near: aluminium parts
    beside the contact; parts_exposed: bare parts around the die; insulation: none, coat, tape or lacquer;
    carried: it is shaken in a bag or a hand; pad_lifts: reason why a pad is too thick, empty when none is;
    paste_over_gap: paste where a gap must be bridged; shim_misfit: why the shim does not fit, empty when it does;
    shim_height: why its thickness does not; gap_open: rows of parts that nothing bridges, empty for none;
    cover: the cover is coupled; skin: predicted, None when not known; lap_use: used on the lap or in the hand;
    cover_force: why its pad presses too hard, empty when it does not; cover_gap: whether the gap to the cover is
    measured; battery: the device has one; battery_mm: from the pad's edge to its outline [mm], None when nobody
    measured; opens_mains: the mains supply would be opened; swollen: the battery; plating: chemicals are used;
    sealed: warranty running or a seal intact; rated: why the interface does not stand the heat, empty when it does;
    after_on_lap: the After was run on the lap or in the hand.
    """

    alloy: bool = False
    cold_plate: str = "unknown"
    aluminium_near: bool | None = None
    parts_exposed: bool | None = None
    insulation: str = "none"
    carried: bool = False
    pad_lifts: Words = ""
    paste_over_gap: bool = False
    shim_misfit: Words = ""
    shim_height: Words = ""
    gap_open: Words = ""
    cover: bool = False
    skin: Skin | None = None
    lap_use: bool = False
    cover_force: Words = ""
    cover_gap: bool = True
    battery: bool = False
    battery_mm: float | None = None
    opens_mains: bool = False
    swollen: bool = False
    plating: bool = False
    sealed: bool = False
    rated: Words = ""
    after_on_lap: bool = False


def plan_gates(facts: PlanFacts) -> tuple[Gate, ...]:
    """Gates that a plan trips.

    facts: what the plan does and what is known
    returns: tripped gates, worst first (n,)
    source: common practice, no source; local rules, the maker's instructions and licensed practice come first
    """
    gates = [*_alloy(facts), *_contact(facts), *_cover(facts), *_body(facts)]
    return worst_first(gates)


def _alloy(f: PlanFacts) -> list[Gate]:
    if not f.alloy:
        return []
    gates: list[Gate] = []
    if f.cold_plate == "aluminium" or f.aluminium_near:
        where = (
            say("gates-cold-plate-aluminium")
            if f.cold_plate == "aluminium"
            else say("gates-aluminium-stands-beside-contact")
        )
        gates.append(
            Gate(
                "alloy_on_aluminium",
                Severity.STOP,
                say("gates-gallium-alloy-destroys-aluminium-within", where=where),
                say("gates-choose-paste-or-phase-change"),
            )
        )
    elif f.cold_plate == "unknown" or f.aluminium_near is None:
        gates.append(
            Gate(
                "alloy_metal_unknown",
                Severity.STOP,
                say("gates-what-cold-plate-and-parts"),
                say("gates-scratch-test-or-look-up"),
            )
        )
    if f.cold_plate == "copper":
        gates.append(
            Gate(
                "alloy_on_copper",
                Severity.ACKNOWLEDGE,
                say("gates-on-bare-copper-alloy-soaks"),
                say("gates-tell-owner-and-agree-on"),
            )
        )
    if f.cold_plate == "nickel":
        gates.append(
            Gate(
                "alloy_on_nickel",
                Severity.NOTE,
                say("gates-nickel-is-a-barrier-where-whole"),
                say("gates-take-maker-s-word"),
            )
        )
    if f.parts_exposed is not False and f.insulation not in COATINGS:
        known = say("gates-bare-parts-stand") if f.parts_exposed else say("gates-nobody-has-looked-whether-bare")
        gates.append(
            Gate(
                "parts_not_insulated",
                Severity.STOP,
                say("gates-around-die-and-alloy-conducts", known=known),
                say("gates-put-coating-step-into-plan"),
            )
        )
    if f.insulation == "lacquer":
        gates.append(
            Gate(
                "lacquer_insulation",
                Severity.NOTE,
                say("gates-nail-lacquer-insulates-cheaply-but"),
                say("gates-last-choice-two-thin-layers"),
            )
        )
    if f.carried:
        gates.append(
            Gate(
                "alloy_carried",
                Severity.ACKNOWLEDGE,
                say("gates-carried-and-shaken-alloy-can"),
                say("gates-prefer-phase-change-sheet-or"),
            )
        )
    return gates


def _contact(f: PlanFacts) -> list[Gate]:
    gates: list[Gate] = []
    if f.pad_lifts:
        gates.append(Gate("pad_too_thick", Severity.STOP, f.pad_lifts, say("gates-take-next-thinner-pad-or")))
    if f.rated:
        gates.append(Gate("service_temperature", Severity.STOP, f.rated, say("gates-take-one-that-rated-higher")))
    if f.paste_over_gap:
        gates.append(
            Gate(
                "paste_over_gap",
                Severity.STOP,
                say("gates-paste-planned-where-gap-must"),
                say("gates-take-pad-or-putty-there"),
            )
        )
    if f.shim_misfit:
        gates.append(Gate("shim_too_wide", Severity.STOP, f.shim_misfit, say("gates-take-smaller-shim-move-over")))
    if f.shim_height:
        gates.append(Gate("shim_too_thick", Severity.STOP, f.shim_height, say("gates-take-size-that-names-and")))
    if f.gap_open:
        gates.append(Gate("gap_not_bridged", Severity.NOTE, f.gap_open, say("gates-measure-that-row-again-other")))
    return gates


def _cover(f: PlanFacts) -> list[Gate]:
    if not f.cover:
        return []
    gates = _cover_pad(f)
    if f.skin is None:
        return [
            *gates,
            Gate(
                "skin_not_known",
                Severity.STOP,
                say("gates-how-warm-cover-gets-not"),
                say("gates-give-size-material-and-pad"),
            ),
        ]
    high, limit = f.skin.high_c, f.skin.limit_c
    said = say("gates-cover-would-reach-c-up", skin_c=f.skin.skin_c, high=high)
    if f.lap_use and high > limit:
        gates.append(
            Gate(
                "skin_limit",
                Severity.STOP,
                say("gates-on-lap-or-in-hand", said=said, limit=limit),
                say("gates-not-for-lap-or-hand"),
            )
        )
    elif high > NEVER_ABOVE_C:
        gates.append(
            Gate(
                "skin_limit",
                Severity.STOP,
                say("gates-above-c-touch-burns-wherever", said=said, never_above_c=NEVER_ABOVE_C),
                say("gates-couple-less-take-watts-away"),
            )
        )
    elif high > limit:
        gates.append(
            Gate(
                "skin_limit",
                Severity.ACKNOWLEDGE,
                say("gates-for-this-contact-c-limit", said=said, limit=limit),
                say("gates-only-for-docked-machine-on"),
            )
        )
    if f.after_on_lap and high > BURN_8_H_C:
        gates.append(
            Gate(
                "after_on_lap",
                Severity.ACKNOWLEDGE,
                say("gates-after-was-run-on-lap", said=said, limit=BURN_8_H_C),
                say("gates-repeat-after-where-cover-may"),
            )
        )
    battery = f.skin.battery_c
    if f.battery and battery is not None and battery > BATTERY_WARN_C:
        gates.append(
            Gate(
                "cover_battery_warm",
                Severity.ACKNOWLEDGE,
                say("gates-battery-s-edge-would-reach", battery=battery, battery_warn_c=BATTERY_WARN_C),
                say("gates-move-pad-away-from-make"),
            )
        )
    return gates


def _cover_pad(f: PlanFacts) -> list[Gate]:
    gates: list[Gate] = []
    if f.battery and f.battery_mm is None:
        gates.append(
            Gate(
                "cover_battery_unknown",
                Severity.STOP,
                say("gates-where-battery-lies-under-cover"),
                say("gates-measure-from-pad-s-edge"),
            )
        )
    elif f.battery and f.battery_mm is not None and f.battery_mm <= 0:
        gates.append(
            Gate(
                "cover_over_battery",
                Severity.STOP,
                say("gates-pad-reaches-over-battery-heat"),
                say("gates-make-pad-smaller-or-leave"),
            )
        )
    if f.cover_force:
        gates.append(Gate("cover_bulges", Severity.STOP, f.cover_force, say("gates-take-next-thinner-or-softer")))
    if not f.cover_gap:
        gates.append(
            Gate(
                "cover_gap_unknown",
                Severity.STOP,
                say("gates-gap-between-heatsink-and-cover"),
                say("gates-press-ball-putty-between-them"),
            )
        )
    return gates


def _body(f: PlanFacts) -> list[Gate]:
    gates: list[Gate] = []
    if f.swollen:
        gates.append(
            Gate(
                "swollen_battery",
                Severity.STOP,
                say("gates-swollen-battery-can-catch-fire-2"),
                say("gates-do-not-press-pry-or-2"),
            )
        )
    if f.opens_mains:
        gates.append(
            Gate(
                "mains_opened",
                Severity.STOP,
                say("gates-plan-opens-mains-supply-which"),
                say("gates-leave-closed-hand-to-licensed"),
            )
        )
    if f.plating:
        gates.append(
            Gate(
                "plating_chemicals",
                Severity.ACKNOWLEDGE,
                say("gates-plating-uses-acids-and-nickel"),
                say("gates-nitrile-gloves-closed-goggles-apron"),
            )
        )
    if f.sealed:
        gates.append(
            Gate(
                "warranty_and_seal",
                Severity.ACKNOWLEDGE,
                say("gates-opening-may-end-warranty-or-2"),
                say("gates-photograph-seal-and-let-owner-2"),
            )
        )
    return gates
