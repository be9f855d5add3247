"""Stories of attempts that failed: one that has just failed, and one that a second attempt put right."""

from __future__ import annotations

from dataclasses import replace

from vividowl.core.attempts.causes import Cause, CheckResult
from vividowl.core.materials.kinds import Kind
from vividowl.demo.devices import FRESH
from vividowl.demo.story import KIND_LAPTOP, LAPTOP_RECIPE, Again, Story, Trial, paste

_DRY = replace(FRESH, interface=0.45)
_SHORT = {**LAPTOP_RECIPE, "duration_min": 8.0}
SHORT_S = 480.0  # of load
_SHEET = {**paste(), "kind": Kind.SHEET, "product": "Slow Tide 45", "lot": "", "amount": None, "amount_unit": ""}
_FOUND = {"cpu_die_mm": (12.0, 10.0), "dust": "light", "old_interface": "dry"}

FAILED: tuple[Story, ...] = (
    Story(
        days_ago=2,
        intake={
            **KIND_LAPTOP,
            "customer_name": "Ottoline Brackwater",
            "customer_contact": "ottoline@mail.example",
            "maker": "Tessalay",
            "model": "Quill 16",
            "serial": "TQ16-4402",
            "symptom": "Loud in meetings",
            "age_months": 28,
            "surroundings": "normal",
            "limit_c": 95.0,
        },
        recipe=_SHORT,
        before=Trial(device=_DRY, room_c=22.9, load_s=SHORT_S, loud_db=48.8),
        cleaned=("fins", "contact", "old_interface"),
        items=(paste(),),
        fit_done=True,
        after=Trial(device=replace(_DRY, interface=0.74), room_c=23.2, load_s=SHORT_S, loud_db=48.8),
        found=_FOUND,
        choice="repaste:Grey Heron 11",
        again=Again(
            checks={Cause.TOO_LITTLE.value: CheckResult.FOUND.value},
            print_score=2,
            words="Bald at the corner beside the fan, a third of the die",
            items=({**paste(), "amount": 0.11},),
            after=Trial(device=replace(_DRY, interface=0.13), room_c=23.0, load_s=SHORT_S, loud_db=48.8),
        ),
    ),
    Story(
        days_ago=0,
        intake={
            **KIND_LAPTOP,
            "customer_name": "Ruben Alcazaba",
            "customer_contact": "555 0191",
            "maker": "Ondervale",
            "model": "Gannet 15",
            "serial": "OG15-2280",
            "symptom": "Slow after an hour of editing",
            "age_months": 33,
            "surroundings": "normal",
            "limit_c": 95.0,
        },
        recipe=_SHORT,
        before=Trial(device=_DRY, room_c=23.1, load_s=SHORT_S, loud_db=48.8),
        cleaned=("fins", "contact", "old_interface"),
        items=(_SHEET,),
        fit_done=True,
        after=Trial(device=replace(_DRY, interface=0.88), room_c=23.4, load_s=SHORT_S, loud_db=48.8),
        found=_FOUND,
        choice="repaste:Slow Tide 45",
    ),
)
