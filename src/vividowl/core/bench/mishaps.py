"""What goes wrong at the bench, and the short list that gets one out of it."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass

from vividowl.core.quantities.errors import CoreError


@dataclass(frozen=True)
class Mishap:
    """words; steps to recover, in order; wait: a kind of wait that belongs to it, empty for none; no_power: the device
    gets no power before the check; check: what is confirmed before the job closes, empty for nothing."""

    words: str
    steps: tuple[str, ...]
    wait: str = ""
    no_power: bool = False
    check: str = ""


# Common practice, no source.
MISHAPS: Mapping[str, Mishap] = {
    "spill_paste": Mishap(
        "Spilt: paste that does not conduct",
        ("Leave it where it is until the cooler is off the bench.", "Lift most of it with a plastic card.",
         "Wipe the rest with alcohol on a swab, from outside in.", "It is a mess, not a danger."),
    ),
    "spill_alloy": Mishap(
        "Spilt: alloy, or anything that conducts",
        ("Stop. No power, no battery.", "Lift the drop with the syringe; do not smear it.",
         "Wipe with alcohol, one way, a fresh swab each time.", "Half an hour of patience: it creeps out of gaps.",
         "Inspect under magnification, plugs and legs of parts first."),
        "alloy_spill", True, "Inspected under magnification: no alloy on board, plugs or legs.",
    ),
    "broken_clip": Mishap(
        "Clip broken",
        ("Take the piece out of the case, it rattles into a fan.", "Note where it was; look whether the cover still holds.",
         "Tell the owner, offer a new cover."),
    ),
    "torn_ribbon": Mishap(
        "Ribbon torn",
        ("Stop pulling. Leave the lock open.", "Photograph plug and ribbon.", "Find out what it feeds; order a new one.",
         "The place stays an open plug until it is replaced."),
        "", False, "The ribbon is replaced and what it feeds works.",
    ),
    "stripped_screw": Mishap(
        "Screw head stripped",
        ("Stop turning. Press harder with a fresh bit of the right size.", "Rubber band or a drop of valve paste under the bit.",
         "Last: a slot cut with a fine wheel, board covered, chips sucked away.", "Replace the screw by one of the same class."),
    ),
    "lost_screw": Mishap(
        "Screw lost",
        ("Do not power: it may lie on the board.", "Turn the device over a towel, look with a magnet on a stick outside the fan.",
         "Sweep the bench; look under the strap and the mat.", "Replace it by one of the same class, and note it."),
        "", True, "The screw is found, or the board is searched and it is not inside.",
    ),
    "touched_film": Mishap(
        "Film or clean face touched",
        ("A sheet: take the spare piece; the touched one does not wet.", "A die or plate: wipe with alcohol once more, let it dry."),
    ),
    "too_much_paste": Mishap(
        "Too much paste",
        ("Do not smear it around.", "Lift the cooler straight, take the rim off with a card, look at the print.",
         "Paste that does not conduct may stay beside the die; alloy may not."),
    ),
    "other": Mishap("Something else", ("Say what happened; photograph it.",)),
}  # fmt: skip


def mishap(name: str) -> Mishap:
    """What to do about a mishap.

    name: a name of MISHAPS [text]
    returns: Mishap
    raises: CoreError naming what is allowed
    source: common practice, no source
    """
    if name not in MISHAPS:
        raise CoreError(f"“{name}” is not in the list of mishaps; allowed: {', '.join(MISHAPS)}.", field="what")
    return MISHAPS[name]
