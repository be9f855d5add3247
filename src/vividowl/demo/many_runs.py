"""Stories of many visits and of many runs."""

from __future__ import annotations

from dataclasses import replace
from typing import Any

from vividowl.core.materials.kinds import Kind
from vividowl.core.simulate.device import Device
from vividowl.demo.devices import CHALK, CURED
from vividowl.demo.logs import Style
from vividowl.demo.story import KIND_LAPTOP, LAPTOP_RECIPE, FurtherRun, Story, Trial, paste

# A laptop that came first some fourteen months ago; its alloy loses its edge.
TWICE_SEEN: dict[str, Any] = {
    **KIND_LAPTOP,
    "customer_name": "Noor Valkenberg",
    "customer_contact": "noor@mail.example",
    "maker": "Ondervale",
    "model": "Marrow 17",
    "serial": "OV17-22914",
    "surroundings": "pets",
    "place": "desk",
    "lives": "two cats",
    "limit_c": 95.0,
    "lidded": "no",
}
SHORT_S = 480.0  # of load, enough for a comparison at equal times


def _at_full(device: Device) -> Device:
    """The same with its fan held at full speed."""
    return replace(device, fan_low_c=1.0, fan_high_c=2.0)


def _material(name: str, kind: Kind, product: str, interface: float) -> tuple[FurtherRun, ...]:
    device = replace(CURED, interface=interface)
    lies = {"target": "cpu_die", "kind": kind, "product": product, "lot": ""}
    return (
        FurtherRun(f"{name}, automatic", Trial(device, 23.6, load_s=SHORT_S, repeats=1), lies),
        FurtherRun(f"{name}, fan full", Trial(_at_full(device), 23.9, load_s=SHORT_S), {}, {"fan_setting": "full"}),
    )


MANY_RUNS: tuple[Story, ...] = (
    Story(
        205,
        {**TWICE_SEEN, "symptom": "A look at the alloy, as agreed", "age_months": 37, "months_since_service": 7},
        LAPTOP_RECIPE,
        Trial(replace(CURED, interface=0.30), 22.8, loud_db=52.6),
    ),
    Story(
        4,
        {**TWICE_SEEN, "symptom": "Loud again when exporting video", "age_months": 44, "months_since_service": 13},
        LAPTOP_RECIPE,
        Trial(replace(CURED, interface=0.55), 23.3, loud_db=52.6),
    ),
    Story(
        1,
        {
            **KIND_LAPTOP,
            "customer_name": "Mireille Tanbrandt",
            "customer_contact": "mireille@mail.example",
            "maker": "Ondervale",
            "model": "Gannet 15",
            "serial": "OG15-0417",
            "symptom": "Which interface suits it best? Shop's own trial",
            "age_months": 20,
            "surroundings": "normal",
            "limit_c": 95.0,
        },
        {**LAPTOP_RECIPE, "duration_min": 8.0},
        Trial(replace(CHALK, interface=0.5, sink=0.46), 23.2, load_s=SHORT_S),
        cleaned=("contact", "old_interface"),
        items=(paste(),),
        fit_done=True,
        after=Trial(CURED, 23.4, Style(delimiter=";", decimal=","), load_s=SHORT_S, repeats=1),
        runs=(
            *_material("Soft paste", Kind.PASTE_SOFT, "Linden Soft", 0.21),
            *_material("Sheet", Kind.SHEET, "Thaw 40", 0.125),
            *_material("Alloy", Kind.ALLOY, "Quicksheen", 0.05),
        ),
    ),
)
