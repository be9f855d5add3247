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
        days_ago=410,
        intake={
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
        recipe=LAPTOP_RECIPE,
        before=Trial(device=replace(CHALK, interface=0.6), room_c=22.4, loud_db=52.6),
        agreed={},
        cleaned=("fins", "fan", "contact", "old_interface"),
        items=(
            {
                "target": "cpu_die",
                "kind": Kind.ALLOY,
                "product": "Quicksheen",
                "lot": "QS-11",
                "amount": 0.06,
                "amount_unit": "g",
            },
        ),
        fit_note="Nickel-plated cold plate. Parts around the die coated twice.",
        fit_done=True,
        after=Trial(
            device=replace(CURED, interface=0.1), room_c=23.1, style=Style(delimiter=";", decimal=","), loud_db=52.6
        ),
        price_cents=11800,
        note="Yearly look at the alloy agreed.",
        handed_over=True,
        found={
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
        days_ago=61,
        intake={
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
        recipe=LAPTOP_RECIPE,
        before=Trial(
            device=PINNED, room_c=23.6, recipe={"result_duration_s": 1090.0, "result_score": 9420.0}, repeats=2
        ),
        agreed={},
        cleaned=("fins", "contact", "old_interface"),
        items=(),
        fit_note="Burnt in for two hours before the After run.",
        fit_done=True,
        after=Trial(
            device=replace(PINNED, interface=0.3),
            room_c=24.9,
            style=Style(delimiter=";", decimal=","),
            recipe={"result_duration_s": 978.0, "result_score": 9735.0},
            repeats=2,
        ),
        price_cents=7400,
        note="It still runs at its limit by design; it now holds far more watts there.",
        handed_over=True,
        found={"cpu_die_mm": (14.7, 15.0), "old_interface": "pumped_out", "dust": "light", "place": "dock"},
        goal="faster",
        choice="repaste:Slow Tide 45",
        cut=(
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
        bench=BenchTale(
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
        days_ago=34,
        intake={
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
        recipe=LAPTOP_RECIPE,
        before=Trial(device=FRESH, room_c=23.0, loud_db=48.0),
        agreed={},
        cleaned=("fins", "contact", "old_interface"),
        items=(paste(),),
        fit_note="",
        fit_done=True,
        after=Trial(device=FRESH, room_c=25.2, style=Style(stamp="iso"), loud_db=48.0),
        price_cents=4500,
        note="Nothing was gained and nothing was needed; half price.",
        handed_over=True,
        found={"cpu_die_mm": (12.0, 10.0), "dust": "none"},
        choice="repaste:Grey Heron 11",
        bench=BenchTale(pace=0.9),
    ),
    Story(
        days_ago=6,
        intake={
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
        recipe=CONSOLE_RECIPE,
        before=Trial(
            device=CONSOLE,
            room_c=24.0,
            style=Style(delimiter="\t", stamp="elapsed", graphics=True, repeat_header=True),
            load_s=1500,
            loud_db=53.9,
            background_db=33.0,
            spots=(("exhaust", None, "middle of the rear vent"),),
            blades=31,
        ),
        agreed={},
        cleaned=("fins", "fan", "vents", "contact", "old_interface"),
        items=(paste("gpu_die"),),
        fit_note="",
        fit_done=True,
        after=Trial(
            device=CONSOLE_CURED,
            room_c=24.6,
            style=Style(delimiter="\t", stamp="elapsed", graphics=True),
            load_s=1500,
            loud_db=53.9,
            background_db=33.0,
            spots=(("exhaust", None, "middle of the rear vent"),),
            blades=31,
        ),
        price_cents=8900,
    ),
    Story(
        days_ago=3,
        intake={
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
        recipe=LAPTOP_RECIPE,
        before=Trial(
            device=CHALK,
            room_c=24.2,
            style=Style(gap=True, drop_out=True),
            loud_db=53.1,
            spots=(("skin", 44.5, "above the keyboard"),),
            blades=47,
        ),
        agreed={},
        cleaned=("fins", "fan", "contact", "old_interface"),
        items=(
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
        fit_note="Felt of dust behind the fan; chalk on the die.",
        fit_done=True,
        after=Trial(
            device=CURED,
            room_c=25.6,
            style=Style(),
            loud_db=53.1,
            spots=(("skin", 38.0, "above the keyboard"),),
            blades=47,
        ),
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
