"""Steps that insulate the parts round a die before alloy is opened."""

from __future__ import annotations

from vividowl.core.bench.steps.vocabulary import BenchStep, Work
from vividowl.core.bench.waits import WAITS
from vividowl.core.quantities.words import say


def insulating_steps(work: Work) -> list[BenchStep]:
    """Steps that insulate the parts round a die.

    work: what is done to the device
    source: handbook/materials.md: common practice, no source
    """
    out: list[BenchStep] = []
    if work.insulated_now and work.insulation in ("coat", "none"):
        gear, minutes = say("fitting-conformal-coat-rated-to-c"), WAITS["coat"].minutes
        out = [
            BenchStep(
                id="coat_1",
                stage="fit",
                text=say("fitting-coat-small-parts-round-die"),
                why=say("fitting-alloy-shorts-them"),
                tool=gear,
                material="",
                caution=say("fitting-touch-dry-full-cure-by-data-sheet"),
                acts=("coated_once",),
                wait="coat",
                wait_min=minutes,
                after_waits=("alcohol",),
                task="alloy",
            ),
            BenchStep(
                id="coat_2",
                stage="fit",
                text=say("fitting-second-layer"),
                why=say("fitting-one-layer-has-pinholes"),
                tool=gear,
                material="",
                caution=say("fitting-touch-dry-full-cure-by-data-sheet"),
                acts=("coated",),
                wait="coat",
                wait_min=minutes,
                after_waits=("coat",),
                task="alloy",
            ),
        ]
    elif work.insulated_now:
        words = {
            "tape": say("fitting-tape-small-parts-round-die"),
            "lacquer": say("fitting-lacquer-small-parts-round-die"),
        }
        out = [
            BenchStep(
                id="guard",
                stage="fit",
                text=words[work.insulation],
                why=say("fitting-alloy-shorts-them"),
                tool=say("fitting-heat-proof-tape-knife")
                if work.insulation == "tape"
                else say("fitting-clear-lacquer-brush"),
                material="",
                caution=say("fitting-lacquer-last-choice-not-rated") if work.insulation == "lacquer" else "",
                acts=("coated_once", "coated"),
                task="alloy",
            )
        ]
    out.append(
        BenchStep(
            id="insulated",
            stage="fit",
            text=say("fitting-with-loupe-coat-tape-and"),
            why=say("fitting-cleaning-takes-old-coat-off"),
            tool="loupe",
            material="",
            caution=say("fitting-bare-parts-and-alloy-short"),
            acts=("insulated",),
            after_waits=("coat",) if any(s.wait == "coat" for s in out) else ("alcohol",),
            task="alloy",
        )
    )
    return out
