"""Model sheets: there and back, and what is refused when it comes from outside."""

import json

import pytest
from tests.bench_jobs import PLACES, Hand
from tests.said import refuses

from vividowl.core.bench.model_sheet import ModelSheet, own_steps, sheet_data, sheet_from
from vividowl.core.bench.steps.vocabulary import BenchStep
from vividowl.core.plan.spots import GapSpot
from vividowl.core.quantities.errors import CoreError, OutOfRange

SHEET = ModelSheet(
    maker="Ondervale",
    model="Marrow 15",
    kind="laptop",
    places=tuple(PLACES),
    steps=(BenchStep(id="own1", stage="open", text="Heat the strip", own=True),),
    anchors=("power_off",),
    order=("power_off", "own1"),
    cpu_die_mm=(15.0, 13.0),
    gpu_die_mm=None,
    gaps=(
        GapSpot(
            target="memory",
            how="imprint",
            reading_mm=0.8,
            tolerance_mm=0.05,
            width_mm=12.0,
            length_mm=14.0,
            count=4,
            together=True,
        ),
    ),
    torque_notes="snug",
    notes="clip",
)


def test_a_sheet_goes_through_json_and_back():
    assert sheet_from(json.loads(json.dumps(sheet_data(SHEET)))) == SHEET


def test_own_steps_are_told_with_what_they_follow():
    hand = Hand()
    hand.do("step_added", step={"id": "own1", "stage": "open", "text": "Heat the strip"}, after="power_off")
    steps, anchors = own_steps(hand.state)
    assert [s.text for s in steps] == ["Heat the strip"]
    assert anchors == ("power_off",)


@pytest.mark.parametrize(
    ("change", "error", "text"),
    [
        ({"format": "something"}, CoreError, "no model sheet of version 1"),
        ({"version": 2}, CoreError, "no model sheet of version 1"),
        ({"colour": "red"}, CoreError, "knows no “colour”"),
        ({"model": " "}, CoreError, "has no name"),
        ({"model": 7}, CoreError, "“model” is no text"),
        ({"kind": "toaster"}, CoreError, "“toaster” isn’t a choice"),
        ({"places": [{"id": "a"}]}, CoreError, "A place lacks “kind”"),
        ({"places": "many"}, CoreError, "“places” is no list"),
        ({"places": 2 * [{"id": "a", "kind": "screw", "x": 0, "y": 0, "holds": "cover"}]}, CoreError, "same id"),
        ({"steps": [{"id": "a", "stage": "lunch", "text": "Eat"}]}, CoreError, "“lunch” isn’t a choice"),
        ({"cpu_die_mm": [15.0]}, CoreError, "no pair of width and length"),
        ({"cpu_die_mm": [15.0, 900.0]}, OutOfRange, "allowed are 1 to 60 mm"),
        ({"gaps": [{"target": "memory"}]}, CoreError, "A gap lacks “how”"),
        (
            {
                "gaps": [
                    {
                        "target": "memory",
                        "how": "imprint",
                        "reading_mm": 1,
                        "tolerance_mm": 0,
                        "width_mm": 9,
                        "length_mm": 9,
                        "depth": 3,
                    }
                ]
            },
            CoreError,
            "A gap knows no “depth”",
        ),
        (
            {
                "gaps": [
                    {
                        "target": "memory",
                        "how": "imprint",
                        "reading_mm": "thick",
                        "tolerance_mm": 0,
                        "width_mm": 9,
                        "length_mm": 9,
                    }
                ]
            },
            CoreError,
            "“reading_mm” of a gap is no number",
        ),
        ({"order": [7]}, CoreError, "“order” is no list of step ids"),
        ({"notes": "a\0b"}, CoreError, "“notes” is no text"),
    ],
)
def test_what_cannot_be_is_refused_by_name(change, error, text):
    with refuses(error, match=text):
        sheet_from({**sheet_data(SHEET), **change})
