"""Steps of the bench: what one is, and the work that a list is made for."""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from dataclasses import dataclass

from vividowl.core.bench.interlocks import ACTS, Device
from vividowl.core.bench.waits import wait_minutes
from vividowl.core.job.stages import BENCH
from vividowl.core.materials.kinds import Kind
from vividowl.core.materials.plating import Bath
from vividowl.core.quantities.errors import CoreError, require_one_of, require_range
from vividowl.core.quantities.words import Words, listed, say

# What a step looks like on the screen besides its words: the map, the things to look at, the first power-on, a photo.
SHOWS = ("", "map", "seen", "power")
# What a step asks to be measured: words, unit, low, high. Without an answer it stays planned, not measured.
ASKS: Mapping[str, tuple[Words, Words, float, float]] = {
    "dose_g": (say("vocabulary-weighed"), "g", 0.001, 100.0),
    "layer_um": (say("vocabulary-measured-layer"), "µm", 0.1, 200.0),
}


@dataclass(frozen=True, kw_only=True)
class BenchStep:
    """One step. text: what; why in a line; tool; material and dose from the plan; caution; acts it marks; takes_out and
    puts_in: ids of places, in order; wait: kind that starts when it is done; after_waits: kinds to be over first;
    shows: what the screen shows beside it; photo: one is wanted; task: what its minutes are booked on; part: index of
    the plan's part that it uses, None for none; asks: a name of ASKS that can be measured, empty for nothing; own:
    added
    by a person."""

    id: str
    stage: str
    text: Words
    why: Words = ""
    tool: Words = ""
    material: Words = ""
    caution: Words = ""
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
    asks: str = ""
    own: bool = False


DIE_TARGETS = ("cpu_die", "gpu_die")


@dataclass(frozen=True, kw_only=True)
class PlannedPart:
    """A part of the plan. target and kind by name; words: product or kind; dose in words; school: how it is put on;
    index in the plan, None when the plan does not name it; bond: what holds a shim to the heatsink; shift: where a shim
    lies when not in the middle; insulate: bare parts beside a shim are covered first."""

    target: str
    kind: str
    words: Words
    dose: Words
    school: Words
    index: int | None
    bond: str = ""
    shift: Words = ""
    insulate: bool = False

    @property
    def on_die(self) -> bool:
        """Whether it lies between a die and the cooler."""
        return self.target in DIE_TARGETS


@dataclass(frozen=True, kw_only=True)
class Work:
    """What is done to the device. parts of the plan; clean: dust; new_fan: one is fitted; tuning in words, empty for
    none; insulation: none, coat, tape or lacquer; insulated_now: it has to be put on, not only checked; gates: reasons
    that were accepted and are read once more; old_alloy: the old interface is alloy; bath: the cold plate is plated;
    sealed: warranty runs or a seal is whole; opened: the device is open already; lifted: its cooler is off already, or
    was lifted and nothing covers the die."""

    parts: tuple[PlannedPart, ...] = ()
    clean: bool = True
    new_fan: bool = False
    tuning: Words = ""
    insulation: str = "none"
    insulated_now: bool = False
    gates: tuple[Words, ...] = ()
    old_alloy: bool = False
    bath: Bath | None = None
    sealed: bool = False
    opened: bool = False
    lifted: bool = False

    @property
    def lifts(self) -> bool:
        """Whether the cooler comes off: for anything that lies beneath it, and for nothing else."""
        return self.lifted or self.bath is not None or any(p.target != "cover" for p in self.parts)

    @property
    def opens(self) -> bool:
        """Whether the device is opened: tuning alone opens nothing."""
        return self.opened or self.lifts or self.clean or self.new_fan or bool(self.parts)

    @property
    def on_die(self) -> tuple[PlannedPart, ...]:
        """What goes on the dies. Where the plan names nothing, the list still does not leave a die bare."""
        found = tuple(p for p in self.parts if p.on_die)
        return found if found or not self.lifts else (STOPGAP,)


STOPGAP = PlannedPart(
    target="cpu_die",
    kind=Kind.PASTE_SOFT,
    words=say("faces-paste-shop"),
    dose="",
    school=say("vocabulary-thin-film"),
    index=None,
)


def measured(asks: str, value: float) -> float:
    """What was measured at a step, if such a thing can be.

    asks: a name of ASKS [text]
    value: what was read [unit of that name]
    returns: the same
    raises: CoreError when the step asks for nothing, OutOfRange
    source: the table above; limits from memory
    """
    if asks not in ASKS:
        raise CoreError(say("vocabulary-this-step-asks-for-no"), field="value")
    words, unit, low, high = ASKS[asks]
    return require_range("value", value, unit, (low, high), hint=say("vocabulary-check-unit-and-digits", words=words))


def check_step(step: BenchStep) -> BenchStep:
    """Refuse a step that cannot be.

    returns: the same
    raises: CoreError naming the field
    """
    require_one_of("stage", step.stage, BENCH)
    if isinstance(step.text, str) and not step.text.strip():
        raise CoreError(say("vocabulary-step-says-nothing"), field="text")
    unknown = [a for a in step.acts if a not in ACTS]
    if unknown:
        raise CoreError(say("vocabulary-no-act-bench", unknown=unknown[0]), field="acts")
    require_one_of("shows", step.shows, SHOWS)
    if step.asks and step.asks not in ASKS:
        raise CoreError(say("vocabulary-nothing-step-can-ask-for", asks=step.asks, names=listed(ASKS)), field="asks")
    if step.wait:
        wait_minutes(step.wait, step.wait_min or None)
    return step


def dose_words(mass_g: float | None, volume_ul: float | None) -> Words:
    """A dose as one reads it: 0.08 g (31 µL).

    mass_g: mass [g], None when not known
    volume_ul: volume [uL], None when not known
    returns: words, empty when nothing is known [text]
    """
    if mass_g is None and volume_ul is None:
        return ""
    return say("vocabulary-dose", mass_g=mass_g, volume_ul=volume_ul)


# Acts that cannot be taken back by lifting a hand: they are held for a second, not tapped.
_HELD = frozenset({"battery_off", "battery_on", "powered", "power_on_ok", "alloy_applied"})


def is_held(acts: Sequence[str], device: Device) -> bool:
    """Whether a step is held for a second rather than tapped: battery, power, alloy, first screw of a sealed device.

    source: common practice, no source
    """
    return bool(_HELD & set(acts)) or (device.sealed and "cover_screws_out" in acts)


# Looks that nobody can make up for once the cooler is on, what goes on a die, and the power: each is told by itself,
# never together with what was done before it or what comes after.
_ALONE = frozenset(
    {
        "coated_once",
        "coated",
        "insulated",
        "applied",
        "applied_gpu",
        "alloy_applied",
        "alloy_inspected",
        "alloy_scraped",
        "alloy_away",
        "film_off",
        "covered",
        "powered",
        "power_on_ok",
    }
)


def is_alone(acts: Sequence[str]) -> bool:
    """Whether a step is told by itself, and not in one go with the steps around it.

    source: common practice, no source
    """
    return bool(_ALONE & set(acts))
