"""What can be done for a device, and which of it first: the options side by side, ranked by what is wanted."""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from dataclasses import dataclass, replace
from enum import StrEnum

from vividowl.core.materials.kinds import DIE_KINDS, Material, Trait
from vividowl.core.plan.prediction import Action, Option, Prediction
from vividowl.core.quantities.errors import CoreError, require_range
from vividowl.core.quantities.words import Words, listed, say

LEAVE = "leave"
# Two options whose gains differ by less than this share of the larger one count as equal: which of two good interfaces
# comes out better hangs on the hand that lays it. From memory.
ALIKE_SHARE = 0.15
TUNE_ALONE, TUNE_ON_TOP = "tune", "tune_on_top"


class Goal(StrEnum):
    """What the customer wants most."""

    COOLER = "cooler"
    QUIETER = "quieter"
    FASTER = "faster"
    CHEAPER = "cheaper"
    LONGEST_REST = "longest_rest"


@dataclass(frozen=True, kw_only=True)
class Situation:
    """What decides which options there are.

    die_materials: by name, what may go on the die; pads: old pads are offered to be replaced, pads_due: they are bad,
    so that whoever lifts the cooler replaces them; putty: by putty rather than pads; shim: measured for a small chip;
    cover_path: of pad and cover to the room [K/W], None when not measured; undervolt_mv, cap_w: planned tuning;
    fan_drags: found at inspection; fan_heard: two recordings sound like it.
    """

    die_materials: Mapping[str, Material]
    pads: bool = False
    pads_due: bool = False
    putty: bool = False
    shim: bool = False
    cover_path: float | None = None
    undervolt_mv: float = 0.0
    cap_w: float | None = None
    fan_drags: bool = False
    fan_heard: bool = False


@dataclass(frozen=True, kw_only=True)
class Candidate:
    """An option with all that ranks it. blocked: a stop stands; to_acknowledge: gates to accept; total_cents: price or
    None; life_months: until the next look; unseen: nobody looked into the fins, so that what cleaning brings counts by
    the low end of its interval."""

    option: Option
    prediction: Prediction
    blocked: bool
    to_acknowledge: int
    total_cents: int | None
    life_months: int
    unseen: bool = False


@dataclass(frozen=True)
class Ranked:
    """Candidate number `index` at its place; reason in a sentence; as_good: what separates it from the best cannot be
    measured."""

    index: int
    reason: Words
    as_good: bool


def make_options(situation: Situation) -> tuple[Option, ...]:
    """The options for a device, leaving it alone first.

    situation: what decides
    raises: OutOfRange, CoreError for a material that does not belong on a die
    source: common practice, no source
    """
    s = situation
    for name, found in s.die_materials.items():
        if found.kind not in DIE_KINDS:
            raise CoreError(
                say("options-which-does-not-go-on", name=name, words=found.words, names=listed(DIE_KINDS)),
                field="die_materials",
            )
    cap = None if s.cap_w is None else require_range("cap_w", s.cap_w, "W", (1.0, 2000.0))
    out = [
        Option(key=LEAVE, words=say("options-leave-alone")),
        Option(key="clean", words=say("options-clean-only"), actions=(Action.CLEAN,)),
    ]
    filler = say("options-putty-for-pads") if s.putty else say("options-new-pads")
    both = (Action.CLEAN, Action.REPASTE, *((Action.PADS,) if s.pads_due else ()))
    with_pads = say("options-with-pads", filler=filler) if s.pads_due else ""
    for name, found in s.die_materials.items():
        out.append(
            Option(
                key=f"repaste:{name}",
                words=say("options-clean-2", name=name, with_pads=with_pads),
                actions=both,
                material=found,
            )
        )
    first = next(iter(s.die_materials.items()), None)
    extra: list[tuple[str, Words, Action]] = []
    if s.pads and not s.pads_due:
        extra.append(("putty" if s.putty else "pads", filler, Action.PADS))
    if s.shim:
        extra.append(("shim", say("options-copper-shim"), Action.SHIM))
    if s.fan_drags or s.fan_heard:
        fan = say("options-new-fan") if s.fan_drags else say("options-new-fan-if-it-drags")
        extra.append(("fan", fan, Action.FAN))
    for key, words, action in extra:
        if action is Action.FAN:
            out.append(Option(key=key, words=say("options-clean-3", words=words), actions=(Action.CLEAN, action)))
        if first is not None:
            said = say("options-clean", first=first[0], with_pads=with_pads, words=words)
            out.append(Option(key=f"{key}:{first[0]}", words=said, actions=(*both, action), material=first[1]))
    if s.cover_path is not None:
        out.append(
            Option(key="cover", words=say("options-couple-cover"), actions=(Action.COVER,), cover_path=s.cover_path)
        )
        if first is not None:
            out.append(
                Option(
                    key=f"cover:{first[0]}",
                    words=say("options-clean-couple-cover", first=first[0], with_pads=with_pads),
                    actions=(*both, Action.COVER),
                    material=first[1],
                    cover_path=s.cover_path,
                )
            )
    if s.undervolt_mv > 0 or cap is not None:
        words = tuning_words(s.undervolt_mv, cap)
        out.append(Option(key=TUNE_ALONE, words=words, actions=(Action.TUNE,), undervolt_mv=s.undervolt_mv, cap_w=cap))
        if first is not None:
            said = say("options-clean-then", first=first[0], with_pads=with_pads, words=words)
            out.append(
                Option(
                    key=TUNE_ON_TOP,
                    words=said,
                    actions=(*both, Action.TUNE),
                    material=first[1],
                    undervolt_mv=s.undervolt_mv,
                    cap_w=cap,
                )
            )
    return tuple(out)


def tuning_words(undervolt_mv: float, cap_w: float | None) -> Words:
    """Tuning in words.

    undervolt_mv: [mV], 0 for none
    cap_w: power cap [W], None for none
    returns: words, empty for none [text]
    """
    said = [say("options-undervolt-mv", undervolt_mv=undervolt_mv)] if undervolt_mv > 0 else []
    said += [say("options-cap-at-w", cap_w=cap_w)] if cap_w is not None else []
    return listed(said, "and")


def rank(
    candidates: Sequence[Candidate],
    goal: Goal,
    *,
    measurable_k: float,
    measurable_w: float,
    measurable_db: float,
    held: bool,
    pumped_out: bool = False,
    renew: Words = "",
    renews: Action = Action.REPASTE,
) -> tuple[Ranked, ...]:
    """Order the options by what the customer wants; leaving it alone wins when no gain can be measured.

    candidates: options with what ranks them (n,), leaving it alone among them
    goal: what is wanted most
    measurable_k: smallest gain of temperature that can be shown [K]
    measurable_w: the same of watts [W]
    measurable_db: the same of noise [dB]
    held: heat holds the device back [flag]
    pumped_out: the old interface had crept out, so that of equals one that does not creep comes first [flag]
    renew: why it is renewed whatever its die gains, or nothing: this shop serviced it and it comes back, or a sensor
        under a pad stands above its limit; then it is never left alone [text]
    renews: what an option must do then to come first
    returns: places (n,), best first; blocked options last
    raises: CoreError when leaving it alone is missing, or nothing tells the wanted gain
    formula: by the median of the wanted gain; options within the measurable of the best, or within 15 % of its gain,
        count as equal, and then fewer hazards, then the lower price come first
    source: common practice, no source
    """
    home = next((i for i, c in enumerate(candidates) if c.option.key == LEAVE), None)
    if home is None:
        raise CoreError(say("options-leaving-alone-missing-from-options"), field="candidates")
    gains = [_gain(c, goal, held) for c in candidates]
    least = _least(goal, held, measurable_k=measurable_k, measurable_w=measurable_w, measurable_db=measurable_db)
    plain = [_gain(c, Goal.COOLER, held) for c in candidates]
    plain_least = measurable_w if held and candidates[0].prediction.gain_w is not None else measurable_k
    free = [i for i, c in enumerate(candidates) if not c.blocked and i != home]
    worth = [
        i
        for i in free
        if (plain[i] if goal in (Goal.CHEAPER, Goal.LONGEST_REST) else gains[i])
        >= (plain_least if goal in (Goal.CHEAPER, Goal.LONGEST_REST) else least)
    ]
    if goal is Goal.FASTER and not held:
        worth = []

    def ties(i: int) -> tuple[float, ...]:
        c = candidates[i]
        creeps = pumped_out and c.option.material is not None and c.option.material.has(Trait.PUMPS_OUT)
        return (creeps, c.to_acknowledge, c.total_cents if c.total_cents is not None else 1e12, len(c.option.actions))

    if goal is Goal.CHEAPER:
        worth.sort(key=lambda i: (ties(i)[2], -plain[i]))
    elif goal is Goal.LONGEST_REST:
        worth.sort(key=lambda i: (-candidates[i].life_months, *ties(i)))
    else:
        best = max((gains[i] for i in worth), default=0.0)
        alike = max(least, ALIKE_SHARE * best)
        worth.sort(key=lambda i: (0, *ties(i)) if best - gains[i] < alike else (1, -gains[i]))
    if renew:
        does = [i for i in free if renews in candidates[i].option.actions]
        worth = [i for i in worth if i in does] or sorted(does, key=lambda i: -gains[i])[:1] or worth
    rest = [i for i in free if i not in worth]
    rest.sort(key=lambda i: (-gains[i], *ties(i)))
    blocked = sorted((i for i, c in enumerate(candidates) if c.blocked and i != home), key=lambda i: -gains[i])
    order = [*worth, home, *rest, *blocked]
    placed = [
        _placed(
            candidates, i, place=place, order=order, gains=gains, least=least, goal=goal, held=held, worth=i in worth
        )
        for place, i in enumerate(order)
    ]
    if renew:
        placed[0] = replace(placed[0], reason=listed((renew, placed[0].reason), "space"))
    return tuple(placed)


def _gain(c: Candidate, goal: Goal, held: bool) -> float:
    """Median of what the goal counts, more is better."""
    p = c.prediction
    if c.unseen and c.option.actions == (Action.CLEAN,):
        # What nobody has seen is not sold.
        if goal is Goal.QUIETER:
            return -p.noise_db.high if p.noise_db is not None else 0.0
        return p.gain_w.low if (goal is Goal.FASTER or held) and p.gain_w is not None else p.gain_k.low
    if goal is Goal.QUIETER:
        # Kelvins are no decibels: without a fan nothing gets quieter.
        return -p.noise_db.median if p.noise_db is not None else 0.0
    if (goal is Goal.FASTER or held) and p.gain_w is not None:
        return p.gain_w.median
    return p.gain_k.median


def _least(goal: Goal, held: bool, *, measurable_k: float, measurable_w: float, measurable_db: float) -> float:
    if goal is Goal.QUIETER:
        return measurable_db
    return measurable_w if goal is Goal.FASTER or held else measurable_k


def _said(c: Candidate, goal: Goal, held: bool) -> Words:
    """The wanted gain in words."""
    p = c.prediction
    if goal is Goal.QUIETER and p.noise_db is None:
        return say("options-has-no-fan-to-be")
    if goal is Goal.QUIETER and p.noise_db is not None:
        level = abs(p.noise_db.median)
        return say(
            "options-db-at-same-temperature", at_least=p.noise_floor, level=level, quieter=p.noise_db.median <= 0
        )
    if (goal is Goal.FASTER or held) and p.gain_w is not None:
        return say("options-w-at-limit", watts=abs(p.gain_w.median), more=p.gain_w.median >= 0)
    return say("options-k-at-same-work", kelvins=abs(p.gain_k.median), cooler=p.gain_k.median >= 0)


def _placed(
    candidates: Sequence[Candidate],
    index: int,
    *,
    place: int,
    order: Sequence[int],
    gains: Sequence[float],
    least: float,
    goal: Goal,
    held: bool,
    worth: bool,
) -> Ranked:
    c, best = candidates[index], candidates[order[0]]
    alike = max(least, ALIKE_SHARE * max((gains[i] for i in order if not candidates[i].blocked), default=0.0))
    as_good = worth and place > 0 and abs(gains[order[0]] - gains[index]) < alike
    if c.blocked:
        return Ranked(index, say("options-stop-stands-in-way-see"), False)
    if c.option.key == LEAVE:
        if place == 0 and goal is Goal.FASTER and not held:
            return Ranked(index, say("options-heat-does-not-hold-back"), False)
        if place == 0:
            return Ranked(index, say("options-nothing-here-gains-more-than"), False)
        return Ranked(index, say("options-costs-nothing-changes-nothing"), False)
    said = _said(c, goal, held)
    if not worth and c.unseen and c.option.actions == (Action.CLEAN,):
        return Ranked(index, say("options-look-into-fins-first", said=said), False)
    if not worth:
        return Ranked(index, say("options-too-little-to-be-shown", said=said), False)
    if goal is Goal.CHEAPER:
        why = say("options-lowest-price-what-can-be") if place == 0 else say("options-dearer")
    elif goal is Goal.LONGEST_REST:
        why = say("options-look-after-months", life_months=c.life_months, longest=place == 0)
    elif place == 0:
        equal = [
            i
            for i in order[1:]
            if not candidates[i].blocked
            and candidates[i].option.key != LEAVE
            and abs(gains[order[0]] - gains[i]) < alike
        ]
        safer = any(gains[i] > gains[index] for i in equal)
        why = say("options-most-all") if not equal else say("options-nothing-else-better-by-more", safer=safer)
    elif as_good:
        dearer = c.total_cents is not None and best.total_cents is not None and c.total_cents > best.total_cents
        more_risk = c.to_acknowledge > best.to_acknowledge
        but = "risk" if more_risk else "dearer" if dearer else "none"
        why = say("options-as-good-as-first-by", but=but)
    else:
        why = say("options-less-than-first")
    return Ranked(index, say("options-placed", said=said, why=why), as_good)
