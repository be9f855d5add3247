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
COVER = [Place(f"c{i}", "screw", (i % 3) / 2, i // 3, "cover", 5.0, "cross", "flat") for i in range(6)]
COOLER = [
    Place(f"k{i}", "screw", 0.3 + 0.3 * (i % 2), 0.3 + 0.3 * (i // 2), "cooler", 3.0, "cross", "spring", i + 1)
    for i in range(4)
]
PLUGS = [
    Place("bat", "plug", 0.5, 0.9, "battery"),
    Place("fan", "plug", 0.1, 0.5, "fan"),
    Place("ant", "plug", 0.9, 0.1, "antenna", note="white antenna"),
]
PLACES = [*COVER, *COOLER, *PLUGS]
PASTE = Work((PlannedPart("cpu_die", "paste_stiff", "Grey Heron 11", "0.08 g", "a cross", 0),))
ALLOY = Work(
    (PlannedPart("cpu_die", "gallium_alloy", "Quicksheen", "0.06 g", "", 0),), insulation="coat", insulated_now=True
)
SHEET = Work((PlannedPart("cpu_die", "phase_change_sheet", "Slow Tide 45", "1 piece", "", 0),))
FINE = dict.fromkeys(CHECKS, "fine")


class Hand:
    """Does things to a log, twenty minutes apart, so that no wait is in the way."""

    def __init__(self, work=PASTE, places=PLACES, kind="laptop", pause_min=20.0):
        self.log, self.at, self.pause_min = BenchLog(), START, pause_min
        self.all = []
        steps = make_steps(kind, work, places, 50)
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
        command = BenchCommand(str(uuid.uuid4()), event_kind, data, self.at, "Imke")
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
