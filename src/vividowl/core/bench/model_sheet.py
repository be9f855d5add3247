"""What is kept of a model of device: map, own steps, dies, gaps and notes; checked when it comes from outside."""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from dataclasses import asdict, dataclass, fields, replace
from typing import Any

from vividowl.core.bench.fasteners import PLACES_MOST, Place
from vividowl.core.bench.log.decide import STEPS_MOST
from vividowl.core.bench.log.state import BenchState
from vividowl.core.bench.log.stored import place_from, step_from, taken
from vividowl.core.bench.steps.vocabulary import BenchStep
from vividowl.core.job.device import DeviceKind
from vividowl.core.plan.inspection import gap_advice
from vividowl.core.plan.spots import GapSpot
from vividowl.core.quantities.errors import CoreError, require_one_of, require_range
from vividowl.core.quantities.words import listed, say

FORMAT, VERSION = "vividowl-model", 1  # of the file of a model
NAME_MOST, NOTE_MOST = 120, 2000  # signs of a maker or model, signs of its notes; limits of the product


@dataclass(frozen=True, kw_only=True)
class ModelSheet:
    """maker, model and kind; places of the map; steps of the shop's own with the step each follows; order of
    all steps where it is the shop's own; dies: width and
    length [mm]; gaps below the cooler; torque_notes and notes in words."""

    maker: str
    model: str
    kind: str
    places: tuple[Place, ...] = ()
    steps: tuple[BenchStep, ...] = ()
    anchors: tuple[str, ...] = ()
    order: tuple[str, ...] = ()
    cpu_die_mm: tuple[float, float] | None = None
    gpu_die_mm: tuple[float, float] | None = None
    gaps: tuple[GapSpot, ...] = ()
    torque_notes: str = ""
    notes: str = ""


def own_steps(state: BenchState) -> tuple[tuple[BenchStep, ...], tuple[str, ...]]:
    """Steps that persons added to a list, and the step that each of them follows.

    state: the bench of a job
    returns: steps (n,) and ids (n,)
    """
    found = [(s, state.steps[i - 1].id if i else "") for i, s in enumerate(state.steps) if s.own]
    return tuple(s for s, _ in found), tuple(a for _, a in found)


def sheet_data(sheet: ModelSheet) -> dict[str, Any]:
    """A sheet as plain data, the way it is stored and exchanged.

    returns: data with units in its keys
    """
    plain = asdict(sheet)
    plain["steps"] = [
        {**{k: v for k, v in asdict(s).items() if k not in ("part", "own")}, "after": a}
        for s, a in zip(sheet.steps, sheet.anchors, strict=True)
    ]
    del plain["anchors"]
    return {"format": FORMAT, "version": VERSION, **plain}


def sheet_from(data: Mapping[str, Any]) -> ModelSheet:
    """A sheet from plain data that may come from another shop.

    data: as sheet_data gives it; unknown keys are refused
    raises: CoreError, OutOfRange naming the field
    """
    if data.get("format") != FORMAT or data.get("version") != VERSION:
        raise CoreError(say("model-sheet-this-no-model-sheet-version", version=VERSION, format=FORMAT), field="format")
    known = {f.name for f in fields(ModelSheet)} - {"anchors"} | {"format", "version"}
    odd = [k for k in data if k not in known]
    if odd:
        raise CoreError(
            say("model-sheet-model-sheet-knows-no", odd=str(odd[0])[:40], names=listed(sorted(known))),
            field=str(odd[0])[:40],
        )
    maker, model = _text(data, "maker", 80), _text(data, "model", NAME_MOST)
    if not model:
        raise CoreError(say("model-sheet-model-has-no-name"), field="model")
    kind = data.get("kind")
    require_one_of("kind", str(kind), DeviceKind)
    places = tuple(map(place_from, _rows(data, "places", PLACES_MOST)))
    if len({p.id for p in places}) != len(places):
        raise CoreError(say("model-sheet-two-places-have-same-id"), field="places")
    steps = _rows(data, "steps", STEPS_MOST)
    made = tuple(replace(step_from({k: v for k, v in s.items() if k != "after"}), own=True) for s in steps)
    if len({s.id for s in made}) != len(made):
        raise CoreError(say("model-sheet-two-steps-have-same-id"), field="steps")
    anchors = tuple(str(s.get("after", ""))[:80] for s in steps)
    order = data.get("order", [])
    if not isinstance(order, (list, tuple)) or len(order) > STEPS_MOST or not all(isinstance(o, str) for o in order):
        raise CoreError(say("model-sheet-order-no-list-step-ids"), field="order")
    cpu, gpu, gaps = _die(data, "cpu_die_mm"), _die(data, "gpu_die_mm"), tuple(map(_gap, _rows(data, "gaps", 40)))
    return ModelSheet(
        maker=maker,
        model=model,
        kind=str(kind),
        places=places,
        steps=made,
        anchors=anchors,
        order=tuple(order),
        cpu_die_mm=cpu,
        gpu_die_mm=gpu,
        gaps=gaps,
        torque_notes=_text(data, "torque_notes", NOTE_MOST),
        notes=_text(data, "notes", NOTE_MOST),
    )


def _text(data: Mapping[str, Any], name: str, most: int) -> str:
    value = data.get(name, "")
    if not isinstance(value, str) or len(value) > most or "\0" in value:
        raise CoreError(say("model-sheet-no-text-up-to-characters", name=name, most=most), field=name)
    return value.strip()


def _rows(data: Mapping[str, Any], name: str, most: int) -> Sequence[Mapping[str, Any]]:
    value = data.get(name, [])
    if not isinstance(value, (list, tuple)) or len(value) > most or not all(isinstance(v, Mapping) for v in value):
        raise CoreError(say("model-sheet-no-list-up-to-entries", name=name, most=most), field=name)
    return value


def _die(data: Mapping[str, Any], name: str) -> tuple[float, float] | None:
    value = data.get(name)
    if value is None:
        return None
    if not isinstance(value, (list, tuple)) or len(value) != 2 or not all(_is_number(v) for v in value):
        raise CoreError(say("model-sheet-no-pair-width-and-length", name=name), field=name)
    return (
        require_range(name, float(value[0]), "mm", (1.0, 60.0)),
        require_range(name, float(value[1]), "mm", (1.0, 60.0)),
    )


def _is_number(value: object) -> bool:
    return isinstance(value, (int, float)) and not isinstance(value, bool)


def _gap(row: Mapping[str, Any]) -> GapSpot:
    spot = taken(GapSpot, row, ("target", "how", "reading_mm", "tolerance_mm", "width_mm", "length_mm"), "gap")
    gap_advice(spot)
    return spot
