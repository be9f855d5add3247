"""What must come before what at the bench, as data: acts, the facts they leave behind, and the rules between them."""

from __future__ import annotations

from collections.abc import Mapping, Sequence, Set
from dataclasses import dataclass

from vividowl.core.quantities.errors import CoreError

# Facts that are no act: a die that has nothing on it, alloy that nobody has inspected since it was laid.
BARE, BARE_GPU, ALLOY_UNSEEN = "bare", "bare_gpu", "alloy_unseen"
# Derived from what was told, not from a step: something is unplugged, aluminium was seen within reach of a drop.
PLUGS_OPEN, ALUMINIUM_SEEN = "plugs_open", "aluminium_seen"
# What an act makes untrue: cleaning takes away an old coat; a lifted cooler tears the interface, so that every face is
# cleaned and covered anew, whatever lay there before.
CANCELS: Mapping[str, tuple[str, ...]] = {
    "power_off": (), "unplugged": (), "inner_screws_in": (), "cover_off": ("power_on_ok", "cover_screws_in"),
    "cover_screws_out": ("cover_screws_in",), "battery_off": ("battery_on", "power_on_ok"), "inner_screws_out": (),
    "plug_off": ("power_on_ok",),
    "cooler_off": ("cooler_on", "power_on_ok", "cleaned", "applied", "applied_gpu", "alloy_applied", "film_on", "covered"),
    "dust_out": ("fan_free",), "fan_free": (),
    "cleaned": ("insulated", "applied", "applied_gpu", "alloy_applied", "film_on", "covered"),
    "coated_once": (), "coated": (), "insulated": (), "applied": (BARE,), "applied_gpu": (BARE_GPU,),
    "alloy_applied": (), "alloy_inspected": (ALLOY_UNSEEN,), "film_on": (), "film_off": ("film_on",), "covered": (),
    "cooler_on": ("cooler_off",), "plug_on": (), "battery_on": ("battery_off",), "powered": ("power_off", "unplugged"),
    "power_on_ok": ("power_off", "unplugged"), "cover_screws_in": ("cover_off",),
}  # fmt: skip
# What an act makes true besides itself.
MAKES: Mapping[str, tuple[str, ...]] = {
    "cooler_off": (BARE, BARE_GPU), "cleaned": (BARE, BARE_GPU), "alloy_applied": (ALLOY_UNSEEN,),
}  # fmt: skip
ACTS = tuple(CANCELS)
# Acts that are done or replanned, but never skipped: each stands between a die and the power.
NEVER_SKIPPED = frozenset(
    {
        "cooler_off", "cleaned", "applied", "applied_gpu", "coated_once", "coated", "insulated", "alloy_applied",
        "alloy_inspected", "film_off", "covered", "cooler_on",
    }
)  # fmt: skip


@dataclass(frozen=True)
class Device:
    """What the rules must know of the device and its plan. two_dies: the cooler sits on a processor and a graphics die;
    coat: the parts round the die have to be insulated now; lifts: the plan takes the cooler off; new_fan: it fits one;
    opens: it opens the device at all; sealed: warranty runs or a seal is whole; tighten_percent: share of the turns in
    the first round of tightening [%]."""

    has_battery: bool = True
    has_fan: bool = True
    two_dies: bool = False
    coat: bool = False
    lifts: bool = True
    new_fan: bool = False
    opens: bool = True
    sealed: bool = False
    tighten_percent: int = 50


@dataclass(frozen=True)
class Interlock:
    """A rule. acts that it guards; needs: facts that must hold; bars: facts that must not; only: the device trait that
    it is for, empty for all; reason, remedy, and check: what a breach asks for afterwards; hard: it is no rule of order
    that a hand may have broken already, but what would destroy the device: no telling lifts it; since: version of the
    stored events from which on it counts."""

    rule: str
    acts: tuple[str, ...]
    needs: tuple[str, ...]
    bars: tuple[str, ...]
    only: str
    reason: str
    remedy: str
    check: str
    hard: bool = False
    since: int = 1


# handbook/order-of-work.md, handbook/materials.md, handbook/bench.md; common practice, no source; the maker's instructions come first.
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
        "battery_first", ("inner_screws_out", "plug_off", "dust_out", "cleaned", "coated_once", "coated", "insulated",
                          "applied", "applied_gpu", "alloy_applied"),
        ("battery_off",), (), "has_battery",
        "The battery is still connected.", "Take the battery plug off before anything else is touched.",
        "Take the battery off now. Look at the plugs and parts that were touched for marks of a short.",
    ),
    Interlock(
        "lift_first", ("cleaned", "applied", "applied_gpu", "alloy_applied"), ("cooler_off",), (), "",
        "The cooler is not marked as lifted.", "Lift the cooler first.",
        "Say how the face was reached, and look at the print at the next opening.",
    ),
    Interlock(
        "clean_first", ("applied", "applied_gpu", "alloy_applied"), ("cleaned",), (), "",
        "Die and plate are not marked as clean since the cooler was lifted.",
        "Wipe dry, then with alcohol, and let it dry.",
        "Lift what was put on, look at the print, clean, and put it on anew if residue shows.",
    ),
    Interlock(
        "clean_between", ("applied",), (), ("applied",), "",
        "Something lies on this die already.", "Clean it off first: two interfaces do not mix.",
        "Lift the cooler, look at the print, and clean both off.",
    ),
    Interlock(
        "clean_between_gpu", ("applied_gpu",), (), ("applied_gpu",), "",
        "Something lies on the graphics die already.", "Clean it off first: two interfaces do not mix.",
        "Lift the cooler, look at the print, and clean both off.",
    ),
    Interlock(
        "second_coat", ("coated",), ("coated_once",), (), "",
        "The first layer of the coat is not on yet.", "Coat twice, 15 min apart: one layer has pinholes.",
        "Look under magnification for pinholes; coat once more where one shows.", True,
    ),
    Interlock(
        "coat_first", ("insulated",), ("coated",), (), "coat",
        "The parts round the die are not insulated yet.", "Coat, tape or lacquer them as planned, then look.",
        "Insulate them before any alloy is opened.", True,
    ),
    Interlock(
        "insulate_before_alloy", ("alloy_applied",), ("insulated",), (), "",
        "The parts around the die are not confirmed as insulated since the last cleaning.",
        "Check with a loupe that coat, tape or foam are whole after cleaning; mend them, then confirm. Alloy is on the "
        "board already? Tell it as a mishap, and take it back with the syringe.",
        "Look under magnification for alloy on bare parts; take it back with the syringe before any power.", True,
    ),
    Interlock(
        "no_alloy_near_aluminium", ("alloy_applied",), (), (ALUMINIUM_SEEN,), "",
        "Aluminium was seen at the contact or beside it: alloy destroys it.",
        "Take paste or a phase-change sheet in Plan, then make the list anew.",
        "Wipe all alloy off and look at the aluminium for grey, crumbling spots.", True,
    ),
    Interlock(
        "second_film", ("cooler_on", "covered"), (), ("film_on",), "",
        "The second film is still on.", "Peel the second film and lay it on the tray where you see it.",
        "Lift the cooler and look: a film left on ruins the result.",
    ),
    Interlock(
        "interface_first", ("covered", "cooler_on"), ("applied",), (BARE,), "",
        "Nothing new lies on the die: a cooler never goes back on a bare die.",
        "Put the interface on as planned. Seated already? Lift it again, and tell it as a mishap.",
        "Lift the cooler and look whether the die is covered.", True,
    ),
    Interlock(
        "interface_first_gpu", ("covered", "cooler_on"), ("applied_gpu",), (BARE_GPU,), "two_dies",
        "Nothing new lies on the graphics die: a cooler never goes back on a bare die.",
        "Put the interface on both dies. Seated already? Lift it again, and tell it as a mishap.",
        "Lift the cooler and look whether both dies are covered.", True,
    ),
    Interlock(
        "inspect_alloy", ("covered", "cooler_on", "battery_on", "powered", "power_on_ok"), (), (ALLOY_UNSEEN,), "",
        "The alloy was not inspected under magnification since it was put on.",
        "Look all round the die with the loupe: no bead on board, plugs or legs of parts.",
        "Lift the cooler and inspect under magnification before any power.", True,
    ),
    Interlock(
        "look_before_closing", ("cooler_on",), ("covered",), (), "",
        "Nobody has looked yet whether every face under the cooler is covered.",
        "Look once more: each die covered, each pad whole and in its place, no film left on.",
        "Lift the cooler and look at every face.",
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
        "cooler_before_power", ("battery_on", "powered", "power_on_ok"), (), ("cooler_off",), "",
        "The cooler is off: a die without its cooler is destroyed in seconds.", "Seat it and tighten its screws in order.",
        "Switch off at once. Look at its temperature and for errors.", True,
    ),
    Interlock(
        "interface_before_power", ("battery_on", "powered", "power_on_ok"), (), (BARE,), "",
        "The cooler was lifted and nothing new lies on the die.",
        "Lift the cooler, clean both faces, put the interface on, seat it again.",
        "Switch off at once. Lift the cooler and cover the die.", True,
    ),
    Interlock(
        "interface_before_power_gpu", ("battery_on", "powered", "power_on_ok"), (), (BARE_GPU,), "two_dies",
        "The cooler was lifted and nothing new lies on the graphics die.",
        "Lift the cooler, clean both faces, put the interface on, seat it again.",
        "Switch off at once. Lift the cooler and cover the die.", True,
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


# Version of the events that are written now. A rule that comes later says since which one it counts.
RULES_NOW = 2


def rules_for(acts: Sequence[str], device: Device, known: int = RULES_NOW) -> tuple[Interlock, ...]:
    """Rules that guard some acts on a device.

    acts: acts of one step (n,) [text]
    device: its traits
    known: version of the stored events that the rules are of [1]
    returns: rules (m,)
    source: common practice, no source
    """
    return tuple(
        i for i in INTERLOCKS if i.since <= known and set(i.acts) & set(acts) and (not i.only or bool(getattr(device, i.only)))
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
    found = all_breached(acts, facts, device)
    return found[0] if found else None


def all_breached(acts: Sequence[str], facts: Set[str], device: Device, known: int = RULES_NOW) -> tuple[Interlock, ...]:
    """Every rule that some acts would break now, each once.

    acts: acts of one step, in order (n,) [text]
    facts: what holds now [text]
    device: its traits
    known: version of the stored events that the rules are of [1]
    returns: rules (m,)
    raises: CoreError for an unknown act
    source: common practice, no source
    """
    held, broken = set(facts), dict[str, Interlock]()
    for act in acts:
        for rule in rules_for((act,), device, known):
            if not set(rule.needs) <= held or set(rule.bars) & held:
                broken.setdefault(rule.rule, rule)
        held = set(after((act,), held))
    return tuple(broken.values())


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
        held.update(MAKES.get(act, ()))
    return frozenset(held)
