"""The step list of a service: from the plan, the kind of device and what is known of the model."""

from __future__ import annotations

from collections.abc import Collection, Sequence
from dataclasses import replace

from vividowl.core.bench.fasteners import Place
from vividowl.core.bench.interlocks import Device, after, breached
from vividowl.core.bench.steps.cleaning import clean_steps
from vividowl.core.bench.steps.closing import close_steps
from vividowl.core.bench.steps.fitting import fit_steps
from vividowl.core.bench.steps.opening import open_steps
from vividowl.core.bench.steps.vocabulary import BenchStep, Work, check_step
from vividowl.core.materials.kinds import Kind


def device_of(kind: str, work: Work, tighten_percent: int = 50, *, fanless: bool = False) -> Device:
    """What the rules must know of a device.

    kind: laptop, console, handheld or other [text]
    work: what is done to it
    tighten_percent: share of the turns in the first round of tightening [%]
    fanless: it has no fan [flag]
    source: common practice, no source
    """
    on_die = work.on_die
    coat = work.insulated_now and any(p.kind == Kind.ALLOY for p in on_die)
    return Device(
        has_battery=kind in ("laptop", "handheld"),
        has_fan=not fanless,
        two_dies=len(on_die) > 1,
        coat=coat,
        lifts=work.lifts,
        new_fan=work.new_fan,
        opens=work.opens,
        sealed=work.sealed,
        tighten_percent=tighten_percent,
        kind=kind,
    )


def make_steps(
    kind: str,
    work: Work,
    *,
    places: Sequence[Place],
    school_percent: int,
    own: Sequence[BenchStep] = (),
    anchors: Sequence[str] = (),
    fanless: bool = False,
) -> tuple[BenchStep, ...]:
    """The step list. It opens as far as the plan needs and no further; whenever it lifts the cooler, every face is
    cleaned and covered anew.

    kind: laptop, console, handheld or other [text]
    work: what is done to it
    places: screws and plugs of the map (n,), empty when it is not mapped yet
    school_percent: share of the turns in the first round of tightening [%]
    own: the shop's steps for this model (m,); those of a stage that this list has none of are left out
    anchors: id of the step that each of them follows (m,) [text]
    fanless: it has no fan [flag]
    raises: CoreError
    source: handbook/order-of-work.md, handbook/materials.md, handbook/bench.md: common practice, no source
    """
    device = device_of(kind, work, school_percent, fanless=fanless)
    steps = [
        *open_steps(kind, device, work, places),
        *clean_steps(device, work),
        *fit_steps(device, work),
        *close_steps(device, work, places),
    ]
    for step, anchor in zip(own, anchors, strict=True):
        check_step(step)
        at = next((i for i, s in enumerate(steps) if s.id == anchor), None)
        if at is None:
            at = max((i for i, s in enumerate(steps) if s.stage == step.stage), default=None)
        if at is not None and device.opens:
            steps.insert(at + 1, replace(step, own=True))
    return tuple(steps)


def in_order(steps: Sequence[BenchStep], order: Sequence[str], device: Device) -> tuple[BenchStep, ...]:
    """Steps in the order that a shop has found better for a model, unless a rule would be broken by it.

    steps: the list as made (n,)
    order: ids as they stood on an earlier job (m,) [text]; what it does not know stays behind what it stood behind
    """
    place = {name: i for i, name in enumerate(order)}
    keyed: list[tuple[tuple[int, int], BenchStep]] = []
    last = -1
    for i, step in enumerate(steps):
        last = place.get(step.id, last)
        keyed.append(((last, i), step))
    wanted = tuple(step for _, step in sorted(keyed, key=lambda pair: pair[0]))
    facts: frozenset[str] = frozenset()
    for step in wanted:
        if breached(step.acts, facts, device) is not None:
            return tuple(steps)
        facts = after(step.acts, facts)
    return wanted


def follow_map(
    steps: Sequence[BenchStep], settled: Collection[str], places: Sequence[Place], device: Device
) -> tuple[BenchStep, ...]:
    """Steps still to do that deal with places, made to fit a map that changed.

    settled: ids of steps that are done or skipped [text]
    places: screws and plugs of the map as it is now (m,)
    """
    blank = Work()
    fresh = [
        s for s in (*open_steps("", device, blank, places), *close_steps(device, blank, places)) if s.shows == "map"
    ]
    by_id = {s.id: s for s in fresh}
    out: list[BenchStep] = []
    for step in steps:
        if step.shows != "map" or step.own or step.id in settled:
            out.append(step)
        elif step.id in by_id:
            new = by_id[step.id]
            out.append(
                replace(
                    step, text=new.text, why=new.why, caution=new.caution, takes_out=new.takes_out, puts_in=new.puts_in
                )
            )
    here = {s.id for s in out}
    for i, step in enumerate(fresh):
        if step.id not in here:
            before = {s.id for s in fresh[:i]}
            at = max((j for j, s in enumerate(out) if s.id in before), default=-1)
            out.insert(at + 1, step)
            here.add(step.id)
    return tuple(out)
