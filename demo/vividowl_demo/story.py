"""What a story of the demo shop is made of, and the stories that stand in stories.toml."""

from __future__ import annotations

from dataclasses import dataclass, field
from typing import Any

from pydantic import TypeAdapter

from vividowl.core.job.device import StateCause
from vividowl.core.simulate.device import Device
from vividowl_demo.data import read
from vividowl_demo.logs import Style


@dataclass(frozen=True, kw_only=True)
class SpotReading:
    """A probe at a place. reading_c: None for what the simulated exhaust shows."""

    spot: str
    place: str
    reading_c: float | None = None


@dataclass(frozen=True, kw_only=True)
class BenchTale:
    """How far a list was worked. until: id of the step that is next, empty for the whole list and its closing; told:
    events that happen before a step, by its id; weighed_g: dose on the die, None when nobody weighs; minutes by task;
    began_min: minutes ago, for one that is going on."""

    until: str = ""
    told: dict[str, tuple[tuple[str, dict[str, Any]], ...]] = field(default_factory=dict)
    pace: float = 1.0
    began_min: float | None = None
    pictures: bool = False
    weighed_g: float | None = None


@dataclass(frozen=True, kw_only=True)
class Trial:
    """A run of the demo: device, room, recipe, readings by hand. loud_db: level with the fan at full speed [dB];
    what the meter shows and the phone records follows from the simulated fan speed by the fan laws. blades: of the
    fan, for a recording; whine_hz: of its bearing [Hz]; repeats: further logs of the same recipe;
    frame_ms: usual frame time of a log of frames and that of its slow one per cent [ms], or None."""

    device: Device
    room_c: float
    style: Style = field(default_factory=Style)
    load_s: float = 900.0
    loud_db: float | None = None
    background_db: float | None = 31.0
    spots: tuple[SpotReading, ...] = ()
    recipe: dict[str, Any] = field(default_factory=dict)
    pass_s: float = 0.0
    tail_s: float = 60.0
    blades: int | None = None
    whine_hz: float | None = None
    repeats: int = 0
    frame_ms: tuple[float, float] | None = None


@dataclass(frozen=True, kw_only=True)
class FurtherRun:
    """A further run: its name, its conditions, and the state that begins with it; no cause: the state before.
    days: after the visit began."""

    name: str
    trial: Trial
    cause: StateCause | None = None
    changed: dict[str, Any] = field(default_factory=dict)
    recipe: dict[str, Any] = field(default_factory=dict)
    days: float = 0.0


@dataclass(frozen=True, kw_only=True)
class Again:
    """A second attempt: what was found of the first, what was fitted then, and what came of it."""

    checks: dict[str, str]
    print_score: int
    words: str
    items: tuple[dict[str, Any], ...]
    after: Trial


@dataclass(frozen=True, kw_only=True)
class Story:
    """A job of the demo. found, goal and choice make its plan; cut names a product and the pieces cut from it;
    bench: how its step list was worked; runs: further ones, in states of their own; again: a second attempt."""

    days_ago: int
    intake: dict[str, Any]
    recipe: dict[str, Any]
    before: Trial | None = None
    agreed: dict[str, str] = field(default_factory=dict)
    cleaned: tuple[str, ...] = ()
    items: tuple[dict[str, Any], ...] = ()
    fit_note: str = ""
    fit_done: bool = False
    after: Trial | None = None
    price_cents: int | None = None
    note: str = ""
    handed_over: bool = False
    found: dict[str, Any] = field(default_factory=dict)
    goal: str = "cooler"
    choice: str = ""
    cut: tuple[str, tuple[dict[str, Any], ...]] | None = None
    bench: BenchTale | None = None
    runs: tuple[FurtherRun, ...] = ()
    again: Again | None = None


def stories() -> tuple[Story, ...]:
    """All of them, in the order of their jobs."""
    return TypeAdapter(tuple[Story, ...]).validate_python(read("stories")["story"])
