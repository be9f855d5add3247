"""The first power-on with few screws in: what to look at, and what is likely when something is missing."""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from dataclasses import dataclass

from vividowl.core.bench.fasteners import PLUG, PLUG_PARTS, Place
from vividowl.core.bench.interlocks import Device
from vividowl.core.quantities.errors import CoreError, require_one_of, require_range
from vividowl.core.quantities.words import Words, listed, say

BOOT_MOST_S = 40.0  # [s] to a picture; common practice, no source


@dataclass(frozen=True, kw_only=True)
class PowerCheck:
    """words; plugs: parts of the map that feed it; causes when it fails, most likely first; kinds of device that have
    it, empty for all; needs: a trait of the device without which there is nothing to look at, empty for none."""

    words: Words
    plugs: tuple[str, ...]
    causes: tuple[Words, ...]
    kinds: tuple[str, ...] = ()
    needs: str = ""

    def fits(self, device: Device) -> bool:
        """Whether a device has what is looked at. A list of an older program does not say what kind it is of."""
        if self.needs and not getattr(device, self.needs):
            return False
        return not self.kinds or device.kind in self.kinds or (not device.kind and "laptop" in self.kinds)


def _check(name: str, plugs: tuple[str, ...], causes: int, *kinds: str, needs: str = "") -> PowerCheck:
    reasons = tuple(say(f"power-{name}.cause-{n}") for n in range(1, causes + 1))
    return PowerCheck(words=say(f"power-{name}"), plugs=plugs, causes=reasons, kinds=kinds, needs=needs)


# handbook/bench.md; common practice, no source.
CHECKS: Mapping[str, PowerCheck] = {
    "boot": _check("boot", ("battery", "drive", "ribbon"), 4),
    "fans": _check("fans", ("fan",), 3, needs="has_fan"),
    "keyboard": _check("keyboard", ("ribbon",), 2, "laptop", "other"),
    "pad": _check("pad", ("ribbon",), 1, "laptop"),
    "controls": _check("controls", ("ribbon",), 2, "handheld"),
    "picture": _check("picture", (), 2, "console"),
    "drive": _check("drive", ("drive", "ribbon"), 2, "console"),
    "wireless": _check("wireless", ("antenna",), 2),
    "display": _check("display", ("display",), 2, "laptop", "handheld", "other"),
    "charging": _check("charging", ("battery",), 2, "laptop", "handheld", needs="has_battery"),
    "temperatures": _check("temperatures", (), 4),
}
# "unchecked" is what a check is until somebody has looked.
RESULTS = ("fine", "fails", "none", "unchecked")
# Without these nobody knows whether the die lives: they are looked at, or the device is not under power yet.
LOOKED_AT = ("boot", "fans", "temperatures")


@dataclass(frozen=True)
class Cause:
    """A likely cause of a failed check. text; from_map: it follows from what was done on this device."""

    check: str
    text: Words
    from_map: bool


def checks_of(device: Device) -> tuple[str, ...]:
    """What is looked at on a device.

    source: common practice, no source
    """
    return tuple(name for name, check in CHECKS.items() if check.fits(device))


def check_power(results: Mapping[str, str], boot_s: float | None, device: Device) -> dict[str, str]:
    """Results of the first power-on, complete and sane; a boot that took too long fails.

    results: by check fine, fails, none (the device has no such part) or unchecked, as which one that is left out counts
        [text]
    boot_s: time to boot [s], None when not timed
    returns: results of all checks that the device has something for [text]
    raises: CoreError, OutOfRange
    source: common practice, no source
    """
    for name, value in results.items():
        require_one_of("results", name, CHECKS)
        require_one_of(f"results.{name}", value, RESULTS)
    out = {name: results.get(name, "unchecked") for name in checks_of(device)}
    missing = [name for name in LOOKED_AT if out.get(name) == "unchecked"]
    if missing:
        raise CoreError(
            say("first-power-not-looked-at", missing=listed(say("low", words=CHECKS[m].words) for m in missing)),
            field="results",
        )
    if boot_s is not None and require_range("boot_s", boot_s, "s", (0.0, 1800.0)) > BOOT_MOST_S:
        out["boot"] = "fails"
    return out


def likely_causes(
    results: Mapping[str, str],
    places: Sequence[Place],
    *,
    open_places: Sequence[str],
    unplugged_in: Mapping[str, int],
    breaches: Sequence[str] = (),
) -> tuple[Cause, ...]:
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
        named = {p.id: say("first-power-figures", holds=p.note or PLUG_PARTS[p.holds]) for p in plugs}
        out += [
            Cause(name, say("first-power-still-unplugged", id=named[p.id]), True) for p in plugs if p.id in open_places
        ]
        out += [
            Cause(name, say("first-power-was-unplugged-in-step-look", id=named[p.id], p_id=unplugged_in[p.id]), True)
            for p in plugs
            if p.id in unplugged_in and p.id not in open_places
        ]
        if name == "temperatures" and "second_film" in breaches:
            out.append(Cause(name, say("first-power-second-film-was-left-on"), True))
        out += [Cause(name, text, False) for text in check.causes]
    return tuple(out)
