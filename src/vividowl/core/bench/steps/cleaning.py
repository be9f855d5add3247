"""Steps that look and clean: dust with the cooler on, both faces when it is off, alloy in a way of its own."""

from __future__ import annotations

from vividowl.core.bench.interlocks import Device
from vividowl.core.bench.steps.vocabulary import BenchStep, Work
from vividowl.core.bench.waits import WAITS
from vividowl.core.quantities.words import say

_ROTOR = say("cleaning-hold-rotor-when-blowing-air")
NEVER_SAND = say("cleaning-never-sand-or-polish-that")


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
        BenchStep(
            "look",
            "clean",
            say("cleaning-look-at-before-cleaned"),
            say("cleaning-print-tells-what-was-wrong")
            if device.lifts
            else say("cleaning-dust-dragging-fan-or-swollen"),
            say("cleaning-bright-light-loupe"),
            shows="seen",
            photo=True,
            task="clean",
        ),
    ]
    if device.lifts and work.old_alloy:
        steps += crust_steps()
    if work.clean:
        fans = say("cleaning-clean-fins-fan-and-vents")
        why = say("cleaning-dust-first-all-causes")
        steps.append(
            BenchStep(
                "dust_out",
                "clean",
                fans if device.has_fan else say("cleaning-clean-fins-and-vents"),
                say("cleaning-fan-that-drags-undoes-best", why=why) if device.has_fan else why,
                say("cleaning-brush-air"),
                "",
                _ROTOR if device.has_fan else "",
                ("dust_out", "fan_free") if device.has_fan else ("dust_out",),
                task="clean",
            )
        )
    elif device.has_fan:
        steps.append(
            BenchStep(
                "fan_flick",
                "clean",
                say("cleaning-turn-fan-by-hand"),
                say("cleaning-closed-up-for-years-now"),
                "",
                "",
                "",
                ("fan_free",),
                task="clean",
            )
        )
    if device.lifts:
        steps.append(wipe_step(old_alloy=work.old_alloy))
    return steps


def crust_steps() -> list[BenchStep]:
    """Steps that take dried alloy away, before a brush or air can blow its flakes over the board: flakes conduct.

    returns: steps (k,)
    source: handbook/materials.md: common practice, no source
    """
    return [
        BenchStep(
            "alloy_scrape",
            "clean",
            say("cleaning-scrape-dried-crust-with-plastic"),
            say("cleaning-loose-flake-shorts-what-falls"),
            say("cleaning-plastic-scraper-syringe-tape-round"),
            "",
            say("cleaning-nothing-near-aluminium", never_sand=NEVER_SAND),
            ("alloy_scraped",),
            task="alloy",
        ),
        BenchStep(
            "alloy_waste",
            "clean",
            say("cleaning-crust-swabs-and-gloves-into"),
            say("cleaning-goes-on-eating-aluminium-in"),
            say("cleaning-jar-with-lid-labelled-gallium"),
            "",
            say("cleaning-dispose-by-local-rules"),
            ("alloy_away",),
            task="alloy",
        ),
    ]


def wipe_step(*, old_alloy: bool) -> BenchStep:
    """The step that cleans every face the cooler leaves.

    old_alloy: the old interface is gallium alloy [flag]
    returns: BenchStep, which marks the faces as clean
    source: handbook/materials.md, handbook/bench.md: common practice, no source
    """
    words = (
        (
            say("cleaning-wipe-die-and-plate-with"),
            say("cleaning-silvery-stain-saturated-layer-and"),
            say("cleaning-lint-free-swabs-alcohol-loupe"),
            "",
            NEVER_SAND,
        )
        if old_alloy
        else (
            say("cleaning-every-die-and-plate-dry"),
            say("cleaning-residue-keeps-film-thick"),
            say("cleaning-lint-free-cloth-alcohol"),
            "",
            say("cleaning-no-metal-on-bare-silicon"),
        )
    )
    return BenchStep(
        "cleaned",
        "clean",
        *words,
        ("cleaned",),
        wait="alcohol",
        wait_min=WAITS["alcohol"].minutes,
        task="alloy" if old_alloy else "clean",
    )


def face_steps(*, old_alloy: bool) -> list[BenchStep]:
    """Steps that clean every face the cooler leaves, where nothing else is cleaned in between.

    old_alloy: the old interface is gallium alloy [flag]
    returns: steps (k,), the last of them marks the faces as clean
    source: handbook/materials.md, handbook/bench.md: common practice, no source
    """
    return [*(crust_steps() if old_alloy else ()), wipe_step(old_alloy=old_alloy)]
