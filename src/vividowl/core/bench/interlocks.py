"""What must come before what at the bench, as data: acts, the facts they leave behind, and the rules between them."""

from __future__ import annotations

from collections.abc import Mapping, Sequence, Set
from dataclasses import dataclass

from vividowl.core.quantities.errors import require_one_of
from vividowl.core.quantities.words import Words, say

# Facts that are no act: a die that has nothing on it, alloy that nobody has inspected since it was laid.
BARE, BARE_GPU, ALLOY_UNSEEN = "bare", "bare_gpu", "alloy_unseen"
# Derived from what was told, not from a step: something is unplugged, aluminium was seen within reach of a drop.
PLUGS_OPEN, ALUMINIUM_SEEN = "plugs_open", "aluminium_seen"
# What an act makes untrue: cleaning takes away an old coat; a lifted cooler tears the interface, so that every face is
# cleaned and covered anew, whatever lay there before.
CANCELS: Mapping[str, tuple[str, ...]] = {
    "power_off": (),
    "unplugged": (),
    "inner_screws_in": (),
    "cover_off": ("power_on_ok", "cover_screws_in"),
    "cover_screws_out": ("cover_screws_in",),
    "battery_off": ("battery_on", "power_on_ok"),
    "inner_screws_out": (),
    "plug_off": ("power_on_ok",),
    "cooler_off": (
        "cooler_on",
        "power_on_ok",
        "cleaned",
        "applied",
        "applied_gpu",
        "alloy_applied",
        "film_on",
        "covered",
    ),
    "dust_out": ("fan_free",),
    "fan_free": (),
    "cleaned": ("insulated", "applied", "applied_gpu", "alloy_applied", "film_on", "covered"),
    "coated_once": (),
    "coated": (),
    "insulated": (),
    "applied": (BARE,),
    "applied_gpu": (BARE_GPU,),
    "alloy_applied": (),
    "alloy_inspected": (ALLOY_UNSEEN,),
    "film_on": (),
    "film_off": ("film_on",),
    "covered": (),
    "cooler_on": ("cooler_off",),
    "plug_on": (),
    "battery_on": ("battery_off",),
    "powered": ("power_off", "unplugged"),
    "power_on_ok": ("power_off", "unplugged"),
    "cover_screws_in": ("cover_off",),
    # A hand lays, glues or changes something inside that no other act names.
    "inside": (),
    "alloy_scraped": (),
    "alloy_away": (),
}
# What an act makes true besides itself.
MAKES: Mapping[str, tuple[str, ...]] = {
    "cooler_off": (BARE, BARE_GPU),
    "cleaned": (BARE, BARE_GPU),
    "alloy_applied": (ALLOY_UNSEEN,),
}
ACTS = tuple(CANCELS)
# Acts that give power, or close over what has to be dry and set before there is any.
CLOSE_OVER = frozenset({"cooler_on", "battery_on", "powered", "power_on_ok"})
# Acts that are done or replanned, but never skipped: each stands between a die and the power.
NEVER_SKIPPED = frozenset(
    {
        "cooler_off",
        "cleaned",
        "applied",
        "applied_gpu",
        "coated_once",
        "coated",
        "insulated",
        "alloy_applied",
        "alloy_inspected",
        "film_off",
        "covered",
        "cooler_on",
    }
)


@dataclass(frozen=True, kw_only=True)
class Device:
    """What the rules must know of the device and its plan. kind: laptop, console, handheld or other, empty in a list of
    an older program; two_dies: the cooler sits on a processor and a graphics die;
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
    kind: str = ""


@dataclass(frozen=True, kw_only=True)
class Interlock:
    """A rule. acts that it guards; needs: facts that must hold; bars: facts that must not; only: the device trait that
    it is for, empty for all; hard: it is no rule of order
    that a hand may have broken already, but what would destroy the device: no telling lifts it; since: version of the
    stored events from which on it counts."""

    rule: str
    acts: tuple[str, ...]
    needs: tuple[str, ...] = ()
    bars: tuple[str, ...] = ()
    only: str = ""
    hard: bool = False
    since: int = 1

    @property
    def reason(self) -> Words:
        """Why it stands in the way."""
        return say(f"interlock-{self.rule}")

    @property
    def remedy(self) -> Words:
        """What to do first."""
        return say(f"interlock-{self.rule}.remedy")

    @property
    def check(self) -> Words:
        """What a breach asks for afterwards."""
        return say(f"interlock-{self.rule}.check")


# handbook/order-of-work.md, handbook/materials.md, handbook/bench.md; common practice, no source; the maker's
# instructions come first.
INTERLOCKS: tuple[Interlock, ...] = (
    Interlock(
        rule="power_first",
        acts=("cover_screws_out", "cover_off", "battery_off", "inner_screws_out", "plug_off", "cooler_off", "inside"),
        needs=("power_off", "unplugged"),
    ),
    Interlock(rule="cooler_on_battery", acts=("cooler_off",), needs=("battery_off",), only="has_battery"),
    Interlock(
        rule="battery_first",
        acts=(
            "inner_screws_out",
            "plug_off",
            "dust_out",
            "cleaned",
            "coated_once",
            "coated",
            "insulated",
            "applied",
            "applied_gpu",
            "alloy_applied",
            "inside",
            "alloy_scraped",
        ),
        needs=("battery_off",),
        only="has_battery",
    ),
    Interlock(rule="lift_first", acts=("cleaned", "applied", "applied_gpu", "alloy_applied"), needs=("cooler_off",)),
    Interlock(rule="clean_first", acts=("applied", "applied_gpu", "alloy_applied"), needs=("cleaned",)),
    Interlock(rule="clean_between", acts=("applied",), bars=("applied",)),
    Interlock(rule="clean_between_gpu", acts=("applied_gpu",), bars=("applied_gpu",)),
    Interlock(rule="second_coat", acts=("coated",), needs=("coated_once",), hard=True),
    Interlock(rule="coat_first", acts=("insulated",), needs=("coated",), only="coat", hard=True),
    Interlock(rule="insulate_before_alloy", acts=("alloy_applied",), needs=("insulated",), hard=True),
    Interlock(rule="no_alloy_near_aluminium", acts=("alloy_applied",), bars=(ALUMINIUM_SEEN,), hard=True),
    Interlock(rule="second_film", acts=("cooler_on", "covered"), bars=("film_on",)),
    Interlock(rule="interface_first", acts=("covered", "cooler_on"), needs=("applied",), bars=(BARE,), hard=True),
    Interlock(
        rule="interface_first_gpu",
        acts=("covered", "cooler_on"),
        needs=("applied_gpu",),
        bars=(BARE_GPU,),
        only="two_dies",
        hard=True,
    ),
    Interlock(
        rule="inspect_alloy",
        acts=("covered", "cooler_on", "battery_on", "powered", "power_on_ok"),
        bars=(ALLOY_UNSEEN,),
        hard=True,
    ),
    Interlock(rule="look_before_closing", acts=("cooler_on",), needs=("covered",)),
    Interlock(rule="fan_free", acts=("cooler_on", "powered", "power_on_ok"), needs=("fan_free",), only="has_fan"),
    Interlock(rule="plugs_before_battery", acts=("battery_on",), bars=(PLUGS_OPEN,), only="has_battery"),
    Interlock(
        rule="battery_last", acts=("plug_on", "inner_screws_in", "cooler_on"), bars=("battery_on",), only="has_battery"
    ),
    Interlock(
        rule="cooler_before_power", acts=("battery_on", "powered", "power_on_ok"), bars=("cooler_off",), hard=True
    ),
    Interlock(rule="interface_before_power", acts=("battery_on", "powered", "power_on_ok"), bars=(BARE,), hard=True),
    Interlock(
        rule="interface_before_power_gpu",
        acts=("battery_on", "powered", "power_on_ok"),
        bars=(BARE_GPU,),
        only="two_dies",
        hard=True,
    ),
    Interlock(rule="battery_before_power", acts=("powered", "power_on_ok"), needs=("battery_on",), only="has_battery"),
    Interlock(rule="plugs_before_power", acts=("powered", "power_on_ok"), bars=(PLUGS_OPEN,)),
    Interlock(rule="power_before_last_screws", acts=("cover_screws_in",), needs=("power_on_ok",)),
)
BY_RULE: Mapping[str, Interlock] = {i.rule: i for i in INTERLOCKS}


# Version of the events that are written now. A rule that comes later says since which one it counts.
RULES_NOW = 2


def rules_for(acts: Sequence[str], device: Device, known: int = RULES_NOW) -> tuple[Interlock, ...]:
    """Rules that guard some acts on a device.

    known: version of the stored events that the rules are of [1]
    source: common practice, no source
    """
    return tuple(
        i
        for i in INTERLOCKS
        if i.since <= known and set(i.acts) & set(acts) and (not i.only or bool(getattr(device, i.only)))
    )


def breached(acts: Sequence[str], facts: Set[str], device: Device) -> Interlock | None:
    """The first rule that some acts would break now.

    acts: acts of one step, in order (n,) [text]
    facts: what holds now [text]
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
    known: version of the stored events that the rules are of [1]
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
        require_one_of("acts", act, CANCELS)
        held.difference_update(CANCELS[act])
        held.add(act)
        held.update(MAKES.get(act, ()))
    return frozenset(held)
