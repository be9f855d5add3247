"""Steps that open a device, as far as the plan needs it open, and the map's words for screws and plugs."""

from __future__ import annotations

from collections.abc import Sequence

from vividowl.core.bench.fasteners import PLUG, PLUG_PARTS, SCREW, Place, classes_of, loosening_order
from vividowl.core.bench.interlocks import Device
from vividowl.core.bench.steps.vocabulary import DIE_TARGETS, BenchStep, Work
from vividowl.core.bench.waits import WAITS
from vividowl.core.materials.kinds import CATALOGUE, Kind

_OFF = "Shut down, unplug, hold the power button for 10 s. Strap on."
_MAINS = "The power supply holds mains voltage: leave it closed. Licensed practice only."


def ids_of(places: Sequence[Place], kind: str, *holds: str) -> tuple[str, ...]:
    """Ids of places of a kind, screws in the order they are loosened.

    places: the map (n,)
    kind: screw or plug [text]
    holds: what they hold or what is plugged [text]
    returns: ids (m,) [text]
    source: the definition
    """
    found = [p for p in places if p.kind == kind and p.holds in holds]
    return loosening_order(found) if kind == SCREW else tuple(p.id for p in found)


def screws_in_the_way(device: Device) -> tuple[str, ...]:
    """What screws hold that come out besides those of cover and cooler.

    device: its traits
    returns: names of SCREW_GROUPS [text]
    source: common practice, no source
    """
    if device.lifts:
        return ("fan", "board", "other")
    return ("fan",) if device.new_fan else ()


def plugs_in_the_way(device: Device) -> tuple[str, ...]:
    """What is unplugged besides the battery: all below the cooler, the fan's for a new fan, nothing else.

    device: its traits
    returns: names of PLUG_PARTS [text]
    source: common practice, no source
    """
    if device.lifts:
        return tuple(h for h in PLUG_PARTS if h != "battery")
    return ("fan",) if device.new_fan else ()


def screw_words(ids: Sequence[str], places: Sequence[Place]) -> str:
    """Some screws as a step names them: the 6 screws (2 classes).

    ids: of the screws (n,) [text]
    places: the map (m,)
    returns: words [text]
    source: the definition
    """
    by_id = {p.id: p for p in places}
    classes = classes_of([by_id[i] for i in ids])
    kinds = "" if len(classes) < 2 else f" ({len(classes)} classes)"
    return f"the {len(ids)} screws{kinds}" if len(ids) > 1 else "the screw" if ids else "the screws"


def plug_words(ids: Sequence[str], places: Sequence[Place]) -> str:
    """Some plugs as a step names them.

    ids: of the plugs (n,) [text]
    places: the map (m,)
    returns: words [text]
    source: the definition
    """
    by_id = {p.id: p for p in places}
    return ", ".join(by_id[i].note or PLUG_PARTS[by_id[i].holds] for i in ids)


def open_steps(kind: str, device: Device, work: Work, places: Sequence[Place]) -> list[BenchStep]:
    """Steps from the switched-on device to what the plan has to reach.

    kind: laptop, console, handheld or other [text]
    device: its traits
    work: what is done to it
    places: screws and plugs of the map (n,)
    returns: steps (k,)
    source: handbook/order-of-work.md, handbook/materials.md, handbook/bench.md: common practice, no source
    """
    steps = []
    if work.gates:
        steps.append(BenchStep("gates", "open", "Read once more what was accepted", " ".join(work.gates)))
    if not device.opens:
        return steps
    sheets = [p for p in work.parts if p.kind == Kind.SHEET and p.target in DIE_TARGETS]
    if sheets:
        # First of all: it chills while the device is opened, and is cut before the cooler leaves the die.
        steps.append(
            BenchStep(
                "chill",
                "open",
                "Put the sheet into the fridge",
                "a cold film cuts clean and lets go of its liner",
                "fridge, 4 to 8 °C",
                wait="fridge",
                wait_min=WAITS["fridge"].minutes,
                task=CATALOGUE[Kind.SHEET].task,
            )
        )
    steps += _to_the_battery(kind, device, places)
    if device.new_fan or device.lifts:
        steps += _what_is_in_the_way(device, places)
    if device.lifts:
        steps += _cut(work) if sheets else []
        steps += _lift(places)
    return steps


def _to_the_battery(kind: str, device: Device, places: Sequence[Place]) -> list[BenchStep]:
    cover, battery = ids_of(places, SCREW, "cover"), ids_of(places, PLUG, "battery")
    steps = [
        BenchStep("power_off", "open", _OFF, "nothing is touched while it has power", "wrist strap, mat", "",
                  _MAINS if kind == "console" else "", ("power_off", "unplugged")),
        BenchStep("cover_screws_out", "open", f"Take {screw_words(cover, places)} of the cover out",
                  "a wrong length dents the board: each to its own tray" if cover else "map each one as it comes out",
                  "bit that fits, tray", "", "Photograph a seal first.", ("cover_screws_out",), cover, shows="map",
                  task="open_close"),
        BenchStep("cover_off", "open", "Lift the cover: clips all round, then look for short ribbons",
                  "the first state is the one that everything goes back to", "plastic pick", "",
                  "Do not pry deeper than 2 to 3 mm. Do not pull when a ribbon holds.", ("cover_off",), photo=True,
                  task="open_close"),
    ]  # fmt: skip
    if device.has_battery:
        steps.append(
            BenchStep(
                "battery_off",
                "open",
                "Battery plug off",
                "before anything else is touched",
                "plastic spudger",
                "",
                "Swollen or leaking: stop, isolate it, dispose of it by local rules.",
                ("battery_off",),
                battery,
                shows="map",
                task="open_close",
            )
        )
    return steps


def _what_is_in_the_way(device: Device, places: Sequence[Place]) -> list[BenchStep]:
    plugs = ids_of(places, PLUG, *plugs_in_the_way(device))
    other = ids_of(places, SCREW, *screws_in_the_way(device))
    steps = []
    if plugs:
        steps.append(
            BenchStep(
                "plugs_off",
                "open",
                f"Unplug: {plug_words(plugs, places)}",
                "each is an open item until it is back",
                "spudger, tweezers",
                "",
                "Fan leads are fragile: push the plug, never pull the lead.",
                ("plug_off",),
                plugs,
                shows="map",
                task="open_close",
            )
        )
    if other:
        of, why = (
            ("fan and board", "what is in the way of the cooler")
            if device.lifts
            else ("the fan", "the cooler stays on")
        )
        steps.append(BenchStep("other_screws_out", "open", f"Take {screw_words(other, places)} of {of} out", why,
                               "bit that fits, tray", "", "", ("inner_screws_out",), other, shows="map",
                               task="open_close"))  # fmt: skip
    return steps


def _cut(work: Work) -> list[BenchStep]:
    """Cut before the cooler comes off: a bare die does not wait for a blade."""
    pieces = ", ".join(f"{p.words}: {p.dose}" for p in work.parts if p.kind == Kind.SHEET)
    return [BenchStep(
        "cut", "open", "Cut the piece and a spare with a fresh blade; back into the fridge until they are laid",
        "a dull or warm cut drags the film; a touched piece cannot be laid any more", "new blade, steel ruler", pieces,
        "Both liners stay on. Fingers off the faces.", after_waits=("fridge",), task=CATALOGUE[Kind.SHEET].task,
    )]  # fmt: skip


def _lift(places: Sequence[Place]) -> list[BenchStep]:
    inner = ids_of(places, SCREW, "cooler")
    numbered = bool(inner) and all(p.number is not None for p in places if p.id in inner)
    how = "in reverse of the printed numbers" if numbered else "back and forth across the middle"
    return [
        BenchStep(
            "cooler_screws_out",
            "open",
            f"Loosen {screw_words(inner, places)} of the cooler {how}, a little each",
            "an even release keeps die and board from bending",
            "bit that fits",
            "",
            "",
            ("inner_screws_out",),
            inner,
            shows="map",
            task="open_close",
        ),
        BenchStep(
            "cooler_off",
            "open",
            "Lift the cooler: twist, never yank",
            "warm the stack with a hair dryer when it sticks",
            "hair dryer",
            "",
            "Small parts sit beneath spring clamps.",
            ("cooler_off",),
            photo=True,
            task="open_close",
        ),
    ]
