"""Hazard gates of a plan: what it would do to the device or to the hands. The interface only shows them."""

from __future__ import annotations

from dataclasses import dataclass

from vividowl.core.heat.skin import BATTERY_WARN_C, NEVER_ABOVE_C, Skin
from vividowl.core.job.gates import Gate, Severity, worst_first

COATINGS = ("coat", "tape", "lacquer")


@dataclass(frozen=True)
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
    sealed: warranty running or a seal intact; rated: why the interface does not stand the heat, empty when it does.
    """

    alloy: bool = False
    cold_plate: str = "unknown"
    aluminium_near: bool | None = None
    parts_exposed: bool | None = None
    insulation: str = "none"
    carried: bool = False
    pad_lifts: str = ""
    paste_over_gap: bool = False
    shim_misfit: str = ""
    shim_height: str = ""
    gap_open: str = ""
    cover: bool = False
    skin: Skin | None = None
    lap_use: bool = False
    cover_force: str = ""
    cover_gap: bool = True
    battery: bool = False
    battery_mm: float | None = None
    opens_mains: bool = False
    swollen: bool = False
    plating: bool = False
    sealed: bool = False
    rated: str = ""


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
        where = "The cold plate is aluminium" if f.cold_plate == "aluminium" else "Aluminium stands beside the contact"
        gates.append(Gate("alloy_on_aluminium", Severity.STOP,
                          f"{where}: gallium alloy destroys aluminium within days.",
                          "Choose paste or a phase-change sheet; a smear is enough to do the damage."))  # fmt: skip
    elif f.cold_plate == "unknown" or f.aluminium_near is None:
        gates.append(Gate("alloy_metal_unknown", Severity.STOP,
                          "What the cold plate and the parts beside it are made of is not known yet.",
                          "Scratch-test or look it up, and note both below; bare aluminium bars alloy."))  # fmt: skip
    if f.cold_plate == "copper":
        gates.append(Gate("alloy_on_copper", Severity.ACKNOWLEDGE,
                          "On bare copper the alloy soaks in and looks dried out within months.",
                          "Tell the owner, and agree on a look every year; nickel plating avoids it."))  # fmt: skip
    if f.parts_exposed is not False and f.insulation not in COATINGS:
        known = "Bare parts stand" if f.parts_exposed else "Nobody has looked whether bare parts stand"
        gates.append(Gate("parts_not_insulated", Severity.STOP,
                          f"{known} around the die, and alloy conducts electricity.",
                          "Put a coating step into the plan: coat twice, 15 min apart, or tape; keep the factory's "
                          "foam. Confirm it after cleaning."))  # fmt: skip
    if f.insulation == "lacquer":
        gates.append(Gate("lacquer_insulation", Severity.NOTE,
                          "Nail lacquer insulates cheaply, but holds heat in and is not rated for it.",
                          "Last choice: two thin layers, not on parts above 80 °C; conformal coat is rated to "
                          "110 °C."))  # fmt: skip
    if f.carried:
        gates.append(Gate("alloy_carried", Severity.ACKNOWLEDGE,
                          "It is carried and shaken: alloy can move out of the gap.",
                          "Prefer a phase-change sheet, or let the owner accept it."))  # fmt: skip
    return gates


def _contact(f: PlanFacts) -> list[Gate]:
    gates: list[Gate] = []
    if f.pad_lifts:
        gates.append(Gate("pad_too_thick", Severity.STOP, f.pad_lifts,
                          "Take the next thinner pad, or putty, and look at the imprint on the die."))  # fmt: skip
    if f.rated:
        gates.append(Gate("service_temperature", Severity.STOP, f.rated,
                          "Take one that is rated higher, or look its service temperature up again."))  # fmt: skip
    if f.paste_over_gap:
        gates.append(Gate("paste_over_gap", Severity.STOP,
                          "Paste is planned where a gap must be bridged; it cannot bridge one.",
                          "Take a pad or putty there."))  # fmt: skip
    if f.shim_misfit:
        gates.append(Gate("shim_too_wide", Severity.STOP, f.shim_misfit,
                          "Take a smaller shim, move it over the die, insulate the parts beside it."))  # fmt: skip
    if f.shim_height:
        gates.append(Gate("shim_too_thick", Severity.STOP, f.shim_height,
                          "Take the size that it names, and look at the imprint of putty before paste."))  # fmt: skip
    if f.gap_open:
        gates.append(Gate("gap_not_bridged", Severity.NOTE, f.gap_open,
                          "Measure that row again; the other rows stand as planned."))  # fmt: skip
    return gates


def _cover(f: PlanFacts) -> list[Gate]:
    if not f.cover:
        return []
    gates = _cover_pad(f)
    if f.skin is None:
        return [*gates, Gate("skin_not_known", Severity.STOP, "How warm the cover gets is not known yet.",
                             "Give size, material and pad of the cover below.")]  # fmt: skip
    high, limit = f.skin.high_c, f.skin.limit_c
    said = f"The cover would reach {f.skin.skin_c:.0f} °C, up to {high:.0f} °C"
    if f.lap_use and high > limit:
        gates.append(
            Gate(
                "skin_limit",
                Severity.STOP,
                f"{said}; on a lap or in a hand {limit:.0f} °C is the limit.",
                "Not for a lap or a hand. Couple less of it, or leave it as the maker built it.",
            )
        )
    elif high > NEVER_ABOVE_C:
        gates.append(
            Gate(
                "skin_limit",
                Severity.STOP,
                f"{said}; above {NEVER_ABOVE_C:.0f} °C a touch burns, wherever it stands.",
                "Couple less of it, take watts away, or leave it as the maker built it.",
            )
        )
    elif high > limit:
        gates.append(
            Gate(
                "skin_limit",
                Severity.ACKNOWLEDGE,
                f"{said}; for this contact {limit:.0f} °C is the limit.",
                "Only for a docked machine on a stand: label it, tell the owner in words, and let them accept it.",
            )
        )
    battery = f.skin.battery_c
    if f.battery and battery is not None and battery > BATTERY_WARN_C:
        gates.append(
            Gate(
                "cover_battery_warm",
                Severity.ACKNOWLEDGE,
                f"The battery's edge would reach up to {battery:.0f} °C; above {BATTERY_WARN_C:.0f} °C it ages fast.",
                "Move the pad away from it, make it smaller, or let the owner accept a shorter battery life.",
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
                "Where the battery lies under the cover is not measured.",
                "Measure from the pad's edge to the battery's outline, and note it below.",
            )
        )
    elif f.battery and f.battery_mm is not None and f.battery_mm <= 0:
        gates.append(
            Gate(
                "cover_over_battery",
                Severity.STOP,
                "The pad reaches over the battery: heat and pressure on it can set it on fire.",
                "Make the pad smaller, or leave the cover as the maker built it.",
            )
        )
    if f.cover_force:
        gates.append(
            Gate(
                "cover_bulges", Severity.STOP, f.cover_force, "Take the next thinner or a softer pad, or a smaller one."
            )
        )
    if not f.cover_gap:
        gates.append(
            Gate(
                "cover_gap_unknown",
                Severity.STOP,
                "The gap between heatsink and cover is not measured, so that no pad can be chosen for it.",
                "Press a ball of putty between them and measure it.",
            )
        )
    return gates


def _body(f: PlanFacts) -> list[Gate]:
    gates: list[Gate] = []
    if f.swollen:
        gates.append(Gate("swollen_battery", Severity.STOP,
                          "A swollen battery can catch fire when bent or pierced.",
                          "Do not press, pry or charge it. Isolate it; dispose of it by local rules."))  # fmt: skip
    if f.opens_mains:
        gates.append(Gate("mains_opened", Severity.STOP,
                          "The plan opens the mains supply, which holds a dangerous charge after unplugging.",
                          "Leave it closed; hand it to licensed practice where it must be opened."))  # fmt: skip
    if f.plating:
        gates.append(Gate("plating_chemicals", Severity.ACKNOWLEDGE,
                          "Plating uses acids and nickel salts, which burn, poison and sensitise.",
                          "Nitrile gloves, closed goggles, apron, ventilation, labels, legal disposal; a plated "
                          "part or a plating shop is the better way."))  # fmt: skip
    if f.sealed:
        gates.append(Gate("warranty_and_seal", Severity.ACKNOWLEDGE,
                          "Opening it may end the warranty or break the seal.",
                          "Photograph the seal and let the owner accept the loss, or stop."))  # fmt: skip
    return gates
