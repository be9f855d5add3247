"""The step list of a service: from the plan, the kind of device and what is known of the model."""

from __future__ import annotations

from collections.abc import Collection, Mapping, Sequence
from dataclasses import replace

from vividowl.core.bench_steps import BenchStep, PlannedPart, Work, check_step
from vividowl.core.fasteners import (
    PLUG,
    PLUG_PARTS,
    SCREW,
    Place,
    classes_of,
    loosening_order,
    tightening_order,
    tightening_passes,
)
from vividowl.core.interlocks import Device, after, breached
from vividowl.core.waits import WAITS

TARGET_WORDS: Mapping[str, str] = {
    "cpu_die": "the processor die", "gpu_die": "the graphics die", "memory": "the memory", "regulators": "the regulators",
    "inductors": "the inductors", "cover": "the bottom cover", "other": "its place",
}  # fmt: skip
DIE_TARGETS = ("cpu_die", "gpu_die")
ALLOY, SHEET, TUBE, STIFF = "gallium_alloy", "phase_change_sheet", "phase_change_paste", "paste_stiff"
TASK_OF_KIND: Mapping[str, str] = {ALLOY: "alloy", SHEET: SHEET, TUBE: TUBE, "pad": "pads", "putty": "putty",
                                   "copper_shim": "shim"}  # fmt: skip


def device_of(kind: str, work: Work, tighten_percent: int = 50, *, fanless: bool = False) -> Device:
    """What the rules must know of a device.

    kind: laptop, console, handheld or other [text]
    work: what is done to it
    tighten_percent: share of the turns in the first round of tightening [%]
    fanless: it has no fan [flag]
    returns: Device
    source: common practice, no source
    """
    on_die = [p for p in work.parts if p.target in DIE_TARGETS]
    return Device(
        kind in ("laptop", "handheld"), not fanless, any(p.kind == ALLOY for p in on_die), bool(on_die), tighten_percent
    )


def make_steps(
    kind: str, work: Work, places: Sequence[Place], school_percent: int, own: Sequence[BenchStep] = (),
    anchors: Sequence[str] = (), *, fanless: bool = False,
) -> tuple[BenchStep, ...]:  # fmt: skip
    """The step list.

    kind: laptop, console, handheld or other [text]
    work: what is done to it
    places: screws and plugs of the map (n,), empty when it is not mapped yet
    school_percent: share of the turns in the first round of tightening [%]
    own: the shop's steps for this model (m,)
    anchors: id of the step that each of them follows (m,) [text]
    fanless: it has no fan [flag]
    returns: steps (k,)
    raises: CoreError
    source: handbook sections 2, 6 and 7: common practice, no source
    """
    device = device_of(kind, work, school_percent, fanless=fanless)
    steps = [
        *_open(kind, device, work, places), *_clean(device, work), *_fit(work),
        *_close(device, work, places),
    ]  # fmt: skip
    for step, anchor in zip(own, anchors, strict=True):
        check_step(step)
        at = next((i for i, s in enumerate(steps) if s.id == anchor), None)
        if at is None:
            at = max(i for i, s in enumerate(steps) if s.stage == step.stage)
        steps.insert(at + 1, replace(step, own=True))
    return tuple(steps)


def in_order(steps: Sequence[BenchStep], order: Sequence[str], device: Device) -> tuple[BenchStep, ...]:
    """Steps in the order that a shop has found better for a model, unless a rule would be broken by it.

    steps: the list as made (n,)
    order: ids as they stood on an earlier job (m,) [text]; what it does not know stays behind what it stood behind
    device: its traits
    returns: steps (n,)
    source: the definition
    """
    place = {name: i for i, name in enumerate(order)}
    keyed: list[tuple[tuple[int, int], BenchStep]] = []
    last = -1
    for i, step in enumerate(steps):
        last = place.get(step.id, last)
        keyed.append(((last, i), step))
    wanted = tuple(step for _, step in sorted(keyed, key=lambda pair: pair[0]))
    facts: frozenset[str] = frozenset()
    for step in wanted:
        if breached(step.acts, facts, device) is not None:
            return tuple(steps)
        facts = after(step.acts, facts)
    return wanted


def follow_map(
    steps: Sequence[BenchStep], settled: Collection[str], places: Sequence[Place], device: Device
) -> tuple[BenchStep, ...]:
    """Steps still to do that deal with places, made to fit a map that changed.

    steps: the list (n,)
    settled: ids of steps that are done or skipped [text]
    places: screws and plugs of the map as it is now (m,)
    device: its traits
    returns: steps (k,)
    source: the definition
    """
    fresh = [s for s in (*_open("", device, Work(), places), *_close(device, Work(), places)) if s.shows == "map"]
    by_id = {s.id: s for s in fresh}
    out: list[BenchStep] = []
    for step in steps:
        if step.shows != "map" or step.own or step.id in settled:
            out.append(step)
        elif step.id in by_id:
            new = by_id[step.id]
            out.append(replace(step, text=new.text, why=new.why, caution=new.caution, takes_out=new.takes_out,
                               puts_in=new.puts_in))  # fmt: skip
    here = {s.id for s in out}
    for i, step in enumerate(fresh):
        if step.id not in here:
            before = {s.id for s in fresh[:i]}
            at = max((j for j, s in enumerate(out) if s.id in before), default=-1)
            out.insert(at + 1, step)
            here.add(step.id)
    return tuple(out)


def _ids(places: Sequence[Place], kind: str, *holds: str, order: bool = True) -> tuple[str, ...]:
    found = [p for p in places if p.kind == kind and p.holds in holds]
    return loosening_order(found) if kind == SCREW and order else tuple(p.id for p in found)


def _count(ids: Sequence[str], places: Sequence[Place]) -> str:
    by_id = {p.id: p for p in places}
    classes = classes_of([by_id[i] for i in ids])
    kinds = "" if len(classes) < 2 else f" ({len(classes)} classes)"
    return f"the {len(ids)} screws{kinds}" if len(ids) > 1 else "the screw" if ids else "the screws"


def _plugs(ids: Sequence[str], places: Sequence[Place]) -> str:
    by_id = {p.id: p for p in places}
    return ", ".join(by_id[i].note or PLUG_PARTS[by_id[i].holds] for i in ids)


def _open(kind: str, device: Device, work: Work, places: Sequence[Place]) -> list[BenchStep]:
    cover, inner = _ids(places, SCREW, "cover"), _ids(places, SCREW, "cooler")
    other = _ids(places, SCREW, "fan", "board", "other")
    battery = _ids(places, PLUG, "battery")
    plugs = _ids(places, PLUG, *(h for h in PLUG_PARTS if h != "battery"))
    off = "Shut down, unplug, hold the power button for 10 s. Strap on."
    mains = (
        "The power supply holds mains voltage: leave it closed. Licensed practice only." if kind == "console" else ""
    )
    steps = []
    if work.gates:
        steps.append(BenchStep("gates", "open", "Read once more what was accepted", " ".join(work.gates)))
    steps += [
        BenchStep("power_off", "open", off, "nothing is touched while it has power", "wrist strap, mat", "", mains,
                  ("power_off", "unplugged")),
        BenchStep("cover_screws_out", "open", f"Take {_count(cover, places)} of the cover out",
                  "a wrong length dents the board: each to its own tray" if cover else "map each one as it comes out",
                  "bit that fits, tray", "", "Photograph a seal first.", ("cover_screws_out",), cover, shows="map",
                  task="open_close"),
        BenchStep("cover_off", "open", "Lift the cover: clips all round, then look for short ribbons",
                  "the first state is the one that everything goes back to", "plastic pick", "",
                  "Do not pry deeper than 2 to 3 mm. Do not pull when a ribbon holds.", ("cover_off",), photo=True,
                  task="open_close"),
    ]  # fmt: skip
    if device.has_battery:
        steps.append(BenchStep(
            "battery_off", "open", "Battery plug off", "before anything else is touched", "plastic spudger", "",
            "Swollen or leaking: stop, isolate it, dispose of it by local rules.", ("battery_off",), battery, shows="map",
            task="open_close"))  # fmt: skip
    if plugs:
        steps.append(BenchStep("plugs_off", "open", f"Unplug: {_plugs(plugs, places)}", "each is an open item until it is back",
                               "spudger, tweezers", "", "Fan leads are fragile: push the plug, never pull the lead.",
                               ("plug_off",), plugs, shows="map", task="open_close"))  # fmt: skip
    if other:
        steps.append(BenchStep("other_screws_out", "open", f"Take {_count(other, places)} of fan and board out",
                               "what is in the way of the cooler", "bit that fits, tray", "", "", ("inner_screws_out",),
                               other, shows="map", task="open_close"))  # fmt: skip
    numbered = bool(inner) and all(p.number is not None for p in places if p.id in inner)
    how = "in reverse of the printed numbers" if numbered else "back and forth across the middle"
    steps += [
        BenchStep("cooler_screws_out", "open", f"Loosen {_count(inner, places)} of the cooler {how}, a little each",
                  "an even release keeps die and board from bending", "bit that fits", "", "", ("inner_screws_out",),
                  inner, shows="map", task="open_close"),
        BenchStep("cooler_off", "open", "Lift the cooler: twist, never yank",
                  "warm the stack with a hair dryer when it sticks", "hair dryer", "",
                  "Small parts sit beneath spring clamps.", ("cooler_off",), photo=True, task="open_close"),
    ]  # fmt: skip
    return steps


def _clean(device: Device, work: Work) -> list[BenchStep]:
    steps = []
    if any(p.kind == SHEET for p in work.parts):
        # First, so that it chills while the rest is cleaned.
        steps.append(BenchStep("chill", "clean", "Put the sheet into the fridge", "a cold film cuts clean and lets go of its liner",
                               "fridge, 4 to 8 °C", wait="fridge", wait_min=WAITS["fridge"].minutes, task=SHEET))  # fmt: skip
    steps += [
        BenchStep("look", "clean", "Look at it before it is cleaned", "the print tells what was wrong", "bright light, loupe",
                  shows="seen", photo=True, task="clean"),
        BenchStep("dust_out", "clean", "Clean fins, fan and vents; flick the fan: it spins on freely" if device.has_fan
                  else "Clean fins and vents", "dust is the first of all causes; a fan that drags undoes the best paste"
                  if device.has_fan else "dust is the first of all causes", "brush, air", "",
                  "Hold the rotor when blowing air." if device.has_fan else "",
                  ("dust_out", "fan_free") if device.has_fan else ("dust_out",), task="clean"),
    ]  # fmt: skip
    steps.append(BenchStep(
        "cleaned", "clean", "Die and plate: dry wipe, then alcohol, to a mirror", "residue keeps the film thick",
        "lint-free cloth, alcohol", "", "No metal on bare silicon. An old coat may come off: look after it.",
        ("cleaned",), wait="alcohol", wait_min=WAITS["alcohol"].minutes, task="clean"))  # fmt: skip
    return steps


def _apply(part: PlannedPart, text: str, acts: tuple[str, ...], why: str, tool: str, caution: str = "",
           after: tuple[str, ...] = ("alcohol",)) -> BenchStep:  # fmt: skip
    material = f"{part.words}{f', {part.dose}' if part.dose else ''}"
    return BenchStep(f"apply_{part.target}_{part.index}", "fit", text, why, tool, material, caution, acts, after_waits=after,
                     task=TASK_OF_KIND.get(part.kind, "repaste"), part=part.index)  # fmt: skip


def _fit(work: Work) -> list[BenchStep]:
    steps: list[BenchStep] = []
    on_die = [p for p in work.parts if p.target in DIE_TARGETS]
    beside = [p for p in work.parts if p.target not in DIE_TARGETS]
    kinds = {p.kind for p in on_die}
    if ALLOY in kinds:
        steps += _insulate(work)
    steps += [_lay(p) for p in beside]
    for part in on_die:
        steps += _on_die(part)
    if work.new_fan:
        steps.append(BenchStep("new_fan", "fit", "Fit the new fan", "the old one drags", "bit that fits", task="fan"))
    return steps


def _insulate(work: Work) -> list[BenchStep]:
    out: list[BenchStep] = []
    if work.insulated_now and work.insulation in ("coat", "none"):
        gear = "conformal coat, rated to 110 °C, fine brush"
        out = [
            BenchStep("coat_1", "fit", "Coat the small parts round the die, first layer", "alloy shorts them", gear,
                      wait="coat", wait_min=15.0, after_waits=("alcohol",), task="alloy"),
            BenchStep("coat_2", "fit", "Second layer", "one layer has pinholes", gear, wait="coat", wait_min=15.0,
                      after_waits=("coat",), task="alloy"),
        ]  # fmt: skip
    elif work.insulated_now:
        words = {"tape": "Tape the small parts round the die", "lacquer": "Lacquer the small parts round the die"}
        out = [BenchStep("guard", "fit", words[work.insulation], "alloy shorts them", "heat-proof tape, knife"
                         if work.insulation == "tape" else "clear lacquer, brush", "", "Lacquer is the last choice: not "
                         "rated for the heat." if work.insulation == "lacquer" else "", task="alloy")]  # fmt: skip
    out.append(BenchStep(
        "insulated", "fit", "With the loupe: coat, tape and foam round the die are whole",
        "cleaning takes an old coat off without a word", "loupe", "", "Bare parts and alloy are a short circuit.",
        ("insulated",), after_waits=("coat",) if any(s.wait == "coat" for s in out) else ("alcohol",), task="alloy"))  # fmt: skip
    return out


def _on_die(part: PlannedPart) -> list[BenchStep]:
    where = TARGET_WORDS[part.target]
    if part.kind == ALLOY:
        return [
            BenchStep(f"tray_{part.index}", "fit", "Press a tiny drop into the tray", "pressed out on the board it cannot be "
                      "called back", "syringe, tray, gloves", f"{part.words}, {part.dose}", "Never near aluminium.",
                      task="alloy"),
            _apply(part, f"Rub a thin film onto {where} and the plate; suck the excess back", ("alloy_applied", "applied"),
                   "no pool, no bald spot", "swab, syringe, loupe", "One bead beside the die is a short circuit.", ("coat", "alcohol")),
        ]  # fmt: skip
    if part.kind == SHEET:
        return [
            _apply(part, f"Peel the first film, lay the sheet on {where}, press bubbles out from the middle",
                   ("applied", "film_on"), "air does not conduct", "tape or needle, card", "Fingers off. Spare at hand.",
                   ("fridge", "alcohol")),
            BenchStep(f"film_off_{part.index}", "fit", "Peel the second film; lay it on the tray where you see it",
                      "forgetting it ruins the result", "tape or needle", "", "", ("film_off",), task=SHEET),
        ]  # fmt: skip
    if part.kind == TUBE:
        return [
            replace(_apply(part, f"Spread a thin even film on {where}", ("applied",), "it cannot flow before it melts",
                           "card, tape as a mask"), wait="solvent_hot", wait_min=10.0, caution="10 min at about 100 °C, or 24 h open "
                    "to the air. Ventilate; no flame."),
            BenchStep(f"solvent_{part.index}", "fit", "The solvent has left: the film is matt and dry",
                      "found still liquid later, it never cured", after_waits=("solvent_hot",), task=TUBE),
        ]  # fmt: skip
    warm = "Warm it first: a stiff paste spreads when warm." if part.kind == STIFF else ""
    return [_apply(part, f"Put {part.school or 'a thin film'} on {where}", ("applied",),
                   "more than enough beats too little; what does not conduct is only a mess", "tube, card, glove",
                   warm)]  # fmt: skip


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
    if part.kind == "copper_shim":
        return replace(
            _apply(
                part,
                f"Fit the shim over {where}: glue to the heatsink only",
                (),
                "a paste film on both faces",
                "loupe, heat glue",
                "It must not touch the parts around it.",
            ),
            wait="glue",
            wait_min=10.0,
        )
    if part.kind == "pad":
        return _apply(
            part,
            f"Lay the pads on {where}; both films off now",
            (),
            "a film left on does not conduct",
            "tweezers",
            "Too thick lifts the cooler off the die.",
        )
    return _apply(part, f"Put {part.words} on {where}", (), "as planned", "glove, card")


def _close(device: Device, work: Work, places: Sequence[Place]) -> list[BenchStep]:
    inner = tightening_order([p for p in places if p.kind == SCREW and p.holds == "cooler"])
    cover = tightening_order([p for p in places if p.kind == SCREW and p.holds == "cover"])
    other = tightening_order([p for p in places if p.kind == SCREW and p.holds in ("fan", "board", "other")])
    plugs = _ids(places, PLUG, *(h for h in PLUG_PARTS if h != "battery"))
    battery = _ids(places, PLUG, "battery")
    spring = any(p.head == "spring" for p in places if p.id in inner)
    rounds = " ".join(f"{r.words}." for r in tightening_passes(device.tighten_percent))
    steps = [
        BenchStep("cooler_on", "close", f"Seat the cooler straight down, start {_count(inner, places)} by hand, tighten in order",
                  rounds, "bit that fits", "", "Spring screws stop at the shoulder: do not force." if spring else "",
                  ("cooler_on", "inner_screws_in"), (), inner, shows="map", task="open_close"),
    ]  # fmt: skip
    if other:
        steps.append(BenchStep("other_screws_in", "close", f"Put {_count(other, places)} of fan and board back",
                               "each class to its places", "bit that fits", "", "", ("inner_screws_in",), (), other,
                               shows="map", task="open_close"))  # fmt: skip
    if plugs:
        steps.append(BenchStep("plugs_on", "close", f"Plug in: {_plugs(plugs, places)}", "nothing closes while one is open",
                               "spudger", "", "", ("plug_on",), (), plugs, shows="map", photo=True, task="open_close"))  # fmt: skip
    if device.has_battery:
        steps.append(BenchStep("battery_on", "close", "Battery plug on, last of all", "first off, last on", "spudger", "", "",
                               ("battery_on",), (), battery, shows="map", task="open_close"))  # fmt: skip
    steps += [
        BenchStep("power_on", "close", "First power-on, before the last screws", "what is missing is still easy to reach",
                  "", "", "Loose cover: fingers away from the fan.", ("power_on_ok",), shows="power", task="open_close"),
        BenchStep("cover_screws_in", "close", f"Cover on, {_count(cover, places)} back in their places",
                  "count in must equal count out", "bit that fits", "", "", ("cover_screws_in",), (), cover, shows="map",
                  task="open_close"),
    ]  # fmt: skip
    if any(p.kind in (SHEET, TUBE) for p in work.parts):
        steps.append(BenchStep("burn_in", "close", "Burn in under load, above 45 °C",
                               "it settles mostly in the first 30 to 40 min; only then is it judged", "the Before recipe",
                               wait="burn_in", wait_min=WAITS["burn_in"].minutes, task=SHEET))  # fmt: skip
    return steps
