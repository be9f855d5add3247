"""Steps that put things on: plating, insulation, pads and shims, what goes on each die, the last look, a new fan."""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from dataclasses import replace

from vividowl.core.bench.interlocks import Device
from vividowl.core.bench.steps.vocabulary import BenchStep, PlannedPart, Work
from vividowl.core.bench.waits import WAITS
from vividowl.core.materials.plating import Bath

TARGET_WORDS: Mapping[str, str] = {
    "cpu_die": "the processor die",
    "gpu_die": "the graphics die",
    "memory": "the memory",
    "regulators": "the regulators",
    "inductors": "the inductors",
    "cover": "the bottom cover",
    "other": "its place",
}
ALLOY, SHEET, TUBE, STIFF = "gallium_alloy", "phase_change_sheet", "phase_change_paste", "paste_stiff"
TASK_OF_KIND: Mapping[str, str] = {ALLOY: "alloy", SHEET: SHEET, TUBE: TUBE, "pad": "pads", "putty": "putty",
                                   "copper_shim": "shim"}  # fmt: skip
# Weighing the syringe before and after tells a dose; a sheet and a shim are counted.
_WEIGHED = ("paste_soft", "paste_stiff", TUBE, ALLOY, "putty")
_ACIDS = "Acids and nickel salts: nitrile gloves, closed goggles, apron, ventilation."


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
    source: handbook sections 6 and 7: common practice, no source
    """
    steps: list[BenchStep] = []
    on_die = work.on_die
    if work.bath is not None:
        steps += plating_steps(work.bath)
    if any(p.kind == ALLOY for p in on_die):
        steps += _insulate(work)
    steps += [_lay(p) for p in work.parts if not p.on_die and p.target != "cover"]
    for i, part in enumerate(on_die):
        steps += _on_die(part, "applied_gpu" if i else "applied")
    if device.lifts:
        steps += _last_look(on_die)
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
        task=TASK_OF_KIND.get(part.kind, "repaste"),
        part=part.index,
        asks="dose_g" if part.kind in _WEIGHED else "",
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
    if part.kind == ALLOY:
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
    if part.kind == SHEET:
        return [
            _apply(part, f"Peel the first film, lay the sheet on {where}, press bubbles out from the middle",
                   (fact, "film_on"), "air does not conduct", "tape or needle, card",
                   "Fingers off. Touched or torn: take the spare piece.", ("fridge", "alcohol")),
            BenchStep(f"film_off{number}", "fit", "Peel the second film; lay it on the tray where you see it",
                      "forgetting it ruins the result", "tape or needle", "", "", ("film_off",), task=SHEET),
        ]  # fmt: skip
    if part.kind == TUBE:
        return [
            replace(_apply(part, f"Spread a thin even film on {where}", (fact,), "it cannot flow before it melts",
                           "card, tape as a mask"), wait="solvent_hot", wait_min=WAITS["solvent_hot"].minutes,
                    caution="10 min at about 100 °C, or 24 h open to the air. Ventilate; no flame."),
            BenchStep(f"solvent{number}", "fit", "The solvent has left: the film is matt and dry",
                      "found still liquid later, it never cured", after_waits=("solvent_hot",), task=TUBE),
        ]  # fmt: skip
    warm = "Warm it first: a stiff paste spreads when warm." if part.kind == STIFF else ""
    return [_apply(part, f"Put {part.school or 'a thin film'} on {where}", (fact,),
                   "more than enough beats too little; what does not conduct is only a mess", "tube, card, glove",
                   warm)]  # fmt: skip


def _last_look(on_die: Sequence[PlannedPart]) -> list[BenchStep]:
    out = []
    if any(p.kind == ALLOY for p in on_die):
        out.append(inspect_step())
    out.append(covered_step())
    return out


def inspect_step(step: str = "alloy_inspect") -> BenchStep:
    """The inspection that alloy asks for before anything closes over it.

    step: its id [text]
    returns: BenchStep
    source: handbook section 6: common practice, no source
    """
    return BenchStep(step, "fit", "Inspect under magnification: all round the die, plugs and legs of parts",
                     "one bead under a part is found by the first power", "loupe or microscope, syringe, swab", "",
                     "A bead: lift it with the syringe, wipe with alcohol, look again.", ("alloy_inspected",),
                     photo=True, task="alloy")  # fmt: skip


def covered_step(step: str = "covered") -> BenchStep:
    """The last look at every face before the cooler goes back.

    step: its id [text]
    returns: BenchStep
    source: handbook section 7: common practice, no source
    """
    return BenchStep(
        step,
        "fit",
        "Look at every face: each die covered, each pad whole and in its place, no film left on",
        "what is bare now is bare under power",
        "bright light",
        "",
        "A pad that oils, crumbles or tore with the cooler is replaced, never doubled.",
        ("covered",),
        photo=True,
        task="open_close",
    )


def stopgap_step(step: str, fact: str, words: str) -> BenchStep:
    """A new interface where the plan names none and the die would stay bare.

    step: its id [text]
    fact: that it makes true [text]
    words: of the die [text]
    returns: BenchStep
    source: handbook section 7: common practice, no source
    """
    return BenchStep(step, "fit", f"Put new paste on {words}", "the cooler was lifted: nothing goes back on a bare die",
                     "tube, card, glove", "paste of the shop", "", (fact,), after_waits=("alcohol",), task="repaste",
                     asks="dose_g")  # fmt: skip


def _lay(part: PlannedPart) -> BenchStep:
    where = TARGET_WORDS[part.target]
    if part.kind == "putty":
        return _apply(
            part,
            f"Lay putty on {where}: three beads on large parts, two on small ones",
            (),
            "it takes any gap",
            "glove, card",
        )
    if part.kind == "copper_shim" and part.bond == "paste":
        return _apply(part, f"Lay the shim over {where}: paste that does not conduct on both its faces", (),
                      "thin films, no more than fill the gap", "loupe, tube",
                      "Nothing holds it but the cooler: it must not wander to the parts around it.")  # fmt: skip
    if part.kind == "copper_shim":
        return replace(
            _apply(part, f"Glue the shim to the heatsink over {where}; paste on its other face", (),
                   "glued on one side it cannot wander, pasted on the other the chip comes free again",
                   "loupe, heat glue, tube", "It must not touch the parts around it. No glue on the chip."),
            wait="glue", wait_min=WAITS["glue"].minutes)  # fmt: skip
    if part.kind == "pad":
        return _apply(part, f"Lay the pads on {where}; both films off now", (), "a film left on does not conduct",
                      "tweezers", "Too thick lifts the cooler off the die.")  # fmt: skip
    return _apply(part, f"Put {part.words} on {where}", (), "as planned", "glove, card")


def cover_step(part: PlannedPart) -> BenchStep:
    """The pad between heatsink and cover, laid last, when all below is known to work.

    part: of the plan
    returns: BenchStep
    source: handbook section 6: common practice, no source
    """
    step = _apply(part, "Lay the pad on the heatsink where it meets the cover; both films off; close the cover by hand",
                  (), "look along a straight edge: the cover lies flat", "alcohol, tweezers, straight edge",
                  "The cover bulges, or the pad reaches over the battery: take it off again.", ())  # fmt: skip
    return replace(step, stage="close", task="cover")


def plating_steps(bath: Bath) -> list[BenchStep]:
    """The chain of baths that puts nickel on a cold plate.

    bath: what was planned for it
    returns: steps (k,)
    source: handbook section 6: common practice, no source; the bath maker's sheet and licensed practice come first
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
