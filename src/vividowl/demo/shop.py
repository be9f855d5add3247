"""Fill an empty installation with the made-up shop. Deterministic but for the day it is made on."""

from __future__ import annotations

import io
import math
import uuid
from collections.abc import Callable, Mapping
from dataclasses import dataclass, field, replace
from datetime import UTC, datetime, timedelta
from typing import Any

import numpy as np

from vividowl.core.heat.air import FAN_LEVEL_EXPONENT_DB
from vividowl.core.simulate.device import Device, simulate
from vividowl.core.simulate.sound import simulate_fan_sound
from vividowl.core.trace.roles import Role
from vividowl.demo.bench import BenchTale, keep_model, play_bench
from vividowl.demo.logs import Style, write_log
from vividowl.demo.shelf import cut_for, stock_the_shelf
from vividowl.formats.sound_file import write_wav
from vividowl.service.jobs import fit, handover, intake
from vividowl.service.measure import logs, recordings
from vividowl.service.measure import runs as measure
from vividowl.service.plan import planning
from vividowl.service.shop import accounts
from vividowl.service.workshop import Actor, Workshop
from vividowl.store.deciding import CutSheet, Plan, StockMove
from vividowl.store.models import Job, Run, TraceFile
from vividowl.store.scope import Scope

SHOP_NAME = "Lantern Street Repairs"
OWNER = ("imke", "Imke Brandvold")
TECHNICIAN = ("toru", "Toru Adeyemi")
FIRST_NUMBER = 2417
PHONE_FULL_SCALE_DB = 104.0


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


_LAPTOP_RECIPE = {"load_recipe": "Even load on all cores", "duration_min": 15.0, "fan_setting": "automatic",
                  "power_profile": "performance", "placement": "stand, lid open", "start": "cold"}  # fmt: skip
_CONSOLE_RECIPE = {"load_recipe": "Harbour scene, same save", "duration_min": 25.0, "fan_setting": "automatic",
                   "power_profile": "standard", "placement": "upright on the bench", "start": "cold"}  # fmt: skip


def _paste(target: str = "cpu_die") -> dict[str, Any]:
    return {"target": target, "kind": "paste_stiff", "product": "Grey Heron 11", "lot": "GH-2607", "amount": 0.08,
            "amount_unit": "g"}  # fmt: skip


def _stories() -> list[Story]:
    chalk = Device(interface=0.75, sink=0.72, chassis=0.12, fan_full_rpm=4200, boost_power=70, sustained_power=58)
    cured = replace(chalk, interface=0.13, sink=0.46)
    console = Device(interface=0.3, sink=0.38, chassis=0.06, boost_power=112, sustained_power=105, boost_s=10,
                     sink_capacity=220, fan_idle_rpm=1100, fan_full_rpm=3000, fan_low_c=50, fan_high_c=99,
                     limit_c=96, clock_full_mhz=2200)  # fmt: skip
    console_cured = replace(console, interface=0.12)
    slim = Device(interface=0.5, sink=3.4, chassis=1.9, fanless=True, boost_power=20, sustained_power=15, boost_s=25,
                  sink_capacity=55, chassis_capacity=420, idle_power=2, limit_c=95, clock_full_mhz=3200)  # fmt: skip
    pinned = Device(interface=0.62, sink=0.55, chassis=0.1, fan_full_rpm=4600, boost_power=95, sustained_power=85,
                    boost_s=20)  # fmt: skip
    slow = Device(interface=0.4, sink=1.3, chassis=1.5, fanless=True, boost_power=16, sustained_power=15.5, boost_s=12,
                  sink_capacity=45, chassis_capacity=190, idle_power=2, clock_full_mhz=3000)  # fmt: skip
    fresh = Device(interface=0.2, sink=0.5, chassis=0.12, sustained_power=38, boost_power=48)
    handheld = Device(interface=0.9, sink=1.4, chassis=0.4, sustained_power=18, boost_power=22, sink_capacity=40)
    kind_laptop: dict[str, Any] = {"kind": "laptop", "backup_done": "yes", "warranty": "over", "seal": "none"}
    return [
        Story(410, {**kind_laptop, "customer_name": "Noor Valkenberg", "customer_contact": "noor@mail.example",
                    "maker": "Ondervale", "model": "Marrow 17", "symptom": "Loud within a minute", "age_months": 30,
                    "months_since_service": 30, "surroundings": "pets", "lives": "desk, two cats"},
              _LAPTOP_RECIPE,
              Trial(replace(chalk, interface=0.6), 22.4, loud_db=52.6),
              {}, ("fins", "fan", "contact", "old_interface"),
              ({"target": "cpu_die", "kind": "gallium_alloy", "product": "Quicksheen", "lot": "QS-11", "amount": 0.06,
                "amount_unit": "g"},), "Nickel-plated cold plate. Parts around the die coated twice.", True,
              Trial(replace(cured, interface=0.1), 23.1, Style(delimiter=";", decimal=","),
                    loud_db=52.6),
              11800, "Yearly look at the alloy agreed.", True,
              {"cold_plate": "nickel", "aluminium_near": "no", "parts_exposed": "yes", "insulation": "coat",
               "cpu_die_mm": (15.0, 13.0), "old_interface": "dry", "dust": "felt"},
              choice="repaste:Quicksheen", bench=BenchTale(pace=1.1)),
        Story(61, {**kind_laptop, "customer_name": "Rafael Strömgaard", "customer_contact": "555 0166",
                   "maker": "Ondervale", "model": "Gannet 17", "symptom": "Always at 95 °C, renders take forever",
                   "age_months": 37, "months_since_service": 37, "surroundings": "normal", "lives": "desk, docked",
                   "power_limit_cpu_w": 85.0, "limit_c": 95.0},
              _LAPTOP_RECIPE,
              Trial(pinned, 23.6, recipe={"result_duration_s": 1161.0, "result_score": 10748.0}, repeats=2),
              {}, ("fins", "contact", "old_interface"),
              (), "Burnt in for two hours before the After run.", True,
              Trial(replace(pinned, interface=0.3), 24.9, Style(delimiter=";", decimal=","),
                    recipe={"result_duration_s": 1042.0, "result_score": 11116.0}, repeats=2),
              7400, "It still runs at its limit by design; it now holds far more watts there.", True,
              {"cpu_die_mm": (14.7, 15.0), "old_interface": "pumped_out", "dust": "light", "place": "dock"}, "faster",
              "repaste:Slow Tide 45",
              ("Slow Tide 45", ({"label": "Processor die", "target": "cpu_die", "width_mm": 15.5, "length_mm": 15.5,
                                 "count": 1, "together": False},)),
              BenchTale(told={"battery_off": (("step_done", {"step": "cooler_off", "breach": "The plug sits under the "
                                               "cooler's edge; saw it when the cooler was off"}),)})),
        Story(34, {**kind_laptop, "customer_name": "Pia Lindqvarn", "customer_contact": "555 0148", "maker": "Tessalay",
                   "model": "Quill 14", "symptom": "Asked for a repaste because a friend said so", "age_months": 7,
                   "surroundings": "normal", "lives": "desk"},
              _LAPTOP_RECIPE, Trial(fresh, 23.0, loud_db=48.0), {},
              ("fins", "contact", "old_interface"), (_paste(),), "", True,
              Trial(fresh, 25.2, Style(stamp="iso"), loud_db=48.0), 4500,
              "Nothing was gained and nothing was needed; half price.", True,
              {"cpu_die_mm": (12.0, 10.0), "dust": "none"}, choice="repaste:Grey Heron 11", bench=BenchTale(pace=0.9)),
        Story(6, {"kind": "console", "customer_name": "Dimas Okonjo-Reyes", "customer_contact": "dimas@post.example",
                  "maker": "Brannock", "model": "Basalt Home 2", "symptom": "Roars in the harbour level",
                  "age_months": 38, "months_since_service": 38, "surroundings": "dusty", "lives": "low shelf, carpet",
                  "backup_done": "yes", "warranty": "over", "seal": "broken"},
              _CONSOLE_RECIPE,
              Trial(console, 24.0, Style(delimiter="\t", stamp="elapsed", graphics=True, repeat_header=True), 1500,
                   53.9, 33.0, (("exhaust", None, "middle of the rear vent"),), blades=31),
              {}, ("fins", "fan", "vents", "contact", "old_interface"), (_paste("gpu_die"),), "", True,
              Trial(console_cured, 24.6, Style(delimiter="\t", stamp="elapsed", graphics=True), 1500,
                   53.9, 33.0, (("exhaust", None, "middle of the rear vent"),), blades=31),
              8900),
        Story(3, {**kind_laptop, "customer_name": "Wen Abernathy-Sato", "customer_contact": "555 0112",
                  "maker": "Ondervale", "model": "Marrow 15",
                  "symptom": "Slow after a minute of play, hot at the keyboard, fan never stops", "age_months": 41,
                  "months_since_service": 41, "surroundings": "dusty", "lives": "living room, carpet, on the lap",
                  "factory_interface": "paste", "power_limit_cpu_w": 60.0, "limit_c": 95.0},
              _LAPTOP_RECIPE,
              Trial(chalk, 24.2, Style(gap=True, drop_out=True), loud_db=53.1,
                   spots=(("skin", 44.5, "above the keyboard"),), blades=47),
              {}, ("fins", "fan", "contact", "old_interface"),
              (_paste(), {"target": "memory", "kind": "putty", "product": "Ridgeback putty", "lot": "R-209",
                          "amount": 4.0, "amount_unit": "g"}), "Felt of dust behind the fan; chalk on the die.", True,
              Trial(cured, 25.6, Style(), loud_db=53.1, spots=(("skin", 38.0, "above the keyboard"),),
                    blades=47),
              found={"cpu_die_mm": (15.0, 13.0), "dust": "felt", "place": "lap"}, choice="repaste:Grey Heron 11",
              bench=BenchTale(pictures=True, weighed_g=0.031, told={
                  "look": (("found", {"part": "fins", "seen": "felt"}), ("found", {"part": "contact", "seen": "chalk"}),
                           ("found", {"part": "pads", "seen": "sound"}),
                           ("found", {"part": "battery", "seen": "flat"})),
                  "cooler_on": (("mishap", {"what": "too_much_paste", "words": "Rim taken off with a card",
                                            "step": "apply_cpu_die_paste_stiff_0"}),)})),
        Story(2, {**kind_laptop, "customer_name": "Oluwaseun Hartig", "customer_contact": "hartig@mail.example",
                  "maker": "Ondervale", "model": "Slate Thin 13", "symptom": "Crawls after ten minutes on the dock",
                  "age_months": 26, "surroundings": "normal", "lives": "dock, lid closed", "backup_done": "no",
                  "power_limit_cpu_w": 15.0, "limit_c": 95.0},
              {**_LAPTOP_RECIPE, "fan_setting": "no fan", "placement": "dock, lid closed", "duration_min": 20.0},
              Trial(slim, 21.0, Style(delimiter=";", decimal=",", extra_sensors=2), 1200),
              {"backup": "Owner backs up tonight, opening waits for that"},
              found={"cpu_die_mm": (11.0, 10.0), "place": "dock", "cover": {
                  "material": "aluminium", "thickness_mm": 1.0, "width_mm": 295.0, "length_mm": 205.0,
                  "pad_width_mm": 50.0, "pad_length_mm": 40.0, "pad_conductivity": 3.0, "gap_mm": 0.8,
                  "gap_tolerance_mm": 0.05, "battery_mm": 35.0}},
              goal="faster"),
        Story(1, {"kind": "handheld", "customer_name": "Greta Mbeki-Lund", "customer_contact": "555 0177",
                  "maker": "Pellanor", "model": "Tern Pocket", "symptom": "Back cover bulges, gets hot when charging",
                  "age_months": 33, "surroundings": "unknown", "warranty": "over", "seal": "none", "backup_done": "no",
                  "battery_swollen": True}, {}),
        Story(1, {**kind_laptop, "customer_name": "Aino Castellan", "customer_contact": "aino@post.example",
                  "maker": "Tessalay", "model": "Quill 16", "symptom": "Fan hunts up and down", "age_months": 20,
                  "months_since_service": 20, "surroundings": "smoke", "warranty": "running", "seal": "intact"},
              _LAPTOP_RECIPE,
              Trial(replace(fresh, interface=0.45, sink=0.62, sustained_power=44), 21.8,
                   Style(delimiter=";", decimal=",", flag=False), loud_db=49.0, blades=37, whine_hz=7300.0)),
        Story(0, {"kind": "handheld", "customer_name": "Mirek Solano", "customer_contact": "555 0190",
                  "maker": "Pellanor",                  "model": "Tern Pocket",
                  "symptom": "Too hot to hold at the left grip", "age_months": 12,
                  "surroundings": "normal", "warranty": "over", "seal": "broken", "backup_done": "yes"},
              {**_LAPTOP_RECIPE, "load_recipe": "Canyon demo, loop", "placement": "flat on the bench"},
              Trial(handheld, 24.0, Style(stamp="iso", fahrenheit=True), 900, 47.3, 30.0, pass_s=150.0),
              {}, ("fins", "contact"), (_paste(),), "", True,
              Trial(replace(handheld, interface=0.5), 24.3, Style(stamp="iso", fahrenheit=True), 900,
                    47.3, 30.0,                   recipe={"fan_setting": "fixed, full"}, pass_s=150.0)),
        Story(0, {**kind_laptop, "customer_name": "Sunniva Achterberg", "customer_contact": "555 0103",
                  "maker": "Ondervale", "model": "Marrow 15", "symptom": "Shuts down while rendering", "age_months": 52,
                  "surroundings": "dusty", "lives": "workshop, sawdust", "limit_c": 95.0}, {}),
        Story(0, {**kind_laptop, "customer_name": "Ilka Moreau-Tan", "customer_contact": "555 0129",
                  "maker": "Tessalay", "model": "Quill 14 Silent", "symptom": "Warm on the lap after lunch",
                  "age_months": 18, "surroundings": "normal", "lives": "lap, sofa", "limit_c": 95.0},
              {**_LAPTOP_RECIPE, "fan_setting": "no fan", "duration_min": 5.0},
              Trial(slow, 22.8, Style(stamp="iso", extra_sensors=2), 300, tail_s=0.0)),
        Story(0, {**kind_laptop, "customer_name": "Anselm Farrokhi", "customer_contact": "555 0184",
                  "maker": "Ondervale", "model": "Gannet 17", "symptom": "Hot and slow in long renders",
                  "age_months": 44, "months_since_service": 44, "surroundings": "dusty", "lives": "desk, workshop",
                  "power_limit_cpu_w": 85.0, "limit_c": 95.0},
              _LAPTOP_RECIPE,
              Trial(replace(pinned, interface=0.55, sink=0.62), 24.4, loud_db=54.0),
              found={"cpu_die_mm": (14.7, 15.0), "gpu_die_mm": (20.2, 10.1), "fan_state": "free", "pads_state": "bad",
                     "cold_plate": "copper", "aluminium_near": "no", "parts_exposed": "yes", "insulation": "coat",
                     "gaps": [
                         {"target": "memory", "how": "imprint", "reading_mm": 0.8, "tolerance_mm": 0.05,
                          "width_mm": 12.0, "length_mm": 14.0, "count": 4, "together": True},
                         {"target": "regulators", "how": "old_pad", "reading_mm": 0.85, "tolerance_mm": 0.05,
                          "width_mm": 6.0, "length_mm": 30.0, "count": 2, "together": False}],
                     "undervolt_mv": 60.0}),
        Story(0, {**kind_laptop, "customer_name": "Yusra Delacroix-Holm", "customer_contact": "555 0151",
                  "maker": "Ondervale", "model": "Marrow 17", "symptom": "Fans scream, renders slow down",
                  "age_months": 28, "months_since_service": 28, "surroundings": "normal", "lives": "desk",
                  "limit_c": 95.0},
              _LAPTOP_RECIPE, Trial(replace(chalk, interface=0.5), 23.9, loud_db=52.2),
              found={"cpu_die_mm": (15.0, 13.0), "cold_plate": "nickel", "aluminium_near": "no", "parts_exposed": "yes",
                     "insulation": "coat", "fan_state": "free"},
              choice="repaste:Quicksheen",
              bench=BenchTale("coat_2", began_min=50.0, told={
                  "look": (("found", {"part": "fins", "seen": "dusty"}), ("found", {"part": "plate", "seen": "nickel"}),
                           ("found", {"part": "contact", "seen": "pumped_out"}))})),
        Story(0, {**kind_laptop, "customer_name": "Teodor Amsel-Quist", "customer_contact": "teodor@post.example",
                  "maker": "Tessalay", "model": "Quill 14", "symptom": "Hot under the left hand", "age_months": 31,
                  "months_since_service": 31, "surroundings": "normal", "lives": "desk", "limit_c": 95.0},
              _LAPTOP_RECIPE, Trial(replace(fresh, interface=0.42), 23.5, loud_db=48.6),
              found={"cpu_die_mm": (12.0, 10.0), "dust": "light"}, choice="repaste:Slow Tide 45",
              bench=BenchTale("dust_out", began_min=34.0)),
    ]  # fmt: skip


_BLANK: dict[str, Any] = {
    "customer_contact": "", "maker": "", "symptom": "", "age_months": None, "months_since_service": None,
    "surroundings": "unknown", "lives": "", "warranty": "unknown", "seal": "unknown", "backup_done": "unknown",
    "battery_swollen": False, "liquid_damage": False, "factory_interface": "", "power_limit_cpu_w": None,
    "power_limit_gpu_w": None, "limit_c": None,
}  # fmt: skip
_NO_RECIPE: dict[str, Any] = {"load_recipe": "", "duration_min": None, "fan_setting": "", "power_profile": "",
                              "placement": "", "start": "", "firmware": "", "tuning": "", "fan_blades": None,
                              "result_score": None, "result_duration_s": None, "result_frame_rate": None}  # fmt: skip


def load_demo(workshop: Workshop, today: datetime | None = None, tell: Callable[[str], None] = lambda _: None) -> None:
    """Make the demo shop. Its clock runs back from ``today``."""
    day = (today or datetime.now(UTC)).replace(hour=9, minute=12, second=0, microsecond=0)
    owner = accounts.found_shop(
        workshop, shop_name=SHOP_NAME, name=OWNER[1], login=OWNER[0], password=None, demo=True
    ).actor
    with workshop.database.session() as session:
        scope = Scope(session, owner.shop_id)
        scope.shop().last_job_number = FIRST_NUMBER - 1
        accounts.add_demo_member(scope, TECHNICIAN[0], TECHNICIAN[1])
    lots = stock_the_shelf(workshop, owner, day.date())
    stories = _stories()
    for index, story in enumerate(stories):
        tell(f"demo job {index + 1} of {len(stories)}")
        _play(workshop, owner, story, day - timedelta(days=story.days_ago), 100 * index, lots)


# Models that are kept once a list was worked through, with what the shop notes of their screws and of them.
KEPT_MODELS = {
    "Marrow 17": ("Spring screws to the shoulder, no more.", "The fan lead runs under the left pipe: free it first."),
    "Marrow 15": (
        "Spring screws to the shoulder, no more.",
        "Clip at the left corner is weak. White antenna outside.",
    ),
    "Gannet 17": (
        "Seven springs, no numbers: the diagonal.",
        "The battery plug hides below the cooler's edge.",
    ),
    "Quill 14": ("Short screws strip: hand, not driver.", ""),
}


def _play(
    workshop: Workshop, actor: Actor, story: Story, when: datetime, seed: int, lots: Mapping[tuple[str, str], uuid.UUID]
) -> None:
    job = intake.create_job(workshop, actor, {**_BLANK, **story.intake}).job
    for rule, words in story.agreed.items():
        intake.acknowledge(workshop, actor, job.id, rule, words)
    for offset, (side, trial) in enumerate((("before", story.before), ("after", story.after))):
        if side == "after" and story.found:
            _decide(workshop, actor, job.id, story)
        if side == "after" and (story.cleaned or story.items):
            for item in story.items:
                lot_id = lots.get((item["product"], item["lot"]))
                fit.add_item(workshop, actor, job.id, {**item, "lot_id": lot_id})
            if story.cut is not None:
                cut_for(workshop, actor, job.id, *story.cut)
            if story.bench is not None:
                play_bench(workshop, actor, job.id, job.model, story.bench, when + timedelta(hours=1))
            version = intake.get_job(workshop, actor, job.id).job.version
            fit.save_fit(workshop, actor, job.id, version, cleaned=list(story.cleaned), note=story.fit_note,
                         done=story.fit_done)  # fmt: skip
        if trial is not None:
            _measure(workshop, actor, job.id, side, story, trial, when + timedelta(hours=3 * offset), seed + offset)
    if story.bench is not None and story.bench.began_min is not None:
        began = datetime.now(UTC) - timedelta(minutes=story.bench.began_min)
        play_bench(workshop, actor, job.id, job.model, story.bench, began)
    if story.bench is not None and not story.bench.until and job.model in KEPT_MODELS:
        keep_model(workshop, actor, job.id, KEPT_MODELS[job.model])
    if story.price_cents is not None or story.handed_over:
        record = handover.get_record(workshop, actor, job.id)
        handover.hand_over(
            workshop, actor, job.id, record.view.job.version, price_cents=story.price_cents,
            next_service_on=record.proposal.on, note=story.note, handed_over=story.handed_over,
        )  # fmt: skip
    _date_back(workshop, actor, job, when)


def _decide(workshop: Workshop, actor: Actor, job_id: uuid.UUID, story: Story) -> None:
    view = planning.save_findings(workshop, actor, job_id, 0, story.goal, story.found)
    if story.choice:
        planning.choose(workshop, actor, job_id, view.plan.version, story.choice)


def _measure(
    workshop: Workshop,
    actor: Actor,
    job_id: uuid.UUID,
    side: str,
    story: Story,
    trial: Trial,
    when: datetime,
    seed: int,
) -> None:
    version = measure.get_run(workshop, actor, job_id, side).version
    conditions = {**_NO_RECIPE, **story.recipe, **trial.recipe, "room_c": trial.room_c, "fan_blades": trial.blades}
    measure.save_run(workshop, actor, job_id, side, version, conditions)
    ending = "txt" if trial.style.delimiter == chr(9) else "csv"
    for turn in range(trial.repeats, -1, -1):
        repeat = turn < trial.repeats
        trace = simulate(trial.device, room_c=trial.room_c, seed=seed + 50 * turn, load_s=trial.load_s,
                         pass_s=trial.pass_s, tail_s=trial.tail_s)  # fmt: skip
        data = write_log(trace, when + timedelta(hours=trial.repeats - turn), trial.style, seed + 50 * turn)
        name = f"{when:%Y%m%d}-{side}{f'-again-{trial.repeats - turn}' if repeat else ''}.{ending}"
        logs.receive_log(workshop, actor, job_id, side, io.BytesIO(data), expected=len(data), file_name=name,
                         mapping={}, again=False, repeat=repeat)  # fmt: skip
    # The fan at the end of the load, where a person holds meter and probe.
    late = (trace.time_s > 30 + 0.7 * trial.load_s) & (trace.time_s < 30 + trial.load_s)
    scatter = np.random.default_rng(seed).normal(0.0, 0.2, 3)
    if trial.loud_db is not None:
        rpm = float(trace.channels[Role.FAN_SPEED][late].mean())
        level = trial.loud_db + FAN_LEVEL_EXPONENT_DB * math.log10(rpm / trial.device.fan_full_rpm)
        for off in scatter:
            measure.add_noise(workshop, actor, job_id, side, {"level_db": round(level + off, 1),
                              "background_db": trial.background_db, "place": "vent, mark on the mat",
                              "distance_m": 0.3})  # fmt: skip
        if trial.blades is not None:
            samples = simulate_fan_sound(rpm=rpm, blades=trial.blades, level_db=level, seed=seed,
                                         full_scale_db=PHONE_FULL_SCALE_DB, whine_hz=trial.whine_hz)  # fmt: skip
            data = write_wav(samples, 44100.0)
            recordings.receive_sound(workshop, actor, job_id, side, io.BytesIO(data), expected=len(data),
                                     file_name=f"{when:%Y%m%d}-{side}-vent.wav", reference_db=None)  # fmt: skip
    for spot, value, place in trial.spots:
        reading_c = (
            value if value is not None else round(float(trace.channels[Role.EXHAUST_TEMPERATURE][late].mean()), 1)
        )
        measure.add_spot(workshop, actor, job_id, side, {"spot": spot, "reading_c": reading_c, "place": place})


def _date_back(workshop: Workshop, actor: Actor, job: Job, when: datetime) -> None:
    """Jobs of the demo happened in the past; the use cases themselves know only the present."""
    with workshop.scope(actor) as scope:
        row = scope.get(Job, job.id)
        row.created_at, row.updated_at = when, when + timedelta(hours=4)
        if row.handed_over_at is not None:
            row.handed_over_at = when + timedelta(hours=5)
            if row.next_service_on is not None:
                months = row.next_service_on - datetime.now(UTC).date()
                row.next_service_on = when.date() + months
        for plan in scope.session.scalars(scope.select(Plan).where(Plan.job_id == row.id, Plan.chosen_at.is_not(None))):
            plan.chosen_at = when + timedelta(hours=1)
        for moved in scope.session.scalars(scope.select(StockMove).where(StockMove.job_id == row.id)).unique():
            moved.at = when + timedelta(hours=2)
        for cut in scope.session.scalars(scope.select(CutSheet).where(CutSheet.job_id == row.id)).unique():
            cut.at = when + timedelta(hours=2)
        for run in scope.session.scalars(scope.select(Run).where(Run.job_id == job.id)):
            logs_of_run = scope.select(TraceFile).where(TraceFile.run_id == run.id).order_by(TraceFile.uploaded_at)
            for turn, trace in enumerate(scope.session.scalars(logs_of_run)):
                # The first log of a run is the one that its repeats repeat, so their order is kept.
                trace.uploaded_at = when + timedelta(hours=(0 if run.side == "before" else 3) + turn)


def clear_demo(workshop: Workshop) -> bool:
    """Throw the demo away. Returns False and touches nothing when the shop is a real one."""
    import shutil

    from sqlalchemy import select, text

    from vividowl.store.models import Base, Shop

    with workshop.database.session() as session:
        shops = session.scalars(select(Shop)).all()
        if any(not shop.demo for shop in shops):
            return False
        ids = [shop.id for shop in shops]
        tables = ", ".join(table.name for table in Base.metadata.sorted_tables)
        session.execute(text(f"TRUNCATE {tables} CASCADE"))
    for shop_id in ids:
        shutil.rmtree(workshop.files.root / str(shop_id), ignore_errors=True)
    return True
