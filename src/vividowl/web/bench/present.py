"""Bench mode: lists, events, streams, photos. Values as they are shown. No decisions here."""

from __future__ import annotations

from collections.abc import Mapping, Sequence

from vividowl.core.bench.fasteners import ScrewClass
from vividowl.core.bench.log.events import BenchEvent
from vividowl.core.bench.log.log import before
from vividowl.core.bench.log.state import FoundState, Outcome, PowerOn
from vividowl.core.quantities.words import Words, say
from vividowl.service.bench import words as w
from vividowl.service.bench.taking import Batch
from vividowl.service.bench.view import BenchView, PlaceView, StepView
from vividowl.web.bench.schemas import (
    AskOut,
    BenchEventOut,
    BenchOut,
    BenchStepOut,
    BreachOut,
    GuardOut,
    MishapOut,
    PlaceOut,
    RefusedOut,
    ScrewClassOut,
    SeenOut,
    TakenOptionOut,
    WaitOut,
)
from vividowl.web.bench.told import BatchOut, RefusalOut, TakenOut
from vividowl.web.bench.words import (
    ActOut,
    BenchWordsOut,
    MishapKindOut,
    NamedOut,
    RuleOut,
    SightOut,
    SightsOut,
    WaitKindOut,
)
from vividowl.words import sentence, sentences, told


def batch_out(batch: Batch) -> BatchOut:
    """What became of events."""
    return BatchOut(
        taken=[
            TakenOut(
                id=t.id,
                number=t.number,
                again=t.again,
                told=t.told,
                refusal=RefusalOut.model_validate(dict(t.refusal)) if t.refusal else None,
            )
            for t in batch.taken
        ],
        number=batch.number,
        clock_off_s=batch.clock_off_s,
    )


def _step(view: StepView, outcome: Outcome | None) -> BenchStepOut:
    own = {k: v for k, v in told(view.step).items() if k in BenchStepOut.model_fields and k != "asks"}
    return BenchStepOut(
        **own,
        cancels=list(view.cancels),
        makes=list(view.makes),
        held=view.held,
        skippable=view.skippable,
        alone=view.alone,
        pads=list(view.pads),
        asks=_asks(view.step.asks),
        guards=[GuardOut.model_validate(g) for g in view.guards],
        outcome=outcome if outcome is not None else None,
        hands_min=view.time.hands_min if view.time else None,
        waited_min=view.time.wait_min if view.time else None,
    )


def _asks(name: str) -> AskOut | None:
    if not name:
        return None
    words, unit, low, high = w.ASKS[name]
    return AskOut(words=sentence(words), unit=sentence(unit), low=low, high=high)


def _place(view: PlaceView, bench: BenchView) -> PlaceOut:
    state, place = bench.state, view.place
    return PlaceOut(
        **told(place),
        letter=view.letter,
        shape=view.shape,
        words=sentence(view.words),
        is_out=place.id in state.out,
        was_out=state.was_out.get(place.id),
        explained=state.explained.get(place.id, ""),
        guards_out=[GuardOut.model_validate(g) for g in view.guards_out],
        guards_in=[GuardOut.model_validate(g) for g in view.guards_in],
    )


def classes_out(classes: Sequence[ScrewClass]) -> list[ScrewClassOut]:
    """Classes of screws."""
    return [ScrewClassOut.model_validate(c) for c in classes]


# So far back a tablet can take things back in one go without asking again, latest last.
# How far a page can go back by itself.
RECENT = 20


def _event(event: BenchEvent, bench: BenchView) -> BenchEventOut:
    words: Words = say(f"event-{event.kind}")
    step = event.data.get("step")
    number = next((i + 1 for i, x in enumerate(bench.state.steps) if isinstance(step, str) and x.id == step), None)
    place = bench.state.places.get(str(event.data.get("place"))) if isinstance(event.data.get("place"), str) else None
    if number is not None and event.kind in ("step_done", "step_skipped", "step_moved"):
        words = say("event-of-step", event=words, number=number)
    elif place is not None:
        words = say("event-of-place", event=words, place=next(p.words for p in bench.places if p.place.id == place.id))
    return BenchEventOut(
        id=event.id,
        kind=event.kind,
        data=dict(event.data),
        made=told(event.made),
        at=event.at,
        by=event.by,
        words=sentence(words),
    )


def bench_out(bench: BenchView) -> BenchOut:
    """The bench of a job."""
    state, log = bench.state, bench.log
    step_words = {x.id: x.text for x in state.steps}
    step_acts = {x.id: x.acts for x in state.steps}
    hands = [v.time.hands_min for v in bench.steps if v.time is not None]
    return BenchOut(
        job_id=bench.job.id,
        number=bench.number,
        now=bench.now,
        begun=state.begun,
        closed=state.closed,
        has_battery=state.device.has_battery,
        checks=list(w.checks_of(state.device)),
        facts=sorted(state.now_facts),
        steps=[_step(v, state.outcomes.get(v.step.id)) for v in bench.steps],
        places=[_place(p, bench) for p in bench.places],
        classes=classes_out(bench.classes),
        orders=list(bench.orders),
        passes=list(bench.passes),
        outline=state.outline,
        leftover=state.leftover,
        leftover_words=state.leftover_words,
        waits=[
            WaitOut(**{**told(x), "step": step_words.get(x.step, "")}, words=sentence(w.WAITS[x.wait].words))
            for x in state.waits.values()
        ],
        breaches=[
            BreachOut(**told(b), reason=sentence(w.BY_RULE[b.rule].reason), check=sentence(w.BY_RULE[b.rule].check))
            for b in state.breaches.values()
        ],
        mishaps=[
            MishapOut(
                id=m.id,
                what=m.what,
                title=sentence(w.MISHAPS[m.what].words),
                recovery=list(
                    sentences(
                        w.recovery(
                            m.what,
                            state.places.get(m.place),
                            acts=step_acts.get(m.step, ()),
                            facts=state.facts,
                            device=state.device,
                        )
                    )
                ),
                step=m.step,
                words=m.words,
                at=m.at,
                by=m.by,
                check=sentence(w.MISHAPS[m.what].check),
                checked=m.checked,
            )
            for m in state.mishaps.values()
        ],
        found=[_found(f) for f in state.found.values()],
        photos=list(state.photos),
        power=[PowerOn(results=dict(p.results), boot_s=p.boot_s, fine=p.fine, at=p.at) for p in state.power],
        causes=list(bench.causes),
        notes=list(state.notes),
        blockers=list(bench.blockers),
        base=told(before(log, RECENT)),
        recent=[_event(e, bench) for e in log.active[-RECENT:]],
        undone=[_event(e, bench) for e in log.undone[-RECENT:]],
        refused=[
            RefusedOut(
                id=r.id,
                kind=r.kind,
                at=r.at,
                by=r.member.name,
                detail=(r.refusal or {}).get("detail", ""),
                remedy=(r.refusal or {}).get("remedy", ""),
            )
            for r in bench.refused
        ],
        plan_changed=bench.plan_changed,
        chosen=TakenOptionOut(key=str(bench.chosen["key"]), words=str(bench.chosen["words"])) if bench.chosen else None,
        model_id=bench.model_id,
        model_places=bench.model_places,
        hands_min=sum(h for h in hands if h is not None) if hands and None not in hands else None,
        waited_min=sum(v.time.wait_min for v in bench.steps if v.time is not None),
    )


def _found(f: FoundState) -> SeenOut:
    sight = w.SIGHTS[f.part][f.seen]
    return SeenOut(
        id=f.id,
        part=f.part,
        seen=f.seen,
        part_words=sentence(w.PART_WORDS[f.part]),
        seen_words=sentence(sight.words),
        follows=sentence(sight.follows),
        sound=sight.sound,
        words=f.words,
        photo=f.photo,
        at=f.at,
    )


def words_out() -> BenchWordsOut:
    """Words of the bench that do not change."""

    def named(table: Mapping[str, Words]) -> list[NamedOut]:
        return [NamedOut(name=k, words=sentence(v)) for k, v in table.items()]

    return BenchWordsOut(
        sights=[
            SightsOut(
                part=p,
                words=sentence(w.PART_WORDS[p]),
                states=[
                    SightOut(
                        name=n,
                        words=sentence(x.words),
                        tells=sentence(x.tells),
                        follows=sentence(x.follows),
                        sound=x.sound,
                    )
                    for n, x in states.items()
                ],
            )
            for p, states in w.SIGHTS.items()
        ],
        mishaps=[
            MishapKindOut(name=n, words=sentence(m.words), recovery=list(sentences(m.steps)), check=sentence(m.check))
            for n, m in w.MISHAPS.items()
        ],
        checks=[NamedOut(name=n, words=sentence(c.words)) for n, c in w.CHECKS.items()],
        waits=[
            WaitKindOut(
                name=n,
                words=sentence(x.words),
                minutes=x.minutes,
                least_min=x.least_min,
                most_min=x.most_min,
                early=list(sentences(x.early)),
            )
            for n, x in w.WAITS.items()
        ],
        drives=named(w.DRIVES),
        heads=named(w.HEADS),
        screw_groups=named(w.SCREW_GROUPS),
        plug_parts=named(w.PLUG_PARTS),
        pad_parts=named(w.PAD_PARTS),
        plugs_open=w.PLUGS_OPEN,
        aluminium=[list(pair) for pair in w.ALUMINIUM],
        aluminium_seen=w.ALUMINIUM_SEEN,
        acts=[ActOut(name=a, cancels=list(w.CANCELS[a]), makes=list(w.MAKES.get(a, ()))) for a in w.CANCELS],
        rules=[RuleOut(name=n, reason=sentence(r.reason), check=sentence(r.check)) for n, r in w.BY_RULE.items()],
        looked_at=list(w.LOOKED_AT),
    )
