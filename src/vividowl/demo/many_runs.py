"""Stories of many visits and of many runs."""

from __future__ import annotations

import math
from dataclasses import replace
from typing import Any

from vividowl.core.job.device import StateCause
from vividowl.core.materials.kinds import Kind
from vividowl.core.simulate.device import Device
from vividowl.demo.devices import CHALK, CURED, SLIM
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


_LOUD_DB = 52.0  # of the fan at full speed


def _at_full_fan(name: str, device: Device) -> FurtherRun:
    trial = Trial(device=_at_full(device), room_c=23.9, load_s=SHORT_S, loud_db=_LOUD_DB)
    return FurtherRun(name=f"{name}, fan full", trial=trial, recipe={"fan_setting": "full"})


def _material(name: str, kind: Kind, product: str, interface: float) -> tuple[FurtherRun, ...]:
    device = replace(CURED, interface=interface)
    lies = {"target": "cpu_die", "kind": kind, "product": product, "lot": ""}
    return (
        FurtherRun(
            name=f"{name}, automatic",
            trial=Trial(device=device, room_c=23.6, load_s=SHORT_S, repeats=1, loud_db=_LOUD_DB),
            cause=StateCause.FITTED,
            changed={"fitted": [lies], "clean": "yes"},
        ),
        _at_full_fan(name, device),
    )


UNDERVOLT = "undervolt −80 mV"
# What three changes do to one device: a new fan table, less voltage, another interface.
_MILD = replace(CHALK, interface=0.42, sink=0.52, boost_power=52, sustained_power=45)


def _changed(fresh: bool, firmware: bool, undervolt: bool) -> Device:
    device = replace(_MILD, interface=0.15) if fresh else _MILD
    if firmware:
        device = replace(device, fan_low_c=device.fan_low_c - 6.0, fan_high_c=device.fan_high_c - 6.0)
    return replace(device, boost_power=48.0, sustained_power=40.5) if undervolt else device


def _design() -> tuple[FurtherRun, ...]:
    """Combinations of the three beside Before and After; that of old firmware, undervolt and new paste is missing."""
    rows: tuple[tuple[str, bool, bool, bool, StateCause | None, dict[str, Any]], ...] = (
        ("Undervolt", False, False, True, None, {}),
        ("New firmware", False, True, False, StateCause.FIRMWARE, {"firmware": "1.12"}),
        ("New firmware, undervolt", False, True, True, None, {}),
        ("New paste, old firmware", True, False, False, StateCause.FIRMWARE, {"firmware": "1.08", "fitted": [_LIES]}),
        ("New paste, new firmware", True, True, False, StateCause.FIRMWARE, {"firmware": "1.12"}),
        ("New paste, new firmware, undervolt", True, True, True, None, {}),
    )
    return tuple(
        FurtherRun(
            name=name,
            trial=Trial(device=_changed(fresh, firmware, undervolt), room_c=23.0 + 0.2 * turn, load_s=SHORT_S),
            cause=cause,
            changed=dict(changed),
            recipe={"firmware": "1.12" if firmware else "1.08", "tuning": UNDERVOLT if undervolt else "none"},
        )
        for turn, (name, fresh, firmware, undervolt, cause, changed) in enumerate(rows)
    )


_LIES = {"target": "cpu_die", "kind": Kind.PASTE_STIFF, "product": "Grey Heron 11", "lot": "GH-2607"}


_SHEET = {**paste(), "kind": Kind.SHEET, "product": "Slow Tide 45", "lot": "", "amount": None, "amount_unit": ""}


# A thin shell that has little to heat, so that ten minutes show what the place costs.
_THIN = replace(SLIM, chassis_capacity=150.0)


def _sheet(cycles: float) -> Device:
    """A fresh sheet that runs in over its heat cycles."""
    return replace(CURED, interface=0.12 + 0.16 * math.exp(-cycles / 4.0))


MANY_RUNS: tuple[Story, ...] = (
    Story(
        days_ago=205,
        intake={**TWICE_SEEN, "symptom": "A look at the alloy, as agreed", "age_months": 37, "months_since_service": 7},
        recipe=LAPTOP_RECIPE,
        before=Trial(device=replace(CURED, interface=0.23), room_c=22.8, loud_db=52.6),
    ),
    Story(
        days_ago=4,
        intake={
            **TWICE_SEEN,
            "symptom": "Loud again when exporting video",
            "age_months": 44,
            "months_since_service": 13,
        },
        recipe=LAPTOP_RECIPE,
        before=Trial(device=replace(CURED, interface=0.44), room_c=23.3, loud_db=52.6),
    ),
    Story(
        days_ago=1,
        intake={
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
        recipe={**LAPTOP_RECIPE, "duration_min": 8.0},
        before=Trial(device=replace(CHALK, interface=0.5, sink=0.46), room_c=23.2, load_s=SHORT_S, loud_db=_LOUD_DB),
        cleaned=("contact", "old_interface"),
        items=(paste(),),
        fit_done=True,
        after=Trial(
            device=CURED,
            room_c=23.4,
            style=Style(delimiter=";", decimal=","),
            load_s=SHORT_S,
            repeats=1,
            loud_db=_LOUD_DB,
        ),
        runs=(
            _at_full_fan("Stiff paste", CURED),
            *_material("Soft paste", Kind.PASTE_SOFT, "Linden Soft", 0.21),
            *_material("Sheet", Kind.SHEET, "Thaw 40", 0.125),
            *_material("Alloy", Kind.ALLOY, "Quicksheen", 0.05),
        ),
    ),
    Story(
        days_ago=1,
        intake={
            **KIND_LAPTOP,
            "customer_name": "Casimir Ljungholt",
            "customer_contact": "casimir@post.example",
            "maker": "Ondervale",
            "model": "Marrow 15",
            "serial": "OV15-08876",
            "symptom": "Firmware, undervolt, new paste: what brought what?",
            "age_months": 26,
            "surroundings": "normal",
            "limit_c": 95.0,
        },
        recipe={**LAPTOP_RECIPE, "duration_min": 8.0},
        before=Trial(
            device=_changed(False, False, False),
            room_c=22.9,
            load_s=SHORT_S,
            recipe={"firmware": "1.08", "tuning": "none"},
        ),
        runs=_design(),
    ),
    Story(
        days_ago=14,
        intake={
            **KIND_LAPTOP,
            "customer_name": "Lucasta Hernfeld",
            "customer_contact": "555 0143",
            "maker": "Tessalay",
            "model": "Quill 16",
            "serial": "TQ16-3310",
            "symptom": "Hot on calls",
            "age_months": 31,
            "surroundings": "normal",
            "limit_c": 95.0,
        },
        recipe={**LAPTOP_RECIPE, "duration_min": 8.0},
        before=Trial(device=replace(CHALK, interface=0.55, sink=0.46), room_c=22.6, load_s=SHORT_S),
        cleaned=("contact", "old_interface"),
        items=(
            {**paste(), "kind": Kind.SHEET, "product": "Slow Tide 45", "lot": "", "amount": None, "amount_unit": ""},
        ),
        fit_done=True,
        after=Trial(device=_sheet(0.0), room_c=22.9, load_s=SHORT_S),
        runs=tuple(
            FurtherRun(
                name="After one cycle" if cycles == 1 else f"After {cycles} cycles",
                trial=Trial(device=_sheet(cycles), room_c=22.5 + 0.1 * cycles, load_s=SHORT_S),
                cause=StateCause.CYCLED,
                changed={"heat_cycles": float(cycles)},
                days=float(cycles - 1),
            )
            for cycles in (1, 2, 4, 8, 12)
        ),
    ),
    Story(
        days_ago=0,
        intake={
            **KIND_LAPTOP,
            "customer_name": "Perpetua Ashgrove",
            "customer_contact": "perpetua@mail.example",
            "maker": "Ondervale",
            "model": "Slate Thin 13",
            "serial": "OST13-5521",
            "symptom": "Slow on the dock, fine on the desk",
            "age_months": 15,
            "surroundings": "normal",
            "place": "dock",
            "fan": "no",
            "power_limit_cpu_w": 15.0,
            "limit_c": 95.0,
        },
        recipe={**LAPTOP_RECIPE, "fan_setting": "no fan", "placement": "desk", "duration_min": 12.0},
        before=Trial(device=_THIN, room_c=22.0, load_s=720.0),
        runs=tuple(
            FurtherRun(name=name, trial=Trial(device=device, room_c=22.2, load_s=720.0), recipe={"placement": place})
            for name, place, device in (
                ("On a stand", "stand", replace(_THIN, chassis=1.6)),
                ("On the lap", "lap", replace(_THIN, chassis=2.3)),
                ("On the dock, lid closed", "dock, lid closed", replace(_THIN, chassis=2.8)),
            )
        ),
    ),
)

NEW_MACHINE: tuple[Story, ...] = (
    Story(
        days_ago=0,
        intake={
            **KIND_LAPTOP,
            "customer_name": "Isolde Varga-Penn",
            "customer_contact": "isolde@post.example",
            "maker": "Tessalay",
            "model": "Quill 17",
            "serial": "TQ17-0092",
            "symptom": "New; wants better paste from the start",
            "age_months": 2,
            "surroundings": "normal",
            "warranty": "running",
            "seal": "intact",
            "limit_c": 95.0,
        },
        recipe={**LAPTOP_RECIPE, "load_recipe": "harbour scene, high", "duration_min": 8.0},
        before=Trial(
            device=replace(CURED, interface=0.17), room_c=22.9, load_s=SHORT_S, loud_db=46.0, frame_ms=(13.6, 19.5)
        ),
    ),
)
