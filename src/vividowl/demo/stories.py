"""The stories that the demo shop plays."""

from __future__ import annotations

from dataclasses import replace

from vividowl.core.materials.kinds import Kind
from vividowl.demo.attempts import FAILED
from vividowl.demo.bench import BenchTale
from vividowl.demo.devices import CHALK, CONSOLE, CONSOLE_CURED, CURED, FRESH, PINNED
from vividowl.demo.later_stories import MORE_STORIES
from vividowl.demo.logs import Style
from vividowl.demo.many_runs import MANY_RUNS, NEW_MACHINE, TWICE_SEEN
from vividowl.demo.story import CONSOLE_RECIPE, KIND_LAPTOP, LAPTOP_RECIPE, Story, Trial, paste

_FIRST: tuple[Story, ...] = (
    Story(
        410,
        {
            **KIND_LAPTOP,
            "customer_name": "Noor Valkenberg",
            "customer_contact": "noor@mail.example",
            "maker": "Ondervale",
            "model": "Marrow 17",
            "serial": TWICE_SEEN["serial"],
            "limit_c": 95.0,
            "symptom": "Loud within a minute",
            "age_months": 30,
            "months_since_service": 30,
            "surroundings": "pets",
            "place": "desk",
            "lives": "two cats",
        },
        LAPTOP_RECIPE,
        Trial(replace(CHALK, interface=0.6), 22.4, loud_db=52.6),
        {},
        ("fins", "fan", "contact", "old_interface"),
        (
            {
                "target": "cpu_die",
                "kind": Kind.ALLOY,
                "product": "Quicksheen",
                "lot": "QS-11",
                "amount": 0.06,
                "amount_unit": "g",
            },
        ),
        "Nickel-plated cold plate. Parts around the die coated twice.",
        True,
        Trial(replace(CURED, interface=0.1), 23.1, Style(delimiter=";", decimal=","), loud_db=52.6),
        11800,
        "Yearly look at the alloy agreed.",
        True,
        {
            "cold_plate": "nickel",
            "aluminium_near": "no",
            "parts_exposed": "yes",
            "insulation": "coat",
            "cpu_die_mm": (15.0, 13.0),
            "old_interface": "dry",
            "dust": "felt",
        },
        choice="repaste:Quicksheen",
        bench=BenchTale(pace=1.1),
    ),
    Story(
        61,
        {
            **KIND_LAPTOP,
            "customer_name": "Rafael Strömgaard",
            "customer_contact": "555 0166",
            "maker": "Ondervale",
            "model": "Gannet 17",
            "symptom": "Always at 95 °C, renders take forever",
            "age_months": 37,
            "months_since_service": 37,
            "surroundings": "normal",
            "place": "desk",
            "lives": "docked",
            "power_limit_cpu_w": 85.0,
            "limit_c": 95.0,
        },
        LAPTOP_RECIPE,
        Trial(PINNED, 23.6, recipe={"result_duration_s": 1161.0, "result_score": 10748.0}, repeats=2),
        {},
        ("fins", "contact", "old_interface"),
        (),
        "Burnt in for two hours before the After run.",
        True,
        Trial(
            replace(PINNED, interface=0.3),
            24.9,
            Style(delimiter=";", decimal=","),
            recipe={"result_duration_s": 1042.0, "result_score": 11116.0},
            repeats=2,
        ),
        7400,
        "It still runs at its limit by design; it now holds far more watts there.",
        True,
        {"cpu_die_mm": (14.7, 15.0), "old_interface": "pumped_out", "dust": "light", "place": "dock"},
        "faster",
        "repaste:Slow Tide 45",
        (
            "Slow Tide 45",
            (
                {
                    "label": "Processor die",
                    "target": "cpu_die",
                    "width_mm": 15.5,
                    "length_mm": 15.5,
                    "count": 1,
                    "together": False,
                },
            ),
        ),
        BenchTale(
            told={
                "battery_off": (
                    (
                        "step_done",
                        {
                            "step": "cooler_off",
                            "breach": "The plug sits under the cooler's edge; saw it when the cooler was off",
                        },
                    ),
                )
            }
        ),
    ),
    Story(
        34,
        {
            **KIND_LAPTOP,
            "customer_name": "Pia Lindqvarn",
            "customer_contact": "555 0148",
            "maker": "Tessalay",
            "model": "Quill 14",
            "symptom": "Asked for a repaste because a friend said so",
            "age_months": 7,
            "surroundings": "normal",
            "place": "desk",
        },
        LAPTOP_RECIPE,
        Trial(FRESH, 23.0, loud_db=48.0),
        {},
        ("fins", "contact", "old_interface"),
        (paste(),),
        "",
        True,
        Trial(FRESH, 25.2, Style(stamp="iso"), loud_db=48.0),
        4500,
        "Nothing was gained and nothing was needed; half price.",
        True,
        {"cpu_die_mm": (12.0, 10.0), "dust": "none"},
        choice="repaste:Grey Heron 11",
        bench=BenchTale(pace=0.9),
    ),
    Story(
        6,
        {
            "kind": "console",
            "customer_name": "Dimas Okonjo-Reyes",
            "customer_contact": "dimas@post.example",
            "maker": "Orrelund",
            "model": "Basalt Home 2",
            "symptom": "Roars in the harbour level",
            "age_months": 38,
            "months_since_service": 38,
            "surroundings": "dusty",
            "lives": "low shelf, carpet",
            "backup_done": "yes",
            "warranty": "over",
            "seal": "broken",
        },
        CONSOLE_RECIPE,
        Trial(
            CONSOLE,
            24.0,
            Style(delimiter="\t", stamp="elapsed", graphics=True, repeat_header=True),
            1500,
            53.9,
            33.0,
            (("exhaust", None, "middle of the rear vent"),),
            blades=31,
        ),
        {},
        ("fins", "fan", "vents", "contact", "old_interface"),
        (paste("gpu_die"),),
        "",
        True,
        Trial(
            CONSOLE_CURED,
            24.6,
            Style(delimiter="\t", stamp="elapsed", graphics=True),
            1500,
            53.9,
            33.0,
            (("exhaust", None, "middle of the rear vent"),),
            blades=31,
        ),
        8900,
    ),
    Story(
        3,
        {
            **KIND_LAPTOP,
            "customer_name": "Wen Abernathy-Sato",
            "customer_contact": "555 0112",
            "maker": "Ondervale",
            "model": "Marrow 15",
            "symptom": "Slow after a minute of play, hot at the keyboard, fan never stops",
            "age_months": 41,
            "months_since_service": 41,
            "surroundings": "dusty",
            "place": "lap",
            "lives": "living room, carpet",
            "factory_interface": "paste",
            "power_limit_cpu_w": 60.0,
            "limit_c": 95.0,
        },
        LAPTOP_RECIPE,
        Trial(
            CHALK,
            24.2,
            Style(gap=True, drop_out=True),
            loud_db=53.1,
            spots=(("skin", 44.5, "above the keyboard"),),
            blades=47,
        ),
        {},
        ("fins", "fan", "contact", "old_interface"),
        (
            paste(),
            {
                "target": "memory",
                "kind": Kind.PUTTY,
                "product": "Ridgeback putty",
                "lot": "R-209",
                "amount": 4.0,
                "amount_unit": "g",
            },
        ),
        "Felt of dust behind the fan; chalk on the die.",
        True,
        Trial(CURED, 25.6, Style(), loud_db=53.1, spots=(("skin", 38.0, "above the keyboard"),), blades=47),
        found={"cpu_die_mm": (15.0, 13.0), "dust": "felt", "place": "lap"},
        choice="repaste:Grey Heron 11",
        bench=BenchTale(
            pictures=True,
            weighed_g=0.031,
            told={
                "look": (
                    ("found", {"part": "fins", "seen": "felt"}),
                    ("found", {"part": "contact", "seen": "chalk"}),
                    ("found", {"part": "pads", "seen": "sound"}),
                    ("found", {"part": "battery", "seen": "flat"}),
                ),
                "cooler_on": (
                    (
                        "mishap",
                        {
                            "what": "too_much_paste",
                            "words": "Rim taken off with a card",
                            "step": "apply_cpu_die_paste_stiff_0",
                        },
                    ),
                ),
            },
        ),
    ),
)


def stories() -> list[Story]:
    """All of them, in the order of their jobs."""
    return [*_FIRST, *MORE_STORIES, *MANY_RUNS, *FAILED, *NEW_MACHINE]
