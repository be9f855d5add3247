"""Plating at the bench: baths, waits, and the measured layer."""

from __future__ import annotations

from dataclasses import replace

from vividowl.core.bench.steps.vocabulary import BenchStep
from vividowl.core.bench.waits import WAITS
from vividowl.core.materials.plating import Bath
from vividowl.core.quantities.words import Words, say


def plating_steps(bath: Bath) -> list[BenchStep]:
    """The chain of baths that puts nickel on a cold plate.

    bath: what was planned for it
    source: handbook/materials.md: common practice, no source; the bath maker's sheet and licensed practice come first
    """
    current = "" if bath.amps is None else say("baths-over", amps=bath.amps, area_cm2=bath.area_cm2)
    turn = say("baths-even-holes-and-edges-too") if bath.amps is None else say("baths-thick-on-edges-bare-in")
    minutes = min(WAITS["plating"].most_min, max(WAITS["plating"].least_min, 60.0 * bath.hours))

    def step(name: str, text: Words, *, why: Words, tool: Words, caution: Words = "", **more: object) -> BenchStep:
        return replace(
            BenchStep(
                id=f"plate_{name}",
                stage="fit",
                text=text,
                why=why,
                tool=tool,
                material="",
                caution=caution,
                task="plating",
            ),
            **more,  # type: ignore[arg-type]
        )

    return [
        step(
            "mask",
            say("baths-take-all-off-plate-that"),
            why=say("baths-mixed-metals-stain"),
            tool=say("baths-plating-tape"),
            after_waits=("alcohol",),
        ),
        step(
            "degrease",
            say("baths-degrease-wipe-dry-then-acetone"),
            why=say("baths-grease-leaves-bald-spots"),
            tool=say("baths-acetone-gloves-ventilation"),
            caution=say("baths-acetone-burns-and-numbs-no"),
        ),
        step(
            "cleaner",
            say("baths-copper-cleaner-for-to-min"),
            why=say("baths-oxide-stops-nickel"),
            tool=say("baths-copper-cleaner-water"),
            caution=_ACIDS,
        ),
        step(
            "activator",
            say("baths-activator-for-min-then-rinse"),
            why=say("baths-copper-does-not-start-by"),
            tool=say("baths-activator-water"),
            caution=_ACIDS,
            wait="activator",
            wait_min=WAITS["activator"].minutes,
        ),
        step(
            "bath",
            say(
                "baths-into-at-c-for-m",
                words=bath.words,
                temperature_c=bath.temperature_c,
                hours=hours_words(bath.hours),
                target_um=bath.target_um,
                rate_um_h=bath.rate_um_h,
                current=current,
            ),
            why=turn,
            tool=say("baths-thermometer-stirrer-clock"),
            caution=say("baths-never-leave-heated-bath-alone", acids=_ACIDS),
            wait="plating",
            wait_min=minutes,
            after_waits=("activator",),
        ),
        step(
            "measure",
            say("baths-rinse-dry-measure-layer-on"),
            why=say("baths-thin-films-fail-after-three"),
            tool=say("baths-gauge-or-scale-loupe"),
            after_waits=("plating",),
            asks="layer_um",
        ),
        step(
            "log",
            say("baths-into-bath-log-bath-temperature"),
            why=say("baths-baths-tire-next-part-wants"),
            tool=say("baths-bath-log"),
        ),
        step(
            "waste",
            say("baths-bath-and-rinse-water-into"),
            why=say("baths-nickel-must-not-go-down"),
            tool=say("baths-labelled-can"),
            caution=say("baths-legal-disposal-licensed-practice-where"),
        ),
    ]


def hours_words(hours: float) -> Words:
    """A time in a bath in words.

    hours: time [h]
    """
    return say("baths-hours", hours=hours) if hours >= 1 else say("baths-minutes", minutes=60 * hours)


_ACIDS = say("baths-acids-and-nickel-salts-nitrile")
