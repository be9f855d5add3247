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

    work: what is done to it
    source: handbook/materials.md, handbook/bench.md: common practice, no source
    """
    if not device.opens:
        return []
    steps = [
        BenchStep(
            id="look",
            stage="clean",
            text=say("cleaning-look-at-before-cleaned"),
            why=say("cleaning-print-tells-what-was-wrong")
            if device.lifts
            else say("cleaning-dust-dragging-fan-or-swollen"),
            tool=say("cleaning-bright-light-loupe"),
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
                id="dust_out",
                stage="clean",
                text=fans if device.has_fan else say("cleaning-clean-fins-and-vents"),
                why=say("cleaning-fan-that-drags-undoes-best", why=why) if device.has_fan else why,
                tool=say("cleaning-brush-air"),
                material="",
                caution=_ROTOR if device.has_fan else "",
                acts=("dust_out", "fan_free") if device.has_fan else ("dust_out",),
                task="clean",
            )
        )
    elif device.has_fan:
        steps.append(
            BenchStep(
                id="fan_flick",
                stage="clean",
                text=say("cleaning-turn-fan-by-hand"),
                why=say("cleaning-closed-up-for-years-now"),
                tool="",
                material="",
                caution="",
                acts=("fan_free",),
                task="clean",
            )
        )
    if device.lifts:
        steps.append(wipe_step(old_alloy=work.old_alloy))
    return steps


def crust_steps() -> list[BenchStep]:
    """Steps that take dried alloy away, before a brush or air can blow its flakes over the board: flakes conduct.

    source: handbook/materials.md: common practice, no source
    """
    return [
        BenchStep(
            id="alloy_scrape",
            stage="clean",
            text=say("cleaning-scrape-dried-crust-with-plastic"),
            why=say("cleaning-loose-flake-shorts-what-falls"),
            tool=say("cleaning-plastic-scraper-syringe-tape-round"),
            material="",
            caution=say("cleaning-nothing-near-aluminium", never_sand=NEVER_SAND),
            acts=("alloy_scraped",),
            task="alloy",
        ),
        BenchStep(
            id="alloy_waste",
            stage="clean",
            text=say("cleaning-crust-swabs-and-gloves-into"),
            why=say("cleaning-goes-on-eating-aluminium-in"),
            tool=say("cleaning-jar-with-lid-labelled-gallium"),
            material="",
            caution=say("cleaning-dispose-by-local-rules"),
            acts=("alloy_away",),
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
        id="cleaned",
        stage="clean",
        text=words[0],
        why=words[1],
        tool=words[2],
        material=words[3],
        caution=words[4],
        acts=("cleaned",),
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
