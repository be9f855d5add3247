"""Plating at the bench: baths, waits, and the measured layer."""

from __future__ import annotations

from dataclasses import replace

from vividowl.core.bench.steps.vocabulary import BenchStep
from vividowl.core.bench.waits import WAITS
from vividowl.core.materials.plating import Bath


def plating_steps(bath: Bath) -> list[BenchStep]:
    """The chain of baths that puts nickel on a cold plate.

    bath: what was planned for it
    returns: steps (k,)
    source: handbook/materials.md: common practice, no source; the bath maker's sheet and licensed practice come first
    """
    size = f"{bath.area_cm2:.0f} cm²"
    current = "" if bath.amps is None else f", {bath.amps:.2f} A over {size}"
    turn = "even, holes and edges too" if bath.amps is None else "thick on edges, bare in holes: turn the part"
    minutes = min(WAITS["plating"].most_min, max(WAITS["plating"].least_min, 60.0 * bath.hours))

    def step(name: str, text: str, why: str, tool: str, caution: str = "", **more: object) -> BenchStep:
        return replace(BenchStep(f"plate_{name}", "fit", text, why, tool, "", caution, task="plating"), **more)  # type: ignore[arg-type]

    return [
        step(
            "mask",
            "Take all off the plate that is no copper; mask what stays bare",
            "mixed metals stain",
            "plating tape",
            after_waits=("alcohol",),
        ),
        step(
            "degrease",
            "Degrease: wipe dry, then acetone",
            "grease leaves bald spots",
            "acetone, gloves, ventilation",
            "Acetone burns and numbs: no flame, fresh air.",
        ),
        step(
            "cleaner",
            "Copper cleaner for 1 to 10 min, then rinse",
            "oxide stops the nickel",
            "copper cleaner, water",
            _ACIDS,
        ),
        step(
            "activator",
            "Activator for 20 min, then rinse",
            "copper does not start by itself",
            "activator, water",
            _ACIDS,
            wait="activator",
            wait_min=WAITS["activator"].minutes,
        ),
        step(
            "bath",
            f"Into the {bath.words} at {bath.temperature_c:.0f} °C for {hours_words(bath.hours)}: "
            f"{bath.target_um:g} µm at {bath.rate_um_h:.1f} µm/h{current}",
            turn,
            "thermometer, stirrer, clock",
            f"{_ACIDS} Never leave a heated bath alone.",
            wait="plating",
            wait_min=minutes,
            after_waits=("activator",),
        ),
        step(
            "measure",
            "Rinse, dry, measure the layer on the coupon; look at edges and holes under magnification",
            "thin films fail: after three months under alloy one looked like bare copper",
            "gauge or scale, loupe",
            after_waits=("plating",),
            asks="layer_um",
        ),
        step(
            "log",
            "Into the bath log: bath, temperature, time, layer, what it looks like",
            "baths tire; the next part wants to know",
            "bath log",
        ),
        step(
            "waste",
            "Bath and rinse water into the labelled can",
            "nickel must not go down the drain",
            "labelled can",
            "Legal disposal; licensed practice where the law asks.",
        ),
    ]


def hours_words(hours: float) -> str:
    """A time in a bath in words.

    hours: time [h]
    returns: words [text]
    source: the definition
    """
    return f"{hours:.1f} h" if hours >= 1 else f"{60 * hours:.0f} min"


_ACIDS = "Acids and nickel salts: nitrile gloves, closed goggles, apron, ventilation."
