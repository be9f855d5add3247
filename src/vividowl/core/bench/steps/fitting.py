"""Steps that put things on: plating, insulation, pads and shims, what goes on each die, the last look, a new fan."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import replace

from vividowl.core.bench.interlocks import Device
from vividowl.core.bench.steps.baths import plating_steps
from vividowl.core.bench.steps.faces import last_look
from vividowl.core.bench.steps.vocabulary import BenchStep, PlannedPart, Work
from vividowl.core.bench.waits import WAITS
from vividowl.core.materials.kinds import CATALOGUE, Kind, Trait

TARGET_WORDS: Mapping[str, str] = {
    "cpu_die": "the processor die",
    "gpu_die": "the graphics die",
    "memory": "the memory",
    "regulators": "the regulators",
    "inductors": "the inductors",
    "cover": "the bottom cover",
    "other": "its place",
}


def apply_id(target: str, kind: str, index: int | None) -> str:
    """Id of the step that puts a part on: it says what goes where, so that another material is another step.

    target: where [text]
    kind: of material [text]
    index: in the plan [1], None when the plan does not name it
    returns: id [text]
    source: the definition
    """
    return f"apply_{target}_{kind}" + ("" if index is None else f"_{index}")


def fit_steps(device: Device, work: Work) -> list[BenchStep]:
    """Steps that put things on.

    device: its traits
    work: what is done to it
    returns: steps (k,)
    source: handbook/materials.md, handbook/bench.md: common practice, no source
    """
    steps: list[BenchStep] = []
    on_die = work.on_die
    if work.bath is not None:
        steps += plating_steps(work.bath)
    if any(p.kind == Kind.ALLOY for p in on_die):
        steps += _insulate(work)
    steps += [_lay(p) for p in work.parts if not p.on_die and p.target != "cover"]
    for i, part in enumerate(on_die):
        steps += _on_die(part, "applied_gpu" if i else "applied")
    if device.lifts:
        steps += last_look(on_die)
    if work.new_fan:
        steps.append(
            BenchStep(
                "new_fan",
                "fit",
                "Take the old fan out, fit the new one; flick it: it spins on freely",
                "the old one drags",
                "bit that fits",
                "",
                "The cooler stays where it is." if not device.lifts else "",
                ("fan_free",),
                task="fan",
            )
        )
    return steps


def _apply(part: PlannedPart, text: str, acts: tuple[str, ...], why: str, tool: str, caution: str = "",
           after: tuple[str, ...] = ("alcohol",)) -> BenchStep:  # fmt: skip
    material = f"{part.words}{f', {part.dose}' if part.dose else ''}"
    return BenchStep(
        apply_id(part.target, part.kind, part.index),
        "fit",
        text,
        why,
        tool,
        material,
        caution,
        acts,
        after_waits=after,
        task=CATALOGUE[part.kind].task,
        part=part.index,
        # Weighing the syringe before and after tells a dose; a sheet and a shim are counted.
        asks="dose_g" if CATALOGUE[part.kind].has(Trait.LIQUID) else "",
    )


def _insulate(work: Work) -> list[BenchStep]:
    out: list[BenchStep] = []
    if work.insulated_now and work.insulation in ("coat", "none"):
        gear, minutes = "conformal coat, rated to 110 °C, fine brush", WAITS["coat"].minutes
        out = [
            BenchStep(
                "coat_1",
                "fit",
                "Coat the small parts round the die, first layer",
                "alloy shorts them",
                gear,
                "",
                "",
                ("coated_once",),
                wait="coat",
                wait_min=minutes,
                after_waits=("alcohol",),
                task="alloy",
            ),
            BenchStep(
                "coat_2",
                "fit",
                "Second layer",
                "one layer has pinholes",
                gear,
                "",
                "",
                ("coated",),
                wait="coat",
                wait_min=minutes,
                after_waits=("coat",),
                task="alloy",
            ),
        ]
    elif work.insulated_now:
        words = {"tape": "Tape the small parts round the die", "lacquer": "Lacquer the small parts round the die"}
        out = [
            BenchStep(
                "guard",
                "fit",
                words[work.insulation],
                "alloy shorts them",
                "heat-proof tape, knife" if work.insulation == "tape" else "clear lacquer, brush",
                "",
                "Lacquer is the last choice: not rated for the heat." if work.insulation == "lacquer" else "",
                ("coated_once", "coated"),
                task="alloy",
            )
        ]
    out.append(
        BenchStep(
            "insulated",
            "fit",
            "With the loupe: coat, tape and foam round the die are whole",
            "cleaning takes an old coat off without a word",
            "loupe",
            "",
            "Bare parts and alloy are a short circuit.",
            ("insulated",),
            after_waits=("coat",) if any(s.wait == "coat" for s in out) else ("alcohol",),
            task="alloy",
        )
    )
    return out


def _on_die(part: PlannedPart, fact: str) -> list[BenchStep]:
    where = TARGET_WORDS[part.target]
    number = "" if part.index is None else f"_{part.index}"
    if part.kind == Kind.ALLOY:
        return [
            BenchStep(
                f"tray{number}",
                "fit",
                "Press a tiny drop into the tray",
                "pressed out on the board it cannot be called back",
                "syringe, tray, gloves",
                f"{part.words}, {part.dose}",
                "Never near aluminium.",
                task="alloy",
            ),
            _apply(
                part,
                f"Rub a thin film onto {where} and the plate; suck the excess back",
                ("alloy_applied", fact),
                "it wets nothing by itself: re-wet grey spots; no pool, no bald spot",
                "swab, syringe",
                "One bead beside the die is a short circuit. Swab and gloves into the labelled jar.",
                ("coat", "alcohol"),
            ),
        ]
    if part.kind == Kind.SHEET:
        return [
            _apply(part, f"Peel the first film, lay the sheet on {where}, press bubbles out from the middle",
                   (fact, "film_on"), "air does not conduct", "tape or needle, card",
                   "Fingers off. Touched or torn: take the spare piece.", ("fridge", "alcohol")),
            BenchStep(f"film_off{number}", "fit", "Peel the second film; lay it on the tray where you see it",
                      "forgetting it ruins the result", "tape or needle", "", "", ("film_off",), task=CATALOGUE[Kind.SHEET].task),
        ]  # fmt: skip
    if part.kind == Kind.TUBE:
        return [
            replace(_apply(part, f"Spread a thin even film on {where}", (fact,), "it cannot flow before it melts",
                           "card, tape as a mask"), wait="solvent_hot", wait_min=WAITS["solvent_hot"].minutes,
                    caution="10 min at about 100 °C, or 24 h open to the air. Ventilate; no flame."),
            BenchStep(f"solvent{number}", "fit", "The solvent has left: the film is matt and dry",
                      "found still liquid later, it never cured", after_waits=("solvent_hot",), task=CATALOGUE[Kind.TUBE].task),
        ]  # fmt: skip
    warm = "Warm it first: a stiff paste spreads when warm." if part.kind == Kind.PASTE_STIFF else ""
    return [_apply(part, f"Put {part.school or 'a thin film'} on {where}", (fact,),
                   "more than enough beats too little; what does not conduct is only a mess", "tube, card, glove",
                   warm)]  # fmt: skip


def _lay(part: PlannedPart) -> BenchStep:
    where = TARGET_WORDS[part.target]
    if part.kind == Kind.PUTTY:
        return _apply(
            part,
            f"Lay putty on {where}: three beads on large parts, two on small ones",
            (),
            "it takes any gap",
            "glove, card",
        )
    if part.kind == Kind.SHIM and part.bond == "paste":
        return _apply(part, f"Lay the shim over {where}: paste that does not conduct on both its faces", (),
                      "thin films, no more than fill the gap", "loupe, tube",
                      "Nothing holds it but the cooler: it must not wander to the parts around it.")  # fmt: skip
    if part.kind == Kind.SHIM:
        return replace(
            _apply(part, f"Glue the shim to the heatsink over {where}; paste on its other face", (),
                   "glued on one side it cannot wander, pasted on the other the chip comes free again",
                   "loupe, heat glue, tube", "It must not touch the parts around it. No glue on the chip."),
            wait="glue", wait_min=WAITS["glue"].minutes)  # fmt: skip
    if part.kind == Kind.PAD:
        return _apply(part, f"Lay the pads on {where}; both films off now", (), "a film left on does not conduct",
                      "tweezers", "Too thick lifts the cooler off the die.")  # fmt: skip
    return _apply(part, f"Put {part.words} on {where}", (), "as planned", "glove, card")


def cover_step(part: PlannedPart) -> BenchStep:
    """The pad between heatsink and cover, laid last, when all below is known to work.

    part: of the plan
    returns: BenchStep
    source: handbook/materials.md: common practice, no source
    """
    step = _apply(part, "Lay the pad on the heatsink where it meets the cover; both films off; close the cover by hand",
                  (), "look along a straight edge: the cover lies flat", "alcohol, tweezers, straight edge",
                  "The cover bulges, or the pad reaches over the battery: take it off again.", ())  # fmt: skip
    return replace(step, stage="close", task="cover")
