"""The stories that the demo shop plays."""

from __future__ import annotations

from dataclasses import dataclass, field, replace
from typing import Any

from vividowl.core.materials.kinds import Kind
from vividowl.core.simulate.device import Device
from vividowl.demo.bench import BenchTale
from vividowl.demo.logs import Style


@dataclass(frozen=True)
class Trial:
    """A run of the demo: device, room, recipe, readings by hand. loud_db: level with the fan at full speed [dB];
    what the meter shows and the phone records follows from the simulated fan speed by the fan laws. blades: of the
    fan, for a recording; whine_hz: of its bearing [Hz]; repeats: further logs of the same recipe."""

    device: Device
    room_c: float
    style: Style = field(default_factory=Style)
    load_s: float = 900.0
    loud_db: float | None = None
    background_db: float | None = 31.0
    spots: tuple[tuple[str, float | None, str], ...] = ()
    recipe: dict[str, Any] = field(default_factory=dict)
    pass_s: float = 0.0
    tail_s: float = 60.0
    blades: int | None = None
    whine_hz: float | None = None
    repeats: int = 0


@dataclass(frozen=True)
class Story:
    """A job of the demo. found, goal and choice make its plan; cut names a product and the pieces cut from it;
    bench: how its step list was worked."""

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


_LAPTOP_RECIPE = {
    "load_recipe": "Even load on all cores",
    "duration_min": 15.0,
    "fan_setting": "automatic",
    "power_profile": "performance",
    "placement": "stand, lid open",
    "start": "cold",
}
_CONSOLE_RECIPE = {
    "load_recipe": "Harbour scene, same save",
    "duration_min": 25.0,
    "fan_setting": "automatic",
    "power_profile": "standard",
    "placement": "upright on the bench",
    "start": "cold",
}


def _paste(target: str = "cpu_die") -> dict[str, Any]:
    return {
        "target": target,
        "kind": Kind.PASTE_STIFF,
        "product": "Grey Heron 11",
        "lot": "GH-2607",
        "amount": 0.08,
        "amount_unit": "g",
    }


def stories() -> list[Story]:
    chalk = Device(interface=0.75, sink=0.72, chassis=0.12, fan_full_rpm=4200, boost_power=70, sustained_power=58)
    cured = replace(chalk, interface=0.13, sink=0.46)
    console = Device(
        interface=0.3,
        sink=0.38,
        chassis=0.06,
        boost_power=112,
        sustained_power=105,
        boost_s=10,
        sink_capacity=220,
        fan_idle_rpm=1100,
        fan_full_rpm=3000,
        fan_low_c=50,
        fan_high_c=99,
        limit_c=96,
        clock_full_mhz=2200,
    )
    console_cured = replace(console, interface=0.12)
    slim = Device(
        interface=0.5,
        sink=3.4,
        chassis=1.9,
        fanless=True,
        boost_power=20,
        sustained_power=15,
        boost_s=25,
        sink_capacity=55,
        chassis_capacity=420,
        idle_power=2,
        limit_c=95,
        clock_full_mhz=3200,
    )
    pinned = Device(
        interface=0.62, sink=0.55, chassis=0.1, fan_full_rpm=4600, boost_power=95, sustained_power=85, boost_s=20
    )
    slow = Device(
        interface=0.4,
        sink=1.3,
        chassis=1.5,
        fanless=True,
        boost_power=16,
        sustained_power=15.5,
        boost_s=12,
        sink_capacity=45,
        chassis_capacity=190,
        idle_power=2,
        clock_full_mhz=3000,
    )
    fresh = Device(interface=0.2, sink=0.5, chassis=0.12, sustained_power=38, boost_power=48)
    handheld = Device(interface=0.9, sink=1.4, chassis=0.4, sustained_power=18, boost_power=22, sink_capacity=40)
    kind_laptop: dict[str, Any] = {"kind": "laptop", "backup_done": "yes", "warranty": "over", "seal": "none"}
    return [
        Story(
            410,
            {
                **kind_laptop,
                "customer_name": "Noor Valkenberg",
                "customer_contact": "noor@mail.example",
                "maker": "Ondervale",
                "model": "Marrow 17",
                "symptom": "Loud within a minute",
                "age_months": 30,
                "months_since_service": 30,
                "surroundings": "pets",
                "place": "desk",
                "lives": "two cats",
            },
            _LAPTOP_RECIPE,
            Trial(replace(chalk, interface=0.6), 22.4, loud_db=52.6),
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
            Trial(replace(cured, interface=0.1), 23.1, Style(delimiter=";", decimal=","), loud_db=52.6),
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
                **kind_laptop,
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
            _LAPTOP_RECIPE,
            Trial(pinned, 23.6, recipe={"result_duration_s": 1161.0, "result_score": 10748.0}, repeats=2),
            {},
            ("fins", "contact", "old_interface"),
            (),
            "Burnt in for two hours before the After run.",
            True,
            Trial(
                replace(pinned, interface=0.3),
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
                **kind_laptop,
                "customer_name": "Pia Lindqvarn",
                "customer_contact": "555 0148",
                "maker": "Tessalay",
                "model": "Quill 14",
                "symptom": "Asked for a repaste because a friend said so",
                "age_months": 7,
                "surroundings": "normal",
                "place": "desk",
            },
            _LAPTOP_RECIPE,
            Trial(fresh, 23.0, loud_db=48.0),
            {},
            ("fins", "contact", "old_interface"),
            (_paste(),),
            "",
            True,
            Trial(fresh, 25.2, Style(stamp="iso"), loud_db=48.0),
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
                "maker": "Brannock",
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
            _CONSOLE_RECIPE,
            Trial(
                console,
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
            (_paste("gpu_die"),),
            "",
            True,
            Trial(
                console_cured,
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
                **kind_laptop,
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
            _LAPTOP_RECIPE,
            Trial(
                chalk,
                24.2,
                Style(gap=True, drop_out=True),
                loud_db=53.1,
                spots=(("skin", 44.5, "above the keyboard"),),
                blades=47,
            ),
            {},
            ("fins", "fan", "contact", "old_interface"),
            (
                _paste(),
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
            Trial(cured, 25.6, Style(), loud_db=53.1, spots=(("skin", 38.0, "above the keyboard"),), blades=47),
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
        Story(
            2,
            {
                **kind_laptop,
                "customer_name": "Oluwaseun Hartig",
                "customer_contact": "hartig@mail.example",
                "maker": "Ondervale",
                "model": "Slate Thin 13",
                "symptom": "Crawls after ten minutes on the dock",
                "age_months": 26,
                "surroundings": "normal",
                "lives": "lid closed",
                "place": "dock",
                "fan": "no",
                "backup_done": "no",
                "power_limit_cpu_w": 15.0,
                "limit_c": 95.0,
            },
            {**_LAPTOP_RECIPE, "fan_setting": "no fan", "placement": "dock, lid closed", "duration_min": 20.0},
            Trial(slim, 21.0, Style(delimiter=";", decimal=",", extra_sensors=2), 1200),
            {"backup": "Owner backs up tonight, opening waits for that"},
            found={
                "cpu_die_mm": (11.0, 10.0),
                "place": "dock",
                "cover": {
                    "material": "aluminium",
                    "thickness_mm": 1.0,
                    "width_mm": 295.0,
                    "length_mm": 205.0,
                    "pad_width_mm": 50.0,
                    "pad_length_mm": 40.0,
                    "pad_conductivity": 3.0,
                    "gap_mm": 0.8,
                    "gap_tolerance_mm": 0.05,
                    "battery_mm": 35.0,
                },
            },
            goal="faster",
        ),
        Story(
            1,
            {
                "kind": "handheld",
                "customer_name": "Greta Mbeki-Lund",
                "customer_contact": "555 0177",
                "maker": "Pellanor",
                "model": "Tern Pocket",
                "symptom": "Back cover bulges, gets hot when charging",
                "age_months": 33,
                "surroundings": "unknown",
                "warranty": "over",
                "seal": "none",
                "backup_done": "no",
                "battery_swollen": True,
            },
            {},
        ),
        Story(
            1,
            {
                **kind_laptop,
                "customer_name": "Aino Castellan",
                "customer_contact": "aino@post.example",
                "maker": "Tessalay",
                "model": "Quill 16",
                "symptom": "Fan hunts up and down",
                "age_months": 20,
                "months_since_service": 20,
                "surroundings": "smoke",
                "warranty": "running",
                "seal": "intact",
            },
            _LAPTOP_RECIPE,
            Trial(
                replace(fresh, interface=0.45, sink=0.62, sustained_power=44),
                21.8,
                Style(delimiter=";", decimal=",", flag=False),
                loud_db=49.0,
                blades=37,
                whine_hz=7300.0,
            ),
        ),
        Story(
            0,
            {
                "kind": "handheld",
                "customer_name": "Mirek Solano",
                "customer_contact": "555 0190",
                "maker": "Pellanor",
                "model": "Tern Pocket",
                "symptom": "Too hot to hold at the left grip",
                "age_months": 12,
                "surroundings": "normal",
                "warranty": "over",
                "seal": "broken",
                "backup_done": "yes",
            },
            {**_LAPTOP_RECIPE, "load_recipe": "Canyon demo, loop", "placement": "flat on the bench"},
            Trial(handheld, 24.0, Style(stamp="iso", fahrenheit=True), 900, 47.3, 30.0, pass_s=150.0),
            {},
            ("fins", "contact"),
            (_paste(),),
            "",
            True,
            Trial(
                replace(handheld, interface=0.5),
                24.3,
                Style(stamp="iso", fahrenheit=True),
                900,
                47.3,
                30.0,
                recipe={"fan_setting": "fixed, full"},
                pass_s=150.0,
            ),
        ),
        Story(
            0,
            {
                **kind_laptop,
                "customer_name": "Sunniva Achterberg",
                "customer_contact": "555 0103",
                "maker": "Ondervale",
                "model": "Marrow 15",
                "symptom": "Shuts down while rendering",
                "age_months": 52,
                "surroundings": "dusty",
                "lives": "workshop, sawdust",
                "limit_c": 95.0,
            },
            {},
        ),
        Story(
            0,
            {
                **kind_laptop,
                "customer_name": "Ilka Moreau-Tan",
                "customer_contact": "555 0129",
                "maker": "Tessalay",
                "model": "Quill 14 Silent",
                "symptom": "Warm on the lap after lunch",
                "age_months": 18,
                "surroundings": "normal",
                "lives": "sofa",
                "place": "lap",
                "fan": "no",
                "limit_c": 95.0,
            },
            {**_LAPTOP_RECIPE, "fan_setting": "no fan", "duration_min": 5.0},
            Trial(slow, 22.8, Style(stamp="iso", extra_sensors=2), 300, tail_s=0.0),
        ),
        Story(
            0,
            {
                **kind_laptop,
                "customer_name": "Anselm Farrokhi",
                "customer_contact": "555 0184",
                "maker": "Ondervale",
                "model": "Gannet 17",
                "symptom": "Hot and slow in long renders",
                "age_months": 44,
                "months_since_service": 44,
                "surroundings": "dusty",
                "place": "desk",
                "lives": "workshop",
                "power_limit_cpu_w": 85.0,
                "limit_c": 95.0,
            },
            _LAPTOP_RECIPE,
            Trial(replace(pinned, interface=0.55, sink=0.62), 24.4, loud_db=54.0),
            found={
                "cpu_die_mm": (14.7, 15.0),
                "gpu_die_mm": (20.2, 10.1),
                "fan_state": "free",
                "pads_state": "bad",
                "cold_plate": "copper",
                "aluminium_near": "no",
                "parts_exposed": "yes",
                "insulation": "coat",
                "gaps": [
                    {
                        "target": "memory",
                        "how": "imprint",
                        "reading_mm": 0.8,
                        "tolerance_mm": 0.05,
                        "width_mm": 12.0,
                        "length_mm": 14.0,
                        "count": 4,
                        "together": True,
                    },
                    {
                        "target": "regulators",
                        "how": "old_pad",
                        "reading_mm": 0.85,
                        "tolerance_mm": 0.05,
                        "width_mm": 6.0,
                        "length_mm": 30.0,
                        "count": 2,
                        "together": False,
                    },
                ],
                "undervolt_mv": 60.0,
            },
        ),
        Story(
            0,
            {
                **kind_laptop,
                "customer_name": "Yusra Delacroix-Holm",
                "customer_contact": "555 0151",
                "maker": "Ondervale",
                "model": "Marrow 17",
                "symptom": "Fans scream, renders slow down",
                "age_months": 28,
                "months_since_service": 28,
                "surroundings": "normal",
                "place": "desk",
                "limit_c": 95.0,
            },
            _LAPTOP_RECIPE,
            Trial(replace(chalk, interface=0.5), 23.9, loud_db=52.2),
            found={
                "cpu_die_mm": (15.0, 13.0),
                "cold_plate": "nickel",
                "aluminium_near": "no",
                "parts_exposed": "yes",
                "insulation": "coat",
                "fan_state": "free",
            },
            choice="repaste:Quicksheen",
            bench=BenchTale(
                "coat_2",
                began_min=50.0,
                told={
                    "look": (
                        ("found", {"part": "fins", "seen": "dusty"}),
                        ("found", {"part": "plate", "seen": "nickel"}),
                        ("found", {"part": "contact", "seen": "pumped_out"}),
                    )
                },
            ),
        ),
        Story(
            0,
            {
                **kind_laptop,
                "customer_name": "Teodor Amsel-Quist",
                "customer_contact": "teodor@post.example",
                "maker": "Tessalay",
                "model": "Quill 14",
                "symptom": "Hot under the left hand",
                "age_months": 31,
                "months_since_service": 31,
                "surroundings": "normal",
                "place": "desk",
                "limit_c": 95.0,
            },
            _LAPTOP_RECIPE,
            Trial(replace(fresh, interface=0.42), 23.5, loud_db=48.6),
            found={"cpu_die_mm": (12.0, 10.0), "dust": "light"},
            choice="repaste:Slow Tide 45",
            bench=BenchTale("dust_out", began_min=34.0),
        ),
    ]
