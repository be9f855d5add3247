"""Steps that close a device as far as it was opened, and what follows with the lid shut: tuning, burn-in."""

from __future__ import annotations

from collections.abc import Sequence

from vividowl.core.bench.fasteners import PLUG, SCREW, Place, tightening_order, tightening_passes
from vividowl.core.bench.interlocks import Device
from vividowl.core.bench.steps.fitting import cover_step
from vividowl.core.bench.steps.opening import ids_of, plug_words, plugs_in_the_way, screw_words, screws_in_the_way
from vividowl.core.bench.steps.vocabulary import BenchStep, Work
from vividowl.core.bench.waits import BEFORE_POWER, WAITS
from vividowl.core.materials.kinds import CATALOGUE, Kind
from vividowl.core.quantities.words import listed, say


def close_steps(device: Device, work: Work, places: Sequence[Place]) -> list[BenchStep]:
    """Steps back to a closed device.

    work: what is done to it
    places: screws and plugs of the map (n,)
    source: handbook/order-of-work.md, handbook/bench.md: common practice, no source
    """
    if not device.opens:
        return _tune(work)
    cover = tightening_order([p for p in places if p.kind == SCREW and p.holds == "cover"])
    other = tightening_order([p for p in places if p.kind == SCREW and p.holds in screws_in_the_way(device)])
    plugs = ids_of(places, PLUG, *plugs_in_the_way(device))
    battery = ids_of(places, PLUG, "battery")
    steps = [seat_step(device, places)] if device.lifts else []
    if other:
        of = say("closing-fan-and-board") if device.lifts else say("closing-fan")
        steps.append(
            BenchStep(
                id="other_screws_in",
                stage="close",
                text=say("closing-put-back", places=screw_words(other, places), of=of),
                why=say("closing-each-class-to-its-places"),
                tool=say("closing-bit-that-fits"),
                material="",
                caution="",
                acts=("inner_screws_in",),
                takes_out=(),
                puts_in=other,
                shows="map",
                task="open_close",
            )
        )
    if plugs:
        steps.append(
            BenchStep(
                id="plugs_on",
                stage="close",
                text=say("closing-plug-in", places=plug_words(plugs, places)),
                why=say("closing-nothing-closes-while-one-open"),
                tool="spudger",
                material="",
                caution="",
                acts=("plug_on",),
                takes_out=(),
                puts_in=plugs,
                shows="map",
                photo=True,
                task="open_close",
            )
        )
    steps += [cover_step(p) for p in work.parts if p.target == "cover"]
    if device.has_battery:
        steps.append(
            BenchStep(
                id="battery_on",
                stage="close",
                text=say("closing-battery-plug-on-last-all"),
                why=say("closing-first-off-last-on"),
                tool="spudger",
                material="",
                caution="",
                acts=("battery_on",),
                takes_out=(),
                puts_in=battery,
                after_waits=BEFORE_POWER,
                shows="map",
                task="open_close",
            )
        )
    steps += [
        BenchStep(
            id="power_on",
            stage="close",
            text=say("closing-first-power-on-before-last"),
            why=say("closing-what-missing-still-easy-to"),
            tool="",
            material="",
            caution=say("closing-loose-cover-fingers-away-from"),
            acts=("power_on_ok",),
            after_waits=BEFORE_POWER,
            shows="power",
            task="open_close",
        ),
        BenchStep(
            id="cover_screws_in",
            stage="close",
            text=say("closing-cover-on-back-in-their", places=screw_words(cover, places)),
            why=say("closing-count-in-must-equal-count"),
            tool=say("closing-bit-that-fits"),
            material="",
            caution="",
            acts=("cover_screws_in",),
            takes_out=(),
            puts_in=cover,
            shows="map",
            task="open_close",
        ),
    ]
    if any(p.kind in (Kind.SHEET, Kind.TUBE) for p in work.parts):
        steps.append(
            BenchStep(
                id="burn_in",
                stage="close",
                text=say("closing-burn-in-under-load-above"),
                why=say("closing-settles-mostly-in-first-to"),
                tool=say("closing-before-recipe"),
                wait="burn_in",
                wait_min=WAITS["burn_in"].minutes,
                task=CATALOGUE[Kind.SHEET].task,
            )
        )
    return steps + _tune(work)


def seat_step(device: Device, places: Sequence[Place], step: str = "cooler_on") -> BenchStep:
    """The step that seats the cooler.

    places: screws and plugs of the map (n,)
    step: its id [text]
    source: handbook/bench.md: common practice, no source
    """
    inner = tightening_order([p for p in places if p.kind == SCREW and p.holds == "cooler"])
    spring = any(p.head == "spring" for p in places if p.id in inner)
    rounds = listed((say("closing-round", words=r.words) for r in tightening_passes(device.tighten_percent)), "space")
    return BenchStep(
        id=step,
        stage="close",
        text=say("closing-seat-cooler-straight-down-start", places=screw_words(inner, places)),
        why=rounds,
        tool=say("closing-bit-that-fits"),
        material="",
        caution=say("closing-spring-screws-stop-at-shoulder") if spring else "",
        acts=("cooler_on", "inner_screws_in"),
        takes_out=(),
        puts_in=inner,
        after_waits=BEFORE_POWER,
        shows="map",
        task="open_close",
    )


def _tune(work: Work) -> list[BenchStep]:
    """Tuning opens nothing: it is set, tried, and told."""
    if not work.tuning:
        return []
    return [
        BenchStep(
            id="tune_note",
            stage="close",
            text=say("closing-note-present-settings-or-save"),
            why=say("closing-so-that-they-can-be"),
            task="tune",
        ),
        BenchStep(
            id="tune_set",
            stage="close",
            text=say("closing-set", tuning=work.tuning),
            why=say("closing-in-steps-last-half-slowly"),
            tool=say("closing-maker-s-own-setting-where"),
            material="",
            caution=say("closing-setting-that-kept-through-restart"),
            task="tune",
        ),
        BenchStep(
            id="tune_try",
            stage="close",
            text=say("closing-run-before-recipe-for-min"),
            why=say("closing-what-holds-for-minute-fails"),
            tool=say("closing-before-recipe"),
            material="",
            caution=say("closing-anything-odd-one-step-back"),
            wait="other",
            wait_min=WAITS["baseline"].minutes,
            task="tune",
        ),
        BenchStep(
            id="tune_keep",
            stage="close",
            text=say("closing-keep-setting-and-write-into"),
            why=say("closing-owner-and-next-hand-want"),
            after_waits=("other",),
            task="tune",
        ),
    ]
