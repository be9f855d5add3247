"""What the gates of a plan are judged by."""

from __future__ import annotations

from collections.abc import Sequence

from vividowl.core.heat.skin import (
    Skin,
)
from vividowl.core.materials.kinds import Kind, Material
from vividowl.core.plan.cover import cover_pad
from vividowl.core.plan.gates import PlanFacts
from vividowl.core.plan.inspection import gap_rows, shim_of
from vividowl.core.plan.prediction import Action
from vividowl.core.plan.spots import (
    LAP_PLACES,
    Inspection,
    is_on_lap,
)
from vividowl.core.quantities.words import Words, listed, say


def _rated(material: Material | None, hottest_c: float | None) -> Words:
    if material is None or hottest_c is None or hottest_c <= material.service_c:
        return ""
    return say(
        "inspection-rated-to-c-die-reaches",
        words=material.words,
        service_c=material.service_c,
        hottest_c=hottest_c,
    )


def facts_of(
    found: Inspection,
    actions: Sequence[Action],
    kind: str | None,
    *,
    swollen: bool,
    sealed: bool,
    skin: Skin | None,
    battery: bool,
    paste_over_gap: bool = False,
    material: Material | None = None,
    hottest_c: float | None = None,
    after_place: str = "",
) -> PlanFacts:
    """Facts of one option, for its gates.

    found: what was found
    actions: what the option does
    kind: interface that goes on the die, None for none [text]
    swollen: the battery is [flag]
    sealed: warranty running or a seal intact [flag]
    skin: predicted for a coupled cover, None when not known
    battery: the device has one [flag]
    paste_over_gap: paste is planned on memory, regulators or inductors [flag]
    material: that interface with its service temperature, None when it is not known
    hottest_c: die at its limit, or as hot as it is predicted to be [degC], None when it is not known
    after_place: where the After was run, as it was typed [text]
    source: common practice, no source
    """
    opened = bool(set(actions) - {Action.TUNE})
    pads = Action.PADS in actions and found.gap_filler == "pads"
    rows = gap_rows(found) if Action.PADS in actions else ()
    lifts = next((a.force.reason for a in rows if a.force is not None and a.force.lifts), "") if pads else ""
    pressed = cover_pad(found) if Action.COVER in actions else None
    shim = shim_of(found) if Action.SHIM in actions else None
    return PlanFacts(
        alloy=kind == Kind.ALLOY,
        cold_plate=found.cold_plate,
        aluminium_near={"yes": True, "no": False}.get(found.aluminium_near),
        parts_exposed={"yes": True, "no": False}.get(found.parts_exposed),
        insulation=found.insulation,
        carried=found.carried or found.place in LAP_PLACES,
        pad_lifts=lifts,
        paste_over_gap=paste_over_gap,
        shim_misfit=shim[1].reason if shim is not None and not shim[1].fits else "",
        shim_height=shim[2].reason if shim is not None and not shim[2].fits else "",
        gap_open=listed((a.reason for a in rows if a.open), "space"),
        cover=Action.COVER in actions,
        skin=skin,
        lap_use=found.place in LAP_PLACES,
        cover_force=pressed[1] if pressed else "",
        cover_gap=pressed is not None,
        battery=battery,
        battery_mm=found.cover.battery_mm if found.cover else None,
        opens_mains=found.opens_mains and opened,
        swollen=swollen and opened,
        plating=found.plating and opened,
        sealed=sealed and opened,
        rated=_rated(material, hottest_c),
        after_on_lap=is_on_lap(after_place),
    )
