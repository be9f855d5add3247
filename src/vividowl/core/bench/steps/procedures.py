"""Step lists for what goes wrong when a step is left out: phase change, alloy, plating, delidding."""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from dataclasses import dataclass

from vividowl.core.bench.steps.baths import hours_words, plating_steps
from vividowl.core.materials.kinds import Kind
from vividowl.core.materials.plating import Bath
from vividowl.core.quantities.errors import CoreError


@dataclass(frozen=True)
class Step:
    """text: what to do; why in a line; wait_min: minutes to wait after it; gear: materials, tools and protection."""

    text: str
    why: str = ""
    wait_min: float = 0.0
    gear: str = ""


@dataclass(frozen=True)
class Procedure:
    """name and words; caution: what to read first; steps in order."""

    name: str
    words: str
    caution: str
    steps: tuple[Step, ...]

    @property
    def wait_min(self) -> float:
        """Minutes of waiting in all [min]."""
        return sum(step.wait_min for step in self.steps)


# All common practice, no source; the maker's instructions of material and device come first.
_SHEET = Procedure(
    Kind.SHEET, "Phase-change sheet",
    "Fingers off the film. It is judged after its heat cycles only: the first minutes are too hot.",
    (
        Step("Put the sheet into the fridge", "a cold film cuts clean and lets go of its liner", 30, "fridge, 4 to 8 °C"),
        Step("Clean die and plate to a mirror, let the alcohol dry", "residue stops it from wetting", 5,
             "lint-free cloth, alcohol"),
        Step("Cut the piece and a spare with a fresh blade", "a dull blade drags the film", 0, "new blade, steel ruler"),
        Step("Peel the first liner with tape or a needle", "nails tear it", 0, "tape or needle"),
        Step("Lay it on the die and press bubbles out from the middle", "air does not conduct", 0, "plastic card"),
        Step("Peel the second liner, and lay it on the tray where you see it",
             "forgetting it ruins the result", 0, "tape or needle"),
        Step("Close and tighten in order, in two passes or more", "it thins out under pressure"),
        Step("Burn in under load, above 45 °C", "it melts at about 45 °C and settles mostly in the first 30 to 40 min",
             40, "the Before recipe"),
        Step("Take the After reading", "only now it shows what it can"),
    ),
)  # fmt: skip
_TUBE = Procedure(
    Kind.TUBE, "Phase-change paste from a tube",
    "Solvent has to leave before the cooler closes. Ventilate; no open flame.",
    (
        Step("Clean die and plate to a mirror, let the alcohol dry", "residue stops it from wetting", 5,
             "lint-free cloth, alcohol, gloves"),
        Step("Spread a thin even film on the die", "it cannot flow before it melts", 0, "card, tape as a mask"),
        Step("Let the solvent leave: 10 min at about 100 °C, or 24 h open to the air",
             "found still liquid later, it never cured", 10, "hot plate or oven at 100 °C, ventilation"),
        Step("Close and tighten in order, in two passes or more", "it thins out under pressure"),
        Step("Burn in under load, above 45 °C", "it settles mostly in the first 30 to 40 min", 40, "the Before recipe"),
        Step("Take the After reading", "only now it shows what it can"),
    ),
)  # fmt: skip
_ALLOY = Procedure(
    Kind.ALLOY, "Gallium alloy",
    "Conducts electricity and destroys aluminium. Gloves. No power until the board was inspected.",
    (
        Step("Make sure that no aluminium is near: plate, fins, frame", "a smear is enough to destroy it", 0, "bright light"),
        Step("Clean die and plate, let the alcohol dry", "alloy wets clean metal only", 5, "lint-free cloth, alcohol"),
        Step("Check that cleaning did not take the old coat or the factory's foam", "they are the barrier", 0, "loupe"),
        Step("Coat the parts around the die, first layer", "alloy shorts them", 15, "conformal coat, rated to 110 °C"),
        Step("Second layer", "one layer has pinholes", 15, "conformal coat"),
        Step("Dispense a tiny drop into a tray", "pressed out on the board it cannot be called back", 0,
             "syringe, tray, gloves"),
        Step("Rub a thin film onto die and plate, both faces", "it does not wet by itself", 0, "swab"),
        Step("Suck the excess back: no pool, no bald spot", "what is too much is pressed out on the parts", 0, "syringe"),
        Step("Inspect under magnification, then close", "one bead beside the die is a short circuit", 0, "loupe"),
    ),
)  # fmt: skip
# How long a lid is clamped, by what holds it: fast contact glue 5 to 10 min, common practice, no source; silicone lid
# glue hours, from memory. The sheet of the glue comes first.
LID_GLUES: Mapping[str, tuple[str, float]] = {
    "contact": ("fast contact glue", 10.0),
    "silicone": ("silicone lid glue", 240.0),
}


def delid_procedure(glue: str) -> Procedure:
    """Steps to delid a socketed processor, clamped as long as its glue asks.

    glue: a name of LID_GLUES [text]
    returns: Procedure
    raises: CoreError naming what is allowed
    source: common practice, no source; silicone from memory
    """
    if glue not in LID_GLUES:
        raise CoreError(f"“{glue}” is no glue known here; allowed: {', '.join(LID_GLUES)}.", field="glue",
                        remedy="Read the tube: the clamp holds as long as that glue asks.")  # fmt: skip
    words, minutes = LID_GLUES[glue]
    held = f"{minutes:.0f} min" if minutes < 60 else f"{minutes / 60:.0f} h"
    return Procedure(
        "delidding" if glue == "contact" else f"delidding_{glue}", f"Delidding a socketed processor, {words}",
        "Rare, and it ends the warranty. Only with a tool made for the package; a soldered lid is never opened; the owner "
        "accepts the loss of the part.",
        (
            Step("Mark the corner of lid and package", "the lid goes back the same way", 0, "marker"),
            Step("Slide the lid in its tool until it lets go", "a blade cuts traces", 0, "delidding tool, goggles"),
            Step("Scrape the glue off with plastic only", "metal scratches the package", 0, "plastic scraper, alcohol"),
            Step("Clean die and lid, let the alcohol dry", "", 5, "lint-free cloth, alcohol"),
            Step("Insulate the parts beside the die when alloy goes in", "alloy shorts them", 30,
                 "conformal coat, two layers"),
            Step("Put the new interface on", "see its own list", 0, ""),
            Step(f"Four dots of {words} at the corners, lid on by its mark", "a closed ring traps pressure", 0, words),
            Step(f"Clamp for {held}, or as long as the tube says", "the gap is set while the glue sets", minutes,
                 "socket or clamp"),
        ),
    )  # fmt: skip


PROCEDURES: Mapping[str, Procedure] = {
    p.name: p for p in (_SHEET, _TUBE, _ALLOY, *(delid_procedure(glue) for glue in LID_GLUES))
}  # fmt: skip


def plating_procedure(bath: Bath) -> Procedure:
    """Steps to plate a cold plate with nickel. The default advice is a plated part or a plating shop.

    bath: as planned
    returns: Procedure
    source: common practice, no source; the bath maker's sheet and licensed practice come first
    """
    return Procedure(
        "plating", f"Nickel on a cold plate, {bath.words}, {hours_words(bath.hours)}",
        "Advice: buy a plated cooler, or send it to a plating shop. Acids and nickel salts burn, poison and sensitise: "
        "gloves, closed goggles, apron, ventilation, labels, legal disposal; licensed practice where the law asks.",
        tuple(Step(s.text, s.why, s.wait_min, s.tool) for s in plating_steps(bath)),
    )  # fmt: skip


def procedures_for(kinds: Sequence[str]) -> tuple[Procedure, ...]:
    """The step lists that some interfaces need.

    kinds: kinds of interface (n,) [text]
    returns: procedures (m,), in order, each once
    source: common practice, no source
    """
    return tuple(PROCEDURES[k] for k in dict.fromkeys(kinds) if k in PROCEDURES)
