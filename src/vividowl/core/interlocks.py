"""What must come before what at the bench, as data: acts, the facts they leave behind, and the rules between them."""

from __future__ import annotations

from collections.abc import Mapping, Sequence, Set
from dataclasses import dataclass

from vividowl.core.errors import CoreError

# What an act makes untrue: cleaning takes away an old coat, a lifted cooler undoes the first power-on.
CANCELS: Mapping[str, tuple[str, ...]] = {
    "power_off": (), "unplugged": (), "inner_screws_in": (), "cover_off": ("power_on_ok", "cover_screws_in"), "cover_screws_out": ("cover_screws_in",),
    "battery_off": ("battery_on", "power_on_ok"), "inner_screws_out": (), "plug_off": ("power_on_ok",),
    "cooler_off": ("cooler_on", "power_on_ok"), "dust_out": ("fan_free",), "fan_free": (),
    "cleaned": ("insulated", "applied", "alloy_applied", "film_on"), "insulated": (), "applied": (), "alloy_applied": (), "film_on": (),
    "film_off": ("film_on",), "cooler_on": ("cooler_off",), "plug_on": (), "battery_on": ("battery_off",),
    "powered": ("power_off", "unplugged"), "power_on_ok": ("power_off", "unplugged"), "cover_screws_in": ("cover_off",),
}  # fmt: skip
ACTS = tuple(CANCELS)
# Derived from the map, not from a step.
PLUGS_OPEN = "plugs_open"


@dataclass(frozen=True)
class Device:
    """What the rules must know of the device and its plan. interface: something is put on a die;
    tighten_percent: share of the turns in the first round of tightening [%]."""

    has_battery: bool = True
    has_fan: bool = True
    alloy: bool = False
    interface: bool = True
    tighten_percent: int = 50


@dataclass(frozen=True)
class Interlock:
    """A rule. acts that it guards; needs: facts that must hold; bars: facts that must not; only: the device trait that
    it is for, empty for all; reason, remedy, and check: what a breach asks for afterwards."""

    rule: str
    acts: tuple[str, ...]
    needs: tuple[str, ...]
    bars: tuple[str, ...]
    only: str
    reason: str
    remedy: str
    check: str


# Handbook sections 2 and 7; common practice, no source; the maker's instructions come first.
INTERLOCKS: tuple[Interlock, ...] = (
    Interlock(
        "power_first", ("cover_screws_out", "cover_off", "battery_off", "inner_screws_out", "plug_off", "cooler_off"),
        ("power_off", "unplugged"), (), "",
        "It is not shut down and unplugged yet.", "Shut it down, unplug it, hold the power button, put the strap on.",
        "Shut down and unplug now. Look where the tool was for marks of a short, and smell.",
    ),
    Interlock(
        "cooler_on_battery", ("cooler_off",), ("battery_off",), (), "has_battery",
        "The battery is still connected; the cooler is not lifted while it is.", "Take the battery plug off first.",
        "Take the battery off now. Look round the die and the cooler's edge for bridged parts before any power.",
    ),
    Interlock(
        "battery_first", ("inner_screws_out", "plug_off", "dust_out", "cleaned", "insulated", "applied", "alloy_applied"),
        ("battery_off",), (), "has_battery",
        "The battery is still connected.", "Take the battery plug off before anything else is touched.",
        "Take the battery off now. Look at the plugs and parts that were touched for marks of a short.",
    ),
    Interlock(
        "clean_first", ("applied", "alloy_applied"), ("cleaned",), (), "",
        "Die and plate are not marked as clean.", "Wipe dry, then with alcohol, and let it dry.",
        "Lift what was put on, look at the print, clean, and put it on anew if residue shows.",
    ),
    Interlock(
        "insulate_before_alloy", ("alloy_applied",), ("insulated",), (), "alloy",
        "The parts around the die are not confirmed as insulated since the last cleaning.",
        "Check with a loupe that coat, tape or foam are whole after cleaning; mend them, then confirm.",
        "Look under magnification for alloy on bare parts; take it back with the syringe before any power.",
    ),
    Interlock(
        "second_film", ("cooler_on",), (), ("film_on",), "",
        "The second film is still on.", "Peel the second film and lay it on the tray where you see it.",
        "Lift the cooler and look: a film left on ruins the result.",
    ),
    Interlock(
        "interface_first", ("cooler_on",), ("applied",), (), "interface",
        "Nothing new lies on the die yet.", "Put the interface on as planned, or skip that step with a reason.",
        "Lift the cooler and look whether the die is covered.",
    ),
    Interlock(
        "fan_free", ("cooler_on", "powered", "power_on_ok"), ("fan_free",), (), "has_fan",
        "The fan is not confirmed to turn freely.", "Turn it by hand; replace it if it drags.",
        "Turn the fan by hand with the power off, and listen at the first power-on.",
    ),
    Interlock(
        "plugs_before_battery", ("battery_on",), (), (PLUGS_OPEN,), "has_battery",
        "Something is still unplugged; the battery goes on last.", "Plug everything else in first.",
        "Take the battery off, plug the rest in, look at each plug, then the battery.",
    ),
    Interlock(
        "battery_last", ("plug_on", "inner_screws_in", "cooler_on"), (), ("battery_on",), "has_battery",
        "The battery is connected already; it goes on last.", "Take the battery off, do this, then put it on again.",
        "Take the battery off, look at the plug or part that was set under voltage, then put the battery on again.",
    ),
    Interlock(
        "cooler_before_power", ("battery_on", "powered", "power_on_ok"), ("cooler_on",), (), "interface",
        "The cooler is not seated.", "Seat it and tighten its screws in order.",
        "Switch off at once. A bare die is destroyed in seconds: look at its temperature and for errors.",
    ),
    Interlock(
        "battery_before_power", ("powered", "power_on_ok"), ("battery_on",), (), "has_battery",
        "The battery is not connected.", "Put the battery on, last of all plugs.",
        "Shut down, put the battery on, and switch on again.",
    ),
    Interlock(
        "plugs_before_power", ("powered", "power_on_ok"), (), (PLUGS_OPEN,), "",
        "Something is still unplugged.", "Plug it in before the first power-on.",
        "Shut down, plug it in, and switch on again.",
    ),
    Interlock(
        "power_before_last_screws", ("cover_screws_in",), ("power_on_ok",), (), "",
        "The first power-on is not done; the last screws wait for it.",
        "Switch on with few screws in: boot, fans, keyboard, pad, wireless, display, temperatures.",
        "Switch on now and go through the first power-on; open again if something is missing.",
    ),
)  # fmt: skip
BY_RULE: Mapping[str, Interlock] = {i.rule: i for i in INTERLOCKS}


def rules_for(acts: Sequence[str], device: Device) -> tuple[Interlock, ...]:
    """Rules that guard some acts on a device.

    acts: acts of one step (n,) [text]
    device: its traits
    returns: rules (m,)
    source: common practice, no source
    """
    return tuple(
        i for i in INTERLOCKS if set(i.acts) & set(acts) and (not i.only or bool(getattr(device, i.only)))
    )  # fmt: skip


def breached(acts: Sequence[str], facts: Set[str], device: Device) -> Interlock | None:
    """The first rule that some acts would break now.

    acts: acts of one step, in order (n,) [text]
    facts: what holds now [text]
    device: its traits
    returns: Interlock, or None when all is in order
    raises: CoreError for an unknown act
    source: common practice, no source
    """
    held = set(facts)
    for act in acts:
        for rule in rules_for((act,), device):
            if not set(rule.needs) <= held or set(rule.bars) & held:
                return rule
        held = set(after((act,), held))
    return None


def after(acts: Sequence[str], facts: Set[str]) -> frozenset[str]:
    """What holds once some acts are done.

    acts: acts in order (n,) [text]
    facts: what holds before [text]
    returns: facts [text]
    raises: CoreError for an unknown act
    source: common practice, no source
    """
    held = set(facts)
    for act in acts:
        if act not in CANCELS:
            raise CoreError(f"“{act}” is no act of the bench; allowed: {', '.join(ACTS)}.", field="acts")
        held.difference_update(CANCELS[act])
        held.add(act)
    return frozenset(held)
