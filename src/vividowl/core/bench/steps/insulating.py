"""Steps that insulate the parts round a die before alloy is opened."""

from __future__ import annotations

from vividowl.core.bench.steps.vocabulary import BenchStep, Work
from vividowl.core.bench.waits import WAITS
from vividowl.core.quantities.words import say


def insulating_steps(work: Work) -> list[BenchStep]:
    """Steps that insulate the parts round a die.

    work: what is done to the device
    returns: steps (k,)
    source: handbook/materials.md: common practice, no source
    """
    out: list[BenchStep] = []
    if work.insulated_now and work.insulation in ("coat", "none"):
        gear, minutes = say("fitting-conformal-coat-rated-to-c"), WAITS["coat"].minutes
        out = [
            BenchStep(
                "coat_1",
                "fit",
                say("fitting-coat-small-parts-round-die"),
                say("fitting-alloy-shorts-them"),
                gear,
                "",
                say("fitting-touch-dry-full-cure-by-data-sheet"),
                ("coated_once",),
                wait="coat",
                wait_min=minutes,
                after_waits=("alcohol",),
                task="alloy",
            ),
            BenchStep(
                "coat_2",
                "fit",
                say("fitting-second-layer"),
                say("fitting-one-layer-has-pinholes"),
                gear,
                "",
                say("fitting-touch-dry-full-cure-by-data-sheet"),
                ("coated",),
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
                "guard",
                "fit",
                words[work.insulation],
                say("fitting-alloy-shorts-them"),
                say("fitting-heat-proof-tape-knife")
                if work.insulation == "tape"
                else say("fitting-clear-lacquer-brush"),
                "",
                say("fitting-lacquer-last-choice-not-rated") if work.insulation == "lacquer" else "",
                ("coated_once", "coated"),
                task="alloy",
            )
        ]
    out.append(
        BenchStep(
            "insulated",
            "fit",
            say("fitting-with-loupe-coat-tape-and"),
            say("fitting-cleaning-takes-old-coat-off"),
            "loupe",
            "",
            say("fitting-bare-parts-and-alloy-short"),
            ("insulated",),
            after_waits=("coat",) if any(s.wait == "coat" for s in out) else ("alcohol",),
            task="alloy",
        )
    )
    return out
