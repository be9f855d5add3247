"""Steps that close a device as far as it was opened, and what follows with the lid shut: tuning, burn-in."""

from __future__ import annotations

from collections.abc import Sequence

from vividowl.core.bench.fasteners import PLUG, SCREW, Place, tightening_order, tightening_passes
from vividowl.core.bench.interlocks import Device
from vividowl.core.bench.steps.fitting import cover_step
from vividowl.core.bench.steps.opening import ids_of, plug_words, plugs_in_the_way, screw_words, screws_in_the_way
from vividowl.core.bench.steps.vocabulary import BenchStep, Work
from vividowl.core.bench.waits import WAITS
from vividowl.core.materials.kinds import CATALOGUE, Kind


def close_steps(device: Device, work: Work, places: Sequence[Place]) -> list[BenchStep]:
    """Steps back to a closed device.

    device: its traits
    work: what is done to it
    places: screws and plugs of the map (n,)
    returns: steps (k,)
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
        of = "fan and board" if device.lifts else "the fan"
        steps.append(BenchStep("other_screws_in", "close", f"Put {screw_words(other, places)} of {of} back",
                               "each class to its places", "bit that fits", "", "", ("inner_screws_in",), (), other,
                               shows="map", task="open_close"))  # fmt: skip
    if plugs:
        steps.append(
            BenchStep(
                "plugs_on",
                "close",
                f"Plug in: {plug_words(plugs, places)}",
                "nothing closes while one is open",
                "spudger",
                "",
                "",
                ("plug_on",),
                (),
                plugs,
                shows="map",
                photo=True,
                task="open_close",
            )
        )
    if device.has_battery:
        steps.append(
            BenchStep(
                "battery_on",
                "close",
                "Battery plug on, last of all",
                "first off, last on",
                "spudger",
                "",
                "",
                ("battery_on",),
                (),
                battery,
                shows="map",
                task="open_close",
            )
        )
    steps += [
        BenchStep(
            "power_on",
            "close",
            "First power-on, before the last screws",
            "what is missing is still easy to reach",
            "",
            "",
            "Loose cover: fingers away from the fan.",
            ("power_on_ok",),
            shows="power",
            task="open_close",
        ),
        *[cover_step(p) for p in work.parts if p.target == "cover"],
        BenchStep(
            "cover_screws_in",
            "close",
            f"Cover on, {screw_words(cover, places)} back in their places",
            "count in must equal count out",
            "bit that fits",
            "",
            "",
            ("cover_screws_in",),
            (),
            cover,
            shows="map",
            task="open_close",
        ),
    ]
    if any(p.kind in (Kind.SHEET, Kind.TUBE) for p in work.parts):
        steps.append(
            BenchStep(
                "burn_in",
                "close",
                "Burn in under load, above 45 °C",
                "it settles mostly in the first 30 to 40 min; only then is it judged",
                "the Before recipe",
                wait="burn_in",
                wait_min=WAITS["burn_in"].minutes,
                task=CATALOGUE[Kind.SHEET].task,
            )
        )
    return steps + _tune(work)


def seat_step(device: Device, places: Sequence[Place], step: str = "cooler_on") -> BenchStep:
    """The step that seats the cooler.

    device: its traits
    places: screws and plugs of the map (n,)
    step: its id [text]
    returns: BenchStep
    source: handbook/bench.md: common practice, no source
    """
    inner = tightening_order([p for p in places if p.kind == SCREW and p.holds == "cooler"])
    spring = any(p.head == "spring" for p in places if p.id in inner)
    rounds = " ".join(f"{r.words}." for r in tightening_passes(device.tighten_percent))
    return BenchStep(
        step,
        "close",
        f"Seat the cooler straight down, start {screw_words(inner, places)} by hand, tighten in order",
        rounds,
        "bit that fits",
        "",
        "Spring screws stop at the shoulder: do not force." if spring else "",
        ("cooler_on", "inner_screws_in"),
        (),
        inner,
        shows="map",
        task="open_close",
    )


def _tune(work: Work) -> list[BenchStep]:
    """Tuning opens nothing: it is set, tried, and told."""
    if not work.tuning:
        return []
    return [
        BenchStep(
            "tune_note",
            "close",
            "Note the present settings, or save them to a file",
            "so that they can be put back",
            task="tune",
        ),
        BenchStep(
            "tune_set",
            "close",
            f"Set it: {work.tuning}",
            "in steps, the last half slowly",
            "the maker's own setting where there is one",
            "",
            "A setting that is kept through a restart can lock a device out: set it to be lost first.",
            task="tune",
        ),
        BenchStep(
            "tune_try",
            "close",
            "Run the Before recipe for 15 min; look for crashes and wrong pixels",
            "what holds for a minute fails in a game",
            "the Before recipe",
            "",
            "Anything odd: one step back, and again.",
            wait="other",
            wait_min=15.0,
            task="tune",
        ),
        BenchStep(
            "tune_keep",
            "close",
            "Keep the setting, and write it into the notes",
            "the owner and the next hand want to know",
            after_waits=("other",),
            task="tune",
        ),
    ]
