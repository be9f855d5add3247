"""Steps of the bench: what one is, and the work that a list is made for."""

from __future__ import annotations

from dataclasses import dataclass

from vividowl.core.errors import CoreError, figure
from vividowl.core.interlocks import ACTS
from vividowl.core.waits import wait_minutes

STAGES = ("open", "clean", "fit", "close")
# What a step looks like on the screen besides its words: the map, the things to look at, the first power-on, a photo.
SHOWS = ("", "map", "seen", "power")


@dataclass(frozen=True)
class BenchStep:
    """One step. text: what; why in a line; tool; material and dose from the plan; caution; acts it marks; takes_out and
    puts_in: ids of places, in order; wait: kind that starts when it is done; after_waits: kinds to be over first;
    shows: what the screen shows beside it; photo: one is wanted; task: what its minutes are booked on; part: index of
    the plan's part that it uses, None for none; own: added by a person."""

    id: str
    stage: str
    text: str
    why: str = ""
    tool: str = ""
    material: str = ""
    caution: str = ""
    acts: tuple[str, ...] = ()
    takes_out: tuple[str, ...] = ()
    puts_in: tuple[str, ...] = ()
    wait: str = ""
    wait_min: float = 0.0
    after_waits: tuple[str, ...] = ()
    shows: str = ""
    photo: bool = False
    task: str = ""
    part: int | None = None
    own: bool = False


@dataclass(frozen=True)
class PlannedPart:
    """A part of the plan. target and kind by name; words: product or kind; dose in words; how it is put on; index in
    the plan; insulation: what guards the parts beside the die."""

    target: str
    kind: str
    words: str
    dose: str
    school: str
    index: int


@dataclass(frozen=True)
class Work:
    """What is done to the device. parts of the plan; insulation: none, coat, tape or lacquer; insulated_now: it has to
    be put on, not only checked; gates: reasons that were accepted and are read once more; new_fan: one is fitted."""

    parts: tuple[PlannedPart, ...] = ()
    insulation: str = "none"
    insulated_now: bool = False
    gates: tuple[str, ...] = ()
    new_fan: bool = False


def check_step(step: BenchStep) -> BenchStep:
    """Refuse a step that cannot be.

    step: the step
    returns: the same
    raises: CoreError naming the field
    source: the definitions above
    """
    if step.stage not in STAGES:
        raise CoreError(f"“{step.stage}” is no stage of the bench; allowed: {', '.join(STAGES)}.", field="stage")
    if not step.text.strip():
        raise CoreError("The step says nothing.", field="text", remedy="Write what to do.")
    unknown = [a for a in step.acts if a not in ACTS]
    if unknown:
        raise CoreError(f"“{unknown[0]}” is no act of the bench.", field="acts")
    if step.shows not in SHOWS:
        raise CoreError(f"“{step.shows}” cannot be shown; allowed: {', '.join(SHOWS[1:])}.", field="shows")
    if step.wait:
        wait_minutes(step.wait, step.wait_min or None)
    return step


def dose_words(mass_g: float | None, volume_ul: float | None) -> str:
    """A dose as one reads it: 0.08 g (31 µL).

    mass_g: mass [g], None when not known
    volume_ul: volume [uL], None when not known
    returns: words, empty when nothing is known [text]
    source: the definition
    """
    mass = "" if mass_g is None else f"{figure(float(f'{mass_g:.2g}'))} g"
    volume = "" if volume_ul is None else f"{figure(float(f'{volume_ul:.2g}'))} µL"
    return f"{mass} ({volume})" if mass and volume else mass or volume
