"""Steps that put things on: plating, insulation, pads and shims, what goes on each die, the last look, a new fan."""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from dataclasses import replace

from vividowl.core.bench.fasteners import PAD, Place
from vividowl.core.bench.interlocks import Device
from vividowl.core.bench.steps.baths import plating_steps
from vividowl.core.bench.steps.faces import last_look
from vividowl.core.bench.steps.insulating import insulating_steps
from vividowl.core.bench.steps.vocabulary import BenchStep, PlannedPart, Work
from vividowl.core.bench.waits import WAITS
from vividowl.core.materials.kinds import CATALOGUE, Kind, Trait
from vividowl.core.quantities.words import Words, listed, say

_TARGETS = ("cpu_die", "gpu_die", "memory", "regulators", "inductors", "cover", "other")
TARGET_WORDS: Mapping[str, Words] = {t: say(f"onto-{t}") for t in _TARGETS}


def apply_id(target: str, kind: str, index: int | None) -> str:
    """Id of the step that puts a part on: it says what goes where, so that another material is another step.

    target: where [text]
    kind: of material [text]
    index: in the plan [1], None when the plan does not name it
    """
    return f"apply_{target}_{kind}" + ("" if index is None else f"_{index}")


def pads_of(step: str, places: Sequence[Place]) -> tuple[str, ...]:
    """Pads of the map that a step puts on.

    step: its id [text]
    places: screws, plugs and pads of the map (n,)
    returns: ids of the pads on what the step covers (k,) [text]
    """
    return tuple(p.id for p in places if p.kind == PAD and step.startswith(f"apply_{p.holds}_"))


def fit_steps(device: Device, work: Work) -> list[BenchStep]:
    """Steps that put things on.

    work: what is done to it
    source: handbook/materials.md, handbook/bench.md: common practice, no source
    """
    steps: list[BenchStep] = []
    on_die = work.on_die
    if work.bath is not None:
        steps += plating_steps(work.bath)
    if any(p.kind == Kind.ALLOY for p in on_die):
        steps += insulating_steps(work)
    for part in work.parts:
        if not part.on_die and part.target != "cover":
            steps += _before_shim(part) if part.kind == Kind.SHIM else []
            steps.append(_lay(part))
    for i, part in enumerate(on_die):
        steps += _on_die(part, "applied_gpu" if i else "applied")
    if device.lifts:
        steps += last_look(on_die)
    if work.new_fan:
        steps.append(
            BenchStep(
                id="new_fan",
                stage="fit",
                text=say("fitting-take-old-fan-out-fit"),
                why=say("fitting-old-one-drags"),
                tool=say("closing-bit-that-fits"),
                material="",
                caution=say("fitting-cooler-stays-where") if not device.lifts else "",
                acts=("inside", "fan_free"),
                task="fan",
            )
        )
    return steps


def _apply(
    part: PlannedPart,
    text: Words,
    *,
    acts: tuple[str, ...],
    why: Words,
    tool: Words,
    caution: Words = "",
    after: tuple[str, ...] = ("alcohol",),
) -> BenchStep:
    material = listed(w for w in (part.words, part.dose, part.shift) if w)
    return BenchStep(
        id=apply_id(part.target, part.kind, part.index),
        stage="fit",
        text=text,
        why=why,
        tool=tool,
        material=material,
        caution=caution,
        acts=acts,
        after_waits=after,
        task=CATALOGUE[part.kind].task,
        part=part.index,
        # Weighing the syringe before and after tells a dose; a sheet and a shim are counted.
        asks="dose_g" if CATALOGUE[part.kind].has(Trait.LIQUID) else "",
    )


def _on_die(part: PlannedPart, fact: str) -> list[BenchStep]:
    where = TARGET_WORDS[part.target]
    number = "" if part.index is None else f"_{part.index}"
    if part.kind == Kind.ALLOY:
        return [
            BenchStep(
                id=f"tray{number}",
                stage="fit",
                text=say("fitting-press-tiny-drop-into-tray"),
                why=say("fitting-pressed-out-on-board-cannot"),
                tool=say("fitting-syringe-tray-gloves"),
                material=listed((part.words, part.dose)),
                caution=say("fitting-never-near-aluminium"),
                task="alloy",
            ),
            _apply(
                part,
                say("fitting-rub-thin-film-onto-and", where=where),
                acts=("alloy_applied", fact),
                why=say("fitting-wets-nothing-by-itself-re"),
                tool=say("fitting-swab-syringe"),
                caution=say("fitting-one-bead-beside-die-short"),
                after=("coat", "alcohol"),
            ),
        ]
    if part.kind == Kind.SHEET:
        return [
            _apply(
                part,
                say("fitting-peel-first-film-lay-sheet", where=where),
                acts=(fact, "film_on"),
                why=say("fitting-air-does-not-conduct"),
                tool=say("fitting-tape-or-needle-card"),
                caution=say("fitting-fingers-off-touched-or-torn"),
                after=("fridge", "alcohol"),
            ),
            BenchStep(
                id=f"film_off{number}",
                stage="fit",
                text=say("fitting-peel-second-film-lay-on"),
                why=say("fitting-forgetting-ruins-result"),
                tool=say("fitting-tape-or-needle"),
                material="",
                caution="",
                acts=("film_off",),
                task=CATALOGUE[Kind.SHEET].task,
            ),
        ]
    if part.kind == Kind.TUBE:
        return [
            replace(
                _apply(
                    part,
                    say("fitting-spread-thin-even-film-on", where=where),
                    acts=(fact,),
                    why=say("fitting-cannot-flow-before-melts"),
                    tool=say("fitting-card-tape-as-mask"),
                ),
                wait="solvent",
                wait_min=WAITS["solvent"].minutes,
                caution=say("fitting-open-to-air-by-data-sheet"),
            ),
            BenchStep(
                id=f"solvent{number}",
                stage="fit",
                text=say("fitting-solvent-has-left-film-matt"),
                why=say("fitting-found-still-liquid-later-never"),
                after_waits=("solvent",),
                task=CATALOGUE[Kind.TUBE].task,
            ),
        ]
    warm = say("fitting-warm-first-stiff-paste-spreads") if part.kind == Kind.PASTE_STIFF else ""
    return [
        _apply(
            part,
            say("fitting-put-on-2", school=part.school or say("vocabulary-thin-film"), where=where),
            acts=(fact,),
            why=say("fitting-more-than-enough-beats-too"),
            tool=say("faces-tube-card-glove"),
            caution=warm,
        )
    ]


def _before_shim(part: PlannedPart) -> list[BenchStep]:
    """What a shim is planned on: bare parts beside it are covered, and the print shows that it does not hold the
    cooler off its die."""
    number = "" if part.index is None else f"_{part.index}"
    out = []
    if part.insulate:
        out.append(
            BenchStep(
                id=f"shim_guard{number}",
                stage="fit",
                text=say("fitting-cover-bare-parts-beside-shim"),
                why=say("fitting-copper-that-wanders-shorts-them"),
                tool=say("fitting-heat-proof-tape-knife"),
                acts=("inside",),
                after_waits=("alcohol",),
                task=CATALOGUE[Kind.SHIM].task,
            )
        )
    out.append(
        BenchStep(
            id=f"shim_print{number}",
            stage="fit",
            text=say("fitting-lay-shim-dry-and-press"),
            why=say("fitting-print-shows-both-chips-touch"),
            tool=say("fitting-putty-card"),
            material=part.shift,
            caution=say("fitting-no-print-on-die-stop"),
            acts=("inside",),
            after_waits=("alcohol",),
            task=CATALOGUE[Kind.SHIM].task,
        )
    )
    return out


def _lay(part: PlannedPart) -> BenchStep:
    where = TARGET_WORDS[part.target]
    if part.kind == Kind.PUTTY:
        return _apply(
            part,
            say("fitting-lay-putty-on-three-beads", where=where),
            acts=("inside",),
            why=say("fitting-takes-any-gap"),
            tool=say("fitting-glove-card"),
        )
    if part.kind == Kind.SHIM and part.bond == "paste":
        return _apply(
            part,
            say("fitting-lay-shim-over-paste-that", where=where),
            acts=("inside",),
            why=say("fitting-thin-films-no-more-than"),
            tool=say("fitting-loupe-tube"),
            caution=say("fitting-nothing-holds-but-cooler-must"),
        )
    if part.kind == Kind.SHIM:
        return replace(
            _apply(
                part,
                say("fitting-glue-shim-to-heatsink-over", where=where),
                acts=("inside",),
                why=say("fitting-glued-on-one-side-cannot"),
                tool=say("fitting-loupe-heat-glue-tube"),
                caution=say("fitting-must-not-touch-parts-around"),
            ),
            wait="glue",
            wait_min=WAITS["glue"].minutes,
        )
    if part.kind == Kind.PAD:
        return _apply(
            part,
            say("fitting-lay-pads-on-both-films", where=where),
            acts=("inside",),
            why=say("fitting-film-left-on-does-not"),
            tool="tweezers",
            caution=say("fitting-too-thick-lifts-cooler-off"),
        )
    laid = _apply(
        part,
        say("fitting-put-on", words=part.words, where=where),
        acts=("inside",),
        why=say("fitting-as-planned"),
        tool=say("fitting-glove-card"),
    )
    return replace(laid, wait="glue", wait_min=WAITS["glue"].minutes) if part.kind == Kind.GLUE else laid


def cover_step(part: PlannedPart) -> BenchStep:
    """The pad between heatsink and cover, laid last of all, while the battery plug is still off.

    part: of the plan
    source: handbook/materials.md: common practice, no source
    """
    step = _apply(
        part,
        say("fitting-lay-pad-on-heatsink-where"),
        acts=("inside",),
        why=say("fitting-look-along-straight-edge-cover"),
        tool=say("fitting-alcohol-tweezers-straight-edge"),
        caution=say("fitting-cover-bulges-or-pad-reaches"),
        after=(),
    )
    return replace(step, stage="close", task="cover")
