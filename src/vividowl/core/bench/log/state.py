"""State of a job at the bench: what is known of its steps, places, waits, breaches and mishaps."""

from __future__ import annotations

import math
from collections.abc import Mapping
from dataclasses import dataclass, field
from datetime import datetime, timedelta

from vividowl.core.bench.fasteners import (
    PAD,
    PAD_PARTS,
    PLUG,
    PLUG_PARTS,
    SCREW,
    SCREW_GROUPS,
    Place,
    classes_of,
    letter_of,
)
from vividowl.core.bench.interlocks import ALUMINIUM_SEEN, BARE, BARE_GPU, PLUGS_OPEN, Device
from vividowl.core.bench.seen import ALUMINIUM
from vividowl.core.bench.steps.vocabulary import BenchStep
from vividowl.core.quantities.words import Words, say


@dataclass(frozen=True, kw_only=True)
class Outcome:
    """What became of a step. how: done or skipped; words: the reason, or a remark; value: what was measured, in the
    unit that the step asks for, None when nobody measured."""

    how: str
    at: datetime
    by: str
    words: str = ""
    value: float | None = None


@dataclass(frozen=True, kw_only=True)
class Wait:
    """A clock with an absolute end. ended: when it was ended, before due with a reason; None while it counts."""

    id: str
    wait: str
    step: str
    began: datetime
    due: datetime
    ended: datetime | None = None
    reason: str = ""

    def runs(self, at: datetime) -> bool:
        """Whether it still counts at a moment."""
        return self.ended is None and self.due > at

    def minutes_left(self, at: datetime) -> int:
        """How long it still counts [min], begun minutes as whole ones."""
        return math.ceil((self.due - at) / timedelta(minutes=1))


@dataclass(frozen=True, kw_only=True)
class Breach:
    """A rule that was broken, as it was told. checked: words of the check that it asked for, empty until then."""

    id: str
    rule: str
    step: str
    words: str
    at: datetime
    by: str
    checked: str = ""


@dataclass(frozen=True, kw_only=True)
class Mishappened:
    """A mishap as it was told. checked: words of the check, empty until then or when none is asked for."""

    id: str
    what: str
    step: str
    words: str
    place: str
    at: datetime
    by: str
    checked: str = ""


@dataclass(frozen=True, kw_only=True)
class FoundState:
    """What was seen of a part, last word."""

    id: str
    part: str
    seen: str
    words: str
    photo: str
    at: datetime


@dataclass(frozen=True)
class PhotoUse:
    """A photo and where it belongs. what: before, after, step, map or found."""

    photo: str
    step: str
    what: str
    at: datetime


@dataclass(frozen=True)
class PowerOn:
    """A first power-on: results by check, and whether all is fine."""

    results: Mapping[str, str]
    boot_s: float | None
    fine: bool
    at: datetime


@dataclass(frozen=True)
class Note:
    """A remark at a step."""

    words: str
    step: str
    at: datetime
    by: str


@dataclass(frozen=True, kw_only=True)
class BenchState:
    """All that follows from the events. out: places that are out; was_out: by place the number of the step in which it
    came out; found: by part; leftover: screws over in the tray; plan: key of the option that the list was made for;
    attempt: the how manieth of the visit."""

    begun: datetime | None = None
    device: Device = field(default_factory=Device)
    steps: tuple[BenchStep, ...] = ()
    outcomes: Mapping[str, Outcome] = field(default_factory=dict)
    facts: frozenset[str] = frozenset()
    places: Mapping[str, Place] = field(default_factory=dict)
    out: frozenset[str] = frozenset()
    was_out: Mapping[str, int] = field(default_factory=dict)
    explained: Mapping[str, str] = field(default_factory=dict)
    leftover: int = 0
    leftover_words: str = ""
    outline: str = ""
    plan: str = ""
    found: Mapping[str, FoundState] = field(default_factory=dict)
    waits: Mapping[str, Wait] = field(default_factory=dict)
    breaches: Mapping[str, Breach] = field(default_factory=dict)
    mishaps: Mapping[str, Mishappened] = field(default_factory=dict)
    photos: tuple[PhotoUse, ...] = ()
    power: tuple[PowerOn, ...] = ()
    notes: tuple[Note, ...] = ()
    closed: datetime | None = None
    attempt: int = 1

    @property
    def now_facts(self) -> frozenset[str]:
        """Facts with those that the map and what was seen tell."""
        told = {PLUGS_OPEN} if plugs_open(self.places, self.out) else set()
        if any((f.part, f.seen) in ALUMINIUM for f in self.found.values()):
            told.add(ALUMINIUM_SEEN)
        return self.facts | told if told else self.facts

    @property
    def opened(self) -> bool:
        """Whether the device is open, so that any list has to close it."""
        return bool({"cover_screws_out", "cover_off", "battery_off", "cooler_off"} & self.facts) or bool(self.out)

    @property
    def lifted(self) -> bool:
        """Whether the cooler is off, or was lifted and nothing covers a die."""
        return bool({"cooler_off", BARE, BARE_GPU if self.device.two_dies else BARE} & self.facts)

    @property
    def mapped(self) -> bool:
        """Whether any screw of the device is on the map: without, nothing can be counted."""
        return any(p.kind == SCREW for p in self.places.values())

    @property
    def next_step(self) -> BenchStep | None:
        """The first step that is neither done nor skipped."""
        return next((s for s in self.steps if s.id not in self.outcomes), None)


def plugs_open(places: Mapping[str, Place], out: frozenset[str]) -> bool:
    """Whether anything but the battery is unplugged.

    places: the map by id
    out: ids that are out [text]
    source: handbook/bench.md: common practice, no source
    """
    return any(p in out and places[p].kind == PLUG and places[p].holds != "battery" for p in out)


def place_words(place: Place, places: Mapping[str, Place]) -> Words:
    """A place as one names it: screw B of the cooler, no. 3; the fan plug; memory pad, 1.5 mm over 1.3 mm.

    place: the screw, plug or pad
    places: the map by id
    """
    if place.kind == PLUG:
        other = place.holds == "other" and not place.note
        return say("state-plug", name=place.note or PLUG_PARTS[place.holds], other=other)
    if place.kind == PAD:
        holds, thickness, gap = PAD_PARTS[place.holds], place.thickness_mm, place.gap_mm
        return say("state-pad", holds=holds, thickness_mm=thickness, gap_mm=gap, note=place.note or None)
    letter = letter_of(place, classes_of(list(places.values())))
    return say("state-screw", letter=letter, holds=SCREW_GROUPS[place.holds], number=place.number)
