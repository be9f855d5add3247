"""The first power-on with few screws in: what to look at, and what is likely when something is missing."""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from dataclasses import dataclass

from vividowl.core.bench.fasteners import PLUG, PLUG_PARTS, Place
from vividowl.core.quantities.errors import CoreError, require_range

BOOT_MOST_S = 40.0


@dataclass(frozen=True)
class PowerCheck:
    """words; plugs: parts of the map that feed it; causes when it fails, most likely first."""

    words: str
    plugs: tuple[str, ...]
    causes: tuple[str, ...]


# handbook/bench.md; common practice, no source.
CHECKS: Mapping[str, PowerCheck] = {
    "boot": PowerCheck("Boots within 40 s", ("battery", "drive", "ribbon"),
                       ("The battery plug does not sit.", "A memory module or drive is not seated.",
                        "A short: switch off, look for metal or alloy.",
                        "The first start after the battery was off may train memory: wait once, up to two minutes.")),
    "fans": PowerCheck("Fans turn", ("fan",), ("The fan plug does not sit.", "A lead or a film touches the blades.",
                                               "The fan was blown at without holding it.")),
    "keyboard": PowerCheck("Keyboard types", ("ribbon",), ("The keyboard's ribbon is not locked.",
                                                          "It sits askew in its lock.")),
    "pad": PowerCheck("Touchpad moves", ("ribbon",), ("The pad's ribbon is not locked.",)),
    "wireless": PowerCheck("Wireless finds networks", ("antenna",), ("An antenna is off its plug.",
                                                                     "The card is not screwed down.")),
    "display": PowerCheck("Display is whole", ("display",), ("The display cable does not sit.",
                                                             "The lid's sensor sees a magnet on the bench.")),
    "temperatures": PowerCheck("Temperatures are sane", (), ("The second film is still on.", "The cooler does not sit flat: "
                               "a pad too thick, a screw in the wrong place.", "Nothing lies on the die.",
                               "The fan does not turn.")),
}  # fmt: skip
# "unchecked" is what a check is until somebody has looked.
RESULTS = ("fine", "fails", "none", "unchecked")
# Without these nobody knows whether the die lives: they are looked at, or the device is not under power yet.
LOOKED_AT = ("boot", "fans", "temperatures")


@dataclass(frozen=True)
class Cause:
    """A likely cause of a failed check. text; from_map: it follows from what was done on this device."""

    check: str
    text: str
    from_map: bool


def check_power(results: Mapping[str, str], boot_s: float | None) -> dict[str, str]:
    """Results of the first power-on, complete and sane; a boot that took too long fails.

    results: by check fine, fails, none (the device has no such part) or unchecked, as which one that is left out counts
        [text]
    boot_s: time to boot [s], None when not timed
    returns: results of all checks [text]
    raises: CoreError, OutOfRange
    source: common practice, no source
    """
    for name, value in results.items():
        if name not in CHECKS:
            raise CoreError(
                f"“{name}” is no check of the first power-on; allowed: {', '.join(CHECKS)}.", field="results"
            )
        if value not in RESULTS:
            raise CoreError(f"“{value}” is no result; allowed: {', '.join(RESULTS)}.", field=f"results.{name}")
    out = {name: results.get(name, "unchecked") for name in CHECKS}
    missing = [name for name in LOOKED_AT if out[name] == "unchecked"]
    if missing:
        raise CoreError(f"Not looked at: {', '.join(CHECKS[m].words.lower() for m in missing)}.", field="results",
                        remedy="Look at these three at least, or say that the device has no such part.")  # fmt: skip
    if boot_s is not None and require_range("boot_s", boot_s, "s", 0.0, 1800.0) > BOOT_MOST_S:
        out["boot"] = "fails"
    return out


def likely_causes(
    results: Mapping[str, str], places: Sequence[Place], open_places: Sequence[str], unplugged_in: Mapping[str, int],
    breaches: Sequence[str] = (),
) -> tuple[Cause, ...]:  # fmt: skip
    """What is likely when a check failed: plugs still open first, then plugs that were off, then the usual.

    results: by check fine, fails or none [text]
    places: screws and plugs of the map (n,)
    open_places: ids of those that are out now (m,) [text]
    unplugged_in: by id of a plug that was off during this job, the number of the step [1]
    breaches: rules that were broken [text]
    returns: Cause, likeliest first within each check
    source: common practice, no source
    """
    out: list[Cause] = []
    for name, check in CHECKS.items():
        if results.get(name) != "fails":
            continue
        plugs = [p for p in places if p.kind == PLUG and p.holds in check.plugs]
        named = {p.id: f"The {p.note or PLUG_PARTS[p.holds]}" for p in plugs}
        out += [Cause(name, f"{named[p.id]} is still unplugged.", True) for p in plugs if p.id in open_places]
        out += [
            Cause(name, f"{named[p.id]} was unplugged in step {unplugged_in[p.id]}: look whether it sits.", True)
            for p in plugs if p.id in unplugged_in and p.id not in open_places
        ]  # fmt: skip
        if name == "temperatures" and "second_film" in breaches:
            out.append(Cause(name, "The second film was left on when the cooler was closed.", True))
        out += [Cause(name, text, False) for text in check.causes]
    return tuple(out)
