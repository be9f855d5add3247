"""Steps that open a device, as far as the plan needs it open, and the map's words for screws and plugs."""

from __future__ import annotations

from collections.abc import Sequence

from vividowl.core.bench.fasteners import PLUG, PLUG_PARTS, SCREW, Place, classes_of, loosening_order
from vividowl.core.bench.interlocks import Device
from vividowl.core.bench.steps.vocabulary import DIE_TARGETS, BenchStep, Work
from vividowl.core.bench.waits import WAITS
from vividowl.core.materials.kinds import CATALOGUE, Kind
from vividowl.core.quantities.words import Words, listed, say

_MAINS = say("opening-power-supply-holds-mains-voltage")


def ids_of(places: Sequence[Place], kind: str, *holds: str) -> tuple[str, ...]:
    """Ids of places of a kind, screws in the order they are loosened.

    kind: screw or plug [text]
    holds: what they hold or what is plugged [text]
    """
    found = [p for p in places if p.kind == kind and p.holds in holds]
    return loosening_order(found) if kind == SCREW else tuple(p.id for p in found)


def screws_in_the_way(device: Device) -> tuple[str, ...]:
    """What screws hold that come out besides those of cover and cooler.

    returns: names of SCREW_GROUPS [text]
    source: common practice, no source
    """
    if device.lifts:
        return ("fan", "board", "other")
    return ("fan",) if device.new_fan else ()


def plugs_in_the_way(device: Device) -> tuple[str, ...]:
    """What is unplugged besides the battery: all below the cooler, the fan's for a new fan, nothing else.

    returns: names of PLUG_PARTS [text]
    source: common practice, no source
    """
    if device.lifts:
        return tuple(h for h in PLUG_PARTS if h != "battery")
    return ("fan",) if device.new_fan else ()


def screw_words(ids: Sequence[str], places: Sequence[Place]) -> Words:
    """Some screws as a step names them: the 6 screws (2 classes).

    ids: of the screws (n,) [text]
    """
    by_id = {p.id: p for p in places}
    classes = classes_of([by_id[i] for i in ids])
    return say("opening-screws", count=len(ids), classes=len(classes))


def plug_words(ids: Sequence[str], places: Sequence[Place]) -> Words:
    """Some plugs as a step names them.

    ids: of the plugs (n,) [text]
    """
    by_id = {p.id: p for p in places}
    return listed(by_id[i].note or PLUG_PARTS[by_id[i].holds] for i in ids)


def open_steps(kind: str, device: Device, work: Work, places: Sequence[Place]) -> list[BenchStep]:
    """Steps from the switched-on device to what the plan has to reach.

    kind: laptop, console, handheld or other [text]
    work: what is done to it
    places: screws and plugs of the map (n,)
    source: handbook/order-of-work.md, handbook/materials.md, handbook/bench.md: common practice, no source
    """
    steps = []
    if work.gates:
        steps.append(
            BenchStep(
                id="gates", stage="open", text=say("opening-read-once-more-what-was"), why=listed(work.gates, "space")
            )
        )
    if not device.opens:
        return steps
    sheets = [p for p in work.parts if p.kind == Kind.SHEET and p.target in DIE_TARGETS]
    if sheets:
        # First of all: it chills while the device is opened, and is cut before the cooler leaves the die.
        steps.append(
            BenchStep(
                id="chill",
                stage="open",
                text=say("opening-put-sheet-into-fridge"),
                why=say("opening-cold-film-cuts-clean-and"),
                tool=say("opening-fridge-to-c"),
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
        BenchStep(
            id="power_off",
            stage="open",
            # With a battery in, the button starts many devices: then it is held once the battery is off.
            text=say("opening-shut-down-unplug") if device.has_battery else say("opening-shut-down-unplug-hold-power"),
            why=say("opening-nothing-touched-while-has-power"),
            tool=say("opening-wrist-strap-mat"),
            material="",
            caution=_MAINS
            if kind == "console"
            else say("opening-firmware-disconnects-battery")
            if device.has_battery
            else "",
            acts=("power_off", "unplugged"),
        ),
        BenchStep(
            id="cover_screws_out",
            stage="open",
            text=say("opening-take-cover-out", places=screw_words(cover, places)),
            why=say("opening-wrong-length-dents-board-each") if cover else say("opening-map-each-one-as-comes"),
            tool=say("opening-bit-that-fits-tray"),
            material="",
            caution=say("opening-photograph-seal-first"),
            acts=("cover_screws_out",),
            takes_out=cover,
            shows="map",
            task="open_close",
        ),
        BenchStep(
            id="cover_off",
            stage="open",
            text=say("opening-lift-cover-clips-all-round"),
            why=say("opening-first-state-one-that-everything"),
            tool=say("opening-plastic-pick"),
            material="",
            caution=say("opening-do-not-pry-deeper-than"),
            acts=("cover_off",),
            photo=True,
            task="open_close",
        ),
    ]
    if device.has_battery:
        steps.append(
            BenchStep(
                id="battery_off",
                stage="open",
                text=say("opening-battery-plug-off"),
                why=say("opening-before-anything-else-touched"),
                tool=say("opening-plastic-spudger"),
                material="",
                caution=say("opening-swollen-or-leaking-stop-isolate"),
                acts=("battery_off",),
                takes_out=battery,
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
                id="plugs_off",
                stage="open",
                text=say("opening-unplug", plugs=plug_words(plugs, places)),
                why=say("opening-each-open-item-until-back"),
                tool=say("opening-spudger-tweezers"),
                material="",
                caution=say("opening-fan-leads-fragile-push-plug"),
                acts=("plug_off",),
                takes_out=plugs,
                shows="map",
                task="open_close",
            )
        )
    if other:
        of, why = (
            (say("closing-fan-and-board"), say("opening-what-in-way-cooler"))
            if device.lifts
            else (say("closing-fan"), say("opening-cooler-stays-on"))
        )
        steps.append(
            BenchStep(
                id="other_screws_out",
                stage="open",
                text=say("opening-take-out", places=screw_words(other, places), of=of),
                why=why,
                tool=say("opening-bit-that-fits-tray"),
                material="",
                caution="",
                acts=("inner_screws_out",),
                takes_out=other,
                shows="map",
                task="open_close",
            )
        )
    return steps


def _cut(work: Work) -> list[BenchStep]:
    """Cut before the cooler comes off: a bare die does not wait for a blade."""
    pieces = listed(say("opening-piece", words=p.words, dose=p.dose) for p in work.parts if p.kind == Kind.SHEET)
    return [
        BenchStep(
            id="cut",
            stage="open",
            text=say("opening-cut-piece-and-spare-with"),
            why=say("opening-dull-or-warm-cut-drags"),
            tool=say("opening-new-blade-steel-ruler"),
            material=pieces,
            caution=say("opening-both-liners-stay-on-fingers"),
            after_waits=("fridge",),
            task=CATALOGUE[Kind.SHEET].task,
        )
    ]


def _lift(places: Sequence[Place]) -> list[BenchStep]:
    inner = ids_of(places, SCREW, "cooler")
    numbered = bool(inner) and all(p.number is not None for p in places if p.id in inner)
    how = say("opening-in-reverse-printed-numbers") if numbered else say("opening-back-and-forth-across-middle")
    return [
        BenchStep(
            id="cooler_screws_out",
            stage="open",
            text=say("opening-loosen-cooler-little-each", places=screw_words(inner, places), how=how),
            why=say("opening-even-release-keeps-die-and"),
            tool=say("closing-bit-that-fits"),
            material="",
            caution="",
            acts=("inner_screws_out",),
            takes_out=inner,
            shows="map",
            task="open_close",
        ),
        BenchStep(
            id="cooler_off",
            stage="open",
            text=say("opening-lift-cooler-twist-never-yank"),
            why=say("opening-warm-stack-with-hair-dryer"),
            tool=say("opening-hair-dryer"),
            material="",
            caution=say("opening-small-parts-sit-beneath-spring"),
            acts=("cooler_off",),
            photo=True,
            task="open_close",
        ),
    ]
