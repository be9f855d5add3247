"""A laptop on the bench, for tests of the log: its map, its work, and a hand that does the steps."""

import uuid
from datetime import UTC, datetime, timedelta

from vividowl.core.bench.fasteners import Place
from vividowl.core.bench.first_power import CHECKS
from vividowl.core.bench.log.events import BenchCommand
from vividowl.core.bench.log.log import BenchLog, append
from vividowl.core.bench.steps.make_list import device_of, make_steps
from vividowl.core.bench.steps.vocabulary import PlannedPart, Work
from vividowl.words import told

START = datetime(2026, 3, 2, 9, 0, tzinfo=UTC)
COVER = [
    Place(id=f"c{i}", kind="screw", x=(i % 3) / 2, y=i // 3, holds="cover", length_mm=5.0, drive="cross", head="flat")
    for i in range(6)
]
COOLER = [
    Place(
        id=f"k{i}",
        kind="screw",
        x=0.3 + 0.3 * (i % 2),
        y=0.3 + 0.3 * (i // 2),
        holds="cooler",
        length_mm=3.0,
        drive="cross",
        head="spring",
        number=i + 1,
    )
    for i in range(4)
]
PLUGS = [
    Place(id="bat", kind="plug", x=0.5, y=0.9, holds="battery"),
    Place(id="fan", kind="plug", x=0.1, y=0.5, holds="fan"),
    Place(id="ant", kind="plug", x=0.9, y=0.1, holds="antenna", note="white antenna"),
]
PLACES = [*COVER, *COOLER, *PLUGS]
PASTE = Work(
    parts=(
        PlannedPart(
            target="cpu_die", kind="paste_stiff", words="Grey Heron 11", dose="0.08 g", school="a cross", index=0
        ),
    )
)
ALLOY = Work(
    parts=(PlannedPart(target="cpu_die", kind="gallium_alloy", words="Quicksheen", dose="0.06 g", school="", index=0),),
    insulation="coat",
    insulated_now=True,
)
SHEET = Work(
    parts=(
        PlannedPart(
            target="cpu_die", kind="phase_change_sheet", words="Slow Tide 45", dose="1 piece", school="", index=0
        ),
    )
)
FINE = dict.fromkeys(CHECKS, "fine")


class Hand:
    """Does things to a log, twenty minutes apart, so that no wait is in the way."""

    def __init__(self, work=PASTE, places=PLACES, kind="laptop", pause_min=20.0):
        self.log, self.at, self.pause_min = BenchLog(), START, pause_min
        self.all = []
        steps = make_steps(kind, work, places=places, school_percent=50)
        self.do(
            "begun",
            steps=[told(s) for s in steps],
            places=[told(p) for p in places],
            device=told(device_of(kind, work)),
        )

    @property
    def state(self):
        return self.log.state

    def do(self, event_kind, **data):
        self.at += timedelta(minutes=self.pause_min)
        command = BenchCommand(id=str(uuid.uuid4()), kind=event_kind, data=data, at=self.at, by="Imke")
        self.log, event = append(self.log, command)
        self.all.append(event)
        return event

    def step(self, name, **more):
        if name == "power_on":
            return self.do("power_on", results=FINE, **more)
        return self.do("step_done", step=name, **more)

    def until(self, name):
        """All steps before the one named."""
        for step in self.state.steps:
            if step.id == name:
                return self
            if step.id not in self.state.outcomes:
                self.step(step.id)
        assert name == "end", f"there is no step {name}"
        return self
