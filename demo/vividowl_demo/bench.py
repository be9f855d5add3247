"""The bench of the made-up shop: maps of its models, lists that were worked through, and two that are in the middle."""

from __future__ import annotations

import io
import uuid
from collections.abc import Mapping, Sequence
from datetime import datetime, timedelta
from functools import cache
from typing import Any

from vividowl.core.bench.first_power import CHECKS
from vividowl.core.materials.kinds import Kind
from vividowl.service.bench import photos
from vividowl.service.bench import view as bench_view
from vividowl.service.bench import work as bench_work
from vividowl.service.bench.taking import Sent, take_events
from vividowl.service.models import models as device_models
from vividowl.service.workshop import Actor, Workshop
from vividowl_demo.data import read
from vividowl_demo.pictures import fins_picture
from vividowl_demo.story import BenchTale

TABLET = "demo-tablet"


# Minutes of hands by task for one step of it, roughly what a practised hand needs.
_PACE: Mapping[str, float] = {"open_close": 3.2, "clean": 4.5, "repaste": 5.0, "alloy": 6.5, Kind.SHEET: 5.0}


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
    known = maps().get(model)
    if not view.state.places and known is not None:
        for place in known["places"]:
            hand.do("place_added", {"place": place})
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


def keep_model(workshop: Workshop, actor: Actor, job_id: uuid.UUID, model: str) -> None:
    """Keep what a job's bench has mapped for its model, where the shop notes something of it."""
    known = maps().get(model, {})
    if "notes" in known:
        view = device_models.save_from_job(workshop, actor, job_id)
        notes = {name: known[name] for name in ("torque_notes", "notes")}
        device_models.save_notes(workshop, actor, model_id=view.id, version=view.version, **notes)


@cache
def maps() -> dict[str, dict[str, Any]]:
    """What is known of models: places of the map, and what the shop notes."""
    found = read("maps")
    return {**found, **{name: {**found[m["same_as"]], **m} for name, m in found.items() if "same_as" in m}}
