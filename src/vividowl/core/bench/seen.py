"""What is seen at the bench: parts, their states, and what follows for the plan."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass, field

from vividowl.core.quantities.errors import CoreError


@dataclass(frozen=True)
class Sight:
    """A state of a part. words; tells: how to know it; follows: what it means, empty for nothing; changes: fields of
    the inspection that it sets; sound: nothing is wrong with it."""

    words: str
    tells: str
    follows: str = ""
    changes: Mapping[str, str] = field(default_factory=dict)
    sound: bool = False


# By part and state. The drawing of each has the name part-state. Common practice, no source.
SIGHTS: Mapping[str, Mapping[str, Sight]] = {
    "fins": {
        "clear": Sight("Clear", "light shines through all fins", "", {"dust": "none"}, True),
        "dusty": Sight("Dusty", "a thin grey coat, most fins open", "Clean them; dust alone costs kelvins.",
                       {"dust": "light"}),
        "felt": Sight("Felted", "a mat between fan and fins",
                      "The mat is the culprit as likely as the paste; both are renewed.", {"dust": "felt"}),
        "bent": Sight("Bent", "fins pressed together", "Straighten them with a plastic card; air has no way through."),
    },
    "fan": {
        "free": Sight("Turns freely", "spins on for a moment when flicked", "", {"fan_state": "free"}, True),
        "drags": Sight("Drags", "stops at once or grinds", "Replace the fan; paste will not cure it.",
                       {"fan_state": "drags"}),
        "wobbles": Sight("Wobbles", "the hub tilts, blades touch", "The bearing is gone: replace the fan.",
                         {"fan_state": "drags"}),
    },
    "contact": {
        "full": Sight("Full", "an even print over the whole die", "", {"old_interface": "sound"}, True),
        "one_sided": Sight("One-sided", "thick at one edge, bare at the other",
                           "The cooler sat askew: look for a pad too thick, a bent frame, a loose screw.",
                           {"old_interface": "not_touching"}),
        "dry_patch": Sight("Dry patch", "a bare spot, paste around it",
                           "Too little or badly spread: spread a film this time.", {"old_interface": "dry"}),
        "pumped_out": Sight("Pumped out", "thin in the middle, a rim outside",
                            "A soft paste on a bare die: take a stiff paste or a phase-change sheet.",
                            {"old_interface": "pumped_out"}),
        "chalk": Sight("Chalk", "crumbles under the swab", "Dried out: renewing it is worth tens of kelvins.",
                       {"old_interface": "dry"}),
        "still_liquid": Sight("Still liquid phase change", "runny long after it was laid",
                              "It never cured; plan a sheet, or let the solvent leave this time.",
                              {"old_interface": "still_liquid"}),
        "alloyed": Sight("Alloyed", "silvery stain in the copper",
                         "Bare copper takes alloy up; it looks dried out and mostly works as before. Check yearly.",
                         {"old_interface": "alloy", "cold_plate": "copper"}),
    },
    "plate": {
        "copper": Sight("Copper", "reddish", "", {"cold_plate": "copper"}, True),
        "nickel": Sight("Nickel-plated", "silvery, hard, even", "", {"cold_plate": "nickel"}, True),
        "aluminium": Sight("Aluminium", "light grey, soft", "Aluminium seen: alloy barred.",
                           {"cold_plate": "aluminium"}),
    },
    "surroundings": {
        "no_aluminium": Sight("No aluminium near", "frame and fins beside the die are copper or steel", "",
                              {"aluminium_near": "no"}, True),
        "aluminium": Sight("Aluminium beside the contact", "frame or fins within reach of a drop",
                           "Aluminium seen: alloy barred.", {"aluminium_near": "yes"}),
        "parts_bare": Sight("Bare parts round the die", "small parts without coat, tape or foam",
                            "Insulate them before alloy.", {"parts_exposed": "yes", "insulation": "none"}),
        "coat_whole": Sight("Old coat whole", "a film over the small parts", "",
                            {"parts_exposed": "yes", "insulation": "coat"}, True),
        "parts_none": Sight("No bare parts", "nothing conducts beside the die", "", {"parts_exposed": "no"}, True),
    },
    "pads": {
        "sound": Sight("Sound", "whole, springy, dry", "They may stay.", {"pads_state": "sound"}, True),
        "oily": Sight("Oily", "silicone oil on board and pad", "Replace them; wipe the oil off.", {"pads_state": "bad"}),
        "torn": Sight("Torn", "pieces missing or crumbling", "Replace them: a torn pad does not touch.",
                      {"pads_state": "bad"}),
    },
    "corrosion": {
        "none": Sight("None", "clean metal and board", "", {}, True),
        "traces": Sight("Traces", "white or green spots", "Clean with alcohol, look under magnification before power."),
        "eaten": Sight("Eaten", "pits, lifted traces", "Stop and talk to the owner: it may not come up again."),
    },
    "battery": {
        "flat": Sight("Flat", "sits even in its frame", "", {}, True),
        "swollen": Sight("Swollen", "bulges, lifts cover or pad",
                         "Stop. Isolate it on a fireproof surface; dispose of it by local rules."),
        "leaking": Sight("Leaking", "wet, sweet smell", "Stop. Ventilate, gloves, isolate it; dispose by local rules."),
    },
}  # fmt: skip
PART_WORDS: Mapping[str, str] = {
    "fins": "Fins", "fan": "Fan", "contact": "Contact print", "plate": "Cold plate", "surroundings": "Round the die",
    "pads": "Pads", "corrosion": "Corrosion", "battery": "Battery",
}  # fmt: skip
ALUMINIUM = (("plate", "aluminium"), ("surroundings", "aluminium"))
STOPPING = (("battery", "swollen"), ("battery", "leaking"))


def sight(part: str, seen: str) -> Sight:
    """What a state of a part means.

    part: a name of SIGHTS [text]
    seen: one of its states [text]
    returns: Sight
    raises: CoreError naming what is allowed
    source: common practice, no source
    """
    if part not in SIGHTS:
        raise CoreError(f"“{part}” is no part to look at; allowed: {', '.join(SIGHTS)}.", field="part")
    if seen not in SIGHTS[part]:
        raise CoreError(f"“{seen}” is no state of {PART_WORDS[part].lower()}; allowed: {', '.join(SIGHTS[part])}.",
                        field="seen")  # fmt: skip
    return SIGHTS[part][seen]
