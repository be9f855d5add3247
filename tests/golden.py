"""Logs of the bench that were written once and have to read the same for ever, and how a state is compared with theirs.

`tests/golden/bench_events_1.json` was written by version 0.6 of the program, whose events said nothing of what the
rules made of them; `bench_events_2.json` by the one that introduced version 2. Neither is ever written again.
"""

import json
from datetime import datetime
from pathlib import Path

from vividowl.core.bench.log.events import BenchEvent
from vividowl.words import told

FOLDER = Path(__file__).parent / "golden"
LOGS = {
    f"{version}: {row['name']}": (version, row)
    for version in (1, 2)
    for row in json.loads((FOLDER / f"bench_events_{version}.json").read_text(encoding="utf-8"))
}
# Of a step that the rules put in, or made anew when the map changed, its words may get better with the years; what it
# is may not.
_MADE_ANEW = ("again_", "battery_off")
_WORDS = ("text", "why", "tool", "material", "caution")

# What a place may say since: nobody said it then, and nothing is made up for it now.
_LATER = ("gap_mm", "thickness_mm")
# What a device's traits say since: no older list knew what kind it is of, and nothing is made up for it now.
_LATER_TRAITS = ("kind",)


def events_of(version, row):
    """The events of a log as they are stored."""
    return [
        BenchEvent(
            id=e["id"],
            kind=e["kind"],
            data=e["data"],
            at=datetime.fromisoformat(e["at"]),
            by=e["by"],
            made=e.get("made", {}),
            version=version,
        )
        for e in row["events"]
    ]


def plain(value):
    """A state as JSON has it."""
    if isinstance(value, dict):
        return {str(k): plain(v) for k, v in value.items()}
    if isinstance(value, (set, frozenset)):
        return sorted(value)
    if isinstance(value, (list, tuple)):
        return [plain(v) for v in value]
    return value.isoformat() if isinstance(value, datetime) else value


def seen(state):
    """What is compared: a state as JSON, without words that the rules wrote."""
    found = state if isinstance(state, dict) else plain(told(state))
    steps = [
        {k: v for k, v in step.items() if not (step["id"].startswith(_MADE_ANEW) and k in _WORDS)}
        for step in found["steps"]
    ]
    places = {
        name: {k: v for k, v in place.items() if not (k in _LATER and v is None)}
        for name, place in found["places"].items()
    }
    device = {k: v for k, v in found["device"].items() if not (k in _LATER_TRAITS and v == "")}
    return {**found, "steps": steps, "places": places, "device": device}
