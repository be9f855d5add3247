"""The bench of the made-up shop: maps of its models, lists that were worked through, and two that are in the middle."""

from __future__ import annotations

import io
import uuid
from collections.abc import Mapping, Sequence
from dataclasses import asdict, dataclass, field
from datetime import datetime, timedelta
from typing import Any

from vividowl.core.bench.fasteners import Place
from vividowl.core.bench.first_power import CHECKS
from vividowl.core.materials.kinds import Kind
from vividowl.demo.pictures import fins_picture
from vividowl.service.bench import photos
from vividowl.service.bench import view as bench_view
from vividowl.service.bench import work as bench_work
from vividowl.service.bench.taking import Sent, take_events
from vividowl.service.models import models as device_models
from vividowl.service.workshop import Actor, Workshop

TABLET = "demo-tablet"


@dataclass(frozen=True, kw_only=True)
class BenchTale:
    """How far a list was worked. until: id of the step that is next, empty for the whole list and its closing; told:
    events that happen before a step, by its id; weighed_g: dose on the die, None when nobody weighs; minutes by task;
    began_min: minutes ago, for one that is going on."""

    until: str = ""
    told: Mapping[str, tuple[tuple[str, dict[str, Any]], ...]] = field(default_factory=dict)
    pace: float = 1.0
    began_min: float | None = None
    pictures: bool = False
    weighed_g: float | None = None


# Minutes of hands by task for one step of it, roughly what a practised hand needs.
_PACE: Mapping[str, float] = {"open_close": 3.2, "clean": 4.5, "repaste": 5.0, "alloy": 6.5, Kind.SHEET: 5.0}


def _ring(holds: str, count: int, box: tuple[float, float, float, float], **more: Any) -> list[Place]:  # noqa: ANN401
    """Screws along the edge of a box: left, top, right, bottom as shares."""
    left, top, right, bottom = box
    out = []
    for i in range(count):
        share = 4.0 * i / count
        side, along = int(share), share % 1.0
        x = (left + (right - left) * along, right, right - (right - left) * along, left)[side]
        y = (top, top + (bottom - top) * along, bottom, bottom - (bottom - top) * along)[side]
        out.append(Place(id=f"{holds}-{i + 1}", kind="screw", x=round(x, 3), y=round(y, 3), holds=holds, **more))
    return out


def _marrow() -> list[Place]:
    cover = _ring("cover", 8, (0.07, 0.09, 0.93, 0.92), length_mm=5.0, drive="cross", head="flat")
    long = [
        Place(id="cover-9", kind="screw", x=0.28, y=0.09, holds="cover", length_mm=8.0, drive="cross", head="flat"),
        Place(id="cover-10", kind="screw", x=0.72, y=0.92, holds="cover", length_mm=8.0, drive="cross", head="flat"),
    ]
    spots = ((0.44, 0.17), (0.62, 0.37), (0.62, 0.17), (0.44, 0.37))
    cooler = [
        Place(
            id=f"cooler-{i + 1}",
            kind="screw",
            x=x,
            y=y,
            holds="cooler",
            length_mm=4.0,
            drive="cross",
            head="spring",
            number=i + 1,
        )
        for i, (x, y) in enumerate(spots)
    ]
    plugs = [
        Place(id="battery", kind="plug", x=0.5, y=0.56, holds="battery"),
        Place(id="fan", kind="plug", x=0.33, y=0.44, holds="fan"),
        Place(id="white", kind="plug", x=0.82, y=0.31, holds="antenna", note="white antenna"),
        Place(id="black", kind="plug", x=0.8, y=0.43, holds="antenna", note="black antenna"),
    ]
    return [*cover, *long, *cooler, *plugs]


def _gannet() -> list[Place]:
    cover = _ring("cover", 10, (0.06, 0.08, 0.94, 0.93), length_mm=6.0, drive="six_lobe", head="flat")
    spots = ((0.41, 0.16), (0.53, 0.14), (0.65, 0.16), (0.41, 0.4), (0.65, 0.4), (0.3, 0.3), (0.76, 0.3))
    cooler = [
        Place(id=f"cooler-{i + 1}", kind="screw", x=x, y=y, holds="cooler", length_mm=3.5, drive="cross", head="spring")
        for i, (x, y) in enumerate(spots)
    ]
    plugs = [
        Place(id="battery", kind="plug", x=0.5, y=0.66, holds="battery"),
        Place(id="fan-l", kind="plug", x=0.18, y=0.3, holds="fan", note="left fan"),
        Place(id="fan-r", kind="plug", x=0.85, y=0.3, holds="fan", note="right fan"),
        Place(id="display", kind="plug", x=0.72, y=0.1, holds="display"),
        Place(id="mem-l", kind="pad", x=0.47, y=0.34, holds="memory", note="left", gap_mm=1.3, thickness_mm=1.5),
        Place(id="mem-r", kind="pad", x=0.59, y=0.34, holds="memory", note="right", gap_mm=1.3, thickness_mm=1.5),
        Place(id="reg", kind="pad", x=0.59, y=0.22, holds="regulators", gap_mm=0.8, thickness_mm=1.0),
    ]
    return [*cover, *cooler, *plugs]


def _basalt() -> list[Place]:
    cover = _ring("cover", 8, (0.12, 0.14, 0.88, 0.88), length_mm=12.0, drive="six_lobe", head="pan")
    cooler = _ring("cooler", 4, (0.5, 0.22, 0.69, 0.58), length_mm=6.0, drive="six_lobe", head="spring")
    return [
        *cover,
        *cooler,
        Place(id="fan", kind="plug", x=0.41, y=0.6, holds="fan"),
        Place(id="drive", kind="plug", x=0.3, y=0.72, holds="drive"),
    ]


MAPS = {"Marrow 15": _marrow, "Marrow 17": _marrow, "Gannet 17": _gannet, "Basalt Home 2": _basalt, "Quill 14": _marrow}


class _Hand:
    """Works through a list with its own clock."""

    def __init__(self, workshop: Workshop, actor: Actor, job_id: uuid.UUID, at: datetime) -> None:
        self.workshop, self.actor, self.job_id, self.at = workshop, actor, job_id, at
        self.turn = 0

    def do(self, kind: str, data: dict[str, Any]) -> None:
        self.turn += 1
        sent = Sent(id=uuid.uuid4(), kind=kind, data=data, turn=self.turn, made_at=self.at)
        batch = take_events(
            self.workshop, self.actor, self.job_id, device=TABLET, sent=[sent], sent_at=self.at, received_at=self.at
        )
        refusal = batch.taken[0].refusal
        if refusal is not None:
            raise ValueError(f"The demo's own bench is refused: {kind} {data}: {refusal['detail']}")

    def photograph(self, clean: bool, what: str, step: str) -> None:
        for near in (True, False):
            photo, data = uuid.uuid4(), io.BytesIO(fins_picture(clean, near))
            photos.receive_photo(self.workshop, self.actor, self.job_id, photo_id=photo, stream=data)
            self.do("photo", {"photo": str(photo), "what": what, "step": step})


def play_bench(
    workshop: Workshop, actor: Actor, job_id: uuid.UUID, *, model: str, tale: BenchTale, began: datetime
) -> None:
    """Work a list through, or as far as the tale goes."""
    bench_work.begin(workshop, actor, job_id, with_model=True, at=began)
    hand = _Hand(workshop, actor, job_id, began + timedelta(minutes=1))
    view = bench_view.get_bench(workshop, actor, job_id)
    if not view.state.places and model in MAPS:
        for place in MAPS[model]():
            hand.do("place_added", {"place": asdict(place)})
    early: set[str | None] = set()
    for step in bench_view.get_bench(workshop, actor, job_id).state.steps:
        if step.id == tale.until:
            return
        for kind, data in tale.told.get(step.id, ()):
            hand.do(kind, data)
            early.add(data.get("step"))
        if step.id in early and step.id not in tale.told:
            continue
        hand.at += timedelta(minutes=tale.pace * _PACE.get(step.task, 2.0))
        hand.at = max([hand.at, *_due(workshop, actor, job_id, step.after_waits)])
        if step.shows == "power":
            hand.do("power_on", {"results": dict.fromkeys(CHECKS, "fine"), "boot_s": 21.0})
        else:
            weighed = {"value": tale.weighed_g} if step.asks == "dose_g" and tale.weighed_g is not None else {}
            hand.do("step_done", {"step": step.id, **weighed})
        if tale.pictures and step.id in ("cover_off", "cleaned"):
            hand.photograph(step.id == "cleaned", "before" if step.id == "cover_off" else "after", step.id)
    for breach in bench_view.get_bench(workshop, actor, job_id).state.breaches:
        hand.do("checked", {"of": breach, "words": "Looked round the die with the loupe, nothing bridged"})
    hand.at = max([hand.at, *_due(workshop, actor, job_id, ("burn_in",))])
    hand.do("closed", {})


def _due(workshop: Workshop, actor: Actor, job_id: uuid.UUID, kinds: Sequence[str]) -> list[datetime]:
    if not kinds:
        return []
    waits = bench_view.get_bench(workshop, actor, job_id).state.waits.values()
    return [w.due for w in waits if w.wait in kinds]


def keep_model(workshop: Workshop, actor: Actor, job_id: uuid.UUID, notes: tuple[str, str]) -> None:
    """Keep what a job's bench has mapped for its model."""
    view = device_models.save_from_job(workshop, actor, job_id)
    torque, text = notes
    device_models.save_notes(workshop, actor, model_id=view.id, version=view.version, torque_notes=torque, notes=text)
