"""Steps that look and clean: dust with the cooler on, both faces when it is off, alloy in a way of its own."""

from __future__ import annotations

from vividowl.core.bench.interlocks import Device
from vividowl.core.bench.steps.vocabulary import BenchStep, Work
from vividowl.core.bench.waits import WAITS

_ROTOR = "Hold the rotor when blowing air."
NEVER_SAND = "Never sand or polish it: that takes the saturated layer and the plating away."


def clean_steps(device: Device, work: Work) -> list[BenchStep]:
    """Steps that look and clean.

    device: its traits
    work: what is done to it
    returns: steps (k,)
    source: handbook/materials.md, handbook/bench.md: common practice, no source
    """
    if not device.opens:
        return []
    steps = [
        BenchStep("look", "clean", "Look at it before it is cleaned", "the print tells what was wrong" if device.lifts
                  else "dust, a dragging fan or a swollen battery change the plan", "bright light, loupe", shows="seen",
                  photo=True, task="clean"),
    ]  # fmt: skip
    if work.clean:
        flick = "Clean fins, fan and vents; flick the fan: it spins on freely"
        why = "dust is the first of all causes"
        steps.append(BenchStep(
            "dust_out", "clean", flick if device.has_fan else "Clean fins and vents",
            f"{why}; a fan that drags undoes the best paste" if device.has_fan else why, "brush, air", "",
            _ROTOR if device.has_fan else "", ("dust_out", "fan_free") if device.has_fan else ("dust_out",),
            task="clean"))  # fmt: skip
    elif device.has_fan:
        steps.append(
            BenchStep(
                "fan_flick",
                "clean",
                "Flick the fan: it spins on freely",
                "it is closed up for years now",
                "",
                "",
                "",
                ("fan_free",),
                task="clean",
            )
        )
    if device.lifts:
        steps += face_steps(old_alloy=work.old_alloy)
    return steps


def face_steps(*, old_alloy: bool) -> list[BenchStep]:
    """Steps that clean every face the cooler leaves.

    old_alloy: the old interface is gallium alloy [flag]
    returns: steps (k,), the last of them marks the faces as clean
    source: handbook/materials.md, handbook/bench.md: common practice, no source
    """
    dry = WAITS["alcohol"].minutes
    if not old_alloy:
        return [BenchStep(
            "cleaned", "clean", "Every die and plate: dry wipe, then alcohol, until the cloth stays white",
            "residue keeps the film thick", "lint-free cloth, alcohol", "",
            "No metal on bare silicon. An old coat may come off: look after it.", ("cleaned",), wait="alcohol",
            wait_min=dry, task="clean")]  # fmt: skip
    return [
        BenchStep(
            "alloy_scrape",
            "clean",
            "Scrape the dried crust with plastic; lift flakes and drops with the syringe",
            "a loose flake shorts what it falls on",
            "plastic scraper, syringe, tape round the die, gloves",
            "",
            f"{NEVER_SAND} Nothing of it near aluminium.",
            task="alloy",
        ),
        BenchStep(
            "alloy_waste",
            "clean",
            "Crust, swabs and gloves into the labelled jar",
            "it goes on eating aluminium in the bin",
            "jar with lid, labelled “gallium”",
            "",
            "Dispose of it by local rules.",
            task="alloy",
        ),
        BenchStep(
            "cleaned",
            "clean",
            "Wipe die and plate with alcohol, one way, a fresh swab each; look at the copper",
            "a silvery stain is the saturated layer and may stay; grey and bare spots are re-wetted",
            "lint-free swabs, alcohol, loupe",
            "",
            NEVER_SAND,
            ("cleaned",),
            wait="alcohol",
            wait_min=dry,
            task="alloy",
        ),
    ]
